import { envelopeOf, faceOf, type Feature, innerOf, inward, letterOf, otherEnd, rowAt } from '../drawing';
import type { Reason } from '../finding';
import { type HoldingChoice, sweptBy } from '../holding';
import {
  awayOnBar,
  awaySteps,
  backGroove,
  chamferInner,
  chamferMouth,
  cutNeck,
  faceEnd,
  type Facts,
  type Operation,
  reason,
  holeAt,
  releaseCheck,
  sever,
  edgeSize,
  shapeEdges,
  takeHold,
} from '../operations';
import { diameter, length, ratio, say, type Sentence } from '../quantity';
import { inOrder } from '../sequence';
import { holdingOf, mmOf, practice } from '../shop';
import { combine, rectangle } from '../stock';
import { boredGripping, onArbor, slimOf } from './held';
import type { Gripping } from './reach';
import { beginningOf, type MadeSetting, type Making, settingMade } from './setting';
import { edgesLaidOpen, finishEdges, holeAfterTurning, madeAlready, openEnd, shapeRows, turnRows } from './works';

/** @source bar-whip, common practice */
const WHIPS = 'The bar past the headstock whips: support it in a tube, or cut it short. Nobody stands beside it.';

/** @source reverse-and-chuck, common practice */
export const SCREWED = 'The chuck is screwed on: never reverse it or brake it hard under power.';

/** What the bar itself asks for when it is held. */
export function atLoading(facts: Facts, out: number): readonly Reason[] {
  const { bar, job, started } = facts;
  const shared = job.choices.some((c) => c.kind === 'bar' && c.after !== undefined);
  const across = mmOf(bar.across);
  return [
    ...(bar.form === 'hex' || bar.form === 'square'
      ? [reason('interrupted', say`its corners knock until it is round: lighter and slower at first, a tough edge or high-speed steel`, 'bar')]
      : []),
    ...(bar.form === 'square'
      ? [reason('corners-first', say`its corners go at the saw first where they can: what the lathe then knocks round is an octagon`, 'bar')]
      : []),
    ...(!started && (bar.skin === 'drawn' || bar.skin === 'hot') && out > 6 * across
      ? [reason('skin-off-both', say`drawn bar moves as its skin comes off: roughed all over it may be released, trued again, and finished`, 'bar')]
      : []),
    ...(shared
      ? [reason('two-from-one', say`cut from what another job leaves of this bar: what they share is bored and reamed before they are parted`, 'bar')]
      : []),
    ...(job.pieces > 1
      ? [reason('batch', say`${job.pieces} pieces: stops set once, each piece and its ends numbered where mates are fitted`, 'bar')]
      : []),
  ];
}

/** What the stock fills when it turns, mm; of a piece already started as it was measured. */
export const turnsOver = ({ bar, started }: Facts): number => (started ? mmOf(bar.across) : sweptBy(bar));

/** z of the face that is left behind when the piece is severed, with its allowance for facing. */
const severedAt = ({ facts, sheet, first }: Making): number => {
  const far = otherEnd(first);
  return faceOf(facts.part, far) - inward(far) * sheet.off[far];
};

/** The edge of a row that is left behind when the piece is severed. */
const backEdge = (row: Feature, far: 'left' | 'right') => (far === 'left' ? row.edgeFar : row.edgeNear);

/** How deep a groove behind the piece must be for its back edge, and may be before the piece hangs on nothing: undefined where it cannot. mm on radius */
function grooveFor({ facts, sheet, first }: Making, last: Feature, up: number): number | undefined {
  const far = otherEnd(first);
  const z = faceOf(facts.part, far);
  const outside = last.nearDiameter.nominal / 2;
  const open = facts.part.features.filter((f) => f.side === first && f.through === true && Math.abs(innerOf(f, first) - z) < 0.01);
  const hole = Math.max(0, ...open.map((f) => Math.max(f.nearDiameter.max, f.farDiameter.max) / 2));
  const least = outside - up - sheet.off[far];
  const hangsOn = hole > 0 ? hole + practice.hangsOn : 1;
  return least < hangsOn ? undefined : Math.max(hangsOn, least - 1);
}

