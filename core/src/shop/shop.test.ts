import { demoShop } from '../planner/demo.fixture';
import { doubtOf, gaugeFor, grips, machineOf, mmOf, proves, speedsOf, toolOf } from './items';
import { furnished, starts } from './furnished';
import { shopProblems } from './problems';
import { startingShop } from './startingShop';
import { wayOf, ways } from './ways.table';

const shop = demoShop();
const gauge = (id: string) => {
  const found = shop.gauges.find((g) => g.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe('what the things of a shop mean', () => {
  it('reads cells in their own units, and zero as zero', () => {
    expect(mmOf({ text: '1/2', units: 'mm' })).toBeCloseTo(12.7, 9);
    expect(mmOf({ text: '.001', units: 'in' })).toBeCloseTo(0.0254, 9);
    expect(mmOf({ text: '0', units: 'in' }, 5)).toBe(0);
    expect(mmOf({ text: 'about', units: 'in' }, 5)).toBe(5);
    expect(mmOf(undefined, 7)).toBe(7);
  });

  it('picks the plainest gauge that proves a tolerance: resolution to a fifth, doubt to a quarter (right-gauge, common practice)', () => {
    expect(gaugeFor(shop, 19, 0.4)?.kind).toBe('caliper');
    expect(gaugeFor(shop, 19, 0.021)?.id).toBe('mic-0-25');
    expect(gaugeFor(shop, 30, 0.021)?.id).toBe('mic-25-50');
    expect(gaugeFor(shop, 400, 0.021)).toBeUndefined();
    expect(proves(gauge('caliper'), 0.013)).toBe(false);
    expect(proves(gauge('mic-0-25'), 0.021)).toBe(true);
    expect(doubtOf(gauge('rule'))).toBeGreaterThan(doubtOf(gauge('caliper')));
  });

  it('grips what lies in the range of a chuck, and nothing in a centre', () => {
    const at = (kind: string, diameter: number) => shop.holdings.filter((h) => h.kind === kind).some((h) => grips(h, diameter));
    expect([at('collet', 20), at('collet', 60), at('threeJaw', 60), at('threeJaw', 900), at('liveCentre', 20)]).toEqual([
      true,
      false,
      true,
      false,
      false,
    ]);
  });

  it('lists a stepless range as speeds, ends included', () => {
    const [machine] = shop.machines;
    if (!machine) throw new Error('no lathe');
    const speeds = speedsOf({ ...machine, speeds: { from: 50, to: 2500 } });
    expect([speeds[0], speeds.at(-1)]).toEqual([50, 2500]);
    expect(speedsOf(machine)).toEqual(machine.speeds);
  });

  it('finds the tool asked for, else the first that passes', () => {
    expect(toolOf(shop, 'drill', 'drill-8', () => true)?.kind).toBe('drill');
    expect(toolOf(shop, 'turn', undefined, (t) => mmOf(t.nose) < 0.5)?.nose?.text).toBe('0.4');
    expect(toolOf(shop, 'ream', undefined)).toBeUndefined();
  });

  it('takes the way of the job before that of the shop, and the first where neither says', () => {
    expect(wayOf('thread', { thread: 'die' }, new Map([['thread', 'single-point']]))).toBe('single-point');
    expect(wayOf('thread', { thread: 'die' }, new Map())).toBe('die');
    expect(wayOf('thread', { thread: 'by magic' }, new Map())).toBe('single-point');
    for (const way of ways) expect(way.choices.every((c) => c.because.length > 0)).toBe(true);
  });

  it('has every cell of the starting shop and the demo shop readable', () => {
    for (const each of [startingShop(), shop]) {
      const cells: { text: string; units: 'mm' | 'in' }[] = [];
      JSON.stringify(each, (_, value: unknown) => {
        if (typeof value === 'object' && value !== null && 'text' in value && 'units' in value)
          cells.push(value as { text: string; units: 'mm' | 'in' });
        return value;
      });
      expect(cells.length).toBeGreaterThan(50);
      for (const cell of cells.filter((c) => !/^(M|\d.*-\d+$)/.test(c.text))) expect([cell.text, mmOf(cell, -1)]).not.toEqual([cell.text, -1]);
    }
    expect(machineOf(shop, 'gone')).toBe(shop.machines[0]);
  });
});

describe('what a shop begins with', () => {
  it.each(starts.map((s) => [s.id, s] as const))(
    '%s: the usual rack and drawer in its own units, nothing twice, all of it stored as it is',
    (_, start) => {
      const shop = start.make();
      expect(shopProblems(shop).filter((f) => f.severity === 'stop')).toEqual([]);
      for (const list of [shop.tools, shop.bars, shop.gauges]) expect(new Set(list.map((i) => i.id)).size).toBe(list.length);
      for (const material of ['mild-steel', 'free-cutting-steel', 'stainless-316', 'aluminium', 'brass', 'bronze', 'silver-steel', 'acetal'])
        expect(shop.bars.some((b) => b.material === material && b.across.units === start.units)).toBe(true);
      for (const kind of ['drill', 'tap', 'die', 'ream']) expect(shop.tools.filter((t) => t.kind === kind).length).toBeGreaterThanOrEqual(5);
      expect(furnished(shop)).toEqual(shop);
    },
  );
});
