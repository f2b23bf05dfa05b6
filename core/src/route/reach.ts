import { type Feature, isShaped, type Part, widestOf } from '../drawing';

export type Reach = Readonly<Record<string, 'right' | 'left' | 'neck'>>;

/** Which rows each end can reach: a row is reached when nothing nearer to that end is larger. The right end goes first. */
export function reachOf(features: readonly Feature[]): Reach {
  const rows = features.filter((f) => f.side === 'outside');
  const size = (f: Feature) => widestOf(f).nominal;
  const reach: Record<string, 'right' | 'left' | 'neck'> = {};
  rows.forEach((row, i) => {
    const visible = (others: readonly Feature[]) => others.every((o) => size(o) <= size(row) + 1e-9);
    // a thread at the left end is begun from its own end, where there is something plain to hold it by
    const ownEnd = row.form === 'thread' && i > 0 && i === rows.length - 1 && rows.slice(0, i).some((o) => o.form === 'cylinder');
    reach[row.id] = visible(rows.slice(0, i)) && !ownEnd ? 'right' : visible(rows.slice(i + 1)) ? 'left' : 'neck';
  });
  return reach;
}

/** Room between the jaws and a shoulder that is turned beside them, mm. @source clearance, common practice */
const BESIDE = 2;

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

/** The widest finished row that leaves the left end free; threads are not gripped. @source grip-last, soft-pads, common practice */
export function grippingOf(part: Part, reach: Reach): Gripping {
  const rows = part.features.filter((f) => f.side === 'outside' && f.form !== 'thread' && !isShaped(f) && reach[f.id] === 'right');
  const long = (f: Feature) => f.near - f.far;
  // of a thin ring most is held and the rest stands out
  const free = (f: Feature) => Math.min(long(f) / 3, f.far > -part.length + 1e-6 ? BESIDE : Math.max(3, (f.chamferFar ?? 0) + 2));
  const row =
    rows.toReversed().find((f) => long(f) - free(f) >= 6) ??
    rows.toSorted((a, b) => long(b) - long(a))[0] ??
    part.features.find((f) => f.side === 'outside');
  if (!row) return { diameter: 1, room: 1, z: 0, row: '', sound: true, inside: () => 0 };
  const z = row.far + free(row);
  const room = Math.max(1, long(row) - free(row) - (row.chamferNear ?? 0));
  return {
    diameter: widestOf(row).nominal,
    room,
    z,
    row: row.id,
    sound: !isShaped(row) && row.form !== 'thread',
    inside: (grip) => Math.max(0, -(z + grip)),
  };
}
