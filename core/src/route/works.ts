import { speedFor } from '../cutting';
import { type Feature, isShaped, threadOf } from '../drawing';
import type { HoldingChoice } from '../holding';
import { diameter, figure, length, say, tidy } from '../quantity';
import { mmOf } from '../shop';
import { lessSwept, outsideOf, turned } from '../stock';
import { makeHole } from './bores';
import { addStep, byHand, type Context, data, needTool, reason, type SetupDraft, stepId } from './context';
import { coolDown } from './cool';
import type { Making } from './draft';
import { chamferInner, chamferMouth, undercut } from './edges';
import { faceOf, innerOf, inward, mouthOf } from './ends';
import { centreDrill } from './holes';
import { supportsIn, type Work } from './inBestOrder';
import { cornerKept, detailsOf, detailStep, drawnCentre, knurlUnder, shapeEdges, shapeRow } from './shapes';
import { alreadyMade } from './started';
import { cutThread, dieFor } from './threading';
import { finishTurn, roughTurn } from './turning';

/* The pieces of work that a setup is made of, in the order of an ordinary job; the best order is looked for afterwards. */

/** What is done to a faced end before its rows are turned: a seat for the centre, the hole, or the centre that the drawing asks for. */
export interface Opening {
  /** of the face */
  readonly z: number;
  /** mm on diameter there */
  readonly widest: number;
  readonly hole: boolean;
}

export function openEnd(ctx: Context, draft: SetupDraft, held: HoldingChoice, { z, widest, hole }: Opening): readonly Work[] {
  const { centre, steady } = supportsIn(held);
  const drawn = ctx.part.details.some((d) => d.kind === 'centre' && d.on === draft.end);
  // the centre that the drawing asks for carries it; else one of usual size
  if (centre)
    return [() => (drawn && !hole ? drawnCentre(ctx, draft, z) : centreDrill(ctx, draft, z, widest, 'support')), () => centreUp(ctx, draft, held)];
  if (!hole) return [() => drawnCentre(ctx, draft, z)];
  return steady ? [] : [() => centreDrill(ctx, draft, z, widest, 'drill'), () => makeHole(ctx, draft)];
}

function centreUp(ctx: Context, draft: SetupDraft, held: HoldingChoice): void {
  addStep(ctx, draft, {
    verb: 'support',
    about: draft.end,
    says: held.support.some((s) => s.kind === 'followRest')
      ? say`centre up, quill nipped; follow rest set behind the tool`
      : say`centre up, quill nipped`,
    because: [
      reason('centre-then-support', held.because.find((r) => r.rule === 'stick-out')?.says ?? say`the free end is carried`, draft.end),
      reason('park-the-centre', say`nip it again as the work warms and grows`, draft.end),
    ],
    figures: { minutes: byHand(0.5) },
  });
}

/** A hole that waits until the outside is turned: the centre is withdrawn for it, or a steady set up. */
export function holeAfterTurning(ctx: Context, draft: SetupDraft, held: HoldingChoice, { z, widest, hole }: Opening): readonly Work[] {
  const { centre, steady } = supportsIn(held);
  if (!hole) return [];
  if (centre)
    return [
      () =>
        addStep(ctx, draft, {
          verb: 'withdraw',
          about: draft.end,
          says: say`tailstock clear for the drill`,
          because: [
            reason('park-the-centre', say`what needed the centre is done; now it may be drilled away`, draft.end),
            reason('keep-a-centre', say`if it is to be carried here again: a 60° mouth on the hole, or a pipe centre`, draft.end),
          ],
          figures: { minutes: byHand(0.5) },
        }),
      () => makeHole(ctx, draft),
    ];
  return steady ? [() => steadyUp(ctx, draft, steady), () => centreDrill(ctx, draft, z, widest, 'drill'), () => makeHole(ctx, draft)] : [];
}

export function turnRows(making: Making, draft: SetupDraft, rows: readonly Feature[], face: number, surfaceStays: boolean): readonly Work[] {
  const { ctx } = making;
  const bigFirst = rows
    .filter((f) => !madeAlready(ctx, f))
    .toSorted((a, b) => b.nearDiameter.nominal - a.nearDiameter.nominal || inward(draft.end) * (innerOf(b, draft.end) - innerOf(a, draft.end)));
  // a knurl rises from its blank: the drawn surface is too large for it
  const asBar = (f: Feature) => surfaceStays && Math.abs(f.nearDiameter.nominal - mmOf(ctx.bar.across)) < 0.02 && knurlUnder(ctx, f) === 0;
  const turnedRows = bigFirst.filter((f) => !asBar(f));
  const fine = turnedRows.filter((f) => f.nearDiameter.from !== 'general').toSorted((a, b) => widthOf(a) - widthOf(b));
  const finest = fine.find((f) => widthOf(f) <= 0.03);
  // where nothing is clipped: what earlier setups swept, and what the row before, larger and farther in, left on this
  let left = Infinity;
  const earlier = making.swept?.slice();
  return [
    // as it stands where the row is: what was roughed before, or a piece already started, may stand lower than the bar
    ...turnedRows.map((row) => () => {
      const stands =
        2 * outsideOf(earlier ? lessSwept(draft.stock, earlier, innerOf(row, draft.end), face) : draft.stock, innerOf(row, draft.end), face).most;
      left = roughTurn(ctx, draft, row, draft.swept ? Math.min(stands, left) : stands, face);
    }),
    ...(finest ? [() => coolDown(ctx, draft, finest)] : []),
    ...turnedRows
      .filter((row) => !isShaped(row))
      .map((row) => () => finishTurn(ctx, draft, row, dieFor(ctx, row) ? 0.1 * pitchOf(row) : knurlUnder(ctx, row))),
  ];
}

