import { Button } from 'react-bootstrap';
import { Notice } from '../../shell/Notice';
import type { OpenJob } from '../../data/session';

/** What a person should know of the job that is open: how its storing went, what another window did, what of its record cannot be read. */
export function JobSays({ open, unread }: { readonly open: OpenJob; readonly unread: number }) {
  return (
    <>
      {open.says !== undefined && (
        <Notice {...(!open.gone && { onClose: open.dismiss })}>
          {open.says}{' '}
          {open.gone && (
            <Button variant="link" onClick={open.putBack}>
              put it back
            </Button>
          )}
        </Notice>
      )}
      {unread > 0 && (
        <Notice>
          {unread === 1 ? 'One entry of this Bench' : `${String(unread)} entries of this Bench`} cannot be read and {unread === 1 ? 'is' : 'are'} set
          aside as {unread === 1 ? 'it is' : 'they are'}; the advice goes on without. The exported job carries {unread === 1 ? 'it' : 'them'}.
        </Notice>
      )}
    </>
  );
}
