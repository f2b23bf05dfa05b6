import { boltCircle, centresFromPins, chord, circleThrough, flats, indexing, largestAcross } from './circles';
import { drillNamed } from './drills';
import { pinsProve } from './plugPins';
import { oRingCords, oRingGroove, ringGroove } from './rings';
import { boreRings, shaftRings } from './rings.table';
import { countersinkDepth, doesItPass, screwHoles } from './screws';

const mm = (inch: number) => inch * 25.4;

describe('clearance holes', () => {
  /* ISO 273 close, medium, free; from memory */
  it.each([
    ['M3', 3.2, 3.4, 3.6],
    ['M5', 5.3, 5.5, 5.8],
    ['M8', 8.4, 9, 10],
    ['M12', 13, 13.5, 14.5],
    ['M20', 21, 22, 24],
  ])('%s', (screw, close, normal, free) => {
    expect(screwHoles(screw)).toMatchObject({ ok: true, close: { diameter: close }, normal: { diameter: normal }, free: { diameter: free } });
  });

  it.each(['M3', 'M4', 'M6', 'M10', 'M16', '4-40', '6-32', '8-32', '10-32', '10-24', '1/4-20', '3/8-16', '1/2-13', '3/4-10'])(
    '%s passes each of its holes, from close to free, and its head covers the widest (common practice)',
    (screw) => {
      const found = screwHoles(screw);
      if (!found.ok) throw new Error(screw);
      const holes = [found.close, found.normal, found.free].map((h) => h?.diameter ?? NaN);
      expect(holes).toEqual(holes.toSorted((a, b) => a - b));
      for (const hole of holes) expect(doesItPass(screw, hole)).toMatchObject({ passes: true });
      expect(found.cap?.seat).toBeGreaterThan(found.cap?.head ?? NaN);
      expect(found.cap?.head).toBeGreaterThan(holes[2] ?? NaN);
    },
  );

  it.each([
    // worked at the bench: cutter-fits, common practice
    ['5/16-18', '19/64', 7.54, false],
    ['8-32', '#20', 4.09, false],
    ['5/16-18', '21/64', 8.33, true],
    ['8-32', '#15', 4.57, true],
  ])('%s through %s (%d mm): %s', (screw, name, diameter, passes) => {
    const drill = drillNamed(name);
    expect(drill?.diameter).toBeCloseTo(diameter, 2);
    expect(doesItPass(screw, drill?.diameter ?? 0)).toMatchObject({ ok: true, passes });
  });

  it('says what it has no holes for', () => expect(screwHoles('1/4-20 BSW').ok).toBe(false));

  it('a countersink of 90 degrees goes as deep as half of what it opens (geometry)', () => {
    expect(countersinkDepth(12, 6, 90)).toBeCloseTo(3, 9);
    expect(countersinkDepth(12, 6, 82)).toBeGreaterThan(countersinkDepth(12, 6, 90));
    expect(() => countersinkDepth(6, 12, 90)).toThrow(RangeError);
  });
});

describe('plug pins', () => {
  it('minus pins: .250 goes, .251 does not: the hole is between .2498 and .251 (gauge-class, common practice)', () => {
    const { least, most } = pinsProve(mm(0.25), mm(0.251), 'minus', 'ZZ');
    expect(least / 25.4).toBeCloseTo(0.2498, 9);
    expect(most / 25.4).toBeCloseTo(0.251, 9);
  });

  it('plus pins prove up to their own width more', () => {
    const { least, most } = pinsProve(mm(0.25), mm(0.251), 'plus', 'ZZ');
    expect(least / 25.4).toBeCloseTo(0.25, 9);
    expect(most / 25.4).toBeCloseTo(0.2512, 9);
    expect(() => pinsProve(6, 6, 'minus', 'X')).toThrow(RangeError);
  });
});

