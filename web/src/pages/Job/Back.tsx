import { liveEntries } from '@obra/core/document';
import { Button } from 'react-bootstrap';
import type { JobView } from './view';

/** Undo at the Bench: the last entry is withdrawn, never erased. */
export function Back({ view }: { readonly view: JobView }) {
  const { log, add } = view;
  // a change of the drawing is taken back in the drawing
  const last = liveEntries(log).findLast((e) => e.kind !== 'changed');
  if (!last) return null;
  const words: Readonly<Record<string, string>> = {
    reading: 'reading',
    cut: 'cut',
    done: 'step done',
    skipped: 'skipped step',
    scrapped: 'scrapping',
    symptom: 'remedy',
  };
  return (
    <Button variant="outline-light" onClick={() => void add({ kind: 'withdrawn', entry: last.id, piece: last.piece, step: last.step })}>
      undo the last {words[last.kind] ?? 'entry'}
    </Button>
  );
}
