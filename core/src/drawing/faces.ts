import type { Drawing, Section } from '../document';
import type { Finding, FindingCode, Mend } from '../finding';
import { alike, length, PLACE, ROUNDING, say, tidy, writeExact } from '../quantity';
import { parseLengthCell, withGeneralRule } from './parseSize';
import type { Distance, Limits } from './types';

export type ListName = 'outside' | 'boreRight' | 'boreLeft';
export const listNames: readonly ListName[] = ['outside', 'boreRight', 'boreLeft'];
/** Where a row is kept: 'drawing/outside/#s3'; of a piece already started 'startsAs/outside/#s3'. */
export const pathOf = (list: ListName, id: string, of: 'drawing' | 'startsAs' = 'drawing'): string => `${of}/${list}/#${id}`;

export interface Faces {
  readonly faces: Readonly<Record<string, number>>;
  readonly distances: readonly Distance[];
  /** z of the near and the far face of each row whose place is known */
  readonly placed: ReadonlyMap<string, { readonly near: number; readonly far: number }>;
  /** rows of holes that go through */
  readonly through: ReadonlySet<string>;
}

/** A known distance between two faces: z of b is z of a plus this. */
interface Link {
  readonly a: string;
  readonly b: string;
  readonly by: number;
  readonly distance: Distance;
}

/**
 * Where every face lies, from lengths by chain or from any other face; a length left open is what the overall one leaves. Lengths that
 * say the same thing twice, or contradict each other, are findings.
 */
export function facesOf(drawing: Drawing, findings: Finding[]): Faces {
  const name = facesNamed(drawing);
  const through = new Set<string>();
  const links: Link[] = [];
  for (const list of listNames) {
    const rows = drawing[list];
    rows.forEach((row, i) => {
      const text = row.length.text.trim();
      if (list !== 'outside' && /^through$/i.test(text)) {
        through.add(row.id);
        if (i < rows.length - 1) stop(findings, 'through-not-last', `${row.id}.length`, say`only the last row of a hole can go through`);
        return;
      }
      if (text === '') return;
      const read = parseLengthCell(row.length.text, row.length.units);
      if (!read.ok) {
        stop(findings, 'length-unknown', `${row.id}.length`, read.problems[0]?.says ?? []);
        return;
      }
      const limits = withGeneralRule(read.value, drawing.untoleranced.text, drawing.untoleranced.units);
      const link = linkOf(drawing, list, row, limits, name, findings);
      if (link) links.push(link);
    });
  }
  const overall = overallOf(drawing, findings);
  const faces = new Map<string, number>([['right', 0]]);
  const used = settle(faces, overall ? [...links, overall] : links);
  // a row still without a length holds no room yet: the others are drawn as if it were not there
  for (const row of drawing.outside) {
    const [near, far] = [name(`${row.id}.near`) ?? '', name(`${row.id}.far`) ?? ''];
    const z = faces.get(near) ?? faces.get(far);
    if (z === undefined || (faces.has(near) && faces.has(far))) continue;
    faces.set(near, z).set(far, z);
    for (const link of settle(faces, links)) used.add(link);
  }
  for (const link of [...links, ...(overall ? [overall] : [])]) if (!used.has(link)) tellClosingLength(drawing, link, faces, used, findings);
  return { faces: Object.fromEntries(faces), distances: linksOf(used), through, placed: placedOf(drawing, name, faces, through, findings) };
}

const linksOf = (used: ReadonlySet<Link>): readonly Distance[] => [...used].map((l) => l.distance);

/** One name for each face, from any reference to it: the far face of a row is the near one of the next. Undefined for a face that is not there. */
export function facesNamed(drawing: Pick<Drawing, ListName>): (ref: string) => string | undefined {
  const known = new Map<string, string>([
    ['right', 'right'],
    ['left', 'left'],
  ]);
  for (const list of listNames) {
    const rows = drawing[list];
    rows.forEach((row, i) => {
      const before = rows[i - 1];
      known.set(`${row.id}.near`, before ? (known.get(`${before.id}.far`) ?? '') : list === 'boreLeft' ? 'left' : 'right');
      known.set(`${row.id}.far`, list === 'outside' && i === rows.length - 1 ? 'left' : `${row.id}.far`);
    });
  }
  return (ref) => known.get(ref);
}

