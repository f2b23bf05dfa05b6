import { benchState, type Gauge, type Limits, parseLength, sizedBy, type Step, type Units, verbs, write, writeExact, writeSentence, writeWithUnit } from '@obra/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { Head } from '../../app/Head';
import { useKeys } from '../../app/keys';
import { Notice } from '../../app/Notice';
import { BarPicture } from '../../bar';
import { AdviceCard, FigureNumber } from '../../slate';
import { barRadius } from './index';
import { Pad } from './Pad';
import { GiveOut } from './Route';
import { Stages } from './Stages';
import type { JobView } from './view';

/** One step at a time in large type: dial this, expect that, measure here, next. */
export function Bench({ view }: { readonly view: JobView }) {
  const { job, plan, log, id, steps, units, swap, open } = view;
  const state = useMemo(() => (plan && job.issue ? benchState(job, plan, log) : undefined), [job, plan, log]);
  const at = state?.at ?? null;
  const step = steps.find((s) => s.id === at?.step);
  const setup = plan?.routes[0]?.setups.find((s) => s.steps.some((o) => o.id === at?.step));
  const number = step ? steps.indexOf(step) + 1 : steps.length;
  return (
    <div className="page">
      <Head bench>
        <span className="job">{job.name}</span>
        {at && <span>piece {at.piece} of {job.pieces}</span>}
        {at && <span data-testid="step-number">step {number} of {steps.length}</span>}
        <Button variant="link" onClick={swap} aria-label="units">{units === 'mm' ? 'mm' : 'inch'}</Button>
        <span className="quiet" data-testid="saved">{open.state === 'saved' ? 'saved' : open.state === 'saving' ? 'saving' : 'not stored'}</span>
        <Link to={`/jobs/${id}/route`}>leave the Bench</Link>
      </Head>
      {open.says !== undefined && <Notice onClose={open.dismiss}>{open.says}</Notice>}
      <BarPicture part={plan?.part} units={units} show="bench" setup={setup} step={step} holding={view.shop.holdings.find((h) => h.id === setup?.holding)} barRadius={barRadius(view)} height={window.innerHeight < 720 ? 96 : 112} />
      <Stages id={id} stage="bench" view={view} />
      {!job.issue || !plan ? (
        <main className="bench"><div><h1>Not given out yet</h1><p>The Bench works from a route that is given out, so that nothing changes under your hands.</p><GiveOut view={view} /></div></main>
      ) : !at || !step || !state ? (
        <main className="bench"><div><h1>{plan.routes.length > 0 ? 'All steps done' : 'No route'}</h1><p><Link to={`/jobs/${id}/inspection`} style={{ color: 'var(--slate-chosen)' }}>Inspection</Link> holds the readings.</p><Back view={view} /></div></main>
      ) : (
        <AtStep key={`${at.piece}/${at.step}`} view={view} step={step} piece={at.piece} state={state} number={number} />
      )}
    </div>
  );
}

interface AtStepProps {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly number: number;
  readonly state: ReturnType<typeof benchState>;
}

const GAUGE_UNITS = 'obra-gauge-units';

function keptUnits(otherwise: Units): Units {
  const kept = localStorage.getItem(GAUGE_UNITS);
  return kept === 'mm' || kept === 'in' ? kept : otherwise;
}

