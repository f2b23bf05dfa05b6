import { gearTrains, halfNuts, usualWheels } from '../cutting';
import { diameter, length, say } from '../quantity';
import { materialOf, metricPitches } from '../standards';
import { aFeed, aLength, aLengthOrZero, aMaterial, aNumber, calculator, lengths, numbers, oneOf } from './fields';
import { wheelsOf } from './figuresOfWork';
import { speedSteps } from './charts';
import { fig } from './formulas';
import { kcLists } from './kc';
import { aPitch, pitches } from './gearCalculators';
import { area, circle, dim, label, line, type Point, polar, type Sketch } from './sketch';

const usualSpeeds = [70, 120, 200, 320, 500, 800, 1250, 2000];

const time = calculator({
  id: 'machining-time',
  group: 'Speed and feed',
  title: 'Time of a cut',
  words: 'machining time minutes turning drilling facing passes',
  fields: {
    from: aLength('From diameter', '40'),
    to: aLength('to', '36'),
    ap: aLength('Depth of a pass, on radius', '1'),
    l: aLength('Length', '80'),
    run: aLengthOrZero('Run-in and run-out', '3'),
    f: aFeed('Feed', '0.15', { from: 0.001, to: 5 }),
    n: aNumber('Speed', '500', { from: 1, to: 20000 }, 'rpm'),
  },
  answer: ({ from, to, ap, l, run, f, n }) => {
    const many = fig('count', 'passesFor', { from, to, ap });
    const one = fig('time', 'cutTime', { passes: 1, l, run, f, n }, { step: 0.01 });
    return {
      ok: true,
      rows: [
        { label: 'in the cut', value: fig('time', 'cutTime', { passes: many.value, l, run, f, n }, { step: 0.01 }) },
        { label: 'passes', value: many },
        { label: 'one pass', value: one },
        { label: 'carriage a minute', value: fig('length', 'feedRate', { f, n }, { step: 0.1 }) },
      ],
      remarks: [say`what hands do between is often more: setting the dial, running back, measuring; the plan of a job counts it`],
      sketch: {
        about: 'the work with its passes',
        shapes: [
          area('metal', [0, Math.min(from, to) / 2], [l, Math.min(from, to) / 2], [l, -Math.min(from, to) / 2], [0, -Math.min(from, to) / 2]),
          area('cut', [0, Math.max(from, to) / 2], [l, Math.max(from, to) / 2], [l, Math.min(from, to) / 2], [0, Math.min(from, to) / 2]),
          area('cut', [0, -Math.max(from, to) / 2], [l, -Math.max(from, to) / 2], [l, -Math.min(from, to) / 2], [0, -Math.min(from, to) / 2]),
          line('chain', [-l * 0.1, 0], [l * 1.1, 0]),
          dim([0, Math.max(from, to) / 2], [l, Math.max(from, to) / 2], 10, say`${length(l, 0.01)}`),
        ],
      },
      source: 'definition of feed',
    };
  },
});

const surface = calculator({
  id: 'surface-speed',
  group: 'Speed and feed',
  title: 'Surface speed from rpm',
  words: 'm/min feet per minute sfm cutting speed rpm diameter',
  fields: { d: aLength('Diameter in cut', '25'), n: aNumber('Speed', '800', { from: 1, to: 30000 }, 'rpm'), material: aMaterial() },
  answer: ({ d, n, material }) => {
    const v = fig('cuttingSpeed', 'surfaceSpeed', { d, n }, { step: 0.1 });
    const m = materialOf(material);
    const source = `typical, from memory: ${m.source}`;
    return {
      ok: true,
      rows: [
        { label: 'surface speed', value: v },
        { label: 'high-speed steel starts at', value: fig('cuttingSpeed', 'asNumber', { value: m.hss }, { source }) },
        { label: 'carbide starts at', value: fig('cuttingSpeed', 'asNumber', { value: m.carbide }, { source }) },
      ],
      ...(v.value > 1.5 * m.carbide && {
        cautions: [say`half as fast again as carbide starts at in ${m.name}, and more than most chucks are made for`],
      }),
      sketch: speedLine(d, n, m.hss, m.carbide),
      source: 'geometry; speeds typical, from memory',
    };
  },
});

