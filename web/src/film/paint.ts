import type { Film, Reel, Touch, Way } from '@obra/core/proof';
import { boundsOf, type Region } from '@obra/core/stock';
import { type Mapping, mapping } from '../bar';
import type { Moment } from './moments';

/** What is painted into: made once, changed in place, so that a frame is no work of the page. */
export interface Canvas {
  readonly piece: SVGGElement;
  /** steel above, steel and hatch below: what stays; under it, in brass, what the tool under way has still before it */
  readonly stays: readonly SVGPathElement[];
  readonly waits: readonly SVGPathElement[];
  readonly clips: readonly SVGRectElement[];
  readonly standing: SVGPathElement;
  readonly tool: SVGGElement;
  readonly bodies: readonly SVGPathElement[];
  readonly axis: SVGLineElement;
  readonly ring: SVGGElement;
  /** the letter of the end that is free */
  readonly end: SVGGElement;
}

/** Room round the picture, px; what is seen of the bar behind the jaws, mm; and of the tool beyond the free face, mm. */
const [EDGE, BEHIND, BEYOND] = [18, 40, 45];

/** One scale for all that is done in a setup. */
function mapOf(reels: readonly Reel[], width: number, height: number): Mapping {
  const jaws = reels.flatMap((r) => r.standing.filter((b) => b.is === 'jaws').flatMap((b) => b.outline.map(([x]) => x)));
  const stocks = reels.flatMap((r) => (r.before.length > 0 ? [boundsOf(r.before)] : []));
  const left = Math.min(0, ...stocks.map((s) => s.left));
  const right = Math.max(0, ...stocks.map((s) => s.right));
  const radius = Math.max(8, ...stocks.map((s) => s.radius));
  return mapping({
    from: jaws.length > 0 ? Math.max(left, Math.min(...jaws) - BEHIND) : left,
    to: right + BEYOND,
    maxRadius: 1.5 * radius,
    stretches: [],
    width,
    height,
    top: EDGE,
    bottom: EDGE,
    side: 24,
  });
}

interface Paths {
  readonly above: string;
  readonly below: string;
}

/** Paints moments of a film. */
export class Painter {
  private readonly maps = new Map<string, Mapping>();
  private readonly paths = new Map<Mapping, WeakMap<Region, Paths>>();
  private shown: { reel: number; way: number | undefined } | undefined;

  private readonly film: Film;
  private readonly on: Canvas;
  private readonly width: number;
  private readonly height: number;

  constructor(film: Film, on: Canvas, { width, height }: { readonly width: number; readonly height: number }) {
    this.film = film;
    this.on = on;
    this.width = width;
    this.height = height;
  }

  private mapFor(reel: Reel): Mapping {
    const before = this.maps.get(reel.setup);
    if (before) return before;
    const made = mapOf(
      this.film.reels.filter((r) => r.setup === reel.setup),
      this.width,
      this.height,
    );
    this.maps.set(reel.setup, made);
    return made;
  }

  private pathOf(region: Region, map: Mapping): Paths {
    let of = this.paths.get(map);
    if (!of) this.paths.set(map, (of = new WeakMap()));
    const before = of.get(region);
    if (before) return before;
    const half = (sign: 1 | -1) => {
      let d = '';
      for (const rings of region)
        for (const ring of rings) {
          for (let i = 0; i < ring.length; i += 2)
            d += `${i === 0 ? 'M' : 'L'}${map.x(ring[i] ?? 0).toFixed(2)} ${map.y(sign * Math.max(0, ring[i + 1] ?? 0)).toFixed(2)}`;
          d += 'Z';
        }
      return d;
    };
    const made = { above: half(1), below: half(-1) };
    of.set(region, made);
    return made;
  }

  /** @returns the contact that is come to just now, where there is one */
  paint({ reel: nth, way: at, share }: Moment): Touch | undefined {
    const reel = this.film.reels[nth];
    if (!reel) return undefined;
    const map = this.mapFor(reel);
    const way = at === undefined ? undefined : reel.ways[at];
    if (this.shown?.reel !== nth) this.begin(reel, map);
    if (this.shown?.reel !== nth || this.shown.way !== at) this.stock(reel, way, map);
    this.shown = { reel: nth, way: at };
    this.moved(reel, at === undefined ? share : 1, map);
    this.place(reel, way, at === undefined ? 0 : share, map);
    return this.ringed(reel, at, share, map);
  }

