import { readExternalThread, readInternalThread, threadLimits } from './threads';
import { bsfSizes, bswSizes } from './whitworth.table';
import { wires } from './wires';

/* Millimetres: pitch, major, effective, minor; BS 93:1951, from memory. */
const ba: readonly (readonly [name: string, pitch: number | null, major: number | null, effective: number | null, minor: number | null])[] = [
  ['12 BA', 0.28, 1.3, 1.13, 0.96],
  ['15 BA', 0.21, 0.9, 0.775, 0.65],
  ['20 BA', 0.12, 0.48, null, null],
  ['3 BA', 0.73, 4.1, 3.66, 3.22],
  ['17 BA', 0.17, 0.7, null, null],
  ['14 BA', 0.23, 1.0, 0.86, 0.72],
  ['16 BA', 0.19, 0.79, 0.675, 0.56],
  ['2 BA', 0.81, 4.7, 4.215, 3.73],
  ['5 BA', 0.59, 3.2, 2.845, 2.49],
  ['1 BA', 0.9, 5.3, 4.76, 4.22],
];

/* Inches: effective and minor diameter; BS 84 basic sizes, from memory, some not blind to the rounding rule. */
const whitworth: readonly (readonly [name: string, effective: number, minor: number])[] = [
  ['5/16-22 BSF', 0.2834, 0.2543],
  ['3/4-10 BSW', 0.686, 0.622],
  ['1/2-16 BSF', 0.46, 0.42],
  ['5/16-18 BSW', 0.2769, 0.2413],
  ['5/8-14 BSF', 0.5793, 0.5336],
  ['1/4-26 BSF', 0.2254, 0.2008],
  ['7/16-18 BSF', 0.4019, 0.3663],
  ['9/16-12 BSW', 0.5091, 0.4557],
  ['1/4-20 BSW', 0.218, 0.186],
];

/* Millimetres: pitch diameter from, to; then major (outside) or minor (inside) from, to; ISO 228-1, from memory. */
const pipe: readonly (readonly [name: string, pitchMin: number, pitchMax: number, otherMin: number, otherMax: number])[] = [
  ['G 3/4 A', 25.137, 25.279, 26.157, 26.441],
  ['G 3/4', 25.279, 25.421, 24.117, 24.658],
  ['G 1 1/8 A', 36.238, 36.418, 37.537, 37.897],
  ['G 1 1/8', 36.418, 36.598, 34.939, 35.579],
  ['G 5 1/2 A', 149.434, 149.651, 150.696, 151.13],
  ['G 5 1/2', 149.651, 149.868, 148.172, 148.812],
  ['G 4 1/2 A', 124.034, 124.251, 125.296, 125.73],
  ['G 4 1/2', 124.251, 124.468, 122.772, 123.412],
  ['G 1 3/4 A', 52.087, 52.267, 53.386, 53.746],
  ['G 1 3/4', 52.267, 52.447, 50.788, 51.428],
  ['G 1 A', 31.59, 31.77, 32.889, 33.249],
  ['G 1', 31.77, 31.95, 30.291, 30.931],
  ['G 1/16 A', 7.035, 7.142, 7.509, 7.723],
  ['G 1/16', 7.142, 7.249, 6.561, 6.843],
  ['G 5/8 A', 21.607, 21.749, 22.627, 22.911],
  ['G 5/8', 21.749, 21.891, 20.587, 21.128],
  ['G 3 A', 86.188, 86.405, 87.45, 87.884],
  ['G 3', 86.405, 86.622, 84.926, 85.566],
  ['G 7/8 A', 28.897, 29.039, 29.917, 30.201],
  ['G 7/8', 29.039, 29.181, 27.877, 28.418],
  ['G 1/4 A', 12.176, 12.301, 12.907, 13.157],
  ['G 1/4', 12.301, 12.426, 11.445, 11.89],
  ['G 6 A', 162.134, 162.351, 163.396, 163.83],
  ['G 6', 162.351, 162.568, 160.872, 161.512],
  ['G 1/2 A', 19.651, 19.793, 20.671, 20.955],
  ['G 1/2', 19.793, 19.935, 18.631, 19.172],
  ['G 3/8 A', 15.681, 15.806, 16.412, 16.662],
  ['G 3/8', 15.806, 15.931, 14.95, 15.395],
  ['G 2 1/4 A', 64.014, 64.231, 65.276, 65.71],
  ['G 2 1/4', 64.231, 64.448, 62.752, 63.392],
];

const limits = (designation: string) => {
  const read = threadLimits(designation);
  if (!read.ok) throw new Error(designation);
  return read;
};

