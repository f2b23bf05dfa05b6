import type { Holding } from '../document';
import { faceOf, type Feature, inward, isShaped, letterOf, mouthOf, otherEnd, rowAt, threadOf } from '../drawing';
import type { Finding } from '../finding';
import { alreadyMade, type HoldingChoice, takeHolding, weighHoldings } from '../holding';
import { type Facts, holeAt, sawRate, severingOf, takesCone, wayChosen } from '../operations';
import { exceeds, fallsShort, figure, type Figure, length, PLACE, say, type Sentence } from '../quantity';
import type { End } from '../ref';
import { holdingOf, mmOf, practice } from '../shop';
import { outsideOf, rectangle, type Region, sameRegion } from '../stock';
import { type BarSheet, barSheet, carriedSheet, facedSheet } from './barSheet';
import { betweenSetup, boreLast, centreSetup, plateSetup, rimSetup } from './carried';
import { centreGoesIn, heldBetween, heldFirst, heldOnPlate, heldSawn, heldTurned, onArbor } from './held';
import { pulledOut, severedFar, withCentre, workedOut } from './positions';
import { goesWhole, partedStays, standTogether } from './fromBar';
import { besideDog, type Gripping, grippingOf, type Reach, reachOf } from './reach';
import type { MadeSetting, Making } from './setting';
import type { LayoutName } from './setup';
import { firstSettings, secondSetup } from './setups';
import { gripDiameter, reachBesideJaws, startedSheet } from './started';
import { turnsOver } from './turnsOver';
import { variantsOf, wheresOf } from './variants';

