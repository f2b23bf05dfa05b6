import { faceOf, type Feature, innerOf, inward, otherEnd } from '../drawing';
import type { HoldingChoice, Support } from '../holding';
import { type Facts, type Severing, severingOf } from '../operations';
import { alike, atMost, exceeds, PLACE } from '../quantity';
import { type End, thingOf } from '../ref';
import { mmOf, practice } from '../shop';
import type { BarSheet } from './barSheet';
import { centreGoesIn } from './held';
import type { Reach } from './reach';
import { turnsOver } from './turnsOver';

/** One place that a bar stands at in its chuck: how far out, and what is done there. */
export interface Position {
  /** stands out of the jaws, mm */
  readonly out: number;
  /** rows of the outside that are turned there; undefined for all */
  readonly rows: ReadonlySet<string> | undefined;
  /** what carries it there */
  readonly support: readonly Support[];
  /** faced there, and a seat made for the centre */
  readonly opens: boolean;
  /** the hole of this end is made there */
  readonly holes: boolean;
  /** the last: its edges behind are broken, and it is severed */
  readonly last: boolean;
}

/** The bar slides through the spindle, and enough of it lies there to be pulled out. */
const slides = (facts: Facts, sheet: BarSheet): boolean =>
  sheet.severs && facts.started === undefined && atMost(turnsOver(facts), mmOf(facts.machine.through, Infinity), PLACE);

/** As the bar stands all the while. */
const standing = (sheet: BarSheet, support: readonly Support[]): Position => ({
  out: sheet.stickOut.value,
  rows: undefined,
  support,
  opens: true,
  holes: true,
  last: true,
});

/**
 * Faced and centred short, then pulled out to its length and the centre brought up; where a deep hole takes the centre away, a steady is set before it goes. Else one
 * place.
 * @source short-then-out, steady-for-depth, common practice
 */
export function withCentre(facts: Facts, sheet: BarSheet, held: HoldingChoice): readonly Position[] {
  const across = mmOf(facts.bar.across);
  const long = sheet.stickOut.value;
  const { support } = held;
  const [centre, steady] = [support.filter((s) => s.kind !== 'steady'), support.filter((s) => s.kind === 'steady')];
  const both = centre.some((s) => s.kind === 'centre') && steady.length > 0;
  // turned with the centre; then the steady in its place
  const out: readonly Position[] = both
    ? [
        { ...standing(sheet, centre), holes: false, last: false },
        { ...standing(sheet, steady), rows: new Set(), opens: false },
      ]
    : [standing(sheet, support)];
  const asked = facts.chosen.hold.get(held.setup)?.stickOut !== undefined || facts.chosen.method.get('pull')?.method === 'once';
  const wants = support.some((s) => s.kind === 'centre') && long > practice.shortDiameters * across;
  if (asked || !wants || !slides(facts, sheet)) return out;
  return [
    { out: Math.min(long, Math.max(practice.centringOut, across)), rows: new Set(), support: [], opens: true, holes: false, last: false },
    ...out.map((p) => ({ ...p, opens: false })),
  ];
}

/** How far a bar stands out so that a row can be turned down to its shoulder, the last of all to where it is severed; mm. */
const needOf = (facts: Facts, sheet: BarSheet, first: End, row: Feature): number =>
  alike(innerOf(row, first), faceOf(facts.part, otherEnd(first)), PLACE)
    ? sheet.stickOut.value
    : Math.min(sheet.stickOut.value, sheet.off[first] + Math.abs(innerOf(row, first) - faceOf(facts.part, first)) + practice.bladeGap);

/**
 * Turned as short as it goes with nothing that carries it: what lies within three diameters first, then pulled out for what lies within five, then for the rest and to
 * be severed. Rows that are to run true to one another stay in one place. Undefined where that is no other way than to let it stand.
 * @source short-then-out, stick-out, one-chucking, common practice
 */
