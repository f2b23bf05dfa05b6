import { atLeast, atMost, exceeds, PLACE, tidy } from '../../quantity';
import { practice } from '../../shop';
import { depthIn, type DrillAt, type Drawer, enters, leftToReam, madeBy, type Move, type Prices, type ReamerAt, type Rung } from './rung';

/* The ways to make one row of a hole from a drawer. */

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
/** So many of the largest drills are looked at where something is lacking. */
const LARGEST = 6;

/** A way to make one row, and the diameter that its drills leave open for the rows above. */
export interface Way {
  /** written down only for the way that is taken */
  readonly drills: () => readonly Move[];
  readonly finish: readonly Move[];
  readonly opens: number;
  readonly cost: number;
}

/** What finishes a row once its drills are through. */
interface Finish {
  readonly moves: readonly Move[];
  readonly cost: number;
}

/** How a row is finished hangs on what stands, not on which drills were there: found once for each size. */
export type KnownFinishes = Map<Rung['wants'], Map<number, readonly Finish[]>>;

/** Every way to make a row into which a hole of `open` is there already; where the drawer has none, what comes nearest and what is lacking. */
export function waysOf(rung: Rung, open: number, mouth: number, drawer: Drawer, prices: Prices, known: KnownFinishes = new Map()): readonly Way[] {
  const ways = properWays(rung, open, mouth, drawer, prices, known);
  return ways.length > 0 ? ways : insteadOf(rung, open, mouth, drawer, prices, known);
}

/** The ways that make a row as it is wanted, with what lies in the drawer. */
function properWays(rung: Rung, open: number, mouth: number, drawer: Drawer, prices: Prices, known: KnownFinishes): readonly Way[] {
  const ways: Way[] = [];
  const finishes = finishing(rung, mouth, drawer, prices, known);
  const flatFloor = rung.ends === 'flat';
  const standsBefore = rung.stands > 0 || open > 0;
  if (standsBefore && atMost(open, rung.most, PLACE))
    for (const { moves, cost } of finishes(open, flatFloor && rung.stands === 0)) ways.push({ drills: none, finish: moves, opens: open, cost });
  for (const drill of drawer.drills) {
    if (!exceeds(drill.size, open, PLACE)) continue;
    if (exceeds(drill.size, rung.narrowest, PLACE)) break;
    if (rung.asked !== undefined && rung.asked !== drill.id) continue;
    const depth = depthIn(rung, drill, open);
    if (depth === undefined) continue;
    const priceOf = (size: number, before: number) => prices.drill(size, before, depth) + (before > 0 && size - before < 1 ? prices.grabs : 0);
    for (const lead of leadsTo(rung, drill, open, drawer, prices)) {
      const before = lead.at(-1)?.size ?? open;
      const bare = prices.pilots && before === 0 && drill.size > practice.pilotFrom ? UNPILOTED : 0;
      const price = lead.reduce((sum, d) => sum + priceOf(d.size, d.before), priceOf(drill.size, before)) + bare;
      const drills = (): readonly Move[] => [
        ...lead.map(({ id, size, before: b, leads }): Move => ({ is: 'drill', row: rung.row, tool: id, size, before: b, depth, leads })),
        { is: 'drill', row: rung.row, tool: drill.id, size: drill.size, before, depth },
      ];
      for (const { moves, cost } of finishes(sizedBy(rung, drill.size, before), flatFloor && drill.half < 90))
        ways.push({ drills, finish: moves, opens: drill.size, cost: price + cost });
    }
  }
  return ways;
}

const none = (): readonly Move[] => [];

/** How a row is finished, by what stands and whether a cone is left at its bottom: found once. */
function finishing(
  rung: Rung,
  mouth: number,
  drawer: Drawer,
  prices: Prices,
  known: KnownFinishes,
): (stands: number, floor: boolean) => readonly Finish[] {
  const found = known.get(rung.wants) ?? new Map<number, readonly Finish[]>();
  known.set(rung.wants, found);
  return (stands, floor) => {
    const key = floor ? -1 - stands : stands;
    let finishes = found.get(key);
    if (!finishes) found.set(key, (finishes = finishesOf(rung, stands, floor, mouth, drawer, prices)));
    return finishes;
  };
}

