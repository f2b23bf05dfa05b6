/* How a solid is looked at. */
import { axesOf, extentOf, reachUp } from './stage';

const corners = new Float32Array([-100, -10, -10, 0, 10, 10, -100, 10, -10]);
const cut = { corners, metal: 3, edges: new Float32Array() };
const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, v, i) => sum + v * (b[i] ?? 0), 0);

it('as it lies in the lathe: end A at the right, up is up, seen from the front', () => {
  const { right, up, to } = axesOf({ turn: 0, tip: 0 });
  expect(right).toEqual([1, -0, 0]);
  expect(up.map(Math.abs)).toEqual([0, 0, 1]);
  expect(to.map((v) => v + 0)).toEqual([0, -1, 0]);
});

it.each([
  [24, 28],
  [-200, 75],
  [90, -90],
])('turned by %s and tipped by %s the picture has square axes', (turn, tip) => {
  const { right, up, to } = axesOf({ turn, tip });
  for (const axis of [right, up, to]) expect(dot(axis, axis)).toBeCloseTo(1, 12);
  expect(dot(right, up)).toBeCloseTo(0, 12);
  expect(dot(right, to)).toBeCloseTo(0, 12);
  // to the right, up, towards: the hand of the axes is kept
  expect(dot([right[1] * up[2] - right[2] * up[1], right[2] * up[0] - right[0] * up[2], right[0] * up[1] - right[1] * up[0]], to)).toBeCloseTo(1, 12);
});

it('all of it is seen, however it is turned', () => {
  const extent = extentOf(cut);
  expect(extent).toEqual({ middle: [-50, 0, 0], half: [50, 10, 10] });
  for (const [turn, tip] of [
    [0, 0],
    [24, 28],
    [90, 10],
    [45, 90],
  ] as const) {
    const top = reachUp({ turn, tip, zoom: 1 }, extent, 1280, 220);
    const { right, up } = axesOf({ turn, tip });
    for (let i = 0; i < corners.length; i += 3) {
      const p = [0, 1, 2].map((k) => (corners[i + k] ?? 0) - (extent.middle[k] ?? 0));
      expect(Math.abs(dot(p, up))).toBeLessThan(top);
      expect(Math.abs(dot(p, right))).toBeLessThan((top * 1280) / 220);
    }
  }
  expect(reachUp({ turn: 0, tip: 0, zoom: 2 }, extent, 1280, 220)).toBeCloseTo(reachUp({ turn: 0, tip: 0, zoom: 1 }, extent, 1280, 220) / 2, 12);
});
