/* A piece already started is the stock: what it has is not cut again, what it lacks is said, and the part comes out whole. Common practice: a worn shaft is trued, not made anew. */
import { blankJob, type Job, type Section } from '../document';
import { surfaceOf } from '../holding';
import { issued, plan } from '../planner';
import { demoShop } from '../planner/demo.fixture';
import { area, combine, outsideOf, polygon, regionOf } from '../stock';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });

interface Starts {
  readonly wants: readonly Section[];
  readonly is: readonly Section[];
  readonly beyond?: string;
  readonly bore?: readonly Section[];
  readonly boreIs?: readonly Section[];
}

function job({ wants, is, beyond = '', bore = [], boreIs = [] }: Starts): Job {
  const blank = blankJob('a shaft to true', 'mm');
  return {
    ...blank,
    drawing: { ...blank.drawing, title: { edges: 'broken' }, outside: [...wants], boreRight: [...bore] },
    startsAs: { outside: [...is], boreRight: [...boreIs], boreLeft: [], details: [], beyondRight: mm(beyond) },
  };
}

const stepsOf = (made: ReturnType<typeof plan>) => made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];

/** Section left over or cut too much at the end, mm2. */
function off(made: ReturnType<typeof plan>): number {
  const wanted = regionOf(made.part.contour);
  const last = stepsOf(made).at(-1)?.after ?? [];
  return area(combine('difference', last, wanted)) + area(combine('difference', wanted, last));
}

