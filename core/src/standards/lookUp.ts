import { diameter, length, nearestFraction, parseLength, say, type Sentence, type Units, writeWithUnit } from '../quantity';
import { drillIndex, drillNamed, nearestDrills } from './drills';
import { fit, sizeLimits } from './fits';
import { screwHoles } from './screws';
import { tapDrills } from './tapDrills';
import { namedTaper } from './tapers';
import type { Bounds, Thread } from './thread';
import { threadLimits } from './threads';
import { wires } from './wires';

export interface TableLine {
  readonly says: Sentence;
  readonly source: string;
}

const FINE = 0.001;

/**
 * What the standards say of a few typed characters: a fit, limits of a size, a thread, a tap drill, a drill, a taper, a length. Empty when
 * the text is none of these. 'M12x1.5', '10-32 tap', '1/4-20 clearance', 'H drill', '25 H7/g6', '25 h6', '#7', '13/16', 'Morse 2'.
 * @param units what a bare length is in
 */
export function lookUp(text: string, units: Units): readonly TableLine[] {
  const t = text.trim();
  if (!/\d|letter|^[a-z] drill$/i.test(t) || t.length > 60) return [];
  const tap = /^(.*\S)\s+tap$/i.exec(t)?.[1];
  if (tap !== undefined) return tapping(tap);
  const clears = /^(.*\S)\s+(?:clearance(?:\s+hole)?|clears?)$/i.exec(t)?.[1];
  if (clears !== undefined) return clearing(clears);
  const drill = /^(.*\S)\s+drill$/i.exec(t)?.[1];
  if (drill !== undefined) return ofDrill(drill, units);
  return [...ofThread(t), ...ofFit(t), ...ofSize(t), ...ofTaper(t), ...ofLength(t, units)];
}

function ofFit(text: string): readonly TableLine[] {
  const read = fit(text);
  if (!read.ok) return [];
  const { hole, shaft, clearance, kind } = read;
  const between =
    kind === 'interference'
      ? say`interference ${length(-clearance.max, FINE)} to ${length(-clearance.min, FINE)}`
      : say`${kind}, ${length(clearance.min, FINE)} to ${length(clearance.max, FINE)}`;
  return [
    {
      says: say`hole ${range(hole)}, shaft ${range(shaft)}: ${between}`,
      source: /[A-Z]{2}\d+$/i.test(text) ? 'ANSI B4.1, from memory' : 'ISO 286-2, from memory',
    },
  ];
}

function ofSize(text: string): readonly TableLine[] {
  const read = sizeLimits(text);
  return read.ok ? [{ says: say`${range(read)}`, source: /[a-z]\d+$/i.test(text) ? 'ISO 286-2, from memory' : 'arithmetic' }] : [];
}

function ofThread(text: string): readonly TableLine[] {
  const read = threadLimits(text);
  if (!read.ok) return [];
  const source = {
    metric: 'ISO 965-1',
    unified: 'ASME B1.1',
    whitworth: 'BS 84',
    pipe: 'ISO 228-1',
    ba: 'BS 93',
    trapezoidal: 'ISO 2904',
    acme: 'ASME B1.5',
  }[read.family];
  const found: TableLine[] = [{ says: say`${read.designation}: ${limitsOf(read)}`, source: `${source}, from memory` }];
  if (read.remark) found.push({ says: read.remark, source });
  const measured = wires(text);
  if (measured.ok && measured.over.max !== null && measured.over.min !== null)
    found.push({
      says: say`over three wires of ${length(measured.wire, FINE)}: ${range({ max: measured.over.max, min: measured.over.min })}`,
      source: 'geometry, lead angle included',
    });
  return [...found, ...tapping(text).slice(0, 1)];
}

function limitsOf({ major, pitchDiameter, minor, basic }: Thread): Sentence {
  const one = (words: string, bounds: Bounds, form: number | null): Sentence =>
    bounds.max !== null && bounds.min !== null
      ? say`${words} ${range({ max: bounds.max, min: bounds.min })}`
      : bounds.max === null && bounds.min === null && form !== null
        ? say`${words} ${length(form, FINE)} basic`
        : [];
  return [one('major', major, basic.major), one('pitch diameter', pitchDiameter, basic.pitchDiameter), one('minor', minor, basic.minor)]
    .filter((s) => s.length > 0)
    .flatMap((s, i) => (i === 0 ? s : [', ', ...s]));
}

