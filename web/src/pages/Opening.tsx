import { applyEdits, blankJob, type Edit, readDrawing, readLine, type Units, unitsOfLine, writeSentence, writeWithUnit } from '@obra/core';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { FirstStart } from '../app/FirstStart';
import { Head } from '../app/Head';
import { useKeys } from '../app/keys';
import { Notice } from '../app/Notice';
import { ShopRefused } from '../app/ShopRefused';
import { useUnits } from '../app/units';
import { useTitle } from '../app/useTitle';
import { BarPicture, SmallPart } from '../bar';
import { createJob } from '../data/jobs';
import { keptHere } from '../data/local';
import { useShop } from '../data/shopSession';
import { Big, Checks, FigureNumber } from '../slate';
import { usePlan } from '../work/usePlan';

// nothing to plan until a line is typed: the sheet comes with the first plan
const OperationSheet = lazy(() => import('../sheet').then((m) => ({ default: m.OperationSheet })));

const Assumptions = lazy(() => import('../fields').then((m) => ({ default: m.Assumptions })));

const KEPT = 'obra-line';
const samples: readonly { readonly line: string; readonly units: Units; readonly says: string }[] = [
  { line: 'M12 x 18; 19 h7 x 25; 25 x 38', units: 'mm', says: 'stepped bolt' },
  { line: '1/2-13 x 3/4; 3/4 -.001 x 1; 1 x 1-1/2', units: 'in', says: 'stud, in inches' },
  { line: '16 g6 x 30; 32 x 12; 20 +/-0.05 x 15', units: 'mm', says: 'dowel with a collar' },
];

