import './sheet.css';
import type { Part } from '@obra/core/drawing';
import { type Step, verbs } from '@obra/core/operations';
import type { Route } from '@obra/core/planner';
import { type Figure, type Units, write, writeMinutes, writeSentence, writeWithUnit } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import type { ReactNode } from 'react';
import { Stamp } from '../bar';
import { FigureNumber } from '../slate';
import { Ledger } from './Ledger';

interface Props {
  readonly route: Route;
  readonly part: Part;
  readonly units: Units;
  readonly chosen?: string | undefined;
  readonly onChoose?: (step: string) => void;
  readonly nameOf: (id: string) => string;
  readonly stamps?: boolean;
  /** the lengths of each setup below it */
  readonly ledger?: boolean;
  /** Alt and an arrow on a line: change places with its neighbour */
  readonly onMove?: (step: string, by: 1 | -1) => void;
}

/** The operation sheet: setups as headed blocks, a line an operation. */
export function OperationSheet(props: Props) {
  const { setups } = props.route;
  return (
    <>
      {setups.map((setup, i) => (
        <SetupBlock key={setup.id} {...props} setup={setup} number={i + 1} before={setups.slice(0, i).reduce((sum, s) => sum + s.steps.length, 0)} />
      ))}
    </>
  );
}

function SetupBlock({ setup, number, before, ...props }: Props & { readonly setup: Setup; readonly number: number; readonly before: number }) {
  const { units } = props;
  const zero = setup.end === 'left' ? 'B' : 'A';
  return (
    <>
      <table className="ops" style={{ marginTop: number > 1 ? 18 : 0 }}>
        <caption>
          <div className="setup">
            <h2>Setup {number}</h2>
            <span className="quiet">{setup.carried === 'centres' ? `end ${zero} at the tailstock` : `end ${zero} out`}</span>
            <span className="quiet">
              {props.nameOf(setup.holding)}, <FigureNumber figure={setup.grip} units={units} withUnit /> grip,{' '}
              <FigureNumber figure={setup.stickOut} units={units} withUnit /> out
              {setup.support.map((s) => `, ${props.nameOf(s.item)}`).join('')}
            </span>
            <strong>zero: face {zero}</strong>
            <span className="quiet ms-auto">
              <FigureNumber figure={setup.minutes} units={units} text={writeMinutes(setup.minutes.value)} />
            </span>
          </div>
        </caption>
        <tbody>
          {setup.steps.map((step, i) => (
            <Line key={step.id} {...props} step={step} n={before + i + 1} turned={setup.end === 'left'} />
          ))}
        </tbody>
      </table>
      {props.ledger === true && setup.lengths.length > 0 && (
        <details className="mt-1">
          <summary className="quiet">
            lengths of setup {number}, from face {zero}
          </summary>
          <Ledger setup={setup} before={before} units={units} />
        </details>
      )}
    </>
  );
}

function Line({
  step,
  n,
  turned,
  part,
  units,
  chosen,
  onChoose,
  onMove,
  stamps = true,
}: Props & { readonly step: Step; readonly n: number; readonly turned: boolean }) {
  const { speed, surface, feed, passes, depth, minutes } = step.figures;
  const number = (figure: Figure, text?: string): ReactNode => <FigureNumber figure={figure} units={units} {...(text !== undefined && { text })} />;
  const counted = passes && depth && ['rough-turn', 'finish-turn', 'face', 'thread'].includes(step.verb);
  const isChosen = chosen === step.id;
  return (
    <tr
      className={isChosen ? 'chosen' : ''}
      data-step={step.id}
      aria-current={isChosen ? 'step' : undefined}
      {...(onChoose && {
        tabIndex: 0,
        onClick: () => onChoose(step.id),
        onKeyDown: (e: React.KeyboardEvent) => {
          if (onMove && e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
            e.preventDefault();
            onMove(step.id, e.key === 'ArrowUp' ? -1 : 1);
          } else if (e.key === 'Enter' || e.key === ' ') {
            e.preventDefault();
            onChoose(step.id);
          }
        },
      })}>
      <td className="n">{n}</td>
      {stamps && (
        <td className="stamp">
          <Stamp region={step.after} removed={step.removes} part={part} turned={turned} />
        </td>
      )}
      <td className="verb">{verbs[step.verb]}</td>
      <td>{writeSentence(step.says, units)}</td>
      <td className="quiet">
        {counted && (
          <>
            {number(passes)} {step.verb === 'thread' ? 'passes, to ' : '× '}
            {number(depth)} deep
          </>
        )}
      </td>
      <td className="num">
        {speed && number(speed, `${write(speed, units).text} rpm`)}
        {surface && <small className="quiet d-block">{number(surface, writeWithUnit(surface, units))}</small>}
      </td>
      <td className="num">{feed && number(feed, feed.formula === 'feedByHand' ? 'hand' : undefined)}</td>
      <td className="num quiet">{minutes && number(minutes, writeMinutes(minutes.value))}</td>
      <td>{step.gauge !== undefined && <span className="hold">measure</span>}</td>
    </tr>
  );
}