function tapping(text: string): readonly TableLine[] {
  const read = tapDrills(text, { drills: (['number', 'letter', 'fraction', 'metric'] as const).flatMap(drillIndex) });
  if (!read.ok) return [];
  const [usual, ...others] = read.drills.toSorted((a, b) => Number(b.standard) - Number(a.standard)).slice(0, 4);
  const one = (d: typeof usual): Sentence => (d ? say`${d.name} (${length(d.diameter, FINE)}, ${Math.round(d.percent)} %)` : []);
  return usual
    ? [
        {
          says: say`tap drill ${one(usual)}; near it ${others.flatMap((d, i) => [...(i === 0 ? [] : [', ']), ...one(d)])}`,
          source: 'DIN 336 and usual lists, from memory',
        },
      ]
    : [];
}

/** Holes that a screw passes through. */
function clearing(text: string): readonly TableLine[] {
  const read = screwHoles(text);
  if (!read.ok) return [];
  const { thread, close, normal, free, source } = read;
  const holes = (
    [
      ['close', close],
      ['normal', normal],
      ['free', free],
    ] as const
  ).flatMap(([words, hole]) =>
    hole ? [say`${words} ${diameter(hole.diameter, FINE)}${/^[\d.]+$/.test(hole.drill) ? '' : ` (${hole.drill})`}`] : [],
  );
  if (holes.length === 0) return [];
  return [
    {
      says: say`clearance holes for ${thread.designation.replace(/-\d+[A-Za-z]+$/, '')}: ${holes.flatMap((h, i) => (i === 0 ? h : [', ', ...h]))}`,
      source,
    },
  ];
}

/** A drill by its name, a letter alone as well: 'H drill', '7 drill', '13/64 drill'. */
function ofDrill(text: string, units: Units): readonly TableLine[] {
  const drill = drillNamed(/^[a-z]$/i.test(text) ? `letter ${text}` : text) ?? (/^\d{1,2}$/.test(text) ? drillNamed(`#${text}`) : undefined);
  if (!drill) return [];
  return [
    {
      says: say`${drill.name}: ${(['mm', 'in'] as const).map((u) => writeWithUnit(length(drill.diameter, FINE), u)).join(', ')}`,
      source: 'drill tables, from memory',
    },
    ...ofLength(writeWithUnit(length(drill.diameter, 0.0001), units), units).slice(1),
  ];
}

function ofTaper(text: string): readonly TableLine[] {
  const read = namedTaper(text);
  if (!read.ok) return [];
  return [
    {
      says: say`${read.name}: compound set to ${{ is: 'angle', value: read.setting, step: 0.01 }}, 1 : ${{ is: 'ratio', value: read.ratio, step: 0.001 }}${read.large === null ? '' : say`, large end ${diameter(read.large, FINE)}`}`,
      source: 'from memory',
    },
  ];
}

function ofLength(text: string, units: Units): readonly TableLine[] {
  const drill = drillNamed(text);
  const read = parseLength(text, units);
  const mm = drill && drill.set !== 'metric' ? drill.diameter : read.ok ? read.value : undefined;
  if (mm === undefined) return [];
  const fraction = nearestFraction(mm / 25.4);
  const near = nearestDrills(mm)
    .filter((d) => Math.abs(d.off) < 0.15)
    .slice(0, 3);
  const both = (['mm', 'in'] as const).map((u) => writeWithUnit(length(mm, FINE), u)).join(', ');
  const found: TableLine[] = [{ says: [fraction === undefined ? both : `${both}, ${fraction} in`], source: 'arithmetic' }];
  const off = (d: (typeof near)[number]): Sentence => (d.off === 0 ? [] : say` (${length(Math.abs(d.off), FINE)} ${d.off > 0 ? 'over' : 'under'})`);
  if (near.length > 0)
    found.push({ says: say`drills: ${near.flatMap((d, i) => [i === 0 ? d.name : `, ${d.name}`, ...off(d)])}`, source: 'drill tables, from memory' });
  return found;
}

const range = ({ max, min }: { readonly max: number; readonly min: number }): Sentence => say`${length(min, FINE)} to ${length(max, FINE)}`;
