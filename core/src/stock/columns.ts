import { type Region, snap } from './region';

/*
 * Regions combined column by column: where every ring of both meets a line across the axis in one stretch, as nearly all stock and all that straight tools sweep does,
 * what is left between two corners lies between two straight lines, and needs no search for crossings among all edges.
 */

/** A line from left to right; two points at one z are a step. */
interface Chain {
  readonly z: Float64Array;
  readonly r: Float64Array;
}

/** A ring as what lies between two lines. */
interface Column {
  readonly low: Chain;
  readonly up: Chain;
}

const known = new WeakMap<Float64Array, Column | 'other'>();

/** 'other' where a ring turns back along the axis. */
function columnOf(ring: Float64Array): Column | 'other' {
  const before = known.get(ring);
  if (before) return before;
  const made = readColumn(ring);
  known.set(ring, made);
  return made;
}

function readColumn(ring: Float64Array): Column | 'other' {
  const n = ring.length / 2;
  let twice = 0;
  let [first, last] = [0, 0];
  for (let i = 0, j = n - 1; i < n; j = i++) {
    const [zi, ri, zj, rj] = [ring[2 * i] ?? 0, ring[2 * i + 1] ?? 0, ring[2 * j] ?? 0, ring[2 * j + 1] ?? 0];
    twice += zj * ri - zi * rj;
    const [zf, zl] = [ring[2 * first] ?? 0, ring[2 * last] ?? 0];
    if (zi < zf || (zi === zf && ri < (ring[2 * first + 1] ?? 0))) first = i;
    if (zi > zl || (zi === zl && ri < (ring[2 * last + 1] ?? 0))) last = i;
  }
  if (twice === 0) return 'other';
  // from the lowest corner at the left along the lower side to the lowest at the right, and along the upper one
  const on = twice > 0 ? 1 : n - 1;
  const [low, up] = [chainOf(ring, first, last, on), chainOf(ring, first, last, n - on)];
  return low && up ? { low, up } : 'other';
}

function chainOf(ring: Float64Array, from: number, to: number, on: number): Chain | undefined {
  const n = ring.length / 2;
  const [zs, rs]: [number[], number[]] = [[], []];
  for (let i = from; ; i = (i + on) % n) {
    const z = ring[2 * i] ?? 0;
    if (z < (zs.at(-1) ?? -Infinity)) return undefined;
    zs.push(z);
    rs.push(ring[2 * i + 1] ?? 0);
    if (i === to) return { z: Float64Array.from(zs), r: Float64Array.from(rs) };
  }
}

/** A chain read from left to right. */
class Reader {
  private i = 0;
  readonly to: number;
  private readonly chain: Chain;
  private readonly first: number;
  constructor(chain: Chain, first: number) {
    this.chain = chain;
    this.first = first;
    this.to = chain.z.at(-1) ?? 0;
  }

  get from(): number {
    return this.chain.z[0] ?? 0;
  }

  /** Which edge it stands on, among those of all chains. */
  get edge(): number {
    return this.first + this.i;
  }

  /** Goes on to the edge right of z; says where it ends. */
  next(z: number): number {
    const { z: zs } = this.chain;
    while (this.i < zs.length - 2 && (zs[this.i + 1] ?? 0) <= z) this.i++;
    return zs[this.i + 1] ?? Infinity;
  }

  at(z: number): number {
    const { z: zs, r: rs } = this.chain;
    const [z0, z1, r0, r1] = [zs[this.i] ?? 0, zs[this.i + 1] ?? 0, rs[this.i] ?? 0, rs[this.i + 1] ?? 0];
    return z === z0 || r0 === r1 ? r0 : z === z1 ? r1 : r0 + ((r1 - r0) * (z - z0)) / (z1 - z0);
  }
}

/** Heights under this are none, mm. */
const NONE = 1e-9;

/** One side of what is gathered: its corners, which edge the last stretch ran on, and how many corners there were where it set out on that. */
interface Side {
  readonly corners: number[];
  edge: number;
  begun: number;
}

