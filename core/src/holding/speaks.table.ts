import type { Finding } from '../finding';

/** How much a check speaks against a way of holding when ways are weighed: a stop ten times a caution, a note a tenth of it. @source judgement */
const SPEAKS = { stop: 10, caution: 1, note: 0.1 } as const;

/** The checks that do. What is not named here is told and weighs nothing: what is said never chooses a holding by itself. */
const against: ReadonlySet<Finding['code']> = new Set<Finding['code']>([
  'bed-too-short',
  'bends',
  'centre-allowed',
  'clearance',
  'follow-rest-idle',
  'grip-slips',
  'grip-too-long',
  'holding-form',
  'holding-needs-bore',
  'holding-needs-centres',
  'holding-needs-plate',
  'holding-range',
  'runout',
  'short-grip',
  'squeezes',
  'steady-blocks',
  'steady-for-depth',
  'stick-out',
  'swing',
]);

/** A relation of the drawing that is likely not kept is work thrown away: it counts as so many. @source one-chucking, judgement */
const NOT_KEPT = 3;

/** What speaks against a way of holding, in cautions. */
export const spokenAgainst = (findings: readonly Finding[]): number =>
  findings.reduce((sum, f) => sum + (against.has(f.code) ? SPEAKS[f.severity] * (f.code === 'runout' ? NOT_KEPT : 1) : 0), 0);
