import './sheet.css';
import type { Route } from '@obra/core/planner';
import { writeMinutes } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { FigureNumber } from '../slate';
import { Ledger } from './Ledger';
import { Line, type LineProps } from './Line';
import type { MovableLines } from './MovableLines';

interface Props extends Omit<LineProps, 'step' | 'n' | 'turned' | 'move'> {
  readonly route: Route;
  readonly nameOf: (id: string) => string;
  /** the lengths of each setup below it */
  readonly ledger?: boolean;
  /** what draws the lines where they can be moved */
  readonly lines?: typeof MovableLines;
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

function SetupBlock({
  setup,
  number,
  before,
  lines: Lines,
  ...props
}: Props & { readonly setup: Setup; readonly number: number; readonly before: number }) {
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
          {Lines && props.onMove ? (
            <Lines {...props} setup={setup} before={before} onMove={props.onMove} />
          ) : (
            setup.steps.map((step, i) => <Line key={step.id} {...props} step={step} n={before + i + 1} turned={setup.end === 'left'} />)
          )}
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
