import type { Reason } from '@obra/core/finding';
import { type Units, writeSentence } from '@obra/core/quantity';
import { sentenceCase } from './sentenceCase';

/** A size past its limit: what can still be done with the piece. */
export function StillToBeDone({ ways, units }: { readonly ways: readonly Reason[]; readonly units: Units }) {
  if (ways.length === 0) return null;
  return (
    <div className="line" role="group" aria-label="what can still be done">
      <div className="quiet">What can still be done</div>
      <ul className="mb-0 ps-3 size-16">
        {ways.map((way, i) => (
          <li key={i}>{sentenceCase(writeSentence(way.says, units))}</li>
        ))}
      </ul>
    </div>
  );
}
