import type { Cell, Drawing, Section } from '../document';
import type { Finding, Mend } from '../finding';
import { diameter, length, say, type Sentence, tidy, writeExact } from '../quantity';
import { readExternalThread, threadUndercut } from '../standards';
import { characteristicsOf } from './characteristics';
import { outline } from './contour';
import { parseEdge, parseFinish, parseLengthCell, parseSize, withGeneralRule } from './parseSize';
import type { Feature, Limits, Part, Size } from './types';

/**
 * The drawing, understood: features with limits in mm, contour, characteristics and what is wrong or missing.
 * Fast and without the shop, so that it runs on the page while one types. A row that cannot be read is left out of the
 * contour and named in a finding. Never throws.
 */
export function readDrawing(drawing: Drawing): Part {
  const findings: Finding[] = [];
  const lengths = lengthsOf(drawing, findings);
  const features: Feature[] = [];
  let near = 0;
  drawing.outside.forEach((row, i) => {
    const long = lengths[i];
    const size = readRow(row, findings);
    if (!long || !size) return;
    const far = tidy(near - long.nominal);
    features.push(outsideFeature(drawing, row, size, near, far, findings));
    near = far;
  });
  const total = tidy(-near);
  checkEdges(features, findings);
  for (const side of ['right', 'left'] as const) {
    const [row, ...more] = side === 'right' ? drawing.boreRight : drawing.boreLeft;
    if (row) bore(drawing, row, side, total, features, findings);
    for (const other of more) findings.push(later(other.id, 'a second inside row is not drawn yet; it is kept'));
  }
  if (drawing.outside.length === 0) {
    findings.push({
      code: 'drawing-empty',
      about: 'drawing',
      severity: 'stop',
      says: say`no rows yet: type a size and a length`,
      why: say`a part is its rows, from the right-hand end`,
      mends: [],
    });
  }
  return {
    material: drawing.material,
    length: total,
    contour: outline(features, total),
    features,
    characteristics: characteristicsOf(drawing, features, lengths),
    findings,
  };
}

/** Limits of each outside row's length; one open row is closed by `overall`. */
function lengthsOf(drawing: Drawing, findings: Finding[]): readonly (Limits | undefined)[] {
  const parsed = drawing.outside.map((row) => (row.length.text.trim() === '' ? undefined : parseLengthCell(row.length.text, row.length.units)));
  const open = parsed.filter((p) => p === undefined).length;
  const overall = drawing.overall && parseLengthCell(drawing.overall.text, drawing.overall.units);
  const rule = drawing.untoleranced;
  return drawing.outside.map((row, i) => {
    const one = parsed[i];
    if (row.from !== undefined || row.to !== undefined)
      findings.push(later(row.id, 'a length from another face is not drawn yet; it is read as part of the chain'));
    if (one?.ok) return withGeneralRule(one.value, rule.text, rule.units);
    if (one) {
      findings.push({
        code: 'length-unknown',
        about: `${row.id}.length`,
        severity: 'stop',
        says: one.problems[0]?.says ?? [],
        why: say`the part cannot be drawn without it`,
        mends: [],
      });
      return undefined;
    }
    const rest = overall?.ok ? overall.value.nominal - parsed.reduce((sum, p) => sum + (p?.ok ? p.value.nominal : 0), 0) : 0;
    if (open === 1 && rest > 0) return withGeneralRule({ nominal: tidy(rest), max: rest, min: rest, from: 'general' }, rule.text, rule.units);
    findings.push({
      code: 'length-missing',
      about: `${row.id}.length`,
      severity: 'stop',
      says: say`row ${i + 1} has no length`,
      why: say`the part cannot be drawn without it`,
      mends: [],
    });
    return undefined;
  });
}

/** What the size cell means, or nothing and a finding with its fixes. */
function readRow(row: Section, findings: Finding[]): Size | undefined {
  const size = parseSize(row.size.text, row.size.units);
  if (size.kind === 'diameter' || size.kind === 'thread') {
    if (size.kind === 'diameter') nominalExcluded(row, size.limits, findings);
    return size;
  }
  const says = size.kind === 'unknown' ? size.says : say`“${row.size.text}” is not drawn yet; it is kept as typed`;
  const nearest = size.kind === 'unknown' ? size.nearest : [];
  findings.push({
    code: 'size-unknown',
    about: `${row.id}.diameter`,
    severity: 'stop',
    says,
    why: say`nothing can be cut to a size that is not understood`,
    mends: nearest.map((text) => retype(`drawing/outside/#${row.id}/size/text`, text)),
  });
  return undefined;
}

