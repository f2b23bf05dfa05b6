import type { Film, Reel } from '@obra/core/proof';
import { boundsOf, type Region } from '@obra/core/stock';
import type { Cut } from './cutOut';
import type { Extent, Stage, View } from './stage';
import { flatBody, regionSolid, roundBody } from './turned';

/** What is seen at a moment of a film, as its painter is told. */
interface Moment {
  readonly reel: number;
  readonly way: number | undefined;
  readonly share: number;
}

/** How thick jaws and tools are drawn, mm; where jaws stand round the work, degrees: none in the open quarter. */
const [JAW, TOOL] = [14, 10];
const JAWS = [-30, -150, 150] as const;
/** Seen behind the jaws and beyond the free face, mm. */
const [BEHIND, BEYOND] = [40, 45];

const cornersOf = ({ is, outline }: Reel['standing'][number]): readonly Float32Array<ArrayBuffer>[] =>
  is === 'jaws' || is === 'steady' ? JAWS.map((angle) => flatBody(outline, JAW, angle)) : [roundBody(outline)];

/** The film as a solid that is looked into: metal, jaws and centre stand, the tool goes its ways. The same regions and ways as the flat picture. */
export class SolidFilm {
  private readonly solids = new WeakMap<Region, Cut>();
  private readonly standing = new WeakMap<Reel, readonly Float32Array<ArrayBuffer>[]>();
  private readonly tools = new WeakMap<Reel, readonly Float32Array<ArrayBuffer>[]>();
  private shown: { region: Region | undefined; reel: Reel | undefined } = { region: undefined, reel: undefined };

  private readonly film: Film;
  private readonly stage: Stage;

  constructor(film: Film, stage: Stage) {
    this.film = film;
    this.stage = stage;
  }

  private kept<K extends object, V>(of: WeakMap<K, V>, key: K, make: () => V): V {
    const before = of.get(key);
    if (before !== undefined) return before;
    const made = make();
    of.set(key, made);
    return made;
  }

  /** One view for all that is done in a setup. */
  private seenIn(setup: string): Extent {
    const all = this.film.reels.filter((r) => r.setup === setup && r.before.length > 0).map((r) => boundsOf(r.before));
    const left = Math.min(0, ...all.map((b) => b.left));
    const right = Math.max(0, ...all.map((b) => b.right)) + BEYOND;
    const radius = Math.max(8, ...all.map((b) => b.radius));
    const jaws = this.film.reels
      .filter((r) => r.setup === setup)
      .flatMap((r) => r.standing.filter((b) => b.is === 'jaws').flatMap((b) => b.outline.map(([x]) => x)));
    const from = jaws.length > 0 ? Math.max(left, Math.min(...jaws) - BEHIND) : left;
    return { middle: [(from + right) / 2, -0.4 * radius, 0], half: [(right - from) / 2, 1.5 * radius, 1.3 * radius] };
  }

  paint({ reel: nth, way: at, share }: Moment, view: View): void {
    const reel = this.film.reels[nth];
    if (!reel) return;
    const way = at === undefined ? undefined : reel.ways[at];
    // what the tool under way has before it goes when it has gone by
    const region = way ? (share >= 1 ? way.after : way.before) : share >= 1 && reel.ways.length === 0 ? reel.after : reel.before;
    if (this.shown.region !== region || this.shown.reel !== reel) {
      this.stage.show(
        this.kept(this.solids, region, () => regionSolid(region)),
        this.seenIn(reel.setup),
      );
      this.shown = { region, reel };
    }
    const first = way ?? reel.ways[0];
    const tool = this.kept(this.tools, reel, () => reel.tool.map((outline) => flatBody(outline, TOOL)));
    const [x, r] = first
      ? way
        ? [first.from[0] + share * (first.to[0] - first.from[0]), first.from[1] + share * (first.to[1] - first.from[1])]
        : [first.from[0] + 10, first.from[1] + 8]
      : [0, 0];
    this.stage.beside([
      ...this.kept(this.standing, reel, () => reel.standing.flatMap(cornersOf)).map((corners) => ({ corners, at: [0, 0, 0] as const })),
      ...(first ? tool.map((corners) => ({ corners, at: [x, -r, 0] as const })) : []),
    ]);
    this.stage.draw(view);
  }
}