/** Speed over diameter at these revolutions: a straight line, with what tools start at across it. */
function speedLine(d: number, n: number, hss: number, carbide: number): Sketch {
  const most = 2 * d;
  const top = (Math.PI * most * n) / 1000;
  const at = (x: number, v: number): Point => [(100 * x) / most, (60 * v) / Math.max(top, carbide)];
  return {
    about: 'surface speed over diameter at these revolutions, with what high-speed steel and carbide start at',
    shapes: [
      line('thin', [0, 62], [0, 0], [104, 0]),
      line('ink', at(0, 0), at(most, top)),
      line('chain', at(0, hss), at(most, hss)),
      line('chain', at(0, carbide), at(most, carbide)),
      label(at(most, hss), 'high-speed steel', 'left', 5),
      label(at(most, carbide), 'carbide', 'left', 5),
      circle('gauge', at(d, (Math.PI * d * n) / 1000), 1.2),
      label([104, 0], say`${diameter(most)}`, 'left', -14),
    ],
  };
}

const speedsSheet = calculator({
  id: 'lathe-speeds',
  group: 'Speed and feed',
  title: 'Speeds of this lathe at diameters',
  words: 'speed chart wall sheet what this lathe can rpm table m/min',
  fields: {
    speeds: numbers('Speeds of the lathe', (shop) => (shop.speeds ?? usualSpeeds).join(' '), { from: 1, to: 20000 }, 'rpm'),
    at: lengths('Diameters', '6; 10; 16; 25; 40; 63; 100'),
    material: aMaterial('Marked for'),
    tool: oneOf('with', [
      ['hss', 'high-speed steel'],
      ['carbide', 'carbide'],
    ]),
  },
  answer: ({ speeds, at, material, tool }) => {
    if (speeds.length > 24) return { ok: false, at: 'speeds', says: say`at most 24 speeds` };
    if (at.length > 16) return { ok: false, at: 'at', says: say`at most 16 diameters` };
    const m = materialOf(material);
    const wanted = m[tool];
    const sorted = speeds.toSorted((a, b) => a - b);
    return {
      ok: true,
      rows: at.map((d) => ({
        label: say`at ${diameter(d)} set`,
        value: fig('spindleSpeed', 'spindleSpeed', { v: wanted, d, most: Math.max(...sorted), speeds: sorted }),
      })),
      table: {
        head: ['rpm', ...at.map((d) => [diameter(d)])],
        rows: sorted.map((n) => [say`${n}`, ...at.map((d) => fig('cuttingSpeed', 'surfaceSpeed', { d, n }, { step: 1 }))]),
      },
      remarks: [
        say`${m.name} starts at ${fig('cuttingSpeed', 'asNumber', { value: wanted }, { source: `typical, from memory: ${m.source}` })}; print this page for the wall`,
      ],
      cautions: [say`never above what the chuck, the balance of the blank or the stick-out allows`],
      sketch: speedSteps(sorted, at, wanted),
      source: `geometry; speeds typical, from memory: ${m.source}`,
    };
  },
});