/** The back edge of the last row, broken before the piece is parted: the blade in some way, so that there is room. @source chamfer-before-severing, common practice */
function backEdgeSteps(making: Making, last: Feature | undefined): readonly Operation[] {
  const { first, sheet } = making;
  const far = otherEnd(first);
  if (!last || making.reach[last.id] !== first || !sheet.severs || making.severing.method !== 'part') return [];
  const chamfered = (far === 'left' ? last.chamferFar : last.chamferNear) ?? 0;
  const size = edgeSize(backEdge(last, far));
  const groove = (up: number) => {
    const radius = grooveFor(making, last, up);
    return radius === undefined ? undefined : backGroove(severedAt(making), inward(first) * making.severing.width, radius);
  };
  const [forChamfer, forEdge] = [chamfered > 0 ? groove(chamfered) : undefined, size && groove(size.up)];
  return [...(forChamfer ? [chamferInner(last, forChamfer)] : []), ...(forEdge ? [shapeEdges(last, true, forEdge)] : [])];
}

/** What stands out short for facing and centring, and is pulled out to its length for the centre: a bar that slides back into the spindle. @source short-then-out, common practice */
function shortFirst(
  { facts, sheet }: Making,
  held: HoldingChoice,
): { readonly out: number; readonly ratio: number; readonly why: Sentence } | undefined {
  const across = mmOf(facts.bar.across);
  const long = sheet.stickOut.value;
  if (!held.support.some((s) => s.kind === 'centre') || long <= practice.shortDiameters * across) return undefined;
  if (turnsOver(facts) > mmOf(facts.machine.through, Infinity)) return undefined;
  const out = Math.min(long, Math.max(practice.centringOut, across));
  return {
    out,
    ratio: out / across,
    why: say`${length(long, 0.1)} out is ${ratio(long / across, 0.1)} diameters: faced and centred short, ${length(out, 0.1)} out, then pulled out to the centre`,
  };
}

/** An operation done while the piece stands out so many diameters. */
const atRatio = (operation: Operation, ratio: number): Operation => ({
  declare: (facts, at) => operation.declare(facts, { ...at, place: { ...at.place, ratio } }),
  make: (facts, at) => operation.make(facts, { ...at, place: { ...at.place, ratio } }),
});

/** The bar, or the piece as it is, held in a chuck with the first end free: worked there as far as it goes, and severed. */
export function firstSetup(making: Making, held: HoldingChoice, alone = false): MadeSetting {
  const { facts, sheet, first: end } = making;
  const { stock } = making.begins;
  const far = otherEnd(end);
  const edge = severedAt(making);
  const jaws = sheet.severs ? edge + inward(end) * (making.severing.width + sheet.gap) : edge - inward(end) * sheet.grip.value;
  const barDiameter = turnsOver(facts);
  const parts = sheet.severs && making.severing.method === 'part';
  const begin = beginningOf(making, `${end}-1`, end, held, {
    ratio: sheet.stickOut.value / mmOf(facts.bar.across),
    stock,
    jaws,
    gripped: mmOf(facts.bar.across),
    parted: parts ? edge + inward(end) * making.severing.width : undefined,
  });
  const rows = facts.part.features.filter((f) => f.side === 'outside').map(envelopeOf);
  const mine = rows.filter((f) => making.reach[f.id] === end);
  const hole = holeAt(facts, end);
  const face = faceOf(facts.part, end);
  const opening = { z: face, widest: rowAt(rows, end)?.nearDiameter.nominal ?? barDiameter, hole };
  const last = rowAt(rows, far);
  const lastEdge = far === 'left' ? 'far' : 'near';
  const short = shortFirst(making, held);
  const whileShort = (operation: Operation): Operation => (short ? atRatio(operation, short.ratio) : operation);
  const operations: readonly Operation[] = [
    takeHold({
      verb: 'load',
      says: short
        ? say`${facts.bar.name}, short at first: ${length(short.out, 0.1)} out; ${length(sheet.grip.value, 0.1)} gripped when it is pulled out`
        : say`${facts.bar.name}, ${length(sheet.stickOut.value, 0.1)} out, ${length(sheet.grip.value, 0.1)} gripped`,
      because: [
        facts.started
          ? reason('started', say`${length(sheet.cut.value)} long as measured, for a part of ${length(facts.part.length)}`, 'bar')
          : sheet.severs
            ? reason(
                'bar-length',
                say`${length(sheet.cut.value, 0.1)} of bar: ${length(facts.part.length)} part, facing, blade, gap, grip and spare`,
                'bar',
              )
            : reason(
                'bar-or-blank',
                say`a blank of ${length(sheet.cut.value, 0.1)}: held by ${length(sheet.grip.value, 0.1)} beyond the part, seated back against the jaws; that is faced away when it is turned round`,
                'bar',
              ),
        ...(short ? [reason('short-then-out', short.why, 'bar')] : []),
        ...held.because,
        ...atLoading(facts, sheet.stickOut.value),
      ],
      cautions: [...(sheet.behind ? [WHIPS] : []), ...(facts.machine.nose === 'screwed' ? [SCREWED] : [])],
      minutes: practice.minutesChuck,
    }),
    ...(sheet.off[end] > 0 ? [whileShort(faceEnd(face, sheet.off[end], barDiameter, 'first'))] : []),
    ...openEnd(making, begin, held, opening, short && { to: sheet.stickOut.value, whileShort }),
    ...turnRows(making, begin, mine, face, sheet.surfaceStays),
    ...rows.filter((f) => making.reach[f.id] === 'neck' && !madeAlready(facts, f)).map((neck) => cutNeck(neck, rows)),
    ...finishEdges(making, begin, mine, rows),
    ...shapeRows(
      making,
      begin,
      rows.filter((f) => making.reach[f.id] !== far),
    ),
    ...holeAfterTurning(held, opening),
    ...backEdgeSteps(making, last),
    releaseCheck(),
    ...(sheet.severs ? [awayOnBar(), sever(making.severing, edge, barDiameter / 2)] : []),
    ...(alone ? [awaySteps()] : []),
  ];
  const done = inOrder(facts, begin, operations, making.known, parts && last ? `${last.id}.${lastEdge}` : undefined);
  return settingMade(making, done, held, {
    grip: sheet.grip,
    stickOut: sheet.stickOut,
    gripped: [jaws, jaws + inward(end) * sheet.grip.value],
    before: stock,
  });
}

