/**
 * Addresses in a job: of the drawing, of a step, of a setting. They are text, since they are stored, typed by nobody, and name what may be gone tomorrow; they
 * are read and written here alone.
 */

/** An end of the part: A is 'right', B is 'left'. */
export type End = 'right' | 'left';

/**
 * The thing that a reference to the drawing names: the row, detail, relation or mate of 's1.diameter', 's1.near' or 's1'.
 * @example thingOf('s1.diameter') // 's1'
 */
export const thingOf = (ref: string): string => before(ref, '.');

/**
 * Which of its sizes or edges: 'diameter' of 's1.diameter'; undefined where the whole is named.
 * @example aspectOf('s1.near') // 'near'
 */
export const aspectOf = (ref: string): string | undefined => after(ref, '.');

/** The address of a step: what it does, to what, and in which setting where the same is done in two. */
export interface StepRef {
  readonly verb: string;
  /** a reference to the drawing, or an end: 's1', 's1.near', 'right' */
  readonly of: string;
  /** 'left-1' */
  readonly setting?: string;
}

/**
 * Reads the address of a step; of text that is none the verb is all there is.
 * @example readStep('chamfer@s1.near:left-1') // { verb: 'chamfer', of: 's1.near', setting: 'left-1' }
 */
export function readStep(id: string): StepRef {
  const place = after(id, '@') ?? '';
  const setting = after(place, ':');
  return { verb: before(id, '@'), of: before(place, ':'), ...(setting !== undefined && { setting }) };
}

/**
 * Writes the address of a step.
 * @example writeStep({ verb: 'face', of: 'right' }) // 'face@right'
 */
export const writeStep = ({ verb, of, setting }: StepRef): string => `${verb}@${of}${setting === undefined ? '' : `:${setting}`}`;

/**
 * The row, detail or end that a step works on.
 * @example rowOf('chamfer@s1.near:left-1') // 's1'
 */
export const rowOf = (step: string): string => thingOf(readStep(step).of);

/**
 * The address of a setting: the end that is worked at, and which time.
 * @example writeSetting('left', 1) // 'left-1'
 */
export const writeSetting = (end: End, time: number): string => `${end}-${String(time)}`;

/**
 * The end that is worked at in a setting; A where it is of neither.
 * @example endOf('left-2') // 'left'
 */
export const endOf = (setting: string): End => (setting.startsWith('left') ? 'left' : 'right');

/**
 * What anything that has an address is about, without verb, aspect or setting: of a reference, a step or a setting.
 * @example subjectIn('finish-turn@s2:left-1') // 's2'
 */
export const subjectIn = (address: string): string => before(before(address.slice(address.lastIndexOf('@') + 1), ':'), '.');

function before(text: string, mark: string): string {
  const at = text.indexOf(mark);
  return at < 0 ? text : text.slice(0, at);
}

function after(text: string, mark: string): string | undefined {
  const at = text.indexOf(mark);
  return at < 0 ? undefined : text.slice(at + 1);
}
