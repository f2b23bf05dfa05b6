import type { Shop } from '../document';
import { angled, bars, cells, chuck, dial, drills, edge, gauge, ofSize, rest } from './build';

const mm = cells('mm');

/**
 * A metric lathe of middle size, carbide inserts for roughing; of invented make.
 * @example midShop().machines[0].name // 'mid-size lathe'
 */
export function midShop(): Shop {
  return {
    machines: [
      {
        id: 'mid-lathe',
        name: 'mid-size lathe',
        assumed: ['speeds', 'feeds', 'dials', 'kilowatts', 'post', 'quill', 'tailstock'],
        speeds: [45, 70, 100, 160, 250, 355, 500, 710, 1000, 1400, 1800],
        feeds: [0.05, 0.08, 0.1, 0.12, 0.15, 0.2, 0.25, 0.3],
        kilowatts: 3,
        through: mm(40),
        headstock: mm(420),
        swing: mm(330),
        swingOverSlide: mm(190),
        centres: mm(1000),
        dials: {
          cross: dial(mm, 'radius', '0.02', '0.1', '160'),
          carriage: dial(mm, 'length', '0.1', '0.2', '900'),
          compound: dial(mm, 'length', '0.02', '0.08', '70'),
          quill: dial(mm, 'length', '0.1', '0.2', '95'),
        },
        leadscrew: mm(6),
        box: [0.5, 0.75, 1, 1.25, 1.5, 1.75, 2, 2.5, 3].map(mm),
        gears: [40, 60, 80, 120, 127],
        post: mm(76),
        quill: mm(45),
        tailstock: mm(96),
        compoundZero: 'along',
        nose: 'locked',
        setOver: mm(10),
        tailstockOffset: mm(0),
      },
    ],
    holdings: midHoldings(),
    tools: midTools(),
    gauges: midGauges(),
    bars: midBars(),
    ways: { thread: 'single-point', infeed: 'compound', severing: 'part' },
    lessons: [],
  };
}

/**
 * A larger lathe with a readout on both slides, a stepless drive and power to spare; of invented make.
 * @example readoutShop().machines[0].name // 'large lathe with readout'
 */
export function readoutShop(): Shop {
  const mid = midShop();
  return {
    ...mid,
    machines: [
      {
        id: 'large-lathe',
        name: 'large lathe with readout',
        assumed: ['speeds', 'feeds', 'dials', 'kilowatts', 'post', 'quill', 'tailstock'],
        speeds: { from: 20, to: 2000 },
        feeds: [0.04, 0.05, 0.063, 0.08, 0.1, 0.125, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5],
        kilowatts: 7.5,
        through: mm(66),
        headstock: mm(560),
        swing: mm(460),
        swingOverSlide: mm(280),
        centres: mm(1500),
        dials: {
          cross: dial(mm, 'diameter', '0.05', '0.1', '250', '0.005'),
          carriage: dial(mm, 'length', '0.2', '0.2', '1450', '0.005'),
          compound: dial(mm, 'length', '0.02', '0.08', '130'),
          quill: dial(mm, 'length', '0.1', '0.2', '150'),
        },
        leadscrew: mm(6),
        box: [0.5, 0.75, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5, 4, 4.5, 5, 6].map(mm),
        gears: [],
        post: mm(100),
        quill: mm(65),
        tailstock: mm(130),
        compoundZero: 'across',
        nose: 'locked',
        setOver: mm(15),
        tailstockOffset: mm(0),
      },
    ],
    holdings: mid.holdings.map((h) =>
      h.kind === 'threeJaw' || h.kind === 'fourJaw' || h.kind === 'softJaws'
        ? {
            ...h,
            name: h.name.replace('160', '250').replace('200', '315'),
            outside: { from: mm(6), to: mm(240) },
            ...(h.jaw && { jaw: { ...h.jaw, length: mm(50), reach: mm(80) } }),
            maxSpeed: h.kind === 'fourJaw' ? 1200 : 2000,
            newtons: 40000,
            lateral: 90000,
            angular: 2e8,
          }
        : h.kind === 'collet'
          ? { ...h, name: 'collet chuck 3-42', outside: { from: mm(3), to: mm(42) }, newtons: 20000, lateral: 80000, angular: 1e8 }
          : { ...h, lateral: 2 * h.lateral },
    ),
    gauges: [...mid.gauges, gauge(mm, 'micrometer', 'micrometer 50-75', '50', '75', '0.001', '0.0015', '0.001')],
    ways: { ...mid.ways, edge: 'carbide' },
  };
}

