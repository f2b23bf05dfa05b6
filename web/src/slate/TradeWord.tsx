import { lazy, type ReactNode, Suspense, useState } from 'react';
import { Button } from 'react-bootstrap';

// what the words say is loaded when the first is asked for
const Said = lazy(() => import('./WordSaid').then((m) => ({ default: m.WordSaid })));

/** A word of the trade with a dotted line: pressed, it says what it means. */
export function TradeWord({ word, children }: { readonly word: string; readonly children?: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="link" className="trade-word" aria-expanded={open} onClick={() => setOpen(!open)}>
        {children ?? word}
      </Button>
      {open && (
        <Suspense fallback={null}>
          <Said word={word} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
