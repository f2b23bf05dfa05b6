import { temperColour } from './temperColours';

it.each([
  // degrees F of handbook tables, from memory
  ['light straw', 430],
  ['straw', 450],
  ['dark straw', 470],
  ['brown', 500],
  ['purple', 540],
  ['blue', 560],
  ['dark blue', 570],
  ['light blue', 640],
])('%s at %d F', (name, fahrenheit) => {
  expect(Math.abs((temperColour(name)?.celsius ?? NaN) - ((fahrenheit - 32) * 5) / 9)).toBeLessThanOrEqual(1);
});

it('the longest name counts, whatever stands about it; other words are no colour', () => {
  expect(temperColour('Temper to DARK straw, in sand')?.name).toBe('dark straw');
  expect(temperColour('brown-purple')?.name).toBe('brown purple');
  expect(temperColour('260 C, 1 h')).toBeUndefined();
  expect(temperColour('strawberry')).toBeUndefined();
});