function AtStep({ view, step, piece, state }: AtStepProps) {
  const { plan, log, add, units, job, open } = view;
  const { advice } = state;
  const limits = plan ? sizedBy(step, plan) : undefined;
  const kit = job.issue?.kit ?? view.shop;
  const machine = kit.machines[0];
  const own = log.filter((e) => e.piece === piece && e.step === step.id);
  const withdrawn = new Set(log.flatMap((e) => (e.kind === 'withdrawn' ? [e.entry] : [])));
  const readings = own.flatMap((e) => (e.kind === 'reading' && !withdrawn.has(e.id) ? [e] : []));
  const last = readings.at(-1);
  const gauge = kit.gauges.find((g) => g.id === (last?.gauge ?? step.gauge));
  const measuring = limits !== undefined && (advice?.next === 'measure' || advice?.next === 'ask' || advice?.next === 'changeGauge');
  const [gaugeUnits, setGaugeUnits] = useState<Units>(() => keptUnits(job.units));
  const [celsius, setCelsius] = useState(String(last?.celsius ?? 20));
  const [field, setField] = useState<'size' | 'celsius'>('size');
  const [chosenGauge, setChosenGauge] = useState(gauge?.id ?? '');
  const [refused, setRefused] = useState<string>();
  const lead = measuring && advice?.cold ? leading(advice.expects.value, gaugeUnits) : '';
  const [text, setText] = useState(lead);
  const [seen, setSeen] = useState(own.length);
  if (seen !== own.length) {
    setSeen(own.length);
    setText(lead);
    setField('size');
  }
  const typed = text !== '' && text !== lead;
  const store = useCallback(async (work: () => Promise<void>) => {
    try {
      setRefused(undefined);
      await work();
    } catch {
      setRefused('This browser did not store the entry (storage full or blocked). Nothing earlier is lost: export the job, make room, and press again.');
    }
  }, []);
  const next = useCallback(() => {
    void store(async () => {
      const line = { piece, step: step.id };
      if (limits && typed) {
        const size = sizeTyped(text, gaugeUnits, limits);
        if (typeof size === 'string') {
          setRefused(size);
          return;
        }
        const warm = Number(celsius.replace(',', '.'));
        if (!(warm > -40 && warm < 400)) {
          setRefused('Temperature: degrees Celsius, between -40 and 400.');
          return;
        }
        await add({ ...line, kind: 'reading', of: step.does[0] ?? '', value: size.cell, gauge: chosenGauge === '' ? 'none' : chosenGauge, ...(warm !== 20 && { celsius: warm }) });
        return;
      }
      if (limits && advice && (advice.next === 'measure' || advice.next === 'ask')) {
        setRefused('Type the reading first.');
        return;
      }
      if (limits && advice?.dial) {
        await add({ ...line, kind: 'cut', axis: 'cross', dial: { text: writeExact(advice.dial.value, 'mm'), units: 'mm' }, told: { expects: advice.expects.value, deviation: advice.expects.deviation ?? 0, chanceIn: advice.chanceIn, chancePast: advice.chancePast } });
        return;
      }
      await add({ ...line, kind: 'done' });
    });
  }, [store, limits, typed, text, gaugeUnits, celsius, advice, add, piece, step, chosenGauge]);
  useKeys(useMemo(() => ({
    ' ': next, Enter: (e: KeyboardEvent) => (e.target instanceof HTMLButtonElement && !e.target.classList.contains('next') ? false : (next(), true)), PageDown: next,
    i: () => document.querySelector<HTMLButtonElement>('.bench button.figure')?.click(),
  }), [next]));
  useEffect(() => { if (limits) document.querySelector<HTMLInputElement>('#reading')?.focus({ preventScroll: true }); }, [limits, own.length]);
  const both = limits && typed ? sizeTyped(text, gaugeUnits, limits) : undefined;
  return (
    <main className="bench">
      <div>
        <h1>{verbs[step.verb]} <span className="quiet" style={{ fontWeight: 400, fontSize: 18 }}>{writeSentence(step.says, units)}</span></h1>
        {refused !== undefined && <div className="out" role="alert">{refused}</div>}
        {limits && advice ? (
          <AdviceCard advice={advice} wanted={limits} units={units} machine={machine} huge="huge" last={last && { text: inUnits(last.value.text, last.value.units, units), celsius: last.celsius ?? 20 }} />
        ) : <Settings step={step} units={units} />}
        {limits && readings.length > 0 && <div className="past mt-2" aria-label="readings so far">{readings.map((r) => `${r.value.text}${r.celsius !== undefined ? ` at ${r.celsius} °C` : ''}`).join(' → ')}</div>}
        {limits && <div className="quiet" style={{ fontSize: 16 }}>{speedAndFeed(step, units)}</div>}
        {step.cautions.length > 0 && <div className="line quiet" style={{ fontSize: 16 }}>{step.cautions.map((c) => <div key={c}>△ {c}</div>)}</div>}
        <Back view={view} />
        {open.state === 'refused' && <div className="out">not stored</div>}
      </div>
      <Pad
        sizing={limits !== undefined} text={text} onText={setText} celsius={celsius} onCelsius={setCelsius} field={field} onField={setField}
        units={gaugeUnits} onUnits={(u) => { setGaugeUnits(u); localStorage.setItem(GAUGE_UNITS, u); setText(''); }}
        gauges={kit.gauges.filter((g: Gauge) => g.kind === 'caliper' || g.kind === 'micrometer')} gauge={chosenGauge} onGauge={setChosenGauge}
        said={both === undefined ? undefined : typeof both === 'string' ? both : writeBoth(both.mm, units)}
        label={nextLabel(limits !== undefined, typed, advice?.next)} onNext={next}
      />
    </main>
  );
}

