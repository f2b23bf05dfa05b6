import { envelopeOf, faceOf, type Feature, inward, letterOf, otherEnd, type PartDetail, rowAt } from '../drawing';
import type { Reason } from '../finding';
import type { HoldingChoice } from '../holding';
import {
  awayBefore,
  awaySteps,
  centreDrill,
  chamferInner,
  coneMouth,
  drawnCentre,
  faceEnd,
  holeAt,
  makeHole,
  type Operation,
  reason,
  releaseCheck,
  takeHold,
} from '../operations';
import { diameter, figure, length, say, type Sentence } from '../quantity';
import { type End, thingOf } from '../ref';
import { type Done, inOrder } from '../sequence';
import { holdingOf, mmOf, practice } from '../shop';
import type { Region } from '../stock';
import { between, dialledOn } from './dialled';
import { slimOf } from './held';
import { madeFirst, minutesAgain } from './madeFirst';
import type { Gripping } from './reach';
import { beginningOf, type MadeSetting, type Making, settingMade } from './setting';
import { atLoading, SCREWED } from './setups';
import { edgesLaidOpen, finishEdges, shapeRows, turnRows } from './works';

/* Work that is carried between its centres, or clamped on a plate: no jaw holds it while it is turned. */

const outsideRows = ({ facts }: Making): readonly Feature[] => facts.part.features.filter((f) => f.side === 'outside').map(envelopeOf);

/** The sawn bar in a chuck, most of it through the spindle: one end is faced and gets its centre. */
export function centreSetup(making: Making, end: End, held: HoldingChoice, open?: Feature): MadeSetting {
  const { facts, sheet, first } = making;
  const { stock } = making.begins;
  const across = mmOf(facts.bar.across);
  const face = faceOf(facts.part, end);
  const out = held.stickOut.value;
  const jaws = face - inward(end) * sheet.off[end] + inward(end) * out;
  const begin = beginningOf(making, `${end}-1`, end, held, { ratio: out / across, stock, jaws, gripped: across });
  const isFirst = end === first;
  const done = inOrder(
    facts,
    begin,
    [
      takeHold({
        verb: 'load',
        says: say`${isFirst ? facts.bar.name : 'the sawn bar end for end'}, ${length(out, 0.1)} out${out > practice.centringOut ? '' : ', the rest through the spindle'}`,
        because: [
          ...(isFirst
            ? [reason('bar-length', say`${length(sheet.cut.value, 0.1)} of bar: ${length(facts.part.length)} part and facing at both ends`, 'bar')]
            : []),
          ...held.because,
          ...(isFirst ? atLoading(facts, out) : []),
        ],
        cautions: facts.machine.nose === 'screwed' ? [SCREWED] : [],
        minutes: practice.minutesChuck,
        made: madeFirst(facts, holdingOf(facts.shop, held.holding), across),
      }),
      faceEnd(face, sheet.off[end], across, isFirst ? 'first' : 'length'),
      ...(open ? openingOf(open, end, face, across) : []),
      ...(open
        ? []
        : [
            facts.part.details.some((d) => d.kind === 'centre' && d.on === end)
              ? drawnCentre(face)
              : centreDrill(face, rowAt(outsideRows(making), end)?.nearDiameter.nominal ?? across, 'support'),
          ]),
      releaseCheck(),
    ],
    making.known,
  );
  return settingMade(making, done, held, {
    grip: held.grip,
    stickOut: held.stickOut,
    gripped: [jaws, jaws + inward(end) * held.grip.value],
    before: stock,
  });
}

/** The hole that goes through, from its own end, and a cone in its mouth. */
function openingOf(open: Feature, end: End, face: number, across: number): readonly Operation[] {
  if (open.side !== end) return [makeHole((f) => f.id === open.id), coneMouth(open, true)];
  return [centreDrill(face, across, 'drill'), makeHole((f) => f.id === open.id), coneMouth(open, false)];
}

/** What of the holes waits until the outside is finished: bored with the finished outside dialled. */
export function boreLast(making: Making, end: End, held: HoldingChoice, gripping: Gripping, open: Feature, last: boolean): MadeSetting {
  const { facts } = making;
  const { stock } = making.begins;
  const { grip, stickOut } = held;
  const holding = holdingOf(facts.shop, held.holding);
  const begin = beginningOf(making, `${end}-3`, end, held, {
    ratio: stickOut.value / slimOf(facts.part, gripping, end),
    stock,
    jaws: gripping.z,
    gripped: gripping.diameter,
    finished: true,
    long: grip.value,
  });
  const done = inOrder(
    facts,
    begin,
    [
      takeHold({
        verb: 'turn-round',
        says: say`held on ${diameter(gripping.diameter)}, ${length(grip.value)} gripped, ${length(stickOut.value)} out`,
        because: [
          ...dialledOn(making, holding, end, gripping.diameter, []),
          ...held.because,
          ...between(making, [gripping.z, gripping.z + inward(end) * grip.value]),
        ],
        minutes: minutesAgain(holding),
        made: madeFirst(facts, holding, gripping.diameter),
      }),
      makeHole((f) => f.id !== open.id),
      ...shapeRows(making, begin, []),
      releaseCheck(),
      ...(last ? [awaySteps()] : []),
    ],
    making.known,
  );
  return settingMade(making, done, held, { grip, stickOut, gripped: [gripping.z, gripping.z + inward(end) * grip.value], before: stock });
}

