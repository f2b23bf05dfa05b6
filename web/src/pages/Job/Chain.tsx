import type { Route } from '@obra/core/planner';
import { verbs } from '@obra/core/operations';
import { writeMinutes, writeWithUnit } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { SettingPicture } from '../../bar';
import { moveTo } from '../../sheet';
import type { JobView } from './view';
import { barToPart } from '../../words/titles';

/** From bar to part: every setting as a small true picture, with the move that leads to it; one of them is looked at. */
export function Chain({ view, route }: { readonly view: JobView; readonly route: Route }) {
  const { units, setup, choose, plan } = view;
  if (!plan) return null;
  return (
    <ol className="chain" aria-label={barToPart} tabIndex={0}>
      {route.setups.map((s, i) => (
        <li key={s.id}>
          <span className="chain-move">{moveTo(route.setups, s)}</span>
          <button type="button" className="chain-setting" aria-pressed={s.id === setup?.id} onClick={() => choose(s.id)}>
            <SettingPicture setup={s} part={plan.part} />
            <span>
              <strong>Setup {i + 1}</strong>: end {s.end === 'left' ? 'B' : 'A'} out
            </span>
            <span className="quiet">
              {s.carried ? '' : `${writeWithUnit({ ...s.stickOut, step: 0.1 }, units)} out, `}
              {writeMinutes(s.minutes.value)}
            </span>
            <span className="quiet chain-does">{done(s)}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}

const silent = new Set(['load', 'turn-round', 'pull-out', 'support', 'withdraw', 'check', 'cool', 'index']);

/** What is done in a setting, each once. */
const done = (setup: Setup): string =>
  [...new Set(setup.steps.filter((s) => !silent.has(s.verb)).map((s) => verbs[s.verb].toLowerCase()))].join(', ');
