import { useEffect, useState } from 'react';

/** A press that comes so soon after a card was drawn was meant for the one before, ms. */
export const SETTLES = 250;

/** What a press says when it wrote nothing: the card is still there to be pressed. */
export const REFUSED = Symbol('refused');

/** One card of the Bench takes one press. */
class Card {
  private drawn = -Infinity;
  private taken = false;
  /** true when this press counts: the first of its card, and not a bounce of the one before */
  readonly take = (): boolean => {
    if (this.taken || performance.now() - this.drawn < SETTLES) return false;
    this.taken = true;
    return true;
  };
  /** nothing was written: the card may be pressed again */
  readonly giveBack = (): void => {
    this.taken = false;
  };
  readonly draw = (): void => {
    this.drawn = performance.now();
    this.taken = false;
  };
}

/** The card that `key` names: drawn anew when it changes. */
export function useCard(key: string): Pick<Card, 'take' | 'giveBack'> {
  const [card] = useState(() => new Card());
  useEffect(() => card.draw(), [card, key]);
  return card;
}
