import type { Drawing, Mate } from '../document';
import type { Finding, FindingCode } from '../finding';
import {
  diameter,
  growth,
  length,
  MM_PER_INCH,
  parseLength,
  pressure,
  readLength,
  say,
  type Sentence,
  temperature,
  tidy,
  type Units,
} from '../quantity';
import { thingOf } from '../ref';
import { type BearingLoad, fit, fitHabits, type Intent, materialOf, ringLimits, seatClass, sizeLimits, suggestFit } from '../standards';
import { looseToTight } from './looseToTight';
import type { Feature, MateLimits } from './types';

/** What is wanted between a feature and its mate; mm on diameter, negative is interference. */
export type Want =
  | { readonly kind: 'clearance'; readonly max: number; readonly min: number; readonly by: Sentence }
  | { readonly kind: 'class'; readonly text: string; readonly by: Sentence; readonly ring?: true }
  | { readonly kind: 'bearing'; readonly turns: boolean; readonly load: BearingLoad }
  | { readonly kind: 'trial'; readonly feel: string }
  | { readonly kind: 'unknown'; readonly says: Sentence };

/** Words that people use for an intent, beside its own name. */
const aliases: Readonly<Record<string, Intent>> = {
  'runs freely': 'running-free',
  slides: 'sliding',
  slip: 'location',
  locates: 'location',
  'press fit': 'press',
  'shrink fit': 'shrink',
  tap: 'push',
};

/** 'clearance 0.05', 'clearance 0.02 to 0.05', 'shrink 0.04', 'adhesive 0.05', 'H7/p6', 'k6', 'bearing, ring turns', 'light press', 'trial: slides'. A single number is kept within a quarter of itself, 0.005 mm at least. */
export function parseWant(text: string, units: Units): Want {
  const t = text.trim();
  if (t === '') return { kind: 'unknown', says: say`what fit is wanted? clearance 0.05, H7/g6, light press, or trial: slides` };
  const trial = /^(?:by\s+)?trial\s*:?\s*(.*)$/i.exec(t);
  if (trial) return { kind: 'trial', feel: trial[1]?.trim() ?? '' };
  const number = numbered.exec(t) ?? /^(\S.*?)(?:\s*(?:to|–)\s*(\S.*?))?\s+(clearance|interference|play|shrink|press|adhesive)$/i.exec(t);
  if (number) {
    const word = [number[1], number[3]].find((w) => NUMBERED.test(w ?? '')) ?? '';
    const [first, second] = word === number[1] ? [number[2], number[3]] : [number[1], number[2]];
    const a = readLength(first ?? '', units);
    const b = second === undefined ? undefined : readLength(second, units);
    if (a?.rest === '' && (second === undefined || b?.rest === '')) {
      const spread = Math.max(0.005, a.value / 4);
      const [lo, hi] = b ? [Math.min(a.value, b.value), Math.max(a.value, b.value)] : [Math.max(0, a.value - spread), a.value + spread];
      const tight = TIGHT.test(word);
      return {
        kind: 'clearance',
        max: tidy(tight ? -lo : hi),
        min: tidy(tight ? -hi : lo),
        by: b ? say`as asked` : say`${length(a.value)}, within ${length(spread)}`,
      };
    }
  }
  const around = /^(clearance|interference|play|press|shrink|adhesive|glue|retained)\s+(\S+?)\s*(?:\+\/-|±)\s*(\S+)$/i.exec(t);
  if (around) {
    const [middle, half] = [readLength(around[2] ?? '', units), readLength(around[3] ?? '', units)];
    const sign = TIGHT.test(around[1] ?? '') ? -1 : 1;
    if (middle?.rest === '' && half?.rest === '')
      return {
        kind: 'clearance',
        max: tidy(sign * middle.value + half.value),
        min: tidy(sign * middle.value - half.value),
        by: say`${length(middle.value)}, within ${length(half.value)}`,
      };
  }
  const bearing = /^(?:(?:rolling|ball)\s+)?bearing\b[\s,:]*(.*)$/i.exec(t);
  if (bearing) return seatOf(bearing[1] ?? '');
  if (/^(?:[a-z]{1,2}|[A-Z]{1,2})\d{1,2}$/.test(t)) return { kind: 'class', text: t, by: say`${t}` };
  if (/^[A-Z]{1,2}\d{1,2}\s*[/ ]\s*[a-z]{1,2}\d{1,2}$/.test(t) || /^(RC|LC|LT|LN|FN)\s?\d$/i.test(t))
    return { kind: 'class', text: t, by: say`${t}` };
  const words = t.toLowerCase();
  const intent = (Object.keys(fitHabits) as Intent[]).find((i) => i === words.replace(/\s+/g, '-')) ?? aliases[words];
  if (intent) return { kind: 'class', text: intent, by: say`${fitHabits[intent].words}` };
  return { kind: 'unknown', says: say`“${t}” is no fit; write clearance 0.05, H7/g6, light press, or trial: slides` };
}

