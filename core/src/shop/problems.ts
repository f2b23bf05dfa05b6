import type { Cell, Shop, Tool } from '../document';
import type { Finding, Mend } from '../finding';
import { alike, length, parseDegrees, parseLength, say, type Sentence } from '../quantity';
import { materials, readInsert } from '../standards';
import { fieldText } from './fields';
import { sizeUnread } from './items';
import { itemsOf, type ShopField, type ShopItem, type ShopList, shopTables, toolNeeds } from './tables';

/** What is wrong or missing in the lists of a shop: what came from a file, or was typed long ago. Each with its fix where there is one. */
export function shopProblems(shop: Shop): readonly Finding[] {
  return shopTables.flatMap((table) => itemsOf(shop, table.list).flatMap((item) => problemsOf(item, table.list)));
}

export function problemsOf(item: ShopItem, list: ShopList): readonly Finding[] {
  const table = shopTables.find((t) => t.list === list);
  const about = (key: string) => `${item.id}.${key}`;
  const fix = (key: string, value: unknown, says: Sentence): readonly Mend[] => [
    { says, to: 'shop', edits: [{ op: 'put', at: `${list}/#${item.id}/${key.replaceAll('.', '/')}`, value }] },
  ];
  const findings: Finding[] = [];
  const told = (key: string, says: Sentence, why: Sentence, mends: readonly Mend[] = [], severity: Finding['severity'] = 'caution') =>
    findings.push({ code: 'shop-unreadable', about: about(key), severity, says: say`${item.name}, ${says}`, why, mends });
  for (const field of table?.fields ?? []) {
    const wrong = unreadable(item, field);
    if (!wrong) continue;
    const usual = usualOf(list, field);
    told(
      field.key,
      say`${field.words}: ${wrong}`,
      say`what depends on it is not planned, or planned as if it were usual`,
      usual ? fix(field.key, usual, say`take ${usual.text} ${usual.units}`) : [],
    );
  }
  if (list === 'machines' && 'kilowatts' in item) {
    if (!(item.kilowatts > 0)) told('kilowatts', say`motor: ${item.kilowatts} kW`, say`a cut wants power`, fix('kilowatts', 1, say`take 1 kW`));
    if (Array.isArray(item.speeds) && item.speeds.length === 0)
      told('speeds', say`it has no speed`, say`nothing turns`, fix('speeds', [100, 200, 400, 800], say`take 100 200 400 800`), 'stop');
    if (!Array.isArray(item.speeds) && !(item.speeds.to > item.speeds.from))
      told(
        'speeds',
        say`from ${item.speeds.from} to ${item.speeds.to} rev/min is no range`,
        say`a stepless drive goes from slow to fast`,
        fix('speeds', { from: Math.min(item.speeds.from, item.speeds.to), to: 2 * Math.max(item.speeds.from, item.speeds.to) }, say`turn it round`),
      );
  }
  if (list === 'holdings' && 'outside' in item && mm(item.outside.from) > mm(item.outside.to))
    told(
      'outside',
      say`it grips from ${item.outside.from.text} to ${item.outside.to.text}, which is nothing`,
      say`the smaller comes first`,
      fix('outside', { from: item.outside.to, to: item.outside.from }, say`turn it round`),
    );
  if (list === 'tools') {
    const tool = item as Tool;
    if (tool.size && sizeUnread(tool))
      told(
        'size',
        say`size: “${tool.size.text}” is not a size of this kind`,
        say`nothing is planned with it; ${tool.kind === 'tap' || tool.kind === 'die' ? 'write M8x1 or 1/4-20' : 'write 6.8, 13/64, #7, letter F'}`,
      );
    const missing = (toolNeeds[tool.kind] ?? []).filter((key) => (tool as unknown as Record<string, unknown>)[key] === undefined);
    findings.push(...insertSays(tool));
    for (const key of missing)
      told(
        key,
        say`it wants a ${key === 'nose' ? 'nose radius' : key}`,
        sizeUnread(tool) ? say`nothing is planned with it` : say`it is planned as if it were usual`,
        [],
        'note',
      );
  }
  if (list === 'bars' && 'material' in item && !materials.some((m) => m.id === item.material))
    told(
      'material',
      say`material “${item.material}” is not known`,
      say`speeds, forces and heat are those of a material`,
      fix('material', 'mild-steel', say`take mild steel`),
    );
  return findings;
}

/** What the designation of an insert says that the tool does not. */
function insertSays(tool: Tool): readonly Finding[] {
  if (tool.insert === undefined) return [];
  const read = readInsert(tool.insert);
  const about = `${tool.id}.insert`;
  if (!read)
    return [
      {
        code: 'insert-unknown',
        about,
        severity: 'note',
        says: say`${tool.name}, insert: “${tool.insert}” is not read as an ISO 1832 designation`,
        why: say`like CNMG120408: shape, clearance, holding, size, thickness, nose`,
        mends: [],
      },
    ];
  const same = tool.nose !== undefined && alike(mm(tool.nose), read.nose);
  if (same && tool.chips) return [];
  const { depth, feed } = read.chips;
  return [
    {
      code: 'insert-says',
      about,
      severity: 'note',
      says: say`${tool.name}: ${read.code} is ${read.shape}, nose ${length(read.nose)}, for ${read.chips.class} cuts`,
      why: say`breaks chips at about ${depth[0]} to ${depth[1]} mm of depth and ${feed[0]} to ${feed[1]} mm of feed, from its nose; its maker says it better`,
      mends: [
        {
          says: say`take that`,
          to: 'shop',
          edits: [
            { op: 'put', at: `tools/#${tool.id}/nose`, value: { text: String(read.nose), units: 'mm' } },
            { op: 'put', at: `tools/#${tool.id}/chips`, value: tool.chips ?? { depth: [...depth], feed: [...feed] } },
          ],
        },
      ],
    },
  ];
}

const mm = (cell: Cell): number => {
  const read = parseLength(cell.text, cell.units);
  return read.ok ? read.value : 0;
};

function unreadable(item: ShopItem, field: ShopField): Sentence | undefined {
  if (field.is !== 'length' && field.is !== 'degrees') return undefined;
  const text = fieldText(item, field, 'mm');
  if (text.trim() === '') return undefined;
  if (field.zero === true && /^\s*0*[.,]?0*\s*(mm|in)?\s*$/.test(text)) return undefined;
  const read = field.is === 'length' ? parseLength(text, 'mm') : parseDegrees(text);
  return read.ok ? undefined : (read.problems[0]?.says ?? say`not understood`);
}

/** What a blank item has there. */
function usualOf(list: ShopList, field: ShopField): Cell | undefined {
  const blank = shopTables.find((t) => t.list === list)?.blank as unknown as ShopItem | undefined;
  const value =
    blank &&
    field.key.split('.').reduce<unknown>((v, k) => (typeof v === 'object' && v !== null ? (v as Record<string, unknown>)[k] : undefined), blank);
  return typeof value === 'object' && value !== null && 'text' in value ? (value as Cell) : undefined;
}