/** The opening page: one cell; what is typed is drawn and planned at once. */
export function Opening() {
  useTitle('');
  const { shop, editShop } = useShop();
  const [text, setText] = useState(() => keptHere.get(KEPT) ?? '');
  const [edits, setEdits] = useState<readonly Edit[]>([]);
  const [refused, setRefused] = useState(false);
  const navigate = useNavigate();
  // what the line itself says decides what a bare number in it means; the page's unit only where it says nothing
  const own = unitsOfLine(text);
  const { units, swap, asked } = useUnits(own ?? 'mm');
  const typedIn: Units = own ?? asked ?? 'mm';
  useKeys(useMemo(() => ({ u: swap }), [swap]));
  useEffect(() => void keptHere.set(KEPT, text), [text]);
  const typed = text.trim() !== '';
  const read = useMemo(() => readLine(text, typedIn), [text, typedIn]);
  const job = useMemo(
    () =>
      read.ok
        ? applyEdits(
            {
              ...blankJob(nameOf(text), typedIn),
              drawing: { ...read.value, untoleranced: { text: typedIn === 'mm' ? 'ISO 2768-m' : '+/-.005', units: typedIn } },
            },
            edits,
          )
        : undefined,
    [read, text, typedIn, edits],
  );
  const [last, setLast] = useState(job);
  if (job && job !== last) setLast(job);
  const drawn = job ?? (typed ? last : undefined);
  const part = useMemo(() => (drawn ? readDrawing(drawn.drawing) : undefined), [drawn]);
  const { plan, older } = usePlan('line', job, shop);
  const route = typed && drawn ? plan?.routes[0] : undefined;
  const apply = (more: readonly Edit[], to: 'job' | 'shop') => {
    if (to === 'shop') editShop(more);
    else setEdits([...edits, ...more]);
  };
  const keep = async () => {
    if (!job) return;
    try {
      const stored = await createJob(job);
      keptHere.remove(KEPT);
      void navigate(`/jobs/${stored.id}/drawing`);
    } catch {
      setRefused(true);
    }
  };
  const first = route?.setups[0]?.steps.find((s) => s.figures['speed']);
  const typedRows = useMemo(
    () => Object.fromEntries((drawn?.drawing.outside ?? []).map((r) => [r.id, { size: r.size.text, length: r.length.text }])),
    [drawn],
  );
  return (
    <div className="page">
      <Head>
        <Button variant="link" onClick={swap}>
          {units === 'mm' ? 'mm' : 'inch'}
        </Button>
      </Head>
      <FirstStart />
      <ShopRefused />
      {refused && (
        <Notice onClose={() => setRefused(false)}>
          This browser did not store the job (storage full or blocked). The line stays here; copy it to keep it.
        </Notice>
      )}
      <section className="ask" aria-label="A part on one line">
        <h1 className="visually-hidden">A part on one line</h1>
        <label htmlFor="line">Type the part from its free end (A), size x length</label>
        <div className="cell">
          <input
            id="line"
            autoFocus
            autoComplete="off"
            spellCheck={false}
            value={text}
            onChange={(e) => setText(e.target.value)}
            maxLength={2000}
            aria-describedby="line-said"
            onKeyDown={(e) => {
              if (e.key === 'Enter') void keep();
            }}
          />
          <span id="line-said" className={`said ${read.ok || !typed ? '' : 'bad'}`} aria-live="polite">
            {!typed
              ? ''
              : read.ok && part
                ? `${read.value.outside.length} rows, ${writeWithUnit({ is: 'length', value: part.length }, units)} long, read in ${typedIn === 'mm' ? 'millimetres' : 'inches'}`
                : read.ok
                  ? ''
                  : writeSentence(read.problems[0]?.says ?? [], units)}
          </span>
        </div>
        <div className="mt-2">
          or ask <Link to="/dial">what do I dial now?</Link> &nbsp; or open <Link to="/jobs">a job</Link>
        </div>
      </section>
      <BarPicture part={part} units={units} show="drawing" typed={typedRows} findings={part?.findings ?? []} />
      <div className="work">
        <aside className={`slate ${older ? 'older' : ''}`} aria-label="Slate">
          {route && typed ? (
            <>
              <h2>Saw or pull out</h2>
              <Big figure={route.bar.cut} units={units}>
                of {shop?.bars.find((b) => b.id === route.bar.id)?.name}
              </Big>
              {first?.figures['speed'] && (
                <>
                  <h2>First cut</h2>
                  <Big figure={first.figures['speed']} units={units}>
                    {first.verb}
                  </Big>
                </>
              )}
              <div className="quiet">
                <FigureNumber figure={route.cost.minutes} units={units} withUnit />, {route.setups.length} setups
              </div>
              <hr />
            </>
          ) : (
            <h2>{typed ? 'No route yet' : 'Nothing typed yet'}</h2>
          )}
          {typed && plan && <Checks findings={plan.findings} units={units} apply={apply} dark />}
          {!typed && <p className="quiet m-0">The blank length and the first speed stand here as soon as a size and a length are typed.</p>}
        </aside>
        <main className="sheet">
          {typed && drawn && shop ? (
            <>
              <div className="d-flex flex-wrap gap-3 mb-2 align-items-baseline">
                <span className="quiet">assumed:</span>
                <Suspense fallback={null}>
                  <Assumptions job={drawn} shop={shop} plan={plan} units={units} apply={apply} />
                </Suspense>
                <Button className="ms-auto" disabled={!job} onClick={() => void keep()}>
                  keep as a job
                </Button>
              </div>
              {route && part && plan && (
                <div className={older ? 'older' : ''}>
                  <Suspense fallback={null}>
                    <OperationSheet
                      route={route}
                      part={plan.part}
                      units={units}
                      nameOf={(id) => shop.holdings.find((h) => h.id === id)?.name ?? id}
                    />
                  </Suspense>
                </div>
              )}
            </>
          ) : (
            <>
              <h2>Samples</h2>
              <div className="samples">
                {samples.map((s) => (
                  <Sample
                    key={s.line}
                    sample={s}
                    onTake={() => {
                      setText(s.line);
                      document.getElementById('line')?.focus();
                    }}
                  />
                ))}
              </div>
              <p className="quiet mt-4">Numbers here are starting points: check clearances by hand before power.</p>
            </>
          )}
        </main>
      </div>
    </div>
  );
}

const nameOf = (text: string): string => `Part ${text.trim().split(';')[0]?.trim() ?? ''}`.slice(0, 60);

function Sample({ sample, onTake }: { readonly sample: (typeof samples)[number]; readonly onTake: () => void }) {
  const read = readLine(sample.line, sample.units);
  return (
    <button type="button" onClick={onTake}>
      {read.ok && <SmallPart part={readDrawing(read.value)} width={200} height={60} />}
      <div>{sample.says}</div>
      <div className="fig quiet" style={{ fontSize: 13 }}>
        {sample.line}
      </div>
    </button>
  );
}
