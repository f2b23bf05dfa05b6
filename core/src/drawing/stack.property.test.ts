/* Lengths said from any face: the same part; working lengths: whatever is cut within them, every drawn length holds. */
import fc from 'fast-check';
import { blankDrawing, type Drawing, type Section } from '../document';
import { readDrawing } from './readDrawing';
import { type Stack, stackOf, workingLengths } from './stack';

const mm = (text: string) => ({ text, units: 'mm' as const });
const lengths = fc.array(
  fc.tuple(
    fc.integer({ min: 20, max: 400 }).map((v) => v / 10),
    fc.integer({ min: 1, max: 40 }).map((v) => v / 100),
  ),
  { minLength: 2, maxLength: 7 },
);

/** Rows of these lengths; each row but the first drawn by chain, from face A or from face B, the near face then being what the length ends at. */
function drawn(rows: readonly (readonly [long: number, tolerance: number])[], from: readonly ('own' | 'right' | 'left')[]): Drawing {
  const total = rows.reduce((sum, [long]) => sum + long, 0);
  let before = 0;
  const outside = rows.map(([long, tolerance], i): Section => {
    const [near, far] = [before, before + long];
    before = far;
    const how = from[i] ?? 'own';
    const value = how === 'own' ? long : how === 'right' ? far : total - near;
    return {
      id: `s${String(i)}`,
      size: mm(String(20 + 5 * (i % 3))),
      length: mm(`${value.toFixed(4)} +/-${String(tolerance)}`),
      ...(how !== 'own' && { from: how }),
    };
  });
  return { ...blankDrawing(), title: { edges: 'broken' }, outside };
}

it('the faces lie where they lie, from wherever their lengths are drawn', () => {
  fc.assert(
    fc.property(lengths, fc.array(fc.constantFrom('own' as const, 'right' as const), { minLength: 7, maxLength: 7 }), (rows, from) => {
      const [chained, other] = [readDrawing(drawn(rows, [])), readDrawing(drawn(rows, from))];
      expect(other.findings.filter((f) => f.severity === 'stop')).toEqual([]);
      other.features.forEach((f, i) => {
        expect(f.near).toBeCloseTo(chained.features[i]?.near ?? NaN, 3);
        expect(f.far).toBeCloseTo(chained.features[i]?.far ?? NaN, 3);
      });
    }),
  );
});

it('a last row that starts at face B closes the chain from the other end', () => {
  const made = drawn(
    [
      [10, 0.1],
      [20, 0.1],
      [15, 0.1],
    ],
    ['own', 'own', 'left'],
  );
  // its near face is drawn already: the length of 15 from B gives the left face
  expect(readDrawing(made).features.at(-1)).toMatchObject({ near: -30, far: -45 });
});

it('whatever is cut within the working lengths, every drawn length is within its own', () => {
  fc.assert(
    fc.property(
      lengths,
      fc.array(fc.constantFrom('own' as const, 'right' as const), { minLength: 7, maxLength: 7 }),
      fc.constantFrom('right', 'left', 's0.far'),
      fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 9, maxLength: 9 }),
      (rows, from, workFrom, chance) => {
        const part = readDrawing(drawn(rows, from));
        const work = workingLengths(part, workFrom);
        const zero = part.faces[workFrom] ?? 0;
        // each face cut somewhere in its working limits
        const cut = new Map<string, number>([[workFrom, zero]]);
        work.forEach((w, i) => {
          const at = (w.max.value + w.min.value) / 2 + ((chance[i] ?? 0) * (w.max.value - w.min.value)) / 2;
          cut.set(w.face, zero + Math.sign((part.faces[w.face] ?? 0) - zero) * at);
        });
        expect(work).toHaveLength(Object.keys(part.faces).length - 1);
        for (const d of part.distances) {
          const got = Math.abs((cut.get(d.a) ?? NaN) - (cut.get(d.b) ?? NaN));
          expect(got).toBeLessThanOrEqual(d.limits.max + 1e-6);
          expect(got).toBeGreaterThanOrEqual(d.limits.min - 1e-6);
        }
      },
    ),
  );
});

const ends = (stack: Stack | undefined) => stack && { max: stack.max.value, min: stack.min.value };

it('the stack of a drawn length is that length, and a stack is never narrower than any length it goes through', () => {
  fc.assert(
    fc.property(lengths, (rows) => {
      const part = readDrawing(drawn(rows, []));
      for (const d of part.distances)
        expect(ends(stackOf(part, d.a, d.b))).toEqual({
          max: expect.closeTo(d.limits.max, 6) as number,
          min: expect.closeTo(d.limits.min, 6) as number,
        });
      const whole = stackOf(part, 'right', 'left');
      const all = ends(whole);
      const wide = (l: { max: number; min: number } | undefined) => (l ? l.max - l.min : 0);
      expect(wide(all)).toBeCloseTo(
        part.distances.reduce((sum, d) => sum + wide(d.limits), 0),
        6,
      );
      expect(ends(stackOf(part, 'left', 'right'))).toEqual(all);
      expect(stackOf(part, 'right', 'nowhere')).toBeUndefined();
      expect(whole?.spread.value).toBeLessThanOrEqual(wide(all) + 1e-9);
    }),
  );
});