export function pulledOut(facts: Facts, sheet: BarSheet, first: End, reach: Reach): readonly Position[] | undefined {
  const { part, bar, chosen } = facts;
  const across = mmOf(bar.across);
  const limits = [practice.shortDiameters, practice.carriedFrom].map((d) => d * across);
  if (chosen.hold.get(`${first}-1`)?.stickOut !== undefined || !slides(facts, sheet) || atMost(sheet.stickOut.value, limits[0] ?? 0, PLACE))
    return undefined;
  const outside = part.features.filter((f) => f.side === 'outside');
  const inwards = first === 'right' ? outside : outside.toReversed();
  const mine = inwards.filter((f) => reach[f.id] !== otherEnd(first));
  const places = mine.map((row) => {
    const need = needOf(facts, sheet, first, row);
    const at = limits.findIndex((l) => atMost(need, l, PLACE));
    return at < 0 ? limits.length : at;
  });
  // a neck is cut where the row before it stands, and needs the room that its neighbours leave
  mine.forEach((row, i) => {
    if (reach[row.id] === 'neck' && i > 0) places[i - 1] = places[i] ?? 0;
  });
  const holes = new Set(part.features.filter((f) => f.side === first).map((f) => f.id));
  for (const [a, b] of keptTogether(facts)) {
    const [i, j] = [a, b].map((id) => mine.findIndex((f) => f.id === id));
    if (i === undefined || j === undefined) continue;
    const late = Math.max(places[i] ?? 0, places[j] ?? 0);
    if (i >= 0 && j >= 0) for (let k = Math.min(i, j); k <= Math.max(i, j); k++) places[k] = Math.max(places[k] ?? 0, late);
    // a hole is made short, before anything is pulled out
    else if ((i >= 0 && holes.has(b) && late > 0) || (j >= 0 && holes.has(a) && late > 0)) return undefined;
  }
  // what a centre can carry is not turned far out with nothing
  if (places.some((p) => p >= limits.length) && centreGoesIn(facts, first)) return undefined;
  const used = [...new Set([...(holes.size > 0 ? [0] : []), ...places])].sort((a, b) => a - b);
  const positions = used.map((at, k): Position => {
    const rows = mine.filter((_, i) => places[i] === at);
    const out = at >= limits.length ? sheet.stickOut.value : Math.max(practice.centringOut, ...rows.map((f) => needOf(facts, sheet, first, f)));
    return { out, rows: new Set(rows.map((f) => f.id)), support: [], opens: k === 0, holes: k === 0, last: false };
  });
  const end = positions.at(-1);
  if (!end) return undefined;
  const all = alike(end.out, sheet.stickOut.value, PLACE)
    ? [...positions.slice(0, -1), { ...end, last: true }]
    : [...positions, { ...standing(sheet, []), rows: new Set<string>(), opens: false, holes: false }];
  return all.length > 1 ? all : undefined;
}

/** What the drawing wants true to one another. */
const keptTogether = ({ part }: Facts): readonly (readonly [string, string])[] =>
  part.relations.filter((r) => r.kind !== 'distance').map((r) => [thingOf(r.of), thingOf(r.to)] as const);

/** How far out anything of it is turned, mm. */
export const workedOut = (positions: readonly Position[]): number =>
  Math.max(1, ...positions.filter((p) => p.opens || p.rows === undefined || p.rows.size > 0).map((p) => p.out));

/** A piece that hangs far out of the jaws with nothing to carry it is sawn off, not parted, where the shop has a saw and nobody asked otherwise. @source part-near, common practice */
export function severedFar(facts: Facts, severing: Severing, wall: number): Severing {
  const { part, bar, chosen } = facts;
  const asked = chosen.method.has('left') || chosen.method.has('right');
  const out = part.length + practice.faceFirst + practice.faceSecond + severing.width + practice.bladeGap;
  const saw = facts.shop.tools.some((t) => t.kind === 'saw');
  if (asked || !saw || severing.method === 'saw' || !exceeds(out, practice.partedOut * mmOf(bar.across), PLACE)) return severing;
  const method = new Map(chosen.method).set('left', { kind: 'method', id: 'far', of: 'left', method: 'saw' });
  return severingOf({ ...facts, chosen: { ...chosen, method } }, wall);
}

/** z of the jaws’ face while the bar stands so far out. */
export const jawsAt = (facts: Facts, sheet: BarSheet, first: End, out: number): number =>
  faceOf(facts.part, first) + inward(first) * (out - sheet.off[first]);
