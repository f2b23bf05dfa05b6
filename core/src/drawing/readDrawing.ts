import { type Drawing, isBlankRow } from '../document';
import type { Finding } from '../finding';
import { say, tidy } from '../quantity';
import { aspectOf, thingOf } from '../ref';
import { characteristicsOf } from './characteristics';
import { checkDrawing } from './checks';
import { outline } from './contour';
import { readDetails } from './details';
import { facesOf, type ListName, listNames, pathOf } from './faces';
import { applyMates } from './mates';
import { readRelations } from './relations';
import { readRow } from './rows';
import { finishThreads } from './threadRows';
import type { Edge, Feature, Part, PartDetail } from './types';

/**
 * The drawing, understood: rows and details with limits in mm, contour, characteristics and what is wrong or missing.
 * Fast and without the shop, so that it runs on the page while one types. What cannot be read is left out of the
 * contour and named in a finding. Never throws.
 * @example readDrawing({ ...blankDrawing(), ...readLine('25 h7 x 40', 'mm').value }).features[0].nearDiameter.min // 24.979
 */
export function readDrawing(typed: Drawing): Part {
  const findings: Finding[] = [];
  const drawing = withoutBlanks(typed);
  const { faces, distances, placed, through } = facesOf(drawing, findings);
  const rows = listNames.flatMap((list) =>
    drawing[list].flatMap((row, i): Feature[] => {
      const place = placed.get(row.id);
      const other = list === 'boreRight' ? drawing.boreLeft : list === 'boreLeft' ? drawing.boreRight : [];
      const ends = through.has(row.id) ? 'through' : other.some((o) => through.has(o.id)) ? 'met' : 'blind';
      const feature = readRow(drawing, list, i, place?.near ?? 0, place?.far ?? 0, ends, findings);
      return place && feature ? [feature] : [];
    }),
  );
  const threaded = finishThreads(drawing, rows, findings);
  const { features: sized, mates } = applyMates(drawing, threaded, findings);
  const total = tidy(-Math.min(0, ...sized.filter((f) => f.side === 'outside').map((f) => f.far)));
  const details = readDetails(drawing, sized, faces, total, findings);
  const features = sized.map((f) => opened(f, details));
  const relations = readRelations(drawing, features, details, findings);
  const contour = outline(features, details, total, findings);
  checkDrawing(drawing, features, details, total, findings);
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
    contour,
    features,
    details,
    faces,
    distances,
    mates,
    relations,
    characteristics: characteristicsOf(drawing, features, details, distances, relations),
    findings: findings
      .filter((f) => f.severity === 'stop' || drawing.care[f.about] !== 'byEye')
      .filter((f) => f.code !== 'edge-does-not-fit' || !besideUnread(drawing, features, f.about))
      .map((f) => (f.code === 'edge-does-not-fit' ? leftSharp(drawing, f) : f)),
  };
}

/** A row in which nothing is typed yet is not there yet: it waits without a word. */
function withoutBlanks(drawing: Drawing): Drawing {
  if (!listNames.some((list) => drawing[list].some(isBlankRow))) return drawing;
  const kept = (list: ListName) => drawing[list].filter((row) => !isBlankRow(row));
  return { ...drawing, outside: kept('outside'), boreRight: kept('boreRight'), boreLeft: kept('boreLeft') };
}

/** An edge towards a row that is not understood yet waits for it: whether it fits is not known. */
function besideUnread(drawing: Drawing, features: readonly Feature[], about: string): boolean {
  const at = drawing.outside.findIndex((r) => r.id === thingOf(about));
  const next = at < 0 ? undefined : drawing.outside[aspectOf(about) === 'near' ? at - 1 : at + 1];
  return next !== undefined && !features.some((f) => f.id === next.id);
}

/** The fix of an edge that does not fit leaves it sharp. */
function leftSharp(drawing: Drawing, finding: Finding): Finding {
  const [id, end = ''] = [thingOf(finding.about), aspectOf(finding.about)];
  const list = listNames.find((l) => drawing[l].some((r) => r.id === id && (end === 'near' ? r.near : r.far) !== undefined));
  if (!list) return finding;
  return {
    ...finding,
    mends: [{ says: say`leave it sharp`, to: 'job', edits: [{ op: 'put', at: `${pathOf(list, id)}/${end}/text`, value: 'sharp' }] }],
  };
}

/** A countersink is the mouth of its hole. */
function opened(feature: Feature, details: readonly PartDetail[]): Feature {
  const sink = details.find((d) => d.kind === 'countersink' && d.on === feature.id);
  if (sink?.depth === undefined || sink.angle === undefined) return feature;
  const edgeNear: Edge = { kind: 'chamfer', along: sink.depth, degrees: sink.angle / 2 };
  return { ...feature, edgeNear, chamferNear: sink.depth };
}
