/* A part as one says it across the counter, word by word. The forms are those of shop sketches: common practice. */
import fc from 'fast-check';
import { writeSentence } from '../quantity';
import { materials } from '../standards';
import { readDrawing } from './readDrawing';
import { readLine, unitsOfLine } from './readLine';
import { type TypedLine, typedLine } from './typedLine';

const firstWrong = ({ words }: TypedLine) => words.find((w) => w.wrong);
const said = (text: string, units: 'mm' | 'in' = 'mm') => typedLine(text, units).words.map((w) => writeSentence(w.says, units));
const drawn = (text: string, units: 'mm' | 'in' = 'mm') => {
  const line = typedLine(text, units);
  expect(firstWrong(line) && writeSentence(firstWrong(line)?.says ?? [], units)).toBeUndefined();
  return line;
};

it.each<readonly [string, readonly (readonly [string, string])[]]>([
  ['32*60', [['32', '60']]],
  ['32x60', [['32', '60']]],
  ['d32 x 60', [['32', '60']]],
  ['dia 32 x 60', [['32', '60']]],
  ['Ø32×60', [['Ø32', '60']]],
  ['25 +0.05/0 x 40', [['25 +0.05/0', '40']]],
  ['25h6*40', [['25h6', '40']]],
  ['M12 x 1.5 x 18', [['M12 x 1.5', '18']]],
  ['hex 17 x 10', [['hex 17', '10']]],
  ['1/2-13 x 3/4', [['1/2-13', '3/4']]],
])('%s is a row', (text, rows) => expect(drawn(text).drawing.outside.map((r) => [r.size.text, r.length.text])).toEqual(rows));

it.each<readonly [string, string | undefined, string | undefined]>([
  ['20 x 30 c0.5', '0.5x45', undefined],
  ['20 x 30 c0,5 c1', '0,5x45', '1x45'],
  ['20 x 30 R3', 'R3', undefined],
  ['20 x 30 1x45', '1x45', undefined],
  ['20 x 30 1x45 R2', '1x45', 'R2'],
  ['3/4 x 1-1/2 c1/32 R1/16', '1/32x45', 'R1/16'],
  ['20 h7 x 45', undefined, undefined],
])('the edges of %s', (text, near, far) => {
  const [row] = drawn(text).drawing.outside;
  expect([row?.near?.text, row?.far?.text]).toEqual([near, far]);
});

it.each<readonly [string, 'boreRight' | 'boreLeft', string, string]>([
  ['30 x 40; bore 18 H8 x 22', 'boreRight', '18 H8', '22'],
  ['30 x 40; hole 7 through', 'boreRight', '7', 'through'],
  ['30 x 40; B: tap M8x1 x 14', 'boreLeft', 'M8x1', '14'],
  ['30 x 40; from end B drill 6.8 x 20', 'boreLeft', '6.8', '20'],
  ['30 x 40; ream 12 H7 thru', 'boreRight', '12 H7 reamed', 'through'],
  ['30 x 40; A: bore 18*22', 'boreRight', '18', '22'],
])('%s is a hole', (text, end, size, length) => expect(drawn(text).drawing[end].map((r) => [r.size.text, r.length.text])).toEqual([[size, length]]));

it.each<readonly [string, string]>([
  ['brass', 'brass'],
  ['in brass', 'brass'],
  ['of stainless 316', 'stainless-316'],
  ['material: silver steel', 'silver-steel'],
  ['delrin', 'acetal'],
])('%s is the metal', (text, id) => expect(drawn(`20 x 30; ${text}`).drawing.material).toBe(id));

it.each(materials.map((m) => [m.name, m.id]))('%s of the table is understood by its name and its id', (name, id) => {
  expect(drawn(`20 x 30; ${name}`).drawing.material).toBe(id);
  expect(drawn(`20 x 30; ${id}`).drawing.material).toBe(id);
});

it.each(['4 off', '4 pcs', '4 pieces', 'make 4'])('%s is how many', (text) => expect(drawn(`20 x 30; ${text}`).pieces).toBe(4));

