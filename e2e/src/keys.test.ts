/* Keys that `?` lists are keys that work: each is pressed where it is listed, and must change what is there. */
import type { KeyInput } from 'puppeteer-core';
import { demoUrl, goTo, pageForEach, sees, settle } from './harness';

const on = pageForEach();

const named: Readonly<Record<string, KeyInput>> = {
  mod: 'Control',
  shift: 'Shift',
  alt: 'Alt',
  escape: 'Escape',
  enter: 'Enter',
  space: 'Space',
  pagedown: 'PageDown',
  arrowup: 'ArrowUp',
  arrowdown: 'ArrowDown',
  arrowleft: 'ArrowLeft',
  arrowright: 'ArrowRight',
};

let typed = 10;

async function pressed(combination: string): Promise<void> {
  const keys = combination.split('+').map((k) => named[k] ?? (k as KeyInput));
  const last = keys.at(-1);
  if (last === undefined) return;
  const held = keys.slice(0, -1);
  for (const k of held) await on.page.keyboard.down(k);
  await on.page.keyboard.press(last);
  for (const k of held) await on.page.keyboard.up(k);
}

/** What `?` lists here: what a line says, and its keys. */
async function listed(): Promise<readonly { readonly says: string; readonly keys: readonly string[]; readonly scope: string }[]> {
  await on.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await on.page.keyboard.type('?');
  await on.page.waitForSelector('.modal tr[data-keys]');
  const lines = await on.page.$$eval('.modal tr[data-keys]', (all) =>
    all.map((tr) => ({
      keys: ((tr as HTMLElement).dataset['keys'] ?? '').split(' '),
      says: tr.children[1]?.textContent ?? '',
      scope: (tr as HTMLElement).dataset['scope'] ?? '',
    })),
  );
  await on.page.keyboard.press('Escape');
  await on.page.waitForFunction(() => document.querySelector('.modal') === null);
  return lines;
}

/** All that a key may change: the address, what is written and typed, the dialog, the cell, how the picture lies. */
const look = () =>
  [
    location.href,
    document.body.innerText,
    document.querySelector('.modal') === null ? '' : 'dialog',
    [...document.querySelectorAll('input, select, textarea')].map((e) => (e as HTMLInputElement).value).join('|'),
    document.activeElement?.getAttribute('data-cell') ?? document.activeElement?.tagName ?? '',
    document.querySelector('[data-testid="bar"] svg g[transform]')?.getAttribute('transform') ?? '',
    String(document.querySelectorAll('.marked').length),
    document.documentElement.dataset['bsTheme'] ?? '',
  ].join('\n');

/** Waits until the page looks other than it did. */
async function changes(before: string): Promise<boolean> {
  for (let i = 0; i < 40; i++) {
    if ((await on.page.evaluate(look)) !== before) return true;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return false;
}

/** Stands as the key wants it: in a cell, with something done and undone, away from the stage it leads to. */
async function prepared(path: string, words: string, says: string, scope: string): Promise<void> {
  await goTo(on.page, demoUrl(), path, words);
  if (says.startsWith('stage ')) {
    const other = says === 'stage route' ? 'holding' : 'route';
    await goTo(on.page, demoUrl(), path.replace(/drawing|holding|route|bench/, other), 'Sheave axle');
  }
  if (scope === 'table' || (path.startsWith('/shop') && /^(undo|redo|leave)/.test(says))) {
    await on.page.waitForSelector('[data-index="3"] [data-field="width"]');
    // a cell amid others, the one above it full
    await on.page.click('[data-index="4"] [data-field="width"]', { count: 3 });
    if (says === 'undo' || says === 'redo') {
      // what was typed for the key before is stored
      await on.page.keyboard.type(String(++typed));
      await on.page.keyboard.press('Enter');
      if (says === 'redo') await pressed('mod+z');
    }
    return;
  }
  const inRow = scope === 'drawing' && /row (up|down|above|below)|next row|fill down/.test(says);
  if (inRow || says.startsWith('leave a cell')) {
    await on.page.waitForSelector('[data-cell="s2.size"]');
    await on.page.focus('[data-cell="s2.size"]');
  }
  if (says === 'undo' || says === 'redo') {
    await on.page.waitForSelector('[data-cell="s2.note"]');
    await on.page.focus('[data-cell="s2.note"]');
    await on.page.keyboard.type('x');
    if (says === 'redo') await pressed('mod+z');
  }
  if (says === 'fit the picture') {
    await on.page.mouse.move(640, 180);
    await on.page.mouse.wheel({ deltaY: -400 });
    await on.page.waitForSelector('[data-testid="bar"] svg g[transform]');
  }
}

it.each([
  ['/jobs/sheave-axle/drawing', 'edge to A', 'drawing'],
  ['/jobs/sheave-axle/route', 'Part off', 'job'],
  ['/shop/tools', 'add a tool', 'table'],
])(
  'on %s',
  async (path, words, scope) => {
    await goTo(on.page, demoUrl(), path, words);
    await on.page.waitForSelector('[data-testid="bar"] svg, [data-field="nose"]');
    const lines = await listed();
    expect(lines.map((l) => l.scope)).toContain(scope);
    for (const { says, keys, scope: at } of lines)
      for (const key of keys.filter((k) => !/^shift\+[^a-z]$/.test(k))) {
        // what wants a cell, or something to undo, is tried where there are cells
        // copied and pasted cells pass by the clipboard of the system: tables.test.ts hands them over itself
        if (/^(copy the|paste) cells/.test(says)) continue;
        if (scope === 'job' && /^(undo|redo|leave a cell)/.test(says)) continue;
        await prepared(path, words, says, at);
        const before = await on.page.evaluate(look);
        await pressed(key);
        if (!(await changes(before))) throw new Error(`${key} is listed (“${says}”) and does nothing`);
        if ((await on.page.$('.modal')) !== null) await on.page.keyboard.press('Escape');
      }
  },
  180_000,
);

it('a key that is held is one press, but for the arrows; in a cell letters are letters', async () => {
  await goTo(on.page, demoUrl(), '/jobs/sheave-axle/drawing', 'edge to A');
  const rows = () => on.page.$$eval('[data-cell$=".size"]', (all) => all.length);
  const before = await rows();
  await on.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  // no letter alone changes a drawing
  for (const letter of ['r', 'a', 'b', 'g', 'x', 't'] as const) await on.page.keyboard.press(letter);
  await settle();
  expect(await rows()).toBe(before);
  await on.page.keyboard.down('Alt');
  await on.page.keyboard.down('r');
  for (let i = 0; i < 4; i++) await on.page.keyboard.down('r');
  await on.page.keyboard.up('r');
  await on.page.keyboard.up('Alt');
  await on.page.waitForFunction((n: number) => document.querySelectorAll('[data-cell$=".size"]').length === n + 1, {}, before);
  await on.page.waitForFunction(
    () => document.activeElement instanceof HTMLInputElement && document.activeElement.dataset['cell']?.endsWith('.size') === true,
  );
  await on.page.keyboard.type('12');
  await on.page.keyboard.type('u');
  expect(await on.page.evaluate(() => (document.activeElement as HTMLInputElement | null)?.value)).toBe('12u');
  await on.page.keyboard.press('Escape');
  await pressed('mod+z');
  await pressed('mod+z');
  await on.page.waitForFunction((n: number) => document.querySelectorAll('[data-cell$=".size"]').length === n, {}, before);
  await sees(on.page, 'edge to A');
});
