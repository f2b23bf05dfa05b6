import type { Step } from '@obra/core/operations';
import type { Setup } from '@obra/core/settings';
import { writeMinutes } from '@obra/core/quantity';
import { nameIn, toHand } from '../../sheet';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly setup: Setup | undefined;
}

/** At the first step of a setting: what is laid to hand for it, in the order that it is used, and how much is done in it. */
export function ForSetting({ view, step, setup }: Props) {
  if (!setup || setup.steps[0]?.id !== step.id || setup.steps.length < 2) return null;
  const { tools, gauges } = toHand(setup.steps);
  const nameOf = nameIn(view.job.issue?.kit ?? view.shop, view.shop);
  const minutes = setup.steps.reduce((sum, s) => sum + (s.figures['minutes']?.value ?? 0), 0);
  /** the how-manieth steps of the sheet a thing is used at */
  const route = view.plan?.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const at = (uses: (s: Step) => boolean) => setup.steps.flatMap((s) => (uses(s) ? [String(route.indexOf(s) + 1)] : [])).join(', ');
  const list = (title: string, ids: readonly string[], uses: (id: string) => (s: Step) => boolean) =>
    ids.length > 0 && (
      <div>
        <h2 className="size-18">{title}</h2>
        <ul className="to-hand">
          {ids.map((id) => (
            <li key={id}>
              <span>{nameOf(id)}</span> <span className="quiet fig">{at(uses(id))}</span>
            </li>
          ))}
        </ul>
      </div>
    );
  return (
    <section className="line" aria-label="To hand for this setting" data-testid="to-hand">
      <p className="m-0 mb-2">
        {setup.steps.length} steps in this setting{minutes > 0 ? `, about ${writeMinutes(minutes)}` : ''}.
      </p>
      <div className="to-hand-lists">
        {list('tools, and their steps', tools, (id) => (s) => s.tool === id)}
        {list('gauges', gauges, (id) => (s) => s.gauge === id)}
      </div>
    </section>
  );
}
