import { envelopeOf, faceOf, type Feature, innerOf, inward, mouthOf, otherEnd, type Part, rowAt } from '../drawing';
import type { Reason } from '../finding';
import type { HoldingChoice } from '../holding';
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
  pullOut,
  releaseCheck,
  sever,
  edgeSize,
  shapeEdges,
  takeHold,
} from '../operations';
import { alike, diameter, exceeds, figure, length, PLACE, ratio, say } from '../quantity';
import type { End } from '../ref';
import { inOrder } from '../sequence';
import { holdingOf, mmOf, practice } from '../shop';
import { combine, rectangle } from '../stock';
import { between, dialledOn } from './dialled';
import { boredGripping, keptFrom, onArbor, slimOf, toKeep } from './held';
import { madeFirst, minutesAgain } from './madeFirst';
import { jawsAt, type Position } from './positions';
import type { Gripping } from './reach';
import { beginningOf, type MadeSetting, type Making, settingMade } from './setting';
import { turnsOver } from './turnsOver';
import { carryEnd, edgesLaidOpen, finishEdges, holeAfterTurning, madeAlready, seatOf, shapeRows, turnRows } from './works';

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

/** z of the face that is left behind when the piece is severed, with its allowance for facing. */
const severedAt = ({ facts, sheet, first }: Making): number => {
  const far = otherEnd(first);
  return faceOf(facts.part, far) - inward(far) * sheet.off[far];
};

/** The edge of a row that is left behind when the piece is severed. */
export const backEdge = (row: Feature, far: End) => (far === 'left' ? row.edgeFar : row.edgeNear);

/** How deep a groove behind the piece must be for its back edge, and may be before the piece hangs on nothing: undefined where it cannot. mm on radius */
export function grooveFor(part: Part, first: End, off: number, last: Feature, up: number): number | undefined {
  const z = faceOf(part, otherEnd(first));
  const outside = last.nearDiameter.nominal / 2;
  const open = part.features.filter((f) => f.side === first && f.through === true && Math.abs(innerOf(f, first) - z) < 0.01);
  const hole = Math.max(0, ...open.map((f) => Math.max(f.nearDiameter.max, f.farDiameter.max) / 2));
  const least = outside - up - off;
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
    const radius = grooveFor(making.facts.part, first, sheet.off[far], last, up);
    return radius === undefined ? undefined : backGroove(severedAt(making), inward(first) * making.severing.width, radius);
  };
  const [forChamfer, forEdge] = [chamfered > 0 ? groove(chamfered) : undefined, size && groove(size.up)];
  return [...(forChamfer ? [chamferInner(last, forChamfer)] : []), ...(forEdge ? [shapeEdges(last, true, forEdge)] : [])];
}

