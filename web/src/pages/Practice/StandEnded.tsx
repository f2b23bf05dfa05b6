import { writeMinutes, writeSentence, writeWithUnit, type Units } from '@obra/core/quantity';
import type { Exercise, Stand } from '@obra/core/practice';
import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';

export const counted = (n: number, one: string): string => `${String(n)} ${one}${n === 1 ? '' : 's'}`;

/** What it came to, what the metal was, what the advice would have said, and where the doubt came from. */
export function StandEnded({
  stand,
  exercise,
  units,
  division,
  number,
  onAnother,
  children,
}: {
  readonly stand: Stand;
  readonly exercise: Exercise;
  readonly units: Units;
  readonly division: number;
  readonly number: number;
  readonly onAnother: (number: number) => void;
  readonly children: ReactNode;
}) {
  const { size, landed, crossed, cuts, readings, minutes } = stand.outcome();
  const { truth, gauges, wanted } = stand.set;
  const say = (mm: number) => writeWithUnit({ is: 'length', value: mm, step: 0.001 }, units);
  const [gauge] = gauges;
  const words = { in: 'It is in.', more: 'There is still metal to come off.', past: 'It is past its limits.' } as const;
  return (
    <section aria-label="What it came to" data-testid="ended">
      {exercise.only === 'touch' ? (
        <h2>
          The zero of the ring lies {say(Math.abs(stand.zeroOff()))} from where the tool touches
          {Math.abs(stand.zeroOff()) <= division ? ': within a division.' : '.'}
        </h2>
      ) : (
        <>
          <h2 className={landed === 'in' ? 'in' : 'out'}>{crossed ? 'The thread is crossed: a pass ran beside its groove.' : words[landed]}</h2>
          <p className="size-18">
            The metal is {say(size)} at 20 °C; wanted {say(wanted.min)} to {say(wanted.max)}. {counted(cuts, 'cut')}, {counted(readings, 'reading')},{' '}
            {writeMinutes(minutes)}.
          </p>
        </>
      )}
      {children}
      <p>{writeSentence(exercise.about, units)}</p>
      {stand.decisions().length > 0 && (
        <table className="plain most-460" aria-label="What the advice would have dialled">
          <thead>
            <tr>
              <th>read</th>
              <th>the advice would have dialled</th>
              <th>dialled</th>
            </tr>
          </thead>
          <tbody>
            {stand.decisions().map((d, i) => (
              <tr key={i}>
                <td className="fig">{say(d.reading)}</td>
                <td className="fig">{d.advised === undefined ? 'nothing' : say(d.advised)}</td>
                <td className="fig">{say(d.dialled)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <details open>
        <summary>where the doubt came from</summary>
        <ul>
          <li>work and tool gave way by {Math.round(100 * truth.spring)} % of what came off</li>
          <li>
            the take-up of the screw is {say(truth.backlash / truth.takes)} of dial; the slide follows it within {say(2 * truth.sticks)}
          </li>
          {truth.warms > 5 && (
            <li>
              a pass warmed it by {Math.round(truth.warms)} degrees for each mm; it cools to a third in {truth.cools} min
            </li>
          )}
          {gauge && (
            <li>
              the {gauge.name} scatters by {say(2 * gauge.truly.repeat)} either way, and may lie off by {say(2 * gauge.truly.bias)}
            </li>
          )}
        </ul>
      </details>
      <div className="d-flex gap-2 mb-2">
        <Button onClick={() => onAnother(number + 1)}>another piece of metal</Button>
      </div>
    </section>
  );
}
