/* The pieces of a job on the board, from the log alone; a batch is begun with one piece that is looked over before the rest: common practice. */
import type { Entry, Job } from '../document';
import { issued, plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { boardOf, FIRST_CHECKED, minutesTaken, plannedOrder, RELEASED, toRelease } from './board';
import { benchState, type InHand } from './benchState';

const shop = demoShop();
const blank: Job = { ...jobOf('16 x 30; 24 x 12'), pieces: 3 };
const [route] = plan(blank, shop).routes;
if (!route) throw new Error('no route');
const job = issued(blank, route, shop, '2026-11-28T08:00:00.000Z', 'test');
const made = plan(job, shop);
const schedule = made.routes[0]?.schedule ?? [];
const stepsOf = (piece: number) => schedule.filter((line) => line.piece === piece).map((line) => line.step);
const AT = '2026-11-28T09:00:00.000Z';
let count = 0;
const entry = (piece: number, step: string | null, more: Partial<Entry>): Entry =>
  ({ id: `e${String((count += 1))}`, at: AT, by: 'me', piece, step, ...more }) as unknown as Entry;
const done = (piece: number) => stepsOf(piece).map((step) => entry(piece, step, { kind: 'done' }));
const board = (log: readonly Entry[], inHand: InHand = {}, now = Date.parse(AT)) =>
  boardOf({ job, plan: made, log, shop }, benchState(job, made, log, inHand), now);

it('tells each piece: not begun, begun in a setting, waiting for its clock, done, scrapped with why', () => {
  expect(board([]).map((p) => [p.piece, p.state, p.now])).toEqual([
    [1, 'ready', true],
    [2, 'ready', false],
    [3, 'ready', false],
  ]);
  const [first = ''] = stepsOf(2);
  const log = [
    ...done(1),
    entry(2, first, { kind: 'done' }),
    entry(2, stepsOf(2)[1] ?? '', { kind: 'timer', says: 'waits', until: '2026-11-28T10:00:00.000Z' }),
    entry(3, null, { kind: 'scrapped', why: 'dropped' }),
  ];
  expect(board(log).map((p) => p.state)).toEqual(['done', 'waits', 'scrapped']);
  expect(board(log, {}, Date.parse('2026-11-28T10:00:01.000Z'))[1]?.state).toBe('begun');
  expect(board(log)[2]?.why).toBe('dropped');
  expect(board(log)[0]?.spent).toBeGreaterThan(5);
  expect(board(log)[1]).toMatchObject({ setting: 1, done: 1 });
});

it('a piece is taken up at will, and a step may go round all of them', () => {
  expect(benchState(job, made, [], { piece: 3 }).at).toEqual({ piece: 3, step: stepsOf(3)[0] });
  const [first = '', second = ''] = stepsOf(1);
  const log = [entry(1, first, { kind: 'done' })];
  expect(benchState(job, made, log, { order: 'piece' }).at).toEqual({ piece: 1, step: second });
  const round = benchState(job, made, log, { order: 'step' }).at;
  expect(round?.step === first || round?.step === second).toBe(true);
  if (stepsOf(2)[0] === first) expect(round).toEqual({ piece: 2, step: first });
  // a piece that is scrapped, or done, is not taken up
  expect(benchState(job, made, [entry(3, null, { kind: 'scrapped', why: 'dropped' })], { piece: 3 }).at?.piece).toBe(1);
  expect(benchState(job, made, done(1), { piece: 1 }).at?.piece).not.toBe(1);
  expect(['piece', 'step']).toContain(plannedOrder(made));
});

it('the first piece is looked over once, before the second is begun', () => {
  const first = (log: readonly Entry[]) => toRelease({ job, plan: made, log, shop }, benchState(job, made, log));
  expect(first([])).toBeUndefined();
  expect(first(done(1))).toEqual({ piece: 1, first: true });
  expect(first([...done(1), entry(1, null, { kind: 'note', says: FIRST_CHECKED })])).toBeUndefined();
});

it('each later piece is released where it has sizes of its own, and no other is asked about', () => {
  const log = [...done(1), entry(1, null, { kind: 'note', says: FIRST_CHECKED }), ...done(2)];
  const ask = (of: typeof made, more: readonly Entry[]) => toRelease({ job, plan: of, log: [...log, ...more], shop }, benchState(job, of, log));
  const own = made.part.characteristics.map((c) => (c.limits ? { ...c, limits: { ...c.limits, from: 'typed' as const } } : c));
  const plain = made.part.characteristics.flatMap((c) => (c.limits ? [{ ...c, limits: { ...c.limits, from: 'general' as const } }] : []));
  const as = (characteristics: typeof own) => ({ ...made, part: { ...made.part, characteristics } });
  expect(ask(as(own), [])).toEqual({ piece: 2, first: false });
  expect(ask(as(own), [entry(2, null, { kind: 'note', says: RELEASED })])).toBeUndefined();
  expect(ask(as(plain), [])).toBeUndefined();
});

it('minutes in a piece are from entry to entry at its steps, and a pause is no work', () => {
  const at = (piece: number, minute: number): Entry => ({
    ...entry(piece, 'a', { kind: 'done' }),
    at: new Date(Date.parse('2026-11-28T08:00:00Z') + minute * 60_000).toISOString(),
  });
  expect(minutesTaken([at(1, 0), at(1, 4), at(2, 10), at(1, 13), at(1, 500)], 1)).toBeCloseTo(7, 9);
});
