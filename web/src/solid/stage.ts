import type { Cut } from './cutOut';

/** How the solid is looked at: turned about the upright, tipped towards the viewer, degrees; how large. */
export interface View {
  turn: number;
  tip: number;
  zoom: number;
}

/** As it lies in the lathe, seen from the front and above. */
export const FIRST: Readonly<View> = { turn: 24, tip: 28, zoom: 1 };

/** A body beside the solid, nine figures a triangle, mm, moved to its place. The same corners are the same body. */
export interface Beside {
  readonly corners: Float32Array<ArrayBuffer>;
  readonly at: Vector;
}

/** Where a solid is drawn. */
export interface Stage {
  /** @param seen what the view is fitted to, where that is not the solid alone */
  readonly show: (cut: Cut, seen?: Extent) => void;
  /** what stands beside it, each at its place: jaws, a tool */
  readonly beside: (bodies: readonly Beside[]) => void;
  /** draws it as it is looked at now */
  readonly draw: (view: View) => void;
  readonly size: (width: number, height: number) => void;
  readonly end: () => void;
}

export interface Colours {
  readonly metal: string;
  readonly section: string;
  readonly beside: string;
  readonly ink: string;
  readonly paper: string;
}

export type Vector = readonly [x: number, y: number, z: number];

/** Middle of a body and half of what it measures each way, mm. */
export interface Extent {
  readonly middle: Vector;
  readonly half: Vector;
}

export function extentOf({ corners }: Cut): Extent {
  const [low, high] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let i = 0; i < corners.length; i++) {
    const [k, v] = [i % 3, corners[i] ?? 0];
    low[k] = Math.min(low[k] ?? v, v);
    high[k] = Math.max(high[k] ?? v, v);
  }
  const of = (sign: 1 | -1) => (k: number) => ((high[k] ?? 0) + sign * (low[k] ?? 0)) / 2;
  const [middle, half] = [of(1), of(-1)];
  return { middle: [middle(0), middle(1), middle(2)], half: [half(0), half(1), half(2)] };
}

/** Directions of the picture: to the right, up, and towards the viewer. */
export function axesOf({ turn, tip }: Pick<View, 'turn' | 'tip'>): { readonly right: Vector; readonly up: Vector; readonly to: Vector } {
  const [ct, st] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const [cp, sp] = [Math.cos((tip * Math.PI) / 180), Math.sin((tip * Math.PI) / 180)];
  return { right: [ct, -st, 0], up: [st * sp, ct * sp, cp], to: [-st * cp, -ct * cp, sp] };
}

const MARGIN = 1.1;

/** Millimetres from the middle of the picture to its upper edge, so that the whole solid is seen as it is turned. */
export function reachUp(view: View, { half }: Extent, width: number, height: number): number {
  const { right, up } = axesOf(view);
  const along = ([x, y, z]: Vector) => Math.abs(x) * half[0] + Math.abs(y) * half[1] + Math.abs(z) * half[2];
  return (MARGIN * Math.max(along(up), (along(right) * height) / Math.max(1, width), 1e-3)) / view.zoom;
}
