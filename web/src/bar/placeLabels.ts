/** A label above or below the picture. */
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

/** Where it is said in two lines they stand on two levels, this one the nearer to the part. */
export interface Placed extends Label {
  /** middle of the text */
  readonly x: number;
  /** 0 is nearest to the part; a length in its own span stands at 0 */
  readonly level: number;
  /** where its leader comes to the text: straight along the part from what it points at, then straight to it */
  readonly foot: number;
}

const CHARACTER = 7.6;
/** Between texts on one level: a letter and a little. */
const GAP = 10;
/** A leader keeps this far from texts that it passes, and from other leaders, px. */
const CLEAR = 6;
/** Within the ends of its text. */
const INSIDE = 3;
/** What a level further away, a second line, a short name, and being left out cost beside a px of leader. */
const [LEVEL, BROKEN, SHORT, LEFT_OUT] = [22, 9, 160, 900];
/** A label is moved aside this far at most, px. */
const FAR = 150;
/** Ways that are looked at side by side. */
const WAYS = 12;

const linesOf = (text: string): readonly string[] => text.split('\n');

export const widthOf = (text: string): number => Math.max(...linesOf(text).map((line) => line.length)) * CHARACTER;

/** How many levels a text takes. */
export const tallOf = (text: string): number => linesOf(text).length;

/** A text of at least this many letters is worth two lines, where that makes it narrower by a few. */
const [LONG, NARROWER] = [9, 2];

/** A size with its fit, a thread with its class, in two lines: before its deviations, else at the space or dash that leaves the longer line shortest. Undefined where that gains nothing. */
export function broken(text: string): string | undefined {
  if (text.length < LONG) return undefined;
  const at = [...text.matchAll(/[ -]/g)].map(({ index }) =>
    text[index] === '-' ? [text.slice(0, index + 1), text.slice(index + 1)] : [text.slice(0, index), text.slice(index + 1)],
  );
  // a sign that stands alone belongs to what it is of
  const good = at.filter(([a = '', b = '']) => a.length > 1 && b.length > 0 && !/^[+\-±]$/.test(a));
  // deviations stay together
  const signed = good.find(([, b = '']) => /^[+\-±]/.test(b));
  const [shortest] = good.toSorted(([a = '', b = ''], [c = '', d = '']) => Math.max(a.length, b.length) - Math.max(c.length, d.length));
  const best = signed ?? shortest;
  const longest = Math.max(...(best ?? [text]).map((line) => line.length));
  return best && text.length - longest >= NARROWER ? best.join('\n') : undefined;
}

/** Labels placed so far, from the left: how far each level is taken, where the last leader stands, what it cost. */
interface Way {
  readonly edges: readonly number[];
  readonly foot: number;
  readonly cost: number;
  readonly last: Placed | undefined;
  readonly before: Way | undefined;
}

/**
 * Places labels in a few levels, each as near to what it points at as it can stand: texts keep a letter's gap, leaders cross neither each other nor a text. A length
 * that fits stands in its own span. One that has no room is said short; one that has no room even so is left out. From the left, the best of several ways.
 */
export function place(labels: readonly Label[], width: number, levels = 3): readonly Placed[] {
  const placed = new Map<string, Placed>();
  const led: Label[] = [];
  for (const label of labels) {
    const half = widthOf(label.text) / 2;
    if (label.span > 0 && 2 * half <= label.span - 6 && label.at - half >= 4 && label.at + half <= width - 4)
      placed.set(label.id, { ...label, x: label.at, level: 0, foot: label.at });
    else led.push(label);
  }
  const first = labels.some((l) => l.span > 0) ? 1 : 0;
  let ways: readonly Way[] = [{ edges: Array.from({ length: levels }, () => -GAP), foot: -Infinity, cost: 0, last: undefined, before: undefined }];
  let behind = -Infinity;
  for (const label of led.toSorted((a, b) => a.at - b.at)) {
    // two that point at one place stand beside each other
    const at = Math.max(label.at, behind + CLEAR);
    behind = at;
    const best: Way[] = [];
    const two = broken(label.text);
    const texts = [label.text, ...(two === undefined ? [] : [two]), ...(label.short === undefined ? [] : [label.short])];
    for (const before of ways) {
      keepBest(best, before.cost + LEFT_OUT, () => ({ ...before, cost: before.cost + LEFT_OUT, last: undefined, before }));
      for (const text of texts)
        for (let level = first; level + tallOf(text) <= levels; level++)
          for (const { x, foot } of spots(before, at, text, level, width)) {
            const said = text === label.text ? 0 : text === two ? BROKEN : SHORT;
            const cost = before.cost + (level - first) * LEVEL + Math.abs(foot - at) + 0.15 * Math.abs(x - at) + said;
            keepBest(best, cost, () => ({
              edges: before.edges.map((edge, l) =>
                l >= level && l < level + tallOf(text) ? x + widthOf(text) / 2 : l < level ? Math.max(edge, foot + CLEAR - GAP) : edge,
              ),
              foot,
              cost,
              last: { ...label, at, text, x, foot, level },
              before,
            }));
          }
    }
    ways = best;
  }
  for (let way = ways[0]; way; way = way.before) if (way.last) placed.set(way.last.id, way.last);
  return labels.flatMap((l) => placed.get(l.id) ?? []);
}

/** Puts a way among the best, which stand in order, if it is one of them; of equals the earlier one. */
function keepBest(best: Way[], cost: number, make: () => Way): void {
  if (best.length === WAYS && cost >= (best.at(-1)?.cost ?? 0)) return;
  let i = best.length;
  while (i > 0 && (best[i - 1]?.cost ?? 0) > cost) i--;
  best.splice(i, 0, make());
  if (best.length > WAYS) best.pop();
}

/** Where a text may stand on a level, to the right of what stands there, its leader clear of the texts that it passes and of the last leader. */
function spots(
  { edges, foot }: Way,
  at: number,
  text: string,
  level: number,
  width: number,
): readonly { readonly x: number; readonly foot: number }[] {
  const half = widthOf(text) / 2;
  const taken = Math.max(...edges.slice(level, level + tallOf(text)));
  const [least, most] = [Math.max(taken + GAP + half, half + 4), width - half - 4];
  let from = foot + CLEAR;
  for (let l = 0; l < level; l++) from = Math.max(from, (edges[l] ?? 0) + CLEAR);
  const found: { x: number; foot: number }[] = [];
  for (const wanted of [at, at - half + INSIDE, at + half - INSIDE, least]) {
    const x = Math.max(least, wanted);
    const end = Math.max(Math.min(Math.max(at, x - half + INSIDE), x + half - INSIDE), from);
    if (x > most || end > x + half - INSIDE || Math.abs(end - at) > FAR || found.some((f) => f.x === x)) continue;
    found.push({ x, foot: end });
  }
  return found;
}
