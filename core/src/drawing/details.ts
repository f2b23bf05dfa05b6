import type { Detail, Drawing } from '../document';
import type { Finding, FindingCode, Mend } from '../finding';
import { atLeast, atMost, diameter, exceeds, fallsShort, length, say, type Sentence, tidy } from '../quantity';
import { radiusAt } from './chain';
import type { Understood } from './detailCells';
import { cutAway } from './detailSizes';
import { facesNamed } from './faces';
import { parseLengthCell } from './parseSize';
import type { Feature, PartDetail } from './types';

/** What is cut in rows and ends, understood; what cannot be is a finding and left out of the picture. */
export function readDetails(
  drawing: Drawing,
  features: readonly Feature[],
  faces: Readonly<Record<string, number>>,
  total: number,
  findings: Finding[],
): readonly PartDetail[] {
  const name = facesNamed(drawing);
  const details = drawing.details.flatMap((detail): PartDetail[] => {
    const refuse = (code: FindingCode, says: Sentence, mends: readonly Mend[] = [], severity: Finding['severity'] = 'stop'): [] => {
      findings.push({ code, about: detail.id, severity, says, why: say`it is left out of the picture until it is understood`, mends });
      return [];
    };
    const row = features.find((f) => f.id === detail.on);
    const onEnd = detail.on === 'right' || detail.on === 'left';
    if (!row && !onEnd) {
      const there = [...drawing.outside, ...drawing.boreRight, ...drawing.boreLeft].some((r) => r.id === detail.on);
      return there
        ? []
        : refuse('detail-orphaned', say`the row that this ${words[detail.kind]} was cut in is not there now`, [
            { says: say`take it out`, to: 'job', edits: [{ op: 'remove', at: `drawing/details/#${detail.id}` }] },
          ]);
    }
    const wrong = placeOf(detail, row);
    if (wrong) return refuse('detail-misplaced', wrong);
    const size = cutAway(detail, row, drawing);
    if (!('source' in size))
      return refuse(
        'detail-unknown',
        size.says,
        size.nearest.map((text) => retype(detail.id, text)),
      );
    const from = detail.from === undefined ? undefined : faces[name(detail.from) ?? ''];
    if (row && detail.from !== undefined && from === undefined)
      return refuse('detail-place', say`the face that this ${words[detail.kind]} is counted from is not there now`, [
        { says: say`count from its own edge`, to: 'job', edits: [{ op: 'remove', at: `drawing/details/#${detail.id}/from` }] },
      ]);
    const place = positionOf(detail, row, from, total, size);
    if ('says' in place) return refuse('detail-place', place.says);
    return [{ id: detail.id, kind: detail.kind, on: detail.on, ...place, ...size }];
  });
  return checkRoom(details, features, findings);
}

const retype = (id: string, text: string): Mend => ({
  says: say`write ${text}`,
  to: 'job',
  edits: [{ op: 'put', at: `drawing/details/#${id}/size/text`, value: text }],
});

export const words: Readonly<Record<Detail['kind'], string>> = {
  groove: 'groove',
  ringGroove: 'groove for a retaining ring',
  faceGroove: 'face groove',
  knurl: 'knurl',
  centre: 'centre hole',
  countersink: 'countersink',
  mark: 'mark',
  crossHole: 'cross hole',
  flat: 'flat',
  hexagon: 'hexagon',
  keyway: 'keyway',
  slot: 'slot',
  boltCircle: 'bolt circle',
};

const ofEnds = new Set<Detail['kind']>(['centre', 'boltCircle', 'slot']);
const ofOutside = new Set<Detail['kind']>(['knurl', 'flat', 'hexagon', 'crossHole']);

function placeOf(detail: Detail, row: Feature | undefined): Sentence | undefined {
  const { kind } = detail;
  if (ofEnds.has(kind) && row) return say`a ${words[kind]} belongs on an end, not on a row`;
  if (!row && !ofEnds.has(kind) && kind !== 'faceGroove' && kind !== 'mark') return say`a ${words[kind]} belongs on a row, not on an end`;
  if (row && ofOutside.has(kind) && row.side !== 'outside') return say`a ${words[kind]} belongs on the outside`;
  if (row && kind === 'countersink' && row.side === 'outside') return say`a countersink belongs on a hole`;
  return undefined;
}

