import { type Limits, nearestFraction, parseSize, type Units, withGeneralRule, write, writeSentence } from '@obra/core';

/** What a size cell was understood as, small beside it and in the other unit too. */
export function sizeSaid(
  text: string,
  typedIn: Units,
  rule: { readonly text: string; readonly units: Units },
  show: Units,
): { readonly text: string; readonly bad: boolean } {
  const size = parseSize(text, typedIn);
  if (size.kind === 'unknown') return { text: writeSentence(size.says, show), bad: text.trim() !== '' };
  if (size.kind === 'thread') return { text: size.designation, bad: false };
  if (size.kind !== 'diameter') return { text: 'kept, not drawn yet', bad: true };
  return { text: limitsSaid(withGeneralRule(size.limits, rule.text, rule.units), show), bad: false };
}

export function limitsSaid(limits: Limits, show: Units): string {
  const other: Units = show === 'mm' ? 'in' : 'mm';
  const fine = limits.max - limits.min < 0.2 && limits.from !== 'general';
  const one = (mm: number, units: Units, step?: number) => write({ is: 'length', value: mm, ...(step !== undefined && { step }) }, units).text;
  const fraction = other === 'in' ? nearestFraction(limits.nominal / 25.4) : undefined;
  if (limits.from === 'general' || limits.max === limits.min) {
    return `${one(limits.nominal, show)} ${show} (${fraction ?? one(limits.nominal, other)} ${other})`;
  }
  const step = fine ? 0.001 : 0.01;
  return `${one(limits.min, show, step)} to ${one(limits.max, show, step)} (${one(limits.min, other, step)} to ${one(limits.max, other, step)} ${other})`;
}
