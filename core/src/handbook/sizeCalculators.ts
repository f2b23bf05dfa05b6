import { diameter, length, MM_PER_INCH, nearestFraction, parseLength, ratio, roundTo, say, writeExact } from '../quantity';
import {
  drillNamed,
  fit,
  type Fit,
  fitHabits,
  generalAngleTolerance,
  generalEdgeTolerance,
  generalTolerance,
  type Intent,
  nearestDrills,
  type SizeLimits,
  sizeLimits,
  suggestFit,
} from '../standards';
import { aLength, aLengthOrNone, aSize, calculator, oneOf } from './fields';
import { zonesOf } from './figures';
import { fig } from './formulas';
import { dim, line, type Sketch } from './sketch';
import type { Field, Row } from './types';

const FINE = 0.001;
const ISO = 'ISO 286-1 and -2:2010, from memory';
const B41 = 'ANSI B4.1-1967, from memory, medium confidence';

export const limitRows = (
  { nominal, max, min }: SizeLimits,
  words: string,
  source: string,
  is: 'diameter' | 'length' = 'diameter',
): readonly Row[] => [
  { label: `${words}largest`, value: fig(is, 'tableLimit', { basic: nominal, deviation: max - nominal }, { step: FINE, source }) },
  { label: `${words}smallest`, value: fig(is, 'tableLimit', { basic: nominal, deviation: min - nominal }, { step: FINE, source }) },
];

const isClass = (text: string) => /[A-Za-z]{1,2}\d{1,2}(?:\s*in)?$/.test(text);
/** The letters of a class say whether it is of a hole. */
const isHole = (text: string) => /[A-Z]{1,2}\d{1,2}(?:\s*in)?$/.test(text);

const size = calculator({
  id: 'sizes',
  group: 'Sizes and fits',
  title: 'Limits of a size',
  words: 'tolerance limits iso 286 h6 H7 js7 deviation',
  fields: { d: aSize('Size and tolerance', '25 h6') },
  answer: ({ d }) => {
    const read = sizeLimits(d);
    if (!read.ok) return { ...read, at: 'd' };
    const { max, min, nominal } = read;
    // a class is of a diameter; with plain limits it may be any size
    const is = isClass(d) ? 'diameter' : 'length';
    return {
      ok: true,
      rows: [
        ...limitRows(read, '', isClass(d) ? ISO : 'as typed', is),
        { label: 'middle', value: fig(is, 'middle', { max, min }, { step: FINE }) },
        { label: 'tolerance', value: fig('length', 'width', { max, min }, { step: FINE }) },
      ],
      sketch: zonesOf(nominal, [{ name: d.replace(/^[\d.,/ -]+/, ''), max, min, as: isHole(d) ? 'hole zone' : 'shaft zone' }]),
      uses: [{ text: d, words: d }],
      source: isClass(d) ? ISO : 'arithmetic',
    };
  },
});

const fitRows = ({ hole, shaft, clearance, kind }: Fit): readonly Row[] => {
  const gap = (label: string, h: number, s: number): Row =>
    h - s < 0
      ? { label: `${label} interference`, value: fig('length', 'interference', { shaft: s, hole: h }, { step: FINE }) }
      : { label: `${label} clearance`, value: fig('length', 'clearance', { hole: h, shaft: s }, { step: FINE }) };
  const [loose, tight] = [
    gap(clearance.max < 0 ? 'least' : 'most', hole.max, shaft.min),
    gap(clearance.min < 0 ? 'most' : 'least', hole.min, shaft.max),
  ];
  return [...(kind === 'interference' ? [tight, loose] : [loose, tight]), { label: 'kind', says: say`${kind} fit` }];
};

const fitSketch = ({ hole, shaft }: Fit): Sketch =>
  zonesOf(hole.nominal, [
    { name: 'hole', max: hole.max, min: hole.min, as: 'hole zone' },
    { name: 'shaft', max: shaft.max, min: shaft.min, as: 'shaft zone' },
  ]);

