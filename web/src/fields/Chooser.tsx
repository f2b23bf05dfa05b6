import { lazy, Suspense, useRef, useState } from 'react';
import { giveBack } from '../shell/giveBack';
import type { Choosing } from './ChooserList';

// the list is loaded when it is first opened
const ChooserList = lazy(() => import('./ChooserList').then((m) => ({ default: m.ChooserList })));

interface Props {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly Choosing[];
  readonly none: string;
  readonly onChoose: (key: string) => void;
}

/** One of many, with a picture of each: a press opens the list, a word finds in it. */
export function Chooser({ label, value, choices, none, onChoose }: Props) {
  const [open, setOpen] = useState(false);
  const opener = useRef<HTMLButtonElement>(null);
  const close = () => {
    setOpen(false);
    giveBack(opener.current);
  };
  const now = choices.find((c) => c.key === value);
  return (
    <>
      <button
        type="button"
        ref={opener}
        className="assumed chooser"
        aria-label={`${label}: ${now?.words ?? none}`}
        aria-haspopup="listbox"
        aria-expanded={open}
        disabled={choices.length === 0}
        onClick={() => setOpen(!open)}>
        {now?.words ?? none}
      </button>
      {open && (
        <Suspense fallback={null}>
          <ChooserList {...{ label, value, choices, opener, close }} onChoose={onChoose} />
        </Suspense>
      )}
    </>
  );
}
