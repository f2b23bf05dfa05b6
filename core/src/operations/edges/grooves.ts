import { speedFor } from '../../cutting';
import type { Tool } from '../../document';
import { detailWords, faceOf, type Feature, innerOf, inward, type PartDetail } from '../../drawing';
import type { Reason } from '../../finding';
import { alreadyMade } from '../../holding';
import { diameter, figure, length, say, type Sentence, tidy } from '../../quantity';
import { mmOf, practice } from '../../shop';
import type { Region } from '../../stock';
import { groovers, rounds } from '../../tooling';
import { chosenData, type Facts, reason } from '../facts';
import { addStep, type At, type Draft, needTool, type Operation, operation, stepId } from '../outcome';
import { spareIn } from '../spare';
import { knurl } from './knurl';

const isGroove = (kind: PartDetail['kind']) => kind === 'groove' || kind === 'ringGroove' || kind === 'faceGroove';

/** Grooves of a hole are cut with the hole, before its threads and mouths. */
const cutWithHole = ({ started }: Facts, detail: PartDetail, row: Feature | undefined): boolean =>
  isGroove(detail.kind) && row !== undefined && row.side !== 'outside' && !(started && alreadyMade(row, started));

/** Grooves and knurls of the rows that this setup turned, and what is cut in its end face. */
export const detailsOf = (facts: Facts, at: At, rows: readonly Feature[]): readonly PartDetail[] =>
  facts.part.details.filter((d) => {
    const row = rows.find((r) => r.id === d.on);
    return (d.on === at.end || row !== undefined) && !cutWithHole(facts, d, row);
  });

/** Grooves in a row of a hole. */
export function insideGrooves(draft: Draft, row: Feature): void {
  for (const detail of draft.facts.part.details) if (detail.on === row.id && cutWithHole(draft.facts, detail, row)) groove(draft, detail, row);
}

export const detailStep = (rows: readonly Feature[], detail: PartDetail): Operation =>
  operation((draft) => {
    const row = rows.find((r) => r.id === detail.on);
    if (isGroove(detail.kind)) groove(draft, detail, row);
    if (detail.kind === 'knurl' && row) knurl(draft, row, detail);
  });

function groove(draft: Draft, detail: PartDetail, row: Feature | undefined): void {
  const { facts, at } = draft;
  const surface = row ? row.nearDiameter.nominal / 2 : 0;
  const bottom = (detail.diameter?.nominal ?? 0) / 2;
  const inside = row !== undefined && row.side !== 'outside';
  const face = detail.kind === 'faceGroove';
  const into = inward(at.end);
  const depth = face ? (detail.depth ?? 0) : Math.abs(surface - bottom);
  const window: readonly [number, number, number, number] = face
    ? [detail.near, detail.near + into * depth, bottom - (detail.width ?? 0), bottom]
    : inside
      ? [detail.near, detail.far, surface - 0.5, bottom]
      : [detail.near, detail.far, bottom, surface + 0.5];
  plunged(draft, {
    verb: 'groove',
    about: detail.id,
    says: detail.says,
    why: reason('tool-width', say`${detailWords[detail.kind]}: the blade’s edge touched on the face, then moved`, detail.id),
    width: detail.width ?? Math.abs(detail.near - detail.far),
    depth,
    at: 2 * Math.max(surface, bottom),
    ...(inside && { hole: 2 * surface, deep: Math.abs(innerOf(detail, at.end) - faceOf(facts.part, at.end)) }),
    ...(detail.round === true && detail.radius !== undefined && { radius: detail.radius }),
    sweeps: spareIn(facts, ...window),
  });
}

/** What is cut by plunging a blade: a groove, a relief. */
export interface Plunged {
  readonly verb: 'groove' | 'undercut';
  readonly about: string;
  readonly does?: readonly string[];
  readonly says: Sentence;
  readonly why: Reason;
  /** along the axis, and on radius, mm; of a face groove the other way round */
  readonly width: number;
  readonly depth: number;
  /** diameter in cut, mm */
  readonly at: number;
  /** the hole that the blade goes into, and how far from its face, mm */
  readonly hole?: number;
  readonly deep?: number;
  /** of a round bottom, mm */
  readonly radius?: number;
  readonly sweeps: Region;
  readonly to?: number;
}

/** How much of its width a blade moves between plunges. @source edge-that-makes-it, common practice: they overlap */
const MOVES = 0.8;

/** How often a blade is plunged to cut a width. */
export const plungesOf = (width: number, blade: number): number =>
  width <= blade + 0.01 ? 1 : 1 + Math.ceil((width - blade) / (MOVES * blade) - 1e-6);

/** A groove or relief in as many plunges as its blade wants. */
export function plunged(draft: Draft, { verb, about, does, says, why, width, depth, at: across, hole, deep, radius, sweeps, to }: Plunged): void {
  const { facts, at } = draft;
  const id = stepId(at, verb, about);
  const blades = groovers(facts.shop, width, depth, hole, deep);
  const round = radius === undefined ? undefined : facts.shop.tools.find((t) => rounds(t, radius));
  const fits = (t: Tool) => blades.includes(t);
  const words =
    hole === undefined
      ? say`grooving tool up to ${length(width)} wide that cuts ${length(tidy(depth))} deep`
      : say`inside grooving bar up to ${length(width)} wide that enters ${diameter(hole)}`;
  // a parting blade serves where no grooving tool does
  const kind = blades[0]?.kind === 'part' ? 'part' : 'groove';
  const tool =
    round ?? needTool(draft, id, kind, words, (t) => fits(t) && (t === blades[0] || facts.chosen.use.get(id)?.includes(t.id) === true), true);
  const blade = mmOf(tool?.width, width);
  const plunges = round ? 1 : plungesOf(width, blade);
  const speed = tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'part', Math.max(1, across)));
  const feed = figure('feed', 'feedByHand', { asked: 0.05 });
  addStep(draft, {
    verb,
    about,
    ...(does && { does }),
    tool,
    says,
    because: [
      why,
      ...(plunges > 1
        ? [
            reason(
              'edge-that-makes-it',
              say`${plunges} plunges of a ${length(blade)} blade, each over ${length(tidy((width - blade) / (plunges - 1)), 0.01)} from the last, then along the bottom`,
              about,
            ),
          ]
        : []),
      ...(radius !== undefined
        ? [
            round
              ? reason('edge-that-makes-it', say`by a tool ground to its radius of ${length(radius)}; narrower, and swung, where it chatters`, about)
              : reason('plunge-form', say`stepped off with the blade to the outline, then blended to a template of radius ${length(radius)}`, about),
          ]
        : []),
    ],
    figures: {
      speed,
      feed,
      passes: figure('count', 'counted', { count: plunges }),
      depth: figure('length', 'distance', { value: tidy(depth) }),
      to: to === undefined ? undefined : figure('diameter', 'toSize', { size: to }),
      force:
        tool &&
        figure(
          'force',
          'forceOfEdge',
          { kc: facts.material.kc, mc: facts.material.mc, b: round ? 2 : blade, h: feed.value, factor: 1.1 },
          { step: 10 },
        ),
      minutes: speed
        ? figure('time', 'minutes', {
            passes: plunges,
            length: Math.max(0.1, tidy(depth)),
            approach: 1,
            f: feed.value,
            n: speed.value,
            handling: practice.minutesGroove + practice.minutesPlungeMove * (plunges - 1),
          })
        : figure('time', 'minutesByHand', { handling: practice.minutesGroove }),
    },
    sweeps,
  });
}