  /** What stands through a step, and the outline of its tool. */
  private begin(reel: Reel, map: Mapping): void {
    const { standing, bodies, axis } = this.on;
    standing.setAttribute(
      'd',
      reel.standing
        .flatMap(({ outline }) =>
          ([1, -1] as const).map((sign) => `M${outline.map(([x, r]) => `${map.x(x).toFixed(2)} ${map.y(sign * r).toFixed(2)}`).join('L')}Z`),
        )
        .join(''),
    );
    bodies.forEach((path, i) => {
      const outline = reel.tool[i];
      path.setAttribute('d', outline ? `M${outline.map(([x, r]) => `${(x * map.scale).toFixed(2)} ${(r * map.scale).toFixed(2)}`).join('L')}Z` : '');
    });
    const { end } = this.on;
    end.setAttribute('visibility', reel.move === 'away' ? 'hidden' : 'visible');
    end.setAttribute('transform', `translate(${(map.x(0) + 26).toFixed(2)} ${String(map.axis)})`);
    const letter = end.querySelector('text');
    if (letter) letter.textContent = reel.turned ? 'B' : 'A';
    axis.setAttribute('y1', String(map.axis));
    axis.setAttribute('y2', String(map.axis));
  }

  private stock(reel: Reel, way: Way | undefined, map: Mapping): void {
    const done = way ? way.after : reel.before;
    const all = way ? way.before : reel.before;
    for (const [paths, region] of [
      [this.on.stays, done],
      [this.on.waits, way ? all : []],
    ] as const) {
      const { above, below } = this.pathOf(region, map);
      paths.forEach((path, i) => path.setAttribute('d', i === 0 ? above : below));
    }
  }

  /** The piece put in, pulled out, turned round, or away at another machine. */
  private moved({ move, before }: Reel, share: number, map: Mapping): void {
    const { piece } = this.on;
    if (!move || share >= 1) {
      piece.removeAttribute('transform');
      piece.setAttribute('opacity', '1');
      return;
    }
    const soft = 0.5 - 0.5 * Math.cos(Math.PI * share);
    const { left, right } = before.length > 0 ? boundsOf(before) : { left: 0, right: 0 };
    const middle = (map.x(left) + map.x(right)) / 2;
    if (move === 'turned') {
      const turn = -Math.cos(Math.PI * share);
      piece.setAttribute(
        'transform',
        `translate(${(middle * (1 - turn)).toFixed(2)} 0) scale(${(Math.abs(turn) < 0.02 ? 0.02 : turn).toFixed(4)} 1)`,
      );
    } else if (move === 'pulled') piece.setAttribute('transform', `translate(${(-(1 - soft) * 0.35 * (map.x(right) - map.x(left))).toFixed(2)} 0)`);
    else if (move === 'in') piece.setAttribute('transform', `translate(${((1 - soft) * (this.width - map.x(left))).toFixed(2)} 0)`);
    else {
      // lifted out, and back in when it is done
      const up = Math.min(1, 4 * share, 4 * (1 - share));
      piece.setAttribute('transform', `translate(0 ${(-up * 0.9 * this.height).toFixed(2)})`);
    }
  }

  /** The tool at its place, and what it has still before it. */
  private place(reel: Reel, way: Way | undefined, share: number, map: Mapping): void {
    const { tool, clips } = this.on;
    const at = way ?? reel.ways[0];
    if (!at || reel.tool.length === 0) {
      tool.setAttribute('visibility', 'hidden');
      return;
    }
    tool.setAttribute('visibility', 'visible');
    const x = at.from[0] + share * (at.to[0] - at.from[0]);
    const r = at.from[1] + share * (at.to[1] - at.from[1]);
    // while hands are at work it stands back by the free face
    const [px, py] = way ? [map.x(x), map.y(-r)] : [map.x(at.from[0]) + 14, map.y(-at.from[1]) + 10];
    tool.setAttribute('transform', `translate(${px.toFixed(2)} ${py.toFixed(2)})`);
    if (!way) return;
    const set = (i: number, x0: number, y0: number, wide: number, high: number) => {
      const clip = clips[i];
      clip?.setAttribute('x', x0.toFixed(2));
      clip?.setAttribute('y', y0.toFixed(2));
      clip?.setAttribute('width', Math.max(0, wide).toFixed(2));
      clip?.setAttribute('height', Math.max(0, high).toFixed(2));
    };
    const { width, height } = this;
    if (way.leaves === 'all') {
      set(0, 0, 0, width, height);
      set(1, 0, 0, 0, 0);
    } else if (way.leaves === 'left') {
      set(0, 0, 0, map.x(x), height);
      set(1, 0, 0, 0, 0);
    } else if (way.leaves === 'inside') {
      set(0, 0, map.y(r), width, map.y(-r) - map.y(r));
      set(1, 0, 0, 0, 0);
    } else {
      set(0, 0, 0, width, map.y(r));
      set(1, 0, map.y(-r), width, height - map.y(-r));
    }
  }

  private ringed(reel: Reel, at: number | undefined, share: number, map: Mapping): Touch | undefined {
    const touch = at === undefined ? undefined : reel.touches.find((t) => t.way === at && share >= t.at - 1e-6);
    const { ring } = this.on;
    ring.setAttribute('visibility', touch ? 'visible' : 'hidden');
    if (touch) ring.setAttribute('transform', `translate(${map.x(touch.point[0]).toFixed(2)} ${map.y(-touch.point[1]).toFixed(2)})`);
    return touch;
  }
}
