import { speedShares } from '../cutting';
import { bentLine, weakestPlace } from '../mechanics';
import { figure, length, say } from '../quantity';
import { materialOf, materials } from '../standards';
import { aFeed, aLength, aLengthOrNone, aLengthOrZero, aMaterial, aNumber, calculator, numbers, oneOf } from './fields';
import { bentOf } from './figuresOfWork';
import { speedSteps, startSpeeds } from './charts';
import { fig } from './formulas';
import { kcLists } from './kc';
import { area, circle, dim, label, line, type Point, type Sketch } from './sketch';
import type { Row } from './types';

const FEED_STEP = 0.001;
const works = [
  ['turn', 'turning, boring, facing'],
  ['drill', 'drilling'],
  ['part', 'parting, grooving'],
  ['form', 'form tool'],
  ['ream', 'reaming'],
  ['knurl', 'knurling'],
  ['thread', 'threading'],
] as const;

const speeds = calculator({
  id: 'speeds',
  group: 'Speed and feed',
  title: 'Spindle speed',
  words: 'rpm cutting speed surface speed feed rate material high speed steel carbide',
  fields: {
    material: aMaterial(),
    tool: oneOf('Tool', [
      ['hss', 'high-speed steel'],
      ['carbide', 'carbide'],
    ]),
    work: oneOf('Work', works),
    d: aLength('Diameter in cut', '25'),
    speeds: numbers(
      'Speeds of the lathe',
      (shop) => (shop.speeds ?? [70, 120, 200, 320, 500, 800, 1250, 2000]).join(' '),
      { from: 1, to: 20000 },
      'rpm',
    ),
    most: aNumber('Most that the holding allows', '2500', { from: 1, to: 20000 }, 'rpm'),
    feed: aFeed('Feed', '0.1', { from: 0.001, to: 5 }),
  },
  answer: ({ material, tool, work, d, speeds: list, most, feed }) => {
    const m = materialOf(material);
    const share = speedShares[work];
    const v = fig('cuttingSpeed', 'speedShare', { v: m[tool], share });
    const top = work === 'thread' ? Math.min(100, most) : most;
    const set = fig('spindleSpeed', 'spindleSpeed', { v: v.value, d, most: top, speeds: list });
    return {
      ok: true,
      rows: [
        { label: 'set', value: set },
        { label: 'asked for', value: fig('spindleSpeed', 'speedAsked', { v: v.value, d }) },
        { label: 'cutting speed to start from', value: v },
        { label: 'carriage a minute', value: fig('length', 'feedRate', { f: feed, n: set.value }, { step: 0.1 }) },
      ],
      remarks: [
        say`${m.name}: ${m.note}`,
        ...(work === 'thread' ? [say`threading: what one can stop from, 100 rpm is usual`] : []),
        ...(set.value > top ? [say`the slowest speed of this lathe is over what is allowed`] : []),
      ],
      cautions: [say`never above what the chuck, the balance of the blank or the stick-out allows; the machine’s manual comes first`],
      sketch: speedSteps(
        list.toSorted((a, b) => a - b),
        around(d),
        v.value,
        d,
      ),
      source: `materials table, from memory: ${m.source}; shares common practice`,
    };
  },
});

/** Diameters about this one, for a scale. */
const around = (d: number): readonly number[] => [0.25, 0.5, 1, 2, 4].map((k) => Number((k * d).toPrecision(3)));

const forces = calculator({
  id: 'cutting-force',
  group: 'Speed and feed',
  title: 'Cutting force and power',
  words: 'kienzle kc1.1 mc kilowatt motor load chip',
  fields: {
    material: oneOf(
      'Material',
      kcLists.map(([id, name]) => [id, name] as const),
    ),
    ap: aLength('Depth of cut, on radius', '2'),
    f: aFeed('Feed', '0.2', { from: 0.005, to: 3 }),
    kappa: aNumber('Lead angle', '90', { from: 15, to: 105 }, 'degrees'),
    d: aLength('Diameter in cut', '40'),
    n: aNumber('Speed', '500', { from: 1, to: 20000 }, 'rpm'),
  },
  answer: ({ material, ap, f, kappa, d, n }) => {
    const [, name, kc, mc] = kcLists.find(([id]) => id === material) ?? ['', '', 1780, 0.17];
    const force = figure('force', 'forceAtAngle', { kc, mc, ap, f, kappa });
    return {
      ok: true,
      rows: [
        { label: 'cutting force', value: force },
        { label: 'power at the tool', value: figure('power', 'power', { Fc: force.value, d, n }) },
        { label: 'kc1.1', value: fig('pressure', 'asNumber', { value: kc }, { source: 'Kienzle list, from memory' }) },
        { label: 'mc', value: fig('ratio', 'asNumber', { value: mc }, { source: 'Kienzle list, from memory' }) },
      ],
      remarks: [say`${name}: no factors of rake, speed or wear; a worn tool takes a third more. The motor gives up to a fifth to its drive`],
      sketch: chip(ap, f, kappa),
      source: 'Kienzle; kc1.1 and mc from memory of the usual list',
    };
  },
});

