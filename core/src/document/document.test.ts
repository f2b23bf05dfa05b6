import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeSentence } from '../quantity';
import { blankDrawing, blankJob } from './blank';
import { migrate, SCHEMA } from './migrate';
import { parseEntry, parseJob, parseJobFile, parseJobText, parseShop, parseStoredJob } from './parse';
import { parseBackupText } from './parseBackup';

const demo = (name: string): unknown => JSON.parse(readFileSync(join(__dirname, '..', '..', '..', 'demo', name), 'utf8'));
const mm = (text: string) => ({ text, units: 'mm' });
const envelope = { schema: SCHEMA, id: 'job-1', revision: 3, saved: '2026-11-02T08:00:00.000Z', by: 'here' };
const says = (parsed: ReturnType<typeof parseJobText>) => (parsed.ok ? '' : writeSentence(parsed.problems[0]?.says ?? [], 'mm'));

/** Every kind of row, detail, relation, choice and entry that the format knows, also those that no screen writes yet. */
const sizes = ['25 h6', 'M12x1.5-6g LH', '20 > 15', '20 1:10', 'MT2', 'hex 17', 'ball 20', '#7', 'bar', ''];
const everything = {
  ...blankJob('everything', 'mm'),
  machine: 'lathe-mid',
  customer: 'yard',
  order: { reference: '17', channel: 'telephone', price: '120', parts: [{ id: 'o1', what: 'worn pin', received: '2026-11-02', back: '2026-11-29' }] },
  drawing: {
    ...blankDrawing(),
    outside: sizes.map((size, i) => ({
      id: `s${String(i)}`,
      size: mm(size),
      length: mm('10 +/-0.1'),
      from: 'right',
      to: 'near',
      near: mm('1x45'),
      far: mm('R2'),
      usable: mm('8'),
      finish: mm('Ra 1.6'),
      note: 'note',
    })),
    boreRight: [{ id: 'b1', size: mm('8 H7'), length: mm('through') }],
    boreLeft: [{ id: 'b2', size: mm('6'), length: mm('12'), far: mm('flat') }],
    overall: mm('100'),
    details: [
      'groove',
      'ringGroove',
      'faceGroove',
      'knurl',
      'centre',
      'countersink',
      'mark',
      'crossHole',
      'flat',
      'hexagon',
      'keyway',
      'slot',
      'boltCircle',
    ].map((kind, i) => ({ id: `d${String(i)}`, on: 's1', at: mm('5'), length: mm('2'), size: mm('10'), angle: mm('30'), count: 2, kind })),
    relations: ['concentric', 'runout', 'square', 'parallel', 'distance'].map((kind, i) => ({
      id: `r${String(i)}`,
      kind,
      of: 's1',
      to: 's2',
      value: mm('0.02'),
    })),
    mates: [
      {
        id: 'm1',
        of: 's1',
        piece: 'bush',
        measured: { readings: [mm('25.01')], gauge: 'mic', celsius: 21 },
        want: mm('clearance 0.05'),
        fixed: { max: 25, min: 24.98, at: envelope.saved, why: 'measured' },
      },
    ],
    samples: [{ id: 'x1', of: 's1', measured: { readings: [mm('24.9'), mm('24.8')], gauge: 'cal' } }],
    care: { 's1.diameter': 'critical', s2: 'byEye' },
    treatment: [{ id: 't1', kind: 'harden', value: mm('58') }],
    title: { number: '7' },
  },
  choices: [
    { kind: 'bar', id: 'c1', bar: 'bar-25', length: mm('120'), after: 'c0', why: 'on the rack' },
    {
      kind: 'hold',
      id: 'c2',
      setup: 'right-1',
      holding: 'three-jaw',
      grip: mm('30'),
      stickOut: mm('80'),
      support: [{ item: 'centre', at: mm('0') }],
    },
    { kind: 'method', id: 'c3', of: 's1', method: 'die' },
    { kind: 'in', id: 'c4', step: 'face@left', setup: 'left-1' },
    { kind: 'order', id: 'c5', steps: ['face@right', 'drill@b1'] },
    { kind: 'use', id: 'c6', step: 'face@right', item: 'tool-1' },
    { kind: 'data', id: 'c7', step: 'face@right', speed: 500, feed: 0.1, depth: 0.5, passes: 2 },
    { kind: 'ownStep', id: 'c8', after: null, says: 'stamp the number', minutes: 2 },
    { kind: 'way', id: 'c9', way: 'thread', value: 'die' },
    { kind: 'overrule', id: 'c10', finding: 'stick-out@right-1', said: 'so be it', by: 'me', why: 'light cuts' },
  ],
  startsAs: { outside: [], boreRight: [], boreLeft: [], details: [], beyondRight: mm('3') },
};
const line = { id: 'e1', at: envelope.saved, by: 'here', piece: 1, step: 'finish-turn@s1' };
const entries = [
  { ...line, kind: 'zero', axis: 'carriage', face: 'right', edge: 'left' },
  { ...line, kind: 'cut', axis: 'cross', dial: mm('0.16'), told: { expects: 25.306, deviation: 0.003, chanceIn: 0, chancePast: 0 } },
  { ...line, kind: 'reading', of: 's1.diameter', value: mm('25.318'), along: mm('10'), gauge: 'mic', celsius: 34 },
  { ...line, kind: 'dialled', readings: [mm('0.01'), mm('0.03')] },
  { ...line, kind: 'trial', mate: 'm1', feel: 'slides' },
  { ...line, kind: 'accepted', of: 's1.diameter', gauge: 'mic', why: 'in by this gauge, within its doubt' },
  { ...line, kind: 'reading', of: 's1.diameter', value: mm('25.318'), gauge: 'mic', sure: true },
  { ...line, kind: 'done' },
  { ...line, kind: 'skipped', why: 'by eye' },
  { ...line, kind: 'timer', says: 'cooling', until: envelope.saved },
  { ...line, kind: 'symptom', symptom: 'chatter', remedy: 'slower', helped: true },
  { ...line, kind: 'changed', of: 's1.diameter', was: '25 h6', now: '25 h7', why: 'mate measured' },
  { ...line, kind: 'scrapped', why: 'short' },
  { ...line, kind: 'note', says: 'blue tape on the drill' },
  { ...line, kind: 'withdrawn', entry: 'e0' },
];

