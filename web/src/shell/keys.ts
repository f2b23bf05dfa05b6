import { useEffect } from 'react';

const inCell = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable="true"]') !== null;

/**
 * Keys of a page: single letters and digits act only outside a cell; Ctrl combinations act everywhere. A handler that
 * returns false leaves the key to the browser.
 */
export function useKeys(keys: Readonly<Record<string, (event: KeyboardEvent) => unknown>>): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && inCell(event.target)) {
        (event.target as HTMLElement).blur();
        return;
      }
      if (document.querySelector('.modal.show') && event.key !== 'Escape') return;
      const name = `${event.ctrlKey || event.metaKey ? 'Ctrl+' : ''}${event.shiftKey && event.key.length > 1 ? 'Shift+' : ''}${event.shiftKey && (event.ctrlKey || event.metaKey) && event.key.length === 1 ? 'Shift+' : ''}${event.altKey ? 'Alt+' : ''}${event.key.length === 1 && (event.ctrlKey || event.metaKey) ? event.key.toLowerCase() : event.key}`;
      const act = keys[name];
      // a key that is held repeats: it means nothing, but for the arrows
      if (event.repeat && !event.key.startsWith('Arrow') && !inCell(event.target)) {
        if (act || event.key === 'Enter') event.preventDefault();
        return;
      }
      if (!act || (inCell(event.target) && !name.startsWith('Ctrl+'))) return;
      if (act(event) !== false) event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [keys]);
}
