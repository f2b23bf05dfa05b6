import { say } from '../quantity';
import { centreFor, centreNamed, doesItPass, drillNamed, type DrillSet, nearestDrills, screwHoles } from '../standards';
import { aLength, aLengthOrNone, calculator, oneOf, someWords } from './fields';
import { centreOf, pointOf, seatOf } from './figures';
import { fig } from './formulas';
import type { Row } from './types';

const FINE = 0.001;
const TABLE = 'drill tables, from memory';

const drills = calculator({
  id: 'drills',
  group: 'Holes and grooves',
  title: 'Drill by name or size',
  words: 'number letter fraction metric drill size chart',
  fields: {
    d: someWords('Drill or size', '#7'),
    sets: oneOf('Nearest among', [
      ['all', 'all drills'],
      ['metric', 'metric'],
      ['number', 'numbers'],
      ['letter', 'letters'],
      ['fraction', 'fractions'],
    ]),
  },
  answer: ({ d, sets }) => {
    const named = drillNamed(d) ?? drillNamed(`letter ${d}`) ?? drillNamed(`#${d}`.replace(/^#(?=.*[./"a-z])/i, ''));
    const size = named?.diameter ?? sizeOf(d);
    if (size === undefined)
      return {
        ok: false,
        at: 'd',
        says: say`“${d}” is no drill and no size; write #7, letter F, 13/64 or 5.1`,
        nearest: ['#7', 'letter F', '13/64', '5.1'],
      };
    const among: readonly DrillSet[] = sets === 'all' ? ['number', 'letter', 'fraction', 'metric'] : [sets];
    return {
      ok: true,
      rows: [
        {
          label: named ? named.name : 'size',
          value: fig('diameter', 'asTable', { value: size }, { step: FINE, source: named ? TABLE : 'as typed' }),
        },
      ],
      table: {
        head: ['drill', 'size', 'off'],
        rows: nearestDrills(size, among).map((drill) => [
          say`${drill.name}`,
          fig('length', 'asTable', { value: drill.diameter }, { step: FINE, source: TABLE }),
          fig('length', 'offDrill', { drill: drill.diameter, size }, { step: FINE }),
        ]),
      },
      sketch: pointOf(size, 118, size),
      uses: named ? [{ text: named.set === 'metric' ? `${named.name} mm` : named.name, words: named.name }] : [],
      source: TABLE,
    };
  },
});

const sizeOf = (text: string): number | undefined => {
  const read = aLength('', '').read(text, 'mm');
  return read.ok ? read.value : undefined;
};

const points = calculator({
  id: 'drill-points',
  group: 'Holes and grooves',
  title: 'Depth of a drill’s point',
  words: 'cone 118 135 point depth blind hole',
  fields: {
    d: aLength('Drill', '10'),
    angle: oneOf('Point', [
      ['118', '118°'],
      ['135', '135°'],
      ['130', '130°'],
      ['140', '140°'],
      ['90', '90°'],
      ['60', '60°'],
      ['180', 'flat'],
    ]),
    depth: aLength('Full depth wanted', '20'),
  },
  answer: ({ d, angle, depth }) => ({
    ok: true,
    rows: [
      { label: 'to the tip', value: fig('length', 'drillDepth', { depth, d, half: Number(angle) / 2 }, { step: 0.01 }) },
      { label: 'of it the cone', value: fig('length', 'cone', { d, angle: Number(angle) }, { step: 0.01 }) },
    ],
    sketch: pointOf(d, Number(angle), depth),
    source: 'geometry',
  }),
});

const screws = calculator({
  id: 'screw-holes',
  group: 'Holes and grooves',
  title: 'Hole and seat for a screw',
  words: 'clearance hole counterbore countersink iso 273 socket head cap screw passes',
  fields: { d: someWords('Screw', 'M8'), hole: aLengthOrNone('Does it pass this hole') },
  answer: ({ d, hole }) => {
    const read = screwHoles(d);
    if (!read.ok) return { ...read, at: 'd' };
    const { close, normal, free, cap, flat, source } = read;
    const passes = hole === undefined ? undefined : doesItPass(d, hole);
    const holes = (
      [
        ['close', close],
        ['normal', normal],
        ['free', free],
      ] as const
    ).flatMap(([words, found]): readonly Row[] =>
      found
        ? [
            {
              label: `${words} hole`,
              value: fig('diameter', 'asTable', { value: found.diameter }, { step: 0.01, source }),
              after: say`${found.drill}`,
            },
          ]
        : [],
    );
    const one = (label: string, value: number) => ({ label, value: fig('diameter', 'asTable', { value }, { step: 0.01, source }) }) satisfies Row;
    if (holes.length === 0) return { ok: false, at: 'd', says: say`${read.thread.designation} is not in this table` };
    const through = normal?.diameter ?? read.thread.nominal;
    return {
      ok: true,
      rows: [
        ...holes,
        ...(cap
          ? [
              one('cap head', cap.head),
              { label: 'head height', value: fig('length', 'asTable', { value: cap.height ?? 0 }, { step: 0.01, source }) },
              one('counterbore', cap.seat),
            ]
          : []),
        ...(flat ? [one(`countersink ${String(flat.angle)}°`, flat.seat)] : []),
      ],
      remarks: [
        ...(passes?.ok ? [passes.says] : []),
        ...(cap ? [] : [say`the cap head of this size is not in this table`]),
        ...(flat ? [] : [say`the countersunk head of this size is not in this table`]),
      ],
      ...(passes?.ok === true && !passes.passes && { cautions: [say`drill first, or take another screw`] }),
      ...(cap
        ? { sketch: seatOf(through, cap.seat, cap.height ?? 0, null) }
        : flat
          ? { sketch: seatOf(through, flat.seat, (flat.seat - through) / 2, flat.angle) }
          : {}),
      uses: normal ? [{ text: /^[\d.]+$/.test(normal.drill) ? `${normal.drill} mm` : normal.drill, words: normal.drill }] : [],
      source,
    };
  },
});

const countersinks = calculator({
  id: 'countersinks',
  group: 'Holes and grooves',
  title: 'Depth of a countersink',
  words: 'chamfer screw head angle 82 90 100 60 mouth',
  fields: {
    mouth: aLength('Mouth', '12'),
    hole: aLength('Hole', '6.6'),
    angle: oneOf('Angle', [
      ['90', '90°'],
      ['82', '82°'],
      ['100', '100°'],
      ['60', '60°'],
      ['120', '120°'],
    ]),
  },
  answer: ({ mouth, hole, angle }) => {
    if (mouth < hole) return { ok: false, at: 'mouth', says: say`the mouth must be larger than the hole` };
    const depth = fig('length', 'countersink', { mouth, hole, angle: Number(angle) }, { step: 0.01 });
    return {
      ok: true,
      rows: [{ label: 'feed in from the edge', value: depth }],
      sketch: seatOf(hole, mouth, depth.value, Number(angle)),
      source: 'geometry',
    };
  },
});

const centres = calculator({
  id: 'centres',
  group: 'Holes and grooves',
  title: 'Centre holes and centre drills',
  words: 'din 332 din 333 asme centre drill 60 degree A B',
  fields: { d: someWords('Centre', 'A 2.5'), bar: aLengthOrNone('or for a bar of') },
  answer: ({ d, bar }) => {
    const read = centreNamed(bar === undefined ? d : `A ${String(centreFor(bar).pilot)}`);
    if (!read.ok) return { ...read, at: 'd' };
    const { pilot, mouth, guard, depth, shank, source } = read;
    const one = (label: string, value: number | null, is: 'diameter' | 'length'): readonly Row[] =>
      value === null ? [] : [{ label, value: fig(is, 'asTable', { value }, { step: 0.01, source }) }];
    return {
      ok: true,
      rows: [
        { label: 'take', says: say`${read.name}` },
        ...one('pilot', pilot, 'diameter'),
        ...one('mouth, 60°', mouth, 'diameter'),
        ...one('guard, 120°', guard, 'diameter'),
        ...one('depth, least', depth, 'length'),
        ...one('shank of the drill', shank, 'diameter'),
      ],
      remarks: [
        ...(bar === undefined ? [] : [say`chosen by the bar: mouth at most 0.45 of it, common practice`]),
        say`a centre hole needs the drawing’s leave, or spare length to cut it off afterwards`,
        ...(mouth === null ? [say`the mouth is as deep as it is drilled; form R is not in this table`] : []),
      ],
      ...(mouth !== null && { sketch: centreOf(pilot, mouth, depth ?? mouth, guard) }),
      source,
    };
  },
});

export const holeCalculators = [drills, points, screws, countersinks, centres];
