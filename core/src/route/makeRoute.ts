import { envelopeOf, type Feature, isShaped, threadOf } from '../drawing';
import type { Reason } from '../finding';
import { gripOf, type HoldingChoice } from '../holding';
import { diameter, figure, length, say, type Sentence, tidy, time } from '../quantity';
import { holdingOf, mmOf } from '../shop';
import { combine, outsideOf, rectangle, type Region, turned } from '../stock';
import { addStep, byHand, type Context, data, type End, innerOf, inward, mouthOf, needTool, reason, type SetupDraft, stepId } from './context';
import { chamferInner, chamferMouth, cutThread, dieFor, undercut } from './edges';
import { makeHole } from './bores';
import { centreDrill } from './holes';
import { boredGripping, onArbor } from './held';
import { inBestOrder, supportsIn, type Work } from './inBestOrder';
import { awaySteps, detailsOf, detailStep, drawnCentre, knurlUnder, shapeEdges, shapeRow } from './shapes';
import { backGroove, sever, type Severing } from './sever';
import { coolDown } from './cool';
import { bentLineOf } from './spring';
import { alreadyMade } from './started';
import { faceEnd, finishTurn, roughTurn } from './turning';
import type { BarSheet } from './barSheet';
import type { Gripping, Reach } from './reach';
import { speedFor } from '../cutting';
import type { Setup, Step } from './types';

/** @source bar-whip, common practice */
const WHIPS = 'The bar past the headstock whips: support it in a tube, or cut it short. Nobody stands beside it.';

/** @source reverse-and-chuck, common practice */
const SCREWED = 'The chuck is screwed on: never reverse it or brake it hard under power.';

/** What the bar itself asks for when it is held. */
function atLoading(ctx: Context, out: number): readonly Reason[] {
  const { bar, job, started } = ctx;
  if (started) return [];
  const across = mmOf(bar.across);
  return [
    ...(bar.form === 'hex' || bar.form === 'square'
      ? [reason('interrupted', say`its corners knock until it is round: lighter and slower at first, a tough edge or high-speed steel`, 'bar')]
      : []),
    ...((bar.skin === 'drawn' || bar.skin === 'hot') && out > 6 * across
      ? [reason('skin-off-both', say`drawn bar moves as its skin comes off: roughed all over it may be released, trued again, and finished`, 'bar')]
      : []),
    ...(job.pieces > 1
      ? [reason('batch', say`${job.pieces} pieces: stops set once, each piece and its ends numbered where mates are fitted`, 'bar')]
      : []),
  ];
}

interface Making {
  readonly ctx: Context;
  readonly sheet: BarSheet;
  readonly severing: Severing;
  readonly ids: Map<string, string>;
  readonly reach: Reach;
}

