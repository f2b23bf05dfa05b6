import { dialMarks, gearTrains, halfNuts, usualWheels } from '../cutting';
import { alike, length, MM_PER_INCH, readNumber, say } from '../quantity';
import { threadLimits } from '../standards';
import { aNumber, calculator, numbers } from './fields';
import { wheelsOf } from './figuresOfWork';
import { fig } from './formulas';
import { circle, label, line, polar, type Sketch } from './sketch';
import type { Field } from './types';

interface Pitch {
  /** mm */
  readonly value: number;
  readonly inch: boolean;
}

/** A pitch: '1.5', '1.5 mm', '8 tpi', '1/8' (inches), or a thread that has one. A bare number is of millimetres. */
export const aPitch = (label: string, start: Field['start']): Field<Pitch> => ({
  label,
  kind: 'words',
  start,
  read: (text) => {
    const t = text.trim();
    const tpi = /^(\d+(?:[.,]\d+)?)\s*(?:tpi|to the inch|\/\s*in)$/i.exec(t)?.[1];
    if (tpi !== undefined)
      return Number(tpi.replace(',', '.')) > 0
        ? { ok: true, value: { value: MM_PER_INCH / Number(tpi.replace(',', '.')), inch: true } }
        : { ok: false, says: say`${label}: more than zero` };
    const number = readNumber(t);
    const unit = number?.rest.replace(/\s/g, '') ?? 'x';
    if (number && number.value > 0 && /^(mm|in|"|”)?$/i.test(unit)) {
      const inch = number.fraction || (unit !== '' && unit.toLowerCase() !== 'mm');
      const value = inch ? number.value * MM_PER_INCH : number.value;
      return value <= 100 ? { ok: true, value: { value, inch } } : { ok: false, says: say`${label}: ${t} is more than 100 mm a turn` };
    }
    const thread = threadLimits(t);
    if (thread.ok) return { ok: true, value: { value: thread.lead ?? thread.pitch, inch: !['metric', 'trapezoidal', 'ba'].includes(thread.family) } };
    return { ok: false, says: say`“${t}” is no pitch; write 1.5, 8 tpi, 1/8 or M12` };
  },
});

/** Pitches, parted by semicolons; none where nothing is typed. */
export const pitches = (label: string, start: Field['start']): Field<readonly number[]> => ({
  label,
  kind: 'numberList',
  start,
  read: (text) => {
    const values: number[] = [];
    for (const part of text.split(';').filter((t) => t.trim() !== '')) {
      const read = aPitch(label, '').read(part, 'mm');
      if (!read.ok) return read;
      values.push(read.value.value);
    }
    return { ok: true, value: values };
  },
});

const advice = {
  anywhere: 'may be closed anywhere: the leadscrew’s pitch is a whole multiple of this one',
  'by the dial': 'may be opened; closed again by the thread dial',
  'keep closed': 'stay closed: reverse the lathe to come back',
} as const;

const trains = calculator({
  id: 'change-gears',
  group: 'Gears',
  title: 'Change gears for a pitch',
  words: 'wheels train 127 leadscrew gearbox metric thread inch lathe half nut',
  fields: {
    p: aPitch('Pitch wanted', '1.5'),
    screw: aPitch('Leadscrew', (shop) => shop.leadscrew ?? '8 tpi'),
    wheels: numbers('Wheels in the drawer', (shop) => (shop.gears ?? usualWheels).join(' '), { from: 8, to: 300, whole: true }),
    box: numbers('Steps of the gearbox, turns out for one in', '1', { from: 0.01, to: 100 }),
    levers: pitches('Pitches that it gives by lever', (shop) => (shop.levers ?? []).join('; ')),
  },
  answer: ({ p, screw, wheels, box, levers }) => {
    if (wheels.length > 40) return { ok: false, at: 'wheels', says: say`at most 40 wheels` };
    if (box.length > 60) return { ok: false, at: 'box', says: say`at most 60 steps` };
    const found = [...new Set(box)]
      .flatMap((step) =>
        gearTrains({ pitch: p.value, leadscrew: screw.value, gears: wheels, box: step, within: 3000 }).map((train) => ({ ...train, step })),
      )
      .toSorted((a, b) => Math.abs(a.error) - Math.abs(b.error) || a.drivers.length - b.drivers.length);
    const lever = levers.find((pitch) => alike(pitch, p.value));
    const [best] = found;
    if (!best && lever === undefined)
      return {
        ok: false,
        at: 'wheels',
        says: say`no train of two or four of these wheels comes within 0.3 % of this pitch; a wheel of 127, 63 or another step of the gearbox may`,
      };
    type Train = (typeof found)[number];
    const ratioOf = ({ drivers, driven }: Train) => drivers.reduce((a, b) => a * b, 1) / driven.reduce((a, b) => a * b, 1);
    const cutBy = (train: Train) => fig('length', 'pitchCut', { screw: screw.value, box: train.step, ratio: ratioOf(train) }, { step: 0.0001 });
    const error = (train: Train) => fig('length', 'pitchError', { cut: train.pitch, wanted: p.value }, { step: 0.0001 });
    const named = (train: Train) =>
      say`${train.drivers.join(' x ')} / ${train.driven.join(' x ')}${box.length > 1 ? `, box ${String(train.step)}` : ''}`;
    return {
      ok: true,
      rows: [
        ...(lever === undefined ? [] : [{ label: 'take', says: say`a lever gives it: no wheels to change` }]),
        ...(best
          ? [
              { label: lever === undefined ? 'take' : 'or by wheels', says: named(best) },
              { label: 'pitch it cuts', value: cutBy(best) },
              ...(best.error === 0 ? [{ label: 'error', says: say`none, exact` }] : [{ label: 'error over 25 mm', value: error(best) }]),
            ]
          : [
              {
                label: 'pitch it cuts',
                value: fig('length', 'asTyped', { value: lever ?? p.value }, { step: 0.0001, source: 'levers of the gearbox, as the shop has them' }),
              },
            ]),
        { label: 'half-nuts', says: say`${advice[halfNuts(p.value, screw.value, p.inch === screw.inch)]}` },
      ],
      ...(best && {
        table: {
          head: ['drivers', 'driven', ...(box.length > 1 ? ['box'] : []), 'pitch', say`error over ${length(25)}`],
          rows: found
            .slice(0, 10)
            .map((train) => [
              say`${train.drivers.join(' x ')}`,
              say`${train.driven.join(' x ')}`,
              ...(box.length > 1 ? [say`${train.step}`] : []),
              cutBy(train),
              train.error === 0 ? say`exact` : error(train),
            ]),
        },
        sketch: wheelsOf(best.drivers, best.driven),
      }),
      remarks: best
        ? [
            say`drivers first, from the spindle; a compound train has two on one stud; idlers change only the hand; whether the wheels reach one another is for the lathe to say`,
          ]
        : [say`by wheels alone none of these trains comes within 0.3 %`],
      cautions: [say`change wheels with the motor switched off at the wall and the guard back on before it runs`],
      source: 'exact arithmetic',
    };
  },
});

const dial = calculator({
  id: 'thread-dial',
  group: 'Gears',
  title: 'Thread dial and half-nuts',
  words: 'chasing dial marks close half nut tpi',
  fields: {
    tpi: aNumber('Thread, to the inch', '11', { from: 0.5, to: 200 }),
    screw: aNumber('Leadscrew, to the inch', '8', { from: 1, to: 40 }),
    wheel: aNumber('Teeth of the dial’s wheel', '32', { from: 8, to: 200, whole: true }),
    marks: aNumber('Marks on the dial', '8', { from: 1, to: 24, whole: true }),
  },
  answer: ({ tpi, screw, wheel, marks }) => {
    const usable = dialMarks(marks, wheel, screw, tpi);
    const anywhere = halfNuts(MM_PER_INCH / tpi, MM_PER_INCH / screw, true) === 'anywhere';
    const every =
      usable.length === marks
        ? 'every mark'
        : usable.length === 1
          ? 'only the same mark'
          : `the same mark and ${usable
              .slice(1)
              .map((m) => `the ${String(m)}${['th', 'st', 'nd', 'rd'][m % 10 > 3 || Math.floor(m / 10) === 1 ? 0 : m % 10] ?? 'th'}`)
              .join(', ')} after it`;
    return {
      ok: true,
      rows: [
        { label: 'close at', says: say`${anywhere ? 'any place, dial or not' : every}` },
        { label: 'marks that do', says: say`${usable.length} of ${marks}` },
      ],
      remarks: [
        say`an inch thread on an inch leadscrew; a metric one stays engaged`,
        say`other dials differ: teeth and marks are those of this lathe`,
      ],
      sketch: dialOf(marks, usable),
      source: 'exact arithmetic: whole travels of the leadscrew',
    };
  },
});

function dialOf(marks: number, usable: readonly number[]): Sketch {
  return {
    about: `the dial with ${String(usable.length)} of ${String(marks)} marks that do, the first at the top`,
    shapes: [
      circle('line', [0, 0], 10),
      ...Array.from({ length: marks }, (_, k) => {
        const at = 90 - (360 * k) / marks;
        return usable.includes(k)
          ? [line('ink', polar([0, 0], 7, at), polar([0, 0], 10, at)), label(polar([0, 0], 11.6, at), k === 0 ? 'first' : String(k), 'middle', -4)]
          : [line('thin', polar([0, 0], 9, at), polar([0, 0], 10, at))];
      }).flat(),
      circle('line', [0, 0], 0.6),
    ],
  };
}

export const gearCalculators = [trains, dial];
