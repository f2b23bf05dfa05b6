/* Parts of the trade, of our own invention, planned in the mid-size starting shop; what a turner expects of each, as rules. All of it common practice. */
import { blankJob, type Choice, type Detail, type Job, type Section } from '../document';

const mm = (text: string) => ({ text, units: 'mm' as const });
type Row = readonly [size: string, length: string, more?: Partial<Record<'near' | 'far' | 'usable' | 'finish', string>>];
const section = (id: string, [size, length, more = {}]: Row): Section => ({
  id,
  size: mm(size),
  length: mm(length),
  ...Object.fromEntries(Object.entries(more).map(([k, v]) => [k, mm(v)])),
});

export interface TradePart {
  readonly outside: readonly Row[];
  readonly right?: readonly Row[];
  readonly left?: readonly Row[];
  readonly details?: readonly Detail[];
  readonly material?: string;
  readonly pieces?: number;
  readonly choices?: readonly Choice[];
  readonly treatment?: Job['drawing']['treatment'];
  readonly relations?: Job['drawing']['relations'];
}
export const partJob = (
  name: string,
  { outside, right = [], left = [], details = [], material = 'mild-steel', pieces = 1, choices = [], treatment = [], relations = [] }: TradePart,
): Job => {
  const blank = blankJob(name, 'mm');
  return {
    ...blank,
    pieces,
    choices: [...choices],
    drawing: {
      ...blank.drawing,
      material,
      title: { edges: 'broken' },
      outside: outside.map((r, i) => section(`s${String(i + 1)}`, r)),
      boreRight: right.map((r, i) => section(`b${String(i + 1)}`, r)),
      boreLeft: left.map((r, i) => section(`g${String(i + 1)}`, r)),
      details: [...details],
      treatment: [...treatment],
      relations: [...relations],
    },
  };
};
const knurl = (on: string): Detail => ({ id: 'k1', on, kind: 'knurl', at: mm('0'), length: mm('20'), size: mm('diamond 1') });
const across = (on: string): Detail => ({ id: 'c1', on, kind: 'crossHole', at: mm('10'), size: mm('4') });

export interface Expected {
  /** these steps, each before the next, in whichever setup they stand; a step may be named by its beginning */
  readonly inOrder?: readonly (readonly string[])[];
  /** in the same setup, so that they run true to each other */
  readonly together?: readonly (readonly [string, string])[];
  readonly never?: readonly string[];
  readonly centre?: boolean;
  readonly says?: readonly string[];
  /** what the setups hold it by, in order: the kinds of their holdings */
  readonly held?: readonly string[];
}