/** How the bar is taken into the chuck, and what is said of it where it will be pulled out. */
function loaded(making: Making, held: HoldingChoice, out: number): Operation {
  const { facts, sheet, first } = making;
  const jaws = jawsAt(facts, sheet, first, out);
  const { bar, machine, part, started } = facts;
  const long = sheet.stickOut.value;
  const short = exceeds(long, out, PLACE);
  const { several } = sheet;
  return takeHold({
    verb: 'load',
    says: several
      ? say`${bar.name}, ${length(out, 0.1)} out, ${length(sheet.grip.value, 0.1)} gripped once for ${several.pieces} pieces${several.together > 1 ? `, ${several.together} of them out at once` : ''}; pulled out to a stop for the next`
      : short
        ? say`${bar.name}, short at first: ${length(out, 0.1)} out, ${length(sheet.grip.value, 0.1)} gripped`
        : say`${bar.name}, ${length(out, 0.1)} out, ${length(sheet.grip.value, 0.1)} gripped`,
    because: [
      started
        ? reason('started', say`${length(sheet.cut.value)} long as measured, for a part of ${length(part.length)}`, 'bar')
        : several
          ? reason(
              'bar-or-blank',
              say`${several.pieces} pieces from one bar, ${length(sheet.each, 0.1)} each: no grip is lost for each; what is left goes back on the rack`,
              'bar',
            )
          : sheet.severs
            ? reason(
                'bar-length',
                say`${length(sheet.cut.value, 0.1)} of bar: ${length(part.length)} part, facing, blade, gap, grip and spare`,
                'bar',
              )
            : reason(
                'bar-or-blank',
                say`a blank of ${length(sheet.cut.value, 0.1)}: held by ${length(sheet.grip.value, 0.1)} beyond the part, seated back against the jaws; that is faced away when it is turned round`,
                'bar',
              ),
      ...(short
        ? [
            reason(
              'short-then-out',
              say`${length(long, 0.1)} out at once is ${ratio(long / mmOf(bar.across), 0.1)} diameters: what can be done short is done short, then it is pulled out against a stop`,
              'bar',
            ),
          ]
        : []),
      ...held.because,
      ...(started
        ? [
            ...between(making, [jaws, jaws + inward(first) * sheet.grip.value]),
            ...dialledOn(
              making,
              holdingOf(facts.shop, held.holding),
              first,
              mmOf(bar.across),
              keptFrom(facts, first).map((k) => k.datum),
            ),
          ]
        : []),
      ...atLoading(facts, out),
    ],
    cautions: [...(sheet.behind ? [WHIPS] : []), ...(machine.nose === 'screwed' ? [SCREWED] : [])],
    minutes: practice.minutesChuck,
    made: madeFirst(facts, holdingOf(facts.shop, held.holding), mmOf(bar.across)),
    ...(several && { pieces: { count: several.pieces, next: practice.minutesPullOut / several.together } }),
  });
}

/** The bar, or the piece as it is, held in a chuck with the first end free: worked there place by place as far as it goes, and severed. */
export function firstSettings(making: Making, held: HoldingChoice, positions: readonly Position[], alone = false): readonly MadeSetting[] {
  const made: MadeSetting[] = [];
  let stands: number | undefined;
  for (const position of positions) {
    const begins = made.at(-1)?.ends ?? making.begins;
    const one = firstAt({ ...making, begins }, held, position, made.length, stands, alone);
    // what stays as the bar is wants no place of its own
    if (!position.last && one.sweeps.size === 0) continue;
    made.push(one);
    stands = position.out;
  }
  return made;
}

function firstAt(making: Making, held: HoldingChoice, position: Position, i: number, before: number | undefined, alone: boolean): MadeSetting {
  const { facts, sheet, first: end } = making;
  const { stock } = making.begins;
  const far = otherEnd(end);
  const { out, last } = position;
  const edge = severedAt(making);
  const jaws = jawsAt(facts, sheet, end, out);
  const barDiameter = turnsOver(facts);
  const parts = sheet.severs && making.severing.method === 'part';
  // a support is brought where the bar stands out
  const here: HoldingChoice = { ...held, support: position.support };
  const begin = beginningOf(making, `${end}-${String(i + 1)}`, end, here, {
    ratio: out / mmOf(facts.bar.across),
    stock,
    jaws,
    gripped: mmOf(facts.bar.across),
    finished: facts.started !== undefined,
    long: sheet.grip.value,
    // a hole of several is drilled past the last of them that stands out
    parted: parts ? edge + inward(end) * (making.severing.width + ((sheet.several?.together ?? 1) - 1) * sheet.each) : undefined,
  });
  const rows = facts.part.features.filter((f) => f.side === 'outside').map(envelopeOf);
  const place = rows.filter((f) => position.rows?.has(f.id) ?? true);
  const mine = place.filter((f) => making.reach[f.id] === end);
  const hole = holeAt(facts, end);
  const face = faceOf(facts.part, end);
  const opening = { z: face, widest: rowAt(rows, end)?.nearDiameter.nominal ?? barDiameter, hole };
  const pulls = before !== undefined && !alike(before, out, PLACE);
  const lastRow = rowAt(rows, far);
  const nearest = end === 'right' ? place[0] : place.at(-1);
  const operations: readonly Operation[] = [
    ...(i === 0 ? [loaded(making, held, out)] : pulls ? [pullOut(out, out / mmOf(facts.bar.across), place.length > 0)] : []),
    ...(position.opens && sheet.off[end] > 0 ? [faceEnd(face, sheet.off[end], barDiameter, 'first')] : []),
    ...(position.opens ? seatOf(making, begin, held, opening) : []),
    ...carryEnd(here),
    ...turnRows(making, begin, mine, i > 0 && nearest ? mouthOf(nearest, end) : face, sheet.surfaceStays),
    ...place.filter((f) => making.reach[f.id] === 'neck' && !madeAlready(facts, f)).map((neck) => cutNeck(neck, rows)),
    ...finishEdges(making, begin, mine, rows),
    ...shapeRows(
      making,
      begin,
      place.filter((f) => making.reach[f.id] !== far),
      position.holes,
    ),
    ...(position.holes ? holeAfterTurning(held, here, opening) : []),
    ...(last ? backEdgeSteps(making, lastRow) : []),
    releaseCheck(!last),
    ...(last && sheet.severs ? [awayOnBar(), sever(making.severing, edge, barDiameter / 2, sheet)] : []),
    ...(last && alone ? [awaySteps()] : []),
  ];
  const lastEdge = far === 'left' ? 'far' : 'near';
  const done = inOrder(facts, begin, operations, making.known, parts && lastRow ? `${lastRow.id}.${lastEdge}` : undefined);
  return settingMade(making, done, here, {
    grip: sheet.grip,
    stickOut: last ? sheet.stickOut : figure('length', 'distance', { value: out }, { step: 0.1 }),
    gripped: [jaws, jaws + inward(end) * sheet.grip.value],
    before: stock,
    ...(i > 0 && { pulled: true as const }),
    ...(sheet.several && { together: sheet.several.together }),
  });
}

