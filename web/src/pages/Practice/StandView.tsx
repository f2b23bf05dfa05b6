import { figure, parseLength, type Units, write, writeMinutes, writeSentence, writeWithUnit } from '@obra/core/quantity';
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
import { Dial } from './Dial';
import { counted, StandEnded } from './StandEnded';
import { StandPicture } from './StandPicture';

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

/** Divisions that stand round a ring where nothing else is known. */
const ROUND = 100;

/** The stand: the bar in its chuck, handles and levers, gauges to lay on; what is seen, heard and felt. What the metal was is told at the end. */
export function StandView({ exercise, number, lathe, shop, units, begun, onAnother }: Props) {
  const set = useMemo(() => setUp(exercise, number, shop), [exercise, number, shop]);
  const [stand, setStand] = useState(() => new Stand(set));
  const [lines, setLines] = useState<readonly string[]>([]);
  const [seen, setSeen] = useState<Seen>({});
  const [beside, setBeside] = useState(false);
  const [typed, setTyped] = useState('');
  const [refused, setRefused] = useState<string>();
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
        ended: exercise.only === 'touch' ? touchedWithin(stand, division) : ended.landed,
        cuts: ended.cuts,
        readings: ended.readings,
        minutes: ended.minutes,
        run: run.slice(0, 60),
      });
    }
    drawn();
  };
  const { rpm, feed, coolant } = stand.levers();
  const over = stand.isOver();
  const wait = set.truth.warms > 5 || coolant;
  useKeys('bench', {
    m: { says: 'measure with the first gauge', act: () => !over && set.gauges[0] && act({ do: 'read', gauge: set.gauges[0].id }) },
    p: { says: 'a pass at this setting', act: () => !over && act({ do: 'pass' }) },
    s: { says: 'start or stop the spindle', act: () => !over && spindle() },
  });
  const spindle = () =>
    act({
      do: 'levers',
      rpm: rpm > 0 ? 0 : nearest(set.speeds, (1000 * set.speed) / (Math.PI * set.wanted.nominal)),
      feed: feed || firstFeed(set.feeds),
    });
  const readings = stand.entries().flatMap((e) => (e.kind === 'reading' ? [e] : []));
  const advice = beside || over ? stand.advice() : undefined;
  const turn = () => {
    const read = parseLength(typed.replace(/^\s*[-−]/, ''), dialUnits);
    const zero = /^\s*[-−+]?0*[.,]?0*\s*$/.test(typed) && typed.trim() !== '';
    if (!read.ok && !zero) {
      setRefused(writeSentence(read.problems[0]?.says ?? [], units));
      return;
    }
    setRefused(undefined);
    const mm = read.ok ? read.value : 0;
    act({ do: 'dial', to: /^\s*[-−]/.test(typed) ? -mm : mm });
    setTyped('');
  };
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
          <Big figure={figure('length', 'distance', { value: set.wanted.max }, { step: 0.001 })} units={units} size="mid">
            most, {write({ is: 'length', value: set.wanted.min, step: 0.001 }, units).text} least
          </Big>
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
          <Form.Check type="switch" id="adviser" label="the adviser beside me" checked={beside} onChange={(e) => setBeside(e.target.checked)} />
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
                <RunToSize wanted={set.wanted} advice={advice} read={readings} material={set.material} gauges={set.gauges} units={units} />
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
              <section aria-label="Handle">
                <Dial
                  value={stand.dial()}
                  division={division}
                  round={ROUND}
                  units={dialUnits}
                  words={`${set.axis} handle`}
                  onTurn={(to) => act({ do: 'dial', to })}
                />
                <div className="dial-said fig" data-testid="dial" aria-live="polite">
                  {write({ is: 'length', value: stand.dial(), step: division / 10 }, dialUnits).text}
                </div>
                <div className="d-flex gap-2 mt-1 flex-wrap">
                  <Button variant="outline-dark" onClick={() => act({ do: 'dial', to: stand.dial() - 1 })}>
                    back {writeWithUnit({ is: 'length', value: 1 }, dialUnits)}
                  </Button>
                  <Button variant="outline-dark" onClick={() => act({ do: 'zero' })}>
                    zero the ring
                  </Button>
                </div>
                <Form
                  className="d-flex gap-2 mt-2"
                  onSubmit={(e) => {
                    e.preventDefault();
                    turn();
                  }}>
                  <Form.Control
                    className="fig wide-120"
                    aria-label="turn the handle until its dial shows"
                    placeholder="turn it to"
                    value={typed}
                    maxLength={14}
                    isInvalid={refused !== undefined}
                    onChange={(e) => setTyped(e.target.value)}
                  />
                  <Button type="submit" variant="outline-dark" disabled={typed.trim() === ''}>
                    turn
                  </Button>
                </Form>
                {refused !== undefined && (
                  <div role="alert" className="out">
                    {refused}
                  </div>
                )}
              </section>
              <section aria-label="Levers">
                <Button className="tall-56 w-100" variant={rpm > 0 ? 'primary' : 'outline-dark'} aria-pressed={rpm > 0} onClick={spindle}>
                  {rpm > 0 ? `spindle turns, ${String(rpm)} rpm: stop it` : 'start the spindle'}
                </Button>
                <div className="d-flex gap-2 mt-2">
                  <Form.Select
                    aria-label="speed"
                    value={rpm}
                    onChange={(e) => act({ do: 'levers', rpm: Number(e.target.value), feed: feed || firstFeed(set.feeds) })}>
                    <option value={0}>stopped</option>
                    {set.speeds.map((n) => (
                      <option key={n} value={n}>
                        {n} rpm
                      </option>
                    ))}
                  </Form.Select>
                  <Form.Select aria-label="feed" value={feed} onChange={(e) => act({ do: 'levers', rpm, feed: Number(e.target.value) })}>
                    <option value={0}>no feed</option>
                    {set.feeds.map((f) => (
                      <option key={f} value={f}>
                        {writeWithUnit({ is: 'feed', value: f }, units)}
                      </option>
                    ))}
                  </Form.Select>
                </div>
                <div className="d-flex gap-2 mt-2 flex-wrap">
                  <Button variant={coolant ? 'primary' : 'outline-dark'} aria-pressed={coolant} onClick={() => act({ do: 'coolant', on: !coolant })}>
                    coolant
                  </Button>
                  {wait && (
                    <Button variant="outline-dark" onClick={() => act({ do: 'wait', minutes: 10 })}>
                      let it lie 10 min
                    </Button>
                  )}
                  {set.kind === 'outside' && (
                    <Button variant="outline-dark" onClick={() => act({ do: 'emery' })}>
                      a stroke of emery
                    </Button>
                  )}
                </div>
                <Button className="tall-56 w-100 mt-2" variant="primary" aria-keyshortcuts="p" onClick={() => act({ do: 'pass' })}>
                  a pass at this setting
                </Button>
              </section>
              <section aria-label="Gauges">
                {set.gauges.map((g, i) => (
                  <Button
                    key={g.id}
                    className="tall-44 w-100 mb-2"
                    variant="outline-dark"
                    {...(i === 0 && { 'aria-keyshortcuts': 'm' })}
                    onClick={() => act({ do: 'read', gauge: g.id })}>
                    measure: {g.name}
                  </Button>
                ))}
                <div className="large size-30 fig" data-testid="reading" aria-live="polite">
                  {seen.reading === undefined ? '' : say(seen.reading)}
                </div>
                <Button className="tall-44 w-100 mt-2" variant="outline-dark" onClick={() => act({ do: 'done' })}>
                  let it go: it is as it is
                </Button>
                {replayed < begun.length && (
                  <Button className="tall-44 w-100 mt-2" variant="outline-dark" onClick={replay}>
                    as in the file: next of {begun.length - replayed}
                  </Button>
                )}
              </section>
              <ol className="practice-log" aria-label="What happened, the last first" aria-live="polite">
                {lines.map((line, i) => (
                  <li key={`${String(lines.length)} ${String(i)}`}>{line}</li>
                ))}
              </ol>
            </div>
          )}
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

const firstFeed = (feeds: readonly number[]): number => feeds.find((f) => f >= 0.08) ?? feeds[0] ?? 0.1;
const nearest = (speeds: readonly number[], wanted: number): number =>
  speeds.toSorted((a, b) => a - b).findLast((n) => n <= wanted) ?? Math.min(...speeds);

/** How a zero that was set at the scratch lies: within a division, or how far off. */
const touchedWithin = (stand: Stand, division: number): string => (Math.abs(stand.zeroOff()) <= division ? 'in' : 'not yet');

/** A deed and what came of it, as one line. */
function saidOf(deed: Deed, { chips, sound, surface, warm, reading, says }: Seen, say: (mm: number) => string): string {
  const told = [says?.replace(/\.$/, ''), sound, chips, surface && `surface ${surface}`, warm].filter((t) => t !== undefined && t !== '').join('; ');
  if (deed.do === 'read' && reading !== undefined) return `measured ${say(reading)}${told === '' ? '' : `; ${told}`}`;
  if (deed.do === 'pass') return `a pass: ${told}`;
  if (deed.do === 'dial') return says === undefined && sound === undefined ? '' : told;
  return told;
}
