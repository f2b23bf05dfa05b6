import type { Drawing, Job } from './types';

/** Letters of a name that follows the part. */
const LONGEST = 60;

/**
 * What a job is called by its part as long as nobody has named it: the first row from end A.
 * @example ownName({ outside: [{ id: 'a', size: { text: '25 h6', units: 'mm' }, length: { text: '40', units: 'mm' } }] }) // 'Part 25 h6 x 40'
 */
export function ownName({ outside }: Pick<Drawing, 'outside'>): string {
  const first = outside.find((row) => row.size.text.trim() !== '');
  if (!first) return 'New job';
  const length = first.length.text.trim();
  return `Part ${first.size.text.trim()}${length === '' ? '' : ` x ${length}`}`.slice(0, LONGEST);
}

/** A changed job whose name follows its part, where it did before; what a person called it stays. */
export const namedByPart = (before: Job, after: Job): Job =>
  after.drawing === before.drawing || after.name !== before.name || before.name !== ownName(before.drawing)
    ? after
    : { ...after, name: ownName(after.drawing) };
