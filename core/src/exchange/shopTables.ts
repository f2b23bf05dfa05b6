import Papa from 'papaparse';
import type { Shop } from '../document';
import { type Parsed, say, type Sentence, type Units } from '../quantity';
import { plain, unmarked } from './block';
import { fieldText, itemsOf, type ShopItem, type ShopList, tableOf, withField } from '../shop';

/** One table of the shop as CSV: a line an item, every length with its unit, first its id so that it can be taken in again. */
export function writeShopTable(shop: Shop, list: ShopList): string {
  const { fields } = tableOf(list);
  const data = itemsOf(shop, list).map((item) => [item.id, ...fields.map((f) => plain(f.is === 'choice' ? wordsOf(item, f) : fieldText(item, f)))]);
  return `${Papa.unparse({ fields: ['id', ...fields.map(headOf)], data })}\r\n`;
}

const headOf = (field: { readonly words: string; readonly unit?: string; readonly key: string }) =>
  field.unit === undefined ? field.words : `${field.words} (${field.unit})`;
const wordsOf = (item: ShopItem, field: Parameters<typeof fieldText>[1]): string => {
  const value = fieldText(item, field);
  return field.choices?.find((c) => c.value === value)?.words ?? value;
};

/** Most lines that are taken at once. */
const MOST_LINES = 500;

export interface TakenIn {
  readonly items: readonly ShopItem[];
  /** what was not understood, by line; the rest of that line is taken */
  readonly problems: readonly Sentence[];
}

/**
 * Items from a CSV or from cells copied out of a spreadsheet. Columns are found by their heads; a line with a known id changes that item, any other
 * adds one.
 * @param idOf makes ids, handed in
 */
export function readShopTable(text: string, list: ShopList, shop: Shop, units: Units, idOf: () => string): Parsed<TakenIn> {
  const table = tableOf(list);
  const { data } = Papa.parse<string[]>(text.trim(), { delimiter: text.includes('\t') ? '\t' : '', skipEmptyLines: 'greedy' });
  const [head, ...lines] = data.filter((r) => Array.isArray(r));
  const clean = (t: string) => t.trim().toLowerCase();
  const heads = (head ?? []).map(clean);
  const columns = table.fields.map((field) => {
    const wanted = [clean(headOf(field)), clean(field.words), field.key.toLowerCase()];
    return { field, at: heads.findIndex((h) => wanted.includes(h)) };
  });
  if (!columns.some((c) => c.at >= 0 && c.field.key === 'name'))
    return {
      ok: false,
      problems: [{ at: list, says: say`no column “name”: the first line of the table must name its columns, as the table taken out does` }],
    };
  if (lines.length > MOST_LINES)
    return { ok: false, problems: [{ at: list, says: say`${lines.length} lines are more than are taken at once, ${MOST_LINES}` }] };
  const idAt = heads.indexOf('id');
  const problems: Sentence[] = [];
  const items = lines.map((cells, n): ShopItem => {
    const id = idAt >= 0 ? (cells[idAt] ?? '').trim() : '';
    const known = itemsOf(shop, list).find((i) => i.id === id);
    let item: ShopItem = known ?? { ...table.blank, id: idOf() };
    for (const { field, at } of columns) {
      if (at < 0) continue;
      const typed = unmarked(cells[at] ?? '').slice(0, 400);
      if (typed === (field.is === 'choice' ? wordsOf(item, field) : fieldText(item, field))) continue;
      const read = withField(item, field, typed, units);
      if (read.ok) item = read.value;
      else problems.push(say`line ${n + 2}, ${read.problems[0]?.says ?? say`not understood`}`);
    }
    return item;
  });
  return { ok: true, value: { items, problems } };
}
