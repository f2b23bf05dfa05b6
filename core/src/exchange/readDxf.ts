import { blankDrawing, type Drawing } from '../document';
import { arcOf, flattened, readDrawing } from '../drawing';
import { alike, diameter, length, say, type Sentence, tidy, type Units } from '../quantity';
import { axesOf, type Axis, turnedBack, turnedBy } from './axis';
import { CURVE_WITHIN } from './curves';
import { dxfLines, type Reading } from './dxfSegments';
import { aboveAxis, joined, type ProfilePoint } from './profile';
import { recognise } from './recognise';
import type { Segment } from './segment';

export interface ReadDxf {
  readonly ok: true;
  /** rows, holes and grooves; everything else of the drawing is blank */
  readonly drawing: Drawing;
  /** lines that may be the axis, the one taken first */
  readonly axes: readonly Axis[];
  readonly axis: Axis;
  /** what was not recognised, or a DXF does not say */
  readonly leftOut: readonly Sentence[];
  /** furthest that the outline of the rows lies from that of the file, mm */
  readonly off: number;
  /** gaps of the outline that stay open, mm */
  readonly open: readonly number[];
}

export interface DxfAsked {
  /** what a number means when the file does not say */
  readonly units: Units;
  /** of `axes`; the likeliest when absent */
  readonly axis?: Pick<Axis, 'along' | 'at'>;
  /** ends of lines within this are joined, mm; 0.01 when absent */
  readonly gap?: number;
}

type Read = ReadDxf | { readonly ok: false; readonly says: Sentence };

/** An outline of more pieces is no row-by-row part. */
const MOST_POINTS = 1500;
/** Further off than this is said, mm. */
const OFF = 1e-3;

/** A half profile or a full outline of a turned part, read into rows. Yields how far it is, so that it can be stopped; never throws. */
export function* readingDxf(text: string, asked: DxfAsked): Generator<Reading, Read> {
  const lines = yield* dxfLines(text, asked.units);
  if (!lines.ok) return lines;
  const { segments, centreLines, entities } = lines;
  if (segments.length === 0) return { ok: false, says: say`no lines or arcs of an outline are in this file` };
  const turned = turnedBy(segments, centreLines);
  const [outline, centres] = turned === 0 ? [segments, centreLines] : [turnedBack(segments, turned), turnedBack(centreLines, turned)];
  const long = longestSide(outline);
  if (!(long < MOST_LONG))
    return { ok: false, says: say`the outline is ${length(long)} across: no lathe turns that; is the unit of the file right?` };
  const found = axesOf(outline, centres);
  const chosen = asked.axis;
  const axes = chosen ? found.toSorted((a, b) => Number(isAt(b, chosen)) - Number(isAt(a, chosen))) : joinsBest(found, outline);
  const [axis] = axes;
  if (!axis) return { ok: false, says: say`no line that could be the centre line was found` };
  yield { done: entities, total: entities };
  const profile = joined(aboveAxis(outline, axis), asked.gap);
  if (!profile || profile.points.length < 2) return { ok: false, says: say`the lines do not join to an outline over this axis` };
  const open = profile.gaps.filter((g) => !g.closed);
  const closed = profile.gaps.filter((g) => g.closed);
  if (profile.points.length > MOST_POINTS)
    return { ok: false, says: say`the outline has ${profile.points.length} pieces: a curve drawn as short lines? save it with arcs` };
  const known = recognise(profile.points, asked.units);
  const drawing: Drawing = {
    ...blankDrawing(),
    outside: [...known.outside],
    boreRight: [...known.boreRight],
    boreLeft: [...known.boreLeft],
    details: [...known.details],
  };
  yield { done: entities, total: entities };
  const part = readDrawing(drawing);
  const off = furthest(profile.points, flattened(part.contour, 1e-4));
  const stops = part.findings.filter((f) => f.severity === 'stop');
  return {
    ok: true,
    drawing,
    axes,
    axis,
    off,
    open: open.map((g) => g.wide),
    leftOut: [
      ...(lines.units === 'assumed' ? [say`the file does not say its unit: ${asked.units === 'in' ? 'inches' : 'millimetres'} assumed`] : []),
      ...Object.entries(lines.leftOut).map(([name, times]) => say`${times} × ${name}`),
      ...(turned === 0 ? [] : [say`the outline is turned by ${tidy(Number(turned.toFixed(3)))}° in the file; it was turned back`]),
      ...(lines.curves > 0
        ? [
            say`${lines.curves} ${lines.curves === 1 ? 'ellipse or spline is' : 'ellipses or splines are'} taken as arcs within ${length(CURVE_WITHIN, 0.001)}`,
          ]
        : []),
      ...open.map((g) => say`a gap of ${length(g.wide, 0.001)} at ${diameter(2 * g.r)}, ${length(-g.z)} from end A, stays open`),
      ...closed.map((g) => say`a gap of ${length(g.wide, 0.001)} at ${diameter(2 * g.r)}, ${length(-g.z)} from end A, is closed by a line`),
      ...(profile.loose > 0 ? [say`${profile.loose} lines or arcs that join no outline`] : []),
      ...(off > OFF ? [say`some of the outline is not a row that is known here: up to ${length(off)} off`] : []),
      ...stops.map((f) => f.says),
      say`threads, tolerances and finishes: a DXF of lines does not carry them`,
    ],
  };
}