/** The chip in the plane of the tool: depth, feed and thickness. */
function chip(ap: number, f: number, kappa: number): Sketch {
  const lean = ap / Math.tan((kappa * Math.PI) / 180);
  return {
    about: 'the chip before it is cut, in the plane of bed and cross slide; the axis lies above',
    shapes: [
      area('metal', [-ap * 2, 0], [lean, 0], [0, -ap], [-ap * 2, -ap]),
      area('metal', [-ap * 2, 0], [ap * 1.2 + lean, 0], [ap * 1.2 + lean, ap * 0.7], [-ap * 2, ap * 0.7]),
      area('cut', [lean, 0], [lean + f, 0], [f, -ap], [0, -ap]),
      dim([-ap * 2, -ap], [-ap * 2, 0], 16, say`${length(ap, 0.01)}`),
      dim([0, -ap], [f, -ap], -16, say`${{ is: 'feed', value: f, step: FEED_STEP }}`),
    ],
  };
}

const life = calculator({
  id: 'tool-life',
  group: 'Speed and feed',
  title: 'Tool life from two tests',
  words: 'taylor wear minutes speed n C',
  fields: {
    v1: aNumber('First speed', '160', { from: 1, to: 2000 }, 'm/min'),
    t1: aNumber('lasted', '5', { from: 0.1, to: 10000 }, 'min'),
    v2: aNumber('Second speed', '100', { from: 1, to: 2000 }, 'm/min'),
    t2: aNumber('lasted', '41', { from: 0.1, to: 10000 }, 'min'),
    v: aNumber('Life at', '120', { from: 1, to: 2000 }, 'm/min'),
  },
  answer: ({ v1, t1, v2, t2, v }) => {
    if (v1 === v2 || v1 > v2 !== t1 < t2) return { ok: false, at: 't2', says: say`the faster of the two must wear sooner` };
    const law = { v1, t1, v2, t2 };
    const [n, C] = [fig('ratio', 'taylorN', law, { step: 0.001 }), fig('cuttingSpeed', 'taylorC', law, { step: 0.1 })];
    const found = fig('time', 'lifeAt', { C: C.value, n: n.value, v }, { step: 0.1 });
    return {
      ok: true,
      rows: [
        { label: say`life at ${{ is: 'cuttingSpeed', value: v }}`, value: found },
        { label: 'n', value: n },
        { label: 'C, lasts a minute', value: C },
      ],
      remarks: [say`good between the two speeds; far outside them it guesses`],
      sketch: lifeLine([
        [v1, t1],
        [v2, t2],
        [v, found.value],
      ]),
      source: 'Taylor, v T^n = C',
    };
  },
});

/** Speeds and lives on logarithmic scales, where the law is a straight line. */
function lifeLine(tests: readonly (readonly [v: number, t: number])[]): Sketch {
  const at = ([v, t]: readonly [number, number]): Point => [Math.log10(v) * 260, Math.log10(t) * 60];
  const sorted = tests.toSorted((a, b) => a[0] - b[0]).map(at);
  const [x0, y0] = [Math.min(...sorted.map(([x]) => x)) - 14, Math.min(0, ...sorted.map(([, y]) => y)) - 8];
  const [x1, y1] = [Math.max(...sorted.map(([x]) => x)) + 8, Math.max(...sorted.map(([, y]) => y)) + 12];
  return {
    about: 'life over speed, both scales logarithmic',
    shapes: [
      line('thin', [x0, y1], [x0, y0], [x1, y0]),
      line('ink', ...sorted),
      ...tests.flatMap((test) => [
        circle('gauge', at(test), 1),
        label(at(test), `${String(Number(test[0].toFixed(0)))} m/min, ${String(Number(test[1].toFixed(1)))} min`, 'right', 6),
      ]),
      label([x0, y1], 'minutes', 'right', 4),
      label([x1, y0], 'm/min', 'left', 4),
    ],
  };
}

