import type { Bar, Choice, Job, Shop } from '../document';
import { type Feature, type Part, widestOf } from '../drawing';
import type { Finding, Mend } from '../finding';
import { atLeast, diameter, fallsShort, length, PLACE, say } from '../quantity';
import { mmOf, practice } from '../shop';
import { materialOf } from '../standards';
import { regionOf, sectionsOf } from '../stock';

export const largestDiameter = (part: Part): number => Math.max(0, ...part.features.filter((f) => f.side === 'outside').map((f) => widestOf(f).max));

/** What a bar of the rack fills when it turns: over the corners of a hexagon or a square, mm. */
export const sweptBy = (bar: Pick<Bar, 'across' | 'form'>): number =>
  mmOf(bar.across) * (bar.form === 'hex' ? 2 / Math.sqrt(3) : bar.form === 'square' ? Math.SQRT2 : 1);

const SIDES: Readonly<Record<Bar['form'], 0 | 4 | 6>> = { hex: 6, square: 4, round: 0, tube: 0 };

/** A hexagon or square of the drawing that this bar has already. */
export const keptOfBar = (row: Feature, bar: Pick<Bar, 'across' | 'form'>): boolean =>
  row.form === 'polygon' && row.sides === SIDES[bar.form] && Math.abs(mmOf(bar.across) - (row.across?.nominal ?? 0)) < 0.05;

/** The drawn or ground surface of a bar may stay where the largest rows ask for nothing finer. @source bar-diameter, common practice */
export function surfaceStays(part: Part, bar: Bar): boolean {
  const across = mmOf(bar.across);
  if (part.features.some((f) => keptOfBar(f, bar))) return true;
  const largest = part.features.filter((f) => f.side === 'outside' && Math.abs(f.nearDiameter.nominal - across) < 0.02);
  return (
    SIDES[bar.form] === 0 &&
    bar.skin !== 'hot' &&
    bar.skin !== 'sawn' &&
    largest.length > 0 &&
    largest.every((f) => f.form === 'cylinder' && f.finish === undefined && (f.nearDiameter.from === 'general' || bar.skin === 'ground'))
  );
}

/** Least bar diameter for a part: nothing over where the surface stays, else the clean-up its skin wants. */
function needed(part: Part, bar: Bar): number {
  const rows = part.features.filter((f) => f.side === 'outside');
  const cleanUp = { ground: 0, drawn: 0.5, hot: 2.5, sawn: 4 }[bar.skin];
  const stays = surfaceStays(part, bar);
  // what is turned out of a hexagon lies within its flats, and may touch them
  const wants = (f: Feature) => (keptOfBar(f, bar) ? mmOf(bar.across) : widestOf(f).nominal + (stays ? 0 : cleanUp));
  return Math.max(0, ...rows.map(wants));
}

/** A hexagon or square that the drawing leaves as bar, and this bar is not: it has to be milled. */
function notAsDrawn(part: Part, bar: Bar): readonly Finding[] {
  return part.features
    .filter((f) => f.form === 'polygon' && !keptOfBar(f, bar))
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

/** Through all of a part goes a hole that cleans up this tube's. @source bar-or-blank, as-it-is; common practice */
function tubeServes(part: Part, bar: Bar): boolean {
  const inside = mmOf(bar.inside);
  const wall = sectionsOf(regionOf(part.contour), -part.length, 0);
  const narrowest = 2 * Math.min(Infinity, ...wall.map((s) => s.inner));
  return inside > 0 && wall.length > 0 && narrowest >= inside + practice.tubeCleansUp;
}

/** What has to be turned off a length of bar, as its section, mm2: of a tube its wall. */
const sectionOf = (bar: Bar): number => (Math.PI / 4) * (mmOf(bar.across) ** 2 - (bar.form === 'tube' ? mmOf(bar.inside) ** 2 : 0));

/**
 * The bar chosen; else one of the rack, in the drawing's material: a hexagon or square that the drawing leaves as it is; of round bars and tubes that clean up the one with the
 * least metal to turn off.
 */
export function chooseBar(job: Job, part: Part, shop: Shop): BarChoice {
  const choice = job.choices.findLast((c) => c.kind === 'bar');
  const own = shop.bars.filter((b) => b.material === job.drawing.material && atLeast(mmOf(b.across), needed(part, b), PLACE));
  const shaped = own.filter((b) => SIDES[b.form] > 0 && part.features.some((f) => f.form === 'polygon') && notAsDrawn(part, b).length === 0);
  const turned = own.filter((b) => b.form === 'round' || (b.form === 'tube' && tubeServes(part, b))).toSorted((a, b) => sectionOf(a) - sectionOf(b));
  const fitting = [...shaped, ...turned];
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
