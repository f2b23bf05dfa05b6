import Papa from 'papaparse';
import type { Entry } from '../document';
import { readDrawing } from '../drawing';
import { inspect } from '../inspection';
import { jobOf, demoShop } from '../planner/demo.fixture';
import { readingRows, writeReadings, writeReadingsJson } from './readings';

const shop = demoShop();
const part = readDrawing(jobOf('20 h7 x 40; 30 x 20').drawing);
const line = { at: '2026-11-28T09:00:00.000Z', by: 'me', step: 'finish-turn@s1' };
const read = (id: string, piece: number, text: string, celsius?: number): Entry => ({
  ...line,
  id,
  piece,
  kind: 'reading',
  of: 's1.diameter',
  gauge: shop.gauges[0]?.id ?? 'none',
  value: { text, units: 'mm' },
  ...(celsius !== undefined && { celsius }),
});

it('every reading is a row; the last of a size has its cold size and verdict; a spreadsheet reads it back', () => {
  const log = [read('a', 1, '20.318'), read('b', 1, '19.998', 40), read('c', 2, '20.02')];
  const rows = readingRows(part, shop, log, inspect(part, shop, log), 'mm');
  const back = Papa.parse<Record<string, string>>(writeReadings(rows).trim(), { header: true }).data;
  expect(back).toHaveLength(3);
  expect(back.map((r) => [r['piece'], r['reading as typed'], r['temperature C']])).toEqual([
    ['1', '20.318', '20'],
    ['1', '19.998', '40'],
    ['2', '20.02', '20'],
  ]);
  expect(back[0]?.['verdict']).toBe('');
  // 20 mm of steel at 40 C is 0.0046 over its cold size (11.5 millionths a degree, from memory)
  expect(Number(back[1]?.['cold'])).toBeCloseTo(19.9934, 3);
  expect(back[2]?.['verdict']).toBe('over');
  expect([back[0]?.['least'], back[0]?.['most']]).toEqual(['19.979', '20']);
  const json = JSON.parse(writeReadingsJson('pin', 'mm', rows)) as { readings: unknown[]; obra: string };
  expect([json.obra, json.readings.length]).toEqual(['readings', 3]);
});

it('a gauge whose name would be a formula of a spreadsheet is no formula', () => {
  const odd = { ...shop, gauges: shop.gauges.map((g, i) => (i === 0 ? { ...g, name: '=1+1' } : g)) };
  const log = [read('a', 1, '20.318')];
  expect(writeReadings(readingRows(part, odd, log, inspect(part, odd, log), 'mm'))).toContain("'=1+1");
});
