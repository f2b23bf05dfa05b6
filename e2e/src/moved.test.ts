/* Rows of the drawing and lines of the route moved by the mouse, by a finger on a tablet, and by Space and the arrows; undo brings them back. */
import { demoUrl, goTo, pageForEach, sees } from './harness';

const on = pageForEach();

const sizes = () => on.page.$$eval('[data-cell$=".size"]', (all) => all.map((e) => (e as HTMLInputElement).value));
const become = (wanted: readonly string[]) =>
  on.page.waitForFunction(
    (now: string) => [...document.querySelectorAll<HTMLInputElement>('[data-cell$=".size"]')].map((e) => e.value).join('|') === now,
    { polling: 100 },
    wanted.join('|'),
  );
const gripAt = async (row: number) => {
  const grip = await on.page.waitForSelector(`button[aria-label="row ${String(row)}"]`);
  const box = await grip?.boundingBox();
  if (!box) throw new Error('no grip');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};
const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const before = ['M12', '19 h7', '25'];
const after = ['19 h7', '25', 'M12'];

async function opened(): Promise<void> {
  await goTo(on.page, demoUrl(), '/jobs/sheave-axle/drawing', 'edge to A');
  await on.page.waitForSelector('[data-cell$=".size"]');
  expect(await sizes()).toEqual(before);
}

async function undone(): Promise<void> {
  await on.page.keyboard.down('Control');
  await on.page.keyboard.press('z');
  await on.page.keyboard.up('Control');
  await become(before);
}

it('by the mouse', async () => {
  await opened();
  const [from, to] = [await gripAt(1), await gripAt(3)];
  await on.page.mouse.move(from.x, from.y);
  await on.page.mouse.down();
  for (let i = 1; i <= 10; i++) await on.page.mouse.move(from.x, from.y + ((to.y - from.y + 6) * i) / 10);
  await rest(100);
  await on.page.mouse.up();
  await become(after);
  await undone();
});

it('by a finger that rests on its grip, at 1024x768; one that moves at once moves nothing', async () => {
  await on.page.setViewport({ width: 1024, height: 768, hasTouch: true });
  await opened();
  const [from, to] = [await gripAt(1), await gripAt(3)];
  const slide = async (waits: number) => {
    const finger = await on.page.touchscreen.touchStart(from.x, from.y);
    await rest(waits);
    for (let i = 1; i <= 10; i++) await finger.move(from.x, from.y + ((to.y - from.y + 6) * i) / 10);
    await rest(100);
    await finger.end();
  };
  await slide(0);
  await rest(200);
  expect(await sizes()).toEqual(before);
  await slide(350);
  await become(after);
});

it('by Space and the arrows, and it is spoken; Escape leaves it where it was', async () => {
  await opened();
  const spoken = (words: string) =>
    on.page.waitForFunction(
      (w: string) => [...document.querySelectorAll('[role="status"]')].some((e) => e.textContent.includes(w)),
      { polling: 100 },
      words,
    );
  await on.page.focus('button[aria-label="row 1"]');
  await on.page.keyboard.press('Space');
  await spoken('row 1 over place 1');
  await rest(300);
  await on.page.keyboard.press('ArrowDown');
  await spoken('row 1 over place 2');
  await on.page.keyboard.press('Escape');
  await spoken('row 1 left where it was');
  expect(await sizes()).toEqual(before);
  await on.page.keyboard.press('Space');
  await spoken('row 1 over place 1');
  await rest(300);
  for (const place of [2, 3]) {
    await on.page.keyboard.press('ArrowDown');
    await spoken(`row 1 over place ${String(place)}`);
    await rest(300);
  }
  await on.page.keyboard.press('Space');
  await become(after);
  await undone();
});

describe('a line of the route', () => {
  const steps = () => on.page.$$eval('tr[data-step]', (all) => all.map((e) => (e as HTMLElement).dataset['step'] ?? ''));
  const line = async (step: string) => {
    const box = await (await on.page.$(`tr[data-step="${step}"] td.n button`))?.boundingBox();
    if (!box) throw new Error('no line');
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const move = async (step: string, to: string, touch: boolean) => {
    await on.page.$eval(`tr[data-step="${to}"]`, (e) => e.scrollIntoView({ block: 'center' }));
    const [from, there] = [await line(step), await line(to)];
    const way = (i: number) => from.y + ((there.y - from.y) * i) / 8;
    if (touch) {
      const finger = await on.page.touchscreen.touchStart(from.x, from.y);
      await rest(350);
      for (let i = 1; i <= 8; i++) await finger.move(from.x, way(i));
      await rest(150);
      await finger.end();
    } else {
      await on.page.mouse.move(from.x, from.y);
      await on.page.mouse.down();
      for (let i = 1; i <= 8; i++) await on.page.mouse.move(from.x, way(i));
      await rest(150);
      await on.page.mouse.up();
    }
  };

  it.each([false, true])('goes where it may, and says the rule where it may not (by finger: %s)', async (touch) => {
    if (touch) await on.page.setViewport({ width: 1024, height: 768, hasTouch: true });
    await goTo(on.page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
    await on.page.waitForSelector('tr[data-step] td.n button');
    const all = await steps();
    const [thread, undercut] = [all.find((s) => s.startsWith('thread@')) ?? '', all.find((s) => s.startsWith('undercut@')) ?? ''];
    // past everything up to the undercut that a thread runs out into
    await move(thread, undercut, touch);
    await sees(on.page, 'stays before thread');
    expect(await steps()).toEqual(all);
    const chamfer = all.findIndex((s) => s.startsWith('chamfer@'));
    const [later, earlier] = [all[chamfer + 1] ?? '', all[chamfer] ?? ''];
    await move(later, earlier, touch);
    await on.page.waitForFunction(
      (a: string, b: string) => {
        const now = [...document.querySelectorAll<HTMLElement>('tr[data-step]')].map((e) => e.dataset['step']);
        return now.indexOf(a) < now.indexOf(b);
      },
      { polling: 200 },
      later,
      earlier,
    );
  });
});
