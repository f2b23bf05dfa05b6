/* What the shop's own record answers: sizes by lathe and holding, what can be held, chips and edges by tool. Invented records of a made-up shop. */
import { studentOf } from '../quantity';
import { canHold, type CutTaken, heldBy, toolsBy } from './history';
import { lessonsAbout, lessonSaid, lessonsOf, minuteLessons, sameLesson, type Shown } from './lessons';
import { midShop } from '../shop';
import { writeSentence } from '../quantity';

const shown = (off: number, more: Partial<Shown> = {}): Shown => ({
  machine: 'lathe',
  tool: 't1',
  holding: 'three-jaw',
  material: 'mild-steel',
  tolerance: 0.013,
  landed: Math.abs(off) <= 0.0065,
  spring: 0.08,
  off,
  evidence: [],
  of: 'a.diameter',
  ...more,
});

describe('what can I hold?', () => {
  const record = [0.001, -0.002, 0.003, 0, -0.001, 0.002, -0.003, 0.001, 0, -0.001].map((off) => shown(off));

  it.each([
    // Student's t, 0.975, as any table of a statistics textbook has it
    [4, 2.776],
    [9, 2.262],
    [20, 2.086],
    [1000, 1.962],
  ])('t of %i degrees of freedom is %p', (freedom, t) => {
    expect(studentOf(freedom)).toBeCloseTo(t, 2);
  });

  it('of ten sizes with a spread of 1.83 um the next keeps within 8.7 um in 19 of 20', () => {
    // mean 0, s = sqrt(30 / 9) um = 1.826; 2 x 2.262 x 1.826 x sqrt(1.1)
    const told = canHold(record, { tolerance: 0.013 });
    expect(told).toMatchObject({ count: 10, within: 10 });
    expect(1000 * (told.least?.value ?? 0)).toBeCloseTo(2 * 2.262 * Math.sqrt(30 / 9) * Math.sqrt(1.1), 2);
  });

  it('ten of ten is no promise of all: Wilson says 72 % at least', () => {
    const told = canHold(record, { tolerance: 0.013 });
    expect(told.low).toBeCloseTo(0.722, 3);
    expect(told.high).toBe(1);
  });

  it('what was turned loosely says nothing of a close size, and of few sizes nothing is promised', () => {
    const loose = record.map((s) => ({ ...s, tolerance: 0.2 }));
    expect(canHold(loose, { tolerance: 0.013 })).toMatchObject({ count: 0, low: 0, high: 1 });
    expect(canHold(record.slice(0, 4), { tolerance: 0.013 }).least).toBeUndefined();
    expect(canHold(record, { tolerance: 0.013, holding: 'collet' }).count).toBe(0);
  });

  it('stands by lathe and holding, the most first', () => {
    const held = heldBy([...record, shown(0.009, { holding: 'collet' })]);
    expect(held.map((h) => [h.holding, h.count, h.landed])).toEqual([
      ['three-jaw', 10, 10],
      ['collet', 1, 0],
    ]);
    expect(held[0]?.spread?.value).toBeCloseTo(Math.sqrt(30 / 9) / 1000, 6);
    expect(held[1]?.spread).toBeUndefined();
  });
});

describe('tools by their record', () => {
  const cut = (feed: number, more: Partial<CutTaken> = {}): CutTaken => ({
    machine: 'lathe',
    tool: 't1',
    material: 'mild-steel',
    feed,
    strings: false,
    minutes: 2,
    worn: false,
    ...more,
  });

  it('the feeds that broke the chip stand apart from those that made strings; edges are counted', () => {
    const [of] = toolsBy(
      [cut(0.2), cut(0.25), cut(0.08, { strings: true }), cut(0.1, { strings: true, worn: true }), cut(0.2, { material: 'brass' })],
      [shown(0), shown(0, { spring: 0.12 })],
    );
    expect(of).toMatchObject({ tool: 't1', cuts: 4, broke: [0.2, 0.25], strings: [0.08, 0.1], edges: 1, minutes: 8 });
    expect(of?.spring?.value).toBeCloseTo(0.1, 9);
  });
});

describe('lessons', () => {
  const shop = midShop();
  const at = '2026-11-29T08:00:00Z';
  const [machine] = shop.machines;
  const [holding] = shop.holdings;

  it('of a holding and of a tool each; of a spring by the material', () => {
    const found = lessonsOf([shown(0.001), shown(0.003), shown(0.002, { material: 'brass' })], shop, at);
    expect(found.map((l) => [l.of, Object.keys(l.where).join('+'), l.count])).toEqual([
      ['spring', 'machine+tool+material', 2],
      ['spring', 'machine+tool+material', 1],
      ['held', 'machine+tool', 3],
      ['held', 'machine+holding', 3],
    ]);
    const [a, b, tool, hold] = found;
    expect(a && b && sameLesson(a, b)).toBe(false);
    expect(tool && hold && sameLesson(tool, hold)).toBe(false);
    expect(new Set(found.map((l) => l.id)).size).toBe(4);
  });

  it('of minutes from five steps on, and only where they are off by a tenth', () => {
    const took = (minutes: number, verb: 'face' | 'finish-turn' = 'face') => ({ machine: machine?.id ?? '', verb, planned: 4, took: minutes });
    const five = Array.from({ length: 5 }, () => took(6));
    expect(minuteLessons(five.slice(1), shop, at)).toEqual([]);
    expect(minuteLessons([...five, ...Array.from({ length: 5 }, () => took(4.1, 'finish-turn'))], shop, at)).toMatchObject([
      { of: 'minutes', mean: 1.5, count: 5, where: { verb: 'face' } },
    ]);
    const [one] = minuteLessons(five, shop, at);
    expect(one && writeSentence(lessonSaid(one, shop), 'mm')).toContain('1.50 times as long as reckoned');
  });

  it('those that speak of a holding are found for it, and no others', () => {
    const base = { id: 'l', at, says: '', evidence: [], mean: 0.002, deviation: 0.003, count: 4, accepted: true };
    const lessons = [
      { ...base, of: 'held' as const, where: { machine: machine?.id ?? '', holding: holding?.id ?? '' } },
      { ...base, of: 'held' as const, where: { machine: machine?.id ?? '', tool: 't1' } },
      { ...base, of: 'held' as const, where: { machine: machine?.id ?? '', holding: 'other' } },
      { ...base, of: 'held' as const, where: { machine: machine?.id ?? '', holding: holding?.id ?? '' }, accepted: false },
    ];
    expect(lessonsAbout({ lessons }, machine?.id, holding?.id)).toEqual([lessons[0]]);
  });
});
