import { length, say, tidy } from '../quantity';
import { aLength, aNumber, calculator, lengths, numbers, oneOf } from './fields';
import { fig } from './formulas';
import { area, circle, dim, label, line, polar } from './sketch';

const FINE = 0.001;
const rad = (degrees: number) => (degrees * Math.PI) / 180;

const rolls = calculator({
  id: 'taper-rolls',
  group: 'Tapers',
  title: 'Taper over rolls',
  words: 'measure taper rolls pins gauge blocks over plug angle small end',
  fields: {
    M1: aLength('Over rolls on the plate', '41.02'),
    M2: aLength('Over rolls on blocks', '43.52'),
    H: aLength('Blocks under them', '50'),
    d: aLength('Rolls', '10'),
  },
  answer: ({ M1, M2, H, d }) => {
    if (M2 <= M1) return { ok: false, at: 'M2', says: say`small end on the plate: over the blocks it must read more` };
    const half = fig('angle', 'rollsTaper', { M1, M2, H }, { step: FINE });
    const small = fig('diameter', 'rollsEnd', { M1, d, a: half.value }, { step: FINE });
    if (small.value <= 0) return { ok: false, at: 'd', says: say`these rolls are too thick for what was read over them` };
    const slope = 2 * Math.tan(rad(half.value));
    const tall = H * 1.5 + d;
    return {
      ok: true,
      rows: [
        { label: 'compound set to, half of the angle', value: half },
        { label: 'small end, on the plate', value: small },
        { label: 'slope, one in', value: fig('ratio', 'oneIn', { slope }, { step: FINE }) },
        { label: 'whole angle', value: fig('angle', 'included', { slope }, { step: FINE }) },
      ],
      remarks: [
        say`two alike rolls, two alike stacks; read with a light hand at the middle of the rolls. A hundredth in the difference is ${{ is: 'angle', value: (Math.atan(0.01 / 2 / H) * 180) / Math.PI, step: 0.001 }}`,
      ],
      sketch: {
        about: 'the cone upside down on the plate, rolls beside it below and on blocks',
        shapes: [
          area(
            'metal',
            [-small.value / 2, 0],
            [small.value / 2, 0],
            [small.value / 2 + tall * Math.tan(rad(half.value)), tall],
            [-small.value / 2 - tall * Math.tan(rad(half.value)), tall],
          ),
          line('ink', [-M2 / 2 - d, 0], [M2 / 2 + d, 0]),
          ...([-1, 1] as const).flatMap((s) => [
            circle('gauge', [s * (M1 / 2 - d / 2), d / 2], d / 2),
            circle('gauge', [s * (M2 / 2 - d / 2), H + d / 2], d / 2),
          ]),
          dim([-M1 / 2, 0], [M1 / 2, 0], -16, say`${length(M1, FINE)}`),
          dim([M2 / 2 + d * 0.3, 0], [M2 / 2 + d * 0.3, H], -16, say`${length(H, 0.01)}`),
        ],
      },
      source: 'geometry',
    };
  },
});

