import { type Feature, type Limits, parseSize, settingOf, withGeneralRule } from '@obra/core/drawing';
import { nearestFraction, remember, type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';

/** What a size cell was understood as, small beside it and in the other unit too. */
export function sizeSaid(
  text: string,
  typedIn: Units,
  rule: { readonly text: string; readonly units: Units },
  show: Units,
  where: 'outside' | 'inside' = 'outside',
  feature?: Feature,
): { readonly text: string; readonly bad: boolean } {
  const size = parseSize(text, typedIn, where);
  const whole = (limits: Limits) => limitsSaid(withGeneralRule(limits, rule.text, rule.units), show);
  const one = (mm: number) => write({ is: 'length', value: mm }, show).text;
  switch (size.kind) {
    case 'unknown':
      return { text: writeSentence(size.says, show), bad: text.trim() !== '' };
    case 'thread':
      return {
        text: `${size.designation}${where === 'inside' && feature ? `, hole ${one(feature.nearDiameter.min)} to ${one(feature.nearDiameter.max)}` : ''}`,
        bad: false,
      };
    case 'diameter':
      return { text: whole(feature?.nearDiameter.from === 'mate' ? feature.nearDiameter : size.limits), bad: false };
    case 'bar':
      return { text: `${whole(size.across)}, as drawn`, bad: false };
    case 'ball':
      return { text: `ball ${whole(size.limits)}`, bad: false };
    case 'polygon':
      return { text: `${size.sides === 6 ? 'hexagon' : 'square'} ${whole(size.across)}`, bad: false };
    case 'arc':
      return { text: `${one(size.near.nominal)} to ${one(size.far.nominal)}, radius ${one(size.radius)}${size.hollow ? ' hollow' : ''}`, bad: false };
    case 'taper': {
      if (!feature) return { text: size.name ?? 'taper', bad: false };
      return {
        text: `${one(feature.nearDiameter.nominal)} to ${one(feature.farDiameter.nominal)}, 1 : ${write({ is: 'ratio', value: 1 / (feature.slope ?? 0) }, show).text}, set ${writeWithUnit({ is: 'angle', value: settingOf(feature), step: 0.01 }, show)}`,
        bad: false,
      };
    }
  }
}

export const limitsSaid = remember(
  sayLimits,
  (limits: Limits, show: Units) => `${limits.nominal} ${limits.max} ${limits.min} ${limits.from} ${show}`,
);

function sayLimits(limits: Limits, show: Units): string {
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
