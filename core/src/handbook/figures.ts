import { diameter, length, say } from '../quantity';
import { flankHalf, type Thread } from '../standards';
import { angleOf, area, circle, dim, label, line, mirrored, type Point, type Shape, type Sketch, type Surface } from './sketch';

const mm = (value: number) => length(value, 0.001);
const rad = (degrees: number) => (degrees * Math.PI) / 180;

export interface Zone {
  readonly name: string;
  readonly max: number;
  readonly min: number;
  readonly as: 'hole zone' | 'shaft zone';
}

/** Zones of tolerance side by side about the nominal size; its unit is the micrometre. */
export function zonesOf(nominal: number, zones: readonly Zone[]): Sketch {
  const um = (size: number) => (size - nominal) * 1000;
  const [top, bottom] = [Math.max(0, ...zones.map((z) => um(z.max))), Math.min(0, ...zones.map((z) => um(z.min)))];
  const wide = (top - bottom) * 0.45 || 1;
  const shapes = zones.flatMap((z, i): readonly Shape[] => {
    const [x, y1, y2] = [wide * (0.5 + 2.3 * i), um(z.max), um(z.min)];
    return [
      area(z.as, [x, y2], [x + wide, y2], [x + wide, y1], [x, y1]),
      label([x + wide, y1], say`${mm(z.max)}`, 'right', 4),
      label([x + wide, y2], say`${mm(z.min)}`, 'right', -12),
      label([x + wide / 2, (y1 + y2) / 2], z.name, 'middle', -4),
    ];
  });
  const right = wide * (0.5 + 2.3 * zones.length);
  return {
    about: `zones of tolerance: ${zones.map((z) => z.name).join(' beside ')}, about the nominal size`,
    shapes: [line('chain', [-0.6 * wide, 0], [right, 0]), label([0.45 * wide, 0], say`nominal ${mm(nominal)}`, 'left', 4), ...shapes],
  };
}

interface Flanks {
  readonly half: number;
  readonly pitch: number;
  readonly major: number;
  readonly pitchDiameter: number;
  readonly minor: number;
}

/** One side of a thread in section along `count` pitches; the axis lies below. */
function profileOf({ half, pitch, major, pitchDiameter, minor }: Flanks, count: number): readonly Point[] {
  const t = Math.tan(rad(half));
  const crest = Math.max(0, pitch / 4 - ((major - pitchDiameter) / 2) * t);
  const root = Math.max(0, pitch / 4 - ((pitchDiameter - minor) / 2) * t);
  const points: Point[] = [];
  for (let i = 0; i < count; i++) {
    const x = i * pitch;
    points.push([x - pitch / 2 + root, minor / 2], [x - crest, major / 2], [x + crest, major / 2], [x + pitch / 2 - root, minor / 2]);
  }
  return points;
}

/** The form of a thread with its diameters, and wires in place where there are any. `minor` is where the bore of a nut stands, when it is not the basic one. */
export function threadForm(thread: Thread, more: { readonly wire?: number; readonly minor?: number } = {}): Sketch | undefined {
  const { basic, pitch, internal, nominal } = thread;
  const e = basic.pitchDiameter;
  const minor = more.minor ?? basic.minor;
  if (e === null || minor === null) return undefined;
  const half = flankHalf(thread.family);
  const flanks = { half, pitch, major: internal ? basic.major : nominal, pitchDiameter: e, minor };
  const profile = profileOf(flanks, 3);
  const [left, right] = [-pitch / 2, 2.5 * pitch];
  const deep = internal ? flanks.major / 2 + 0.45 * pitch : minor / 2 - 0.45 * pitch;
  const at = (d: number): readonly [Point, Point] => [
    [left, d / 2],
    [right, d / 2],
  ];
  const range = (words: string, bounds: Thread['major'], form: number) =>
    bounds.max !== null && bounds.min !== null
      ? say`${words} ${mm(bounds.min)} to ${mm(bounds.max)}`
      : say`${words} ${mm(bounds.max ?? bounds.min ?? form)}${bounds.min !== null ? ' or more' : bounds.max !== null ? ' or less' : ' basic'}`;
  const band = (bounds: Thread['major']): readonly Shape[] =>
    bounds.max === null || bounds.min === null
      ? []
      : [
          area(
            internal ? 'hole zone' : 'shaft zone',
            [right, bounds.min / 2],
            [right + 0.4 * pitch, bounds.min / 2],
            [right + 0.4 * pitch, bounds.max / 2],
            [right, bounds.max / 2],
          ),
        ];
  const wires =
    more.wire === undefined
      ? []
      : [0.5, 1.5].map((n) => circle('gauge', [n * pitch, e / 2 + wireHeight(more.wire ?? 0, pitch, half)], (more.wire ?? 0) / 2));
  const far = right + 0.5 * pitch;
  return {
    about: `${thread.designation} in section, ${internal ? 'the nut' : 'the bolt'}, axis below${wires.length > 0 ? ', two of the three wires in place' : ''}`,
    shapes: [
      area(internal ? 'mate' : 'metal', [left, minor / 2], ...profile, [right, minor / 2], [right, deep], [left, deep]),
      ...wires,
      line('chain', ...at(e)),
      line('thin', ...at(flanks.major)),
      line('thin', ...at(minor)),
      ...band(thread.major),
      ...band(thread.pitchDiameter),
      ...band(thread.minor),
      label([far, flanks.major / 2], range('major', thread.major, flanks.major), 'right', -4),
      label([far, e / 2], range('pitch', thread.pitchDiameter, e), 'right', -4),
      label([far, minor / 2], more.minor === undefined ? range('minor', thread.minor, minor) : say`drilled ${mm(minor)}`, 'right', -4),
      dim([0, deep], [pitch, deep], internal ? 14 : -14, say`P ${mm(pitch)}`),
    ],
  };
}

