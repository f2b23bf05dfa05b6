import { firstPass, threadInfeeds } from '../cutting';
import { length, say } from '../quantity';
import { flankHalf, taperPipe, threadLimits } from '../standards';
import { aLength, aLengthOrNone, aLengthOrZero, aNumber, calculator, oneOf, someWords } from './fields';
import { threadForm } from './figures';
import { fig } from './formulas';
import { angleOf, area, circle, dim, label, line, type Point, polar, type Sketch } from './sketch';
import { withSketch } from './threadCalculators';

const FINE = 0.001;
const rad = (degrees: number) => (degrees * Math.PI) / 180;

const pipe = calculator({
  id: 'taper-pipe',
  group: 'Threads',
  title: 'Taper pipe thread',
  words: 'npt bspt r rc gauge plane 1:16 pipe',
  fields: {
    d: someWords('Thread', 'R 1/2'),
    where: oneOf('It is', [
      ['outside', 'on the pipe'],
      ['inside', 'in the fitting'],
    ]),
    l: aLengthOrNone('Length that is cut'),
  },
  answer: ({ d, where, l }) => {
    const read = taperPipe(d, where);
    if (!read)
      return { ok: false, at: 'd', says: say`“${d}” is no taper pipe thread of this table`, nearest: ['R 1/2', 'Rc 1/2', '1/2 NPT', '3/4 NPT'] };
    const source = /npt/i.test(read.name) ? 'ASME B1.20.1, from memory' : 'ISO 7-1, from memory';
    const small = read.diameter;
    const long = l ?? read.gauge.from * 1.6;
    const far = fig('diameter', 'taperAlong', { small, slope: read.inside ? -read.slope : read.slope, l: long }, { step: FINE });
    return {
      ok: true,
      rows: [
        {
          label: read.inside ? 'across the crests in the mouth' : 'over the crests at the small end',
          value: fig('diameter', 'asTable', { value: small }, { step: FINE, source }),
        },
        { label: 'gauge plane from that end', value: fig('length', 'asTable', { value: read.gauge.from }, { step: 0.01, source }) },
        { label: 'pitch diameter there', value: fig('diameter', 'asTable', { value: read.gauge.pitchDiameter }, { step: FINE, source }) },
        { label: 'pitch', value: fig('length', 'asTable', { value: read.pitch }, { step: 0.0001, source }) },
        { label: 'at the length that is cut', value: far },
        {
          label: 'compound or attachment set to',
          value: fig('angle', 'setting', { slope: read.slope }, { step: FINE }),
          after: say`for the taper; the thread itself is cut square to the axis`,
        },
      ],
      remarks: [say`tried with its ring or plug: a turn or two either way is what the gauge plane allows; sealed in the thread`],
      cautions: [say`pipes under pressure, gas and steam are for those who are licensed for them`],
      sketch: {
        about: `${read.name} from the side, the gauge plane marked`,
        shapes: [
          area('metal', [0, small / 2], [long, far.value / 2], [long, -far.value / 2], [0, -small / 2]),
          line('chain', [-long * 0.1, 0], [long * 1.1, 0]),
          line('thin', [read.gauge.from, small * 0.7], [read.gauge.from, -small * 0.7]),
          dim([0, small * 0.62], [read.gauge.from, small * 0.62], 10, say`${length(read.gauge.from, 0.01)}`),
        ],
      },
      source,
    };
  },
});

const trapezoidal = calculator({
  id: 'trapezoidal',
  group: 'Threads',
  title: 'Trapezoidal and Acme screws',
  words: 'tr acme lead screw vice 30 degrees 29 degrees tool width root',
  fields: { d: someWords('Thread', 'Tr20x4') },
  answer: ({ d }) => {
    const read = threadLimits(d);
    if (!read.ok) return { ...read, at: 'd' };
    if (read.family !== 'trapezoidal' && read.family !== 'acme')
      return { ok: false, at: 'd', says: say`${read.designation} is neither trapezoidal nor Acme`, nearest: ['Tr20x4', '1-5 Acme', 'Tr40x14(P7)'] };
    const { pitch: P, basic, nominal, internal, family, lead = P } = read;
    const { minor } = basic;
    if (minor === null || basic.pitchDiameter === null) return { ok: false, at: 'd', says: say`its form is not in this table` };
    const source = family === 'acme' ? 'ASME B1.5, from memory' : 'ISO 2904, from memory; tolerances of ISO 2903 are not here';
    const clearance = internal ? basic.major - nominal : nominal - minor - P;
    const tip =
      family === 'acme'
        ? fig('length', 'acmeTip', { P, clearance }, { step: FINE })
        : fig('length', 'trapezoidTip', { P, ac: clearance / 2 }, { step: FINE });
    const row = (words: string, { max, min }: { readonly max: number | null; readonly min: number | null }, form: number | null) =>
      max !== null && min !== null
        ? [
            { label: `${words}, largest`, value: fig('diameter', 'asTable', { value: max }, { step: FINE, source }) },
            { label: `${words}, smallest`, value: fig('diameter', 'asTable', { value: min }, { step: FINE, source }) },
          ]
        : form === null
          ? []
          : [{ label: `${words}, basic`, value: fig('diameter', 'asTable', { value: form }, { step: FINE, source }) }];
    return {
      ok: true,
      rows: [
        ...row('major', read.major, basic.major),
        ...row('pitch diameter', read.pitchDiameter, basic.pitchDiameter),
        ...row('minor', read.minor, minor),
        { label: 'depth of the groove, on radius', value: fig('length', 'halfPitch', { P, c: clearance / 2 }, { step: FINE }) },
        { label: 'end of the tool, most', value: tip, after: say`wide at its point` },
        { label: 'lead angle', value: fig('angle', 'leadAngle', { lead, E: basic.pitchDiameter }, { step: 0.01 }) },
      ],
      remarks: [
        ...(read.remark ? [read.remark] : []),
        say`roughed with a narrower tool, then the flanks one after the other by the compound; the nut is bored, cut and tried on the screw`,
      ],
      ...withSketch(threadForm(read)),
      source,
    };
  },
});

