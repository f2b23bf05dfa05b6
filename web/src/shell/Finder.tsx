import { lazy, Suspense, useEffect, useState } from 'react';
import { inCell, useKeys } from './keys';
import { openFinder, useFinderOpen } from './offers';

const FinderDialog = lazy(() => import('./FinderDialog').then((m) => ({ default: m.FinderDialog })));

/** `/` finds jobs and places by any word, and answers what the standards know; `?` shows the keys. Its dialog is loaded when first asked for. */
export function Finder() {
  const open = useFinderOpen();
  const [text, setText] = useState('');
  useKeys('everywhere', {
    '/, shift+/': { says: 'find anything', act: () => openFinder('find') },
    '?, shift+?': { says: 'these keys', act: () => openFinder('keys') },
    escape: {
      says: 'leave a cell, keep its text',
      // a dialog above it closes by the same key
      act: ({ target }) => {
        if (inCell(target)) target.blur();
        return false;
      },
    },
  });
  // what is typed before the dialog is there goes into its cell, and acts as no key of the page
  useEffect(() => {
    if (open !== 'find') return;
    const keep = (e: KeyboardEvent) => {
      if (document.querySelector('.modal.show') || e.key.length !== 1 || e.ctrlKey || e.metaKey || e.altKey) return;
      e.preventDefault();
      e.stopPropagation();
      setText((t) => t + e.key);
    };
    window.addEventListener('keydown', keep, true);
    return () => window.removeEventListener('keydown', keep, true);
  }, [open]);
  if (open === undefined) return null;
  const close = () => {
    openFinder(undefined);
    setText('');
  };
  return (
    <Suspense fallback={null}>
      <FinderDialog open={open} text={text} setText={setText} close={close} />
    </Suspense>
  );
}
