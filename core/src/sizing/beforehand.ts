import type { Reason } from '../finding';
import { exceeds, length, say } from '../quantity';
import type { SizedKind, Sizing } from './belief';

/** The smallest move that is set, mm: half a division where nothing is said. @source settable, common practice */
export const settableOf = ({ settable, division }: Sizing): number => settable ?? division / 2;

/** What is known before anything is cut: whether this gauge can prove the limits, and this dial reach them. */
export function beforehand(sizing: Sizing): readonly Reason[] {
  const tolerance = sizing.wanted.max - sizing.wanted.min;
  const step = settableOf(sizing) * sizing.takes;
  return [
    ...(sizing.gaugeProves
      ? []
      : [
          {
            rule: 'right-gauge' as const,
            says: say`this gauge cannot prove ${length(tolerance, 0.001)}: its doubt of 95 % is ${length(2 * Math.hypot(sizing.bias, sizing.repeat), 0.001)}; one good to ${length(tolerance / 4, 0.001)} would`,
            binds: [],
          },
        ]),
    ...(exceeds(step, tolerance / 4)
      ? [
          {
            rule: 'settable' as const,
            says: say`the smallest move of this dial takes ${length(step, 0.001)}, more than a quarter of ${length(tolerance, 0.001)}: the compound set 5° 44′ from the bed moves the tool a tenth of its dial`,
            binds: [],
          },
        ]
      : []),
  ];
}

const touched = say`a first light pass makes the surface to measure; touching off is not measuring`;
/** What is done before the first reading. */
export const firstTouch: Readonly<Record<SizedKind, Reason>> = {
  outside: { rule: 'first-touch', says: touched, binds: [] },
  bore: { rule: 'first-touch', says: say`a first light pass makes the bore to measure; the bar runs out flush before measuring`, binds: [] },
  length: { rule: 'first-touch', says: say`the face cleaned up first, then the whole length measured`, binds: [] },
  depth: { rule: 'depth-by-stop', says: say`zero on the face; a first cut short of the depth, then measured from the face`, binds: [] },
  thread: { rule: 'infeed', says: say`the passes of the list to a tenth short of their depth, then measured; burrs off the crests first`, binds: [] },
};
