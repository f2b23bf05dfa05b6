import { type Entry, type JobFile, SCHEMA, type ShopFile, type StoredJob, type StoredShop } from '../document';

/** A job with its log as one file: plain JSON, indented, so that it can be read and compared. @param unread entries that could not be read, carried as they are */
export function writeJobFile(stored: StoredJob, log: readonly Entry[], unread: readonly unknown[] = []): string {
  const file: JobFile = { obra: 'job', ...stored, schema: SCHEMA, log: [...log], ...(unread.length > 0 && { unread: [...unread] }) };
  return `${JSON.stringify(file, null, 1)}\n`;
}

/** The whole shop as one file, readable like a job. */
export function writeShopFile(stored: StoredShop): string {
  const file: ShopFile = { obra: 'shop', ...stored, schema: SCHEMA };
  return `${JSON.stringify(file, null, 1)}\n`;
}
