import type { Machine, Shop } from '../document';
import { type CutLength, faceOf, type Feature, innerOf, letterOf, longOf, mouthOf, otherEnd, type Part, toleranceChart, widestOf } from '../drawing';
import { type Step } from '../operations';
import { alike, exceeds, type Figure, figure, length, PLACE, say, tidy } from '../quantity';
import { type End, thingOf } from '../ref';
import type { LedgerLine, Setup } from '../settings';
import { mmOf, practice } from '../shop';
import { boundsOf } from '../stock';

/* The lengths of every setup: what carriage, blade, quill and stop are set to, from the face that is zero there; all of them running totals from that face. */

const blades = new Set<Step['verb']>(['neck', 'groove', 'undercut', 'part-off', 'saw-off']);
const shoulders = new Set<Step['verb']>(['rough-turn', 'finish-turn', 'taper', 'form']);
const holes = new Set<Step['verb']>(['pilot', 'drill', 'bore', 'ream', 'tap']);

/** The setups with their lengths written down, worked from the chart of tolerances of the whole route. */
export function withLengths(setups: readonly Setup[], part: Part, machine: Machine, shop: Shop): readonly Setup[] {
  const chart = chartOf(setups, part);
  return setups.map((setup) => {
    const end = setup.end ?? 'right';
    return { ...setup, lengths: setup.steps.flatMap((step) => lineOf(step, end, part, machine, shop, chart)) };
  });
}

/** A length that is cut, and where. */
export interface MadeLength extends CutLength {
  readonly setup: string;
  /** the last step of that setting which makes it */
  readonly step: string;
}

/** Which face is made from which: the overall length at turning round, every shoulder from the face that is zero in its setup. */
export function chartOf(setups: readonly Setup[], part: Part): readonly MadeLength[] {
  const cuts: (readonly [string, string])[] = [];
  const made = new Map<string, Pick<MadeLength, 'setup' | 'step'>>();
  const first = setups[0]?.end ?? 'right';
  let at: Pick<MadeLength, 'setup' | 'step'> = { setup: '', step: '' };
  const cut = (from: string, to: string | undefined) => {
    if (to === undefined || to === from || to === first) return;
    const before = made.get(to);
    if (!before) cuts.push([from, to]);
    if (!before || before.setup === at.setup) made.set(to, at);
  };
  for (const setup of setups) {
    const end = setup.end ?? 'right';
    for (const step of setup.steps) {
      at = { setup: setup.id, step: step.id };
      if (step.verb === 'face' && end !== first) cut(first, end);
      const row = rowOf(step, part);
      if (row && shoulders.has(step.verb) && endsAtShoulder(part, row, end)) cut(end, faceAt(part, innerOf(row, end)));
      if (row && step.verb === 'neck') {
        cut(end, faceAt(part, mouthOf(row, end)));
        cut(end, faceAt(part, innerOf(row, end)));
      }
      if (row && holes.has(step.verb) && row.through !== true) cut(end, faceAt(part, innerOf(row, end)));
    }
  }
  return toleranceChart(part, cuts).map((c) => ({ ...c, ...(made.get(c.to) ?? at) }));
}

const rowOf = (step: Step, part: Part): Feature | undefined => part.features.find((f) => f.id === thingOf(step.does[0] ?? ''));

/** A row ends at a shoulder where what is beyond it is larger; past a smaller one the tool runs out, and the other end makes that face. */
function endsAtShoulder(part: Part, row: Feature, end: End): boolean {
  const z = innerOf(row, end);
  const beyond = part.features.find((f) => f.side === row.side && f.id !== row.id && alike(mouthOf(f, end), z));
  return beyond !== undefined && exceeds(widestOf(beyond).nominal, widestOf(row).nominal, PLACE);
}

/** The name of the face that lies at a z, as the drawn lengths name it. */
function faceAt(part: Part, z: number): string | undefined {
  const lies = (face: string) => alike(part.faces[face] ?? Infinity, z);
  for (const { a, b } of part.distances) {
    if (lies(a)) return a;
    if (lies(b)) return b;
  }
  return undefined;
}

