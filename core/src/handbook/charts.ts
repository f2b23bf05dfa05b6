import { diameter, say } from '../quantity';
import { area, circle, label, line, type Point, type Sketch } from './sketch';

/** How wide a diameter is written, in units of the chart. */
const WRITTEN = 16;

/** Speed over diameter with the speeds of the lathe as steps under what is asked for. */
export function speedSteps(speeds: readonly number[], at: readonly number[], v: number, here?: number): Sketch {
  const [d0, d1] = [Math.min(...at), Math.max(...at, 2 * Math.min(...at))];
  const [n0, n1] = [Math.min(...speeds), Math.max(...speeds, 2 * Math.min(...speeds))];
  const x = (d: number) => (120 * Math.log(d / d0)) / Math.log(d1 / d0);
  const y = (n: number) => (60 * Math.log(Math.min(Math.max(n, n0 / 1.6), n1 * 1.6) / n0)) / Math.log(n1 / n0);
  const asked = (d: number) => (1000 * v) / (Math.PI * d);
  const sweep = Array.from({ length: 97 }, (_, i) => d0 * (d1 / d0) ** (i / 96));
  const set = (d: number) => speeds.findLast((n) => n <= asked(d)) ?? n0;
  // upright where what is asked for falls to a speed of the lathe: beyond it the next slower one is set
  const stair = [...speeds.keys()].toReversed().flatMap((i): readonly Point[] => {
    const [n, slower] = [speeds[i] ?? n0, speeds[i - 1] ?? n0];
    const d = (1000 * v) / (Math.PI * n);
    return d <= d0 || d >= d1
      ? []
      : [
          [x(d), y(n)],
          [x(d), y(slower)],
        ];
  });
  return {
    about: 'speed asked for over diameter, both logarithmic, and the speeds of the lathe as steps under it',
    shapes: [
      line('thin', [0, 70], [0, -8], [126, -8]),
      line('chain', ...sweep.map((d): Point => [x(d), y(asked(d))])),
      line('ink', [0, y(set(d0))], ...stair, [x(d1), y(set(d1))]),
      ...apart(speeds, y, 3.2).map((n) => label([0, y(n)], String(n), 'left', -4)),
      ...(here === undefined ? [] : [circle('gauge', [x(here), y(set(here))], 1.4)]),
      ...apart(at, x, WRITTEN).map((d) => label([x(d), -8], say`${diameter(d)}`, 'middle', -14)),
    ],
  };
}

/** What metals start at, slowest first: a bar from high-speed steel to carbide each, one of them pointed out. @param all m/min */
export function startSpeeds(all: readonly { readonly name: string; readonly hss: number; readonly carbide: number }[], chosen: string): Sketch {
  const [wide, least] = [5, Math.min(...all.map((m) => m.hss))];
  const y = (v: number) => 30 * Math.log10(v / least) + 4;
  const sorted = all.toSorted((a, b) => a.hss - b.hss || a.carbide - b.carbide);
  const end = sorted.length * wide;
  const marks = [10, 20, 50, 100, 200].filter((v) => v >= least);
  return {
    about: `where turning starts in each material, slowest first, speed logarithmic: from high-speed steel up to carbide; ${chosen} is pointed out`,
    shapes: [
      line('thin', [0, y(Math.max(...all.map((m) => m.carbide))) + 3], [0, 0], [end, 0]),
      ...marks.flatMap((v) => [line('thin', [0, y(v)], [end, y(v)]), label([0, y(v)], say`${{ is: 'cuttingSpeed', value: v }}`, 'left', -4)]),
      ...sorted.flatMap(({ name, hss, carbide }, i) => {
        const [left, right] = [i * wide + 1, (i + 1) * wide - 1];
        const bar = area(name === chosen ? 'cut' : 'metal', [left, y(hss)], [right, y(hss)], [right, y(carbide)], [left, y(carbide)]);
        return name === chosen ? [bar, label([(left + right) / 2, 0], name, 'middle', -14)] : [bar];
      }),
    ],
  };
}

/** Those of a list whose marks stand clear of the one before. */
function apart(list: readonly number[], place: (n: number) => number, gap: number): readonly number[] {
  const kept: number[] = [];
  for (const n of list.toSorted((a, b) => a - b)) if (kept.length === 0 || place(n) - place(kept.at(-1) ?? 0) > gap) kept.push(n);
  return kept;
}
