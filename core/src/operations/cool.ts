import { practice } from '../shop';
import { inCut } from '../cutting';
import type { Feature } from '../drawing';
import { coolingConstant, SHEDS } from '../mechanics';
import { diameter, type Figure, figure, growth, length, say, temperature, REFERENCE } from '../quantity';
import { type Region, sectionsOf } from '../stock';
import { type Facts, reason, wayChosen } from './facts';
import { addStep, type Operation, operation } from './outcome';
import type { Step } from './step';

/** How warm the cuts of these steps may have left a piece, at the most; undefined where there is none. @source hot-reads-big */
export function warmthOf({ material }: Pick<Facts, 'material'>, stock: Region, steps: readonly Pick<Step, 'figures'>[]): Figure | undefined {
  const volume = sectionsOf(stock, -1e4, 1e4).reduce((sum, s) => sum + Math.PI * (s.outer ** 2 - s.inner ** 2) * (s.to - s.from), 0);
  if (!(volume > 0)) return undefined;
  const joules = steps.reduce((sum, s) => sum + (s.figures['power']?.value ?? 0) * inCut(s.figures) * 60, 0);
  return figure(
    'temperature',
    'warmth',
    { room: REFERENCE, joules, share: practice.heatStays, mass: (volume * material.density) / 1e9, heat: material.heat, most: practice.warmest },
    { step: 1 },
  );
}

/** A wait before the fine sizes: as warm as roughing leaves it, until a tenth of the finest tolerance is all that warmth can pretend. */
export const coolDown = (finest: Feature): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const { material } = facts;
    const pieces = sectionsOf(at.stock, -1e4, 1e4);
    const volume = pieces.reduce((sum, s) => sum + Math.PI * (s.outer ** 2 - s.inner ** 2) * (s.to - s.from), 0);
    const area = pieces.reduce((sum, s) => sum + 2 * Math.PI * s.outer * (s.to - s.from), 0);
    const warm = warmthOf(facts, at.stock, at.steps);
    if (!warm || !(area > 0)) return;
    const tolerance = finest.nearDiameter.max - finest.nearDiameter.min;
    const size = finest.nearDiameter.nominal;
    const wanted = REFERENCE + Math.max(0.5, (practice.warmthPretends * tolerance * 1e6) / (size * material.alpha));
    const flood = wayChosen(facts, 'cooling') === 'flood';
    const constant = coolingConstant({ volume, area, density: material.density, heat: material.heat }, flood ? SHEDS.flood : SHEDS.dull) / 60;
    const hands = flood ? 2 : 1;
    const minutes = figure('time', 'coolFor', { constant, warm: warm.value, wanted, room: REFERENCE, handling: hands });
    addStep(draft, {
      verb: 'cool',
      about: at.end,
      says: say`${flood ? 'in coolant' : 'as it lies'}, to ${temperature(wanted, 0.5)}`,
      because: [
        reason(
          'hot-reads-big',
          say`roughing may leave it at ${warm}; ${diameter(size)} then reads ${length(growth(size, material.alpha, warm.value - REFERENCE), 0.001)} over, the tolerance is ${length(tolerance, 0.001)}`,
          at.end,
        ),
      ],
      figures: { warm, minutes, waits: figure('time', 'waitingTime', { elapsed: minutes.value, attended: hands }) },
    });
  });
