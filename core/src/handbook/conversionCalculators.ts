import { type Figure, say } from '../quantity';
import { aNumber, aNumberOrNone, calculator, oneOf } from './fields';
import { fig } from './formulas';
import { area, circle, label, line, type Point, type Sketch } from './sketch';

/** Two scales with a mark on each, as one looks rather than reads. */
function scales(rows: readonly (readonly [words: string, from: number, to: number, at: number])[], about: string): Sketch {
  return {
    about,
    shapes: rows.flatMap(([words, from, to, at], i) => {
      const y = -14 * i;
      const x = (v: number) => (110 * (v - from)) / (to - from || 1);
      return [
        line('ink', [0, y], [110, y]),
        ...Array.from({ length: 6 }, (_, k) => line('thin', [22 * k, y], [22 * k, y + 2.5])),
        circle('gauge', [Math.min(110, Math.max(0, x(at))), y], 1.6),
        label([-2, y], words, 'left', -4),
        label([0, y], String(Number(from.toPrecision(3))), 'middle', -14),
        label([110, y], String(Number(to.toPrecision(3))), 'middle', -14),
      ];
    }),
  };
}

/** HV, tensile strength N/mm2, HB, HRC: unalloyed and low-alloy steel. @source ISO 18265 table A.1 (DIN 50150), from memory */
const hardnesses: readonly (readonly [hv: number, rm: number, hb: number, hrc: number | null])[] = [
  [80, 255, 76, null],
  [100, 320, 95, null],
  [120, 385, 114, null],
  [140, 450, 133, null],
  [160, 510, 152, null],
  [180, 575, 171, null],
  [200, 640, 190, null],
  [220, 705, 209, null],
  [240, 770, 228, 20.3],
  [260, 835, 247, 24],
  [280, 900, 266, 27.1],
  [300, 965, 285, 29.8],
  [320, 1030, 304, 32.2],
  [340, 1095, 323, 34.4],
  [360, 1155, 342, 36.6],
  [380, 1220, 361, 38.8],
  [400, 1290, 380, 40.8],
  [420, 1350, 399, 42.7],
  [440, 1420, 418, 44.5],
  [460, 1485, 437, 46.1],
  [480, 1555, 456, 47.7],
  [500, 1630, 475, 49.1],
  [520, 1700, 494, 50.5],
  [540, 1775, 513, 51.7],
  [560, 1845, 532, 53],
  [580, 1920, 551, 54.1],
  [600, 1995, 570, 55.2],
  [620, 2070, 589, 56.3],
  [640, 2145, 608, 57.3],
  [650, 2180, 618, 57.8],
];
const columns = { HV: 0, Rm: 1, HB: 2, HRC: 3 } as const;
type Column = keyof typeof columns;

