import type { Detail, Drawing } from '../document';
import { angle, diameter, length, readLength, say, tidy, type Units } from '../quantity';
import { centreNamed, knurlBlank } from '../standards';
import { besideTheLathe } from './besideSizes';
import { anglesOf, exact, lengthOf, refused, type Refused, type Understood } from './detailCells';
import { faceGrooveOf, grooveOf, ringOf } from './grooveSizes';
import { parseSize, withGeneralRule } from './parseSize';
import type { Feature, Limits } from './types';

/** The numbers of one detail on its row or end. */
export function cutAway(detail: Detail, row: Feature | undefined, drawing: Drawing): Understood | Refused {
  const text = detail.size.text.trim();
  const { units } = detail.size;
  const rule = (limits: Limits) => withGeneralRule(limits, drawing.untoleranced.text, drawing.untoleranced.units);
  const across = row?.nearDiameter.nominal ?? 0;
  const inside = row !== undefined && row.side !== 'outside';
  switch (detail.kind) {
    case 'groove':
      return grooveOf(detail, text, units, across, inside, rule);
    case 'ringGroove':
      return ringOf(detail, text, units, across, inside, rule);
    case 'faceGroove':
      return faceGrooveOf(detail, text, units, rule);
    case 'knurl':
      return knurlOf(detail, text, units, across);
    case 'centre': {
      const read = centreNamed(text);
      if (!read.ok) return refused(read.says, read.nearest);
      const mouth = read.guard ?? read.mouth;
      if (mouth === null || read.depth === null)
        return refused(say`the mouth and depth of ${read.name} are not in this table; write A 2.5`, ['A 2.5', 'B 2.5']);
      return {
        diameter: exact(read.pilot),
        width: mouth,
        depth: read.depth,
        says: say`${read.name}: drill ${diameter(read.pilot)}, mouth ${diameter(mouth)}, ${length(read.depth)} deep`,
        source: read.source,
      };
    }
    case 'countersink': {
      const size = parseSize(text, units);
      if (size.kind !== 'diameter') return refused(say`a countersink wants its diameter at the face`);
      const degrees = anglesOf(detail) ?? 90;
      if (!(degrees >= 30 && degrees <= 150)) return refused(say`a countersink of ${degrees} degrees is none; 30 to 150`);
      if (size.limits.nominal <= across)
        return refused(say`a countersink of ${diameter(size.limits.nominal)} does not open a hole of ${diameter(across)}`);
      const depth = (size.limits.nominal - across) / 2 / Math.tan((degrees * Math.PI) / 360);
      return {
        diameter: rule(size.limits),
        angle: degrees,
        depth: tidy(depth),
        says: say`${diameter(size.limits.nominal)} at the face, ${angle(degrees)} : ${length(depth)} deep`,
        source: 'geometry: (D - d) / 2 / tan(half of the angle)',
      };
    }
    case 'mark':
      return { says: text === '' ? say`marked here` : [text], source: 'drawing' };
    default:
      return besideTheLathe(detail, text, units, row, rule);
  }
}

/** 'straight 0.8', 'diamond 1', 'diamond 21 tpi'. */
function knurlOf(detail: Detail, text: string, units: Units, across: number): Understood | Refused {
  const m = /^(straight|diamond)\s+(?:(\d+)\s*tpi|(.+))$/i.exec(text);
  const pitch = m?.[2] !== undefined ? 25.4 / Number(m[2]) : readLength(m?.[3] ?? '', units)?.value;
  if (!m || pitch === undefined || !(pitch > 0))
    return refused(say`write a knurl as straight 0.8, diamond 1 or diamond 21 tpi`, ['diamond 1', 'straight 0.8']);
  if (across <= 3 * pitch) return refused(say`a knurl of pitch ${length(pitch)} is too coarse for ${diameter(across)}`);
  const form = m[1]?.toLowerCase() === 'straight' ? 'straight' : 'diamond';
  const { blank, teeth } = knurlBlank(across, pitch, form);
  const long = lengthOf(detail);
  return {
    pitch: tidy(pitch),
    diameter: exact(blank),
    count: teeth,
    ...(long !== undefined && { long }),
    says: say`${form}, pitch ${length(pitch)}: turn the blank to ${diameter(blank, 0.01)} for ${teeth} teeth; it grows to about ${diameter(across)}`,
    source: 'DIN 82, from memory: blank = d - 0.5 (straight) or 0.67 (diamond) of the pitch',
  };
}
