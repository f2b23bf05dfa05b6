import { length, say } from '../quantity';
import { aLength, aLengthOrNone, aLengthOrZero, aNumber, calculator, oneOf } from './fields';
import { fig } from './formulas';
import { angleOf, area, circle, dim, label, line, type Point, polar } from './sketch';

const FINE = 0.001;
const MOST_STEPS = 60;

const toolHeight = calculator({
  id: 'tool-height',
  group: 'Measuring',
  title: 'Error from the height of the tool',
  words: 'tool above below centre height error diameter taper',
  fields: { d: aLength('Diameter set', '20'), h: aLength('Off centre height', '0.5') },
  answer: ({ d, h }) => {
    if (h >= d / 2) return { ok: false, at: 'h', says: say`so far off centre it does not touch` };
    const error = fig('length', 'heightError', { r: d / 2, h }, { step: FINE });
    return {
      ok: true,
      rows: [
        { label: 'comes out larger by', value: error, after: say`outside, set by a dial that was zeroed at centre height` },
        { label: 'rake and clearance change by', value: fig('angle', 'rakeLost', { r: d / 2, h }, { step: 0.1 }) },
      ],
      remarks: [
        say`a size that is measured and dialled in is right all the same; a taper is hollow, a face keeps a pip of ${length(2 * h, 0.01)}`,
        say`above centre outside the tool rubs, in a bore it digs; parting and slender work want it exactly`,
      ],
      sketch: {
        about: 'the work from the end, the tool off its centre, enlarged',
        shapes: [
          circle('metal', [0, 0], 10),
          line('chain', [-13, 0], [13, 0]),
          line('chain', [0, -13], [0, 13]),
          area('gauge', [Math.sqrt(100 - 9), -3], [20, -3], [20, -7], [Math.sqrt(100 - 9) + 2, -7]),
          line('thin', [0, 0], [Math.sqrt(100 - 9), -3]),
          dim([12, 0], [12, -3], -14, say`${length(h, 0.01)}`),
        ],
      },
      source: 'geometry',
    };
  },
});

const stepOff = calculator({
  id: 'step-off',
  group: 'On the mill or drill',
  title: 'Ball or radius by co-ordinates',
  words: 'step off ball radius coordinates table dial freehand form template fillet round end',
  fields: {
    what: oneOf('Form', [
      ['ball', 'ball or round end'],
      ['corner', 'rounded corner'],
      ['fillet', 'fillet at a shoulder'],
    ]),
    R: aLength('Radius', '10'),
    d: aLengthOrNone('Diameter of the corner or fillet (small one)'),
    step: aLength('Steps along the bed', '0.5'),
    takes: oneOf('Cross dial reads', [
      ['2', 'on radius'],
      ['1', 'on diameter'],
    ]),
    division: aLengthOrZero('Division of the cross dial', '0.02'),
  },
  answer: ({ what, R, d, step, takes, division }) => {
    const reach = what === 'ball' ? (d === undefined ? R : Math.min(2 * R, R + Math.sqrt(Math.max(0, R ** 2 - (d / 2) ** 2)))) : R;
    const count = Math.ceil(reach / step - 1e-9);
    if (count > MOST_STEPS)
      return { ok: false, at: 'step', says: say`${count} steps are more than anybody sets: take them larger, or fewer than ${MOST_STEPS}` };
    const outer = d ?? 2 * R;
    if (what === 'corner' && outer < 2 * R)
      return { ok: false, at: 'd', says: say`a corner of ${length(R)} wants a diameter of ${length(2 * R)} at the least` };
    const from = what === 'ball' ? 2 * R : what === 'corner' ? outer : outer + 2 * R;
    const at = (z: number) =>
      what === 'ball'
        ? fig('diameter', 'ballAt', { R, z }, { step: FINE })
        : what === 'corner'
          ? fig('diameter', 'roundedAt', { d: outer, R, z: Math.min(z, R) }, { step: FINE })
          : fig('diameter', 'filletAt', { small: outer, R, z }, { step: FINE });
    const zs = Array.from({ length: count + 1 }, (_, i) => Math.min(i * step, reach));
    const unit = Math.max(division, 0.001);
    const rows = zs.map((z) => {
      const here = at(z);
      const dial = fig('length', 'dialOf', { from, here: here.value, takes: Number(takes) }, { step: unit >= 0.01 ? 0.001 : 0.0001 });
      return [
        fig('length', 'asNumber', { value: z }, { step: 0.01, source: 'steps as typed' }),
        here,
        dial,
        ...(division > 0 ? [fig('ratio', 'divisionsOf', { dial: dial.value, division }, { step: 0.1 })] : []),
      ];
    });
    const upper: readonly Point[] = Array.from({ length: 41 }, (_, i): Point => {
      const z = (reach * i) / 40;
      return [what === 'fillet' ? z : -z, at(z).value / 2];
    });
    return {
      ok: true,
      rows: [
        { label: 'steps', value: fig('count', 'asNumber', { value: zs.length }, { source: 'reach over step' }) },
        { label: 'stands between steps, most', value: fig('length', 'scallop', { R, s: step }, { step: FINE }), after: say`filed and polished off` },
        {
          label: 'dial is zero at',
          value: fig(
            'diameter',
            'asNumber',
            { value: from },
            { step: 0.01, source: what === 'ball' ? 'twice the radius' : 'the diameter where the form ends' },
          ),
        },
      ],
      table: {
        head: [
          what === 'fillet' ? 'from where it begins' : 'from the end',
          'diameter',
          'cross dial out from there',
          ...(division > 0 ? ['divisions'] : []),
        ],
        rows,
      },
      remarks: [
        say`a tool that is sharp or has a radius of its own well under the steps; come to each setting from the same side; then file to a template, the lathe slow, handle on the file`,
      ],
      sketch: {
        about: 'the form from the side with its steps',
        shapes: [
          area('metal', ...upper, ...upper.toReversed().map(([x, y]): Point => [x, -y])),
          line('chain', [Math.min(...upper.map(([x]) => x)) - R * 0.2, 0], [Math.max(...upper.map(([x]) => x)) + R * 0.2, 0]),
          ...zs
            .slice(0, 40)
            .map((z) => line('thin', [what === 'fillet' ? z : -z, at(z).value / 2], [what === 'fillet' ? z : -z, at(z).value / 2 + R * 0.12])),
        ],
      },
      source: 'geometry',
    };
  },
});

