import type { Cell, Gauge, Shop } from '../document';
import type { Characteristic, Part } from '../drawing';
import { isZero, type Parsed, parseLength } from '../quantity';
import { mmOf, wayOf } from '../shop';

const outsideBy: readonly Gauge['kind'][] = ['micrometer', 'caliper', 'rule'];
const insideBy: readonly Gauge['kind'][] = ['bore', 'telescoping', 'plugPins', 'caliper'];
const lengthBy: readonly Gauge['kind'][] = ['caliper', 'depth', 'micrometer', 'rule'];
/** Micrometers and bore gauges hold to their range; a rule, a caliper and a set of pins are tried anyway. */
const holdsToRange: readonly Gauge['kind'][] = ['micrometer', 'bore', 'telescoping'];

/** What a size can be read by in this shop, the usual first: a thread over wires or balls, a runout by an indicator, nothing for a finish or an angle. */
export function readableBy({ is, of, text, limits }: Characteristic, part: Part, shop: Shop): readonly Gauge[] {
  const inside = part.features.some((f) => f.id === of && f.side !== 'outside');
  const kinds =
    is === 'finish' || is === 'angle'
      ? []
      : is === 'runout'
        ? (['dial'] as const)
        : is === 'thread'
          ? inside
            ? (['balls'] as const)
            : (['wires', 'threadMicrometer'] as const)
          : is === 'diameter'
            ? inside
              ? insideBy
              : outsideBy
            : lengthBy;
  const fits = (g: Gauge) =>
    !limits || text !== undefined || !holdsToRange.includes(g.kind) || (mmOf(g.from) <= limits.max && mmOf(g.to, Infinity) >= limits.min);
  return kinds.flatMap((kind) => shop.gauges.filter((g) => g.kind === kind && fits(g)));
}

/** What a piece does in or on its gauge, or its taper with blue, as it is written down. @source blue, common practice: a bearing from end to end, or the end that it bears at */
export const feelsOf = ({ is }: Characteristic): readonly string[] =>
  is === 'angle' ? ['blue all along', 'blue at the large end', 'blue at the small end'] : ['gauge goes', 'does not go'];

/** It is as it is to be. */
export const isGood = (feel: string): boolean => feel === 'gauge goes' || feel === 'blue all along';

const MONTH = 30.44 * 24 * 3_600_000;

/** Months since a gauge was last checked, where that is longer than the shop lets pass; undefined where it is not, or was never said. @param now milliseconds, as `Date.now()` */
export function checkDue(gauge: Gauge, shop: Shop, now: number): number | undefined {
  const each = Number(wayOf('gaugeCheck', shop.ways, new Map()));
  const months = (now - Date.parse(gauge.checked ?? '')) / MONTH;
  return each > 0 && months > each ? Math.floor(months) : undefined;
}

/** Readings of an indicator round a piece, mm with their signs: '0 +0.01 -0.005 0.004' or with semicolons; one alone is high less low. */
export function placesRound(cell: Cell): Parsed<readonly number[]> {
  const texts = cell.text.trim().split(/\s*;\s*|\s+(?=[-−+.\d])/);
  const values: number[] = [];
  for (const text of texts) {
    const bare = text.replace(/^[+−-]/, '');
    const read = isZero(bare) ? { ok: true as const, value: 0 } : parseLength(bare, cell.units);
    if (!read.ok) return read;
    values.push(texts.length > 1 && /^[−-]/.test(text) ? -read.value : read.value);
  }
  return { ok: true, value: values };
}

/** What an indicator read at equal steps round a piece comes to. */
export interface Round {
  /** high less low, mm */
  readonly tir: number;
  /** how far the middle stands off the axis, mm, and towards which angle from the first reading, radians */
  readonly off: number;
  readonly towards: number;
  /** what is left when it is put true: out of round, high less low, mm */
  readonly left: number;
}

/**
 * Middle and form of a piece from readings at equal steps round it.
 * @source least squares circle, first harmonic: any textbook of measurement; @example roundOf([0.02, 0, -0.02, 0]).off // 0.02
 */
export function roundOf(readings: readonly number[]): Round {
  const n = readings.length;
  const mean = readings.reduce((a, b) => a + b, 0) / n;
  const angle = (i: number) => (2 * Math.PI * i) / n;
  // three places and more tell where the middle is
  const part = (of: (angle: number) => number) => (n < 3 ? 0 : (2 / n) * readings.reduce((sum, r, i) => sum + r * of(angle(i)), 0));
  const [x, y] = [part(Math.cos), part(Math.sin)];
  const rest = readings.map((r, i) => r - mean - x * Math.cos(angle(i)) - y * Math.sin(angle(i)));
  return {
    tir: Math.max(...readings) - Math.min(...readings),
    off: Math.hypot(x, y),
    towards: Math.atan2(y, x),
    left: n < 4 ? 0 : Math.max(...rest) - Math.min(...rest),
  };
}
