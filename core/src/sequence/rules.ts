import type { RuleName } from '../finding';
import { type Part, thinThreads } from '../drawing';
import { besideLathe, type Step, type Verb } from '../operations';
import { diameter, exceeds, say, type Sentence } from '../quantity';
import { readStep, rowOf as subjectOfStep } from '../ref';

/** What of a step an order rule looks at. */
export type Ordered = Pick<Step, 'id' | 'verb' | 'does' | 'figures' | 'tool' | 'gauge' | 'method'> & {
  /** the row it works on and that row's side, where they were looked up before */
  readonly place?: { readonly row: string; readonly side: 'outside' | 'right' | 'left' | undefined };
};

/** A step with its place looked up once, for many questions. */
export function placed(step: Ordered, part: Part): Ordered {
  const row = rowOf(step, part);
  return { ...step, place: { row, side: part.features.find((f) => f.id === row)?.side } };
}

/** What of a setup an order rule looks at. */
export interface SetupFacts {
  readonly part: Part;
  /** a centre carries the free end while it is turned */
  readonly centre: boolean;
  readonly steady: boolean;
  /** the edge that is broken behind the blade before it severs: 's3.far' */
  readonly backEdge?: string;
  /** the bar goes to the mill and comes back before it is severed */
  readonly onTheBar?: true;
}

/** Why one step of a setup comes before another. */
export interface OrderRule {
  /** its name in the rules of the trade */
  readonly rule: RuleName;
  /** broken only for a price */
  readonly preferred?: true;
  readonly says: Sentence;
}

const outside = new Set<Verb>(['rough-turn', 'finish-turn', 'neck', 'taper', 'form', 'groove', 'chamfer', 'undercut', 'thread', 'die', 'knurl']);
/** What is cut into a row once it has its diameter. */
const cutInto = new Set<Verb>(['groove', 'chamfer', 'undercut', 'thread', 'die', 'knurl', 'form']);
const hole = new Set<Verb>(['pilot', 'drill', 'bore', 'ream', 'tap']);
const severs = new Set<Verb>(['part-off', 'saw-off']);

/** Something is done beside the lathe in a setting that severs: the bar goes away and comes back. */
export const goesOnTheBar = (steps: readonly Pick<Ordered, 'verb'>[]): boolean =>
  steps.some((s) => s.verb === 'away') && steps.some((s) => severs.has(s.verb));
const begins = new Set<Verb>(['load', 'turn-round', 'pull-out']);

/** Holes that the work is bolted by are drilled before it is held. */
const holdsIt = (s: Ordered): boolean => s.verb === 'away' && s.method === 'before';

/** Slit between roughing and finishing. */
const springs = (s: Ordered): boolean => s.verb === 'away' && (s.method === 'spread' || s.method === 'closed');
const toBeSlit = new Set<Verb>(['face', 'rough-turn', 'neck', 'centre-drill', 'support', 'withdraw', ...hole]);
const toSize = new Set<Verb>(['finish-turn', 'cool', 'taper', 'form', 'thread', 'die', 'knurl']);

function afterSlit(b: Ordered, part: Part): OrderRule | undefined {
  if (toSize.has(b.verb) && (sideOf(b, part) ?? 'outside') === 'outside')
    return { rule: 'spread-then-turn', says: say`slit and set as it works before its sizes are finished: it springs` };
  if (b.verb === 'check') return { rule: 'release-check', says: say`measured as it works, before it leaves its holding` };
  if (!springs(b) && besideLathe.includes(b.verb)) return { rule: 'harden-last', says: say`what is done beside the lathe comes after the turning` };
  return undefined;
}

/** The row that a step works on: of a groove or knurl the one it is cut in. */
function rowOf(step: Ordered, part: Part): string {
  if (step.place) return step.place.row;
  const about = subjectOfStep(step.id);
  return part.details.find((d) => d.id === about)?.on ?? about;
}

const sideOf = (step: Ordered, part: Part) => (step.place ? step.place.side : part.features.find((f) => f.id === rowOf(step, part))?.side);

/**
 * Why `a` comes before `b` in one setup; undefined where they may stand either way. One table, used by whoever makes an order and by whoever judges it.
 * @source the rules of the trade under Order, Cutting and Threads; common practice
 */