const side = (): Side => ({ corners: [], edge: -1, begun: 0 });

/** The metal that is left, gathered from left to right in pieces that hang together. */
class Gathered {
  readonly region: Float64Array[][] = [];
  private low = side();
  private up = side();
  private over = 0;
  private under = 0;

  /** A stretch of metal between two edges: at its left from l0 to u0, at its right from l1 to u1. */
  add(lowEdge: number, upEdge: number, z0: number, l0: number, u0: number, z1: number, l1: number, u1: number): void {
    const joined = this.low.corners.at(-2) === snap(z0) && Math.min(u0, this.over) - Math.max(l0, this.under) > NONE;
    if (!joined) this.close();
    goOn(this.low, lowEdge, z0, l0, z1, l1);
    goOn(this.up, upEdge, z0, u0, z1, u1);
    this.under = l1;
    this.over = u1;
  }

  close(): void {
    const [ring, back] = [this.low.corners, this.up.corners];
    if (ring.length === 0) return;
    for (let i = back.length - 2; i >= 0; i -= 2) {
      const [z, r] = [back[i] ?? 0, back[i + 1] ?? 0];
      const n = ring.length;
      if ((z !== ring[n - 2] || r !== ring[n - 1]) && (z !== ring[0] || r !== ring[1])) ring.push(z, r);
    }
    const plain = withoutIdle(ring);
    if (plain.length >= 6) this.region.push([Float64Array.from(plain)]);
    this.low = side();
    this.up = side();
  }
}

/** On along the same edge its end moves; along another it turns. */
function goOn(of: Side, edge: number, z0: number, r0: number, z1: number, r1: number): void {
  const { corners } = of;
  if (of.edge === edge) corners.length = of.begun;
  else {
    push(corners, z0, r0);
    of.begun = corners.length;
    of.edge = edge;
  }
  push(corners, z1, r1);
}

const push = (corners: number[], z: number, r: number): void => {
  const [sz, sr] = [snap(z), snap(r)];
  const n = corners.length;
  if (n === 0 || corners[n - 2] !== sz || corners[n - 1] !== sr) corners.push(sz, sr);
};

/** Less than a corner on the grid can turn, mm2. */
const STRAIGHT = 0.5e-8;

/** A ring without corners that are met twice or lie on the line between their neighbours. */
function withoutIdle(ring: number[]): number[] {
  for (let again = true; again;) {
    again = false;
    const kept: number[] = [];
    const n = ring.length;
    for (let i = 0; i < n; i += 2) {
      const k = kept.length;
      const [pz, pr] = k > 0 ? [kept[k - 2] ?? 0, kept[k - 1] ?? 0] : [ring[n - 2] ?? 0, ring[n - 1] ?? 0];
      const [z, r] = [ring[i] ?? 0, ring[i + 1] ?? 0];
      const j = (i + 2) % n;
      const cross = (z - pz) * ((ring[j + 1] ?? 0) - r) - (r - pr) * ((ring[j] ?? 0) - z);
      if (Math.abs(cross) < STRAIGHT) again = true;
      else kept.push(z, r);
    }
    ring = kept;
    if (ring.length < 6) return [];
  }
  return ring;
}

/** One region less another, or what is in both; undefined where it cannot be told column by column. */
export function byColumns(operation: 'difference' | 'intersection', a: Region, b: Region): Region | undefined {
  let left: Region | undefined = a;
  const both: Float64Array[][] = [];
  for (const rings of b) {
    const made: Region | undefined = combineEach(operation, operation === 'difference' ? left : a, rings);
    if (!made) return undefined;
    left = made;
    if (operation === 'intersection') both.push(...(made as Float64Array[][]));
  }
  return operation === 'difference' ? left : both;
}

