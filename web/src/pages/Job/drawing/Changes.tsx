import { cuttingBegan, type Change, changesOf, nameOf } from '@obra/core/bench';
import { liveEntries } from '@obra/core/document';
import { writeSentence } from '@obra/core/quantity';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { JobView } from '../view';
import { noReason } from '../../../words/found';

/** Writes changes of the drawing into the record, each with its reason. */
export async function noteChanges(view: Pick<JobView, 'add'>, changes: readonly Change[], why: string): Promise<void> {
  for (const { of, was, now } of changes) await view.add({ kind: 'changed', of, was, now, why, piece: 1, step: null });
}

/** Once cutting has begun: what of the drawing is no longer what was given out, what that touches, and why; and what was changed before. */
export function Changes({ view }: { readonly view: JobView }) {
  const { job, log, units } = view;
  const changes = cuttingBegan(log) ? changesOf(job, log) : [];
  const open = changes.filter((c) => !c.noted);
  const kept = liveEntries(log).flatMap((e) => (e.kind === 'changed' ? [e] : []));
  if (open.length === 0 && kept.length === 0) return null;
  return (
    <section className="mb-3" aria-label="Changed since cutting began">
      <h2>Changed since cutting began</h2>
      <table className="plain" aria-label="Changes">
        <thead>
          <tr>
            <th>what</th>
            <th>was</th>
            <th>now</th>
            <th>touches</th>
            <th>why</th>
          </tr>
        </thead>
        <tbody>
          {open.map((c) => (
            <OpenChange key={c.of} view={view} change={c} />
          ))}
          {kept.map((e) => (
            <tr key={e.id} className="quiet" data-changed={e.of}>
              <td>{writeSentence(nameOf(e.of, ...(job.issue?.drawing ? [job.issue.drawing] : []), job.drawing), units)}</td>
              <td className="fig">{e.was}</td>
              <td className="fig">{e.now}</td>
              <td>{e.at.slice(0, 16).replace('T', ' ')}</td>
              <td>{e.why === '' ? noReason : e.why}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function OpenChange({ view, change }: { readonly view: JobView; readonly change: Change }) {
  const [why, setWhy] = useState('');
  const [refused, setRefused] = useState(false);
  const name = writeSentence(change.says, view.units);
  const note = () => {
    noteChanges(view, [change], why.trim()).then(
      () => setRefused(false),
      () => setRefused(true),
    );
  };
  return (
    <tr data-change={change.of}>
      <td>{name}</td>
      <td className="fig">{change.was === '' ? 'not there' : change.was}</td>
      <td className="fig">{change.now === '' ? 'taken out' : change.now}</td>
      <td>{change.touches.length === 0 ? 'nothing else' : change.touches.map((t) => writeSentence(t, view.units)).join('; ')}</td>
      <td>
        <Form
          className="d-flex gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            note();
          }}>
          <Form.Control size="sm" aria-label={`why, ${name}`} value={why} maxLength={400} onChange={(e) => setWhy(e.target.value)} />
          <Button size="sm" type="submit" variant="outline-dark" disabled={why.trim() === ''}>
            keep
          </Button>
        </Form>
        {refused && <div role="alert">This browser did not store it. Nothing that was stored is lost.</div>}
      </td>
    </tr>
  );
}
