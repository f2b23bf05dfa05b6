import { alike, length, say, type Sentence } from '../quantity';
import {
  engagementWanted,
  flankHalf,
  nutUndercut,
  overWires,
  overWiresByContact,
  type Thread,
  threadLimits,
  threadUndercut,
  wires,
} from '../standards';
import { aLength, aLengthOrNone, aLengthOrZero, aMaterial, calculator, oneOf, someWords } from './fields';
import { grooveOf, threadForm } from './figures';
import { fig } from './formulas';
import { area, dim, line, type Point, type Sketch } from './sketch';
import { withSketch } from './threadCalculators';
import type { NotAnswered, Row } from './types';

const FINE = 0.001;

/** What the formula is off by, against the wire seated in the groove of this very thread. */
const offBy = (off: number): Sentence =>
  Math.abs(off) < 0.00005
    ? say`the formula agrees with this wire seated in this groove within ${length(0.00005, 0.00001)}`
    : say`the formula reads ${length(Math.abs(off), Math.abs(off) < 0.001 ? 0.00001 : 0.0001)} ${off > 0 ? 'over' : 'under'} this wire seated in this groove: that much ${off > 0 ? 'too large' : 'too small'}`;

const wire = calculator({
  id: 'wires',
  group: 'Threads',
  title: 'Over three wires',
  words: 'three wire measurement pitch diameter best wire',
  fields: { d: someWords('Thread', 'M12x1.5-6g'), w: aLengthOrNone('Wire, if not the best'), m: aLengthOrNone('Measured over the wires') },
  answer: ({ d, w, m }) => {
    const read = wires(d, w);
    if (!read.ok) return { ...read, at: w === undefined ? 'd' : 'w' };
    const { thread, wire: W, smallest, largest } = read;
    const { pitch: P, lead = P } = thread;
    const half = flankHalf(thread.family);
    const over = (E: number) => fig('length', 'overWires', { E, W, P, lead, half }, { step: FINE });
    const { max, min } = thread.pitchDiameter;
    const basic = thread.basic.pitchDiameter;
    const found = m === undefined ? undefined : fig('diameter', 'fromWires', { M: m, W, P, lead, half }, { step: FINE });
    const at = max ?? min ?? basic;
    return {
      ok: true,
      rows: [
        ...(found ? [{ label: 'pitch diameter found', value: found }] : []),
        ...(max === null ? [] : [{ label: 'over wires, largest', value: over(max) }]),
        ...(min === null ? [] : [{ label: 'over wires, smallest', value: over(min) }]),
        ...(max === null && min === null && basic !== null ? [{ label: 'over wires, basic form', value: over(basic) }] : []),
        { label: 'best wire', value: fig('diameter', 'bestWire', { P, half }, { step: FINE }) },
        { label: 'wire from', value: fig('diameter', 'wireLimit', { wire: smallest }, { step: FINE }) },
        { label: 'wire to', value: fig('diameter', 'wireLimit', { wire: largest }, { step: FINE }) },
      ],
      remarks: [
        ...(found && max !== null && min !== null ? [verdict(found.value, max, min)] : []),
        ...(thread.remark ? [thread.remark] : []),
        ...(at === null
          ? []
          : [offBy(overWires({ pitchDiameter: at, pitch: P, half, lead }, W) - overWiresByContact({ pitchDiameter: at, pitch: P, half, lead }, W))]),
        say`wire force and compression are not included`,
      ],
      ...withSketch(threadForm(thread, { wire: W })),
      uses: [],
      source: 'general form of ASME B1.2, from memory',
    };
  },
});

function verdict(found: number, max: number, min: number): Sentence {
  if (found > max) return say`out, large by ${length(found - max, FINE)}`;
  return found < min ? say`out, small by ${length(min - found, FINE)}` : say`in limits by its pitch diameter; its form is for the gauge to say`;
}

/** A thread with its pitch, or what is wrong with it. */
function pitchOf(text: string): { readonly ok: true; readonly thread: Thread } | NotAnswered {
  const read = threadLimits(text);
  return read.ok ? { ok: true, thread: read } : { ...read, at: 'd' };
}