export const parts: readonly (readonly [name: string, part: TradePart, expected: Expected])[] = [
  [
    'a stepped bolt',
    {
      outside: [
        ['M12', '30'],
        ['12 h9', '25'],
        ['hex 19', '8'],
      ],
    },
    { inOrder: [['face@right', 'rough-turn', 'finish-turn', 'chamfer@s1', 'thread@s1', 'part-off']], together: [['finish-turn@s2', 'thread@s1']] },
  ],
  [
    'a headed pin with a fit',
    {
      outside: [
        ['10 f7', '40'],
        ['18', '6'],
      ],
    },
    { inOrder: [['rough-turn@s1', 'cool', 'finish-turn@s1', 'check@right', 'part-off']] },
  ],
  [
    'a bush to be pressed: bore before the outside is finished',
    { outside: [['30 p6', '25']], right: [['20 H7', 'through']] },
    { inOrder: [['drill@b1', 'bore@b1', 'finish-turn@s1']], together: [['bore@b1', 'finish-turn@s1']] },
  ],
  [
    'a reamed bush',
    { outside: [['25', '20']], right: [['12 H7 reamed', 'through']], material: 'bronze' },
    // the drawer has no drill that leaves the reamer its few tenths: the bar does
    { inOrder: [['centre-drill@right', 'drill@b1', 'bore@b1', 'ream@b1']] },
  ],
  [
    'a thin ring: not squeezed by hard jaws',
    { outside: [['50 h7', '12']], right: [['44 H7', 'through']] },
    { together: [['bore@b1', 'finish-turn@s1']], inOrder: [['drill', 'bore@b1']] },
  ],
  [
    'a spindle as long as eight diameters: carried by the centre, which is seated first',
    {
      outside: [
        ['20 k6', '30'],
        ['24', '120'],
        ['28', '30'],
      ],
    },
    { centre: true, inOrder: [['face@right', 'centre-drill@right', 'rough-turn', 'finish-turn@s1']] },
  ],
  [
    'a shaft threaded and bored at one end: the centre is needed before it is drilled away',
    {
      outside: [
        ['M20x1.5', '30'],
        ['24 h7', '150'],
      ],
      right: [['8', '40']],
    },
    { centre: true, inOrder: [['support@right', 'thread@s1', 'withdraw@right', 'drill@b1']] },
  ],
  [
    'a flanged hub with a bore: both turned in one chucking',
    {
      outside: [
        ['30 h7', '25'],
        ['55', '10'],
      ],
      right: [['16 H7', 'through']],
    },
    // 35 deep no bar of the drawer reaches through 14: the reamer of that size does
    { together: [['ream@b1', 'finish-turn@s1']], inOrder: [['rough-turn@s2', 'rough-turn@s1']] },
  ],
  [
    'washers, six of them',
    { outside: [['40', '3']], right: [['16.5', 'through']], pieces: 6 },
    { inOrder: [['drill', 'check@right']], never: ['thread'] },
  ],
  [
    'a knurled screw: rolled before its neighbour is finished',
    {
      outside: [
        ['M8', '20'],
        ['10 h8', '5'],
        ['20', '20'],
      ],
      details: [knurl('s3')],
    },
    {
      inOrder: [
        ['knurl@k1', 'finish-turn@s2'],
        ['knurl@k1', 'die@s1'],
      ],
    },
  ],
  [
    'a collar that hides a seat behind it: turned round for it',
    {
      outside: [
        ['16 g6', '30'],
        ['32', '12'],
        ['20 h7', '15'],
      ],
    },
    { inOrder: [['finish-turn@s1', 'part-off', 'turn-round', 'face@left', 'finish-turn@s3']] },
  ],
  [
    'a neck between two shoulders',
    {
      outside: [
        ['25', '12'],
        ['18', '9'],
        ['25', '12'],
      ],
    },
    { inOrder: [['face@right', 'neck@s2', 'part-off']] },
  ],
  [
    'a tapped boss: drilled, tapped, mouth chamfered',
    { outside: [['25', '30']], right: [['M10', '20', { near: '1x45' }]] },
    { inOrder: [['centre-drill@right', 'drill@b1', 'tap@b1']] },
  ],
  [
    'a hollow bolt: drilled before its thread is cut, nothing severed that is not threaded',
    {
      outside: [
        ['M16x1.5', '25'],
        ['22', '10'],
      ],
      right: [['8', '28']],
    },
    {
      inOrder: [
        ['drill@b1', 'finish-turn@s1'],
        ['thread@s1', 'part-off'],
      ],
    },
  ],
  [
    'a tapered punch: roughed as a cylinder, then the taper by the compound',
    {
      outside: [
        ['6 > 14', '40'],
        ['14', '60'],
      ],
      material: 'silver-steel',
    },
    { inOrder: [['rough-turn', 'taper@s1']], never: ['thread'] },
  ],
  [
    'holes from both ends, each in its own setup',
    { outside: [['30', '60']], right: [['10', '20']], left: [['12', '15']] },
    { inOrder: [['drill@b1', 'turn-round', 'face@left', 'drill@g1']] },
  ],
  [
    'a cross hole is drilled beside the lathe, after the turning',
    { outside: [['16 h9', '50']], details: [across('s1')] },
    { inOrder: [['finish-turn@s1', 'away@c1']] },
  ],
  [
    'a stainless stud, threaded at both ends',
    {
      outside: [
        ['M10', '20'],
        ['10', '40'],
        ['M10', '20'],
      ],
      material: 'stainless-316',
    },
    { inOrder: [['thread@s1', 'turn-round', 'thread@s3']] },
  ],
  [
    'a wide plate of a disc: too deep for the blade, too long for the saw: what holds it is faced away',
    { outside: [['78', '15']] },
    { inOrder: [['check@right', 'turn-round@left', 'face@left']], never: ['part-off', 'saw-off'] },
  ],
  [
    'a brass knob: a ball on a neck',
    {
      outside: [
        ['ball 20', '18'],
        ['10', '10'],
        ['16', '6'],
      ],
      material: 'brass',
    },
    { inOrder: [['rough-turn', 'form@s1']] },
  ],
  ['a plastic roller', { outside: [['40 h9', '30']], right: [['12', 'through']], material: 'acetal' }, { says: ['bar-too-small'] }],
  [
    'a spindle between centres with a taper at both ends: they run true to one another',
    {
      outside: [
        ['16 > 22', '40'],
        ['28 h6', '160'],
        ['22 > 16', '40'],
      ],
      choices: [{ kind: 'method', id: 'c', of: 'carrying', method: 'centres' }],
    },
    {
      inOrder: [['face@right', 'centre-drill@right', 'face@left', 'centre-drill@left', 'rough-turn', 'taper@s1', 'turn-round@left', 'taper@s3']],
      held: ['threeJaw collet', 'threeJaw collet softJaws', 'centres', 'centres'],
    },
  ],
  [
    'a plate on a faceplate: bored under clamps, its rim true to the bore',
    { outside: [['76', '14']], right: [['24 H7', 'through']], choices: [{ kind: 'method', id: 'c', of: 'carrying', method: 'plate' }] },
    {
      inOrder: [['face@left', 'turn-round', 'face@right', 'bore@b1', 'finish-turn@s1']],
      held: ['faceplate', 'faceplate', 'faceplate'],
      never: ['part-off'],
    },
  ],
  [
    'a flanged hub with a bore and a boss at its back: the bore and the boss before it in one chucking, the back turned round',
    {
      outside: [
        ['32 h7', '18'],
        ['60', '10'],
        ['36', '12'],
      ],
      right: [['18 H7', 'through']],
    },
    {
      inOrder: [
        ['drill@b1', 'bore@b1', 'check@right', 'turn-round@left'],
        ['turn-round', 'face@left', 'rough-turn@s3'],
      ],
      together: [['bore@b1', 'finish-turn@s1']],
    },
  ],
  [
    'a long slender drilled tube: the centre carries it while it is turned, drilled when that is done',
    {
      outside: [
        ['M16x1', '15'],
        ['18 h9', '140'],
      ],
      right: [['10', '60']],
    },
    { centre: true, inOrder: [['support@right', 'thread@s1', 'withdraw@right', 'drill@b1', 'check@right']] },
  ],
  [
    'four knurled screws: each setup on all of them',
    {
      outside: [
        ['M6', '16'],
        ['16', '10'],
      ],
      details: [{ id: 'k1', on: 's2', kind: 'knurl', at: mm('0'), length: mm('10'), size: mm('straight 1') }],
      pieces: 4,
    },
    { inOrder: [['rough-turn@s1', 'finish-turn@s1', 'die@s1', 'part-off']] },
  ],
  [
    'a punch that is hardened and tempered: turned first, tempered at once, nothing cut after',
    {
      outside: [
        ['5', '20'],
        ['12', '60'],
      ],
      material: 'silver-steel',
      treatment: [
        { id: 't2', kind: 'temper', value: mm('240 °C') },
        { id: 't1', kind: 'harden', value: mm('62 HRC') },
      ],
    },
    { inOrder: [['finish-turn@s1', 'check@left', 'harden@t1', 'temper@t2']] },
  ],
  [
    'a second operation in a soft collet or soft jaws: the finished size is not marked',
    {
      outside: [
        ['18 h6', '30'],
        ['24', '6'],
        ['14 h7', '14'],
      ],
    },
    { inOrder: [['finish-turn@s1', 'turn-round', 'finish-turn@s3']], held: ['threeJaw collet fourJaw softJaws', 'softJaws collet softCollet'] },
  ],
  [
    'a sleeve bored from both ends, a shoulder between: each bore from its own end',
    { outside: [['40', '50']], right: [['26 H7', '20']], left: [['22 H8', '12']] },
    { inOrder: [['drill@b1', 'bore@b1', 'turn-round', 'face@left', 'drill@g1', 'bore@g1']] },
  ],
  [
    'a shaft whose seats must run true to one another within 0.02: both in one chucking or held again that truly',
    {
      outside: [
        ['20 k6', '25'],
        ['24', '60'],
        ['20 k6', '25'],
      ],
      relations: [{ id: 'r1', kind: 'runout', of: 's3', to: 's1', value: mm('0.02') }],
    },
    {
      inOrder: [['finish-turn@s1', 'turn-round', 'finish-turn@s3']],
      held: ['threeJaw collet fourJaw softJaws', 'softJaws collet softCollet fourJaw'],
    },
  ],
  [
    'a ring groove and a chamfer: the diameter first, then what is cut into it',
    { outside: [['20 h8', '40']], details: [{ id: 'g1', kind: 'ringGroove', on: 's1', at: mm('5'), size: mm('') }] },
    { inOrder: [['finish-turn@s1', 'groove@g1', 'part-off']] },
  ],
];
