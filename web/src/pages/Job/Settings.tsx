import type { Step } from '@obra/core/operations';
import { type Units, write, writeSentence } from '@obra/core/quantity';
import { FROM_PLAN } from '../../sheet';
import { asSentence, FigureNumber, Said, sentenceCase } from '../../slate';
import { toThePoint } from '../../words/places';

interface Props {
  readonly step: Step;
  readonly units: Units;
}

/** Why a step is done as it is, the first reasons of it. */
export const Why = ({ step, units }: Props) => (
  <div className="line">
    {step.because.slice(0, step.series ? 1 : 3).map((r) => (
      <div key={r.rule}>
        <Said sentence={asSentence(r.says)} units={units} words from={`rule ${r.rule.replaceAll('-', ' ')}`} />
      </div>
    ))}
  </div>
);

/** Steps that are not sized by measuring: the few numbers to set. */
export function Settings({ step, units }: Props) {
  const { speed, surface, feed, depth, passes, to, point } = step.figures;
  return (
    <>
      {speed && (
        <div>
          <div className="quiet mb-2">Set</div>
          <div className="row-big">
            <span className="huge">
              <FigureNumber figure={speed} units={units} />
            </span>
            <span>
              rpm
              {surface && (
                <span className="quiet d-block size-16">
                  <FigureNumber figure={surface} units={units} withUnit />
                </span>
              )}
            </span>
          </div>
        </div>
      )}
      <div className="pair">
        {feed && (
          <div>
            <div className="quiet">feed{feed.formula === 'feedByHand' ? ', by hand' : ''}</div>
            <span className="large">
              <FigureNumber figure={feed} units={units} />
            </span>
          </div>
        )}
        {depth && (
          <div>
            <div className="quiet">
              {passes && passes.value > 0 && step.verb !== 'drill' ? `deep, ${passes.value} pass${passes.value > 1 ? 'es' : ''}` : 'deep'}
            </div>
            <span className="large">
              <FigureNumber figure={depth} units={units} />
            </span>
          </div>
        )}
        {to && (
          <div>
            <div className="quiet">to</div>
            <span className="large">
              <FigureNumber figure={to} units={units} />
            </span>
          </div>
        )}
        {point && (
          <div>
            <div className="quiet">{toThePoint}</div>
            <span className="large">
              <FigureNumber figure={point} units={units} />
            </span>
          </div>
        )}
      </div>
      {!speed && (
        <p className="large size-30">
          <Said sentence={step.says} units={units} from={FROM_PLAN} />
        </p>
      )}
      {step.series && (
        <div className="line size-18">
          <span className="quiet">{sentenceCase(writeSentence(step.series.says, units))} </span>
          <span className="fig">{step.series.figures.map((f) => write(f, units).text).join(' · ')}</span>
        </div>
      )}
    </>
  );
}
