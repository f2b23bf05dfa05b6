import { standing } from './stands';
import type { Advice } from './types';

const of = (next: Advice['next'], chanceIn: number, chancePast: number, chanceShort = 1 - chanceIn - chancePast) =>
  standing({ next, chanceIn, chancePast, chanceShort } as Advice);

it('a size that is let go is past, in or short by what is likeliest of it', () => {
  expect(of('stop', 0.4, 0.6)).toBe('past');
  expect(of('stop', 0.6, 0.4)).toBe('in');
  expect(of('stop', 0.5, 0.5)).toBe('in');
  expect(of('stop', 0.1, 0.2)).toBe('short');
});

it('by a gauge that cannot prove it a size is in while neither side is likelier than not, else not told', () => {
  expect(of('changeGauge', 0.4, 0.3)).toBe('in');
  expect(of('changeGauge', 0.2, 0.6)).toBe('notTold');
  expect(of('changeGauge', 0.2, 0.1, 0.7)).toBe('notTold');
});

it.each(['cut', 'twoCuts', 'springCut', 'wait', 'measure', 'indexTip', 'ask'] as const)(
  '%s: there is more to do, whatever the chances say',
  (next) => {
    expect(of(next, 1, 0)).toBe('more');
    expect(of(next, 0, 1)).toBe('more');
  },
);
