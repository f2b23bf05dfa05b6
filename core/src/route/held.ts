import type { Holding } from '../document';
import type { Part } from '../drawing';
import { largestDiameter, type Held, type ToKeep } from '../holding';
import { cuttingForce } from '../mechanics';
import { figure, type Figure } from '../quantity';
import { mmOf } from '../shop';
import { rectangle, regionOf, thinnestOf } from '../stock';
import type { BarSheet } from './barSheet';
import { orChosen } from './choices';
import type { Context } from './context';
import type { Gripping, Reach } from './reach';

/** A light roughing cut, for slipping: depth on radius, mm. @source common practice */
const LIGHT_CUT = 0.5;

/** What both setups have in common. */
function common(ctx: Context, gripped: number) {
  const { part, material, machine, shop } = ctx;
  const largest = largestDiameter(part);
  const smallest = Math.min(largest, ...part.features.filter((f) => f.side === 'outside').map((f) => f.nearDiameter.nominal));
  const edge = shop.tools.find((t) => t.kind === 'turn')?.grade ?? 'hss';
  const forces = cuttingForce(material.kc, material.mc, { depth: LIGHT_CUT, feed: material.feed, nose: 0.4, speed: material[edge] });
  return {
    length: part.length,
    largest,
    modulus: 1000 * material.modulus,
    machine,
    wantsSpeed: Math.min(fastest(ctx), (1000 * material[edge]) / (Math.PI * Math.max(1, smallest))),
    pull: Math.hypot((forces.cutting * largest) / Math.max(1, gripped), forces.feed),
  };
}

function fastest({ machine }: Context): number {
  return Array.isArray(machine.speeds) ? Math.max(...machine.speeds) : machine.speeds.to;
}

/** How far in the deepest hole of an end goes. */
const holeOf = (ctx: Context, side: 'right' | 'left'): number | undefined => {
  const rows = ctx.part.features.filter((f) => f.side === side);
  return rows.length > 0 ? Math.max(...rows.map((f) => Math.abs(f.far - (side === 'right' ? 0 : -ctx.part.length)))) : undefined;
};

/** The wall of what is gripped first, where it is hollow already. */
function wallFirst({ started, bar }: Context): Held['wall'] {
  if (started) return thinnestOf(started.region, -1e4, 1e4);
  return bar.form === 'tube' ? { outer: mmOf(bar.across) / 2, inner: mmOf(bar.inside) / 2, long: 1e4 } : undefined;
}

const centreDrawn = (ctx: Context, side: 'right' | 'left') => ctx.part.details.some((d) => d.kind === 'centre' && d.on === side);

/** The bar, or the piece as it is, held for its right end. */
export function heldFirst(ctx: Context, diameter: number, sheetWith: (holding: string) => BarSheet): Held {
  const metal = ctx.started ? ctx.started.piece.length : mmOf(ctx.bar.length);
  return {
    ...common(ctx, diameter),
    setup: 'right-1',
    diameter,
    form: ctx.bar.form,
    finished: false,
    room: ctx.started ? metal : Math.max(1, metal - sheetWith('').stickOut.value),
    stickOut: (h) => sheetWith(h.id).stickOut,
    grip: (h) => sheetWith(h.id).grip,
    face: 0,
    centreAllowed: true,
    centreDrawn: centreDrawn(ctx, 'right'),
    hole: holeOf(ctx, 'right'),
    bore: undefined,
    wall: wallFirst(ctx),
    keep: [],
    clear: sheetWith('').severs ? sheetWith('').gap : undefined,
  };
}

/** The piece turned round, held on what was finished. */
export function heldTurned(ctx: Context, gripping: Gripping, reach: Reach, sheet: BarSheet): Held {
  const { part, chosen } = ctx;
  const typed = chosen.hold.get('left-1')?.grip;
  const gripOf = (h: Holding | undefined): Figure =>
    orChosen(figure('length', 'gripOfJaws', { jaws: mmOf(h?.jaw?.length, 25), most: gripping.room }, { step: 0.1 }), typed && mmOf(typed, NaN));
  const through = part.features.find((f) => f.side === 'right' && f.through === true && f.form === 'cylinder');
  const metal = sheet.severs ? rectangle(-(part.length + sheet.faceB), 1000, -1, 1000) : undefined;
  const wall = metal && thinnestOf(regionOf(part.contour), gripping.z, gripping.z + gripping.room);
  return {
    ...common(ctx, gripping.diameter),
    setup: 'left-1',
    diameter: gripping.diameter,
    form: 'round',
    finished: true,
    room: gripping.room,
    grip: (h) => (onArbor(h) && through ? figure('length', 'distance', { value: part.length }, { step: 0.1 }) : gripOf(h)),
    stickOut: (h) =>
      onArbor(h) && through
        ? figure('length', 'distance', { value: part.length + sheet.faceB }, { step: 0.1 })
        : turnedStickOut(ctx, gripping, sheet, gripOf(h).value),
    face: -part.length,
    centreAllowed: true,
    centreDrawn: centreDrawn(ctx, 'left'),
    hole: holeOf(ctx, 'left'),
    bore: through?.nearDiameter.nominal,
    wall,
    keep: toKeep(ctx, reach),
    clear: cutBeside(ctx, gripping, reach),
  };
}

/** What sticks out of the jaws that hold the turned piece. */
export const turnedStickOut = (ctx: Context, gripping: Gripping, sheet: BarSheet, grip: number): Figure =>
  figure('length', 'stickOutTurned', {
    part: ctx.part.length,
    faceB: sheet.faceB,
    grip,
    inside: Math.min(gripping.inside(grip), Math.max(0, ctx.part.length + sheet.faceB - grip - 0.1)),
  });

/** How far the rows turned in the second setup stay from the jaws; undefined where none is. */
function cutBeside(ctx: Context, gripping: Gripping, reach: Reach): number | undefined {
  const mine = ctx.part.features.filter((f) => f.side === 'outside' && reach[f.id] === 'left');
  return mine.length > 0 ? gripping.z - Math.max(...mine.map((f) => f.near)) : undefined;
}

/** Holds by a bore rather than by the outside. */
export const onArbor = (holding: Holding | undefined): boolean => holding?.kind === 'arbor' || holding?.kind === 'cushionedArbor';

/** A piece on an arbor that fills its through bore: held all along, its left end free. */
export function boredGripping(part: Part): Gripping | undefined {
  const bore = part.features.find((f) => f.side === 'right' && f.through === true && f.form === 'cylinder');
  if (!bore) return undefined;
  return { diameter: bore.nearDiameter.nominal, row: bore.id, sound: true, room: part.length, z: -part.length, inside: () => 0 };
}

const subjectOf = (ref: string) => ref.split('.')[0] ?? '';

/** Relations whose two sides are made in different setups. */
export function toKeep(ctx: Context, reach: Reach): readonly ToKeep[] {
  const setupOf = (ref: string): 'right' | 'left' | undefined => {
    const id = subjectOf(ref);
    if (id === 'right' || id === 'left') return id;
    const feature = ctx.part.features.find((f) => f.id === id);
    if (!feature) return undefined;
    if (feature.side !== 'outside') return feature.side;
    return reach[id] === 'left' ? 'left' : 'right';
  };
  return ctx.part.relations.flatMap((r): ToKeep[] => {
    if (r.kind !== 'runout' && r.kind !== 'concentric') return [];
    const [a, b] = [setupOf(r.of), setupOf(r.to)];
    return a && b && a !== b ? [{ id: r.id, words: r.kind, limit: r.limits.max }] : [];
  });
}
