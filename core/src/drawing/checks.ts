import { practice } from '../shop';
import type { Cell, Drawing, Section } from '../document';
import type { Finding, Mend } from '../finding';
import { diameter, exceeds, fallsShort, length, MM_PER_INCH, ROUNDING, say, type Sentence, tidy, writeExact } from '../quantity';
import { thingOf } from '../ref';
import { coneOf, rimOf } from './chain';
import { listNames, pathOf } from './faces';
import { parseLengthCell } from './parseSize';
import { threadOf } from './rows';
import type { Feature, PartDetail } from './types';
import { type ThinWall, wallsOf } from './walls';

/** What the drawing itself can tell is wrong, once it is understood. */
export function checkDrawing(
  drawing: Drawing,
  features: readonly Feature[],
  details: readonly PartDetail[],
  total: number,
  findings: Finding[],
): void {
  checkHoles(drawing, features, total, findings);
  checkRims(features, findings);
  checkWalls(features, details, findings);
  checkSeats(drawing, features, findings);
  checkSlips(drawing, findings);
  checkTaperThreads(features, findings);
  // while a row is not understood its neighbours have corners that are none
  if (!findings.some((f) => f.severity === 'stop')) checkSharp(drawing, features, details, findings);
}

/** A taper pipe thread is drawn and turned as its cone: its thread is nobody's step yet. */
function checkTaperThreads(features: readonly Feature[], findings: Finding[]): void {
  for (const f of features)
    if (f.form === 'taper' && f.taper !== undefined && /^(?:Rc?|NPT) /.test(f.taper))
      findings.push({
        code: 'taper-thread',
        about: `${f.id}.diameter`,
        severity: 'caution',
        says: say`the thread of ${f.taper} is not in the route: only its cone of 1 in 16 is turned`,
        why: say`cut it with a taper pipe ${f.side === 'outside' ? 'die' : 'tap'}, or single point with the slide or the tailstock set to that cone; sealed, and tried with its gauge or its mate until the gauge plane stands right`,
        mends: [],
      });
}

const put = (at: string, value: unknown, says: Sentence): Mend => ({ says, to: 'job', edits: [{ op: 'put', at, value }] });

function checkHoles(drawing: Drawing, features: readonly Feature[], total: number, findings: Finding[]): void {
  const ends = (['right', 'left'] as const).map((side) => features.filter((f) => f.side === side).at(-1));
  const [right, left] = ends;
  if (right?.through === true && left?.through === true) {
    findings.push({
      code: 'through-twice',
      about: `${left.id}.length`,
      severity: 'stop',
      says: say`both ends have a hole that goes through`,
      why: say`one of them meets the other`,
      mends: [{ says: say`take out the one in end B`, to: 'job', edits: [{ op: 'remove', at: `drawing/boreLeft/#${left.id}` }] }],
    });
    return;
  }
  for (const hole of [right, left]) {
    if (!hole || hole.through === true) continue;
    const list = hole.side === 'right' ? 'boreRight' : 'boreLeft';
    const inward = hole.side === 'right' ? -1 : 1;
    const point = coneOf(hole.farDiameter.nominal / 2, 2 * (hole.bottom ?? 90));
    const tip = hole.far + inward * point;
    const other = hole.side === 'right' ? left : right;
    const end =
      other && other.through !== true
        ? other.far - inward * coneOf(other.farDiameter.nominal / 2, 2 * (other.bottom ?? 90))
        : hole.side === 'right'
          ? -total
          : 0;
    const room = inward * (end - tip);
    const full = Math.abs(hole.far - (hole.side === 'right' ? 0 : -total)) + point;
    if (room > ROUNDING || (other?.through === true && other.id !== hole.id)) continue;
    if (other && hole.side === 'left') continue;
    const row = drawing[list].find((r) => r.id === hole.id);
    const fits = Math.floor(Math.abs(hole.far - hole.near) + room - 2);
    const mends = [
      put(`${pathOf(list, hole.id)}/length/text`, 'through', say`make it go through`),
      ...(fits >= 1 && row
        ? [put(`${pathOf(list, hole.id)}/length/text`, writeExact(fits, row.length.units), say`make it ${length(fits)} deep`)]
        : []),
    ];
    findings.push(
      other
        ? {
            code: 'holes-meet',
            about: `${hole.id}.length`,
            severity: 'stop',
            says: say`the holes of both ends meet: ${length(-room)} too deep together, points included`,
            why: say`say so if they are to meet: the last row of one goes through`,
            mends,
          }
        : {
            code: 'hole-through',
            about: `${hole.id}.length`,
            severity: 'stop',
            says: say`the hole with its point is ${length(full)} deep and the part only ${length(total)} long`,
            why: say`a hole that comes out at the other end is written “through”`,
            mends,
          },
    );
  }
}

