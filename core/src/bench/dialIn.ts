import type { Entry, Shop } from '../document';
import { STARTED } from '../holding';
import type { Step } from '../operations';
import type { Plan, Route } from '../planner';
import { figure, type Figure, type Parsed, isZero, parseLength, PLACE, say, type Units } from '../quantity';
import { type RelationMade, runoutsOf, type Setup } from '../settings';
import { holdingOf, mmOf } from '../shop';

/* Work that was taken out of its chuck, or is clamped on a plate, is dialled before anything is cut: what the indicator says, which jaw, which way, how much, until it is within what the job wants. */

/** What dialling is asked for at a step. */
export interface DialIn {
  readonly setup: Setup;
  /** 'jaws' are moved one by one; 'face' too is dialled on a plate; what cannot be moved is only read */
  readonly by: 'jaws' | 'plate' | 'read';
  /** TIR that the job wants, or the holding is good for */
  readonly wanted: Figure;
}

/** Which jaw of a pair is loosened, which tightened. */
export interface JawMove {
  readonly loosen: number;
  readonly tighten: number;
  readonly by: Figure;
}

/** What the last readings come to. */
export interface DialledTo {
  readonly tir: Figure;
  /** where the middle of the work stands, mm towards jaw 1 and jaw 2; where four places were read */
  readonly towards?: readonly [number, number];
  readonly moves: readonly JawMove[];
  /** the piece itself is not round by so much, more than an indicator shows of any turned work: no jaw mends it */
  readonly oval?: Figure;
  /** of the face: its swing, and at which jaw it is highest */
  readonly face?: { readonly tir: Figure; readonly high: number; readonly by: Figure; readonly worth: boolean };
  readonly within: boolean;
  /** relations of the drawing as they come out with it */
  readonly keeps: readonly RelationMade[];
}

/** Less than a hand moves a jaw by; less out of round than is worth a word, mm. @source judgement */
const [FELT, OVAL] = [0.0015, 0.005];

/** The dialling of a step that takes work into a holding again; nothing where a bar is chucked, or a holding is bored in place. @source dial-on-datum, moved-is-lost, common practice */
export function dialIn(step: Step, plan: Plan, shop: Shop): DialIn | undefined {
  const [route] = plan.routes;
  const setup = route?.setups.find((s) => s.steps.some((o) => o.id === step.id));
  if (!route || !setup || (step.verb !== 'load' && step.verb !== 'turn-round')) return undefined;
  if (!step.because.some((r) => r.rule === 'dial-on-datum' || r.rule === 'moved-is-lost')) return undefined;
  const holding = holdingOf(shop, setup.holding);
  if (!holding) return undefined;
  const by = holding.kind === 'fourJaw' ? 'jaws' : holding.kind === 'faceplate' ? 'plate' : 'read';
  const hangs = hangOn(setup, plan, route, shop);
  if (by === 'read' && hangs.length === 0) return undefined;
  const usual = mmOf(holding.trueWithin);
  // the one that leaves this setting least
  const [wanted] = hangs
    .map(({ made, lever }) => figure('length', 'dialWanted', { limit: made.limit.value, rest: made.expected.value, lever, usual }, { step: 0.001 }))
    .toSorted((a, b) => a.value - b.value);
  return { setup, by, wanted: wanted ?? figure('length', 'runoutOfHolding', { tir: usual }, { step: 0.001 }) };
}

/** The relations that come out otherwise when this setting runs otherwise: as they would with this one dead true, and how much of its swing each shows. */
function hangOn(setup: Setup, plan: Plan, route: Route, shop: Shop): readonly { readonly made: RelationMade; readonly lever: number }[] {
  const swung = asDialled(setup, 1, plan, route, shop);
  return asDialled(setup, 0, plan, route, shop).flatMap((made, i) => {
    const lever = swung[i]?.parts.find((p) => p.read)?.tir;
    return lever === undefined ? [] : [{ made, lever }];
  });
}

/** The relations of the drawing with this setting dialled to so much. */
const asDialled = (setup: Setup, tir: number, plan: Plan, route: Route, shop: Shop): readonly RelationMade[] =>
  runoutsOf(plan.part, route.setups, shop, route.bar.id === STARTED, new Map([[setup.id, tir]]));

