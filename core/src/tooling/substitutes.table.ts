import type { Tool } from '../document';
import type { Sentence } from '../quantity';

export interface Substitute {
  readonly says: Sentence;
  /** more of a piece, or once, minutes */
  readonly minutes: number;
}

/** What does instead of a tool that the drawer lacks, and what it costs in minutes. @source common practice, minutes from judgement */
export const substitutes: Readonly<Partial<Record<Tool['kind'], Substitute>>> = {
  form: { says: ['grind one from a high-speed steel blank, or file to a template'], minutes: 15 },
  groove: { says: ['grind a narrow blade from a high-speed steel blank'], minutes: 10 },
  thread: { says: ['grind a threading tool to the gauge'], minutes: 12 },
  part: { says: ['saw it off and face'], minutes: 6 },
  face: { says: ['the turning tool, set over'], minutes: 1 },
  centreDrill: { says: ['a pointed tool in the post, then a short stiff drill'], minutes: 3 },
  drill: { says: ['the next smaller drill, then the boring bar'], minutes: 6 },
  ream: { says: ['bore to size in light, like cuts; the size then hangs on the bar and the gauge'], minutes: 8 },
  bore: { says: ['a bar ground from a stout drill shank, for a short hole'], minutes: 20 },
  tap: { says: ['single point it with a small boring bar'], minutes: 12 },
  die: { says: ['single point it'], minutes: 3 },
  knurl: { says: ['leave it plain, or straight grooves with a pointed tool moved by the carriage'], minutes: 15 },
  saw: { says: ['part it off, or a bandsaw beside the lathe'], minutes: 0 },
};
