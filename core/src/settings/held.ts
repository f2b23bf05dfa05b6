import { type Holding, orChosen } from '../document';
import { faceOf, type Feature, innerOf, inward, otherEnd, type Part, rowAt } from '../drawing';
import { alreadyMade, type Held, largestDiameter, surfaceStays, type ToKeep } from '../holding';
import { cuttingForce } from '../mechanics';
import type { Facts } from '../operations';
import { figure, type Figure } from '../quantity';
import { type End, thingOf } from '../ref';
import { mmOf, practice } from '../shop';
import { regionOf, thinnestOf } from '../stock';
import type { BarSheet } from './barSheet';
import type { Gripping, Reach } from './reach';

/** What both setups have in common. */
function heldAlike(facts: Facts, gripped: number) {
  const { part, material, machine, shop } = facts;
  const largest = largestDiameter(part);
  const smallest = Math.min(largest, ...part.features.filter((f) => f.side === 'outside').map((f) => f.nearDiameter.nominal));
  const edge = shop.tools.find((t) => t.kind === 'turn')?.grade ?? 'hss';
  const forces = cuttingForce(material.kc, material.mc, { depth: practice.lightCut, feed: material.feed, nose: 0.4, speed: material[edge] });
  return {
    length: part.length,
    largest,
    modulus: 1000 * material.modulus,
    machine,
    wantsSpeed: Math.min(fastest(facts), (1000 * material[edge]) / (Math.PI * Math.max(1, smallest))),
    pull: Math.hypot((forces.cutting * largest) / Math.max(1, gripped), forces.feed),
  };
}

function fastest({ machine }: Facts): number {
  return Array.isArray(machine.speeds) ? Math.max(...machine.speeds) : machine.speeds.to;
}

/** How far in the deepest hole of an end goes. */
const holeOf = (facts: Facts, side: End): number | undefined => {
  const rows = facts.part.features.filter((f) => f.side === side);
  return rows.length > 0 ? Math.max(...rows.map((f) => Math.abs(f.far - faceOf(facts.part, side)))) : undefined;
};

/** The wall of what is gripped first, where it is hollow already. */
function wallFirst({ started, bar }: Facts): Held['wall'] {
  if (started) return thinnestOf(started.region, -1e4, 1e4);
  return bar.form === 'tube' ? { outer: mmOf(bar.across) / 2, inner: mmOf(bar.inside) / 2, long: 1e4 } : undefined;
}

/** What the jaws close on first is finished already: as was said of that row of the piece, else a row of the drawing that has its size. @source soft-pads, common practice */
function finishedAlready({ started, part }: Facts, diameter: number): boolean {
  if (!started) return false;
  const has = (f: Feature) =>
    f.side === 'outside' &&
    (f.form === 'cylinder' || f.form === 'thread') &&
    f.asDrawn !== true &&
    diameter >= f.nearDiameter.min - practice.finishedWithin &&
    diameter <= f.nearDiameter.max + practice.finishedWithin;
  const said = started.piece.features.filter(has).flatMap((f) => started.surfaces.get(f.id) ?? []);
  return said.length > 0 ? said.includes('finished') : part.features.some(has);
}

/** No centre hole is drilled in a point or a ball: there is no face for it, unless it is drawn. @source no-hole-in-a-point, common practice */
export function centreGoesIn(facts: Facts, end: End): boolean {
  const row = rowAt(
    facts.part.features.filter((f) => f.side === 'outside'),
    end,
  );
  if (!row || centreDrawn(facts, end)) return true;
  const face = (end === 'right' ? row.nearDiameter : row.farDiameter).nominal;
  return row.form !== 'ball' && face >= practice.faceForCentre;
}

const centreDrawn = (facts: Facts, side: End) => facts.part.details.some((d) => d.kind === 'centre' && d.on === side);

/** What is turned beside a centre in this end, and the supports that a person chose there. */
function atItsEnd(facts: Facts, end: End): Pick<Held, 'atFace' | 'asked'> {
  const row = rowAt(
    facts.part.features.filter((f) => f.side === 'outside'),
    end,
  );
  const asked = facts.chosen.hold.get(`${end}-1`)?.support.map((s) => s.item);
  return { ...(row && { atFace: (end === 'right' ? row.nearDiameter : row.farDiameter).nominal / 2 }), ...(asked && { asked }) };
}

