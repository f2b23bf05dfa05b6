/* A card reproduces its number from the values it shows: what is shown is what was put in, to six digits that mean something. */
import { write } from '@obra/core/quantity';
import { asPutIn } from './FigureCard';

const shown = (is: Parameters<typeof asPutIn>[0], value: number, units: 'mm' | 'in') =>
  Number(write(asPutIn(is, value, units), units).text.replace('Ø', '')) * (units === 'in' && is !== 'ratio' ? 25.4 : 1);

it.each([
  ['length', 0.127],
  ['length', 12.345678],
  ['diameter', 25.4 / 3],
  ['feed', 0.0635],
  ['ratio', 0.6495190528],
  ['ratio', 1.33],
] as const)('%s %d is shown so that it can be put in again', (is, value) => {
  for (const units of ['mm', 'in'] as const) expect(Math.abs(shown(is, value, units) - value) / value).toBeLessThan(2e-5);
});

it('a whole number stays one', () => {
  expect(write(asPutIn('ratio', 40, 'mm'), 'mm').text).toBe('40');
  expect(write(asPutIn('length', 25, 'mm'), 'mm').text).toBe('25.000');
});
