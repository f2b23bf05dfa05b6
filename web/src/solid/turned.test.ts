/* The stock of the proof gone round: what its triangles hold against Pappus, its section against the area of the region. */
import { flatBody, regionSolid, roundBody } from './turned';

/** Divergence theorem: the sum of a . (b x c) / 6. */
function held(corners: Float32Array): number {
  let sum = 0;
  for (let i = 0; i < corners.length; i += 9) {
    const [ax = 0, ay = 0, az = 0, bx = 0, by = 0, bz = 0, cx = 0, cy = 0, cz = 0] = corners.subarray(i, i + 9);
    sum += (ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx)) / 6;
  }
  return sum;
}
/** Sixteen strips a quarter lie within the true round. */
const WITHIN = (64 / (2 * Math.PI)) * Math.sin((2 * Math.PI) / 64);

it.each([
  ['a bar', [[-40, 0, 0, 0, 0, 15, -40, 15]], Math.PI * 225 * 40],
  ['a bush, the other way round', [[-30, 8, -30, 12, 0, 12, 0, 8]], Math.PI * (144 - 64) * 30],
  [
    'a groove inside the wall',
    [
      [-30, 0, 0, 0, 0, 20, -30, 20],
      [-20, 5, -20, 10, -10, 10, -10, 5],
    ],
    Math.PI * (400 * 30 - (100 - 25) * 10),
  ],
])('%s holds three quarters of its volume (Pappus)', (_, rings, whole) => {
  expect(held(regionSolid([rings.map((ring) => Float64Array.from(ring))]).corners) / (0.75 * whole * WITHIN)).toBeCloseTo(1, 5);
});

it('its two faces are the region twice, one towards the operator and one upwards', () => {
  const { corners, metal } = regionSolid([[Float64Array.of(-40, 0, 0, 0, 0, 15, -40, 15)]]);
  const faces = corners.subarray(3 * metal);
  let [up, out] = [0, 0];
  for (let i = 0; i < faces.length; i += 9) {
    const [ax = 0, ay = 0, az = 0, bx = 0, by = 0, bz = 0, cx = 0, cy = 0, cz = 0] = faces.subarray(i, i + 9);
    up += ((bx - ax) * (cy - ay) - (by - ay) * (cx - ax)) / 2;
    out += ((bx - ax) * (cz - az) - (bz - az) * (cx - ax)) / 2;
  }
  expect(up).toBeCloseTo(600, 3);
  // towards the operator is against the second axis
  expect(out).toBeCloseTo(600, 3);
});

it('a jaw is a plate as thick as it is said, wherever it stands', () => {
  const jaw = [
    [-10, 5],
    [0, 5],
    [0, 20],
    [-10, 20],
  ] as const;
  for (const angle of [0, -30, 150]) expect(Math.abs(held(flatBody(jaw, 14, angle)))).toBeCloseTo(10 * 15 * 14, 2);
  expect(held(roundBody(jaw)) / (0.75 * Math.PI * (400 - 25) * 10 * WITHIN)).toBeCloseTo(1, 5);
});
