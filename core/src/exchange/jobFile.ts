import { type Entry, type JobFile, SCHEMA, type ShopFile, type StoredJob, type StoredShop } from '../document';

/** What goes with a job and its log: entries that could not be read, carried as they are, and photographs as data URLs by their ids. */
export interface Carried {
  readonly unread?: readonly unknown[];
  readonly photos?: Readonly<Record<string, string>>;
}

/** A job with its log and what goes with it, as it stands in a file. */
export const asJobFile = (stored: StoredJob, log: readonly Entry[], { unread = [], photos = {} }: Carried): JobFile => ({
  obra: 'job',
  ...stored,
  schema: SCHEMA,
  log: [...log],
  ...(unread.length > 0 && { unread: [...unread] }),
  ...(Object.keys(photos).length > 0 && { photos }),
});

/** A job with its log as one file: plain JSON, indented, so that it can be read and compared. */
export function writeJobFile(stored: StoredJob, log: readonly Entry[], carried: Carried = {}): string {
  const file = asJobFile(stored, log, carried);
  return `${JSON.stringify(file, null, 1)}\n`;
}

/** The whole shop as one file, readable like a job. */
export function writeShopFile(stored: StoredShop): string {
  const file: ShopFile = { obra: 'shop', ...stored, schema: SCHEMA };
  return `${JSON.stringify(file, null, 1)}\n`;
}