const dovetail = calculator({
  id: 'dovetails',
  group: 'Measuring',
  title: 'Dovetail over rolls',
  words: 'dovetail slide rolls pins male female measure',
  fields: {
    side: oneOf('It is', [
      ['out', 'the slide, outside'],
      ['in', 'the slot, inside'],
    ]),
    w: aLength('Width at its sharp corners', '40'),
    a: aNumber('Angle', '60', { from: 30, to: 80 }, 'degrees'),
    d: aLength('Rolls', '8'),
    deep: aLength('Depth', '12'),
  },
  answer: ({ side, w, a, d, deep }) => {
    const out = side === 'out';
    const M = fig('length', out ? 'dovetailOut' : 'dovetailIn', { w, d, a }, { step: FINE });
    if (M.value <= 0) return { ok: false, at: 'd', says: say`these rolls do not go into the slot` };
    const top = fig('length', 'dovetailTop', { w, deep: out ? deep : -deep, a }, { step: FINE });
    if (top.value <= 0) return { ok: false, at: 'deep', says: say`so deep a slot has no mouth` };
    const lean = deep / Math.tan(rad(a));
    const low = w / 2;
    const centre = d / 2 / Math.tan(rad(a / 2));
    return {
      ok: true,
      rows: [
        { label: out ? 'over the rolls' : 'between the rolls', value: M },
        { label: out ? 'across its top' : 'across its mouth', value: top },
      ],
      remarks: [
        say`the width is that of the sharp corners ${out ? 'below, where the slide is narrow' : 'at the bottom, where the slot is wide'}; a corner that is relieved changes nothing`,
      ],
      sketch: {
        about: 'the dovetail from the end with the rolls in its corners',
        shapes: [
          out
            ? area(
                'metal',
                [-low, 0],
                [-low - lean, deep],
                [low + lean, deep],
                [low, 0],
                [low * 1.9, 0],
                [low * 1.9, -deep * 0.6],
                [-low * 1.9, -deep * 0.6],
                [-low * 1.9, 0],
              )
            : area(
                'mate',
                [-low, 0],
                [-low + lean, deep],
                [-low * 1.5, deep],
                [-low * 1.5, -deep * 0.5],
                [low * 1.5, -deep * 0.5],
                [low * 1.5, deep],
                [low - lean, deep],
                [low, 0],
              ),
          ...([-1, 1] as const).map((s) => circle('gauge', [s * (out ? low + centre : low - centre), d / 2], d / 2)),
          dim([-M.value / 2, -deep * 0.6], [M.value / 2, -deep * 0.6], -14, say`${length(M.value, FINE)}`),
        ],
      },
      source: 'geometry',
    };
  },
});

const walls = calculator({
  id: 'walls',
  group: 'Measuring',
  title: 'Bore from walls',
  words: 'ring thickness wall readings concentric eccentric tube bore measured',
  fields: { D: aLength('Outside', '60'), at: lengths('Walls read round the ring', '7.52; 7.48; 7.46; 7.50') },
  answer: ({ D, at }) => {
    if (at.length < 2) return { ok: false, at: 'at', says: say`read the wall at two places at the least, better at four` };
    const mean = fig('length', 'wallMean', { sum: tidy(at.reduce((a, b) => a + b, 0)), n: at.length }, { step: FINE });
    const [most, least] = [Math.max(...at), Math.min(...at)];
    const off = fig('length', 'wallOff', { most, least }, { step: FINE });
    const bore = fig('diameter', 'wallBore', { D, mean: mean.value }, { step: FINE });
    if (bore.value <= 0) return { ok: false, at: 'D', says: say`these walls are thicker than the ring` };
    const where = at.indexOf(most);
    // drawn so that it is seen
    const seen = off.value === 0 ? 0 : Math.min(Math.max(off.value, D * 0.02), least / 2);
    const centre = polar([0, 0], seen, 90 - (360 * where) / at.length + 180);
    return {
      ok: true,
      rows: [
        { label: 'bore', value: bore },
        { label: 'mean wall', value: mean },
        { label: 'bore off centre by', value: off },
        { label: 'it runs out, TIR', value: fig('length', 'wallRun', { e: off.value }, { step: FINE }) },
      ],
      remarks: [
        say`read evenly round, with a ball anvil inside; the bore lies away from the thickest wall. Opposite walls differ by twice what it is off`,
      ],
      sketch: {
        about: 'the ring from the end, its bore off the middle, enlarged; readings round it',
        shapes: [
          circle('metal', [0, 0], D / 2),
          circle('cut', centre, bore.value / 2),
          ...at.slice(0, 12).map((wall, i) => label(polar([0, 0], D * 0.58, 90 - (360 * i) / at.length), say`${length(wall, FINE)}`)),
        ],
      },
      source: 'geometry; tir, common practice',
    };
  },
});

