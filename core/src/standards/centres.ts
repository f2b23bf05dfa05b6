import { MM_PER_INCH, say, tidy } from '../quantity';
import { centresBell, centresFormA, centresFormB, centresPlain } from './centres.table';
import type { LookedUp } from './fits';

/**
 * Centre drill form A for a workpiece diameter: pilot, countersink and depth in mm.
 * @source DIN 332-1 form A, from memory; the choice by diameter (countersink at most 0.45 of it) is common practice
 */
export function centreFor(diameter: number): { readonly pilot: number; readonly mouth: number; readonly depth: number } {
  const fitting = centresFormA.filter(([pilot, mouth]) => mouth <= 0.45 * diameter && pilot <= 4);
  const row = fitting.at(-1) ?? centresFormA[0];
  return row ? { pilot: row[0], mouth: row[1], depth: row[2] } : { pilot: 1, mouth: 2.12, depth: 1.9 };
}

/** Half of the 60 degree cone, as a slope. */
const CONE = Math.tan(Math.PI / 6);

/** What a centre drill makes when it goes in so far that its cone is `mouth` wide, mm. */
export interface CentreCut {
  readonly pilot: number;
  readonly mouth: number;
  /** from the face to the tip */
  readonly depth: number;
  /** widest cone that this drill makes */
  readonly most: number;
}

/**
 * The centre that a drill of this pilot makes: its own pilot length, then the cone to the mouth that is wanted, as far as the drill has one.
 * @param pilot mm, as the drill is named
 * @param wanted mouth that carries the load, or starts the drill; mm
 * @param shank mm, where it is known
 * @source DIN 333 form A by its table (depth less cone is the pilot), else ASME B94.11M plain (drill length about its diameter); from memory
 */
export function centreCut(pilot: number, wanted: number, shank?: number): CentreCut {
  const near = (d: number) => Math.abs(d - pilot) < 0.02 * pilot;
  const a = centresFormA.find(([d]) => near(d));
  const plain = centresPlain.find(([, , d]) => near(d * MM_PER_INCH));
  const body = a?.[3] ?? (plain ? plain[1] * MM_PER_INCH : shank);
  const most = a?.[1] ?? (body === undefined ? 2.12 * pilot : Math.max(1.2 * pilot, 0.9 * body));
  const tip = a ? a[2] - (a[1] - a[0]) / 2 / CONE : pilot;
  const mouth = Math.min(most, Math.max(pilot, wanted));
  return { pilot: tidy(pilot), mouth: tidy(mouth), depth: tidy(tip + (mouth - pilot) / 2 / CONE), most: tidy(most) };
}

/** A centre hole or the drill that makes it, mm; null where the table has no such size. */
export interface Centre {
  readonly name: string;
  readonly pilot: number;
  /** countersink of 60 degrees, where it meets the face (form A) or the protecting countersink */
  readonly mouth: number | null;
  /** protecting countersink of 120 degrees */
  readonly guard: number | null;
  /** least depth of the whole hole */
  readonly depth: number | null;
  readonly shank: number | null;
  readonly source: string;
}

/** A centre by its name: 'A 2.5', 'B 4', '#3' (plain, 1 to 8), '#13' (bell, 11 to 18). */
export function centreNamed(text: string): LookedUp<Centre> {
  const t = text.trim();
  const form = /^([ABR])\s*(\d+(?:[.,]\d+)?)$/i.exec(t);
  const number = /^(?:#|no\.?\s*)?(\d{1,2})$/i.exec(t)?.[1];
  const inch = (value: number) => tidy(value * MM_PER_INCH);
  if (form?.[1]?.toUpperCase() === 'R') return { ok: false, says: say`form R is not in this table`, nearest: [`A ${form[2] ?? ''}`] };
  if (form?.[2] !== undefined) {
    const d1 = Number(form[2].replace(',', '.'));
    const [a, b] = [centresFormA.find(([d]) => d === d1), centresFormB.find(([d]) => d === d1)];
    if (!a || !b)
      return { ok: false, says: say`${t} is not in this table; d1 goes ${centresFormA.map(([d]) => String(d)).join(', ')}`, nearest: ['A 2.5'] };
    const guarded = form[1]?.toUpperCase() === 'B';
    return {
      ok: true,
      name: `${guarded ? 'B' : 'A'} ${String(d1)}`,
      pilot: d1,
      mouth: a[1],
      guard: guarded ? b[1] : null,
      depth: guarded ? b[2] : a[2],
      shank: guarded ? null : a[3],
      source: 'DIN 332-1, DIN 333; from memory, medium confidence',
    };
  }
  const plain = centresPlain.find(([n]) => n === Number(number));
  const bell = centresBell.find(([n]) => n === Number(number));
  const row = plain ?? bell;
  if (!row) return { ok: false, says: say`“${t}” is no centre of this table; write A 2.5, B 4, #3 or #13`, nearest: ['A 2.5', '#3'] };
  return {
    ok: true,
    name: `#${String(row[0])} ${plain ? 'plain' : 'bell'}`,
    pilot: inch(row[2]),
    mouth: bell ? inch(bell[3]) : null,
    guard: null,
    depth: null,
    shank: inch(row[1]),
    source: `ASME B94.11M, from memory${bell ? ', medium confidence' : ''}`,
  };
}
