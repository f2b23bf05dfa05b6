import { formulas } from './formulas';

describe('formulas against worked examples', () => {
  it.each([
    // definition of cutting speed; exact arithmetic
    [30, 25, 381.972],
    [100, 100, 318.31],
    [15, 10, 477.465],
  ])('%d m/min on %d mm is %d rev/min', (v, d, n) => {
    expect(formulas.speedAsked.compute({ v, d })).toBeCloseTo(n, 2);
  });

  it('rounds down to a speed that the machine has, and never above what the holding allows (common practice)', () => {
    const speeds = [1200, 70, 250, 500];
    expect(formulas.spindleSpeed.compute({ v: 30, d: 25, most: 3000, speeds })).toBe(250);
    expect(formulas.spindleSpeed.compute({ v: 300, d: 25, most: 600, speeds })).toBe(500);
    expect(formulas.spindleSpeed.compute({ v: 1, d: 100, most: 3000, speeds })).toBe(70);
  });

  it.each([
    // Kienzle, lead angle 90 degrees: kc1.1 2500, mc 0.26, 2 mm, 0.2 mm/rev; computed apart, 42CrMo4 at 95 degrees 1520 to 1522 N
    [2500, 0.26, 2, 0.2, 1519.6],
    // 16MnCr5, 1 mm, 0.1 mm/rev: 382 N at 93 degrees
    [2100, 0.26, 1, 0.1, 382.1],
  ])('kc %d, mc %d, depth %d, feed %d cuts with %d N', (kc, mc, ap, f, newtons) => {
    expect(formulas.forceOfEdge.compute({ kc, mc, b: ap, h: f, factor: 1 })).toBeCloseTo(newtons, 0);
  });

  it('1000 N at 60 m/min is 1 kW (definition of power)', () => {
    expect(formulas.power.compute({ Fc: 1000, d: 60000 / (Math.PI * 500), n: 500 })).toBeCloseTo(0.001 * 1000, 6);
  });

  it('feed for a finish: Ra 3.2 with a 0.8 nose wants at most 0.28 mm/rev (geometry of a round nose, Ra = f^2 / (18 sqrt 3 r))', () => {
    const f = formulas.feedForFinish.compute({ Ra: 3.2, r: 0.8, most: 1, feeds: Array.from({ length: 100 }, (_, i) => (i + 1) / 100) });
    expect(f).toBe(0.28);
    expect((1000 * f * f) / (18 * Math.sqrt(3) * 0.8)).toBeLessThan(3.2);
  });

  it.each([
    // common practice, as worked at the bench: 50 mm steel at 60 C reads 0.023 over, at 45 C 0.014; 25 mm at 30 C 0.003
    [50, 60, 0.023],
    [50, 45, 0.014],
    [25, 30, 0.003],
  ])('%d mm of steel at %d C reads %d over', (reading, celsius, over) => {
    expect(reading - formulas.coldSize.compute({ reading, alpha: 11.5, celsius })).toBeCloseTo(over, 3);
  });

  it('a cold size warmed and corrected comes back to within a ten-thousandth', () => {
    const warm = formulas.warmSize.compute({ cold: 24.994, alpha: 11.7, celsius: 60 });
    expect(formulas.coldSize.compute({ reading: warm, alpha: 11.7, celsius: 60 })).toBeCloseTo(24.994, 4);
  });

  it('bar to saw, bare: 70 + 1 + 1.5 + 3 + 8 + 38 = 121.5 (common practice, worked)', () => {
    expect(formulas.barLength.compute({ part: 70, faceA: 1, faceB: 1.5, blade: 3, gap: 8, grip: 38, spare: 0 })).toBe(121.5);
  });

  it.each([
    // infeed by nose, straight from the finished major (common practice): full ISO root 0.613 P
    [1.5, 0.92],
    [2, 1.226],
  ])('thread of pitch %d is cut %d deep for a full root', (P, deep) => {
    expect(formulas.infeed.compute({ k: 0.613, P })).toBeCloseTo(deep, 2);
  });

  it('along a compound at 29.5 degrees the infeed is divided by 0.870 (common practice)', () => {
    expect(formulas.infeedCompound.compute({ k: 0.613, P: 1.5, degrees: 29.5 })).toBeCloseTo((0.613 * 1.5) / 0.87, 2);
  });

  it.each([
    // a 118 degree drill leaves a cone 0.3 of its diameter deep (common practice)
    [10, 59, 3],
    [10, 45, 5],
    [10, 90, 0],
  ])('a %d mm drill, half point angle %d, leaves a cone %d deep', (d, half, cone) => {
    expect(formulas.drillDepth.compute({ depth: 20, d, half }) - 20).toBeCloseTo(cone, 1);
  });
});