const sets = {
  m47: [
    1.005,
    ...Array.from({ length: 9 }, (_, i) => 1.01 + 0.01 * i),
    ...Array.from({ length: 9 }, (_, i) => 1.1 + 0.1 * i),
    ...Array.from({ length: 24 }, (_, i) => 1 + i),
    25,
    50,
    75,
    100,
  ],
  m87: [
    ...Array.from({ length: 9 }, (_, i) => 1.001 + 0.001 * i),
    ...Array.from({ length: 49 }, (_, i) => 1.01 + 0.01 * i),
    ...Array.from({ length: 19 }, (_, i) => 0.5 + 0.5 * i),
    ...Array.from({ length: 10 }, (_, i) => 10 + 10 * i),
  ],
  i81: [
    ...Array.from({ length: 9 }, (_, i) => 0.1001 + 0.0001 * i),
    ...Array.from({ length: 49 }, (_, i) => 0.101 + 0.001 * i),
    ...Array.from({ length: 19 }, (_, i) => 0.05 + 0.05 * i),
    1,
    2,
    3,
    4,
  ].map((inch) => inch * 25.4),
} as const;

/**
 * Fewest blocks of a set that make a length, each used once; the nearest where none does. Lengths in mm.
 * @param most blocks in a stack
 */
export function stack(wanted: number, set: readonly number[], most = 5): readonly number[] {
  // counted in ten-thousandths of a millimetre, or of an inch in an inch set: whole numbers add up exactly
  const unit = set.some((b) => Math.abs(b * 1000 - Math.round(b * 1000)) > 1e-6) ? 25.4e-4 : 1e-3;
  const sizes = [...new Set(set.map((b) => Math.round(b / unit)))].toSorted((a, b) => b - a);
  const target = Math.round(wanted / unit);
  const known = new Set(sizes);
  let best: readonly number[] = [];
  let off = target;
  const take = (rest: number, from: number, left: number, chosen: readonly number[]): boolean => {
    if (Math.abs(rest) < off) {
      off = Math.abs(rest);
      best = chosen;
    }
    if (rest === 0) return true;
    if (left === 0 || rest < 0) return false;
    if (left === 1) return known.has(rest) && !chosen.includes(rest) ? take(0, sizes.length, 0, [...chosen, rest]) : false;
    for (let i = from; i < sizes.length; i++) {
      const size = sizes[i] ?? 0;
      if (size > rest) continue;
      // what is left cannot be made of so few that are smaller
      if (size * left < rest) break;
      if (take(rest - size, i + 1, left - 1, [...chosen, size])) return true;
    }
    return false;
  };
  for (let count = 1; count <= most; count++) if (take(target, 0, count, [])) break;
  return best.map((b) => tidy(b * unit));
}

const blocks = calculator({
  id: 'gauge-blocks',
  group: 'Measuring',
  title: 'Stack of gauge blocks',
  words: 'gauge blocks slip gauges stack wring set',
  fields: {
    wanted: aLength('Wanted', '26.485'),
    set: oneOf('Set', [
      ['m47', '47 blocks, metric'],
      ['m87', '87 blocks, metric'],
      ['i81', '81 blocks, inch'],
      ['own', 'those typed below'],
    ]),
    own: numbers('Own blocks', '1.005 1.01 1.02 1.05 1.1 1.2 1.5 2 3 5 10 20 25 50', { from: 0.05, to: 500 }, 'mm'),
  },
  answer: ({ wanted, set, own }) => {
    const owned = set === 'own' ? own : sets[set];
    if (wanted > 600) return { ok: false, at: 'wanted', says: say`stacks here go to ${length(600)}` };
    const taken = stack(wanted, owned);
    if (taken.length === 0) return { ok: false, at: 'wanted', says: say`none of these blocks is so small` };
    const sum = fig('length', 'blocksSum', { blocks: taken }, { step: 0.0001 });
    const off = fig('length', 'stackOff', { sum: sum.value, wanted }, { step: 0.0001 });
    let x = 0;
    const shapes = taken.map((b) => {
      const from = x;
      x += b;
      return area('gauge', [from, 0], [x, 0], [x, 9], [from, 9]);
    });
    return {
      ok: true,
      rows: [
        { label: 'take', says: taken.flatMap((b, i) => [...(i === 0 ? [] : [', ']), length(b, 0.0001)]) },
        { label: 'stack', value: sum },
        { label: 'off by', value: off },
        { label: 'blocks', value: fig('count', 'asNumber', { value: taken.length }, { source: 'as taken' }) },
      ],
      remarks: [say`the fewest that make it, each once; wiped, wrung, and left to come to the warmth of the room`],
      sketch: { about: 'the stack, its blocks in a row', shapes: [...shapes, dim([0, 9], [x, 9], 12, say`${length(sum.value, 0.0001)}`)] },
      source: 'arithmetic; sets as they are usually sold, common practice',
    };
  },
});

