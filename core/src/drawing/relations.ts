import type { Drawing } from '../document';
import type { Finding, FindingCode } from '../finding';
import { say } from '../quantity';
import { thingOf } from '../ref';
import { parseLengthCell, withGeneralRule } from './parseSize';
import type { Feature, Limits, PartDetail, ReadRelation } from './types';

/** Relations between features of the part, with their value; one that names what is not there is a finding. */
export function readRelations(
  drawing: Drawing,
  features: readonly Feature[],
  details: readonly PartDetail[],
  findings: Finding[],
): readonly ReadRelation[] {
  const known = new Set(['axis', 'right', 'left', ...features.map((f) => f.id), ...details.map((d) => d.id)]);
  return drawing.relations.flatMap((relation): ReadRelation[] => {
    const refuse = (code: FindingCode, says: Finding['says'], gone = false): [] => {
      findings.push({
        code,
        about: relation.id,
        severity: 'caution',
        says,
        why: say`it is kept, and nothing is planned or measured by it`,
        mends: gone ? [{ says: say`take it out`, to: 'job', edits: [{ op: 'remove', at: `drawing/relations/#${relation.id}` }] }] : [],
      });
      return [];
    };
    const there = (ref: string) => known.has(thingOf(ref));
    const typed = (ref: string) => lists(drawing).some((r) => r.id === thingOf(ref)) || drawing.details.some((d) => d.id === thingOf(ref));
    if (!there(relation.of) || !there(relation.to)) {
      const missing = there(relation.of) ? relation.to : relation.of;
      return typed(missing) ? [] : refuse('relation-orphaned', say`this relation names a row that is not there now`, true);
    }
    if (relation.of === relation.to) return refuse('relation-unknown', say`a row cannot be ${relation.kind} to itself`, true);
    const value = parseLengthCell(relation.value.text, relation.value.units);
    if (!value.ok) return refuse('relation-unknown', say`how far off may it be? type a value, 0.02`);
    const { nominal } = value.value;
    const limits: Limits =
      relation.kind === 'distance'
        ? withGeneralRule(value.value, drawing.untoleranced.text, drawing.untoleranced.units)
        : { nominal: 0, max: nominal, min: 0, from: 'typed' };
    return [{ id: relation.id, kind: relation.kind, of: relation.of, to: relation.to, limits }];
  });
}

const lists = (drawing: Drawing) => [...drawing.outside, ...drawing.boreRight, ...drawing.boreLeft];
