/* The lists of a shop as they are typed, taken out and taken in. Starting shops are of invented make. */
import { type Machine, parseShop, salvageShop, type Shop, type Tool } from '../document';
import { readShopTable, writeShopTable } from '../exchange';
import { applyEdits } from '../finding';
import { writeSentence } from '../quantity';
import { fieldText, withField } from './fields';
import { gradeOf, holdingGrades, withGrade } from './grades';
import { midShop, readoutShop } from './otherShops';
import { shopProblems } from './problems';
import { startingShop } from './startingShop';
import { itemsOf, type ShopItem, type ShopList, shopTables, tableOf } from './tables';

const shops: readonly (readonly [string, Shop])[] = [
  ['small bench lathe in inches', startingShop()],
  ['mid-size metric', midShop()],
  ['larger with readout', readoutShop()],
];
const lists: readonly ShopList[] = ['machines', 'holdings', 'tools', 'gauges', 'bars'];
const fieldOf = (list: ShopList, key: string) => {
  const field = tableOf(list).fields.find((f) => f.key === key);
  if (!field) throw new Error(key);
  return field;
};
const [lathe] = midShop().machines;
const [insert] = midShop().tools;
if (!lathe || !insert) throw new Error('an empty shop');
const typed = <T extends ShopItem>(item: T, list: ShopList, key: string, text: string): T => {
  const read = withField(item, fieldOf(list, key), text, 'mm');
  if (!read.ok) throw new Error(writeSentence(read.problems[0]?.says ?? [], 'mm'));
  return read.value;
};
const refused = (item: ShopItem, list: ShopList, key: string, text: string) => {
  const read = withField(item, fieldOf(list, key), text, 'mm');
  return read.ok ? undefined : writeSentence(read.problems[0]?.says ?? [], 'mm');
};
let n = 0;
const idOf = () => `new-${String(++n)}`;