const chordRadius = calculator({
  id: 'chord-radius',
  group: 'Measuring',
  title: 'Radius from a chord',
  words: 'sagitta arc radius measure caliper jaws chord height segment',
  fields: { c: aLength('Chord', '40'), h: aLengthOrNone('Height over it', '5'), R: aLengthOrNone('or radius') },
  answer: ({ c, h, R }) => {
    if (h === undefined && R === undefined) return { ok: false, at: 'h', says: say`the height or the radius is wanted` };
    if (R !== undefined && h === undefined && c > 2 * R)
      return { ok: false, at: 'R', says: say`a chord of ${length(c)} does not fit into that radius` };
    const radius =
      h !== undefined ? fig('length', 'radiusOfChord', { c, h }, { step: FINE }) : fig('length', 'asTyped', { value: R ?? 0 }, { step: FINE });
    const height =
      h !== undefined
        ? fig('length', 'asTyped', { value: h }, { step: FINE })
        : fig('length', 'heightOfChord', { R: radius.value, c }, { step: FINE });
    const r = radius.value;
    const half = (Math.asin(Math.min(1, c / 2 / r)) * 180) / Math.PI;
    const over = height.value > r ? 180 - half : half;
    return {
      ok: true,
      rows: [
        { label: 'radius', value: radius },
        { label: 'diameter', value: fig('diameter', 'onDiameter', { y: r }, { step: FINE }) },
        { label: 'height', value: height },
        ...(height.value <= r ? [{ label: 'arc over the chord', value: fig('length', 'arcOfChord', { R: r, c }, { step: FINE }) }] : []),
      ],
      remarks: [say`a caliper laid on by its jaws: the chord is twice their reach at the depth rod; a hundredth in the height is much in a flat arc`],
      sketch: {
        about: 'the arc over its chord',
        shapes: [
          line('ink', ...Array.from({ length: 61 }, (_, i) => polar([0, -r + height.value], r, 90 + over - (2 * over * i) / 60))),
          line('thin', [-c / 2, 0], [c / 2, 0]),
          dim([-c / 2, 0], [c / 2, 0], -14, say`${length(c, 0.01)}`),
          dim([0, 0], [0, height.value], 14, say`${length(height.value, FINE)}`),
        ],
      },
      source: 'geometry',
    };
  },
});

