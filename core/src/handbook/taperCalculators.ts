import { length, roundTo, say, writeExact } from '../quantity';
import { namedTaper, taper, type Taper, type TaperKnown } from '../standards';
import { aLength, aLengthOrNone, aNumberOrNone, calculator, someWords } from './fields';
import { coneOf } from './figures';
import { fig } from './formulas';
import { angleOf, area, circle, dim, line, polar } from './sketch';
import type { Row } from './types';

const FINE = 0.001;

function shapeRows({ slope, includedAngle }: Taper): readonly Row[] {
  return [
    { label: 'compound set to', value: fig('angle', 'setting', { slope }, { step: FINE }), after: say`${minutes(includedAngle / 2)}` },
    { label: 'included angle', value: fig('angle', 'included', { slope }, { step: FINE }) },
    { label: 'one in', value: fig('ratio', 'oneIn', { slope }, { step: FINE }) },
    { label: 'inches to the foot', value: fig('ratio', 'perFoot', { slope }, { step: 0.00001 }) },
  ];
}

/** Degrees as degrees, minutes and seconds. */
function minutes(degrees: number): string {
  const seconds = Math.round(degrees * 3600);
  return `${String(Math.floor(seconds / 3600))}° ${String(Math.floor((seconds % 3600) / 60))}′ ${String(seconds % 60)}″`;
}

const tapers = calculator({
  id: 'tapers',
  group: 'Tapers',
  title: 'Taper from what is known',
  words: 'cone angle taper per foot set-over compound setting offset',
  fields: {
    large: aLengthOrNone('Large end', '20'),
    small: aLengthOrNone('Small end', '16'),
    l: aLengthOrNone('Length', '40'),
    angle: aNumberOrNone('Included angle', { from: 0.01, to: 170 }, 'degrees'),
    perFoot: aNumberOrNone('Taper per foot', { from: 0.001, to: 24 }, 'in'),
    ratio: aNumberOrNone('One in', { from: 0.3, to: 1000 }),
    between: aLengthOrNone('Whole length between centres', '120'),
    left: aLengthOrNone('Still proud, on diameter'),
  },
  answer: ({ large, small, l, angle, perFoot, ratio, between, left }) => {
    const shape = [angle, perFoot, ratio].filter((v) => v !== undefined).length;
    if (shape > 1) return { ok: false, at: 'ratio', says: say`angle, taper per foot and ratio say the same: keep one of them` };
    if (shape === 1 && large !== undefined && small !== undefined && l !== undefined)
      return { ok: false, at: 'l', says: say`both ends, the length and a slope are one too many: clear one of them` };
    const known: TaperKnown = {
      ...(large !== undefined && { large }),
      ...(small !== undefined && { small }),
      ...(l !== undefined && { length: l }),
      ...(angle !== undefined && { includedAngle: angle }),
      ...(perFoot !== undefined && { perFoot }),
      ...(ratio !== undefined && { ratio }),
    };
    const read = taper(known);
    if (!read.ok) return { ...read, at: large !== undefined && small !== undefined && large <= small ? 'small' : 'l' };
    const { slope } = read;
    const setting = (Math.atan(slope / 2) * 180) / Math.PI;
    const end = (label: string, value: number | null, typed: number | undefined, other: number | undefined, sign: 1 | -1): readonly Row[] =>
      value !== null && typed === undefined && other !== undefined && l !== undefined
        ? [{ label, value: fig('diameter', 'endOfTaper', { other, slope: sign * slope, l }, { step: FINE }) }]
        : [];
    return {
      ok: true,
      rows: [
        ...shapeRows(read),
        ...end('large end', read.large, large, small, 1),
        ...end('small end', read.small, small, large, -1),
        ...(l === undefined && large !== undefined && small !== undefined
          ? [{ label: 'length', value: fig('length', 'lengthOfTaper', { large, small, slope }, { step: 0.01 }) }]
          : []),
        ...(read.length === null
          ? []
          : [{ label: 'travel of the compound', value: fig('length', 'travel', { l: read.length, setting }, { step: 0.01 }) }]),
        ...(between === undefined ? [] : [{ label: 'tailstock set over', value: fig('length', 'setOver', { L: between, slope }, { step: FINE }) }]),
        ...(left === undefined ? [] : [{ label: 'still to go in', value: fig('length', 'goIn', { left, slope }, { step: 0.01 }) }]),
      ],
      remarks: [
        say`tool exactly at centre height, or angle and size are both wrong`,
        ...(between === undefined ? [] : [say`set the tailstock back after, and prove it with a test cut`]),
      ],
      ...(read.length !== null &&
        read.length > 50 && { cautions: [say`many compound slides have 50 to 75 mm of travel: ${length(read.length)} may need another way`] }),
      ...(read.large !== null && read.small !== null && read.length !== null && { sketch: coneOf(read.large, read.small, read.length) }),
      uses:
        read.large !== null && read.small !== null
          ? [`${num(read.small)} > ${num(read.large)} mm`, `${num(read.large)} > ${num(read.small)} mm`].map((text) => ({ text, words: text }))
          : [],
      source: 'geometry',
    };
  },
});

