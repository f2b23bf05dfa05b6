import type { Detail, Drawing } from '../document';
import { angle, diameter, exceeds, length, readLength, say, type Sentence, tidy, type Units } from '../quantity';
import { boltCircle, centreNamed, chord, oRingCords, flats, keywayFor, knurlBlank, oRingGroove, ringGroove } from '../standards';
import { parseLengthCell, parseSize, withGeneralRule } from './parseSize';
import type { Feature, Limits, PartDetail } from './types';

/** What a detail's cells come to, without its place. `long`: how far it goes along the axis where that is not its width. */
export type Understood = Pick<PartDetail, 'says' | 'source'> &
  Partial<Omit<PartDetail, 'id' | 'kind' | 'on' | 'near' | 'far'>> & { readonly long?: number };
interface Refused {
  readonly says: Sentence;
  readonly nearest: readonly string[];
}

const exact = (nominal: number): Limits => ({ nominal, max: nominal, min: nominal, from: 'general' });
const refused = (says: Sentence, nearest: readonly string[] = []): Refused => ({ says, nearest });

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

const anglesOf = (detail: Detail): number | undefined => {
  const text = detail.angle?.text.trim() ?? '';
  const value = Number(/^\d*[.,]?\d+/.exec(text)?.[0]?.replace(',', '.'));
  return text === '' || !Number.isFinite(value) ? undefined : value;
};

function lengthOf(detail: Detail): number | undefined {
  if (!detail.length || detail.length.text.trim() === '') return undefined;
  const read = parseLengthCell(detail.length.text, detail.length.units);
  return read.ok ? read.value.nominal : undefined;
}

/** '16', '16 h11' (bottom), 'depth 2', '16 R0.5' (corners), 'round 3' (a half round of that width), 'round 16', 'O-ring 2.62', 'O-ring 2.62 moving'. */
function grooveOf(detail: Detail, text: string, units: Units, across: number, inside: boolean, rule: (l: Limits) => Limits): Understood | Refused {
  const ring = /^o-?\s?ring\s+(\S+)(\s+moving)?$/i.exec(text);
  if (ring) {
    const cord = readLength(ring[1] ?? '', units);
    const read = oRingGroove(cord?.value ?? NaN, ring[2] !== undefined);
    if (!read.ok)
      return refused(
        read.says,
        oRingCords.map((c) => `O-ring ${String(c)}`),
      );
    const bottom = (depth: number) => tidy(inside ? across + 2 * depth : across - 2 * depth);
    const limits = [bottom(read.depth[0]), bottom(read.depth[1])].toSorted((a, b) => a - b);
    const [min = 0, max = 0] = limits;
    const width = tidy((read.width[0] + read.width[1]) / 2);
    return {
      diameter: { nominal: tidy((min + max) / 2), max, min, from: 'typed' },
      depth: tidy((read.depth[0] + read.depth[1]) / 2),
      width,
      says: say`bottom ${diameter(min, 0.01)} to ${diameter(max, 0.01)}, width ${length(read.width[0])} to ${length(read.width[1])}; squeeze ${Math.round(read.squeeze)} %, filled ${Math.round(read.fill)} %; depth counts from the face that seals: take off the clearance`,
      source: 'usual industrial gland table, from memory',
    };
  }
  const round = /^round(?:\s+(.*))?$/i.exec(text);
  const width = lengthOf(detail);
  if (round) {
    const read = readLength(round[1] ?? '', units);
    const wide = width ?? read?.value;
    if (wide === undefined || !(wide > 0)) return refused(say`a round groove wants its width: round 3`);
    const bottom = width !== undefined && read ? read.value : inside ? across + wide : across - wide;
    const depth = Math.abs(across - bottom) / 2;
    if (exceeds(depth, wide / 2)) return refused(say`a round groove ${length(wide)} wide is at most ${length(wide / 2)} deep`);
    if (!(bottom > 0)) return refused(say`the groove is deeper than the middle`);
    const radius = ((wide / 2) ** 2 + depth ** 2) / (2 * depth);
    return {
      diameter: rule(exact(tidy(bottom))),
      depth: tidy(depth),
      width: wide,
      round: true,
      says: say`radius ${length(radius)}, ${length(depth)} deep`,
      source: 'geometry of a chord',
    };
  }
  const corner = /^(.*\S)\s+R\s*(\S+)$/i.exec(text);
  const deep = /^(?:depth|deep)\s+(.+)$|^(.+)\s+deep$/i.exec(corner?.[1] ?? text);
  const size = parseSize(deep ? (deep[1] ?? deep[2] ?? '') : (corner?.[1] ?? text), units);
  if (size.kind !== 'diameter')
    return refused(
      size.kind === 'unknown' && text !== '' ? size.says : say`a groove wants the diameter at its bottom, or depth 2, round 3, O-ring 2.62`,
    );
  if (width === undefined) return refused(say`a groove wants its width`);
  const by = (depth: number) => tidy(inside ? across + 2 * depth : across - 2 * depth);
  const bottom = deep
    ? {
        ...size.limits,
        nominal: by(size.limits.nominal),
        max: Math.max(by(size.limits.min), by(size.limits.max)),
        min: Math.min(by(size.limits.min), by(size.limits.max)),
      }
    : size.limits;
  if (!(bottom.nominal > 0)) return refused(say`the groove is deeper than the middle`);
  const radius = corner ? readLength(corner[2] ?? '', units)?.value : undefined;
  const depth = tidy(Math.abs(across - bottom.nominal) / 2);
  const walls = anglesOf(detail);
  return {
    diameter: rule(bottom),
    depth,
    width,
    ...(walls !== undefined && walls < 170 && { angle: walls }),
    ...(radius !== undefined && radius > 0 && { radius: tidy(Math.min(radius, width / 2, depth)) }),
    says: say`bottom ${diameter(bottom.nominal)}, ${length(depth)} deep, ${length(width)} wide`,
    source: 'drawing',
  };
}

