import { type Edit, type Finding, findingKey, gravestFirst } from '@obra/core/finding';
import { type Units, writeSentence } from '@obra/core/quantity';
import { Button } from 'react-bootstrap';
import { memoSteady } from '../shell/useSteady';
import { Mark } from './Mark';
import { Said } from './Said';

export type Apply = (edits: readonly Edit[], to: 'job' | 'shop') => void;

/** Checks with their fixes, the gravest first. */
export const Checks = memoSteady(function Checks({
  findings,
  units,
  apply,
  dark = false,
}: {
  readonly findings: readonly Finding[];
  readonly units: Units;
  readonly apply: Apply | undefined;
  readonly dark?: boolean;
}) {
  if (findings.length === 0) return null;
  return (
    <ul className="checks" aria-label="checks">
      {gravestFirst(findings).map((f) => (
        <li key={findingKey(f)} data-code={f.code}>
          <Mark severity={f.severity} dark={dark} />
          <div>
            <Said sentence={f.says} units={units} words from={`check ${f.code.replaceAll('-', ' ')}`} />
          </div>
          <div className="quiet">
            <Said sentence={f.why} units={units} words from={`check ${f.code.replaceAll('-', ' ')}`} />
          </div>
          {apply && f.mends.length > 0 && (
            <div className="fixes">
              {f.mends.map((m, i) => (
                <Button key={i} size="sm" variant={dark ? 'outline-light' : 'outline-dark'} onClick={() => apply(m.edits, m.to)}>
                  {writeSentence(m.says, units)}
                </Button>
              ))}
            </div>
          )}
        </li>
      ))}
    </ul>
  );
});