function lineOf(step: Step, end: End, part: Part, machine: Machine, shop: Shop, chart: readonly CutLength[]): readonly LedgerLine[] {
  const zero = faceOf(part, end);
  const from = end;
  const row = rowOf(step, part);
  const chartTo = (z: number): Pick<LedgerLine, 'min' | 'max'> => {
    const face = faceAt(part, z);
    const line = chart.find((c) => c.to === face && c.from === end) ?? chart.find((c) => c.to === face && c.to === end);
    return line ? { min: line.min, max: line.max } : {};
  };
  const set = (value: number): Figure => figure('length', 'distance', { value: tidy(Math.abs(value)) });
  if (step.verb === 'face' && step.figures['to']) {
    const overall = chart.find((c) => c.to === end && c.from === otherEnd(end));
    return [
      {
        step: step.id,
        says: say`face ${letterOf(end)} from face ${letterOf(otherEnd(end))}, over all`,
        from: otherEnd(end),
        set: set(part.length),
        ...(overall && { min: overall.min, max: overall.max }),
      },
    ];
  }
  if (step.removes.length > 0 && (step.verb === 'rough-turn' || step.verb === 'finish-turn')) {
    const { left, right } = boundsOf(step.removes);
    const inner = end === 'right' ? left : right;
    const shoulder = row !== undefined && endsAtShoulder(part, row, end);
    return [
      {
        step: step.id,
        says: !shoulder ? say`runs out past here` : step.verb === 'rough-turn' ? say`stop short of the shoulder` : say`shoulder`,
        from,
        set: set(inner - zero),
        ...(step.verb === 'finish-turn' && row && shoulder ? chartTo(innerOf(row, end)) : {}),
      },
    ];
  }
  if (step.removes.length > 0 && blades.has(step.verb)) {
    const { left, right } = boundsOf(step.removes);
    const [wall, inner] = end === 'right' ? [right, left] : [left, right];
    const tool = shop.tools.find((t) => t.id === step.tool);
    const width = mmOf(tool?.width, 0);
    const near = Math.abs(wall - zero);
    const wide = Math.abs(inner - wall);
    return [
      {
        step: step.id,
        says: wide > width + 0.05 && width > 0 ? say`wall towards the free end; the other at ${length(near + wide)}` : say`wall towards the free end`,
        from,
        set: set(wall - zero),
        ...(width > 0 && step.verb !== 'saw-off' && { withBlade: figure('length', 'bladeTo', { length: tidy(near), width }) }),
        ...(row && step.verb === 'neck' ? chartTo(mouthOf(row, end)) : {}),
      },
    ];
  }
  if (holes.has(step.verb) || step.verb === 'centre-drill') return holeLine(step, end, row, zero, machine, chartTo);
  if (row && (step.verb === 'thread' || step.verb === 'die')) {
    const usable = step.figures['along']?.value ?? row.usable ?? longOf(row);
    return [{ step: step.id, says: say`full threads to here`, from, set: set(Math.abs(mouthOf(row, end) - zero) + usable) }];
  }
  return [];
}

/** Depths: of the full diameter, the point beyond it, and what the quill has left there. */
function holeLine(
  step: Step,
  end: End,
  row: Feature | undefined,
  zero: number,
  machine: Machine,
  chartTo: (z: number) => Pick<LedgerLine, 'min' | 'max'>,
): readonly LedgerLine[] {
  const { point, depth } = step.figures;
  const byQuill = step.verb !== 'bore';
  const bottom = step.removes.length > 0 ? boundsOf(step.removes) : undefined;
  // from the face that is zero here to where it ends, wherever the metal begins
  const out = bottom && Math.abs((end === 'right' ? bottom.left : bottom.right) - zero);
  const blind = row !== undefined && row.through !== true && step.verb === 'bore';
  const deep = point ?? (step.verb === 'drill' || step.verb === 'pilot' || step.verb === 'centre-drill' ? depth : undefined);
  const value = deep?.value ?? (blind ? Math.abs(innerOf(row, end) - zero) : out);
  if (value === undefined) return [];
  const travel = machine.dials.quill ? mmOf(machine.dials.quill.travel) : undefined;
  return [
    {
      step: step.id,
      says:
        point && depth
          ? say`to the point; full diameter to ${length(depth.value)}`
          : step.verb === 'ream'
            ? say`its lead beyond the size it leaves`
            : step.verb === 'bore' && row?.through === true
              ? say`through, and past the face beyond`
              : say`depth`,
      from: end,
      set: deep ?? figure('length', 'distance', { value: tidy(value) }, { step: 0.1 }),
      ...(byQuill &&
        travel !== undefined && { quillLeft: figure('length', 'quillLeft', { travel, less: practice.quillLess, depth: value }, { step: 1 }) }),
      ...(blind ? chartTo(innerOf(row, end)) : {}),
    },
  ];
}
