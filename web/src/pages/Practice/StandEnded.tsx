import { writeMinutes, writeSentence, writeWithUnit, type Units } from '@obra/core/quantity';
import type { Exercise, Spoiled, Stand } from '@obra/core/practice';
import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { cameTo } from '../../words/titles';

export const counted = (n: number, one: string): string => `${String(n)} ${one}${n === 1 ? '' : 's'}`;

const SPOILED: Readonly<Record<Spoiled, string>> = {
  crossed: 'The thread is crossed: a pass ran beside its groove.',
  plunged: 'The tool was set in over the turning work: a groove under size stands in it.',
  jaws: 'The tool ran into the jaws. On a real lathe that throws work and tool: set a stop, and wind by hand with the spindle still before the first pass.',
};

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
  const { size, landed, spoiled, cuts, readings, minutes } = stand.outcome();
  const { truth, gauges, wanted } = stand.set;
  const off = stand.readingOff();
  const say = (mm: number) => writeWithUnit({ is: 'length', value: mm, step: 0.001 }, units);
  const [gauge] = gauges;
  const words = { in: 'It is in.', more: 'There is still metal to come off.', past: 'It is past its limits.' } as const;
  return (
    <section aria-label={cameTo} data-testid="ended">
      {exercise.only === 'dial' ? (
        <h2 className={stand.stands() ? 'in' : 'out'}>
          {stand.stands()
            ? 'The dial shows it, and the slide stands where it says.'
            : Math.abs(off.dial) > Math.abs(off.slide)
              ? `The dial is ${say(Math.abs(off.dial))} off the reading.`
              : `The dial shows it, but the slide stands ${say(Math.abs(off.slide))} deeper: the take-up is not out.`}
        </h2>
      ) : exercise.only === 'touch' ? (
        <h2>
          The zero of the ring lies {say(Math.abs(stand.zeroOff()))} from where the tool touches
          {Math.abs(stand.zeroOff()) <= division ? ': within a division.' : '.'}
        </h2>
      ) : (
        <>
          <h2 className={landed === 'in' ? 'in' : 'out'}>{spoiled ? SPOILED[spoiled] : words[landed]}</h2>
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