/** The piece that was severed, turned round and held on what was finished: the other end. */
export function secondSetup(making: Making, held: HoldingChoice, outside: Gripping): MadeSetting {
  const { facts, sheet, first } = making;
  const { stock } = making.begins;
  const end = otherEnd(first);
  const arbor = onArbor(holdingOf(facts.shop, held.holding)) ? boredGripping(facts.part, first) : undefined;
  const gripping = arbor ?? outside;
  const edge = severedAt(making);
  const piece = sheet.severs ? combine('intersection', stock, rectangle(edge, inward(end) * 1000, -1, 1000)) : stock;
  const { grip, stickOut } = held;
  const begin = beginningOf(making, `${end}-1`, end, held, {
    ratio: stickOut.value / slimOf(facts.part, gripping, end),
    stock: piece,
    jaws: gripping.z,
    gripped: gripping.diameter,
  });
  const rows = facts.part.features.filter((f) => f.side === 'outside').map(envelopeOf);
  const mine = rows.filter((f) => making.reach[f.id] === end);
  const hole = holeAt(facts, end);
  const barDiameter = turnsOver(facts);
  const last = rowAt(rows, end);
  const face = faceOf(facts.part, end);
  const opening = { z: face, widest: last?.nearDiameter.nominal ?? barDiameter, hole };
  const operations: readonly Operation[] = [
    takeHold({
      verb: 'turn-round',
      says: say`held on ${diameter(gripping.diameter)}, ${length(grip.value)} gripped, ${length(stickOut.value)} out`,
      because: [
        reason('moved-is-lost', say`dial it on the finished diameter; zero is now face ${letterOf(end)}`, end),
        ...held.because,
        reason('seat-first', say`press the work back so that it seats square, then tighten`, end),
      ],
      minutes: practice.minutesTurnRound,
    }),
    ...(sheet.off[end] > 0
      ? [faceEnd(face, sheet.off[end], last && making.reach[last.id] === first ? last.nearDiameter.nominal : barDiameter, 'length')]
      : []),
    ...openEnd(making, begin, held, opening),
    ...turnRows(making, begin, mine, face, false),
    ...finishEdges(making, begin, mine, rows),
    ...shapeRows(making, begin, mine),
    ...edgesLaidOpen(making, begin, rows),
    ...holeAfterTurning(held, opening),
    ...(last && making.reach[last.id] === first && backEdgeSteps(making, last).length === 0 ? [chamferMouth(last), shapeEdges(last)] : []),
    releaseCheck(),
    awaySteps(),
  ];
  const done = inOrder(facts, begin, operations, making.known);
  return settingMade(making, done, held, { grip, stickOut, gripped: [gripping.z, gripping.z + inward(end) * grip.value], before: piece, arbor });
}