/** What the one big key does now, in words. */
function nextLabel(sizing: boolean, typed: boolean, advised: string | undefined): string {
  if (!sizing) return 'Next';
  if (typed) return 'Next: keep the reading';
  if (advised === 'cut' || advised === 'twoCuts') return 'Next: cut taken';
  if (advised === 'measure' || advised === 'ask') return 'Next: type the reading';
  return 'Next: done';
}

/** Steps that are not sized by measuring: the few numbers to set. */
function Settings({ step, units }: { readonly step: Step; readonly units: Units }) {
  const { speed, feed, depth, passes, to, point } = step.figures;
  return (
    <>
      {speed && <div><div className="quiet">Set</div><div className="row-big"><span className="huge"><FigureNumber figure={speed} units={units} /></span><span>rpm</span></div></div>}
      <div className="pair">
        {feed && <div><div className="quiet">feed{feed.formula === 'feedByHand' ? ', by hand' : ''}</div><span className="large"><FigureNumber figure={feed} units={units} /></span></div>}
        {depth && <div><div className="quiet">{passes && passes.value > 0 && step.verb !== 'drill' ? `deep, ${passes.value} pass${passes.value > 1 ? 'es' : ''}` : 'deep'}</div><span className="large"><FigureNumber figure={depth} units={units} /></span></div>}
        {to && <div><div className="quiet">to</div><span className="large"><FigureNumber figure={to} units={units} /></span></div>}
        {point && <div><div className="quiet">to the point</div><span className="large"><FigureNumber figure={point} units={units} /></span></div>}
      </div>
      {!speed && <p className="large" style={{ fontSize: 30 }}>{writeSentence(step.says, units)}</p>}
      <div className="line">{step.because.slice(0, 3).map((r) => <div key={r.rule}>{writeSentence(r.says, units)}</div>)}</div>
    </>
  );
}

const speedAndFeed = (step: Step, units: Units): string => [step.figures['speed'], step.figures['feed']].flatMap((f) => (f ? [writeWithUnit(f, units)] : [])).join(', ');

/** Undo at the Bench: the last entry is withdrawn, never erased. */
function Back({ view }: { readonly view: JobView }) {
  const { log, add } = view;
  const withdrawn = new Set(log.flatMap((e) => (e.kind === 'withdrawn' ? [e.entry] : [])));
  const last = log.findLast((e) => e.kind !== 'withdrawn' && !withdrawn.has(e.id));
  if (!last) return null;
  const words: Readonly<Record<string, string>> = { reading: 'reading', cut: 'cut', done: 'step done', skipped: 'skipped step' };
  return <Button className="mt-3" variant="outline-light" onClick={() => void add({ kind: 'withdrawn', entry: last.id, piece: last.piece, step: last.step })}>undo the last {words[last.kind] ?? 'entry'}</Button>;
}

/** The digits that will not change: '19.' of 19.292, '.7' of .7512. */
function leading(mm: number, units: Units): string {
  return units === 'mm' ? `${Math.floor(mm)}.` : (mm / 25.4).toFixed(1).replace(/^0\./, '.');
}

/** A reading as typed, or `+7`: so many hundredths of a millimetre, or thousandths of an inch, over what is wanted. */
function sizeTyped(text: string, units: Units, limits: Limits): string | { readonly mm: number; readonly cell: { text: string; units: Units } } {
  const over = /^([+-])\s*(\d+(?:[.,]\d+)?)$/.exec(text.trim());
  if (over) {
    const step = units === 'mm' ? 0.01 : 0.0254;
    const mm = limits.nominal + (over[1] === '-' ? -1 : 1) * Number(over[2]?.replace(',', '.')) * step;
    return { mm, cell: { text: writeExact(mm, units), units } };
  }
  const read = parseLength(text, units);
  return read.ok ? { mm: read.value, cell: { text: text.trim(), units } } : `Reading: ${writeSentence(read.problems[0]?.says ?? [], units)}.`;
}

function writeBoth(mm: number, units: Units): string {
  const one = (u: Units) => writeWithUnit({ is: 'length', value: mm, step: 0.001 }, u);
  return `${one(units)}, ${one(units === 'mm' ? 'in' : 'mm')}`;
}

function inUnits(text: string, from: Units, to: Units): string {
  const read = parseLength(text, from);
  return read.ok ? write({ is: 'length', value: read.value, step: 0.001 }, to).text : text;
}
