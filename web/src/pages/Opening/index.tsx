import './opening.css';
import type { LineWord } from '@obra/core/drawing';
import type { Edit } from '@obra/core/finding';
import { writeWithUnit } from '@obra/core/quantity';
import { lazy, Suspense, useEffect, useLayoutEffect, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { FirstStart } from '../../shell/FirstStart';
import { Head } from '../../shell/Head';
import { useKeys } from '../../shell/keys';
import { Notice } from '../../shell/Notice';
import { part as loaded } from '../../app/part';
import { takeOver } from '../../shell/still';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { EmptyPicture } from '../../small';
import { keptHere } from '../../data/local';
import { shopIsNew } from '../../data/shopIsNew';
import type { readTyped } from './reader';
import { rowTexts } from './rowTexts';
import { Samples } from './Samples';
import { noRouteYet, unitsSwap } from '../../words/keys';

// the shop, the planner's door and what shows a plan: nothing of them is needed until a line is typed
const BarPicture = lazy(() => loaded(() => import('../../bar')).then((m) => ({ default: m.BarPicture })));
const Planned = lazy(() => loaded(() => import('./Planned')).then((m) => ({ default: m.Planned })));

const LineWords = lazy(() => loaded(() => import('./LineWords')).then((m) => ({ default: m.LineWords })));
const OnNow = lazy(() => loaded(() => import('./OnNow')).then((m) => ({ default: m.OnNow })));
const WhichLathe = lazy(() => loaded(() => import('./WhichLathe')).then((m) => ({ default: m.WhichLathe })));
const LineHelp = lazy(() => loaded(() => import('./LineHelp')).then((m) => ({ default: m.LineHelp })));

const KEPT = 'obra-line';

/** The opening page: one cell; what is typed is drawn and planned at once. */
export function Opening() {
  useTitle('');
  const [text, setText] = useState('');
  const [left] = useState(() => keptHere.get(KEPT) ?? '');
  const [edits, setEdits] = useState<readonly Edit[]>([]);
  const [refused, setRefused] = useState(false);
  const navigate = useNavigate();
  const [reader, setReader] = useState<{ readonly readTyped: typeof readTyped }>();
  const { data: isNew, mutate: known } = useSWR('shop-new', () => shopIsNew(), { revalidateOnMount: true });
  const typed = text.trim() !== '';
  const asks = text.trimStart().startsWith('?');
  useEffect(() => {
    if (typed && !reader) void loaded(() => import('./reader')).then(setReader);
  }, [typed, reader]);
  const { asked } = useUnits('mm');
  const read = useMemo(() => (typed && !asks ? reader?.readTyped(text, asked) : undefined), [reader, text, typed, asks, asked]);
  // what the line itself says decides what a bare number in it means; the page's unit only where it says nothing
  const { units, swap } = useUnits(read?.units ?? 'mm');
  useKeys('everywhere', { u: { says: unitsSwap, act: swap } });
  // what was typed and pressed before the page came
  useLayoutEffect(() => takeOver((before) => setText(before)), []);
  // what was begun is offered again until something else is typed
  useEffect(() => {
    if (text !== '') keptHere.set(KEPT, text);
  }, [text]);
  const line = read?.job;
  const part = read?.part;
  // while a line cannot be read the last one that could stays drawn
  const [last, setLast] = useState(line);
  if (line && line !== last) setLast(line);
  const drawn = typed && !asks ? (line ?? last) : undefined;
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
  const take = (taken: string) => {
    setText(taken);
    document.getElementById('line')?.focus();
  };
  const pick = ({ from, to }: LineWord) => {
    const cell = document.getElementById('line');
    if (!(cell instanceof HTMLInputElement)) return;
    cell.focus();
    cell.setSelectionRange(from, to);
  };
  const empty = (
    <>
      {drawn && part ? (
        <Suspense fallback={<EmptyPicture />}>
          <BarPicture part={part} units={units} show="drawing" typed={rowTexts(drawn)} findings={[]} />
        </Suspense>
      ) : (
        <EmptyPicture />
      )}
      <div className="work">
        <aside className="slate" aria-label="Slate">
          <h2>{typed ? noRouteYet : 'Nothing typed yet'}</h2>
          {!typed && <p className="quiet m-0">The blank length and the first speed stand here as soon as a size and a length are typed.</p>}
        </aside>
        <main className="sheet">
          {!drawn && (
            <>
              {asks ? (
                <Suspense fallback={null}>
                  <LineHelp onTake={take} />
                </Suspense>
              ) : (
                <>
                  <Suspense fallback={null}>
                    {isNew === true && <WhichLathe onDone={() => void known()} />}
                    {isNew === false && <OnNow />}
                  </Suspense>
                  <Samples left={left} onTake={take} />
                </>
              )}
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
        <label htmlFor="line">Type the part from its free end (A), size x length; ? for more</label>
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
          <span id="line-said" className={`said ${read?.wrong === undefined ? '' : 'bad'}`} aria-live="polite">
            {read?.wrong ??
              (read && line && part
                ? `${String(line.drawing.outside.length)} ${line.drawing.outside.length === 1 ? 'row' : 'rows'}, ${writeWithUnit({ is: 'length', value: part.length }, units)} long, read in ${read.units === 'mm' ? 'millimetres' : 'inches'}`
                : '')}
          </span>
        </div>
        {read && (
          <Suspense fallback={null}>
            <LineWords text={text} words={read.words} units={units} onPick={pick} />
          </Suspense>
        )}
        <div className="mt-2">
          or ask <Link to="/dial">what do I dial now?</Link> &nbsp; or open <Link to="/jobs">a job</Link> &nbsp; never used a lathe?{' '}
          <Link to="/practice">practise without metal</Link> &nbsp; the way through a job: <Link to="/guide">guide</Link>
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
