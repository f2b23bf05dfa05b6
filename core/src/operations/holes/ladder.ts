import { atLeast, atMost, exceeds, PLACE, tidy } from '../../quantity';
import { practice } from '../../shop';

/* The ladder of a hole: which drills of a drawer, how deep each, and what finishes every row of it. Diameters and depths in mm, depths from the face that is zero. */

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

export interface Ladder {
  /** drills from the deepest out, then what finishes, from the mouth in */
  readonly moves: readonly Move[];
  /** minutes, and what its risks are taken for */
  readonly cost: number;
}

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
export const leftToReam = (size: number): { readonly least: number; readonly most: number } =>
  size < practice.smallDrill ? { least: 0.1, most: 0.2 } : size <= 20 ? { least: 0.2, most: 0.4 } : { least: 0.4, most: 0.6 };

/** How deep the cone of a drill goes on below its full diameter, into a hole that stands, mm. */
export const coneOf = ({ size, half }: Pick<DrillAt, 'size' | 'half'>, stands: number): number =>
  half >= 90 ? 0 : Math.max(0, size - stands) / 2 / Math.tan((half * Math.PI) / 180);

/** A bar goes into a hole and leaves its chips room. @source bar-enters, common practice */
export const enters = (shank: number, hole: number): boolean => atMost(shank, practice.barEnters * hole, PLACE);

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

/* Minutes that an inferior way is taken for. @source judgement */
const UNPILOTED = 2;
const SLENDER = 6;
const HARDLY = 40;
/** for each mm that a reamer takes beyond its range */
const OVERLOADED = 40;
/** So much more than its range a reamer still takes, mm on diameter. @source judgement */
const MORE_TO_REAM = 0.1;
const NO_REAMER = 15;
const THIN_FOR_BAR = 2;
/** for each mm that a drill is off what is wanted, inside its limits */
const OFF_AIM = 4;
const LACKING = 45;
const INSTEAD = 3;
const LACKS_ONE = 30;
const OUT_OF_CLASS = 12;
const WRONG_SIZE = 25;

/** A way to make one row, and the diameter that its drills leave open for the rows above. */
interface Way {
  readonly drills: readonly Move[];
  readonly finish: readonly Move[];
  readonly opens: number;
  readonly cost: number;
}

/**
 * The cheapest ladder for all rows of a hole at once: each row's way depends only on what stands open when its first drill goes in, so the best is found exactly, row by
 * row from the deepest. @source drill-ladder, drill-bore-ream, bar-enters; common practice
 */
export function ladderOf(rungs: readonly Rung[], drawer: Drawer, prices: Prices): Ladder {
  const known = new Map<string, Ladder & { readonly finish: readonly Move[] }>();
  const from = (i: number, open: number): Ladder & { readonly finish: readonly Move[] } => {
    const rung = rungs[i];
    if (!rung) return { moves: [], finish: [], cost: 0 };
    const key = `${String(i)} ${String(open)}`;
    const before = known.get(key);
    if (before) return before;
    // a bar comes in through the rows above, which are finished by then
    const mouth = rungs.slice(0, i).reduce((least, r) => Math.min(least, r.least), Infinity);
    let best: (Ladder & { readonly finish: readonly Move[] }) | undefined;
    for (const way of waysOf(rung, Math.max(open, rung.stands), mouth, drawer, prices)) {
      if (best && way.cost >= best.cost) continue;
      const rest = from(i - 1, Math.max(way.opens, open));
      const cost = way.cost + rest.cost;
      if (!best || cost < best.cost) best = { moves: [...way.drills, ...rest.moves], finish: [...rest.finish, ...way.finish], cost: tidy(cost) };
    }
    const found = best ?? { moves: [], finish: [], cost: Infinity };
    known.set(key, found);
    return found;
  };
  const { moves, finish, cost } = from(rungs.length - 1, 0);
  return { moves: [...moves, ...finish], cost };
}

/** Every way to make a row into which a hole of `open` is there already; where the drawer has none, what comes nearest and what is lacking. */
export function waysOf(rung: Rung, open: number, mouth: number, drawer: Drawer, prices: Prices): readonly Way[] {
  const ways = properWays(rung, open, mouth, drawer, prices);
  return ways.length > 0 ? ways : insteadOf(rung, open, mouth, drawer, prices);
}

