import { isShaped, otherEnd } from '../drawing';
import { weighHoldings } from '../holding';
import { boltedBy, type Facts, severingOf } from '../operations';
import { say } from '../quantity';
import type { End } from '../ref';
import { holdingOf, mmOf } from '../shop';
import { carriedSheet } from './barSheet';
import { boltedSetup, plateSetup, rimSetup } from './carried';
import { heldOnPlate } from './held';
import { type Layout, type Refused, remembered, sawn, type Stage, turnedApart } from './layout';
import { reachOf } from './reach';

/** A bored plate, wider than long: clamped and faced, turned over, faced and bored, then held through its bore where it lies: its rim. */
export function onPlate(facts: Facts, first: End): Layout | Refused {
  const { part, bar, shop, job, machine } = facts;
  const far = otherEnd(first);
  const reach = reachOf(part.features, far);
  const outside = part.features.filter((f) => f.side === 'outside');
  const wide = Math.min(...outside.map((f) => f.nearDiameter.nominal));
  // asked for with its bored face first it is made so: the rim then runs as true as it is dialled
  const asked = facts.chosen.method.get('first')?.method === first;
  const bored = part.features.some((f) => f.through === true && (f.side === far || (asked && f.side === first)));
  if (!shop.holdings.some((h) => h.kind === 'faceplate')) return { why: say`the shop has no faceplate` };
  if (!bored) return { why: say`it is held last by a bolt through its bore, and no hole goes through from the end that is worked last` };
  if (2 * part.length > wide) return { why: say`a faceplate is for work wider than long` };
  if (outside.some((f) => reach[f.id] !== far || isShaped(f))) return { why: say`its outside cannot be turned from one side` };
  const sheetOf = remembered((holding) =>
    carriedSheet({ job, part, bar, holding: holdingOf(shop, holding), blade: 0, machine, whole: false, first }),
  );
  const stage = (id: string, end: End, make: Stage['make']): Stage => ({
    id,
    options: weighHoldings(heldOnPlate(facts, end, Number(id.split('-')[1])), shop).filter((o) => holdingOf(shop, o.holding)?.kind === 'faceplate'),
    // the rim is turned apart from bore and faces: true to them as it is dialled
    dangers: ({ holding }) => (id.endsWith('-2') ? outside.slice(0, 1).map((row) => turnedApart(row, end, holdingOf(shop, holding))) : []),
    make,
  });
  return {
    facts,
    name: 'plate',
    first,
    reach,
    sheetOf,
    making: { severing: severingOf(facts, mmOf(bar.across) / 2), reach, first },
    blank: (sheet) => sawn(facts, first, sheet),
    stages: [
      stage(`${first}-1`, first, (making, held) => [plateSetup(making, first, held)]),
      stage(`${far}-1`, far, (making, held) => [plateSetup(making, far, held)]),
      stage(`${far}-2`, far, (making, held) => [rimSetup(making, far, held)]),
    ],
  };
}

/** A plate with holes on a circle: drilled first, bolted from behind by them; face, register and rim in one go, then turned over and dialled on the register. */
export function boltedOnPlate(facts: Facts, first: End): Layout | Refused {
  const { part, bar, shop, job, machine } = facts;
  const far = otherEnd(first);
  const by = boltedBy(facts);
  const reach = reachOf(part.features, first);
  const outside = part.features.filter((f) => f.side === 'outside');
  const wide = Math.min(...outside.map((f) => f.nearDiameter.nominal));
  if (!shop.holdings.some((h) => h.kind === 'faceplate')) return { why: say`the shop has no faceplate` };
  if (!by) return { why: say`it has no holes that it could be bolted by` };
  if (2 * part.length > wide) return { why: say`a faceplate is for work wider than long` };
  if (outside.some((f) => reach[f.id] !== first || isShaped(f))) return { why: say`its outside cannot be turned from one side` };
  const sheetOf = remembered((holding) =>
    carriedSheet({ job, part, bar, holding: holdingOf(shop, holding), blade: 0, machine, whole: false, first }),
  );
  const stage = (end: End, make: Stage['make']): Stage => ({
    id: `${end}-1`,
    options: weighHoldings(heldOnPlate(facts, end, 1), shop).filter((o) => holdingOf(shop, o.holding)?.kind === 'faceplate'),
    dangers: () => [],
    make,
  });
  return {
    facts,
    name: 'plate',
    first,
    reach,
    sheetOf,
    making: { severing: severingOf(facts, mmOf(bar.across) / 2), reach, first },
    blank: (sheet) => sawn(facts, first, sheet),
    stages: [
      stage(first, (making, held) => [boltedSetup(making, first, held, by)]),
      stage(far, (making, held) => [boltedSetup(making, far, held, by)]),
    ],
  };
}
