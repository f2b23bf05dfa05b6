import { diameter, length, say } from '../quantity';
import { practice } from '../shop';
import { keywayFor, knurlBlank, materialOf } from '../standards';
import { aFeed, aLength, aLengthOrNone, aLengthOrZero, aMaterial, aNumber, calculator, oneOf } from './fields';
import { fig } from './formulas';
import { kcLists } from './kc';
import { area, circle, dim, label, line, mirrored, type Point, polar } from './sketch';

const FINE = 0.001;

const keyway = calculator({
  id: 'keyways',
  group: 'Holes and grooves',
  title: 'Keyway for a shaft',
  words: 'key parallel key seat din 6885 iso 773 hub depth width',
  fields: { d: aLength('Shaft', '25') },
  answer: ({ d }) => {
    const key = keywayFor(d);
    if (!key.ok) return { ...key, at: 'd' };
    const source = 'DIN 6885-1 (ISO/R 773), from memory';
    const one = (words: string, value: number) => ({ label: words, value: fig('length', 'asTable', { value }, { step: 0.01, source }) });
    const [b, t1, t2] = [key.width, key.depthInShaft, key.depthInHub];
    const r = d / 2;
    const half = Math.sqrt(r ** 2 - (b / 2) ** 2);
    const round = Array.from({ length: 61 }, (_, i) =>
      polar([0, 0], r, 90 + (Math.asin(b / 2 / r) * 180) / Math.PI + (i / 60) * (360 - 2 * ((Math.asin(b / 2 / r) * 180) / Math.PI))),
    );
    return {
      ok: true,
      rows: [
        one('width of the key', b),
        one('height of the key', key.height),
        one('depth in the shaft', t1),
        one('depth in the hub', t2),
        { label: 'left under it, from the far side', value: fig('length', 'leftUnderKey', { d, depth: t1 }, { step: 0.01 }) },
        { label: 'over bore and keyway of the hub', value: fig('length', 'overKey', { d, depth: t2 }, { step: 0.01 }) },
        {
          label: 'the cutter cuts its full width from',
          value: fig('length', 'chordHeight', { d, b }, { step: FINE }),
          after: say`below the top of the shaft`,
        },
      ],
      remarks: [
        say`width P9 for a key that stays, N9 for one that is tapped in, H9 where it slides; depths +${0.1} up to a key of 6, +${0.2} over it`,
        say`depth is counted from the top of the shaft; measured over the flat it is what is left under it`,
      ],
      cautions: [say`keyways are milled or shaped: the piece is held on soft jaws or in a vee, and deburred before the key goes in`],
      sketch: {
        about: 'shaft and keyway from the end',
        shapes: [
          area('metal', ...round, [b / 2, r - t1], [-b / 2, r - t1]),
          line('thin', [-b / 2, half], [-b / 2, r - t1 + key.height], [b / 2, r - t1 + key.height], [b / 2, half]),
          line('chain', [-r * 1.15, 0], [r * 1.15, 0]),
          line('chain', [0, -r * 1.15], [0, r * 1.25]),
          dim([-b / 2, r + t2], [b / 2, r + t2], 12, say`${length(b, 0.01)}`),
          dim([r * 1.05, r], [r * 1.05, r - t1], -16, say`${length(t1, 0.01)}`),
        ],
      },
      source,
    };
  },
});

const knurl = calculator({
  id: 'knurls',
  group: 'Holes and grooves',
  title: 'Blank for a knurl',
  words: 'knurling pitch teeth diamond straight din 82 grows',
  fields: {
    d: aLength('Over the knurl', '20'),
    pitch: aLength('Pitch of the wheels', '1'),
    form: oneOf('Knurl', [
      ['straight', 'straight'],
      ['diamond', 'diamond, raised points'],
    ]),
  },
  answer: ({ d, pitch, form }) => {
    const found = knurlBlank(d, pitch, form);
    const blank = fig('diameter', 'knurlBlank', { teeth: found.teeth, pitch }, { step: 0.01 });
    return {
      ok: true,
      rows: [
        { label: 'turn the blank to', value: blank },
        { label: 'teeth that close', value: fig('count', 'knurlTeeth', { blank: found.blank, pitch }) },
      ],
      remarks: [say`metal differs: press in a little, look whether the marks meet after a turn, then go on; soft metal rises more`],
      cautions: [say`knurling loads the bearings: bring the tailstock centre up, slow, oil, and hands clear of the wheels`],
      sketch: {
        about: 'the blank, and how far the knurl rises over it, enlarged',
        shapes: [
          area('metal', [-d / 2, 0], ...Array.from({ length: 21 }, (_, i): Point => [-d / 2 + (i * d) / 20, d * 0.3 + (i % 2) * pitch * 0.5]), [
            d / 2,
            0,
          ]),
          line('thin', [-d * 0.55, d * 0.3], [d * 0.55, d * 0.3]),
          label([0, d * 0.12], say`blank ${diameter(found.blank, 0.01)}`),
          dim([-d / 2, -d * 0.02], [-d / 2 + d / 10, -d * 0.02], -12, say`pitch ${length(pitch, 0.01)}`),
        ],
      },
      uses: [{ text: String(Math.round(d * 1000) / 1000), words: 'diameter over the knurl' }],
      source: 'DIN 82, from memory',
    };
  },
});