const passes = calculator({
  id: 'thread-infeeds',
  group: 'Threads',
  title: 'Infeed pass by pass',
  words: 'infeed list passes compound single point dial spring pass equal area',
  fields: {
    d: someWords('Thread', 'M20x2.5'),
    angle: aNumber('Compound swung to (0: straight in)', '29.5', { from: 0, to: 30 }, 'degrees'),
    depth: aLengthOrNone('Whole depth on radius (empty: by the form)'),
    first: aLengthOrNone('First pass (empty: by the pitch)'),
    springs: aNumber('Spring passes at the end', '2', { from: 0, to: 6, whole: true }),
    division: aLengthOrZero('Division of the dial', '0.02'),
  },
  answer: ({ d, angle, depth, first, springs, division }) => {
    const read = threadLimits(d);
    if (!read.ok) return { ...read, at: 'd' };
    const half = flankHalf(read.family);
    if (angle > half) return { ok: false, at: 'angle', says: say`a form of ${2 * half} degrees is fed at ${half - 0.5} at the most, or straight in` };
    const { pitch: P } = read;
    const { minor, major } = read.basic;
    const k = read.family === 'metric' || read.family === 'unified' ? 0.613 : minor === null ? 0.64 : (major - minor) / 2 / P;
    const straight =
      depth === undefined ? fig('length', 'infeed', { k, P }, { step: FINE }) : fig('length', 'asTyped', { value: depth }, { step: FINE });
    const whole = straight.value / Math.cos(rad(angle));
    const begin = (first ?? firstPass(P)) / Math.cos(rad(angle));
    const cutting = Math.max(3, Math.ceil((whole / begin) ** 2 - 1e-6));
    if (cutting > 80) return { ok: false, at: 'first', says: say`so thin a first pass makes more than 80 passes` };
    const list = threadInfeeds(whole, cutting + springs, springs, division);
    return {
      ok: true,
      rows: [
        { label: 'on the dial, whole', value: fig('length', 'infeedCompound', { k: straight.value / P, P, degrees: angle }, { step: FINE }) },
        { label: 'passes', value: fig('count', 'asNumber', { value: list.length }, { source: 'passes of equal area, and the spring passes' }) },
        { label: 'straight in, on radius', value: straight },
      ],
      table: {
        head: ['pass', 'dial stands at', 'this pass'],
        rows: list.map((at, i) => [
          say`${i + 1}${i >= cutting ? ', spring' : ''}`,
          at,
          fig('length', 'stackOff', { sum: at.value, wanted: list[i - 1]?.value ?? 0 }, { step: 0.01 }),
        ]),
      },
      remarks: [
        say`each pass takes the same area: the depth goes with the root of the pass; the dial is never turned back between passes but by a whole turn and in again`,
      ],
      cautions: [say`spindle stopped to measure; know where to stop before a shoulder, and at what speed the half-nuts can be opened`],
      sketch: groove(
        whole * Math.cos(rad(angle)),
        P,
        half,
        list.map((f) => f.value * Math.cos(rad(angle))),
      ),
      source: 'infeed by shrinking steps, common practice',
    };
  },
});

/** The groove of a thread with the passes that cut it. */
function groove(deep: number, P: number, half: number, at: readonly number[]): Sketch {
  const wide = (depth: number) => depth * Math.tan(rad(half));
  const row = (depth: number): readonly Point[] => [
    [-wide(deep - depth) * 0 - wide(depth), 0],
    [0, -depth],
    [wide(depth), 0],
  ];
  return {
    about: 'the groove with its passes, one inside the other',
    shapes: [
      area('metal', [-P, 0], [-wide(deep), 0], [0, -deep], [wide(deep), 0], [P, 0], [P, -deep * 1.6], [-P, -deep * 1.6]),
      ...at.slice(0, 24).map((depth) => line('thin', ...row(Math.min(depth, deep)))),
      dim([P * 0.9, 0], [P * 0.9, -deep], -14, say`${length(deep, FINE)}`),
    ],
  };
}

