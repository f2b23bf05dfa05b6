import './practice.css';
import { choosings, type Deed, exercises, readPractice } from '@obra/core/practice';
import { type Sentence, type Units, writeSentence } from '@obra/core/quantity';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { usePractised } from '../../data/practised';
import { useShop } from '../../data/shopSession';
import { dayOf } from '../../shell/dates';
import { useFiles } from '../../shell/files';
import { Head } from '../../shell/Head';
import { tell } from '../../shell/says';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { ChooseView } from './ChooseView';
import { CollarsView } from './CollarsView';
import { FourJawView } from './FourJawView';
import { lathes, latheIdOf, shopOf } from './lathes';
import { StandView } from './StandView';
import { Words } from './Words';
import { metalLeft } from '../../words/found';
import { byCollars, fourJaw, wordsInLine } from '../../words/titles';

interface Line {
  readonly id: string;
  readonly title: string;
  readonly says: Sentence;
}

/** What is practised here, in order: at the stand, in the four-jaw chuck, by choosing. */
const FOUR_JAW: Line = {
  id: 'four-jaw',
  title: fourJaw,
  says: ['Work that stands off the middle, an indicator on it: true within two hundredths in three moves.'],
};
const COLLARS: Line = {
  id: 'two-collars',
  title: byCollars,
  says: ['A tailstock set over by eye, tried by two collars turned at one setting, and moved until the taper is the one that is wanted.'],
};
const all: readonly Line[] = [
  ...exercises.map((e) => ({ id: e.id, title: e.title, says: e.asks })),
  COLLARS,
  FOUR_JAW,
  ...choosings.map((c) => ({ id: c.id, title: c.title, says: c.asks(1) })),
];
const MOST_NUMBER = 999_999;

/** A lathe to learn on, without metal. */
export function Practice() {
  const { id } = useParams();
  const one = all.find((e) => e.id === id);
  useTitle(one?.title ?? 'Practice');
  const { units, swap } = useUnits('mm');
  const { shop } = useShop();
  const [search, setSearch] = useSearchParams();
  const lathe = latheIdOf(search.get('lathe'));
  const asked = Number(search.get('number') ?? '1');
  const number = Number.isInteger(asked) && asked >= 1 && asked <= MOST_NUMBER ? asked : 1;
  const [begun, setBegun] = useState<{ readonly of: string; readonly deeds: readonly Deed[] }>();
  const navigate = useNavigate();
  const take = async (file: File) => {
    const read = readPractice(file.size > 2_000_000 ? '' : await file.text());
    if (!read.ok) {
      tell(`${file.name}: ${writeSentence(read.problems[0]?.says ?? [], units)}. Nothing was changed.`);
      return;
    }
    const of = read.value;
    if (!exercises.some((e) => e.id === of.exercise)) {
      tell(`${file.name} is of an exercise that is not here (${of.exercise}). Nothing was changed.`);
      return;
    }
    setBegun({ of: `${of.exercise}/${String(of.number)}`, deeds: of.deeds });
    await navigate(`/practice/${of.exercise}?number=${String(of.number)}&lathe=${latheIdOf(of.lathe)}`);
  };
  const open = useFiles('Exercise from a file', '.json,application/json', take);
  const to = (next: { readonly number?: number; readonly lathe?: string }) =>
    setSearch({ number: String(next.number ?? number), lathe: next.lathe ?? lathe });
  const stand = exercises.find((e) => e.id === id);
  const choosing = choosings.find((c) => c.id === id);
  const key = `${id ?? ''} ${String(number)} ${lathe}`;
  return (
    <div className="page">
      <Head>
        {one && (
          <>
            <span className="job">{one.title}</span>
            <span data-testid="number">number {number}</span>
            <Link to="/practice">all exercises</Link>
          </>
        )}
        <Button variant="link" onClick={swap} aria-label={`units: ${units === 'mm' ? 'mm' : 'inch'}`}>
          {units === 'mm' ? 'mm' : 'inch'}
        </Button>
      </Head>
      {id === undefined ? (
        <Contents onOpen={open} lathe={lathe} units={units} onLathe={(l) => to({ lathe: l })} />
      ) : id === 'words' ? (
        <Words />
      ) : stand ? (
        lathe === 'own' && shop === undefined ? (
          <p className="scroll quiet">Opening…</p>
        ) : (
          <StandView
            key={key}
            exercise={stand}
            number={number}
            lathe={lathe}
            shop={shopOf(lathe, shop)}
            units={units}
            begun={begun?.of === `${stand.id}/${String(number)}` ? begun.deeds : []}
            onAnother={(n) => to({ number: n })}
          />
        )
      ) : id === FOUR_JAW.id ? (
        <FourJawView key={key} number={number} units={units} onAnother={(n) => to({ number: n })} />
      ) : id === COLLARS.id ? (
        <CollarsView key={key} number={number} units={units} onAnother={(n) => to({ number: n })} />
      ) : choosing ? (
        <ChooseView key={key} choosing={choosing} number={number} units={units} onAnother={(n) => to({ number: n })} />
      ) : (
        <main className="scroll">
          <h1>No such exercise</h1>
          <p>
            <Link to="/practice">All of them</Link>
          </p>
        </main>
      )}
    </div>
  );
}

const ended: Readonly<Record<string, string>> = { in: '✓ in', more: metalLeft, past: '✗ past', done: '✓', 'not yet': 'not yet' };

function Contents({
  onOpen,
  lathe,
  units,
  onLathe,
}: {
  readonly units: Units;
  readonly onOpen: () => void;
  readonly lathe: string;
  readonly onLathe: (lathe: string) => void;
}) {
  const { done } = usePractised();
  const last = (id: string) => done.find((d) => d.exercise === id);
  return (
    <main className="scroll listing">
      <h1>Practice</h1>
      <p className="most-460">
        A lathe to learn on without metal. It has springs, take-up, heat and a hand that slips, as real ones do, and shows no more than a turner sees.
        What you do here stays apart from the records of the shop. At a real lathe the machine’s manual and supervised practice come first.
      </p>
      <div className="d-flex gap-2 mb-3 align-items-center">
        <label htmlFor="practice-lathe" className="quiet">
          at
        </label>
        <Form.Select id="practice-lathe" className="wide-260" value={lathe} onChange={(e) => onLathe(e.target.value)}>
          {lathes.map((l) => (
            <option key={l.id} value={l.id}>
              {l.words}
            </option>
          ))}
        </Form.Select>
        <Button variant="outline-dark" onClick={onOpen}>
          an exercise from a file
        </Button>
        <Link to="/practice/words">{wordsInLine}</Link>
      </div>
      <ol className="practice-list">
        {all.map((e) => {
          const was = last(e.id);
          return (
            <li key={e.id}>
              <Link to={`/practice/${e.id}?lathe=${lathe}&number=${String((was?.number ?? 0) + 1)}`}>{e.title}</Link>
              <span className="quiet says">{writeSentence(e.says, units)}</span>
              {was && (
                <span className="quiet">
                  {' '}
                  {ended[was.ended] ?? was.ended}, {dayOf(was.at)}
                  {was.cuts > 0 ? `, ${String(was.cuts)} cuts, ${String(was.readings)} readings` : ''}
                </span>
              )}
            </li>
          );
        })}
      </ol>
    </main>
  );
}
