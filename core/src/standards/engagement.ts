import { materialOf } from './materials';

export interface EngagementAsked {
  /** pitch, mm */
  readonly pitch: number;
  /** thread at the start that is not full: chamfer and lead, mm */
  readonly lead?: number;
  /** undercut or run-out at its end, mm */
  readonly relief?: number;
  /** counterbore over the mouth, mm */
  readonly counterbore?: number;
}

export interface Engaged {
  /** length with full thread, mm; never less than nothing */
  readonly full: number;
  /** full threads in it */
  readonly threads: number;
}

/**
 * Full threads in a length (mm), after counterbore, lead and relief.
 * @throws RangeError where a length is negative or the pitch is not more than zero
 * @source arithmetic
 * @example threadsIn(12, { pitch: 1.5, lead: 1.5 }) // { full: 10.5, threads: 7 }
 */
export function threadsIn(length: number, { pitch, lead = 0, relief = 0, counterbore = 0 }: EngagementAsked): Engaged {
  if (!(pitch > 0 && length >= 0 && lead >= 0 && relief >= 0 && counterbore >= 0))
    throw new RangeError(
      `length ${length}, pitch ${pitch}, lead ${lead}, relief ${relief}, counterbore ${counterbore} mm: none may be negative, the pitch not zero`,
    );
  const full = Math.max(0, length - lead - relief - counterbore);
  return { full, threads: full / pitch };
}

/**
 * Diameters of full thread that a steel bolt wants in a nut of this stock. @source engagement, common practice
 * @example engagementWanted('mild-steel') // 1
 */
export function engagementWanted(material: string): number {
  const { group, id } = materialOf(material);
  if (group === 'K' || id === 'brass' || id === 'bronze' || id === 'aluminium-bronze') return 1.5;
  return { P: 1, M: 1, S: 1, N: 2, O: 2.5 }[group];
}
