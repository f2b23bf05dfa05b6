import { diameter, length, ratio, ROUNDING, say } from '../quantity';
import { area, circle, dim, label, line, type Point, polar, type Shape, type Sketch } from './sketch';

const mm = (value: number) => length(value, 0.001);

/** A hub on a shaft from the end; a hollow shaft has an inside. Beside it, with a pressure, how pressure and hoop stress fall from the fit outwards. @source Lame */
export function hubOf(outside: number, d: number, inside: number, pressure?: number): Sketch {
  const [ri, ro] = [d / 2, outside / 2];
  const scale = ((pressure ?? 0) * ri ** 2) / (ro ** 2 - ri ** 2);
  const most = scale * ((ro / ri) ** 2 + 1);
  const x0 = outside * 0.72;
  const at = (r: number, stress: number): Point => [x0 + (most > 0 ? (outside * 0.5 * stress) / most : 0), r];
  const radii = Array.from({ length: 25 }, (_, i) => ri + ((ro - ri) * i) / 24);
  const chart: readonly Shape[] =
    pressure === undefined || !(pressure > 0)
      ? []
      : [
          line('thin', [x0, ri], [x0, ro * 1.05]),
          line('thin', [x0, ri], [x0 + outside * 0.55, ri]),
          line('ink', ...radii.map((r) => at(r, scale * ((ro / r) ** 2 + 1)))),
          line('chain', ...radii.map((r) => at(r, scale * ((ro / r) ** 2 - 1)))),
          label(at(ro, scale * 2), 'hoop stress', 'right', 2),
          label([x0, ri], 'pressure, dashed', 'right', -14),
        ];
  return {
    about: `hub and shaft from the end${chart.length > 0 ? ', and how hoop stress and pressure fall from the fit outwards' : ''}`,
    shapes: [
      ...chart,
      circle('metal', [0, 0], outside / 2),
      circle('mate', [0, 0], d / 2),
      ...(inside > 0 ? [circle('line', [0, 0], inside / 2)] : []),
      line('chain', [-outside * 0.56, 0], [outside * 0.56, 0]),
      line('chain', [0, -outside * 0.56], [0, outside * 0.56]),
      dim([-d / 2, -outside / 2], [d / 2, -outside / 2], -16, say`${diameter(d, 0.01)}`),
      dim([-outside / 2, -outside / 2], [outside / 2, -outside / 2], -38, say`${diameter(outside, 0.01)}`),
    ],
  };
}

/** Holes on a circle. */
export function holesOf(
  D: number,
  holes: readonly { readonly number: number; readonly x: number; readonly y: number; readonly angle: number }[],
): Sketch {
  const r = Math.min(D * 0.05, (D * Math.PI) / Math.max(holes.length, 1) / 3);
  return {
    about: `${String(holes.length)} holes on a circle, numbered anticlockwise from the first`,
    shapes: [
      circle('chain', [0, 0], D / 2),
      line('chain', [-D * 0.58, 0], [D * 0.58, 0]),
      line('chain', [0, -D * 0.58], [0, D * 0.58]),
      ...holes
        .slice(0, 60)
        .flatMap((h): readonly Shape[] => [
          circle('line', [h.x, h.y], r),
          ...(holes.length <= 24 ? [label(polar([0, 0], D / 2 + 2.3 * r, h.angle), String(h.number), 'middle', -4)] : []),
        ]),
      dim([-D / 2, -D * 0.62], [D / 2, -D * 0.62], -24, say`${diameter(D, 0.01)}`),
    ],
  };
}

/** Flats on a round, from the end. */
export function flatsOf(d: number, across: number, sides: number): Sketch {
  const corners = sides > 2 ? across / Math.cos(Math.PI / sides) : 0;
  const figure: readonly Point[] =
    sides > 2
      ? Array.from({ length: sides }, (_, i) => polar([0, 0], corners / 2, (360 * (i + 0.5)) / sides + 90))
      : [
          [-d, across / 2],
          [d, across / 2],
          [d, sides === 1 ? -d : -across / 2],
          [-d, sides === 1 ? -d : -across / 2],
        ];
  const inRound: readonly Point[] = Array.from({ length: 361 }, (_, i): Point => {
    const [dx, dy] = polar([0, 0], 1, i);
    let r = d / 2;
    figure.forEach((p, k) => {
      const q = figure[(k + 1) % figure.length] ?? p;
      const [ex, ey] = [q[0] - p[0], q[1] - p[1]];
      const cross = dx * ey - dy * ex;
      const t = (p[0] * ey - p[1] * ex) / cross;
      if (Math.abs(cross) > 1e-12 && t > 0) r = Math.min(r, t);
    });
    return [dx * r, dy * r];
  });
  return {
    about: `${String(sides)} flats on a round, from the end`,
    shapes: [
      circle('cut', [0, 0], d / 2),
      area('metal', ...inRound),
      circle('chain', [0, 0], d / 2),
      ...(sides % 2 === 0 ? [dim([-d / 2, -across / 2], [-d / 2, across / 2], 18, say`${mm(across)}`)] : []),
      dim([-d / 2, -d / 2], [d / 2, -d / 2], -14, say`${diameter(d, 0.01)}`),
    ],
  };
}

