import { tpiOf } from '../cutting';
import { length, ratio, roundTo, say, tidy, writeExact } from '../quantity';
import {
  type Bounds,
  type DieBlank,
  dieBlank,
  type Drill,
  drillIndex,
  fullThreadOf,
  materialOf,
  tapDrills,
  type Thread,
  threadLimits,
  wires,
} from '../standards';
import { aMaterial, aNumberOrNone, calculator, oneOf, someWords } from './fields';
import { threadForm } from './figures';
import { fig } from './formulas';
import type { Sketch } from './sketch';
import type { Row } from './types';

const FINE = 0.001;

const sources: Readonly<Record<Thread['family'], string>> = {
  metric: 'ISO 965-1:2013, from memory',
  unified: 'ASME B1.1-2003, from memory',
  whitworth: 'BS 84, from memory',
  pipe: 'ISO 228-1, from memory',
  ba: 'BS 93, from memory',
  trapezoidal: 'ISO 2904, from memory',
  acme: 'ASME B1.5, from memory',
};

const rowsOf = (words: string, bounds: Bounds, basic: number | null, source: string): readonly Row[] => {
  const one = (label: string, value: number) =>
    ({
      label,
      value: fig('diameter', 'tableLimit', { basic: basic ?? value, deviation: value - (basic ?? value) }, { step: FINE, source }),
    }) satisfies Row;
  if (bounds.max === null && bounds.min === null)
    return basic === null ? [] : [{ label: `${words}, basic`, value: fig('diameter', 'asTable', { value: basic }, { step: FINE, source }) }];
  return [
    ...(bounds.max === null ? [] : [one(`${words}, largest`, bounds.max)]),
    ...(bounds.min === null ? [] : [one(`${words}, smallest`, bounds.min)]),
  ];
};

const threads = calculator({
  id: 'threads',
  group: 'Threads',
  title: 'Limits of a thread',
  words: 'metric iso 965 unified unc unf whitworth bsw bsf ba pipe acme trapezoidal major minor pitch diameter class 6g 6H 2A 2B',
  fields: { d: someWords('Thread', 'M12x1.5-6g') },
  answer: ({ d }) => {
    const thread = threadLimits(d);
    if (!thread.ok) return { ...thread, at: 'd' };
    const source = sources[thread.family];
    const measured = thread.internal ? undefined : wires(d);
    const sketch = threadForm(thread, measured?.ok ? { wire: measured.best } : {});
    return {
      ok: true,
      rows: [
        ...rowsOf('pitch diameter', thread.pitchDiameter, thread.basic.pitchDiameter, source),
        ...rowsOf('major', thread.major, thread.basic.major, source),
        ...rowsOf('minor', thread.minor, thread.basic.minor, source),
        {
          label: 'pitch',
          value: fig('length', 'asTable', { value: thread.pitch }, { step: FINE, source }),
          after: say`${ratio(tpiOf(thread.pitch))} to the inch`,
        },
        ...(thread.lead === undefined ? [] : [{ label: 'lead', value: fig('length', 'asTable', { value: thread.lead }, { step: FINE, source }) }]),
        ...(thread.engagement
          ? [{ label: 'normal engagement', says: say`${length(thread.engagement.over)} to ${length(thread.engagement.to)}` }]
          : []),
      ],
      remarks: [
        ...(thread.designation === d ? [] : [say`read as ${thread.designation}`]),
        ...(thread.remark ? [thread.remark] : []),
        ...(thread.internal ? [] : [say`the root of the bolt is left free; its form is that of the tool`]),
      ],
      ...(sketch && { sketch }),
      uses: thread.internal ? [] : [{ text: thread.designation, words: thread.designation }],
      source,
    };
  },
});

const everyDrill = (sets: 'all' | 'metric' | 'inch'): readonly Drill[] =>
  (sets === 'metric'
    ? (['metric'] as const)
    : sets === 'inch'
      ? (['number', 'letter', 'fraction'] as const)
      : (['number', 'letter', 'fraction', 'metric'] as const)
  ).flatMap(drillIndex);

/** What a drill cuts over out of the solid, on diameter, mm: under 6 mm, and from there. @source drill-cuts-over, common practice: 0.03 to 0.10, 0.10 to 0.15 */
const SMALL = 6;
const OVER = { small: 0.06, large: 0.12 } as const;

