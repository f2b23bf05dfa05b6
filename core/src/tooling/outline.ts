import type { Holding, Machine, Tool } from '../document';
import { parseDegrees } from '../quantity';
import { mmOf, practice, sizeOf } from '../shop';
import { readInsert } from '../standards';
import { type Convex, movedBy, overlapOf } from '../stock';

/*
 * A tool as an outline in the plane of the lathe: x along the axis away from the headstock, r to the operator. (0, 0) is the point of its edge nearest to the headstock
 * and to the axis; of a bar the point nearest to the headstock and to the wall. What its row in the shop does not say is of usual size.
 */

/** A form tool with an angle of its own that is no countersink: its tip is between two flanks. */
export const isPointed = (tool: Tool): boolean => {
  const flank = parseDegrees(tool.angle?.text ?? '');
  return tool.kind === 'form' && flank.ok && flank.value > 0 && flank.value <= 60;
};

/** How a tool is presented: to the outside, on end to the mouth of a hole, or as a bar inside it. */
export type Presented = 'outside' | 'mouth' | 'inside';

export interface Outline {
  /** its edge and what stands right behind it */
  readonly tool: Convex;
  /** its shank or holder */
  readonly holder: Convex;
  /** the tool post */
  readonly carriage: Convex;
}

const box = (x0: number, x1: number, r0: number, r1: number): Convex => [
  [x0, r0],
  [x1, r0],
  [x1, r1],
  [x0, r1],
];

/** How steeply the back of a tool falls away from its tip, and how far its leading edge leans, degrees. */
function anglesOf(tool: Tool): { readonly fall: number; readonly lean: number } {
  const insert = tool.insert === undefined ? undefined : readInsert(tool.insert);
  const lead = parseDegrees(tool.lead?.text ?? '');
  const kappa = lead.ok ? lead.value : 95;
  return {
    fall: insert?.corner === undefined ? practice.groundClear : Math.max(0, 180 - kappa - insert.corner),
    lean: Math.max(0, Math.min(30, kappa - 90)),
  };
}

/** The shank of a tool that goes into holes, mm; 0 of one that does not. */
export const shankOf = (tool: Tool): number => (tool.kind === 'bore' ? mmOf(tool.shank, sizeOf(tool)) : mmOf(tool.shank));

/** A bar whose reach is not said is taken to stand out so far, in its own thickness. @source stick-out, common practice: steel to 4, carbide to 6 or 7 */
const BAR_REACHES = 6;

/** How far along its hole a bar reaches, mm; of a grooving bar that is how far it stands out, its reach being how deep its edge cuts. */
export const alongHole = (tool: Tool): number =>
  mmOf(tool.kind === 'groove' ? tool.overhang : tool.reach, tool.kind === 'thread' ? Infinity : BAR_REACHES * shankOf(tool));

/**
 * The smallest hole that a bar goes into, mm: as its row says, else so that its shank leaves the chips room; 0 of what goes into none.
 * @source bar-enters, common practice
 */
export const entersFrom = (tool: Tool): number =>
  mmOf(tool.least, Math.max(shankOf(tool) / practice.barEnters, tool.kind === 'groove' ? shankOf(tool) + mmOf(tool.reach) : 0));

/** A form tool presented on end to a mouth stands out so far of its holder, mm. */
export const outOfHolder = (tool: Tool): number => mmOf(tool.reach, practice.formOut);

