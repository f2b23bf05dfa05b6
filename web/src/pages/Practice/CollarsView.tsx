import { TwoCollars, twoCollars } from '@obra/core/practice';
import { parseLength, type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { now } from '../../data/ids';
import { usePractised } from '../../data/practised';
import { FigureNumber } from '../../slate';
import { adviserBeside, anotherOne, furtherOver } from '../../words/pressed';
import { byCollars, cameTo } from '../../words/titles';

interface Props {
  readonly number: number;
  readonly units: Units;
  readonly onAnother: (number: number) => void;
}

/** A tailstock set over for a taper, tried by two collars: turned, measured, moved, until the taper is the one that is wanted. */
export function CollarsView({ number, units, onAnother }: Props) {
  const [bar] = useState(() => new TwoCollars(number));
  const [reads, setReads] = useState<readonly (readonly [number, number])[]>(() => [bar.turn()]);
  const [typed, setTyped] = useState('');
  const [further, setFurther] = useState(true);
  const [says, setSays] = useState<string>();
  const [beside, setBeside] = useState(false);
  const [over, setOver] = useState(false);
  const { keep } = usePractised();
  const last = reads.at(-1) ?? [0, 0];
  const advised = TwoCollars.advised(last);
  const { free, held, slope, between, within } = twoCollars;
  const fine = (mm: number) => write({ is: 'length', value: mm, step: 0.001 }, units).text;
  const size = (mm: number) => writeWithUnit({ is: 'length', value: mm }, units);
  const move = () => {
    const read = parseLength(typed, units);
    if (!read.ok || read.value > 10) {
      setSays(read.ok ? 'So far a tailstock does not go.' : writeSentence(read.problems[0]?.says ?? [], units));
      return;
    }
    setSays(undefined);
    bar.move(further ? read.value : -read.value);
    setReads((before) => [...before, bar.turn()]);
    setTyped('');
  };
  const finish = () => {
    setOver(true);
    keep({
      exercise: 'two-collars',
      number,
      lathe: 'own',
      at: now(),
      ended: Math.abs(bar.off()) <= within ? 'in' : 'not yet',
      cuts: bar.moves(),
      readings: 2 * reads.length,
      minutes: 0,
      run: [],
    });
  };
  return (
    <main className="scroll practice-choose">
      <h1>{byCollars}</h1>
      <p className="size-18">
        A bar between centres, {size(between)} long, is to have a taper of 1:{Math.round(1 / slope)}. The tailstock was set over by eye. Two collars
        are turned at one setting, {size(free)} and {size(held)} from the free end: their difference is to be {fine((held - free) * slope)} within{' '}
        {fine(within)}.
      </p>
      <table className="plain practice-jaws" aria-label="What the collars measured">
        <thead>
          <tr>
            <th>turned</th>
            <th>free end, {units}</th>
            <th>held end, {units}</th>
          </tr>
        </thead>
        <tbody>
          {reads.map(([a, b], i) => (
            <tr key={i}>
              <td>{i === 0 ? 'as it was set' : `after move ${String(i)}`}</td>
              <td className="fig">{fine(a)}</td>
              <td className="fig">{fine(b)}</td>
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
          <label>
            <span className="quiet d-block">move the tailstock by</span>
            <Form.Control
              className="fig wide-120"
              aria-label="move the tailstock by"
              value={typed}
              maxLength={14}
              onChange={(e) => setTyped(e.target.value)}
            />
          </label>
          <div className="d-flex gap-1" role="group" aria-label="which way">
            {([true, false] as const).map((way) => (
              <Button
                key={String(way)}
                className="tall-44"
                variant={further === way ? 'primary' : 'outline-dark'}
                aria-pressed={further === way}
                onClick={() => setFurther(way)}>
                {way ? furtherOver : 'back'}
              </Button>
            ))}
          </div>
          <Button type="submit" className="tall-44" disabled={typed.trim() === ''}>
            move it, and turn collars again
          </Button>
          <Button variant="outline-dark" className="tall-44" onClick={finish}>
            it stands right
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
        id="collar-adviser"
        label={adviserBeside}
        checked={beside}
        onChange={(e) => setBeside(e.target.checked)}
      />
      {beside && !over && (
        <p data-testid="collar-advice">
          <FigureNumber figure={advised} units={units} withUnit /> {advised.further ? furtherOver : 'back'}: the taper that is missing, over half of
          the bar.
        </p>
      )}
      {over && (
        <section data-testid="ended" aria-label={cameTo}>
          <h2 className={Math.abs(bar.off()) <= within ? 'in' : 'out'}>
            Over the collars the taper is off by {writeWithUnit({ is: 'length', value: Math.abs(bar.off()), step: 0.001 }, units)}, after{' '}
            {bar.moves()} {bar.moves() === 1 ? 'move' : 'moves'}.
          </h2>
          <p>
            What is set over by eye is off by a fifth. Two collars of one setting tell the taper that it makes, whatever their size; the tailstock
            moves by half of what is missing over the whole bar.
          </p>
          <Button onClick={() => onAnother(number + 1)}>{anotherOne}</Button>
        </section>
      )}
    </main>
  );
}
