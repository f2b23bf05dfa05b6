import { length, roundTo, say, writeExact, writeWithUnit } from '../quantity';
import { oRingCords, oRingGroove, ringGroove, shoulderUndercut } from '../standards';
import { aLength, calculator, oneOf, someWords } from './fields';
import { grooveOf } from './figures';
import { fig } from './formulas';
import { area, dim, type Point, type Sketch } from './sketch';
import type { Row } from './types';

const rings = calculator({
  id: 'retaining-rings',
  group: 'Holes and grooves',
  title: 'Groove for a retaining ring',
  words: 'circlip snap ring din 471 472 groove',
  fields: {
    where: oneOf('On a', [
      ['shaft', 'shaft'],
      ['bore', 'bore'],
    ]),
    d: aLength('Diameter', '25'),
  },
  answer: ({ where, d }) => {
    const read = ringGroove(d, where);
    if (!read.ok) return { ...read, at: 'd' };
    const source = `${where === 'shaft' ? 'DIN 471' : 'DIN 472'}, from memory`;
    const depth = Math.abs(read.diameter - read.groove) / 2;
    return {
      ok: true,
      rows: [
        { label: 'groove', value: fig('diameter', 'asTable', { value: read.groove }, { step: 0.01, source }) },
        { label: 'width, H13', value: fig('length', 'asTable', { value: read.width }, { step: 0.01, source }) },
        { label: 'ring', value: fig('length', 'asTable', { value: read.ring }, { step: 0.01, source }), after: say`thick` },
        { label: 'to the end, least', value: fig('length', 'shoulder', { depth }, { step: 0.01 }) },
      ],
      remarks: [say`the tolerance of the groove diameter is not in this table: see the maker of the ring`],
      cautions: [say`rings fly: glasses on, pliers of the right size`],
      sketch: grooveOf(read.diameter, read.groove, read.width, read.shoulder),
      uses: [{ text: `${String(read.groove)} mm`, words: `groove ${String(read.groove)}` }],
      source,
    };
  },
});

const oRings = calculator({
  id: 'o-rings',
  group: 'Holes and grooves',
  title: 'Groove for an O-ring',
  words: 'oring seal gland squeeze cord',
  fields: {
    cord: oneOf(
      'Cord',
      oRingCords.map((c) => [String(c), writeWithUnit(length(c, 0.01), 'mm')] as const),
    ),
    moves: oneOf('The seal', [
      ['still', 'stands still'],
      ['moves', 'slides to and fro'],
    ]),
    d: aLength('Surface that seals', '25'),
    side: oneOf('The groove is', [
      ['shaft', 'in the shaft or piston'],
      ['bore', 'in the bore'],
    ]),
  },
  answer: ({ cord, moves, d, side }) => {
    const read = oRingGroove(Number(cord), moves === 'moves');
    if (!read.ok) return { ...read, at: 'cord' };
    const source = 'usual industrial gland table, from memory';
    const [least, most] = read.depth;
    const middle = (least + most) / 2;
    const wide = (read.width[0] + read.width[1]) / 2;
    const sign = side === 'shaft' ? -2 : 2;
    const groove = d + sign * middle;
    const turned = writeExact(roundTo(groove, 0.01), 'mm');
    if (groove <= 0) return { ok: false, at: 'd', says: say`this cord is too thick for ${length(d)}` };
    const at = (label: string, depth: number) =>
      ({ label, value: fig('diameter', 'tableLimit', { basic: d, deviation: sign * depth }, { step: 0.01, source }) }) satisfies Row;
    return {
      ok: true,
      rows: [
        ...(side === 'shaft'
          ? [at('groove, largest', least), at('groove, smallest', most)]
          : [at('groove, largest', most), at('groove, smallest', least)]),
        { label: 'width, least', value: fig('length', 'asTable', { value: read.width[0] }, { step: 0.01, source }) },
        { label: 'width, most', value: fig('length', 'asTable', { value: read.width[1] }, { step: 0.01, source }) },
        { label: 'squeeze', value: fig('ratio', 'squeeze', { cord: read.cord, depth: middle }, { step: 1 }), after: say`%` },
        { label: 'fill', value: fig('ratio', 'fill', { cord: read.cord, depth: middle, width: wide }, { step: 1 }), after: say`%` },
      ],
      remarks: [say`depth counts from the surface that seals, clearance between the parts included; lead-in chamfers, no sharp edges`],
      sketch: grooveOf(d, groove, wide, wide, read.cord),
      uses: [{ text: `${turned} mm`, words: `groove ${turned}` }],
      source,
    };
  },
});

const undercuts = calculator({
  id: 'shoulder-undercuts',
  group: 'Holes and grooves',
  title: 'Undercut at a shoulder',
  words: 'din 509 relief grinding E F',
  fields: { d: someWords('Undercut, radius x depth', 'F 0.6x0.3'), bar: aLength('Diameter', '30') },
  answer: ({ d, bar }) => {
    const read = shoulderUndercut(d);
    if (!read.ok) return { ...read, at: 'd' };
    const source = 'DIN 509:2006, from memory, medium confidence';
    const one = (label: string, value: number | null): readonly Row[] =>
      value === null ? [] : [{ label, value: fig('length', 'asTable', { value }, { step: 0.01, source }) }];
    return {
      ok: true,
      rows: [
        { label: 'diameter in it', value: fig('diameter', 'tableLimit', { basic: bar, deviation: -2 * read.depth }, { step: 0.01, source }) },
        ...one('radius', read.radius),
        ...one('depth', read.depth),
        ...one('width', read.width),
        ...one('depth in the face', read.faceDepth),
        ...one('length in the face', read.faceLength),
      ],
      sketch: shoulderOf(read.width, read.depth, read.faceDepth ?? 0, read.faceLength ?? 0),
      source,
    };
  },
});

/** The corner of a shaft and its shoulder with the undercut, enlarged. */
function shoulderOf(width: number, depth: number, faceDepth: number, faceLength: number): Sketch {
  const [long, tall] = [width * 2.4, Math.max(width, faceLength) * 1.5];
  const slant = depth / Math.tan((15 * Math.PI) / 180);
  const corner: readonly Point[] =
    faceDepth > 0
      ? [
          [-faceDepth, -depth],
          [-faceDepth, faceLength * 0.75],
          [0, faceLength],
        ]
      : [[0, -depth]];
  return {
    about: 'the corner in section, shaft to the right, shoulder left, enlarged',
    shapes: [
      area(
        'metal',
        [-width, -depth - tall * 0.5],
        [long, -depth - tall * 0.5],
        [long, 0],
        [width, 0],
        [Math.max(width - slant, width * 0.3), -depth],
        ...corner,
        [0, tall],
        [-width, tall],
      ),
      dim([0, -depth - tall * 0.5], [width, -depth - tall * 0.5], -14, say`${length(width, 0.01)}`),
      dim([long, -depth], [long, 0], -16, say`${length(depth, 0.01)}`),
    ],
  };
}

export const grooveCalculators = [rings, oRings, undercuts];
