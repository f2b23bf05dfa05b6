import fc from 'fast-check';
import { blankJob, type Job } from '../document';

/* Parts of few steps, drawn at random: for judges that try everything. */

const size = fc.constantFrom('12', '16 h7', '20', '22 h9', '25', '30 k6', 'M16');

export const smallPart = fc.record({
  rows: fc.array(fc.record({ size, length: fc.integer({ min: 15, max: 70 }), chamfer: fc.boolean() }), { minLength: 1, maxLength: 2 }),
  hole: fc.option(fc.record({ size: fc.constantFrom('6', '8', '10'), length: fc.integer({ min: 5, max: 11 }) }), { nil: undefined }),
});

export type SmallPart = typeof smallPart extends fc.Arbitrary<infer T> ? T : never;

const mm = (text: string) => ({ text, units: 'mm' as const });

export function smallJob({ rows, hole }: SmallPart, order: readonly number[] = []): Job {
  const blank = blankJob('drawn', 'mm');
  const outside = rows.map((r, i) => ({
    id: `r${String(i)}`,
    size: mm(r.size),
    length: mm(String(r.length)),
    ...(r.chamfer && { near: mm('1x45') }),
  }));
  return {
    ...blank,
    drawing: {
      ...blank.drawing,
      title: { edges: 'sharp' },
      outside: order.length > 0 ? order.flatMap((i) => outside[i] ?? []) : outside,
      boreRight: hole ? [{ id: 'h', size: mm(hole.size), length: mm(String(hole.length)) }] : [],
    },
  };
}
