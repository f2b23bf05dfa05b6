import { likelyNominals, unworn } from '../drawing';
import { fromReadings } from '../mechanics';
import { length, say } from '../quantity';
import { type PinClass, pinClasses, pinsProve } from '../standards';
import { aLength, aLengthOrNone, aReading, calculator, lengths, oneOf } from './fields';
import { zonesOf } from './figures';
import { fig } from './formulas';
import { area, circle, dim, label, line, polar, type Shape } from './sketch';

const FINE = 0.001;

const pins = calculator({
  id: 'plug-pins',
  group: 'Measuring',
  title: 'What plug pins prove',
  words: 'go no-go gauge pins minus plus class hole',
  fields: {
    go: aLength('Goes', '6.35'),
    stop: aLength('Does not go', '6.375'),
    sign: oneOf('Pins are', [
      ['minus', 'minus'],
      ['plus', 'plus'],
    ]),
    class: oneOf(
      'Class',
      (Object.keys(pinClasses) as PinClass[]).toReversed().map((c) => [c, c] as const),
    ),
  },
  answer: ({ go, stop, sign, class: of }) => {
    if (stop <= go) return { ok: false, at: 'stop', says: say`the pin that does not go must be the larger` };
    const read = pinsProve(go, stop, sign, of);
    const source = 'classes of ASME B89.1.5 to 0.825 in, from memory';
    return {
      ok: true,
      rows: [
        { label: 'hole, most', value: fig('diameter', 'pinBound', { pin: stop, allows: read.most - stop }, { step: FINE, source }) },
        { label: 'hole, least', value: fig('diameter', 'pinBound', { pin: go, allows: read.least - go }, { step: FINE, source }) },
        { label: 'known within', value: fig('length', 'width', { max: read.most, min: read.least }, { step: FINE }) },
      ],
      remarks: [read.says, say`a pin finds the smallest place only; a waisted or oval hole hides`],
      sketch: zonesOf(go, [{ name: 'hole', max: read.most, min: read.least, as: 'hole zone' }]),
      source: 'gauge-class, common practice',
    };
  },
});

const runout = calculator({
  id: 'runout',
  group: 'Measuring',
  title: 'Runout, centre and offset',
  words: 'tir eccentricity four jaw indicator centring offset packing three-jaw eccentric',
  fields: { tir: aLength('Reading, high to low', '0.1'), e: aLengthOrNone('Offset wanted in a three-jaw'), d: aLength('Diameter gripped', '25') },
  answer: ({ tir, e, d }) => {
    if (e !== undefined && e > d / 2)
      return { ok: false, at: 'e', says: say`an offset of more than half of the diameter does not hold in three jaws` };
    const off = fig('length', 'eccentricity', { tir }, { step: FINE });
    return {
      ok: true,
      rows: [
        { label: 'off centre by', value: off },
        ...(e === undefined ? [] : [{ label: 'packing under one jaw', value: fig('length', 'packing', { e, d }, { step: 0.01 }) }]),
      ],
      remarks: [
        say`to centre in a four-jaw, move half of the difference of opposite readings: ${length(off.value, FINE)}`,
        ...(e === undefined
          ? []
          : [say`packing for jaws that touch in points; wide jaws grip lower: check with an indicator, it should read ${length(2 * e, FINE)}`]),
      ],
      ...(e !== undefined && { cautions: [say`an offset blank is out of balance: slow, and turn it round by hand first`] }),
      sketch: {
        about: 'the work from the end, its centre off the axis, enlarged where it is small',
        shapes: [
          circle('metal', [shown(e ?? off.value, d), 0], d / 2),
          line('chain', [-d * 0.7, 0], [d * 0.7, 0]),
          line('chain', [0, -d * 0.7], [0, d * 0.7]),
          ...jaws(e ?? 0, d),
          dim([0, -d * 0.62], [shown(e ?? off.value, d), -d * 0.62], -12, say`${length(e ?? off.value, FINE)}`),
        ],
      },
      source: 'tir, common practice; geometry',
    };
  },
});