const drillForce = calculator({
  id: 'drill-force',
  group: 'Speed and feed',
  title: 'Torque and thrust of a drill',
  words: 'drilling force power push tailstock quill torque kienzle',
  fields: {
    material: oneOf(
      'Material',
      kcLists.map(([id, name]) => [id, name] as const),
    ),
    D: aLength('Drill', '12'),
    d: aLengthOrZero('Pilot hole'),
    f: aFeed('Feed', '0.15', { from: 0.005, to: 2 }),
    point: aNumber('Point', '118', { from: 60, to: 150 }, 'degrees'),
    n: aNumber('Speed', '500', { from: 1, to: 20000 }, 'rpm'),
  },
  answer: ({ material, D, d, f, point, n }) => {
    if (d >= D) return { ok: false, at: 'd', says: say`the pilot must be smaller than the drill` };
    const [, name, kc1, mc] = kcLists.find(([id]) => id === material) ?? ['', '', 1780, 0.17];
    const kc = fig('pressure', 'kcAtDrill', { kc: kc1, mc, f, point });
    const M = fig('torque', 'drillTorque', { kc: kc.value, D, d, f }, { step: 0.1 });
    return {
      ok: true,
      rows: [
        { label: 'torque', value: M },
        { label: 'thrust', value: fig('force', 'drillThrust', { kc: kc.value, D, d, f, half: point / 2 }, { step: 10 }) },
        { label: 'power', value: fig('power', 'torquePower', { n, M: M.value }, { step: 0.01 }) },
        { label: 'kc at this feed', value: kc },
      ],
      remarks: [
        say`${name}: sharp, two lips, no factors of wear: a worn one takes half as much again`,
        say`the tailstock holds the thrust by its clamp; a pilot as wide as the chisel edge takes most of the push away`,
      ],
      cautions: [say`a drill grabs as it breaks through: ease the feed; the chuck of the tailstock must be tight in its taper`],
      sketch: {
        about: 'the drill from the side in its hole, the point below',
        shapes: [
          area(
            'metal',
            [-D, 0],
            [-D / 2, 0],
            [-D / 2, -D],
            [0, -D - D / 2 / Math.tan((point * Math.PI) / 360)],
            [D / 2, -D],
            [D / 2, 0],
            [D, 0],
            [D, -2.2 * D],
            [-D, -2.2 * D],
          ),
          area('gauge', [-D / 2, D * 0.4], [-D / 2, -D], [0, -D - D / 2 / Math.tan((point * Math.PI) / 360)], [D / 2, -D], [D / 2, D * 0.4]),
          ...(d > 0 ? [line('thin', [-d / 2, -D], [-d / 2, -2.2 * D]), line('thin', [d / 2, -D], [d / 2, -2.2 * D])] : []),
          dim([-D / 2, D * 0.45], [D / 2, D * 0.45], 10, say`${diameter(D, 0.01)}`),
        ],
      },
      source: 'Kienzle; kc1.1 and mc from memory of the usual list',
    };
  },
});

const forms = [
  ['round', 'round'],
  ['tube', 'tube'],
  ['hex', 'hexagon'],
  ['square', 'square'],
  ['flat', 'flat'],
] as const;

