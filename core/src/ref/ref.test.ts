import fc from 'fast-check';
import { aspectOf, endOf, readStep, rowOf, subjectIn, thingOf, writeSetting, writeStep } from './ref';

const word = fc.stringMatching(/^[a-z][a-z0-9-]{0,11}$/);

it('what is written is read again as it was: steps, with and without aspect and setting', () => {
  const step = fc.record(
    {
      verb: word,
      of: fc.oneof(
        word,
        fc.tuple(word, word).map(([a, b]) => `${a}.${b}`),
      ),
      setting: fc.constantFrom('right-1', 'left-2'),
    },
    { requiredKeys: ['verb', 'of'] },
  );
  fc.assert(fc.property(step, (ref) => expect(readStep(writeStep(ref))).toEqual(ref)));
});

it.each([
  ['chamfer@s1.near:left-1', 's1'],
  ['face@right', 'right'],
  ['s2.diameter', 's2'],
  ['finish-turn@s2:left-1', 's2'],
  ['right-1', 'right-1'],
  ['', ''],
])('%s is about %s', (address, thing) => {
  expect(subjectIn(address)).toBe(thing);
  if (address.includes('@')) expect(rowOf(address)).toBe(thing);
});

it('text that is no address throws nothing and names nothing', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      expect(() => [readStep(text), thingOf(text), aspectOf(text), endOf(text), subjectIn(text)]).not.toThrow();
      expect(rowOf(text.replaceAll('@', ''))).toBe('');
    }),
  );
});

it('a setting is of its end', () => {
  for (const end of ['left', 'right'] as const) expect(endOf(writeSetting(end, 2))).toBe(end);
});
