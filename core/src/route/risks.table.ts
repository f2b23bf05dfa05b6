import type { Finding } from '../finding';

/**
 * What a check that was met in a setup counts when ways are weighed, minutes: a caution about so much of trouble or care, a stop more than any
 * honest way round it. A check that is not named here is told and costs nothing: what is said never chooses the route by itself.
 * @source judgement
 */
const ABOUT = { caution: 6, stop: 60, note: 0 } as const;

/** Checks that another holding, order or method may be free of. */
const weighed: ReadonlySet<string> = new Set([
  // how it is held
  'grip-last',
  'grip-slips',
  'one-chucking',
  'started-in-jaws',
  'speed-above-holding',
  'spring',
  'depth-over-limit',
  // how it is made
  'bar-too-slender',
  'blade-too-wide',
  'centre-size',
  'deeper-than-drill',
  'deeper-than-quill',
  'flat-bottom',
  'method-not-possible',
  'no-die',
  'no-drill',
  'no-tool',
  'part-near',
  'parting-depth',
  'sawn-instead',
  'strings',
]);

/** Minutes that the checks of a setup count, each with its own. */
export const riskOf = (findings: readonly Finding[]): readonly number[] =>
  findings.filter((f) => weighed.has(f.code) && ABOUT[f.severity] > 0).map((f) => ABOUT[f.severity]);
