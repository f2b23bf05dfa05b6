import { type BenchState, clocksOf, type Running, WAITS } from '@obra/core/bench';
import { writeClock } from '@obra/core/quantity';
import { type SubmitEvent, useEffect, useMemo, useRef, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { kept } from '../../data/local';
import { stepSaid, type JobView } from './view';
import { leaveIt } from '../../words/pressed';

const SOUND = 'obra-clock-sound';
const MINUTE = 60_000;

/** The clocks that run, wherever they were started: over reloads, of every piece. */
export function Clocks({ view, state }: { readonly view: JobView; readonly state: BenchState }) {
  const { log, job } = view;
  const [now, setNow] = useState(() => Date.now());
  const clocks = useMemo(() => clocksOf(log, state.done, now), [log, state.done, now]);
  const any = useMemo(() => log.some((e) => e.kind === 'timer'), [log]);
  const [sound, setSound] = useState(() => kept.get(SOUND) === 'on');
  useEffect(() => {
    if (!any) return undefined;
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(tick);
  }, [any]);
  const rung = useRef(new Set<string>());
  useEffect(() => {
    for (const c of clocks) {
      if (c.left > 0 || rung.current.has(c.id)) continue;
      rung.current.add(c.id);
      // one that was up before the page was opened is told, not rung
      if (sound && c.left > -3000) ring();
    }
  }, [clocks, sound]);
  if (clocks.length === 0) return null;
  return (
    <section className="clocks" aria-label="Clocks">
      {clocks.map((c) => (
        <div
          key={c.id}
          role="timer"
          aria-label={`${nameOf(c, view)}${job.pieces > 1 ? `, piece ${String(c.piece)}` : ''}`}
          className={c.left <= 0 ? 'in' : ''}>
          <span className="fig">{c.setBack ? 'clock set back' : c.left > 0 ? writeClock(c.left / 1000) : 'time is up'}</span>{' '}
          <small>
            {nameOf(c, view)}
            {job.pieces > 1 ? `, piece ${String(c.piece)}` : ''}
          </small>
        </div>
      ))}
      <Button
        variant="outline-light"
        aria-pressed={sound}
        onClick={() => {
          kept.set(SOUND, sound ? 'off' : 'on');
          setSound(!sound);
          if (!sound) ring();
        }}>
        {sound ? 'rings: yes' : 'rings: no'}
      </Button>
    </section>
  );
}

const nameOf = ({ says, step }: Running, view: JobView): string => (says === WAITS && step !== null ? stepSaid(step, view) : says);

/** Three short tones; nothing where the browser allows no sound. */
function ring(): void {
  try {
    const audio = new AudioContext();
    for (const at of [0, 0.25, 0.5]) {
      const tone = audio.createOscillator();
      tone.frequency.value = 880;
      tone.connect(audio.destination);
      tone.start(audio.currentTime + at);
      tone.stop(audio.currentTime + at + 0.12);
    }
    setTimeout(() => void audio.close(), 1500);
  } catch {
    // what is up stands on the screen
  }
}

interface NewProps {
  readonly view: JobView;
  readonly piece: number;
  readonly step: string;
  readonly onClose: () => void;
  readonly onStore: (work: () => Promise<void>) => Promise<void>;
}

const USUAL = ['oven', 'curing', 'tempering', 'cooling', 'nip the tail centre again', 'oil the slides'];

/** A clock of one's own: so many minutes, for what. */
export function NewClock({ view, piece, step, onClose, onStore }: NewProps) {
  const [minutes, setMinutes] = useState('10');
  const [says, setSays] = useState('');
  const long = Number(minutes.trim().replace(',', '.'));
  const right = minutes.trim() !== '' && Number.isFinite(long) && long > 0 && long <= 2880;
  const start = (e: SubmitEvent) => {
    e.preventDefault();
    if (!right) return;
    void onStore(async () => {
      await view.add({
        kind: 'timer',
        says: says.trim() === '' ? 'clock' : says.trim().slice(0, 120),
        until: new Date(Date.now() + long * MINUTE).toISOString(),
        piece,
        step,
      });
      onClose();
    });
  };
  return (
    <Form className="note-here" aria-label="A clock" onSubmit={start} onKeyDown={(e) => e.key === 'Escape' && onClose()}>
      <div className="d-flex gap-2 align-items-center flex-wrap">
        <Form.Control
          autoFocus
          className="wide-92 fig"
          inputMode="decimal"
          aria-label="minutes"
          aria-invalid={!right}
          value={minutes}
          maxLength={8}
          onChange={(e) => setMinutes(e.target.value)}
        />
        <span>minutes</span>
        <Form.Control
          className="wide-260"
          aria-label="what for"
          placeholder="what for"
          list="clock-for"
          value={says}
          maxLength={120}
          onChange={(e) => setSays(e.target.value)}
        />
        <datalist id="clock-for">
          {USUAL.map((words) => (
            <option key={words} value={words} />
          ))}
        </datalist>
        <Button type="submit" variant="light" className="tall-48" disabled={!right}>
          start it
        </Button>
        <Button variant="outline-light" className="tall-48" onClick={onClose}>
          {leaveIt}
        </Button>
      </div>
      {!right && <div className="out">Minutes as a number, up to 2880 (two days).</div>}
    </Form>
  );
}
