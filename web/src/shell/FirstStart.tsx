import { useState } from 'react';
import { caution, cautioned } from './cautioned';
import { Notice } from './Notice';

/** Said once in a browser, on first start. */
export function FirstStart() {
  const [said, setSaid] = useState(cautioned);
  if (said) return null;
  const close = () => {
    caution();
    setSaid(true);
  };
  return (
    <Notice onClose={close}>
      Obra plans; the machine is yours. Local codes, the machine’s manual and licensed or supervised practice come first. Check clearances by hand
      before power.
    </Notice>
  );
}
