/* What can still be done past a limit. Classes by ISO 286-2, ISO 965-1 and ASME B1.1, from memory; the rest common practice. */
import { blankJob, type Entry, type Job } from '../document';
import { issued, plan } from '../planner';
import { demoShop } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { benchState } from './benchState';
import { stillToBeDone } from './pastLimit';
import { sizedAt } from './sized';

const shop = demoShop();
const mm = (text: string) => ({ text, units: 'mm' as const });
const inch = (text: string) => ({ text, units: 'in' as const });

interface Read {
  readonly of: string;
  readonly value: string;
  readonly gauge: string;
  readonly units?: 'mm' | 'in';
}

/** What is said at the first step that sizes a row, once it was read so. */
function past(drawing: Partial<Job['drawing']>, verb: string, read: Read, choices: Job['choices'] = []): readonly string[] {
  const blank = blankJob('Past its limit', 'mm');
  const job: Job = { ...blank, choices, drawing: { ...blank.drawing, ...drawing } };
  const [route] = plan(job, shop).routes;
  if (!route) throw new Error('no route');
  const out = issued(job, route, shop, '2026-11-02T08:00:00.000Z', '0.1.0');
  const made = plan(out, shop);
  const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const step = steps.find((s) => s.verb === verb && s.does[0]?.startsWith(read.of.split('.')[0] ?? ''));
  if (!step) throw new Error(`no ${verb}`);
  let n = 0;
  const line = (own: string) => ({ id: `p${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece: 1, step: own });
  const entry = (value: string): Entry => ({
    ...line(step.id),
    kind: 'reading',
    of: read.of,
    value: { text: value, units: read.units ?? 'mm' },
    gauge: read.gauge,
  });
  const log: Entry[] = [
    ...steps.slice(0, steps.indexOf(step)).map((s): Entry => ({ ...line(s.id), kind: 'done' })),
    entry(read.value),
    entry(read.value),
  ];
  const { advice } = benchState(out, made, log);
  const sized = sizedAt(step, made, shop, shop.machines[0], read.gauge);
  if (!advice || !sized) throw new Error('not sized');
  return stillToBeDone(sized, advice, { step, plan: made, job: out }).map((r) => writeSentence(r.says, read.units ?? 'mm'));
}

const journal = {
  outside: [
    { id: 's1', size: mm('19 h7'), length: mm('30') },
    { id: 's2', size: mm('30'), length: mm('20') },
  ],
};

it('a journal under its h7 still is an h8 where it is, and its mate may follow it', () => {
  // ISO 286-2: 19 h7 is 0 / -0.021, h8 0 / -0.033
  const said = past(journal, 'finish-turn', { of: 's1.diameter', value: '18.973', gauge: 'mic-0-25' });
  expect(said[0]).toContain('it still is 19 h8, Ø18.967 mm to Ø19.000 mm');
  // from the middle of the limits, 18.9895
  expect(said.join('; ')).toMatch(/bored 0\.016 mm smaller|bored 0\.017 mm smaller/);
  expect(said.join('; ')).toContain('a retaining compound fills');
  expect(said.join('; ')).toContain('turned down to Ø16.0 mm or less');
  expect(said.at(-1)).toMatch(/^another piece: \d+/);
  // a tenth more is no class of the table, and no compound
  const far = past(journal, 'finish-turn', { of: 's1.diameter', value: '18.7', gauge: 'mic-0-25' }).join('; ');
  expect(far).not.toContain('it still is');
  expect(far).not.toContain('compound');
});

it('a mate that is made already is made again; in limits nothing is said', () => {
  const mates = [{ id: 'm1', of: 's1', piece: 'bush', want: mm('clearance 0.02'), measured: { readings: [mm('19.012')], gauge: 'mic-0-25' } }];
  expect(past({ ...journal, mates }, 'finish-turn', { of: 's1.diameter', value: '18.96', gauge: 'mic-0-25' })[0]).toContain(
    'bush is made: another one, bored',
  );
  expect(past(journal, 'finish-turn', { of: 's1.diameter', value: '18.99', gauge: 'mic-0-25' })).toEqual([]);
});

it('a bore over its H7: a larger shaft, a bush', () => {
  // ISO 286-2: 22 H7 is +0.021 / 0, H8 +0.033 / 0
  const drawing = { outside: [{ id: 's1', size: mm('36'), length: mm('28') }], boreRight: [{ id: 'h1', size: mm('22 H7'), length: mm('through') }] };
  const said = past(drawing, 'bore', { of: 'h1.diameter', value: '22.030', gauge: 'bore' });
  expect(said.join('; ')).toContain('it still is 22 H8');
  expect(said.join('; ')).toMatch(/turned 0\.0(19|20) mm larger/);
  expect(said.join('; ')).toContain('a bush pressed in');
});

it('a thread under its 2A still is a 1A: 3/4-10 UNC, pitch diameter .6773 and .6744 at least (ASME B1.1, from memory)', () => {
  const drawing = {
    outside: [
      { id: 's1', size: inch('3/4-10 UNC-2A'), length: inch('3/4') },
      { id: 's2', size: inch('1'), length: inch('1-1/2') },
    ],
  };
  const over = (E: number) => E + 3 * (1.35 / 25.4) - 0.086603;
  const method = [{ kind: 'method' as const, id: 'm', of: 's1', method: 'single-point' }];
  const said = past(drawing, 'thread', { of: 's1.thread', value: over(0.676).toFixed(4), gauge: 'wires', units: 'in' }, method);
  expect(said[0]).toContain('it still is 3/4-10 UNC-1A');
  expect(past(drawing, 'thread', { of: 's1.thread', value: over(0.67).toFixed(4), gauge: 'wires', units: 'in' }, method).join()).not.toContain(
    'still is',
  );
});

it('a taper too far in goes back along its axis by what its gauge goes past the line (geometry)', () => {
  const drawing = {
    outside: [
      { id: 's1', size: mm('Morse 2'), length: mm('60') },
      { id: 's2', size: mm('25'), length: mm('30') },
    ],
  };
  expect(past(drawing, 'taper', { of: 's1.taper', value: '-2', gauge: 'caliper' })[0]).toContain('2 mm off the shoulder behind it');
});
