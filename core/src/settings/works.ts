import { alike, exceeds, PLACE } from '../quantity';
import { type Feature, innerOf, inward, isShaped, mouthOf, threadOf } from '../drawing';
import { alreadyMade, type HoldingChoice, keptOfBar } from '../holding';
import {
  type At,
  centreDrill,
  centreUp,
  chamferInner,
  chamferMouth,
  coolDown,
  cutThread,
  detailsOf,
  detailStep,
  dieFor,
  drawnCentre,
  type Facts,
  finishTurn,
  knurlUnder,
  makeHole,
  type Operation,
  roughTurn,
  shapeEdges,
  shapeRow,
  slitBeforeFinishing,
  steadyUp,
  undercut,
  withdraw,
} from '../operations';
import { mmOf } from '../shop';
import type { Making } from './setting';

/* The operations of a setting, in the order of an ordinary job; the best order is looked for afterwards. */

/** What is done to a faced end before its rows are turned: a seat for the centre, the hole, or the centre that the drawing asks for. */
export interface Opening {
  /** of the face */
  readonly z: number;
  /** mm on diameter there */
  readonly widest: number;
  readonly hole: boolean;
}

const supportsIn = (held: HoldingChoice) => ({
  centre: held.support.some((s) => s.kind === 'centre'),
  steady: held.support.find((s) => s.kind === 'steady'),
});

/** A seat for the centre, the hole where nothing is to be carried first, or the centre that the drawing asks for. */
export function seatOf({ facts }: Making, { end }: At, held: HoldingChoice, { z, widest, hole }: Opening): readonly Operation[] {
  const { centre, steady } = supportsIn(held);
  const drawn = facts.part.details.some((d) => d.kind === 'centre' && d.on === end);
  // the centre that the drawing asks for carries it; else one of usual size
  if (centre) return [drawn && !hole ? drawnCentre(z) : centreDrill(z, widest, 'support')];
  if (!hole) return [drawnCentre(z)];
  return steady ? [] : [centreDrill(z, widest, 'drill'), makeHole()];
}

/** The centre is brought, with what goes along. */
export const carryEnd = (held: HoldingChoice): readonly Operation[] => (supportsIn(held).centre ? [centreUp(held)] : []);

/**
 * A hole that waits until the outside is turned: the centre is withdrawn for it, or a steady set up, before the centre goes where there was one.
 * @param here what carries it while the hole is made
 */
export function holeAfterTurning(held: HoldingChoice, here: HoldingChoice, { z, widest, hole }: Opening): readonly Operation[] {
  const { centre } = supportsIn(held);
  const { steady } = supportsIn(here);
  if (!hole) return [];
  if (centre && steady) return [steadyUp(steady, true), makeHole()];
  if (centre) return [withdraw(), makeHole()];
  return steady ? [steadyUp(steady), centreDrill(z, widest, 'drill'), makeHole()] : [];
}

/** Roughed large before small, cooled where a size is fine, finished. */
export function turnRows({ facts }: Making, { end }: At, rows: readonly Feature[], face: number, surfaceStays: boolean): readonly Operation[] {
  const bigFirst = rows
    .filter((f) => !madeAlready(facts, f))
    .toSorted((a, b) => b.nearDiameter.nominal - a.nearDiameter.nominal || inward(end) * (innerOf(b, end) - innerOf(a, end)));
  // a knurl rises from its blank: the drawn surface is too large for it
  const asBar = (f: Feature) =>
    surfaceStays && (keptOfBar(f, facts.bar) || (Math.abs(f.nearDiameter.nominal - mmOf(facts.bar.across)) < 0.02 && knurlUnder(facts, f) === 0));
  const turnedRows = bigFirst.filter((f) => !asBar(f));
  const fine = turnedRows.filter((f) => f.nearDiameter.from !== 'general').toSorted((a, b) => widthOf(a) - widthOf(b));
  const finest = fine.find((f) => widthOf(f) <= 0.03);
  return [
    ...turnedRows.map((row) => roughTurn(row, face)),
    ...(turnedRows.length > 0 ? [slitBeforeFinishing(end)] : []),
    ...(finest ? [coolDown(finest)] : []),
    ...turnedRows.filter((row) => !isShaped(row)).map((row) => finishTurn(row, dieFor(facts, row) ? 0.1 * pitchOf(row) : knurlUnder(facts, row))),
  ];
}

const widthOf = (f: Feature) => f.nearDiameter.max - f.nearDiameter.min;

export const madeAlready = ({ started }: Facts, row: Feature): boolean => started !== undefined && alreadyMade(row, started);

export function finishEdges({ facts, reach }: Making, { end }: At, mine: readonly Feature[], rows: readonly Feature[]): readonly Operation[] {
  return [
    ...mine.map(chamferMouth),
    ...mine.flatMap((row): readonly Operation[] => {
      const behind = rows.find((f) => alike(mouthOf(f, end), innerOf(row, end)));
      const inner = behind && reach[behind.id] === 'neck' ? [chamferInner(row, [])] : [];
      if (row.form !== 'thread' || madeAlready(facts, row)) return inner;
      const relief = end === 'right' ? row.edgeFar : row.edgeNear;
      return [...inner, ...(relief.kind === 'threadUndercut' ? [undercut(row, pitchOf(row))] : []), cutThread(row)];
    }),
  ];
}

/** What the envelope and 45 degree chamfers do not finish: tapers, arcs, radii, reliefs, grooves, knurls; in holes their grooves. */
export function shapeRows({ facts, reach }: Making, at: At, mine: readonly Feature[], holes = true): readonly Operation[] {
  const drawn = facts.part.features.filter((f) => mine.some((m) => m.id === f.id));
  const all = [...drawn, ...(holes ? facts.part.features.filter((f) => f.side === at.end) : [])];
  const necks = (row: Feature) => drawn.some((f) => reach[f.id] === 'neck' && alike(mouthOf(f, at.end), innerOf(row, at.end)));
  return [
    ...drawn.filter(isShaped).map(shapeRow),
    ...drawn.map((row) => shapeEdges(row, necks(row))),
    ...detailsOf(facts, at, all).map((detail) => detailStep(all, detail)),
  ];
}

/** Edges of rows that were turned from the other end and lie open here, where what stands before them is turned down now. */
export function edgesLaidOpen({ facts, reach }: Making, { end }: At, rows: readonly Feature[]): readonly Operation[] {
  const open = rows.filter((row) => {
    const before = rows.find((f) => f.id !== row.id && alike(innerOf(f, end), mouthOf(row, end)));
    return (
      before !== undefined &&
      reach[before.id] === end &&
      reach[row.id] !== end &&
      exceeds(row.nearDiameter.nominal, before.nearDiameter.nominal, PLACE) &&
      !madeAlready(facts, row)
    );
  });
  // and of those that are turned here, the edge towards the headstock, where what is gripped behind it is smaller
  const behind = rows.filter((row) => {
    const next = rows.find((f) => f.id !== row.id && alike(mouthOf(f, end), innerOf(row, end)));
    return (
      reach[row.id] === end &&
      next !== undefined &&
      reach[next.id] !== end &&
      reach[next.id] !== 'neck' &&
      exceeds(row.nearDiameter.nominal, next.nearDiameter.nominal, PLACE)
    );
  });
  return [...open.flatMap((row) => [chamferMouth(row), shapeEdges(row)]), ...behind.flatMap((row) => [chamferInner(row, []), shapeEdges(row, true)])];
}

const pitchOf = (row: Feature): number => threadOf(row)?.pitch ?? 1;
