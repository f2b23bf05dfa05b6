import './opening.css';
import { blankJob, type Job } from '@obra/core/document';
import { readDrawing, readLine, unitsOfLine } from '@obra/core/drawing';
import type { Edit } from '@obra/core/finding';
import { type Units, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { FirstStart } from '../../shell/FirstStart';
import { Head } from '../../shell/Head';
import { useKeys } from '../../shell/keys';
import { Notice } from '../../shell/Notice';
import { part as loaded } from '../../app/part';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { BarPicture } from '../../bar';
import { keptHere } from '../../data/local';
import { rowTexts } from './rowTexts';
import { Samples } from './Samples';

// the shop, the planner's door and what shows a plan: nothing of them is needed until a line is typed
const Planned = lazy(() => loaded(() => import('./Planned')).then((m) => ({ default: m.Planned })));

const KEPT = 'obra-line';

/** The opening page: one cell; what is typed is drawn and planned at once. */
export function Opening() {
  useTitle('');
  const [text, setText] = useState(() => keptHere.get(KEPT) ?? '');
  const [edits, setEdits] = useState<readonly Edit[]>([]);
  const [refused, setRefused] = useState(false);
  const navigate = useNavigate();
  // what the line itself says decides what a bare number in it means; the page's unit only where it says nothing
  const own = unitsOfLine(text);
  const { units, swap, asked } = useUnits(own ?? 'mm');
  const typedIn: Units = own ?? asked ?? 'mm';
  useKeys('everywhere', { u: { says: 'millimetres or inches', act: swap } });
  useEffect(() => void keptHere.set(KEPT, text), [text]);
  const typed = text.trim() !== '';
  const read = useMemo(() => readLine(text, typedIn), [text, typedIn]);
  const line = useMemo<Job | undefined>(
    () =>
      read.ok
        ? {
            ...blankJob(nameOf(text), typedIn),
            drawing: { ...read.value, untoleranced: { text: typedIn === 'mm' ? 'ISO 2768-m' : '+/-.005', units: typedIn } },
          }
        : undefined,
    [read, text, typedIn],
  );
  // while a line cannot be read the last one that could stays drawn
  const [last, setLast] = useState(line);
  if (line && line !== last) setLast(line);
  const drawn = typed ? (line ?? last) : undefined;
  const part = useMemo(() => (line ? readDrawing(line.drawing) : undefined), [line]);
  const keep = async () => {
    if (!line) return;
    try {
      const { keepLine } = await loaded(() => import('./keepLine'));
      const address = await keepLine(line, edits);
      keptHere.remove(KEPT);
      void navigate(address);
    } catch {
      setRefused(true);
    }
  };
  const empty = (
    <>
      <BarPicture part={drawn && part} units={units} show="drawing" typed={drawn ? rowTexts(drawn) : {}} findings={[]} />
      <div className="work">
        <aside className="slate" aria-label="Slate">
          <h2>{typed ? 'No route yet' : 'Nothing typed yet'}</h2>
          {!typed && <p className="quiet m-0">The blank length and the first speed stand here as soon as a size and a length are typed.</p>}
        </aside>
        <main className="sheet">
          {!drawn && (
            <>
              <Samples
                onTake={(taken) => {
                  setText(taken);
                  document.getElementById('line')?.focus();
                }}
              />
              <p className="quiet mt-4">Numbers here are starting points: check clearances by hand before power.</p>
            </>
          )}
        </main>
      </div>
    </>
  );
  return (
    <div className="page">
      <Head>
        <Button variant="link" onClick={swap}>
          {units === 'mm' ? 'mm' : 'inch'}
        </Button>
      </Head>
      <FirstStart />
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
      {drawn ? (
        <Suspense fallback={empty}>
          <Planned line={drawn} reads={line !== undefined} edits={edits} onEdits={setEdits} units={units} onKeep={() => void keep()} />
        </Suspense>
      ) : (
        empty
      )}
    </div>
  );
}

const nameOf = (text: string): string => `Part ${text.trim().split(';')[0]?.trim() ?? ''}`.slice(0, 60);
