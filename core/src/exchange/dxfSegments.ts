import DxfParser, { type IEntity } from 'dxf-parser';
import { curveOf } from './curves';
import type { Segment } from './segment';
import { MM_PER_INCH, ROUNDING, say, type Sentence, type Units } from '../quantity';

export interface DxfLines {
  readonly segments: readonly Segment[];
  /** lines that may be the axis: on a layer or of a line type named for it */
  readonly centreLines: readonly Segment[];
  /** ellipses and splines, taken as arcs */
  readonly curves: number;
  /** what is in the file and is no outline: how many of each kind */
  readonly leftOut: Readonly<Record<string, number>>;
  readonly units: 'said' | 'assumed';
  /** how many lines, arcs and the like were read */
  readonly entities: number;
}

/** Where reading stands: `total` is zero while it is not known. */
export interface Reading {
  readonly done: number;
  readonly total: number;
}

/** Longest text that is read, characters. */
const LONGEST_FILE = 60_000_000;
/** Blocks within blocks are followed this deep. */
const DEEPEST = 16;
const MOST_ENTITIES = 400_000;

interface Refused {
  readonly ok: false;
  readonly says: Sentence;
}

/** DXF unit codes to mm. @source header variable $INSUNITS of the published DXF description, from memory */
const unitCodes: Readonly<Record<number, number>> = {
  1: MM_PER_INCH,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: MM_PER_INCH * 1e-6,
  9: MM_PER_INCH / 1000,
  13: 0.001,
  14: 100,
};

/**
 * The lines and arcs of a DXF in mm, blocks taken apart. Yields how far it is, so that it can be stopped. Never throws: a file that is
 * none comes back with a sentence.
 * @param assumed what a number means when the file does not say
 */
export function* dxfLines(text: string, assumed: Units): Generator<Reading, ({ readonly ok: true } & DxfLines) | Refused> {
  const refuse = (says: Sentence): Refused => ({ ok: false, says });
  if (text.trim() === '') return refuse(say`the file is empty`);
  if (text.startsWith('AutoCAD Binary DXF') || text.slice(0, 2000).includes('\u0000'))
    return refuse(say`this is a binary DXF; save it as text (ASCII) DXF`);
  if (text.length > LONGEST_FILE) return refuse(say`the file is over ${LONGEST_FILE / 1e6} MB; save only the outline of the part`);
  yield { done: 0, total: 0 };
  const wrong = wrongCode(text);
  if (wrong !== undefined) return refuse(say`line ${wrong} is no group code: the file breaks off there, or is no DXF`);
  const parsed = parse(text);
  if ('says' in parsed) return refuse(parsed.says);
  const { header, entities, blocks } = parsed;
  const code = Number(header['$INSUNITS'] ?? 0);
  const scale = unitCodes[code] ?? (assumed === 'in' ? MM_PER_INCH : 1);
  const made = { segments: [] as Segment[], centreLines: [] as Segment[], leftOut: {} as Record<string, number>, curves: 0 };
  const outlineLayer = entities.some((e) => e.layer === 'OUTLINE' && outlines(e));
  let done = 0;
  const queue: { readonly entity: IEntity; readonly at: Transform; readonly within: readonly string[] }[] = entities.map((entity) => ({
    entity,
    at: { a: scale, b: 0, c: 0, d: scale, x: 0, y: 0 },
    within: [],
  }));
  // blocks put what they hold at the end of the queue while it is walked
  for (const { entity, at, within } of queue) {
    done++;
    if (done % 500 === 0) yield { done, total: queue.length };
    if (done > MOST_ENTITIES) return refuse(say`more than ${MOST_ENTITIES} lines; save only the outline of the part`);
    if (entity.type === 'INSERT') {
      const insert = entity as IEntity & { name?: string; position?: Point; xScale?: number; yScale?: number; rotation?: number };
      const name = insert.name ?? '';
      const block = blocks[name];
      if (!block || within.includes(name) || within.length >= DEEPEST) {
        count(made.leftOut, within.includes(name) ? `block ${name} that holds itself` : `block ${name} that is not in the file`);
        continue;
      }
      const inner = placed(at, insert, block.position);
      for (const own of block.entities ?? []) queue.push({ entity: own, at: inner, within: [...within, name] });
      continue;
    }
    const { layer = '', lineType = '' } = entity as Partial<IEntity>;
    const note = /dim|hatch|text|note|mirror|title|border|frame/i.test(layer) || (outlineLayer && layer !== 'OUTLINE' && within.length === 0);
    const centre = /cent(?:er|re)|axis/i.test(layer) || /cent(?:er|re)|dashdot/i.test(lineType);
    const curve = note ? undefined : curveOf(entity, Math.sqrt(Math.abs(at.a * at.d - at.b * at.c)));
    const pieces = note && !centre ? [] : typeof curve === 'object' ? curve : piecesOf(entity);
    if (typeof curve === 'object') made.curves++;
    if (pieces.length === 0) {
      const name = entity.type.toLowerCase();
      if (!note) count(made.leftOut, typeof curve === 'string' ? curve : pieces === NONE ? `${name} with a number that is none` : name);
      continue;
    }
    for (const piece of pieces) (centre ? made.centreLines : made.segments).push(moved(piece, at));
  }
  return { ok: true, ...made, units: unitCodes[code] === undefined ? 'assumed' : 'said', entities: done };
}

