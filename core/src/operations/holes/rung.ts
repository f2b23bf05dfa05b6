import { atMost, PLACE, tidy } from '../../quantity';
import { practice } from '../../shop';

/* What a row of a hole asks, what a drawer offers for it, and what drills do. Diameters and depths in mm, depths from the face that is zero. */

/** A row of a hole, from the mouth inwards, as it is to stand. */
export interface Rung {
  readonly row: string;
  readonly from: number;
  readonly to: number;
  /** what makes its size: a drill, a reamer, whatever leaves a core for its thread, a bar */
  readonly wants: 'drill' | 'ream' | 'core' | 'bore';
  /** what it may measure when that is done: its limits, of a thread those of its core */
  readonly least: number;
  readonly most: number;
  readonly aim: number;
  /** no drill may be larger: of a taper its small end less what the bar takes */
  readonly narrowest: number;
  /** it runs out into air; at a flat floor; at a shoulder that no drill may go past; at a drawn point, or a shoulder that may keep a drill's cone */
  readonly ends: 'open' | 'flat' | 'shoulder' | 'point';
  /** a hole that is there already, 0 in solid metal */
  readonly stands: number;
  /** its bottom is drawn as a drill's point: a smaller drill goes so much deeper that its cone is the same */
  readonly pointed?: true;
  /** how deep a drill goes on in solid metal, where the hole runs out into the other end's */
  readonly beyond?: number;
  /** has a tolerance of its own: no drill out of the solid is trusted with less than it cuts over */
  readonly fine: boolean;
  /** a cylinder: what a reamer makes */
  readonly straight: boolean;
  /** the drill that is usual for it, in the drawer or not */
  readonly usual?: number;
  /** the drill that a person chose for it */
  readonly asked?: string;
}

export interface DrillAt {
  readonly id: string;
  readonly size: number;
  /** half of its point angle, degrees; 90 is a flat one */
  readonly half: number;
  readonly reach: number;
}
export interface BarAt {
  readonly id: string;
  readonly shank: number;
  /** the smallest hole that it goes into */
  readonly enters: number;
  readonly reach: number;
}
export interface ReamerAt {
  readonly id: string;
  readonly size: number;
  readonly reach: number;
}

/** What a hole may be made with; drills by size, bars stoutest first. */
export interface Drawer {
  readonly drills: readonly DrillAt[];
  readonly bars: readonly BarAt[];
  readonly reamers: readonly ReamerAt[];
}

/** What each move takes, minutes. */
export interface Prices {
  readonly drill: (size: number, before: number, long: number) => number;
  readonly bore: (bar: BarAt, from: number, to: number, out: number, long: number, fine: boolean) => number;
  readonly ream: (size: number, long: number) => number;
  /** minutes for a drill that has little to take where the metal grabs it */
  readonly grabs: number;
  /** wide drills out of the solid are piloted here */
  readonly pilots: boolean;
}

/** One thing done in the hole. */
export type Move =
  | {
      readonly is: 'drill';
      readonly row: string;
      /** undefined where the drawer lacks it */
      readonly tool: string | undefined;
      readonly size: number;
      /** open before it, 0 in solid metal */
      readonly before: number;
      /** of its full diameter */
      readonly depth: number;
      /** what it leads, where it is not the last of its row */
      readonly leads?: 'pilot' | 'step';
    }
  | { readonly is: 'bore'; readonly row: string; readonly tool: string | undefined; readonly from: number; readonly to: number }
  | { readonly is: 'ream'; readonly row: string; readonly tool: string; readonly left: number }
  /** a floor that only a flat drill makes */
  | { readonly is: 'flat'; readonly row: string; readonly tool: string | undefined; readonly size: number };

/** How far over its size a drill cuts, mm on diameter: out of the solid, and after one that left it little. @source drill-cuts-over, common practice */
export function cutsOver(size: number, before: number): { readonly least: number; readonly most: number } {
  if (before > 0 && size - before <= practice.followsMost) return { least: 0, most: practice.followOver };
  return size < practice.smallDrill
    ? { least: practice.smallOverLeast, most: practice.smallOverMost }
    : { least: practice.drillOverLeast, most: practice.drillOverMost };
}

/** The hole that a drill most likely makes, mm. */
export function madeBy(size: number, before: number): number {
  const { least, most } = cutsOver(size, before);
  return tidy(size + (least + most) / 2);
}

/** What a reamer of this size is left to take, on diameter, mm. @source drill-bore-ream, common practice */
export function leftToReam(size: number): { readonly least: number; readonly most: number } {
  if (size < practice.smallDrill) return { least: practice.reamSmallLeast, most: practice.reamSmallMost };
  if (size <= practice.reamWideFrom) return { least: practice.reamLeast, most: practice.reamMost };
  return { least: practice.reamWideLeast, most: practice.reamWideMost };
}

/** How deep the cone of a drill goes on below its full diameter, into a hole that stands, mm. */
export const coneOf = ({ size, half }: Pick<DrillAt, 'size' | 'half'>, stands: number): number =>
  half >= 90 ? 0 : Math.max(0, size - stands) / 2 / Math.tan((half * Math.PI) / 180);

/** A bar goes into a hole and leaves its chips room. @source bar-enters, common practice */
export const enters = (bar: Pick<BarAt, 'enters'>, hole: number): boolean => atMost(bar.enters, hole, PLACE);

/** Beyond a face that it goes through, mm. */
export const THROUGH = 1;
/** Left above a flat floor for what makes it flat, mm. @source judgement */
const FLOOR = 0.3;
/** A drill that goes in less than this is none, mm. */
const NO_DEPTH = 0.4;

/** How deep the full diameter of a drill goes in a row; undefined where its point would go through the floor, or its flutes do not reach. */
export function depthIn(rung: Rung, drill: DrillAt, stands: number): number | undefined {
  const cone = coneOf(drill, stands);
  const full =
    rung.ends === 'open'
      ? Math.max(rung.to, rung.beyond ?? 0) + THROUGH
      : rung.ends === 'point'
        ? rung.to + (rung.pointed ? coneOf({ size: rung.aim, half: drill.half }, Math.min(drill.size, rung.aim)) : 0)
        : rung.to - (drill.half >= 90 ? 0 : cone + (rung.ends === 'flat' ? FLOOR : 0));
  if (full - rung.from < Math.min(NO_DEPTH, (rung.to - rung.from) / 2)) return undefined;
  return atMost(full + cone, drill.reach, PLACE) ? tidy(full) : undefined;
}