/** A hole that comes out of a ball takes its pole away: the part is shorter than drawn. */
function checkRims(features: readonly Feature[], findings: Finding[]): void {
  for (const end of ['right', 'left'] as const) {
    const rim = rimOf(features, end);
    if (rim)
      findings.push({
        code: 'ball-opened',
        about: `${rim.ball}.${end === 'right' ? 'near' : 'far'}`,
        severity: 'note',
        says: say`the hole opens the ball: its rim lies ${length(rim.inside, 0.01)} inside the end as drawn`,
        why: say`the length of the row is to the pole, which is drilled away; measure to the rim`,
        mends: [],
      });
  }
}

function checkWalls(features: readonly Feature[], details: readonly PartDetail[], findings: Finding[]): void {
  const worst = new Map<string, ThinWall>();
  for (const wall of wallsOf(features, details)) {
    const before = worst.get(wall.hole);
    if (!before || wall.thick < before.thick) worst.set(wall.hole, wall);
  }
  for (const { hole, around, thick, outer, inner } of worst.values()) {
    if (thick <= ROUNDING)
      findings.push({
        code: 'hole-too-wide',
        about: `${hole}.diameter`,
        severity: 'stop',
        says: say`a hole of ${diameter(2 * inner)} breaks through the ${diameter(2 * outer)} around it`,
        why: say`the hole cannot be made as drawn`,
        mends: [],
      });
    else if (thick < Math.max(practice.thinWall, practice.thinShare * 2 * outer))
      findings.push({
        code: 'wall-thin',
        about: `${hole}.diameter`,
        severity: 'caution',
        says: say`only ${length(thick)} of wall is left ${details.some((d) => d.id === around) ? 'under the groove' : say`under ${diameter(2 * outer)}`}`,
        why: say`it squashes in the jaws and sings under the tool`,
        mends: [],
      });
  }
}

/** Classes that seat a bearing or a press fit. */
const seats = /\b(?:js|[jkmnprstu])\s?\d{1,2}\b/;

/** A seat that something is pressed on wants a lead-in where it enters. */
function checkSeats(drawing: Drawing, features: readonly Feature[], findings: Finding[]): void {
  const rows = features.filter((f) => f.side === 'outside');
  rows.forEach((row, i) => {
    const section = drawing.outside.find((r) => r.id === row.id);
    const pressed = drawing.mates.some((m) => thingOf(m.of) === row.id && /press|interference|shrink|[a-z]*\/\s?[k-u]\d/i.test(m.want.text));
    if (!section || row.form !== 'cylinder' || !(pressed || (row.nearDiameter.from === 'class' && seats.test(section.size.text)))) return;
    const open = [
      { end: 'near' as const, edge: row.edgeNear, beside: rows[i - 1]?.farDiameter.nominal ?? 0 },
      { end: 'far' as const, edge: row.edgeFar, beside: rows[i + 1]?.nearDiameter.nominal ?? 0 },
    ].filter((e) => fallsShort(e.beside, row.nearDiameter.nominal));
    if (open.length === 0 || open.some((e) => e.edge.kind === 'chamfer' || e.edge.kind === 'radius')) return;
    const along = row.nearDiameter.nominal < 30 ? 1 : 2;
    const step = Math.max(...open.map((e) => (row.nearDiameter.nominal - e.beside) / 2));
    const end = open.find((e) => (row.nearDiameter.nominal - e.beside) / 2 === step)?.end ?? 'near';
    // a lead that the step has room for
    const text = exceeds(step, along * Math.tan(Math.PI / 12)) ? `${String(along)} mm x 15` : `${String(tidy(step / 2))} mm x 15`;
    findings.push({
      code: 'seat-without-lead-in',
      about: `${row.id}.${end}`,
      severity: 'caution',
      says: say`${section.size.text.trim()} is a seat to press on, and its edge has no lead-in`,
      why: say`without one it scrapes as it goes on, or starts crooked`,
      mends: [put(`${pathOf('outside', row.id)}/${end}`, { text, units: section.size.units } satisfies Cell, say`lead in at 15 degrees`)],
    });
  });
}

