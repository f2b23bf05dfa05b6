import { type Choice, type Edit, issued, type Step, verbs, type Way, ways, wayOf, write, writeMinutes, writeSentence } from '@obra/core';
import { Button, Form } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { now } from '../../data/ids';
import { saveNow } from '../../data/session';
import { OperationSheet } from '../../sheet';
import { Big, Checks } from '../../slate';
import type { JobView } from './view';

/** The operation sheet, step by step on the bar. */
export function Route({ view }: { readonly view: JobView }) {
  const { plan, units, step, steps, open, job, shop, older } = view;
  const route = plan?.routes[0];
  const apply = (edits: readonly Edit[], to: 'job' | 'shop') => { open.edit(edits, to); };
  const findings = plan?.findings ?? [];
  return (
    <div className="work">
      <aside className={`slate noprint ${older ? 'older' : ''}`} aria-label="Slate">
        {step ? <StepSlate view={view} step={step} number={steps.indexOf(step) + 1} /> : <h2>{view.part.findings.some((f) => f.severity === 'stop') ? 'The drawing comes first' : 'No route yet'}</h2>}
        <hr />
        <Checks findings={findings} units={units} apply={apply} dark />
      </aside>
      <main className="sheet">
        <div className="d-flex flex-wrap gap-2 mb-2 align-items-center noprint">
          <Button variant="outline-dark" onClick={() => { view.move(-1); }} disabled={steps.length === 0} aria-keyshortcuts="[">previous</Button>
          <Button variant="outline-dark" onClick={() => { view.move(1); }} disabled={steps.length === 0} aria-keyshortcuts="]">next</Button>
          {ways.map((w) => <WayChoice key={w.key} way={w} view={view} />)}
          <span className="ms-auto" />
          <GiveOut view={view} />
        </div>
        <div className="printonly"><h1>{job.name}</h1><p>{job.pieces} pieces. Local codes, the machine’s manual and licensed or supervised practice come first.</p></div>
        {route && plan ? (
          <div className={older ? 'older' : ''}>
            <OperationSheet route={route} part={plan.part} units={units} chosen={step?.id} onChoose={view.choose} nameOf={(id) => shop.holdings.find((h) => h.id === id)?.name ?? id} />
            <p className="quiet mt-3">{writeMinutes(route.cost.minutes.value)} a piece{job.pieces > 1 ? `, ${writeMinutes(route.cost.minutes.value * job.pieces)} for ${job.pieces}` : ''}. Collisions are not proved: check clearances by hand before power.</p>
            {plan.toGet.length > 0 && <><h2>To get</h2><ul>{plan.toGet.map((g, i) => <li key={i}>{writeSentence(g.what, units)}, holds up {g.holdsUp.join(', ')}</li>)}</ul></>}
          </div>
        ) : <p>{older ? 'Working out the route.' : 'The route stands here as soon as the drawing can be read and a bar is chosen.'}</p>}
      </main>
    </div>
  );
}

