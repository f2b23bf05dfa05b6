/** A label above or below the picture, and how far it was moved to clear its neighbours. */
export interface Label {
  readonly id: string;
  readonly text: string;
  /** what it points at, px */
  readonly at: number;
  /** room it names (a dimension's own span), px; 0 for a leader */
  readonly span: number;
}

export interface Placed extends Label {
  readonly x: number;
  /** 0 is nearest to the part */
  readonly level: number;
}

const CHARACTER = 7.6;
const GAP = 10;

export const widthOf = (text: string): number => text.length * CHARACTER;

/** Places labels along a line, each on the lowest level where it is clear of the others and inside the picture. */
export function place(labels: readonly Label[], width: number): readonly Placed[] {
  const taken: { from: number; to: number; level: number }[] = [];
  return labels.map((label) => {
    const half = widthOf(label.text) / 2;
    const x = Math.min(Math.max(label.at, half + 4), width - half - 4);
    let level = label.span > 0 && widthOf(label.text) > label.span - 6 ? 1 : 0;
    while (taken.some((t) => t.level === level && x - half - GAP < t.to && x + half + GAP > t.from)) level++;
    taken.push({ from: x - half, to: x + half, level });
    return { ...label, x, level };
  });
}
