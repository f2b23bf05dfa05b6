import { define, type Formula } from '../quantity';
import { bestWire, countersinkDepth, overWires, pitchDiameterOver, setOver, sineBarHeight, stillToGoIn, threadsIn } from '../standards';

const geometry = 'geometry';
const arithmetic = 'arithmetic';

/** Formulas of threads, holes and tapers. */
export const formulasOfForms = {
  percentOfThread: define(
    '100 (D - drill) / full thread',
    'definition: full thread is 1.299038 P (0.75 H a side) for 60 degrees, twice the depth of the form for 55 and 47.5',
    { D: ['diameter', 'nominal D'], drill: ['diameter', 'drill'], full: ['length', 'full thread, on diameter'] },
    ({ D, drill, full }) => (100 * (D - drill)) / full,
  ),
  bestWire: define('W = P / (2 cos a)', geometry, { P: ['length', 'pitch P'], half: ['angle', 'half of the flank angle a'] }, ({ P, half }) =>
    bestWire(P, half),
  ),
  overWires: define(
    'M = E + W (1 + sqrt(cosec^2 a + cot^2 a tan^2 s)) - (P / 2) cot a, tan s = lead / (pi E)',
    'general form of ASME B1.2, from memory; wire force and compression not included',
    {
      E: ['diameter', 'pitch diameter E'],
      W: ['diameter', 'wire W'],
      P: ['length', 'pitch P'],
      lead: ['length', 'lead'],
      half: ['angle', 'half of the flank angle a'],
    },
    ({ E, W, P, lead, half }) => overWires({ pitchDiameter: E, pitch: P, lead, half }, W),
  ),
  fromWires: define(
    'the E for which M = E + W (1 + sqrt(cosec^2 a + cot^2 a tan^2 s)) - (P / 2) cot a',
    'general form of ASME B1.2 solved, from memory',
    {
      M: ['diameter', 'measured over the wires M'],
      W: ['diameter', 'wire W'],
      P: ['length', 'pitch P'],
      lead: ['length', 'lead'],
      half: ['angle', 'half of the flank angle a'],
    },
    ({ M, W, P, lead, half }) => pitchDiameterOver(M, { pitch: P, lead, half }, W),
  ),
  wireLimit: define(
    'a wire that touches the straight of the flanks and stands proud of the crests',
    'geometry of the profile',
    { wire: ['diameter', 'wire'] },
    ({ wire }) => wire,
  ),
  fullThread: define(
    'length - counterbore - lead - relief',
    arithmetic,
    { length: ['length', 'length'], counterbore: ['length', 'counterbore'], lead: ['length', 'lead'], relief: ['length', 'relief'] },
    (v) => threadsIn(v.length, { pitch: 1, ...v }).full,
  ),
  fullThreads: define('full thread / pitch', arithmetic, { full: ['length', 'full thread'], P: ['length', 'pitch P'] }, ({ full, P }) => full / P),
  engagementWanted: define(
    'diameters wanted x nominal',
    'engagement, common practice: a bolt of steel',
    { diameters: ['ratio', 'diameters'], D: ['diameter', 'nominal D'] },
    ({ diameters, D }) => diameters * D,
  ),
  blank: define(
    'D - share x P, held at the least major diameter of the class',
    'die, common practice',
    { D: ['diameter', 'nominal D'], share: ['ratio', 'share of the pitch'], P: ['length', 'pitch P'] },
    ({ D, share, P }) => D - share * P,
  ),
  cone: define('d / 2 / tan(point angle / 2)', geometry, { d: ['diameter', 'drill d'], angle: ['angle', 'point angle'] }, ({ d, angle }) =>
    angle >= 180 ? 0 : countersinkDepth(d, 0, angle),
  ),
  countersink: define(
    '(mouth - hole) / 2 / tan(angle / 2)',
    geometry,
    { mouth: ['diameter', 'mouth'], hole: ['diameter', 'hole'], angle: ['angle', 'angle'] },
    ({ mouth, hole, angle }) => countersinkDepth(mouth, hole, angle),
  ),
  pinBound: define(
    'pin + what its class allows on that side',
    'gauge-class, common practice; classes of ASME B89.1.5, from memory',
    { pin: ['diameter', 'pin'], allows: ['length', 'its class allows'] },
    ({ pin, allows }) => pin + allows,
  ),
  squeeze: define(
    '100 (cord - depth) / cord',
    arithmetic,
    { cord: ['diameter', 'cord'], depth: ['length', 'depth, middle'] },
    ({ cord, depth }) => (100 * (cord - depth)) / cord,
  ),
  fill: define(
    '100 pi cord^2 / 4 / (depth x width)',
    arithmetic,
    { cord: ['diameter', 'cord'], depth: ['length', 'depth, middle'], width: ['length', 'width, middle'] },
    ({ cord, depth, width }) => (25 * Math.PI * cord ** 2) / (depth * width),
  ),
  shoulder: define('3 x depth of the groove', 'common practice', { depth: ['length', 'depth of the groove'] }, ({ depth }) => 3 * depth),
  setting: define(
    'atan(slope / 2)',
    'geometry; slope is diameter lost for length, taper per foot / 12',
    { slope: ['ratio', 'slope'] },
    ({ slope }) => (Math.atan(slope / 2) * 180) / Math.PI,
  ),
  included: define('2 atan(slope / 2)', geometry, { slope: ['ratio', 'slope'] }, ({ slope }) => (2 * Math.atan(slope / 2) * 180) / Math.PI),
  oneIn: define('1 / slope', geometry, { slope: ['ratio', 'slope'] }, ({ slope }) => 1 / slope),
  perFoot: define('12 x slope', 'definition, inches in a foot', { slope: ['ratio', 'slope'] }, ({ slope }) => 12 * slope),
  endOfTaper: define(
    'other end +/- slope x length',
    geometry,
    { other: ['diameter', 'other end'], slope: ['ratio', 'slope, minus towards the small end'], l: ['length', 'length'] },
    ({ other, slope, l }) => other + slope * l,
  ),
  lengthOfTaper: define(
    '(large - small) / slope',
    geometry,
    { large: ['diameter', 'large end'], small: ['diameter', 'small end'], slope: ['ratio', 'slope'] },
    ({ large, small, slope }) => (large - small) / slope,
  ),
  setOver: define(
    'L x slope / 2, L the whole length between centres',
    geometry,
    { L: ['length', 'between centres L'], slope: ['ratio', 'slope'] },
    ({ L, slope }) => setOver(L, slope),
  ),
  travel: define(
    'length / cos(setting)',
    geometry,
    { l: ['length', 'length'], setting: ['angle', 'setting'] },
    ({ l, setting }) => l / Math.cos((setting * Math.PI) / 180),
  ),
  goIn: define(
    'left on diameter / slope',
    'taper-from-gauge, common practice',
    { left: ['length', 'left on diameter'], slope: ['ratio', 'slope'] },
    ({ left, slope }) => stillToGoIn(left, slope),
  ),
  sineBar: define('bar x sin(angle)', geometry, { bar: ['length', 'centres of the rolls'], angle: ['angle', 'angle'] }, ({ bar, angle }) =>
    sineBarHeight(bar, angle),
  ),
  sineBarAngle: define(
    'asin(height / bar)',
    geometry,
    { bar: ['length', 'centres of the rolls'], height: ['length', 'height'] },
    ({ bar, height }) => (Math.asin(height / bar) * 180) / Math.PI,
  ),
} as const satisfies Record<string, Formula>;