describe('retaining rings', () => {
  /* DIN 471 and 472: d1, d2, m; from memory */
  it.each([
    ['shaft', 10, 9.6, 1.1],
    ['shaft', 20, 19, 1.3],
    ['shaft', 25, 23.9, 1.3],
    ['shaft', 50, 47, 2.15],
    ['bore', 22, 23, 1.1],
    ['bore', 35, 37, 1.6],
    ['bore', 47, 49.5, 1.85],
    ['bore', 62, 65, 2.15],
  ] as const)('%s %d: groove %d, %d wide', (where, d1, groove, width) => {
    expect(ringGroove(d1, where)).toMatchObject({ ok: true, groove, width });
  });

  it('grooves grow with the ring, and every ring has its width', () => {
    for (const [table, side, where] of [
      [shaftRings, -1, 'shaft'],
      [boreRings, 1, 'bore'],
    ] as const)
      table.forEach(([d1, s, d2], i) => {
        expect(Math.sign(d2 - d1)).toBe(side);
        expect(d2).toBeGreaterThan(table[i - 1]?.[2] ?? 0);
        const read = ringGroove(d1, where);
        expect(read.ok && read.width - s).toBeGreaterThan(0.09);
        expect(read.ok && read.width - s).toBeLessThan(0.16);
      });
  });

  it('names its neighbours when there is none', () => expect(ringGroove(23, 'shaft')).toMatchObject({ ok: false, nearest: ['22', '24'] }));
});

describe('O-rings', () => {
  it.each(oRingCords)('a cord of %d mm: squeezed 10 to 30 %%, more when still, and never fills its groove (common practice)', (cord) => {
    const [still, moving] = [oRingGroove(cord, false), oRingGroove(cord, true)];
    if (!still.ok || !moving.ok) throw new Error('no groove');
    expect(still.squeeze).toBeGreaterThan(moving.squeeze);
    expect(still.squeeze).toBeLessThan(30);
    expect(moving.squeeze).toBeGreaterThan(10);
    for (const { fill } of [still, moving]) expect(fill).toBeLessThan(90);
  });

  it('has five cords and says so', () => expect(oRingGroove(3, false).ok).toBe(false));
});

describe('beside the lathe', () => {
  it('bolt circle: six on 100 mm stand 50 mm apart, the first where asked (geometry of the hexagon)', () => {
    const holes = boltCircle(6, 100, 90);
    expect(holes[0]).toEqual({ number: 1, angle: 90, x: 0, y: 50 });
    expect(chord(6, 100)).toBeCloseTo(50, 9);
    const [a, b] = holes;
    expect(Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0))).toBeCloseTo(50, 6);
  });

  it('a circle of five by the chord of two steps, and from pins (bolt-circle, common practice)', () => {
    expect(circleThrough(chord(5, 80, 2), 5, 2)).toBeCloseTo(80, 9);
    expect(centresFromPins(56, 44)).toBe(50);
  });

  it('hexagon in 21.87 mm: 18.94 across, 1.465 deep (flats, common practice, worked)', () => {
    expect(largestAcross(21.87, 6)).toBeCloseTo(18.94, 2);
    expect(flats(21.87, 18.94, 6).depth).toBeCloseTo(1.465, 3);
    expect(largestAcross(1, 6)).toBeCloseTo(0.866, 3);
    expect(largestAcross(1, 4)).toBeCloseTo(0.7071, 4);
    expect(flats(20, 17, 6).full).toBe(true);
    expect(flats(20, 18, 6).full).toBe(false);
    expect(flats(20, 16, 2).width).toBeCloseTo(12, 9);
  });

  it.each([
    // turns = 40 / divisions: handbook examples, from memory
    [7, 21, 5, 15],
    [7, 49, 5, 35],
    [27, 27, 1, 13],
    [6, 18, 6, 12],
    [40, 20, 1, 0],
  ])('%d divisions on a plate of %d: %d turns and %d holes', (count, plate, turns, holes) => {
    expect(indexing(count, [plate])).toEqual([{ plate, turns, holes }]);
  });

  it('a plate on which it does not come out is not named', () => expect(indexing(127, [47, 49])).toEqual([]));
});