/** What moves with a tool; `machine` says how wide its post is. */
export function outlineOf(tool: Tool, presented: Presented = 'outside', machine?: Pick<Machine, 'post'>): Outline {
  const post = mmOf(machine?.post, practice.postWide);
  const holder = mmOf(tool.holder, practice.holderWide);
  if (presented === 'inside') return barOutline(tool, post);
  if (presented === 'mouth') {
    const out = outOfHolder(tool);
    const half = Math.min(mmOf(tool.width, 8), 8) / 2;
    return {
      tool: box(0, out, -half, half),
      holder: box(out, out + 60, -half, holder - half),
      carriage: box(out + 60, out + 60 + post, -half, practice.postHigh),
    };
  }
  const out = mmOf(tool.overhang, practice.toolOut);
  const carriage = box(practice.postBehind, practice.postBehind + post, out, out + practice.postHigh);
  const width = mmOf(tool.width, 3);
  if (tool.kind === 'part' || tool.kind === 'groove') {
    const reach = mmOf(tool.reach, practice.bladeOut);
    return {
      tool: box(-width, 0, 0, reach),
      holder: box(1 - width, holder - width, reach, reach + 30),
      carriage: carriage.map(([x, r]) => [x, r + Math.max(0, reach - practice.bladeOut)]),
    };
  }
  if (tool.kind === 'thread')
    return {
      tool: [
        [0, 0],
        [3, 5],
        [3, 10],
        [-3, 10],
        [-3, 5],
      ],
      holder: box(-3, holder - 3, 10, 60),
      carriage,
    };
  // a pointed form tool: both its flanks rise from its tip by its angle
  const flank = parseDegrees(tool.angle?.text ?? '');
  if (isPointed(tool) && flank.ok) {
    const half = Math.min(width, 8) / 2;
    const rise = Math.min(practice.formOut, half * Math.tan((flank.value * Math.PI) / 180));
    return {
      tool: [
        [0, 0],
        [half, rise],
        [half, practice.formOut],
        [-half, practice.formOut],
        [-half, rise],
      ],
      holder: box(-half, holder - half, practice.formOut, 60),
      carriage,
    };
  }
  // set so that nothing of its edge stands further towards the headstock than what it cuts
  if (tool.kind === 'form' || tool.kind === 'knurl')
    return { tool: box(0, Math.min(width, 8), 0, practice.formOut), holder: box(0, holder, practice.formOut, 60), carriage };
  const { fall, lean } = anglesOf(tool);
  const [rise, slope] = [Math.tan((fall * Math.PI) / 180), Math.tan((lean * Math.PI) / 180)];
  const wide = practice.insertWide;
  return {
    tool: [
      [0, 0],
      [wide, wide * rise],
      [wide, wide + wide * rise],
      [wide * slope, wide],
    ],
    holder: [
      [wide, wide * rise],
      [holder, holder * rise],
      [holder, 70],
      [Math.max(1, wide * slope), 70],
      [Math.max(1, wide * slope), wide * rise + wide],
    ],
    carriage,
  };
}

/** A bar in its hole: its tip at the wall, its shank towards the axis and beyond, its block outside as far as it reaches. */
function barOutline(tool: Tool, post: number): Outline {
  const shank = shankOf(tool);
  const least = Math.max(entersFrom(tool), shank + 0.2);
  const tip = least - shank;
  const along = alongHole(tool);
  const reach = Number.isFinite(along) ? along : BAR_REACHES * shank;
  const wide = tool.kind === 'groove' ? mmOf(tool.width, 2) : Math.min(shank / 2, 3);
  const lead = tool.kind === 'groove' ? -wide : 0;
  return {
    tool: box(lead, lead + wide, -tip, 0),
    holder: box(lead, reach, -least, -tip),
    carriage: box(reach, reach + post, -least - practice.blockBelow, practice.postHigh),
  };
}

/**
 * A centre in the face of the work at x = 0, and what is behind it: a 60 degree cone to its nose, its body with the quill, the tailstock. Of a half centre little is left on
 * the side of the tool. @source clearance, common practice
 */
export function centreOutlines(
  item: Pick<Holding, 'kind' | 'nose' | 'body'> | undefined,
  machine: Pick<Machine, 'quill' | 'tailstock'> | undefined,
): { readonly cone: Convex; readonly body: Convex; readonly tailstock: Convex } {
  const nose = mmOf(item?.nose, practice.centreNose) / 2;
  const plain = item?.kind === 'deadCentre' || item?.kind === 'halfCentre';
  const body = Math.max(mmOf(item?.body, plain ? 2 * nose : practice.centreBody) / 2, mmOf(machine?.quill, 0) / 2);
  const [tip, behind] = [-practice.centreSeat, practice.centreBehind];
  return {
    cone:
      item?.kind === 'halfCentre'
        ? box(tip, behind, 0, practice.halfCentre)
        : [
            [tip, 0],
            [tip + nose / Math.tan(Math.PI / 6), nose],
            [behind, nose],
            [behind, 0],
          ],
    body: box(behind, practice.quillOut, 0, body),
    tailstock: box(practice.quillOut, practice.quillOut + 150, 0, mmOf(machine?.tailstock, practice.tailstockWide) / 2),
  };
}

/** Whether a tool turns down to a radius so far from the face of the work, with a centre in it, and touches nothing; mm. @example clearsCentre(tool, 30, 0, undefined, undefined) */
export function clearsCentre(
  tool: Tool,
  radius: number,
  from: number,
  item: Pick<Holding, 'kind' | 'nose' | 'body'> | undefined,
  machine: Pick<Machine, 'post' | 'quill' | 'tailstock'> | undefined,
): boolean {
  const moving = outlineOf(tool, 'outside', machine);
  const at = [practice.besideCentre - from, radius] as const;
  const standing = centreOutlines(item, machine);
  return [moving.tool, moving.holder, moving.carriage].every((of) =>
    [standing.cone, standing.body, standing.tailstock].every((s) => overlapOf(movedBy(of, at), s) <= 0),
  );
}
