import './job.css';
import { cuttingBegan, changesOf, stagesOf } from '@obra/core/bench';
import { readDrawing } from '@obra/core/drawing';
import { findingKey } from '@obra/core/finding';
import { startedPiece } from '@obra/core/holding';
import { verbs } from '@obra/core/operations';
import { type Units, writeSentence } from '@obra/core/quantity';
import { materialOf } from '@obra/core/standards';
import { Printer, Redo2, Undo2 } from 'lucide-react';
import { lazy, Suspense, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Button, Dropdown } from 'react-bootstrap';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { download, fileName } from '../../shell/download';
import { Head } from '../../shell/Head';
import { useKeys } from '../../shell/keys';
import { type Offer, useOffers } from '../../shell/offers';
import { tell } from '../../shell/says';
import { Notice } from '../../shell/Notice';
import { ShopRefused } from '../../shell/ShopRefused';
import { useUnits } from '../../shell/units';
import { memoSteady, useSteady } from '../../shell/useSteady';
import { useTitle } from '../../shell/useTitle';
import { BarPicture } from '../../bar';
import { useLog } from '../../data/log';
import type { SaveState } from '../../data/openJobs';
import { useJob } from '../../data/session';
import { useShop } from '../../data/shopSession';
import { standardHeight } from '../../small';
import { useSharedBar } from '../../work/useSharedBar';
import { usePlan } from '../../work/usePlan';
import { Bench } from './Bench';
import { Drawing } from './drawing';
import { noteChanges } from './drawing/Changes';
import { Holding } from './Holding';
import { Inspection, marksOf } from './Inspection';
import { JobSays } from './JobSays';
import { Route } from './Route';
import { type Stage, Stages, stages } from './Stages';
import { TakeOut } from './TakeOut';
import { PlayedHere, useFilm } from './useFilm';
import { useMovable } from './useMovable';
import { useTyping } from './useTyping';
import { barRadius, type JobView } from './view';
import { noSuchJob, notStored } from '../../words/found';
import { solidOrSection, unitsSwap } from '../../words/keys';
import { cannotTitle } from '../../words/titles';
import { pieceStarted } from '../../words/places';
import { printThisSheet } from '../../words/pressed';

const SolidPicture = lazy(() => import('../../solid').then((m) => ({ default: m.SolidPicture })));

/** One job, once it is there. */
export function JobPage() {
  const { id = '', stage: asked = '' } = useParams();
  const open = useJob(id);
  const { shop } = useShop();
  const { log, add, unread } = useLog(id);
  useTitle(open?.job.name ?? '');
  if (open === undefined || !shop || !log)
    return (
      <div className="page">
        <Head />
        <main className="scroll">
          <h1 className="quiet">Opening the job…</h1>
        </main>
      </div>
    );
  if (open === null)
    return (
      <div className="page">
        <Head />
        <main className="scroll">
          <h1>{noSuchJob}</h1>
          <p>
            It may be in another browser, or deleted. <Link to="/jobs">Jobs</Link>
          </p>
        </main>
      </div>
    );
  return <AtJob id={id} stage={stages.find((s) => s === asked) ?? 'drawing'} open={open} shop={shop} log={log} add={add} unread={unread} />;
}

interface AtJobProps extends Pick<JobView, 'id' | 'open' | 'shop' | 'log' | 'add' | 'unread'> {
  readonly stage: Stage;
}

