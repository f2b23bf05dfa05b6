import { define } from './define';
import { tidy } from './rounding';
import { swingKept, swingLeft, swingWithin } from './swing';

const readings = { r1: ['length', 'at jaw 1'], r2: ['length', 'at jaw 2'], r3: ['length', 'at jaw 3'], r4: ['length', 'at jaw 4'] } as const;
const practice = 'tir, common practice';
const rice = 'a known eccentricity and isotropic normal ones: Rice distribution';

/** What an indicator tells of work in a holding. */
export const dialFormulas = {
  offCentre: define(
    'root of the sum of the squares of half the differences of opposite readings',
    practice,
    readings,
    ({ r1, r2, r3, r4 }) => Math.hypot(r1 - r3, r2 - r4) / 2,
  ),
  swing: define('2 x eccentricity', practice, { e: ['length', 'off centre'] }, ({ e }) => 2 * e),
  halfByFeel: define(
    'share x what is left of the diameter / what one unit of the dial takes off it, to a setting that the dial can show, and no less than one',
    'creep-to-fit, common practice: half of what the micrometer says is left, then tried again',
    {
      share: ['ratio', 'share of what is left'],
      left: ['length', 'left to the size aimed at, on diameter'],
      takes: ['ratio', 'diameter taken by one unit of dial'],
      settable: ['length', 'smallest settable move'],
    },
    ({ share, left, takes, settable }) => tidy(Math.max(1, Math.floor((share * left) / takes / settable + 1e-6)) * settable),
  ),
  dialAtPass: define(
    'depth of a pass on radius x passes; twice that on a dial that reads diameter, from where the tool touches',
    'pass-by-pass, common practice',
    { depth: ['length', 'depth of a pass on radius'], passes: ['count', 'passes'], reads: ['count', '2 on a dial that reads diameter, else 1'] },
    ({ depth, passes, reads }) => depth * passes * reads,
  ),
  afterPass: define(
    'diameter after the last pass + 2 x depth x passes still to come; in a bore less',
    'geometry',
    {
      to: ['diameter', 'after the last pass'],
      depth: ['length', 'depth of a pass on radius'],
      left: ['count', 'passes still to come'],
      towards: ['count', '1 outside, -1 in a bore'],
    },
    ({ to, depth, left, towards }) => to + towards * 2 * depth * left,
  ),
  highToLow: define('highest - lowest reading', practice, { high: ['length', 'highest'], low: ['length', 'lowest'] }, ({ high, low }) => high - low),
  moveOpposite: define(
    'half of the difference of opposite readings',
    practice,
    { a: ['length', 'the one'], b: ['length', 'the other'] },
    ({ a, b }) => Math.abs(a - b) / 2,
  ),
  outOfRound: define(
    'a quarter of the difference of the sums of opposite readings',
    'geometry: what is left when the centre is taken out',
    readings,
    ({ r1, r2, r3, r4 }) => Math.abs(r1 + r3 - r2 - r4) / 4,
  ),
  runoutRead: define(
    'what was read and the rest in any direction beside it, in 19 of 20',
    rice,
    { read: ['length', 'as read, TIR; of several all in one line'], spread: ['length', 'the rest, kept to in 19 of 20, TIR'] },
    ({ read, spread }) => swingKept(read, spread),
  ),
  chanceRead: define(
    'share in which what was read and the rest beside it stay within the limit',
    rice,
    { limit: ['length', 'limit, TIR'], read: ['length', 'as it was read, TIR'], spread: ['length', 'the rest, kept to in 19 of 20, TIR'] },
    ({ limit, read, spread }) => swingWithin(limit, read, spread),
  ),
  dialWanted: define(
    'the most that leaves the limit kept in 19 of 20 with the rest beside it, over the lever; at most what this holding is dialled to, at least 0.002 mm',
    `${rice}; finer than 0.002 mm no hand moves a jaw`,
    {
      limit: ['length', 'limit of the drawing, TIR'],
      rest: ['length', 'all that lies between beside this holding, TIR'],
      lever: ['ratio', 'of a wide face: its width over the length gripped; else 1'],
      usual: ['length', 'this holding dialled, TIR'],
    },
    ({ limit, rest, lever, usual }) => Math.min(usual, Math.max(0.002, swingLeft(limit, rest) / lever)),
  ),
};
