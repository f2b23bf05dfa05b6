/** A label above or below the picture, and how far it was moved to clear its neighbours. */
export interface Label {
  readonly id: string;
  readonly text: string;
  /** said in its place where the whole text has no room */
  readonly short?: string;
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
/** A level further away costs as much as this many px to the side. */
const LEVEL = 34;
/** A label is moved aside this far at most, px. */
const FAR = 150;

export const widthOf = (text: string): number => text.length * CHARACTER;

/**
 * Places labels in a few lines, each as near to what it points at as it can stand clear of the others and inside the picture. One that has no room is said short;
 * one that has no room even so is left out.
 */
export function place(labels: readonly Label[], width: number, levels = 3): readonly Placed[] {
  const taken: { readonly from: number; readonly to: number; readonly level: number }[] = [];
  const free = (from: number, to: number, level: number) => taken.every((t) => t.level !== level || from - GAP >= t.to || to + GAP <= t.from);
  const spot = (label: Label, text: string): { x: number; level: number } | undefined => {
    const half = widthOf(text) / 2;
    const inside = (x: number) => Math.min(Math.max(x, half + 4), width - half - 4);
    let best: { x: number; level: number; cost: number } | undefined;
    const least = label.span > 0 && 2 * half > label.span - 6 ? 1 : 0;
    for (let level = least; level < levels; level++) {
      const near = inside(label.at);
      const edges = taken.filter((t) => t.level === level).flatMap((t) => [t.from - GAP - half, t.to + GAP + half]);
      // in line with its own span a length does not move aside
      for (const x of level === 0 && label.span > 0 ? [near] : [near, ...edges]) {
        const cost = (level - least) * LEVEL + Math.abs(x - label.at);
        if (x !== inside(x) || Math.abs(x - label.at) > FAR || (best && cost >= best.cost) || !free(x - half, x + half, level)) continue;
        best = { x, level, cost };
      }
    }
    return best;
  };
  const placed = new Map<string, Placed>();
  // whole texts first, from the middle outwards in reading order; then those that are said short
  for (const short of [false, true])
    for (const label of labels) {
      const text = short ? label.short : label.text;
      if (placed.has(label.id) || text === undefined) continue;
      const found = spot(label, text);
      if (!found) continue;
      const half = widthOf(text) / 2;
      taken.push({ from: found.x - half, to: found.x + half, level: found.level });
      placed.set(label.id, { ...label, text, ...found });
    }
  return labels.flatMap((l) => placed.get(l.id) ?? []);
}