describe('the stored format', () => {
  it('takes every kind of row, detail, relation, mate and choice', () => {
    const parsed = parseJob(everything);
    expect(parsed.ok ? [] : parsed.problems.map((p) => writeSentence(p.says, 'mm'))).toEqual([]);
    expect(parsed.ok && parsed.value).toEqual(everything);
  });

  it.each(entries.map((e) => [e.kind, e] as const))('takes the Bench entry %s', (_, entry) => {
    expect(parseEntry(entry)).toEqual({ ok: true, value: entry });
  });

  it('reads a job from a file, a stored record and a bare job alike', () => {
    const file = { obra: 'job', ...envelope, job: everything, log: entries };
    for (const from of [file, { ...envelope, job: everything }, everything]) expect(parseJob(from)).toEqual({ ok: true, value: everything });
    expect(parseJobFile(file)).toMatchObject({ ok: true, value: { revision: 3, log: { length: 15 } } });
    expect(parseStoredJob({ ...envelope, job: everything }).ok).toBe(true);
  });

  it.each([
    'sheave-axle.json',
    'pintle-pin.json',
    'mast-dowel.json',
    'windlass-spindle.json',
    'chainplate-ring.json',
    'rudder-shaft.json',
    'worn-tiller-pin.json',
  ])('reads the demo job %s', (name) => {
    expect(parseJobFile(demo(name)).ok).toBe(true);
  });

  it('reads the demo shop', () => {
    expect(parseShop(demo('shop.json')).ok).toBe(true);
    expect(parseShop(demo('sheave-axle.json')).ok).toBe(false);
  });

  it.each([
    ['an unknown key is told, never dropped', { ...everything, colour: 'red' }, 'colour'],
    ['a negative number of pieces', { ...everything, pieces: -1 }, 'pieces'],
    ['an id with a dot', { ...everything, machine: 'a.b' }, 'machine'],
    ['units that are none', { ...everything, units: 'cm' }, 'units'],
  ])('%s', (_, job, at) => {
    const parsed = parseJob(job);
    expect(parsed.ok ? '' : parsed.problems.map((p) => p.at + writeSentence(p.says, 'mm')).join()).toContain(at);
  });

  it.each([null, undefined, 7, 'text', [], () => 1])('%s is no job', (raw) => {
    expect(parseJob(raw).ok).toBe(false);
  });
});

describe('files from elsewhere', () => {
  const text = JSON.stringify({ obra: 'job', ...envelope, job: everything, log: [] });

  it.each([
    ['cut off', text.slice(0, 200), 'cut off or damaged'],
    ['of another kind', 'ISO-10303-21;', 'this is not a job file; a job file is JSON text'],
    ['a list', '[1, 2]', 'this is not a job file'],
    ['a shop', JSON.stringify({ obra: 'shop', shop: {} }), 'this file holds a shop, not a job'],
    ['of a later version', text.replace(`"schema":${String(SCHEMA)}`, '"schema":9'), 'this was written by a later Obra (version 9'],
    ['without its log', text.replace(',"log":[]', ''), 'log'],
  ])('%s', (_, content, sentence) => {
    expect(says(parseJobText(content))).toContain(sentence);
  });
});