/**
 * The same at one go.
 * @example readDxf('no drawing', { units: 'mm' }).ok // false
 */
export function readDxf(text: string, asked: DxfAsked): Read {
  const reading = readingDxf(text, asked);
  for (;;) {
    const { done, value } = reading.next();
    if (done === true) return value;
  }
}

/** Larger than this is no part of a lathe, mm. */
const MOST_LONG = 20_000;

function longestSide(segments: readonly Segment[]): number {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const s of segments) {
    x0 = Math.min(x0, s.x0, s.x1);
    x1 = Math.max(x1, s.x0, s.x1);
    y0 = Math.min(y0, s.y0, s.y1);
    y1 = Math.max(y1, s.y0, s.y1);
  }
  return Math.max(x1 - x0, y1 - y0);
}

/** Of lines about which the outline is the same on both sides the one over which it joins to one: a bush drawn as two walls has its axis between them. */
function joinsBest(axes: readonly Axis[], segments: readonly Segment[]): readonly Axis[] {
  const both = axes.filter((a) => a.symmetric);
  if (both.length < 2 || axes[0]?.symmetric !== true) return axes;
  const loose = new Map(both.map((a) => [a, joined(aboveAxis(segments, a))?.loose ?? Infinity]));
  return [...both.toSorted((a, b) => (loose.get(a) ?? 0) - (loose.get(b) ?? 0)), ...axes.filter((a) => !a.symmetric)];
}

const isAt = (axis: Axis, chosen: Pick<Axis, 'along' | 'at'>) => axis.along === chosen.along && alike(axis.at, chosen.at);

/** Furthest that a corner or the middle of an element of the outline lies from the contour, mm. */
function furthest(points: readonly ProfilePoint[], contour: readonly { readonly z: number; readonly r: number }[]): number {
  if (contour.length === 0) return Infinity;
  const probes = points.flatMap((p, i) => {
    const q = points[i + 1];
    if (!q) return [p];
    if (p.bulge === 0) return [p, { z: (p.z + q.z) / 2, r: (p.r + q.r) / 2 }];
    const arc = arcOf({ ...p, of: '' }, q);
    const t = (arc.from + arc.to) / 2;
    return [p, { z: arc.z + arc.radius * Math.cos(t), r: arc.r + arc.radius * Math.sin(t) }];
  });
  return Math.max(
    ...probes.map((p) =>
      Math.min(
        ...contour.map((a, i) => {
          const b = contour[(i + 1) % contour.length] ?? a;
          const [dz, dr] = [b.z - a.z, b.r - a.r];
          const t = Math.min(1, Math.max(0, ((p.z - a.z) * dz + (p.r - a.r) * dr) / (dz ** 2 + dr ** 2 || 1)));
          return Math.hypot(p.z - a.z - t * dz, p.r - a.r - t * dr);
        }),
      ),
    ),
  );
}
