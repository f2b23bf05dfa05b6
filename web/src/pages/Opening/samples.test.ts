/* The samples of the opening page are drawn from kept outlines: they are what their lines come to. */
import { blankDrawing } from '@obra/core/document';
import { readDrawing } from '@obra/core/drawing';
import { regionOf } from '@obra/core/stock';
import { samples } from './samples.table';

it.each(samples.map((s) => [s.says, s] as const))('%s', (_, { rows, units, outline, long, radius }) => {
  const outside = rows.map(([size, length], i) => ({ id: `s${String(i + 1)}`, size: { text: size, units }, length: { text: length, units } }));
  const part = readDrawing({ ...blankDrawing(), outside });
  expect(part.findings.filter((f) => f.severity === 'stop')).toEqual([]);
  expect(regionOf(part.contour).map(([ring]) => Array.from(ring ?? [], (v) => Math.round(v * 100) / 100))).toEqual(outline);
  expect([part.length, Math.max(...part.features.map((f) => f.nearDiameter.nominal / 2))]).toEqual([long, radius]);
});