/** The bar, or the piece as it is, held for the end that is worked first. */
export function heldFirst(facts: Facts, first: End, diameter: number, sheetWith: (holding: string) => BarSheet): Held {
  const metal = facts.started ? facts.started.piece.length : mmOf(facts.bar.length);
  return {
    ...heldAlike(facts, diameter),
    ...atItsEnd(facts, first),
    setup: `${first}-1`,
    diameter,
    form: facts.bar.form,
    // a ground surface that stays is a finished one
    finished: finishedAlready(facts, diameter) || (facts.bar.skin === 'ground' && surfaceStays(facts.part, facts.bar)),
    room: facts.started ? metal : Math.max(1, metal - sheetWith('').stickOut.value),
    stickOut: (h) => sheetWith(h.id).stickOut,
    grip: (h) => sheetWith(h.id).grip,
    face: faceOf(facts.part, first),
    centreAllowed: centreGoesIn(facts, first),
    centreDrawn: centreDrawn(facts, first),
    hole: holeOf(facts, first),
    bore: undefined,
    wall: wallFirst(facts),
    keep: facts.started ? keptFrom(facts, first) : [],
    clear: sheetWith('').severs ? sheetWith('').gap : undefined,
  };
}

/** The piece turned round, held on what was finished. */
export function heldTurned(facts: Facts, first: End, gripping: Gripping, reach: Reach, sheet: BarSheet): Held {
  const { part, chosen } = facts;
  const end = otherEnd(first);
  const typed = chosen.hold.get(`${end}-1`)?.grip;
  const gripOf = (h: Holding | undefined): Figure =>
    orChosen(figure('length', 'gripOfJaws', { jaws: mmOf(h?.jaw?.length, 25), most: gripping.room }, { step: 0.1 }), typed && mmOf(typed, NaN));
  const through = throughBore(part, first);
  const wall = sheet.severs ? thinnestOf(regionOf(part.contour), gripping.z, gripping.z + inward(end) * gripping.room) : undefined;
  return {
    ...heldAlike(facts, gripping.diameter),
    ...atItsEnd(facts, end),
    setup: `${end}-1`,
    diameter: gripping.diameter,
    slim: slimOf(part, gripping, end),
    form: 'round',
    finished: true,
    room: gripping.room,
    grip: (h) => (onArbor(h) && through ? figure('length', 'distance', { value: part.length }, { step: 0.1 }) : gripOf(h)),
    stickOut: (h) =>
      onArbor(h) && through
        ? figure('length', 'distance', { value: part.length + sheet.off[end] }, { step: 0.1 })
        : turnedStickOut(facts, gripping, sheet.off[end], gripOf(h).value),
    face: faceOf(part, end),
    centreAllowed: centreGoesIn(facts, end),
    centreDrawn: centreDrawn(facts, end),
    hole: holeOf(facts, end),
    // what fills the hole is no place to drill and bore the other end from
    bore: part.features.some((f) => f.side === end) ? undefined : through?.nearDiameter.nominal,
    wall,
    keep: toKeep(part, first, reach),
    clear: cutBeside(facts, end, gripping, reach),
  };
}

/** How thick what stands out of the jaws is: by the length of each row, and no thicker than what is gripped, mm. */
export function slimOf(part: Part, gripping: Pick<Gripping, 'diameter' | 'z'>, end: End): number {
  const [from, to] = [Math.min(gripping.z, faceOf(part, end)), Math.max(gripping.z, faceOf(part, end))];
  let [long, sum] = [0, 0];
  for (const f of part.features) {
    if (f.side !== 'outside') continue;
    const own = Math.min(Math.max(f.near, f.far), to) - Math.max(Math.min(f.near, f.far), from);
    if (own <= 0) continue;
    long += own;
    sum += (own * (f.nearDiameter.nominal + f.farDiameter.nominal)) / 2;
  }
  return long > 0 ? Math.min(gripping.diameter, sum / long) : gripping.diameter;
}

/** The sawn bar in a chuck for facing and centring an end, most of it through the spindle. */
export function heldSawn(facts: Facts, end: End, sheetWith: (holding: string) => BarSheet): Held {
  const across = mmOf(facts.bar.across);
  return {
    ...heldAlike(facts, across),
    setup: `${end}-1`,
    diameter: across,
    form: facts.bar.form,
    finished: false,
    room: facts.part.length,
    stickOut: (h) => sheetWith(h.id).stickOut,
    grip: (h) => sheetWith(h.id).grip,
    face: faceOf(facts.part, end),
    centreAllowed: false,
    centreDrawn: centreDrawn(facts, end),
    hole: undefined,
    bore: undefined,
    wall: undefined,
    keep: [],
    clear: undefined,
  };
}

/** Between its own two centres: what is turned at one end runs true to what was turned at the other. */
export function heldBetween(facts: Facts, end: End, n: number): Held {
  const long = figure('length', 'distance', { value: facts.part.length }, { step: 0.1 });
  const largest = largestDiameter(facts.part);
  return {
    ...heldSawn(facts, end, () => ({ stickOut: long, grip: long }) as BarSheet),
    setup: `${end}-${String(n)}`,
    diameter: largest,
    form: 'round',
    stickOut: () => long,
    grip: () => figure('length', 'distance', { value: practice.dog }),
    carried: 'centres',
  };
}

