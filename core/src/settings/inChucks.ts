import type { Holding } from '../document';
import { type Feature, mouthOf, otherEnd } from '../drawing';
import type { Finding } from '../finding';
import { alreadyMade, type HoldingChoice, takeHolding, weighHoldings } from '../holding';
import { type Facts, holeAt, sawRate, severingOf, wayChosen } from '../operations';
import { fallsShort, figure, type Figure, say } from '../quantity';
import type { End } from '../ref';
import { holdingOf, mmOf, practice } from '../shop';
import { outsideOf } from '../stock';
import { type BarSheet, barSheet, facedSheet } from './barSheet';
import { goesWhole, partedStays, standTogether } from './fromBar';
import { heldFirst, heldTurned, onArbor } from './held';
import { asksMore } from './madeFirst';
import { type Layout, remembered, sawn, turnedApart } from './layout';
import { pulledOut, severedFar, withCentre, workedOut } from './positions';
import { type Gripping, grippingOf, type Reach, reachOf } from './reach';
import type { Making } from './setting';
import { firstSettings, secondSetup } from './setups';
import { gripDiameter, reachBesideJaws, startedSheet } from './started';
import { turnsOver } from './turnsOver';
import { wheresOf } from './variants';

/* Turned in chucks: the bar held first as it is, or the piece already started; then turned round and held on what was finished. */

/** In what a beginning is not the usual one. */
interface Asked {
  /** pulled out as it is worked */
  readonly pulled?: { readonly reach: Reach };
  /** parted to its length, the face staying as the blade leaves it */
  readonly parted?: boolean;
}

/** How a piece is first held in a chuck, whichever rows are turned there. */
interface Beginning {
  readonly facts: Facts;
  readonly first: End;
  readonly severing: Layout['making']['severing'];
  readonly sheetOf: Layout['sheetOf'];
  readonly weighed: readonly HoldingChoice[];
  /** the holding that a person asked for */
  readonly taken: HoldingChoice | undefined;
}

export function beginning(facts: Facts, first: End, { pulled, parted = false }: Asked = {}): Beginning {
  const { part, bar, shop, started, chosen, job, machine } = facts;
  const across = mmOf(bar.across);
  const usual = severingOf(facts, wallOf(facts));
  const severing = pulled ? severedFar(facts, usual, wallOf(facts)) : usual;
  const typed = chosen.hold.get(`${first}-1`);
  const whole = wayChosen(facts, 'bar') === 'whole' || goesWhole(facts);
  const each = part.length + practice.faceFirst + (parted ? 0 : practice.faceSecond) + severing.width;
  const together = whole ? standTogether(facts, first, each) : 1;
  const sheetWith = (holding: Holding | undefined) =>
    (started ? startedSheet(started) : barSheet)(
      { job, part, bar, holding, blade: severing.width, machine, whole, first, together, parted },
      typed?.grip && mmOf(typed.grip, NaN),
      typed?.stickOut && mmOf(typed.stickOut, NaN),
    );
  const sheetOf = remembered((holding) => sheetWith(holdingOf(shop, holding)));
  const firstHeld = heldFirst(facts, first, started ? gripDiameter(started, part, sheetOf('')) : across, sheetOf);
  const weighed = pulled
    ? weighHoldings({ ...firstHeld, stickOut: (h) => outOf(workedOut(pulledOut(facts, sheetOf(h.id), first, pulled.reach) ?? [])) }, shop, true)
    : weighHoldings(firstHeld, shop);
  return { facts, first, severing, sheetOf, weighed, taken: takeHolding(weighed, typed) };
}

const outOf = (out: number): Figure => figure('length', 'distance', { value: out }, { step: 0.1 });

/** How deep a blade goes through the bar: to its middle, of a tube through its wall, mm. */
const wallOf = (facts: Facts): number => (turnsOver(facts) - (facts.bar.form === 'tube' ? mmOf(facts.bar.inside) : 0)) / 2;