const threadsSheet = calculator({
  id: 'lathe-threads',
  group: 'Gears',
  title: 'Threads this lathe cuts',
  words: 'what this lathe can wall sheet pitches wheels change gears chart',
  fields: {
    screw: aPitch('Leadscrew', (shop) => shop.leadscrew ?? '8 tpi'),
    wheels: numbers('Wheels in the drawer', (shop) => (shop.gears ?? usualWheels).join(' '), { from: 8, to: 300, whole: true }),
    levers: pitches('Pitches by lever', (shop) => (shop.levers ?? []).join('; ')),
    what: oneOf('Threads', [
      ['metric', 'metric, in mm'],
      ['inch', 'inch, threads to the inch'],
    ]),
    within: aNumber('Within', '500', { from: 0, to: 3000 }, 'parts in a million'),
  },
  answer: ({ screw, wheels, levers, what, within }) => {
    if (wheels.length > 24) return { ok: false, at: 'wheels', says: say`at most 24 wheels` };
    const asked = what === 'metric' ? wantedMetric : wantedInch;
    const lines = asked.map(({ words, pitch }) => {
      if (levers.some((l) => Math.abs(l - pitch) < 1e-6)) return { words, pitch, how: 'lever', train: undefined };
      const [train] = gearTrains({ pitch, leadscrew: screw.value, gears: wheels, within }).toSorted(
        (a, b) => Math.abs(a.error) - Math.abs(b.error) || a.drivers.length - b.drivers.length,
      );
      return { words, pitch, how: train ? 'wheels' : 'none', train };
    });
    const cut = lines.filter((l) => l.how !== 'none');
    const first = cut.find((l) => l.train)?.train;
    return {
      ok: true,
      rows: [
        {
          label: 'pitches of this list that it cuts',
          value: fig('count', 'asNumber', { value: cut.length }, { source: `of ${String(lines.length)}, as the table below has them` }),
        },
        {
          label: 'not cut',
          says: say`${
            lines
              .filter((l) => l.how === 'none')
              .map((l) => l.words)
              .join(', ') || 'none of them'
          }`,
        },
      ],
      table: {
        head: ['pitch', 'drivers', 'driven', say`error over ${length(25)}`, 'half-nuts'],
        rows: cut.map(({ words, pitch, train }) => [
          say`${words}`,
          say`${train ? train.drivers.join(' x ') : 'lever'}`,
          say`${train ? train.driven.join(' x ') : ''}`,
          train && train.error !== 0 ? fig('length', 'pitchError', { cut: train.pitch, wanted: pitch }, { step: 0.0001 }) : say`exact`,
          say`${halfNuts(pitch, screw.value, (what === 'inch') === screw.inch)}`,
        ]),
      },
      remarks: [say`one train for each, the nearest; print this page for the wall`],
      cautions: [say`change wheels with the motor switched off at the wall and the guard back on before it runs`],
      sketch: wheelsOf(first?.drivers ?? [40], first?.driven ?? [40]),
      source: 'exact arithmetic',
    };
  },
});

const wantedMetric = [...new Set(Object.values(metricPitches).flat())]
  .toSorted((a, b) => a - b)
  .map((pitch) => ({ words: `${String(pitch)} mm`, pitch }));
const wantedInch = [4, 4.5, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 16, 18, 19, 20, 24, 26, 27, 28, 32, 36, 40, 48, 56].map((tpi) => ({
  words: `${String(tpi)} to the inch`,
  pitch: 25.4 / tpi,
}));

const whip = calculator({
  id: 'bar-whip',
  group: 'Speed and feed',
  title: 'Bar out behind the spindle',
  words: 'whip critical speed bar feed headstock unsupported',
  fields: { d: aLength('Bar', '16'), L: aLength('Out behind the spindle', '400') },
  answer: ({ d, L }) => ({
    ok: true,
    rows: [
      { label: 'not faster than', value: fig('spindleSpeed', 'whipSpeed', { d, L }, { step: 10 }) },
      { label: 'length to diameter', value: fig('ratio', 'stickOutRatio', { L, d }, { step: 0.1 }) },
    ],
    remarks: [say`a third of where it begins to whirl; a bar that is bent whips sooner. Bush it in the spindle, or carry its end`],
    cautions: [say`a bar that whips bends at once and strikes: cut it shorter, or guard and carry it`],
    sketch: {
      about: 'the spindle with the bar out behind it, bent as it whips',
      shapes: [
        area('mate', [0, d], [L * 0.3, d], [L * 0.3, -d], [0, -d]),
        area('metal', [0, d / 2], [L * 0.3, d / 2], [L * 0.3, -d / 2], [0, -d / 2]),
        line('ink', ...Array.from({ length: 21 }, (_, i): Point => [(-L * i) / 20, (-L * 0.15 * i ** 2) / 400])),
        line('chain', [-L * 1.05, 0], [L * 0.35, 0]),
        dim([-L, d], [0, d], 14, say`${length(L, 1)}`),
      ],
    },
    source: 'bar-whip, common practice',
  }),
});