/** No way to make a row costs less than this, whatever stands open: how it is finished after the best of drills, or another way at the least. */
export function leastOf(rung: Rung, mouth: number, drawer: Drawer, prices: Prices, known: KnownFinishes): number {
  if (rung.stands > 0 || rung.wants === 'drill' || rung.wants === 'core') return 0;
  const finishes = finishing(rung, mouth, drawer, prices, known);
  let least = INSTEAD;
  for (const drill of drawer.drills) {
    if (drill.size > rung.most) break;
    for (const stands of [drill.size, madeBy(drill.size, 0), madeBy(drill.size, drill.size - practice.followsMost)])
      for (const floor of [false, true]) for (const f of finishes(stands, floor)) least = Math.min(least, f.cost);
  }
  return least;
}

/** All that finishes a row in which a hole of this size stands; `floor`: a cone is left at its bottom. */
function finishesOf(rung: Rung, stands: number, floor: boolean, mouth: number, drawer: Drawer, prices: Prices): readonly Finish[] {
  const long = rung.to - rung.from;
  const boreTo = (to: number, fine: boolean): { readonly move: Move; readonly cost: number } | undefined => {
    const bar = drawer.bars.find((b) => enters(b, Math.min(stands, mouth)) && atLeast(b.reach, rung.to, PLACE));
    if (!bar) return undefined;
    const out = rung.to / bar.shank;
    const slender = out > 6 ? HARDLY : out > 4 ? SLENDER : 0;
    return {
      move: { is: 'bore', row: rung.row, tool: bar.id, from: stands, to },
      cost: prices.bore(bar, stands, to, rung.to, long, fine) + slender + (to - stands < 0.5 ? THIN_FOR_BAR : 0),
    };
  };
  const bored = (to: number, more = 0): readonly Finish[] => {
    const made = boreTo(to, rung.fine);
    return made ? [{ moves: [made.move], cost: made.cost + more }] : [];
  };
  const reamer = rung.wants === 'ream' ? reamerFor(rung, drawer) : undefined;
  if (reamer) return reamedBy(rung, reamer, stands, prices.ream(reamer.size, long), boreTo);
  if (rung.wants === 'bore' || rung.wants === 'ream') {
    // a hole that is that size already, or over it, is not bored smaller
    if (atLeast(stands, rung.least, PLACE)) return atMost(stands, rung.most, PLACE) ? [{ moves: [], cost: 0 }] : [];
    return bored(rung.aim, rung.wants === 'ream' ? NO_REAMER : 0);
  }
  // a drill's own size, or the core of a thread
  const inside = atLeast(stands, rung.least, PLACE) && atMost(stands, rung.most, PLACE);
  const smaller = stands < rung.least ? bored(rung.aim) : [];
  if (!inside) return smaller;
  if (!floor) return [{ moves: [], cost: OFF_AIM * Math.abs(stands - rung.aim) }, ...smaller];
  const flat = drawer.drills.find((d) => d.half >= 90 && Math.abs(d.size - rung.aim) < 0.06 && atLeast(d.reach, rung.to, PLACE));
  const flattened = bored(Math.max(stands, rung.aim));
  const byDrill: Finish | undefined = flat && {
    moves: [{ is: 'flat', row: rung.row, tool: flat.id, size: flat.size }],
    cost: prices.drill(flat.size, stands, 1),
  };
  const lacking: Finish = { moves: [{ is: 'flat', row: rung.row, tool: undefined, size: rung.aim }], cost: LACKING };
  return [...(byDrill ? [byDrill] : []), ...flattened, ...(!byDrill && flattened.length === 0 ? [lacking] : []), ...smaller];
}

const reamerFor = (rung: Rung, drawer: Drawer): ReamerAt | undefined =>
  drawer.reamers.find((r) => Math.abs(r.size - rung.aim) < 0.02 && atLeast(r.reach, rung.to, PLACE));

/** Reamed from what the drill leaves, where that is neither the work of a drill nor of a lap; or bored to it first. */
function reamedBy(
  rung: Rung,
  reamer: ReamerAt,
  stands: number,
  reaming: number,
  boreTo: (to: number, fine: boolean) => { readonly move: Move; readonly cost: number } | undefined,
): readonly Finish[] {
  const left = tidy(reamer.size - stands);
  if (left <= 0.02) return [];
  const range = leftToReam(reamer.size);
  const ream: Move = { is: 'ream', row: rung.row, tool: reamer.id, left };
  const to = tidy(reamer.size - (range.least + range.most) / 2);
  const bored = to > stands ? boreTo(to, false) : undefined;
  return [
    ...(atMost(left, range.most + MORE_TO_REAM, PLACE) && left >= range.least / 2
      ? [{ moves: [ream], cost: reaming + OVERLOADED * Math.max(0, left - range.most, range.least - left) }]
      : []),
    ...(bored ? [{ moves: [bored.move, { ...ream, left: tidy(reamer.size - to) }], cost: bored.cost + reaming }] : []),
  ];
}

