import type { Bar, Cell, Gauge, Holding, Machine, Shop, Tool } from '../document';

const inch = (text: string): Cell => ({ text, units: 'in' });

const lathe: Machine = {
  id: 'bench-lathe',
  name: 'small bench lathe',
  assumed: ['speeds', 'feeds', 'dials', 'kilowatts'],
  speeds: [130, 220, 390, 540, 800, 1200, 2000],
  feeds: [0.09, 0.13, 0.18],
  kilowatts: 0.6,
  through: inch('13/16'),
  swing: inch('9'),
  swingOverSlide: inch('5'),
  centres: inch('20'),
  dials: {
    cross: { reads: 'diameter', division: inch('.001'), clockwise: 'in', backlash: inch('.005'), travel: inch('4') },
    carriage: { reads: 'length', division: inch('.010'), clockwise: 'in', backlash: inch('.010'), travel: inch('18') },
    compound: { reads: 'length', division: inch('.001'), clockwise: 'in', backlash: inch('.005'), travel: inch('2') },
    quill: { reads: 'length', division: inch('.010'), clockwise: 'in', backlash: inch('.010'), travel: inch('2.5') },
  },
  leadscrew: inch('1/8'),
  box: [],
  gears: [20, 24, 30, 36, 40, 44, 46, 48, 52, 54, 56, 60, 63, 80],
  compoundZero: 'along',
  nose: 'screwed',
  setOver: inch('.5'),
  tailstockOffset: inch('0'),
};

const holdings: Holding[] = [
  {
    id: 'three-jaw',
    name: 'three-jaw 4 in',
    kind: 'threeJaw',
    assumed: ['trueWithin'],
    outside: { from: inch('1/8'), to: inch('4') },
    jaw: { count: 3, length: inch('1.15'), reach: inch('1.5') },
    maxSpeed: 2500,
    newtons: 6000,
    trueWithin: inch('.004'),
    marks: true,
    lateral: 20000,
    angular: 1.5e7,
  },
  {
    id: 'collets',
    name: 'collets',
    kind: 'collet',
    assumed: ['outside'],
    outside: { from: inch('1/8'), to: inch('5/8') },
    jaw: { count: 3, length: inch('1'), reach: inch('1') },
    maxSpeed: 3000,
    newtons: 5000,
    trueWithin: inch('.001'),
    marks: false,
    lateral: 20000,
    angular: 1.2e7,
  },
  {
    id: 'live-centre',
    name: 'live centre',
    kind: 'liveCentre',
    maxSpeed: 3000,
    trueWithin: inch('.0005'),
    marks: false,
    lateral: 15000,
    angular: 1e6,
  },
];

const tools: Tool[] = [
  { id: 'turn-rough', name: 'turning tool, nose 1/32', kind: 'turn', nose: inch('1/32'), grade: 'hss', hand: 'right' },
  { id: 'turn-finish', name: 'turning tool, nose 1/64', kind: 'turn', nose: inch('1/64'), grade: 'hss', hand: 'right' },
  { id: 'face', name: 'facing tool', kind: 'face', nose: inch('1/64'), grade: 'hss', hand: 'right' },
  { id: 'chamfer', name: 'chamfering tool 45°', kind: 'form', angle: { text: '45', units: 'mm' }, width: inch('3/8'), grade: 'hss', hand: 'neutral' },
  { id: 'blade', name: 'parting blade .094', kind: 'part', width: inch('.094'), reach: inch('5/8'), grade: 'hss', hand: 'neutral' },
  {
    id: 'thread-60',
    name: 'threading tool 60°',
    kind: 'thread',
    angle: { text: '60', units: 'mm' },
    nose: inch('.004'),
    grade: 'hss',
    hand: 'right',
  },
  { id: 'centre-drill', name: 'centre drill no. 3', kind: 'centreDrill', size: inch('7/64'), grade: 'hss', hand: 'right' },
  ...['1/8', '3/16', '1/4', '5/16', '3/8', '7/16', '1/2'].map((size): Tool => ({
    id: `drill-${size.replace('/', '-')}`,
    name: `drill ${size}`,
    kind: 'drill',
    size: inch(size),
    angle: { text: '118', units: 'mm' },
    reach: inch('3'),
    grade: 'hss',
    hand: 'right',
  })),
  ...['1/4-20', '3/8-16', '1/2-13'].map((size): Tool => ({
    id: `die-${size.replace('/', '-')}`,
    name: `die ${size}`,
    kind: 'die',
    size: inch(size),
    grade: 'hss',
    hand: 'right',
  })),
  { id: 'saw', name: 'hacksaw', kind: 'saw', width: inch('.040'), grade: 'hss', hand: 'neutral' },
];

const gauges: Gauge[] = [
  { id: 'rule', name: 'rule 6 in', kind: 'rule', from: inch('0'), to: inch('6'), resolution: inch('1/64'), bias: inch('.003'), repeat: inch('.006') },
  {
    id: 'caliper',
    name: 'caliper 6 in',
    kind: 'caliper',
    from: inch('0'),
    to: inch('6'),
    resolution: inch('.0005'),
    bias: inch('.0005'),
    repeat: inch('.0006'),
  },
  {
    id: 'mic-0-1',
    name: 'micrometer 0-1',
    kind: 'micrometer',
    from: inch('0'),
    to: inch('1'),
    resolution: inch('.0001'),
    bias: inch('.0001'),
    repeat: inch('.00005'),
  },
  {
    id: 'mic-1-2',
    name: 'micrometer 1-2',
    kind: 'micrometer',
    from: inch('1'),
    to: inch('2'),
    resolution: inch('.0001'),
    bias: inch('.0001'),
    repeat: inch('.00005'),
  },
  {
    id: 'depth',
    name: 'depth gauge',
    kind: 'depth',
    from: inch('0'),
    to: inch('6'),
    resolution: inch('.001'),
    bias: inch('.001'),
    repeat: inch('.001'),
  },
];

const bars: Bar[] = ['3/8', '1/2', '5/8', '3/4', '1', '1-1/4', '1-1/2', '2'].map((across): Bar => ({
  id: `mild-${across.replaceAll('/', '-')}`,
  name: `mild steel ${across}`,
  material: 'mild-steel',
  across: inch(across),
  form: 'round',
  skin: 'drawn',
  length: inch('36'),
  assumed: ['length'],
}));

/** The small bench lathe that is assumed until a person says what stands there; of invented make. */
export function startingShop(): Shop {
  return { machines: [lathe], holdings, tools, gauges, bars, ways: { thread: 'single-point', infeed: 'compound', severing: 'part' }, lessons: [] };
}
