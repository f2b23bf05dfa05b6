/* Contacts, made: every pair of what moves and what stands brought to 0.05 mm of overlap and of gap, 200 times each; where they touch is found by clipping, not by the way that is tested. */
import polygonClipping, { type Polygon } from 'polygon-clipping';
import fc from 'fast-check';
import { midShop } from '../shop';
import { type Convex, hullOf, movedBy, overlapOf, sweptAlong } from '../stock';
import { type Outline, outlineOf } from '../tooling';
import { type Body, contactsOf, type Motion } from './bodies';

const tools = midShop().tools.filter((t) => ['turn', 'face', 'part', 'groove', 'thread', 'form', 'knurl'].includes(t.kind));
const closed = (of: Convex): Polygon => [[...of, of[0] ?? [0, 0]].map(([z, r]) => [z, r] as [number, number])];
/** Do two outlines share any area: by the clipping library. */
const meet = (a: Convex, b: Convex) => polygonClipping.intersection(closed(a), closed(b)).length > 0;

const point = fc.tuple(fc.integer({ min: -400, max: 400 }), fc.integer({ min: 0, max: 600 })).map(([z, r]) => [z / 10, r / 10] as const);
const motion = fc
  .record({ from: point, along: fc.constantFrom('axis', 'cross', 'slope'), by: fc.integer({ min: 5, max: 300 }) })
  .map(({ from, along, by }): Motion => {
    const [x, r] = from;
    const to = along === 'axis' ? [x - by / 5, r] : along === 'cross' ? [x, Math.max(0, r - by / 10)] : [x - by / 5, r + by / 40];
    return { from, to: to as unknown as readonly [number, number], cuts: false };
  });
/** Jaws, quills, steadies and work are boxes; a centre has a cone. */
const shapes: Readonly<Record<Body['is'], fc.Arbitrary<Convex>>> = (() => {
  const box = fc.tuple(fc.integer({ min: 20, max: 600 }), fc.integer({ min: 20, max: 600 })).map(([w, h]): Convex => [
    [0, 0],
    [w / 10, 0],
    [w / 10, h / 10],
    [0, h / 10],
  ]);
  const cone = fc.integer({ min: 40, max: 200 }).map((r): Convex =>
    hullOf([
      [0, 0],
      [r / 10 / Math.tan(Math.PI / 6), r / 10],
      [30 + r / 5, r / 10],
      [30 + r / 5, 0],
    ]),
  );
  return { jaws: box, chuck: box, centre: cone, tailstock: box, steady: box, part: box, bar: box };
})();

/** Moved along a direction from clear of the swept outline until they just touch. */
function touching(swept: Convex, body: Convex, [uz, ur]: readonly [number, number]): number | undefined {
  const at = (t: number) => movedBy(body, [t * uz, t * ur]);
  let inn = -500;
  while (inn < 500 && !meet(swept, at(inn))) inn += 2;
  if (inn >= 500) return undefined;
  let out = inn - 2;
  for (let i = 0; i < 50; i++) {
    const middle = (out + inn) / 2;
    if (meet(swept, at(middle))) inn = middle;
    else out = middle;
  }
  return inn;
}

describe.each(['tool', 'holder', 'carriage'] as const)('%s', (moving) => {
  it.each(Object.keys(shapes) as Body['is'][])('against %s: 0.05 mm of overlap is found, 0.05 mm of gap is not', (is) => {
    let tried = 0;
    fc.assert(
      fc.property(fc.constantFrom(...tools), motion, shapes[is], fc.constantFrom([1, 0], [-1, 0], [0, 1], [0, -1]), (tool, way, shape, u) => {
        const bodies = outlineOf(tool);
        const swept = sweptAlong(bodies[moving], way.from, way.to);
        const direction = u as unknown as readonly [number, number];
        const middle = (of: Convex, k: 0 | 1) => of.reduce((sum, p) => sum + p[k], 0) / of.length;
        // on the line between their middles, so that they meet with a face or a corner, not in passing
        const centred = movedBy(shape, [middle(swept, 0) - middle(shape, 0), middle(swept, 1) - middle(shape, 1)]);
        const t = touching(swept, centred, direction);
        if (t === undefined) return;
        tried++;
        const only: Outline = { tool: [], holder: [], carriage: [], [moving]: bodies[moving] };
        const standing = (by: number): readonly Body[] => [{ is, outline: movedBy(centred, [(t + by) * direction[0], (t + by) * direction[1]]) }];
        expect(contactsOf([way], only, standing(0.05)).map((c) => [c.moving, c.standing])).toEqual([[moving, is]]);
        expect(contactsOf([way], only, standing(-0.05))).toEqual([]);
      }),
      { numRuns: 200, seed: 41 },
    );
    expect(tried).toBeGreaterThanOrEqual(200);
  });
});

it('the shortest way apart is that of two boxes, by hand', () => {
  const box = (z: number, r: number): Convex => [
    [z, r],
    [z + 10, r],
    [z + 10, r + 4],
    [z, r + 4],
  ];
  expect(overlapOf(box(0, 0), box(9.5, 1))).toBeCloseTo(0.5, 9);
  expect(overlapOf(box(0, 0), box(3, 3.75))).toBeCloseTo(0.25, 9);
  expect(overlapOf(box(0, 0), box(10, 0))).toBeLessThanOrEqual(0);
  expect(overlapOf(box(0, 0), box(20, 0))).toBeLessThanOrEqual(0);
});
