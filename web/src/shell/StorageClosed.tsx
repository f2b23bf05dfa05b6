import { useSyncExternalStore } from 'react';
import { Button } from 'react-bootstrap';
import { onStorageClosed, storageClosed } from '../data/store';
import { Notice } from './Notice';

/** Said while the browser's database does not open: this visit works, nothing of it is kept. */
export function StorageClosed() {
  const closed = useSyncExternalStore(onStorageClosed, storageClosed, () => false);
  if (!closed) return null;
  return (
    <Notice>
      The storage of this browser does not open (blocked, or held by another window). Everything works for this visit, and nothing of it is kept: take
      out as a file what should stay.{' '}
      <Button variant="link" onClick={() => location.reload()}>
        try again
      </Button>
    </Notice>
  );
}
