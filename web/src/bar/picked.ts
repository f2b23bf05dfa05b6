import type { KeyboardEvent, MouseEvent } from 'react';

/** Opens a cell from something in the picture. */
export type PickCell = (cell: string, says: string, from: SVGElement) => void;

/** What makes a part of the picture answer. */
export interface Pressed {
  readonly role?: 'button';
  readonly 'aria-label'?: string;
  readonly 'data-pick'?: string;
  readonly tabIndex?: number;
  readonly onClick?: (e: MouseEvent<SVGElement>) => void;
  readonly onKeyDown?: (e: KeyboardEvent<SVGElement>) => void;
}

/** A part of the picture answers a press, a tap, Enter and Space; arrow keys go from one to the next, one of them stands in the order of Tab. */
export const picked = (pick: PickCell | undefined, cell: string, says: string, first = false): Pressed =>
  pick
    ? {
        role: 'button',
        'aria-label': says,
        'data-pick': cell,
        tabIndex: first ? 0 : -1,
        onClick: (e) => pick(cell, says, e.currentTarget),
        onKeyDown: (e) => {
          if (e.key !== 'Enter' && e.key !== ' ') return;
          e.preventDefault();
          e.stopPropagation();
          pick(cell, says, e.currentTarget);
        },
      }
    : {};

/** Arrow keys go from one thing in the picture to the next. */
export function walk(e: KeyboardEvent<HTMLElement>): void {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
  const all = [...e.currentTarget.querySelectorAll<SVGElement>('[data-pick]')];
  const at = all.findIndex((one) => one === e.target);
  if (by === undefined || at < 0) return;
  e.preventDefault();
  e.stopPropagation();
  all[(at + by + all.length) % all.length]?.focus();
}
