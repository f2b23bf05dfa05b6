import * as z from 'zod';
import { type Parsed, say } from '../quantity';
import type { Deed } from './deeds';

const number = z.number().min(-1e4).max(1e4);
export const DeedRead = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('dial'), to: number }),
  z.strictObject({ do: z.literal('along'), to: number }),
  z.strictObject({ do: z.literal('zero') }),
  z.strictObject({ do: z.literal('levers'), rpm: number, feed: number }),
  z.strictObject({ do: z.literal('coolant'), on: z.boolean() }),
  z.strictObject({ do: z.literal('believe'), reads: z.enum(['radius', 'diameter']) }),
  z.strictObject({ do: z.literal('emery') }),
  z.strictObject({ do: z.literal('pass') }),
  z.strictObject({ do: z.literal('read'), gauge: z.string().max(60) }),
  z.strictObject({ do: z.literal('wait'), minutes: z.number().min(0).max(600) }),
  z.strictObject({ do: z.literal('heard'), mm: number.nullable() }),
  z.strictObject({ do: z.literal('nuts'), at: z.enum(['open', 'any', 'line', 'kept']) }),
  z.strictObject({ do: z.literal('centre'), up: z.boolean() }),
  z.strictObject({ do: z.literal('done') }),
]);

/** More deeds than this no exercise takes. */
const MOST = 2000;
const File = z.strictObject({
  obra: z.literal('practice'),
  exercise: z.string().max(60),
  number: z.int().min(1).max(999_999),
  lathe: z.string().max(60),
  deeds: z.array(DeedRead).max(MOST),
});

/** An exercise as it was done, to be shared: the same number and the same deeds give the same metal. */
export interface PracticeFile {
  readonly exercise: string;
  readonly number: number;
  readonly lathe: string;
  readonly deeds: readonly Deed[];
}

export const writePractice = (of: PracticeFile): string => `${JSON.stringify({ obra: 'practice', ...of }, null, 1)}\n`;

/** An exercise from a file; what it is not is said. */
export function readPractice(text: string): Parsed<PracticeFile> {
  const fail = (says: ReturnType<typeof say>): Parsed<PracticeFile> => ({ ok: false, problems: [{ at: '', says }] });
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return fail(say`this is no exercise; a file of one is JSON text, and this one is cut off, damaged or something else`);
  }
  if (typeof raw === 'object' && raw !== null && 'obra' in raw && raw.obra !== 'practice')
    return fail(say`this file holds a ${String(raw.obra)}, not an exercise`);
  const read = File.safeParse(raw);
  if (!read.success) return fail(say`this is no exercise as Obra writes one: ${read.error.issues[0]?.path.join(' ') ?? ''} is not understood`);
  const { exercise, number: of, lathe, deeds } = read.data;
  return { ok: true, value: { exercise, number: of, lathe, deeds } };
}
