import {
  type BenchState,
  type Card,
  doneAs,
  endRead,
  type Ends,
  endToRead,
  feltAt,
  inByDial,
  press,
  readAt,
  readingAt,
  shoulderByDial,
  stillToBeDone,
  type Typed,
  wantsReading,
  WORN,
  type Written,
} from '@obra/core/bench';
import { letterOf } from '@obra/core/drawing';
import { type Step, verbs } from '@obra/core/operations';
import { isRehearsal, rehearsedReading } from '@obra/core/practice';
import { writeSentence, writeWithUnit } from '@obra/core/quantity';
import { presetOf, takesOf } from '@obra/core/sizing';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { atHandNow, useAtHand } from '../../data/atHand';
import { useKeys } from '../../shell/keys';
import { FROM_PLAN } from '../../sheet';
import { AdviceCard, FigureNumber, RunToSize, Said, sentenceCase, Stands, StillToBeDone } from '../../slate';
import { AfterBreak } from './AfterBreak';
import { Asked, again, setDial } from './Asked';
import { Back } from './Back';
import { Clock } from './Clock';
import { NewClock } from './Clocks';
import { Collars } from './Collars';
import { DialIn } from './DialIn';
import { Dialled } from './Dialled';
import { Feel } from './Feel';
import { ForSetting } from './ForSetting';
import { JoinedCard } from './Joined';
import { Knurled } from './Knurled';
import { MeasuredAt } from './MeasuredAt';
import { MeasuredWith, ReadSoFar } from './MeasuredWith';
import { inUnits, nextLabel, whatOf, writeBoth } from './measuring';
import { NoteHere, Notes } from './NoteHere';
import { OwnHere } from './OwnHere';
import { Pad } from './Pad';
import { Passes } from './Passes';
import { Release } from './Release';
import { RoomHere } from './RoomHere';
import { Scrap } from './Scrap';
import { Settings, Why } from './Settings';
import { REFUSED, useCard } from './useCard';
import { useEntry } from './useEntry';
import { saidBySimulated, useHeard } from './useHeard';
import { useSized } from './useSized';
import { Wrong } from './Wrong';
import { Zeros } from './Zeros';
import type { JobView } from './view';
import { notStored, overSize, underSize } from '../../words/found';
import { nextSays } from '../../words/keys';
import { keepReading, scrapPiece } from '../../words/pressed';

const NOT_STORED =
  'This browser did not store the entry (storage full or blocked). Nothing earlier is lost: export the job, make room, and press again.';

export type Beside = 'note' | 'own' | 'clock' | 'room' | 'scrap';

interface AtStepProps {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly state: BenchState;
  /** what was asked for beside the step: a note, a clock, giving the piece up */
  readonly beside: Beside | undefined;
  readonly onBeside: (to: Beside | undefined) => void;
}

