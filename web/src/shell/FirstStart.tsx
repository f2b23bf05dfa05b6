import { useState } from 'react';
import { kept } from '../data/local';
import { Notice } from './Notice';

const KEPT = 'obra-cautioned';

/** Said once in a browser, on first start. */
export function FirstStart() {
  const [said, setSaid] = useState(() => kept.get(KEPT) !== null);
  if (said) return null;
  const close = () => {
    kept.set(KEPT, new Date().toISOString());
    setSaid(true);
  };
  return (
    <Notice onClose={close}>
      Obra plans; the machine is yours. Local codes, the machine’s manual and licensed or supervised practice come first. Check clearances by hand
      before power.
    </Notice>
  );
}
