import { figure, type Units, write, writeMinutes, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { type Deed, type Exercise, type Seen, setUp, Stand, writePractice } from '@obra/core/practice';
import { mmOf } from '@obra/core/shop';
import { useMemo, useReducer, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Shop } from '@obra/core/document';
import { now } from '../../data/ids';
import { usePractised } from '../../data/practised';
import { download, fileName } from '../../shell/download';
import { useKeys } from '../../shell/keys';
import { AdviceCard, Big, RunToSize } from '../../slate';
import { counted, StandEnded } from './StandEnded';
import { Earlier } from './Earlier';
import { StandGauges } from './StandGauges';
import { StandHandles } from './StandHandles';
import { firstFeed, StandLevers } from './StandLevers';
import { StandPicture } from './StandPicture';
import { useSpeaking } from './useSpeaking';
import { aPass, adviserBeside } from '../../words/pressed';

interface Props {
  readonly exercise: Exercise;
  readonly number: number;
  readonly lathe: string;
  readonly shop: Shop;
  readonly units: Units;
  /** deeds that are done already: of a file */
  readonly begun: readonly Deed[];
  readonly onAnother: (number: number) => void;
}

/** What is kept of an attempt. */
const MOST_DEEDS = 400;

/** The stand: the bar in its chuck, handles and levers, gauges to lay on; what is seen, heard and felt. What the metal was is told at the end. */
export function StandView({ exercise, number, lathe, shop, units, begun, onAnother }: Props) {
  const set = useMemo(() => setUp(exercise, number, shop), [exercise, number, shop]);
  const [stand, setStand] = useState(() => new Stand(set));
  const [lines, setLines] = useState<readonly string[]>([]);
  const [seen, setSeen] = useState<Seen>({});
  const [beside, setBeside] = useState(false);
  const [, drawn] = useReducer((n: number) => n + 1, 0);
  const { keep } = usePractised();
  const [replayed, setReplayed] = useState(0);
  const dial = set.machine.dials[set.axis];
  const division = mmOf(dial?.division, 0.02);
  const dialUnits: Units = dial?.division.units ?? units;
  const say = (mm: number, step = 0.001) => writeWithUnit({ is: 'length', value: mm, step }, units);
  const act = (deed: Deed) => {
    const told = stand.act(deed);
    const words = saidOf(deed, told, say);
    // turning a handle is seen at the handle
    if (words !== '') setLines((before) => [words, ...before].slice(0, 12));
    setSeen((before) => ({ ...before, ...told }));
    if (deed.do === 'done') {
      const ended = stand.outcome();
      const run = stand.entries().flatMap((e) => (e.kind === 'reading' ? [Number(e.value.text)] : []));
      keep({
        exercise: exercise.id,
        number,
        lathe,
        at: now(),
        ended: endedOf(stand, exercise, division),
        cuts: ended.cuts,
        readings: ended.readings,
        minutes: ended.minutes,
        run: run.slice(0, 60),
        deeds: stand.deeds().slice(0, MOST_DEEDS),
      });
    }
    drawn();
    return told.reading;
  };
  const { rpm, feed } = stand.levers();
  const over = stand.isOver();
  useKeys('bench', {
    m: { says: 'measure with the first gauge', act: () => !over && set.gauges[0] && measure(set.gauges[0].id) },
    p: { says: aPass, act: () => !over && act({ do: 'pass' }) },
    s: { says: 'start or stop the spindle', act: () => !over && spindle() },
  });
  const speaking = useSpeaking((mm) => {
    if (!over) act({ do: 'heard', mm });
  });
  const measure = (gauge: string) => {
    const reading = act({ do: 'read', gauge });
    if (speaking.on && reading !== undefined) speaking.press(reading);
  };
  const spindle = () =>
    act({
      do: 'levers',
      rpm: rpm > 0 ? 0 : nearest(set.speeds, (1000 * set.speed) / (Math.PI * set.wanted.nominal)),
      feed: feed || firstFeed(set.feeds),
    });
  const readings = stand.entries().flatMap((e) => (e.kind === 'reading' ? [e] : []));
  const advice = beside || over ? stand.advice() : undefined;
  const replay = () => {
    const one = begun[replayed];
    if (!one) return;
    act(one);
    setReplayed(replayed + 1);
  };
  return (
    <>
      <StandPicture set={set} stand={stand} seen={seen} units={units} />
      <div className="work">
        <aside className="slate" aria-label="Slate" tabIndex={0}>
          <h1 className="size-18">{exercise.title}</h1>
          <p className="m-0">{writeSentence(exercise.asks, units)}</p>
          {set.toRead === undefined ? (
            <Big figure={figure('length', 'distance', { value: set.wanted.max }, { step: 0.001 })} units={units} size="mid">
              most, {write({ is: 'length', value: set.wanted.min, step: 0.001 }, units).text} least
            </Big>
          ) : (
            <Big figure={figure('length', 'distance', { value: set.toRead }, { step: division / 10 })} units={dialUnits} size="mid">
              on the dial
            </Big>
          )}
          <p className="quiet m-0">
            {dial?.reads === undefined || set.axis !== 'cross'
              ? 'The dial counts the way of the slide'
              : `The shop says: the cross dial reads ${set.says}`}
            ; one division is {writeWithUnit({ is: 'length', value: division, step: division }, dialUnits)}.
          </p>
          <hr />
          <p className="m-0" data-testid="counts">
            {counted(stand.counts().cuts, 'cut')}, {counted(stand.counts().readings, 'reading')}, {writeMinutes(stand.counts().minutes)}
          </p>
          <Form.Check type="switch" id="adviser" label={adviserBeside} checked={beside} onChange={(e) => setBeside(e.target.checked)} />
          {beside && !over && advice && (
            <AdviceCard
              advice={advice}
              wanted={set.wanted}
              units={units}
              machine={set.machine}
              axis={set.axis}
              huge="big"
              last={readings.length > 0 ? { text: readings.at(-1)?.value.text ?? '', celsius: readings.at(-1)?.celsius ?? 20 } : undefined}>
              {null}
            </AdviceCard>
          )}
          {beside && !over && advice?.dialReads && (
            <Button variant="outline-light" onClick={() => advice.dialReads && act({ do: 'believe', reads: advice.dialReads })}>
              take the dial for {advice.dialReads}
            </Button>
          )}
        </aside>
        <main className="sheet practice">
          {over ? (
            <StandEnded stand={stand} exercise={exercise} units={units} division={division} onAnother={onAnother} number={number}>
              {advice && readings.length > 1 && (
                <div className="on-slate">
                  <RunToSize wanted={set.wanted} advice={advice} read={readings} material={set.material} gauges={set.gauges} units={units} />
                </div>
              )}
              <Button
                variant="outline-dark"
                onClick={() =>
                  download(
                    fileName(`${exercise.id} ${String(number)}`, 'practice.json'),
                    writePractice({ exercise: exercise.id, number, lathe, deeds: stand.deeds() }),
                  )
                }>
                as a file
              </Button>
            </StandEnded>
          ) : (
            <div className="practice-bench">
              <StandHandles set={set} stand={stand} dialUnits={dialUnits} division={division} onAct={act} />
              <StandLevers set={set} stand={stand} units={units} onAct={act} onSpindle={spindle} />
              <StandGauges set={set} shown={seen.reading === undefined ? '' : say(seen.reading)} speaking={speaking} onMeasure={measure}>
                <Button className="tall-44 w-100 mt-2" variant="outline-dark" onClick={() => act({ do: 'done' })}>
                  let it go: it is as it is
                </Button>
                {replayed < begun.length && (
                  <Button className="tall-44 w-100 mt-2" variant="outline-dark" onClick={replay}>
                    as in the file: next of {begun.length - replayed}
                  </Button>
                )}
              </StandGauges>
              <ol className="practice-log" aria-label="What happened, the last first" aria-live="polite">
                {lines.map((line, i) => (
                  <li key={`${String(lines.length)} ${String(i)}`}>{line}</li>
                ))}
              </ol>
            </div>
          )}
          {over && <Earlier exercise={exercise} shop={shop} lathe={lathe} units={units} />}
          {over && (
            <Button
              variant="outline-dark"
              onClick={() => {
                setStand(new Stand(set));
                setLines([]);
                setSeen({});
                setReplayed(0);
              }}>
              the same metal again
            </Button>
          )}
        </main>
      </div>
    </>
  );
}

const nearest = (speeds: readonly number[], wanted: number): number =>
  speeds.toSorted((a, b) => a - b).findLast((n) => n <= wanted) ?? Math.min(...speeds);

/** How it ended: a dial brought to its reading and a zero set at the scratch lie within a part of a division, or not yet; a size lands. */
function endedOf(stand: Stand, { only }: Exercise, division: number): string {
  if (only === 'touch') return Math.abs(stand.zeroOff()) <= division ? 'in' : 'not yet';
  return only === 'dial' ? (stand.stands() ? 'in' : 'not yet') : stand.outcome().landed;
}

/** A deed and what came of it, as one line. */
function saidOf(deed: Deed, { chips, sound, surface, warm, reading, says }: Seen, say: (mm: number) => string): string {
  const told = [says?.replace(/\.$/, ''), sound, chips, surface && `surface ${surface}`, warm].filter((t) => t !== undefined && t !== '').join('; ');
  if (deed.do === 'read' && reading !== undefined) return `measured ${say(reading)}${told === '' ? '' : `; ${told}`}`;
  if (deed.do === 'pass') return `a pass: ${told}`;
  if (deed.do === 'heard') return reading === undefined ? 'nothing came over its line that could be taken' : `over its line ${say(reading)}`;
  if (deed.do === 'dial' || deed.do === 'along') return says === undefined && sound === undefined ? '' : told;
  return told;
}