/** The piece that was severed, turned round and held on what was finished: the other end. */
export function secondSetup(making: Making, held: HoldingChoice, outside: Gripping): MadeSetting {
  const { facts, sheet, first } = making;
  const { stock } = making.begins;
  const end = otherEnd(first);
  const holding = holdingOf(facts.shop, held.holding);
  const arbor = onArbor(holding) ? boredGripping(facts.part, first) : undefined;
  const gripping = arbor ?? outside;
  const edge = severedAt(making);
  const piece = sheet.severs ? combine('intersection', stock, rectangle(edge, inward(end) * 1000, -1, 1000)) : stock;
  const { grip, stickOut } = held;
  const begin = beginningOf(making, `${end}-1`, end, held, {
    ratio: stickOut.value / slimOf(facts.part, gripping, end),
    stock: piece,
    jaws: gripping.z,
    gripped: gripping.diameter,
    finished: true,
    long: arbor ? Infinity : grip.value,
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
        ...dialledOn(
          making,
          holding,
          end,
          gripping.diameter,
          toKeep(facts.part, first, making.reach).map((k) => k.datum),
        ),
        ...held.because,
        ...(arbor ? [] : between(making, [gripping.z, gripping.z + inward(end) * grip.value])),
        reason('seat-first', say`press the work back so that it seats square, then tighten`, end),
      ],
      minutes: minutesAgain(holding),
      made: madeFirst(facts, holding, gripping.diameter),
    }),
    ...(sheet.off[end] > 0
      ? [faceEnd(face, sheet.off[end], last && making.reach[last.id] === first ? last.nearDiameter.nominal : barDiameter, 'length')]
      : []),
    ...seatOf(making, begin, held, opening),
    ...carryEnd(held),
    ...turnRows(making, begin, mine, face, false),
    ...finishEdges(making, begin, mine, rows),
    ...shapeRows(making, begin, mine),
    ...edgesLaidOpen(making, begin, rows),
    ...holeAfterTurning(held, held, opening),
    ...(last && making.reach[last.id] === first && backEdgeSteps(making, last).length === 0 ? [chamferMouth(last), shapeEdges(last)] : []),
    releaseCheck(),
    awaySteps(),
  ];
  const done = inOrder(facts, begin, operations, making.known);
  return settingMade(making, done, held, { grip, stickOut, gripped: [gripping.z, gripping.z + inward(end) * grip.value], before: piece, arbor });
}