const fitEntry = calculator({
  id: 'fits',
  group: 'Sizes and fits',
  title: 'Fit of a hole and a shaft',
  words: 'clearance interference transition H7/g6 RC LC LT LN FN ansi b4.1 iso 286',
  fields: { d: aSize('Fit', '25 H7/g6'), m: aLengthOrNone('Hole as measured, if it is there') },
  answer: ({ d, m }) => {
    const read = fit(d);
    if (!read.ok) return { ...read, at: 'd' };
    const source = /[A-Z]{2}\s?\d+$/i.test(d) && !d.includes('/') ? B41 : ISO;
    const { hole, shaft, clearance } = read;
    const classes = /^(.*?)\s*([A-Z]{1,2}\d+)\s*[/ ]\s*([a-z]{1,2}\d+)(.*)$/.exec(d);
    const unit = classes?.[4] ?? '';
    return {
      ok: true,
      rows: [
        ...fitRows(read),
        ...limitRows(hole, 'hole, ', source),
        ...limitRows(shaft, 'shaft, ', source),
        ...(m === undefined
          ? []
          : ([
              { label: 'shaft to this hole, largest', value: fig('diameter', 'shaftForHole', { hole: m, clearance: clearance.min }, { step: FINE }) },
              {
                label: 'shaft to this hole, smallest',
                value: fig('diameter', 'shaftForHole', { hole: m, clearance: clearance.max }, { step: FINE }),
              },
            ] satisfies Row[])),
      ],
      ...(m !== undefined &&
        (m > hole.max || m < hole.min) && { remarks: [say`the hole as measured is outside its limits; the shaft follows it, the fit stays`] }),
      sketch: fitSketch(read),
      ...(classes && {
        uses: [
          { text: `${classes[1] ?? ''} ${classes[3] ?? ''}${unit}`, words: `shaft ${classes[1] ?? ''} ${classes[3] ?? ''}` },
          { text: `${classes[1] ?? ''} ${classes[2] ?? ''}${unit}`, words: `hole ${classes[1] ?? ''} ${classes[2] ?? ''}` },
        ],
      }),
      source,
    };
  },
});

const intents = Object.entries(fitHabits).map(([id, { words }]) => [id as Intent, words] as const);

const choose = calculator({
  id: 'choose-fit',
  group: 'Sizes and fits',
  title: 'Fit for what it must do',
  words: 'suggest running sliding location press shrink bearing seat',
  fields: { for: oneOf('It must', intents), d: aLength('Size', '25') },
  answer: ({ for: intent, d }) => {
    const nominal = roundTo(d, 0.0001);
    const read = suggestFit(intent, nominal);
    if (!read.ok) return { ...read, at: 'd' };
    const seat = read.fit ? undefined : sizeLimits(read.text);
    const [, hole, shaft] = /([A-Z]+\d+)?\/?([a-z]+\d+)?$/.exec(read.text) ?? [];
    return {
      ok: true,
      rows: [
        { label: 'take', says: say`${read.text}` },
        ...(read.fit ? [...fitRows(read.fit), ...limitRows(read.fit.hole, 'hole, ', ISO), ...limitRows(read.fit.shaft, 'shaft, ', ISO)] : []),
        ...(seat?.ok ? limitRows(seat, '', ISO) : []),
      ],
      remarks: [read.why, ...(seat ? [say`the ring of the bearing has limits of its own, not in this table`] : [])],
      ...(read.fit && { sketch: fitSketch(read.fit) }),
      ...(seat?.ok && {
        sketch: zonesOf(nominal, [{ name: hole ?? shaft ?? '', max: seat.max, min: seat.min, as: hole === undefined ? 'shaft zone' : 'hole zone' }]),
      }),
      uses: [
        ...(shaft === undefined ? [] : [{ text: `${String(nominal)} ${shaft}`, words: `shaft ${shaft}` }]),
        ...(hole === undefined ? [] : [{ text: `${String(nominal)} ${hole}`, words: `hole ${hole}` }]),
      ],
      source: 'ISO 286 preferred fits; bearing seats common practice; from memory',
    };
  },
});