/** Whether a person, or what was given out, has what was gripped faced away: undefined where nothing is said of it. */
export function facedAsked({ chosen }: Facts): boolean | undefined {
  const methods = (['left', 'right'] as const).flatMap((end) => chosen.method.get(end)?.method ?? []);
  return methods.length === 0 ? undefined : methods.includes('face');
}

/** Minutes that a saw takes through the bar. @source time-of-sawing, common practice */
const sawnIn = (facts: Facts, across: number): number =>
  (Math.PI * across ** 2) /
  4 /
  sawRate(
    facts,
    facts.shop.tools.find((t) => t.kind === 'saw'),
  );

/** A stout blank held by a few millimetres beyond the part, which are faced away: nothing is severed. @source bar-or-blank, common practice */
export function facedOff(begins: Beginning): readonly Layout[] {
  const { facts, first } = begins;
  const { part, bar, shop, started, chosen, job, machine } = facts;
  const across = mmOf(bar.across);
  const asked = facedAsked(facts);
  if (started || asked === false || bar.form === 'square' || part.length > practice.discFrom * across) return [];
  if (asked !== true && (wayChosen(facts, 'bar') === 'whole' || begins.severing.method !== 'saw' || sawnIn(facts, across) < practice.faceInsteadFrom))
    return [];
  const typed = chosen.hold.get(`${first}-1`);
  const sheetOf = remembered((holding) =>
    facedSheet({ job, part, bar, holding: holdingOf(shop, holding), blade: 0, machine, whole: false, first }, typed?.grip && mmOf(typed.grip, NaN)),
  );
  const weighed = weighHoldings(heldFirst(facts, first, across, sheetOf), shop);
  return chucked({ ...begins, sheetOf, weighed, taken: takeHolding(weighed, typed) }, 'soon');
}

/** Turned in chucks, the bar pulled out in the first as it goes or not; where everything that is plain enough to be gripped is left for the second end, that is no other way. */
export function chucked(begins: Beginning, widest: 'soon' | 'later', how: 'usual' | 'pulled' | 'parted' = 'usual'): readonly Layout[] {
  const pulls = how === 'pulled';
  const parted = how === 'parted';
  const { facts, first } = begins;
  const where = wheresOf(facts, first)[widest];
  const asked = facts.chosen.method.get('pull')?.method;
  const hold = facts.chosen.hold.get(`${first}-1`);
  if (!where || (pulls && (facts.started !== undefined || asked === 'once' || (hold?.support.length ?? 0) > 0))) return [];
  const asReached = reachOf(facts.part.features, first, where);
  if (pulls && !pulledOut(facts, begins.sheetOf(''), first, asReached)) return [];
  const stays = partedStays(facts, first, asReached, begins.severing);
  if (parted ? !stays : stays && facts.chosen.method.get('parted')?.method === 'stays') return [];
  const {
    severing,
    sheetOf,
    weighed: all,
    taken,
  } = pulls ? beginning(facts, first, { pulled: { reach: asReached } }) : parted ? beginning(facts, first, { parted }) : begins;
  const short = asked === 'short' && !pulls && pulledOut(facts, begins.sheetOf(''), first, asReached) !== undefined;
  const weighed = short ? all.filter((o) => o.support.length > 0) : all;
  if (weighed.length === 0) return [];
  const { part, shop, started } = facts;
  const far = otherEnd(first);
  const findings: Finding[] = [];
  const plain = asReached;
  // of a piece already started the grip decides which rows lie in the jaws
  const reach = started ? reachBesideJaws(plain, part, started, sheetOf(taken?.holding ?? ''), findings) : plain;
  const gripping = grippingOf(part, reach, first);
  const soonest = reachOf(part.features, first);
  const later = started ? [] : part.features.filter((f) => soonest[f.id] === first && plain[f.id] === far);
  if (widest === 'later' && !(gripping.sound && reach[gripping.row] === first)) return [];
  const alone = parted || (started !== undefined && nothingAt(facts, far, reach, sheetOf(taken?.holding ?? '')));
  const turned = weighHoldings(heldTurned(facts, first, gripping, reach, sheetOf(taken?.holding ?? '')), shop);
  return [
    {
      facts,
      name: 'chuck',
      first,
      reach,
      sheetOf,
      making: { severing, reach, first },
      blank: (sheet) => started?.region ?? sawn(facts, first, sheet),
      stages: [
        {
          id: `${first}-1`,
          ...(pulls && { also: begins.weighed.filter((o) => o.support.length > 0) }),
          options: started && taken ? [taken, ...weighed.filter((o) => o.holding !== taken.holding || o.support !== taken.support)] : weighed,
          dangers: () => findings,
          more: (held) => asksMore(facts, held, false),
          make: (making, held) =>
            firstSettings(
              making,
              held,
              (pulls ? pulledOut(facts, making.sheet, first, reach) : undefined) ?? withCentre(facts, making.sheet, held),
              alone,
            ),
        },
        ...(alone
          ? []
          : [
              {
                id: `${far}-1`,
                options: turned,
                dangers: ({ holding }: HoldingChoice) => [
                  ...(gripping.sound || onArbor(holdingOf(shop, holding))
                    ? []
                    : [onlyShaped(facts, far, gripping, grippingOf(part, soonest, first).sound)]),
                  ...later.map((row) => turnedApart(row, far, holdingOf(shop, holding))),
                ],
                more: (held: HoldingChoice) => asksMore(facts, held, true),
                make: (making: Making, held: HoldingChoice) => [secondSetup(making, held, gripping)],
              },
            ]),
      ],
    },
  ];
}

