import type { Holding } from '../document';
import { faceOf, type Feature, inward, letterOf } from '../drawing';
import type { Finding } from '../finding';
import type { HoldingChoice } from '../holding';
import type { Facts } from '../operations';
import { length, say, type Sentence } from '../quantity';
import type { End } from '../ref';
import { mmOf } from '../shop';
import { rectangle, type Region, sameRegion } from '../stock';
import type { BarSheet } from './barSheet';
import type { Reach } from './reach';
import type { MadeSetting, Making } from './setting';
import type { LayoutName } from './setup';
import { turnsOver } from './turnsOver';

/** One setup of a layout: the ways of holding it, best first, and how its steps are made. */
export interface Stage {
  readonly id: string;
  readonly options: readonly HoldingChoice[];
  /** ways that only another layout has for it, for a person to choose */
  readonly also?: readonly HoldingChoice[];
  /** what the shape of the part costs this setup whatever holds it */
  readonly dangers: (held: HoldingChoice) => readonly Finding[];
  /** minutes that this holding asks at least beyond one that is there and runs true */
  readonly more?: (held: HoldingChoice) => number;
  /** one holding, one setting or, where it is pulled out in it, several */
  readonly make: (making: Making, held: HoldingChoice) => readonly MadeSetting[];
}

/** A way of carrying the piece from bar to part: which end first, which setups. */
export interface Layout {
  readonly name: LayoutName;
  readonly first: End;
  readonly stages: readonly Stage[];
  readonly reach: Reach;
  readonly sheetOf: (holding: string) => BarSheet;
  readonly making: Pick<Making, 'severing' | 'reach' | 'first'>;
  readonly blank: (sheet: BarSheet) => Region;
  /** with the methods that this layout takes */
  readonly facts: Facts;
}

/** Why a way of carrying cannot be had. */
export interface Refused {
  readonly why: Sentence;
}

/** The bar as it is cut off: from its free face inwards. */
export const sawn = (facts: Facts, first: End, sheet: BarSheet): Region => {
  const face = faceOf(facts.part, first) - inward(first) * sheet.off[first];
  const inside = facts.bar.form === 'tube' ? mmOf(facts.bar.inside) / 2 : 0;
  return sameRegion(rectangle(face, face + inward(first) * (sheet.stands ?? sheet.cut.value), inside, turnsOver(facts) / 2));
};

/** What could have been turned in the first chucking, and is true to it only as the second holding is. */
export const turnedApart = (row: Feature, end: End, holding: Holding | undefined): Finding => ({
  code: 'one-chucking',
  about: `${row.id}.diameter`,
  severity: 'caution',
  says: say`turned from end ${letterOf(end)}, it is true to the rest within ${length(mmOf(holding?.trueWithin), 0.001)} TIR at the best`,
  why: say`in the first chucking it would be true to what is turned there; what is gripped for it is then a finished surface`,
  mends: [],
});

/** What is worked out once for each holding. */
export function remembered(of: (holding: string) => BarSheet): (holding: string) => BarSheet {
  const known = new Map<string, BarSheet>();
  return (holding) => {
    const before = known.get(holding);
    if (before) return before;
    const made = of(holding);
    known.set(holding, made);
    return made;
  };
}
