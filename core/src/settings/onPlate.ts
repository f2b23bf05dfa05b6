import { isShaped, otherEnd } from '../drawing';
import { type HoldingChoice, weighHoldings } from '../holding';
import { boltedBy, type Facts, severingOf } from '../operations';
import { say } from '../quantity';
import type { End } from '../ref';
import { holdingOf, mmOf } from '../shop';
import { carriedSheet } from './barSheet';
import { boltedSetup, plateSetup, rimSetup } from './carried';
import { heldOnPlate } from './held';
import { type Layout, type Refused, remembered, sawn, type Stage, turnedApart } from './layout';
import { reachOf } from './reach';
import type { MadeSetting, Making } from './setting';

/** A bored plate, wider than long: clamped and faced, turned over, faced and bored, then held through its bore where it lies: its rim. */
export function onPlate(facts: Facts, first: End): Layout | Refused {
  const far = otherEnd(first);
  // asked for with its bored face first it is made so: the rim then runs as true as it is dialled
  const asked = facts.chosen.method.get('first')?.method === first;
  const bored = facts.part.features.some((f) => f.through === true && (f.side === far || (asked && f.side === first)));
  if (!bored) return { why: say`it is held last by a bolt through its bore, and no hole goes through from the end that is worked last` };
  const outside = facts.part.features.filter((f) => f.side === 'outside');
  return plated(facts, first, far, [
    [first, 1, plateSetup],
    [far, 1, plateSetup],
    // the rim is turned apart from bore and faces: true to them as it is dialled
    [far, 2, rimSetup, ({ holding }) => outside.slice(0, 1).map((row) => turnedApart(row, far, holdingOf(facts.shop, holding)))],
  ]);
}

/** A plate with holes on a circle: drilled first, bolted from behind by them; face, register and rim in one go, then turned over and dialled on the register. */
export function boltedOnPlate(facts: Facts, first: End): Layout | Refused {
  const by = boltedBy(facts);
  if (!by) return { why: say`it has no holes that it could be bolted by` };
  const bolted: MakeOne = (making, end, held) => boltedSetup(making, end, held, by);
  return plated(facts, first, first, [
    [first, 1, bolted],
    [otherEnd(first), 1, bolted],
  ]);
}

type MakeOne = (making: Making, end: End, held: HoldingChoice) => MadeSetting;

/** What every way on the plate asks and has; `rim` is the end from which the outside is turned. */
function plated(
  facts: Facts,
  first: End,
  rim: End,
  stages: readonly (readonly [end: End, nth: number, make: MakeOne, dangers?: Stage['dangers']])[],
): Layout | Refused {
  const { part, bar, shop, job, machine } = facts;
  const reach = reachOf(part.features, rim);
  const outside = part.features.filter((f) => f.side === 'outside');
  const wide = Math.min(...outside.map((f) => f.nearDiameter.nominal));
  if (!shop.holdings.some((h) => h.kind === 'faceplate')) return { why: say`the shop has no faceplate` };
  if (2 * part.length > wide) return { why: say`a faceplate is for work wider than long` };
  if (outside.some((f) => reach[f.id] !== rim || isShaped(f))) return { why: say`its outside cannot be turned from one side` };
  return {
    facts,
    name: 'plate',
    first,
    reach,
    sheetOf: remembered((holding) => carriedSheet({ job, part, bar, holding: holdingOf(shop, holding), blade: 0, machine, whole: false, first })),
    making: { severing: severingOf(facts, mmOf(bar.across) / 2), reach, first },
    blank: (sheet) => sawn(facts, first, sheet),
    stages: stages.map(([end, nth, make, dangers = () => []]) => ({
      id: `${end}-${String(nth)}`,
      options: weighHoldings(heldOnPlate(facts, end, nth), shop).filter((o) => holdingOf(shop, o.holding)?.kind === 'faceplate'),
      dangers,
      make: (making, held) => [make(making, end, held)],
    })),
  };
}
