import { say } from '../quantity';
import { type Finding, findingKey, once, subjectsOf } from './finding';

const found = (about: string, severity: Finding['severity'], more: Partial<Finding> = {}): Finding => ({
  code: 'gauge-too-coarse',
  about,
  severity,
  says: say`${about}`,
  why: say``,
  mends: [],
  ...more,
});
const mend = (at: string) => ({ says: say`measure with another`, to: 'job' as const, edits: [{ op: 'remove' as const, at }] });

it('what one gauge brings about is told once, by the gravest, with all that it touches and one press for all', () => {
  const [one, ...rest] = once([
    found('finish-turn@s1', 'note', { cause: 'micrometer', mends: [mend('choices/#a')] }),
    found('finish-turn@s2', 'caution', { cause: 'micrometer', mends: [mend('choices/#b')] }),
    found('finish-turn@s2', 'note', { cause: 'micrometer', mends: [mend('choices/#a')] }),
  ]);
  expect(rest).toEqual([]);
  expect(one && { ...one, says: [], why: [] }).toEqual({
    ...found('finish-turn@s2', 'caution', { cause: 'micrometer', touches: ['finish-turn@s1'], says: [], why: [] }),
    mends: [{ ...mend('choices/#b'), edits: [mend('choices/#a').edits[0], mend('choices/#b').edits[0]] }],
  });
  expect(one && subjectsOf(one)).toEqual(['s2', 's1']);
});

it('other causes, and findings without one, stay as they are', () => {
  const all = [
    found('finish-turn@s1', 'caution', { cause: 'micrometer' }),
    found('finish-turn@s2', 'caution', { cause: 'caliper' }),
    found('s1.diameter', 'note'),
    found('s2.diameter', 'note'),
  ];
  expect(once(all)).toEqual(all);
});

it('a stop that touches more than it did is another one: what was overruled was not that', () => {
  const [before] = once([found('thread@r1', 'stop', { cause: 'tool in left-1' })]);
  const [after] = once([found('thread@r1', 'stop', { cause: 'tool in left-1' }), found('chamfer@r1', 'stop', { cause: 'tool in left-1' })]);
  expect(before && findingKey(before)).toBe('gauge-too-coarse@thread@r1');
  expect(after && findingKey(after)).not.toBe(before && findingKey(before));
});
