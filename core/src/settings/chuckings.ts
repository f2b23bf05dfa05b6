import type { Support } from '../holding';
import type { Figure } from '../quantity';
import type { Setup } from './setup';

/** What is held once: one setting, or several between which the bar was only pulled out of the same chuck. */
export interface Chucking {
  /** of its first setting: choices of how it is held name it */
  readonly id: string;
  readonly end: Setup['end'];
  readonly holding: string;
  /** brought in any of its settings */
  readonly support: readonly Support[];
  readonly grip: Figure;
  /** at the last */
  readonly stickOut: Figure;
  readonly settings: readonly Setup[];
}

/** The chuckings of a route in their order. */
export function chuckingsOf(setups: readonly Setup[]): readonly Chucking[] {
  const together = setups.reduce<Setup[][]>((so, setup) => {
    const last = so.at(-1);
    if (setup.pulled && last) last.push(setup);
    else so.push([setup]);
    return so;
  }, []);
  return together.flatMap((settings): Chucking[] => {
    const [first, last] = [settings[0], settings.at(-1)];
    if (!first || !last) return [];
    const { id, end, holding } = first;
    const all = settings.flatMap((s) => s.support);
    const support = all.filter((x, i) => all.findIndex((y) => y.item === x.item) === i);
    return [{ id, end, holding, support, grip: last.grip, stickOut: last.stickOut, settings }];
  });
}

/** The chucking that a setting belongs to. */
export const chuckingOf = (setups: readonly Setup[], id: string): Chucking | undefined =>
  chuckingsOf(setups).find((c) => c.settings.some((s) => s.id === id));
