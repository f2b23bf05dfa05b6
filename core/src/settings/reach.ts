import { alike, atMost, exceeds, fallsShort, PLACE } from '../quantity';
import { practice } from '../shop';
import { faceOf, type Feature, innerOf, inward, isShaped, mouthOf, otherEnd, type Part, widestOf } from '../drawing';
import type { End } from '../ref';

export type Reach = Readonly<Record<string, 'right' | 'left' | 'neck'>>;

/**
 * Which rows each end can reach: a row is reached when nothing nearer to that end is larger. What both reach is turned at the end that goes first, unless it is asked
 * for at the other.
 */
export function reachOf(features: readonly Feature[], first: End, asked: ReadonlyMap<string, End> = new Map()): Reach {
  const rows = features.filter((f) => f.side === 'outside');
  const size = (f: Feature) => widestOf(f).nominal;
  const far = otherEnd(first);
  const reach: Record<string, 'right' | 'left' | 'neck'> = {};
  rows.forEach((row, i) => {
    const towards = (end: End) => (end === 'right' ? rows.slice(0, i) : rows.slice(i + 1));
    const visible = (end: End) => towards(end).every((o) => atMost(size(o), size(row)));
    // a thread at the other end is begun from its own end, where there is something plain to hold it by
    const before = towards(first);
    const ownEnd = row.form === 'thread' && before.length > 0 && towards(far).length === 0 && before.some((o) => o.form === 'cylinder');
    // a taper that falls away from this end is turned from where it opens
    const [mouth, inner] = first === 'right' ? [row.nearDiameter, row.farDiameter] : [row.farDiameter, row.nearDiameter];
    const opensThere = exceeds(mouth.nominal, inner.nominal, PLACE) && asked.get(row.id) !== first;
    const later = asked.get(row.id) === far || opensThere;
    reach[row.id] = visible(first) && !ownEnd && !(later && visible(far)) ? first : visible(far) ? far : 'neck';
  });
  return reach;
}

/** The rows that either end can reach: the widest of the outside. */
export function reachedByBoth(features: readonly Feature[]): readonly string[] {
  const [right, left] = [reachOf(features, 'right'), reachOf(features, 'left')];
  return features.filter((f) => right[f.id] === 'right' && left[f.id] === 'left').map((f) => f.id);
}

/** Between centres a row that the dog sits on is turned once the work is end for end; undefined where a larger row hides it there. */
export function besideDog(reach: Reach, part: Part, first: End, dog: number): Reach | undefined {
  const far = otherEnd(first);
  const rows = part.features.filter((f) => f.side === 'outside');
  const size = (f: Feature) => widestOf(f).nominal;
  const entries = rows.map((row, i): readonly [string, Reach[string] | undefined] => {
    const under = fallsShort(Math.abs(innerOf(row, first) - faceOf(part, far)), dog, PLACE);
    const own = reach[row.id] ?? first;
    if (own !== first || !under) return [row.id, own];
    const towards = far === 'right' ? rows.slice(0, i) : rows.slice(i + 1);
    return [row.id, towards.every((o) => atMost(size(o), size(row))) ? far : undefined];
  });
  return entries.some(([, own]) => own === undefined || own === 'neck') ? undefined : (Object.fromEntries(entries) as Reach);
}

/** Where the turned-round piece is gripped: the row, and how much of it. */
export interface Gripping {
  readonly diameter: number;
  readonly row: string;
  /** a straight finished surface; else only a thread, a taper or a ball is left to grip */
  readonly sound: boolean;
  /** most that can be gripped, mm */
  readonly room: number;
  /** z of the jaws' face */
  readonly z: number;
  /** what lies in the chuck beyond a grip of this length */
  readonly inside: (grip: number) => number;
}

/** The widest finished row that leaves the end free that is worked second; threads are not gripped. @source grip-last, soft-pads, common practice */
export function grippingOf(part: Part, reach: Reach, first: End): Gripping {
  const free = otherEnd(first);
  const rows = part.features.filter((f) => f.side === 'outside' && f.form !== 'thread' && !isShaped(f) && reach[f.id] === first);
  const long = (f: Feature) => f.near - f.far;
  const chamfers = (f: Feature) => (free === 'left' ? [f.chamferFar, f.chamferNear] : [f.chamferNear, f.chamferFar]);
  const atEnd = (f: Feature) => alike(mouthOf(f, free), faceOf(part, free));
  // of a thin ring most is held and the rest stands out
  // an edge of the next row that faces the jaws is broken beside them, and a thread runs out there: room for the tool
  const edgeBeside = (f: Feature): boolean => {
    const next = part.features.find((o) => o.side === 'outside' && reach[o.id] === free && alike(innerOf(o, free), mouthOf(f, free)));
    if (next?.form === 'thread') return true;
    const edge = free === 'left' ? next?.edgeNear : next?.edgeFar;
    return edge !== undefined && edge.kind !== 'none' && edge.kind !== 'sharp' && widestOf(next ?? f).nominal > widestOf(f).nominal;
  };
  const leave = (f: Feature) =>
    atEnd(f)
      ? Math.min(long(f) / 3, Math.max(3, (chamfers(f)[0] ?? 0) + 2))
      : edgeBeside(f)
        ? Math.min(long(f) / 2, practice.edgeBeside)
        : Math.min(long(f) / 3, practice.besideJaws);
  const fromFree = free === 'left' ? rows.toReversed() : rows;
  const roomOf = (f: Feature) => long(f) - leave(f) - (chamfers(f)[1] ?? 0);
  const wide = (f: Feature) => widestOf(f).nominal;
  const worked = Math.max(...part.features.filter((f) => f.side === 'outside').map(wide));
  // wanted is a diameter, or the length of a jaw; and nothing wider behind it in the chuck
  const enough = (f: Feature) =>
    roomOf(f) >= practice.gripWanted * Math.min(wide(f), practice.jawLong) &&
    wide(f) >= practice.stoutGrip * worked &&
    rows.every((o) => inward(free) * (mouthOf(o, free) - mouthOf(f, free)) <= 0 || wide(o) <= wide(f) + PLACE);
  const row =
    fromFree.find(enough) ??
    fromFree.find((f) => long(f) - leave(f) >= 6) ??
    rows.toSorted((a, b) => long(b) - long(a))[0] ??
    part.features.find((f) => f.side === 'outside');
  if (!row) return { diameter: 1, room: 1, z: 0, row: '', sound: true, inside: () => 0 };
  const z = mouthOf(row, free) + inward(free) * leave(row);
  const room = Math.max(1, long(row) - leave(row) - (chamfers(row)[1] ?? 0));
  return {
    diameter: widestOf(row).nominal,
    room,
    z,
    row: row.id,
    sound: !isShaped(row) && row.form !== 'thread',
    inside: (grip) => Math.max(0, inward(free) * (faceOf(part, first) - (z + inward(free) * grip))),
  };
}
