import { practice } from '../shop';
import type { Bar, Job, Shop } from '../document';
import type { Finding } from '../finding';
import { likeBars, nest, type Nesting } from '../holding';
import { length, say } from '../quantity';
import type { BarSheet } from '../settings';

/** The pieces of a job laid on the bars of the rack that are like the one taken; that one first where it is enough. */
export function barCuts(job: Job, bar: Bar, shop: Shop, sheet: BarSheet): { readonly nesting: Nesting; readonly findings: readonly Finding[] } {
  const kerf = sheet.whole ? 0 : practice.sawKerf;
  const takes = sheet.whole
    ? { each: sheet.each, once: sheet.grip.value + sheet.gap }
    : { each: sheet.cut.value + (job.pieces > 1 ? kerf : 0), once: 0 };
  const own = nest(job.pieces, takes, [bar]);
  const nesting = own.missing === 0 ? own : nest(job.pieces, takes, likeBars(bar, shop));
  return {
    nesting,
    findings:
      nesting.missing === 0 || nesting.missing === job.pieces
        ? []
        : [
            {
              code: 'bar-not-enough',
              about: 'bar',
              severity: 'caution',
              says: say`the rack has ${bar.name} for ${job.pieces - nesting.missing} of ${job.pieces} pieces, ${length(takes.each, 0.1)} each`,
              why: say`the rest waits for another bar`,
              mends: [],
            },
          ],
  };
}