/** Centre of a wire over the pitch line, mm. */
const wireHeight = (wire: number, pitch: number, half: number) => wire / 2 / Math.sin(rad(half)) - pitch / 4 / Math.tan(rad(half));

/** A round body with its axis across, from points of its upper outline. */
const round = (as: Surface, ...upper: Point[]): Shape => area(as, ...upper, ...mirrored(upper).toReversed());

/** A taper from the side, small end right, with half of its angle. */
export function coneOf(large: number, small: number, l: number): Sketch {
  const half = (Math.atan((large - small) / 2 / l) * 180) / Math.PI;
  return {
    about: 'the taper from the side, large end left, with what a compound is set to',
    shapes: [
      round('metal', [0, large / 2], [l, small / 2]),
      line('chain', [-0.06 * l, 0], [1.06 * l, 0]),
      line('thin', [0, large / 2], [l, large / 2]),
      angleOf([0, large / 2], -half, 0, 0.7 * l, say`${{ is: 'angle', value: half, step: 0.001 }}`),
      dim([0, -large / 2], [0, large / 2], 22, say`${diameter(large, 0.001)}`),
      dim([l, -small / 2], [l, small / 2], -22, say`${diameter(small, 0.001)}`),
      dim([0, -large / 2], [l, -large / 2], -20, say`${mm(l)}`),
    ],
  };
}

/** A blind hole in section, its point below. */
export function pointOf(d: number, angle: number, depth: number): Sketch {
  const cone = angle >= 180 ? 0 : d / 2 / Math.tan(rad(angle / 2));
  const [wall, floor] = [d * 0.5, depth + cone + d * 0.25];
  return {
    about: 'the hole in section with the cone that the drill leaves',
    shapes: [
      area(
        'metal',
        [-d / 2 - wall, 0],
        [-d / 2, 0],
        [-d / 2, -depth],
        [0, -depth - cone],
        [d / 2, -depth],
        [d / 2, 0],
        [d / 2 + wall, 0],
        [d / 2 + wall, -floor],
        [-d / 2 - wall, -floor],
      ),
      line('chain', [0, d * 0.15], [0, -floor - d * 0.05]),
      ...(cone > 0 ? [angleOf([0, -depth - cone], 90 - angle / 2, 90 + angle / 2, cone + d * 0.25, say`${{ is: 'angle', value: angle }}`)] : []),
      dim([-d / 2, 0], [d / 2, 0], 14, say`${diameter(d, 0.001)}`),
      dim([-d / 2 - wall, 0], [-d / 2 - wall, -depth], -16, say`${mm(depth)}`),
      dim([d / 2 + wall, 0], [d / 2 + wall, -depth - cone], 16, say`${mm(depth + cone)}`),
    ],
  };
}

