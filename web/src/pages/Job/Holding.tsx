import { lessonsAbout, lessonSaid, stagesOf } from '@obra/core/bench';
import type { Choice } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { type HoldingChoice, STARTED } from '@obra/core/holding';
import { barChoice } from '@obra/core/planner';
import { figure } from '@obra/core/quantity';
import { type Chucking, chuckingOf, type Setup } from '@obra/core/settings';
import { machineOf, mmOf } from '@obra/core/shop';
import { Button } from 'react-bootstrap';
import useSWR from 'swr';
import { listSummaries } from '../../data/jobs';
import { Assumptions, holdChoice, holdEdits, holdingKey, holdingName } from '../../fields';
import { HoldingPicture } from '../../bar';
import { moveTo } from '../../sheet';
import { Big, Checks, FigureNumber, Mark, Said, Stands, TradeWord } from '../../slate';
import { BarUse, Runouts } from './BarUse';
import { Carrying } from './Carrying';
import { Chain } from './Chain';
import { HeldEach } from './HeldEach';
import { HoldNumbers } from './HoldNumbers';
import type { JobView } from './view';
import { faceA, faceB } from '../../words/places';
import { takeIt } from '../../words/pressed';
import { sawOrPull } from '../../words/titles';
import { drawingFirst } from '../../words/found';

const partsOfBar: Readonly<Record<string, string>> = {
  part: 'part',
  faceA: faceA,
  faceB: faceB,
  blade: 'blade',
  gap: 'gap',
  grip: 'grip',
  spare: 'spare',
};

/** Ways that are shown at once. */
const BEST = 3;

/** Which bar, what grips it, what supports it, how much to cut. */
export function Holding({ view }: { readonly view: JobView }) {
  const { job, shop, plan, setup, units, open, older } = view;
  const route = plan?.routes[0];
  const apply = (edits: readonly Edit[], to: 'job' | 'shop') => open.edit(edits, to);
  const findings = view.findings.filter((f) => stagesOf(f).includes('holding') || f.severity === 'stop');
  const held = route && setup ? chuckingOf(route.setups, setup.id) : undefined;
  const options = plan?.holdings.filter((h) => h.setup === (held?.id ?? 'right-1')) ?? [];
  const ratio = held ? options.find((o) => holdingKey(o) === holdingKey(held)) : undefined;
  const take = (o: HoldingChoice) => {
    const value = holdChoice(
      o,
      job.choices.findLast((c) => c.kind === 'hold' && c.setup === o.setup),
    );
    open.edit(holdEdits(route, value));
  };
  const can = options.filter((o) => o.findings.every((f) => f.severity !== 'stop'));
  const cannot = options.filter((o) => !can.includes(o));
  // the best few and the one that is taken; the others a press away
  const first = can.filter((o, i) => i < BEST || (held && holdingKey(o) === holdingKey(held)));
  const others = can.filter((o) => !first.includes(o));
  return (
    <div className="work">
      <aside className={`slate ${older ? 'older' : ''}`} aria-label="Slate" tabIndex={0}>
        {route && setup ? (
          <>
            <h2>{route.bar.id === STARTED ? 'The piece as it is' : sawOrPull}</h2>
            <Big figure={route.bar.cut} units={units}>
              {route.bar.id === STARTED ? 'long' : `of ${shop.bars.find((b) => b.id === route.bar.id)?.name ?? ''}`}
            </Big>
            <div className="quiet">
              {Object.entries(route.bar.cut.of)
                .flatMap(([name, value]) => (typeof value === 'number' && name !== 'value' ? [[partsOfBar[name] ?? name, value] as const] : []))
                .map(([words, value], i) => (
                  <span key={words}>
                    {i > 0 && ' + '}
                    {words} <Stands of={{ is: 'length', value }} from={`${words}: a part of what is sawn off`} units={units} withUnit={false} />
                  </span>
                ))}
            </div>
            <h2>{headOf(route.setups, setup)}</h2>
            {!setup.carried && (
              <>
                <Big figure={setup.grip} units={units} size="mid">
                  gripped
                </Big>
                <Big figure={setup.stickOut} units={units} size="mid">
                  <TradeWord word="stick-out">out</TradeWord>
                </Big>
              </>
            )}
            <Big figure={setup.runout} units={units} size="mid">
              <TradeWord word="runout" />, <TradeWord word="TIR" />
            </Big>
            {setup.bent && (
              <Big figure={setup.bent.spring} units={units} size="mid">
                spring, finishing
              </Big>
            )}
            {lessonsAbout(job.issue?.kit ?? shop, machineOf(shop, job.machine)?.id, setup.holding).map((l) => (
              <div key={l.id} className="quiet size-14">
                learned: <Said sentence={lessonSaid(l, shop)} units={units} from="a lesson of the Logbook" />
              </div>
            ))}
            <div className="quiet">
              {ratio?.because
                .filter((r) => r.rule === 'stick-out')
                .map((r) => (
                  <Said key={r.rule} sentence={r.says} units={units} words from="rule stick out" />
                ))}
            </div>
          </>
        ) : (
          <h2>{view.part.findings.some((f) => f.severity === 'stop') ? drawingFirst : 'Nothing held yet'}</h2>
        )}
        <hr />
        <Checks findings={findings} units={units} apply={apply} dark />
      </aside>
      <main className="sheet">
        <div className="d-flex flex-wrap gap-3 mb-3 align-items-baseline">
          <span className="quiet">taken:</span>
          <Assumptions job={job} shop={shop} plan={plan} units={units} apply={apply} />
          {route && route.bar.id !== STARTED && <CutAfter view={view} bar={route.bar.id} />}
          <Carrying view={view} />
        </div>
        {route && (
          <>
            <Chain view={view} route={route} />
            <div className="d-flex gap-2 mb-2">{held && <HoldNumbers view={view} held={held} />}</div>
          </>
        )}
        {first.length > 0 && <Options view={view} options={first} held={held} words="Ways of holding" onTake={take} />}
        {others.length > 0 && (
          <details className="mt-2">
            <summary>Other ways, each with its reasons ({others.length})</summary>
            <Options view={view} options={others} held={held} words="Other ways of holding" onTake={take} />
          </details>
        )}
        {held && !job.issue && <HeldEach view={view} held={held} />}
        {route && <BarUse view={view} route={route} />}
        {route && <Runouts view={view} made={route.runouts} />}
        {cannot.length > 0 && (
          <details className="mt-3" open={can.length === 0}>
            <summary>What cannot hold it, and why ({cannot.length})</summary>
            <Options view={view} options={cannot} held={held} words="What cannot hold it" onTake={take} />
          </details>
        )}
        {options.length === 0 && (
          <p>
            {view.part.findings.some((f) => f.severity === 'stop') ? 'Mend the drawing; the holdings stand here then.' : 'No bar yet; choose one.'}
          </p>
        )}
      </main>
    </div>
  );
}