const general = calculator({
  id: 'general-tolerances',
  group: 'Sizes and fits',
  title: 'Size without a tolerance',
  words: 'iso 2768 general tolerance untoleranced medium fine coarse',
  fields: {
    of: oneOf('Of a', [
      ['size', 'length or diameter'],
      ['edge', 'chamfer or outside radius'],
      ['angle', 'angle, by its shorter leg'],
    ]),
    d: aLength('Size', '40'),
    class: oneOf('Class', [
      ['m', 'm, medium'],
      ['f', 'f, fine'],
      ['c', 'c, coarse'],
      ['v', 'v, very coarse'],
    ]),
  },
  answer: ({ of, d, class: letter }) => {
    const source = 'ISO 2768-1:1989, from memory';
    const value = (of === 'size' ? generalTolerance : of === 'edge' ? generalEdgeTolerance : generalAngleTolerance)(d, letter);
    if (value === undefined)
      return {
        ok: false,
        at: 'd',
        says:
          d < 0.5
            ? say`under 0.5 mm the standard wants the deviation written at the size`
            : say`${length(d)} in class ${letter} is not in this table`,
      };
    if (of === 'angle')
      return { ok: true, rows: [{ label: 'plus and minus', value: fig('angle', 'asNumber', { value }, { step: 0.01, source }) }], source };
    return {
      ok: true,
      rows: [
        { label: 'plus and minus', value: fig('length', 'asTable', { value }, { source, step: 0.01 }) },
        ...limitRows({ nominal: d, max: d + value, min: d - value }, '', source, 'length'),
      ],
      sketch: zonesOf(d, [{ name: letter, max: d + value, min: d - value, as: 'shaft zone' }]),
      source,
    };
  },
});

/** A length or the name of a drill, mm. */
const aNamedLength = (label: string, start: string): Field<number> => ({
  label,
  kind: 'length',
  start,
  read: (text, units) => {
    const drill = /^(#|no|letter)/i.test(text.trim()) ? drillNamed(text) : undefined;
    if (drill) return { ok: true, value: drill.diameter };
    const read = parseLength(text, units);
    return read.ok ? read : { ok: false, says: read.problems[0]?.says ?? [] };
  },
});

const convert = calculator({
  id: 'lengths',
  group: 'Sizes and fits',
  title: 'Inch, millimetre, fraction, drill',
  words: 'convert decimal fraction thousandths number letter drill nearest',
  fields: { d: aNamedLength('Length, fraction or drill', '13/16') },
  answer: ({ d }) => {
    const inch = d / MM_PER_INCH;
    const sixtyFourth = Math.max(1, Math.round(inch * 64));
    const fraction = nearestFraction(sixtyFourth / 64) ?? '';
    const off = inch - sixtyFourth / 64;
    return {
      ok: true,
      rows: [
        { label: 'length', value: fig('length', 'asTyped', { value: d }, { step: FINE }) },
        { label: 'millimetres', says: say`${writeExact(d, 'mm')} mm` },
        { label: 'inches', says: say`${writeExact(d, 'in')} in` },
        {
          label: 'nearest 1/64',
          says: say`${fraction} in${Math.abs(off) < 1e-7 ? ', exactly' : say` ${off > 0 ? '+' : '-'} ${ratio(Math.abs(off), 0.0001)}`}`,
        },
      ],
      table: {
        head: ['drills near it', 'size', 'off'],
        rows: nearestDrills(d).map((drill) => [
          say`${drill.name}`,
          fig('length', 'asTable', { value: drill.diameter }, { step: FINE, source: 'drill tables, from memory' }),
          fig('length', 'offDrill', { drill: drill.diameter, size: d }, { step: FINE }),
        ]),
      },
      sketch: rulers(d),
      source: 'one inch is 25.4 mm exactly; drill tables from memory',
    };
  },
});

/** The length on two rules: sixteenths above, millimetres below. */
function rulers(d: number): Sketch {
  const span = Math.max(d * 1.15, 4);
  const step = span > 400 ? 50 : span > 120 ? 10 : span > 60 ? 5 : 1;
  const sixteenth = (span > 120 ? 16 : span > 60 ? 4 : 1) * (MM_PER_INCH / 16);
  const ticks = (by: number, up: 1 | -1) =>
    Array.from({ length: Math.floor(span / by) + 1 }, (_, i) => {
      const tall = span * (i % 5 === 0 || (up > 0 && i % 4 === 0) ? 0.035 : 0.02);
      return line('thin', [i * by, 0], [i * by, up * tall]);
    });
  return {
    about: 'the length against two rules, inches above, millimetres below',
    shapes: [
      line('ink', [0, 0], [span, 0]),
      ...ticks(sixteenth, 1),
      ...ticks(step, -1),
      dim([0, span * 0.05], [d, span * 0.05], 16, say`${diameter(d, FINE)}`),
    ],
  };
}

export const sizeCalculators = [size, fitEntry, choose, general, convert];