const tap = calculator({
  id: 'tap-drills',
  group: 'Threads',
  title: 'Tap drill',
  words: 'tapping drill hole percentage of thread',
  fields: {
    d: someWords('Thread', 'M10'),
    material: aMaterial(),
    percent: aNumberOrNone('Wanted, if not the usual', { from: 40, to: 100 }, 'percent'),
    sets: oneOf('Drills', [
      ['all', 'all'],
      ['metric', 'metric'],
      ['inch', 'number, letter, fraction'],
    ]),
  },
  answer: ({ d, material, percent, sets }) => {
    const read = tapDrills(d, { drills: everyDrill(sets), material, ...(percent !== undefined && { percent }) });
    if (!read.ok) return { ...read, at: 'd' };
    const [best] = read.drills;
    const { nominal, minor } = read.thread;
    const full = fullThreadOf(read.thread);
    if (!best) return { ok: false, says: say`no drill of these sets leaves between 40 and 110 % of thread` };
    const percentOf = (drill: number) => fig('ratio', 'percentOfThread', { D: nominal, drill, full }, { step: 1 });
    const source = 'DIN 336 and customary lists, from memory; order by tough-tap, common practice';
    const sketch = threadForm(read.thread, { minor: best.diameter });
    // a drill cuts over: the hole that it makes, not the drill, has to lie in the class
    const over = best.diameter < SMALL ? OVER.small : OVER.large;
    const hole = tidy(best.diameter + over);
    const open = minor.max !== null && hole > minor.max;
    const under = open
      ? read.drills.find(
          (drill) =>
            drill.diameter < best.diameter &&
            minor.max !== null &&
            drill.diameter + over <= minor.max &&
            (drill.within === 'in' || drill.within === null),
        )
      : undefined;
    return {
      ok: true,
      rows: [
        { label: 'take', says: say`${best.name}` },
        { label: 'out of the solid it makes about', value: fig('diameter', 'drilledOver', { drill: best.diameter, over }, { step: 0.01 }) },
        { label: 'drill', value: fig('diameter', 'asTable', { value: best.diameter }, { step: FINE, source: 'drill tables, from memory' }) },
        { label: 'thread', value: percentOf(best.diameter), after: say`%` },
        ...rowsOf('minor', minor, null, sources[read.thread.family]),
      ],
      table: {
        head: ['drill', 'size', '% of thread', 'in class'],
        rows: read.drills
          .slice(0, 9)
          .map((drill) => [
            say`${drill.name}${drill.standard ? ' (usual)' : ''}`,
            fig('length', 'asTable', { value: drill.diameter }, { step: FINE, source: 'drill tables, from memory' }),
            percentOf(drill.diameter),
            say`${drill.within === null ? 'no limits here' : { in: 'in', tight: 'too tight', open: 'too open' }[drill.within]}`,
          ]),
      },
      cautions: open
        ? [
            say`drilled over it leaves the class, ${length(minor.max, 0.001)} at the most: ${under ? `${under.name} instead, or after a smaller drill` : 'after a smaller drill, which then leaves little to run over by'}`,
          ]
        : [],
      remarks: [
        ...(best.within === 'in'
          ? []
          : best.within === null
            ? [say`ranked by its share of thread, ${percent ?? 77} %, common practice`]
            : [say`none of these drills lies within the class`]),
        ...(read.thread.remark ? [read.thread.remark] : []),
        say`${materialOf(material).name}: ${materialOf(material).note}`,
      ],
      ...(sketch && { sketch }),
      uses: [{ text: best.set === 'metric' ? `${best.name} mm` : best.name, words: best.name }],
      source,
    };
  },
});

const die = calculator({
  id: 'die-blank',
  group: 'Threads',
  title: 'Blank for a die',
  words: 'die button blank diameter undersize',
  fields: { d: someWords('Thread', 'M10'), material: aMaterial() },
  answer: ({ d, material }) => {
    const read = dieBlank(d, material);
    if (!read.ok) return { ...read, at: 'd' };
    const blank = writeExact(roundTo(read.diameter, 0.01), 'mm');
    return {
      ok: true,
      rows: [
        { label: 'turn the blank to', value: blankFigure(read) },
        {
          label: 'chamfer to below',
          value: fig('diameter', 'asTable', { value: read.chamfer }, { step: 0.01, source: 'common practice: a tenth of the pitch below the root' }),
        },
        ...rowsOf('major', read.thread.major, read.thread.basic.major, sources[read.thread.family]),
      ],
      remarks: [read.why, say`start it square against the tailstock, opened first, then closed to size; its lead leaves 2 to 3 poor threads`],
      ...withSketch(threadForm(read.thread)),
      uses: [{ text: `${blank} mm`, words: `blank ${blank}` }],
      source: 'die, common practice',
    };
  },
});

const blankFigure = ({ thread, under }: DieBlank) => fig('diameter', 'blank', { D: thread.nominal, share: under, P: thread.pitch }, { step: 0.01 });
export const withSketch = (sketch: Sketch | undefined) => (sketch ? { sketch } : {});

export const threadCalculators = [threads, tap, die];