/** Of a piece already started nothing is left to do at an end: it is not held there to cut nothing. @source no-idle-setting, common practice */
function nothingAt(facts: Facts, end: End, reach: Reach, sheet: BarSheet): boolean {
  const { part, started } = facts;
  if (!started || sheet.off[end] > 0 || sheet.severs) return false;
  const facing = (f: Feature) => (end === 'left' ? f.edgeFar : f.edgeNear);
  const rows = part.features.filter((f) => f.side === 'outside');
  const open = rows.some((f) => !alreadyMade(f, started) && (reach[f.id] === end || reach[f.id] === 'neck'));
  // a thread that is there has its lead already, whatever was typed of it
  const made = (f: Feature) => alreadyMade(f, started) && (f.form === 'thread' || brokenThere(f));
  const brokenThere = (f: Feature) => {
    const z = mouthOf(f, end);
    return fallsShort(2 * outsideOf(started.region, z - 0.02, z + 0.02).least, f.nearDiameter.nominal, practice.finishedWithin);
  };
  const edges = rows.some((f) => facing(f).kind !== 'none' && facing(f).kind !== 'sharp' && !made(f));
  const holes = holeAt(facts, end) && part.features.some((f) => f.side === end && !alreadyMade(f, started));
  return !open && !edges && !holes && !part.details.some((d) => d.on === end);
}

/** Where a plain row could have been left for it and a person's choice has it turned there, that is no way to hold it. */
const onlyShaped = ({ part, chosen }: Facts, end: End, gripping: Gripping, avoidable: boolean): Finding => ({
  code: 'grip-last',
  about: `${end}-1`,
  severity: avoidable ? 'stop' : 'caution',
  says: say`turned round, only a ${part.features.find((f) => f.id === gripping.row)?.form ?? 'shaped row'} is left to grip`,
  why: say`never leave only threads, tapers or balls to grip: begin at the other end, or leave spare stock to hold and part it off last`,
  mends: avoidable
    ? [
        {
          says: say`turn it in the first chucking`,
          to: 'job',
          edits: [...chosen.in.values()].map((c) => ({ op: 'remove' as const, at: `choices/#${c.id}` })),
        },
      ]
    : [],
});
