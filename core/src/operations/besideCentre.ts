import type { Tool } from '../document';
import { faceOf } from '../drawing';
import { length, say } from '../quantity';
import { holdingOf, practice } from '../shop';
import { clearsCentre } from '../tooling';
import { type Facts, reason } from './facts';
import type { Reason } from '../finding';
import type { At, Draft } from './outcome';

/** Which tools turn down to a radius with the centre up and touch neither it nor the tailstock; all of them where there is none. @param z where the cut begins, mm */
export function passesCentre({ facts, at }: Draft, radius: number, z: number): (tool: Tool) => boolean {
  if (!centreStands(facts, at)) return () => true;
  const item = at.support.flatMap((s) => (s.kind === 'centre' ? (holdingOf(facts.shop, s.item) ?? []) : []))[0];
  const from = Math.abs(z - faceOf(facts.part, at.end));
  return (tool) => clearsCentre(tool, radius, from, item, facts.machine);
}

const centreStands = (facts: Facts, at: At): boolean => at.place.centre || holdingOf(facts.shop, at.holding)?.kind === 'centres';

/** Said where a cut begins at the face that a centre stands in. */
export const beginsBeside = ({ facts, at }: Draft, z: number, about: string): readonly Reason[] =>
  centreStands(facts, at) && Math.abs(z - faceOf(facts.part, at.end)) < practice.approach
    ? [reason('clearance', say`begun ${length(practice.besideCentre)} off the face: the centre stands there`, about)]
    : [];
