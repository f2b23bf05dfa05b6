import type { Lesson } from '../document';

/** A spring that a person kept of a lathe and a tool in a material: of every material where the lesson names none. */
export const springKept = (lessons: readonly Lesson[], machine: string, tool: string, material: string): Lesson | undefined =>
  lessons.findLast(
    (l) =>
      l.of === 'spring' &&
      l.accepted &&
      l.where['machine'] === machine &&
      l.where['tool'] === tool &&
      (l.where['material'] === undefined || l.where['material'] === material),
  );

/** From which cutting speed on a tool chattered in a material on a lathe, kept by a person. */
export const chatterKept = (lessons: readonly Lesson[], machine: string, tool: string | undefined, material: string): Lesson | undefined =>
  lessons.findLast(
    (l) => l.of === 'chatter' && l.accepted && l.where['machine'] === machine && l.where['tool'] === tool && l.where['material'] === material,
  );

/** How long a kind of work takes on a lathe against what is reckoned, kept by a person. */
export const minutesKept = (lessons: readonly Lesson[], machine: string, verb: string): Lesson | undefined =>
  lessons.findLast((l) => l.of === 'minutes' && l.accepted && l.where['machine'] === machine && l.where['verb'] === verb);
