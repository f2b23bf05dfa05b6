import type { Film, Reel, Way } from '@obra/core/proof';
import { beginsOf, momentAt, timeOf, touchTimes } from './moments';

const way = (minutes: number): Way => ({ from: [2, 10], to: [-20, 10], cuts: true, minutes, before: [], after: [], leaves: 'left' });
const reel = (step: string, minutes: number, hands: number, ways: readonly Way[], more: Partial<Reel> = {}): Reel => ({
  setup: 'right-1',
  step,
  verb: 'rough-turn',
  turned: false,
  minutes,
  hands,
  tool: [],
  ways,
  standing: [],
  before: [],
  after: [],
  touches: [],
  ...more,
});
const film: Film = {
  minutes: 10,
  reels: [
    reel('load', 2, 2, []),
    reel('rough', 5, 1, [way(1), way(3)], { touches: [{ way: 1, at: 0.5, point: [0, 0], moving: 'tool', standing: 'jaws', by: 1 }] }),
    reel('own', 0, 0, []),
    reel('part', 3, 1, [way(2)]),
  ],
};
const begins = beginsOf(film, false);

describe('moments of a film', () => {
  it('steps begin one after another, by their minutes or alike', () => {
    expect(begins).toEqual([0, 2, 7, 7, 10]);
    expect(beginsOf(film, true)).toEqual([0, 1, 2, 3, 4]);
  });

  it.each([
    [-5, 0, undefined, 0],
    [0, 0, undefined, 0],
    [1, 0, undefined, 0.5],
    [2.5, 1, undefined, 0.5],
    [3.5, 1, 0, 0.5],
    [4, 1, 1, 0],
    [5.5, 1, 1, 0.5],
    [9, 3, 0, 0.5],
    [99, 3, 0, 1],
  ])('at %p minutes: step %p, way %p, share %p', (time, nth, at, share) => {
    const moment = momentAt(film, begins, time, false);
    expect([moment.reel, moment.way]).toEqual([nth, at]);
    expect(moment.share).toBeCloseTo(share, 9);
  });

  it.each([false, true])('there and back: a moment has one time (alike: %p)', (alike) => {
    const at = beginsOf(film, alike);
    const end = at.at(-1) ?? 0;
    for (let t = 0.01; t < end; t += end / 97) {
      const moment = momentAt(film, at, t, alike);
      // a step without time has no place between its begin and its end
      if (film.reels[moment.reel]?.minutes === 0 && !alike) continue;
      expect(timeOf(film, at, moment, alike)).toBeCloseTo(t, 6);
    }
  });

  it('it stops where two bodies begin to touch: half along the second way', () => {
    expect(touchTimes(film, begins, false)).toEqual([5.5]);
  });

  it('nothing to play is nothing to see', () => {
    expect(momentAt({ reels: [], minutes: 0 }, [0], 3, false)).toEqual({ reel: 0, way: undefined, share: 0 });
  });
});
