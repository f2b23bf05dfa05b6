/* What was there before and after, as whole documents that share structure: an undo is a step back. Values in, values out. */

export interface History<T> {
  readonly past: readonly T[];
  readonly future: readonly T[];
  /** the cell being typed in: its keystrokes are one step */
  readonly typing: string | undefined;
}

export const noHistory: History<never> = { past: [], future: [], typing: undefined };

/** Steps that are kept at the most. */
const MOST_STEPS = 500;

/** With what stands now as a step to come back to, unless the same cell is still being typed in; what was undone is gone. */
export function remembered<T>(history: History<T>, now: T, typing?: string): History<T> {
  if (typing !== undefined && typing === history.typing) return history;
  return { past: [...history.past, now].slice(-MOST_STEPS), future: [], typing };
}

/** One step back or forth: what is to stand now, and the history then; undefined where there is none. */
export function travelled<T>(history: History<T>, way: 'undo' | 'redo', now: T): { readonly to: T; readonly history: History<T> } | undefined {
  const [from, towards] = way === 'undo' ? [history.past, history.future] : [history.future, history.past];
  const to = from.at(-1);
  if (to === undefined) return undefined;
  const [left, grown] = [from.slice(0, -1), [...towards, now]];
  return { to, history: way === 'undo' ? { past: left, future: grown, typing: undefined } : { past: grown, future: left, typing: undefined } };
}

/** Every step changed alike: what none of them may take along any more. */
export const eachStep = <T>({ past, future, typing }: History<T>, change: (step: T) => T): History<T> => ({
  past: past.map(change),
  future: future.map(change),
  typing,
});
