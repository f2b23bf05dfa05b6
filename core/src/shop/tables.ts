import type { Bar, Gauge, Holding, Machine, Shop, Tool } from '../document';
import { materials } from '../standards';

export interface Choosable {
  readonly value: string;
  readonly words: string;
}

/** What can be typed in one cell of a table of the shop. */
export interface ShopField {
  /** path in the item: 'outside.from', 'dials.cross.division' */
  readonly key: string;
  readonly words: string;
  readonly is: 'text' | 'length' | 'degrees' | 'number' | 'numbers' | 'lengths' | 'whole' | 'wholes' | 'choice' | 'speeds' | 'window' | 'day';
  /** what a plain number means, where it has no unit of its own */
  readonly unit?: string;
  readonly choices?: readonly Choosable[];
  /** may be left empty */
  readonly optional?: boolean;
  /** nothing is a value: an offset, a backlash, the lower end of a range */
  readonly zero?: boolean;
  /** may be less than nothing: how far a gauge is off */
  readonly signed?: boolean;
  /** a number that is chosen by a word: only seen when it is asked for */
  readonly behind?: 'grip' | 'stiff';
  /** narrow, wide */
  readonly wide?: number;
}

export type ShopItem = Machine | Holding | Tool | Gauge | Bar;
export type ShopList = 'machines' | 'holdings' | 'tools' | 'gauges' | 'bars';

export interface ShopTable {
  readonly list: ShopList;
  readonly words: string;
  readonly one: string;
  readonly fields: readonly ShopField[];
  /** what is there before anything is typed */
  readonly blank: Omit<Machine, 'id'> | Omit<Holding, 'id'> | Omit<Tool, 'id'> | Omit<Gauge, 'id'> | Omit<Bar, 'id'>;
}

/** Each table has its own: a field says which list it belongs to. */
const name = (): ShopField => ({ key: 'name', words: 'name', is: 'text', wide: 190 });
const pick = (words: Readonly<Record<string, string>>): readonly Choosable[] => Object.entries(words).map(([value, w]) => ({ value, words: w }));
const len = (key: string, words: string, more: Partial<ShopField> = {}): ShopField => ({ key, words, is: 'length', ...more });
const opt = (key: string, words: string, more: Partial<ShopField> = {}): ShopField => len(key, words, { optional: true, ...more });

export const holdingWords: Readonly<Record<Holding['kind'], string>> = {
  threeJaw: 'three-jaw chuck',
  fourJaw: 'four-jaw chuck',
  softJaws: 'soft jaws',
  collet: 'collet',
  softCollet: 'soft collet',
  centres: 'between centres',
  arbor: 'arbor',
  cushionedArbor: 'cushioned arbor',
  faceplate: 'faceplate',
  splitBush: 'split bush',
  steady: 'steady',
  followRest: 'follow rest',
  liveCentre: 'live centre',
  deadCentre: 'dead centre',
  pipeCentre: 'pipe centre',
  halfCentre: 'half centre',
};
export const toolWords: Readonly<Record<Tool['kind'], string>> = {
  turn: 'turning',
  face: 'facing',
  bore: 'boring bar',
  part: 'parting blade',
  groove: 'grooving',
  thread: 'threading',
  form: 'form',
  knurl: 'knurling',
  drill: 'drill',
  centreDrill: 'centre drill',
  ream: 'reamer',
  tap: 'tap',
  die: 'die',
  saw: 'saw',
  file: 'file',
};
export const gaugeWords: Readonly<Record<Gauge['kind'], string>> = {
  rule: 'rule',
  caliper: 'caliper',
  micrometer: 'micrometer',
  telescoping: 'telescoping',
  bore: 'bore gauge',
  plugPins: 'plug pins',
  wires: 'thread wires',
  balls: 'thread balls',
  threadMicrometer: 'thread micrometer',
  threadPlug: 'thread plug',
  ring: 'thread ring',
  nut: 'nut',
  depth: 'depth gauge',
  dial: 'dial indicator',
  mate: 'mating piece',
};

const zero = { text: '0', units: 'mm' } as const;
const dialFields = (axis: string, words: string, cross: boolean): readonly ShopField[] => [
  ...(cross
    ? [
        {
          key: `dials.${axis}.reads`,
          words: `${words} dial reads`,
          is: 'choice' as const,
          choices: pick({ diameter: 'diameter', radius: 'radius' }),
          optional: true,
        },
      ]
    : []),
  opt(`dials.${axis}.division`, `${words} dial, one division`),
  opt(`dials.${axis}.backlash`, `${words} backlash`, { zero: true }),
  opt(`dials.${axis}.travel`, `${words} travel, usable`),
  opt(`dials.${axis}.readout`, `${words} readout, resolution`),
];

