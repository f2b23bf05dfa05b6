/** An indexable insert, from its designation. Lengths in mm, angles in degrees. */
export interface Insert {
  readonly code: string;
  readonly shape: string;
  /** between its cutting edges at the nose; undefined for a round one */
  readonly corner: number | undefined;
  readonly clearance: number;
  /** of the inscribed circle; undefined for sizes that the usual list leaves out */
  readonly circle: number | undefined;
  /** of a cutting edge */
  readonly edge: number;
  readonly thickness: number;
  /** nose radius; 0 is sharp */
  readonly nose: number;
  /** both faces cut */
  readonly twoSided: boolean;
  /** where such an insert breaks its chips: depth on radius and feed, by its nose and the form of its face */
  readonly chips: {
    readonly class: 'fine' | 'medium' | 'rough';
    readonly depth: readonly [number, number];
    readonly feed: readonly [number, number];
  };
}

/* ISO 1832, from memory: shape (corner angle), clearance, how it is held and whether the chip breaker is on one face or both, edge length, thickness, nose. */
const shapes: Readonly<Record<string, { readonly words: string; readonly corner?: number; readonly edgeOf: (circle: number) => number }>> = {
  A: { words: 'parallelogram 85°', corner: 85, edgeOf: (d) => d },
  C: { words: 'rhombic 80°', corner: 80, edgeOf: (d) => d / Math.sin((80 * Math.PI) / 180) },
  D: { words: 'rhombic 55°', corner: 55, edgeOf: (d) => d / Math.sin((55 * Math.PI) / 180) },
  E: { words: 'rhombic 75°', corner: 75, edgeOf: (d) => d / Math.sin((75 * Math.PI) / 180) },
  H: { words: 'hexagonal', corner: 120, edgeOf: (d) => d * Math.tan(Math.PI / 6) },
  K: { words: 'parallelogram 55°', corner: 55, edgeOf: (d) => d },
  L: { words: 'rectangular', corner: 90, edgeOf: (d) => d },
  O: { words: 'octagonal', corner: 135, edgeOf: (d) => d * Math.tan(Math.PI / 8) },
  P: { words: 'pentagonal', corner: 108, edgeOf: (d) => d * Math.tan(Math.PI / 5) },
  R: { words: 'round', edgeOf: (d) => d },
  S: { words: 'square', corner: 90, edgeOf: (d) => d },
  T: { words: 'triangular', corner: 60, edgeOf: (d) => d * Math.sqrt(3) },
  V: { words: 'rhombic 35°', corner: 35, edgeOf: (d) => d / Math.sin((35 * Math.PI) / 180) },
  W: { words: 'trigon 80°', corner: 80, edgeOf: (d) => d * Math.tan(Math.PI / 6) * 1.185 },
};
const clearances: Readonly<Record<string, number>> = { A: 3, B: 5, C: 7, D: 15, E: 20, F: 25, G: 30, N: 0, P: 11 };
const circles = [3.97, 4.76, 5.56, 6.35, 7.94, 9.525, 12.7, 15.875, 19.05, 25.4, 31.75] as const;
const thicknesses: Readonly<Record<string, number>> = {
  '01': 1.59,
  T1: 1.98,
  '02': 2.38,
  T2: 2.78,
  '03': 3.18,
  T3: 3.97,
  '04': 4.76,
  '05': 5.56,
  '06': 6.35,
  '07': 7.94,
  '09': 9.52,
};
/** Held or chip breaker on both faces. */
const bothFaces = new Set(['G', 'J', 'U', 'F', 'N', 'A']);

/**
 * Reads an insert designation such as CNMG120408 or DCMT 11T304; undefined for what is not one. The chip window is a starting point: a maker's own says more.
 * @source ISO 1832, from memory; windows common practice: least depth about the nose radius, feed a quarter to three quarters of it
 */
export function readInsert(text: string): Insert | undefined {
  const read = /^\s*([A-Z])([A-Z])([A-Z])([A-Z])\s*[- ]?(\d{2})\s*([0-9T]\d)\s*(\d{2}|M0|MO)/.exec(text.toUpperCase());
  if (!read) return undefined;
  const [, shapeOf = '', clearanceOf = '', , held = '', size = '', thick = '', corner = ''] = read;
  const shape = shapes[shapeOf];
  const clearance = clearances[clearanceOf];
  const thickness = thicknesses[thick];
  if (!shape || clearance === undefined || thickness === undefined) return undefined;
  const nose = corner.startsWith('M') ? Number(size) / 2 : Number(corner) / 10;
  // the size is the whole millimetres of the edge, so the circle is the listed one whose edge it cuts short
  const circle = circles.find((d) => Math.floor(shape.edgeOf(d) + 0.02) === Number(size));
  const negative = clearance === 0;
  const kind = nose <= 0.4 && !negative ? 'fine' : nose >= 1.2 || (negative && nose > 0.8) ? 'rough' : 'medium';
  const edge = circle === undefined ? Number(size) : shape.edgeOf(circle);
  const r = Math.max(nose, 0.1);
  const least = negative ? 0.9 * r : 0.4 * r;
  return {
    code: `${shapeOf}${clearanceOf}${read[3] ?? ''}${held}${size}${thick}${corner}`,
    shape: shape.words,
    corner: shape.corner,
    clearance,
    circle,
    edge,
    thickness,
    nose,
    twoSided: bothFaces.has(held) && negative,
    chips: {
      class: kind,
      depth: [tidy2(least), tidy2(Math.min(edge / 3, { fine: 1.5, medium: 4, rough: 6 }[kind]))],
      feed: [tidy2(Math.max(0.05, 0.2 * r)), tidy2(Math.min(0.75 * r, { fine: 0.2, medium: 0.35, rough: 0.6 }[kind]))],
    },
  };
}

const tidy2 = (value: number) => Math.round(100 * value) / 100;