/** A hole with a seat for a head: a counterbore where there is no angle, a countersink where there is. */
export function seatOf(hole: number, seat: number, depth: number, angle: number | null): Sketch {
  const thick = Math.max(depth * 1.9, hole);
  const wall = seat * 0.28;
  const left: readonly Point[] =
    angle === null
      ? [
          [-seat / 2, 0],
          [-seat / 2, -depth],
          [-hole / 2, -depth],
          [-hole / 2, -thick],
        ]
      : [
          [-seat / 2, 0],
          [-hole / 2, -depth],
          [-hole / 2, -thick],
        ];
  const flip = (points: readonly Point[]) => points.map(([x, y]): Point => [-x, y]);
  const outer = seat / 2 + wall;
  return {
    about: angle === null ? 'hole and counterbore in section' : 'hole and countersink in section',
    shapes: [
      area('metal', [-outer, 0], ...left, [-outer, -thick]),
      area('metal', ...flip([[-outer, 0], ...left, [-outer, -thick]])),
      line('chain', [0, thick * 0.08], [0, -thick * 1.06]),
      dim([-seat / 2, 0], [seat / 2, 0], 14, say`${diameter(seat, 0.01)}`),
      dim([-hole / 2, -thick], [hole / 2, -thick], -14, say`${diameter(hole, 0.01)}`),
      dim([outer, 0], [outer, -depth], 16, say`${length(depth, 0.01)}`),
      ...(angle === null
        ? []
        : [
            angleOf(
              [0, -depth - hole / 2 / Math.tan(rad(angle / 2))],
              90 - angle / 2,
              90 + angle / 2,
              seat * 0.5,
              say`${{ is: 'angle', value: angle }}`,
            ),
          ]),
    ],
  };
}

/** A centre hole in the end of a bar, seen in section, the end face right. */
export function centreOf(pilot: number, mouth: number, depth: number, guard: number | null): Sketch {
  const cone = (mouth - pilot) / 2 / Math.tan(rad(30));
  const bar = Math.max(mouth, guard ?? 0) * 1.5;
  const lip = guard === null ? 0 : (guard - mouth) / 2 / Math.tan(rad(60));
  const upper: readonly Point[] = [
    [-depth - pilot * 0.3, 0],
    [-depth, pilot / 2],
    [-cone - lip, pilot / 2],
    [-lip, mouth / 2],
    ...(guard === null ? [] : [[0, guard / 2] as Point]),
  ];
  const body: readonly Point[] = [[-depth * 1.5, 0], ...upper, [0, bar / 2], [-depth * 1.5, bar / 2]];
  return {
    about: 'the centre hole in section, the end face right',
    shapes: [
      area('metal', ...body),
      area('metal', ...mirrored(body)),
      line('chain', [-depth * 1.6, 0], [depth * 0.3, 0]),
      dim([0, -mouth / 2], [0, mouth / 2], -18, say`${diameter(mouth, 0.01)}`),
      ...(guard === null ? [] : [dim([0, -guard / 2], [0, guard / 2], -62, say`${diameter(guard, 0.01)}`)]),
      dim([-depth, -bar / 2], [0, -bar / 2], -16, say`${length(depth, 0.01)}`),
      label([-depth * 1.05, 0], say`${diameter(pilot, 0.01)}`, 'left', 8),
    ],
  };
}

/** A square groove in a shaft (or in a bore), upper side in section; a cord lies in it unsqueezed. */
export function grooveOf(d: number, groove: number, width: number, shoulder: number, cord?: number): Sketch {
  const inside = groove > d;
  const [deep, l] = [Math.abs(d - groove) / 2, width + 2 * shoulder + width];
  const sign = inside ? 1 : -1;
  const body = Math.max(deep * 3, width * 1.2) * sign;
  const x = l - shoulder - width;
  const y = 0;
  return {
    about: `the groove in section, ${inside ? 'bore below' : 'axis below'}, the end of the part right`,
    shapes: [
      area('metal', [0, y], [x, y], [x, sign * deep], [x + width, sign * deep], [x + width, y], [l, y], [l, body], [0, body]),
      ...(cord === undefined ? [] : [circle('gauge', [x + width / 2, sign * (deep - cord / 2)], cord / 2)]),
      dim([x, y], [x + width, y], (inside ? -1 : 1) * (cord === undefined ? 14 : 40), say`${length(width, 0.01)}`),
      dim([x + width, body], [l, body], inside ? 14 : -14, say`${length(shoulder, 0.01)} or more`),
      label([0, y], say`${diameter(d, 0.01)}`, 'right', inside ? -14 : 5),
      label([x, sign * deep], say`${diameter(groove, 0.01)}`, 'left', inside ? -14 : 5),
    ],
  };
}
