import type { Detail, Section } from '../document';
import { alike, MM_PER_INCH, ROUNDING, type Units } from '../quantity';
import { namedUndercut } from '../standards';
import type { ProfilePoint } from './profile';

export interface Recognised {
  readonly outside: readonly Section[];
  readonly boreRight: readonly Section[];
  readonly boreLeft: readonly Section[];
  readonly details: readonly Detail[];
}

/** Points nearer than this in one direction are in line, mm. */
const SAME = 1e-6;
/** A sloped line up to this long between a face and a row is a chamfer, not a taper, mm along the axis. */
const CHAMFER = 4;

/** A corner of a walk from a start face inwards, with the edge that was cut there; bulge of the element to the next. */
interface Point {
  readonly z: number;
  readonly r: number;
  readonly bulge: number;
  readonly edge?: string;
}

/**
 * Rows, holes and face grooves of a half section; z = 0 at its right-hand end, counter-clockwise, closed or from axis to axis.
 * @param units what sizes are written in
 */
export function recognise(points: readonly ProfilePoint[], units: Units): Recognised {
  const write = writer(units);
  const [first, last] = [points[0], points.at(-1)];
  const solid = first !== undefined && last !== undefined && first.r < SAME && last.r < SAME;
  const right = Math.max(...points.map((p) => p.z));
  const left = Math.min(...points.map((p) => p.z));
  // a ring is begun at its left mouth, so that one walk meets the hole, the right face, the outside and the left face in this order
  const ring = solid ? points : rotated(points, left);
  const outerRight = highest(ring, right);
  const outerLeft = highest(ring, left);
  const mouthRight = ring.findIndex((p) => Math.abs(p.z - right) < SAME);
  const mouthLeft = solid ? ring.findLastIndex((p) => Math.abs(p.z - left) < SAME) : 0;
  const details: Detail[] = [];
  const outer = ring.slice(outerRight, outerLeft + 1);
  const outside = rowsOf(outer, { list: 'outside', write, sign: 1, units });
  details.push(
    ...faceGrooves(ring.slice(mouthRight, outerRight + 1), 'right', write),
    ...faceGrooves(ring.slice(outerLeft, mouthLeft + 1), 'left', write),
  );
  const boreRight = rowsOf(walkedBack(ring.slice(0, mouthRight + 1)), { list: 'boreRight', write, sign: -1, units, through: !solid });
  const boreLeft = solid ? rowsOf(ring.slice(mouthLeft), { list: 'boreLeft', write, sign: 1, units }) : [];
  return { outside, boreRight, boreLeft, details };
}

/** Millimetres as a size cell takes them, exact to a hundred-millionth. */
const writer = (units: Units) => (mm: number) => String(Number((units === 'in' ? mm / MM_PER_INCH : mm).toFixed(8)));

function rotated(points: readonly ProfilePoint[], left: number): readonly ProfilePoint[] {
  const atLeft = points.flatMap((p, i) => (Math.abs(p.z - left) < SAME ? [i] : []));
  const start = atLeft.toSorted((i, j) => (points[i]?.r ?? 0) - (points[j]?.r ?? 0))[0] ?? 0;
  return [...points.slice(start), ...points.slice(0, start)];
}

function highest(points: readonly ProfilePoint[], z: number): number {
  return points.reduce((best, p, i) => (Math.abs(p.z - z) < SAME && p.r > (best < 0 ? -1 : (points[best]?.r ?? 0)) ? i : best), -1);
}

function walkedBack(points: readonly ProfilePoint[]): readonly ProfilePoint[] {
  return points.toReversed().map((p, i, all) => ({ ...p, bulge: -(all[i + 1]?.bulge ?? 0) }));
}

interface How {
  readonly list: 'outside' | 'boreRight' | 'boreLeft';
  readonly write: (mm: number) => string;
  readonly units: Units;
  /** of a bulge that is convex metal on this walk */
  readonly sign: 1 | -1;
  readonly through?: boolean;
}

