import type * as z from 'zod';

type Issue = z.core.$ZodIssue;

const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a record',
  record: 'a record',
  null: 'nothing',
};

/** What is wrong with a stored value, in words of a person; `raw` is the whole that it stands in. */
export function wrongSaid(issue: Issue, raw: unknown): string {
  switch (issue.code) {
    case 'invalid_type':
      return `${KINDS[issue.expected] ?? issue.expected} is ${issue.path.reduce(inside, raw) === undefined ? 'missing' : 'wanted'}`;
    case 'too_big':
      return issue.origin === 'string' ? `more than ${String(issue.maximum)} characters` : `more than ${String(issue.maximum)}`;
    case 'too_small':
      if (issue.origin === 'string') return issue.minimum === 1 ? 'empty' : `fewer than ${String(issue.minimum)} characters`;
      if (issue.origin === 'array') return `fewer than ${String(issue.minimum)}`;
      return issue.inclusive === true ? `less than ${String(issue.minimum)}` : `not more than ${String(issue.minimum)}`;
    case 'invalid_value':
      return issue.values.length > 8 ? 'not a word that is known here' : `none of ${issue.values.map(String).join(', ')}`;
    case 'unrecognized_keys':
      return `not known here: ${issue.keys.join(', ')}`;
    case 'invalid_format':
      return issue.format === 'datetime' ? 'not a time' : 'not written as it must be';
    case 'invalid_union':
      return 'of no kind that is known here';
    default:
      return issue.message;
  }
}

/** Where it stands: a member of a list by its name, else by its number. */
export function placeSaid(path: readonly PropertyKey[], raw: unknown): string {
  let at = raw;
  const words = path.map((key) => {
    at = inside(at, key);
    if (typeof key !== 'number') return String(key);
    const name = inside(at, 'name');
    return typeof name === 'string' && name.trim() !== '' ? name.slice(0, 60) : String(key + 1);
  });
  return words.join(' › ') || 'the top';
}

const inside = (of: unknown, key: PropertyKey): unknown =>
  typeof of === 'object' && of !== null && Object.hasOwn(of, key) ? (of as Readonly<Record<PropertyKey, unknown>>)[key] : undefined;
