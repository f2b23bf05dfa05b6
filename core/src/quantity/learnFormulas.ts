import { define } from './define';

/** What a lathe shows of itself by a cut and a measurement. */
export const learnFormulas = {
  dialTakes: define(
    '(diameter before - diameter after) / (divisions x one division)',
    'diameter-dial, common practice: 2 on a dial that reads radius, 1 on one that reads diameter',
    { before: ['diameter', 'before'], after: ['diameter', 'after'], divisions: ['count', 'divisions dialled'], division: ['length', 'one division'] },
    ({ before, after, divisions, division }) => (before - after) / (divisions * division),
  ),
  tailstockOff: define(
    '(collar at the tailstock - collar at the headstock) / 2 x length between centres / distance of the collars',
    'setover-test, common practice: the tool stands, the work swings about the headstock centre',
    {
      tail: ['diameter', 'collar at the tailstock'],
      head: ['diameter', 'collar at the headstock'],
      apart: ['length', 'distance of the collars'],
      long: ['length', 'between centres'],
    },
    ({ tail, head, apart, long }) => (((tail - head) / 2) * long) / apart,
  ),
};
