import type { Seen } from './deeds';

/** Chips and sound by how deep and how fast it cuts, mm on radius and mm a turn. @source common practice: what a turner looks at */
export function chipsOf(deep: number, feed: number, ratio: number): Pick<Seen, 'chips' | 'sound'> {
  if (deep < 0.004) return { chips: 'no chip: it rubs, a little dust', sound: 'it squeaks' };
  if (deep < 0.03) return { chips: 'fine dust and hair', sound: 'it whispers' };
  const colour = ratio > 1.6 ? 'dark blue' : ratio > 1.1 ? 'blue' : ratio > 0.7 ? 'straw' : 'silver';
  const form = feed < 0.08 ? 'long strings, keep the hook at hand' : deep > 1 && feed > 0.15 ? 'short sixes and nines' : 'curls';
  return { chips: `${colour} ${form}`, sound: ratio > 1.8 ? 'it screams' : deep > 1.5 ? 'it rumbles' : 'it hisses evenly' };
}

export const surfaceOf = (feed: number, nose: number, ratio: number): string =>
  ratio < 0.5 ? 'torn and grey: too slow for the edge' : (1000 * feed ** 2) / (8 * nose) > 12 ? 'a thread that the nail feels' : 'even, with a shine';
