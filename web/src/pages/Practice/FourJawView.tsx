import { Dialling, fourJawWanted, type JawTurn } from '@obra/core/practice';
import { parseLength, type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { now } from '../../data/ids';
import { usePractised } from '../../data/practised';
import { adviserBeside, anotherOne } from '../../words/pressed';
import { cameTo, fourJaw } from '../../words/titles';

interface Props {
  readonly number: number;
  readonly units: Units;
  readonly onAnother: (number: number) => void;
}

/** A move as it is typed: nothing is none, more is towards the first jaw of the pair. */
function moveOf(text: string, units: Units): { readonly by: number } | { readonly says: string } {
  const bare = text.trim().replace(/^[+−-]/, '');
  if (bare === '' || /^0*[.,]?0*$/.test(bare)) return { by: 0 };
  const read = parseLength(bare, units);
  if (!read.ok) return { says: writeSentence(read.problems[0]?.says ?? [], units) };
  return { by: /^\s*[−-]/.test(text) ? -read.value : read.value };
}

/** Work in four jaws, an indicator on it: read at each, moved, read again; true within two hundredths in three moves. */
export function FourJawView({ number, units, onAnother }: Props) {
  const [dialling] = useState(() => new Dialling(number));
  const [reads, setReads] = useState<readonly (readonly number[])[]>(() => [dialling.read()]);
  const [typed, setTyped] = useState({ 1: '', 2: '' });
  const [says, setSays] = useState<string>();
  const [beside, setBeside] = useState(false);
  const [over, setOver] = useState(false);
  const { keep } = usePractised();
  const last = reads.at(-1) as readonly [number, number, number, number];
  const advised = Dialling.advised(last);
  const fine = (mm: number) => write({ is: 'length', value: mm, step: 0.01 }, units).text;
  const signed = (mm: number) => `${mm < 0 ? '−' : '+'}${fine(Math.abs(mm))}`;
  const move = () => {
    const turns: JawTurn[] = [];
    for (const pair of [1, 2] as const) {
      const one = moveOf(typed[pair], units);
      if ('says' in one) {
        setSays(`Jaws ${String(pair)} and ${String(pair + 2)}: ${one.says}.`);
        return;
      }
      if (Math.abs(one.by) > 3) {
        setSays('So far a jaw is not turned: the work falls out.');
        return;
      }
      if (one.by !== 0) turns.push({ pair, by: one.by });
    }
    if (turns.length === 0) {
      setSays('Type how far a pair is moved.');
      return;
    }
    setSays(undefined);
    dialling.move(turns);
    setReads((before) => [...before, dialling.read()]);
    setTyped({ 1: '', 2: '' });
  };
  const finish = () => {
    setOver(true);
    keep({
      exercise: 'four-jaw',
      number,
      lathe: 'own',
      at: now(),
      ended: dialling.tir() <= fourJawWanted && dialling.moves() <= 3 ? 'in' : 'more',
      cuts: dialling.moves(),
      readings: reads.length,
      minutes: 0,
      run: [],
    });
  };
  return (
    <main className="scroll practice-choose">
      <h1>{fourJaw}</h1>
      <p className="size-18">
        The indicator was zeroed at jaw 1, and the chuck turned by hand to each jaw in turn; more is nearer to the indicator. Move the work until it
        runs within {writeWithUnit({ is: 'length', value: fourJawWanted, step: 0.01 }, units)} TIR, in three moves.
      </p>
      <table className="plain practice-jaws" aria-label="What the indicator showed">
        <thead>
          <tr>
            <th>read</th>
            {[1, 2, 3, 4].map((jaw) => (
              <th key={jaw}>jaw {jaw}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {reads.map((r, i) => (
            <tr key={i}>
              <td>{i === 0 ? 'as it was put in' : `after move ${String(i)}`}</td>
              {r.map((mm, k) => (
                <td key={k} className="fig">
                  {k === 0 ? fine(0) : signed(mm)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {!over && (
        <Form
          className="d-flex gap-3 mt-3 align-items-end flex-wrap"
          onSubmit={(e) => {
            e.preventDefault();
            move();
          }}>
          {([1, 2] as const).map((pair) => (
            <label key={pair}>
              <span className="quiet d-block">
                towards jaw {pair}, away from jaw {pair + 2}; less with −
              </span>
              <Form.Control
                className="fig wide-140"
                aria-label={`move towards jaw ${String(pair)}`}
                value={typed[pair]}
                maxLength={14}
                onChange={(e) => setTyped({ ...typed, [pair]: e.target.value })}
              />
            </label>
          ))}
          <Button type="submit" className="tall-44">
            move it, and read again
          </Button>
          <Button variant="outline-dark" className="tall-44" onClick={finish}>
            it is true enough
          </Button>
        </Form>
      )}
      {says !== undefined && (
        <p role="alert" className="out mt-2">
          {says}
        </p>
      )}
      <Form.Check
        className="mt-3"
        type="switch"
        id="jaw-adviser"
        label={adviserBeside}
        checked={beside}
        onChange={(e) => setBeside(e.target.checked)}
      />
      {beside && !over && (
        <p data-testid="jaw-advice">
          Half of what opposite jaws differ: {signed(advised[0]?.by ?? 0)} towards jaw 1, {signed(advised[1]?.by ?? 0)} towards jaw 2.
        </p>
      )}
      {over && (
        <section data-testid="ended" aria-label={cameTo}>
          <h2 className={dialling.tir() <= fourJawWanted ? 'in' : 'out'}>
            It runs within {writeWithUnit({ is: 'length', value: dialling.tir(), step: 0.001 }, units)} TIR, after {dialling.moves()}{' '}
            {dialling.moves() === 1 ? 'move' : 'moves'}.
          </h2>
          <p>
            The work stands off by half of what opposite jaws differ, and the swing is twice that. What a screw moves is not quite what it is turned
            by: each move leaves a twentieth or so, and the next takes that.
          </p>
          <Button onClick={() => onAnother(number + 1)}>{anotherOne}</Button>
        </section>
      )}
    </main>
  );
}
