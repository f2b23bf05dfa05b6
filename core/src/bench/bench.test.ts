import { type Entry, parseJobText, SCHEMA } from '../document';
import { writeJobFile } from '../exchange';
import { type Finding, subjectsOf } from '../finding';
import { inspect } from '../inspection';
import { issued, plan } from '../planner';
import { demoJob, demoShop, jobOf } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { benchState } from './benchState';
import { openStops, progressOf, stagesOf } from './progress';
import { releaseOf } from './release';
import { sizedAt } from './sized';

const shop = demoShop();
const axle = demoJob('sheave-axle');
const [route] = plan(axle, shop).routes;
if (!route) throw new Error('no route');
const job = issued(axle, route, shop, '2026-11-02T08:00:00.000Z', '0.1.0');
const made = plan(job, shop);
const ids = route.setups.flatMap((s) => s.steps.map((step) => step.id));
let n = 0;
const line = (step: string | null, piece = 1) => ({ id: `e${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece, step });
const done = (step: string, piece = 1): Entry => ({ ...line(step, piece), kind: 'done' });
const read = (text: string, more: Partial<Extract<Entry, { kind: 'reading' }>> = {}): Entry => ({
  ...line('finish-turn@s2'),
  kind: 'reading',
  of: 's2.diameter',
  value: { text, units: 'mm' },
  gauge: 'mic-0-25',
  ...more,
});
const sizing = ids.indexOf('finish-turn@s2');
const before = ids.slice(0, sizing).map((id) => done(id));

describe('where the Bench stands', () => {
  it('begins with the first step of the first piece', () => {
    expect(benchState(job, made, [])).toMatchObject({ at: { piece: 1, step: 'load@right' }, asks: [] });
  });

  it('goes on with what is not done or skipped, piece by piece', () => {
    expect(benchState(job, made, before).at?.step).toBe('finish-turn@s2');
    const first = ids.map((id) => (id === 'cool@right' ? ({ ...line(id), kind: 'skipped', why: 'no time' } satisfies Entry) : done(id)));
    expect(benchState(job, made, first).at).toEqual({ piece: 2, step: 'load@right' });
    const both = [...first, ...ids.map((id) => done(id, 2))];
    expect(benchState(job, made, both).at).toBeNull();
  });

  it('leaves out a scrapped piece and takes back what is withdrawn', () => {
    const last = done('load@right');
    expect(benchState(job, made, [last, { ...line(null), kind: 'withdrawn', entry: last.id }]).at?.step).toBe('load@right');
    expect(benchState(job, made, [{ ...line(null), kind: 'scrapped', why: 'short' }]).at).toEqual({ piece: 2, step: 'load@right' });
  });

  it('is the same whatever the order in which entries of two windows arrive', () => {
    expect(benchState(job, made, [...before].reverse()).at).toEqual(benchState(job, made, before).at);
  });

  it('advises at a sizing step and asks about what cannot be', () => {
    const state = benchState(job, made, [...before, read('19.626')]);
    expect(state.advice).toMatchObject({ next: 'twoCuts', dial: { value: expect.closeTo(0.16, 9) as number } });
    expect(benchState(job, made, [...before, read('9.7')]).asks[0]?.code).toBe('reading-cannot-be');
    expect(benchState(job, made, before.slice(1)).advice).toBeUndefined();
  });

  it('sizes what carries a tolerance of its own, and the plain sizes too', () => {
    const sized = route.setups.flatMap((s) =>
      s.steps.filter((step) => sizedAt(step, made, shop, shop.machines[0], undefined)).map((step) => step.id),
    );
    expect(sized).toEqual(['finish-turn@s2', 'finish-turn@s1', 'face@left']);
  });
});

describe('inspection', () => {
  const part = made.part;
  it.each([
    ['18.990', {}, 'in'],
    ['19.000', {}, 'in'],
    ['18.979', {}, 'in'],
    ['19.001', {}, 'over'],
    ['18.978', {}, 'under'],
    ['18.99', { gauge: 'caliper' }, 'cannotTell'],
    // 316 at 45 C reads 0.0076 over (16.0 millionths a degree, from memory)
    ['19.006', { celsius: 45 }, 'in'],
    ['19.009', { celsius: 45 }, 'over'],
  ])('%s %o is %s', (text, more, says) => {
    expect(inspect(part, shop, [read(text, more)])).toEqual([expect.objectContaining({ of: 's2.diameter', piece: 1, says })]);
  });

  it('takes the last reading of each piece, in either unit, and none that was withdrawn', () => {
    const wrong = read('25');
    const verdicts = inspect(part, shop, [
      read('19.2'),
      read('.7477', { value: { text: '.7477', units: 'in' } }),
      wrong,
      { ...line(null), kind: 'withdrawn', entry: wrong.id },
      read('19.5', { piece: 2 }),
    ]);
    expect(verdicts.map((v) => [v.piece, v.says])).toEqual([
      [1, 'in'],
      [2, 'over'],
    ]);
    expect(verdicts[0]?.value.value).toBeCloseTo(0.7477 * 25.4, 9);
  });

  it('knows nothing of a size that the drawing does not have', () => {
    expect(inspect(part, shop, [read('19', { of: 'gone.diameter' }), read('x')])).toEqual([]);
  });
});

describe('the job file', () => {
  it('carries job and log out and in without a change', () => {
    const stored = { schema: SCHEMA, id: 'sheave-axle', revision: 7, saved: '2026-11-02T08:00:00.000Z', by: 'here', job };
    const log = [...before, read('19.626')];
    const back = parseJobText(writeJobFile(stored, log));
    expect(back).toEqual({ ok: true, value: { obra: 'job', ...stored, log } });
  });
});

describe('how far a job is', () => {
  const said = (of: typeof job, log: readonly Entry[] = []) => {
    const { reached, next } = progressOf(of, plan(of, shop), log);
    return `${reached}: ${writeSentence(next, 'mm')}`;
  };

  it.each<[string, typeof job, readonly Entry[]]>([
    ['drawing: type the first row', { ...axle, drawing: { ...axle.drawing, outside: [] } }, []],
    [
      'drawing: mend the drawing',
      { ...axle, drawing: { ...axle.drawing, outside: axle.drawing.outside.map((r) => ({ ...r, size: { text: '?', units: 'mm' as const } })) } },
      [],
    ],
    ['holding: choose bar and holding', { ...axle, drawing: { ...axle.drawing, material: 'aluminium' } }, []],
    ['route: give it out to the Bench', axle, []],
    ['bench: piece 1, step 6 of 18', job, before],
    ['inspection: inspect and file', job, [1, 2].flatMap((piece) => ids.map((id) => done(id, piece)))],
  ])('%s', (says, of, log) => {
    expect(said(of, log)).toBe(says);
  });

  it('waits for a stop until it is overruled by name', () => {
    const fast = { ...axle, choices: [{ kind: 'data' as const, id: 'd', step: 'finish-turn@s2', speed: 9000 }] };
    expect(said(fast)).toBe('route: 1 stop to clear');
    const key = 'speed-above-holding@finish-turn@s2';
    const overruled = {
      ...fast,
      choices: [...fast.choices, { kind: 'overrule' as const, id: 'o', finding: key, said: 'so be it', by: 'me', why: 'air cut' }],
    };
    expect(openStops(overruled, plan(overruled, shop))).toEqual([]);
    expect(said(overruled)).toBe('route: give it out to the Bench');
  });

  it('shows each check at the stage where it arises, and at the drawing where a fix redraws', () => {
    const found = (line: string, code: string): Finding => {
      const finding = plan(jobOf(line), shop).findings.find((f) => f.code === code);
      if (!finding) throw new Error(code);
      return finding;
    };
    expect(stagesOf(found('25 -0.02 -0.05 x 40', 'nominal-excluded'))).toEqual(['drawing']);
    expect(
      plan(axle, shop)
        .findings.filter((f) => f.code === 'stick-out')
        .map(stagesOf),
    ).toEqual([['holding']]);
    const deep = jobOf('40 x 200');
    const holed = {
      ...deep,
      drawing: {
        ...deep.drawing,
        boreRight: [{ id: 'h', size: { text: '8', units: 'mm' as const }, length: { text: '140', units: 'mm' as const } }],
      },
    };
    const drill = plan(holed, shop).findings.find((f) => f.code === 'deeper-than-drill');
    expect(drill && stagesOf(drill)).toEqual(['drawing', 'route']);
    expect(drill && subjectsOf(drill)).toEqual(['h']);
  });
});

it('before a piece leaves its holding every size that was finished there is looked for', () => {
  const [first] = made.routes[0]?.setups ?? [];
  if (!first) throw new Error('no setup');
  const of = (log: readonly Entry[]) => releaseOf(first, made.part, shop, log, 1).map((r) => [r.size.id, r.verdict?.says ?? r.feel]);
  const none = of([]);
  expect(none.map(([id]) => id)).toEqual(expect.arrayContaining(['s2.diameter', 's1.thread']));
  expect(none.every(([, says]) => says === undefined)).toBe(true);
  const goes: Entry = { ...line('thread@s1'), kind: 'trial', mate: 's1-thread', feel: 'gauge goes' };
  expect(Object.fromEntries(of([read('18.990'), goes]))).toMatchObject({ 's2.diameter': 'in', 's1.thread': 'gauge goes' });
  // of another piece, or by eye, nothing is asked
  expect(new Map(of([{ ...read('18.990'), piece: 2 }]).map(([id = '', says]) => [id, says])).get('s2.diameter')).toBeUndefined();
});

it('lengths with limits of their own are looked for too, but for the row that is not yet cut off', () => {
  const pin = jobOf('12 x 20; 16 x 30; 20 x 15');
  const [a, b, c] = pin.drawing.outside;
  if (!a || !b || !c) throw new Error('three rows');
  const mm = (text: string) => ({ text, units: 'mm' as const });
  const held = { ...pin, drawing: { ...pin.drawing, outside: [a, { ...b, length: mm('30 +/-0.05') }, { ...c, length: mm('15 +/-0.05') }] } };
  const planned = plan(held, shop);
  const [first] = planned.routes[0]?.setups ?? [];
  const ids = first ? releaseOf(first, planned.part, shop, [], 1).map((r) => r.size.id) : [];
  expect(ids).toContain(`${b.id}.length`);
  expect(ids).not.toContain(`${c.id}.length`);
});
