import type { Cell, Drawing, Section } from '../document';
import type { Finding, FindingCode, Mend } from '../finding';
import { diameter, exceeds, fallsShort, length, remember, ROUNDING, say, tidy, writeExact } from '../quantity';
import { type DrawnThread, readExternalThread, readInternalThread } from '../standards';
import { type ListName, pathOf } from './faces';
import { parseBottom, parseEdge } from './parseEdge';
import { parseFinish, parseSize, withGeneralRule } from './parseSize';
import { typedLine } from './typedLine';
import { taperEnd } from './parseTaper';
import type { Edge, Feature, Limits, ReadCell, Size } from './types';

const retype = (at: string, text: string): Mend => ({ says: say`write ${text}`, to: 'job', edits: [{ op: 'put', at, value: text }] });

/** One row as a feature, or nothing and a finding with its fixes. */
export function readRow(
  drawing: Drawing,
  list: ListName,
  at: number,
  near: number,
  far: number,
  ends: 'blind' | 'through' | 'met',
  findings: Finding[],
): Feature | undefined {
  const row = drawing[list][at];
  if (!row) return undefined;
  const size = sizeOfRow(row, list, findings);
  if (!size) return undefined;
  const form = formOf(drawing, list, at, size, near, far, findings);
  if (!form) return undefined;
  const finish = cell(row.finish, parseFinish, 'finish-unknown', `${row.id}.finish`, findings);
  const last = list !== 'outside' && at === drawing[list].length - 1;
  const NONE: Edge = { kind: 'none' };
  const edgeNear = cell(row.near, parseEdge, 'edge-unknown', `${row.id}.near`, findings) ?? NONE;
  const typedFar = cell(row.far, list === 'outside' ? parseEdge : parseBottom, 'edge-unknown', `${row.id}.far`, findings);
  const edgeFar = typedFar ?? (last && ends === 'blind' ? parseBottomOf('') : NONE);
  return {
    id: row.id,
    side: list === 'outside' ? 'outside' : list === 'boreRight' ? 'right' : 'left',
    near,
    far,
    ...form,
    edgeNear,
    edgeFar,
    chamferNear: chamferOf(edgeNear),
    chamferFar: chamferOf(edgeFar),
    ...(finish !== undefined && { finish }),
    ...(ends === 'through' && { through: true }),
    ...(last && ends === 'met' && { met: true }),
    ...(last && ends === 'blind' && { bottom: edgeFar.kind === 'bottom' ? edgeFar.degrees / 2 : 90 }),
  };
}

/** Of a feature that is a thread: its form, mm. */
export const readThreadOf: (designation: string, list: ListName) => DrawnThread | undefined = remember(
  threadNamed,
  (designation, list) => `${list === 'outside' ? 'o' : 'i'}|${designation}`,
);

function threadNamed(designation: string, list: ListName): DrawnThread | undefined {
  const read = list === 'outside' ? readExternalThread(designation) : readInternalThread(designation);
  return read?.ok ? read.thread : undefined;
}

/** The thread of a row, outside or in a hole; undefined of anything else. */
export const threadOf = (feature: Feature): DrawnThread | undefined =>
  feature.thread === undefined ? undefined : readThreadOf(feature.thread, feature.side === 'outside' ? 'outside' : 'boreRight');

function parseBottomOf(text: string): Edge {
  const read = parseBottom(text, 'mm');
  return read.ok ? read.value : { kind: 'none' };
}

/** What a 45 degree tool takes off an edge, mm along the axis. */
const chamferOf = (edge: Edge): number => (edge.kind === 'chamfer' && edge.degrees === 45 ? edge.along : edge.kind === 'break' ? edge.size : 0);

