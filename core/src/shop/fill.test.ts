import { parseShopItem } from '../document';
import { writeSentence } from '../quantity';
import { drillNamed, readExternalThread } from '../standards';
import { fillHoldings, fillTools } from './fill';
import { grips } from './items';
import { midShop } from './otherShops';

const of = (text: string, units: 'mm' | 'in' = 'mm', owned: Parameters<typeof fillTools>[2] = []) => {
  const set = fillTools(text, units, owned);
  return set.ok ? set.value : [];
};
const sizes = (text: string, units: 'mm' | 'in' = 'mm') => of(text, units).map((t) => t.size?.text);

it.each([
  ['drills 1 to 10 by 0.1', 'mm', 91, '1', '10'],
  ['a set of drills 1 to 10 by 0.1', 'mm', 91, '1', '10'],
  ['drills 1,0 to 2,0 by 0,5', 'mm', 3, '1', '2'],
  ['drills 1/16 to 1/2 by 1/64', 'in', 29, '1/16', '1/2'],
  ['drills 1/2 to 1-1/4 by 1/16', 'mm', 13, '1/2', '1-1/4'],
  ['reamers 3-12 by 1', 'mm', 10, '3', '12'],
] as const)('%s in a shop of %s: %d of them', (text, units, count, first, last) => {
  const set = sizes(text, units);
  expect([set.length, set[0], set.at(-1)]).toEqual([count, first, last]);
});

it('number and letter drills are those of the table (from memory, as the table)', () => {
  expect(of('number drills')).toHaveLength(80);
  expect(of('letter drills')).toHaveLength(26);
  // No. 7 is the tap drill of 1/4-20, .201 in; letter F of 5/16-18, .257 in (ASME B94.11M, from memory)
  for (const [name, inch] of [
    ['#7', 0.201],
    ['letter F', 0.257],
  ] as const) {
    const tool = [...of('number drills'), ...of('letter drills')].find((t) => t.size?.text === name);
    expect(drillNamed(tool?.size?.text ?? '')?.diameter).toBeCloseTo(inch * 25.4, 6);
  }
});

it('taps and dies are of the first choice of ISO 261, or of a unified series, and each is a thread that is read', () => {
  expect(sizes('taps M3-M12')).toEqual(['M3', 'M4', 'M5', 'M6', 'M8', 'M10', 'M12']);
  expect(sizes('dies UNC #4 to 1/2')).toEqual(['4-40', '5-40', '6-32', '8-32', '10-24', '12-24', '1/4-20', '5/16-18', '3/8-16', '7/16-14', '1/2-13']);
  expect(sizes('taps UNF 1/4 to 1/2')).toEqual(['1/4-28', '5/16-24', '3/8-24', '7/16-20', '1/2-20']);
  for (const text of [...sizes('taps M1 to M64'), ...sizes('dies UNC #4 to 2')])
    expect([text, readExternalThread(text ?? '') !== undefined]).toEqual([text, true]);
});

it('what the drawer has is not made twice, whatever it is typed in', () => {
  const { tools } = midShop();
  expect(of('taps M3-M12', 'mm', tools).map((t) => t.name)).toEqual(['tap M3']);
  const half = [{ kind: 'drill' as const, size: { text: '12.7', units: 'mm' as const } }];
  expect(of('drills 7/16 to 1/2 by 1/64', 'in', half).map((t) => t.size?.text)).toEqual(['7/16', '29/64', '15/32', '31/64']);
});

it('no drill reaches further than the flutes of its kind (ISO 235, from memory): the smallest least of all', () => {
  const reach = (line: string) => of(line).map((t) => [Number(t.reach?.text), t.reach?.units]);
  expect(reach('drills 3 to 20 by 17')).toEqual([
    [33, 'mm'],
    [140, 'mm'],
  ]);
  // No. 80, 0.343 mm: not more than a few millimetres deep
  expect(Math.min(...reach('number drills').map(([mm]) => Number(mm)))).toBe(4);
});