/** '' or 'ring' takes the groove of the row's own size; '19' the ring for that size. */
function ringOf(detail: Detail, text: string, units: Units, across: number, inside: boolean, rule: (l: Limits) => Limits): Understood | Refused {
  const typed = readLength(text.replace(/^ring\s*/i, ''), units)?.value;
  const read = ringGroove(tidy(typed ?? across), inside ? 'bore' : 'shaft');
  if (!read.ok) return refused(read.says, read.nearest);
  return {
    diameter: rule(exact(read.groove)),
    width: lengthOf(detail) ?? read.width,
    depth: tidy(Math.abs(across - read.groove) / 2),
    says: say`ring ${length(read.ring)} for ${diameter(read.diameter)}: groove ${diameter(read.groove)}, ${length(read.width)} wide H13, ${length(read.shoulder)} to the end at least`,
    source: inside ? 'DIN 472, from memory' : 'DIN 471, from memory',
  };
}

function faceGrooveOf(detail: Detail, text: string, units: Units, rule: (l: Limits) => Limits): Understood | Refused {
  const size = parseSize(text, units);
  const width = lengthOf(detail);
  const deep = parseLengthCell(detail.at.text, detail.at.units);
  if (size.kind !== 'diameter') return refused(say`a face groove wants its outer diameter`);
  if (width === undefined) return refused(say`a face groove wants its width, on radius`);
  if (!deep.ok) return refused(say`a face groove wants its depth, in the cell “at”`);
  if (2 * width >= size.limits.nominal) return refused(say`a face groove ${length(width)} wide reaches the middle`);
  return {
    diameter: rule(size.limits),
    width,
    depth: deep.value.nominal,
    says: say`${diameter(size.limits.nominal - 2 * width)} to ${diameter(size.limits.nominal)}, ${length(deep.value.nominal)} deep`,
    source: 'drawing',
  };
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

/** Cut elsewhere: noted, drawn, with the numbers that the bench or the mill wants. */
function besideTheLathe(detail: Detail, text: string, units: Units, row: Feature | undefined, rule: (l: Limits) => Limits): Understood | Refused {
  const across = row?.nearDiameter.nominal ?? 0;
  const count = detail.count ?? 1;
  const long = lengthOf(detail);
  const turn = anglesOf(detail) ?? 0;
  const along = long === undefined ? {} : { long };
  if (detail.kind === 'keyway') return keywayOf(text, units, across, row, long);
  const [first = '', second] = text.split(/\s*[xX×]\s*/);
  const size = parseSize(first, units);
  if (size.kind !== 'diameter') return refused(size.kind === 'unknown' && text !== '' ? size.says : say`its size is missing`);
  const limits = rule(size.limits);
  const { nominal } = limits;
  switch (detail.kind) {
    case 'crossHole': {
      if (nominal >= across) return refused(say`a cross hole of ${diameter(nominal)} is as wide as its row of ${diameter(across)}`);
      const web = across / 2 - Math.sqrt((across / 2) ** 2 - (nominal / 2) ** 2);
      return {
        diameter: limits,
        angle: turn,
        count,
        says: say`${diameter(nominal)} ${count > 1 ? `${String(count)} equally spaced` : 'through'}; it breaks out ${length(web)} below the crown: start it with a stub drill or on a flat`,
        source: 'geometry: r - sqrt(r^2 - (d / 2)^2)',
      };
    }
    case 'flat': {
      const sides = Math.max(1, count);
      if (nominal >= across) return refused(say`a flat ${length(nominal)} across lies outside ${diameter(across)}`);
      const depth = sides === 1 ? across - nominal : (across - nominal) / 2;
      if (depth >= across / 2) return refused(say`a flat that leaves ${length(nominal)} goes beyond the middle of ${diameter(across)}`);
      const width = 2 * Math.sqrt((across / 2) ** 2 - (across / 2 - depth) ** 2);
      return {
        diameter: limits,
        depth: tidy(depth),
        width: tidy(width),
        count: sides,
        angle: turn,
        ...along,
        says:
          sides === 1
            ? say`leaves ${length(nominal)}: ${length(depth)} deep, ${length(width)} wide`
            : say`${sides} flats ${length(nominal)} across: ${length(depth)} deep each, ${length(width)} wide`,
        source: 'flats: depth = (d - F) / 2; geometry',
      };
    }
    case 'hexagon': {
      if (nominal >= across) return refused(say`a hexagon ${length(nominal)} across lies outside ${diameter(across)}`);
      const cut = flats(across, nominal, 6);
      return {
        diameter: limits,
        depth: tidy(cut.depth),
        width: tidy(cut.width),
        count: 6,
        ...along,
        says: say`${length(nominal)} across flats: ${length(cut.depth)} deep each, ${length(cut.width)} wide${cut.full ? say`, corners at ${diameter(cut.corners)}` : say`; corners rounded by the ${diameter(across)}`}`,
        source: 'flats: depth = (d - F) / 2; geometry',
      };
    }
    case 'slot': {
      const depth = second === undefined ? undefined : readLength(second, units)?.value;
      if (depth === undefined || !(depth > 0)) return refused(say`a slot wants its width and depth: 2 x 3`, [`${first} x 2`]);
      return {
        diameter: limits,
        width: nominal,
        depth,
        angle: turn,
        says: say`${length(nominal)} wide, ${length(depth)} deep across the end`,
        source: 'drawing',
      };
    }
    case 'boltCircle': {
      const circle = parseSize(detail.at.text, detail.at.units);
      if (circle.kind !== 'diameter') return refused(say`a bolt circle wants the diameter of its circle, in the cell “at”`);
      if (count < 2 || count > 60) return refused(say`how many holes? 2 to 60`);
      const on = circle.limits.nominal;
      const apart = chord(count, on);
      if (apart <= nominal) return refused(say`${count} holes of ${diameter(nominal)} run into each other on ${diameter(on)}`);
      const [hole] = boltCircle(count, on, turn);
      return {
        diameter: limits,
        width: on,
        count,
        angle: turn,
        ...(second !== undefined && { depth: readLength(second, units)?.value ?? 0 }),
        says: say`${count} holes ${diameter(nominal)} on ${diameter(on)}: ${length(apart, 0.001)} from one to the next${hole ? say`; the first at x ${length(hole.x, 0.001)}, y ${length(hole.y, 0.001)}` : []}`,
        source: 'bolt-circle: x = r cos, y = r sin; chord = D sin(180 / n)',
      };
    }
    default:
      return refused(say`not understood`);
  }
}

/** '' takes the key of the row's own size; '6 x 3.5' is width x depth. */
function keywayOf(text: string, units: Units, across: number, row: Feature | undefined, long: number | undefined): Understood | Refused {
  if (long === undefined) return refused(say`a keyway wants its length`);
  const inside = row !== undefined && row.side !== 'outside';
  const [w, d] = text.split(/\s*[xX×]\s*/).map((part) => readLength(part, units)?.value);
  const listed = keywayFor(across);
  if (w === undefined && !listed.ok) return refused(listed.says);
  const width = w ?? (listed.ok ? listed.width : 0);
  const depth = d ?? (listed.ok && (w === undefined || w === listed.width) ? (inside ? listed.depthInHub : listed.depthInShaft) : undefined);
  if (depth === undefined) return refused(say`a keyway ${length(width)} wide wants its depth too: ${length(width)} x 3`);
  if (width >= across || depth >= across / 2)
    return refused(say`a keyway of ${length(width)} by ${length(depth)} is too large for ${diameter(across)}`);
  const left = inside ? across + depth : across - depth;
  return {
    diameter: exact(tidy(left)),
    width,
    depth,
    long,
    says: say`${length(width)} wide, ${length(depth)} deep, ${length(left)} from its floor to the far side${w === undefined ? say` (key ${length(width)} x ${length(listed.ok ? listed.height : 0)})` : []}`,
    source: w === undefined ? 'DIN 6885-1, from memory' : 'drawing',
  };
}
