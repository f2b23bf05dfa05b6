import { blankJob, type Entry } from '@obra/core/document';
import type { Page } from 'puppeteer-core';
import { browse } from '../harness';
import { put, record } from './jobs';
import { report } from './report';

const MANY = 10_000;
const AT = '2026-11-02T08:00:00.000Z';

/** Jobs that were made, with what the lists keep of them: a summary and a line of the logbook. */
function made(from: number, count: number, shop: number): readonly (readonly [string, unknown])[] {
  return Array.from({ length: count }, (_, k) => from + k).flatMap((i) => {
    const id = `many-${String(i)}`;
    const name = `${['Pin', 'Bush', 'Ring', 'Spindle', 'Nut'][i % 5] ?? ''} ${String(i)}`;
    const customer = `Yard ${String(i % 37)}`;
    const entry: Entry = { id: 'e', at: AT, by: 'bench', piece: 1, step: 'face@right', kind: 'done' };
    const line = {
      version: 1,
      id,
      of: `1/${String(shop)}/1`,
      issued: false,
      begun: 1,
      scrapped: 0,
      ended: AT,
      within: 3,
      out: 0,
      untold: 0,
      minutes: [12],
      words: customer,
    };
    const sum = {
      version: 3,
      id,
      revision: 1,
      saved: AT,
      name,
      customer,
      words: '',
      kept: 0,
      pieces: 1 + (i % 9),
      material: 'mild-steel',
      outline: [[0, 10, -20, 10]],
      long: 20,
      radius: 10,
      progress: { of: `1/${String(shop)}/1`, reached: 'inspection', next: ['done'] },
    };
    return [
      [`job/${id}`, record(id, { ...blankJob(name, 'mm'), customer })],
      [`log/${id}/e`, entry],
      [`sum/${id}`, sum],
      [`made/${id}`, line],
    ] as const;
  });
}

/** From the letter to the lines that it leaves, painted; for several searches, the cell emptied between them. */
async function search(page: Page, path: string, table: string, label: string): Promise<readonly number[]> {
  await page.goto(path, { waitUntil: 'load' });
  await page.waitForFunction(
    (t: string, n: number) => Number(document.querySelector(`table[aria-label="${t}"]`)?.getAttribute('aria-rowcount')) > n,
    { timeout: 120_000, polling: 200 },
    table,
    MANY,
  );
  await page.waitForSelector(`[aria-label="${label}"]`);
  await new Promise((resolve) => setTimeout(resolve, 4000));
  return page.evaluate(
    async ([t, l]) => {
      const cell = document.querySelector<HTMLInputElement>(`[aria-label="${l ?? ''}"]`);
      if (!cell) return [];
      // past what the page keeps of its value
      const write = (text: string): unknown => Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(cell, text);
      const count = () => document.querySelector(`table[aria-label="${t ?? ''}"]`)?.getAttribute('aria-rowcount') ?? '1';
      const type = (text: string) =>
        new Promise<number>((resolve) => {
          const [before, from] = [count(), performance.now()];
          write(text);
          cell.dispatchEvent(new Event('input', { bubbles: true }));
          const look = () =>
            count() === before && performance.now() - from < 3000
              ? setTimeout(look, 2)
              : requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from)));
          look();
        });
      const times: number[] = [];
      for (const text of ['Bush 7777', 'Yard 31', 'spindel 43', 'ring', 'nut 9999', 'Pin 5']) {
        times.push(await type(text));
        await type('');
      }
      return times;
    },
    [table, label],
  );
}

/** Jobs and Logbook of ten thousand, searched. */
export async function tenThousand(url: string): Promise<void> {
  const browser = await browse();
  const page = await browser.newPage();
  await page.goto(`${url}/jobs`, { waitUntil: 'networkidle0' });
  const shop = await page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const open = indexedDB.open('obra');
        open.onsuccess = () => {
          const get = open.result.transaction('records').objectStore('records').get('shop');
          get.onsuccess = () => {
            open.result.close();
            resolve((get.result as { revision?: number } | undefined)?.revision ?? 0);
          };
        };
      }),
  );
  for (let i = 0; i < MANY; i += 500) await put(page, made(i, 500, shop));
  report('10,000 jobs searched', await search(page, `${url}/jobs`, 'Jobs', 'Find in Jobs'), 100);
  report('a Logbook of 10,000 searched', await search(page, `${url}/logbook`, 'What was made', 'Find in the logbook'), 100);
  await browser.close();
}
