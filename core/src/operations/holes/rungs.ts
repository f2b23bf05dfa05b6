import { drillFeed } from '../../cutting';
import type { Tool } from '../../document';
import { faceOf, type Feature, innerOf, mouthOf, threadOf } from '../../drawing';
import { alike, fallsShort, parseDegrees, PLACE, tidy, turnsFor } from '../../quantity';
import { mmOf, practice, sizeOf } from '../../shop';
import { alongHole, entersFrom, shankOf } from '../../tooling';
import { type DrawnThread, nearestDrills, tapDrills } from '../../standards';
import { type Facts, wayChosen } from '../facts';
import { openBetween } from '../open';
import { type At, stepId } from '../outcome';
import { workLimits } from '../workLimits';
import { type BarAt, coneOf, cutsOver, depthIn, leftToReam, type DrillAt, type Drawer, type Prices, type Rung } from './rung';

/* What a hole of the drawing asks of its ladder, and what the drawer of this shop offers. */

/** Nothing finer than a drill makes is asked of it. */
export const plainHole = (row: Feature): boolean =>
  row.made === 'drilled' || (row.nearDiameter.from === 'general' && row.made === undefined && row.finish === undefined);

/** A drill as the ladder takes it: where its flutes are not said they are as long as a usual one's; its point 118 degrees. */
export function drillAt(tool: Tool): DrillAt {
  const angle = parseDegrees(tool.angle?.text ?? '');
  return {
    id: tool.id,
    size: sizeOf(tool),
    half: angle.ok && angle.value >= 60 ? Math.min(90, angle.value / 2) : 59,
    reach: mmOf(tool.reach, Infinity),
  };
}

const drawers = new WeakMap<readonly Tool[], Drawer>();

/** What of a shop's drawer makes holes. */
export function drawerOf({ shop }: Pick<Facts, 'shop'>): Drawer {
  const known = drawers.get(shop.tools);
  if (known) return known;
  const made: Drawer = {
    drills: shop.tools
      .filter((t) => t.kind === 'drill' && sizeOf(t) > 0)
      .map(drillAt)
      .toSorted((a, b) => a.size - b.size),
    bars: shop.tools
      .filter((t) => t.kind === 'bore')
      .map((t): BarAt => ({ id: t.id, shank: shankOf(t), enters: entersFrom(t), reach: alongHole(t) }))
      .filter((b) => b.shank > 0)
      .toSorted((a, b) => b.shank - a.shank),
    reamers: shop.tools.filter((t) => t.kind === 'ream' && sizeOf(t) > 0).map((t) => ({ id: t.id, size: sizeOf(t), reach: mmOf(t.reach, Infinity) })),
  };
  drawers.set(shop.tools, made);
  return made;
}

/** What moves in a hole take on this lathe in this metal, minutes. @source step-times, judgement; cutting by feed and speed */
export function pricesOf(facts: Facts): Prices {
  const { material, machine } = facts;
  const top = Array.isArray(machine.speeds) ? Math.max(...machine.speeds) : machine.speeds.to;
  const turns = (v: number, d: number) => Math.max(1, Math.min(top, turnsFor(v, d)));
  const grabs = material.id === 'brass' || material.id === 'acrylic' || material.group === 'O';
  return {
    drill: (size, _before, long) =>
      practice.toolChange +
      practice.minutesDrill +
      long / (drillFeed(size) * turns(0.8 * material.hss, size)) +
      (practice.minutesPeck * long) / (2 * size),
    bore: ({ shank }, from, to, out, long, fine) => {
      const stiff = Math.min(1, (3 / Math.max(out / shank, 1)) ** 3);
      const bite = Math.max(0.1, Math.min(0.4 * material.depth, 0.1 * shank * stiff));
      const passes = Math.max(fine ? 2 : 1, Math.ceil((to - from) / 2 / bite));
      const pass = practice.minutesBorePass + long / (0.1 * turns(material.hss, to));
      return practice.toolChange + (fine ? practice.minutesBoreMeasured : practice.minutesBore) + passes * pass;
    },
    ream: (size, long) => practice.toolChange + practice.minutesBore + long / (0.15 * turns(0.45 * material.hss, size)),
    grabs: grabs ? 1 : 0,
    pilots: wayChosen(facts, 'drilling') === 'pilot',
  };
}

/** What the core of a thread may be, and is best, mm: by the class and the usual drill of its material. */
export function coreFor(
  facts: Pick<Facts, 'shop' | 'part'>,
  thread: DrawnThread,
): { readonly least: number; readonly most: number; readonly aim: number } {
  const least = thread.minor?.min ?? thread.crest;
  const most = thread.minor?.max ?? tidy(thread.crest + 0.12 * thread.pitch);
  const { drills } = drawerOf(facts);
  const ranked = tapDrills(thread.designation, {
    drills: drills.filter((d) => d.half < 90).map((d) => ({ name: '', set: 'metric' as const, diameter: d.size })),
    material: facts.part.material,
  });
  const best = ranked.ok ? ranked.drills[0]?.diameter : undefined;
  const aim = best !== undefined && best >= least - 1e-6 && best <= most + 1e-6 ? best : tidy((least + most) / 2);
  return { least, most, aim };
}

/** A shoulder whose ring a drill's cone may leave or take: no longer than this along the axis, mm. @source judgement */
const CONE_STAYS = 1;

