import { inByDial, type Sized, wantsReading } from '@obra/core/bench';
import { parseLength, type Units, write, writeWithUnit } from '@obra/core/quantity';
import type { Advice } from '@obra/core/sizing';
import { keepReading } from '../../words/pressed';

/* The words of a step that is measured. */

/** What the pad asks for. */
export function whatOf(sized: Sized | undefined): string {
  if (sized?.standsOff) return 'stands off,';
  if (sized?.kind === 'length') return 'length,';
  if (sized?.kind === 'depth') return 'from the face before it,';
  if (sized?.kind !== 'thread') return 'Ø';
  return sized.wire === undefined ? 'pitch Ø' : 'over wires,';
}

/** What the one big key does now, in words. */
export function nextLabel(sized: Sized | undefined, typed: boolean, advice: Advice | undefined): string {
  if (!sized || !advice) return 'Next';
  if (typed) return keepReading;
  if (advice.next === 'indexTip') return 'Next: edge indexed';
  if (advice.dial) return 'Next: cut taken';
  if (inByDial(sized, advice)) return 'Next: done, by the dial';
  if (wantsReading(advice)) return 'Next: type the reading';
  return advice.next === 'changeGauge' ? 'Next: accept it' : 'Next: done';
}

export function writeBoth(mm: number, units: Units): string {
  const one = (u: Units) => writeWithUnit({ is: 'length', value: mm, step: 0.001 }, u);
  return `${one(units)}, ${one(units === 'mm' ? 'in' : 'mm')}`;
}

export function inUnits(text: string, from: Units, to: Units): string {
  const read = parseLength(text, from);
  return read.ok ? write({ is: 'length', value: read.value, step: 0.001 }, to).text : text;
}