/** Towards the left end from the right one; in the hole of the left end the other way. */
const inwards = (list: ListName): 1 | -1 => (list === 'boreLeft' ? 1 : -1);

function linkOf(
  drawing: Drawing,
  list: ListName,
  row: Section,
  limits: Limits,
  name: (ref: string) => string | undefined,
  findings: Finding[],
): Link | undefined {
  const from = row.from === undefined ? name(`${row.id}.near`) : name(row.from);
  if (from === undefined) {
    stop(findings, 'face-unknown', `${row.id}.length`, say`this length starts at a face that is not there now`, [
      { says: say`measure it along the row`, to: 'job', edits: [{ op: 'remove', at: `${pathOf(list, row.id)}/from` }] },
    ]);
    return undefined;
  }
  const end = list === 'boreLeft' ? 'right' : 'left';
  const side = row.to ?? (row.from === end ? 'near' : 'far');
  const to = name(`${row.id}.${side}`) ?? '';
  if (from === to) {
    stop(findings, 'face-unknown', `${row.id}.length`, say`this length ends at the face it starts from`, [
      { says: say`measure it along the row`, to: 'job', edits: [{ op: 'remove', at: `${pathOf(list, row.id)}/from` }] },
    ]);
    return undefined;
  }
  const order = orderOf(drawing, list);
  const [f, t] = [order.indexOf(from), order.indexOf(to)];
  // a face of another list: from an end inwards, else the way this list runs
  const towards = from === end ? -inwards(list) : f >= 0 && t >= 0 && f > t ? -inwards(list) : inwards(list);
  const rightmost = towards < 0;
  return { a: from, b: to, by: towards * limits.nominal, distance: { id: row.id, a: rightmost ? from : to, b: rightmost ? to : from, limits } };
}

/** The faces of a list in the order they are met. */
function orderOf(drawing: Drawing, list: ListName): readonly string[] {
  const rows = drawing[list];
  return [list === 'boreLeft' ? 'left' : 'right', ...rows.map((row, i) => (list === 'outside' && i === rows.length - 1 ? 'left' : `${row.id}.far`))];
}

function overallOf(drawing: Drawing, findings: Finding[]): Link | undefined {
  if (!drawing.overall || drawing.overall.text.trim() === '') return undefined;
  const read = parseLengthCell(drawing.overall.text, drawing.overall.units);
  if (!read.ok) {
    stop(findings, 'length-unknown', 'overall', read.problems[0]?.says ?? []);
    return undefined;
  }
  const limits = withGeneralRule(read.value, drawing.untoleranced.text, drawing.untoleranced.units);
  return { a: 'right', b: 'left', by: -limits.nominal, distance: { id: 'overall', a: 'right', b: 'left', limits } };
}

/** Places every face that can be reached from the right end; returns the links that were needed for it. */
function settle(faces: Map<string, number>, links: readonly Link[]): Set<Link> {
  const used = new Set<Link>();
  for (let grew = true; grew;) {
    grew = false;
    for (const link of links) {
      const [a, b] = [faces.get(link.a), faces.get(link.b)];
      if ((a === undefined) === (b === undefined)) continue;
      if (a !== undefined) faces.set(link.b, tidy(a + link.by));
      else if (b !== undefined) faces.set(link.a, tidy(b - link.by));
      used.add(link);
      grew = true;
    }
  }
  return used;
}