/** The drill that one would buy for a row: of a reamer's the one that leaves it its few tenths, else the size itself; in the sizes of the job. */
function usualFor({ job }: Facts, wants: Rung['wants'], aim: number, reams: boolean): Pick<Rung, 'usual'> {
  if (wants === 'bore' && !reams) return {};
  const { least, most } = leftToReam(aim);
  const over = cutsOver(aim, 0);
  const size = wants === 'ream' || wants === 'bore' ? Math.round(aim * 100) / 100 - (least + most) / 2 - (over.least + over.most) / 2 : aim;
  const [near] = nearestDrills(size, job.units === 'in' ? ['number', 'letter', 'fraction'] : ['metric']);
  return near ? { usual: near.diameter } : {};
}

/** The pilot of the centre drill that starts a hole in this setting, mm. */
function startedBy({ shop }: Facts, { steps }: At): number {
  const tool = shop.tools.find((t) => steps.some((s) => s.verb === 'centre-drill' && s.tool === t.id));
  return tool ? sizeOf(tool) + 0.01 : 0;
}

/** What of the other end's hole a row comes out into. */
const metBehind = ({ part }: Facts, row: Feature): Feature | undefined =>
  part.features.find((f) => f.side !== 'outside' && f.side !== row.side && alike(f.far, row.far));

/** The rows of the hole of an end, from its mouth inwards. */
export function rungsOf(facts: Facts, at: At, rows: readonly Feature[]): readonly Rung[] {
  const face = faceOf(facts.part, at.end);
  const deep = (z: number) => tidy(Math.abs(z - face));
  return rows.map((row, i): Rung => {
    const { limits } = workLimits(facts, row);
    const thread = threadOf(row);
    const [from, to] = [deep(mouthOf(row, at.end)), deep(innerOf(row, at.end))];
    const small = Math.min(row.nearDiameter.min, row.farDiameter.min);
    const next = rows[i + 1] ?? metBehind(facts, row);
    const plain = plainHole(row) && row.form === 'cylinder' && !thread;
    const wants = thread ? 'core' : plain ? 'drill' : row.made === 'reamed' ? 'ream' : 'bore';
    const spread = Math.max(0.06, (limits.max - limits.min) / 2);
    const fine = limits.from !== 'general' && !thread;
    const within =
      thread !== undefined
        ? coreFor(facts, thread)
        : plain && !fine
          ? { least: limits.nominal - spread, most: limits.nominal + spread, aim: limits.nominal }
          : row.form === 'cylinder'
            ? { least: limits.min, most: limits.max, aim: tidy((limits.max + limits.min) / 2) }
            : {
                least: small,
                most: Math.max(row.nearDiameter.max, row.farDiameter.max),
                aim: Math.max(row.nearDiameter.nominal, row.farDiameter.nominal),
              };
    const open = (row.through === true || row.met === true) && !(next && fallsShort(next.nearDiameter.nominal, within.aim, PLACE));
    const flatDrawn = row.edgeFar.kind === 'bottom' && row.edgeFar.degrees >= 180;
    const shoulder = next ? (within.aim - Math.min(next.nearDiameter.nominal, within.aim)) / 2 / Math.tan((59 * Math.PI) / 180) : 0;
    const ends = open
      ? 'open'
      : flatDrawn || (!next && (row.bottom ?? 59) >= 90)
        ? 'flat'
        : next && (wants === 'bore' || shoulder > CONE_STAYS)
          ? wants === 'ream'
            ? 'shoulder'
            : 'flat'
          : next && wants === 'ream'
            ? 'shoulder'
            : 'point';
    const asked = facts.chosen.use.get(stepId(at, 'drill', row.id))?.find((id) => facts.shop.tools.some((t) => t.id === id && t.kind === 'drill'));
    const found = openBetween(at, mouthOf(row, at.end), innerOf(row, at.end));
    // the pilot of a centre drill is no hole that was there
    const stands = found <= startedBy(facts, at) ? 0 : found;
    // a hole that runs out into the other end's is drilled right through at once, and one that is parted past the blade, where a drill reaches
    const whole =
      !open || row.through !== true
        ? undefined
        : next
          ? facts.part.length > to
            ? facts.part.length
            : undefined
          : at.parted !== undefined
            ? deep(at.parted)
            : undefined;
    const beyond = whole !== undefined && drawerOf(facts).drills.some((d) => d.size <= within.most && d.reach >= whole + d.size) ? whole : undefined;
    return {
      row: row.id,
      from,
      to,
      wants,
      ...within,
      narrowest: wants === 'bore' ? tidy(small - practice.boreAtLeast) : within.most,
      ends,
      stands: Number.isFinite(stands) ? stands : within.most,
      fine,
      ...(ends === 'point' && !next && row.bottom !== undefined && { pointed: true as const }),
      ...(beyond !== undefined && { beyond }),
      ...usualFor(facts, wants, within.aim, fine && row.form === 'cylinder'),
      straight: row.form === 'cylinder',
      ...(asked !== undefined && { asked }),
    };
  });
}

/** How deep the drills of the drawer get in a hole that none of them reaches to the end: undefined where one does, or none is of that size. */
export function reachedOf(rung: Rung, drawer: Drawer): number | undefined {
  const fitting = drawer.drills.filter((d) => d.size > rung.stands && d.size <= rung.narrowest);
  if (fitting.length === 0 || fitting.some((d) => depthIn(rung, d, rung.stands) !== undefined)) return undefined;
  return Math.max(...fitting.map((d) => d.reach - coneOf(d, rung.stands)));
}
