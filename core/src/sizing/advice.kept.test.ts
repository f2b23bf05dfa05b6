import { join } from 'node:path';
import { expectKept, kept } from '../kept.fixture';
import { writeSentence } from '../quantity';
import { sizeAdvice } from './advice';
import type { Event } from './belief';
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

/** The same with what may be wrong: a turn of the thimble, half of the cut, a slip of a digit, and what is dialled out. */
function slipsSaid(one: Trial, seed: number): string {
  const lines: string[] = [];
  const said = (of: string, events: readonly Event[]) => {
    const advice = sizeAdvice({ ...one.told, events });
    lines.push(
      `${of}: ${advice.next} ${advice.stands} ${short(advice.dial?.value)} ${short(advice.expects.value)} ${short(advice.expects.deviation)} meant ${short(advice.meant?.value)} reads ${advice.dialReads ?? '-'}; ${advice.because.map((r) => writeSentence(r.says, 'mm')).join('; ')}`,
    );
  };
  followed(one, seed, undefined, (events) => {
    const last = events.at(-1);
    const cut = events.findLast((e) => e.kind === 'cut');
    if (last?.kind !== 'reading') return;
    const read = (by: number): readonly Event[] => [...events.slice(0, -1), { ...last, size: last.size + by }];
    said('a turn over', read(0.5));
    said('a turn under', read(-0.5));
    said('an inch read as mm', [...events.slice(0, -1), { ...last, size: last.size / 25.4 }]);
    said('a little over', read(0.02));
    if (!cut) return;
    said('not cut', read(cut.dial * one.told.takes));
    said('half cut', read((cut.dial * one.told.takes) / 2));
    said('twice cut', read(-cut.dial * one.told.takes));
    said('dialled out', [...events, { kind: 'cut', dial: -0.02 }]);
    said('read again', [...events, { ...last, size: last.size + 0.004 }]);
  });
  return kept(`${String(lines.length)} slips, ${String(lines.filter((l) => l.includes(': ask')).length)} asked about`, lines.join('\n'));
}

it('the advice on sixty simulated lathes, and on what may go wrong at twelve, is that which was read and kept', () => {
  const seeds = Array.from({ length: 30 }, (_, i) => i + 1);
  expectKept(
    join(__dirname, 'advice.kept.json'),
    Object.fromEntries([
      ...seeds.map((seed) => [`lathe ${String(seed)}`, followedSaid(trial(seed), seed)] as const),
      ...seeds.slice(0, 12).map((seed) => [`slips at lathe ${String(seed)}`, slipsSaid(trial(seed), seed)] as const),
      ...seeds.map((seed) => [`outside lathe ${String(seed)}`, followedSaid(outside(seed), seed)] as const),
    ]),
  );
});
