import type { IDBPDatabase } from 'idb';
import localForage from 'localforage';

/** One browser database for everything a person puts in. */
const NAME = 'obra';
const STORE = 'records';
const database = localForage.createInstance({ name: NAME, storeName: STORE });

/** Storage refused to write (full, private window, blocked). Work goes on in memory; the page says so. */
export class StorageRefused extends Error {}

/** How long a database may take to open before the visit goes on without it, ms. */
const OPENS_WITHIN = 6000;

/** In place of a database that does not open: what is put in stays for this visit. */
const memory = new Map<string, unknown>();
let closed = false;
const listeners = new Set<() => void>();

/** True once the browser's database did not open: this visit works, nothing of it is kept. */
export const storageClosed = (): boolean => closed;
export function onStorageClosed(listen: () => void): () => void {
  listeners.add(listen);
  return () => listeners.delete(listen);
}

let opening: Promise<boolean> | undefined;

/** Whether the database is there; asked once a visit. */
function open(): Promise<boolean> {
  opening ??= new Promise<boolean>((resolve) => {
    const slow = setTimeout(() => resolve(false), OPENS_WITHIN);
    database.ready().then(
      () => {
        clearTimeout(slow);
        resolve(true);
      },
      () => {
        clearTimeout(slow);
        resolve(false);
      },
    );
  }).then((is) => {
    closed = !is;
    if (closed) for (const listen of listeners) listen();
    return is;
  });
  return opening;
}

export async function read(key: string): Promise<unknown> {
  return (await open()) ? database.getItem(key) : (memory.get(key) ?? null);
}

export async function write(key: string, value: unknown): Promise<void> {
  if (!(await open())) {
    memory.set(key, structuredClone(value));
    return;
  }
  try {
    await database.setItem(key, value);
  } catch (cause) {
    throw new StorageRefused('this browser did not store it', { cause });
  }
}

export async function remove(key: string): Promise<void> {
  if (await open()) await database.removeItem(key);
  else memory.delete(key);
}

/** Whether a person has put anything in here. */
export const holdsSomething = async (): Promise<boolean> => ((await open()) ? await database.length() : memory.size) > 0;

/** Stands while a demo comes in, so that one which was left in the middle is gone on with. */
export const DEMO_COMING = 'demo-coming';

/** Whether a demo may come in: nothing is here yet, or not all of it came. */
export const wantsDemo = async (): Promise<boolean> => !(await holdsSomething()) || (await read(DEMO_COMING)) !== null;

export async function keysUnder(prefix: string): Promise<readonly string[]> {
  if (!(await open())) return [...memory.keys()].filter((key) => key.startsWith(prefix)).sort();
  const raw = await direct();
  if (raw) return (await raw.getAllKeys(STORE, under(prefix))) as string[];
  return (await database.keys()).filter((key) => key.startsWith(prefix)).sort();
}

/** Everything under a prefix with its key, read in one go where the database can: thousands of records take as long as one by one a few do. */
export async function readUnder(prefix: string): Promise<readonly (readonly [key: string, value: unknown])[]> {
  const raw = (await open()) ? await direct() : undefined;
  if (raw) {
    const at = raw.transaction(STORE).store;
    const [keys, values] = await Promise.all([at.getAllKeys(under(prefix)), at.getAll(under(prefix))]);
    return keys.map((key, i) => [key as string, values[i] as unknown] as const);
  }
  const keys = await keysUnder(prefix);
  return Promise.all(keys.map(async (key) => [key, await read(key)] as const));
}

const under = (prefix: string) => IDBKeyRange.bound(prefix, `${prefix}\uffff`);

let connection: Promise<IDBPDatabase | undefined> | undefined;

/** The same database without its wrapper, for reading ranges; none where the wrapper keeps it elsewhere. */
function direct(): Promise<IDBPDatabase | undefined> {
  if (database.driver() !== localForage.INDEXEDDB) return Promise.resolve(undefined);
  connection ??= connect().catch(() => undefined);
  return connection;
}

async function connect(): Promise<IDBPDatabase | undefined> {
  const { openDB } = await import('idb');
  const db = await openDB(NAME, undefined, {
    blocking: () => {
      // another window wants to upgrade it: let go, and open it again when next asked
      void connection?.then((at) => at?.close());
      connection = undefined;
    },
    terminated: () => {
      connection = undefined;
    },
  });
  return db.objectStoreNames.contains(STORE) ? db : undefined;
}

/** The locks of the browser; none over plain HTTP from another device. */
export const locks = (): LockManager | undefined => (navigator as { readonly locks?: LockManager }).locks;

/** Runs alone for one name over all tabs; where the browser has no locks (plain HTTP from another device), just runs. */
export async function alone<T>(name: string, work: () => Promise<T>): Promise<T> {
  const manager = locks();
  if (!manager) return work();
  let result: { value: T } | undefined;
  await manager.request(name, async () => {
    result = { value: await work() };
  });
  if (!result) throw new Error(`lock ${name} was not granted`);
  return result.value;
}
