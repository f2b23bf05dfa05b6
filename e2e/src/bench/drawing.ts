import { readDrawing } from '@obra/core/drawing';
import { readDxf } from '@obra/core/exchange';
import { measured, report } from './report';
import { demoJob, longShaft } from './shafts';

/** A drawing of the demo and one of 30 rows read; a drawing file of 10,000 lines and arcs made into rows. */
export async function drawing(): Promise<void> {
  for (const [name, job, aim] of [
    ['sheave-axle', demoJob('sheave-axle'), undefined],
    ['pintle-pin', demoJob('pintle-pin'), undefined],
    ['mast-dowel', demoJob('mast-dowel'), undefined],
    ['30 rows', longShaft(), 0.5],
  ] as const) {
    await measured(`drawing of ${name} read`, () => void readDrawing(job.drawing), aim);
  }
  const dxf = drawingFile(10_000);
  const reads = Array.from({ length: 9 }, () => {
    const start = performance.now();
    const made = readDxf(dxf, { units: 'mm' });
    if (!made.ok || made.drawing.outside.length !== 200) throw new Error('the drawing was not read');
    return performance.now() - start;
  });
  report('DXF of 10,000 into rows', reads, 1000);
  // no hatching that is left out by its layer, but one outline that is no part
  const long = ['0\nSECTION\n2\nENTITIES', ...Array.from({ length: 200_000 }, (_, i) => jag(i)), '0\nENDSEC\n0\nEOF'].join('\n');
  const start = performance.now();
  const made = readDxf(long, { units: 'mm' });
  if (made.ok) throw new Error('an outline of 200,000 pieces was taken as a part');
  report('DXF of 200,000, refused in words', [performance.now() - start], 5000);
}

const jag = (i: number): string =>
  `0\nLINE\n8\n0\n10\n${String(i / 20)}\n20\n${String(i === 0 ? 0 : 10 + (i % 2))}\n11\n${String((i + 1) / 20)}\n21\n${String(10 + ((i + 1) % 2))}`;

/** A full drawing of 10,000 lines and arcs: an outline of 200 rows, the rest hatching and dimensions. */
function drawingFile(count: number): string {
  const line = (x0: number, y0: number, x1: number, y1: number, layer: string) =>
    `0\nLINE\n8\n${layer}\n10\n${String(x0)}\n20\n${String(y0)}\n11\n${String(x1)}\n21\n${String(y1)}`;
  const rows = Array.from({ length: 200 }, (_, i) => 10 + ((i * 7) % 9));
  const outline = rows.flatMap((r, i) => [line(5 * i, r, 5 * i + 5, r, 'PART'), line(5 * i + 5, r, 5 * i + 5, rows[i + 1] ?? 0, 'PART')]);
  const all = [
    line(0, 0, 0, rows[0] ?? 0, 'PART'),
    ...outline,
    ...Array.from({ length: count - outline.length - 1 }, (_, i) => line(i % 1000, 0, (i % 1000) + 5, 5, 'HATCH')),
  ];
  return ['0\nSECTION\n2\nENTITIES', ...all, '0\nENDSEC\n0\nEOF'].join('\n');
}
