/* Parts of the trade, of our own invention, planned in the mid-size starting shop; what a turner expects of each, as rules. All of it common practice. */
import { blankJob, type Detail, type Job, type Section, type Shop } from '../document';
import { writeSentence } from '../quantity';
import { type Step, violations } from '../route';
import { midShop } from '../shop';
import { plan } from './index';

const mm = (text: string) => ({ text, units: 'mm' as const });
type Row = readonly [size: string, length: string, more?: Partial<Record<'near' | 'far' | 'usable' | 'finish', string>>];
const section = (id: string, [size, length, more = {}]: Row): Section => ({
  id,
  size: mm(size),
  length: mm(length),
  ...Object.fromEntries(Object.entries(more).map(([k, v]) => [k, mm(v)])),
});

interface Part {
  readonly outside: readonly Row[];
  readonly right?: readonly Row[];
  readonly left?: readonly Row[];
  readonly details?: readonly Detail[];
  readonly material?: string;
  readonly pieces?: number;
}
const jobOf = (name: string, { outside, right = [], left = [], details = [], material = 'mild-steel', pieces = 1 }: Part): Job => {
  const blank = blankJob(name, 'mm');
  return {
    ...blank,
    pieces,
    drawing: {
      ...blank.drawing,
      material,
      title: { edges: 'broken' },
      outside: outside.map((r, i) => section(`s${String(i + 1)}`, r)),
      boreRight: right.map((r, i) => section(`b${String(i + 1)}`, r)),
      boreLeft: left.map((r, i) => section(`g${String(i + 1)}`, r)),
      details: [...details],
    },
  };
};
const shop: Shop = midShop();
const knurl = (on: string): Detail => ({ id: 'k1', on, kind: 'knurl', at: mm('0'), length: mm('20'), size: mm('diamond 1') });
const across = (on: string): Detail => ({ id: 'c1', on, kind: 'crossHole', at: mm('10'), size: mm('4') });

interface Expected {
  /** these steps, each before the next, in whichever setup they stand; a step may be named by its beginning */
  readonly inOrder?: readonly (readonly string[])[];
  /** in the same setup, so that they run true to each other */
  readonly together?: readonly (readonly [string, string])[];
  readonly never?: readonly string[];
  readonly centre?: boolean;
  readonly says?: readonly string[];
}

const parts: readonly (readonly [name: string, part: Part, expected: Expected])[] = [
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
    { inOrder: [['centre-drill@right', 'drill@b1', 'ream@b1']], never: ['bore@b1'] },
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
    { centre: true, inOrder: [['face@right', 'centre-drill@right', 'support@right', 'rough-turn', 'finish-turn@s1']] },
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
    { together: [['bore@b1', 'finish-turn@s1']], inOrder: [['rough-turn@s2', 'rough-turn@s1']] },
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
        ['knurl@k1', 'thread@s1'],
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
    'a wide plate of a disc: too deep for the blade, so it is sawn and faced',
    { outside: [['78', '15']] },
    { inOrder: [['saw-off', 'face@left']], never: ['part-off'] },
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
];

describe.each(parts)('%s', (name, part, expected) => {
  const job = jobOf(name, part);
  const made = plan(job, shop);
  const [route] = made.routes;
  const steps: readonly Step[] = route?.setups.flatMap((s) => s.steps) ?? [];
  const at = (id: string, from = 0) =>
    steps.findIndex((s, i) => i >= from && (s.id === id || s.id.replace(/:.*/, '') === id || s.id.startsWith(`${id}@`) || s.id.startsWith(id)));

  it('is planned as a turner would expect', () => {
    for (const code of expected.says ?? []) expect(made.findings.map((f) => f.code)).toContain(code);
    if (expected.says?.includes('bar-too-small')) return;
    if (!route) throw new Error(made.findings.map((f) => writeSentence(f.says, 'mm')).join('; '));
    for (const chain of expected.inOrder ?? []) {
      let from = -1;
      for (const id of chain) {
        const next = at(id, from + 1);
        expect([name, chain.join(' < '), id, next > from]).toEqual([name, chain.join(' < '), id, true]);
        from = next;
      }
    }
    for (const [a, b] of expected.together ?? []) {
      const setup = (id: string) => route.setups.findIndex((s) => s.steps.some((x) => x.id.replace(/:.*/, '') === id));
      expect([a, b, setup(a)]).toEqual([a, b, setup(b)]);
      expect(setup(a)).toBeGreaterThanOrEqual(0);
    }
    for (const id of expected.never ?? []) expect(at(id)).toBe(-1);
    if (expected.centre !== undefined) expect(route.setups[0]?.support.some((s) => s.kind === 'centre')).toBe(expected.centre);
  });

  it('breaks no rule by the judge, and shows no number that is not one', () => {
    if (!route) return;
    expect(violations(route, made.part, job, shop).map((f) => `${f.code} ${f.about}: ${writeSentence(f.says, 'mm')}`)).toEqual([]);
    for (const step of steps) for (const figure of Object.values(step.figures)) expect(Number.isFinite(figure.value)).toBe(true);
    expect(steps.every((s) => s.because.length > 0)).toBe(true);
  });
});