function nominalExcluded(row: Section, limits: Limits, findings: Finding[]): void {
  if (limits.from !== 'typed' || (limits.min <= limits.nominal && limits.nominal <= limits.max)) return;
  const middle = (limits.max + limits.min) / 2;
  const half = (limits.max - limits.min) / 2;
  const units = row.size.units;
  findings.push({
    code: 'nominal-excluded',
    about: `${row.id}.diameter`,
    severity: 'note',
    says: say`the limits ${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)} leave out ${diameter(limits.nominal, 0.001)} itself`,
    why: say`right for a fit; a slip of sign otherwise`,
    mends: [
      retype(`drawing/outside/#${row.id}/size/text`, `${writeExact(middle, units)}${units === 'in' ? '"' : ''} +/-${writeExact(half, units)}`),
      retype(
        `drawing/outside/#${row.id}/size/text`,
        `${writeExact(limits.nominal, units)}${units === 'in' ? '"' : ''} +/-${writeExact(Math.max(Math.abs(limits.max - limits.nominal), Math.abs(limits.min - limits.nominal)), units)}`,
      ),
    ],
  });
}

function outsideFeature(drawing: Drawing, row: Section, size: Size, near: number, far: number, findings: Finding[]): Feature {
  const thread = size.kind === 'thread' ? readExternalThread(row.size.text) : undefined;
  const external = thread?.ok ? thread.thread : undefined;
  const limits: Limits =
    size.kind === 'diameter'
      ? withGeneralRule(size.limits, drawing.untoleranced.text, drawing.untoleranced.units)
      : {
          nominal: external?.nominal ?? 0,
          max: external?.major?.max ?? external?.nominal ?? 0,
          min: external?.major?.min ?? external?.nominal ?? 0,
          from: 'class',
        };
  const finish = cell(row.finish, parseFinish, 'finish-unknown', `${row.id}.finish`, findings);
  const chamferNear = cell(row.near, parseEdge, 'edge-unknown', `${row.id}.near`, findings) ?? 0;
  const chamferFar = cell(row.far, parseEdge, 'edge-unknown', `${row.id}.far`, findings) ?? 0;
  const base = {
    id: row.id,
    side: 'outside' as const,
    near,
    far,
    nearDiameter: limits,
    farDiameter: limits,
    ...(finish !== undefined && { finish }),
    chamferFar,
  };
  if (!external) return { ...base, form: 'cylinder', chamferNear };
  if (external.remark)
    findings.push({
      code: 'thread-special',
      about: `${row.id}.thread`,
      severity: 'note',
      says: external.remark,
      why: say`taps, dies and gauges for it may be hard to find`,
      mends: [],
    });
  const lead = row.near === undefined || row.near.text.trim() === '' ? Math.ceil(6.5 * external.pitch) / 10 : chamferNear;
  return {
    ...base,
    form: 'thread',
    thread: external.designation,
    usable: usableOf(row, external.pitch, near - far, findings),
    chamferNear: near === 0 ? lead : chamferNear,
  };
}

/** Full thread wanted, mm: the usable cell, else the row less its run-out or undercut. */
function usableOf(row: Section, pitch: number, long: number, findings: Finding[]): number {
  const undercut = threadUndercut(pitch)?.overall ?? 3.5 * pitch;
  const most = tidy(Math.max(0, long - undercut));
  const read = row.usable && row.usable.text.trim() !== '' ? parseLengthCell(row.usable.text, row.usable.units) : undefined;
  const wanted = read?.ok ? read.value.nominal : most;
  if (wanted > long - pitch || most < 2 * pitch) {
    const needed = tidy(Math.max(wanted, 3 * pitch) + undercut);
    findings.push({
      code: 'thread-longer-than-row',
      about: `${row.id}.thread`,
      severity: 'stop',
      says: say`${length(wanted)} of full thread and its undercut of ${length(undercut)} do not fit in a row ${length(long)} long`,
      why: say`the tool needs room to run out before the shoulder`,
      mends: [
        { ...retype(`drawing/outside/#${row.id}/length/text`, writeExact(needed, row.length.units)), says: say`make the row ${length(needed)} long` },
        ...(most >= 2 * pitch
          ? [
              {
                says: say`ask for ${length(most)} of full thread`,
                to: 'job' as const,
                edits: [
                  {
                    op: 'put' as const,
                    at: `drawing/outside/#${row.id}/usable`,
                    value: { text: writeExact(most, row.length.units), units: row.length.units },
                  },
                ],
              },
            ]
          : []),
      ],
    });
  }
  return wanted;
}

