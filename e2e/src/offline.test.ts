/* Kept whole in the browser: the page opens without its server, at its door as everywhere else, and what was put in is there. */
import { freshPage, press, sees, serve, sharedBrowser } from './harness';

it('opens without its server, at the door and at an address, with the job that was begun', async () => {
  const server = await serve();
  const browser = await sharedBrowser();
  const { page, close } = await freshPage(browser, server.url);
  try {
    await page.type('#line', '20 h7 x 30');
    await press(page, 'keep as a job');
    await page.waitForFunction(() => /\/jobs\/[^/]+\/(?:drawing|route)/.test(location.pathname));
    const job = new URL(page.url()).pathname;
    // its files come in after the first screen stands
    await page.waitForFunction(async () => (await navigator.serviceWorker.getRegistration())?.active?.state === 'activated');
    await server.stop();
    await page.goto(server.url, { waitUntil: 'load' });
    await sees(page, 'Samples');
    await page.waitForFunction(() => !document.getElementById('still'));
    await page.type('#line', '12 x 20');
    await sees(page, '1 row, 20 mm long');
    await page.goto(server.url + job, { waitUntil: 'load' });
    await page.waitForSelector('nav a[href$="/holding"]');
    await page.goto(`${server.url}/handbook/fits`, { waitUntil: 'load' });
    await sees(page, 'Source:');
  } finally {
    await close();
    await browser.disconnect();
  }
});