/** A plate clamped by its back. */
export function heldOnPlate(facts: Facts, end: End, n: number): Held {
  const long = figure('length', 'distance', { value: facts.part.length }, { step: 0.1 });
  return {
    ...heldSawn(facts, end, () => ({ stickOut: long, grip: long }) as BarSheet),
    setup: `${end}-${String(n)}`,
    stickOut: () => long,
    grip: () => long,
    carried: 'plate',
  };
}

/** What sticks out of the jaws that hold the turned piece. */
export const turnedStickOut = (facts: Facts, gripping: Gripping, off: number, grip: number): Figure =>
  figure('length', 'stickOutTurned', {
    part: facts.part.length,
    face: off,
    grip,
    inside: Math.min(gripping.inside(grip), Math.max(0, facts.part.length + off - grip - 0.1)),
  });

/** How far the rows turned in the second setup stay from the jaws; undefined where none is. */
function cutBeside(facts: Facts, end: End, gripping: Gripping, reach: Reach): number | undefined {
  const mine = facts.part.features.filter((f) => f.side === 'outside' && reach[f.id] === end);
  return mine.length > 0 ? Math.min(...mine.map((f) => inward(end) * (gripping.z - innerOf(f, end)))) : undefined;
}

/** Holds by a bore rather than by the outside. */
export const onArbor = (holding: Holding | undefined): boolean => holding?.kind === 'arbor' || holding?.kind === 'cushionedArbor';

/** A through bore that the first setup makes. */
const throughBore = (part: Part, first: End) => part.features.find((f) => f.side === first && f.through === true && f.form === 'cylinder');

/** A piece on an arbor that fills its through bore: held all along, the end free that is worked second. */
export function boredGripping(part: Part, first: End): Gripping | undefined {
  const bore = throughBore(part, first);
  if (!bore) return undefined;
  return { diameter: bore.nearDiameter.nominal, row: bore.id, sound: true, room: part.length, z: faceOf(part, otherEnd(first)), inside: () => 0 };
}

/** What a piece already started has is kept true to: what is made now, to what was made before it came. */
export function keptFrom({ part, started }: Facts, end: End): readonly ToKeep[] {
  const made = (ref: string) => part.features.some((f) => f.id === thingOf(ref) && started !== undefined && alreadyMade(f, started));
  return part.relations.flatMap((r): ToKeep[] => {
    if (r.kind === 'distance') return [];
    const [of, to] = [made(r.of), made(r.to)];
    const open = part.features.find((f) => f.id === thingOf(of ? r.to : r.of));
    if (of === to || (open && open.side !== 'outside' && open.side !== end)) return [];
    return [{ id: r.id, words: r.kind, limit: r.limits.max, faces: widestOfFaces(part, r), datum: thingOf(of ? r.of : r.to) }];
  });
}

/** Relations whose two sides are made in different setups. */
export function toKeep(part: Part, first: End, reach: Reach): readonly ToKeep[] {
  const setupOf = (ref: string): 'right' | 'left' | undefined => {
    const id = thingOf(ref);
    if (id === 'right' || id === 'left') return id;
    const feature = part.features.find((f) => f.id === id);
    if (!feature) return undefined;
    if (feature.side !== 'outside') return feature.side;
    return reach[id] === otherEnd(first) ? otherEnd(first) : first;
  };
  return part.relations.flatMap((r): ToKeep[] => {
    if (r.kind === 'distance') return [];
    const [a, b] = [setupOf(r.of), setupOf(r.to)];
    if (!a || !b || a === b) return [];
    // what is made first is there to be dialled on
    return [{ id: r.id, words: r.kind, limit: r.limits.max, faces: widestOfFaces(part, r), datum: thingOf(a === first ? r.of : r.to) }];
  });
}

/** The widest of two faces or rows that are to be square or parallel, mm; nothing of other relations. */
export function widestOfFaces(part: Part, { kind, of, to }: Part['relations'][number]): number | undefined {
  if (kind !== 'square' && kind !== 'parallel') return undefined;
  const rows = part.features.filter((f) => f.side === 'outside');
  const wide = (ref: string) => {
    const id = thingOf(ref);
    const row = id === 'right' || id === 'left' ? rowAt(rows, id) : rows.find((f) => f.id === id);
    return row ? Math.max(row.nearDiameter.nominal, row.farDiameter.nominal) : 0;
  };
  return Math.max(wide(of), wide(to));
}
