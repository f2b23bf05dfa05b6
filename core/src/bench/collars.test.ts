/* A tailstock that is set over, tried by two collars. Geometry: the taper is twice the set-over upon the length between centres; common practice: collars first, corrected, then the long finish. */
import { blankJob, type Entry, type Job } from '../document';
import { plan } from '../planner';
import { demoShop } from '../planner/demo.fixture';
import { type Collars, collarsOf, setOverBy } from './collars';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shop = demoShop();
const job: Job = (() => {
  const blank = blankJob('Long taper', 'mm');
  return {
    ...blank,
    choices: [
      { kind: 'method', id: 'c', of: 'carrying', method: 'centres' },
      { kind: 'method', id: 's', of: 's1', method: 'set-over' },
    ],
    drawing: {
      ...blank.drawing,
      outside: [
        { id: 's1', size: mm('22 > 24'), length: mm('100') },
        { id: 's2', size: mm('28'), length: mm('100') },
      ],
    },
  };
})();
let n = 0;
const read = (of: Collars, at: number, size: string): Entry => ({
  id: `k${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece: 1, step: 'taper@s1', kind: 'reading', of: of.of, value: mm(size), along: mm(String(at)), gauge: 'none',
}); // prettier-ignore

it('collars that show too little taper move the tailstock further over, too much back, by half of the difference over the whole length', () => {
  const made = plan(job, shop);
  const setup = made.routes[0]?.setups.find((s) => s.steps.some((x) => x.verb === 'taper'));
  const step = setup?.steps.find((s) => s.verb === 'taper');
  const collars = step && collarsOf(step, made.part, setup);
  if (!collars) throw new Error(`not set over: ${step?.method ?? 'no taper'}`);
  // 2 on 100, measured 3 from each edge, 200 between the centres
  expect(collars).toMatchObject({ free: 3, held: 97, slope: 0.02, between: 200, of: 's1.collar' });
  expect(setOverBy(collars, [])).toBeUndefined();
  const told = (free: string, held: string) => setOverBy(collars, [read(collars, 3, free), read(collars, 97, held)]);
  // 0.018 x 94 = 1.692 found where 1.88 is wanted: 0.002 x 200 / 2 = 0.2 further
  expect(told('22.300', '23.992')?.move.value).toBeCloseTo(0.2, 3);
  expect(told('22.300', '23.992')?.further).toBe(true);
  expect(told('22.300', '24.368')?.move.value).toBeCloseTo(0.2, 3);
  expect(told('22.300', '24.368')?.further).toBe(false);
  expect(told('22.300', '24.180')?.move.value).toBeCloseTo(0, 3);
  // the last of each counts; one alone says nothing
  expect(setOverBy(collars, [read(collars, 3, '22.3')])).toBeUndefined();
  expect(setOverBy(collars, [read(collars, 3, '9'), read(collars, 97, '23.992'), read(collars, 3, '22.300')])?.move.value).toBeCloseTo(0.2, 3);
  // a taper by the compound has none
  expect(collarsOf({ ...step, method: 'compound' }, made.part, setup)).toBeUndefined();
});
