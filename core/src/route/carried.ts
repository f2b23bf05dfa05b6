import { envelopeOf, type Feature } from '../drawing';
import type { HoldingChoice } from '../holding';
import { diameter, figure, length, say } from '../quantity';
import { mmOf } from '../shop';
import type { Region } from '../stock';
import { addStep, byHand, reason, type SetupDraft } from './context';
import { draftOf, type Making, setupOf } from './draft';
import { makeHole } from './bores';
import { chamferInner } from './edges';
import type { End } from '../ref';
import { faceOf, inward, letterOf, otherEnd, rowAt } from './ends';
import { DOG } from './held';
import { centreDrill } from './holes';
import { inBestOrder } from './inBestOrder';
import { awaySteps } from './beside';
import { atLoading, SCREWED } from './setups';
import { drawnCentre } from './shapes';
import { faceEnd } from './facing';
import type { Setup } from './types';
import { finishEdges, releaseCheck, shapeRows, turnRows } from './works';

/* Work that is carried between its centres, or clamped on a plate: no jaw holds it while it is turned. */

const outsideRows = ({ ctx }: Making): readonly Feature[] => ctx.part.features.filter((f) => f.side === 'outside').map(envelopeOf);

/** The sawn bar in a chuck, most of it through the spindle: one end is faced and gets its centre. */
export function centreSetup(making: Making, end: End, held: HoldingChoice, stock: Region): Setup {
  const { ctx, sheet, first } = making;
  const across = mmOf(ctx.bar.across);
  const face = faceOf(ctx.part, end);
  const out = held.stickOut.value;
  const jaws = face - inward(end) * sheet.off[end] + inward(end) * out;
  const draft = draftOf(making, `${end}-1`, end, held, { ratio: out / across, stock, jaws, gripped: across });
  const isFirst = end === first;
  inBestOrder(ctx, draft, held, [
    () =>
      addStep(ctx, draft, {
        verb: isFirst ? 'load' : 'turn-round',
        about: end,
        says: say`${isFirst ? ctx.bar.name : 'the sawn bar'}, ${length(out, 0.1)} out, the rest through the spindle`,
        because: [
          ...(isFirst
            ? [reason('bar-length', say`${length(sheet.cut.value, 0.1)} of bar: ${length(ctx.part.length)} part and facing at both ends`, 'bar')]
            : []),
          ...held.because,
          ...(isFirst ? atLoading(ctx, out) : []),
        ],
        cautions: ctx.machine.nose === 'screwed' ? [SCREWED] : [],
        figures: { minutes: byHand(1.5) },
      }),
    () => faceEnd(ctx, draft, face, sheet.off[end], across, isFirst ? 'first' : 'length'),
    () =>
      ctx.part.details.some((d) => d.kind === 'centre' && d.on === end)
        ? drawnCentre(ctx, draft, face)
        : centreDrill(ctx, draft, face, rowAt(outsideRows(making), end)?.nearDiameter.nominal ?? across, 'support'),
    () => releaseCheck(ctx, draft),
  ]);
  return setupOf(making, draft, held, {
    grip: held.grip,
    stickOut: held.stickOut,
    gripped: [jaws, jaws + inward(end) * held.grip.value],
    before: stock,
  });
}

/** Between centres, driven by a dog on the other end: what this end reaches is turned. */
export function betweenSetup(making: Making, end: End, held: HoldingChoice, stock: Region): Setup {
  const { ctx, first } = making;
  const far = otherEnd(end);
  const driven = faceOf(ctx.part, far);
  const rows = outsideRows(making);
  const mine = rows.filter((f) => making.reach[f.id] === end);
  const across = Math.max(...rows.map((f) => f.nearDiameter.nominal));
  const face = faceOf(ctx.part, end);
  const isFirst = end === first;
  const draft = draftOf(making, `${end}-2`, end, held, { ratio: ctx.part.length / across / 2, stock, jaws: driven, gripped: across });
  inBestOrder(ctx, draft, held, [
    () =>
      addStep(ctx, draft, {
        verb: isFirst ? 'load' : 'turn-round',
        about: end,
        says: isFirst
          ? say`between centres, the dog on end ${letterOf(far)}`
          : say`end for end between the same centres, the dog on end ${letterOf(far)} under a pad`,
        because: [
          reason('moved-is-lost', say`it returns to its centres, so both ends run true to one another; zero is face ${letterOf(end)}`, end),
          ...held.because,
          reason('park-the-centre', say`nip the tail centre again as the work warms and grows`, end),
        ],
        cautions: ['The dog swings: nothing loose, hands and sleeves clear of it.'],
        figures: { minutes: byHand(2) },
      }),
    ...turnRows(making, draft, mine, face, isFirst && making.sheet.surfaceStays),
    ...finishEdges(making, draft, mine, rows),
    ...shapeRows(making, draft, mine),
    () => releaseCheck(ctx, draft),
    () => {
      if (!isFirst) awaySteps(ctx, draft);
    },
  ]);
  const grip = figure('length', 'distance', { value: DOG });
  return setupOf(making, draft, held, {
    grip,
    stickOut: figure('length', 'distance', { value: ctx.part.length }, { step: 0.1 }),
    gripped: [driven - inward(end) * DOG, driven],
    before: stock,
    carried: 'centres',
  });
}

