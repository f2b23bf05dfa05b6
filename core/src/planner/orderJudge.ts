import { type Part, thinThreads } from '../drawing';
import type { RuleName } from '../finding';
import type { Step, Verb } from '../operations';
import { exceeds, say, type Sentence } from '../quantity';
import { readStep } from '../ref';
import type { Setup } from '../settings';

/*
 * What an old turner looks for in the order of a sheet, written from the rules of the trade and apart from the table that orders are made by: a judge that shares the
 * maker's rules would call its mistakes right. Each entry looks at two steps of one setting as they stand, and knows when the later one had to come first.
 */

/** Two steps that stand the wrong way round. */
export interface WrongOrder {
  readonly rule: RuleName;
  readonly early: Step;
  readonly late: Step;
  readonly says: Sentence;
}

/** A setting as far as its judge looks at it. */
type Judged = Pick<Setup, 'end' | 'support' | 'steps'>;

/** A step as the judge sees it. */
interface Seen {
  readonly step: Step;
  readonly verb: Verb;
  /** the row that it works on; of a groove or knurl the one it is cut in */
  readonly row: string;
  readonly where: 'outside' | 'hole' | 'end';
  /** the diameter it leaves, mm */
  readonly to: number;
  /** z of the two ends of its row */
  readonly ends: readonly number[];
}

const kinds = {
  begins: 'load turn-round pull-out',
  opens: 'pilot drill',
  holes: 'pilot drill bore ream tap',
  shaves: 'rough-turn finish-turn neck taper form groove chamfer undercut thread die knurl',
  cutsInto: 'groove chamfer undercut thread die knurl form',
  severs: 'part-off saw-off',
  elsewhere: 'away harden temper grind surface join',
} as const;
const sets = Object.fromEntries(Object.entries(kinds).map(([kind, words]) => [kind, words.split(' ')]));
const is = (kind: keyof typeof kinds, { verb }: Seen): boolean => sets[kind]?.includes(verb) === true;
const rank = (kind: keyof typeof kinds, { verb }: Seen): number => sets[kind]?.indexOf(verb) ?? -1;

interface Around {
  readonly centre: boolean;
  readonly steady: boolean;
  /** the edge behind the blade, broken last before it severs */
  readonly behindBlade: (s: Seen) => boolean;
  /** the bar goes to the mill and back before it is severed */
  readonly onBar: boolean;
  /** works on a thread with little metal under it; of none named: there is such a thread */
  readonly thin: (s?: Seen) => boolean;
}

type Entry = readonly [rule: RuleName, says: Sentence, wrong: (early: Seen, late: Seen, around: Around) => boolean];

/** Done on the lathe, between the taking hold and the letting go. */
const onLathe = (s: Seen): boolean => !is('begins', s) && !is('severs', s) && !is('elsewhere', s) && s.verb !== 'check' && s.verb !== 'own';
const turns = (s: Seen): boolean => is('shaves', s) && s.where !== 'hole';
const sameRow = (a: Seen, b: Seen): boolean => a.row === b.row;
const touch = (a: Seen, b: Seen): boolean => a.row !== b.row && a.ends.some((z) => b.ends.includes(z));

/** Drilled so that it can be bolted by it. */
const boltedBy = (s: Seen): boolean => s.verb === 'away' && s.step.method === 'before';
/** Done beside the lathe when the turning is. */
const after = (s: Seen): boolean => is('elsewhere', s) && !boltedBy(s);