/** Every table of the shop: its kinds, its columns, in what order they are typed. One table, used by screen, CSV and checks. */
export const shopTables: readonly ShopTable[] = [
  {
    list: 'machines',
    words: 'Lathes',
    one: 'lathe',
    fields: [
      name(),
      { key: 'speeds', words: 'speeds', is: 'speeds', unit: 'rev/min' },
      { key: 'feeds', words: 'feeds; empty: by hand', is: 'numbers', unit: 'mm/rev', optional: true },
      { key: 'kilowatts', words: 'motor', is: 'number', unit: 'kW' },
      len('through', 'bar through the spindle'),
      opt('headstock', 'length of the spindle'),
      len('swing', 'swing over the bed'),
      len('swingOverSlide', 'swing over the cross slide'),
      len('centres', 'between centres'),
      ...dialFields('cross', 'cross', true),
      ...dialFields('carriage', 'carriage', false),
      ...dialFields('compound', 'compound', false),
      ...dialFields('quill', 'quill', false),
      len('leadscrew', 'leadscrew pitch'),
      { key: 'box', words: 'thread box', is: 'lengths', optional: true },
      { key: 'gears', words: 'change wheels', is: 'wholes', optional: true },
      opt('threadDial', 'thread dial, one turn'),
      opt('post', 'tool post along the bed'),
      opt('quill', 'tailstock quill across'),
      opt('tailstock', 'tailstock across'),
      { key: 'compoundZero', words: 'compound at zero lies', is: 'choice', choices: pick({ along: 'along the bed', across: 'across the bed' }) },
      { key: 'nose', words: 'chuck on the spindle', is: 'choice', choices: pick({ screwed: 'screwed on', locked: 'locked' }) },
      len('setOver', 'tailstock can be set over by', { zero: true }),
      len('tailstockOffset', 'tailstock stands off by', { zero: true }),
      { key: 'note', words: 'note', is: 'text', optional: true },
    ],
    blank: {
      name: 'new lathe',
      speeds: [100, 200, 400, 800],
      feeds: [],
      kilowatts: 1,
      through: { text: '25', units: 'mm' },
      swing: { text: '250', units: 'mm' },
      swingOverSlide: { text: '140', units: 'mm' },
      centres: { text: '500', units: 'mm' },
      dials: {
        cross: {
          reads: 'diameter',
          division: { text: '0.02', units: 'mm' },
          clockwise: 'in',
          backlash: { text: '0.1', units: 'mm' },
          travel: { text: '120', units: 'mm' },
        },
      },
      leadscrew: { text: '3', units: 'mm' },
      box: [],
      gears: [],
      compoundZero: 'along',
      nose: 'locked',
      setOver: zero,
      tailstockOffset: zero,
      assumed: ['speeds', 'kilowatts', 'through', 'swing', 'swingOverSlide', 'centres', 'dials', 'leadscrew'],
    },
  },
  {
    list: 'holdings',
    words: 'Holding',
    one: 'holding',
    fields: [
      name(),
      { key: 'kind', words: 'kind', is: 'choice', choices: pick(holdingWords), wide: 150 },
      { key: 'sizes', words: 'collets of the set', is: 'lengths', optional: true, wide: 120 },
      opt('outside.from', 'grips from', { zero: true }),
      opt('outside.to', 'grips to'),
      opt('inside.from', 'in a bore from', { zero: true }),
      opt('inside.to', 'in a bore to'),
      { key: 'jaw.count', words: 'jaws', is: 'whole', optional: true, wide: 48 },
      opt('jaw.length', 'jaw length'),
      opt('jaw.reach', 'jaw reach'),
      { key: 'maxSpeed', words: 'most speed', is: 'number', unit: 'rev/min' },
      { key: 'newtons', words: 'grip', is: 'number', unit: 'N', optional: true, behind: 'grip' },
      len('trueWithin', 'true within, TIR'),
      { key: 'marks', words: 'marks', is: 'choice', choices: pick({ true: 'yes', false: 'no' }) },
      { key: 'lateral', words: 'stiff sideways', is: 'number', unit: 'N/mm', behind: 'stiff' },
      { key: 'angular', words: 'stiff in tilt', is: 'number', unit: 'N mm/rad', wide: 96, behind: 'stiff' },
      opt('nose', 'nose across, of a centre or collet'),
      opt('body', 'body across, behind it'),
    ],
    blank: {
      name: 'new chuck',
      kind: 'threeJaw',
      outside: { from: { text: '3', units: 'mm' }, to: { text: '100', units: 'mm' } },
      jaw: { count: 3, length: { text: '30', units: 'mm' }, reach: { text: '40', units: 'mm' } },
      maxSpeed: 2000,
      newtons: 10000,
      trueWithin: { text: '0.08', units: 'mm' },
      marks: true,
      lateral: 30000,
      angular: 3e7,
      assumed: ['outside', 'jaw', 'maxSpeed', 'newtons', 'trueWithin', 'lateral', 'angular'],
    },
  },
  {
    list: 'tools',
    words: 'Tools',
    one: 'tool',
    fields: [
      name(),
      { key: 'kind', words: 'kind', is: 'choice', choices: pick(toolWords), wide: 128 },
      { key: 'grade', words: 'edge', is: 'choice', choices: pick({ hss: 'high-speed steel', carbide: 'carbide' }), wide: 138 },
      { key: 'size', words: 'size', is: 'text', optional: true, wide: 84 },
      opt('nose', 'nose radius', { zero: true }),
      opt('width', 'width'),
      opt('reach', 'reach'),
      opt('shank', 'shank'),
      opt('least', 'smallest bore'),
      { key: 'angle', words: 'angle', is: 'degrees', unit: '°', optional: true, wide: 60 },
      { key: 'lead', words: 'lead', is: 'degrees', unit: '°', optional: true, wide: 60 },
      { key: 'hand', words: 'hand', is: 'choice', choices: pick({ right: 'right', left: 'left', neutral: 'neutral' }), wide: 84 },
      opt('tip', 'flat of the tip', { zero: true }),
      opt('overhang', 'stands out of its holder'),
      opt('holder', 'holder wide'),
      { key: 'insert', words: 'insert', is: 'text', optional: true, wide: 120 },
      { key: 'chips.depth', words: 'breaks chips, depth', is: 'window', unit: 'mm', optional: true, wide: 96 },
      { key: 'chips.feed', words: 'and feed', is: 'window', unit: 'mm/rev', optional: true, wide: 104 },
      opt('body', 'height of body'),
    ],
    blank: { name: 'new tool', kind: 'turn', grade: 'hss', hand: 'right' },
  },
  {
    list: 'gauges',
    words: 'Gauges',
    one: 'gauge',
    fields: [
      name(),
      { key: 'kind', words: 'kind', is: 'choice', choices: pick(gaugeWords), wide: 140 },
      len('from', 'from', { zero: true }),
      len('to', 'to'),
      len('resolution', 'reads to'),
      len('bias', 'off by, all alike', { zero: true }),
      len('repeat', 'scatter, one reading', { zero: true }),
      { key: 'checked', words: 'last checked', is: 'day', optional: true },
      opt('reads', 'found to read over by', { zero: true, signed: true }),
    ],
    blank: {
      name: 'new gauge',
      kind: 'caliper',
      from: zero,
      to: { text: '150', units: 'mm' },
      resolution: { text: '0.01', units: 'mm' },
      bias: { text: '0.01', units: 'mm' },
      repeat: { text: '0.012', units: 'mm' },
      assumed: ['bias', 'repeat'],
    },
  },
  {
    list: 'bars',
    words: 'Bars on the rack',
    one: 'bar',
    fields: [
      name(),
      { key: 'material', words: 'material', is: 'choice', choices: materials.map((m) => ({ value: m.id, words: m.name })), wide: 160 },
      len('across', 'across'),
      { key: 'form', words: 'form', is: 'choice', choices: pick({ round: 'round', hex: 'hexagon', square: 'square', tube: 'tube' }) },
      opt('inside', 'inside, of a tube'),
      { key: 'skin', words: 'skin', is: 'choice', choices: pick({ ground: 'ground', drawn: 'drawn', hot: 'hot rolled', sawn: 'sawn' }) },
      len('length', 'length'),
    ],
    blank: {
      name: 'new bar',
      material: 'mild-steel',
      across: { text: '25', units: 'mm' },
      form: 'round',
      skin: 'drawn',
      length: { text: '1000', units: 'mm' },
    },
  },
];

export const tableOf = (list: ShopList): ShopTable => {
  const table = shopTables.find((t) => t.list === list);
  if (!table) throw new RangeError(`no table ${list}`);
  return table;
};

export const itemsOf = (shop: Shop, list: ShopList): readonly ShopItem[] => shop[list];

/** Which sizes a tool cannot be planned without. @source common practice */
export const toolNeeds: Readonly<Partial<Record<Tool['kind'], readonly string[]>>> = {
  turn: ['nose'],
  bore: ['shank'],
  part: ['width', 'reach'],
  groove: ['width'],
  thread: ['angle'],
  drill: ['size'],
  centreDrill: ['size'],
  ream: ['size'],
  tap: ['size'],
  die: ['size'],
};