/** One job, five stages, the bar across all of them. */
function AtJob({ id, stage, open: held, shop: whole, log, add, unread }: AtJobProps) {
  const { edit } = useSteady({
    edit: (...given: Parameters<JobView['open']['edit']>) => {
      // what was given out is let go: changes not yet in the record go into it first; a storage that refuses says so when the job is saved
      if (given[0].some((e) => e.op === 'remove' && e.at === 'issue') && cuttingBegan(log))
        void noteChanges(
          { add },
          changesOf(held.job, log).filter((c) => !c.noted),
          '',
        ).catch(() => undefined);
      held.edit(...given);
    },
  });
  const open = { ...held, edit };
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const { job } = open;
  const { units, swap } = useUnits(job.units);
  const shared = useSharedBar(id, job, whole);
  const { shop } = shared;
  const planned = usePlan(id, job, shop);
  // what was typed stands at once; all that is worked out from it follows in the next frame
  const drawing = useDeferredValue(job.drawing);
  const part = useMemo(() => readDrawing(drawing), [drawing]);
  const started = useMemo(() => startedPiece(job, part), [job, part]);
  const { plan, older } = planned;
  const route = plan?.routes[0];
  const steps = useMemo(() => route?.setups.flatMap((s) => s.steps) ?? [], [route]);
  const asksFor = search.get('at') ?? undefined;
  const here = `${id}/${stage}`;
  const [chosen, setChosen] = useState(asksFor);
  const [seen, setSeen] = useState(here);
  if (seen !== here) {
    setSeen(here);
    setChosen(asksFor);
  }
  const { undo, redo } = open;
  const choose = useCallback((at: string) => setChosen(at), []);
  const move = useCallback(
    (by: number) =>
      setChosen((at) => {
        const now = steps.findIndex((s) => s.id === at);
        return steps[Math.min(Math.max(now + by, 0), steps.length - 1)]?.id ?? at;
      }),
    [steps],
  );
  // the address follows what is chosen, so that a reload comes back to it
  useEffect(() => {
    if (chosen !== undefined && search.get('at') !== chosen) setSearch({ at: chosen }, { replace: true });
  }, [chosen, search, setSearch]);
  useKeys('everywhere', { u: { says: unitsSwap, act: swap } });
  useKeys('job', {
    ...Object.fromEntries(stages.map((s, i) => [String(i + 1), { says: `stage ${s}`, act: () => void navigate(`/jobs/${id}/${s}`) }])),
    '[': { says: 'previous step', act: () => move(-1) },
    ']': { says: 'next step', act: () => move(1) },
    'mod+z': { says: 'undo', act: undo },
    'mod+shift+z, mod+y': { says: 'redo', act: redo },
  });
  const step = steps.find((s) => s.id === chosen) ?? steps[0];
  const setup =
    stage === 'holding'
      ? (route?.setups.find((s) => s.id === chosen) ?? route?.setups[0])
      : route?.setups.find((s) => s.steps.some((o) => o.id === step?.id));
  const findings = useMemo(() => {
    const own = [...part.findings, ...(started?.findings ?? []), ...shared.findings];
    const ofDrawing = new Set(own.map(findingKey));
    return [...own, ...(plan?.findings ?? []).filter((f) => !ofDrawing.has(findingKey(f)) && !(older && stagesOf(f).includes('drawing')))];
  }, [part, started, shared, plan, older]);
  useOffers(() => [
    ...steps.map((s, i): Offer => ({
      id: s.id,
      group: 'steps',
      says: `step ${String(i + 1)}: ${verbs[s.verb].toLowerCase()} ${writeSentence(s.says, units)}`,
      ...(stage === 'route' ? { act: () => choose(s.id) } : { to: `/jobs/${id}/route?at=${encodeURIComponent(s.id)}` }),
    })),
    ...findings.map((f, i): Offer => {
      const [at = 'drawing'] = stagesOf(f);
      return { id: `check ${String(i)}`, group: 'checks', says: `check: ${writeSentence(f.says, units)}`, words: f.code, to: `/jobs/${id}/${at}` };
    }),
    ...(open.canUndo ? [{ id: 'undo', group: 'actions', says: 'Undo', act: undo } as const] : []),
    ...(open.canRedo ? [{ id: 'redo', group: 'actions', says: 'Redo', act: redo } as const] : []),
    { id: 'print', group: 'actions', says: 'Print this sheet', act: () => window.print() },
    {
      id: 'pack',
      group: 'actions',
      says: 'Print the whole pack',
      words: 'paper pdf drawing traveller inspection sheet',
      to: `/jobs/${id}/pack?print=1`,
    },
    {
      id: 'cannot',
      group: 'actions',
      says: cannotTitle,
      words: 'what cannot i make of this impossible lacks missing buy',
      to: `/jobs/${id}/route#cannot`,
    },
    { id: 'swap', group: 'actions', says: 'Millimetres or inches', act: swap },
  ]);
  const view: JobView = {
    findings,
    id,
    open,
    job,
    shop,
    drawn: drawing,
    part,
    started,
    barLeft: shared.left,
    plan,
    older,
    log,
    add,
    unread,
    units,
    swap,
    step,
    steps,
    setup,
    chosen,
    choose,
    move,
  };
  const { look } = useSteady({ look: () => view });
  const bar = shop.bars.find((b) => b.id === route?.bar.id);
  if (stage === 'bench') return <Bench view={view} />;
  return (
    <div className="page">
      <JobHead
        id={id}
        name={job.name}
        pieces={job.pieces}
        stock={bar?.name ?? (started ? pieceStarted : materialOf(job.drawing.material).name)}
        units={units}
        state={open.state}
        checks={findings.length}
        stopped={findings.some((f) => f.severity === 'stop')}
        canUndo={open.canUndo}
        canRedo={open.canRedo}
        empty={part.contour.length === 0}
        swap={swap}
        undo={open.undo}
        redo={open.redo}
        look={look}
        onSaid={tell}
      />
      <ShopRefused />
      <JobSays open={open} unread={unread} />
      {planned.failed !== undefined && <Notice>The last change could not be worked out; the last good plan stays. ({planned.failed})</Notice>}
      <PictureOf view={view} stage={stage} />
      <Stages id={id} stage={stage} view={view} />
      {stage === 'drawing' && <Drawing view={view} />}
      {stage === 'holding' && <Holding view={view} />}
      {stage === 'route' && <Route view={view} />}
      {stage === 'inspection' && <Inspection view={view} />}
    </div>
  );
}

interface JobHeadProps {
  readonly id: string;
  readonly name: string;
  readonly pieces: number;
  readonly stock: string;
  readonly units: Units;
  readonly state: SaveState;
  readonly checks: number;
  readonly stopped: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly empty: boolean;
  readonly swap: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly look: () => JobView;
  readonly onSaid: (says: string) => void;
}

