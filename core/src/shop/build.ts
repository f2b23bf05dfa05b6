import type { Bar, Cell, Dial, Gauge, Holding, Tool } from '../document';
import type { Units } from '../quantity';

/* Items of the starting shops, written shortly. Every make is invented; values are typical, from memory. */
export type Make = (text: string | number) => Cell;
export const cells =
  (units: Units): Make =>
  (text) => ({ text: String(text), units });

/** An id from a name. */
export const slug = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^0-9a-z]+/g, '-')
    .replace(/^-|-$/g, '');
/** Degrees have no unit of length. */
const degrees = (text: number): Cell => ({ text: String(text), units: 'mm' });

export const dial = (of: Make, reads: Dial['reads'], division: string, backlash: string, travel: string, readout?: string): Dial => ({
  reads,
  division: of(division),
  clockwise: 'in',
  backlash: of(backlash),
  travel: of(travel),
  ...(readout !== undefined && { readout: of(readout) }),
});

export interface ChuckSize {
  readonly from: string;
  readonly to: string;
  readonly jaw: string;
  readonly reach: string;
  readonly speed: number;
  readonly newtons: number;
  readonly true: string;
  readonly lateral: number;
  readonly angular: number;
}

export const chuck = (of: Make, id: string, name: string, kind: Holding['kind'], size: ChuckSize, marks: boolean, jaws: number): Holding => ({
  id,
  name,
  kind,
  assumed: ['trueWithin', 'newtons', 'lateral', 'angular'],
  outside: { from: of(size.from), to: of(size.to) },
  jaw: { count: jaws, length: of(size.jaw), reach: of(size.reach) },
  maxSpeed: size.speed,
  newtons: size.newtons,
  trueWithin: of(size.true),
  marks,
  lateral: size.lateral,
  angular: size.angular,
});

/** Centres, rests, plates and arbors: what supports or holds without jaws. */
export const rest = (
  of: Make,
  id: string,
  name: string,
  kind: Holding['kind'],
  more: {
    readonly true: string;
    readonly speed: number;
    readonly lateral: number;
    readonly from?: string;
    readonly to?: string;
    readonly inside?: boolean;
    readonly marks?: boolean;
    /** across, of a centre: the end of its cone, and what is behind it */
    readonly nose?: string;
    readonly body?: string;
  },
): Holding => {
  const range = more.to === undefined ? undefined : { from: of(more.from ?? '0'), to: of(more.to) };
  return {
    id,
    name,
    kind,
    assumed: ['trueWithin', 'lateral', ...(more.nose === undefined ? [] : ['nose']), ...(more.body === undefined ? [] : ['body'])],
    ...(range && (more.inside === true ? { inside: range } : { outside: range })),
    maxSpeed: more.speed,
    trueWithin: of(more.true),
    marks: more.marks ?? false,
    lateral: more.lateral,
    angular: 1e6,
    ...(more.nose !== undefined && { nose: of(more.nose) }),
    ...(more.body !== undefined && { body: of(more.body) }),
  };
};

export const edge = (kind: Tool['kind'], name: string, grade: Tool['grade'], more: Partial<Tool> = {}): Tool => ({
  id: slug(name),
  name,
  kind,
  grade,
  hand: kind === 'part' || kind === 'groove' || kind === 'form' || kind === 'saw' || kind === 'knurl' ? 'neutral' : 'right',
  ...more,
});

export const drills = (of: Make, sizes: readonly (string | number)[], reach: (size: string) => string): readonly Tool[] =>
  sizes.map((s) => ({
    id: `drill-${slug(String(s))}`,
    name: `drill ${s}`,
    kind: 'drill',
    size: of(s),
    angle: degrees(118),
    reach: of(reach(String(s))),
    grade: 'hss',
    hand: 'right',
  }));

export const ofSize = (of: Make, kind: 'die' | 'tap' | 'ream', word: string, sizes: readonly string[]): readonly Tool[] =>
  sizes.map((s) => ({ id: `${word}-${slug(s)}`, name: `${word} ${s}`, kind, size: of(s), grade: 'hss', hand: 'right' }));

export const angled = degrees;

export const gauge = (
  of: Make,
  kind: Gauge['kind'],
  name: string,
  from: string,
  to: string,
  resolution: string,
  bias: string,
  repeat: string,
): Gauge => ({ id: slug(name), name, kind, from: of(from), to: of(to), resolution: of(resolution), bias: of(bias), repeat: of(repeat) });

export const bars = (
  of: Make,
  material: string,
  word: string,
  sizes: readonly (string | number)[],
  length: string,
  skin: Bar['skin'] = 'drawn',
): readonly Bar[] =>
  sizes.map((s) => ({
    id: `${slug(word)}-${slug(String(s))}`,
    name: `${word} ${s}`,
    material,
    across: of(s),
    form: 'round',
    skin,
    length: of(length),
    assumed: ['length'],
  }));