function StepSlate({ view, step, number }: { readonly view: JobView; readonly step: Step; readonly number: number }) {
  const { units } = view;
  const { speed, feed, depth, passes, to, power, point } = step.figures;
  return (
    <>
      <div><h2>{number} {verbs[step.verb]}</h2><div className="quiet">{writeSentence(step.says, units)}</div></div>
      {speed && <Big figure={speed} units={units}>{typeof speed.of['v'] === 'number' && typeof speed.of['d'] === 'number' ? `asked ${Math.round((1000 * speed.of['v']) / (Math.PI * speed.of['d']))}` : ''}</Big>}
      {feed && <Big figure={feed} units={units} size={speed ? 'big' : 'mid'}>{feed.formula === 'feedByHand' ? 'by hand' : ''}</Big>}
      {depth && <Big figure={depth} units={units}>{passes && passes.value >= 1 ? `deep, ${passes.value} pass${passes.value > 1 ? 'es' : ''}` : 'deep'}</Big>}
      {to && <Big figure={to} units={units} size="mid">to</Big>}
      {point && <Big figure={point} units={units} size="mid">to the point</Big>}
      {power && <Big figure={power} units={units} size="mid">at the chip</Big>}
      {speed && <DataChoice view={view} step={step} />}
      {step.because.length > 0 && <div><h2>Why</h2><ul className="m-0 ps-3" style={{ fontSize: 14 }}>{step.because.map((r) => <li key={r.rule}>{writeSentence(r.says, units)} <span className="quiet">({r.rule})</span></li>)}</ul></div>}
      {step.cautions.length > 0 && <div style={{ fontSize: 14 }}>{step.cautions.map((c) => <div key={c}>△ {c}</div>)}</div>}
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
    const id = own?.id ?? `data-${step.id}`.toLowerCase().replace(/[^0-9a-z]+/g, '-').slice(0, 40);
    const value: Choice = { ...(own?.kind === 'data' ? own : { kind: 'data', step: step.id }), id, ...more } as Choice;
    open.edit([{ op: 'put', at: `choices/#${id}`, value }]);
  };
  if (!machine || !speed || job.issue) return null;
  const speeds = Array.isArray(machine.speeds) ? machine.speeds : [];
  return (
    <div className="d-flex gap-2 align-items-center flex-wrap">
      {speeds.length > 0 && <Form.Select size="sm" style={{ width: 100 }} aria-label="Speed for this step" value={String(speed.value)} onChange={(e) => { set({ speed: Number(e.target.value) }); }}>{[...new Set([...speeds, speed.value])].map((s) => <option key={s} value={s}>{s} rpm</option>)}</Form.Select>}
      {feed && feed.formula !== 'feedByHand' && feed.formula !== 'feedOfThread' && machine.feeds.length > 0 && <Form.Select size="sm" style={{ width: 100 }} aria-label="Feed for this step" value={String(feed.value)} onChange={(e) => { set({ feed: Number(e.target.value) }); }}>{[...new Set([...machine.feeds, feed.value])].map((f) => <option key={f} value={f}>{write({ is: 'feed', value: f }, units).text}</option>)}</Form.Select>}
      {own && <Button size="sm" variant="link" onClick={() => { open.edit([{ op: 'remove', at: `choices/#${own.id}` }]); }}>as computed</Button>}
    </div>
  );
}

function WayChoice({ way, view }: { readonly way: Way; readonly view: JobView }) {
  const { job, shop, open } = view;
  const own = job.choices.findLast((c) => c.kind === 'way' && c.way === way.key);
  const value = wayOf(way.key, shop.ways, new Map(own?.kind === 'way' ? [[way.key, own.value]] : []));
  const threads = view.part.features.some((f) => f.form === 'thread');
  if (way.key !== 'severing' && !threads) return null;
  return (
    <Form.Select
      style={{ width: 'auto' }} aria-label={way.asks} value={value} disabled={job.issue !== undefined} title={way.choices.map((c) => `${c.words}: ${writeSentence(c.because, 'mm')}`).join('; ')}
      onChange={(e) => { open.edit([{ op: 'put', at: `choices/#way-${way.key}`, value: { kind: 'way', id: `way-${way.key}`, way: way.key, value: e.target.value } satisfies Choice }]); }}
    >
      {way.choices.map((c) => <option key={c.value} value={c.value}>{c.words}</option>)}
    </Form.Select>
  );
}

/** Gives the route out to the Bench; a stop is overruled by name first. */
export function GiveOut({ view }: { readonly view: JobView }) {
  const { plan, open, job, shop, id, units } = view;
  const navigate = useNavigate();
  const route = plan?.routes[0];
  if (job.issue) return <><span className="quiet">given out {job.issue.at.slice(0, 16).replace('T', ' ')}</span><Button variant="outline-dark" onClick={() => { open.edit([{ op: 'remove', at: 'issue' }]); }}>take it back</Button><Button onClick={() => void navigate(`/jobs/${id}/bench`)}>to the Bench</Button></>;
  const overruled = new Set(job.choices.flatMap((c) => (c.kind === 'overrule' ? [c.finding] : [])));
  const stops = (plan?.findings ?? []).filter((f) => f.severity === 'stop' && !overruled.has(`${f.code}@${f.about}`));
  const give = async () => {
    if (!route) return;
    open.replace(issued(job, route, shop, now(), '0.1.0'));
    await saveNow(id);
    void navigate(`/jobs/${id}/bench`);
  };
  const [stop] = stops;
  if (route && stop) {
    const value: Choice = { kind: 'overrule', id: `over-${String(job.choices.length)}-${stop.code}`.slice(0, 40), finding: `${stop.code}@${stop.about}`, said: writeSentence(stop.says, units), by: 'at this desk', why: 'decided by the person at the machine' };
    return <Button variant="outline-dark" onClick={() => { open.edit([{ op: 'put', at: `choices/#${value.id}`, value }]); }}>overrule: {stop.code.replaceAll('-', ' ')}</Button>;
  }
  return <Button disabled={!route || view.older} onClick={() => void give()}>give out to the Bench</Button>;
}
