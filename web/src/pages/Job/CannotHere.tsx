import { cannotHere, inTheWay, type InTheWay } from '@obra/core/bench';
import { writeSentence } from '@obra/core/quantity';
import { useEffect, useMemo, useRef } from 'react';
import { Button } from 'react-bootstrap';
import { useLocation } from 'react-router';
import { Said } from '../../slate';
import type { JobView } from './view';
import { cannotTitle } from '../../words/titles';

const words: Readonly<Record<InTheWay, string>> = { hold: 'hold', reach: 'reach', measure: 'measure', make: 'make' };

/** What cannot be held, reached, measured or made here of this job, on one card, with what would change it. */
export function CannotHere({ view }: { readonly view: JobView }) {
  const { plan, units, open } = view;
  const all = useMemo(() => (plan ? cannotHere(plan) : []), [plan]);
  const here = useRef<HTMLElement>(null);
  const { hash } = useLocation();
  useEffect(() => {
    if (hash === '#cannot') here.current?.scrollIntoView();
  }, [hash]);
  return (
    <section ref={here} id="cannot" className="mt-3" aria-label="What I cannot do here">
      <h2>{cannotTitle}</h2>
      {all.length === 0 ? (
        <p className="quiet">Nothing stands in the way of this job with what this shop has.</p>
      ) : (
        <dl className="cannot">
          {inTheWay.map((way) => {
            const these = all.filter((c) => c.way === way);
            if (these.length === 0) return null;
            return (
              <div key={way}>
                <dt>{words[way]}</dt>
                {these.map((c, i) => (
                  <dd key={i}>
                    <div>
                      {c.get && `${c.get.how}: `}
                      <Said sentence={c.says} units={units} words from="the plan of this job" />
                    </div>
                    {c.why.length > 0 && (
                      <div className="quiet">
                        what would change it: <Said sentence={c.why} units={units} words from="the plan of this job" />
                      </div>
                    )}
                    {c.get?.instead && (
                      <div className="quiet">
                        meanwhile: <Said sentence={c.get.instead} units={units} from="the plan of this job" />
                      </div>
                    )}
                    {c.mends.length > 0 && (
                      <div className="d-flex gap-2 mt-1 flex-wrap">
                        {c.mends.map((m, k) => (
                          <Button key={k} size="sm" variant="outline-dark" onClick={() => open.edit(m.edits, m.to)}>
                            {writeSentence(m.says, units)}
                          </Button>
                        ))}
                      </div>
                    )}
                  </dd>
                ))}
              </div>
            );
          })}
        </dl>
      )}
    </section>
  );
}