export function rightSetup(making: Making, held: HoldingChoice, stock: Region): Setup {
  const { ctx, sheet } = making;
  const edge = -(ctx.part.length + sheet.faceB);
  const jaws = sheet.severs ? edge - making.severing.width - sheet.gap : edge + sheet.grip.value;
  const draft = draftOf(making, 'right-1', 'right', held, sheet.stickOut.value / mmOf(ctx.bar.across), stock, jaws, mmOf(ctx.bar.across));
  const barDiameter = mmOf(ctx.bar.across);
  const rows = ctx.part.features.filter((f) => f.side === 'outside').map(envelopeOf);
  const mine = rows.filter((f) => making.reach[f.id] === 'right');
  const hole = ctx.part.features.find((f) => f.side === 'right');
  const opening = { z: 0, widest: rows[0]?.nearDiameter.nominal ?? barDiameter, hole: hole !== undefined };
  const last = rows.at(-1);
  const widest = last && making.reach[last.id] === 'right' ? last.nearDiameter.nominal / 2 : barDiameter / 2;
  const parts = sheet.severs && making.severing.method === 'part';
  const works: Work[] = [
    () => {
      addStep(ctx, draft, {
        verb: 'load',
        about: 'right',
        says: say`${ctx.bar.name}, ${length(sheet.stickOut.value, 0.1)} out, ${length(sheet.grip.value, 0.1)} gripped`,
        because: [
          ctx.started
            ? reason('started', say`${length(sheet.cut.value)} long as measured, for a part of ${length(ctx.part.length)}`, 'bar')
            : reason(
                'bar-length',
                say`${length(sheet.cut.value, 0.1)} of bar: ${length(ctx.part.length)} part, facing, blade, gap, grip and spare`,
                'bar',
              ),
          ...held.because,
          ...atLoading(ctx, sheet.stickOut.value),
        ],
        cautions: [...(sheet.behind ? [WHIPS] : []), ...(ctx.machine.nose === 'screwed' ? [SCREWED] : [])],
        figures: { minutes: byHand(1.5) },
      });
    },
    () => {
      if (sheet.faceA > 0) faceEnd(ctx, draft, 0, sheet.faceA, barDiameter, 'first');
    },
    ...openEnd(ctx, draft, held, opening),
    ...turnRows(making, draft, mine, 0, sheet.surfaceStays),
    ...rows.filter((f) => making.reach[f.id] === 'neck' && !madeAlready(ctx, f)).map((neck) => () => cutNeck(ctx, draft, neck, rows)),
    ...finishEdges(making, draft, mine, rows),
    ...shapeRows(
      making,
      draft,
      rows.filter((f) => making.reach[f.id] !== 'left'),
    ),
    ...holeAfterTurning(ctx, draft, held, opening),
    () => {
      if (last && making.reach[last.id] === 'right' && parts)
        chamferInner(ctx, draft, last, backGroove(edge, making.severing.width, widest - (last.chamferFar ?? 0) - sheet.faceB - 1));
    },
    () => releaseCheck(ctx, draft),
    () => {
      if (sheet.severs) sever(ctx, draft, making.severing, edge, barDiameter / 2);
    },
  ];
  inBestOrder(ctx, draft, held, works, parts && last ? `${last.id}.far` : undefined);
  return setupOf(making, draft, held, sheet.grip, sheet.stickOut, [jaws, jaws - sheet.grip.value], stock);
}

export function leftSetup(making: Making, held: HoldingChoice, outside: Gripping, stock: Region): Setup {
  const { ctx, sheet } = making;
  const arbor = onArbor(holdingOf(ctx.shop, held.holding)) ? boredGripping(ctx.part) : undefined;
  const gripping = arbor ?? outside;
  const edge = -(ctx.part.length + sheet.faceB);
  const piece = sheet.severs ? combine('intersection', stock, rectangle(edge, 1000, -1, 1000)) : stock;
  const { grip, stickOut } = held;
  const draft = draftOf(making, 'left-1', 'left', held, stickOut.value / gripping.diameter, piece, gripping.z, gripping.diameter);
  const rows = ctx.part.features.filter((f) => f.side === 'outside').map(envelopeOf);
  const mine = rows.filter((f) => making.reach[f.id] === 'left');
  const hole = ctx.part.features.find((f) => f.side === 'left');
  const barDiameter = mmOf(ctx.bar.across);
  const last = rows.at(-1);
  const opening = { z: -ctx.part.length, widest: last?.nearDiameter.nominal ?? barDiameter, hole: hole !== undefined };
  const works: Work[] = [
    () => {
      addStep(ctx, draft, {
        verb: 'turn-round',
        about: 'left',
        says: say`held on ${diameter(gripping.diameter)}, ${length(grip.value)} gripped, ${length(stickOut.value)} out`,
        because: [
          reason('moved-is-lost', say`dial it on the finished diameter; zero is now face B`, 'left'),
          ...held.because,
          reason('seat-first', say`press the work back so that it seats square, then tighten`, 'left'),
        ],
        figures: { minutes: byHand(2.5) },
      });
    },
    () => {
      if (sheet.faceB > 0)
        faceEnd(
          ctx,
          draft,
          -ctx.part.length,
          sheet.faceB,
          last && making.reach[last.id] === 'right' ? last.nearDiameter.nominal : barDiameter,
          'length',
        );
    },
    ...openEnd(ctx, draft, held, opening),
    ...turnRows(making, draft, mine, -ctx.part.length, false),
    ...finishEdges(making, draft, mine, rows),
    ...shapeRows(making, draft, mine),
    ...holeAfterTurning(ctx, draft, held, opening),
    () => {
      if (last && making.reach[last.id] === 'right' && (!sheet.severs || making.severing.method === 'saw')) chamferMouth(ctx, draft, last);
    },
    () => awaySteps(ctx, draft),
    () => releaseCheck(ctx, draft),
  ];
  inBestOrder(ctx, draft, held, works);
  const face = gripping.z;
  return setupOf(making, draft, held, grip, stickOut, [face, face + grip.value], piece, arbor);
}

