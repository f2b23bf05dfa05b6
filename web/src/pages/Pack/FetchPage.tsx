import type { Job, Shop } from '@obra/core/document';
import type { Plan, Route } from '@obra/core/planner';
import { type Units, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { holdingsOf, nameIn, toHand } from '../../sheet';

interface Props {
  readonly job: Job;
  readonly route: Route;
  readonly plan: Plan;
  readonly shop: Shop;
  readonly units: Units;
}

/** What is fetched before the spindle turns: bars, holdings, tools in the order they are used, gauges; what is made first, and what is bought. */
export function FetchPage({ job, route, plan, shop, units }: Props) {
  const kit = job.issue?.kit ?? shop;
  const nameOf = nameIn(kit, shop);
  const steps = route.setups.flatMap((s) => s.steps);
  const { tools, gauges } = toHand(steps);
  const made = plan.toGet.filter((g) => g.how === 'make');
  const bought = plan.toGet.filter((g) => g.how !== 'make');
  const bars = job.pieces * route.bar.cut.value;
  const wheels = [...new Set(steps.flatMap((s) => s.because.filter((r) => r.rule === 'can-it-be-cut').map((r) => writeSentence(r.says, units))))];
  const list = (title: string, items: readonly string[]) =>
    items.length > 0 && (
      <div className="pack-list">
        <h3>{title}</h3>
        <ul>
          {items.map((t) => (
            <li key={t}>☐ {t}</li>
          ))}
        </ul>
      </div>
    );
  return (
    <section className="leaf" aria-label="To fetch before starting">
      <h2>{job.name}: to fetch before starting</h2>
      <div className="pack-lists">
        {list('bar', [
          `${nameOf(route.bar.id)}: ${writeWithUnit(route.bar.cut, units)} for a piece${job.pieces > 1 ? `, ${writeWithUnit({ is: 'length', value: bars, step: 1 }, units)} for ${String(job.pieces)}` : ''}`,
        ])}
        {list('to hold it', holdingsOf(route.setups).map(nameOf))}
        {list('tools, as they are used', tools.map(nameOf))}
        {list('gauges', gauges.map(nameOf))}
        {list('set on the lathe', wheels)}
        {list(
          'to make first',
          made.map((g) => writeSentence(g.what, units)),
        )}
        {list(
          'to buy or order',
          bought.map((g) => writeSentence(g.what, units)),
        )}
      </div>
    </section>
  );
}
