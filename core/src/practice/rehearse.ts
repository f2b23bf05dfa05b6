import { endRead, type AtSize } from '../bench';
import type { Job } from '../document';
import { randomFrom, simulated } from '../lathe';
import { parseLength, tidy } from '../quantity';
import { mmOf } from '../shop';
import { materialOf } from '../standards';

/*
 * A job rehearsed: the Bench as it is, the metal simulated. What was written down at a step is done again on the same metal, so a reload, an undo and another tablet find it
 * as it was.
 */

/** Jobs that are rehearsed are named so: their log is never among the records of the shop, nor among its lessons. */
const MARK = 'rehearsal-';
export const rehearsalId = (id: string): string => `${MARK}${id}`.slice(0, 40);
export const isRehearsal = (id: string): boolean => id.startsWith(MARK);

/** What roughing leaves for a size that is brought in, mm on diameter or along. */
const LEFT = { outside: 0.62, bore: 0.62, length: 0.5, depth: 0.5, thread: 0.35 } as const;

const seedOf = (text: string): number => Array.from(text).reduce((h, c) => (Math.imul(h, 31) + c.charCodeAt(0)) >>> 0, 7);

/**
 * What the gauge in hand shows of the simulated metal at this step now, and how warm the piece is; undefined where nothing is measured by a number.
 * @param where of a slender row the end that is measured
 */
export function rehearsedReading(
  job: Job,
  at: AtSize,
  of: { readonly id: string; readonly piece: number; readonly step: string; readonly where?: 'free' | 'held' },
): { readonly mm: number; readonly celsius: number } | undefined {
  const { sized, machine, live, kit, inHand, ends } = at;
  if (!sized || sized.standsOff) return undefined;
  const seed = seedOf(`${of.id} ${String(of.piece)} ${of.step} ${sized.of}`);
  const random = randomFrom(seed);
  const dial = machine?.dials[sized.axis];
  const division = mmOf(dial?.division, 0.02);
  const takes = sized.takes ?? (sized.axis === 'cross' && dial?.reads !== 'diameter' ? 2 : 1);
  const grows = sized.kind === 'bore' || sized.kind === 'depth';
  const begins = sized.limits.nominal + (grows ? -1 : 1) * LEFT[sized.kind] * (0.9 + 0.25 * random.even());
  const gauge = kit.gauges.find((g) => g.id === inHand);
  const lathe = simulated({
    seed,
    takes,
    division,
    cyclic: 0.001 * random.even(),
    turn: 4,
    sticks: 0.0012 + 0.02 * division * takes,
    pitchError: 0.001 * random.normal(),
    backlash: mmOf(dial?.backlash, 0.1) * takes,
    spring: 0.06 * Math.exp(0.4 * random.normal()),
    power: 0.88,
    leastDepth: 0.04,
    builtUp: 0.0007,
    wear: 0.0002,
    warms: 5,
    alpha: materialOf(job.drawing.material).alpha,
    cools: 22,
    room: 20,
    crests: 0.0004,
    runout: 0.0008,
    taper: ends ? 0.004 * random.normal() : 0,
    heldGives: 0.6,
    gauge: { bias: mmOf(gauge?.bias, 0.002), repeat: mmOf(gauge?.repeat, 0.002), slips: 0.02 },
    begins,
  });
  const seen = (size: number) => (grows ? 2 * begins - size : size);
  let before: string | undefined;
  for (const entry of live) {
    // it cooled while nothing was done
    if (before !== undefined) lathe.wait(Math.max(0, (Date.parse(entry.at) - Date.parse(before)) / 60_000));
    before = entry.at;
    if (entry.kind === 'reading' && entry.of === sized.of) lathe.read(ends && endRead(entry, ends) === 'held' ? 'held' : undefined);
    if (entry.kind !== 'cut' || entry.axis !== sized.axis) continue;
    const read = parseLength(entry.dial.text.replace(/^\s*[-−]/, ''), entry.dial.units);
    const mm = read.ok ? read.value : 0;
    if (mm === 0) lathe.springCut();
    else lathe.cut(/^\s*[-−]/.test(entry.dial.text) ? -mm : mm);
  }
  const resolution = mmOf(gauge?.resolution, 0.001);
  const raw = seen(lathe.read(of.where === 'held' ? 'held' : undefined));
  return { mm: tidy(Math.round(raw / resolution) * resolution), celsius: lathe.thermometer() };
}