/** What a setup is to the one before it. */
function headOf(setups: readonly Setup[], setup: Setup): string {
  const move = moveTo(setups, setup);
  return setups[0] === setup ? 'First holding' : `${move.charAt(0).toUpperCase()}${move.slice(1)}`;
}

/** Ways of holding, best first, each with what speaks for and against it. */
function Options({
  view,
  options,
  held,
  words,
  onTake,
}: {
  readonly view: JobView;
  readonly options: readonly HoldingChoice[];
  readonly held: Chucking | undefined;
  readonly words: string;
  readonly onTake: (option: HoldingChoice) => void;
}) {
  const { shop, units } = view;
  return (
    <table className="plain" aria-label={words}>
      <thead>
        <tr>
          <th>holding</th>
          <th className="num">
            <TradeWord word="TIR" />
          </th>
          <th>why</th>
          <th>
            <span className="visually-hidden">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {options.map((o) => (
          <tr key={holdingKey(o)} data-holding={holdingKey(o)}>
            <td>
              <span className="d-flex gap-2 align-items-center">
                <HoldingPicture kind={shop.holdings.find((h) => h.id === o.holding)?.kind ?? 'threeJaw'} support={o.support.map((s) => s.kind)} />
                <strong>{holdingName(o, shop)}</strong>
              </span>
              <div className="quiet">
                <FigureNumber figure={o.grip} units={units} withUnit /> grip
              </div>
            </td>
            <td className="num text-nowrap">
              <FigureNumber
                figure={figure(
                  'length',
                  'runoutOfHolding',
                  { tir: mmOf(shop.holdings.find((h) => h.id === o.holding)?.trueWithin) },
                  { step: 0.001 },
                )}
                units={units}
                withUnit
              />
            </td>
            <td>
              {o.findings.map((f) => (
                <div key={f.code} className="d-flex gap-2">
                  <Mark severity={f.severity} />
                  <span>
                    <Said sentence={f.says} units={units} from={`check ${f.code.replaceAll('-', ' ')}`} />;{' '}
                    <Said sentence={f.why} units={units} from={`check ${f.code.replaceAll('-', ' ')}`} />
                  </span>
                </div>
              ))}
              {o.findings.every((f) => f.severity !== 'stop') &&
                o.because
                  .filter((r) => r.rule !== 'stick-out' || !o.findings.some((f) => f.code === 'stick-out'))
                  .map((r) => (
                    <div key={r.rule} className="quiet">
                      <Said sentence={r.says} units={units} from={`rule ${r.rule.replaceAll('-', ' ')}`} />
                    </div>
                  ))}
            </td>
            <td className="text-end">
              {held && holdingKey(o) === holdingKey(held) ? (
                <strong>taken</strong>
              ) : (
                <Button variant="outline-dark" className="text-nowrap" onClick={() => onTake(o)}>
                  {takeIt}
                </Button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A job whose pieces come out of the same bar before these. */
function CutAfter({ view, bar }: { readonly view: JobView; readonly bar: string }) {
  const { job, id, open, units, barLeft } = view;
  const { data } = useSWR('jobs', () => listSummaries());
  const own = barChoice(job);
  const others = (data?.summaries ?? []).filter((j) => j.id !== id && j.material === job.drawing.material);
  const after = own?.after ?? '';
  if (others.length === 0 && after === '') return null;
  return (
    <label className="d-flex gap-2 align-items-baseline">
      <span className="quiet">cut from its bar</span>
      <select
        className="assumed"
        aria-label="Cut after"
        value={after}
        onChange={(e) => {
          const value: Choice = { ...(own ?? { kind: 'bar', id: 'bar', bar }), after: e.target.value };
          open.edit(
            e.target.value === ''
              ? own
                ? [{ op: 'remove', at: `choices/#${own.id}/after` }]
                : []
              : [{ op: 'put', at: `choices/#${value.id}`, value }],
          );
        }}>
        <option value="">first</option>
        {after !== '' && !others.some((j) => j.id === after) && <option value={after}>after a job not there now</option>}
        {others.map((j) => (
          <option key={j.id} value={j.id}>
            after {j.name}
          </option>
        ))}
      </select>
      {barLeft && (
        <span className="quiet">
          <FigureNumber figure={barLeft} units={units} withUnit /> left of it
        </span>
      )}
    </label>
  );
}