const known = [
  ['sss', 'three sides'],
  ['sas', 'two sides and the angle between'],
  ['asa', 'a side and two angles'],
  ['ssa', 'two sides and the angle across the first'],
  ['right', 'right angle, two sides at it'],
] as const;

const triangle = calculator({
  id: 'triangles',
  group: 'Measuring',
  title: 'Triangle',
  words: 'right oblique triangle trigonometry sides angles sine cosine',
  fields: {
    known: oneOf('Known', known),
    a: aLength('Side a', '30'),
    b: aLength('Side b', '40'),
    c: aLengthOrNone('Side c', '50'),
    A: aNumber('Angle A, across a', '36.87', { from: 0.001, to: 179.999 }, 'degrees'),
    B: aNumber('Angle B, or that between a and b', '53.13', { from: 0.001, to: 179.999 }, 'degrees'),
  },
  answer: ({ known: how, a, b, c, A, B }) => {
    const side = (of: Parameters<typeof fig>[1], inputs: Parameters<typeof fig>[2]) => fig('length', of, inputs, { step: FINE });
    const angle = (of: Parameters<typeof fig>[1], inputs: Parameters<typeof fig>[2]) => fig('angle', of, inputs, { step: FINE });
    const typed = (value: number) => fig('length', 'asTyped', { value }, { step: FINE });
    const solve = (): readonly [number, number, number] | string => {
      if (how === 'sss')
        return c === undefined
          ? 'side c is wanted'
          : a + b > c && b + c > a && a + c > b
            ? [a, b, c]
            : 'two of these sides together are no longer than the third';
      if (how === 'right') return [a, b, Math.hypot(a, b)];
      if (how === 'sas') return [a, b, side('sideByCosines', { b: a, c: b, A: B }).value];
      if (how === 'asa') {
        if (A + B >= 180) return 'these angles together are 180 degrees or more';
        return [a, side('sideBySines', { a, A, B }).value, side('sideBySines', { a, A, B: 180 - A - B }).value];
      }
      const sine = (b * Math.sin((A * Math.PI) / 180)) / a;
      if (sine > 1) return 'side a is too short to reach';
      const other = (Math.asin(sine) * 180) / Math.PI;
      return [a, b, side('sideBySines', { a, A, B: 180 - A - other }).value];
    };
    const solved = solve();
    if (typeof solved === 'string') return { ok: false, at: how === 'asa' ? 'B' : 'a', says: say`${solved}` };
    const [p, q, r] = solved;
    const [angA, angB, angC] = [
      angle('angleBySides', { a: p, b: q, c: r }),
      angle('angleBySides', { a: q, b: p, c: r }),
      angle('angleBySides', { a: r, b: p, c: q }),
    ];
    const lean = (angA.value * Math.PI) / 180;
    const top: Point = [q * Math.cos(lean), q * Math.sin(lean)];
    return {
      ok: true,
      rows: [
        { label: 'side a', value: typed(p) },
        { label: 'side b', value: typed(q) },
        {
          label: 'side c',
          value:
            how === 'sas' ? side('sideByCosines', { b: p, c: q, A: B }) : how === 'right' ? side('sideByCosines', { b: p, c: q, A: 90 }) : typed(r),
        },
        { label: 'angle A', value: angA },
        { label: 'angle B', value: angB },
        { label: 'angle C', value: angC },
        { label: 'area, mm²', value: fig('ratio', 'triangleArea', { b: q, c: r, A: angA.value }, { step: 0.01 }) },
      ],
      remarks: how === 'ssa' && a < b ? [say`two triangles have these: the other has ${angle('thirdAngle', { A: angB.value, B: 0 })} at B`] : [],
      sketch: {
        about: 'the triangle, c below, A left and B right',
        shapes: [
          area('metal', [0, 0], [r, 0], top),
          angleOf([0, 0], 0, angA.value, r * 0.16, say`A`),
          angleOf([r, 0], 180 - angB.value, 180, r * 0.16, say`B`),
          dim([0, 0], [r, 0], -12, say`c ${length(r, 0.01)}`),
          label([top[0] / 2, top[1] / 2], say`b ${length(q, 0.01)}`, 'left', 6),
          label([(r + top[0]) / 2, top[1] / 2], say`a ${length(p, 0.01)}`, 'right', 6),
        ],
      },
      source: 'rules of sines and cosines',
    };
  },
});

export const copyCalculators = [toolHeight, stepOff, chordRadius, triangle];
