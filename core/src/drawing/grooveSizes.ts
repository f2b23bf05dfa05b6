import type { Detail } from '../document';
import { diameter, exceeds, length, readLength, say, tidy, type Units } from '../quantity';
import { oRingCords, oRingGroove, ringGroove } from '../standards';
import { anglesOf, exact, lengthOf, refused, type Refused, type Understood } from './detailCells';
import { parseLengthCell, parseSize } from './parseSize';
import type { Limits } from './types';

/** '16', '16 h11' (bottom), 'depth 2', '16 R0.5' (corners), 'round 3' (a half round of that width), 'round 16', 'O-ring 2.62', 'O-ring 2.62 moving'. */
export function grooveOf(
  detail: Detail,
  text: string,
  units: Units,
  across: number,
  inside: boolean,
  rule: (l: Limits) => Limits,
): Understood | Refused {
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
export function ringOf(
  detail: Detail,
  text: string,
  units: Units,
  across: number,
  inside: boolean,
  rule: (l: Limits) => Limits,
): Understood | Refused {
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

/** Outer diameter in its size, width on radius in its length, depth in its cell “at”. */
export function faceGrooveOf(detail: Detail, text: string, units: Units, rule: (l: Limits) => Limits): Understood | Refused {
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
