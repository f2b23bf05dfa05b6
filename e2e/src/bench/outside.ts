import { type Event, sizeAdvice } from '@obra/core/sizing';
import { followed, outside, type Seen, transposed } from '../../../core/src/sizing/trials.fixture';

/** Lathes that the estimator was not made on, with a hand that slips now and then: what its intervals hold, and what it asks about. */
export function outsideLathes(lathes: number): void {
  const seen: Seen[] = [];
  let [right, asked, slips, caught, able, landed, past] = [0, 0, 0, 0, 0, 0, 0];
  for (let seed = 1; seed <= lathes; seed++) {
    const one = outside(seed);
    const { told } = one;
    const ended = followed(
      one,
      seed,
      (s) => seen.push(s),
      (events) => {
        const at = (of: readonly Event[]) => sizeAdvice({ ...told, events: of }).next;
        right++;
        if (at(events) === 'ask') asked++;
        const last = events.at(-1);
        if (last?.kind !== 'reading' || events.length < 2) return;
        const text = transposed(last.size.toFixed(told.repeat > 0.005 ? 2 : 3), seed * 7 + events.length * 3);
        if (text === undefined) return;
        slips++;
        if (at([...events.slice(0, -1), { ...last, size: Number(text), text, units: 'mm' }]) === 'ask') caught++;
      },
    );
    if (!one.able) continue;
    able++;
    landed += ended.landed === 'in' ? 1 : 0;
    past += ended.landed === 'past' ? 1 : 0;
  }
  const holds = (low: number, high: number) => ((100 * seen.filter((s) => s.at > low && s.at < high).length) / seen.length).toFixed(1);
  const share = (part: number, of: number) => ((100 * part) / of).toFixed(2);
  console.log(
    `${String(lathes)} outside lathes (force not in proportion, screws off, slides that jump), ${String(seen.length)} cuts: 50 % holds ${holds(0.25, 0.75)} %, 90 % holds ${holds(0.05, 0.95)} % (aim 86 to 94); ` +
      `${share(caught, slips)} % of ${String(slips)} transposed readings asked about (aim 80), ${share(asked, right)} % of ${String(right)} right ones (aim under 0.5); of ${String(able)} that can, ${String(landed)} landed in, ${String(past)} past`,
  );
}
