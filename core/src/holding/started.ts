import type { Bar, Cell, Job, Section } from '../document';
import { parseFinish, type Part, readDrawing } from '../drawing';
import { practice } from '../shop';
import type { Finding } from '../finding';
import { diameter, figure, isZero, length, type Parsed, parseLength, say, tidy } from '../quantity';
import { boundsOf, outsideOf, type Region, regionOf, shifted } from '../stock';

/** The name that the plan gives to a piece already started, where otherwise a bar of the rack stands. */
export const STARTED = 'started';

/** A piece already started: it is the stock, in place of a bar. */
export interface StartedPiece {
  /** what was measured, read like a drawing; its own right face is z = 0 */
  readonly piece: Part;
  /** the same in the coordinates of the part to be made */
  readonly region: Region;
  /** metal beyond the finished faces, mm; negative where the piece is short */
  readonly beyondRight: number;
  readonly beyondLeft: number;
  /** its rows that were said to be finished, or not to be */
  readonly surfaces: ReadonlyMap<string, Surface>;
  readonly findings: readonly Finding[];
}

/** What the surface of a row of a started piece is: finished, and not to be marked, or as the saw, the mould or a roughing cut left it. */
export type Surface = 'finished' | 'rough';

/** Words for the surface of a row of a started piece, as offered where it is typed. */
export const surfaceWords = ['finished', 'ground', 'rough', 'sawn', 'cast'] as const;

/**
 * What is said of a surface: a word, or a roughness, of which what is smoother than a finishing cut leaves is finished. Undefined where nothing is said, or nothing that is
 * understood. @source soft-pads, common practice
 * @example surfaceOf({ text: 'sawn', units: 'mm' }) // 'rough'
 */
export function surfaceOf(cell: Cell | undefined): Surface | undefined {
  const text = cell?.text.trim().toLowerCase() ?? '';
  if (/^(finished|ground|turned|polished|honed)$/.test(text)) return 'finished';
  if (/^(rough|roughed|sawn|cast|forged|black|scale|not finished)$/.test(text)) return 'rough';
  const read = cell && parseFinish(cell.text, cell.units);
  if (!read?.ok || read.value === undefined) return undefined;
  return read.value <= practice.finishedTo ? 'finished' : 'rough';
}

/** How far the piece stands beyond finished face A: a length, or nothing. */
export const parseBeyond = ({ text, units }: Cell): Parsed<number> =>
  text.trim() === '' || isZero(text) ? { ok: true, value: 0 } : parseLength(text, units);

/** Reads what a job starts as; undefined where it starts from bar, and while nothing of the piece is typed. */
export function startedPiece(job: Job, part: Part): StartedPiece | undefined {
  const starts = job.startsAs;
  if (!starts) return undefined;
  const piece = readDrawing({
    ...job.drawing,
    relations: [],
    mates: [],
    samples: [],
    care: {},
    treatment: [],
    untoleranced: { text: '+/-0.1', units: 'mm' },
    outside: starts.outside.map(withoutWord),
    boreRight: starts.boreRight.map(withoutWord),
    boreLeft: starts.boreLeft.map(withoutWord),
    details: starts.details,
    overall: starts.overall ?? { text: '', units: 'mm' },
  });
  if (piece.findings.some((f) => f.code === 'drawing-empty')) return undefined;
  const beyond = parseBeyond(starts.beyondRight);
  const beyondRight = beyond.ok ? beyond.value : 0;
  const region = shifted(regionOf(piece.contour), beyondRight);
  const findings: Finding[] = piece.findings
    .filter((f) => f.severity === 'stop')
    .map((f) => ({
      ...f,
      mends: f.mends.map((m) => ({ ...m, edits: m.edits.map((e) => ({ ...e, at: e.at.replace(/^drawing\//, 'startsAs/') })) })),
    }));
  if (!beyond.ok)
    findings.push({
      code: 'length-unknown',
      about: 'startsAs',
      severity: 'stop',
      says: beyond.problems[0]?.says ?? say`this length is not understood`,
      why: say`how far the piece stands beyond the finished face A decides what is faced off`,
      mends: [],
    });
  const beyondLeft = figure('length', 'beyondLeft', { whole: piece.length, beyond: beyondRight, part: part.length }).value;
  if (findings.length === 0) findings.push(...missing(part, region, beyondRight, beyondLeft, piece));
  const said = starts.outside.flatMap((row) => {
    const surface = surfaceOf(row.finish);
    return surface === undefined ? [] : [[row.id, surface] as const];
  });
  return { piece, region, beyondRight, beyondLeft, surfaces: new Map(said), findings };
}

/** A row as drawings have them: a word for its surface is none of theirs. */
function withoutWord(row: Section): Section {
  const { finish, ...rest } = row;
  return finish === undefined || surfaceOf(finish) !== undefined ? rest : row;
}

/** Metal that the part wants and the piece has not. */
function missing(part: Part, region: Region, beyondRight: number, beyondLeft: number, piece: Part): readonly Finding[] {
  const why = say`what is not there cannot be turned`;
  if (beyondRight < 0 || beyondLeft < 0)
    return [
      {
        code: 'started-too-short',
        about: 'startsAs',
        severity: 'stop',
        says: say`the piece is ${length(piece.length)} long and reaches ${length(Math.abs(Math.min(beyondRight, beyondLeft)))} short of finished face ${beyondRight < 0 ? 'A' : 'B'}`,
        why,
        mends: [],
      },
    ];
  const findings: Finding[] = [];
  for (const [i, f] of part.features.filter((o) => o.side === 'outside').entries()) {
    if (f.form !== 'cylinder' || f.near - f.far < 0.01) continue;
    const there = outsideOf(region, f.far + (f.chamferFar ?? 0), f.near - (f.chamferNear ?? 0));
    if (2 * there.least >= f.nearDiameter.min - 1e-4) continue;
    findings.push({
      code: 'started-too-small',
      about: `${f.id}.diameter`,
      severity: 'stop',
      says: say`row ${i + 1} wants ${diameter(f.nearDiameter.min)} at the least; the piece is ${diameter(2 * there.least)} there`,
      why,
      mends: [],
    });
  }
  return findings;
}

/** The piece in the words of a bar, for steps that begin at the full diameter. */
export const asBar = (started: StartedPiece, material: string): Bar => ({
  id: STARTED,
  name: 'the piece as it is now',
  material,
  across: { text: String(tidy(2 * boundsOf(started.region).radius)), units: 'mm' },
  form: ({ 4: 'square', 6: 'hex', 0: 'round' } as const)[sidesOf(started)],
  skin: 'drawn',
  length: { text: String(started.piece.length), units: 'mm' },
});

/** Sides of what is left of its own form: a sawn block, a length of hexagon. @source as-it-is, common practice */
function sidesOf({ piece }: StartedPiece): 4 | 6 | 0 {
  return piece.features.find((f) => f.form === 'polygon')?.sides ?? 0;
}
