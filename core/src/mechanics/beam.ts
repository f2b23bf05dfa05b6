import { alike, atMost, ROUNDING } from '../quantity';
/** A stretch of a round bar between two places, mm from the jaws; hollow where `inside` is given. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  /** mm */
  readonly diameter: number;
  readonly inside?: number;
}

/** What carries the bar sideways at one place: a centre, a steady, a follow rest. */
export interface Rest {
  /** mm from the jaws */
  readonly at: number;
  /** N/mm; Infinity for a rigid one */
  readonly stiffness: number;
}

/** A stepped round bar and how it is held. Without a clamp it lies between its first two rests. */
export interface Beam {
  readonly stretches: readonly Stretch[];
  /** N/mm2 */
  readonly modulus: number;
  /** the chuck: N/mm sideways and N mm/rad in tilt; Infinity for a rigid one */
  readonly clamp?: { readonly lateral: number; readonly angular: number };
  readonly rests: readonly Rest[];
  /** kg/m3; its own weight counts where given */
  readonly density?: number;
}

export interface Load {
  /** mm from the jaws */
  readonly at: number;
  /** N, sideways */
  readonly force: number;
}

export interface Bent {
  /** sideways, mm, at a place */
  readonly at: (x: number) => number;
  /** radians */
  readonly slope: (x: number) => number;
  /** N, of each rest, against the load; of a beam without a clamp all of them */
  readonly reactions: readonly number[];
}

/** Bending moment and what the supports of the statically determinate base give way, for one unit cause. */
interface Cause {
  readonly moment: (x: number) => number;
  /** force and moment on the clamp, or forces on the two rests */
  readonly first: number;
  readonly second: number;
  /** where its moment has corners */
  readonly corners: readonly number[];
}

const G = 9.80665;

/**
 * Bends a stepped bar by the force method: the chuck as two springs (or two rests) carries it alone, every further rest is an unknown force with its own
 * give. Exact for any step length: the integrals are of polynomials up to the third degree, by Simpson.
 * @throws RangeError where stretches do not join from 0 on, a load or rest is beside the bar, or nothing holds it
 * @source principle of virtual forces (unit-load method); Maxwell and Mohr
 */
export function bend(beam: Beam, loads: readonly Load[]): Bent {
  const length = check(beam, loads);
  const rests = beam.rests.toSorted((a, b) => a.at - b.at);
  const base = beam.clamp ? [] : rests.slice(0, 2);
  const extra = beam.clamp ? rests : rests.slice(2);
  const unit = (at: number): Cause => (beam.clamp ? clampedUnit(at) : restedUnit(at, base));
  const couple = (at: number): Cause => (beam.clamp ? clampedCouple(at) : restedCouple(at, base));
  const give = (a: Cause, b: Cause): number => {
    const [k1, k2] = beam.clamp ? [beam.clamp.lateral, beam.clamp.angular] : [base[0]?.stiffness ?? Infinity, base[1]?.stiffness ?? Infinity];
    return (a.first * b.first) / k1 + (a.second * b.second) / k2;
  };
  const grid = cellsOf(beam, [...rests.map((r) => r.at), ...loads.map((l) => l.at)]);
  const between = (a: Cause, b: Cause): number => integral(grid, [...a.corners, ...b.corners], (x) => a.moment(x) * b.moment(x)) + give(a, b);
  const causes = loads.map((l) => ({ force: l.force, cause: unit(l.at) }));
  const weight = beam.density === undefined ? undefined : weightOf(beam, length, base);
  // what the base alone gives way at a cause
  const alone = (c: Cause): number => causes.reduce((sum, l) => sum + l.force * between(c, l.cause), weight ? between(c, weight) : 0);
  const units = extra.map((r) => unit(r.at));
  const matrix = units.map((a, i) => units.map((b, j) => between(a, b) + (i === j ? 1 / (extra[i]?.stiffness ?? Infinity) : 0)));
  const unknown = solve(
    matrix,
    units.map((u) => alone(u)),
  );
  const total = (c: Cause): number => alone(c) - unknown.reduce((sum, r, i) => sum + r * between(c, units[i] ?? c), 0);
  const carried = (pick: 'first' | 'second'): number =>
    causes.reduce((sum, l) => sum + l.force * l.cause[pick], weight?.[pick] ?? 0) -
    unknown.reduce((sum, r, i) => sum + r * (units[i]?.[pick] ?? 0), 0);
  return {
    at: (x) => total(unit(x)),
    slope: (x) => total(couple(x)),
    reactions: beam.clamp ? unknown : [carried('first'), carried('second'), ...unknown],
  };
}