function sizeOfRow(row: Section, list: ListName, findings: Finding[]): Exclude<Size, { kind: 'unknown' }> | undefined {
  const size = parseSize(row.size.text, row.size.units, list === 'outside' ? 'outside' : 'inside');
  const refuse = (says: Finding['says'], nearest: readonly string[] = []) =>
    findings.push({
      code: 'size-unknown',
      about: `${row.id}.diameter`,
      severity: 'stop',
      says,
      why: say`nothing can be cut to a size that is not understood`,
      mends: nearest.map((text) => retype(`${pathOf(list, row.id)}/size/text`, text)),
    });
  if (size.kind === 'unknown') {
    // several rows on one line: what is wrong in it
    const inLine = row.size.text.includes(';') ? typedLine(row.size.text, row.size.units).words.find((w) => w.wrong)?.says : undefined;
    refuse(inLine ?? size.says, inLine ? [] : size.nearest);
    return undefined;
  }
  if (list !== 'outside' && (size.kind === 'polygon' || size.kind === 'bar')) {
    refuse(say`“${row.size.text}” is not a hole that a lathe makes`);
    return undefined;
  }
  if (size.kind === 'diameter') nominalExcluded(row, list, size.limits, findings);
  return size;
}

type Form = Pick<Feature, 'form' | 'nearDiameter' | 'farDiameter'> & Partial<Feature>;

/** Diameters at both ends and what makes the row other than a cylinder. */
function formOf(
  drawing: Drawing,
  list: ListName,
  at: number,
  size: Exclude<Size, { kind: 'unknown' }>,
  rowNear: number,
  rowFar: number,
  findings: Finding[],
): Form | undefined {
  const long = Math.abs(rowFar - rowNear);
  const row = drawing[list][at];
  const general = (limits: Limits) => withGeneralRule(limits, drawing.untoleranced.text, drawing.untoleranced.units);
  const same = (limits: Limits) => ({ nearDiameter: limits, farDiameter: limits });
  const refuse = (says: Finding['says']): undefined => {
    findings.push({
      code: 'shape-impossible',
      about: `${row?.id ?? ''}.diameter`,
      severity: 'stop',
      says,
      why: say`it cannot be turned as drawn`,
      mends: [],
    });
    return undefined;
  };
  const rows = drawing[list].length;
  switch (size.kind) {
    case 'diameter':
      return { form: 'cylinder', ...same(general(size.limits)), ...(size.made && { made: size.made }) };
    case 'bar':
      return { form: 'cylinder', ...same(general(size.across)), asDrawn: true };
    case 'thread': {
      const thread = readThreadOf(size.designation, list);
      if (!thread) return undefined;
      const bounds = thread.internal ? thread.minor : thread.major;
      const crest = tidy(thread.crest);
      const [max, min] = [bounds?.max ?? undefined, bounds?.min ?? undefined];
      // a form whose table gives its crest no limits is held to the general rule, to the side that lets the mate on
      const rule = general({ nominal: crest, max: crest, min: crest, from: 'general' });
      const limits: Limits =
        max !== undefined && min !== undefined
          ? { nominal: crest, max, min, from: 'class' }
          : { ...rule, max: thread.internal ? rule.max : crest, min: thread.internal ? crest : rule.min };
      return { form: 'thread', thread: size.designation, ...same(limits) };
    }
    case 'polygon': {
      const across = general(size.across);
      const corners = 1 / Math.cos(Math.PI / size.sides);
      const scaled = (v: number) => tidy(v * corners);
      return {
        form: 'polygon',
        sides: size.sides,
        across,
        ...same({ nominal: scaled(across.nominal), max: scaled(across.max), min: scaled(across.min), from: across.from }),
      };
    }
    case 'arc': {
      const [near, far] = [general(size.near), general(size.far)];
      const chord = Math.hypot(long, (near.nominal - far.nominal) / 2);
      if (fallsShort(size.radius, chord / 2)) {
        refuse(say`a radius of ${length(size.radius)} does not reach from end to end; it takes ${length(chord / 2)} at least`);
        return;
      }
      return { form: 'arc', nearDiameter: near, farDiameter: far, radius: size.radius, hollow: size.hollow };
    }
    case 'ball': {
      const limits = general(size.limits);
      const radius = limits.nominal / 2;
      if (exceeds(long, limits.nominal)) {
        refuse(say`a ball of ${diameter(limits.nominal)} is not ${length(long)} long`);
        return;
      }
      // the pole lies in the end face of a ball at an end; in the middle of the part, in the middle of the row
      const pole = list === 'outside' ? (at === 0 ? 'near' : at === rows - 1 ? 'far' : 'none') : at === rows - 1 ? 'far' : 'none';
      const [n, f] = pole === 'near' ? [-radius, long - radius] : pole === 'far' ? [radius - long, radius] : [-long / 2, long / 2];
      const across = (d: number): Limits => {
        const chord = (r: number) => tidy(2 * Math.sqrt(Math.max(0, r ** 2 - d ** 2)));
        return { nominal: chord(radius), max: chord(limits.max / 2), min: chord(limits.min / 2), from: limits.from };
      };
      return {
        form: 'ball',
        nearDiameter: across(n),
        farDiameter: across(f),
        radius,
        across: limits,
        centre: rowNear - Math.sign(rowFar - rowNear) * n,
      };
    }
    case 'taper': {
      const atEnd = list === 'outside' && at === 0 && rows > 1 ? 'near' : 'far';
      const narrows = size.narrows ?? atEnd;
      const large: Limits | undefined =
        size.large === undefined ? undefined : { nominal: size.large, max: size.large, min: size.large, from: 'general' };
      const near = size.near ?? (narrows === 'far' ? large : undefined);
      const far = size.far ?? (size.near || narrows === 'far' ? undefined : large);
      const slope = size.slope ?? 0;
      const whole = near
        ? { near: general(near), far: far ? general(far) : taperEnd(general(near), slope, long, narrows) }
        : far && { near: taperEnd(general(far), slope, long, narrows === 'far' ? 'near' : 'far'), far: general(far) };
      if (!whole) return undefined;
      if (!(whole.near.nominal > -ROUNDING && whole.far.nominal > -ROUNDING)) {
        refuse(say`this taper comes to a point before its end`);
        return;
      }
      return {
        form: 'taper',
        nearDiameter: whole.near,
        farDiameter: whole.far,
        slope: tidy(Math.abs(whole.near.nominal - whole.far.nominal) / long),
        ...(size.name !== undefined && { taper: size.name }),
      };
    }
  }
}