/** Wheels of a train by their pitch circles: drivers first, each meshing with its driven; two on one stud share a centre. */
export function wheelsOf(drivers: readonly number[], driven: readonly number[]): Sketch {
  const shapes: Shape[] = [];
  let x = 0;
  drivers.forEach((a, i) => {
    const b = driven[i] ?? 0;
    const [ra, rb] = [a / 2, b / 2];
    shapes.push(circle('line', [x, 0], ra), label([x, 0], String(a), 'middle', i === 0 ? 6 : -16));
    x += ra + rb;
    shapes.push(circle('line', [x, 0], rb), label([x, 0], String(b), 'middle', 6));
  });
  return {
    about: `the train from spindle to leadscrew: ${drivers.map((a, i) => `${String(a)} drives ${String(driven[i] ?? 0)}`).join(', on its stud ')}`,
    shapes: [line('chain', [-(drivers[0] ?? 0) / 2 - 4, 0], [x + (driven.at(-1) ?? 0) / 2 + 4, 0]), ...shapes],
  };
}

/** The marks that a round nose leaves. */
export function marksOf(feed: number, nose: number): Sketch {
  const height = (x: number) => nose - Math.sqrt(Math.max(0, nose ** 2 - x ** 2));
  const top: Point[] = [];
  for (let i = 0; i < 4; i++) for (let k = 0; k <= 24; k++) top.push([i * feed + (k * feed) / 24, height((k / 24 - 0.5) * feed)]);
  const Rt = height(feed / 2);
  return {
    about: 'feed marks in section under the nose of the tool',
    shapes: [
      area('metal', ...top, [4 * feed, -0.5 * feed], [0, -0.5 * feed]),
      line('ink', ...Array.from({ length: 41 }, (_, k) => polar([1.5 * feed, nose], nose, 270 + (k - 20) * 4))),
      label([1.5 * feed, nose * 0.35], say`nose ${length(nose, 0.01)}`),
      dim([feed, Rt], [2 * feed, Rt], 26, say`${{ is: 'feed', value: feed, step: 0.001 }}`),
    ],
  };
}

/** A bar from the side with its holding and a force, bent `scale` times. */
export function bentOf(L: number, d: number, at: number, held: 'chuck' | 'centres' | 'chuck and centre', shape: (x: number) => number): Sketch {
  const worst = Math.max(...Array.from({ length: 41 }, (_, i) => Math.abs(shape((i * L) / 40))), ROUNDING);
  const scale = (0.08 * L) / worst;
  const curve = Array.from({ length: 41 }, (_, i): Point => [(i * L) / 40, shape((i * L) / 40) * scale]);
  const jaw = Math.max(d, L * 0.05);
  return {
    about: 'the bar from above with its bending line enlarged, headstock left, the tool pushing away',
    shapes: [
      area('metal', [0, -d / 2], [L, -d / 2], [L, d / 2], [0, d / 2]),
      ...(held === 'centres'
        ? [area('gauge', [0, 0], [-jaw * 0.8, jaw * 0.45], [-jaw * 0.8, -jaw * 0.45])]
        : [
            area('gauge', [-jaw * 0.6, d / 2], [jaw * 0.1, d / 2], [jaw * 0.1, d / 2 + jaw * 0.5], [-jaw * 0.6, d / 2 + jaw * 0.5]),
            area('gauge', [-jaw * 0.6, -d / 2], [jaw * 0.1, -d / 2], [jaw * 0.1, -d / 2 - jaw * 0.5], [-jaw * 0.6, -d / 2 - jaw * 0.5]),
          ]),
      ...(held === 'chuck' ? [] : [area('gauge', [L, 0], [L + jaw * 0.8, jaw * 0.45], [L + jaw * 0.8, -jaw * 0.45])]),
      line('ink', ...curve),
      label([L / 2, d / 2 + 0.1 * L], say`bent ${ratio(Math.round(scale), 1)} times enlarged`),
      area('cut', [at, -d / 2], [at + jaw * 0.25, -d / 2 - jaw * 0.7], [at - jaw * 0.25, -d / 2 - jaw * 0.7]),
      dim([0, -d / 2 - jaw * 0.8], [at, -d / 2 - jaw * 0.8], -12, say`${length(at, 0.1)}`),
    ],
  };
}