const dialling = calculator({
  id: 'four-jaw',
  group: 'Measuring',
  title: 'Dialling in a four-jaw',
  words: 'independent chuck indicator readings centre tir jaw move',
  fields: {
    r1: aReading('Indicator at jaw 1', '0'),
    r2: aReading('at jaw 2', '0.42'),
    r3: aReading('at jaw 3', '0.1'),
    r4: aReading('at jaw 4', '-0.32'),
  },
  answer: (r) => {
    const off = fig('length', 'offCentre', r, { step: FINE });
    const oval = fig('length', 'outOfRound', r, { step: FINE });
    const pair = (a: 1 | 2, b: 3 | 4) => {
      const [one, other] = [r[`r${a}`], r[`r${b}`]];
      const value = fig('length', 'moveOpposite', { a: one, b: other }, { step: FINE });
      const high = one > other ? a : b;
      return {
        label: `jaws ${String(a)} and ${String(b)}`,
        value,
        after: value.value < 5e-4 ? say`stand right` : say`away from jaw ${high}: loosen ${a + b - high}, tighten ${high}`,
      };
    };
    const { towards1, towards2 } = fromReadings([r.r1, r.r2, r.r3, r.r4]);
    // jaw 1 to the right, 2 above; a piece of 40, its offset drawn so that it is seen
    const grown = off.value === 0 ? 0 : 4 / off.value;
    const at = [towards1 * grown, towards2 * grown] as const;
    return {
      ok: true,
      rows: [
        { label: 'off centre by', value: off },
        { label: 'indicator swings, TIR', value: fig('length', 'swing', { e: off.value }, { step: FINE }) },
        pair(1, 3),
        pair(2, 4),
        { label: 'out of round itself', value: oval },
      ],
      remarks: [
        say`jaws 1 to 4 in the order that they come past the indicator; more is nearer to it; move one pair, then the other, then read all four again`,
        ...(oval.value > 0.005 ? [say`the piece itself is not round: no jaw mends that, dial on a turned place`] : []),
      ],
      cautions: [say`by hand, spindle in neutral, chuck key out; all four jaws tight before power`],
      sketch: {
        about: 'the piece from the tailstock in four jaws, its offset drawn larger',
        shapes: [
          circle('metal', at, 20),
          line('chain', [-32, 0], [32, 0]),
          line('chain', [0, -32], [0, 32]),
          ...[0, 90, 180, 270].map((a, i) => label(polar([0, 0], 36, a), say`${i + 1}`)),
          circle('gauge', at, 1),
        ],
      },
      source: 'tir, common practice: half of the difference of opposite readings',
    };
  },
});

const wobble = calculator({
  id: 'plate-wobble',
  group: 'Measuring',
  title: 'A plate that wobbles',
  words: 'face runout axial swash dial plate disc four-jaw tap true square',
  fields: {
    f1: aReading('Indicator on the face at jaw 1', '0'),
    f2: aReading('at jaw 2', '0.06'),
    f3: aReading('at jaw 3', '0.1'),
    f4: aReading('at jaw 4', '0.04'),
    r: aLength('Indicator from the middle', '40'),
  },
  answer: ({ f1, f2, f3, f4, r }) => {
    const of = { r1: f1, r2: f2, r3: f3, r4: f4 };
    const half = fig('length', 'offCentre', of, { step: FINE });
    const warp = fig('length', 'outOfRound', of, { step: FINE });
    const knock = (a: number, b: number, one: 1 | 2) => {
      const value = fig('length', 'moveOpposite', { a, b }, { step: FINE });
      const high = a > b ? one : one + 2;
      return {
        label: `jaws ${String(one)} and ${String(one + 2)}`,
        value,
        after:
          value.value < 5e-4 ? say`stands right` : say`knock it in at jaw ${high}, or pull it out as much at jaw ${high > 2 ? high - 2 : high + 2}`,
      };
    };
    const tilt = fig('angle', 'tilt', { e: half.value, r }, { step: 0.001 });
    // drawn larger so that it is seen
    const lean = half.value === 0 ? 0 : 4;
    return {
      ok: true,
      rows: [
        { label: 'face swings, TIR', value: fig('length', 'swing', { e: half.value }, { step: FINE }) },
        { label: 'leans by', value: tilt },
        knock(f1, f3, 1),
        knock(f2, f4, 2),
        { label: 'not flat itself by', value: warp },
      ],
      remarks: [
        say`more is nearer to the tailstock; the swing of a face says nothing of its centre: dial the rim as well, then the face again`,
        ...(warp.value > 0.005 ? [say`the face itself is not flat: set it by three points, or skim it`] : []),
      ],
      cautions: [say`spindle in neutral and by hand; a soft hammer, jaws nipped, then all tight and dialled again before power`],
      sketch: {
        about: 'the plate from the side, leaning, drawn larger than it leans',
        shapes: [
          area('metal', [-lean, -30], [6 - lean, -30], [6 + lean, 30], [lean, 30]),
          line('chain', [-16, 0], [24, 0]),
          line('thin', [6 + 4, -34], [6 + 4, 34]),
          label([14, 26], say`${length(2 * half.value, FINE)} TIR`, 'left'),
        ],
      },
      source: 'tir, common practice; geometry',
    };
  },
});