/** Fits that are given by a number, and those of them that are tight. */
const NUMBERED = /^(clearance|interference|play|press|shrink|adhesive|glue|retained)$/i;
const TIGHT = /^(interference|press|shrink)$/i;
const numbered = /^(clearance|interference|play|press|shrink|adhesive|glue|retained)\s+(\S.*?)(?:\s*(?:to|\.\.|–)\s*(\S.*))?$/i;

/** 'bearing k6', or what its ring does and carries: 'bearing, ring turns, heavy'. */
function seatOf(text: string): Want {
  const rest = text.trim();
  if (/^(?:[a-z]{1,2}|[A-Z]{1,2})\d{1,2}$/.test(rest)) return { kind: 'class', text: rest, by: say`${rest}`, ring: true };
  const words = rest.toLowerCase();
  const stands = /\b(stands?|standing|still|stationary)\b/.test(words);
  if (!stands && !/\b(turns?|turning|rotat\w*)\b/.test(words))
    return {
      kind: 'unknown',
      says: say`does its ring turn against the load, or stand? bearing, ring turns; bearing, ring stands; or the class: bearing k6`,
    };
  return { kind: 'bearing', turns: !stands, load: /\blight\b/.test(words) ? 'light' : /\bheavy\b/.test(words) ? 'heavy' : 'normal' };
}

/** The seat of a rolling bearing: the standard's own limits against those of its ring; the ring as it was measured tells what will come. @source bearing-is-a-size, common practice */
function seatLimits(named: string, feature: Feature, measured: number | undefined): MateLimits | undefined {
  const seat = sizeLimits(named);
  if (!seat.ok) return undefined;
  const inside = feature.side !== 'outside';
  const ring = ringLimits(tidy(feature.nearDiameter.nominal), inside ? 'outside' : 'bore');
  if (!ring) return byLimits(seat.max, seat.min, measured, say`${named}; the ring’s own limits are its maker’s`);
  const words = (of: { readonly max: number; readonly min: number }): Sentence =>
    inside ? looseToTight(seat.min - of.max, seat.max - of.min) : looseToTight(of.min - seat.max, of.max - seat.min);
  const own = measured === undefined ? say`` : say`; with the ring as measured ${words({ max: measured, min: measured })}`;
  return byLimits(
    seat.max,
    seat.min,
    measured,
    say`${named} against a ring of ${diameter(ring.min, 0.001)} to ${diameter(ring.max, 0.001)}: ${words(ring)}${own}`,
    measured === undefined ? ring : undefined,
  );
}