/** Where no bar reaches or enters: the reamer of that size; where there is none: drilled to size; where nothing makes it, what comes nearest. @source bar-enters, step-drill */
function insteadOf(rung: Rung, open: number, mouth: number, drawer: Drawer, prices: Prices, known: KnownFinishes): readonly Way[] {
  const others =
    !rung.fine || !rung.straight ? [] : rung.wants === 'bore' ? (['ream', 'drill'] as const) : rung.wants === 'ream' ? (['drill'] as const) : [];
  for (const wants of others) {
    const ways = properWays({ ...rung, wants, narrowest: rung.most }, open, mouth, drawer, prices, known);
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

/** The first of the drills, by size, that is no smaller. */
function firstFrom(drills: readonly DrillAt[], size: number): number {
  let [low, high] = [0, drills.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((drills[middle]?.size ?? Infinity) < size - PLACE) low = middle + 1;
    else high = middle;
  }
  return low;
}

const NO_LEAD: readonly (readonly Lead[])[] = [[]];

/** What goes before a drill: nothing; a pilot about as thick as its web; a step drill that leaves it little. @source drill-ladder, step-drill; common practice */
function leadsTo(rung: Rung, drill: DrillAt, open: number, drawer: Drawer, prices: Prices): readonly (readonly Lead[])[] {
  const stepped = rung.wants === 'drill' && rung.fine;
  if (!stepped && (!prices.pilots || drill.size <= practice.pilotFrom)) return NO_LEAD;
  const deep = (d: DrillAt) => depthIn(rung, d, open) !== undefined;
  const pilotOf = (size: number, under: number): Lead | undefined => {
    const web = practice.webShare * size;
    if (!prices.pilots || size <= practice.pilotFrom || under >= web) return undefined;
    for (let at = firstFrom(drawer.drills, web); at < drawer.drills.length; at++) {
      const pilot = drawer.drills[at];
      if (!pilot || pilot.size > 0.6 * size) return undefined;
      if (pilot.half < 90 && pilot.size > under && deep(pilot)) return { id: pilot.id, size: pilot.size, before: under, leads: 'pilot' };
    }
    return undefined;
  };
  const pilot = pilotOf(drill.size, open);
  const found: (readonly Lead[])[] = [pilot ? [pilot] : []];
  if (!stepped) return found;
  for (const step of drawer.drills.slice(firstFrom(drawer.drills, drill.size - practice.followsMost))) {
    if (step.size >= drill.size) break;
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
  // the largest that go: a smaller one leaves only more to what is lacking
  for (const one of fits.filter(({ d }) => atMost(d.size, rung.narrowest, PLACE)).slice(-LARGEST))
    ways.push({
      drills: () => drilled(one),
      finish: [flat ? { is: 'flat', row: rung.row, tool: undefined, size: rung.aim } : { ...bore, from: one.d.size }],
      opens: one.d.size,
      cost: price(one) + LACKING + (rung.aim - one.d.size),
    });
  ways.push(...withUsual(rung, open, drawer, fits, drilled, prices));
  // a plain hole is what the nearest drill makes of it, a core what comes near its class: told as the wrong size
  if (!flat && (rung.wants === 'drill' || rung.wants === 'core'))
    for (const one of fits.filter(({ d }) => Math.abs(d.size - rung.aim) <= (drawer.bars.length === 0 ? 0.2 : 0.05) * rung.aim + 0.1))
      ways.push({
        drills: () => drilled(one),
        finish: [],
        opens: one.d.size,
        cost: price(one) + (rung.wants === 'core' ? OUT_OF_CLASS : WRONG_SIZE) + 40 * Math.abs(one.d.size - rung.aim),
      });
  if (ways.length === 0) ways.push({ drills: none, finish: [bore], opens: open, cost: 2 * LACKING });
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
  const reamer = reams ? reamerFor(rung, drawer) : undefined;
  if (reams && !reamer) return [];
  const depth = depthIn(rung, { id: '', size: usual, half: 59, reach: Infinity }, open);
  if (depth === undefined) return [];
  const before = fits.filter(({ d }) => d.size < usual - 0.3 && d.half < 90).at(-1);
  const lacking: Move = { is: 'drill', row: rung.row, tool: undefined, size: usual, before: before?.d.size ?? open, depth };
  const left = reamer ? tidy(reamer.size - madeBy(usual, lacking.before)) : 0;
  return [
    {
      drills: () => [...(before ? drilled(before, 'pilot') : []), lacking],
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