interface Point {
  readonly x: number;
  readonly y: number;
}
interface Block {
  readonly entities?: readonly IEntity[];
  readonly position?: Point;
}

/**
 * The first line where a file is out of step: no group code where one should stand, a polyline that does not end, or one that says it has more corners
 * than the file has lines. The reader would go on wrongly, or for ever.
 */
function wrongCode(text: string): number | undefined {
  const lines = text.split('\n');
  let inPolyline = false;
  for (let i = 0; i < lines.length; i += 2) {
    const line = lines[i] ?? '';
    const value = (lines[i + 1] ?? '').trim();
    if (!/^\s*\d{1,4}\s*$/.test(line)) return line.trim() === '' && lines.slice(i).every((l) => l.trim() === '') ? undefined : i + 1;
    const code = Number(line);
    if (code === 90 && Number(value) > lines.length) return i + 2;
    if (code !== 0) continue;
    if (inPolyline && value !== 'VERTEX' && value !== 'SEQEND') return i + 2;
    inPolyline = value === 'POLYLINE' || (inPolyline && value === 'VERTEX');
  }
  return undefined;
}

interface Parsed {
  readonly header: Readonly<Record<string, unknown>>;
  readonly entities: readonly IEntity[];
  readonly blocks: Readonly<Record<string, Block>>;
}

function parse(text: string): Parsed | { readonly says: Sentence } {
  try {
    // its types promise more than a broken file holds
    const dxf = new DxfParser().parseSync(text) as Partial<Parsed> | null;
    if (!Array.isArray(dxf?.entities)) return { says: say`no drawing was found in this file` };
    return { header: dxf.header ?? {}, entities: dxf.entities, blocks: dxf.blocks ?? {} };
  } catch (problem) {
    const words = problem instanceof Error ? problem.message : '';
    return {
      says: /end of input|undefined|null/i.test(words) ? say`the file breaks off before its end, or is no DXF` : say`this is no DXF that can be read`,
    };
  }
}

const count = (list: Record<string, number>, name: string) => {
  list[name] = (list[name] ?? 0) + 1;
};

const outlines = (e: IEntity) => ['LINE', 'ARC', 'CIRCLE', 'LWPOLYLINE', 'POLYLINE', 'ELLIPSE', 'SPLINE'].includes(e.type);

/** x' = a x + b y + x0; y' = c x + d y + y0. */
interface Transform {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly x: number;
  readonly y: number;
}

