import { atLeast, PLACE, say } from '../quantity';
import type { LookedUp } from './fits';
import { nutUndercuts, shoulderUndercuts, threadUndercuts } from './undercuts.table';

export interface ThreadUndercut {
  /** of the row of the table, mm: its own, or the next coarser one */
  readonly pitch: number;
  /** at the bottom, mm */
  readonly width: number;
  /** with its flanks, up to where the full thread may end, mm */
  readonly overall: number;
  /** how far its diameter lies under the nominal (inside: over it), mm */
  readonly under: number;
  readonly radius: number | null;
  readonly runOut: number;
}

/**
 * Undercut before a shoulder for an external thread of this pitch (mm), form A or the short form B; pitches between rows take the next coarser row.
 * @source DIN 76-1 external, width g1 min, overall g2 max, run-out x1 (B: x2); from memory, medium confidence
 * @example threadUndercut(1.75) === undefined // false
 */
export function threadUndercut(pitch: number, form: 'A' | 'B' = 'A'): ThreadUndercut | undefined {
  const row = threadUndercuts.find(([p]) => atLeast(p, pitch, PLACE));
  if (!row) return undefined;
  const [of, x1, x2, , under, g1A, g2A, g1B, g2B, radius] = row;
  return form === 'A'
    ? { pitch: of, width: g1A, overall: g2A, under, radius, runOut: x1 }
    : { pitch: of, width: g1B, overall: g2B, under, radius, runOut: x2 };
}

/** Undercut at the bottom of a nut thread, form C. @source DIN 76-1 internal, from memory, medium confidence */
export function nutUndercut(pitch: number): ThreadUndercut | undefined {
  const row = nutUndercuts.find(([p]) => atLeast(p, pitch, PLACE));
  return row && { pitch: row[0], width: row[3], overall: row[4], under: row[2], radius: null, runOut: row[1] };
}

export interface ShoulderUndercut {
  readonly form: 'E' | 'F';
  readonly radius: number;
  /** depth in the cylinder and, form F, in the face, mm */
  readonly depth: number;
  readonly width: number;
  readonly faceDepth: number | null;
  readonly faceLength: number | null;
}

/**
 * Relief for grinding or a mate at a shoulder: 'E 0.6x0.3', 'F 0.8 x 0.3' (radius x depth, mm).
 * @source DIN 509:2006, from memory, medium confidence
 */
export function shoulderUndercut(text: string): LookedUp<ShoulderUndercut> {
  const m = /^([EF])\s*(\d*[.,]?\d+)\s*[x×*]\s*(\d*[.,]?\d+)$/i.exec(text.trim());
  const [r, t1] = [Number(m?.[2]?.replace(',', '.')), Number(m?.[3]?.replace(',', '.'))];
  const row = shoulderUndercuts.find(([radius, depth]) => radius === r && depth === t1);
  const listed = shoulderUndercuts.map(([radius, depth]) => `${String(radius)}x${String(depth)}`);
  if (!m || !row)
    return {
      ok: false,
      says: say`“${text.trim()}” is not in this table; it has E and F of ${listed.join(', ')}`,
      nearest: listed.slice(0, 3).map((l) => `F ${l}`),
    };
  const form = m[1]?.toUpperCase() === 'E' ? 'E' : 'F';
  return {
    ok: true,
    form,
    radius: row[0],
    depth: row[1],
    width: row[2],
    faceLength: form === 'F' ? row[3] : null,
    faceDepth: form === 'F' ? row[4] : null,
  };
}

/** The form F relief of these measures (mm), as a drawing names it: 'F0.6x0.3'; undefined where the table has none. */
export function namedUndercut(width: number, depth: number, faceDepth: number): string | undefined {
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-4;
  const row = shoulderUndercuts.find(([, t1, f, , t2]) => near(f, width) && near(t1, depth) && near(t2, faceDepth));
  return row && `F${String(row[0])}x${String(row[1])}`;
}
