import type { Choice } from '@obra/core/document';
import { writeOperations } from '@obra/core/exchange';
import type { Edit } from '@obra/core/finding';
import { writeMinutes, writeSentence } from '@obra/core/quantity';
import { mayMove } from '@obra/core/sequence';
import { type Way, ways } from '@obra/core/shop';
import { ChevronLeft, ChevronRight, Table } from 'lucide-react';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { download, fileName } from '../../shell/download';
import { newId } from '../../data/ids';
import { LengthChart, MovableLines, OperationSheet, Traveller, usePrinting } from '../../sheet';
import { Checks, FigureNumber, Said } from '../../slate';
import { Batches } from './Batches';
import { CannotHere } from './CannotHere';
import { GiveOut } from './GiveOut';
import { AddOwnStep } from './OwnSteps';
import { OtherWays } from './OtherWays';
import { Rehearse } from './Rehearse';
import { StepSlate } from './StepSlate';
import { wayInHand } from './wayInHand';
import { stepSaid, type JobView } from './view';
import { drawingFirst } from '../../words/found';
import { noRouteYet } from '../../words/keys';

/** The operation sheet, step by step on the bar. */
export function Route({ view }: { readonly view: JobView }) {
  const { plan, units, step, steps, open, job, shop, older } = view;
  const route = plan?.routes[0];
  const apply = (edits: readonly Edit[], to: 'job' | 'shop') => open.edit(edits, to);
  const { findings } = view;
  const [told, setTold] = useState<string>();
  const printing = usePrinting();
  /** A line goes past its neighbours, unless a rule forbids it: then the rule is said at once. */
  const moveStep = (id: string, by: number) => {
    if (!route) return;
    if (job.issue) {
      setTold('The job is given out: take it back to change its order.');
      return;
    }
    const may = mayMove(route, plan.part, id, by);
    if (!may.ok) {
      setTold(`${writeSentence(may.says, units)}.`);
      return;
    }
    setTold(undefined);
    const [first, then] = may.order;
    const turned = job.choices.filter((c) => c.kind === 'order' && c.steps.length === 2 && c.steps[0] === then && c.steps[1] === first);
    const value: Choice = { kind: 'order', id: newId(), steps: [first, then] };
    apply([...turned.map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` })), { op: 'put', at: `choices/#${value.id}`, value }], 'job');
    view.choose(id);
  };
  return (
    <div className="work">
      <aside className={`slate noprint ${older ? 'older' : ''}`} aria-label="Slate" tabIndex={0}>
        {step ? (
          <StepSlate view={view} step={step} number={steps.indexOf(step) + 1} />
        ) : (
          <h2>{view.part.findings.some((f) => f.severity === 'stop') ? drawingFirst : noRouteYet}</h2>
        )}
        <hr />
        <Checks findings={findings} units={units} apply={apply} dark />
      </aside>
      <main className="sheet">
        <div className="d-flex flex-wrap gap-2 mb-2 align-items-center noprint">
          <Button variant="outline-dark" onClick={() => view.move(-1)} disabled={steps.length === 0} aria-keyshortcuts="[">
            <ChevronLeft size={15} aria-hidden /> previous
          </Button>
          <Button variant="outline-dark" onClick={() => view.move(1)} disabled={steps.length === 0} aria-keyshortcuts="]">
            next <ChevronRight size={15} aria-hidden />
          </Button>
          {ways.filter(atOnce).map((w) => (
            <WayChoice key={w.key} way={w} view={view} />
          ))}
          <span className="ms-auto" />
          <Rehearse view={view} />
          <GiveOut view={view} />
        </div>
        <details className="noprint mb-2">
          <summary className="quiet">this job’s own ways of working</summary>
          <div className="d-flex gap-2 flex-wrap mt-2">
            {ways
              .filter((w) => !atOnce(w) && asked(w, job.pieces))
              .map((w) => (
                <label key={w.key}>
                  <span className="quiet d-block">{w.asks}</span>
                  <WayChoice way={w} view={view} />
                </label>
              ))}
          </div>
        </details>
        <OtherWays view={view} />
        <Batches view={view} />
        {route && !printing && (
          <details className="noprint mb-2">
            <summary className="quiet">lengths from face to face, on one chart</summary>
            <LengthChart route={route} part={plan.part} units={units} />
          </details>
        )}
        <AddOwnStep view={view} />
        {told !== undefined && (
          <p role="status" className="told noprint">
            {told}{' '}
            <Button variant="link" onClick={() => setTold(undefined)}>
              close
            </Button>
          </p>
        )}
        {printing && route && <Traveller job={job} route={route} part={plan.part} shop={job.issue?.kit ?? shop} units={units} />}
        {route ? (
          <div className={`noprint ${older ? 'older' : ''}`}>
            <OperationSheet
              route={route}
              part={plan.part}
              units={units}
              chosen={step?.id}
              onChoose={view.choose}
              onMove={moveStep}
              lines={MovableLines}
              nameOf={(id) => shop.holdings.find((h) => h.id === id)?.name ?? id}
              ledger
            />
            <PrintSheet units={units} />
            <Button
              variant="link"
              className="mt-2"
              onClick={() => download(fileName(`${job.name} operations`, 'csv'), writeOperations(route, job.issue?.kit ?? shop, units), 'text/csv')}>
              <Table size={15} aria-hidden /> the sheet as CSV
            </Button>
            <p className="quiet mt-3">
              <FigureNumber figure={route.cost.minutes} units={units} text={writeMinutes(route.cost.minutes.value)} /> a piece
              {job.pieces > 1 && (
                <>
                  , <FigureNumber figure={route.cost.all} units={units} text={writeMinutes(route.cost.all.value)} /> for {job.pieces}
                </>
              )}
              {route.time.waiting.value > 0.5 && (
                <>
                  , of it <FigureNumber figure={route.time.waiting} units={units} text={writeMinutes(route.time.waiting.value)} /> waiting with
                  nothing to do
                </>
              )}
              .{' '}
              {plan.gap > 0.001
                ? `No route costs less by more than ${String(Math.ceil(1000 * plan.gap) / 10)} %.`
                : 'Of all ends, holdings and orders that it may have, none costs less.'}{' '}
              {plan.reached === 'proof'
                ? 'Tool, holder and post are proved against jaws, chuck, centre, steady and work, with the sizes of this shop, usual ones where it says none: wind all travel through by hand before power.'
                : 'Not yet proved for contacts.'}
            </p>
            {plan.toGet.length > 0 && (
              <>
                <h2>To get</h2>
                <ul>
                  {plan.toGet.map((g, i) => (
                    <li key={i}>
                      {g.how}:{' '}
                      <strong>
                        <Said sentence={g.what} units={units} from="what the plan asks for and the shop lacks" />
                      </strong>
                      , holds up {g.holdsUp.map((held) => stepSaid(held, view)).join(', ')}
                      {g.instead && (
                        <div className="quiet">
                          meanwhile: <Said sentence={g.instead.says} units={units} from="what does at hand meanwhile" />,{' '}
                          <FigureNumber figure={g.instead.costs} units={units} text={writeMinutes(g.instead.costs.value)} /> more
                        </div>
                      )}
                    </li>
                  ))}
                </ul>
              </>
            )}
          </div>
        ) : (
          <p>{older ? 'Working out the route.' : 'The route stands here as soon as the drawing can be read and a bar is chosen.'}</p>
        )}
        {plan && <CannotHere view={view} />}
      </main>
    </div>
  );
}

/** The sheet on paper, with blanks for readings. */
function PrintSheet({ units }: { readonly units: JobView['units'] }) {
  const [paper, setPaper] = useState(units === 'mm' ? 'A4' : 'letter');
  return (
    <>
      <style>{`@page { size: ${paper}; margin: 12mm; }`}</style>
      <Button variant="link" className="mt-2 ps-0" onClick={() => window.print()}>
        print the sheet
      </Button>
      <select className="assumed me-2" aria-label="Paper" value={paper} onChange={(e) => setPaper(e.target.value)}>
        <option value="A4">on A4</option>
        <option value="letter">on Letter</option>
      </select>
    </>
  );
}

/** The ways that a turner decides anew for each job stand on the page; the others a press away. */
const atOnce = (way: Way) => ['thread', 'infeed', 'severing'].includes(way.key);
/** How several pieces go through is no question of one; how a size is judged is the shop's. */
const asked = (way: Way, pieces: number) => way.key !== 'verdict' && way.key !== 'settable' && (way.key !== 'batch' || pieces > 1);

function WayChoice({ way, view }: { readonly way: Way; readonly view: JobView }) {
  const { job, open } = view;
  const value = wayInHand(way, view);
  const threads = view.part.features.some((f) => f.form === 'thread');
  if ((way.key === 'thread' || way.key === 'infeed') && !threads) return null;
  if (way.key === 'taper' && !view.part.features.some((f) => f.form === 'taper')) return null;
  return (
    <Form.Select
      className="w-auto"
      aria-label={way.asks}
      value={value}
      disabled={job.issue !== undefined}
      title={way.choices.map((c) => `${c.words}: ${writeSentence(c.because, 'mm')}`).join('; ')}
      onChange={(e) => {
        open.edit([
          {
            op: 'put',
            at: `choices/#way-${way.key}`,
            value: { kind: 'way', id: `way-${way.key}`, way: way.key, value: e.target.value } satisfies Choice,
          },
        ]);
      }}>
      {way.choices.map((c) => (
        <option key={c.value} value={c.value}>
          {c.words}
        </option>
      ))}
    </Form.Select>
  );
}
