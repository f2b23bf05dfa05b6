import { parseShop, type Shop } from '@obra/core/document';
import { readShopTable } from '@obra/core/exchange';
import type { Edit } from '@obra/core/finding';
import { type Units, writeSentence } from '@obra/core/quantity';
import type { ShopItem, ShopList } from '@obra/core/shop';

/** A shop file is far smaller than this, bytes. */
const TOO_LARGE = 5_000_000;

/** What a file that is taken in comes to: another shop, edits of this one, or nothing; always said. */
export interface TakenIn {
  readonly says: string;
  readonly shop?: Shop;
  readonly edits?: readonly Edit[];
}

export const putItem = (list: ShopList, item: ShopItem): Edit => ({ op: 'put', at: `${list}/#${item.id}`, value: item });

/** Reads a whole shop, or a table into the list that is open. */
export async function takeIn(
  file: Pick<File, 'name' | 'size' | 'text'>,
  into: { readonly shop: Shop; readonly list: ShopList | undefined; readonly units: Units; readonly newId: () => string },
): Promise<TakenIn> {
  if (file.size > TOO_LARGE) return { says: `${file.name} is ${Math.round(file.size / 1e6)} MB; a shop is far smaller. Nothing was changed.` };
  const text = await file.text();
  if (/^\s*\{/.test(text)) return wholeShop(file.name, text, into.units);
  if (!into.list) return { says: 'Open the table that the file belongs to first. Nothing was changed.' };
  const read = readShopTable(text, into.list, into.shop, into.units, into.newId);
  if (!read.ok) return { says: `${file.name}: ${writeSentence(read.problems[0]?.says ?? [], into.units)}. Nothing was changed.` };
  const { list } = into;
  const { items, problems } = read.value;
  const left = problems.slice(0, 3).map((s) => writeSentence(s, into.units));
  const more =
    problems.length > 0
      ? ` Not understood, and left as it was: ${left.join('; ')}${problems.length > 3 ? `; and ${problems.length - 3} more` : ''}.`
      : '';
  return {
    says: `${items.length} ${items.length === 1 ? 'line' : 'lines'} of ${file.name} taken.${more}`,
    ...(items.length > 0 && { edits: items.map((item) => putItem(list, item)) }),
  };
}

function wholeShop(name: string, text: string, units: Units): TakenIn {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return { says: `${name} is not a whole JSON file. Nothing was changed.` };
  }
  const parsed = parseShop(raw);
  if (!parsed.ok) return { says: `${name}: ${writeSentence(parsed.problems[0]?.says ?? [], units)}. Nothing was changed.` };
  return { says: `The shop is that of ${name} now; undo brings back the one before.`, shop: parsed.value };
}
