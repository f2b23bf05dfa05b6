import type { Machine } from '@obra/core/document';
import type { Limits } from '@obra/core/drawing';
import { type Units, write } from '@obra/core/quantity';
import { type Advice, dialSaid } from '@obra/core/sizing';
import type { ReactNode } from 'react';
import { FigureNumber } from './FigureNumber';
import { Said } from './Said';
import { asSentence } from './sentenceCase';
import { Stands } from './Stands';

interface Props {
  readonly advice: Advice;
  readonly wanted: Limits;
  readonly units: Units;
  readonly machine: Machine | undefined;
  /** the dial that takes it there; the cross slide's where nothing is said */
  readonly axis?: keyof Machine['dials'];
  readonly last: { readonly text: string; readonly celsius: number } | undefined;
  readonly huge: 'huge' | 'big';
  /** the rule that its limits come from, where the drawing gives none of its own */
  readonly band?: string;
  /** under the big number */
  readonly children?: ReactNode;
}

const heading: Readonly<Record<Advice['next'], string>> = {
  cut: 'Dial in',
  twoCuts: 'Dial in',
  springCut: 'Repeat at the same setting',
  wait: 'Wait',
  measure: 'Measure',
  changeGauge: 'Measure with a finer gauge',
  indexTip: 'Index the tip',
  stop: 'In',
  ask: 'Is this right',
};

/** Which way, and by which slide. */
function wayIn(kind: Advice['kind'], axis: keyof Machine['dials']): string {
  if (kind === 'bore') return 'Dial towards you, cross slide';
  if (kind === 'length' || kind === 'depth')
    return axis === 'compound' ? 'Dial in, compound set along the bed' : 'Dial towards the headstock, carriage';
  return axis === 'compound' ? 'Dial in, compound as it is set' : 'Dial in, cross slide';
}

/** Dial this; expect that, plus or minus. */
export function AdviceCard({ advice, wanted, units, machine, axis = 'cross', last, huge, band, children }: Props) {
  const dialUnits = machine?.dials[axis]?.division.units ?? units;
  const grows = advice.kind === 'bore' || advice.kind === 'depth';
  const { stands } = advice;
  const out = advice.dial !== undefined && advice.dial.value < 0;
  // how cold a warm reading is stands beside it already
  const reasons = advice.because.filter((r) => !(r.rule === 'hot-reads-big' && advice.dial && advice.cold && last));
  return (
    <div className="advice" data-testid="advice" data-next={advice.next} aria-live="polite">
      <div className="quiet aims">
        {stands === 'past'
          ? grows
            ? 'Over size'
            : 'Under size'
          : out
            ? 'Dial back, then in again from the same side'
            : advice.dial && advice.next !== 'springCut'
              ? wayIn(advice.kind, axis)
              : heading[advice.next]}
        ; aim <FigureNumber figure={advice.aim} units={units} />
        {band !== undefined && (
          <>
            , <Stands of={{ is: 'length', value: wanted.min }} from={`limits, by ${band}`} units={units} withUnit={false} /> to{' '}
            <Stands of={{ is: 'length', value: wanted.max }} from={`limits, by ${band}`} units={units} withUnit={false} /> by {band}
          </>
        )}
      </div>
      {advice.dial ? (
        <div className="row-big">
          <span className={huge}>
            <FigureNumber figure={advice.dial} units={dialUnits} />
          </span>
          <span>
            {write(advice.dial, dialUnits).unit}, {dialSaid(advice.dial, machine, axis)}
          </span>
        </div>
      ) : stands === 'in' ? (
        <>
          <div className={`${huge} in`}>In.</div>
          {advice.next === 'changeGauge' && <div className="in">By this gauge, within its doubt: accept it, or measure with a finer one.</div>}
        </>
      ) : stands === 'past' ? (
        <div className={`${huge} out`}>{grows ? 'Over.' : 'Under.'}</div>
      ) : stands === 'short' ? (
        <div className={`${huge} out`}>{grows ? 'Under.' : 'Over.'}</div>
      ) : stands === 'notTold' ? (
        <div className={`${huge} out`}>Not told.</div>
      ) : advice.next === 'ask' ? (
        <div className="large out">?</div>
      ) : (
        <div className="large">
          {advice.next === 'indexTip' ? 'fresh edge first' : advice.next === 'wait' ? 'let it cool' : advice.cold ? 'measure now' : 'first touch'}
        </div>
      )}
      {children}
      <div className="pair">
        {(advice.dial ?? advice.next === 'measure') && advice.cold && (
          <div>
            <div className="quiet">then expect{advice.reads && Math.abs(advice.reads.value - advice.expects.value) >= 0.001 ? ', cold' : ''}</div>
            <span className="large mid">
              <FigureNumber figure={advice.expects} units={units} />
            </span>
            <span className="quiet text-nowrap">
              {' '}
              ±{' '}
              <Stands
                of={{ is: 'length', value: 2 * (advice.expects.deviation ?? 0), step: 0.001 }}
                from="twice the deviation of what is foretold: 19 of 20 land within it"
                units={units}
                withUnit={false}
              />
            </span>
            {advice.reads && Math.abs(advice.reads.value - advice.expects.value) >= 0.001 && (
              <span className="quiet">
                , reads <FigureNumber figure={advice.reads} units={units} /> warm
              </span>
            )}
          </div>
        )}
        {last && (
          <div>
            <div className="quiet">last reading</div>
            <span className="large mid quiet">{last.text}</span>
            {advice.cold && Math.abs(last.celsius - 20) >= 0.5 && (
              <span className="quiet">
                {' '}
                <Stands of={{ is: 'temperature', value: last.celsius }} from="the last reading, how warm it was said to be" units={units} />, cold{' '}
                <FigureNumber figure={advice.cold} units={units} />
              </span>
            )}
          </div>
        )}
      </div>
      <div className="line">
        {reasons.map((r, i) => (
          <div key={i}>
            <Said sentence={asSentence(r.says)} units={units} from={`rule ${r.rule.replaceAll('-', ' ')}`} />
          </div>
        ))}
        {advice.instead?.dial && (
          <div className="quiet">
            or all in one: dial <FigureNumber figure={advice.instead.dial} units={dialUnits} withUnit />,{' '}
            {mayLandPast(advice, wanted) > 0.0005 ? (
              <>
                could land{' '}
                <Stands
                  of={{ is: 'length', value: mayLandPast(advice, wanted), step: 0.001 }}
                  from="twice the deviation of the one cut, past the limit"
                  units={units}
                />{' '}
                {grows ? 'over' : 'under'}
              </>
            ) : (
              'its spring is not known yet'
            )}
          </div>
        )}
      </div>
    </div>
  );
}

/** How far past the limits the one-cut alternative may land, mm on diameter, 95 %. */
const mayLandPast = ({ instead, kind }: Advice, wanted: Limits): number => {
  if (!instead) return 0;
  const { value, deviation = 0 } = instead.expects;
  return kind === 'bore' || kind === 'depth' ? value + 2 * deviation - wanted.max : wanted.min - (value - 2 * deviation);
};
