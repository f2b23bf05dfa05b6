import type { Detail } from '../document';
import { diameter, length, readLength, say, tidy, type Units } from '../quantity';
import { boltCircle, chord, flats, keywayFor } from '../standards';
import { anglesOf, exact, lengthOf, refused, type Refused, type Understood } from './detailCells';
import { parseSize } from './parseSize';
import { readSideHole, sideHoleSaid } from './sideHoles';
import type { Feature, Limits } from './types';

/** Cut elsewhere: noted, drawn, with the numbers that the bench or the mill wants. */
export function besideTheLathe(
  detail: Detail,
  text: string,
  units: Units,
  row: Feature | undefined,
  rule: (l: Limits) => Limits,
): Understood | Refused {
  const across = row?.nearDiameter.nominal ?? 0;
  const count = detail.count ?? 1;
  const long = lengthOf(detail);
  const turn = anglesOf(detail) ?? 0;
  const along = long === undefined ? {} : { long };
  if (detail.kind === 'keyway') return keywayOf(text, units, across, row, long);
  if (detail.kind === 'crossHole' || detail.kind === 'boltCircle') return holeBeside(detail, text, units, across, rule);
  const [first = '', second] = text.split(/\s*[xX×]\s*/);
  const size = parseSize(first, units);
  if (size.kind !== 'diameter') return refused(size.kind === 'unknown' && text !== '' ? size.says : say`its size is missing`);
  const limits = rule(size.limits);
  const { nominal } = limits;
  switch (detail.kind) {
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
    default:
      return refused(say`not understood`);
  }
}

/** A hole across a row, or holes on a circle of an end: plain, reamed, tapped, opened at the mouth. */
function holeBeside(detail: Detail, text: string, units: Units, across: number, rule: (l: Limits) => Limits): Understood | Refused {
  const hole = readSideHole(text, units);
  if ('says' in hole) return refused(hole.says, hole.nearest);
  const limits = hole.thread ? hole.limits : rule(hole.limits);
  const count = detail.count ?? 1;
  const turn = anglesOf(detail) ?? 0;
  // what room it takes: a thread its outside, a mouth its own
  const wide = Math.max(limits.nominal, hole.thread?.nominal ?? 0, hole.head?.diameter ?? 0);
  const made = {
    diameter: limits,
    angle: turn,
    count,
    ...(hole.deep !== undefined && { depth: hole.deep }),
    ...(hole.thread && { thread: hole.thread }),
    ...(hole.reamed && { reamed: hole.reamed }),
    ...(hole.head && { head: hole.head }),
  };
  const said = sideHoleSaid(hole);
  if (detail.kind === 'crossHole') {
    if (wide >= across) return refused(say`a cross hole of ${diameter(wide)} is as wide as its row of ${diameter(across)}`);
    const web = across / 2 - Math.sqrt((across / 2) ** 2 - (wide / 2) ** 2);
    return {
      ...made,
      says: say`${said}${count > 1 ? say`, ${count} equally spaced` : hole.deep === undefined && !hole.thread ? say` through` : []}; it breaks out ${length(web)} below the crown: start it with a stub drill or on a flat`,
      source: 'geometry: r - sqrt(r^2 - (d / 2)^2)',
    };
  }
  const circle = parseSize(detail.at.text, detail.at.units);
  if (circle.kind !== 'diameter') return refused(say`a bolt circle wants the diameter of its circle, in the cell “at”`);
  if (count < 2 || count > 60) return refused(say`how many holes? 2 to 60`);
  const on = circle.limits.nominal;
  const apart = chord(count, on);
  if (apart <= wide) return refused(say`${count} holes of ${diameter(wide)} run into each other on ${diameter(on)}`);
  const [first] = boltCircle(count, on, turn);
  return {
    ...made,
    width: on,
    says: say`${count} holes ${said} on ${diameter(on)}: ${length(apart, 0.001)} from one to the next${first ? say`; the first at x ${length(first.x, 0.001)}, y ${length(first.y, 0.001)}` : []}`,
    source: 'bolt-circle: x = r cos, y = r sin; chord = D sin(180 / n)',
  };
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
