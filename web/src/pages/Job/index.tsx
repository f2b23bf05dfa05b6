import { findingKey, materialOf, readDrawing, stagesOf } from '@obra/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Button, Dropdown } from 'react-bootstrap';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { Head } from '../../app/Head';
import { useKeys } from '../../app/keys';
import { Notice } from '../../app/Notice';
import { ShopRefused } from '../../app/ShopRefused';
import { useUnits } from '../../app/units';
import { useTitle } from '../../app/useTitle';
import { BarPicture } from '../../bar';
import { useLog } from '../../data/log';
import { useJob, useShop } from '../../data/session';
import { usePlan } from '../../work/usePlan';
import { Bench } from './Bench';
import { Drawing } from './drawing';
import { Holding } from './Holding';
import { Inspection, marksOf } from './Inspection';
import { Route } from './Route';
import { type Stage, Stages, stages } from './Stages';
import { TakeOut } from './TakeOut';
import { barRadius, type JobView } from './view';

/** One job, five stages, the bar across all of them. */
export function JobPage() {
  const { id = '', stage: asked = '' } = useParams();
  const stage: Stage = stages.find((s) => s === asked) ?? 'drawing';
  const open = useJob(id);
  const { shop, refused: shopRefused } = useShop();
  const { log, add } = useLog(id);
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const { units, swap } = useUnits(open?.job.units ?? 'mm');
  const planned = usePlan(id, open?.job, shop);
  useTitle(open?.job.name ?? '');
  const drawing = open?.job.drawing;
  const part = useMemo(() => (drawing ? readDrawing(drawing) : undefined), [drawing]);
  const route = planned.plan?.routes[0];
  const steps = useMemo(() => route?.setups.flatMap((s) => s.steps) ?? [], [route]);
  const asksFor = search.get('at') ?? undefined;
  const [said, setSaid] = useState<string>();
  const here = `${id}/${stage}`;
  const [chosen, setChosen] = useState(asksFor);
  const [seen, setSeen] = useState(here);
  if (seen !== here) {
    setSeen(here);
    setChosen(asksFor);
    setSaid(undefined);
  }
  const undo = open?.undo;
  const redo = open?.redo;
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
  useKeys(
    useMemo(
      () => ({
        ...Object.fromEntries(stages.map((s, i) => [String(i + 1), () => void navigate(`/jobs/${id}/${s}`)])),
        '[': () => move(-1),
        ']': () => move(1),
        u: swap,
        'Ctrl+z': () => undo?.(),
        'Ctrl+Shift+z': () => redo?.(),
        'Ctrl+y': () => redo?.(),
      }),
      [id, navigate, move, swap, undo, redo],
    ),
  );

  if (open === undefined || !shop || !log)
    return (
      <div className="page">
        <Head />
        <p className="scroll quiet">Opening the job…</p>
      </div>
    );
  if (open === null || !part)
    return (
      <div className="page">
        <Head />
        <main className="scroll">
          <h1>No such job here</h1>
          <p>
            It may be in another browser, or deleted. <Link to="/jobs">Jobs</Link>
          </p>
        </main>
      </div>
    );

  const { job } = open;
  const plan = planned.plan;
  const step = steps.find((s) => s.id === chosen) ?? steps[0];
  const setupId = stage === 'holding' ? (chosen === 'left-1' ? 'left-1' : 'right-1') : undefined;
  const setup = route?.setups.find((s) => (setupId === undefined ? s.steps.some((o) => o.id === step?.id) : s.id === setupId));
  const ofDrawing = new Set(part.findings.map(findingKey));
  const findings = [
    ...part.findings,
    ...(plan?.findings ?? []).filter((f) => !ofDrawing.has(findingKey(f)) && !(planned.older && stagesOf(f).includes('drawing'))),
  ];
  const view: JobView = {
    findings,
    id,
    open,
    job,
    shop,
    part,
    plan,
    older: planned.older,
    log,
    add,
    units,
    swap,
    step,
    steps,
    setup,
    chosen,
    choose,
    move,
  };
  const barId = route?.bar.id;
  const bar = shop.bars.find((b) => b.id === barId);
  if (stage === 'bench') return <Bench view={view} />;
  return (
    <div className="page">
      <Head>
        <h1 className="job">{job.name}</h1>
        <span>
          {job.pieces} piece{job.pieces > 1 ? 's' : ''}
        </span>
        <span className="quiet">{bar?.name ?? materialOf(job.drawing.material).name}</span>
        <Button variant="link" onClick={swap} aria-label={`units: ${units === 'mm' ? 'mm' : 'inch'}`}>
          {units === 'mm' ? 'mm' : 'inch'}
        </Button>
        <span className="quiet" data-testid="saved">
          {open.state === 'saved' ? 'saved' : open.state === 'saving' ? 'saving' : 'not stored'}
        </span>
        <span className={findings.some((f) => f.severity === 'stop') ? 'out' : ''} data-testid="checks">
          {findings.length} check{findings.length === 1 ? '' : 's'}
        </span>
        <Dropdown align="end">
          <Dropdown.Toggle variant="link">menu</Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Item as="button" disabled={!open.canUndo} onClick={open.undo}>
              undo
            </Dropdown.Item>
            <Dropdown.Item as="button" disabled={!open.canRedo} onClick={open.redo}>
              redo
            </Dropdown.Item>
            <TakeOut view={view} onSaid={setSaid} />
            <Dropdown.Item as="button" onClick={() => window.print()}>
              print this sheet
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
      </Head>
      <ShopRefused refused={shopRefused} />
      {open.says !== undefined && <Notice onClose={open.dismiss}>{open.says}</Notice>}
      {said !== undefined && <Notice onClose={() => setSaid(undefined)}>{said}</Notice>}
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

function PictureOf({ view, stage }: { readonly view: JobView; readonly stage: Exclude<Stage, 'bench'> }) {
  const { part, units, job, setup, step, shop, plan } = view;
  const typed = useMemo(
    () =>
      Object.fromEntries(
        [...job.drawing.outside, ...job.drawing.boreRight, ...job.drawing.boreLeft].map((r) => [r.id, { size: r.size.text, length: r.length.text }]),
      ),
    [job.drawing.outside, job.drawing.boreRight, job.drawing.boreLeft],
  );
  const marks = useMemo(() => (stage === 'inspection' ? marksOf(view) : undefined), [view, stage]);
  const held = stage === 'holding' || stage === 'route';
  const shown = held && plan && setup ? plan.part : part;
  const bar = shop.bars.find((b) => b.id === plan?.routes[0]?.bar.id);
  const radius = bar && barRadius(view);
  return (
    <BarPicture
      part={shown}
      units={units}
      typed={typed}
      show={held && setup ? stage : stage === 'inspection' ? 'inspection' : 'drawing'}
      findings={view.findings}
      setup={setup}
      step={stage === 'route' ? step : undefined}
      holding={shop.holdings.find((h) => h.id === setup?.holding)}
      {...(radius !== undefined && { barRadius: radius })}
      {...(marks && { marks })}
      chosen={stage === 'drawing' ? view.chosen : undefined}
      onPick={(cell) => document.querySelector<HTMLInputElement>(`[data-cell="${cell}"]`)?.focus()}
    />
  );
}