/** The ways that make a row as it is wanted, with what lies in the drawer. */
function properWays(rung: Rung, open: number, mouth: number, drawer: Drawer, prices: Prices): readonly Way[] {
  const ways: Way[] = [];
  const long = rung.to - rung.from;
  const add = (drills: readonly Move[], finish: readonly Move[], opens: number, cost: number) => ways.push({ drills, finish, opens, cost });
  const barFor = (stands: number) => drawer.bars.find((b) => enters(b.shank, Math.min(stands, mouth)) && atLeast(b.reach, rung.to, PLACE));
  const boreTo = (stands: number, to: number, fine: boolean): { readonly move: Move; readonly cost: number } | undefined => {
    const bar = barFor(stands);
    if (!bar) return undefined;
    const out = rung.to / bar.shank;
    const slender = out > 6 ? HARDLY : out > 4 ? SLENDER : 0;
    return {
      move: { is: 'bore', row: rung.row, tool: bar.id, from: stands, to },
      cost: prices.bore(bar, stands, to, rung.to, long, fine) + slender + (to - stands < 0.5 ? THIN_FOR_BAR : 0),
    };
  };
  /** what stands when these drills are through, and what finishes it */
  const finishes = (drills: readonly Move[], stands: number, opens: number, cost: number, floor: boolean) => {
    const reamer =
      rung.wants === 'ream' ? drawer.reamers.find((r) => Math.abs(r.size - rung.aim) < 0.02 && atLeast(r.reach, rung.to, PLACE)) : undefined;
    if (rung.wants === 'bore' || (rung.wants === 'ream' && !reamer)) {
      if (atLeast(stands, rung.least, PLACE)) {
        // a hole that is that size already, or over it, is not bored smaller
        if (atMost(stands, rung.most, PLACE)) add(drills, [], opens, cost);
        return;
      }
      const bored = boreTo(stands, rung.aim, rung.fine);
      if (bored) add(drills, [bored.move], opens, cost + bored.cost + (rung.wants === 'ream' ? NO_REAMER : 0));
      return;
    }
    if (reamer) {
      const left = tidy(reamer.size - stands);
      if (left <= 0.02) return;
      const range = leftToReam(reamer.size);
      const ream: Move = { is: 'ream', row: rung.row, tool: reamer.id, left };
      const reaming = prices.ream(reamer.size, long);
      // neither the work of a drill nor of a lap
      if (atMost(left, range.most + MORE_TO_REAM, PLACE) && left >= range.least / 2)
        add(drills, [ream], opens, cost + reaming + OVERLOADED * Math.max(0, left - range.most, range.least - left));
      const to = tidy(reamer.size - (range.least + range.most) / 2);
      const bored = to > stands ? boreTo(stands, to, false) : undefined;
      if (bored) add(drills, [bored.move, { ...ream, left: tidy(reamer.size - to) }], opens, cost + bored.cost + reaming);
      return;
    }
    // a drill's own size, or the core of a thread
    const inside = atLeast(stands, rung.least, PLACE) && atMost(stands, rung.most, PLACE);
    const off = OFF_AIM * Math.abs(stands - rung.aim);
    if (inside && !floor) add(drills, [], opens, cost + off);
    if (inside && floor) {
      const flat = drawer.drills.find((d) => d.half >= 90 && Math.abs(d.size - rung.aim) < 0.06 && atLeast(d.reach, rung.to, PLACE));
      if (flat) add(drills, [{ is: 'flat', row: rung.row, tool: flat.id, size: flat.size }], opens, cost + prices.drill(flat.size, stands, 1));
      const bored = boreTo(stands, Math.max(stands, rung.aim), rung.fine);
      if (bored) add(drills, [bored.move], opens, cost + bored.cost);
      if (!flat && !bored) add(drills, [{ is: 'flat', row: rung.row, tool: undefined, size: rung.aim }], opens, cost + LACKING);
    }
    if (stands < rung.least) {
      const bored = boreTo(stands, rung.aim, rung.fine);
      if (bored) add(drills, [bored.move], opens, cost + bored.cost);
    }
  };
  const flatFloor = rung.ends === 'flat';
  const standsBefore = rung.stands > 0 || open > 0;
  if (standsBefore && atMost(open, rung.most, PLACE)) finishes([], open, open, 0, flatFloor && rung.stands === 0);
  for (const drill of drawer.drills) {
    if (!exceeds(drill.size, open, PLACE) || exceeds(drill.size, rung.narrowest, PLACE)) continue;
    if (rung.asked !== undefined && rung.asked !== drill.id) continue;
    const depth = depthIn(rung, drill, open);
    if (depth === undefined) continue;
    for (const lead of leadsTo(rung, drill, open, drawer, prices)) {
      const before = lead.at(-1)?.size ?? open;
      const stands = sizedBy(rung, drill.size, before);
      const price = [...lead, { size: drill.size, before }].reduce(
        (sum, d) => sum + prices.drill(d.size, d.before, depth) + (d.before > 0 && d.size - d.before < 1 ? prices.grabs : 0),
        0,
      );
      const bare = prices.pilots && before === 0 && drill.size > practice.pilotFrom ? UNPILOTED : 0;
      const moves: readonly Move[] = [
        ...lead.map(({ id, size, before: b, leads }): Move => ({ is: 'drill', row: rung.row, tool: id, size, before: b, depth, leads })),
        { is: 'drill', row: rung.row, tool: drill.id, size: drill.size, before, depth },
      ];
      finishes(moves, stands, drill.size, price + bare, flatFloor && drill.half < 90);
    }
  }
  return ways;
}

