/** The version of the stored format that this code writes. */
export const SCHEMA = 1;

type Raw = Record<string, unknown>;

/** `migrations[n]` brings a record of version n to n + 1. Empty until there is a second version. */
const migrations: Readonly<Record<number, (raw: Raw) => Raw>> = {};

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
