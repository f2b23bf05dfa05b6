import { barChoice, type Choice, type Edit, mmOf, parseLength, STARTED, stagesOf, write, writeSentence, writeWithUnit } from '@obra/core';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import useSWR from 'swr';
import { type JobList, listJobs } from '../../data/jobs';
import { Assumptions, holdingName } from '../../fields';
import { Big, Checks, FigureNumber, Mark } from '../../slate';
import type { JobView } from './view';

/** Which bar, what grips it, what supports it, how much to cut. */
export function Holding({ view }: { readonly view: JobView }) {
  const { job, shop, plan, setup, units, open, older } = view;
  const route = plan?.routes[0];
  const apply = (edits: readonly Edit[], to: 'job' | 'shop') => open.edit(edits, to);
  const findings = view.findings.filter((f) => stagesOf(f).includes('holding') || f.severity === 'stop');
  const options = plan?.holdings.filter((h) => h.setup === (setup?.id ?? 'right-1')) ?? [];
  const ratio = setup ? options.find((o) => o.holding === setup.holding && o.support.length > 0 === setup.support.length > 0) : undefined;
  const take = (o: (typeof options)[number]) => {
    const value: Choice = {
      kind: 'hold',
      id: `hold-${o.setup}`,
      setup: o.setup,
      holding: o.holding,
      support: o.support.map(({ item }) => ({ item })),
    };
    open.edit([{ op: 'put', at: `choices/#${value.id}`, value }]);
  };
  return (
    <div className="work">
      <aside className={`slate ${older ? 'older' : ''}`} aria-label="Slate">
        {route && setup ? (
          <>
            <h2>{route.bar.id === STARTED ? 'The piece as it is' : 'Saw or pull out'}</h2>
            <Big figure={route.bar.cut} units={units}>
              {route.bar.id === STARTED ? 'long' : `of ${shop.bars.find((b) => b.id === route.bar.id)?.name ?? ''}`}
            </Big>
            <div className="quiet">
              {Object.entries(route.bar.cut.of)
                .map(([name, value]) =>
                  typeof value === 'number' && name !== 'value'
                    ? `${{ part: 'part', faceA: 'face A', faceB: 'face B', blade: 'blade', gap: 'gap', grip: 'grip', spare: 'spare' }[name] ?? name} ${write({ is: 'length', value }, units).text}`
                    : '',
                )
                .filter((t) => t !== '')
                .join(' + ')}
            </div>
            <h2>{setup.end === 'left' ? 'Turned round' : 'First holding'}</h2>
            <Big figure={setup.grip} units={units} size="mid">
              gripped
            </Big>
            <Big figure={setup.stickOut} units={units} size="mid">
              out
            </Big>
            <Big figure={setup.runout} units={units} size="mid">
              runout, TIR
            </Big>
            {setup.bent && (
              <Big figure={setup.bent.spring} units={units} size="mid">
                spring, finishing
              </Big>
            )}
            <div className="quiet">
              {ratio?.because
                .filter((r) => r.rule === 'stick-out')
                .map((r) => writeSentence(r.says, units))
                .join('')}
            </div>
          </>
        ) : (
          <h2>{view.part.findings.some((f) => f.severity === 'stop') ? 'The drawing comes first' : 'Nothing held yet'}</h2>
        )}
        <hr />
        <Checks findings={findings} units={units} apply={apply} dark />
      </aside>
      <main className="sheet">
        <div className="d-flex flex-wrap gap-3 mb-3 align-items-baseline">
          <span className="quiet">taken:</span>
          <Assumptions job={job} shop={shop} plan={plan} units={units} apply={apply} />
          {route && route.bar.id !== STARTED && <CutAfter view={view} bar={route.bar.id} />}
        </div>
        {route && (
          <div className="d-flex gap-2 mb-2">
            {route.setups.map((s, i) => (
              <Button key={s.id} variant={s.id === setup?.id ? 'primary' : 'outline-dark'} onClick={() => view.choose(s.id)}>
                Setup {i + 1}: end {s.end === 'left' ? 'B' : 'A'} out
              </Button>
            ))}
            {setup?.end === 'right' && <Grip view={view} setup={setup.id} />}
          </div>
        )}
        <table className="plain" aria-label="Ways of holding">
          <thead>
            <tr>
              <th>holding</th>
              <th>score</th>
              <th>why</th>
              <th>
                <span className="visually-hidden">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {options.map((o) => {
              const now = o.holding === setup?.holding && o.support.length > 0 === setup.support.length > 0;
              return (
                <tr key={`${o.holding}${o.support.length}`} data-holding={`${o.holding}${o.support.length > 0 ? '+centre' : ''}`}>
                  <td>
                    <strong>{holdingName(o, shop)}</strong>
                    <div className="quiet">
                      {writeWithUnit({ is: 'length', value: mmOf(shop.holdings.find((h) => h.id === o.holding)?.trueWithin), step: 0.001 }, units)}{' '}
                      TIR
                    </div>
                  </td>
                  <td>
                    <FigureNumber figure={o.score} units={units} />
                  </td>
                  <td>
                    {o.findings.map((f) => (
                      <div key={f.code} className="d-flex gap-2">
                        <Mark severity={f.severity} />
                        {writeSentence(f.says, units)}; {writeSentence(f.why, units)}
                      </div>
                    ))}
                    {o.findings.every((f) => f.severity !== 'stop') &&
                      o.because
                        .filter((r) => r.rule !== 'stick-out' || o.findings.length === 0)
                        .map((r) => (
                          <div key={r.rule} className="quiet">
                            {writeSentence(r.says, units)}
                          </div>
                        ))}
                  </td>
                  <td className="text-end">
                    {now ? (
                      <strong>taken</strong>
                    ) : (
                      <Button variant="outline-dark" className="text-nowrap" onClick={() => take(o)}>
                        take it
                      </Button>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {options.length === 0 && (
          <p>
            {view.part.findings.some((f) => f.severity === 'stop') ? 'Mend the drawing; the holdings stand here then.' : 'No bar yet; choose one.'}
          </p>
        )}
      </main>
    </div>
  );
}

/** A job whose pieces come out of the same bar before these. */
function CutAfter({ view, bar }: { readonly view: JobView; readonly bar: string }) {
  const { job, id, open, units, barLeft } = view;
  const { data } = useSWR<JobList, Error>('jobs', () => listJobs());
  const own = barChoice(job);
  const others = (data?.jobs ?? []).filter((j) => j.id !== id && j.job.drawing.material === job.drawing.material);
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
            after {j.job.name}
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

/** The grip by number. */
function Grip({ view, setup }: { readonly view: JobView; readonly setup: string }) {
  const { job, plan, units, open } = view;
  const own = job.choices.findLast((c) => c.kind === 'hold' && c.setup === setup);
  const [text, setText] = useState(own?.kind === 'hold' ? (own.grip?.text ?? '') : '');
  const held = plan?.routes[0]?.setups.find((s) => s.id === setup);
  const set = () => {
    if (!held) return;
    const read = parseLength(text, units);
    if (text.trim() !== '' && !read.ok) return;
    const value: Choice = {
      kind: 'hold',
      id: `hold-${setup}`,
      setup,
      holding: held.holding,
      support: held.support.map(({ item }) => ({ item })),
      ...(text.trim() !== '' && { grip: { text, units } }),
    };
    open.edit([{ op: 'put', at: `choices/#${value.id}`, value }]);
  };
  return (
    <Form
      className="d-flex gap-2 align-items-center ms-auto"
      onSubmit={(e) => {
        e.preventDefault();
        set();
      }}>
      <Form.Label htmlFor="grip" className="m-0 quiet">
        grip
      </Form.Label>
      <Form.Control
        id="grip"
        className="fig"
        style={{ width: 90 }}
        value={text}
        placeholder={held ? write(held.grip, units).text : ''}
        onChange={(e) => setText(e.target.value)}
        onBlur={set}
        isInvalid={text.trim() !== '' && !parseLength(text, units).ok}
      />
    </Form>
  );
}
