/** The version of the stored format that this code writes. */
export const SCHEMA = 3;

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
};

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