const sample = calculator({
  id: 'sample',
  group: 'Measuring',
  title: 'What a worn piece was made to',
  words: 'sample copy worn nominal identify likely size reverse thread pitch',
  fields: {
    readings: lengths('Readings of one size', '24.93; 24.96; 24.95'),
    side: oneOf('It is', [
      ['outside', 'an outside'],
      ['bore', 'a bore'],
      ['length', 'a length'],
    ]),
    doubt: aLength('Gauge and hand are good to', '0.03'),
    pitch: aLengthOrNone('Pitch, if it is a thread'),
  },
  answer: ({ readings, side, doubt, pitch }) => {
    const found = likelyNominals({ readings, side, doubt, ...(pitch !== undefined && { pitch }) });
    const reading = unworn({ readings, side });
    const [best] = found;
    if (!best)
      return {
        ok: false,
        at: 'doubt',
        says: say`no usual size within three times ${length(doubt, FINE)} of ${length(reading, FINE)}: more readings, or more doubt`,
      };
    const size = (nominal: number) =>
      fig('length', 'asTable', { value: nominal }, { step: FINE, source: 'fractions, millimetres, drill, bearing and thread tables' });
    const off = (nominal: number) => fig('length', 'offDrill', { drill: reading, size: nominal }, { step: FINE });
    return {
      ok: true,
      rows: [
        { label: 'likeliest', says: say`${best.text}` },
        { label: 'that is', value: size(best.nominal) },
        { label: 'the reading is off by', value: off(best.nominal) },
        {
          label: side === 'outside' ? 'least worn, the largest' : side === 'bore' ? 'least worn, the smallest' : 'middle reading',
          value: fig('length', 'asTyped', { value: reading }, { step: FINE }),
        },
      ],
      table: {
        head: ['likely', 'what', 'size', 'reading off by'],
        rows: found.map((f) => [say`${f.text}`, say`${f.what}`, size(f.nominal), off(f.nominal)]),
      },
      remarks: [
        say`measure where it is not worn, in several places; say on the drawing which was chosen. A size is copied to its mate, not to a number, where the mate is at hand`,
      ],
      sketch: zonesOf(best.nominal, [
        { name: 'reading', max: reading + doubt, min: reading - doubt, as: side === 'bore' ? 'hole zone' : 'shaft zone' },
      ]),
      uses: found.slice(0, 3).map((f) => ({ text: f.text, words: f.text })),
      source: 'copy, common practice',
    };
  },
});

/** An offset as drawn: never so small that it is not seen. */
const shown = (e: number, d: number) => Math.max(e, d * 0.03);

/** Three jaws about the axis, the first at the left, packed by the offset. */
function jaws(e: number, d: number): readonly Shape[] {
  if (e === 0) return [];
  const reach = Math.sqrt(d ** 2 / 4 - 0.75 * e ** 2) + e / 2;
  return [180, 60, 300].map((at) => {
    const [a, b, c] = [polar([0, 0], reach, at), polar([0, 0], reach + d * 0.2, at - 9), polar([0, 0], reach + d * 0.2, at + 9)];
    return area('gauge', a, b, c);
  });
}

export const measuringCalculators = [pins, runout, dialling, wobble, sample];