it('each is a tool that can be stored, its reach assumed', () => {
  for (const tool of [...of('drills 1 to 4 by 0.5'), ...of('number drills'), ...of('taps M3-M6'), ...of('reamers 3 to 5 by 1')])
    expect(parseShopItem('tools', { ...tool, id: 'x' }).ok).toBe(true);
  expect(of('drills 6 to 6 by 1')[0]).toMatchObject({ name: 'drill 6', assumed: ['reach'], angle: { text: '118' } });
});

it.each([
  ['', 'is no set'],
  ['spanners 6 to 12 by 1', 'is no set'],
  ['drills', 'is no set'],
  ['drills 1 to 10', 'from, to and step are wanted'],
  ['drills 10 to 1 by 0.1', 'the last is smaller than the first'],
  ['drills 1 to 10 by 0', 'zero'],
  ['drills 0.001 to 100 by 0.001', 'more than a set has'],
  ['drills one to 10 by 0.1', ''],
  ['taps M3', 'a series is wanted'],
  ['taps M65-M70', 'no thread of the first choice'],
  ['taps UNC 1/2 to 1/4', 'is no size of UNC'],
])('“%s” is told: %s', (text, says) => {
  const set = fillTools(text, 'mm', []);
  expect(set.ok ? 'taken' : writeSentence(set.problems[0]?.says ?? [], 'mm')).toContain(says);
  expect(set.ok).toBe(false);
});

describe('sets of collets', () => {
  const one = (text: string, units: 'mm' | 'in' = 'mm') => {
    const set = fillHoldings(text, units, []);
    return set.ok ? set.value[0] : undefined;
  };
  it('a seat knows what it holds: 5C to 1 1/8 in round (from memory), ER32 2 to 20 mm (DIN 6499)', () => {
    const inch = one('5C collets by 1/16', 'in');
    expect([inch?.sizes?.length, inch?.sizes?.[0]?.text, inch?.sizes?.at(-1)?.text]).toEqual([18, '1/16', '1-1/8']);
    const er = one('ER32 collets by 1');
    expect([er?.sizes?.length, er?.sizes?.[0]?.text, er?.sizes?.at(-1)?.text]).toEqual([19, '2', '20']);
    expect(one('collets 1/8 to 3/4 by 1/16', 'in')?.sizes).toHaveLength(11);
    expect(parseShopItem('holdings', { ...inch, id: 'x' }).ok).toBe(true);
  });

  it('a collet of one size holds its size and little under it; ones over a span a millimetre (common practice)', () => {
    const [inch, er] = [one('5C collets by 1/16', 'in'), one('ER32 collets by 1')];
    const closes = (set: typeof inch, d: number) => set !== undefined && grips({ ...set, id: 'c' }, d);
    expect([12.7, 12.6, 12.0, 13.2].map((d) => closes(inch, d))).toEqual([true, true, false, false]);
    expect([2, 11.3, 20, 20.5, 1].map((d) => closes(er, d))).toEqual([true, true, true, false, true]);
  });

  it.each([
    ['', 'is no set of collets'],
    ['collets', 'is no set of collets'],
    ['collets by 1', 'from, to and step are wanted'],
    ['7Q collets by 1', 'is no set of collets'],
    ['ER99 collets by 1', 'is no collet that is known here'],
    ['5C collets 1/16 to 2 by 1/16', 'collets hold'],
    ['collets 10 to 3 by 1', 'the last is smaller'],
  ])('“%s” is told: %s', (text, says) => {
    const set = fillHoldings(text, 'in', []);
    expect(set.ok ? 'taken' : writeSentence(set.problems[0]?.says ?? [], 'mm')).toContain(says);
  });
});

it('countersinks are taken by their angle, and those that are there left out', () => {
  expect(of('countersinks 60.5 82 90 100').map((t) => t.angle?.text)).toEqual(['60.5', '82', '90', '100']);
  expect(of('countersinks 82, 90', 'mm', [{ kind: 'form', angle: { text: '90', units: 'mm' } }]).map((t) => t.angle?.text)).toEqual(['82']);
  expect(sizes('fraction drills', 'in')).toHaveLength(29);
});