describe.each(shops)('the shop “%s”', (_, shop) => {
  it('is a shop that the schema lets in, with nothing wrong in it, and names no item twice', () => {
    expect(parseShop(shop).ok).toBe(true);
    expect(shopProblems(shop).filter((f) => f.severity !== 'note')).toEqual([]);
    const ids = lists.flatMap((l) => itemsOf(shop, l).map((i) => i.id));
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('every field typed again as it stands leaves its item as it was, but for what is assumed', () => {
    for (const list of lists)
      for (const item of itemsOf(shop, list))
        for (const field of tableOf(list).fields) {
          const text = fieldText(item, field, 'mm');
          if (text === '' && field.optional !== true) continue;
          const read = withField(item, field, text, 'mm');
          expect(read.ok).toBe(true);
          if (read.ok) expect({ ...read.value, assumed: [] }).toEqual({ ...item, assumed: [] });
        }
  });

  it.each(lists)('%s come back from CSV as they were', (list) => {
    const read = readShopTable(writeShopTable(shop, list), list, shop, 'in', idOf);
    expect(read.ok && read.value.problems).toEqual([]);
    expect(read.ok && read.value.items).toEqual(itemsOf(shop, list));
  });
});

describe('typing', () => {
  it('keeps a length as it was typed, its own unit with it', () => {
    expect(typed(lathe, 'machines', 'swing', '13"').swing).toEqual({ text: '13', units: 'in' });
    expect(typed(lathe, 'machines', 'swing', '12,5').swing).toEqual({ text: '12,5', units: 'mm' });
  });

  it('takes speeds as a list or as a range', () => {
    expect(typed(lathe, 'machines', 'speeds', '500 45  70').speeds).toEqual([45, 70, 500]);
    expect(typed(lathe, 'machines', 'speeds', '20 - 2000').speeds).toEqual({ from: 20, to: 2000 });
  });

  it('what is typed is no longer assumed', () => {
    const assumed: Machine = { ...lathe, assumed: ['speeds', 'kilowatts'] };
    expect(typed(assumed, 'machines', 'kilowatts', '2.2').assumed).toEqual(['speeds']);
    expect(typed(typed(assumed, 'machines', 'kilowatts', '2.2'), 'machines', 'speeds', '45').assumed).toBeUndefined();
  });

  it('a window, a jaw or a dial begun is whole, and gone when it is emptied', () => {
    const bare = typed<Tool>(insert, 'tools', 'chips.depth', '');
    const begun = typed<Tool>(bare, 'tools', 'chips.feed', '0.1 - 0.3');
    expect(begun.chips).toEqual({ depth: [0, 10], feed: [0.1, 0.3] });
    expect(typed(begun, 'tools', 'chips.feed', '').chips).toBeUndefined();
    const quill = typed(lathe, 'machines', 'dials.quill.division', '');
    expect(quill.dials.quill).toBeUndefined();
    expect(typed(quill, 'machines', 'dials.quill.division', '0.05').dials.quill).toMatchObject({
      reads: 'length',
      division: { text: '0.05', units: 'mm' },
    });
  });

  it.each([
    ['kilowatts', '0', /more than zero, in kW/],
    ['kilowatts', '-2', /more than zero/],
    ['kilowatts', 'strong', /more than zero/],
    ['speeds', '', /cannot be left empty/],
    ['speeds', '0 100', /speeds with spaces/],
    ['speeds', '2000 - 20', /slower to a faster/],
    ['swing', '-330', /negative/],
    ['swing', '1e9', /./],
    ['compoundZero', 'upwards', /one of along the bed, across the bed/],
    ['gears', '40 60.5', /numbers more than zero/],
  ])('%s “%s” is refused with a sentence', (key, text, says) => {
    expect(refused(lathe, 'machines', key, text)).toMatch(says);
  });
});

describe('hostile values', () => {
  const hostile = [
    'x'.repeat(27),
    'x'.repeat(5000),
    '99999999999',
    '9'.repeat(390),
    '0 - 200000',
    '0 - 99999999999',
    '1e308',
    '-1',
    '0',
    '-0',
    'NaN',
    'Infinity',
    '0.0000000001',
    '1,2,3',
    '100 99999999999',
    '13/0',
    '13/16 in',
    '<b>',
    '\u0000',
    '😀'.repeat(40),
    '#',
    '   ',
  ];
  const tables = lists.flatMap((list) => tableOf(list).fields.map((field) => [list, field.key, field] as const));

  it.each(tables)('%s, %s: what is taken can be read again, and what is not says why', (list, _, field) => {
    for (const shop of [startingShop(), midShop()])
      for (const text of hostile)
        for (const units of ['mm', 'in'] as const) {
          const [item] = itemsOf(shop, list);
          if (!item) throw new Error(list);
          const read = withField(item, field, text, units);
          if (!read.ok) {
            expect(writeSentence(read.problems[0]?.says ?? [], units)).toMatch(/.{8}/);
            continue;
          }
          const next = applyEdits(shop, [{ op: 'put', at: `${list}/#${item.id}`, value: read.value }]);
          const back = parseShop(JSON.parse(JSON.stringify(next)));
          expect({ text, ok: back.ok }).toEqual({ text, ok: true });
        }
  });

  it.each([
    ['tools', 'insert', 'A'.repeat(27), /27 characters; there is room for 20/],
    ['machines', 'speeds', '99999999999', /each at most 1000000 rev/],
    ['machines', 'feeds', '9'.repeat(390), /each at most 1000000/],
    ['tools', 'chips.depth', '0 - 200000', /at most 1000 mm/],
    ['tools', 'name', 'n'.repeat(121), /121 characters; there is room for 120/],
  ] as const)('%s, %s: is refused and says why', (list, key, text, says) => {
    const [item] = itemsOf(midShop(), list);
    expect(item && refused(item, list, key, text)).toMatch(says);
  });

  it('a shop with lines that cannot be read gives the others, and what went out', () => {
    const shop = midShop();
    const [first, ...rest] = shop.tools;
    const raw = {
      schema: 1,
      id: 'shop',
      revision: 3,
      saved: '2026-11-02T08:00:00.000Z',
      by: 'me',
      shop: { ...shop, tools: [{ ...first, insert: 'A'.repeat(27) }, ...rest] },
    };
    expect(parseShop(raw).ok).toBe(false);
    const salvage = salvageShop(raw);
    expect(salvage?.shop).toEqual({ ...shop, tools: rest });
    expect(salvage?.out).toMatchObject([{ list: 'tools', raw: { id: first?.id } }]);
    expect([salvageShop(null), salvageShop('x'), salvageShop({ schema: 1, shop: 'gone' })]).toEqual([undefined, undefined, undefined]);
  });
});

describe('what is wrong in a shop from elsewhere', () => {
  const broken: Shop = {
    ...midShop(),
    machines: [{ ...lathe, kilowatts: 0, speeds: [], swing: { text: '-330', units: 'mm' } }],
    holdings: midShop().holdings.map((h, i) =>
      i === 0 ? { ...h, outside: { from: { text: '140', units: 'mm' as const }, to: { text: '3', units: 'mm' as const } } } : h,
    ),
    bars: midShop().bars.map((b, i) => (i === 0 ? { ...b, material: 'unobtainium' } : b)),
    tools: midShop().tools.map((t) => (t.kind === 'drill' ? { id: t.id, name: t.name, kind: t.kind, grade: t.grade, hand: t.hand } : t)),
  };

  it('is told, and every fix mends what it is for', () => {
    const found = shopProblems(broken);
    const says = found.map((f) => writeSentence(f.says, 'mm'));
    for (const wanted of [/motor: 0 kW/, /it has no speed/, /swing over the bed.*negative/, /grips from 140 to 3/, /unobtainium/])
      expect(says.some((s) => wanted.test(s))).toBe(true);
    const mended = found.reduce((shop, f) => (f.mends[0] ? applyEdits(shop, f.mends[0].edits) : shop), broken);
    expect(shopProblems(mended).filter((f) => f.severity !== 'note')).toEqual([]);
  });

  it('a tool without the size that its kind wants is a note', () => {
    expect(shopProblems(broken).filter((f) => f.severity === 'note').length).toBeGreaterThan(10);
  });
});

describe('a table taken in', () => {
  const shop = midShop();
  it('changes the items that it names, adds the others, and says which cells it could not take', () => {
    const text = 'id,name,kind,size\ndrill-5,drill 5.1,drill,5.1\n,drill 9,drill,9\n,odd,spanner,9\n';
    const read = readShopTable(text, 'tools', shop, 'mm', idOf);
    if (!read.ok) throw new Error('refused');
    expect(read.value.items).toHaveLength(3);
    expect(read.value.items[0]).toMatchObject({ id: 'drill-5', name: 'drill 5.1', size: { text: '5.1', units: 'mm' } });
    expect(read.value.items[1]?.name).toBe('drill 9');
    expect(read.value.problems.map((p) => writeSentence(p, 'mm')).join()).toMatch(/line 4, kind: one of/);
  });

  it('cells copied from a spreadsheet are read too', () => {
    const read = readShopTable('name\tacross\tlength\nodd end\t1-1/4 in\t300\n', 'bars', shop, 'mm', idOf);
    expect(read.ok && read.value.items[0]).toMatchObject({ across: { text: '1-1/4', units: 'in' }, length: { text: '300', units: 'mm' } });
  });

  it('without a column of names, or with too many lines, nothing is taken', () => {
    expect(readShopTable('a,b\n1,2\n', 'bars', shop, 'mm', idOf).ok).toBe(false);
    expect(readShopTable(`name\n${'x\n'.repeat(600)}`, 'bars', shop, 'mm', idOf).ok).toBe(false);
    expect(readShopTable('', 'bars', shop, 'mm', idOf).ok).toBe(false);
  });

  it('every table names each of its columns once', () => {
    for (const { fields } of shopTables) expect(new Set(fields.map((f) => f.words)).size).toBe(fields.length);
  });
});

describe('numbers that are chosen by a word', () => {
  const [grip, stiff] = holdingGrades;
  const holding = (id: string) => {
    const found = midShop().holdings.find((h) => h.kind === id);
    if (!found || !grip || !stiff) throw new Error(id);
    return { found, grip, stiff };
  };
  const chosen = (read: ReturnType<typeof withGrade>) => {
    if (!read.ok) throw new Error('refused');
    return read.value;
  };

  it('a four-inch chuck on a bench lathe grips lightly, one of 140 mm as usual, one of 240 mm hard (common practice: the larger the chuck, the harder its jaws)', () => {
    const words = shops.map(
      ([, shop]) => shop.holdings.filter((h) => h.kind === 'threeJaw').map((h) => holdingGrades.map((g) => gradeOf(h, g)).join(' '))[0],
    );
    expect(words).toEqual(['light slender', 'usual usual', 'hard stiff']);
  });

  it('a word sets its numbers, and they are assumed no more; the word that stands changes nothing', () => {
    const { found, ...of } = holding('threeJaw');
    const hard = chosen(withGrade(found, of.grip, 'hard'));
    expect(hard).toMatchObject({ newtons: 40_000, lateral: found.lateral });
    expect(found.assumed).toContain('newtons');
    expect(hard.assumed ?? []).not.toContain('newtons');
    const slender = chosen(withGrade(found, of.stiff, 'slender'));
    expect(slender.lateral).toBeLessThan(found.lateral);
    expect(slender.angular).toBeLessThan(found.angular);
    expect(chosen(withGrade(found, of.grip, gradeOf(found, of.grip)))).toBe(found);
    expect(chosen(withGrade(found, of.grip, 'iron'))).toBe(found);
  });

  it('a centre has no grip to choose, and what it is in tilt stays', () => {
    const { found, ...of } = holding('liveCentre');
    expect(gradeOf(found, of.grip)).toBe('');
    const stout = chosen(withGrade(found, of.stiff, 'stiff'));
    expect(stout.lateral).toBe(90_000);
    expect(stout.angular).toBe(found.angular);
  });
});
