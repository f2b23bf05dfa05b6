import { typedBack } from '@obra/core/bench';
import { writeSentence } from '@obra/core/quantity';
import { useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { atHandNow } from '../../data/atHand';
import type { JobView } from './view';

/** A sheet that was filled in by hand, typed back by the numbers of its blanks. */
export function TypedBackCard({ view, piece }: { readonly view: JobView; readonly piece: number }) {
  const { part, units, add, job, shop } = view;
  const [text, setText] = useState('');
  const [said, setSaid] = useState<string>();
  const { entries, wrong } = useMemo(() => typedBack(text, part, job.issue?.kit ?? shop, units, piece), [text, part, job.issue, shop, units, piece]);
  const keep = async () => {
    try {
      for (const one of entries) await add({ ...one, ...(one.kind === 'reading' && atHandNow()) });
      setSaid(`${String(entries.length)} ${entries.length === 1 ? 'reading' : 'readings'} kept.`);
      // what was not understood stays to be put right
      const lines = text.split(/[\n;]/);
      setText(wrong.map((w) => lines[w.line - 1]?.trim() ?? '').join('\n'));
    } catch {
      setSaid('Not stored (storage full or blocked). Nothing earlier is lost: type them again when there is room.');
    }
  };
  return (
    <details className="noprint mt-3">
      <summary>typed back from paper</summary>
      <div className="d-flex gap-3 mt-2 flex-wrap">
        <Form.Control
          as="textarea"
          rows={4}
          className="fig wide-260"
          aria-label="readings from paper"
          placeholder={`7 = ${units === 'mm' ? '24.993' : '.9840'}\n2/7 = ${units === 'mm' ? '24.991' : '.9839'}`}
          value={text}
          onChange={(e) => {
            setSaid(undefined);
            setText(e.target.value);
          }}
        />
        <div className="most-460">
          <p className="quiet mb-2">
            The number of the blank, then what stands in it, in {units === 'mm' ? 'mm' : 'inches'}; of another piece 2/7. Lines without a piece are of
            piece {piece}.
          </p>
          {wrong.length > 0 && (
            <ul className="list-unstyled out mb-2" aria-label="Not understood">
              {wrong.map((w) => (
                <li key={w.line}>
                  line {w.line}: {writeSentence(w.says, units)}
                </li>
              ))}
            </ul>
          )}
          <Button variant="primary" disabled={entries.length === 0} onClick={() => void keep()}>
            keep {entries.length} {entries.length === 1 ? 'reading' : 'readings'}
          </Button>{' '}
          <span role="status">{said}</span>
        </div>
      </div>
    </details>
  );
}