export function comesBefore(a: Ordered, b: Ordered, facts: SetupFacts): OrderRule | undefined {
  const { part } = facts;
  if (a.verb === 'own' || b.verb === 'own') return undefined;
  if (holdsIt(a)) return holdsIt(b) ? undefined : { rule: 'bolt-from-behind', says: say`it is bolted by its holes: they are there first` };
  if (holdsIt(b)) return undefined;
  if (begins.has(a.verb)) return { rule: 'seat-first', says: say`it is held before anything is cut` };
  if (begins.has(b.verb)) return undefined;
  if (severs.has(b.verb))
    return { rule: 'chamfer-before-severing', says: say`once severed it is out of the holding: everything done there comes first` };
  if (severs.has(a.verb)) return undefined;
  const [outA, outB] = [besideLathe.indexOf(a.verb), besideLathe.indexOf(b.verb)];
  const back = (s: Ordered) => facts.backEdge !== undefined && s.verb === 'chamfer' && readStep(s.id).of === facts.backEdge;
  if (facts.onTheBar && back(b)) return { rule: 'on-the-bar', says: say`milled with the whole bar behind it; its edges are broken when it is back` };
  if (facts.onTheBar && back(a)) return undefined;
  if (springs(a)) return afterSlit(b, part);
  if (springs(b)) return toBeSlit.has(a.verb) ? { rule: 'spread-then-turn', says: say`faced, roughed and bored while it is whole` } : undefined;
  if (a.verb === 'check' && outB >= 0)
    return { rule: 'release-check', says: say`what was finished here is measured before the piece leaves its holding` };
  if (outA >= 0 && b.verb === 'check') return undefined;
  if (b.verb === 'check') return { rule: 'release-check', says: say`what was finished here is measured before the piece leaves its holding` };
  if (a.verb === 'check') return undefined;
  if (back(b)) return { rule: 'chamfer-before-severing', says: say`the blade goes in only when nothing is left that pushes` };
  if (back(a)) return undefined;
  if (a.verb === 'face') return { rule: 'face-first', says: say`face, then all lengths have a zero` };
  if (b.verb === 'face') return undefined;
  if (outA >= 0 && outB >= 0)
    return outA < outB ? { rule: 'harden-last', says: say`cut first, then hardened, tempered at once, then its surface, joined last` } : undefined;
  if (outB >= 0) return { rule: 'harden-last', says: say`what is done beside the lathe comes after the turning` };
  if (outA >= 0) return undefined;
  const onSupport = facts.centre || facts.steady || a.verb === 'centre-drill';
  const inHole = hole.has(a.verb) || hole.has(b.verb);
  return (
    (onSupport ? supportRule(a, b, facts) : undefined) ??
    (inHole ? holeRule(a, b, facts) : undefined) ??
    turningRule(a, b, part) ??
    rowRule(a, b, part)
  );
}

function supportRule(a: Ordered, b: Ordered, { centre, steady, part }: SetupFacts): OrderRule | undefined {
  const ofEnd = (s: Ordered) => sideOf(s, part) === undefined;
  const turns = (s: Ordered) => outside.has(s.verb) && sideOf(s, part) !== 'right' && sideOf(s, part) !== 'left';
  if (a.verb === 'centre-drill' && ofEnd(a) && (b.verb === 'support' || hole.has(b.verb)) && !steady)
    return { rule: 'centre-then-support', says: say`a centre or a drill wants its seat first` };
  if (steady) {
    if (turns(a) && (b.verb === 'support' || b.verb === 'centre-drill'))
      return { rule: 'steady', says: say`a steady rides on what was turned true, and the carriage does not pass it` };
    if (a.verb === 'support' && (b.verb === 'centre-drill' || hole.has(b.verb)))
      return { rule: 'steady', says: say`the free end is carried before it is drilled` };
    if (a.verb === 'centre-drill' && hole.has(b.verb)) return { rule: 'drill-bore-ream', says: say`a drill starts true in a centre` };
    return undefined;
  }
  if (!centre) return undefined;
  if (a.verb === 'support' && turns(b)) return { rule: 'centre-then-support', says: say`the free end is carried before it is turned` };
  if (a.verb === 'support' && (b.verb === 'cool' || b.verb === 'index' || b.verb === 'withdraw'))
    return { rule: 'centre-then-support', says: say`the free end is carried before it is turned` };
  if (turns(a) && b.verb === 'withdraw') return { rule: 'park-the-centre', says: say`what needs the centre is done before it is withdrawn` };
  if ((a.verb === 'cool' || a.verb === 'index') && b.verb === 'withdraw')
    return { rule: 'park-the-centre', says: say`what needs the centre is done before it is withdrawn` };
  if (a.verb === 'withdraw' && hole.has(b.verb)) return { rule: 'park-the-centre', says: say`the tailstock is clear before the hole is drilled` };
  return undefined;
}

