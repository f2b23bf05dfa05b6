import type { StandSet } from './deeds';
import { Stand } from './stand';

/** A careful hand that does what the adviser says: speed by the stuff, each setting come to from outside, the spindle stopped to measure. */
export function byAdvice(set: StandSet, careful = false, most = 60): Stand {
  let proved = 0;
  const stand = new Stand(set);
  const rpm =
    [...set.speeds].toSorted((a, b) => a - b).findLast((n) => n <= (1000 * set.speed) / (Math.PI * set.wanted.nominal)) ?? set.speeds[0] ?? 100;
  const feed = set.feeds.findLast((f) => f <= 0.15) ?? set.feeds[0] ?? 0.1;
  const run = () => stand.act({ do: 'levers', rpm, feed });
  const come = (to: number) => {
    stand.act({ do: 'dial', to: to - 1 });
    stand.act({ do: 'dial', to });
  };
  const gauge = set.gauges[0]?.id ?? '';
  if (set.nuts) stand.act({ do: 'nuts', at: set.nuts });
  run();
  come(set.touches + 0.1);
  stand.act({ do: 'pass' });
  let at = set.touches + 0.1;
  for (let i = 0; i < most; i++) {
    const advice = stand.advice();
    // the last micrometres by emery
    if (advice.stands === 'short' && set.kind === 'outside' && advice.cold && stand.counts().cuts > 1) {
      run();
      for (let k = 0; k < Math.ceil((advice.cold.value - (set.wanted.max + set.wanted.min) / 2) / 0.0014); k++) stand.act({ do: 'emery' });
      stand.act({ do: 'levers', rpm: 0, feed });
      stand.act({ do: 'read', gauge });
      if (stand.advice().stands !== 'in') continue;
      break;
    }
    if (advice.next === 'stop' || (advice.next === 'changeGauge' && advice.stands === 'in')) break;
    if (advice.dialReads) {
      stand.act({ do: 'believe', reads: advice.dialReads });
      continue;
    }
    if (advice.next === 'wait') {
      stand.act({ do: 'wait', minutes: 15 });
      stand.act({ do: 'levers', rpm: 0, feed });
      stand.act({ do: 'read', gauge });
      continue;
    }
    if (advice.next === 'measure' || advice.next === 'ask' || !advice.dial) {
      stand.act({ do: 'levers', rpm: 0, feed });
      stand.act({ do: 'read', gauge });
      continue;
    }
    run();
    // of a dial that is not proved yet a little is taken first
    at += careful && proved++ === 0 ? Math.min(0.2, advice.dial.value) : advice.dial.value;
    come(at);
    stand.act({ do: 'pass' });
  }
  return stand;
}
