import type { Bar, Choice, Job, Shop } from '../document';
import { type Part, widestOf } from '../drawing';
import type { Finding, Mend } from '../finding';
import { atLeast, diameter, fallsShort, length, PLACE, say } from '../quantity';
import { mmOf, practice } from '../shop';
import { materialOf } from '../standards';

export const largestDiameter = (part: Part): number => Math.max(0, ...part.features.filter((f) => f.side === 'outside').map((f) => widestOf(f).max));

/** The drawn or ground surface of a bar may stay where the largest rows ask for nothing finer. @source bar-diameter, common practice */
export function surfaceStays(part: Part, bar: Bar): boolean {
  const across = mmOf(bar.across);
  const largest = part.features.filter((f) => f.side === 'outside' && Math.abs(f.nearDiameter.nominal - across) < 0.02);
  return (
    bar.skin !== 'hot' &&
    bar.skin !== 'sawn' &&
    largest.length > 0 &&
    largest.every((f) => f.form === 'cylinder' && f.finish === undefined && (f.nearDiameter.from === 'general' || bar.skin === 'ground'))
  );
}

/** Least bar diameter for a part: nothing over where the surface stays, else the clean-up its skin wants. */
function needed(part: Part, bar: Bar): number {
  const nominal = Math.max(0, ...part.features.filter((f) => f.side === 'outside').map((f) => widestOf(f).nominal));
  const cleanUp = { ground: 0, drawn: 0.5, hot: 2.5, sawn: 4 }[bar.skin];
  return surfaceStays(part, bar) ? nominal : nominal + cleanUp;
}

/** A hexagon or square that the drawing leaves as bar, and this bar is not: it has to be milled. */
function notAsDrawn(part: Part, bar: Bar): readonly Finding[] {
  const sides = { hex: 6, square: 4, round: 0, tube: 0 }[bar.form];
  return part.features
    .filter((f) => f.form === 'polygon' && !(sides === f.sides && Math.abs(mmOf(bar.across) - (f.across?.nominal ?? 0)) < 0.05))
    .map((f) => ({
      code: 'polygon-not-bar',
      about: `${f.id}.diameter`,
      severity: 'note' as const,
      says: say`${f.sides === 6 ? 'hexagon' : 'square'} ${length(f.across?.nominal ?? 0)} across: turned to its corners, ${diameter(f.nearDiameter.nominal)}, and milled`,
      why: say`${bar.name} is not of that shape; a bar that is saves the milling`,
      mends: [],
    }));
}

export interface BarChoice {
  readonly bar: Bar;
  /** it is not on the rack: the route goes as far as it goes, with a bar as it would be ordered */
  readonly toOrder: boolean;
  readonly findings: readonly Finding[];
}

/** The bar chosen, else the smallest round bar of the drawing's material on the rack that cleans up. */
export function chooseBar(job: Job, part: Part, shop: Shop): BarChoice {
  const choice = job.choices.findLast((c) => c.kind === 'bar');
  const round = shop.bars
    .filter((b) => b.form === 'round' && b.material === job.drawing.material)
    .toSorted((a, b) => mmOf(a.across) - mmOf(b.across));
  const fitting = round.filter((b) => atLeast(mmOf(b.across), needed(part, b), PLACE));
  const chosen = choice && shop.bars.find((b) => b.id === choice.bar);
  const largest = largestDiameter(part);
  if (chosen && fallsShort(mmOf(chosen.across), needed(part, chosen), PLACE)) {
    return {
      bar: chosen,
      toOrder: false,
      findings: [
        {
          code: 'bar-too-small',
          about: 'bar',
          severity: 'stop',
          says: say`${chosen.name} is ${diameter(mmOf(chosen.across))}; the part wants ${diameter(needed(part, chosen))} to clean up`,
          why: say`what is not there cannot be turned`,
          mends: fitting.slice(0, 2).map(take),
        },
      ],
    };
  }
  // of those that clean up, one that is long enough before one that is not
  const bar = chosen ?? fitting.find((b) => mmOf(b.length) >= part.length + practice.leastBeyond) ?? fitting[0];
  if (bar) return { bar, toOrder: false, findings: notAsDrawn(part, bar) };
  const material = materialOf(job.drawing.material);
  const other = shop.bars.filter((b) => b.form === 'round' && mmOf(b.across) >= needed(part, b)).toSorted((a, b) => mmOf(a.across) - mmOf(b.across));
  const wanted = orderedBar(material.id, material.name, Math.ceil(largest + 1), part.length);
  return {
    bar: wanted,
    toOrder: true,
    findings: [
      {
        code: 'bar-too-small',
        about: 'bar',
        severity: 'stop',
        says: say`no ${material.name} bar on the rack is large enough for ${diameter(largest)}`,
        why: say`the bar comes first; the route is laid out for ${wanted.name}`,
        mends: [
          ...other
            .slice(0, 1)
            .map((b): Mend => ({
              says: say`take ${b.name} and its material`,
              to: 'job',
              edits: [...take(b).edits, { op: 'put', at: 'drawing/material', value: b.material }],
            })),
          { says: say`put ${wanted.name} on the rack`, to: 'shop', edits: [{ op: 'put', at: `bars/#${wanted.id}`, value: wanted }] },
        ],
      },
    ],
  };
}

/** A bar as it would be ordered: a whole millimetre over what is wanted, drawn, a metre long or as long as the part asks for. */
const orderedBar = (material: string, name: string, across: number, length: number): Bar => ({
  id: `bar-${material}-${String(across)}`,
  name: `${name} ${String(across)}`,
  material,
  across: { text: String(across), units: 'mm' },
  form: 'round',
  skin: 'drawn',
  length: { text: String(Math.max(1000, Math.ceil(length + 100))), units: 'mm' },
  assumed: ['length'],
});

const take = (bar: Bar): Mend => {
  const value: Choice = { kind: 'bar', id: 'bar', bar: bar.id };
  return { says: say`take ${bar.name}`, to: 'job', edits: [{ op: 'put', at: 'choices/#bar', value }] };
};
