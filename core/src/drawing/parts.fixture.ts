import fc from 'fast-check';
import { blankDrawing, type Detail, type Drawing, type Section } from '../document';

const mm = (text: string) => ({ text, units: 'mm' as const });
/** One decimal, as people draw. */
const tenths = (from: number, to: number) => fc.integer({ min: Math.round(10 * from), max: Math.round(10 * to) }).map((v) => v / 10);

interface Step {
  readonly kind: 'cylinder' | 'taper' | 'widening' | 'arc' | 'hollow';
  readonly by: number;
  readonly long: number;
  readonly edge: 'none' | 'chamfer' | 'radius' | 'fillet' | 'relief';
  readonly groove: boolean;
}

const step: fc.Arbitrary<Step> = fc.record({
  kind: fc.constantFrom('cylinder', 'cylinder', 'taper', 'widening', 'arc', 'hollow'),
  by: tenths(4, 12),
  long: tenths(8, 40),
  edge: fc.constantFrom('none', 'chamfer', 'radius', 'fillet', 'relief'),
  groove: fc.boolean(),
});

/**
 * Parts that are right by construction: every step is 4 mm or more of diameter up or down, every edge has room, a hole leaves wall. Volume is not known
 * beforehand here; `frusta` holds it for those made of plain rows only.
 */
export const partsByConstruction: fc.Arbitrary<Drawing> = fc
  .tuple(fc.array(step, { minLength: 1, maxLength: 8 }), fc.constantFrom('solid', 'through', 'blind', 'both'), tenths(3, 8))
  .map(([steps, inside, bore]) => {
    const outside: Section[] = [];
    const details: Detail[] = [];
    let d = 30;
    steps.forEach((s, i) => {
      // up and down in turn, so that corners of both kinds come about
      const near = tidyTo(i % 3 === 2 ? Math.max(24, d - s.by) : d + s.by);
      const far = s.kind === 'taper' ? near - 2 : s.kind === 'widening' ? near + 2 : near;
      const size =
        s.kind === 'cylinder'
          ? String(near)
          : s.kind === 'arc' || s.kind === 'hollow'
            ? `${String(near)} > ${String(near)} R${String(s.long + 1)}${s.kind === 'hollow' ? ' hollow' : ''}`
            : `${String(near)} ${far < near ? '>' : '<'} ${String(far)}`;
      const rising = near > d;
      const plain = s.kind === 'cylinder';
      const edge =
        !plain || s.edge === 'none'
          ? undefined
          : rising
            ? { chamfer: '1x45', radius: 'R0.8', fillet: '0.5x30', relief: '0.4' }[s.edge]
            : { chamfer: undefined, radius: 'R0.5', fillet: 'R0.8', relief: 'F0.4x0.2' }[s.edge];
      outside.push({ id: `s${String(i)}`, size: mm(size), length: mm(String(s.long)), ...(edge !== undefined && { near: mm(edge) }) });
      if (s.groove && plain)
        details.push({ id: `d${String(i)}`, kind: 'groove', on: `s${String(i)}`, at: mm('4'), length: mm('2'), size: mm(String(near - 2)) });
      d = far;
    });
    const hole = (id: string, length: string, far?: string): Section => ({
      id,
      size: mm(String(bore)),
      length: mm(length),
      ...(far !== undefined && { far: mm(far) }),
    });
    return {
      ...blankDrawing(),
      title: { edges: 'all edges broken 0.2 mm' },
      outside,
      details,
      boreRight: inside === 'through' ? [hole('h', 'through')] : inside === 'solid' ? [] : [hole('h', '2', inside === 'both' ? 'flat' : '118')],
      boreLeft: inside === 'both' ? [hole('g', '2', 'flat')] : [],
    };
  });

const tidyTo = (v: number) => Math.round(v * 10) / 10;

/** Plain cylinders and tapers only, with the sum of their frusta, mm3. */
export const frusta: fc.Arbitrary<readonly [drawing: Drawing, volume: number]> = fc
  .array(fc.tuple(tenths(5, 80), tenths(5, 80), tenths(1, 60)), { minLength: 1, maxLength: 12 })
  .map((rows) => {
    const outside = rows.map(([a, b, long], i): Section => ({
      id: `s${String(i)}`,
      size: mm(a === b ? String(a) : `${String(a)} > ${String(b)}`),
      length: mm(String(long)),
    }));
    const volume = rows.reduce((sum, [a, b, long]) => sum + (Math.PI / 12) * long * (a * a + a * b + b * b), 0);
    return [{ ...blankDrawing(), outside }, volume] as const;
  });