function rowsOf(points: readonly ProfilePoint[], how: How): readonly Section[] {
  if (points.length < 2) return [];
  const walk = sharpened(undercutsOut(points, how), how);
  const { write, units } = how;
  const cell = (text: string) => ({ text, units });
  const rows: Section[] = [];
  const blind = how.list !== 'outside' && how.through !== true;
  for (let i = 0; i + 1 < walk.length; i++) {
    const [a, b] = [walk[i], walk[i + 1]];
    if (!a || !b || Math.abs(b.z - a.z) < SAME) continue;
    const toAxis = blind && i + 2 === walk.length && b.r < SAME && a.bulge === 0 && a.r > SAME;
    const before = rows.at(-1);
    if (toAxis && before) {
      const degrees = (360 / Math.PI) * Math.atan(a.r / Math.abs(b.z - a.z));
      if (degrees >= 60) {
        rows[rows.length - 1] = { ...before, far: { text: String(Number(degrees.toFixed(8))), units: 'mm' } };
        continue;
      }
    }
    rows.push({
      id: `${how.list === 'outside' ? 's' : how.list === 'boreRight' ? 'h' : 'g'}${String(rows.length + 1)}`,
      size: cell(sizeText(a, b, i === 0, i + 2 === walk.length, how)),
      length: cell(write(Math.abs(b.z - a.z))),
      ...(a.edge !== undefined && { near: cell(a.edge) }),
      ...(b.edge !== undefined && { far: cell(b.edge) }),
    });
  }
  const end = rows.at(-1);
  const tip = walk.at(-1);
  if (end && how.through === true) rows[rows.length - 1] = { ...end, length: cell('through') };
  else if (end && blind && end.far === undefined && tip && tip.r < SAME) rows[rows.length - 1] = { ...end, far: { text: 'flat', units: 'mm' } };
  return rows;
}

function sizeText(a: Point, b: Point, first: boolean, last: boolean, { write, sign, list }: How): string {
  const [d0, d1] = [write(2 * a.r), write(2 * b.r)];
  if (a.bulge === 0) return Math.abs(a.r - b.r) < SAME ? d0 : `${d0} > ${d1}`;
  const sweep = 4 * Math.atan(Math.abs(a.bulge));
  const chord = Math.hypot(b.z - a.z, b.r - a.r);
  const radius = chord / 2 / Math.sin(sweep / 2);
  const convex = a.bulge * sign > 0;
  const pole = (list === 'outside' && first && a.r < SAME) || (last && b.r < SAME);
  // the centre of a ball lies on the axis: from its pole one radius along
  const ball =
    convex === (list === 'outside') &&
    pole &&
    Math.abs((first && a.r < SAME ? b.r : a.r) ** 2 - (2 * radius * Math.abs(b.z - a.z) - (b.z - a.z) ** 2)) < 1e-5;
  return ball ? `ball ${write(2 * radius)}` : `${d0} > ${d1} R${write(radius)}${convex ? '' : ' hollow'}`;
}

/** Puts the corners of fillets and chamfers back, with what was cut there. */
function sharpened(points: readonly Point[], { sign, write }: How): readonly Point[] {
  const out: Point[] = [];
  for (let i = 0; i < points.length; i++) {
    const [a, b] = [points[i], points[i + 1]];
    if (!a) continue;
    const cut = b && a.edge === undefined && b.edge === undefined ? cornerOf(points[i - 1], a, b, points[i + 2], sign, write) : undefined;
    if (!cut || !b) {
      out.push(a);
      continue;
    }
    out.push({ ...cut, bulge: b.bulge });
    i++;
  }
  return out;
}

type Direction = readonly [z: number, r: number];

