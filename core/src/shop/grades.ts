import type { Holding } from '../document';
import type { Parsed } from '../quantity';
import { withField } from './fields';
import { type Choosable, tableOf } from './tables';

/** One of a few words for what is a number behind, and what each number then is. */
interface Step extends Choosable {
  readonly sets: Readonly<Partial<Record<'newtons' | 'lateral' | 'angular', number>>>;
}

/** A number that nobody knows by heart, chosen by a word. */
export interface Grade {
  readonly key: 'grip' | 'stiff';
  readonly words: string;
  /** the number that says which word it is */
  readonly by: 'newtons' | 'lateral';
  readonly steps: readonly Step[];
}

/**
 * How hard a chuck grips (N, all jaws together) and how stiff a holding is (N/mm sideways, N mm/rad in tilt).
 * @source judgement: a four-inch chuck on a bench lathe, one of 140 to 160 mm, one of 240 mm; from memory of usual tables of gripping force
 */
export const holdingGrades: readonly Grade[] = [
  {
    key: 'grip',
    words: 'grip',
    by: 'newtons',
    steps: [
      { value: 'light', words: 'light', sets: { newtons: 6000 } },
      { value: 'usual', words: 'usual', sets: { newtons: 16_000 } },
      { value: 'hard', words: 'hard', sets: { newtons: 40_000 } },
    ],
  },
  {
    key: 'stiff',
    words: 'how stiff',
    by: 'lateral',
    steps: [
      { value: 'slender', words: 'slender', sets: { lateral: 18_000, angular: 1.4e7 } },
      { value: 'usual', words: 'usual', sets: { lateral: 40_000, angular: 4e7 } },
      { value: 'stiff', words: 'stiff', sets: { lateral: 90_000, angular: 2e8 } },
    ],
  },
];

/** The word that a number is nearest to, as a ratio; nothing where no number stands. @example gradeOf({ newtons: 18_000 }, holdingGrades[0]) // 'usual' */
export function gradeOf(item: Pick<Holding, 'newtons'> & Partial<Pick<Holding, 'lateral'>>, { by, steps }: Grade): string {
  const value = item[by];
  if (value === undefined || !(value > 0)) return '';
  const off = (s: Step) => Math.abs(Math.log(value / (s.sets[by] ?? value)));
  return steps.toSorted((a, b) => off(a) - off(b))[0]?.value ?? '';
}

/** The holding with the numbers of a word; as it is where that word stands already, or is none. */
export function withGrade(item: Holding, grade: Grade, word: string): Parsed<Holding> {
  const step = grade.steps.find((s) => s.value === word);
  if (!step || gradeOf(item, grade) === word) return { ok: true, value: item };
  const { fields } = tableOf('holdings');
  let made: Parsed<Holding> = { ok: true, value: item };
  for (const [key, value] of Object.entries(step.sets)) {
    // what only supports does not hold against tilting
    if (key === 'angular' && item.newtons === undefined) continue;
    const field = fields.find((f) => f.key === key);
    if (made.ok && field) made = withField(made.value, field, String(value), 'mm');
  }
  return made;
}
