import type { Shop } from '../document';
import { angled, bars, cells, chuck, dial, drills, edge, gauge, ofSize, rest } from './build';

const inch = cells('in');

/**
 * The small bench lathe that is assumed until a person says what stands there; of invented make, in inches.
 * @example startingShop().machines[0].name // 'small bench lathe'
 */
export function startingShop(): Shop {
  return {
    machines: [
      {
        id: 'bench-lathe',
        name: 'small bench lathe',
        assumed: ['speeds', 'feeds', 'dials', 'kilowatts', 'post', 'quill', 'tailstock'],
        speeds: [130, 220, 390, 540, 800, 1200, 2000],
        feeds: [0.09, 0.13, 0.18],
        kilowatts: 0.6,
        through: inch('13/16'),
        headstock: inch('10'),
        swing: inch('9'),
        swingOverSlide: inch('5'),
        centres: inch('20'),
        dials: {
          cross: dial(inch, 'diameter', '.001', '.005', '4'),
          carriage: dial(inch, 'length', '.010', '.010', '18'),
          compound: dial(inch, 'length', '.001', '.005', '2'),
          quill: dial(inch, 'length', '.010', '.010', '2.5'),
        },
        leadscrew: inch('1/8'),
        box: [],
        gears: [20, 24, 30, 36, 40, 44, 46, 48, 52, 54, 56, 60, 63, 80],
        post: inch('2.5'),
        quill: inch('1.1'),
        tailstock: inch('3'),
        compoundZero: 'along',
        nose: 'screwed',
        setOver: inch('.5'),
        tailstockOffset: inch('0'),
      },
    ],
    holdings: [
      chuck(
        inch,
        'three-jaw',
        'three-jaw 4 in',
        'threeJaw',
        { from: '1/8', to: '4', jaw: '1.15', reach: '1.5', speed: 2500, newtons: 6000, true: '.004', lateral: 20000, angular: 1.5e7 },
        true,
        3,
      ),
      chuck(
        inch,
        'collets',
        'collets',
        'collet',
        { from: '1/8', to: '5/8', jaw: '1', reach: '1', speed: 3000, newtons: 5000, true: '.001', lateral: 20000, angular: 1.2e7 },
        false,
        3,
      ),
      chuck(
        inch,
        'four-jaw',
        'four-jaw 4 in',
        'fourJaw',
        { from: '1/4', to: '4', jaw: '1.2', reach: '1.5', speed: 1500, newtons: 8000, true: '.001', lateral: 20000, angular: 1.5e7 },
        true,
        4,
      ),
      rest(inch, 'live-centre', 'live centre', 'liveCentre', { true: '.0005', speed: 3000, lateral: 15000, nose: '.7', body: '1.4' }),
      rest(inch, 'dead-centre', 'dead centre', 'deadCentre', { true: '.0002', speed: 600, lateral: 20000, nose: '.7' }),
      rest(inch, 'faceplate', 'faceplate', 'faceplate', { true: '.002', speed: 800, lateral: 20000, marks: true }),
      rest(inch, 'steady', 'steady', 'steady', { true: '.001', speed: 800, lateral: 10000, from: '1/4', to: '2' }),
    ],
    tools: [
      edge('turn', 'turning tool, nose 1/32', 'hss', { id: 'turn-rough', nose: inch('1/32') }),
      edge('turn', 'turning tool, nose 1/64', 'hss', { id: 'turn-finish', nose: inch('1/64') }),
      edge('face', 'facing tool', 'hss', { id: 'face', nose: inch('1/64') }),
      edge('form', 'chamfering tool 45°', 'hss', { id: 'chamfer', angle: angled(45), width: inch('3/8') }),
      edge('form', 'radius tools', 'hss', { id: 'radius', width: inch('3/8') }),
      edge('part', 'parting blade .094', 'hss', { id: 'blade', width: inch('.094'), reach: inch('5/8'), body: inch('1/2') }),
      edge('groove', 'grooving tool .062', 'hss', { id: 'groove', width: inch('.062'), reach: inch('1/4') }),
      edge('thread', 'threading tool 60°', 'hss', { id: 'thread-60', angle: angled(60), nose: inch('.004') }),
      edge('bore', 'boring bar 1/4', 'hss', { id: 'bar-1-4', shank: inch('1/4'), nose: inch('1/64'), reach: inch('1.25') }),
      edge('bore', 'boring bar 3/8', 'hss', { id: 'bar-3-8', shank: inch('3/8'), nose: inch('1/64'), reach: inch('2') }),
      edge('knurl', 'knurling wheels', 'hss', { id: 'knurl' }),
      edge('centreDrill', 'centre drill no. 3', 'hss', { id: 'centre-drill', size: inch('7/64') }),
      ...drills(inch, ['1/8', '3/16', '1/4', '5/16', '3/8', '7/16', '1/2'], () => '3'),
      ...ofSize(inch, 'ream', 'reamer', ['1/4', '3/8', '1/2']),
      ...ofSize(inch, 'die', 'die', ['1/4-20', '3/8-16', '1/2-13']),
      ...ofSize(inch, 'tap', 'tap', ['1/4-20', '3/8-16']),
      edge('saw', 'hacksaw', 'hss', { id: 'saw', width: inch('.040') }),
    ],
    gauges: [
      gauge(inch, 'rule', 'rule 6 in', '0', '6', '1/64', '.003', '.006'),
      gauge(inch, 'caliper', 'caliper 6 in', '0', '6', '.0005', '.0005', '.0006'),
      gauge(inch, 'micrometer', 'micrometer 0-1', '0', '1', '.0001', '.0001', '.00005'),
      gauge(inch, 'micrometer', 'micrometer 1-2', '1', '2', '.0001', '.0001', '.00005'),
      gauge(inch, 'telescoping', 'telescoping gauges', '.3', '3', '.0005', '.0003', '.0004'),
      gauge(inch, 'depth', 'depth gauge', '0', '6', '.001', '.001', '.001'),
    ],
    bars: [
      ...bars(inch, 'mild-steel', 'mild steel', ['3/8', '1/2', '5/8', '3/4', '1', '1-1/4', '1-1/2', '2', '2-1/2'], '36').map((b) => ({
        ...b,
        id: b.id.replace('mild-steel', 'mild'),
      })),
      ...bars(inch, 'stainless-316', 'stainless 316', ['3/4', '1', '1-1/4', '2-1/2'], '24'),
      ...bars(inch, 'bronze', 'bearing bronze', ['1', '1-1/2', '2'], '12', 'hot'),
      ...bars(inch, 'steel-45', 'medium carbon steel', ['1', '2'], '24'),
    ],
    ways: { thread: 'single-point', infeed: 'compound', severing: 'part' },
    lessons: [],
  };
}