const weight = calculator({
  id: 'weight',
  group: 'On the mill or drill',
  title: 'Weight of a bar or a part',
  words: 'mass density kilogram per metre bar plate tube hexagon',
  fields: {
    material: aMaterial(),
    form: oneOf('Form', forms),
    across: aLength('Across, or width', '20'),
    second: aLengthOrNone('Bore of a tube, or height of a flat'),
    L: aLength('Length', '1000'),
    n: aNumber('Pieces', '1', { from: 1, to: 10000, whole: true }),
  },
  answer: ({ material, form, across, second, L, n }) => {
    const m = materialOf(material);
    if (form === 'tube' && (second === undefined || second >= across))
      return { ok: false, at: 'second', says: say`the bore of the tube is wanted, smaller than it is across` };
    if (form === 'flat' && second === undefined) return { ok: false, at: 'second', says: say`the height of the flat is wanted` };
    const bore = form === 'tube' ? (second ?? 0) : 0;
    const A =
      form === 'flat'
        ? fig('ratio', 'crossFlat', { w: across, h: second ?? across }, { step: 0.1 })
        : form === 'round' || form === 'tube'
          ? fig('ratio', 'crossRound', { D: across, d: bore }, { step: 0.1 })
          : fig('ratio', 'crossSided', { n: form === 'hex' ? 6 : 4, s: across, d: 0 }, { step: 0.1 });
    const one = fig('mass', 'massOf', { A: A.value, L, rho: m.density }, { step: 0.001, source: `density typical, from memory: ${m.source}` });
    const sides = form === 'hex' ? 6 : form === 'square' ? 4 : 0;
    return {
      ok: true,
      rows: [
        { label: n > 1 ? 'one weighs' : 'it weighs', value: one },
        ...(n > 1 ? [{ label: 'all together', value: fig('mass', 'sumOf', { one: one.value, n }, { step: 0.01 }) }] : []),
        { label: 'a metre weighs', value: fig('mass', 'massOf', { A: A.value, L: 1000, rho: m.density }, { step: 0.001 }) },
        { label: 'cross section, mm²', value: A },
        { label: 'density, kg/m³', value: fig('ratio', 'asNumber', { value: m.density }, { source: `typical, from memory: ${m.source}` }) },
      ],
      remarks: [say`of a part of several diameters: row by row, holes as rounds taken off; Drawing says it of a drawn part`],
      sketch: {
        about: 'the section of the bar',
        shapes:
          sides > 0
            ? [
                area(
                  'metal',
                  ...Array.from({ length: sides }, (_, i) =>
                    polar([0, 0], across / 2 / Math.cos(Math.PI / sides), 360 / sides / 2 + (360 * i) / sides),
                  ),
                ),
                dim([-across / 2, -across * 0.65], [across / 2, -across * 0.65], -10, say`${length(across, 0.01)}`),
              ]
            : form === 'flat'
              ? [
                  area('metal', [0, 0], [across, 0], [across, second ?? across], [0, second ?? across]),
                  dim([0, 0], [across, 0], -12, say`${length(across, 0.01)}`),
                ]
              : [
                  circle('metal', [0, 0], across / 2),
                  ...(bore > 0 ? [circle('cut', [0, 0], bore / 2)] : []),
                  dim([-across / 2, -across * 0.6], [across / 2, -across * 0.6], -10, say`${diameter(across, 0.01)}`),
                ],
      },
      source: 'geometry; densities typical, from memory',
    };
  },
});

type WayName = 'bore' | 'ream' | 'hone' | 'grind' | 'turn';
const wayWords: Readonly<Record<WayName, string>> = {
  bore: 'finish by boring',
  ream: 'ream',
  hone: 'hone',
  grind: 'grind',
  turn: 'finish by turning',
};
/** What is left on diameter for a finishing way, mm; by size. @source common practice */
function leaves(way: WayName, d: number): readonly [least: number, most: number] {
  if (way === 'ream')
    return d < 6
      ? [practice.reamSmallLeast, practice.reamSmallMost]
      : d < practice.reamWideFrom
        ? [practice.reamLeast, practice.reamMost]
        : [practice.reamWideLeast, practice.reamWideMost];
  if (way === 'hone') return d < 25 ? [0.02, 0.05] : d < 80 ? [0.04, 0.08] : [0.06, 0.12];
  if (way === 'grind') return d < 20 ? [0.2, 0.3] : d < 60 ? [0.3, 0.4] : [0.4, 0.6];
  return d < 30 ? [0.4, 0.8] : [0.6, 1.2];
}