/** Moduli of boring bars, N/mm2. */
const bars = { steel: 210_000, carbide: 600_000 } as const;

const boringBar = calculator({
  id: 'boring-bar',
  group: 'Speed and feed',
  title: 'How far a boring bar springs',
  words: 'boring bar spring deflection overhang stick-out bore taper chatter',
  fields: {
    d: aLength('Bar', '12'),
    L: aLength('Out of its holder', '48'),
    of: oneOf('Bar of', [
      ['steel', 'steel'],
      ['carbide', 'carbide'],
    ]),
    material: oneOf(
      'Work of',
      kcLists.map(([id, name]) => [id, name] as const),
    ),
    ap: aLength('Depth of cut, on radius', '0.25'),
    f: aFeed('Feed', '0.08', { from: 0.005, to: 1 }),
  },
  answer: ({ d, L, of, material, ap, f }) => {
    const [, , kc1, mc] = kcLists.find(([id]) => id === material) ?? ['', '', 1780, 0.17];
    const kc = kc1 / f ** mc;
    const force = fig('force', 'barForce', { kc, ap, f }, { step: 1 });
    const spring = fig('length', 'barSprings', { F: force.value, L, d, E: bars[of] }, { step: 0.001 });
    const most = of === 'steel' ? 4 : 6;
    return {
      ok: true,
      rows: [
        { label: 'springs away', value: spring },
        { label: 'the bore is smaller by', value: fig('length', 'onDiameter', { y: spring.value }, { step: 0.001 }) },
        { label: 'force against it', value: force },
        { label: 'length to diameter', value: fig('ratio', 'stickOutRatio', { L, d }, { step: 0.1 }) },
      ],
      remarks: [
        say`its holder gives way too; the same cut once more at the same setting takes most of it off. Half as long springs an eighth as far`,
      ],
      ...(L / d > most && { cautions: [say`over ${most} diameters a bar of ${of} chatters: a thicker one, or less of it out`] }),
      sketch: {
        about: 'the bar in the bore, sprung away, enlarged',
        shapes: [
          area('mate', [0, d], [L, d], [L, d * 1.6], [0, d * 1.6]),
          area('mate', [0, -d], [L, -d], [L, -d * 1.6], [0, -d * 1.6]),
          line('ink', ...Array.from({ length: 21 }, (_, i): Point => [L - (L * i) / 20, d * 0.25 - d * 0.3 * ((i / 20) ** 2 * (3 - i / 20)) * 0.5])),
          line('ink', ...Array.from({ length: 21 }, (_, i): Point => [L - (L * i) / 20, -d * 0.75 - d * 0.3 * ((i / 20) ** 2 * (3 - i / 20)) * 0.5])),
          line('chain', [-L * 0.05, 0], [L * 1.2, 0]),
          dim([0, -d * 1.6], [L, -d * 1.6], -12, say`${length(L, 0.1)}`),
          line('thin', polar([L, -d * 0.25], d * 0.5, 90), polar([L, -d * 0.25], d * 0.5, -90)),
        ],
      },
      source: 'beam theory; Kienzle, from memory',
    };
  },
});

export const timeCalculators = [time, surface, speedsSheet, boringBar, whip];
export const wallCalculators = [threadsSheet];