function placed(
  at: Transform,
  insert: { position?: Point; xScale?: number; yScale?: number; rotation?: number },
  base: Point | undefined,
): Transform {
  const [sx, sy] = [insert.xScale ?? 1, insert.yScale ?? 1];
  const t = ((insert.rotation ?? 0) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(t), Math.sin(t)];
  const [bx, by] = [base?.x ?? 0, base?.y ?? 0];
  const own = { a: cos * sx, b: -sin * sy, c: sin * sx, d: cos * sy };
  const [ox, oy] = [(insert.position?.x ?? 0) - own.a * bx - own.b * by, (insert.position?.y ?? 0) - own.c * bx - own.d * by];
  return {
    a: at.a * own.a + at.b * own.c,
    b: at.a * own.b + at.b * own.d,
    c: at.c * own.a + at.d * own.c,
    d: at.c * own.b + at.d * own.d,
    x: at.a * ox + at.b * oy + at.x,
    y: at.c * ox + at.d * oy + at.y,
  };
}

function moved(s: Segment, t: Transform): Segment {
  const mirrored = t.a * t.d - t.b * t.c < 0;
  return {
    x0: t.a * s.x0 + t.b * s.y0 + t.x,
    y0: t.c * s.x0 + t.d * s.y0 + t.y,
    x1: t.a * s.x1 + t.b * s.y1 + t.x,
    y1: t.c * s.x1 + t.d * s.y1 + t.y,
    bulge: mirrored ? -s.bulge : s.bulge,
  };
}

/** Of what has a number that is none. */
const NONE: readonly Segment[] = [];

/** The lines and arcs of one entity; none for what is no outline. */
function piecesOf(entity: IEntity): readonly Segment[] {
  const e = entity as IEntity & {
    vertices?: readonly (Point & { bulge?: number })[];
    shape?: boolean;
    center?: Point;
    radius?: number;
    startAngle?: number;
    endAngle?: number;
    extrusionDirectionZ?: number;
  };
  const good = (...values: readonly (number | undefined)[]) => values.every((v) => v !== undefined && Number.isFinite(v));
  const flip = (e.extrusionDirectionZ ?? 1) < 0;
  const turn = (s: Segment): Segment => (flip ? { x0: -s.x0, y0: s.y0, x1: -s.x1, y1: s.y1, bulge: -s.bulge } : s);
  if (e.type === 'LINE' || e.type === 'LWPOLYLINE' || e.type === 'POLYLINE') {
    const points = e.vertices ?? [];
    // a corner left out would be another outline
    if (!points.every((v) => good(v.x, v.y, v.bulge ?? 0))) return NONE;
    const last = e.type !== 'LINE' && e.shape === true ? points.length : points.length - 1;
    return Array.from({ length: Math.max(0, last) }, (_, i) => {
      const [a, b] = [points[i], points[(i + 1) % points.length]];
      return { x0: a?.x ?? 0, y0: a?.y ?? 0, x1: b?.x ?? 0, y1: b?.y ?? 0, bulge: a?.bulge ?? 0 };
    })
      .filter((s) => Math.hypot(s.x1 - s.x0, s.y1 - s.y0) > ROUNDING)
      .map((s) => (e.type === 'LINE' ? s : turn(s)));
  }
  const { center, radius } = e;
  if (center && radius !== undefined && !good(center.x, center.y, radius)) return NONE;
  if (!center || radius === undefined || !(radius > 0)) return [];
  const arc = (from: number, to: number): Segment => ({
    x0: center.x + radius * Math.cos(from),
    y0: center.y + radius * Math.sin(from),
    x1: center.x + radius * Math.cos(to),
    y1: center.y + radius * Math.sin(to),
    bulge: Math.tan((to - from) / 4),
  });
  if (e.type === 'CIRCLE') return [arc(0, Math.PI), arc(Math.PI, 2 * Math.PI)].map(turn);
  if (e.type !== 'ARC') return [];
  if (!good(e.startAngle, e.endAngle)) return NONE;
  const from = e.startAngle ?? 0;
  const sweep = ((((e.endAngle ?? 0) - from) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
  // more than half a turn is two arcs, so that no bulge grows without bound
  const parts = sweep > Math.PI ? 2 : 1;
  return Array.from({ length: parts }, (_, i) => arc(from + (sweep * i) / parts, from + (sweep * (i + 1)) / parts)).map(turn);
}