/** Limits that a mate gives to its feature; undefined by trial or while it is not understood. */
export function limitsByMate(mate: Mate, feature: Feature, material: string): MateLimits | undefined {
  if (mate.fixed) {
    const { max, min, why } = mate.fixed;
    const met = measuredCold(mate, material);
    return {
      limits: { nominal: tidy((max + min) / 2), max, min, from: 'mate' },
      mate: met,
      says: say`fixed: ${why}`,
      ...(met !== undefined && { other: { max: met, min: met } }),
    };
  }
  const want = parseWant(mate.want.text, mate.want.units);
  if (want.kind === 'trial' || want.kind === 'unknown') return undefined;
  const measured = measuredCold(mate, material);
  const inside = feature.side !== 'outside';
  const nominal = feature.nearDiameter.nominal;
  if (want.kind === 'bearing') {
    const { turns, load } = want;
    return seatLimits(`${String(tidy(nominal))} ${seatClass(nominal, inside ? 'housing' : 'shaft', turns, load)}`, feature, measured);
  }
  if (want.kind === 'clearance') {
    if (measured === undefined) return undefined;
    // a shaft is smaller than its hole by the clearance, a hole larger than its shaft
    const [max, min] = inside ? [measured + want.max, measured + want.min] : [measured - want.min, measured - want.max];
    return byLimits(max, min, measured, want.by);
  }
  const named = fitNamed(want.text, nominal);
  if (want.ring && named !== undefined) return seatLimits(named, feature, measured);
  const found = named === undefined ? undefined : fit(named);
  if (named === undefined || !found?.ok) {
    // the seat of a bearing has a class of its own; the ring's limits are its maker's
    const seat = named === undefined ? undefined : sizeLimits(named);
    return seat?.ok ? byLimits(seat.max, seat.min, measured, say`${named ?? ''}`) : undefined;
  }
  const own = inside ? found.hole : found.shaft;
  const other = inside ? found.shaft : found.hole;
  if (measured === undefined) return byLimits(own.max, own.min, undefined, say`${named}`, { max: other.max, min: other.min });
  // the middle of the fit's clearance from the mate as measured, with the tolerance of this half
  const clearance = (found.clearance.max + found.clearance.min) / 2;
  const middle = inside ? measured + clearance : measured - clearance;
  const half = (own.max - own.min) / 2;
  return byLimits(middle + half, middle - half, measured, say`${named}, from the piece as measured`);
}

/** A fit with its size as the standards name it: millimetres before H7/g6, inches before RC4. */
function fitNamed(want: string, nominal: number): string | undefined {
  const intent = (Object.keys(fitHabits) as Intent[]).find((i) => i === want);
  if (intent) {
    const suggested = suggestFit(intent, tidy(nominal));
    return suggested.ok ? suggested.text : undefined;
  }
  const american = /^(?:RC|LC|LT|LN|FN)/i.test(want);
  return `${String(tidy(american ? nominal / MM_PER_INCH : nominal))} ${want}`;
}

/** @param other the other half by its standard; a measured one is what it is */
function byLimits(max: number, min: number, mate: number | undefined, says: Sentence, other?: MateLimits['other']): MateLimits {
  const places = (v: number) => Math.round(v * 10_000) / 10_000;
  const met = mate === undefined ? other : { max: mate, min: mate };
  return { limits: { nominal: places((max + min) / 2), max: places(max), min: places(min), from: 'mate' }, mate, says, ...(met && { other: met }) };
}

/** Mean of the readings, corrected to 20 C as if it were of the part's own material. */
export function measuredCold(mate: Mate, material: string): number | undefined {
  const readings = mate.measured?.readings.flatMap((cell) => {
    const read = parseLength(cell.text, cell.units);
    return read.ok ? [read.value] : [];
  });
  if (!readings || readings.length === 0) return undefined;
  const mean = readings.reduce((sum, v) => sum + v, 0) / readings.length;
  return tidy(mean - growth(mean, materialOf(material).alpha, (mate.measured?.celsius ?? 20) - 20));
}

