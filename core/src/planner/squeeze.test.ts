/* Thin rings in jaws. Common practice: three jaws leave three flats after release; soft jaws all round do not. */
import { blankJob, type Job, type Section } from '../document';
import { writeSentence } from '../quantity';
import { demoShop } from './demo.fixture';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
function bush(outer: string, bore: string | undefined): Job {
  const blank = blankJob('a bush', 'mm');
  const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });
  return {
    ...blank,
    choices: [{ kind: 'hold', id: 'hold-left-1', setup: 'left-1', holding: 'three-jaw', support: [] }],
    drawing: {
      ...blank.drawing,
      title: { edges: 'broken' },
      outside: [row('a', outer, '30')],
      boreRight: bore === undefined ? [] : [row('h', bore, 'through')],
    },
  };
}
const squeezes = (job: Job) => plan(job, demoShop()).findings.filter((f) => f.code === 'squeezes');

it('says how far a thin wall is squeezed out of round, where it is held on it', () => {
  const [finding, ...more] = squeezes(bush('40', '36'));
  expect(more).toEqual([]);
  expect(finding?.about).toBe('left-1');
  expect(writeSentence(finding?.says ?? [], 'mm')).toMatch(/a wall of 2 mm at Ø40 mm out of round by 0\.\d+ mm on radius/);
});

it.each([
  ['a thick bush', bush('40', '20')],
  ['a solid piece', bush('40', undefined)],
] as const)('says nothing of %s', (_, job) => {
  expect(squeezes(job)).toEqual([]);
});