/**
 * How far the bar gives way at a place under one newton there, mm/N: what `bend` says, for a clamped bar by the closed integrals of two straight moments.
 * @throws RangeError as `bend` does
 */
export function complianceAt(beam: Omit<Beam, 'density'>, x: number): number {
  const { clamp } = beam;
  if (!clamp) return bend(beam, [{ at: x, force: 1 }]).at(x);
  check(beam, [{ at: x, force: 1 }]);
  const cells = beam.stretches.map((s) => ({ from: s.from, to: s.to, EI: stiffnessOf(beam.modulus, s) }));
  const between = (a: number, b: number) => lever(cells, a, b) + 1 / clamp.lateral + (a * b) / clamp.angular;
  const alone = between(x, x);
  if (beam.rests.length === 0) return alone;
  const atRests = beam.rests.map((r) => between(x, r.at));
  const matrix = beam.rests.map((a, i) => beam.rests.map((b, j) => between(a.at, b.at) + (i === j ? 1 / a.stiffness : 0)));
  return solve(matrix, atRests).reduce((sum, reaction, i) => sum - reaction * (atRests[i] ?? 0), alone);
}

/** Integral of (a - s)(b - s) / E I from the clamp to the nearer of the two places. */
function lever(cells: readonly Cell[], a: number, b: number): number {
  const end = Math.min(a, b);
  let sum = 0;
  for (const { from, to, EI } of cells) {
    if (from >= end) break;
    const s = Math.min(to, end);
    const [a1, b1, a2, b2] = [a - from, b - from, a - s, b - s];
    const mid = ((a1 + a2) * (b1 + b2)) / 4;
    // Simpson is exact for the product of two straight lines
    sum += ((s - from) * (a1 * b1 + 4 * mid + a2 * b2)) / 6 / EI;
  }
  return sum;
}

const stiffnessOf = (modulus: number, s: Stretch): number => (modulus * Math.PI * (s.diameter ** 4 - (s.inside ?? 0) ** 4)) / 64;

/** The place of a stretch of the bar where it gives way most, and how much, mm/N; found to a hundredth of the stretch. */
export function weakestOf(beam: Omit<Beam, 'density'>, from: number, to: number): { readonly at: number; readonly compliance: number } {
  const parts = 40;
  const tried = Array.from({ length: parts + 1 }, (_, i) => from + ((to - from) * i) / parts).map((at) => ({
    at,
    compliance: complianceAt(beam, at),
  }));
  return tried.reduce((worst, t) => (t.compliance > worst.compliance ? t : worst));
}

/** Cantilever from the clamp: force 1 at `at` turns by its lever, and pushes the clamp by one. */
const clampedUnit = (at: number): Cause => ({ moment: (x) => Math.max(0, at - x), first: 1, second: at, corners: [at] });
const clampedCouple = (at: number): Cause => ({ moment: (x) => (x < at ? 1 : 0), first: 0, second: 1, corners: [at] });

function restedUnit(at: number, [a, b]: readonly Rest[]): Cause {
  const [p, q] = [a?.at ?? 0, b?.at ?? 1];
  const second = (at - p) / (q - p);
  const first = 1 - second;
  const after = (x: number, from: number) => Math.max(0, x - from);
  // sagging counts as the cantilever's does: towards the load
  return { moment: (x) => after(x, at) - first * after(x, p) - second * after(x, q), first, second, corners: [at, p, q] };
}

function restedCouple(at: number, [a, b]: readonly Rest[]): Cause {
  const [p, q] = [a?.at ?? 0, b?.at ?? 1];
  const lever = 1 / (q - p);
  const after = (x: number, from: number) => Math.max(0, x - from);
  return { moment: (x) => (x > at ? -1 : 0) + lever * (after(x, p) - after(x, q)), first: -lever, second: lever, corners: [at, p, q] };
}