describe('migration', () => {
  const of = (version: number) => join(__dirname, 'fixtures', `schema-${String(version)}`);
  const files = (dir: string) =>
    readdirSync(dir)
      .filter((name) => name.endsWith('.json'))
      .map((name) => [name, JSON.parse(readFileSync(join(dir, name), 'utf8')) as Record<string, unknown>] as const);
  const old = [1, 2, 3, 4, 5, 6, 7].flatMap((version) =>
    [...files(of(version)), ...files(join(of(version), 'open'))].map(([name, raw]) => [version, name, raw] as const),
  );

  it.each(old)('takes what was written as version %i: %s', (version, _, raw) => {
    expect(raw['schema']).toBe(version);
    const parsed = raw['obra'] === 'shop' ? parseShop(raw) : parseJobFile(raw);
    expect(parsed.ok ? [] : parsed.problems).toEqual([]);
  });

  it.each([1, 2, 3, 4, 5, 6, 7])('takes a backup of version %i, the files in it too', (version) => {
    const [job] = files(of(version)).flatMap(([, raw]) => (raw['obra'] === 'job' ? [raw] : []));
    const backup = { obra: 'backup', schema: version, saved: envelope.saved, shops: [], jobs: [job] };
    const parsed = parseBackupText(JSON.stringify(backup));
    expect(parsed.ok && parsed.value.jobs[0]?.schema).toBe(SCHEMA);
  });

  it('writes down the undercut of a thread at a shoulder where a job was given out or begun, and nowhere else', () => {
    const cell = (text: string) => ({ text, units: 'mm' });
    const rows = [
      { id: 'a', size: cell('M12'), length: cell('18') },
      { id: 'b', size: cell('25'), length: cell('10') },
      { id: 'c', size: cell('M12'), length: cell('18') },
      { id: 'd', size: cell('10'), length: cell('18') },
      { id: 'e', size: cell('M20x1.5'), length: cell('20'), far: cell('sharp') },
      { id: 'f', size: cell('bar 30'), length: cell('20') },
    ];
    const edges = (more: object, log: readonly unknown[] = []) => {
      const job = { drawing: { outside: rows }, ...more } as Record<string, unknown>;
      const made = migrate({ schema: 3, obra: 'job', job, log }) as {
        job: { drawing: { outside: { near?: { text: string }; far?: { text: string } }[] } };
      };
      return made.job.drawing.outside.map((r) => [r.near?.text, r.far?.text]);
    };
    const none = rows.map((r) => [undefined, 'far' in r ? r.far.text : undefined]);
    expect(edges({})).toEqual(none);
    const written = none.map((e, i) => (i === 0 ? [undefined, 'DIN 76'] : i === 2 ? ['DIN 76', undefined] : e));
    expect(edges({ issue: { choices: [] } })).toEqual(written);
    expect(edges({}, [{ kind: 'done' }])).toEqual(written);
  });

  it('keeps the day that a job is wanted, and says what is no day', () => {
    const [file] = files(of(2)).flatMap(([, raw]) => (raw['obra'] === 'job' ? [raw] : []));
    const wanting = (wanted: string) => parseJobFile({ ...file, job: { ...(file?.['job'] as object), wanted } });
    const read = wanting('2026-12-04');
    expect(read.ok && read.value.job.wanted).toBe('2026-12-04');
    expect(wanting('2026-02-30').ok).toBe(false);
    expect(wanting('Friday').ok).toBe(false);
  });

  it('brings an old record up version by version', () => {
    const steps = {
      1: (raw: Record<string, unknown>) => ({ ...raw, two: true }),
      2: (raw: Record<string, unknown>) => ({ ...raw, three: raw['two'] }),
    };
    expect(migrate({ schema: 1, a: 1 }, steps, 3)).toEqual({ schema: 3, a: 1, two: true, three: true });
    expect(migrate({ schema: 3 }, steps, 3)).toEqual({ schema: 3 });
  });

  it('leaves a record alone when a step is missing, so that the schema can say so', () => {
    expect(migrate({ schema: 1 }, {}, 3)).toEqual({ schema: 1 });
    expect(migrate({ a: 1 })).toEqual({ a: 1 });
  });
});
