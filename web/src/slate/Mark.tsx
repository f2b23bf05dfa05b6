import type { Severity } from '@obra/core/finding';

/** The shape of a severity, 16 px square: a stop is a filled octagon, a caution an open triangle, a note a plain dot. */
export function MarkShape({ severity, dark = false }: { readonly severity: Severity; readonly dark?: boolean }) {
  if (severity === 'stop') return <path d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" fill={dark ? 'var(--slate-stop)' : 'var(--oxide)'} />;
  if (severity === 'caution')
    return (
      <path d="M8 2l6.5 12h-13z" fill={dark ? 'none' : 'var(--opening)'} stroke={dark ? 'var(--slate-brass)' : 'var(--ink)'} strokeWidth="1.8" />
    );
  return <circle cx="8" cy="8" r="3.4" fill={dark ? 'var(--slate-quiet)' : 'var(--quiet)'} />;
}

/** A severity beside words. */
export function Mark({ severity, dark = false }: { readonly severity: Severity; readonly dark?: boolean }) {
  return (
    <span className="sev" role="img" aria-label={severity}>
      <svg width="15" height="15" viewBox="0 0 16 16">
        <MarkShape severity={severity} dark={dark} />
      </svg>
    </span>
  );
}
