import { stackOf, workingLengths } from '@obra/core/drawing';
import type { Figure } from '@obra/core/quantity';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { FigureNumber } from '../../../slate';
import type { JobView } from '../view';
import { faceA, faceB } from '../../../words/places';

/** The tolerance stack of any distance, and what to cut to when lengths are cut from another face than they are drawn from. */
export function Lengths({ view }: { readonly view: JobView }) {
  const { job, part, units } = view;
  const faces = facesOf(view);
  const [a, setA] = useState('right');
  const [b, setB] = useState('left');
  const [from, setFrom] = useState('right');
  const stack = stackOf(part, a, b);
  const working = workingLengths(part, from);
  const says = (face: string) => faces.find((f) => f.ref === face)?.says ?? face;
  const shown = (figure: Figure, withUnit = false) => <FigureNumber figure={figure} units={units} withUnit={withUnit} />;
  if (job.drawing.outside.length === 0) return null;
  const choose = (label: string, value: string, set: (v: string) => void) => (
    <Form.Select className="wide-150" aria-label={label} value={value} onChange={(e) => set(e.target.value)}>
      {faces.map((f) => (
        <option key={f.ref} value={f.ref}>
          {f.says}
        </option>
      ))}
    </Form.Select>
  );
  return (
    <section className="mb-3" aria-label="Lengths and tolerances">
      <div className="d-flex gap-2 align-items-center flex-wrap mb-2">
        <span>from</span> {choose('stack from', a, setA)} <span>to</span> {choose('stack to', b, setB)}
        <span data-testid="stack">
          {stack ? (
            <>
              {shown(stack.nominal, true)}: {shown(stack.min)} to {shown(stack.max)} at worst, through {stack.through.length}{' '}
              {stack.through.length === 1 ? 'length' : 'lengths'}; {shown(stack.spread)} spread is likely
            </>
          ) : (
            'no lengths connect these faces'
          )}
        </span>
      </div>
      <div className="d-flex gap-2 align-items-center flex-wrap mb-1">
        <span>cut everything from</span> {choose('work from', from, setFrom)}
        <span className="quiet">so that every drawn length holds, whatever the others do within theirs</span>
      </div>
      <table className="plain" aria-label="Working lengths">
        <tbody>
          {working.map((w) => (
            <tr key={w.face}>
              <td>{says(w.face)}</td>
              <td className="fig">
                {shown(w.min)} to {shown(w.max)} {units}
              </td>
              <td className="quiet">
                {w.direct ? 'drawn so' : w.max.value <= w.min.value ? 'no room left: another length takes it all' : 'worked out'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function facesOf({ job, part }: JobView): readonly { readonly ref: string; readonly says: string }[] {
  const { outside, boreRight, boreLeft } = job.drawing;
  const known = (ref: string) => ref in part.faces;
  return [
    { ref: 'right', says: faceA },
    ...outside.slice(0, -1).map((r, i) => ({ ref: `${r.id}.far`, says: `shoulder ${String(i + 1)} | ${String(i + 2)}` })),
    { ref: 'left', says: faceB },
    ...boreRight.map((r, i) => ({ ref: `${r.id}.far`, says: `hole A, end of row ${String(i + 1)}` })),
    ...boreLeft.map((r, i) => ({ ref: `${r.id}.far`, says: `hole B, end of row ${String(i + 1)}` })),
  ].filter((f) => known(f.ref));
}
