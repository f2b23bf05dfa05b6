import type { Sentence } from '../quantity';

export interface Way {
  readonly key: string;
  readonly asks: string;
  readonly choices: readonly { readonly value: string; readonly words: string; readonly because: Sentence }[];
}

/** Where the trade disagrees: the shop's habit, with each side's reason. The first choice holds when nothing is chosen. */
export const ways: readonly Way[] = [
  {
    key: 'thread', asks: 'Outside threads',
    choices: [
      { value: 'single-point', words: 'single point', because: ['true to the axis and any pitch; slower'] },
      { value: 'die', words: 'die', because: ['quick and like its fellows; may wander and needs the size in the drawer'] },
    ],
  },
  {
    key: 'infeed', asks: 'Infeed for threads',
    choices: [
      { value: 'compound', words: 'compound at 29.5°', because: ['one flank cuts, chips part freely'] },
      { value: 'straight', words: 'straight in', because: ['no setting over; light cuts, fine pitches'] },
    ],
  },
  {
    key: 'severing', asks: 'Severing',
    choices: [
      { value: 'part', words: 'part off', because: ['square and to length in one go'] },
      { value: 'saw', words: 'saw, then face', because: ['no chatter on long or hollow pieces'] },
    ],
  },
];

/** The way in force: the job's own, else the shop's, else the first of the table. */
export function wayOf(key: string, shopWays: Readonly<Record<string, string>>, jobWays: ReadonlyMap<string, string>): string {
  const way = ways.find((w) => w.key === key);
  const asked = jobWays.get(key) ?? shopWays[key];
  return way?.choices.find((c) => c.value === asked)?.value ?? way?.choices[0]?.value ?? '';
}