/** Features with the limits that their mates give them, and what each mate comes to by its id; what disagrees or cannot hold is a finding. */
export function applyMates(
  drawing: Drawing,
  features: readonly Feature[],
  findings: Finding[],
): { readonly features: readonly Feature[]; readonly mates: Readonly<Record<string, MateLimits>> } {
  let out = features;
  const mates: Record<string, MateLimits> = {};
  for (const mate of drawing.mates) {
    const id = thingOf(mate.of);
    const feature = out.find((f) => f.id === id);
    const tell = (code: FindingCode, severity: Finding['severity'], says: Sentence, why: Sentence, mends: Finding['mends'] = []) =>
      findings.push({ code, about: mate.id, severity, says, why, mends });
    if (!feature) {
      const typed = [...drawing.outside, ...drawing.boreRight, ...drawing.boreLeft].some((r) => r.id === id);
      if (!typed)
        tell('mate-orphaned', 'note', say`the row that ${mate.piece} fits is not there now`, say`it is kept in case that comes back`, [
          { says: say`let it go`, to: 'job', edits: [{ op: 'remove', at: `drawing/mates/#${mate.id}` }] },
        ]);
      continue;
    }
    const want = parseWant(mate.want.text, mate.want.units);
    if (want.kind === 'unknown') tell('mate-unknown', 'caution', want.says, say`until then the row keeps its own limits`);
    const got = limitsByMate(mate, feature, drawing.material);
    if (!got) {
      if (want.kind === 'clearance')
        tell('mate-not-measured', 'caution', say`${mate.piece} has no reading yet`, say`a clearance by number counts from the piece as measured`);
      continue;
    }
    mates[mate.id] = got;
    checkMate(drawing, mate, feature, got, tell);
    out = out.map((f) => (f.id === id ? { ...f, nearDiameter: got.limits, farDiameter: f.form === 'cylinder' ? got.limits : f.farDiameter } : f));
  }
  return { features: out, mates };
}

type Tell = (code: FindingCode, severity: Finding['severity'], says: Sentence, why: Sentence, mends?: Finding['mends']) => void;

function checkMate(drawing: Drawing, mate: Mate, feature: Feature, got: MateLimits, tell: Tell): void {
  const own = feature.nearDiameter;
  const { limits } = got;
  if (own.from !== 'general' && (Math.abs(own.max - limits.max) > 5e-4 || Math.abs(own.min - limits.min) > 5e-4))
    tell(
      'limits-disagree',
      'caution',
      say`the cell says ${diameter(own.min, 0.001)} to ${diameter(own.max, 0.001)}, the mate ${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`,
      say`the mate holds; take the tolerance out of the cell, or the mate out of the drawing`,
      [{ says: say`take the mate out`, to: 'job', edits: [{ op: 'remove', at: `drawing/mates/#${mate.id}` }] }],
    );
  const celsius = mate.measured?.celsius ?? 20;
  const others = drawing.mates.map((m) => m.measured?.celsius ?? 20).filter((c) => Math.abs(c - celsius) > 5);
  const size = got.mate ?? limits.nominal;
  if (Math.abs(celsius - 20) > 5 || others.length > 0)
    tell(
      'mate-temperature',
      'caution',
      say`${mate.piece} was measured at ${temperature(celsius)}: corrected by ${length(growth(size, materialOf(drawing.material).alpha, celsius - 20), 0.001)} to 20 degrees, as if of this material`,
      say`measure both at one temperature where the fit is close`,
    );
  const material = materialOf(drawing.material);
  const mated = got.mate ?? limits.nominal;
  const most = got.mate === undefined ? 0 : feature.side === 'outside' ? limits.max - mated : mated - limits.min;
  const stress = (material.modulus * 1000 * most) / mated;
  if (material.yield !== null && most > 0 && stress > material.yield)
    tell(
      'press-exceeds-yield',
      'caution',
      say`an interference of ${length(most, 0.001)} on ${diameter(mated)} stresses a hub of ${material.name} to ${pressure(stress)}; it yields at about ${pressure(material.yield)}`,
      say`solid shaft and hub of one material: E times interference over diameter, whatever the hub’s wall (Lame, largest shear)`,
    );
}