const entries: readonly Entry[] = [
  ['bolt-from-behind', say`it is bolted by its holes: they are there first`, (a, b) => boltedBy(b) && !boltedBy(a)],
  ['seat-first', say`it is held before anything is cut`, (a, b) => is('begins', b) && !is('begins', a) && !boltedBy(a)],
  [
    'chamfer-before-severing',
    say`once severed it is out of the holding: everything done there comes first`,
    (a, b) => is('severs', a) && !is('begins', b),
  ],
  [
    'release-check',
    say`what was finished here is measured before the piece leaves its holding`,
    (a, b, { behindBlade, onBar }) => (a.verb === 'check' && onLathe(b) && !(onBar && behindBlade(b))) || (after(a) && b.verb === 'check'),
  ],
  [
    'on-the-bar',
    say`milled with the whole bar behind it; its edges are broken when it is back`,
    (a, b, { behindBlade, onBar }) => onBar && behindBlade(a) && (is('elsewhere', b) || b.verb === 'check'),
  ],
  [
    'harden-last',
    say`what is done beside the lathe comes after the turning`,
    (a, b, { behindBlade, onBar }) => after(a) && onLathe(b) && !(onBar && behindBlade(b)),
  ],
  [
    'harden-last',
    say`cut first, then hardened, tempered at once, then its surface, joined last`,
    (a, b) => after(a) && is('elsewhere', b) && rank('elsewhere', a) > rank('elsewhere', b),
  ],
  [
    'chamfer-before-severing',
    say`the blade goes in only when nothing is left that pushes`,
    (a, b, { behindBlade }) => behindBlade(a) && onLathe(b) && !behindBlade(b),
  ],
  ['face-first', say`face, then all lengths have a zero`, (a, b, { behindBlade }) => b.verb === 'face' && onLathe(a) && !behindBlade(a)],
  // what carries the free end
  [
    'centre-then-support',
    say`a centre or a drill wants its seat first`,
    (a, b, { steady }) => !steady && b.verb === 'centre-drill' && b.where === 'end' && (a.verb === 'support' || is('holes', a)),
  ],
  [
    'centre-then-support',
    say`the free end is carried before it is turned`,
    (a, b, { centre, steady }) => centre && !steady && b.verb === 'support' && (turns(a) || ['cool', 'index', 'withdraw'].includes(a.verb)),
  ],
  [
    'park-the-centre',
    say`what needs the centre is done before it is withdrawn`,
    (a, b, { centre, steady, behindBlade }) =>
      centre && !steady && a.verb === 'withdraw' && (turns(b) || b.verb === 'cool' || b.verb === 'index') && !behindBlade(b),
  ],
  [
    'park-the-centre',
    say`the tailstock is clear before the hole is drilled`,
    (a, b, { centre, steady }) => centre && !steady && is('holes', a) && b.verb === 'withdraw',
  ],
  [
    'steady',
    say`a steady rides on what was turned true, and the carriage does not pass it`,
    (a, b, { steady, behindBlade }) => steady && (a.verb === 'support' || a.verb === 'centre-drill') && turns(b) && !behindBlade(b),
  ],
  [
    'steady',
    say`the free end is carried before it is drilled`,
    (a, b, { steady }) => steady && b.verb === 'support' && (a.verb === 'centre-drill' || is('holes', a)),
  ],
  ['drill-bore-ream', say`a drill starts true in a centre`, (a, b, { steady }) => steady && b.verb === 'centre-drill' && is('holes', a)],
  // the hole
  [
    'drill-bore-ream',
    say`each opens the way for the next`,
    (a, b) => is('holes', a) && is('holes', b) && rank('holes', b) < rank('holes', a) && (is('opens', b) || sameRow(a, b)),
  ],
  [
    'drill-bore-ream',
    say`its edges and grooves are cut in a hole that is there`,
    (a, b) => a.where === 'hole' && !is('holes', a) && is('holes', b) && b.verb !== 'tap' && (is('opens', b) || sameRow(a, b)),
  ],
  ['relief-first', say`a tap starts clean in the chamfer of its mouth`, (a, b) => sameRow(a, b) && a.verb === 'tap' && b.verb === 'chamfer'],
  [
    'drill-before-finish',
    say`drilling heats, pushes and can slip the work: before the outside is finished`,
    (a, b, { centre, steady, thin }) =>
      !centre && !steady && (a.verb === 'finish-turn' || a.verb === 'cool') && is('holes', b) && !thin(a) && (a.verb !== 'cool' || !thin()),
  ],
  ['thread-solid', say`threaded while it is solid: little metal is left under it`, (a, b, { thin }) => is('holes', a) && is('shaves', b) && thin(b)],
  // the outside
  [
    'rough-all-first',
    say`large before small: the stiffness goes last`,
    (a, b) => a.verb === 'rough-turn' && b.verb === 'rough-turn' && exceeds(b.to, a.to),
  ],
  [
    'rough-all-first',
    say`rough everything, let it cool, finish after`,
    (a, b) => b.verb === 'rough-turn' && (a.verb === 'cool' || a.verb === 'index' || (turns(a) && a.verb !== 'rough-turn')),
  ],
  ['hot-reads-big', say`a warm piece reads over its size: cool before finishing`, (a, b) => a.verb === 'finish-turn' && b.verb === 'cool'],
  [
    'relief-first',
    say`the relief is cut before the size beside it is finished`,
    (a, b) => a.verb === 'finish-turn' && a.step.gauge !== undefined && b.verb === 'neck' && touch(a, b),
  ],
  ['relief-first', say`room behind the edge comes first`, (a, b) => a.verb === 'chamfer' && b.verb === 'neck'],
  ['rough-all-first', say`its room first, then its shape`, (a, b) => sameRow(a, b) && a.verb === 'taper' && b.verb === 'neck'],
  ['worn-tip', say`the edge is fresh before it finishes`, (a, b) => sameRow(a, b) && a.verb === 'finish-turn' && b.verb === 'index'],
  ['die', say`begun by single point, then the die`, (a, b) => sameRow(a, b) && a.verb === 'die' && b.verb === 'thread'],
  ['emery-allowance', say`turned first, then brought to size with emery`, (a, b) => sameRow(a, b) && a.verb === 'polish' && b.verb === 'finish-turn'],
  ['major-first', say`the diameter first, then what is cut into it`, (a, b) => sameRow(a, b) && is('cutsInto', a) && b.verb === 'finish-turn'],
  [
    'relief-first',
    say`a thread starts from a chamfer and runs out into room`,
    // but the blade goes in for a back edge only when nothing is left that pushes
    (a, b, { behindBlade }) =>
      sameRow(a, b) && (a.verb === 'thread' || a.verb === 'die') && (b.verb === 'chamfer' || b.verb === 'undercut') && !behindBlade(b),
  ],
  [
    'major-first',
    say`the shape first, then what is cut into it`,
    (a, b) =>
      sameRow(a, b) && is('cutsInto', a) && a.verb !== 'form' && (b.verb === 'taper' || (b.verb === 'form' && readStep(b.step.id).of === b.row)),
  ],
];