const gearBlank = calculator({
  id: 'gear-blank',
  group: 'Gears',
  title: 'Blank for a spur gear',
  words: 'module dp diametral pitch teeth outside diameter depth span centre distance',
  fields: {
    m: aLength('Module', '2'),
    z: aNumber('Teeth', '20', { from: 6, to: 400, whole: true }),
    z2: aNumber('Teeth of its mate', '40', { from: 6, to: 400, whole: true }),
    x: aNumber('Shift', '0', { from: -1, to: 1 }, 'modules'),
    a: oneOf('Pressure angle', [
      ['20', '20°'],
      ['14.5', '14.5°'],
    ]),
  },
  answer: ({ m, z, z2, x, a }) => {
    const k = Math.max(2, Math.round((z * Number(a)) / 180 + 0.5));
    const outside = fig('diameter', 'gearOutside', { m, z, x }, { step: FINE });
    const at = fig('diameter', 'gearPitch', { m, z }, { step: FINE });
    const root = fig('diameter', 'gearRoot', { m, z, x }, { step: FINE });
    const shown = Math.min(z, 120);
    const teeth = Array.from({ length: 4 * shown }, (_, i) =>
      polar([0, 0], (i % 4 < 2 ? outside.value : root.value) / 2, (360 * (i + 0.5)) / (4 * shown)),
    );
    return {
      ok: true,
      rows: [
        { label: 'turn the blank to', value: outside },
        { label: 'depth of the teeth', value: fig('length', 'gearDepth', { m }, { step: FINE }) },
        { label: 'pitch circle', value: at },
        { label: 'at the roots', value: root },
        { label: 'between centres with its mate', value: fig('length', 'gearCentres', { m, z1: z, z2 }, { step: FINE }) },
        ...(x === 0
          ? [
              {
                label: `over ${String(k)} teeth`,
                value: fig('length', 'gearSpan', { m, z, k, a: Number(a) }, { step: FINE }),
                after: say`without backlash`,
              },
            ]
          : []),
      ],
      remarks: [
        ...(z < 17 && x === 0 && a === '20' ? [say`under 17 teeth the roots are undercut: shift it, or take more teeth`] : []),
        say`module is ${25.4} over diametral pitch; outside and bore in one chucking, so that the teeth run true to the bore`,
      ],
      sketch: {
        about: 'the gear from the end, teeth drawn straight',
        shapes: [
          area('metal', ...teeth),
          circle('chain', [0, 0], at.value / 2),
          dim([-outside.value / 2, -outside.value * 0.58], [outside.value / 2, -outside.value * 0.58], -10, say`${length(outside.value, FINE)}`),
        ],
      },
      uses: [{ text: String(Math.round(outside.value * 1000) / 1000), words: 'outside diameter' }],
      source: 'ISO 53, from memory; involute geometry',
    };
  },
});

export const rollTaperCalculators = [rolls];
export const rollCalculators = [dovetail, walls, blocks];
export const gearBlankCalculators = [gearBlank];