/** One setup of a layout: the ways of holding it, best first, and how its steps are made. */
export interface Stage {
  readonly id: string;
  readonly options: readonly HoldingChoice[];
  /** ways that only another layout has for it, for a person to choose */
  readonly also?: readonly HoldingChoice[];
  /** what the shape of the part costs this setup whatever holds it */
  readonly dangers: (held: HoldingChoice) => readonly Finding[];
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

export interface Layouts {
  readonly layouts: readonly Layout[];
  /** a way of carrying that was asked for and cannot be had */
  readonly findings: readonly Finding[];
}

/** The layouts that this part, shop and job allow, the usual one first; a person's choice leaves only that. */
export function layoutsOf(facts: Facts): Layouts {
  const { chosen, started } = facts;
  // a holding is chosen for a setup of a route: without a word on the rest, of the usual one
  const usual = chosen.hold.size > 0;
  const askedFirst = chosen.method.get('first')?.method;
  const ends: readonly End[] =
    askedFirst === 'left' && !started ? ['left'] : askedFirst === 'right' || started || usual ? ['right'] : ['right', 'left'];
  const asked = chosen.method.get('carrying')?.method ?? (usual ? 'chuck' : undefined);
  const { variants, findings } = variantsOf(facts);
  const begun = variants.flatMap((own) => ends.map((first) => beginning(own, first)));
  // the usual ones first: what they cost soon rules the others out
  const all = [
    ...begun.flatMap((begins) => [
      ...(facedAsked(facts) === true ? [] : [...chucked(begins, 'soon'), ...chucked(begins, 'soon', 'pulled'), ...chucked(begins, 'soon', 'parted')]),
      ...facedOff(begins),
      ...(started ? [] : [betweenCentres(begins.facts, begins.first), onPlate(begins.facts, begins.first)].filter((made) => 'stages' in made)),
    ]),
    ...(facedAsked(facts) === true ? [] : begun.flatMap((begins) => [...chucked(begins, 'later'), ...chucked(begins, 'later', 'pulled')])),
  ];
  const like = all.filter((l) => l.name === asked);
  if (asked === undefined || like.length > 0) return { layouts: like.length > 0 ? like : all, findings };
  return { layouts: all, findings: [...findings, cannotBeHad(facts, ends[0] ?? 'right', asked)] };
}

function cannotBeHad(facts: Facts, first: End, asked: string): Finding {
  const made = asked === 'centres' ? betweenCentres(facts, first) : onPlate(facts, first);
  const words = asked === 'centres' ? 'between centres' : asked === 'plate' ? 'on the faceplate' : asked;
  const choice = facts.chosen.method.get('carrying');
  return {
    code: 'carrying-not-possible',
    about: 'holding',
    severity: 'caution',
    says: say`it cannot be carried ${words}`,
    why: facts.started ? say`a piece already started is held as it is` : 'stages' in made ? say`another choice stands in the way` : made.why,
    mends: choice ? [{ says: say`let the planner choose`, to: 'job', edits: [{ op: 'remove', at: `choices/#${choice.id}` }] }] : [],
  };
}

/** Why a way of carrying cannot be had. */
interface Refused {
  readonly why: Sentence;
}

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

function beginning(facts: Facts, first: End, { pulled, parted = false }: Asked = {}): Beginning {
  const { part, bar, shop, started, chosen, job, machine } = facts;
  const across = mmOf(bar.across);
  const usual = severingOf(facts, wallOf(facts));
  const severing = pulled ? severedFar(facts, usual, wallOf(facts), first) : usual;
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
    ? weighHoldings({ ...firstHeld, stickOut: (h) => outOf(workedOut(pulledOut(facts, sheetOf(h.id), first, pulled.reach) ?? [])) }, shop).filter(
        (o) => o.support.length === 0,
      )
    : weighHoldings(firstHeld, shop);
  return { facts, first, severing, sheetOf, weighed, taken: takeHolding(weighed, typed) };
}

const outOf = (out: number): Figure => figure('length', 'distance', { value: out }, { step: 0.1 });

/** How deep a blade goes through the bar: to its middle, of a tube through its wall, mm. */
const wallOf = (facts: Facts): number => (turnsOver(facts) - (facts.bar.form === 'tube' ? mmOf(facts.bar.inside) : 0)) / 2;

/** Whether a person, or what was given out, has what was gripped faced away: undefined where nothing is said of it. */
function facedAsked({ chosen }: Facts): boolean | undefined {
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
function facedOff(begins: Beginning): readonly Layout[] {
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
function chucked(begins: Beginning, widest: 'soon' | 'later', how: 'usual' | 'pulled' | 'parted' = 'usual'): readonly Layout[] {
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

/** The bar as it is cut off: from its free face inwards. */
const sawn = (facts: Facts, first: End, sheet: BarSheet): Region => {
  const face = faceOf(facts.part, first) - inward(first) * sheet.off[first];
  const inside = facts.bar.form === 'tube' ? mmOf(facts.bar.inside) / 2 : 0;
  return sameRegion(rectangle(face, face + inward(first) * (sheet.stands ?? sheet.cut.value), inside, turnsOver(facts) / 2));
};

/** What could have been turned in the first chucking, and is true to it only as the second holding is. */
const turnedApart = (row: Feature, end: End, holding: Holding | undefined): Finding => ({
  code: 'one-chucking',
  about: `${row.id}.diameter`,
  severity: 'caution',
  says: say`turned from end ${letterOf(end)}, it is true to the rest within ${length(mmOf(holding?.trueWithin), 0.001)} TIR at the best`,
  why: say`in the first chucking it would be true to what is turned there; what is gripped for it is then a finished surface`,
  mends: [],
});

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

/** Both ends faced and centred in a chuck, then turned between centres and end for end. */
function betweenCentres(facts: Facts, first: End): Layout | Refused {
  const { part, bar, shop, job, machine, chosen } = facts;
  const far = otherEnd(first);
  const across = mmOf(bar.across);
  const asked = chosen.method.get('carrying')?.method === 'centres';
  const through = mmOf(machine.through);
  if (!shop.holdings.some((h) => h.kind === 'centres')) return { why: say`the shop has no centres with a driving dog` };
  const holes = part.features.filter((f) => f.side !== 'outside');
  const open = holes.find((f) => f.through === true && f.form === 'cylinder' && threadOf(f) === undefined);
  if (holes.length > 0 && !open) return { why: say`a hole takes the centre of an end away, and none goes through for a cone in both its mouths` };
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
    const held = { ...heldTurned(facts, other, gripping, all, sheetOf('')), setup: `${end}-3` };
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

/** A bored plate, wider than long: clamped and faced, turned over, faced and bored, then held through its bore where it lies: its rim. */
function onPlate(facts: Facts, first: End): Layout | Refused {
  const { part, bar, shop, job, machine } = facts;
  const far = otherEnd(first);
  const reach = reachOf(part.features, far);
  const outside = part.features.filter((f) => f.side === 'outside');
  const wide = Math.min(...outside.map((f) => f.nearDiameter.nominal));
  const bored = part.features.some((f) => f.side === far && f.through === true);
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

function remembered(of: (holding: string) => BarSheet): (holding: string) => BarSheet {
  const known = new Map<string, BarSheet>();
  return (holding) => {
    const before = known.get(holding);
    if (before) return before;
    const made = of(holding);
    known.set(holding, made);
    return made;
  };
}
