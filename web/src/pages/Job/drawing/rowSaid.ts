import type { Section } from '@obra/core/document';
import { type Feature, type ListName, parseLengthCell } from '@obra/core/drawing';
import type { Finding } from '@obra/core/finding';
import { type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { sizeSaid } from '../../../fields';

interface Reading {
  readonly row: Section;
  readonly list: ListName;
  readonly last: boolean;
  readonly feature: Feature | undefined;
  readonly check: Finding | undefined;
  readonly rule: Section['size'];
  readonly units: Units;
}

/** What a row says beside its cells, as text. */
export function rowSaid({ row, list, last, feature, check, rule, units }: Reading) {
  const outside = list === 'outside';
  const through = !outside && /^through$/i.test(row.length.text.trim());
  const size = sizeSaid(row.size.text, row.size.units, rule, units, outside ? 'outside' : 'inside', feature);
  const long = lengthSaid(row, through, feature, units);
  return {
    said: size.text,
    short: size.text.startsWith(`${row.size.text.trim()} ${row.size.units} (`) ? '' : (size.text.split(' (')[0] ?? ''),
    bad: size.bad,
    long: long.text,
    longBad: long.bad,
    near: assumedEdge(feature, 'near', units),
    far: outside ? assumedEdge(feature, 'far', units) : last && !through ? 'degrees or flat' : '',
    thread: feature?.form === 'thread',
    usable: feature?.form === 'thread' ? writeWithUnit({ is: 'length', value: feature.usable ?? 0 }, units) : '',
    check: check?.code,
    checkSays: check ? writeSentence(check.says, units) : '',
    severity: check?.severity ?? 'note',
  };
}

/** What is assumed for an edge that is left open: the lead of a thread, its undercut. */
function assumedEdge(feature: Feature | undefined, end: 'near' | 'far', units: Units): string {
  const edge = end === 'near' ? feature?.edgeNear : feature?.edgeFar;
  if (feature?.form !== 'thread' || !edge) return '';
  if (edge.kind === 'threadUndercut') return `DIN 76-${edge.form}`;
  return edge.kind === 'chamfer' ? `${write({ is: 'length', value: edge.along }, units).text} x ${String(edge.degrees)}` : '';
}

function lengthSaid(row: Section, through: boolean, feature: Feature | undefined, units: Units) {
  const one = (v: number) => write({ is: 'length', value: v }, units).text;
  const own = feature ? Math.abs(feature.near - feature.far) : undefined;
  if (through) return { text: own === undefined ? 'through' : `${one(own)} ${units}`, bad: false };
  if (row.length.text.trim() === '') return { text: own === undefined ? '' : `${one(own)} ${units} left for it`, bad: false };
  const long = parseLengthCell(row.length.text, row.length.units);
  if (!long.ok) return { text: writeSentence(long.problems[0]?.says ?? [], units), bad: true };
  const limits = long.value.max === long.value.min ? `${one(long.value.min)} ${units}` : `${one(long.value.min)} to ${one(long.value.max)}`;
  return { text: row.from !== undefined && own !== undefined ? `${limits}; row ${one(own)}` : limits, bad: false };
}