/** What the job is, in the one head line, and its menu. */
const JobHead = memoSteady(function JobHead(at: JobHeadProps) {
  const { units } = at;
  return (
    <Head>
      <h1 className="job">{at.name}</h1>
      <span>
        {at.pieces} piece{at.pieces > 1 ? 's' : ''}
      </span>
      <span className="quiet">{at.stock}</span>
      <Button variant="link" onClick={at.swap} aria-label={`units: ${units === 'mm' ? 'mm' : 'inch'}`}>
        {units === 'mm' ? 'mm' : 'inch'}
      </Button>
      <span className="quiet" data-testid="saved">
        {at.state === 'saved' ? 'saved' : at.state === 'saving' ? 'saving' : notStored}
      </span>
      <span className={at.stopped ? 'out' : ''} data-testid="checks">
        {at.checks} check{at.checks === 1 ? '' : 's'}
      </span>
      <Dropdown align="end">
        <Dropdown.Toggle variant="link">menu</Dropdown.Toggle>
        <Dropdown.Menu>
          <Dropdown.Item as="button" disabled={!at.canUndo} onClick={at.undo}>
            <Undo2 size={15} aria-hidden /> undo
          </Dropdown.Item>
          <Dropdown.Item as="button" disabled={!at.canRedo} onClick={at.redo}>
            <Redo2 size={15} aria-hidden /> redo
          </Dropdown.Item>
          <TakeOut look={at.look} empty={at.empty} onSaid={at.onSaid} />
          <Dropdown.Item as="button" onClick={() => window.print()}>
            <Printer size={15} aria-hidden /> {printThisSheet}
          </Dropdown.Item>
          <Dropdown.Item as={Link} to={`/jobs/${at.id}/pack?print=1`}>
            <Printer size={15} aria-hidden /> print the whole pack
          </Dropdown.Item>
        </Dropdown.Menu>
      </Dropdown>
    </Head>
  );
});

function PictureOf({ view, stage }: { readonly view: JobView; readonly stage: Exclude<Stage, 'bench'> }) {
  const { part, drawn, units, setup, step, shop, plan } = view;
  const typed = useMemo(
    () =>
      Object.fromEntries([...drawn.outside, ...drawn.boreRight, ...drawn.boreLeft].map((r) => [r.id, { size: r.size.text, length: r.length.text }])),
    [drawn],
  );
  const marks = stage === 'inspection' ? marksOf(view) : undefined;
  const held = stage === 'holding' || stage === 'route';
  const shown = held && plan && setup ? plan.part : part;
  const bar = shop.bars.find((b) => b.id === plan?.routes[0]?.bar.id);
  const radius = bar && barRadius(view);
  const movable = useMovable(view, stage);
  const typing = useTyping(view);
  const picture = (
    <BarPicture
      part={shown}
      units={units}
      typed={typed}
      show={held && setup ? stage : stage === 'inspection' ? 'inspection' : 'drawing'}
      findings={view.findings}
      {...(view.started && { stock: view.started.region })}
      setup={held ? setup : undefined}
      step={stage === 'route' ? step : undefined}
      holding={held ? shop.holdings.find((h) => h.id === setup?.holding) : undefined}
      {...(held && radius !== undefined && { barRadius: radius })}
      {...(marks && { marks })}
      {...(movable && { movable })}
      chosen={stage === 'drawing' ? view.chosen : undefined}
      typing={stage === 'drawing' ? typing : undefined}
    />
  );
  const [solid, setSolid] = useState(false);
  const film = useFilm(view, held);
  const empty = part.contour.length === 0;
  const swap = () => setSolid(!solid);
  useKeys('picture', {
    ...(held &&
      film.may &&
      !film.asked && { space: { says: 'play the making', act: (e: KeyboardEvent) => (e.target instanceof HTMLButtonElement ? false : film.ask()) } }),
    // in the film it is the film's own
    ...(!film.asked && { v: { says: solidOrSection, act: () => !empty && swap() } }),
  });
  return (
    <section className="pictured" aria-label="Picture">
      {held && film.may && !film.asked && (
        <Button className="looked played noprint" size="sm" variant="outline-dark" aria-keyshortcuts="space" onClick={film.ask}>
          play
        </Button>
      )}
      {!empty && !film.asked && (
        <Button className={`looked noprint${held ? '' : ' low'}`} size="sm" variant="outline-dark" aria-keyshortcuts="v" onClick={swap}>
          {solid ? 'section' : 'solid'}
        </Button>
      )}
      {film.asked ? (
        <PlayedHere film={film} view={view} />
      ) : solid && !empty ? (
        <Suspense fallback={<div className="bar" style={{ height: standardHeight() }} />}>
          <SolidPicture
            part={part}
            units={units}
            height={standardHeight()}
            onStill={(picture) => download(fileName(view.job.name, 'png'), picture, 'image/png')}
          />
        </Suspense>
      ) : (
        picture
      )}
    </section>
  );
}
