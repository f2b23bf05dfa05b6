import { undercutsWritten } from './undercutsWritten';

/** The version of the stored format that this code writes. */
export const SCHEMA = 8 as const;

type Raw = Record<string, unknown>;

/** A backup holds whole files, each with a version of its own. */
const within = (raw: Raw, key: string): Raw =>
  Array.isArray(raw[key])
    ? { [key]: raw[key].map((file: unknown) => (typeof file === 'object' && file !== null ? migrate(file as Raw) : file)) }
    : {};

const filesWithin = (raw: Raw): Raw => (raw['obra'] === 'backup' ? { ...raw, ...within(raw, 'jobs'), ...within(raw, 'shops') } : raw);

/** `migrations[n]` brings a record of version n to n + 1. */
const migrations: Readonly<Record<number, (raw: Raw) => Raw>> = {
  // 2 only adds: entries that could not be read, a reading that was asked about, a size accepted within its gauge's doubt
  1: (raw) => filesWithin(raw),
  // 3 only adds: the day that a job is wanted
  2: (raw) => filesWithin(raw),
  // 4 puts no undercut where nobody drew one: a job that was given out, or begun, has written down the one it was planned with
  3: (raw) => filesWithin(withUndercuts(raw)),
  // 5 only adds: what a tool, a post, a centre and a tailstock of this shop fill; settings beyond the ninth
  4: (raw) => filesWithin(raw),
  // 6 only adds: how an order came and what came with it, the pitch of a sample
  5: (raw) => filesWithin(raw),
  // 7 only adds: when a gauge was checked and what it reads over, how warm the room was, who measured
  6: (raw) => filesWithin(raw),
  // 8 only adds: what was practised, in a backup
  7: (raw) => filesWithin(raw),
};

function withUndercuts(raw: Raw): Raw {
  const job = raw['job'];
  if (!isRecord(job)) return raw;
  const issue = job['issue'];
  const begun = Array.isArray(raw['log']) && raw['log'].length > 0;
  if (!isRecord(issue) && !begun) return raw;
  return { ...raw, job: { ...job, ...written(job), ...(isRecord(issue) && { issue: { ...issue, ...written(issue) } }) } };
}

/** The drawing, and the piece that it starts from. */
const written = (of: Raw): Raw =>
  Object.fromEntries(['drawing', 'startsAs'].flatMap((key) => (of[key] === undefined ? [] : [[key, undercutsWritten(of[key])]])));

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Brings a record of an earlier version up to date, one version at a time; a record without a version is of this one. */
export function migrate(raw: Raw, steps = migrations, to: number = SCHEMA): Raw {
  let record = raw;
  for (let version = typeof raw['schema'] === 'number' ? raw['schema'] : to; version < to; version++) {
    const step = steps[version];
    if (!step) break;
    record = { ...step(record), schema: version + 1 };
  }
  return record;
}