const engagement = calculator({
  id: 'engagement',
  group: 'Threads',
  title: 'Full threads in a length',
  words: 'engagement thread length nut strength how many',
  fields: {
    d: someWords('Thread', 'M12x1.5'),
    l: aLength('Length', '12.7'),
    counterbore: aLengthOrZero('Counterbore at the mouth', '5'),
    lead: aLengthOrZero('Lead or chamfer'),
    relief: aLengthOrZero('Undercut or run-out'),
    material: aMaterial('Nut of'),
  },
  answer: ({ d, l, counterbore, lead, relief, material }) => {
    const read = pitchOf(d);
    if (!read.ok) return read;
    const { nominal, pitch } = read.thread;
    const full = fig('length', 'fullThread', { length: l, counterbore, lead, relief }, { step: 0.01 });
    const wanted = fig('length', 'engagementWanted', { diameters: engagementWanted(material), D: nominal }, { step: 0.01 });
    return {
      ok: true,
      rows: [
        { label: 'full threads', value: fig('ratio', 'fullThreads', { full: full.value, P: pitch }, { step: 0.1 }) },
        { label: 'full thread', value: full },
        { label: 'wanted for full strength', value: wanted },
      ],
      ...(full.value < wanted.value && {
        cautions: [say`short of full strength by ${length(wanted.value - full.value)}: a longer hole, or a finer pitch for more threads in it`],
      }),
      sketch: lengthsOf(l, nominal, [
        [counterbore, 'counterbore'],
        [lead, 'lead'],
        [full.value, 'full thread'],
        [relief, 'relief'],
      ]),
      source: 'engagement, common practice',
    };
  },
});

/** Lengths in a row along a hole, mouth left. */
function lengthsOf(l: number, d: number, parts: readonly (readonly [length: number, words: string])[]): Sketch {
  const wall = d * 0.3;
  let [x, step] = [0, 0];
  const dims = parts.flatMap(([long, words]) => {
    const from = x;
    x += long;
    const i = long > 0 ? step++ : 0;
    return long > 0 ? [dim([from, -d / 2 - wall], [x, -d / 2 - wall], -14 - 22 * (i % 2), say`${length(long, 0.01)} ${words}`)] : [];
  });
  const wallAt = (side: 1 | -1) =>
    area(
      'metal',
      ...([
        [0, side * (d / 2)],
        [l, side * (d / 2)],
        [l, side * (d / 2 + wall)],
        [0, side * (d / 2 + wall)],
      ] satisfies Point[]),
    );
  const full = parts.findIndex(([, words]) => words === 'full thread');
  const start = parts.slice(0, full).reduce((sum, [long]) => sum + long, 0);
  const end = start + (parts[full]?.[0] ?? 0);
  return {
    about: 'the hole in section, its mouth left, with what of it is full thread',
    shapes: [
      wallAt(1),
      wallAt(-1),
      ...([1, -1] as const).map((s) => area('cut', [start, s * d * 0.5], [end, s * d * 0.5], [end, s * d * 0.44], [start, s * d * 0.44])),
      line('chain', [-l * 0.05, 0], [l * 1.05, 0]),
      dim([0, d / 2 + wall], [l, d / 2 + wall], 14, say`${length(l, 0.01)}`),
      ...dims,
    ],
  };
}

const noses = [
  ['full', 'full ISO root', 0.613],
  ['sharp', 'sharp', 0.758],
  ['eighth', 'flat of P/8', 0.65],
  ['quarter', 'flat of P/4', 0.541],
] as const;

/** Depth of the Whitworth form with its radii, in pitches. @source BS 84, from memory: 0.640327 */
const WHITWORTH = 0.6403;