describe('a piece already started', () => {
  it('is turned only where it differs, held by its own end, and not severed', () => {
    const made = plan(
      job({ wants: [row('a', '20 h7', '40'), row('b', '30', '60')], is: [row('x', '26', '41'), row('y', '30', '60')], beyond: '1' }),
      demoShop(),
    );
    expect(made.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    const ids = stepsOf(made).map((s) => s.id);
    expect(ids).toEqual(expect.arrayContaining(['face@right', 'rough-turn@a', 'finish-turn@a']));
    expect(ids.filter((id) => /part-off|saw-off|turn@b/.test(id))).toEqual([]);
    expect(made.routes[0]?.bar).toMatchObject({ id: 'started', cut: { value: 101 } });
    expect(off(made)).toBeLessThan(0.5);
  });

  it('begins roughing at what stands there, not at the largest of it', () => {
    const made = plan(
      job({ wants: [row('a', '20', '40'), row('b', '40', '60')], is: [row('x', '23', '41'), row('y', '40', '60')], beyond: '1' }),
      demoShop(),
    );
    const rough = stepsOf(made).find((s) => s.id === 'rough-turn@a');
    // (23 - 20.x) / 2 on radius, one cut
    expect(rough?.figures['passes']?.value).toBe(1);
  });

  it('is severed where enough of it is left to hold it by', () => {
    const made = plan(job({ wants: [row('a', '20', '40')], is: [row('x', '24', '90')], beyond: '2' }), demoShop());
    expect(stepsOf(made).some((s) => s.verb === 'part-off' || s.verb === 'saw-off')).toBe(true);
    expect(made.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    expect(off(made)).toBeLessThan(0.5);
  });

  it('keeps a hole that is there and a thread that is there', () => {
    const rows = [row('a', 'M16', '30'), row('b', '30 h9', '40')];
    const made = plan(
      job({ wants: rows, is: [row('x', 'M16', '30'), row('y', '32', '40')], bore: [row('h', '10', 'through')], boreIs: [row('i', '10', 'through')] }),
      demoShop(),
    );
    const verbs = stepsOf(made).map((s) => s.verb);
    expect(verbs).not.toContain('thread');
    expect(verbs).not.toContain('drill');
    expect(verbs).toContain('finish-turn');
  });

  it.each([
    ['too small', { wants: [row('a', '20 h7', '40')], is: [row('x', '19.9', '42')], beyond: '1' }, 'started-too-small@a.diameter'],
    ['too short at B', { wants: [row('a', '20', '40')], is: [row('x', '22', '39')] }, 'started-too-short@startsAs'],
    ['a bad cell of its own', { wants: [row('a', '20', '40')], is: [row('x', '22', 'long')] }, 'length-unknown@x.length'],
    [
      'how far it stands beyond is no length',
      { wants: [row('a', '20', '40')], is: [row('x', '22', '50')], beyond: 'some' },
      'length-unknown@startsAs',
    ],
    [
      'what is held hides behind a collar',
      { wants: [row('a', '30', '40'), row('b', '20', '10'), row('c', '30', '5')], is: [row('x', '32', '57')], beyond: '1' },
      'started-in-jaws@b.diameter',
    ],
  ] as const)('says what is wrong: %s', (_, starts, key) => {
    const made = plan(job(starts), demoShop());
    // the proof finds the same metal in the jaws
    expect(made.findings.filter((f) => f.severity === 'stop' && f.code !== 'meets-jaws').map((f) => `${f.code}@${f.about}`)).toEqual([key]);
  });

  it.each([
    ['no row', []],
    ['an empty row', [row('x', '', '')]],
  ])('is the bar again while nothing of it is typed: %s', (_, is) => {
    const made = plan(job({ wants: [row('a', '20', '40')], is }), demoShop());
    expect(made.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    expect(made.reached).toBe('proof');
    expect(made.routes[0]?.bar.id).not.toBe('started');
  });

  it('is given out as it was: a later correction does not move the Bench', () => {
    const first = job({ wants: [row('a', '20', '40')], is: [row('x', '24', '43')], beyond: '1' });
    const made = plan(first, demoShop());
    const [route] = made.routes;
    if (!route) throw new Error('no route');
    const given = issued(first, route, demoShop(), '2026-11-25T08:00:00Z', 'test');
    const later = job({ wants: [row('a', '20', '40')], is: [row('x', '26', '43')], beyond: '1' });
    const again = plan({ ...given, ...(later.startsAs && { startsAs: later.startsAs }) }, demoShop());
    expect(again.routes).toEqual(made.routes);
    expect(again.findings.map((f) => f.code)).toContain('changed-since-issue');
  });
});

/* Common practice: a finished surface goes under soft pads, a rough one is bitten. */
describe('which of its surfaces are finished', () => {
  const pads = (finish: string | undefined, size = '30') => {
    const is = [row('x', '26', '41'), row('y', size, '60', finish === undefined ? {} : { finish: mm(finish) })];
    const made = plan(job({ wants: [row('a', '20 h7', '40'), row('b', '30', '60')], is, beyond: '1' }), demoShop());
    expect(made.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    const [held] = made.routes[0]?.setups ?? [];
    return { pads: JSON.stringify(held).includes('soft-pads') || held?.holding === 'soft-jaws' || held?.holding === 'collets', held };
  };

  it.each([
    ['finished', 'finished'],
    ['Ground', 'finished'],
    ['Ra 1.6', 'finished'],
    ['0,8', 'finished'],
    ['sawn', 'rough'],
    ['cast', 'rough'],
    ['Ra 12.5', 'rough'],
    ['', undefined],
    ['pink', undefined],
  ])('%s is %s', (text, surface) => {
    expect(surfaceOf(mm(text))).toBe(surface);
  });

  it('what is said of a row stands before what its size would say', () => {
    expect(pads('finished').pads).toBe(true);
    expect(pads(undefined).pads).toBe(true);
    expect(pads('sawn').pads).toBe(false);
  });
});

describe('the outside of a region', () => {
  it('is the least and the most radius between two z, both sides of a shoulder', () => {
    const stepped = polygon([
      [0, 0],
      [0, 10],
      [-20, 10],
      [-20, 15],
      [-40, 12],
      [-40, 0],
    ]);
    expect(outsideOf(stepped, -1, -19)).toEqual({ least: 10, most: 10 });
    const both = outsideOf(stepped, -10, -30);
    expect(both.least).toBeCloseTo(10, 6);
    expect(both.most).toBeCloseTo(15, 3);
    expect(outsideOf(stepped, -41, -50)).toEqual({ least: 0, most: 0 });
  });
});
