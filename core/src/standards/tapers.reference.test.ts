import fc from 'fast-check';
import { compoundTravel, namedTaper, setOver, sineBarHeight, stillToGoIn, taper } from './tapers';

type Value = number | null;
/* Inches and degrees, last the gauge diameter in mm; ASME B5.10, ISO 296 / DIN 228, ISO 297, Jarno rule, handbooks, from memory; from the same reference list as the table of the code: it guards against slips, it is no second source. */
const printed: readonly (readonly [
  name: string,
  perFoot: Value,
  small: Value,
  large: Value,
  depth: Value,
  least: Value,
  most: Value,
  gauge: Value,
])[] = [
  ['B&S 15', 0.5, 2.25, null, null, null, null, null],
  ['Jarno 17', null, 1.7, 2.125, null, null, null, null],
  ['Jarno 12', null, 1.2, 1.5, null, null, null, null],
  ['7/24 30', null, null, null, null, null, null, 31.75],
  ['B&S 8', 0.501, 0.75, null, null, null, null, null],
  ['Jarno 3', null, 0.3, 0.375, null, null, null, null],
  ['Morse 4.5', 0.624, 1.266, 1.5, 4.5, null, null, null],
  ['Jarno 4', null, 0.4, 0.5, null, null, null, null],
  ['B&S 9', 0.50085, 0.9001, null, null, null, null, null],
  ['Morse 7', 0.624, 2.75, 3.27, 10, null, null, null],
  ['Morse 2', 0.59941, 0.572, 0.7, 2.5625, 1.430417, 1.430694, 17.78],
  ['Jarno 2', null, 0.2, 0.25, null, null, null, null],
  ['7/24 60', null, null, null, null, null, null, 107.95],
  ['Jarno 13', null, 1.3, 1.625, null, null, null, null],
  ['Jarno 6', null, 0.6, 0.75, null, null, null, null],
  ['Jarno 5', null, 0.5, 0.625, null, null, null, null],
  ['Morse 1', 0.59858, 0.369, 0.475, 2.125, 1.428472, 1.42875, 12.065],
  ['Jarno 15', null, 1.5, 1.875, null, null, null, null],
  ['B&S 14', 0.5, 2, null, null, null, null, null],
  ['Jarno 11', null, 1.1, 1.375, null, null, null, null],
  ['B&S 10', 0.51612, 1.04465, null, null, null, null, null],
  ['Morse 0', 0.6246, 0.252, 0.3561, 2, 1.490694, 1.490972, 9.045],
  ['B&S 13', 0.5002, 1.75005, null, null, null, null, null],
  ['B&S 11', 0.501, 1.24995, null, null, null, null, null],
  ['Jarno 16', null, 1.6, 2, null, null, null, null],
  ['Jacobs 0', 0.59145, 0.22844, 0.25, null, null, null, null],
  ['Jarno 7', null, 0.7, 0.875, null, null, null, null],
  ['B&S 1', 0.502, 0.2, null, null, null, null, null],
  ['Jacobs 1', 0.92508, 0.33341, 0.384, null, null, null, null],
  ['Jarno 18', null, 1.8, 2.25, null, null, null, null],
  ['Jarno 10', null, 1, 1.25, null, null, null, null],
];

const named = (name: string) => {
  const read = namedTaper(name);
  if (!read.ok) throw new Error(name);
  return read;
};

describe('named tapers', () => {
  it.each(printed)('%s', (name, perFoot, small, large, depth, least, most, gauge) => {
    const found = named(name);
    if (perFoot !== null) expect(found.perFoot).toBeCloseTo(perFoot, 5);
    // printed to three decimals where it follows from the taper: within half of the last digit and the rounding of the gauge diameter
    if (small !== null) expect(Math.abs((found.small ?? NaN) / 25.4 - small)).toBeLessThan(0.0006);
    if (large !== null) expect(Math.abs((found.large ?? NaN) / 25.4 - large)).toBeLessThan(0.00006);
    if (depth !== null) expect((found.length ?? NaN) / 25.4).toBeCloseTo(depth, 6);
    if (least !== null) expect(found.setting).toBeGreaterThan(least - 1e-4);
    if (most !== null) expect(found.setting).toBeLessThan(most + 1e-4);
    if (gauge !== null) expect(found.large).toBeCloseTo(gauge, 3);
  });

  it.each(['', 'Morse 9', 'MT', 'Jarno 21', 'metric 50', '7/24 35', 'cone'])('says that it does not know “%s”', (text) => {
    const read = namedTaper(text);
    expect(read.ok ? [] : read.says.length).toBeGreaterThan(0);
  });
});

describe('a taper from what is known of it', () => {
  it.each([
    // geometry, worked by hand: 1:20 is 1 deg 25 min 56 s a side; 7:24 is 8 deg 17 min 50 s; 60 degrees is 30
    [{ ratio: 20 }, 1 + 25 / 60 + 56 / 3600],
    [{ ratio: 24 / 7 }, 8 + 17 / 60 + 50 / 3600],
    [{ includedAngle: 60 }, 30],
    [{ perFoot: 0.59941 }, 1.4305],
    [{ large: 25, small: 20, length: 50 }, 2.8624],
  ])('%o is set to %d degrees', (known, setting) => {
    const read = taper(known);
    expect(read.ok && read.setting).toBeCloseTo(setting, 3);
  });

  it('gives the same whole from any of its parts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.double({ min: 0.01, max: 0.9, noNaN: true }),
        fc.double({ min: 2, max: 100, noNaN: true }),
        (large, share, length) => {
          const slope = (share * large) / length;
          const whole = taper({ large, length, ratio: 1 / slope });
          if (!whole.ok || whole.small === null) throw new Error('no whole');
          const others = [
            taper({ large, small: whole.small, length }),
            taper({ small: whole.small, length, includedAngle: whole.includedAngle }),
            taper({ large, small: whole.small, perFoot: whole.perFoot }),
          ];
          for (const other of others) {
            if (!other.ok) throw new Error('no taper');
            expect(other.setting).toBeCloseTo(whole.setting, 5);
            expect(other.large).toBeCloseTo(large, 5);
            expect(other.length).toBeCloseTo(length, 4);
          }
        },
      ),
    );
  });

  it.each([
    {},
    { large: 20 },
    { large: 20, small: 25, length: 10 },
    { large: 20, small: 20, length: 10 },
    { includedAngle: 180 },
    { large: 10, length: 100, ratio: 5 },
  ])('says what is missing or wrong of %o', (known) => {
    expect(taper(known).ok).toBe(false);
  });
});

describe('setting a taper', () => {
  it('sets the tailstock over by the whole length between centres: Morse 2 on 10 in is 0.24975 in; 1:20 on 300 mm is 7.5 mm (worked examples)', () => {
    expect(setOver(254, named('MT2').slope) / 25.4).toBeCloseTo(0.24975, 5);
    expect(setOver(300, 1 / 20)).toBeCloseTo(7.5, 9);
  });

  it('knows compound travel, sine bar and what is left to go in', () => {
    expect(compoundTravel(100, 60)).toBeCloseTo(200, 9);
    expect(sineBarHeight(100, 30)).toBeCloseTo(50, 9);
    expect(stillToGoIn(0.05, 1 / 20)).toBeCloseTo(1, 9);
  });
});
