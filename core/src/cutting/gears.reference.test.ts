import { dialMarks, gearTrains, halfNuts, tpiOf } from './gears';

const usual = [20, 24, 28, 30, 32, 36, 40, 42, 44, 45, 48, 50, 52, 54, 55, 56, 57, 60, 63, 65, 70, 75, 80, 100, 120, 127];

/* Metric pitch on an inch leadscrew: drivers over driven, exact arithmetic (5 P N / 127). */
const exact: readonly (readonly [pitch: number, screwTpi: number, drivers: number, driven: number])[] = [
  [1, 4, 20, 127],
  [0.8, 4, 16, 127],
  [1.25, 8, 50, 127],
  [3, 8, 120, 127],
  [0.8, 8, 32, 127],
  [1.5, 4, 30, 127],
  [0.7, 8, 28, 127],
  [0.75, 8, 30, 127],
  [1.5, 8, 60, 127],
  [2, 4, 40, 127],
  [0.5, 4, 10, 127],
];

/* What stands in for a wheel that is not there: error in parts in a million, exact arithmetic. */
const substitutes: readonly (readonly [drivers: number, driven: number, forTop: number, forBottom: number, error: number])[] = [
  [91, 86, 127, 120, -183.1],
  [47, 37, 127, 100, 212.8],
  [37, 47, 100, 127, -212.8],
  [80, 63, 127, 100, -125.0],
];

/* Usable marks a turn: dial marks, worm wheel, leadscrew, thread; brute force of whole travels. */
const dials: readonly (readonly [marks: number, wheel: number, screw: number, tpi: number, usable: number])[] = [
  [4, 32, 8, 10, 4],
  [8, 24, 6, 12, 8],
  [8, 16, 4, 20, 8],
  [4, 32, 8, 12, 4],
  [8, 24, 6, 5.25, 1],
  [4, 32, 8, 11, 4],
  [8, 24, 6, 10, 8],
  [4, 32, 8, 27, 4],
  [8, 16, 8, 8, 8],
  [4, 32, 8, 11.5, 2],
  [8, 16, 8, 20, 8],
  [8, 16, 4, 12, 8],
  [4, 32, 8, 8, 4],
  [8, 16, 8, 12, 8],
  [8, 24, 6, 20, 8],
  [4, 32, 8, 9, 4],
  [8, 32, 8, 11, 4],
  [8, 16, 4, 10, 8],
  [8, 32, 8, 5.25, 1],
  [8, 16, 8, 11, 2],
  [8, 32, 8, 12, 8],
  [8, 16, 8, 5.25, 1],
];

describe('change gears', () => {
  it.each(exact)('%d mm on %d to the inch is %d/%d', (pitch, screwTpi, drivers, driven) => {
    const [best] = gearTrains({ pitch, leadscrew: 25.4 / screwTpi, gears: usual });
    expect(best?.error).toBe(0);
    expect(best?.driven).toContain(127);
    const ratio = (best?.drivers.reduce((a, b) => a * b, 1) ?? 0) / (best?.driven.reduce((a, b) => a * b, 1) ?? 1);
    expect(ratio).toBeCloseTo(drivers / driven, 12);
  });

  it.each(substitutes)('%d/%d for %d/%d is off by %d', (drivers, driven, forTop, forBottom, error) => {
    const [train] = gearTrains({ pitch: forTop / forBottom, leadscrew: 1, gears: [drivers, driven], within: 5000 });
    expect(train?.error).toBeCloseTo(error, 0);
    expect(train?.per25).toBeCloseTo((error * 25) / 1e6, 4);
  });

  it('uses no wheel that is not there, none twice, and lists each train once', () => {
    const trains = gearTrains({ pitch: 1.25, leadscrew: 3, gears: usual, within: 500 });
    expect(trains.length).toBeGreaterThan(5);
    expect(trains.map((t) => Math.abs(t.error))).toEqual(trains.map((t) => Math.abs(t.error)).sort((a, b) => a - b));
    for (const t of trains) {
      const used = [...t.drivers, ...t.driven];
      expect(new Set(used).size).toBe(used.length);
      expect(used.every((g) => usual.includes(g))).toBe(true);
      expect(Math.abs(t.pitch / 1.25 - 1)).toBeLessThan(0.0005 + 1e-9);
    }
    expect(new Set(trains.map((t) => `${t.drivers.join()}/${t.driven.join()}`)).size).toBe(trains.length);
  });

  it('finds nothing where nothing fits, and refuses what is not a pitch', () => {
    expect(gearTrains({ pitch: 1, leadscrew: 3, gears: [20, 21], within: 10 })).toEqual([]);
    expect(() => gearTrains({ pitch: 0, leadscrew: 3, gears: usual })).toThrow(RangeError);
  });
});

describe('the thread dial', () => {
  it.each(dials)('%d marks, wheel of %d, screw of %d, thread of %d: %d marks', (marks, wheel, screw, tpi, usable) => {
    expect(dialMarks(marks, wheel, screw, tpi)).toHaveLength(usable);
  });

  it('closes anywhere for a multiple of the leadscrew, and knows a pitch as threads to the inch', () => {
    expect(dialMarks(8, 32, 8, 16)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
    expect(tpiOf(25.4 / 13)).toBeCloseTo(13, 12);
  });
});

describe('every train, against trying all of them', () => {
  it.each([
    [1.5, 25.4 / 8, [20, 30, 35, 40, 50, 63, 80, 100]],
    [25.4 / 11, 6, [20, 40, 45, 55, 60, 63, 80, 127]],
    [0.7, 3, [20, 21, 28, 30, 35, 40, 50, 60, 60]],
  ])('pitch %d on %d', (pitch, leadscrew, gears) => {
    const within = 2000;
    const key = (top: readonly number[], bottom: readonly number[]) =>
      `${top.toSorted((a, b) => a - b).join(' ')}/${bottom.toSorted((a, b) => a - b).join(' ')}`;
    const good = (ratio: number) => Math.abs(1e6 * ((ratio * leadscrew) / pitch - 1)) <= within;
    const wanted = new Set<string>();
    const n = gears.length;
    const at = (i: number) => gears[i] ?? NaN;
    for (let a = 0; a < n; a++)
      for (let b = 0; b < n; b++) {
        if (a === b) continue;
        if (good(at(a) / at(b))) wanted.add(key([at(a)], [at(b)]));
        for (let c = 0; c < n; c++)
          for (let d = 0; d < n; d++)
            if (new Set([a, b, c, d]).size === 4 && good((at(a) * at(c)) / (at(b) * at(d)))) wanted.add(key([at(a), at(c)], [at(b), at(d)]));
      }
    const found = gearTrains({ pitch, leadscrew, gears, within });
    expect(new Set(found.map((t) => key(t.drivers, t.driven)))).toEqual(wanted);
    expect(found.map((t) => Math.abs(t.error))).toEqual(found.map((t) => Math.abs(t.error)).toSorted((a, b) => a - b));
  });

  it('half-nuts: anywhere on a whole multiple, by the dial within one system, else kept closed (half-nut, common practice)', () => {
    expect(halfNuts(25.4 / 16, 25.4 / 8, true)).toBe('anywhere');
    expect(halfNuts(25.4 / 11, 25.4 / 8, true)).toBe('by the dial');
    expect(halfNuts(1.5, 25.4 / 8, false)).toBe('keep closed');
    expect(halfNuts(1.5, 3, true)).toBe('anywhere');
  });
});
