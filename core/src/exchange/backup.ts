import same from 'fast-deep-equal';
import { type Backup, type Entry, SCHEMA, type Shop, type StoredJob, type StoredShop } from '../document';
import { say, type Sentence } from '../quantity';
import { asJobFile } from './jobFile';

/** A job as it is stored, with its log. */
export interface Kept {
  readonly stored: StoredJob;
  readonly log: readonly Entry[];
  /** entries that could not be read, as they are */
  readonly unread?: readonly unknown[];
  /** photographs that its notes name, as data URLs */
  readonly photos?: Readonly<Record<string, string>>;
}

/** Everything of a browser in one file: jobs with their logs, the shop, what was practised. Plain JSON, indented. */
export function writeBackup(saved: string, jobs: readonly Kept[], shop: StoredShop, practised: readonly unknown[] = []): string {
  const file: Backup = {
    obra: 'backup',
    schema: SCHEMA,
    saved,
    shops: [{ obra: 'shop', ...shop }],
    jobs: jobs.map(({ stored, log, ...carried }) => asJobFile(stored, log, carried)),
    ...(practised.length > 0 && { practised: [...practised] }),
  };
  return `${JSON.stringify(file, null, 1)}\n`;
}

/** What taking a backup in would do: nothing here is overwritten, entries are united by their ids. */
export interface Restore {
  /** when the backup was written: nothing in it can be later */
  readonly saved: string;
  /** jobs that come in, as they are or as a copy under another id */
  readonly jobs: readonly { readonly id: string; readonly job: StoredJob['job'] }[];
  readonly entries: readonly { readonly job: string; readonly entry: Entry }[];
  /** entries that could not be read, as they are */
  readonly unread: readonly { readonly job: string; readonly raws: readonly unknown[] }[];
  /** photographs, by their ids */
  readonly photos: Readonly<Record<string, string>>;
  /** attempts of Practice that are not here */
  readonly practised: readonly unknown[];
  /** shops that bring something the one here lacks */
  readonly shops: readonly Shop[];
  /** in words, a line for each thing that changes or stays */
  readonly says: readonly Sentence[];
}

/** Lays a backup beside what is here. @param newId makes an id for a copy @param attempts what was practised here */
export function layRestore(backup: Backup, here: readonly Kept[], shop: Shop, newId: () => string, attempts: readonly unknown[] = []): Restore {
  // grows by what comes in: a backup may hold two jobs of one id
  const known = new Map(here.map((k) => [k.stored.id, k]));
  const jobs: Restore['jobs'][number][] = [];
  const entries: Restore['entries'][number][] = [];
  const says: Sentence[] = [];
  for (const file of backup.jobs) {
    const own = known.get(file.id);
    const { name } = file.job;
    if (!own) {
      jobs.push({ id: file.id, job: file.job });
      entries.push(...file.log.map((entry) => ({ job: file.id, entry })));
      known.set(file.id, { stored: file, log: file.log });
      says.push(say`${name}: comes in, with ${entriesOf(file.log.length)} of the Bench`);
      continue;
    }
    const had = new Set(own.log.map((e) => e.id));
    const more = file.log.filter((e) => !had.has(e.id));
    entries.push(...more.map((entry) => ({ job: file.id, entry })));
    if (same(own.stored.job, file.job)) {
      if (more.length > 0) says.push(say`${name}: ${entriesOf(more.length)} of the Bench ${more.length === 1 ? 'comes' : 'come'} in`);
      continue;
    }
    // the one here stands; the other comes in beside it, with the whole of its record. Taken in before, that copy is here already
    const copied = (k: Kept) => k.stored.id !== file.id && same(plainly(k.stored.job), plainly(file.job));
    const twin = [...known.values()].find(copied);
    if (twin) {
      const there = new Set(twin.log.map((e) => e.id));
      const missing = file.log.filter((e) => !there.has(e.id));
      entries.push(...missing.map((entry) => ({ job: twin.stored.id, entry })));
      if (missing.length + more.length > 0) says.push(say`${name}: ${entriesOf(Math.max(missing.length, more.length))} of the Bench come in`);
      continue;
    }
    const id = newId();
    const job = { ...file.job, name: `${name} (from the backup)` };
    jobs.push({ id, job });
    known.set(id, { stored: { ...file, id, job }, log: file.log });
    entries.push(...file.log.map((entry) => ({ job: id, entry })));
    says.push(
      say`${name}: differs from the one here, which stays; the backup’s comes in as a copy${more.length > 0 ? `, ${entriesOf(more.length)} in both` : ''}`,
    );
  }
  const merged = backup.shops.map((file) => ({ shop: file.shop, ...uniteShops(shop, file.shop) }));
  const came = merged.reduce((sum, m) => sum + m.came, 0);
  const stayed = merged.flatMap((m) => m.stayed);
  if (came > 0) says.push(say`the shop: ${came} ${came === 1 ? 'item comes' : 'items come'} in`);
  if (stayed.length > 0)
    says.push(say`the shop: ${stayed.slice(0, 6).join(', ')}${stayed.length > 6 ? ' and others' : ''} differ and stay as they are here`);
  const practised = (backup.practised ?? []).filter((one) => !attempts.some((own) => same(own, one)));
  if (practised.length > 0) says.push(say`practice: ${practised.length} ${practised.length === 1 ? 'attempt comes' : 'attempts come'} in`);
  const unread = backup.jobs.flatMap((file) => (file.unread === undefined ? [] : [{ job: file.id, raws: file.unread }]));
  return {
    saved: backup.saved,
    unread,
    photos: Object.assign({}, ...backup.jobs.map((file) => file.photos ?? {})) as Readonly<Record<string, string>>,
    jobs,
    entries,
    practised,
    shops: merged.filter((m) => m.came > 0).map((m) => m.shop),
    says: says.length > 0 ? says : [say`everything in it is here already`],
  };
}

/** A job without what copies of it are called by. */
const plainly = (job: StoredJob['job']): StoredJob['job'] => ({ ...job, name: job.name.replace(/(?: \((?:imported|from the backup)\))+$/, '') });

const entriesOf = (n: number): string => `${String(n)} ${n === 1 ? 'entry' : 'entries'}`;

/** A shop with the items of another that it lacks; its own stand. How many came, and which of the other differ. */
export function uniteShops(own: Shop, other: Shop): { readonly both: Shop; readonly came: number; readonly stayed: readonly string[] } {
  let came = 0;
  const stayed: string[] = [];
  const withLacking = <T extends { readonly id: string }>(mine: readonly T[], theirs: readonly T[]): T[] => {
    const known = new Map(mine.map((item) => [item.id, item]));
    for (const item of theirs) {
      const before = known.get(item.id);
      if (before && !same(before, item)) stayed.push('name' in item && typeof item.name === 'string' ? item.name : item.id);
    }
    const fresh = theirs.filter((item) => !known.has(item.id));
    came += fresh.length;
    return [...mine, ...fresh];
  };
  const [machines, holdings, tools, gauges, bars, lessons] = [
    withLacking(own.machines, other.machines),
    withLacking(own.holdings, other.holdings),
    withLacking(own.tools, other.tools),
    withLacking(own.gauges, other.gauges),
    withLacking(own.bars, other.bars),
    withLacking(own.lessons, other.lessons),
  ];
  return { both: { ...own, machines, holdings, tools, gauges, bars, lessons }, came, stayed };
}
