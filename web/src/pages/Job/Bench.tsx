import './bench.css';
import './benchSide.css';
import { benchState } from '@obra/core/bench';
import { isRehearsal } from '@obra/core/practice';
import { toolIn } from '@obra/core/proof';
import { type Units, writeWithUnit } from '@obra/core/quantity';
import { machineOf } from '@obra/core/shop';
import { useMemo, useState, useSyncExternalStore } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { useAtHand } from '../../data/atHand';
import { Head } from '../../shell/Head';
import { ShopRefused } from '../../shell/ShopRefused';
import { Speaks } from '../../instruments';
import { BarPicture } from '../../bar';
import { AtStep, type Beside } from './AtStep';
import { Back } from './Back';
import { Board } from './Board';
import { Brief, LookAhead } from './Brief';
import { Clocks } from './Clocks';
import { GiveOut } from './GiveOut';
import { JobSays } from './JobSays';
import { Outdated } from './Outdated';
import { PieceCard, usePieceDone } from './PieceCard';
import { Stages } from './Stages';
import { useInHand } from './useInHand';
import { useWakeLock } from './useWakeLock';
import { barRadius, type JobView } from './view';
import { notStored } from '../../words/found';

/** What head, stages and the pad want of the height of the window, px; a narrow card is higher than the pad. */
const rest = (): number => (window.innerWidth <= 1100 ? 590 : 542);

const degrees = (celsius: number, units: Units): string => writeWithUnit({ is: 'temperature', value: Math.round(celsius) }, units);

/** A third of the height where the pad leaves it. */
const pictureHeight = (): number => Math.round(Math.max(96, Math.min(window.innerHeight / 3, window.innerHeight - rest())));

const onResize = (changed: () => void) => {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
};

/** One step at a time in large type: dial this, expect that, measure here, next. */
export function Bench({ view }: { readonly view: JobView }) {
  const { job, plan, log, id, steps, units, swap, open } = view;
  const [inHand, setInHand] = useInHand(id);
  const state = useMemo(() => (plan && job.issue ? benchState(job, plan, log, inHand) : undefined), [job, plan, log, inHand]);
  const at = state?.at ?? null;
  const step = steps.find((s) => s.id === at?.step);
  const setup = plan?.routes[0]?.setups.find((s) => s.steps.some((o) => o.id === at?.step));
  const [ahead, setAhead] = useState<string>();
  const [beside, setBeside] = useState<Beside>();
  const [was, setWas] = useState(at?.step);
  if (was !== at?.step) {
    // what was looked at is left behind with the step
    setWas(at?.step);
    setAhead(undefined);
    setBeside(undefined);
  }
  const looked = steps.find((s) => s.id === ahead);
  const shown = looked ?? step;
  const held = plan?.routes[0]?.setups.find((s) => s.steps.some((o) => o.id === shown?.id)) ?? setup;
  const tool = useMemo(() => {
    const kit = job.issue?.kit ?? view.shop;
    return plan && shown && held
      ? toolIn(
          shown,
          held,
          plan.part,
          kit.tools.find((t) => t.id === shown.tool),
          machineOf(kit, job.machine),
        )
      : undefined;
  }, [job, view.shop, plan, shown, held]);
  const pieceDone = usePieceDone(view, state);
  const tall = useSyncExternalStore(onResize, pictureHeight);
  useWakeLock();
  const { who, room } = useAtHand();
  const whoAndRoom =
    who === undefined && room === undefined ? 'who, room' : [who, room !== undefined && degrees(room, job.units)].filter(Boolean).join(', ');
  const number = step ? steps.indexOf(step) + 1 : steps.length;
  return (
    <div className="page">
      <Head bench>
        <span className="job">{job.name}</span>
        {at && (
          <span>
            piece {at.piece} of {job.pieces}
          </span>
        )}
        {at && (
          <span data-testid="step-number">
            step {number} of {steps.length}
          </span>
        )}
        <Button variant="link" onClick={swap} aria-label={`units: ${units === 'mm' ? 'mm' : 'inch'}`}>
          {units === 'mm' ? 'mm' : 'inch'}
        </Button>
        <span className="quiet" data-testid="saved">
          {open.state === 'saved' ? 'saved' : open.state === 'saving' ? 'saving' : notStored}
        </span>
        {isRehearsal(id) && (
          <strong className="out" data-testid="rehearsal">
            rehearsal
          </strong>
        )}
        <Speaks />
        <Link to={`/jobs/${id}/route`}>leave the Bench</Link>
      </Head>
      <ShopRefused />
      <JobSays open={open} unread={view.unread} />
      {state && <Outdated view={view} state={state} />}
      <BarPicture
        part={plan?.part}
        units={units}
        show="bench"
        setup={held}
        step={shown}
        tool={tool}
        holding={view.shop.holdings.find((h) => h.id === held?.holding)}
        barRadius={barRadius(view)}
        height={tall}
      />
      <Stages id={id} stage="bench" view={view} inHand={at?.step} />
      {job.issue && !plan ? (
        <main className="bench">
          <h1 role="status">The sheet comes</h1>
        </main>
      ) : !job.issue || !plan ? (
        <main className="bench">
          <div>
            <h1>Not given out yet</h1>
            <p>The Bench works from a route that is given out, so that nothing changes under your hands.</p>
            <GiveOut view={view} />
          </div>
        </main>
      ) : (!at || !step) && pieceDone ? (
        <main className="bench">
          <PieceCard view={view} of={pieceDone} />
        </main>
      ) : !at || !step || !state ? (
        <main className="bench">
          <div>
            <h1>{plan.routes.length > 0 ? 'All steps done' : 'No route'}</h1>
            <p>
              <Link to={`/jobs/${id}/inspection`} style={{ color: 'var(--slate-chosen)' }}>
                Inspection
              </Link>{' '}
              holds the readings.
            </p>
            <Back view={view} />
          </div>
        </main>
      ) : (
        <main className="bench with-brief">
          <div className="side">
            <Board view={view} state={state} inHand={inHand} onInHand={setInHand} />
            <Brief view={view} step={step} piece={at.piece} state={state} ahead={ahead} onAhead={setAhead} />
            <Clocks view={view} state={state} />
            <div className="tools">
              {(
                [
                  ['note', 'note, photo'],
                  ['own', 'own step'],
                  ['clock', 'clock'],
                  ['room', whoAndRoom],
                  ['scrap', 'scrap it'],
                ] as const
              ).map(([key, words]) => (
                <Button key={key} variant="outline-light" aria-pressed={beside === key} onClick={() => setBeside(beside === key ? undefined : key)}>
                  {words}
                </Button>
              ))}
            </div>
          </div>
          {pieceDone ? (
            <PieceCard view={view} of={pieceDone} />
          ) : looked ? (
            <LookAhead view={view} step={looked} onBack={() => setAhead(undefined)} />
          ) : (
            <AtStep key={`${at.piece}/${at.step}`} view={view} step={step} piece={at.piece} state={state} beside={beside} onBeside={setBeside} />
          )}
        </main>
      )}
    </div>
  );
}
