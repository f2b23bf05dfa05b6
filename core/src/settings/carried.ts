import { envelopeOf, faceOf, type Feature, inward, letterOf, otherEnd, rowAt } from '../drawing';
import type { HoldingChoice } from '../holding';
import { awaySteps, centreDrill, chamferInner, drawnCentre, faceEnd, holeAt, makeHole, reason, releaseCheck, takeHold } from '../operations';
import { diameter, figure, length, say } from '../quantity';
import type { End } from '../ref';
import { type Done, inOrder } from '../sequence';
import { mmOf, practice } from '../shop';
import type { Region } from '../stock';

import { beginningOf, type MadeSetting, type Making, settingMade } from './setting';
import { atLoading, SCREWED } from './setups';
import { finishEdges, shapeRows, turnRows } from './works';

/* Work that is carried between its centres, or clamped on a plate: no jaw holds it while it is turned. */

const outsideRows = ({ facts }: Making): readonly Feature[] => facts.part.features.filter((f) => f.side === 'outside').map(envelopeOf);

/** The sawn bar in a chuck, most of it through the spindle: one end is faced and gets its centre. */
export function centreSetup(making: Making, end: End, held: HoldingChoice): MadeSetting {
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
        verb: isFirst ? 'load' : 'turn-round',
        says: say`${isFirst ? facts.bar.name : 'the sawn bar'}, ${length(out, 0.1)} out, the rest through the spindle`,
        because: [
          ...(isFirst
            ? [reason('bar-length', say`${length(sheet.cut.value, 0.1)} of bar: ${length(facts.part.length)} part and facing at both ends`, 'bar')]
            : []),
          ...held.because,
          ...(isFirst ? atLoading(facts, out) : []),
        ],
        cautions: facts.machine.nose === 'screwed' ? [SCREWED] : [],
        minutes: practice.minutesChuck,
      }),
      faceEnd(face, sheet.off[end], across, isFirst ? 'first' : 'length'),
      facts.part.details.some((d) => d.kind === 'centre' && d.on === end)
        ? drawnCentre(face)
        : centreDrill(face, rowAt(outsideRows(making), end)?.nearDiameter.nominal ?? across, 'support'),
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

/** Between centres, driven by a dog on the other end: what this end reaches is turned. */
export function betweenSetup(making: Making, end: End, held: HoldingChoice): MadeSetting {
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
      releaseCheck(),
      ...(isFirst ? [] : [awaySteps()]),
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
  const { facts, sheet, first } = making;
  const { stock } = making.begins;
  const across = mmOf(facts.bar.across);
  const face = faceOf(facts.part, end);
  const back = faceOf(facts.part, otherEnd(end));
  const isFirst = end === first;
  const begin = beginningOf(making, `${end}-1`, end, held, { ratio: 0, stock, jaws: back, gripped: across });
  const hole = holeAt(facts, end);
  const done = inOrder(
    facts,
    begin,
    [
      takeHold({
        verb: isFirst ? 'load' : 'turn-round',
        says: isFirst
          ? say`${facts.bar.name}, a slice of ${length(sheet.cut.value, 0.1)}, clamped over its rim`
          : say`turned over, face ${letterOf(first)} on parallels, clamped over its rim`,
        because: [
          isFirst
            ? reason('rough-back', say`its sawn back on three points of one height, else it springs back after facing`, end)
            : reason('seat-first', say`pressed back on its faced side, so that both faces come out parallel`, end),
          ...held.because,
          ...(isFirst ? atLoading(facts, 0) : []),
          reason('balance', say`a counterweight opposite the heavy side, turned by hand first: unbalanced work runs slow`, end),
        ],
        cautions: [
          'Turn it by hand all the way round: clamps and bolts clear bed, carriage and tool.',
          'Clamped work runs slow; the plate’s own limit stands.',
        ],
        minutes: practice.minutesPlate,
      }),
      faceEnd(face, sheet.off[end], across, isFirst ? 'first' : 'length'),
      ...(hole ? [centreDrill(face, across, 'drill'), makeHole()] : []),
      ...shapeRows(making, begin, []),
      releaseCheck(),
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
  const begin = beginningOf(making, `${end}-2`, end, held, { ratio: 0, stock, jaws: back, gripped: bore?.nearDiameter.nominal ?? 1 });
  const done = inOrder(
    facts,
    begin,
    [
      takeHold({
        verb: 'load',
        says: say`a bolt and washer through the bore, ${diameter(bore?.nearDiameter.nominal ?? 0)} dialled true`,
        because: [
          reason('one-chucking', say`the rim is turned true to the bore: dial the bore, then tighten`, end),
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