/** The corner that the element from a to b was cut from, or nothing. A walk begins and ends at a face. */
function cornerOf(before: Point | undefined, a: Point, b: Point, after: Point | undefined, sign: 1 | -1, write: How['write']): Point | undefined {
  const into: Direction | undefined = before ? (before.bulge === 0 ? unit(before, a) : undefined) : [0, sign > 0 ? 1 : -1];
  const out: Direction | undefined = after ? (b.bulge === 0 ? unit(b, after) : undefined) : [0, sign > 0 ? -1 : 1];
  if (!into || !out) return undefined;
  const turn = into[0] * out[1] - into[1] * out[0];
  if (Math.abs(turn) < ROUNDING) return undefined;
  const along = ((b.z - a.z) * out[1] - (b.r - a.r) * out[0]) / turn;
  const corner = { z: a.z + along * into[0], r: a.r + along * into[1] };
  if (along < -SAME || corner.r < -SAME) return undefined;
  const isFace = (d: Direction) => Math.abs(d[0]) < ROUNDING;
  if (a.bulge !== 0) {
    const angle = Math.atan2(turn, into[0] * out[0] + into[1] * out[1]);
    if (!alike(Math.tan(angle / 4), a.bulge)) return undefined;
    const radius = along / Math.tan(Math.abs(angle) / 2);
    const other = Math.hypot(b.z - corner.z, b.r - corner.r);
    return Math.abs(other - along) < 1e-5 ? { ...corner, bulge: 0, edge: `R${write(radius)}` } : undefined;
  }
  if (isFace(into) === isFace(out) || turn * sign < 0) return undefined;
  const row = isFace(into) ? out : into;
  const size = Math.abs(b.z - a.z);
  const rise = Math.abs(b.r - a.r);
  // what comes to a point is a point or the cone of a drill
  if (size > CHAMFER || size < SAME || rise < SAME || Math.min(a.r, b.r) < SAME || Math.abs(row[1]) > ROUNDING) return undefined;
  const degrees = Number(((Math.atan2(rise, size) * 180) / Math.PI).toFixed(8));
  if (degrees < 10 || degrees > 80) return undefined;
  return { ...corner, bulge: 0, edge: `${write(size)}x${String(degrees)}` };
}

const unit = (a: { z: number; r: number }, b: { z: number; r: number }): Direction => {
  const long = Math.hypot(b.z - a.z, b.r - a.r) || 1;
  return [(b.z - a.z) / long, (b.r - a.r) / long];
};

/** A relief that reaches into its shoulder runs backwards along the axis: it is known by its measures and put back as its corner. */
function undercutsOut(points: readonly ProfilePoint[], { list }: How): readonly Point[] {
  if (list !== 'outside') return points;
  const out: Point[] = [...points];
  for (let i = 0; i + 4 < out.length; i++) {
    // the face may come straight off the arc: one corner less
    for (const [count, backwards] of [
      [6, false],
      [6, true],
      [5, false],
      [5, true],
    ] as const) {
      const found = out.slice(i, i + count);
      const [row, bottom, arcA, arcB, ...rest] = backwards ? found.toReversed() : found;
      const face = rest.at(-1);
      const up = count === 6 ? rest[0] : arcB;
      if (!row || !bottom || !arcA || !arcB || !up || !face || found.length < count) continue;
      const inwards = backwards ? 1 : -1;
      const width = inwards * (face.z - row.z);
      const depth = row.r - bottom.r;
      const faceDepth = inwards * (up.z - face.z);
      const arc = backwards ? arcB.bulge : arcA.bulge;
      if (!(width > 0 && depth > 0 && faceDepth > SAME) || arc === 0 || Math.abs(bottom.r - arcA.r) > 1e-5 || Math.abs(arcB.z - up.z) > 1e-5)
        continue;
      const name = namedUndercut(width, depth, faceDepth);
      if (name === undefined) continue;
      out.splice(i, count, { z: face.z, r: row.r, bulge: 0, edge: name });
      break;
    }
  }
  return out;
}

/** Steps into an end face. */
function faceGrooves(points: readonly ProfilePoint[], end: 'right' | 'left', write: How['write']): readonly Detail[] {
  const z = points[0]?.z ?? 0;
  const found: Detail[] = [];
  const cell = (text: string) => ({ text, units: 'mm' as const });
  for (let i = 0; i + 3 < points.length; i++) {
    const [a, b, c, d] = points.slice(i, i + 4);
    if (!a || !b || !c || !d) continue;
    const flat = Math.abs(a.z - z) < SAME && Math.abs(d.z - z) < SAME && Math.abs(b.z - c.z) < SAME && Math.abs(b.z - z) > SAME;
    if (!flat || Math.abs(a.r - b.r) > SAME || Math.abs(c.r - d.r) > SAME) continue;
    const [ri, ro] = [Math.min(a.r, d.r), Math.max(a.r, d.r)];
    found.push({
      id: `f${end === 'right' ? 'r' : 'l'}${String(found.length + 1)}`,
      kind: 'faceGroove',
      on: end,
      at: cell(write(Math.abs(b.z - z))),
      length: cell(write(ro - ri)),
      size: cell(write(2 * ro)),
    });
  }
  return found;
}