function nominalExcluded(row: Section, list: ListName, limits: Limits, findings: Finding[]): void {
  if (limits.from !== 'typed' || (limits.min <= limits.nominal && limits.nominal <= limits.max)) return;
  const middle = (limits.max + limits.min) / 2;
  const half = (limits.max - limits.min) / 2;
  const units = row.size.units;
  const at = `${pathOf(list, row.id)}/size/text`;
  const mark = units === 'in' ? '"' : '';
  findings.push({
    code: 'nominal-excluded',
    about: `${row.id}.diameter`,
    severity: 'note',
    says: say`the limits ${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)} leave out ${diameter(limits.nominal, 0.001)} itself`,
    why: say`right for a fit; a slip of sign otherwise`,
    mends: [
      retype(at, `${writeExact(middle, units)}${mark} +/-${writeExact(half, units)}`),
      retype(
        at,
        `${writeExact(limits.nominal, units)}${mark} +/-${writeExact(Math.max(Math.abs(limits.max - limits.nominal), Math.abs(limits.min - limits.nominal)), units)}`,
      ),
    ],
  });
}

/** A cell that may be absent, read; what is not understood is a finding and left out. */
export function cell<T>(from: Cell | undefined, parse: ReadCell<T>, code: FindingCode, about: string, findings: Finding[]): T | undefined {
  if (!from) return undefined;
  const read = parse(from.text, from.units);
  if (read.ok) return read.value;
  findings.push({ code, about, severity: 'caution', says: read.problems[0]?.says ?? [], why: say`left out until it is understood`, mends: [] });
  return undefined;
}
