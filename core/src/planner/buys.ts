import { exceeds, figure, PLACE, say, type Sentence } from '../quantity';
import { chuckingsOf } from '../settings';
import type { Plan } from './plan';
import type { Route } from './route';

/** Most things that are named of a way: one line is read. */
const MOST = 2;
/** less than this is no difference to a person: minutes, mm of bar */
const [FELT, BAR] = [0.5, 5];

/**
 * What another way buys beside the one in hand, the most telling first; nothing where it buys nothing.
 * @param way the plan of the other way
 */
export function buysOf(way: Plan, now: Plan): readonly Sentence[] {
  const [there, here] = [way.routes[0], now.routes[0]];
  if (!there || !here) return [];
  const fewer = chuckingsOf(here.setups).length - chuckingsOf(there.setups).length;
  const less = figure('time', 'lessMinutes', { longer: here.cost.minutes.value, shorter: there.cost.minutes.value });
  const toMake = (plan: Plan) => plan.toGet.filter((g) => g.how === 'make').length;
  const changes = here.cost.changes.value - there.cost.changes.value;
  const bar = figure('length', 'lessBar', { longer: here.bar.cut.value, shorter: there.bar.cut.value }, { step: 1 });
  const [springs, sprang] = [springOf(there), springOf(here)];
  return [
    ...(fewer > 0 ? [say`${fewer} ${fewer === 1 ? 'chucking' : 'chuckings'} less`] : []),
    ...truer(there, here),
    ...(less.value > FELT ? [say`${less} less a piece`] : []),
    ...(toMake(way) < toMake(now) ? [say`nothing made to hold it first`] : []),
    ...(springs && sprang && sprang.value > 2 * springs.value && exceeds(sprang.value, 0.005, PLACE)
      ? [say`stiffer: springs ${springs} where this springs ${sprang}`]
      : []),
    ...(changes > 0 ? [say`${changes} ${changes === 1 ? 'change of tool' : 'changes of tool'} less`] : []),
    ...(bar.value > BAR ? [say`${bar} of bar less a piece`] : []),
  ].slice(0, MOST);
}

/** Relations that come out by a quarter and more truer. */
function truer(there: Route, here: Route): readonly Sentence[] {
  return there.runouts.flatMap((r) => {
    const was = here.runouts.find((x) => x.relation === r.relation);
    return was && r.expected.value < 0.75 * was.expected.value ? [say`true to ${r.expected} where this is to ${was.expected}`] : [];
  });
}

/** How far the work gives way at its weakest finishing cut. */
const springOf = (route: Route) => route.setups.flatMap((s) => (s.bent ? [s.bent.spring] : [])).toSorted((a, b) => b.value - a.value)[0];