/** A sawn plate on the faceplate, clamped over its rim: faced under clamps that are moved in turn, and bored. */
export function plateSetup(making: Making, end: End, held: HoldingChoice, stock: Region): Setup {
  const { ctx, sheet, first } = making;
  const across = mmOf(ctx.bar.across);
  const face = faceOf(ctx.part, end);
  const back = faceOf(ctx.part, otherEnd(end));
  const isFirst = end === first;
  const draft = draftOf(making, `${end}-1`, end, held, { ratio: 0, stock, jaws: back, gripped: across });
  const hole = ctx.part.features.some((f) => f.side === end);
  inBestOrder(ctx, draft, held, [
    () =>
      addStep(ctx, draft, {
        verb: isFirst ? 'load' : 'turn-round',
        about: end,
        says: isFirst
          ? say`${ctx.bar.name}, a slice of ${length(sheet.cut.value, 0.1)}, clamped over its rim`
          : say`turned over, face ${letterOf(first)} on parallels, clamped over its rim`,
        because: [
          isFirst
            ? reason('rough-back', say`its sawn back on three points of one height, else it springs back after facing`, end)
            : reason('seat-first', say`pressed back on its faced side, so that both faces come out parallel`, end),
          ...held.because,
          reason('balance', say`a counterweight opposite the heavy side, turned by hand first: unbalanced work runs slow`, end),
        ],
        cautions: [
          'Turn it by hand all the way round: clamps and bolts clear bed, carriage and tool.',
          'Clamped work runs slow; the plate’s own limit stands.',
        ],
        figures: { minutes: byHand(8) },
      }),
    () => faceEnd(ctx, draft, face, sheet.off[end], across, isFirst ? 'first' : 'length'),
    ...(hole ? [() => centreDrill(ctx, draft, face, across, 'drill'), () => makeHole(ctx, draft)] : []),
    ...shapeRows(making, draft, []),
    () => releaseCheck(ctx, draft),
  ]);
  return clamped(making, draft, held, back, stock);
}

/** The bored plate held by a bolt through its bore: its outside. */
export function rimSetup(making: Making, end: End, held: HoldingChoice, stock: Region): Setup {
  const { ctx } = making;
  const rows = outsideRows(making);
  const back = faceOf(ctx.part, otherEnd(end));
  const face = faceOf(ctx.part, end);
  const bore = ctx.part.features.find((f) => f.through === true);
  const draft = draftOf(making, `${end}-2`, end, held, { ratio: 0, stock, jaws: back, gripped: bore?.nearDiameter.nominal ?? 1 });
  inBestOrder(ctx, draft, held, [
    () =>
      addStep(ctx, draft, {
        verb: 'load',
        about: end,
        says: say`a bolt and washer through the bore, ${diameter(bore?.nearDiameter.nominal ?? 0)} dialled true`,
        because: [
          reason('one-chucking', say`the rim is turned true to the bore: dial the bore, then tighten`, end),
          ...held.because,
          reason('seat-first', say`a packing ring behind it, so that the tool runs off clear of the plate`, end),
        ],
        figures: { minutes: byHand(6) },
      }),
    ...turnRows(making, draft, rows, face, false),
    ...finishEdges(making, draft, rows, rows),
    ...shapeRows(making, draft, rows),
    () => {
      const last = rowAt(rows, otherEnd(end));
      // the packing ring leaves room behind it
      if (last) chamferInner(ctx, draft, last, []);
    },
    () => releaseCheck(ctx, draft),
    () => awaySteps(ctx, draft),
  ]);
  return clamped(making, draft, held, back, stock);
}

/** A setup on the plate: what it is held by is its back. */
const clamped = (making: Making, draft: SetupDraft, held: HoldingChoice, back: number, before: Region): Setup =>
  setupOf(making, draft, held, { grip: held.grip, stickOut: held.stickOut, gripped: [back, back + inward(draft.end) * 1], before, carried: 'plate' });