const widthOf = (f: Feature) => f.nearDiameter.max - f.nearDiameter.min;

export const madeAlready = ({ started }: Context, row: Feature): boolean => started !== undefined && alreadyMade(row, started);

export function finishEdges(making: Making, draft: SetupDraft, mine: readonly Feature[], rows: readonly Feature[]): readonly Work[] {
  const { ctx } = making;
  return [
    ...mine.map((row) => () => chamferMouth(ctx, draft, row)),
    ...mine.flatMap((row): readonly Work[] => {
      const behind = rows.find((f) => Math.abs(mouthOf(f, draft.end) - innerOf(row, draft.end)) < 1e-6);
      const inner: readonly Work[] = behind && making.reach[behind.id] === 'neck' ? [() => chamferInner(ctx, draft, row, [])] : [];
      if (row.form !== 'thread' || madeAlready(ctx, row)) return inner;
      const relief = draft.end === 'right' ? row.edgeFar : row.edgeNear;
      return [
        ...inner,
        ...(relief.kind === 'threadUndercut' ? [() => undercut(ctx, draft, row, pitchOf(row))] : []),
        () => cutThread(ctx, draft, row),
      ];
    }),
  ];
}

/** What the envelope and 45 degree chamfers do not finish: tapers, arcs, radii, reliefs, grooves, knurls; in holes their grooves. */
export function shapeRows(making: Making, draft: SetupDraft, mine: readonly Feature[]): readonly Work[] {
  const { ctx } = making;
  const drawn = ctx.part.features.filter((f) => mine.some((m) => m.id === f.id));
  const all = [...drawn, ...ctx.part.features.filter((f) => f.side === draft.end)];
  return [
    ...drawn.filter(isShaped).map((row) => () => shapeRow(ctx, draft, row)),
    ...drawn.map((row) => () => shapeEdges(ctx, draft, row)),
    ...detailsOf(ctx, draft, all).map((detail) => () => detailStep(ctx, draft, all, detail)),
  ];
}

/** A row between two larger ones: plunged with the blade, side by side. */
export function cutNeck(ctx: Context, draft: SetupDraft, row: Feature, rows: readonly Feature[]): void {
  const id = stepId(draft, 'neck', row.id);
  const tool = needTool(ctx, id, 'part', say`parting blade`);
  const width = mmOf(tool?.width, 3);
  const long = row.near - row.far;
  if (long < width) {
    ctx.findings.push({
      code: 'blade-too-wide',
      about: id,
      severity: 'stop',
      says: say`the blade is ${length(width)} wide, the row between its shoulders only ${length(long)}`,
      why: say`a narrower blade is wanted`,
      mends: [],
    });
  }
  const around = Math.max(
    ...rows.filter((f) => Math.abs(f.near - row.far) < 1e-6 || Math.abs(f.far - row.near) < 1e-6).map((f) => f.nearDiameter.nominal),
  );
  const speed = tool && data(ctx, id, 'speed', speedFor(draft.place, tool, 'part', around));
  const plunges = figure('count', 'passes', { total: Math.max(long - width, 0.01), most: 0.8 * width });
  const limits = row.nearDiameter;
  addStep(ctx, draft, {
    verb: 'neck',
    about: row.id,
    does: [`${row.id}.diameter`],
    tool,
    says: say`${diameter(limits.nominal)} × ${length(long)} between shoulders`,
    because: [reason('tool-width', say`plunge side by side, then along the bottom: ${plunges.value} plunges of a ${length(width)} blade`, row.id)],
    figures: {
      speed,
      feed: figure('feed', 'feedByHand', { asked: 0.05 }),
      passes: plunges,
      depth: figure('length', 'distance', { value: tidy((around - limits.nominal) / 2) }),
      to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }),
      minutes: byHand(1 + plunges.value),
    },
    sweeps: turned(row.near, row.far, (limits.max + limits.min) / 4),
    leaves: [...cornerKept(row, 'right'), ...cornerKept(row, 'left')],
  });
}

/** A steady is set on what was turned true, after the outside and before the hole. */
function steadyUp(ctx: Context, draft: SetupDraft, steady: HoldingChoice['support'][number]): void {
  const there = 2 * outsideOf(draft.stock, steady.at - 1, steady.at + 1).most;
  addStep(ctx, draft, {
    verb: 'support',
    about: draft.end,
    says: say`steady on ${diameter(there)}, ${length(Math.abs(steady.at - faceOf(ctx.part, draft.end)), 0.1)} from the face`,
    because: [
      reason(
        'steady',
        say`a long bar that is drilled or bored at its free end is carried there, on a place that runs true; checked after`,
        draft.end,
      ),
    ],
    figures: { minutes: byHand(2.5) },
  });
}

export function releaseCheck(ctx: Context, draft: SetupDraft): void {
  const measured = draft.steps.filter((s) => s.gauge !== undefined).flatMap((s) => s.does.slice(0, 1));
  addStep(ctx, draft, {
    verb: 'check',
    about: draft.end,
    does: measured,
    says:
      measured.length > 0
        ? say`${measured.length} ${measured.length === 1 ? 'size' : 'sizes'} measured and written down`
        : say`every length and diameter looked over`,
    because: [reason('release-check', say`out of the chuck it has lost its centre`, draft.end)],
    figures: { minutes: byHand(1) },
  });
}

const pitchOf = (row: Feature): number => threadOf(row)?.pitch ?? 1;
