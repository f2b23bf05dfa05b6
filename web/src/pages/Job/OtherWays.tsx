import { type Edit, type Finding, findingKey } from '@obra/core/finding';
import type { Alternative } from '@obra/core/planner';
import { writeMinutes, writeSentence } from '@obra/core/quantity';
import { thingOf } from '@obra/core/ref';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { FigureNumber, Mark, Said } from '../../slate';
import { useFromPlan } from '../../work/useFromPlan';
import { askAlternatives, askProof } from '../../work/usePlan';
import { rowNumber } from '../../bar';
import type { JobView } from './view';
import { workingThemOut } from '../../words/found';
import { takeIt } from '../../words/pressed';

/** Where the numbers of a way that is not taken come from. */
const ANOTHER = 'the plan of that other way';

/** The way in hand and whole other ways beside it: minutes, setups, what each gains and costs; any of them taken whole. */
export function OtherWays({ view }: { readonly view: JobView }) {
  const { job, shop, plan, units, open, older } = view;
  const [wanted, setWanted] = useState(false);
  const { answer: ways, failed } = useFromPlan(wanted && !older, plan, '', () => askAlternatives(job, shop));
  const route = plan?.routes[0];
  if (!route || job.issue) return null;
  const take = (way: Alternative) => {
    open.edit(way.choices.map((value): Edit => ({ op: 'put', at: `choices/#${value.id}`, value })));
  };
  return (
    <details className="noprint mb-2" onToggle={(e) => setWanted(e.currentTarget.open)}>
      <summary className="quiet">other ways to make it, side by side</summary>
      {ways === undefined && <p className="quiet mt-2">{workingThemOut}</p>}
      {failed && <p role="alert">The other ways could not be worked out; the one below stands.</p>}
      {ways && (
        <table className="plain mt-2" aria-label="Ways to make it">
          <thead>
            <tr>
              <th>way</th>
              <th className="num">a piece</th>
              <th className="num">setups</th>
              <th className="num">tool changes</th>
              <th className="num">risk to sizes</th>
              <th>beside the one in hand</th>
              <th>
                <span className="visually-hidden">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td>
                <strong>the one in hand</strong>
              </td>
              <td className="num text-nowrap">
                <FigureNumber figure={route.cost.minutes} units={units} text={writeMinutes(route.cost.minutes.value)} />
              </td>
              <td className="num">{route.setups.length}</td>
              <td className="num text-nowrap">
                <FigureNumber figure={route.cost.changes} units={units} />
              </td>
              <td className="num text-nowrap">
                <FigureNumber figure={route.cost.risk} units={units} text={writeMinutes(route.cost.risk.value)} />
              </td>
              <td className="quiet">{plan.reached === 'proof' ? 'proved for contacts' : 'not yet proved'}</td>
              <td />
            </tr>
            {ways.map((way) => (
              <tr key={writeSentence(way.differs, units)} data-way={writeSentence(way.differs, units)}>
                <td>
                  <Said sentence={way.differs} units={units} from={ANOTHER} />
                </td>
                <td className="num text-nowrap">
                  <FigureNumber figure={way.route.cost.minutes} units={units} text={writeMinutes(way.route.cost.minutes.value)} />
                </td>
                <td className="num">{way.setups}</td>
                <td className="num text-nowrap">
                  <FigureNumber figure={way.route.cost.changes} units={units} />
                </td>
                <td className="num text-nowrap">
                  <FigureNumber figure={way.route.cost.risk} units={units} text={writeMinutes(way.route.cost.risk.value)} />
                </td>
                <td>
                  <div>
                    {way.buys.length === 0 && 'buys nothing here'}
                    {way.buys.map((says, i) => (
                      <span key={i}>
                        {i > 0 && '; '}
                        <Said sentence={says} units={units} from={ANOTHER} />
                      </span>
                    ))}
                  </div>
                  <div className="quiet">
                    {way.more.value > 0 ? 'costs ' : way.more.value < 0 ? 'saves ' : 'costs the same'}
                    {way.more.value !== 0 && (
                      <>
                        <FigureNumber figure={way.more} units={units} text={`${Math.abs(way.more.value).toFixed(1)} min`} />, handling and risk
                        counted
                      </>
                    )}
                  </div>
                  {way.costs.map((says, i) => (
                    <div key={i} className="d-flex gap-2">
                      <Mark severity="caution" />
                      <span>
                        <Said sentence={says} units={units} from={ANOTHER} />
                      </span>
                    </div>
                  ))}
                  {way.risks.map((r) => (
                    <div key={r.of} className="quiet">
                      row {rowNumber(view.part, thingOf(r.of))}: risk <FigureNumber figure={r.here} units={units} text={writeMinutes(r.here.value)} />{' '}
                      instead of <FigureNumber figure={r.now} units={units} text={writeMinutes(r.now.value)} />
                    </div>
                  ))}
                  {way.gains.map((says, i) => (
                    <div key={i} className="quiet">
                      clears: <Said sentence={says} units={units} from={ANOTHER} />
                    </div>
                  ))}
                  <Proof view={view} way={way} />
                </td>
                <td className="text-end">
                  <Button variant="outline-dark" className="text-nowrap" onClick={() => take(way)}>
                    {takeIt}
                  </Button>
                </td>
              </tr>
            ))}
            {ways.length === 0 && (
              <tr>
                <td colSpan={7} className="quiet">
                  With this shop there is no other way that differs in holding, support, severing or threads.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      )}
    </details>
  );
}

/** What the proof of another way finds, made when it is asked for. */
function Proof({ view, way }: { readonly view: JobView; readonly way: Alternative }) {
  const { job, shop, units } = view;
  const [answer, setAnswer] = useState<{ readonly of: Alternative; readonly findings: readonly Finding[] | 'failed' }>();
  const found = answer?.of === way ? answer.findings : undefined;
  if (found === undefined)
    return (
      <div className="quiet">
        not yet proved{' '}
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            askProof(job, shop, way.choices).then(
              (findings) => setAnswer({ of: way, findings }),
              () => setAnswer({ of: way, findings: 'failed' }),
            );
          }}>
          prove it
        </Button>
      </div>
    );
  if (found === 'failed') return <div role="alert">It could not be proved; nothing was changed.</div>;
  if (found.length === 0) return <div className="quiet">proved: nothing meets</div>;
  return (
    <>
      {found.map((f) => (
        <div key={findingKey(f)} className="d-flex gap-2">
          <Mark severity={f.severity} />
          <span>
            <Said sentence={f.says} units={units} from={ANOTHER} />
          </span>
        </div>
      ))}
    </>
  );
}
