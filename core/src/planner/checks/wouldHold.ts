import type { Finding } from '../../finding';
import type { HoldingChoice } from '../../holding';
import type { Facts, ToGet } from '../../operations';
import { length, say } from '../../quantity';
import type { Setup } from '../../settings';
import { holdingOf } from '../../shop';

/** Codes of a holding that cannot take the work, whatever is cut. */
const cannot = new Set(['holding-range', 'holding-form', 'holding-needs-bore', 'holding-needs-centres', 'holding-needs-plate']);

/** Where nothing of the shop takes the work as it stands: what would, to get; with flat sides and a faceplate, the angle plate in words. */
export function wouldHold(
  { shop, bar }: Facts,
  setup: Setup,
  options: readonly HoldingChoice[],
): { readonly findings: readonly Finding[]; readonly gets: readonly ToGet[] } {
  if (options.length === 0 || !options.every((o) => o.findings.some((f) => f.severity === 'stop' && cannot.has(f.code))))
    return { findings: [], gets: [] };
  const sides = bar.form === 'square' || bar.form === 'hex';
  const across = length(setup.gripDiameter, 0.1);
  const plate = shop.holdings.some((h) => h.kind === 'faceplate') ? '' : ', which the shop would have to get too';
  return {
    gets: [
      {
        what: sides
          ? say`a four-jaw chuck that opens to ${across}, or collets of its form`
          : say`a chuck or collet that closes on ${across}; ${holdingOf(shop, setup.holding)?.name ?? 'what is here'} does not`,
        how: 'buy',
        holdsUp: setup.steps.slice(0, 1).map((s) => s.id),
      },
    ],
    findings: sides
      ? [
          {
            code: 'angle-plate',
            about: setup.id,
            severity: 'note',
            says: say`with a flat side it may stand on an angle plate, bolted to the faceplate${plate}`,
            why: say`the plate square to the face by an indicator, the work clamped and dialled on its marks, a counterweight opposite until it stays where it is put; turned by hand all round first, then slow. Obra does not plan it: the route stands as if a chuck were had`,
            mends: [],
          },
        ]
      : [],
  };
}
