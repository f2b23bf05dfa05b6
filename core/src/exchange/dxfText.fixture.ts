/* DXF texts written by hand for the tests, and what is read from them in a line. */
import { writeSentence } from '../quantity';
import { readDxf, type ReadDxf } from './readDxf';

export const read = (text: string, units: 'mm' | 'in' = 'mm'): ReadDxf => {
  const made = readDxf(text, { units });
  if (!made.ok) throw new Error(writeSentence(made.says, 'mm'));
  return made;
};
export const refusal = (text: string) => {
  const made = readDxf(text, { units: 'mm' });
  return made.ok ? '' : writeSentence(made.says, 'mm');
};
export const rows = (r: ReadDxf) =>
  r.drawing.outside.map((s) => `${s.near ? `${s.near.text} ` : ''}${s.size.text} x ${s.length.text}${s.far ? ` ${s.far.text}` : ''}`);
export const holes = (list: ReadDxf['drawing']['boreRight']) => list.map((s) => `${s.size.text} x ${s.length.text}${s.far ? ` ${s.far.text}` : ''}`);

/* group codes as the published DXF description has them */
export const file = (
  entities: readonly (string | number)[],
  { units, blocks = [] }: { units?: number; blocks?: readonly (string | number)[] } = {},
) =>
  [
    ...(units === undefined ? [] : ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', units, '0', 'ENDSEC']),
    ...(blocks.length === 0 ? [] : ['0', 'SECTION', '2', 'BLOCKS', ...blocks, '0', 'ENDSEC']),
    '0',
    'SECTION',
    '2',
    'ENTITIES',
    ...entities,
    '0',
    'ENDSEC',
    '0',
    'EOF',
  ].join('\n');
export const line = (x0: number, y0: number, x1: number, y1: number, layer = '0') => ['0', 'LINE', '8', layer, 10, x0, 20, y0, 11, x1, 21, y1];
export const arc = (x: number, y: number, r: number, from: number, to: number) => ['0', 'ARC', '8', '0', 10, x, 20, y, 40, r, 50, from, 51, to];
export const poly = (points: readonly (readonly [number, number, number?])[], closed = true) => [
  '0',
  'LWPOLYLINE',
  '8',
  '0',
  90,
  points.length,
  70,
  closed ? 1 : 0,
  ...points.flatMap(([x, y, b]) => [10, x, 20, y, ...(b === undefined ? [] : [42, b])]),
];

/* 20 x 10, 30 x 25: half above y = 0 */
export const stepped = [...line(0, 0, 0, 15), ...line(0, 15, 25, 15), ...line(25, 15, 25, 10), ...line(25, 10, 35, 10), ...line(35, 10, 35, 0)];