/** Between centres, driven by a dog on the other end: what this end reaches is turned. */
export function betweenSetup(making: Making, end: End, held: HoldingChoice, last: boolean): MadeSetting {
  const { facts, first } = making;
  const { stock } = making.begins;
  const far = otherEnd(end);
  const driven = faceOf(facts.part, far);
  const rows = outsideRows(making);
  const mine = rows.filter((f) => making.reach[f.id] === end);
  const across = Math.max(...rows.map((f) => f.nearDiameter.nominal));
  const face = faceOf(facts.part, end);
  const isFirst = end === first;
  const begin = beginningOf(making, `${end}-2`, end, held, { ratio: facts.part.length / across / 2, stock, jaws: driven, gripped: across });
  const done = inOrder(
    facts,
    begin,
    [
      takeHold({
        verb: isFirst ? 'load' : 'turn-round',
        says: isFirst
          ? say`between centres, the dog on end ${letterOf(far)}`
          : say`end for end between the same centres, the dog on end ${letterOf(far)} under a pad`,
        because: [
          reason('moved-is-lost', say`it returns to its centres, so both ends run true to one another; zero is face ${letterOf(end)}`, end),
          ...held.because,
          reason('park-the-centre', say`nip the tail centre again as the work warms and grows`, end),
        ],
        cautions: ['The dog swings: nothing loose, hands and sleeves clear of it.'],
        minutes: practice.minutesBetween,
      }),
      ...turnRows(making, begin, mine, face, isFirst && making.sheet.surfaceStays),
      ...finishEdges(making, begin, mine, rows),
      ...shapeRows(making, begin, mine),
      ...edgesLaidOpen(making, begin, rows),
      releaseCheck(),
      ...(last ? [awaySteps()] : []),
    ],
    making.known,
  );
  const grip = figure('length', 'distance', { value: practice.dog });
  return settingMade(making, done, held, {
    grip,
    stickOut: figure('length', 'distance', { value: facts.part.length }, { step: 0.1 }),
    gripped: [driven - inward(end) * practice.dog, driven],
    before: stock,
    carried: 'centres',
  });
}

/** A sawn plate on the faceplate, clamped over its rim: faced under clamps that are moved in turn, and bored. */
export function plateSetup(making: Making, end: End, held: HoldingChoice): MadeSetting {
  const isFirst = end === making.first;
  return onFace(making, end, held, {
    says: isFirst ? say`clamped over its rim` : say`turned over, face ${letterOf(making.first)} on parallels, clamped over its rim`,
    because: [
      isFirst
        ? reason('rough-back', say`its sawn back on three points of one height, else it springs back after facing`, end)
        : reason('seat-first', say`pressed back on its faced side, so that both faces come out parallel`, end),
    ],
    balance: say`a counterweight opposite the heavy side, turned by hand first: unbalanced work runs slow`,
    cautions: [
      'Turn it by hand all the way round: clamps and bolts clear bed, carriage and tool.',
      'Clamped work runs slow; the plate’s own limit stands.',
    ],
    rows: [],
    last: false,
  });
}

/** A plate bolted from behind by its own holes: no clamp in the way of face, register and rim; turned over its other face. */
export function boltedSetup(making: Making, end: End, held: HoldingChoice, by: PartDetail): MadeSetting {
  const { facts, first } = making;
  const isFirst = end === first;
  const open = facts.part.features.find((f) => f.side === first && f.form === 'cylinder');
  const holding = holdingOf(facts.shop, held.holding);
  return onFace(making, end, held, {
    before: isFirst ? [awayBefore(by)] : [],
    says: isFirst ? say`bolted from behind by its ${by.count ?? 0} holes` : say`turned over, bolted again by its ${by.count ?? 0} holes`,
    because: [
      reason(
        'bolt-from-behind',
        say`screws from behind into its tapped holes, on packings of one height right under each; their ends stay below the face`,
        by.id,
      ),
      ...(isFirst
        ? []
        : [
            reason('soft-pads', say`paper between the packings and the finished face: it is not marked, and does not creep`, end),
            ...dialledOn(making, holding, end, open?.nearDiameter.nominal ?? mmOf(facts.bar.across), open ? [open.id] : []),
          ]),
    ],
    balance: say`a counterweight where it is out of balance, turned by hand first: unbalanced work runs slow`,
    cautions: [
      'Turn it by hand all the way round: bolts clear bed, carriage and tool, and no screw stands out of the face.',
      'Packings higher than the point of the drill: bore and rim end before the tool reaches the plate. The plate’s own limit stands.',
    ],
    rows: isFirst ? outsideRows(making) : [],
    last: !isFirst,
  });
}

