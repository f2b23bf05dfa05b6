import type { Holding, Shop } from '../document';
import type { Finding } from '../finding';
import { atLeast, atMost, diameter, length, PLACE, ratio, say } from '../quantity';
import { endOf } from '../ref';
import { mmOf, practice } from '../shop';
import { clearsCentre } from '../tooling';
import type { Held } from './held';

export type SupportKind = 'centre' | 'steady' | 'followRest';

export interface Supporting {
  readonly kind: SupportKind;
  readonly item: Holding;
  /** z where it stands; of a follow rest where it begins */
  readonly at: number;
  /** the centre that goes with a follow rest: alone it carries nothing at the free end */
  readonly centre?: Holding;
  /** the steady that is set before this centre goes, where a deep hole takes it away, and where it stands */
  readonly steady?: { readonly item: Holding; readonly at: number };
}

export const supportKind: Partial<Record<Holding['kind'], SupportKind>> = {
  liveCentre: 'centre',
  deadCentre: 'centre',
  halfCentre: 'centre',
  pipeCentre: 'centre',
  steady: 'steady',
  followRest: 'followRest',
};

/** Nothing, and each support of the shop that this end may have; of centres one: what a person chose, else one that leaves a tool room beside it, the live one first. */
export function supportsOf(held: Held, shop: Shop): readonly (Supporting | undefined)[] {
  const order: readonly Holding['kind'][] = ['liveCentre', 'deadCentre', 'pipeCentre', 'halfCentre', 'steady', 'followRest'];
  const before = (h: Holding) => (held.asked?.includes(h.id) ? 0 : leavesRoom(held, shop, h) ? 1 : 2);
  const items = order.flatMap((kind) => shop.holdings.filter((h) => h.kind === kind)).toSorted((a, b) => before(a) - before(b));
  const first = new Set<SupportKind>();
  const centre = items.find((h) => supportKind[h.kind] === 'centre');
  const steady = deepFor(held) ? items.find((h) => h.kind === 'steady') : undefined;
  return [
    undefined,
    ...items.flatMap((item): readonly Supporting[] => {
      const kind = supportKind[item.kind];
      if (kind === 'steady' && idleSteady(held) && !held.asked?.includes(item.id)) return [];
      if (!kind || first.has(kind) || (kind !== 'steady' && !held.centreAllowed) || (kind === 'followRest' && !centre)) return [];
      first.add(kind);
      const own: Supporting = { ...(kind === 'followRest' && centre && { centre }), item, kind, at: kind === 'steady' ? steadyAt(held) : held.face };
      return kind === 'centre' && steady ? [own, { ...own, steady: { item: steady, at: steadyAt(held) } }] : [own];
    }),
  ];
}

/** A turning tool of the shop passes beside this centre. @source clearance, common practice */
function leavesRoom(held: Held, shop: Shop, item: Holding): boolean {
  const { atFace } = held;
  if (supportKind[item.kind] !== 'centre' || atFace === undefined) return true;
  const turning = shop.tools.filter((t) => t.kind === 'turn');
  return turning.length === 0 || turning.some((t) => clearsCentre(t, atFace, 0, item, held.machine));
}

/** A hole over a third of the piece, in a piece that is no stub. @source steady-for-depth, common practice */
const deepFor = (held: Held): boolean => held.hole !== undefined && held.hole > held.length / 3 && !idleSteady(held);

/** A stub wants no steady: a piece no longer than a few of its own diameters. @source steady, stick-out; common practice */
const idleSteady = (held: Held): boolean => held.length <= practice.steadyFrom * (held.slim ?? held.diameter);

/** A steady stands some way in from the face, clear of the tool that bores it. */
const steadyAt = (held: Held): number =>
  held.face + (endOf(held.setup) === 'left' ? 1 : -1) * Math.min(held.length / 3, Math.max(12, 0.75 * held.diameter));

/** What speaks against a support here. */
export function supportFindings(held: Held, support: Supporting, out: number): readonly Finding[] {
  const about = held.setup;
  if (support.kind === 'steady') {
    if (held.hole === undefined)
      return [
        {
          code: 'steady-blocks',
          about,
          severity: 'stop',
          says: say`${support.item.name} stands in the way of the carriage, and nothing is drilled or bored at this end`,
          why: say`a fixed steady is for the free end of a long bar that is bored; for turning it a centre or a follow rest`,
          mends: [],
        },
      ];
    return rangeOf(held, support.item);
  }
  if (support.kind === 'followRest') {
    if (out < 5 * held.diameter)
      return [
        {
          code: 'follow-rest-idle',
          about,
          severity: 'note',
          says: say`${length(out)} out wants no follow rest`,
          why: say`it is for work of more than ten diameters; it hides the tool and marks what it rides on`,
          mends: [],
        },
      ];
    return [...rangeOf(held, support.item), ...centreFindings(held, out), ...goneFor(held, out)];
  }
  if (support.steady) return [...rangeOf(held, support.steady.item), ...centreFindings(held, out)];
  return [...centreFindings(held, out), ...goneFor(held, out)];
}

/** A deep hole takes the centre away and leaves the piece far out with nothing. @source steady-for-depth, common practice */
function goneFor(held: Held, out: number): readonly Finding[] {
  const slender = out / (held.slim ?? held.diameter);
  if (!deepFor(held) || held.hole === undefined || slender <= practice.partedOut) return [];
  return [
    {
      code: 'steady-for-depth',
      about: held.setup,
      severity: 'caution',
      says: say`${length(held.hole)} deep is drilled with the centre gone, ${length(out)} out: ${ratio(slender, 0.1)} diameters`,
      why: say`a steady at its end before the centre goes, or drilled from a short chucking`,
      mends: [],
    },
  ];
}

function centreFindings(held: Held, out: number): readonly Finding[] {
  const about = held.setup;
  const findings: Finding[] = [];
  if (!held.centreDrawn)
    findings.push({
      code: 'centre-allowed',
      about,
      severity: 'note',
      says: say`a centre hole stays in this face; the drawing does not ask for one`,
      why: say`it wants the drawing’s leave, or spare length that is cut off afterwards`,
      mends: [],
    });
  const bed = mmOf(held.machine.centres, Infinity);
  if (out > bed)
    findings.push({
      code: 'bed-too-short',
      about,
      severity: 'stop',
      says: say`${length(out)} out is longer than the bed takes, ${length(bed)} between centres`,
      why: say`the tailstock does not stand off the end`,
      mends: [],
    });
  return findings;
}

function rangeOf(held: Held, item: Holding): readonly Finding[] {
  const { outside } = item;
  const [from, to] = [mmOf(outside?.from), mmOf(outside?.to, Infinity)];
  return atLeast(held.diameter, from, PLACE) && atMost(held.diameter, to, PLACE)
    ? []
    : [
        {
          code: 'holding-range',
          about: held.setup,
          severity: 'stop',
          says: say`${item.name} does not close on ${diameter(held.diameter)}`,
          why: say`it takes ${length(from)} to ${length(to)}`,
          mends: [],
        },
      ];
}