const hardness = calculator({
  id: 'hardness',
  group: 'Measuring',
  title: 'Hardness: HV, HB, HRC, strength',
  words: 'hardness conversion vickers brinell rockwell tensile strength iso 18265',
  fields: {
    scale: oneOf('Scale', [
      ['HRC', 'HRC'],
      ['HB', 'HB'],
      ['HV', 'HV'],
      ['Rm', 'tensile strength, N/mm²'],
    ]),
    value: aNumber('Value', '45', { from: 1, to: 3000 }),
  },
  answer: ({ scale, value }) => {
    const has = hardnesses.filter((row) => row[columns[scale]] !== null);
    const of = (row: (typeof hardnesses)[number], c: Column): number | null => row[columns[c]];
    const above = has.findIndex((row) => (of(row, scale) ?? 0) >= value);
    const [first, last] = [has[0], has.at(-1)];
    if (!first || !last || above < 0 || value < (of(first, scale) ?? 0))
      return {
        ok: false,
        at: 'value',
        says: say`${scale} goes from ${of(first ?? [0, 0, 0, null], scale) ?? 0} to ${of(last ?? [0, 0, 0, null], scale) ?? 0} in this table`,
      };
    const [low, high] = [has[Math.max(0, above - 1)] ?? first, has[above] ?? last];
    const source = 'ISO 18265 table A.1, unalloyed and low-alloy steel; from memory';
    const one = (c: Column, is: 'ratio' | 'pressure', step: number): Figure | undefined => {
      const [y0, y1] = [of(low, c), of(high, c)];
      if (y0 === null || y1 === null) return undefined;
      return fig(is, 'between', { x: value, x0: of(low, scale) ?? 0, x1: of(high, scale) ?? 0, y0, y1 }, { step, source });
    };
    const words: Readonly<Record<Column, string>> = { HV: 'HV', HB: 'HB', HRC: 'HRC', Rm: 'tensile strength' };
    const all = (['HV', 'HB', 'HRC', 'Rm'] as const).flatMap((c) => {
      const found = c === scale ? undefined : one(c, c === 'Rm' ? 'pressure' : 'ratio', c === 'HRC' ? 0.1 : 1);
      return found ? [{ label: words[c], value: found }] : [];
    });
    const hv = scale === 'HV' ? value : (one('HV', 'ratio', 1)?.value ?? 0);
    return {
      ok: true,
      rows: all,
      remarks: [
        say`for plain and low-alloy steels, give or take 5 %; work-hardened, stainless and cast metal convert otherwise; test on the part itself where it matters`,
      ],
      sketch: scales(
        [
          ['HV', 80, 650, hv],
          ['HRC', 20, 58, (scale === 'HRC' ? value : one('HRC', 'ratio', 0.1)?.value) ?? 20],
        ],
        'hardness on two scales',
      ),
      source,
    };
  },
});

const temperature = calculator({
  id: 'temperatures',
  group: 'Measuring',
  title: 'Temperature',
  words: 'celsius fahrenheit kelvin conversion degrees',
  fields: {
    scale: oneOf('Scale', [
      ['C', '°C'],
      ['F', '°F'],
    ]),
    value: aNumber('Value', '20', { from: -459, to: 5000 }),
  },
  answer: ({ scale, value }) => {
    const C =
      scale === 'C' ? fig('ratio', 'asNumber', { value }, { step: 0.1, source: 'typed' }) : fig('ratio', 'celsius', { F: value }, { step: 0.1 });
    if (C.value < -273.15) return { ok: false, at: 'value', says: say`that is colder than there is` };
    const F =
      scale === 'F' ? fig('ratio', 'asNumber', { value }, { step: 0.1, source: 'typed' }) : fig('ratio', 'fahrenheit', { C: value }, { step: 0.1 });
    return {
      ok: true,
      rows: [
        { label: '°C', value: C },
        { label: '°F', value: F },
        { label: 'K', value: fig('ratio', 'kelvin', { C: C.value }, { step: 0.1 }) },
      ],
      remarks: [say`20 °C (68 °F) is what sizes are stated at: ISO 1`],
      sketch: scales(
        [
          ['°C', 0, 100, C.value],
          ['°F', 32, 212, F.value],
        ],
        'a thermometer of two scales',
      ),
      source: 'definition',
    };
  },
});

const pressureUnits = [
  ['bar', 'bar', 1e5],
  ['MPa', 'MPa, N/mm²', 1e6],
  ['psi', 'psi', 6894.757293],
  ['kPa', 'kPa', 1e3],
  ['at', 'kgf/cm²', 98066.5],
  ['atm', 'atm', 101325],
] as const;

const pressure = calculator({
  id: 'pressures',
  group: 'Measuring',
  title: 'Pressure',
  words: 'bar psi megapascal conversion strength n/mm2 ksi',
  fields: {
    unit: oneOf(
      'Unit',
      pressureUnits.map(([id, words]) => [id, words] as const),
    ),
    value: aNumber('Value', '6', { from: 0, to: 1e9 }),
  },
  answer: ({ unit, value }) => {
    const pa = value * (pressureUnits.find(([id]) => id === unit)?.[2] ?? 1);
    const digits = (v: number) => 10 ** (Math.floor(Math.log10(Math.max(v, 1e-9))) - 3);
    return {
      ok: true,
      rows: pressureUnits
        .filter(([id]) => id !== unit)
        .map(([, words, size]) => ({ label: words, value: fig('ratio', 'inUnit', { pa, unit: size }, { step: digits(pa / size) }) })),
      remarks: [say`strengths in ksi are thousands of psi: 1 ksi is ${6.895} N/mm²`],
      sketch: scales(
        [
          ['bar', 0, Math.max(10, 2 * (pa / 1e5)), pa / 1e5],
          ['psi', 0, Math.max(10, 2 * (pa / 1e5)) * 14.5038, pa / 6894.757293],
        ],
        'a gauge of two scales',
      ),
      source: 'definitions',
    };
  },
});