const midHoldings = (): Shop['holdings'] => [
  chuck(
    mm,
    'three-jaw',
    'three-jaw 160',
    'threeJaw',
    { from: '3', to: '140', jaw: '38', reach: '55', speed: 2500, newtons: 18000, true: '0.08', lateral: 40000, angular: 4e7 },
    true,
    3,
  ),
  chuck(
    mm,
    'collets',
    'collet chuck 3-26',
    'collet',
    { from: '3', to: '26', jaw: '30', reach: '30', speed: 3000, newtons: 12000, true: '0.02', lateral: 40000, angular: 3e7 },
    false,
    3,
  ),
  chuck(
    mm,
    'four-jaw',
    'four-jaw 200',
    'fourJaw',
    { from: '8', to: '180', jaw: '42', reach: '60', speed: 1400, newtons: 24000, true: '0.02', lateral: 40000, angular: 4e7 },
    true,
    4,
  ),
  chuck(
    mm,
    'soft-jaws',
    'soft jaws, bored in place',
    'softJaws',
    { from: '10', to: '130', jaw: '30', reach: '40', speed: 2500, newtons: 12000, true: '0.02', lateral: 40000, angular: 3e7 },
    false,
    3,
  ),
  rest(mm, 'live-centre', 'live centre', 'liveCentre', { true: '0.012', speed: 3500, lateral: 25000, nose: '20', body: '44' }),
  rest(mm, 'dead-centre', 'dead centre', 'deadCentre', { true: '0.005', speed: 600, lateral: 35000, nose: '20' }),
  rest(mm, 'between-centres', 'centres and dog', 'centres', { true: '0.01', speed: 1500, lateral: 30000 }),
  rest(mm, 'arbor', 'expanding arbors 12-32', 'arbor', { true: '0.02', speed: 1500, lateral: 25000, from: '12', to: '32', inside: true }),
  rest(mm, 'faceplate', 'faceplate 300', 'faceplate', { true: '0.05', speed: 800, lateral: 40000, marks: true }),
  rest(mm, 'steady', 'steady 6-80', 'steady', { true: '0.02', speed: 1000, lateral: 20000, from: '6', to: '80' }),
  rest(mm, 'follow-rest', 'follow rest 8-50', 'followRest', { true: '0.02', speed: 1000, lateral: 15000, from: '8', to: '50' }),
];

