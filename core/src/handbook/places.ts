import { parseLength } from '../quantity';
import { drillNamed, fit, namedTaper, sizeLimits, threadLimits } from '../standards';

/** An entry with what stands in its first cell. */
export interface HandbookPlace {
  readonly calculator: string;
  readonly d: string;
}

/** The entry of the Handbook that a typed text belongs to: a thread, a fit, a tap drill, a drill, a taper, a size. Undefined where it is none. */
export function placeFor(text: string): HandbookPlace | undefined {
  const t = text.trim();
  if (t === '' || t.length > 60) return undefined;
  const tap = /^(.*\S)\s+tap$/i.exec(t)?.[1];
  if (tap !== undefined) return threadLimits(tap).ok ? { calculator: 'tap-drills', d: tap } : undefined;
  const clears = /^(.*\S)\s+(?:clearance(?:\s+hole)?|clears?)$/i.exec(t)?.[1];
  if (clears !== undefined) return threadLimits(clears).ok ? { calculator: 'screw-holes', d: clears } : undefined;
  const drill = /^(.*\S)\s+drill$/i.exec(t)?.[1];
  if (drill !== undefined) {
    const named = /^[a-z]$/i.test(drill) ? `letter ${drill}` : drill;
    return drillNamed(named) ? { calculator: 'drills', d: named } : undefined;
  }
  if (threadLimits(t).ok) return { calculator: 'threads', d: t };
  if (fit(t).ok) return { calculator: 'fits', d: t };
  if (sizeLimits(t).ok) return { calculator: 'sizes', d: t };
  if (namedTaper(t).ok) return { calculator: 'named-tapers', d: t };
  if (/^(#|no|letter)/i.test(t) && drillNamed(t)) return { calculator: 'drills', d: t };
  return parseLength(t, 'mm').ok ? { calculator: 'lengths', d: t } : undefined;
}
