import { type Finding, type FindingCode, findingKey, type Mend } from '../finding';
import type { Plan } from '../planner';
import type { Sentence } from '../quantity';

/** What stands in the way, as a machinist asks it. */
export const inTheWay = ['hold', 'reach', 'measure', 'make'] as const;
export type InTheWay = (typeof inTheWay)[number];

/** One thing that cannot be done here with this job, and what would change it. */
export interface Cannot {
  readonly way: InTheWay;
  readonly says: Sentence;
  readonly why: Sentence;
  /** fixes that are a press away */
  readonly mends: readonly Mend[];
  /** to be bought, made or ordered */
  readonly get?: { readonly how: 'buy' | 'make' | 'order'; readonly what: Sentence; readonly instead?: Sentence };
}

/** Checks by what they stand in the way of; those that are about the drawing itself or about choices are none of these. */
const ways: Readonly<Partial<Record<FindingCode, InTheWay>>> = {
  'bar-too-small': 'hold',
  'bar-too-short': 'hold',
  'bar-not-enough': 'hold',
  'bar-through': 'hold',
  'bar-too-slender': 'hold',
  'centre-allowed': 'hold',
  'grip-slips': 'hold',
  'grip-last': 'hold',
  'holding-form': 'hold',
  'holding-needs-bore': 'hold',
  'holding-needs-centres': 'hold',
  'holding-needs-plate': 'hold',
  'holding-range': 'hold',
  'no-holding': 'hold',
  'one-chucking': 'hold',
  'short-grip': 'hold',
  'steady-blocks': 'hold',
  'steady-for-depth': 'hold',
  'stick-out': 'hold',
  'started-too-short': 'hold',
  'started-too-small': 'hold',
  'started-in-jaws': 'hold',
  'bed-too-short': 'reach',
  'deeper-than-drill': 'reach',
  'deeper-than-quill': 'reach',
  'parting-depth': 'reach',
  'blade-too-wide': 'reach',
  'corner-too-tight': 'reach',
  'groove-too-narrow': 'reach',
  'bar-enters': 'reach',
  'meets-centre': 'reach',
  'meets-chuck': 'reach',
  'meets-jaws': 'reach',
  'meets-part': 'reach',
  'meets-steady': 'reach',
  'meets-tailstock': 'reach',
  'meets-bar': 'reach',
  'near-jaws': 'reach',
  'gauge-too-coarse': 'measure',
  'no-gauge': 'measure',
  'tolerance-not-measurable': 'measure',
  'no-die': 'make',
  'no-drill': 'make',
  'no-machine': 'make',
  'no-tool': 'make',
  'not-made': 'make',
  'method-not-possible': 'make',
  'thread-no-tool': 'make',
  'flat-bottom': 'make',
  'metal-left': 'make',
  'slowest-too-fast': 'make',
  'centre-size': 'make',
};

/**
 * What cannot be held, reached, measured or made of a job in this shop, each once, and what would change it: a fix, or something to buy, make or order.
 * Notes are no obstacles; a caution is one only where the shop lacks what it asks for.
 */
export function cannotHere(plan: Plan): readonly Cannot[] {
  const stands = plan.findings.filter((f) => ways[f.code] !== undefined && f.severity !== 'note');
  const found = stands.flatMap((f: Finding): readonly Cannot[] => {
    const way = ways[f.code];
    return way ? [{ way, says: f.says, why: f.why, mends: f.mends }] : [];
  });
  const lacks = plan.toGet.map((g): Cannot => {
    const measures =
      g.how === 'buy' && g.what.some((part) => typeof part === 'string' && /gauge|micrometer|caliper|indicator|wires|balls/.test(part));
    return {
      way: measures ? 'measure' : g.how === 'make' ? 'hold' : 'make',
      says: g.what,
      why: [],
      mends: [],
      get: { how: g.how, what: g.what, ...(g.instead && { instead: g.instead.says }) },
    };
  });
  const keys = new Set<string>();
  const once = [...stands.map(findingKey), ...lacks.map((l) => JSON.stringify(l.says))];
  return [...found, ...lacks].filter((_, i) => {
    const key = once[i] ?? '';
    if (keys.has(key)) return false;
    keys.add(key);
    return true;
  });
}