/** Grade, Ra um, usual range of Rz um. @source ISO 1302 annex (grades), Rz of Ra by DIN 4768 supplement; from memory */
const grades: readonly (readonly [name: string, ra: number, rzFrom: number, rzTo: number, by: string])[] = [
  ['N1', 0.025, 0.1, 0.4, 'lapping, polishing'],
  ['N2', 0.05, 0.2, 0.8, 'lapping, honing'],
  ['N3', 0.1, 0.4, 1.25, 'honing, fine grinding'],
  ['N4', 0.2, 0.8, 2, 'grinding, honing'],
  ['N5', 0.4, 1.6, 4, 'grinding, reaming'],
  ['N6', 0.8, 3.15, 6.3, 'fine turning, reaming, grinding'],
  ['N7', 1.6, 6.3, 12.5, 'finish turning, boring'],
  ['N8', 3.2, 12.5, 25, 'turning, drilling and boring'],
  ['N9', 6.3, 25, 50, 'turning, drilling'],
  ['N10', 12.5, 50, 100, 'roughing, sawing'],
  ['N11', 25, 100, 160, 'roughing, sawing'],
  ['N12', 50, 160, 250, 'flame cut, sawn'],
];

const roughness = calculator({
  id: 'roughness-grades',
  group: 'Finish',
  title: 'Grades of finish: N, Ra, Rz',
  words: 'n6 n7 ra rz triangles surface grade microinch roughness conversion',
  fields: { Ra: aNumberOrNone('Ra', { from: 0.005, to: 100 }, 'µm'), N: aNumberOrNone('or grade N', { from: 1, to: 12, whole: true }) },
  answer: ({ Ra, N }) => {
    const wanted = Ra ?? grades[(N ?? 7) - 1]?.[1] ?? 1.6;
    const near = grades.toSorted((a, b) => Math.abs(Math.log(a[1] / wanted)) - Math.abs(Math.log(b[1] / wanted)))[0];
    if (!near) return { ok: false, says: say`nothing near it` };
    const source = 'ISO 1302 annex; Rz of Ra by DIN 4768 supplement, from memory';
    const um = (value: number) => fig('roughness', 'asNumber', { value }, { step: 0.001, source });
    return {
      ok: true,
      rows: [
        { label: 'grade', says: say`${near[0]}` },
        { label: 'Ra', value: um(near[1]) },
        { label: 'Rz from', value: um(near[2]) },
        { label: 'Rz to', value: um(near[3]) },
        { label: 'usually by', says: say`${near[4]}` },
      ],
      table: {
        head: ['grade', 'Ra, µm', 'Rz from', 'to', 'usually by'],
        rows: grades.map(([name, ra, from, to, by]) => [say`${name}`, um(ra), um(from), um(to), say`${by}`]),
      },
      remarks: [
        say`Rz is four to ten times Ra and no more exactly: the shape of the marks decides; a drawing that wants one is measured in that one`,
      ],
      sketch: {
        about: 'a rough line with its mean and its height, enlarged',
        shapes: [
          line('ink', ...Array.from({ length: 61 }, (_, i): Point => [2 * i, 8 * Math.abs((i % 12) / 6 - 1) + 1.5 * Math.sin(i * 2.1)])),
          line('chain', [0, 4], [120, 4]),
          area('cut', [0, -6], [120, -6], [120, -8], [0, -8]),
          label([122, 4], 'mean line', 'right', -4),
        ],
      },
      source,
    };
  },
});

export const conversionCalculators = [hardness, temperature, pressure];
export const gradeCalculators = [roughness];
