import localForage from 'localforage';

/** One browser database for everything a person puts in. */
const database = localForage.createInstance({ name: 'obra', storeName: 'records' });

/** Storage refused to write (full, private window, blocked). Work goes on in memory; the page says so. */
export class StorageRefused extends Error {}

export async function read(key: string): Promise<unknown> {
  return database.getItem(key);
}

export async function write(key: string, value: unknown): Promise<void> {
  try {
    await database.setItem(key, value);
  } catch (cause) {
    throw new StorageRefused('this browser did not store it', { cause });
  }
}

export async function remove(key: string): Promise<void> {
  await database.removeItem(key);
}

export async function keysUnder(prefix: string): Promise<readonly string[]> {
  return (await database.keys()).filter((key) => key.startsWith(prefix)).sort();
}

/** Runs alone for one name over all tabs; where the browser has no locks (plain HTTP from another device), just runs. */
export async function alone<T>(name: string, work: () => Promise<T>): Promise<T> {
  const locks = 'locks' in navigator ? navigator.locks : undefined;
  if (!locks) return work();
  let result: { value: T } | undefined;
  await locks.request(name, async () => {
    result = { value: await work() };
  });
  if (!result) throw new Error(`lock ${name} was not granted`);
  return result.value;
}