/** Its own weight as a cause: every stretch spread evenly. */
function weightOf(beam: Beam, length: number, base: readonly Rest[]): Cause {
  const spread = beam.stretches.map((s) => ({ ...s, w: ((beam.density ?? 0) * G * Math.PI * (s.diameter ** 2 - (s.inside ?? 0) ** 2)) / 4 / 1e9 }));
  const beyond = (x: number) =>
    spread.reduce((sum, s) => {
      const from = Math.max(s.from, x);
      return from >= s.to ? sum : sum + s.w * (s.to - from) * ((s.to + from) / 2 - x);
    }, 0);
  const total = spread.reduce((sum, s) => sum + s.w * (s.to - s.from), 0);
  const lever = spread.reduce((sum, s) => sum + (s.w * (s.to ** 2 - s.from ** 2)) / 2, 0);
  const corners = [0, length, ...spread.flatMap((s) => [s.from, s.to])];
  if (beam.clamp) return { moment: beyond, first: total, second: lever, corners };
  const [p, q] = [base[0]?.at ?? 0, base[1]?.at ?? 1];
  const second = (lever - total * p) / (q - p);
  const first = total - second;
  const before = (x: number) => beyond(x) - (lever - total * x);
  return { moment: (x) => before(x) - first * Math.max(0, x - p) - second * Math.max(0, x - q), first, second, corners };
}

/** A piece of the bar with one stiffness and no load or rest inside it. */
interface Cell {
  readonly from: number;
  readonly to: number;
  readonly EI: number;
}

function cellsOf(beam: Beam, places: readonly number[]): readonly Cell[] {
  return beam.stretches.flatMap((s) => {
    const EI = stiffnessOf(beam.modulus, s);
    return split(s.from, s.to, places).map(([from, to]) => ({ from, to, EI }));
  });
}

function split(from: number, to: number, places: readonly number[]): readonly (readonly [number, number])[] {
  const inside = places.filter((x) => x > from && x < to);
  if (inside.length === 0) return [[from, to]];
  const edges = [from, ...new Set(inside.toSorted((a, b) => a - b)), to];
  return edges.slice(1).map((b, i) => [edges[i] ?? from, b] as const);
}

/** Integral of a product of moments over E I: exact, for between two places the product is a polynomial of at most the third degree. */
function integral(cells: readonly Cell[], corners: readonly number[], product: (x: number) => number): number {
  let sum = 0;
  for (const cell of cells)
    for (const [a, b] of split(cell.from, cell.to, corners)) {
      // a step of moment at an edge counts on its own side
      const hair = (b - a) * 1e-12;
      sum += ((b - a) * (product(a + hair) + 4 * product((a + b) / 2) + product(b - hair))) / 6 / cell.EI;
    }
  return sum;
}

/** Few unknowns: elimination with the largest pivot. */
function solve(matrix: readonly (readonly number[])[], right: readonly number[]): readonly number[] {
  const rows = matrix.map((row, i) => [...row, right[i] ?? 0]);
  const n = rows.length;
  for (let c = 0; c < n; c++) {
    const pivot = rows.reduce((best, row, i) => (i >= c && Math.abs(row[c] ?? 0) > Math.abs(rows[best]?.[c] ?? 0) ? i : best), c);
    const [top, low] = [rows[pivot], rows[c]];
    if (!top || !low) continue;
    [rows[c], rows[pivot]] = [top, low];
    rows.forEach((row, i) => {
      if (i === c) return;
      const share = (row[c] ?? 0) / (top[c] ?? 1);
      for (let k = c; k <= n; k++) row[k] = (row[k] ?? 0) - share * (top[k] ?? 0);
    });
  }
  return rows.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}

function check(beam: Beam, loads: readonly Load[]): number {
  const { stretches } = beam;
  let at = 0;
  for (const s of stretches) {
    if (!alike(s.from, at, ROUNDING) || !(s.to > s.from) || !(s.diameter > (s.inside ?? 0)) || !((s.inside ?? 0) >= 0))
      throw new RangeError(`a stretch from ${s.from} to ${s.to} mm of ${s.diameter} mm, inside ${s.inside ?? 0}`);
    at = s.to;
  }
  if (!(at > 0) || !(beam.modulus > 0)) throw new RangeError(`a bar of ${at} mm, modulus ${beam.modulus}`);
  if (beam.clamp && !(beam.clamp.lateral > 0 && beam.clamp.angular > 0)) throw new RangeError('a clamp without stiffness');
  const places = [...beam.rests.map((r) => r.at), ...loads.map((l) => l.at)];
  if (places.some((x) => !(x >= 0 && atMost(x, at)))) throw new RangeError(`a load or rest beside a bar of ${at} mm`);
  if (beam.rests.some((r) => !(r.stiffness > 0))) throw new RangeError('a rest without stiffness');
  const held = new Set(beam.rests.map((r) => r.at));
  if (held.size < beam.rests.length) throw new RangeError('two rests in one place');
  if (!beam.clamp && held.size < 2) throw new RangeError('nothing holds the bar: a clamp or two rests are needed');
  return at;
}
