import * as z from 'zod';
import { type Parsed, say, type Sentence } from '../quantity';
import { migrate, SCHEMA } from './migrate';
import type { Entry, Job, JobFile, Shop, StoredJob, StoredShop } from './types';
import { placeSaid, wrongSaid } from './wrongSaid';
import * as d from './document';

// the page's content security policy allows no eval
z.config({ jitless: true });

export const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Checks a value against a schema after bringing it up to this version. Problems name the place and what is wrong there. */
export function parseWith<S extends z.ZodType>(schema: S, what: string, raw: unknown): Parsed<z.infer<S>> {
  if (!isRecord(raw)) return { ok: false, problems: [{ at: '', says: say`this is not ${what}` }] };
  const version = raw['schema'];
  if (typeof version === 'number' && version > SCHEMA) {
    return {
      ok: false,
      problems: [
        {
          at: 'schema',
          says: say`this was written by a later Obra (version ${version} of the format, this one reads up to ${SCHEMA}); it is kept as it is`,
        },
      ],
    };
  }
  const brought = migrate(raw);
  const result = schema.safeParse(brought);
  if (result.success) return { ok: true, value: result.data };
  return {
    ok: false,
    problems: result.error.issues
      .slice(0, 20)
      .map((issue) => ({ at: issue.path.join('/'), says: say`${what}, at ${placeSaid(issue.path, brought)}: ${wrongSaid(issue, brought)}` })),
  };
}

/**
 * A job from a job file, a stored job or a bare job. Never throws.
 * @example parseJob({ name: 'no job' }).ok // false
 */
export function parseJob(file: unknown): Parsed<Job> {
  if (isRecord(file) && 'obra' in file) {
    const parsed = parseJobFile(file);
    return parsed.ok ? { ok: true, value: parsed.value.job } : parsed;
  }
  if (isRecord(file) && 'job' in file) {
    const parsed = parseStoredJob(file);
    return parsed.ok ? { ok: true, value: parsed.value.job } : parsed;
  }
  return parseWith(d.Job, 'a job', file);
}

/**
 * A job file with its log and photos, brought up to this version. Never throws.
 * @example parseJobFile('{').ok // false
 */
export function parseJobFile(file: unknown): Parsed<JobFile> {
  if (isRecord(file) && file['obra'] !== undefined && file['obra'] !== 'job') {
    return {
      ok: false,
      problems: [
        { at: 'obra', says: say`this file holds a ${typeof file['obra'] === 'string' ? file['obra'] : 'thing of another kind'}, not a job` },
      ],
    };
  }
  return parseWith(d.JobFile, 'a job file', file);
}

/**
 * A shop from a shop file, a stored shop or a bare shop. Never throws.
 * @example parseShop(midShop()).ok // true
 */
export function parseShop(file: unknown): Parsed<Shop> {
  if (isRecord(file) && 'obra' in file) {
    const parsed = parseWith(d.ShopFile, 'a shop file', file);
    return parsed.ok ? { ok: true, value: parsed.value.shop } : parsed;
  }
  if (isRecord(file) && 'shop' in file) {
    const parsed = parseStoredShop(file);
    return parsed.ok ? { ok: true, value: parsed.value.shop } : parsed;
  }
  return parseWith(d.Shop, 'a shop', file);
}

export const parseStoredJob = (raw: unknown): Parsed<StoredJob> => parseWith(d.StoredJob, 'a stored job', raw);
export const parseStoredShop = (raw: unknown): Parsed<StoredShop> => parseWith(d.StoredShop, 'a stored shop', raw);
export const parseEntry = (raw: unknown): Parsed<Entry> => parseWith(d.Entry, 'a Bench entry', raw);

/** Reads the text of a file as JSON and as a job file: a cut-off or foreign file is told apart from a wrong one. */
export const parseJobText = (text: string): Parsed<JobFile> => parseText(text, 'a job file', parseJobFile);

/** JSON text as one kind of file; what is cut off is told apart from what is foreign. */
export function parseText<T>(text: string, what: string, parse: (raw: unknown) => Parsed<T>): Parsed<T> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    const begins = text.trimStart().startsWith('{');
    return {
      ok: false,
      problems: [
        {
          at: '',
          says: begins
            ? say`the file is cut off or damaged: it begins like ${what} but does not end like one`
            : say`this is not ${what}; ${what} is JSON text`,
        },
      ],
    };
  }
  return parse(raw);
}

const items = { machines: d.Machine, holdings: d.Holding, tools: d.Tool, gauges: d.Gauge, bars: d.Bar, lessons: d.Lesson } as const;

/** One line of a list of the shop: what the stored format takes, so that nothing is kept that could not be read again. Never throws. */
export const parseShopItem = (list: keyof typeof items, raw: unknown): Parsed<unknown> => parseWith(items[list], 'the shop', raw);

export interface Salvage {
  readonly shop: Shop;
  /** what could not be read, as it is, and why */
  readonly out: readonly { readonly list: string; readonly raw: unknown; readonly says: Sentence }[];
}

/** What can be read of a shop that cannot be read whole: every line by itself; undefined where there is no shop in it at all. Never throws. */
export function salvageShop(raw: unknown): Salvage | undefined {
  const held = isRecord(raw) && isRecord(raw['shop']) ? raw['shop'] : raw;
  if (!isRecord(held) || !Object.keys(items).some((list) => Array.isArray(held[list]))) return undefined;
  const out: Salvage['out'][number][] = [];
  const lists = Object.fromEntries(
    Object.entries(items).map(([list, schema]) => [
      list,
      (Array.isArray(held[list]) ? (held[list] as unknown[]) : []).filter((item) => {
        const read = parseWith(schema, isRecord(item) && typeof item['name'] === 'string' ? item['name'] : list, item);
        if (!read.ok) out.push({ list, raw: item, says: read.problems[0]?.says ?? say`it cannot be read` });
        return read.ok;
      }),
    ]),
  );
  const ways = isRecord(held['ways']) ? Object.entries(held['ways']).filter(([, way]) => typeof way === 'string') : [];
  const shop = parseShop({ ...lists, ways: Object.fromEntries(ways) });
  return shop.ok ? { shop: shop.value, out } : undefined;
}
