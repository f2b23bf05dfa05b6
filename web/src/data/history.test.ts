/* Undo and redo as values: what a person expects of them, held by drawn sequences of doing, undoing and redoing. */
import fc from 'fast-check';
import { eachStep, type History, noHistory, remembered, travelled } from './history';

it('goes back to what was, and forth again', () => {
  const one = remembered<string>(noHistory, 'a');
  const back = travelled(one, 'undo', 'b');
  expect(back?.to).toBe('a');
  expect(back && travelled(back.history, 'redo', 'a')?.to).toBe('b');
});

it('there is nothing before the first nor after the last', () => {
  expect(travelled(noHistory, 'undo', 'a')).toBeUndefined();
  expect(travelled(remembered<string>(noHistory, 'a'), 'redo', 'b')).toBeUndefined();
});

it('keystrokes in one cell are one step; another cell, or another change, begins a new one', () => {
  let history: History<string> = noHistory;
  for (const [now, typing] of [
    ['', 'size'],
    ['2', 'size'],
    ['20', 'size'],
    ['20', 'note'],
    ['20 x', undefined],
  ] as const)
    history = remembered(history, now, typing);
  expect(history.past).toEqual(['', '20', '20 x']);
});

it('a change after an undo lets go of what was undone', () => {
  const back = travelled(remembered<string>(noHistory, 'a'), 'undo', 'b');
  expect(back && remembered(back.history, 'a').future).toEqual([]);
});

it('keeps the last five hundred', () => {
  let history: History<number> = noHistory;
  for (let i = 0; i < 600; i++) history = remembered(history, i);
  expect(history.past).toHaveLength(500);
  expect(history.past[0]).toBe(100);
});

it('changes every step alike, before and after', () => {
  const back = travelled(remembered<number>(remembered<number>(noHistory, 1), 2), 'undo', 3);
  expect(back && eachStep(back.history, (n) => 10 * n)).toEqual({ past: [10], future: [30], typing: undefined });
});

it('whatever is done, as many undos as there are steps lead back to the beginning, and as many redos to the end', () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(fc.nat(), fc.constantFrom('undo' as const, 'redo' as const)), { maxLength: 40 }), (doing) => {
      let now = -1;
      let history: History<number> = noHistory;
      const go = (way: 'undo' | 'redo') => {
        const went = travelled(history, way, now);
        if (went) ({ to: now, history } = went);
        return went !== undefined;
      };
      for (const what of doing)
        if (typeof what === 'string') go(what);
        else {
          history = remembered(history, now);
          now = what;
        }
      const steps = history.past.length + history.future.length;
      while (go('redo'));
      const end = now;
      let back = 0;
      while (go('undo')) back++;
      expect(now).toBe(-1);
      expect(back).toBe(steps);
      while (go('redo'));
      expect(now).toBe(end);
    }),
  );
});
