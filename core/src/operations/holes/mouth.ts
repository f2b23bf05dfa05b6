import { speedFor } from '../../cutting';
import type { Tool } from '../../document';
import { type Edge, faceOf, type Feature, inward, letterOf, mouthOf } from '../../drawing';
import { angle, diameter, figure, length, say } from '../../quantity';
import type { End } from '../../ref';
import { mmOf, practice } from '../../shop';
import { bevels, isCountersink, outOfHolder, rounds } from '../../tooling';
import { edgeTool } from '../edges/edgeTool';
import { byHand, chosenData, reason } from '../facts';
import { addStep, type Draft, type Operation, operation, stepId, warn } from '../outcome';
import { polygon } from '../../stock';
import { spareIn } from '../spare';
import { enters } from './rung';
import { drawerOf } from './rungs';

/** What an edge takes of a hole: along the axis, and out on radius; mm and degrees to the axis. */
export function edgeSize(edge: Edge): { readonly along: number; readonly up: number; readonly degrees: number } | undefined {
  if (edge.kind === 'chamfer') return { along: edge.along, up: edge.along * Math.tan((edge.degrees * Math.PI) / 180), degrees: edge.degrees };
  if (edge.kind === 'break') return { along: edge.size, up: edge.size, degrees: 45 };
  if (edge.kind === 'radius') return { along: edge.radius, up: edge.radius, degrees: 0 };
  return undefined;
}

/** Chamfer, countersink or radius at the mouth of a row of a hole; `far` is where a hole that goes through comes out. */
export function mouth(draft: Draft, row: Feature, far = false): void {
  const { facts, at } = draft;
  const edge = far ? row.edgeFar : row.edgeNear;
  const size = edgeSize(edge);
  if (!size) return;
  const about = `${row.id}.${far ? 'far' : 'near'}`;
  const id = stepId(at, 'chamfer', about);
  const r = (far ? row.farDiameter : row.nearDiameter).nominal / 2;
  const wide = 2 * (r + size.up);
  const round = edge.kind === 'radius';
  const form = edgeTool(draft, id, {
    makes: (t) => (round ? rounds(t, size.along) : bevels(t, size.degrees, true, wide)) && (far || getsTo(t, draft, row)),
    otherwise: !round,
    words: round ? say`inside radius tool ${length(size.along)}` : say`countersink or bevelling tool ${angle(2 * size.degrees)}`,
    size: size.along,
  });
  // a bevel that no form tool makes is turned with the bar, the slide set to it
  const bar = form || round ? undefined : drawerOf(facts).bars.find((b) => enters(b, 2 * r));
  const tool = form ?? facts.shop.tools.find((t) => t.id === bar?.id);
  const z = far ? row.far : row.near;
  const into: End = at.end;
  addStep(draft, {
    verb: 'chamfer',
    about,
    tool,
    says: round ? say`mouth, radius ${length(size.along)}` : say`mouth to ${diameter(wide)}, ${angle(2 * size.degrees)} across`,
    because: [
      reason('relief-first', say`so that what goes in starts clean`, row.id),
      ...(form || round ? [] : [reason('edge-that-makes-it', say`by the boring bar, the slide set to ${angle(size.degrees)}`, row.id)]),
    ],
    figures: {
      speed: tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, form ? 'form' : 'turn', wide)),
      feed: figure('feed', 'feedByHand', { asked: 0.05 }),
      minutes: byHand(practice.minutesMouth),
    },
    sweeps: spareIn(facts, z, z + inward(into) * size.along, r - 1, r + size.up),
  });
}

/** How wide a cone is that a centre stands in, over a hole of this diameter; mm. @source judgement: a seat of a tenth of the hole all round, 1 mm at the least */
const coneOver = (hole: number): number => hole + 2 * Math.max(1, 0.1 * hole);

/** There is metal round the mouth of a hole for a cone to stand in, mm. */
export const takesCone = (hole: number, face: number): boolean => coneOver(hole) <= face - 2;

/**
 * A cone of 60 degrees in the mouth of a hole that goes through, for the piece to be turned on.
 * @param far at the end where the hole comes out
 * @source cones-in-a-hole, common practice
 */
export const coneMouth = (row: Feature, far: boolean): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const about = `${row.id}.${far ? 'farCone' : 'cone'}`;
    const id = stepId(at, 'chamfer', about);
    const hole = row.farDiameter.nominal;
    const wide = coneOver(hole);
    const form = edgeTool(draft, id, {
      makes: (t) => bevels(t, 30, true, wide),
      otherwise: true,
      words: say`countersink 60°`,
      size: (wide - hole) / 2,
    });
    const bar = form ? undefined : drawerOf(facts).bars.find((b) => enters(b, hole));
    const tool = form ?? facts.shop.tools.find((t) => t.id === bar?.id);
    const z = faceOf(facts.part, at.end);
    const deep = (wide - hole) / 2 / Math.tan(Math.PI / 6);
    // where nothing is bored over it later it stays
    if (far || Math.abs(mouthOf(row, at.end) - z) < 0.01)
      warn(draft, {
        code: 'centre-allowed',
        about: id,
        severity: 'note',
        says: say`a mouth of 60° to ${diameter(wide)} stays in face ${letterOf(at.end)}; the drawing does not ask for one`,
        why: say`it wants the drawing’s leave, or plugs in the hole to carry it on`,
        mends: [],
      });
    addStep(draft, {
      verb: 'chamfer',
      about,
      tool,
      says: say`a cone of 60° in the mouth, to ${diameter(wide)}, for the centre`,
      because: [
        reason('cones-in-a-hole', say`bored through it is carried on the mouths of its hole: both cones cut in a chuck, clean and true`, row.id),
        ...(form ? [] : [reason('edge-that-makes-it', say`by the boring bar, the slide set to ${angle(30)}`, row.id)]),
      ],
      figures: {
        speed: tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, form ? 'form' : 'turn', wide)),
        feed: figure('feed', 'feedByHand', { asked: 0.05 }),
        depth: figure('length', 'distance', { value: deep }, { step: 0.1 }),
        minutes: byHand(practice.minutesMouth),
      },
      sweeps: polygon([
        [z - inward(at.end) * 0.5, 0],
        [z - inward(at.end) * 0.5, wide / 2],
        [z, wide / 2],
        [z + inward(at.end) * deep, hole / 2],
        [z + inward(at.end) * deep, 0],
      ]),
    });
  });

/** A form tool gets as deep as it stands out of its holder; a countersink where its cone goes in through the rows above. */
function getsTo(tool: Tool, { facts, at }: Draft, row: Feature): boolean {
  const face = faceOf(facts.part, at.end);
  const deep = (f: Feature) => Math.abs(mouthOf(f, at.end) - face);
  if (!isCountersink(tool)) return deep(row) <= outOfHolder(tool);
  const above = facts.part.features.filter((f) => f.side === row.side && deep(f) < deep(row) - 0.01);
  return above.every((f) => mmOf(tool.width, 0) <= Math.min(f.nearDiameter.min, f.farDiameter.min));
}

/** A far mouth lies at the face of this end. */
export const opensAt = (draft: Pick<Draft, 'facts' | 'at'>, row: Feature): boolean =>
  row.through === true && row.side !== draft.at.end && Math.abs(mouthOf(row, draft.at.end) - faceOf(draft.facts.part, draft.at.end)) < 0.01;
