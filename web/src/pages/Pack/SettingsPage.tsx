import type { Job, Shop } from '@obra/core/document';
import type { Part } from '@obra/core/drawing';
import type { Route } from '@obra/core/planner';
import { type Units, writeMinutes, writeWithUnit } from '@obra/core/quantity';
import { SettingPicture } from '../../bar';
import { moveTo, Traveller } from '../../sheet';
import { barToPart } from '../../words/titles';

interface Props {
  readonly job: Job;
  readonly route: Route;
  readonly part: Part;
  readonly shop: Shop;
  readonly units: Units;
}

/** From bar to part as small pictures, then the sheet with its passes, its lengths from face to face and the tolerance chart. */
export function SettingsPage({ job, route, part, shop, units }: Props) {
  const kit = job.issue?.kit ?? shop;
  const nameOf = (id: string) => kit.holdings.find((h) => h.id === id)?.name ?? shop.holdings.find((h) => h.id === id)?.name ?? id;
  return (
    <section className="leaf" aria-label="Operation sheet">
      <ol className="pack-chain" aria-label={barToPart}>
        {route.setups.map((s, i) => (
          <li key={s.id}>
            <span className="quiet">{moveTo(route.setups, s)}</span>
            <SettingPicture setup={s} part={part} />
            <span>
              <strong>Setup {i + 1}</strong>: end {s.end === 'left' ? 'B' : 'A'} out
            </span>
            <span>{nameOf(s.holding)}</span>
            <span>
              {s.carried ? '' : `${writeWithUnit({ ...s.stickOut, step: 0.1 }, units)} out, `}
              {writeMinutes(s.minutes.value)}
            </span>
          </li>
        ))}
      </ol>
      <Traveller job={job} route={route} part={part} shop={shop} units={units} />
    </section>
  );
}