/** A length that fits its neighbours 25.4 times better in the other unit. */
function checkSlips(drawing: Drawing, findings: Finding[]): void {
  const rows = listNames.flatMap((list) => drawing[list].map((row) => ({ list, row, value: read(row) })));
  for (const { list, row, value } of rows) {
    if (value === undefined) continue;
    const others = rows.flatMap((o) => (o.row.id === row.id || o.list !== list || o.value === undefined ? [] : [o.value]));
    if (others.length === 0) continue;
    const middle = Math.exp(others.reduce((sum, v) => sum + Math.log(v), 0) / others.length);
    const { text, units } = row.length;
    const small = units === 'mm' && /^\s*0?[.,]\d/.test(text) && value * MM_PER_INCH >= middle / 4;
    const large = units === 'in' && !/mm|[/"]/.test(text) && value >= 10 * MM_PER_INCH && value / MM_PER_INCH <= 4 * middle;
    const ratio = value / middle;
    if (!(small && ratio < 1 / 8) && !(large && ratio > 8)) continue;
    const other = units === 'mm' ? 'in' : 'mm';
    findings.push({
      code: 'unit-slip',
      about: `${row.id}.length`,
      severity: 'note',
      says: say`${length(value)} is far off its neighbours, about ${length(middle)}; in ${other === 'in' ? 'inches' : 'millimetres'} it would be ${length(tidy(other === 'in' ? value * MM_PER_INCH : value / MM_PER_INCH))}`,
      why: say`25.4 is the commonest factor to be wrong by`,
      mends: [
        put(`${pathOf(list, row.id)}/length`, { text, units: other } satisfies Cell, say`read it in ${other === 'in' ? 'inches' : 'millimetres'}`),
      ],
    });
  }
}

function read(row: Section): number | undefined {
  const parsed = parseLengthCell(row.length.text, row.length.units);
  return parsed.ok ? parsed.value.nominal : undefined;
}

/** One note for all edges that nothing is said of: a drawing breaks them, by edge or by one line for all. */
function checkSharp(drawing: Drawing, features: readonly Feature[], details: readonly PartDetail[], findings: Finding[]): void {
  if ((drawing.title['edges'] ?? '').trim() !== '') return;
  const rows = features.filter((f) => f.side === 'outside');
  const sharp = rows.flatMap((row, i) => {
    if (row.form === 'ball' || threadOf(row) || row.asDrawn === true) return [];
    const before = rows[i - 1]?.farDiameter.nominal ?? 0;
    const after = rows[i + 1]?.nearDiameter.nominal ?? 0;
    return [
      ...(row.edgeNear.kind === 'none' && fallsShort(before, row.nearDiameter.nominal) ? [`${row.id}.near`] : []),
      ...(row.edgeFar.kind === 'none' && fallsShort(after, row.farDiameter.nominal) ? [`${row.id}.far`] : []),
    ];
  });
  const mouths = (['right', 'left'] as const).flatMap((side) => {
    const hole = features.find((f) => f.side === side);
    return hole?.edgeNear.kind === 'none' && !details.some((d) => d.kind === 'countersink' && d.on === hole.id) ? [`${hole.id}.near`] : [];
  });
  const count = sharp.length + mouths.length;
  if (count === 0) return;
  const text = 'all edges broken 0.2 mm';
  findings.push({
    code: 'edges-sharp',
    about: 'edges',
    severity: 'note',
    says: count === 1 ? say`one edge is left sharp` : say`${count} edges are left sharp`,
    why: say`a sharp edge cuts hands and starts cracks; write “sharp” where it is meant`,
    mends: [put('drawing/title/edges', text, say`note on the drawing: ${text}`)],
  });
}
