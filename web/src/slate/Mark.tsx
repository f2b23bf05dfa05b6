import type { Severity } from '@obra/core';

/** A stop is a filled octagon, a caution an open triangle, a note a plain dot. */
export function Mark({ severity, dark = false }: { readonly severity: Severity; readonly dark?: boolean }) {
  const stop = dark ? 'var(--slate-stop)' : 'var(--oxide)';
  const line = dark ? 'var(--slate-brass)' : 'var(--ink)';
  return (
    <span className="sev" role="img" aria-label={severity}>
      <svg width="15" height="15" viewBox="0 0 16 16">
        {severity === 'stop' && <path d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" fill={stop} />}
        {severity === 'caution' && <path d="M8 2l6.5 12h-13z" fill="none" stroke={line} strokeWidth="1.8" />}
        {severity === 'note' && <circle cx="8" cy="8" r="3.4" fill={dark ? 'var(--slate-quiet)' : 'var(--quiet)'} />}
      </svg>
    </span>
  );
}