it.each<readonly [string, object]>([
  ['25 x 30 knurl diamond 1', { kind: 'knurl', size: { text: 'diamond 1' } }],
  ['25 x 30 c1 knurl 0.8', { kind: 'knurl', size: { text: 'diamond 0.8' } }],
  ['25 x 10 hex 17', { kind: 'hexagon', size: { text: '17' } }],
  ['25 x 10 flats 20', { kind: 'flat', size: { text: '20' }, count: 2 }],
  ['25 x 40 groove 3 x 16 at 12', { kind: 'groove', length: { text: '3' }, size: { text: '16' }, at: { text: '12' } }],
  ['25 x 40 cross hole M5 at 20', { kind: 'crossHole', size: { text: 'M5' }, at: { text: '20' } }],
])('%s has something cut in it, and is a sound drawing', (text, detail) => {
  const { drawing } = drawn(text);
  expect(drawing.details).toMatchObject([detail]);
  const part = readDrawing({ ...drawing, title: { edges: 'sharp' } });
  expect(part.findings.filter((f) => f.severity === 'stop').map((f) => writeSentence(f.says, 'mm'))).toEqual([]);
});

it('says word by word what was made of it, and where', () => {
  const text = 'M12 x 18; 25 x 38 c0.5; bore 8 x 20; brass; 4 off';
  expect(said(text)).toEqual([
    'thread M12x1.75-6g, 18 mm long',
    'Ø25, 38 mm long, edge 0.5x45',
    'from end A: hole 8, 20 deep',
    'of brass',
    '4 pieces',
  ]);
  for (const w of typedLine(text, 'mm').words) expect(text.slice(w.from, w.to)).toBe(text.slice(w.from, w.to).trim());
  expect(typedLine(text, 'mm').words.map((w) => text.slice(w.from, w.to))).toEqual(text.split('; '));
});

it('a bush in one line in inches', () => {
  const text = '1-1/4 x 1.5; bore 7/8 thru; bronze; 2 off';
  expect(unitsOfLine(text)).toBe('in');
  const { drawing, pieces } = drawn(text, 'in');
  expect(pieces).toBe(2);
  const part = readDrawing({ ...drawing, title: { edges: 'sharp' } });
  expect(part.length).toBeCloseTo(38.1, 6);
  expect(part.features.map((f) => [f.side, Number(f.nearDiameter.nominal.toFixed(3))])).toEqual([
    ['outside', 31.75],
    ['right', 22.225],
  ]);
});

it.each<readonly [string, number, RegExp]>([
  ['20 x 30; bore 8', 1, /how deep/],
  ['20 x 30; tap 8 x 20', 1, /no thread/],
  ['20 x 30; 99 off', 1, /1 to 50/],
  ['20 x 30; kryptonite', 1, /no length yet/],
  ['20 x 30; ; 4 off', 1, /empty/],
  ['M12x18; 20 x 30', 0, /pitch 18/],
  ['20 x 30 groove 3', 0, /groove is width x bottom/],
])('the first wrong place of %j is marked', (text, index, words) => {
  const line = typedLine(text, 'mm');
  const first = firstWrong(line);
  expect(line.words.findIndex((w) => w.wrong)).toBe(index);
  expect(writeSentence(first?.says ?? [], 'mm')).toMatch(words);
  const read = readLine(text, 'mm');
  expect(read.ok).toBe(false);
});

it('whatever is typed nothing throws, and every word lies in the line, one after the other', () => {
  const bits = fc.constantFrom(
    '20',
    'x',
    '30',
    ';',
    ' ',
    'M12',
    'bore',
    'B:',
    'R3',
    'c1',
    '/',
    'off',
    'brass',
    '-',
    ',',
    '*',
    'Ø',
    'knurl',
    'at',
    '0',
    '1/2',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ maxLength: 60 }),
        fc.array(bits, { maxLength: 14 }).map((b) => b.join(' ')),
      ),
      fc.constantFrom('mm', 'in'),
      (text, units) => {
        const { words } = typedLine(text, units);
        words.forEach((w, i) => {
          expect(w.from).toBeGreaterThanOrEqual(words[i - 1]?.to ?? 0);
          expect(w.to).toBeLessThanOrEqual(text.length);
          expect(writeSentence(w.says, units).length).toBeGreaterThan(0);
        });
      },
    ),
    { numRuns: 500 },
  );
});
