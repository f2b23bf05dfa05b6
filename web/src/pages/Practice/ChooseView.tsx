import { type Choosing, tried } from '@obra/core/practice';
import { type Units, writeSentence } from '@obra/core/quantity';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { now } from '../../data/ids';
import { usePractised } from '../../data/practised';
import { sentenceCase } from '../../slate';
import { anotherOne } from '../../words/pressed';

interface Props {
  readonly choosing: Choosing;
  readonly number: number;
  readonly units: Units;
  readonly onAnother: (number: number) => void;
}

/** Everything is set one way or another, then it is tried: what comes of it, and why. */
export function ChooseView({ choosing, number, units, onAnother }: Props) {
  const [set, setSet] = useState<Readonly<Record<string, string>>>({});
  const [result, setResult] = useState<ReturnType<typeof tried>>();
  const [tries, setTries] = useState(0);
  const { keep } = usePractised();
  const ready = tried(choosing, number, set) !== undefined;
  const attempt = () => {
    const came = tried(choosing, number, set);
    if (!came) return;
    setResult(came);
    setTries(tries + 1);
    if (came.good) keep({ exercise: choosing.id, number, lathe: 'own', at: now(), ended: 'done', cuts: 0, readings: tries + 1, minutes: 0, run: [] });
  };
  return (
    <main className="scroll practice-choose">
      <h1>{choosing.title}</h1>
      <p className="size-18">{writeSentence(choosing.asks(number), units)}</p>
      <div className="practice-sets">
        {choosing.sets(number).map((c) => (
          <fieldset key={c.key}>
            <legend>{c.asks}</legend>
            <div className="d-flex gap-2 flex-wrap">
              {c.choices.map((x) => (
                <Button
                  key={x.value}
                  className="tall-44"
                  variant={set[c.key] === x.value ? 'primary' : 'outline-dark'}
                  aria-pressed={set[c.key] === x.value}
                  onClick={() => {
                    setSet({ ...set, [c.key]: x.value });
                    setResult(undefined);
                  }}>
                  {x.words}
                </Button>
              ))}
            </div>
          </fieldset>
        ))}
      </div>
      <Button className="tall-48 mt-3" disabled={!ready} onClick={attempt}>
        try it
      </Button>
      {!ready && <span className="quiet ms-3">Set everything first.</span>}
      <div role="status" className="mt-3" data-testid="came">
        {result && (
          <>
            <ul className={`size-18 ${result.good ? 'in' : 'out'}`}>
              {result.says.map((s, i) => (
                <li key={i}>{sentenceCase(writeSentence(s, units))}</li>
              ))}
            </ul>
            {result.good && (
              <>
                <p>{writeSentence(choosing.about, units)}</p>
                <p className="quiet">
                  {tries} {tries === 1 ? 'try' : 'tries'}.
                </p>
                <Button variant="outline-dark" onClick={() => onAnother(number + 1)}>
                  {anotherOne}
                </Button>
              </>
            )}
          </>
        )}
      </div>
    </main>
  );
}