/** A chamfer belongs on an outer corner and has to fit on its row. */
function checkEdges(features: readonly Feature[], findings: Finding[]): void {
  features.forEach((feature, i) => {
    const radius = feature.nearDiameter.nominal / 2;
    for (const end of ['near', 'far'] as const) {
      const chamfer = (end === 'near' ? feature.chamferNear : feature.chamferFar) ?? 0;
      if (chamfer === 0) continue;
      const neighbour = features[end === 'near' ? i - 1 : i + 1];
      const step = radius - (neighbour ? neighbour.nearDiameter.nominal / 2 : 0);
      const room = Math.min(step, feature.near - feature.far - 0.01);
      if (chamfer <= room + 1e-9) continue;
      findings.push({
        code: 'edge-does-not-fit',
        about: `${feature.id}.${end}`,
        severity: 'stop',
        says: step <= 0 ? say`there is no corner here to chamfer` : say`a chamfer of ${length(chamfer)} does not fit a step of ${length(room)}`,
        why: say`a chamfer is cut on an outer corner`,
        mends: [retype(`drawing/outside/#${feature.id}/${end}/text`, 'sharp')],
      });
    }
  });
}

function bore(drawing: Drawing, row: Section, side: 'right' | 'left', total: number, features: Feature[], findings: Finding[]): void {
  const list = side === 'right' ? 'boreRight' : 'boreLeft';
  const size = parseSize(row.size.text, row.size.units);
  const depth = parseLengthCell(row.length.text, row.length.units);
  const stop = (code: string, aspect: string, says: Sentence, mends: readonly Mend[] = []) =>
    findings.push({ code, about: `${row.id}.${aspect}`, severity: 'stop', says, why: say`the hole cannot be drilled as drawn`, mends });
  if (size.kind !== 'diameter')
    stop('size-unknown', 'diameter', size.kind === 'unknown' ? size.says : say`“${row.size.text}” is not a hole that is drawn yet`);
  if (!depth.ok) stop(row.length.text.trim() === '' ? 'length-missing' : 'length-unknown', 'length', depth.problems[0]?.says ?? []);
  if (size.kind !== 'diameter' || !depth.ok) return;
  const limits = withGeneralRule(size.limits, drawing.untoleranced.text, drawing.untoleranced.units);
  const half = bottomOf(row.far?.text ?? '');
  const full = depth.value.nominal + (half >= 90 ? 0 : limits.nominal / 2 / Math.tan((half * Math.PI) / 180));
  const end = side === 'right' ? features.find((f) => f.side === 'outside') : features.filter((f) => f.side === 'outside').at(-1);
  const narrowest = Math.min(
    ...features.filter((f) => f.side === 'outside' && (side === 'right' ? f.near > -full : f.far < full - total)).map((f) => f.nearDiameter.nominal),
  );
  if (full >= total) {
    const fits = Math.max(1, Math.floor(total - (full - depth.value.nominal) - 2));
    stop(
      'hole-through',
      'length',
      say`the hole with its point is ${length(full)} deep and the part only ${length(total)} long; through holes are not drawn yet`,
      [retype(`drawing/${list}/#${row.id}/length/text`, writeExact(fits, row.length.units))],
    );
  } else if (end && limits.nominal >= narrowest) {
    stop('hole-too-wide', 'diameter', say`a hole of ${diameter(limits.nominal)} breaks through the ${diameter(narrowest)} around it`);
  }
  const z = side === 'right' ? [0, -depth.value.nominal] : [-total, tidy(depth.value.nominal - total)];
  features.push({ id: row.id, form: 'cylinder', side, near: z[0] ?? 0, far: z[1] ?? 0, nearDiameter: limits, farDiameter: limits, bottom: half });
}

/** Half of the point angle in degrees: '118' and empty are a common drill point, 'flat' is 90. */
function bottomOf(text: string): number {
  if (/flat/i.test(text)) return 90;
  const degrees = Number(/\d+/.exec(text)?.[0] ?? 118);
  return degrees >= 60 && degrees <= 180 ? degrees / 2 : 59;
}

function cell<T>(
  from: Cell | undefined,
  parse: (text: string, units: Cell['units']) => { ok: true; value: T } | { ok: false; problems: readonly { says: Sentence }[] },
  code: string,
  about: string,
  findings: Finding[],
): T | undefined {
  if (!from) return undefined;
  const read = parse(from.text, from.units);
  if (read.ok) return read.value;
  findings.push({ code, about, severity: 'caution', says: read.problems[0]?.says ?? [], why: say`left out until it is understood`, mends: [] });
  return undefined;
}

const retype = (at: string, text: string): Mend => ({ says: say`write ${text}`, to: 'job', edits: [{ op: 'put', at, value: text }] });

const later = (about: string, words: string): Finding => ({
  code: 'not-drawn-yet',
  about,
  severity: 'caution',
  says: [words],
  why: say`what is typed is never thrown away`,
  mends: [],
});