const helix = calculator({
  id: 'helix',
  group: 'Threads',
  title: 'Lead angle and clearance of the tool',
  words: 'helix angle side relief thread tool grind clearance',
  fields: { d: someWords('Thread', 'Tr20x4'), relief: aNumber('Clearance wanted on each side', '3', { from: 0, to: 20 }, 'degrees') },
  answer: ({ d, relief }) => {
    const read = threadLimits(d);
    if (!read.ok) return { ...read, at: 'd' };
    const { pitch, lead = pitch, leftHand } = read;
    const E = read.basic.pitchDiameter;
    if (E === null) return { ok: false, at: 'd', says: say`its form is not in this table` };
    const angle = fig('angle', 'leadAngle', { lead, E }, { step: 0.01 });
    const leads = leftHand ? 'right' : 'left';
    return {
      ok: true,
      rows: [
        { label: 'lead angle', value: angle },
        { label: `side that leads, ${leads}`, value: fig('angle', 'sideClearance', { relief, lead: angle.value }, { step: 0.01 }) },
        { label: 'side that trails', value: fig('angle', 'sideClearance', { relief, lead: -angle.value }, { step: 0.01 }) },
        { label: 'lead', value: fig('length', 'asNumber', { value: lead }, { step: FINE, source: 'the thread as it is named' }) },
      ],
      remarks: [say`counted from the upright; over 4 degrees a common holder rubs: tilt the insert or grind the side`],
      sketch: {
        about: 'the tool from its end, leaning with the lead',
        shapes: [
          line('chain', [0, -6], [0, 6]),
          line('ink', polar([0, 0], 6, 90 + angle.value), polar([0, 0], 6, -90 + angle.value)),
          area(
            'gauge',
            [-1.4, 4],
            [1.4, 4],
            [1.4 - 8 * Math.tan(rad(Math.max(0, relief - angle.value))), -4],
            [-1.4 + 8 * Math.tan(rad(relief + angle.value)), -4],
          ),
          angleOf([0, 0], 90, 90 + angle.value, 5, say`${angle}`),
        ],
      },
      source: 'geometry; helix, common practice',
    };
  },
});

const starts = calculator({
  id: 'multi-start',
  group: 'Threads',
  title: 'Thread of several starts',
  words: 'multi start lead quick starts divide indexing compound',
  fields: {
    P: aLength('Pitch', '2'),
    n: aNumber('Starts', '2', { from: 2, to: 12, whole: true }),
    d: aLength('Outside', '20'),
    teeth: aNumber('Teeth of the first driver', '40', { from: 8, to: 300, whole: true }),
  },
  answer: ({ P, n, d, teeth }) => {
    const lead = fig('length', 'leadOf', { starts: n, P }, { step: FINE });
    const byWheel = teeth % n === 0;
    return {
      ok: true,
      rows: [
        { label: 'lead, which the wheels are set for', value: lead },
        { label: 'lead angle at the outside', value: fig('angle', 'leadAngle', { lead: lead.value, E: d }, { step: 0.01 }) },
        {
          label: 'by the first wheel',
          says: byWheel
            ? say`let it go, turn it on by ${teeth / n} of its ${teeth} teeth, mesh it again`
            : say`${teeth} teeth do not divide by ${n}: take a wheel that does`,
        },
      ],
      table: {
        head: ['start', 'compound along the bed on by'],
        rows: Array.from({ length: n }, (_, i) => [say`${i + 1}`, fig('length', 'startShift', { start: i + 1, P }, { step: FINE })]),
      },
      remarks: [
        say`every start to the same depth of cut: rough all, then finish all without touching the cross slide`,
        say`a compound that lies along the bed is moved on by a pitch, its take-up out; a chuck plate with ${n} pins does it as well`,
      ],
      cautions: [say`change wheels with the motor switched off at the wall`],
      sketch: {
        about: 'the starts round the end of the screw',
        shapes: [
          circle('metal', [0, 0], d / 2),
          ...Array.from({ length: n }, (_, i) => circle('gauge', polar([0, 0], d / 2, 90 + (360 * i) / n), d * 0.05)),
          ...Array.from({ length: n }, (_, i) => label(polar([0, 0], d * 0.36, 90 + (360 * i) / n), String(i + 1))),
          line('chain', [-d * 0.6, 0], [d * 0.6, 0]),
          line('chain', [0, -d * 0.6], [0, d * 0.6]),
        ],
      },
      source: 'definition of lead; common practice',
    };
  },
});

export const moreThreadCalculators = [pipe, trapezoidal, passes, helix, starts];