describe('BS 93', () => {
  it.each(ba)('%s: pitch %d, major %d, effective %d, minor %d', (name, pitch, major, effective, minor) => {
    const { basic, ...thread } = limits(name);
    if (pitch !== null) expect(thread.pitch).toBeCloseTo(pitch, 6);
    if (major !== null) expect(basic.major).toBeCloseTo(major, 6);
    if (effective !== null) expect(basic.pitchDiameter).toBeCloseTo(effective, 6);
    if (minor !== null) expect(basic.minor).toBeCloseTo(minor, 6);
    expect(thread.remark).toBeDefined();
  });
});

describe('BS 84', () => {
  it.each(whitworth)('%s: effective %d, minor %d in', (name, effective, minor) => {
    const { basic } = limits(name);
    expect((basic.pitchDiameter ?? 0) / 25.4).toBeCloseTo(effective, 6);
    expect((basic.minor ?? 0) / 25.4).toBeCloseTo(minor, 6);
  });

  it('finds the threads to the inch of a size by its series, and asks about another', () => {
    expect(limits('1/4 BSW').designation).toBe('1/4-20 BSW');
    expect(limits('1/2 BSF').designation).toBe('1/2-16 BSF');
    expect(limits('1/4-40 ME').designation).toBe('1/4-40 ME');
    for (const text of ['1/4-22 BSW', '11/64 BSF', '1/2-40 ME', '26 BA', 'G 9']) expect(threadLimits(text).ok).toBe(false);
    for (const [size, tpi] of [...bswSizes]) expect(limits(`${size} BSW`).pitch).toBeCloseTo(25.4 / tpi, 9);
    for (const [size, tpi] of [...bsfSizes]) expect(limits(`${size} BSF`).pitch).toBeCloseTo(25.4 / tpi, 9);
  });
});

describe('ISO 228-1', () => {
  it.each(pipe)('%s', (name, pitchMin, pitchMax, otherMin, otherMax) => {
    const { pitchDiameter, major, minor, internal } = limits(name);
    expect([pitchDiameter.min, pitchDiameter.max]).toEqual([expect.closeTo(pitchMin, 6), expect.closeTo(pitchMax, 6)]);
    const other = internal ? minor : major;
    expect([other.min, other.max]).toEqual([expect.closeTo(otherMin, 6), expect.closeTo(otherMax, 6)]);
  });

  it('gives class B twice the pitch tolerance of A', () => {
    const [a, b] = [limits('G 1/2 A').pitchDiameter, limits('G 1/2 B').pitchDiameter];
    expect((b.max ?? 0) - (b.min ?? 0)).toBeCloseTo(2 * ((a.max ?? 0) - (a.min ?? 0)), 6);
  });
});

describe('where these threads are used', () => {
  it('are drawn outside and in a hole, each with its own half', () => {
    for (const text of ['1/4-20 BSW', 'G 1/2 A', '2 BA']) expect(readExternalThread(text)).toMatchObject({ ok: true, thread: { internal: false } });
    for (const text of ['1/4-20 BSW', 'G 1/2', '2 BA']) expect(readInternalThread(text)).toMatchObject({ ok: true, thread: { internal: true } });
    expect(readInternalThread('G 1/2 A')).toMatchObject({ ok: false, nearest: ['G 1/2'] });
    expect(readExternalThread('G 1/2')).toMatchObject({ ok: false, nearest: ['G 1/2 A'] });
    // G 1/2: major 20.955, minor 18.631 (ISO 228-1, from memory)
    expect(readInternalThread('G 1/2')).toMatchObject({ thread: { crest: 18.631, root: 20.955 } });
  });

  it('a class typed for the wrong half is told with the right one', () => {
    expect(readExternalThread('M12-6H')).toMatchObject({ nearest: ['M12x1.75-6g'] });
    expect(readExternalThread('1/4-20 UNC-2B')).toMatchObject({ nearest: ['1/4-20 UNC-2A'] });
    expect(readInternalThread('M12x1.5-6g')).toMatchObject({ nearest: ['M12x1.5-6H'] });
    expect(readInternalThread('Tr20x4')).toMatchObject({ thread: { designation: 'Tr20x4 nut', crest: 16, root: 20.5 } });
  });

  it('take wires of their own angle', () => {
    const read = wires('2 BA');
    expect(read.ok && read.best).toBeCloseTo(0.81 * 0.54626, 4);
    expect(wires('G 1/2 A')).toMatchObject({ ok: true, over: { max: expect.any(Number) as number } });
  });
});