interface Placed {
  readonly near: number;
  readonly far: number;
}

/** z of its two ends: `at` counts from the row's near face, or from the face named; over its whole row where nothing is typed. */
function positionOf(
  detail: Detail,
  row: Feature | undefined,
  from: number | undefined,
  total: number,
  size: Understood,
): Placed | { readonly says: Sentence } {
  const end = detail.on === 'left' ? -total : 0;
  if (!row) return { near: end, far: end };
  const inward = row.far >= row.near ? 1 : -1;
  if (detail.kind === 'countersink' || detail.kind === 'faceGroove') return { near: row.near, far: row.near };
  const whole = detail.kind === 'knurl' || detail.kind === 'hexagon' || detail.kind === 'flat' || detail.kind === 'mark';
  const typed = detail.at.text.trim();
  let at = 0;
  if (typed !== '' && Number(typed.replace(',', '.')) !== 0) {
    const read = parseLengthCell(typed, detail.at.units);
    if (!read.ok) return { says: read.problems[0]?.says ?? say`where it lies is not understood` };
    at = read.value.nominal;
  } else if (!whole && typed === '') return { says: say`where does it lie? type how far from the face towards ${row.side === 'left' ? 'B' : 'A'}` };
  const away = detail.from === 'left' ? 1 : detail.from === 'right' ? -1 : inward;
  const start = tidy((from ?? row.near) + away * at);
  const long = detail.kind === 'groove' || detail.kind === 'ringGroove' ? size.width : size.long;
  if (long === undefined) return { near: start, far: whole ? row.far : start };
  // counted from a face beyond the row, the first edge met is the near one of that count
  const other = tidy(start + away * long);
  return away === inward ? { near: start, far: other } : { near: other, far: start };
}

/** Grooves inside their row and clear of each other, not through to the middle. */
function checkRoom(details: readonly PartDetail[], features: readonly Feature[], findings: Finding[]): readonly PartDetail[] {
  return details.filter((detail) => {
    const row = features.find((f) => f.id === detail.on);
    if (!row) return true;
    const refuse = (code: FindingCode, says: Sentence): false => {
      findings.push({ code, about: detail.id, severity: 'stop', says, why: say`it cannot be cut as drawn`, mends: [] });
      return false;
    };
    const [lo, hi] = [Math.min(row.near, row.far), Math.max(row.near, row.far)];
    const cut = [Math.min(detail.near, detail.far), Math.max(detail.near, detail.far)] as const;
    if (fallsShort(cut[0], lo) || exceeds(cut[1], hi))
      return refuse('detail-outside-row', say`the ${words[detail.kind]} reaches ${length(Math.max(lo - cut[0], cut[1] - hi))} beyond its row`);
    if (detail.kind !== 'groove' && detail.kind !== 'ringGroove') return true;
    if (row.form === 'ball' || row.form === 'arc') return refuse('detail-misplaced', say`a groove is drawn on a cylinder or a taper, not on an arc`);
    const surface = [radiusAt(row, detail.near), radiusAt(row, detail.far)] as const;
    const bottom = (detail.diameter?.nominal ?? 0) / 2;
    const outside = row.side === 'outside';
    if (outside ? atLeast(bottom, Math.min(...surface)) : atMost(bottom, Math.max(...surface)))
      return refuse(
        'groove-cuts-nothing',
        say`the bottom of the groove, ${diameter(2 * bottom)}, lies ${outside ? 'outside' : 'inside'} its row of ${diameter(2 * surface[0])}`,
      );
    const other = details.find(
      (o) =>
        o.id < detail.id &&
        o.on === detail.on &&
        (o.kind === 'groove' || o.kind === 'ringGroove') &&
        fallsShort(Math.min(o.near, o.far), cut[1]) &&
        exceeds(Math.max(o.near, o.far), cut[0]),
    );
    return other ? refuse('grooves-overlap', say`this groove runs into another one of its row`) : true;
  });
}