/** A length that closes a ring of others: said twice, or not adding up. */
function tellClosingLength(drawing: Drawing, link: Link, faces: ReadonlyMap<string, number>, used: Set<Link>, findings: Finding[]): void {
  const [a, b] = [faces.get(link.a), faces.get(link.b)];
  if (a === undefined || b === undefined) return;
  const { id, limits } = link.distance;
  const actual = Math.abs(b - a);
  const off = limits.nominal - actual;
  const about = id === 'overall' ? 'overall' : `${id}.length`;
  const list = listNames.find((l) => drawing[l].some((r) => r.id === id)) ?? 'outside';
  const at = id === 'overall' ? 'drawing/overall' : `${pathOf(list, id)}/length`;
  const units = id === 'overall' ? (drawing.overall?.units ?? 'mm') : (drawing[list].find((r) => r.id === id)?.length.units ?? 'mm');
  const drop: Mend =
    id === 'overall'
      ? { says: say`leave out the overall length`, to: 'job', edits: [{ op: 'remove', at }] }
      : { says: say`leave this length open`, to: 'job', edits: [{ op: 'put', at: `${at}/text`, value: '' }] };
  const closing = [...used].find((l) => l.distance.id !== id && drawing.outside.some((r) => r.id === l.distance.id));
  if (Math.abs(off) > PLACE) {
    findings.push({
      code: 'chain-does-not-add-up',
      about,
      severity: 'stop',
      says: say`the lengths come to ${length(actual)}, this one says ${length(limits.nominal)}: ${length(Math.abs(off))} ${off > 0 ? 'too long' : 'too short'}`,
      why: say`a blank cut to one of them makes the other wrong`,
      mends: [{ says: say`write ${length(actual)}`, to: 'job', edits: [{ op: 'put', at: `${at}/text`, value: writeExact(actual, units) }] }, drop],
    });
    return;
  }
  findings.push({
    code: 'over-dimensioned',
    about,
    severity: 'caution',
    says: say`${length(actual)} follows from the other lengths already`,
    why: say`said twice, its tolerance and theirs cannot both hold: leave one open`,
    mends: [
      ...(id === 'overall' && closing
        ? [
            {
              says: say`leave the length of row ${drawing.outside.findIndex((r) => r.id === closing.distance.id) + 1} open`,
              to: 'job' as const,
              edits: [{ op: 'put' as const, at: `${pathOf('outside', closing.distance.id)}/length/text`, value: '' }],
            },
          ]
        : []),
      drop,
    ],
  });
  used.add(link);
}

function placedOf(
  drawing: Drawing,
  name: (ref: string) => string | undefined,
  faces: Map<string, number>,
  through: ReadonlySet<string>,
  findings: Finding[],
): Faces['placed'] {
  const placed = new Map<string, { near: number; far: number }>();
  for (const list of listNames) {
    const [rows, other] = [drawing[list], list === 'boreLeft' ? drawing.boreRight : drawing.boreLeft];
    rows.forEach((row, i) => {
      const near = faces.get(name(`${row.id}.near`) ?? '');
      if (through.has(row.id)) {
        // to the bottom of the other end's hole, or through its face
        const last = other.at(-1);
        const end = last && !through.has(last.id) ? `${last.id}.far` : list === 'boreLeft' ? 'right' : 'left';
        const far = faces.get(end);
        if (near !== undefined && far !== undefined) placed.set(row.id, { near, far });
        return;
      }
      const far = faces.get(name(`${row.id}.far`) ?? '');
      if (near !== undefined && far !== undefined && (far - near) * inwards(list) > ROUNDING) {
        placed.set(row.id, { near, far });
        return;
      }
      if (findings.some((f) => f.about === `${row.id}.length` && f.severity === 'stop')) return;
      // where the row before it ends is not known, and said there
      if (list !== 'outside' && near === undefined && row.length.text.trim() !== '') return;
      const which = list === 'outside' ? say`row ${i + 1}` : say`row ${i + 1} of the hole`;
      if (near === undefined || far === undefined || (row.length.text.trim() === '' && !drawing.overall))
        stop(findings, 'length-missing', `${row.id}.length`, say`${which} has no length`);
      else
        stop(
          findings,
          row.length.text.trim() === '' ? 'length-missing' : 'row-inside-out',
          `${row.id}.length`,
          say`the other lengths leave ${which} ${length(Math.abs(far - near))} ${alike(far, near, ROUNDING) ? 'long' : 'less than nothing'}`,
        );
    });
  }
  return placed;
}

function stop(findings: Finding[], code: FindingCode, about: string, says: Finding['says'], mends: readonly Mend[] = []): void {
  findings.push({ code, about, severity: 'stop', says, why: say`the part cannot be drawn without it`, mends });
}