/** What is done to a faced end before its rows are turned: a seat for the centre, the hole, or the centre that the drawing asks for. */
interface Opening {
  /** of the face */
  readonly z: number;
  /** mm on diameter there */
  readonly widest: number;
  readonly hole: boolean;
}

function openEnd(ctx: Context, draft: SetupDraft, held: HoldingChoice, { z, widest, hole }: Opening): readonly Work[] {
  const { centre, steady } = supportsIn(held);
  if (centre) return [() => centreDrill(ctx, draft, z, widest, 'support'), () => centreUp(ctx, draft, held)];
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
function holeAfterTurning(ctx: Context, draft: SetupDraft, held: HoldingChoice, { z, widest, hole }: Opening): readonly Work[] {
  const { centre, steady } = supportsIn(held);
  if (!hole) return [];
  if (centre)
    return [
      () =>
        addStep(ctx, draft, {
          verb: 'withdraw',
          about: draft.end,
          says: say`tailstock clear for the drill`,
          because: [reason('park-the-centre', say`what needed the centre is done; now it may be drilled away`, draft.end)],
          figures: { minutes: byHand(0.5) },
        }),
      () => makeHole(ctx, draft),
    ];
  return steady ? [() => steadyUp(ctx, draft, steady), () => centreDrill(ctx, draft, z, widest, 'drill'), () => makeHole(ctx, draft)] : [];
}

function turnRows(making: Making, draft: SetupDraft, rows: readonly Feature[], face: number, surfaceStays: boolean): readonly Work[] {
  const { ctx } = making;
  const bigFirst = rows
    .filter((f) => !madeAlready(ctx, f))
    .toSorted((a, b) => b.nearDiameter.nominal - a.nearDiameter.nominal || inward(draft.end) * (innerOf(b, draft.end) - innerOf(a, draft.end)));
  // a knurl rises from its blank: the drawn surface is too large for it
  const asBar = (f: Feature) => surfaceStays && Math.abs(f.nearDiameter.nominal - mmOf(ctx.bar.across)) < 0.02 && knurlUnder(ctx, f) === 0;
  const turnedRows = bigFirst.filter((f) => !asBar(f));
  const fine = turnedRows.filter((f) => f.nearDiameter.from !== 'general').toSorted((a, b) => widthOf(a) - widthOf(b));
  const finest = fine.find((f) => widthOf(f) <= 0.03);
  return [
    // as it stands where the row is: what was roughed before, or a piece already started, may stand lower than the bar
    ...turnedRows.map((row) => () => {
      roughTurn(ctx, draft, row, 2 * outsideOf(draft.stock, innerOf(row, draft.end), face).most, face);
    }),
    ...(finest ? [() => coolDown(ctx, draft, finest)] : []),
    ...turnedRows
      .filter((row) => !isShaped(row))
      .map((row) => () => finishTurn(ctx, draft, row, dieFor(ctx, row) ? 0.1 * pitchOf(row) : knurlUnder(ctx, row))),
  ];
}

const widthOf = (f: Feature) => f.nearDiameter.max - f.nearDiameter.min;

const madeAlready = ({ started }: Context, row: Feature): boolean => started !== undefined && alreadyMade(row, started);

function finishEdges(making: Making, draft: SetupDraft, mine: readonly Feature[], rows: readonly Feature[]): readonly Work[] {
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
function shapeRows(making: Making, draft: SetupDraft, mine: readonly Feature[]): readonly Work[] {
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
function cutNeck(ctx: Context, draft: SetupDraft, row: Feature, rows: readonly Feature[]): void {
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
  });
}

/** A steady is set on what was turned true, after the outside and before the hole. */
function steadyUp(ctx: Context, draft: SetupDraft, steady: HoldingChoice['support'][number]): void {
  const there = 2 * outsideOf(draft.stock, steady.at - 1, steady.at + 1).most;
  addStep(ctx, draft, {
    verb: 'support',
    about: draft.end,
    says: say`steady on ${diameter(there)}, ${length(Math.abs(steady.at - (draft.end === 'right' ? 0 : -ctx.part.length)), 0.1)} from the face`,
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

function releaseCheck(ctx: Context, draft: SetupDraft): void {
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

function draftOf(making: Making, id: string, end: End, held: HoldingChoice, ratio: number, stock: Region, jaws: number, gripped: number): SetupDraft {
  const holding = holdingOf(making.ctx.shop, held.holding);
  const speed = speedLimit(making, held, end);
  const grip = holding && gripOf(holding, gripped);
  const carried = held.support.some((s) => s.kind !== 'steady');
  return {
    id,
    end,
    steps: [],
    ids: making.ids,
    stock,
    holding: held.holding,
    support: held.support,
    jaws,
    speedBy: speed.says,
    place: { machine: making.ctx.machine, material: making.ctx.material, mostSpeed: speed.most, ratio, centre: carried, ...(grip && { grip }) },
  };
}

/** What allows the least speed: the holding, what runs on it, a bar that whips behind the spindle. */
function speedLimit(making: Making, held: HoldingChoice, end: End): { readonly most: number; readonly says: Sentence } {
  const items = [held.holding, ...held.support.map((s) => s.item)].flatMap((id) => holdingOf(making.ctx.shop, id) ?? []);
  const limits: { readonly most: number; readonly says: Sentence }[] = items.map((h) => ({ most: h.maxSpeed, says: say`${h.name} allows no more` }));
  const { behind } = making.sheet;
  if (behind && end === 'right')
    limits.push({ most: behind.speed.value, says: say`the bar stands ${length(behind.length, 1)} out behind the spindle and whips` });
  return limits.reduce((least, l) => (l.most < least.most ? l : least), { most: Infinity, says: say`` });
}

function setupOf(
  making: Making,
  draft: SetupDraft,
  held: HoldingChoice,
  grip: Setup['grip'],
  stickOut: Setup['stickOut'],
  gripped: readonly [number, number],
  before: Region,
  arbor?: Gripping,
): Setup {
  const steps: Step[] = [...draft.steps];
  const own = making.ctx.chosen.ownSteps;
  for (const step of own) {
    const at = step.after === null ? (draft.end === 'right' ? 0 : -1) : steps.findIndex((s) => s.id === step.after) + 1;
    if (step.after !== null && at === 0) continue;
    if (at < 0) continue;
    steps.splice(at, 0, {
      id: `own@${step.id}`,
      verb: 'own',
      does: [step.id],
      says: [step.says],
      because: [reason('own', say`an own step, ${time(step.minutes)}`, step.id)],
      cautions: [],
      figures: { minutes: byHand(step.minutes) },
      passes: [],
      removes: [],
      after: steps[at - 1]?.after ?? before,
    });
  }
  const holding = holdingOf(making.ctx.shop, held.holding);
  const zero = draft.end === 'right' ? 'right' : 'left';
  return {
    id: draft.id,
    end: draft.end,
    holding: held.holding,
    support: held.support,
    grip,
    stickOut,
    gripped,
    gripDiameter: arbor ? arbor.diameter : 2 * outsideOf(before, ...gripped).most,
    ...(arbor && { onArbor: true as const }),
    ...(draft.weakest && {
      bent: {
        step: draft.weakest.step,
        at: draft.weakest.spring.at,
        spring: draft.weakest.spring.spring,
        line: bentLineOf(draft.weakest.spring, draft.jaws, draft.end === 'right' ? 1 : -1),
      },
    }),
    before,
    minutes: figure('time', 'totalMinutes', { minutes: steps.map((s) => s.figures['minutes']?.value ?? 0) }),
    runout: figure('length', 'runoutOfHolding', { tir: mmOf(holding?.trueWithin) }, { step: 0.001 }),
    steps,
    lengths: making.ctx.part.features
      .filter((f) => f.side === 'outside' && making.reach[f.id] === draft.end)
      .map((f) => {
        const distance = Math.abs(innerOf(f, draft.end) - (zero === 'right' ? 0 : -making.ctx.part.length));
        return {
          of: f.id,
          from: zero,
          limits: { nominal: distance, max: distance, min: distance, from: 'general' as const },
          set: figure('length', 'distance', { value: tidy(distance) }),
        };
      }),
  };
}

const pitchOf = (row: Feature): number => threadOf(row)?.pitch ?? 1;