/** Where no bar reaches or enters: the reamer of that size; where there is none: drilled to size; where nothing makes it, what comes nearest. @source bar-enters, step-drill */
function insteadOf(rung: Rung, open: number, mouth: number, drawer: Drawer, prices: Prices): readonly Way[] {
  const others =
    !rung.fine || !rung.straight ? [] : rung.wants === 'bore' ? (['ream', 'drill'] as const) : rung.wants === 'ream' ? (['drill'] as const) : [];
  for (const wants of others) {
    const ways = properWays({ ...rung, wants, narrowest: rung.most }, open, mouth, drawer, prices);
    if (ways.length > 0) return ways.map((w) => ({ ...w, cost: w.cost + INSTEAD }));
  }
  return lackingWays(rung, open, drawer, prices);
}

/** What a drill leaves standing, as its row judges it: a row without limits of its own, or a core, goes by the size of the drill. */
function sizedBy(rung: Rung, size: number, before: number): number {
  if (rung.wants === 'ream') return madeBy(size, before);
  if (rung.wants === 'drill' && rung.fine) return madeBy(size, before);
  return size;
}

interface Lead {
  readonly id: string;
  readonly size: number;
  readonly before: number;
  readonly leads: 'pilot' | 'step';
}

/** What goes before a drill: nothing; a pilot about as thick as its web; a step drill that leaves it little. @source drill-ladder, step-drill; common practice */
function leadsTo(rung: Rung, drill: DrillAt, open: number, drawer: Drawer, prices: Prices): readonly (readonly Lead[])[] {
  const deep = (d: DrillAt) => depthIn(rung, d, open) !== undefined;
  const pilotOf = (size: number, under: number): Lead | undefined => {
    if (!prices.pilots || size <= practice.pilotFrom || under >= practice.webShare * size) return undefined;
    const pilot = drawer.drills.find(
      (d) => d.half < 90 && atLeast(d.size, practice.webShare * size, PLACE) && d.size <= 0.6 * size && d.size > under && deep(d),
    );
    return pilot && { id: pilot.id, size: pilot.size, before: under, leads: 'pilot' };
  };
  const pilot = pilotOf(drill.size, open);
  const found: (readonly Lead[])[] = [pilot ? [pilot] : []];
  if (!(rung.wants === 'drill' && rung.fine)) return found;
  for (const step of drawer.drills) {
    const left = drill.size - step.size;
    if (
      step.half >= 90 ||
      step.size <= open ||
      !atLeast(left, practice.stepDrillLeast, PLACE) ||
      !atMost(left, practice.followsMost, PLACE) ||
      !deep(step)
    )
      continue;
    const first = pilotOf(step.size, open);
    found.push([...(first ? [first] : []), { id: step.id, size: step.size, before: first?.size ?? open, leads: 'step' }]);
  }
  return found;
}

