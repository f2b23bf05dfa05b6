import type { Cell, Entry } from '@obra/core/document';
import { type Units, writeExact } from '@obra/core/quantity';
import * as z from 'zod';

/** A reading of the piece in hand, and what was dialled after it: mm, as advised or as the person says. */
export const Taken = z.object({ text: z.string(), units: z.enum(['mm', 'in']), celsius: z.number(), gauge: z.string(), dial: z.number().optional() });
export type Taken = Readonly<z.infer<typeof Taken>>;

/** The run of one piece: readings with the cuts between, and the last one that was kept. */
export interface Run {
  readonly past: readonly Taken[];
  readonly kept: Taken | undefined;
}

/** A reading is kept. Another size than the one kept before, after a dial was advised, stands for the cut that was advised between. */
export function keepReading(run: Run, now: Taken): Run {
  const { kept } = run;
  const same = kept?.text === now.text && kept.units === now.units;
  return { past: kept && !same ? [...run.past, kept] : run.past, kept: now };
}

/** The cut was taken as advised: the next reading is another, also where it shows the same. */
export const cutTaken = (run: Run, now: Taken): Run => ({ past: keepReading(run, now).past.concat(now), kept: undefined });

const line = (i: number) => ({ id: `r${String(i)}`, at: '2000-01-01T00:00:00Z', by: 'asked', piece: 1, step: null });

/** Everything that happened to the piece, in order, for the advice: the run, and what stands in the cell now. */
export function entriesOf(run: Run, now: Omit<Taken, 'dial'>): readonly Entry[] {
  const same = run.kept?.text === now.text && run.kept.units === now.units;
  const earlier = [...run.past, ...(run.kept && !same ? [run.kept] : [])];
  const all: readonly Taken[] = [...earlier, now];
  return all.flatMap((t, i): Entry[] => [
    { ...line(2 * i), kind: 'reading', of: 'axis', value: { text: t.text, units: t.units }, gauge: t.gauge, celsius: t.celsius },
    ...(t.dial !== undefined ? [{ ...line(2 * i + 1), kind: 'cut' as const, axis: 'cross' as const, dial: cellOf(t.dial) }] : []),
  ]);
}

const cellOf = (mm: number): Cell => ({ text: writeExact(mm, 'mm'), units: 'mm' });

/** The run in words: 25.62 → dialled 0.16 → 25.31. */
export function runSaid(run: Run, now: string, write: (mm: number) => string, units: Units): string {
  const said = [...run.past, ...(run.kept && run.kept.text !== now ? [run.kept] : [])].flatMap((t) => [
    t.units === units ? t.text : `${t.text} ${t.units}`,
    ...(t.dial === undefined ? [] : [t.dial === 0 ? 'the same again' : `dialled ${write(t.dial)}`]),
  ]);
  return said.join(' → ');
}
