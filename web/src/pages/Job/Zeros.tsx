import { type ZeroWay, zerosOf } from '@obra/core/bench';
import type { Step } from '@obra/core/operations';
import { writeSentence } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { FigureNumber, sentence } from '../../slate';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly setup: Setup | undefined;
}

/** How a blade or a drill is zeroed, each way with its small picture and how far it is moved from there. */
export function Zeros({ view, step, setup }: Props) {
  const { plan, job, shop, units } = view;
  const of = plan && setup && zerosOf(step, setup, plan.part, job.issue?.kit ?? shop);
  if (!of) return null;
  return (
    <div className="line zeros" role="group" aria-label="Where it stands">
      <div className="quiet">{of.tool === 'blade' ? 'Zero the carriage' : 'Zero the quill'}, then move</div>
      <ul>
        {of.ways.map((way) => (
          <li key={way.at}>
            <Picture at={way.at} />
            <span className="large size-30">
              <FigureNumber figure={way.move} units={units} />
            </span>
            <span className="quiet">{sentence(writeSentence(way.says, units))}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The end of the work at the left, the tool where it is zeroed. */
const Picture = ({ at }: { readonly at: ZeroWay['at'] }) => (
  <svg width={64} height={44} viewBox="0 0 64 44" aria-hidden>
    <path className="work" d="M0 6H30V30H0Z" />
    {at === 'level' && <path className="edge" d="M20 31H30V44H20Z" />}
    {at === 'touched' && <path className="edge" d="M30 25H40V44H30Z" />}
    {at === 'point' && <path className="edge" d="M30 18L38 10H64V26H38Z" />}
    {at === 'lips' && <path className="edge" d="M22 18L30 10H64V26H30Z" />}
    {at === 'rule' && (
      <>
        <path className="rule" d="M30 4H34V32H30Z" />
        <path className="edge" d="M34 18L42 10H64V26H42Z" />
      </>
    )}
  </svg>
);
