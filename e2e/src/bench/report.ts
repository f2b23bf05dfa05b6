import { Bench } from 'tinybench';

/** A time as it is printed, ms. */
export const ms = (value: number | undefined) => `${(value ?? NaN).toFixed(3)} ms`;

/** The value below which so much of a list lies; NaN of an empty one. */
export const share = (list: readonly number[], of: number): number => list.toSorted((a, b) => a - b)[Math.floor(list.length * of)] ?? NaN;

/** Aims hold where 30 rows are read in so many ms; elsewhere they scale. */
const REFERENCE = 0.5;
let times = 1;

/** Measures how this machine stands to that of the aims. */
export async function compareMachine(readRows: () => void): Promise<void> {
  const bench = new Bench({ time: 500, warmupTime: 300, retainSamples: true }).add('rows', readRows);
  await bench.run();
  const result = bench.tasks[0]?.result as { latency?: { samples?: number[] } } | undefined;
  const rows = share(result?.latency?.samples ?? [], 0.5);
  times = rows / REFERENCE;
  console.log(`30 rows are read in ${ms(rows)}: aims hold where that is ${ms(REFERENCE)}, and are ${times.toFixed(1)} times as long here`);
}

/** Median and 95th percentile beside what is aimed at. */
export function report(name: string, took: readonly number[], aim?: number): void {
  console.log(
    `${name.padEnd(28)} median ${ms(share(took, 0.5))}  p95 ${ms(share(took, 0.95))}${aim === undefined ? '' : `  (aim ${String(aim)} ms, here ${(aim * times).toFixed(0)} ms)`}`,
  );
}

/** Times the same work over and over, warmed up, and prints it; ms. */
export async function measured(name: string, work: () => void, aim?: number): Promise<void> {
  const bench = new Bench({ time: 1000, warmupTime: 300, retainSamples: true }).add(name, work);
  await bench.run();
  const result = bench.tasks[0]?.result as { latency?: { samples?: number[] } } | undefined;
  report(name, result?.latency?.samples ?? [], aim);
}