const midTools = (): Shop['tools'] => [
  edge('turn', 'turning insert R0.8', 'carbide', {
    id: 'turn-rough',
    nose: mm(0.8),
    insert: 'CNMG120408',
    lead: angled(95),
    chips: { depth: [0.8, 4], feed: [0.15, 0.3] },
  }),
  edge('turn', 'turning insert R0.4', 'carbide', {
    id: 'turn-finish',
    nose: mm(0.4),
    insert: 'DCMT11T304',
    lead: angled(93),
    chips: { depth: [0.15, 1.5], feed: [0.05, 0.15] },
  }),
  edge('turn', 'turning tool R0.4, ground', 'hss', { id: 'turn-hss', nose: mm(0.4) }),
  edge('face', 'facing insert R0.4', 'carbide', { id: 'face', nose: mm(0.4), insert: 'CCMT09T304' }),
  edge('form', 'chamfering tool 45°', 'hss', { id: 'chamfer', angle: angled(45), width: mm(8) }),
  edge('form', 'radius tools', 'hss', { id: 'radius', width: mm(8) }),
  edge('groove', 'grooving blade 2', 'hss', { id: 'groove-2', width: mm(2), reach: mm(6) }),
  edge('groove', 'grooving blade 1.3', 'hss', { id: 'groove-1-3', width: mm(1.3), reach: mm(4) }),
  edge('part', 'parting blade 3', 'hss', { id: 'blade-3', width: mm(3), reach: mm(28), body: mm(16) }),
  edge('thread', 'threading tool 60°', 'carbide', { id: 'thread-60', angle: angled(60), nose: mm(0.1) }),
  edge('thread', 'threading bar 60°', 'carbide', { id: 'thread-bar-12', angle: angled(60), nose: mm(0.1), shank: mm(12), reach: mm(36) }),
  edge('bore', 'boring bar 5', 'carbide', { id: 'bar-5', shank: mm(5), nose: mm(0.2), reach: mm(20) }),
  edge('bore', 'boring bar 8', 'carbide', { id: 'bar-8', shank: mm(8), nose: mm(0.2), reach: mm(32) }),
  edge('bore', 'boring bar 12', 'carbide', { id: 'bar-12', shank: mm(12), nose: mm(0.4), reach: mm(48) }),
  edge('bore', 'boring bar 20', 'carbide', { id: 'bar-20', shank: mm(20), nose: mm(0.4), reach: mm(80) }),
  edge('knurl', 'knurling wheels 1.0', 'hss', { id: 'knurl', size: mm(1) }),
  edge('centreDrill', 'centre drill 3.15', 'hss', { id: 'centre-3', size: mm(3.15) }),
  ...drills(mm, [3.3, 4.2, 5, 6, 6.8, 8, 8.5, 10, 10.2, 12, 14, 16, 18, 20, 22, 25, 30], (s) => String(Math.round(40 + 6 * Number(s)))),
  ...ofSize(mm, 'ream', 'reamer', ['6', '8', '10', '12', '16', '20']),
  ...ofSize(mm, 'die', 'die', ['M6', 'M8', 'M10', 'M12']),
  ...ofSize(mm, 'tap', 'tap', ['M4', 'M5', 'M6', 'M8', 'M10', 'M12']),
  edge('saw', 'hacksaw', 'hss', { id: 'saw', width: mm(1.2) }),
];

const midGauges = (): Shop['gauges'] => [
  gauge(mm, 'rule', 'rule 300', '0', '300', '0.5', '0.1', '0.15'),
  gauge(mm, 'caliper', 'caliper 150', '0', '150', '0.01', '0.01', '0.012'),
  gauge(mm, 'micrometer', 'micrometer 0-25', '0', '25.4', '0.001', '0.001', '0.0008'),
  gauge(mm, 'micrometer', 'micrometer 25-50', '25', '50', '0.001', '0.001', '0.0008'),
  gauge(mm, 'bore', 'bore gauge 6-100', '6', '100', '0.001', '0.002', '0.0015'),
  gauge(mm, 'depth', 'depth gauge 200', '0', '200', '0.02', '0.015', '0.015'),
  gauge(mm, 'dial', 'dial indicator', '0', '10', '0.01', '0.003', '0.003'),
];

const midBars = (): Shop['bars'] => [
  ...bars(mm, 'mild-steel', 'mild steel', [12, 16, 20, 25, 32, 40, 50, 60, 80], '1000'),
  ...bars(mm, 'stainless-316', 'stainless 316', [20, 25, 30, 40, 60], '1250'),
  ...bars(mm, 'bronze', 'bearing bronze', [25, 35, 40, 60], '500', 'hot'),
  ...bars(mm, 'steel-45', 'medium carbon steel', [25, 45, 60], '1000'),
  ...bars(mm, 'silver-steel', 'silver steel', [6, 8, 10, 12, 16], '330', 'ground'),
  ...bars(mm, 'aluminium', 'aluminium', [20, 30, 50], '1000'),
  ...bars(mm, 'brass', 'brass', [10, 16, 25], '1000'),
];
