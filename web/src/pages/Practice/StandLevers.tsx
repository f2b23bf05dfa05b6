import type { Deed, Nuts, Stand, StandSet } from '@obra/core/practice';
import { type Units, writeWithUnit } from '@obra/core/quantity';
import { Button, Form } from 'react-bootstrap';
import { aPass } from '../../words/pressed';

interface Props {
  readonly set: StandSet;
  readonly stand: Stand;
  readonly units: Units;
  readonly onAct: (deed: Deed) => void;
  readonly onSpindle: () => void;
}

export const firstFeed = (feeds: readonly number[]): number => feeds.find((f) => f >= 0.08) ?? feeds[0] ?? 0.1;

const nuts: Readonly<Record<Nuts, string>> = {
  open: 'half-nuts open',
  any: 'closed at any line',
  line: 'closed at the same line',
  kept: 'kept closed, run back',
};

/** What is beside the handle: spindle and feed, half-nuts, the tailstock centre, coolant, emery. */
export function StandLevers({ set, stand, units, onAct, onSpindle }: Props) {
  const { rpm, feed, coolant, nuts: closed, centre } = stand.levers();
  const wait = set.truth.warms > 5 || coolant;
  return (
    <section aria-label="Levers">
      <Button className="tall-56 w-100" variant={rpm > 0 ? 'primary' : 'outline-dark'} aria-pressed={rpm > 0} onClick={onSpindle}>
        {rpm > 0 ? `spindle turns, ${String(rpm)} rpm: stop it` : 'start the spindle'}
      </Button>
      <div className="d-flex gap-2 mt-2">
        <Form.Select
          aria-label="speed"
          value={rpm}
          onChange={(e) => onAct({ do: 'levers', rpm: Number(e.target.value), feed: feed || firstFeed(set.feeds) })}>
          <option value={0}>stopped</option>
          {set.speeds.map((n) => (
            <option key={n} value={n}>
              {n} rpm
            </option>
          ))}
        </Form.Select>
        {set.nuts === undefined ? (
          <Form.Select aria-label="feed" value={feed} onChange={(e) => onAct({ do: 'levers', rpm, feed: Number(e.target.value) })}>
            <option value={0}>no feed</option>
            {set.feeds.map((f) => (
              <option key={f} value={f}>
                {writeWithUnit({ is: 'feed', value: f }, units)}
              </option>
            ))}
          </Form.Select>
        ) : (
          <Form.Select aria-label="half-nuts" value={closed} onChange={(e) => onAct({ do: 'nuts', at: e.target.value as Nuts })}>
            {(Object.keys(nuts) as Nuts[]).map((n) => (
              <option key={n} value={n}>
                {nuts[n]}
              </option>
            ))}
          </Form.Select>
        )}
      </div>
      <div className="d-flex gap-2 mt-2 flex-wrap">
        <Button variant={coolant ? 'primary' : 'outline-dark'} aria-pressed={coolant} onClick={() => onAct({ do: 'coolant', on: !coolant })}>
          coolant
        </Button>
        {set.kind === 'outside' && (
          <Button variant={centre ? 'primary' : 'outline-dark'} aria-pressed={centre} onClick={() => onAct({ do: 'centre', up: !centre })}>
            tailstock centre
          </Button>
        )}
        {wait && (
          <Button variant="outline-dark" onClick={() => onAct({ do: 'wait', minutes: 10 })}>
            let it lie 10 min
          </Button>
        )}
        {set.kind === 'outside' && (
          <Button variant="outline-dark" onClick={() => onAct({ do: 'emery' })}>
            a stroke of emery
          </Button>
        )}
      </div>
      <Button className="tall-56 w-100 mt-2" variant="primary" aria-keyshortcuts="p" onClick={() => onAct({ do: 'pass' })}>
        {aPass}
      </Button>
    </section>
  );
}
