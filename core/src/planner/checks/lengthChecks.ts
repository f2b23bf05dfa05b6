import { practice } from '../../shop';
import { letterOf, type Part } from '../../drawing';
import type { Finding } from '../../finding';
import { fallsShort, length, say } from '../../quantity';
import { chartOf } from '../ledger';
import type { Route } from '../route';

/** Lengths that the way of making leaves too little of: drawn tight, and made through several settings. @source tolerance chart, common practice */
export function lengthChecks(route: Route, part: Part): readonly Finding[] {
  const tight = chartOf(route.setups, part).filter((c) => fallsShort(c.max.value - c.min.value, practice.finestLength));
  const reached = new Map<string, Finding>();
  for (const cut of tight) {
    const drawn = part.distances
      .filter((d) => d.a === cut.to || d.b === cut.to)
      .toSorted((a, b) => a.limits.max - a.limits.min - (b.limits.max - b.limits.min))[0];
    if (!drawn) continue;
    const about = drawn.id === 'overall' ? 'overall' : `${drawn.id}.length`;
    const left = cut.max.value - cut.min.value;
    reached.set(about, {
      code: 'length-chain',
      about,
      severity: 'caution',
      says: cut.direct
        ? say`this length leaves ${length(left, 0.001)} in all; dials and stops of a carriage hold about ${length(practice.finestLength, 0.001)}`
        : say`made from face ${letterOf(cut.from === 'left' ? 'left' : 'right')} this length leaves each setting only ${length(left, 0.001)} in all: it is the sum of several`,
      why: say`measure it directly and face by the difference, set it by an indicator, or draw it from the face that is zero there`,
      mends: [],
    });
  }
  return [...reached.values()];
}