const allowances = calculator({
  id: 'allowances',
  group: 'Sizes and fits',
  title: 'What to leave for reaming, boring, honing, grinding',
  words: 'allowance drill before reamer leave on stock finish',
  fields: {
    d: aLength('Finished size', '12'),
    way: oneOf(
      'Finished by',
      (['ream', 'bore', 'hone', 'grind', 'turn'] as const).map((w) => [w, wayWords[w]] as const),
    ),
    side: oneOf('It is', [
      ['hole', 'a hole'],
      ['shaft', 'a shaft'],
    ]),
  },
  answer: ({ d, way, side }) => {
    if (side === 'shaft' && (way === 'ream' || way === 'bore')) return { ok: false, at: 'way', says: say`a shaft is neither reamed nor bored` };
    if (side === 'hole' && way === 'turn') return { ok: false, at: 'way', says: say`a hole is bored, reamed, honed or ground` };
    const [least, most] = leaves(way, d);
    const sign = side === 'hole' ? 1 : -1;
    const source = 'common practice';
    const to = (leave: number) => fig('diameter', 'leaveMiddle', { size: d, leave: sign * leave }, { step: 0.01 });
    const middle = (least + most) / 2;
    return {
      ok: true,
      rows: [
        { label: 'leave on diameter, least', value: fig('length', 'asTable', { value: least }, { step: 0.01, source }) },
        { label: 'most', value: fig('length', 'asTable', { value: most }, { step: 0.01, source }) },
        { label: side === 'hole' ? 'make the hole first to' : 'turn it first to', value: to(middle) },
        { label: 'between', value: to(sign > 0 ? most : least) },
        { label: 'and', value: to(sign > 0 ? least : most) },
      ],
      remarks: [
        way === 'ream'
          ? say`too little and the reamer rubs and work-hardens stainless, too much and it cuts over size; a drilled hole is larger than its drill, so bore it where it must lie true`
          : way === 'hone'
            ? say`a hone follows the hole: it makes it round and smooth, not straight`
            : say`more for long or bent work, and after hardening, which moves it`,
      ],
      sketch: {
        about: 'the finished size and what is left for it, enlarged',
        shapes: [
          area(
            'metal',
            [0, side === 'hole' ? d / 2 : 0],
            [d * 1.5, side === 'hole' ? d / 2 : 0],
            [d * 1.5, side === 'hole' ? d : d / 2],
            [0, side === 'hole' ? d : d / 2],
          ),
          area('cut', [0, d / 2], [d * 1.5, d / 2], [d * 1.5, d / 2 - sign * d * 0.06], [0, d / 2 - sign * d * 0.06]),
          line('chain', [-d * 0.1, 0], [d * 1.6, 0]),
          dim([0, 0], [0, d / 2], 14, say`half of ${diameter(d, 0.01)}`),
        ],
      },
      source,
    };
  },
});

const collets: readonly (readonly [name: string, large: number, long: number])[] = [
  ['8', 8.5, 13.5],
  ['11', 11.5, 18],
  ['16', 17, 27.5],
  ['20', 21, 31.5],
  ['25', 26, 34],
  ['32', 33, 40],
  ['40', 41, 46],
];

const seats = calculator({
  id: 'collet-seats',
  group: 'Tapers',
  title: 'Collet seat, or a taper 1:10',
  words: 'collet din 6499 8 degrees 1:10 shaft end cone seat',
  fields: {
    what: oneOf('Seat', [
      ...collets.map(([name]) => [name, `collet seat ${name}, DIN 6499`] as const),
      ['1:10', 'taper 1:10'] as const,
      ['1:5', 'taper 1:5'] as const,
    ]),
    D: aLength('Large end of a taper', '30'),
    L: aLength('Length of a taper', '40'),
  },
  answer: ({ what, D: typed, L: typedLong }) => {
    const collet = collets.find(([name]) => name === what);
    const slope = collet ? 2 * Math.tan((8 * Math.PI) / 180) : what === '1:5' ? 0.2 : 0.1;
    const D = collet ? collet[1] : typed;
    const L = collet ? collet[2] : typedLong;
    if (slope * L >= D) return { ok: false, at: 'L', says: say`a taper so long comes to a point before its end` };
    const source = collet ? 'DIN 6499, form B: 8 degrees a side; sizes from memory' : 'geometry';
    const small = fig('diameter', 'coneSmall', { D, slope, L }, { step: 0.01 });
    const setting = fig('angle', 'setting', { slope }, { step: 0.001 });
    const upper: readonly Point[] = [
      [0, D / 2],
      [L, small.value / 2],
    ];
    return {
      ok: true,
      rows: [
        { label: 'compound set to', value: setting },
        { label: 'large end', value: fig('diameter', 'asTable', { value: D }, { step: 0.01, source }) },
        { label: 'small end', value: small },
        { label: 'over a length of', value: fig('length', 'asTable', { value: L }, { step: 0.1, source }) },
        { label: 'slope, one in', value: fig('ratio', 'oneIn', { slope }, { step: 0.001 }) },
      ],
      remarks: [
        say`try it with blue on the collet or the gauge: contact at the large end first`,
        ...(collet
          ? [say`a seat is bored in the spindle or its sleeve where it is used, with a keen tool at centre height: off it the taper is hollow`]
          : []),
      ],
      sketch: {
        about: 'the cone from the side, large end left',
        shapes: [
          area('metal', ...upper, ...mirrored(upper).toReversed()),
          line('chain', [-L * 0.1, 0], [L * 1.1, 0]),
          dim([0, -D / 2], [L, -D / 2], -14, say`${length(L, 0.1)}`),
        ],
      },
      uses: [],
      source,
    };
  },
});

export const shaftCalculators = [keyway, knurl, drillForce, weight, allowances, seats];
