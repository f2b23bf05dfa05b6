import type { Choice } from '@obra/core/document';
import { type Step, verbs } from '@obra/core/operations';
import { turnsFor, write, writeSentence } from '@obra/core/quantity';
import { boundsOfStep } from '@obra/core/sequence';
import { lazy, Suspense, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { FROM_PLAN } from '../../sheet';
import { Big, FigureNumber, RuleWord, Said } from '../../slate';
import { OwnStepCells } from './OwnSteps';
import { StepChoices } from './StepChoices';
import type { JobView } from './view';
import { toThePoint } from '../../words/places';

// drawn charts are large: loaded when one is opened
const CutChart = lazy(() => import('../../slate/CutChart').then((m) => ({ default: m.CutChart })));

export function StepSlate({ view, step, number }: { readonly view: JobView; readonly step: Step; readonly number: number }) {
  const { units } = view;
  const { speed, feed, depth, passes, to, power, point, spring, most, torque, force, cuts, warm } = step.figures;
  const binds = step.because.find((r) => r.rule === 'depth');
  const why = step.because.filter((r) => r !== binds);
  const [chart, setChart] = useState(false);
  const route = view.plan?.routes[0];
  const stands = route ? boundsOfStep(route, view.plan.part, step.id) : {};
  return (
    <>
      <div>
        <h2>
          {number} {verbs[step.verb]}
        </h2>
        <div className="quiet">
          <Said sentence={step.says} units={units} from={FROM_PLAN} />
        </div>
      </div>
      {speed && (
        <Big figure={speed} units={units}>
          {typeof speed.of['v'] === 'number' && typeof speed.of['d'] === 'number'
            ? `(${Math.round(turnsFor(speed.of['v'], speed.of['d']))} asked)`
            : ''}
        </Big>
      )}
      {feed && (
        <Big figure={feed} units={units} size={speed ? 'big' : 'mid'}>
          {feed.formula === 'feedByHand' ? 'by hand' : ''}
        </Big>
      )}
      {depth && (
        <Big figure={depth} units={units}>
          {passes && passes.value >= 1 ? `deep, ${passes.value} pass${passes.value > 1 ? 'es' : ''}` : 'deep'}
        </Big>
      )}
      {to && (
        <Big figure={to} units={units} size="mid">
          to size
        </Big>
      )}
      {point && (
        <Big figure={point} units={units} size="mid">
          {toThePoint}
        </Big>
      )}
      {most && (
        <Big figure={most} units={units} size="mid">
          deep at the most
        </Big>
      )}
      {binds && (
        <div className="quiet" data-testid="binds">
          <Said sentence={binds.says} units={units} />.{' '}
          {step.cut && feed && depth && (
            <Button variant="link" size="sm" onClick={() => setChart(true)}>
              draw its limits
            </Button>
          )}
        </div>
      )}
      {chart && step.cut && feed && depth && (
        <Suspense fallback={null}>
          <CutChart title={verbs[step.verb]} asked={step.cut} feed={feed.value} depth={depth.value} units={units} onHide={() => setChart(false)} />
        </Suspense>
      )}
      {torque && (
        <Big figure={torque} units={units} size="mid">
          twist
        </Big>
      )}
      {force && (!power || torque) && (
        <Big figure={force} units={units} size="mid">
          push
        </Big>
      )}
      {warm && (
        <Big figure={warm} units={units} size="mid">
          at the hottest
        </Big>
      )}
      {power && (
        <Big figure={power} units={units} size="mid">
          at the chip
        </Big>
      )}
      {spring && (
        <Big figure={spring} units={units} size="mid">
          {step.verb === 'bore' ? 'spring of the bar' : step.verb === 'part-off' ? 'spring of the blade' : 'spring on radius'}
        </Big>
      )}
      {cuts && (
        <Big figure={cuts} units={units} size="mid">
          such cuts to an edge
        </Big>
      )}
      {step.series && (
        <div>
          <h2>{writeSentence(step.series.says, units)}</h2>
          <ol className="series fig">
            {step.series.figures.map((f, i) => (
              <li key={i}>
                <FigureNumber figure={f} units={units} />
              </li>
            ))}
          </ol>
        </div>
      )}
      {step.verb === 'own' ? <OwnStepCells key={step.id} view={view} step={step} /> : <StepChoices view={view} step={step} />}
      {speed && <DataChoice view={view} step={step} />}
      {why.length > 0 && (
        <div>
          <h2>Why</h2>
          <ul className="m-0 ps-3 size-14">
            {why.map((r) => (
              <li key={r.rule}>
                <Said sentence={r.says} units={units} words from={`rule ${r.rule.replaceAll('-', ' ')}`} /> <RuleWord reason={r} units={units} />
              </li>
            ))}
          </ul>
        </div>
      )}
      {(stands.after ?? stands.before) && (
        <div className="size-14" data-testid="stands">
          <h2>Why here</h2>
          {stands.after && (
            <div>
              after {verbs[stands.after.step.verb].toLowerCase()}:{' '}
              <Said sentence={stands.after.rule.says} units={units} from={`rule ${stands.after.rule.rule.replaceAll('-', ' ')}`} />{' '}
              <RuleWord reason={stands.after.rule} units={units} />
            </div>
          )}
          {stands.before && (
            <div>
              before {verbs[stands.before.step.verb].toLowerCase()}:{' '}
              <Said sentence={stands.before.rule.says} units={units} from={`rule ${stands.before.rule.rule.replaceAll('-', ' ')}`} />{' '}
              <RuleWord reason={stands.before.rule} units={units} />
            </div>
          )}
        </div>
      )}
      {step.cautions.length > 0 && (
        <div className="size-14">
          {step.cautions.map((c) => (
            <div key={c}>△ {c}</div>
          ))}
        </div>
      )}
    </>
  );
}

/** Another speed or feed of the machine's own, for this step. */
function DataChoice({ view, step }: { readonly view: JobView; readonly step: Step }) {
  const { job, shop, open, units } = view;
  const machine = shop.machines.find((m) => m.id === job.machine) ?? shop.machines[0];
  const { speed, feed } = step.figures;
  const own = job.choices.findLast((c) => c.kind === 'data' && c.step === step.id);
  const set = (more: { speed?: number; feed?: number }) => {
    const id =
      own?.id ??
      `data-${step.id}`
        .toLowerCase()
        .replace(/[^0-9a-z]+/g, '-')
        .slice(0, 40);
    const value: Choice = { ...(own?.kind === 'data' ? own : { kind: 'data', step: step.id }), id, ...more };
    open.edit([{ op: 'put', at: `choices/#${id}`, value }]);
  };
  if (!machine || !speed || job.issue) return null;
  const speeds = Array.isArray(machine.speeds) ? machine.speeds : [];
  return (
    <div className="d-flex gap-2 align-items-center flex-wrap">
      {speeds.length > 0 && (
        <Form.Select
          className="wide-116"
          size="sm"
          aria-label="Speed for this step"
          value={String(speed.value)}
          onChange={(e) => set({ speed: Number(e.target.value) })}>
          {[...new Set([...speeds, speed.value])].map((s) => (
            <option key={s} value={s}>
              {s} rpm
            </option>
          ))}
        </Form.Select>
      )}
      {feed && feed.formula !== 'feedByHand' && feed.formula !== 'feedOfThread' && machine.feeds.length > 0 && (
        <Form.Select
          className="wide-116"
          size="sm"
          aria-label="Feed for this step"
          value={String(feed.value)}
          onChange={(e) => set({ feed: Number(e.target.value) })}>
          {[...new Set([...machine.feeds, feed.value])].map((f) => (
            <option key={f} value={f}>
              {write({ is: 'feed', value: f }, units).text}
            </option>
          ))}
        </Form.Select>
      )}
      {own && (
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            open.edit([{ op: 'remove', at: `choices/#${own.id}` }]);
          }}>
          as computed
        </Button>
      )}
    </div>
  );
}