const bending = calculator({
  id: 'deflection',
  group: 'Speed and feed',
  title: 'How far a bar bends',
  words: 'stiffness deflection stick-out tailstock beam springs away',
  fields: {
    d: aLength('Diameter', '20'),
    di: aLengthOrZero('Bore'),
    L: aLength('Length from the chuck', '200'),
    held: oneOf('Held', [
      ['chuck and centre', 'chuck and tailstock centre'],
      ['chuck', 'chuck alone'],
      ['centres', 'between centres'],
    ]),
    F: aNumber('Side force', '200', { from: 0.1, to: 100000 }, 'N'),
    at: aLengthOrNone('At, from the chuck (empty: the weakest place)'),
    material: aMaterial(),
  },
  answer: ({ d, di, L, held, F, at, material }) => {
    if (di >= d) return { ok: false, at: 'di', says: say`the bore must be smaller than the bar` };
    if (at !== undefined && at > L) return { ok: false, at: 'at', says: say`the place must lie on the bar, up to ${length(L)}` };
    const m = materialOf(material);
    const bar = { diameter: d, inside: di, modulus: m.modulus * 1000, length: L, held } as const;
    const a = at ?? weakestPlace(bar);
    const bent = fig(
      'length',
      'deflection',
      { d, di, E: m.modulus * 1000, L, F, a, held: { chuck: 1, centres: 2, 'chuck and centre': 3 }[held] },
      { step: 0.001 },
    );
    const shape = (x: number) => bentLine(bar, F, a, x);
    const rows: Row[] = [
      { label: 'bends', value: bent },
      { label: 'error on diameter', value: fig('length', 'onDiameter', { y: bent.value }, { step: 0.001 }) },
      { label: 'length to diameter', value: fig('ratio', 'stickOutRatio', { L, d }, { step: 0.1 }) },
    ];
    return {
      ok: true,
      rows,
      remarks: [
        say`chuck and centre give way too: the real one is more, often twice; the bar is plain here`,
        say`side force is about a third to a half of the cutting force with a sharp tool of 90 degrees, common practice`,
      ],
      ...(held === 'chuck' && L / d > 5 && { cautions: [say`over 5 diameters free: bring the tailstock centre up`] }),
      sketch: bentOf(L, d, a, held, shape),
      source: 'beam theory, closed forms',
    };
  },
});

const table = calculator({
  id: 'materials',
  group: 'Speed and feed',
  title: 'Materials',
  words: 'density expansion modulus hardness yield machinability iso 513 table',
  fields: { material: aMaterial() },
  answer: ({ material }) => {
    const m = materialOf(material);
    const source = `typical, from memory: ${m.source}`;
    const one = (text: string, is: 'ratio' | 'cuttingSpeed' | 'pressure', value: number, after: string): Row => ({
      label: text,
      value: fig(is, 'asNumber', { value }, { source }),
      after: say`${after}`,
    });
    return {
      ok: true,
      rows: [
        one('high-speed steel, start at', 'cuttingSpeed', m.hss, ''),
        one('carbide, start at', 'cuttingSpeed', m.carbide, ''),
        { label: 'group of ISO 513', says: say`${m.group === 'O' ? 'none, a plastic' : m.group}` },
        one('expansion', 'ratio', m.alpha, 'millionths a degree'),
        one('modulus', 'ratio', m.modulus, 'GPa'),
        one('density', 'ratio', m.density, 'kg/m³'),
        ...(m.hardness === '' ? [] : [{ label: 'hardness', says: say`${m.hardness}` }]),
        ...(m.yield === null ? [] : [one('yield', 'pressure', m.yield, '')]),
        one('kc1.1', 'pressure', m.kc, ''),
        one('mc', 'ratio', m.mc, ''),
      ],
      table: {
        head: ['material', 'group', 'expansion', 'modulus, GPa', 'density', 'steel tool', 'carbide'],
        rows: materials.map((row) => {
          const n = (is: 'ratio' | 'cuttingSpeed', value: number) =>
            fig(is, 'asNumber', { value }, { source: `typical, from memory: ${row.source}` });
          return [
            say`${row.name}`,
            say`${row.group}`,
            n('ratio', row.alpha),
            n('ratio', row.modulus),
            n('ratio', row.density),
            n('cuttingSpeed', row.hss),
            n('cuttingSpeed', row.carbide),
          ];
        }),
      },
      remarks: [say`${m.name}: ${m.note}`, say`typical values: handbooks differ by 3 to 10 %, plastics by 20 %`],
      sketch: startSpeeds(materials, m.name),
      source: 'typical, from memory',
    };
  },
});

export const speedCalculators = [speeds, forces, life, bending, table];
