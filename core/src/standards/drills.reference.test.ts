import { drillIndex, drillNamed, nearestDrills } from './drills';
import { letterDrills, numberDrills } from './drills.table';

/* Diameters in inches; number and letter drill table of the handbooks, from memory, from the same reference list as the table of the code: it guards against slips, it is no second source. */
const printed: readonly (readonly [name: string, inches: number])[] = [
  ['#3', 0.213],
  ['#4', 0.209],
  ['#5', 0.2055],
  ['#8', 0.199],
  ['#9', 0.196],
  ['#10', 0.1935],
  ['#14', 0.182],
  ['#17', 0.173],
  ['#18', 0.1695],
  ['#20', 0.161],
  ['#21', 0.159],
  ['#22', 0.157],
  ['#23', 0.154],
  ['#25', 0.1495],
  ['#29', 0.136],
  ['#30', 0.1285],
  ['#35', 0.11],
  ['#37', 0.104],
  ['#42', 0.0935],
  ['#45', 0.082],
  ['#46', 0.081],
  ['#53', 0.0595],
  ['#55', 0.052],
  ['#57', 0.043],
  ['#59', 0.041],
  ['#61', 0.039],
  ['#63', 0.037],
  ['#64', 0.036],
  ['#65', 0.035],
  ['#66', 0.033],
  ['#67', 0.032],
  ['#70', 0.028],
  ['#72', 0.025],
  ['#73', 0.024],
  ['letter C', 0.242],
  ['letter E', 0.25],
  ['letter G', 0.261],
  ['letter H', 0.266],
  ['letter I', 0.272],
  ['letter K', 0.281],
  ['letter N', 0.302],
  ['letter O', 0.316],
  ['letter V', 0.377],
  ['letter X', 0.397],
  ['letter Y', 0.404],
  ['letter Z', 0.413],
];

describe('number and letter drills', () => {
  it.each(printed)('%s is %d in', (name, inches) => {
    expect(drillNamed(name)).toMatchObject({ name, diameter: expect.closeTo(inches * 25.4, 9) });
  });

  it('has numbers 1 to 80 and letters A to Z, each smaller or larger than the one before', () => {
    const numbers = Array.from({ length: 80 }, (_, i) => numberDrills[String(i + 1)] ?? NaN);
    const letters = Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ', (letter) => letterDrills[letter] ?? NaN);
    expect(numbers.every((d, i) => i === 0 || d < (numbers[i - 1] ?? 0))).toBe(true);
    expect(letters.every((d, i) => i === 0 || d > (letters[i - 1] ?? 1))).toBe(true);
    expect(letters[0]).toBeGreaterThan(numbers[0] ?? 1);
  });

  it.each(['#0', '#81', 'letter', 'letter AA', '0', '33.3', '1/63', '-1', ''])('%s names no drill', (text) => {
    expect(drillNamed(text)).toBeUndefined();
  });

  it('reads back the name of every drill of its index', () => {
    for (const set of ['number', 'letter', 'fraction', 'metric'] as const)
      for (const drill of drillIndex(set)) expect(drillNamed(drill.name)).toEqual(drill);
  });

  it('finds what lies nearest: 5.1 mm is 0.004 under a number 7 (5.105, from memory)', () => {
    const [first, second] = nearestDrills(5.1);
    expect(first).toMatchObject({ name: '5.1', off: 0 });
    expect(second).toMatchObject({ name: '#7', off: expect.closeTo(0.0054, 6) });
    expect(nearestDrills(5.1, ['letter'])[0]?.name).toBe('letter A');
    expect(nearestDrills(25.4 / 4)[0]?.off).toBe(0);
  });
});
