import { axesOf, type Beside, type Colours, type Extent, extentOf, reachUp, type Stage, type Vector, type View } from './stage';
import type { Cut } from './cutOut';

/** Strips of light, from the side that lies in the shade to the one that faces it. */
const SHADES = 24;

const channels = (hex: string): readonly number[] => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
const shaded = (hex: string, light: number): string =>
  `rgb(${channels(hex)
    .map((v) => Math.round(v * light))
    .join(' ')})`;

/** Draws on a plain canvas, far faces first: where a browser has no WebGL. */
export function painted(canvas: HTMLCanvasElement, colours: Colours): Stage {
  const context = canvas.getContext('2d');
  const shades = (hex: string) => Array.from({ length: SHADES + 1 }, (_, i) => shaded(hex, 0.45 + (0.6 * i) / SHADES));
  const all: Readonly<Record<Face['of'], readonly string[]>> = {
    metal: shades(colours.metal),
    section: shades(colours.section),
    beside: shades(colours.beside),
  };
  let cut: Cut | undefined;
  let others: readonly Beside[] = [];
  let seen: Extent = { middle: [0, 0, 0], half: [1, 1, 1] };
  return {
    show: (made, fitted) => {
      cut = made;
      seen = fitted ?? extentOf(made);
    },
    beside: (bodies) => {
      others = bodies;
    },
    draw: (view) => {
      if (!context || !cut) return;
      context.fillStyle = colours.paper;
      context.fillRect(0, 0, canvas.width, canvas.height);
      const scale = canvas.height / 2 / reachUp(view, seen, canvas.width, canvas.height);
      const faces = [
        ...facesOf(cut.corners, cut.metal, [0, 0, 0], view, seen),
        ...others.flatMap(({ corners, at }) => facesOf(corners, undefined, at, view, seen)),
      ];
      for (const { points, of, light } of faces.sort((p, q) => p.depth - q.depth)) {
        const shade = all[of][Math.max(0, Math.min(SHADES, Math.round(light * SHADES)))] ?? colours.metal;
        context.fillStyle = shade;
        context.strokeStyle = shade;
        context.beginPath();
        for (const [x, y] of points) context.lineTo(canvas.width / 2 + scale * x, canvas.height / 2 - scale * y);
        context.closePath();
        context.fill();
        context.stroke();
      }
    },
    size: (width, height) => {
      canvas.width = Math.round(width * window.devicePixelRatio);
      canvas.height = Math.round(height * window.devicePixelRatio);
    },
    end: () => {
      cut = undefined;
    },
  };
}

interface Face {
  readonly points: readonly (readonly [number, number])[];
  readonly of: 'metal' | 'section' | 'beside';
  /** 0 across it and 1 towards it */
  readonly light: number;
  readonly depth: number;
}

/** What faces the viewer. @param metal corners before this one are metal, those from it on section; of a body beside nothing is said */
function facesOf(corners: Float32Array, metal: number | undefined, place: Vector, view: View, { middle }: Extent): readonly Face[] {
  const { right, up, to } = axesOf(view);
  const faces: Face[] = [];
  for (let i = 0; i < corners.length; i += 9) {
    const at = [0, 3, 6].map((k) => [0, 1, 2].map((d) => (corners[i + k + d] ?? 0) + (place[d] ?? 0) - (middle[d] ?? 0)));
    const on = (axis: readonly number[]) => at.map((p) => (p[0] ?? 0) * (axis[0] ?? 0) + (p[1] ?? 0) * (axis[1] ?? 0) + (p[2] ?? 0) * (axis[2] ?? 0));
    const [x, y, z] = [on(right), on(up), on(to)];
    const [x0 = 0, x1 = 0, x2 = 0] = x;
    const [y0 = 0, y1 = 0, y2 = 0] = y;
    const [z0 = 0, z1 = 0, z2 = 0] = z;
    const facing = (x1 - x0) * (y2 - y0) - (x2 - x0) * (y1 - y0);
    if (facing <= 0) continue;
    const [a, b] = [(y1 - y0) * (z2 - z0) - (y2 - y0) * (z1 - z0), (z1 - z0) * (x2 - x0) - (z2 - z0) * (x1 - x0)];
    const long = Math.hypot(a, b, facing) || 1;
    faces.push({
      points: [[x0, y0] as const, [x1, y1] as const, [x2, y2] as const],
      of: metal === undefined ? 'beside' : i / 3 >= metal ? 'section' : 'metal',
      light: Math.max(0, (-0.35 * a + 0.45 * b + 0.82 * facing) / long),
      depth: z0 + z1 + z2,
    });
  }
  return faces;
}
