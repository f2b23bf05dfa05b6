/* Temperatures and times as they are typed. 32 F is 0 C and 212 F 100 C by definition; tempering colours and times are common practice. */
import { writeSentence } from './format';
import { bareDegrees, fahrenheit, parseHeat, parseTemperature, parseTime } from './heat';

const value = (read: ReturnType<typeof parseTemperature>) => (read.ok ? read.value : writeSentence(read.problems[0]?.says ?? [], 'mm'));

it.each([
  ['32 F', 0],
  ['212°F', 100],
  ['500 F', 260],
  ['500 degrees fahrenheit', 260],
  ['-40F', -40],
  ['20', 20],
  ['20,5 °C', 20.5],
  ['68 f', 20],
])('%s is %d degrees C', (text, celsius) => {
  expect(value(parseTemperature(text))).toBe(celsius);
});

it.each(['', 'warm', '20 K', '20 C 30', '1 2', '20 min'])('“%s” is no temperature', (text) => {
  expect(parseTemperature(text).ok).toBe(false);
});

it('a bare number in an inch job is asked about, in a metric one it is Celsius', () => {
  expect(value(parseTemperature('68', bareDegrees('in')))).toBe('68 °C or 68 °F? Write 68 C or 68 F');
  expect(value(parseTemperature('68', bareDegrees('mm')))).toBe(68);
  expect(fahrenheit(260)).toBe(500);
});

it.each([
  ['30 min', 30],
  ['1 h', 60],
  ['1 h 30', 90],
  ['1h30min', 90],
  ['1:30', 90],
  ['1,5 hours', 90],
  ['an hour', 60],
  ['half an hour', 30],
  ['90 minutes', 90],
])('%s is %d minutes', (text, minutes) => {
  expect(value(parseTime(text))).toBe(minutes);
});

it.each(['', '30', 'soon', '0 min', '100 h', '1:75'])('“%s” is no time', (text) => {
  expect(parseTime(text).ok).toBe(false);
});

it.each([
  ['500 F 30 min', 'in', { celsius: 260, minutes: 30, rest: '' }],
  ['500 F, 30 min', 'mm', { celsius: 260, minutes: 30, rest: '' }],
  ['260 °C, 1 h', 'mm', { celsius: 260, minutes: 60, rest: '' }],
  ['260', 'mm', { celsius: 260, rest: '' }],
  ['500', 'in', { asked: 500, rest: '' }],
  ['500, 1 h', 'in', { asked: 500, minutes: 60, rest: '' }],
  ['1 h at 200 C', 'mm', { celsius: 200, minutes: 60, rest: '' }],
  ['58 HRC', 'mm', { rest: '58 HRC' }],
  ['straw', 'in', { rest: 'straw' }],
  ['120 min', 'mm', { minutes: 120, rest: '' }],
  ['', 'mm', { rest: '' }],
] as const)('“%s” in %s', (text, units, heat) => {
  expect(parseHeat(text, units)).toEqual(heat);
});
