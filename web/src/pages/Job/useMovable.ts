import type { Choice, Job } from '@obra/core/document';
import { applyEdits } from '@obra/core/finding';
import { type HoldingChoice, STARTED } from '@obra/core/holding';
import { type Units, writeExact, writeWithUnit } from '@obra/core/quantity';
import { type Chucking, chuckingOf, chuckingsOf } from '@obra/core/settings';
import { materialOf } from '@obra/core/standards';
import type { Movable, Moved } from '../../bar';
import { holdEdits } from '../../fields';
import { useSteady } from '../../shell/useSteady';
import { askWhatIf } from '../../work/usePlan';
import { type Hold, holdOf } from './HoldNumbers';
import type { Stage } from './Stages';
import type { JobView } from './view';

/** The chucking that is looked at, for a hand in the picture; none of what is given out. */
export function useMovable(view: JobView, stage: Stage): Movable | undefined {
  const { job, plan, setup, shop, units, open } = view;
  const route = plan?.routes[0];
  const held = route && setup && chuckingOf(route.setups, setup.id);
  const centre = held && centreFor(plan.holdings, held);
  const edits = (moved: Moved) => (route && held ? holdEdits(route, asMoved(job, held, moved, units, centre)) : []);
  const acts = useSteady({
    onMoved: (moved: Moved) => open.edit(edits(moved)),
    ask: async (moved: Moved) => {
      const so = await askWhatIf(applyEdits(job, edits(moved)), shop, route?.cost.minutes.value ?? 0);
      if (!so) return 'there is no way through so';
      const more = so.more ? ` (${so.more.value > 0 ? '+' : ''}${writeWithUnit(so.more, units)})` : '';
      return `${writeWithUnit(so.minutes, units)} a piece${more}${so.runout ? `, ${writeWithUnit(so.runout, units)} TIR` : ''}`;
    },
  });
  const item = (id: string | undefined) => shop.holdings.find((h) => h.id === id);
  const holding = item(setup?.holding);
  if (stage !== 'holding' || job.issue || !route || !held || !holding) return undefined;
  const up = setup.support.find((s) => s.kind === 'centre');
  const steady = setup.support.find((s) => s.kind === 'steady');
  const rest = steady && item(steady.item);
  return {
    bar: {
      holding,
      centre: item(up?.item),
      ...(rest && { steady: { item: rest, from: steady.from } }),
      diameter: setup.gripDiameter,
      modulus: 1000 * materialOf(job.drawing.material).modulus,
    },
    speed: Math.max(0, ...setup.steps.map((s) => s.figures['speed']?.value ?? 0)),
    // where it is pulled out, at the length that it is pulled out to
    slides: setup === held.settings.at(-1) && held.id === chuckingsOf(route.setups)[0]?.id && route.layout === 'chuck' && route.bar.id !== STARTED,
    // held short at first it comes up in a later setting
    ...(up || !held.support.some((s) => s.kind === 'centre') ? { centre: item(up?.item ?? centre) } : {}),
    ...acts,
  };
}

/** The centre that this chucking has, or could have in the same holding. */
const centreFor = (options: readonly HoldingChoice[], held: Chucking): string | undefined =>
  [held, ...options.filter((o) => o.setup === held.id && o.holding === held.holding && o.findings.every((f) => f.severity !== 'stop'))]
    .flatMap((o) => o.support)
    .find((s) => s.kind === 'centre')?.item;

/** The holding with what a hand has moved. */
function asMoved(job: Job, held: Chucking, { stickOut, grip, steady, centre: up }: Moved, units: Units, centre: string | undefined): Hold {
  const cell = (mm: number) => ({ text: writeExact(mm, units), units });
  const hold = holdOf(job, held);
  const kindOf = (id: string) => held.support.find((s) => s.item === id)?.kind;
  const placed = hold.support.map((s) => (steady !== undefined && kindOf(s.item) === 'steady' ? { ...s, at: cell(steady) } : s));
  // a follow rest goes with its centre
  const support: Extract<Choice, { kind: 'hold' }>['support'] =
    up === undefined
      ? placed
      : up && centre !== undefined
        ? [...placed.filter((s) => s.item !== centre), { item: centre }]
        : placed.filter((s) => kindOf(s.item) === 'steady');
  return { ...hold, support, ...(stickOut !== undefined && { stickOut: cell(stickOut) }), ...(grip !== undefined && { grip: cell(grip) }) };
}