/** In a hole: pilot, drill, bore, ream, tap; and the hole before the outside is finished, unless the centre or a steady is needed first. */
function holeRule(a: Ordered, b: Ordered, { centre, steady, part }: SetupFacts): OrderRule | undefined {
  const chain: readonly Verb[] = ['pilot', 'drill', 'bore', 'ream', 'tap'];
  const [first, then] = [chain.indexOf(a.verb), chain.indexOf(b.verb)];
  const inside = (s: Ordered) => hole.has(s.verb) || (sideOf(s, part) ?? 'outside') !== 'outside';
  if (first >= 0 && then >= 0) {
    if (first < then && (first < 2 || rowOf(a, part) === rowOf(b, part)))
      return { rule: 'drill-bore-ream', says: say`each opens the way for the next` };
    return undefined;
  }
  if (b.verb === 'tap' && a.verb === 'chamfer' && rowOf(a, part) === rowOf(b, part))
    return { rule: 'relief-first', says: say`a tap starts clean in the chamfer of its mouth` };
  if (first >= 0 && a.verb !== 'tap' && inside(b) && !hole.has(b.verb) && rowOf(a, part) === rowOf(b, part))
    return { rule: 'drill-bore-ream', says: say`its edges and grooves are cut in a hole that is there` };
  if (first >= 0 && first < 2 && inside(b) && !hole.has(b.verb)) return { rule: 'drill-bore-ream', says: say`it wants the hole to be open` };
  const thin = thinThreads(part);
  if (hole.has(b.verb) && outside.has(a.verb) && thin.has(rowOf(a, part)))
    return { rule: 'thread-solid', says: say`threaded while it is solid: little metal is left under it` };
  if (thin.size > 0 && (b.verb === 'cool' || thin.has(rowOf(b, part)))) return undefined;
  if (!centre && !steady && hole.has(a.verb) && (b.verb === 'finish-turn' || b.verb === 'cool'))
    return { rule: 'drill-before-finish', says: say`drilling heats, pushes and can slip the work: before the outside is finished` };
  return undefined;
}

/** Rough everything, large before small, let it cool, finish. */
function turningRule(a: Ordered, b: Ordered, part: Part): OrderRule | undefined {
  if (a.verb === 'rough-turn' && b.verb === 'rough-turn') {
    const [one, other] = [a.figures['to']?.value ?? 0, b.figures['to']?.value ?? 0];
    return exceeds(one, other)
      ? { rule: 'rough-all-first', says: say`${diameter(one, 0.1)} before ${diameter(other, 0.1)}: the stiffness goes last` }
      : undefined;
  }
  const rowIsOutside = (s: Ordered) => (sideOf(s, part) ?? 'outside') === 'outside';
  if (a.verb === 'rough-turn' && (b.verb === 'cool' || b.verb === 'index' || (outside.has(b.verb) && rowIsOutside(b))))
    return { rule: 'rough-all-first', says: say`rough everything, let it cool, finish after` };
  if (a.verb === 'cool' && b.verb === 'finish-turn')
    return { rule: 'hot-reads-big', says: say`a warm piece reads over its size: cool before finishing` };
  return undefined;
}

/** What preferred rules are about: a setup without any keeps them all. */
export const preferredOf: ReadonlySet<Verb> = new Set<Verb>(['knurl']);

/** Two rows that touch. */
function beside(part: Part, one: string, other: string): boolean {
  const [a, b] = [part.features.find((f) => f.id === one), part.features.find((f) => f.id === other)];
  return a !== undefined && b !== undefined && (a.near === b.far || a.far === b.near);
}

/** On one row: its diameter, then what is cut into it, then its thread. */
function rowRule(a: Ordered, b: Ordered, part: Part): OrderRule | undefined {
  const [ra, rb] = [rowOf(a, part), rowOf(b, part)];
  if (a.verb === 'neck' && b.verb === 'finish-turn' && b.gauge !== undefined && beside(part, ra, rb))
    return { rule: 'relief-first', says: say`the relief is cut before the size beside it is finished` };
  if ((b.verb === 'finish-turn' || b.verb === 'form') && a.verb === 'knurl' && ra !== rb)
    return { rule: 'knurl-early', preferred: true, says: say`a knurl pushes hard and raises metal: before the neighbours are finished` };
  if (a.verb === 'neck' && b.verb === 'taper' && ra === rb) return { rule: 'rough-all-first', says: say`its room first, then its shape` };
  if (a.verb === 'neck' && b.verb === 'chamfer') return { rule: 'relief-first', says: say`room behind the edge comes first` };
  if (ra !== rb) return undefined;
  if (a.verb === 'index' && b.verb === 'finish-turn') return { rule: 'worn-tip', says: say`the edge is fresh before it finishes` };
  if (a.verb === 'thread' && b.verb === 'die') return { rule: 'die', says: say`begun by single point, then the die` };
  if (a.verb === 'finish-turn' && b.verb === 'polish') return { rule: 'emery-allowance', says: say`turned first, then brought to size with emery` };
  if (a.verb === 'finish-turn' && cutInto.has(b.verb)) return { rule: 'major-first', says: say`the diameter first, then what is cut into it` };
  if ((a.verb === 'chamfer' || a.verb === 'undercut') && (b.verb === 'thread' || b.verb === 'die'))
    return { rule: 'relief-first', says: say`a thread starts from a chamfer and runs out into room` };
  if ((a.verb === 'taper' || (a.verb === 'form' && !a.id.includes('.'))) && cutInto.has(b.verb) && b.verb !== 'form')
    return { rule: 'major-first', says: say`the shape first, then what is cut into it` };
  return undefined;
}