/** Every pair of a setting that stands the wrong way round, by the first rule that it breaks. @source the rules of the trade under Order, Cutting and Threads; common practice */
export function wrongOrder(setup: Judged, part: Part): readonly WrongOrder[] {
  const rows = part.features.filter((f) => f.side === 'outside');
  const last = setup.end === 'left' ? rows[0] : rows.at(-1);
  const behind = last && `${last.id}.${setup.end === 'left' ? 'near' : 'far'}`;
  const parts = setup.steps.some((s) => s.verb === 'part-off');
  const weak = thinThreads(part);
  const around: Around = {
    centre: setup.support.some((s) => s.kind === 'centre'),
    steady: setup.support.some((s) => s.kind === 'steady'),
    onBar: setup.steps.some((s) => s.verb === 'away') && setup.steps.some((s) => s.verb === 'part-off' || s.verb === 'saw-off'),
    thin: (s) => (s ? weak.has(s.row) : weak.size > 0),
    behindBlade: ({ step }) => parts && step.verb === 'chamfer' && readStep(step.id).of === behind,
  };
  const seen = setup.steps.map((step) => seenIn(step, part));
  return seen.flatMap((early, i) =>
    seen.slice(i + 1).flatMap((late): readonly WrongOrder[] => {
      if (early.verb === 'own' || late.verb === 'own') return [];
      const broken = entries.find(([, , wrong]) => wrong(early, late, around));
      return broken ? [{ rule: broken[0], says: broken[1], early: early.step, late: late.step }] : [];
    }),
  );
}

function seenIn(step: Step, part: Part): Seen {
  const [about = ''] = readStep(step.id).of.split('.');
  const row = part.details.find((d) => d.id === about)?.on ?? about;
  const side = part.features.find((f) => f.id === row)?.side;
  return {
    step,
    verb: step.verb,
    row,
    where: side === undefined ? 'end' : side === 'outside' ? 'outside' : 'hole',
    to: step.figures['to']?.value ?? 0,
    ends: part.features.filter((f) => f.id === row).flatMap((f) => [f.near, f.far]),
  };
}