function combineEach(operation: 'difference' | 'intersection', a: Region, rings: readonly Float64Array[]): Region | undefined {
  const [ring, hole] = rings;
  const cut = ring && !hole ? columnOf(ring) : 'other';
  if (cut === 'other') return undefined;
  const gathered = new Gathered();
  for (const own of a) {
    const [outer, holeOf] = own;
    const of = outer && !holeOf ? columnOf(outer) : 'other';
    if (of === 'other' || !between(operation, of, cut, gathered)) return undefined;
    gathered.close();
  }
  return gathered.region;
}

/** Gathers what is left of one ring, or in both; false where a column is left in two parts. */
function between(operation: 'difference' | 'intersection', a: Column, b: Column, gathered: Gathered): boolean {
  const [al, au] = [new Reader(a.low, 0), new Reader(a.up, a.low.z.length)];
  const first = a.low.z.length + a.up.z.length;
  const [bl, bu] = [new Reader(b.low, first), new Reader(b.up, first + b.low.z.length)];
  const from = operation === 'difference' ? al.from : Math.max(al.from, bl.from);
  const to = operation === 'difference' ? al.to : Math.min(al.to, bl.to);
  for (let z = from; z < to;) {
    let end = Math.min(to, al.next(z), au.next(z));
    const beside = z < bl.from || z >= bl.to;
    if (beside) {
      if (z < bl.from) end = Math.min(end, bl.from);
      gathered.add(al.edge, au.edge, z, al.at(z), au.at(z), end, al.at(end), au.at(end));
      z = end;
      continue;
    }
    end = Math.min(end, bl.next(z), bu.next(z));
    const [l0, u0, bl0, bu0] = [al.at(z), au.at(z), bl.at(z), bu.at(z)];
    const [l, u, bLow, bUp] = [al.at(end) - l0, au.at(end) - u0, bl.at(end) - bl0, bu.at(end) - bu0];
    // as far as no two of the lines cross
    let share = meet(u0 - bl0, u - bLow, meet(l0 - bu0, l - bUp, 1));
    share = meet(u0 - bu0, u - bUp, meet(l0 - bl0, l - bLow, share));
    const met = z + share * (end - z);
    const on = share < 1 && met > z ? met : end;
    const [l1, u1, bl1, bu1] = [al.at(on), au.at(on), bl.at(on), bu.at(on)];
    if (operation === 'intersection') {
      const [low, up] = [over(l0, l1, bl0, bl1), over(u0, u1, bu0, bu1)];
      stretch(gathered, low ? al.edge : bl.edge, up ? bu.edge : au.edge, z, low ? l0 : bl0, up ? bu0 : u0, on, low ? l1 : bl1, up ? bu1 : u1);
    } else {
      const [cutFromAbove, cutFromBelow] = [over(u0, u1, bl0, bl1), over(bu0, bu1, l0, l1)];
      const inner = stretch(gathered, al.edge, cutFromAbove ? bl.edge : au.edge, z, l0, cutFromAbove ? bl0 : u0, on, l1, cutFromAbove ? bl1 : u1);
      const outer = stretch(gathered, cutFromBelow ? bu.edge : al.edge, au.edge, z, cutFromBelow ? bu0 : l0, u0, on, cutFromBelow ? bu1 : l1, u1);
      if (inner && outer) return false;
    }
    z = on;
  }
  return true;
}

const stretch = (
  gathered: Gathered,
  lowEdge: number,
  upEdge: number,
  z0: number,
  l0: number,
  u0: number,
  z1: number,
  l1: number,
  u1: number,
): boolean => {
  if (u0 - l0 + u1 - l1 <= NONE) return false;
  gathered.add(lowEdge, upEdge, z0, l0, u0, z1, l1, u1);
  return true;
};

/** One line lies over another in the middle of a stretch. */
const over = (p0: number, p1: number, q0: number, q1: number): boolean => p0 + p1 > q0 + q1;

/** The share of a stretch after which two lines meet within it, where that is less than the one given; `apart` at its beginning, and by how much that changes. */
function meet(apart: number, changes: number, share: number): number {
  const then = apart + changes;
  if (Math.abs(apart) < NONE || Math.abs(then) < NONE || apart > 0 === then > 0) return share;
  return Math.min(share, -apart / changes);
}
