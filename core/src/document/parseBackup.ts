import { type Parsed, say } from '../quantity';
import { Backup as Schema } from './document';
import { isRecord, parseText, parseWith } from './parse';
import type { Backup } from './types';

/** Reads the text of a backup: the whole of a browser's jobs with their logs, and its shop. Never throws. */
export const parseBackupText = (text: string): Parsed<Backup> =>
  parseText(text, 'a backup', (raw) => {
    if (isRecord(raw) && raw['obra'] !== 'backup')
      return {
        ok: false,
        problems: [
          {
            at: 'obra',
            says: say`this file holds ${typeof raw['obra'] === 'string' ? `a ${raw['obra']}` : 'a thing of another kind'}, not a backup`,
          },
        ],
      };
    return parseWith(Schema, 'a backup', raw);
  });