const num = (value: number) => writeExact(roundTo(value, 0.001), 'mm');

const named = calculator({
  id: 'named-tapers',
  group: 'Tapers',
  title: 'Taper by its name',
  words: 'morse jarno brown sharpe jacobs 7/24 metric er collet seat',
  fields: {
    d: someWords('Taper', 'Morse 2'),
    between: aLengthOrNone('Whole length between centres'),
    left: aLengthOrNone('Still proud, on diameter'),
  },
  answer: ({ d, between, left }) => {
    const read = namedTaper(d);
    if (!read.ok) return { ...read, at: 'd', nearest: ['Morse 2', '7/24 40', 'Jarno 5', 'Jacobs 33', 'B&S 9', 'metric 80', 'ER 32'] };
    const source = 'ASME B5.10, ISO 296, ISO 297, DIN 6499, handbooks; from memory';
    const { large, small, length: l, slope } = read;
    const one = (label: string, value: number | null, is: 'diameter' | 'length'): readonly Row[] =>
      value === null ? [] : [{ label, value: fig(is, 'asTable', { value }, { step: FINE, source }) }];
    return {
      ok: true,
      rows: [
        ...shapeRows(read),
        ...one('large end', large, 'diameter'),
        ...one('small end', small, 'diameter'),
        ...one('length of the plug', l, 'length'),
        ...(between === undefined ? [] : [{ label: 'tailstock set over', value: fig('length', 'setOver', { L: between, slope }, { step: FINE }) }]),
        ...(left === undefined ? [] : [{ label: 'still to go in', value: fig('length', 'goIn', { left, slope }, { step: 0.01 }) }]),
      ],
      remarks: [
        say`set it by an indicator against a known taper rather than by the scale; prove by blue before size`,
        ...(large === null && small === null ? [say`its ends are not in this table`] : []),
      ],
      ...(large !== null && small !== null && l !== null
        ? { sketch: coneOf(large, small, l) }
        : {
            sketch: coneOf(
              large ?? (small ?? 20) + slope * 40,
              large === null ? (small ?? 20) : large - slope * Math.min(40, (large * 0.7) / slope),
              large === null ? 40 : Math.min(40, (large * 0.7) / slope),
            ),
          }),
      source,
    };
  },
});

const sine = calculator({
  id: 'sine-bar',
  group: 'Tapers',
  title: 'Sine bar',
  words: 'gauge blocks angle height roll',
  fields: {
    bar: aLength('Centres of the rolls', '100'),
    angle: aNumberOrNone('Angle', { from: 0.001, to: 75 }, 'degrees'),
    height: aLengthOrNone('or height under one roll', '5'),
  },
  answer: ({ bar, angle, height }) => {
    if (angle !== undefined) {
      const found = fig('length', 'sineBar', { bar, angle }, { step: FINE });
      return { ok: true, rows: [{ label: 'height under one roll', value: found }], sketch: sineOf(bar, angle, found.value), source: 'geometry' };
    }
    if (height === undefined) return { ok: false, at: 'angle', says: say`type the angle, or the height` };
    if (height >= bar * 0.97) return { ok: false, at: 'height', says: say`the height must be well under the length of the bar` };
    const found = fig('angle', 'sineBarAngle', { bar, height }, { step: FINE });
    return {
      ok: true,
      rows: [{ label: 'angle', value: found, after: say`${minutes(found.value)}` }],
      sketch: sineOf(bar, found.value, height),
      source: 'geometry',
    };
  },
});

function sineOf(bar: number, angle: number, height: number) {
  const r = bar * 0.06;
  const [a, b] = [[0, 0] as const, polar([0, 0], bar, angle)];
  const up = (p: readonly [number, number], by: number) => polar([p[0], p[1]], by, angle + 90);
  return {
    about: 'the sine bar on its blocks from the side',
    shapes: [
      line('ink' as const, [-bar * 0.2, -r], [bar * 1.15, -r]),
      circle('gauge', [0, 0], r),
      circle('gauge', [b[0], b[1]], r),
      area('metal', up(a, r), up(b, r), up(b, r * 2.6), up(a, r * 2.6)),
      area('mate', [b[0] - r, -r], [b[0] + r, -r], [b[0] + r, b[1] - r], [b[0] - r, b[1] - r]),
      angleOf([0, 0], 0, angle, bar * 0.55, say`${{ is: 'angle', value: angle, step: 0.001 }}`),
      dim([b[0] + r, -r], [b[0] + r, b[1] - r], -16, say`${length(height, FINE)}`),
    ],
  };
}

export const taperCalculators = [tapers, named, sine];