/** How a plate lies on the faceplate, and what of it is worked there beside its face and its hole. */
interface OnFace {
  readonly before?: readonly Operation[];
  readonly says: Sentence;
  readonly because: readonly Reason[];
  readonly balance: Sentence;
  readonly cautions: readonly string[];
  /** of the outside */
  readonly rows: readonly Feature[];
  /** nothing is held after it */
  readonly last: boolean;
}

function onFace(making: Making, end: End, held: HoldingChoice, { before = [], says, because, balance, cautions, rows, last }: OnFace): MadeSetting {
  const { facts, sheet, first } = making;
  const { stock } = making.begins;
  const across = mmOf(facts.bar.across);
  const face = faceOf(facts.part, end);
  const back = faceOf(facts.part, otherEnd(end));
  const isFirst = end === first;
  const begin = beginningOf(making, `${end}-1`, end, held, { ratio: 0, stock, jaws: back, gripped: across });
  const hind = rowAt(rows, otherEnd(end));
  const done = inOrder(
    facts,
    begin,
    [
      ...before,
      takeHold({
        verb: isFirst ? 'load' : 'turn-round',
        says: isFirst ? say`${facts.bar.name}, a slice of ${length(sheet.cut.value, 0.1)}, ${says}` : says,
        because: [...because, ...held.because, ...(isFirst ? atLoading(facts, 0) : []), reason('balance', balance, end)],
        cautions,
        minutes: practice.minutesPlate,
      }),
      faceEnd(face, sheet.off[end], across, isFirst ? 'first' : 'length'),
      ...(holeAt(facts, end) ? [centreDrill(face, across, 'drill'), makeHole()] : []),
      ...turnRows(making, begin, rows, face, false),
      ...finishEdges(making, begin, rows, outsideRows(making)),
      ...shapeRows(making, begin, rows),
      // the packings leave room behind it
      ...(hind ? [chamferInner(hind, [])] : []),
      releaseCheck(),
      ...(last ? [awaySteps()] : []),
    ],
    making.known,
  );
  return clamped(making, done, held, back, stock);
}

/** The bored plate held by a bolt through its bore: its outside. */
export function rimSetup(making: Making, end: End, held: HoldingChoice): MadeSetting {
  const { facts } = making;
  const { stock } = making.begins;
  const rows = outsideRows(making);
  const back = faceOf(facts.part, otherEnd(end));
  const face = faceOf(facts.part, end);
  const bore = facts.part.features.find((f) => f.through === true);
  const last = rowAt(rows, otherEnd(end));
  // what the drawing wants the rim true to, where it lies open here
  const open = new Set(facts.part.features.filter((f) => f.side === end).map((f) => f.id));
  const datums = facts.part.relations.flatMap((r) => [thingOf(r.of), thingOf(r.to)]).filter((id) => open.has(id));
  const begin = beginningOf(making, `${end}-2`, end, held, { ratio: 0, stock, jaws: back, gripped: bore?.nearDiameter.nominal ?? 1 });
  const done = inOrder(
    facts,
    begin,
    [
      takeHold({
        verb: 'load',
        says: say`a bolt and washer through the bore before the clamps go one by one, so that it is not moved`,
        because: [
          ...dialledOn(
            making,
            holdingOf(facts.shop, held.holding),
            end,
            bore?.nearDiameter.nominal ?? 0,
            datums.length > 0 ? datums : bore ? [bore.id] : [],
          ),
          ...held.because,
          reason('seat-first', say`a packing ring behind it, so that the tool runs off clear of the plate`, end),
        ],
        minutes: practice.minutesRim,
      }),
      ...turnRows(making, begin, rows, face, false),
      ...finishEdges(making, begin, rows, rows),
      ...shapeRows(making, begin, rows),
      // the packing ring leaves room behind it
      ...(last ? [chamferInner(last, [])] : []),
      releaseCheck(),
      awaySteps(),
    ],
    making.known,
  );
  return clamped(making, done, held, back, stock);
}

/** A setup on the plate: what it is held by is its back. */
const clamped = (making: Making, done: Done, held: HoldingChoice, back: number, before: Region): MadeSetting =>
  settingMade(making, done, held, {
    grip: held.grip,
    stickOut: held.stickOut,
    gripped: [back, back + inward(done.at.end) * 1],
    before,
    carried: 'plate',
  });
