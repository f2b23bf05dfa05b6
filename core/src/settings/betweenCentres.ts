import { letterOf, otherEnd, rowAt, threadOf } from '../drawing';
import { weighHoldings } from '../holding';
import { type Facts, severingOf, takesCone } from '../operations';
import { exceeds, PLACE, say } from '../quantity';
import type { End } from '../ref';
import { holdingOf, mmOf, practice } from '../shop';
import { carriedSheet } from './barSheet';
import { betweenSetup, boreLast, centreSetup } from './carried';
import { centreGoesIn, heldBetween, heldSawn, heldTurned } from './held';
import { type Layout, type Refused, remembered, sawn, type Stage } from './layout';
import { besideDog, grippingOf, type Reach, reachOf } from './reach';

/** Both ends faced and centred in a chuck, then turned between centres and end for end. */
export function betweenCentres(facts: Facts, first: End): Layout | Refused {
  const { part, bar, shop, job, machine, chosen } = facts;
  const far = otherEnd(first);
  const across = mmOf(bar.across);
  const asked = chosen.method.get('carrying')?.method === 'centres';
  const through = mmOf(machine.through);
  if (!shop.holdings.some((h) => h.kind === 'centres')) return { why: say`the shop has no centres with a driving dog` };
  const holes = part.features.filter((f) => f.side !== 'outside');
  const open = holes.find((f) => f.through === true && f.form === 'cylinder' && threadOf(f) === undefined);
  if (holes.length > 0 && !open) return { why: say`a hole takes the centre of an end away, and none goes through for a cone in both its mouths` };
  // the cone at the second end is cut in the mouth of a hole that is there
  if (open && open.side !== first) return { why: say`its hole is drilled from end ${letterOf(far)}: that end goes first` };
  const ends = (['right', 'left'] as const).map((end) =>
    rowAt(
      part.features.filter((f) => f.side === 'outside'),
      end,
    ),
  );
  if (open && ends.some((row) => !row || !takesCone(open.farDiameter.nominal, Math.min(row.nearDiameter.nominal, row.farDiameter.nominal))))
    return { why: say`its wall is too thin for a cone in the mouth of its hole` };
  if (!open && (!centreGoesIn(facts, 'right') || !centreGoesIn(facts, 'left'))) return { why: say`no centre hole goes in a point or a ball` };
  if (bar.form !== 'round') return { why: say`the dog and the centres want a round bar` };
  // centres drawn in both ends are there to be turned on
  const drawn = (['right', 'left'] as const).every((end) => part.details.some((d) => d.kind === 'centre' && d.on === end));
  if (part.length < (asked || drawn ? 2 : practice.centresFrom) * across)
    return { why: say`it is short for its diameter: a chuck holds it as true in one go` };
  if (through > 0 && exceeds(across, through, PLACE) && part.length > practice.carriedFrom * across)
    return { why: say`${bar.name} does not go through the spindle, so its ends cannot be faced and centred in a chuck` };
  if (part.length > mmOf(machine.centres, Infinity)) return { why: say`it is longer than the lathe takes between centres` };
  const reach = besideDog(reachOf(part.features, first), part, first, practice.dog);
  if (!reach) return { why: say`a neck, or a row that the dog sits on, is hidden from the other end` };
  if (!part.features.some((f) => reach[f.id] === far)) return { why: say`nothing is left for the other end` };
  const sheetOf = remembered((holding) =>
    carriedSheet({ job, part, bar, holding: holdingOf(shop, holding), blade: 0, machine, whole: false, first }),
  );
  const centring = (end: End): Stage => ({
    id: `${end}-1`,
    options: weighHoldings(heldSawn(facts, end, sheetOf), shop),
    dangers: () => [],
    make: (making, held) => [centreSetup(making, end, held, open)],
  });
  const between = (end: End): Stage => ({
    id: `${end}-2`,
    options: weighHoldings(heldBetween(facts, end, 2), shop).filter((o) => holdingOf(shop, o.holding)?.kind === 'centres'),
    dangers: () => [],
    make: (making, held) => [betweenSetup(making, end, held, end === far && wait.length === 0)],
  });
  // what is not the hole through waits for the finished outside
  const wait = (['right', 'left'] as const).filter((end) => holes.some((f) => f.side === end && f !== open));
  const boring = (end: End): Stage => {
    const other = otherEnd(end);
    const all: Reach = Object.fromEntries(part.features.filter((f) => f.side === 'outside').map((f) => [f.id, other]));
    const gripping = grippingOf(part, all, other);
    const held = { ...heldTurned(facts, other, gripping, all, { ...sheetOf(''), off: { right: 0, left: 0 } }), setup: `${end}-3` };
    return {
      id: `${end}-3`,
      options: weighHoldings(held, shop),
      dangers: () => [],
      make: (making, choice) => (open ? [boreLast(making, end, choice, gripping, open, end === wait.at(-1))] : []),
    };
  };
  return {
    facts,
    name: 'centres',
    first,
    reach,
    sheetOf,
    making: { severing: severingOf(facts, across / 2), reach, first },
    blank: (sheet) => sawn(facts, first, sheet),
    stages: [centring(first), centring(far), between(first), between(far), ...wait.map(boring)],
  };
}