/** Where nothing of the drawer makes a row as it is wanted: what comes nearest, and what is lacking. */
function lackingWays(rung: Rung, open: number, drawer: Drawer, prices: Prices): readonly Way[] {
  const fits = drawer.drills.flatMap((d) => {
    const depth = d.half < 90 || rung.ends === 'flat' ? depthIn(rung, d, open) : undefined;
    return depth === undefined || d.size <= open || (rung.asked !== undefined && rung.asked !== d.id) ? [] : [{ d, depth }];
  });
  // piloted as any other
  const drilled: Drilled = ({ d, depth }, leads) => {
    const [lead = []] = leadsTo({ ...rung, wants: 'bore' }, d, open, drawer, prices);
    return [
      ...lead.map((l): Move => ({ is: 'drill', row: rung.row, tool: l.id, size: l.size, before: l.before, depth, leads: l.leads })),
      { is: 'drill', row: rung.row, tool: d.id, size: d.size, before: lead.at(-1)?.size ?? open, depth, ...(leads && { leads }) },
    ];
  };
  const price = ({ d, depth }: Fitting) => prices.drill(d.size, open, depth);
  const bore: Move = { is: 'bore', row: rung.row, tool: undefined, from: open, to: rung.aim };
  const flat = rung.ends === 'flat' && rung.wants === 'drill';
  const ways: Way[] = [];
  for (const one of fits.filter(({ d }) => atMost(d.size, rung.narrowest, PLACE)))
    ways.push({
      drills: drilled(one),
      finish: [flat ? { is: 'flat', row: rung.row, tool: undefined, size: rung.aim } : { ...bore, from: one.d.size }],
      opens: one.d.size,
      cost: price(one) + LACKING + (rung.aim - one.d.size),
    });
  ways.push(...withUsual(rung, open, drawer, fits, drilled, prices));
  // a plain hole is what the nearest drill makes of it, a core what comes near its class: told as the wrong size
  if (!flat && (rung.wants === 'drill' || rung.wants === 'core'))
    for (const one of fits.filter(({ d }) => Math.abs(d.size - rung.aim) <= (drawer.bars.length === 0 ? 0.2 : 0.05) * rung.aim + 0.1))
      ways.push({
        drills: drilled(one),
        finish: [],
        opens: one.d.size,
        cost: price(one) + (rung.wants === 'core' ? OUT_OF_CLASS : WRONG_SIZE) + 40 * Math.abs(one.d.size - rung.aim),
      });
  if (ways.length === 0) ways.push({ drills: [], finish: [bore], opens: open, cost: 2 * LACKING });
  return ways;
}

/** A drill that goes into a row, and how deep. */
interface Fitting {
  readonly d: DrillAt;
  readonly depth: number;
}
type Drilled = (one: Fitting, leads?: 'pilot') => readonly Move[];

/** With the one drill that the drawer lacks, the usual one, after the largest that is there. @source drill-ladder, common practice */
function withUsual(rung: Rung, open: number, drawer: Drawer, fits: readonly Fitting[], drilled: Drilled, prices: Prices): readonly Way[] {
  const { usual } = rung;
  if (usual === undefined || usual <= open || rung.ends === 'flat') return [];
  const reams = rung.wants === 'ream' || rung.wants === 'bore';
  const reamer = reams ? drawer.reamers.find((r) => Math.abs(r.size - rung.aim) < 0.02 && atLeast(r.reach, rung.to, PLACE)) : undefined;
  if (reams && !reamer) return [];
  const depth = depthIn(rung, { id: '', size: usual, half: 59, reach: Infinity }, open);
  if (depth === undefined) return [];
  const before = fits.filter(({ d }) => d.size < usual - 0.3 && d.half < 90).at(-1);
  const lacking: Move = { is: 'drill', row: rung.row, tool: undefined, size: usual, before: before?.d.size ?? open, depth };
  const left = reamer ? tidy(reamer.size - madeBy(usual, lacking.before)) : 0;
  return [
    {
      drills: [...(before ? drilled(before, 'pilot') : []), lacking],
      finish: reamer ? [{ is: 'ream', row: rung.row, tool: reamer.id, left }] : [],
      opens: usual,
      cost:
        (before ? prices.drill(before.d.size, open, before.depth) : 0) +
        prices.drill(usual, lacking.before, depth) +
        (reamer ? prices.ream(reamer.size, rung.to - rung.from) : 0) +
        LACKS_ONE,
    },
  ];
}
