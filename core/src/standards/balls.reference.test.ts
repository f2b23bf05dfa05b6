import { balls, overBalls } from './balls';
import { lowest, overWires, radians, type WireForm } from './wires';

/**
 * By contact: the centre of a ball in the groove of a nut, touching both flanks of the screw surface. It takes no formula: the least distance of a point from the straight
 * lines that the screw sweeps.
 */
function byContact({ pitchDiameter, pitch, half, lead = pitch }: WireForm, ball: number): number {
  const slope = Math.tan(radians(half));
  const distance = (at: number): number =>
    lowest(
      (angle) => {
        // a line of the upper flank: at the pitch radius it lies pitch / 4 above the middle of the groove, and comes to the middle further out
        const c = (lead * angle) / (2 * Math.PI) + pitch / 4 + (pitchDiameter / 2) * slope;
        const d = [Math.cos(angle), Math.sin(angle), -slope] as const;
        const p = [at, 0, -c] as const;
        const cross = [p[1] * d[2] - p[2] * d[1], p[2] * d[0] - p[0] * d[2], p[0] * d[1] - p[1] * d[0]] as const;
        return Math.hypot(...cross) / Math.hypot(...d);
      },
      -0.5,
      0.5,
    );
  // the further out, the nearer the flanks
  let [a, b] = [pitchDiameter / 2 - 2 * pitch, pitchDiameter / 2 + pitch];
  for (let i = 0; i < 60; i++) {
    const mid = (a + b) / 2;
    if (distance(mid) > ball / 2) a = mid;
    else b = mid;
  }
  return a + b + ball;
}

describe('over balls in a nut', () => {
  it.each([
    ['M12', { pitchDiameter: 10.863, pitch: 1.75, half: 30 }, 1.01],
    ['M24x2', { pitchDiameter: 22.701, pitch: 2, half: 30 }, 1.155],
    ['1/2-13 UNC', { pitchDiameter: 11.43, pitch: 25.4 / 13, half: 30 }, 1.128],
    ['1/2 BSW', { pitchDiameter: 11.345, pitch: 25.4 / 12, half: 27.5 }, 1.193],
  ])('of %s it is what the contact of a ball gives, within a micrometre', (_, form, ball) => {
    expect(overBalls(form, ball)).toBeCloseTo(byContact(form, ball), 3);
  });

  it('the best ball of 60 degrees touches at the pitch line: half a ball more than the pitch diameter is measured', () => {
    // general geometry: its middle stands W / 2 x sin 30 inside the pitch line, on both sides
    const ball = 2 / Math.sqrt(3);
    expect(overBalls({ pitchDiameter: 22.701, pitch: 2, half: 30, lead: 0 }, ball) - 22.701).toBeCloseTo(ball / 2, 9);
  });

  it('a ball and a wire of one size lie mirrored about the pitch line of a groove without lead', () => {
    const form = { pitchDiameter: 20, pitch: 2.5, half: 30, lead: 0 };
    const ball = 1.4;
    expect(overBalls(form, ball) - ball - 20).toBeCloseTo(-(overWires(form, ball) - ball - 20), 9);
  });

  it.each(['M12-6H', 'M20x1.5-6H', '1/2-13 UNC-2B'])('%s has a ball that does, and limits a pitch tolerance apart', (designation) => {
    const found = balls(designation);
    if (!found.ok || found.over.max === null || found.over.min === null) throw new Error('not found');
    const { max, min } = found.thread.pitchDiameter;
    expect(found.best).toBeGreaterThan(found.smallest);
    expect(found.best).toBeLessThan(found.largest);
    expect(found.over.max - found.over.min).toBeCloseTo((max ?? 0) - (min ?? 0), 3);
  });

  it('refuses a bolt, and a ball that falls through', () => {
    expect(balls('M12-6g').ok).toBe(false);
    expect(balls('M12-6H', 0.3).ok).toBe(false);
    expect(balls('M12-6H', 5).ok).toBe(false);
  });
});