/** What the last readings written down at this step and piece say; of more than one the last counts. */
export function dialledTo(dial: DialIn, plan: Plan, shop: Shop, live: readonly Entry[], piece: number): DialledTo | undefined {
  const [route] = plan.routes;
  const ids = new Set(dial.setup.steps.map((s) => s.id));
  const last = live.findLast((e) => e.kind === 'dialled' && e.piece === piece && e.step !== null && ids.has(e.step));
  if (last?.kind !== 'dialled' || !route) return undefined;
  const read = last.readings.map((c) => readIndicator(c.text, c.units));
  if (!read.every((r) => r.ok)) return undefined;
  const [r1 = 0, r2 = 0, r3, r4, ...ofFace] = read.map((r) => r.value);
  const four = r3 !== undefined && r4 !== undefined ? ([r1, r2, r3, r4] as const) : undefined;
  const tir = four
    ? figure('length', 'swing', { e: figure('length', 'offCentre', named(four)).value }, { step: 0.001 })
    : figure('length', 'highToLow', { high: Math.max(r1, r2), low: Math.min(r1, r2) }, { step: 0.001 });
  const face = faceOf(ofFace);
  const oval = four && figure('length', 'outOfRound', named(four), { step: 0.001 });
  const hangs = new Set(hangOn(dial.setup, plan, route, shop).map((r) => r.made.relation));
  return {
    tir,
    ...(four && { towards: [(four[0] - four[2]) / 2, (four[1] - four[3]) / 2] as const }),
    ...(oval && oval.value > OVAL && { oval }),
    moves: four && dial.by !== 'read' ? [move(1, four[0], four[2]), move(2, four[1], four[3])].filter((m) => m.by.value > FELT) : [],
    ...(face && { face }),
    within: tir.value <= dial.wanted.value + PLACE && (face?.tir.value ?? 0) <= dial.wanted.value + PLACE,
    keeps: asDialled(dial.setup, tir.value, plan, route, shop).filter((r) => hangs.has(r.relation)),
  };
}

/** Settings that were dialled on this piece, as last read, and the relations of the drawing as they come out with that. */
export function dialledSo(
  plan: Plan,
  shop: Shop,
  live: readonly Entry[],
  piece: number,
): { readonly read: readonly { readonly setup: string; readonly tir: Figure }[]; readonly made: readonly RelationMade[] } {
  const [route] = plan.routes;
  if (!route) return { read: [], made: [] };
  const read = route.setups.flatMap((setup) => {
    const dial = setup.steps[0] && dialIn(setup.steps[0], plan, shop);
    const told = dial && dialledTo(dial, plan, shop, live, piece);
    return told ? [{ setup: setup.id, tir: told.tir }] : [];
  });
  const dialled = new Map(read.map((r) => [r.setup, r.tir.value]));
  return { read, made: runoutsOf(plan.part, route.setups, shop, route.bar.id === STARTED, dialled) };
}

const named = ([r1, r2, r3, r4]: readonly [number, number, number, number]) => ({ r1, r2, r3, r4 });

/** More is nearer to the indicator: the work is let back from that jaw. */
function move(first: 1 | 2, one: number, other: number): JawMove {
  const [high, low] = one > other ? [first, first + 2] : [first + 2, first];
  return { tighten: high, loosen: low, by: figure('length', 'moveOpposite', { a: one, b: other }, { step: 0.001 }) };
}

/** Four readings on the face, at the same places: where it is highest it is tapped in by half of its swing. */
function faceOf(readings: readonly number[]): DialledTo['face'] {
  const [r1, r2, r3, r4] = readings;
  if (r1 === undefined || r2 === undefined || r3 === undefined || r4 === undefined) return undefined;
  const of = named([r1, r2, r3, r4]);
  const half = figure('length', 'offCentre', of, { step: 0.001 });
  const high = readings.indexOf(Math.max(...readings)) + 1;
  return { tir: figure('length', 'swing', { e: half.value }, { step: 0.001 }), high, by: half, worth: half.value > FELT };
}

/**
 * A reading of an indicator: either side of its zero, or zero itself.
 * @example readIndicator('-0.12', 'mm') // { ok: true, value: -0.12 }
 */
export function readIndicator(text: string, units: Units): Parsed<number> {
  const [, sign = '', rest = ''] = /^\s*([-−+]?)\s*(.*)$/.exec(text) ?? [];
  if (isZero(rest)) return { ok: true, value: 0 };
  const read = parseLength(rest, units);
  if (!read.ok) return read;
  if (read.value > MOST) return { ok: false, problems: [{ at: '', says: say`an indicator does not reach so far; put it in by eye first` }] };
  return { ok: true, value: sign === '-' || sign === '−' ? -read.value : read.value };
}

/** Travel of the longest indicator in a turning shop, mm. */
const MOST = 30;