const infeed = calculator({
  id: 'thread-depth',
  group: 'Threads',
  title: 'Depth of cut for a thread',
  words: 'infeed single point compound 29.5 depth root nose',
  fields: {
    d: someWords('Thread', 'M12x1.5'),
    nose: oneOf(
      'Nose of the tool',
      noses.map(([id, words]) => [id, words] as const),
    ),
    angle: oneOf('Fed by', [
      ['0', 'cross slide, straight in'],
      ['29.5', 'compound at 29.5°'],
      ['27', 'compound at 27°, for 55° forms'],
    ]),
  },
  answer: ({ d, nose, angle }) => {
    const read = pitchOf(d);
    if (!read.ok) return read;
    const { thread } = read;
    const sixty = thread.family === 'metric' || thread.family === 'unified';
    const included = 2 * flankHalf(thread.family);
    if (!sixty && Math.abs(included - 55) > 0.1)
      return { ok: false, at: 'd', says: say`the depths here are those of 60 and 55 degree forms; ${thread.designation} has another` };
    const degrees = Number(angle);
    if (degrees > included / 2)
      return {
        ok: false,
        at: 'angle',
        says: say`a form of ${included} degrees is fed by the compound at ${included / 2 - 0.5} at the most, or straight in`,
      };
    // a Whitworth form has its own radius at the root: the tool brings it
    const k = sixty ? (noses.find(([id]) => id === nose)?.[2] ?? 0.613) : WHITWORTH;
    const straight = fig('length', 'infeed', { k, P: thread.pitch }, { step: FINE });
    return {
      ok: true,
      rows: [
        ...(degrees > 0
          ? [{ label: 'on the compound', value: fig('length', 'infeedCompound', { k, P: thread.pitch, degrees }, { step: FINE }) }]
          : []),
        { label: 'straight in, on radius', value: straight },
        { label: 'on diameter', value: fig('length', 'onDiameter', { y: straight.value }, { step: FINE }) },
      ],
      remarks: [say`from the finished major diameter; the last hundredths by nut, ring or wires`],
      cautions: [say`spindle stopped to measure; know where to stop before a shoulder, and at what speed the half-nuts can be opened`],
      ...withSketch(threadForm(thread)),
      source: 'infeed-by-nose, common practice',
    };
  },
});

const ends = calculator({
  id: 'thread-ends',
  group: 'Threads',
  title: 'Run-out and undercut of a thread',
  words: 'din 76 relief groove thread end shoulder',
  fields: {
    d: someWords('Thread', 'M12x1.75'),
    form: oneOf('Undercut', [
      ['A', 'outside, form A, usual'],
      ['B', 'outside, form B, short'],
      ['C', 'inside, form C'],
    ]),
  },
  answer: ({ d, form }) => {
    const read = pitchOf(d);
    if (!read.ok) return read;
    const { nominal, pitch } = read.thread;
    const cut = form === 'C' ? nutUndercut(pitch) : threadUndercut(pitch, form);
    if (!cut) return { ok: false, at: 'd', says: say`a pitch of ${length(pitch)} is not in this table` };
    const source = 'DIN 76-1, from memory, medium confidence';
    const groove = form === 'C' ? nominal + cut.under : nominal - cut.under;
    const one = (label: string, value: number) => ({ label, value: fig('length', 'asTable', { value }, { step: 0.01, source }) }) satisfies Row;
    return {
      ok: true,
      rows: [
        { label: 'undercut to', value: fig('diameter', 'tableLimit', { basic: nominal, deviation: groove - nominal }, { step: 0.01, source }) },
        one('width at its bottom, least', cut.width),
        one('width over its flanks, most', cut.overall),
        ...(cut.radius === null ? [] : [one('radius', cut.radius)]),
        one('run-out where there is none', cut.runOut),
      ],
      remarks: [
        alike(cut.pitch, pitch)
          ? say`the row of its own pitch, ${length(pitch)}`
          : say`a pitch of ${length(pitch)} has no row of its own: this is the next coarser, ${length(cut.pitch)}`,
      ],
      sketch: grooveOf(nominal, groove, cut.width, (cut.overall - cut.width) / 2),
      source,
    };
  },
});

export const threadCuttingCalculators = [wire, engagement, infeed, ends];
