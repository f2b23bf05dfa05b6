import { type BenchState, type Card, endRead, type Ends, press, readAt, stillToBeDone, WORN } from '@obra/core/bench';
import type { Characteristic } from '@obra/core/drawing';
import { type Step, verbs } from '@obra/core/operations';
import { type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { leadingDigits, wholeReading } from '@obra/core/sizing';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { useKeys } from '../../shell/keys';
import { kept } from '../../data/local';
import { AdviceCard, sentenceCase, StillToBeDone } from '../../slate';
import { Asked, again, setDial } from './Asked';
import { Back } from './Back';
import { Clock } from './Clock';
import { Collars } from './Collars';
import { Dialled } from './Dialled';
import { Feel } from './Feel';
import { MeasuredAt } from './MeasuredAt';
import { inUnits, nextLabel, readingAt, speedAndFeed, whatOf, writeBoth } from './measuring';
import { Pad } from './Pad';
import { Release } from './Release';
import { Settings } from './Settings';
import { REFUSED, useCard } from './useCard';
import { useSized } from './useSized';
import { Wrong } from './Wrong';
import type { JobView } from './view';

interface AtStepProps {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly state: BenchState;
}

const GAUGE_UNITS = 'obra-gauge-units';

function keptUnits(otherwise: Units): Units {
  const before = kept.get(GAUGE_UNITS);
  return before === 'mm' || before === 'in' ? before : otherwise;
}

export function AtStep({ view, step, piece, state }: AtStepProps) {
  const { log, add, units, job, open, plan } = view;
  const own = log.filter((e) => e.piece === piece && e.step === step.id);
  const before = own.findLast((e) => e.kind === 'reading');
  const [chosenGauge, setChosenGauge] = useState(before?.gauge ?? step.gauge ?? '');
  const asked = chosenGauge === '' ? undefined : chosenGauge;
  const { kit, machine, live, readings, sized, advice, ends, inHand, gauges } = useSized(view, step, piece, state, asked);
  const last = readings.at(-1);
  // the dial goes by the free end; what the other one reads has narrowed its limits
  const cutBy = ends ? (readings.findLast((r) => endRead(r, ends) === 'free') ?? last) : last;
  const limits = sized?.limits;
  const setup = view.plan?.routes[0]?.setups.find((s) => s.steps.some((o) => o.id === step.id));
  const measuring =
    limits !== undefined && (advice?.next === 'measure' || advice?.next === 'ask' || advice?.next === 'wait' || advice?.next === 'changeGauge');
  const [gaugeUnits, setGaugeUnits] = useState<Units>(() => keptUnits(job.units));
  const [celsius, setCelsius] = useState(last?.celsius === undefined ? '' : `${String(last.celsius)}C`);
  const [field, setField] = useState<'size' | 'celsius'>('size');
  const [refused, setRefused] = useState<string>();
  // before release any size that was finished here may be read
  const [picked, setPicked] = useState<Characteristic>();
  const reading = useMemo(
    () => readingAt(kit, view.plan?.part ?? view.part, sized, picked, inHand ?? ''),
    [kit, view.plan, view.part, sized, picked, inHand],
  );
  const lead = picked?.limits
    ? leadingDigits((picked.limits.max + picked.limits.min) / 2, gaugeUnits)
    : measuring && advice.cold && !sized?.standsOff
      ? leadingDigits(advice.expects.value, gaugeUnits)
      : '';
  const [text, setText] = useState(lead);
  // of a slender row both ends are measured: after a cut the free one first, then the other
  const afterCut = live.slice(live.findLastIndex((e) => e.kind === 'cut') + 1);
  const isRead = (end: keyof Ends) => ends !== undefined && afterCut.some((e) => e.kind === 'reading' && endRead(e, ends) === end);
  const [pressed, setPressed] = useState<{ readonly at: keyof Ends; readonly entries: number }>();
  const where: keyof Ends = pressed?.entries === own.length ? pressed.at : isRead('free') && !isRead('held') ? 'held' : 'free';
  const [seen, setSeen] = useState({ entries: own.length, picked: picked?.id });
  if (seen.entries !== own.length || seen.picked !== picked?.id) {
    setSeen({ entries: own.length, picked: seen.entries === own.length ? picked?.id : undefined });
    if (seen.entries !== own.length) setPicked(undefined);
    setText(lead);
    setField('size');
  }
  const pick = (size: Characteristic) => {
    setPicked(size);
    requestAnimationFrame(() => document.querySelector<HTMLInputElement>('#reading')?.focus({ preventScroll: true }));
  };
  const typed = text !== '' && text !== lead;
  const card = useCard(`${String(own.length)}/${picked?.id ?? ''}`);
  const store = useCallback(
    async (work: () => Promise<unknown>) => {
      if (!card.take()) return;
      try {
        setRefused(undefined);
        if ((await work()) === REFUSED) card.giveBack();
      } catch {
        card.giveBack();
        setRefused(
          'This browser did not store the entry (storage full or blocked). Nothing earlier is lost: export the job, make room, and press again.',
        );
      }
    },
    [card],
  );
  const at: Card = {
    piece,
    step,
    plan,
    sized,
    advice,
    reading,
    picked: picked !== undefined,
    along: ends && !picked ? ends[where] : undefined,
    gauge: inHand,
  };
  const next = () =>
    void store(async () => {
      const pressed = press(at, reading && typed ? { text, gaugeUnits, celsius, units: job.units } : undefined);
      if ('refused' in pressed) {
        setRefused(writeSentence(pressed.refused, gaugeUnits));
        return REFUSED;
      }
      for (const entry of pressed.entries) await add(entry);
      return undefined;
    });
  useKeys({
    ' ': next,
    Enter: (e) => (e.target instanceof HTMLButtonElement && !e.target.classList.contains('next') ? false : (next(), true)),
    PageDown: next,
    i: () => document.querySelector<HTMLButtonElement>('.bench .huge button.figure, .bench .large button.figure')?.click(),
  });
  useEffect(() => {
    if (limits) document.querySelector<HTMLInputElement>('#reading')?.focus({ preventScroll: true });
  }, [limits, own.length]);
  const past = advice?.stands === 'past';
  const bothEnds = sized && step.because.find((r) => r.rule === 'both-ends');
  const both = reading && typed ? readAt(at, text, gaugeUnits) : undefined;
  return (
    <main className="bench">
      <div>
        <h1>
          {verbs[step.verb]}{' '}
          <span className="quiet" style={{ fontWeight: 400, fontSize: 18 }}>
            {writeSentence(step.says, units)}
          </span>
        </h1>
        {refused !== undefined && (
          <div className="out" role="alert">
            {refused}
          </div>
        )}
        {sized && limits && advice && (last !== undefined || sized.kind !== 'thread') ? (
          <AdviceCard
            advice={advice}
            wanted={limits}
            units={units}
            machine={machine}
            axis={sized.axis}
            huge="huge"
            last={cutBy && { text: inUnits(cutBy.value.text, cutBy.value.units, units), celsius: cutBy.celsius ?? 20 }}
          />
        ) : sized && advice ? (
          <div data-testid="advice" data-next={advice.next}>
            <Settings step={step} units={units} />
          </div>
        ) : (
          <Settings step={step} units={units} />
        )}
        {sized && limits && sized.kind === 'thread' && (
          <div className="line">
            {sized.wire === undefined
              ? 'On the pitch line'
              : `Over three wires of ${writeWithUnit({ is: 'length', value: sized.wire, step: 0.001 }, units)}`}
            : {write({ is: 'length', value: limits.min, step: 0.001 }, units).text} to{' '}
            {writeWithUnit({ is: 'length', value: limits.max, step: 0.001 }, units)}
          </div>
        )}
        <StillToBeDone ways={plan && sized && advice ? stillToBeDone(sized, advice, { step, plan, job }) : []} units={units} />
        {bothEnds && (advice?.next === 'measure' || (advice?.next === 'stop' && !past)) && (
          <div className="quiet size-16">{sentenceCase(writeSentence(bothEnds.says, units))}</div>
        )}
        {step.verb === 'check' && setup && <Release view={view} setup={setup} piece={piece} picked={picked?.id} onPick={pick} />}
        <Feel view={view} step={step} piece={piece} live={live} gauge={kit.gauges.find((g) => g.id === inHand)} onTold={store} />
        <Collars key={`collars ${step.id}`} view={view} step={step} setup={setup} piece={piece} live={live} onTold={store} />
        <Clock key={step.id} step={step} piece={piece} live={live} add={add} onStore={store} />
        {(limits ?? gauges.length > 1) && (
          <div className="d-flex gap-3 align-items-center flex-wrap mt-2 size-16">
            <select className="form-select wide-190" aria-label="gauge" value={inHand ?? ''} onChange={(e) => setChosenGauge(e.target.value)}>
              {gauges.map((g) => (
                <option key={g.id} value={g.id}>
                  {g.name}
                </option>
              ))}
            </select>
            <span className="quiet text-nowrap">{speedAndFeed(step, units)}</span>
            <span className="past" role="group" aria-label="readings so far">
              {readings
                .map(
                  (r) => `${r.value.text}${ends && r.along ? ` ${endRead(r, ends)} end` : ''}${r.celsius !== undefined ? ` at ${r.celsius} °C` : ''}`,
                )
                .join(' → ')}
            </span>
          </div>
        )}
        {ends && <MeasuredAt ends={ends} at={where} units={units} onAt={(at) => setPressed({ at, entries: own.length })} />}
        {step.cautions.length > 0 && (
          <div className="line quiet size-16">
            {step.cautions.map((c) => (
              <div key={c}>△ {c}</div>
            ))}
          </div>
        )}
        {advice?.next === 'ask' && last && (
          <Asked
            meant={advice.meant?.value}
            units={gaugeUnits}
            dialReads={advice.dialReads}
            {...(machine && { onDialReads: (reads) => setDial(view, machine, reads) })}
            onRight={() => void store(() => add({ ...again(last), sure: true }))}
            onMeant={(cell) =>
              void store(async () => {
                await add({ kind: 'withdrawn', entry: last.id, piece, step: step.id });
                await add({ ...again(last), value: cell });
              })
            }
          />
        )}
        {sized && advice?.dial && advice.next !== 'ask' && (
          <Dialled
            units={machine?.dials[sized.axis]?.division.units ?? units}
            onDialled={(dial) => void store(() => add({ kind: 'cut', axis: sized.axis, dial, piece, step: step.id }))}
          />
        )}
        <div className="d-flex gap-2 mt-3 flex-wrap">
          <Back view={view} />
          <Button
            variant="outline-light"
            onClick={() => void store(() => add({ kind: 'skipped', why: 'skipped at the Bench', piece, step: step.id }))}>
            skip this step
          </Button>
          {advice?.next === 'indexTip' && (
            <Button
              variant="outline-light"
              onClick={() => void store(() => add({ kind: 'symptom', symptom: WORN.symptom, remedy: WORN.kept, piece, step: step.id }))}>
              go on with this edge
            </Button>
          )}
          {past && (
            <Button
              variant="outline-light"
              onClick={() =>
                void store(() => add({ kind: 'scrapped', why: advice.kind === 'bore' ? 'over size' : 'under size', piece, step: step.id }))
              }>
              scrap piece {piece}
            </Button>
          )}
          <Wrong key={step.id} view={view} step={step} piece={piece} />
        </div>
        {open.state === 'refused' && <div className="out">not stored</div>}
      </div>
      <Pad
        sizing={reading !== undefined}
        what={picked ? `${String(picked.balloon)} ${picked.is},` : whatOf(sized)}
        text={text}
        onText={(t) => setText(wholeReading(lead, t))}
        celsius={celsius}
        jobUnits={job.units}
        onCelsius={setCelsius}
        field={field}
        onField={setField}
        units={gaugeUnits}
        onUnits={(u) => {
          setGaugeUnits(u);
          kept.set(GAUGE_UNITS, u);
          setText('');
        }}
        said={both && (both.ok ? writeBoth(both.value.mm, units) : writeSentence(both.problems[0]?.says ?? [], units))}
        label={picked && typed ? 'Next: keep the reading' : nextLabel(limits !== undefined, typed, advice)}
        onNext={next}
      />
    </main>
  );
}
