import { feedFor, finishOf } from './finish';
import { taylor, toolLife } from './toolLife';

describe('finish of a round nose', () => {
  /* Rt = f^2 / (8 r), exact arithmetic of the approximation */
  it.each([
    [0.15, 0.4, 7.0312],
    [0.05, 0.2, 1.5625],
    [0.1, 0.4, 3.125],
  ])('feed %d, nose %d: Rt %d', (feed, nose, Rt) => {
    expect(finishOf(feed, nose).Rt).toBeCloseTo(Rt, 4);
  });

  it('the arc itself is 0.4 % higher at a quarter of the radius', () => {
    const { Rt, exact } = finishOf(0.1, 0.4);
    expect((100 * exact) / Rt - 100).toBeCloseTo(0.4, 1);
  });

  it('Ra against the trace itself, integrated', () => {
    const [feed, nose] = [0.2, 0.8];
    const heights = Array.from({ length: 20001 }, (_, i) => ((i / 20000 - 0.5) * feed) ** 2 / (2 * nose));
    const mean = heights.reduce((a, b) => a + b, 0) / heights.length;
    const Ra = heights.reduce((a, h) => a + Math.abs(h - mean), 0) / heights.length;
    expect(finishOf(feed, nose).Ra / 1000 / Ra).toBeCloseTo(1, 3);
  });

  it('there and back', () => {
    for (const Ra of [0.4, 1.6, 3.2]) expect(finishOf(feedFor(Ra, 0.8), 0.8).Ra).toBeCloseTo(Ra, 9);
    expect(() => finishOf(0.5, 0.4)).toThrow(RangeError);
  });
});

describe('tool life', () => {
  it('Groover, Fundamentals of Modern Manufacturing, from memory: 160 m/min 5 min, 100 m/min 41 min: n 0.223, C 229', () => {
    const { n, C } = taylor(160, 5, 100, 41);
    expect(n).toBeGreaterThanOrEqual(0.223);
    expect(n).toBeLessThanOrEqual(0.224);
    expect(C).toBeGreaterThanOrEqual(229);
    expect(C).toBeLessThanOrEqual(229.3);
  });

  it('Kalpakjian, from memory: n 0.5, half the speed lives four times as long', () => {
    const law = { n: 0.5, C: 120 };
    expect(toolLife(30, law) / toolLife(60, law)).toBeCloseTo(4, 9);
  });

  it('the faster must wear sooner', () => expect(() => taylor(160, 41, 100, 5)).toThrow(RangeError));
});
