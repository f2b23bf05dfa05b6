import { define } from './define';

const halves = {
  hole: ['length', 'middle of the hole'],
  shaft: ['length', 'middle of the shaft'],
  halfHole: ['length', 'half of the tolerance of the hole'],
  halfShaft: ['length', 'half of the tolerance of the shaft'],
} as const;
const likely = 'both sizes normal about the middle of their limits, which lie three deviations off; kept to in 19 of 20';

/** What lies between a hole and a shaft: more than nothing is loose, less is tight. */
export const fitFormulas = {
  fitLoosest: define(
    'largest hole - smallest shaft',
    'ISO 286',
    { hole: ['length', 'largest hole'], shaft: ['length', 'smallest shaft'] },
    ({ hole, shaft }) => hole - shaft,
  ),
  fitTightest: define(
    'smallest hole - largest shaft',
    'ISO 286',
    { hole: ['length', 'smallest hole'], shaft: ['length', 'largest shaft'] },
    ({ hole, shaft }) => hole - shaft,
  ),
  fitLikelyTight: define(
    'hole - shaft, at the middle, less 0.653 x root of (half of the one2 + half of the other2)',
    likely,
    halves,
    ({ hole, shaft, halfHole, halfShaft }) => hole - shaft - (1.96 / 3) * Math.hypot(halfHole, halfShaft),
  ),
  fitLikelyLoose: define(
    'hole - shaft, at the middle, and 0.653 x root of (half of the one2 + half of the other2)',
    likely,
    halves,
    ({ hole, shaft, halfHole, halfShaft }) => hole - shaft + (1.96 / 3) * Math.hypot(halfHole, halfShaft),
  ),
};
