import { join } from 'node:path';
import { expectKept, kept } from '../kept.fixture';
import { writeSentence } from '../quantity';
import { sizeAdvice } from './advice';
import { followed, outside, type Trial, trial } from './trials.fixture';

const short = (x: number | undefined) => (x === undefined ? '-' : x.toFixed(4));

/** Every advice on the way to size of one piece, and how it ended. */
function followedSaid(one: Trial, seed: number): string {
  const lines: string[] = [];
  const ended = followed(one, seed, undefined, (events) => {
    const advice = sizeAdvice({ ...one.told, events });
    lines.push(
      `${advice.next} ${advice.stands} dial ${short(advice.dial?.value)} expects ${short(advice.expects.value)} +/- ${short(advice.expects.deviation)} in ${short(advice.chanceIn)} past ${short(advice.chancePast)}: ${advice.because.map((r) => `${r.rule} ${writeSentence(r.says, 'mm')}`).join('; ')}`,
    );
  });
  return kept(`${ended.landed}, ${ended.said}, ${String(ended.cuts)} cuts, ${String(ended.readings)} readings`, lines.join('\n'));
}

it('the advice on sixty simulated lathes is that which was read and kept', () => {
  const seeds = Array.from({ length: 30 }, (_, i) => i + 1);
  expectKept(
    join(__dirname, 'advice.kept.json'),
    Object.fromEntries([
      ...seeds.map((seed) => [`lathe ${String(seed)}`, followedSaid(trial(seed), seed)] as const),
      ...seeds.map((seed) => [`outside lathe ${String(seed)}`, followedSaid(outside(seed), seed)] as const),
    ]),
  );
});