/** One step of one piece at the Bench: what to do, what was read, the one big key. */
export function AtStep({ view, step, piece, state, beside, onBeside }: AtStepProps) {
  const { log, add, units, job, open, plan } = view;
  const own = log.filter((e) => e.piece === piece && e.step === step.id);
  const before = own.findLast((e) => e.kind === 'reading');
  const [chosenGauge, setChosenGauge] = useState(before?.gauge ?? step.gauge ?? '');
  const asked = chosenGauge === '' ? undefined : chosenGauge;
  const at = useSized(view, step, piece, state, asked);
  const { kit, machine, live, readings, sized, advice, ends, inHand } = at;
  const { room } = useAtHand();
  const entry = useEntry(at, own.length, job.units);
  const { picked, typed, text } = entry;
  const last = readings.at(-1);
  // the dial goes by the free end; what the other one reads has narrowed its limits
  const cutBy = ends ? (readings.findLast((r) => endRead(r, ends) === 'free') ?? last) : last;
  const limits = sized?.limits;
  const towards = useMemo(() => readings.filter((r) => !ends || endRead(r, ends) === 'free'), [readings, ends]);
  const setup = plan?.routes[0]?.setups.find((s) => s.steps.some((o) => o.id === step.id));
  const answer = useMemo(() => plan && feltAt(step, at, plan, job), [step, at, plan, job]);
  const shoulder = plan && shoulderByDial(step, plan.part, setup);
  const [refused, setRefused] = useState<string>();
  const reading = useMemo(() => readingAt(at, view.plan?.part ?? view.part, picked), [at, view.plan, view.part, picked]);
  const [pressed, setPressed] = useState<{ readonly at: keyof Ends; readonly entries: number }>();
  const where: keyof Ends = pressed?.entries === own.length ? pressed.at : endToRead(at);
  const card = useCard(`${String(own.length)}/${picked?.id ?? ''}`);
  const store = useCallback(
    async (work: () => Promise<unknown>) => {
      if (!card.take()) return;
      try {
        setRefused(undefined);
        if ((await work()) === REFUSED) card.giveBack();
      } catch {
        card.giveBack();
        setRefused(NOT_STORED);
      }
    },
    [card],
  );
  const lies: Card = {
    piece,
    step,
    plan,
    sized,
    advice,
    reading,
    picked: picked !== undefined,
    along: ends && !picked ? ends[where] : undefined,
    gauge: inHand,
    fits: answer?.fits === true,
  };
  const keepSaid = async (written: Written) => {
    if ('refused' in written) {
      setRefused(writeSentence(written.refused, entry.units));
      return REFUSED;
    }
    for (const one of written.entries) await add(one);
    return undefined;
  };
  const next = () =>
    void store(() => {
      const { who } = atHandNow();
      const typedNow = reading && typed ? { text, gaugeUnits: entry.units, celsius: entry.celsius, units: job.units, room, who } : undefined;
      return keepSaid(press(lies, typedNow, who));
    });
  const rehearsed = isRehearsal(view.id);
  const told = (typed: Typed): Written => press(lies, typed, atHandNow().who);
  const measureRehearsed = () => {
    const shows = rehearsedReading(job, at, { id: view.id, piece, step: step.id, where });
    if (shows) void store(() => keepSaid(told(saidBySimulated(shows))));
  };
  useHeard(reading !== undefined, async (said) => {
    try {
      setRefused(undefined);
      await keepSaid(told({ text: said.text, gaugeUnits: said.units, celsius: entry.celsius, units: job.units, room, ...atHandNow() }));
    } catch {
      setRefused(NOT_STORED);
    }
  });
  useKeys('bench', {
    'space, pagedown': { says: nextSays, act: next },
    enter: { says: nextSays, act: (e) => (e.target instanceof HTMLButtonElement && !e.target.classList.contains('next') ? false : (next(), true)) },
    i: {
      says: 'the formula of the big number',
      act: () => document.querySelector<HTMLButtonElement>('.bench .huge button.figure, .bench .large button.figure')?.click(),
    },
  });
  useEffect(() => {
    if (limits) document.querySelector<HTMLInputElement>('#reading')?.focus({ preventScroll: true });
  }, [limits, own.length]);
  const preset =
    sized && advice && sized.kind !== 'thread' && !sized.standsOff && last
      ? presetOf(advice, machine, sized.axis, takesOf(machine, sized.axis) * (sized.kind === 'bore' || sized.kind === 'depth' ? -1 : 1))
      : undefined;
  const past = advice?.stands === 'past';
  const close = () => onBeside(undefined);
  // what is not brought to size, nor cut at a speed, is said large in its place
  const showsAdvice = sized !== undefined && limits !== undefined && advice !== undefined && (last !== undefined || sized.kind !== 'thread');
  const bothEnds = sized && step.because.find((r) => r.rule === 'both-ends');
  const both = reading && typed ? readAt(lies, text, entry.units) : undefined;
  const cautions = step.cautions.length > 0 && (
    <div className={`quiet size-16 ${reading ? '' : 'line'}`}>
      {step.cautions.map((c) => (
        <div key={c}>△ {c}</div>
      ))}
    </div>
  );
  return (
    <>
      <div className="card-now">
        <h1>
          {verbs[step.verb]}{' '}
          {(showsAdvice || step.figures['speed'] !== undefined) && (
            <span className="quiet" style={{ fontWeight: 400, fontSize: 18 }}>
              <Said sentence={step.says} units={units} from={FROM_PLAN} />
              {showsAdvice &&
                [step.figures['speed'], step.figures['feed']].map(
                  (f, i) =>
                    f && (
                      <span key={f.formula}>
                        {i === 0 ? '; ' : ', '}
                        <FigureNumber figure={f} units={units} withUnit />
                      </span>
                    ),
                )}
            </span>
          )}
        </h1>
        {refused !== undefined && (
          <div className="out" role="alert">
            {refused}
          </div>
        )}
        {beside === 'note' && <NoteHere view={view} step={step} piece={piece} onClose={close} onStore={store} />}
        {beside === 'own' && <OwnHere view={view} step={step} onClose={close} />}
        {beside === 'room' && <RoomHere units={job.units} onClose={close} />}
        {beside === 'clock' && <NewClock view={view} step={step.id} piece={piece} onClose={close} onStore={store} />}
        {beside === 'scrap' && (
          <Scrap
            view={view}
            state={state}
            piece={piece}
            why={past ? (advice.kind === 'bore' || advice.kind === 'depth' ? overSize : underSize) : ''}
            onClose={close}
            onStore={store}
          />
        )}
        {sized && limits && advice && showsAdvice ? (
          <AdviceCard
            advice={advice}
            wanted={limits}
            units={units}
            machine={machine}
            axis={sized.axis}
            huge="huge"
            {...(sized.plain && { band: job.drawing.untoleranced.text })}
            last={cutBy && { text: inUnits(cutBy.value.text, cutBy.value.units, units), celsius: cutBy.celsius ?? 20 }}>
            {!sized.standsOff && advice.next !== 'ask' && (
              <RunToSize wanted={limits} advice={advice} read={towards} material={view.part.material} gauges={kit.gauges} units={units} />
            )}
          </AdviceCard>
        ) : sized && advice ? (
          <div data-testid="advice" data-next={advice.next}>
            <Settings step={step} units={units} />
            <Why step={step} units={units} />
          </div>
        ) : (
          <Settings step={step} units={units} />
        )}
        {sized && advice && advice.stands !== 'in' && (
          <AfterBreak live={live} material={view.part.material} across={sized.limits.nominal} units={units} />
        )}
        {preset && (
          <div className="line" data-testid="preset">
            Readout: set it to <FigureNumber figure={preset.set} units={units} />, cut at{' '}
            <span className="large size-24">
              <FigureNumber figure={preset.cut} units={units} />
            </span>
          </div>
        )}
        {sized && limits && sized.kind === 'thread' && (
          <div className="line">
            {sized.wire === undefined
              ? 'On the pitch line'
              : `Over three wires of ${writeWithUnit({ is: 'length', value: sized.wire, step: 0.001 }, units)}`}
            : <Stands of={{ is: 'length', value: limits.min, step: 0.001 }} from="limits of the drawing" units={units} withUnit={false} /> to{' '}
            <Stands of={{ is: 'length', value: limits.max, step: 0.001 }} from="limits of the drawing" units={units} />
          </div>
        )}
        {shoulder && (
          <div className="mt-1" data-testid="shoulder">
            <span className="quiet">shoulder </span>
            <span className="large size-24">
              <FigureNumber figure={shoulder.along} units={units} />
            </span>
            <span className="quiet">
              {' '}
              from face {letterOf(shoulder.end)} by the carriage dial,{' '}
              <Stands of={{ is: 'length', value: shoulder.limits.min }} from="limits of the length, by the drawing" units={units} withUnit={false} />{' '}
              to <Stands of={{ is: 'length', value: shoulder.limits.max }} from="limits of the length, by the drawing" units={units} /> long
            </span>
          </div>
        )}
        <StillToBeDone ways={plan && sized && advice ? stillToBeDone(sized, advice, { step, plan, job }) : []} units={units} />
        {bothEnds && !ends && (advice?.next === 'measure' || (advice?.next === 'stop' && !past)) && (
          <div className="quiet size-16">{sentenceCase(writeSentence(bothEnds.says, units))}</div>
        )}
        {step.verb === 'check' && setup && <Release view={view} setup={setup} piece={piece} picked={picked?.id} onPick={entry.pick} />}
        <ForSetting view={view} step={step} setup={setup} />
        <Zeros view={view} step={step} setup={setup} />
        <Passes view={view} step={step} piece={piece} live={live} onTold={store} />
        <Feel view={view} step={step} piece={piece} live={live} gauge={kit.gauges.find((g) => g.id === inHand)} answer={answer} onTold={store} />
        <DialIn key={`dial ${step.id} ${String(piece)}`} view={view} step={step} piece={piece} live={live} onTold={store} />
        <JoinedCard key={`join ${step.id} ${String(piece)}`} view={view} step={step} piece={piece} onTold={store} />
        <Knurled key={`knurl ${step.id} ${String(piece)}`} view={view} step={step} piece={piece} live={live} onTold={store} />
        <Collars key={`collars ${step.id}`} view={view} step={step} setup={setup} piece={piece} live={live} onTold={store} />
        <Clock key={step.id} step={step} piece={piece} live={live} add={add} onStore={store} />
        {ends && <MeasuredAt ends={ends} at={where} units={units} onAt={(at) => setPressed({ at, entries: own.length })} />}
        {advice?.next === 'ask' && last && (
          <Asked
            meant={advice.meant?.value}
            units={entry.units}
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
        <Notes notes={live.flatMap((e) => (e.kind === 'note' ? [e] : []))} />
        <div className="acts">
          <MeasuredWith at={at} onGauge={setChosenGauge} units={entry.units} onUnits={entry.onUnits} reads={reading !== undefined} />
          {sized?.plain && advice && wantsReading(advice) && advice.next === 'measure' && !inByDial(sized, advice) && (
            <Button variant="outline-light" data-testid="by-dial" onClick={() => void store(() => add(doneAs(step, plan, piece)))}>
              done by the dial
            </Button>
          )}
          {rehearsed && reading && !picked && (
            <Button variant="outline-light" onClick={measureRehearsed}>
              measure, rehearsed
            </Button>
          )}
          {advice?.next === 'indexTip' && (
            <Button
              variant="outline-light"
              onClick={() => void store(() => add({ kind: 'symptom', symptom: WORN.symptom, remedy: WORN.kept, piece, step: step.id }))}>
              go on with this edge
            </Button>
          )}
          {past && (
            <Button variant="outline-light" onClick={() => onBeside('scrap')}>
              {scrapPiece(piece)}
            </Button>
          )}
          {sized && advice?.dial && advice.next !== 'ask' && (
            <Dialled
              units={machine?.dials[sized.axis]?.division.units ?? units}
              onDialled={(dial) => void store(() => add({ kind: 'cut', axis: sized.axis, dial, piece, step: step.id }))}
            />
          )}
          <Wrong key={step.id} view={view} step={step} piece={piece} />
        </div>
        <div className="d-flex flex-wrap gap-3 mt-1 size-16">
          <ReadSoFar at={at} units={units} />
          {reading && cautions}
        </div>
        {open.state === 'refused' && <div className="out">{notStored}</div>}
      </div>
      <Pad
        sizing={reading !== undefined}
        what={picked ? `${String(picked.balloon)} ${picked.is},` : whatOf(sized)}
        text={text}
        onText={entry.onText}
        celsius={entry.celsius}
        room={room}
        jobUnits={job.units}
        onCelsius={entry.onCelsius}
        field={entry.field}
        onField={entry.onField}
        units={entry.units}
        said={both && (both.ok ? writeBoth(both.value.mm, units) : writeSentence(both.problems[0]?.says ?? [], units))}
        label={picked && typed ? keepReading : answer?.fits && !typed ? 'Next: done, it fits' : nextLabel(sized, typed, advice)}
        onNext={next}
        under={
          <>
            <Back view={view} />
            <Button
              variant="outline-light"
              onClick={() => void store(() => add({ kind: 'skipped', why: 'skipped at the Bench', piece, step: step.id }))}>
              skip this step
            </Button>
          </>
        }>
        {!sized && <Why step={step} units={units} />}
        {!reading && cautions}
      </Pad>
    </>
  );
}
