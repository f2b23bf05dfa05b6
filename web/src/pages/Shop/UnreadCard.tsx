import { type Units, writeSentence } from '@obra/core/quantity';
import { useRef } from 'react';
import { Button } from 'react-bootstrap';
import type { OpenShop } from '../../data/shopSession';
import type { UnreadShop } from '../../data/shopStore';
import { download, fileName } from '../../shell/download';

/** The stored shop cannot be read: what is wrong, and the two ways on. Until one is taken it stays as it is. */
export function UnreadCard({ unread, units, mend }: { readonly unread: UnreadShop; readonly units: Units; readonly mend: OpenShop['mend'] }) {
  const { salvage } = unread;
  const out = salvage?.out.length ?? 0;
  const refused = useRef<HTMLSpanElement>(null);
  const act = (how: 'repair' | 'takeOut') =>
    void mend(how).catch(() => {
      if (refused.current) refused.current.textContent = 'This browser did not store it; the shop stays as it is. ';
    });
  return (
    <section className="notice d-block" role="alert" aria-label="The shop cannot be read">
      <p className="mb-1">
        {out > 0 ? 'Lines of your shop cannot be read.' : `Your shop cannot be read: ${writeSentence(unread.says, units)}.`} It stays stored as it is.{' '}
        {salvage
          ? 'What can be read of it is shown; no change is stored until you choose.'
          : 'The starting shop is shown; no change is stored until you choose.'}
      </p>
      {salvage && out > 0 && (
        <ul className="mb-1">
          {salvage.out.slice(0, 6).map((o, i) => (
            <li key={i}>{writeSentence(o.says, units)}</li>
          ))}
        </ul>
      )}
      <span ref={refused} />
      {salvage && (
        <Button className="me-2 mb-1" onClick={() => act('repair')}>
          {out > 0 ? `repair it: ${out} ${out === 1 ? 'line goes' : 'lines go'} out` : 'repair it'}
        </Button>
      )}
      <Button variant="outline-dark" className="me-2 mb-1" onClick={() => download(fileName('shop as it was'), JSON.stringify(unread.raw, null, 1))}>
        export it as it is
      </Button>
      <Button variant="outline-dark" className="mb-1" onClick={() => act('takeOut')}>
        take it out and begin again
      </Button>
      <p className="quiet mt-1 mb-0">Either way the one that cannot be read is kept under “Set aside” in Jobs.</p>
    </section>
  );
}
