import { length, say } from '../quantity';
import { boltCircle, commonPlates, flats, indexing } from '../standards';
import { aFeed, aLength, aLengthOrNone, aNumber, aNumberOrNone, calculator, numbers } from './fields';
import { flatsOf, holesOf, marksOf } from './figuresOfWork';
import { fig } from './formulas';
import { circle, line, polar, type Shape } from './sketch';

const FINE = 0.001;

const finish = calculator({
  id: 'finish',
  group: 'Finish',
  title: 'Finish from feed and nose',
  words: 'roughness Ra Rz Rt nose radius feed surface',
  fields: {
    f: aFeed('Feed', '0.15', { from: 0.001, to: 3 }),
    r: aLength('Nose radius', '0.4'),
    Ra: aNumberOrNone('Wanted Ra', { from: 0.01, to: 50 }, 'µm'),
    Rz: aNumberOrNone('or wanted Rz', { from: 0.05, to: 200 }, 'µm'),
  },
  answer: ({ f, r, Ra, Rz }) => {
    if (f > r) return { ok: false, at: 'f', says: say`a feed over the nose radius cuts a thread, not a finish` };
    const Rt = fig('roughness', 'Rt', { f, r }, { step: 0.01 });
    return {
      ok: true,
      rows: [
        { label: 'Ra, ideal', value: fig('roughness', 'Ra', { f, r }, { step: 0.01 }) },
        { label: 'Rt and Rz, ideal', value: Rt },
        { label: 'Rt of the arc itself', value: fig('roughness', 'RtExact', { f, r }, { step: 0.01 }) },
        { label: 'stands proud on diameter', value: fig('length', 'crestsStand', { Rt: Rt.value }, { step: FINE }) },
        ...(Rz === undefined ? [] : [{ label: `feed for Rz ${String(Rz)}`, value: fig('feed', 'feedOfRz', { Rz, r }, { step: FINE }) }]),
        ...(Ra === undefined ? [] : [{ label: `feed for Ra ${String(Ra)}`, value: fig('feed', 'feedOfRa', { Ra, r }, { step: FINE }) }]),
      ],
      remarks: [
        say`what is cut is rougher: built-up edge, chatter, a worn tip; a micrometer reads the crests, so take the finish feed before measuring`,
      ],
      sketch: marksOf(f, r),
      source: 'geometry of a round nose',
    };
  },
});

const bolts = calculator({
  id: 'bolt-circle',
  group: 'On the mill or drill',
  title: 'Bolt circle',
  words: 'pcd holes on a circle coordinates chord over pins between pins',
  fields: {
    n: aNumber('Holes', '6', { from: 1, to: 200, whole: true }),
    D: aLength('Circle', '80'),
    start: aNumber('First hole at', '90', { from: -360, to: 360 }, 'degrees'),
    over: aLengthOrNone('or measured over two pins'),
    between: aLengthOrNone('and between them'),
    apart: aNumber('those two are apart by', '1', { from: 1, to: 100, whole: true }, 'holes'),
  },
  answer: ({ n, D, start, over, between, apart }) => {
    if ((over === undefined) !== (between === undefined))
      return { ok: false, at: over === undefined ? 'over' : 'between', says: say`over the pins and between them: both are wanted` };
    if (over !== undefined && between !== undefined && over <= between)
      return { ok: false, at: 'over', says: say`over the pins is more than between them` };
    const measured = over !== undefined && between !== undefined;
    if (measured && (apart % n === 0 || n < 2)) return { ok: false, at: 'apart', says: say`these are not two holes of ${n}` };
    const distance = measured ? fig('length', 'centresFromPins', { over, between }, { step: FINE }) : undefined;
    const found = distance ? fig('diameter', 'circleThrough', { distance: distance.value, apart, holes: n }, { step: FINE }) : undefined;
    const circleOf = found?.value ?? D;
    const holes = boltCircle(n, circleOf, start);
    return {
      ok: true,
      rows: [
        ...(found && distance
          ? [
              { label: 'circle found', value: found },
              { label: 'centres apart', value: distance },
            ]
          : []),
        ...(n > 1 ? [{ label: 'hole to the next', value: fig('length', 'chord', { D: circleOf, apart: 1, holes: n }, { step: FINE }) }] : []),
        ...(n > 3 ? [{ label: 'to the next but one', value: fig('length', 'chord', { D: circleOf, apart: 2, holes: n }, { step: FINE }) }] : []),
        ...(n % 2 === 1 && n > 1
          ? [{ label: 'longest chord', value: fig('length', 'chord', { D: circleOf, apart: (n - 1) / 2, holes: n }, { step: FINE }) }]
          : []),
      ],
      table: {
        head: ['hole', 'angle', 'x', 'y'],
        rows: holes.map((h) => {
          const angle = fig('angle', 'holeAngle', { start, place: h.number - 1, holes: n }, { step: FINE });
          return [
            say`${h.number}`,
            angle,
            fig('length', 'holeX', { D: circleOf, angle: angle.value }, { step: FINE }),
            fig('length', 'holeY', { D: circleOf, angle: angle.value }, { step: FINE }),
          ];
        }),
      },
      remarks: [
        say`x to the right, y up from the centre, anticlockwise${n % 2 === 1 && n > 1 ? '; an odd circle has no opposite hole to measure across: use the chord' : ''}`,
      ],
      cautions: [say`where several sizes share a circle the smallest goes through all; plug the finished ones`],
      sketch: holesOf(circleOf, holes),
      source: 'bolt-circle: x = r cos, y = r sin',
    };
  },
});

const flat = calculator({
  id: 'flats',
  group: 'On the mill or drill',
  title: 'Flats and hexagon on a round',
  words: 'hexagon square spanner across flats depth',
  fields: {
    d: aLength('Round', '21.87'),
    sides: aNumber('Sides', '6', { from: 1, to: 24, whole: true }),
    across: aLengthOrNone('Across the flats, or over one flat (empty: the largest)'),
  },
  answer: ({ d, sides, across }) => {
    if (across !== undefined && across >= d) return { ok: false, at: 'across', says: say`across the flats must be less than the round` };
    if (across === undefined && sides < 3) return { ok: false, at: 'across', says: say`for one or two flats type how far apart they are` };
    const largest = sides > 2 ? fig('length', 'largestAcross', { d, sides }, { step: 0.01 }) : undefined;
    // over one flat a micrometer reads to the round behind it: the diameter less the depth
    const one = sides === 1;
    const F = one ? Math.max(0, 2 * (across ?? d) - d) : (across ?? largest?.value ?? d);
    if (one && (across ?? d) <= d / 2)
      return { ok: false, at: 'across', says: say`over one flat it is more than half of the round: ${length(d / 2)}` };
    const read = flats(d, F, sides);
    return {
      ok: true,
      rows: [
        one
          ? { label: 'depth of the flat', value: fig('length', 'oneFlatDepth', { d, over: across ?? d }, { step: FINE }) }
          : { label: 'depth of each flat', value: fig('length', 'flatDepth', { d, F }, { step: FINE }) },
        ...(across === undefined && largest ? [{ label: 'across the flats', value: largest }] : []),
        { label: 'width of a flat', value: fig('length', 'flatWidth', { d, F, sides }, { step: 0.01 }) },
        ...(sides > 2 ? [{ label: 'across sharp corners', value: fig('length', 'corners', { F, sides }, { step: 0.01 }) }] : []),
        ...(largest && across !== undefined ? [{ label: 'largest with full corners', value: largest }] : []),
      ],
      remarks: read.full || sides < 3 ? [] : [say`the corners stay round: the figure is larger than the round holds`],
      sketch: flatsOf(d, F, sides),
      source: 'flats, common practice; geometry',
    };
  },
});

const dividing = calculator({
  id: 'indexing',
  group: 'On the mill or drill',
  title: 'Dividing with plates',
  words: 'indexing plate dividing head rotary table divisions crank',
  fields: {
    n: aNumber('Divisions', '7', { from: 1, to: 1000, whole: true }),
    ratio: aNumber('Head, turns of the crank for one', '40', { from: 1, to: 360, whole: true }),
    plates: numbers('Holes of the plates', commonPlates.join(' '), { from: 2, to: 400, whole: true }),
  },
  answer: ({ n, ratio, plates }) => {
    const found = indexing(n, plates, ratio);
    const [best] = found;
    const turns = fig('ratio', 'crankTurns', { ratio, divisions: n }, { step: 0.0001 });
    if (!best) return { ok: false, at: 'plates', says: say`${n} divisions come out on none of these plates: ${turns} turns each` };
    return {
      ok: true,
      rows: [
        { label: 'turns of the crank', value: turns },
        { label: 'that is', says: say`${best.turns} turns and ${best.holes} holes of ${best.plate}` },
      ],
      table: { head: ['plate', 'turns', 'holes'], rows: found.map((f) => [say`${f.plate}`, say`${f.turns}`, say`${f.holes}`]) },
      sketch: plateOf(best.plate, best.holes),
      source: 'arithmetic; plates commonly supplied',
    };
  },
});

function plateOf(plate: number, holes: number) {
  return {
    about: `the ring of ${String(plate)} holes with the sector over ${String(holes)} spaces`,
    shapes: [
      circle('chain', [0, 0], 10),
      ...Array.from({ length: plate }, (_, i): Shape =>
        circle(i <= holes && holes > 0 ? 'gauge' : 'line', polar([0, 0], 10, 90 - (360 * i) / plate), Math.min(0.45, 20 / plate)),
      ),
      line('ink', [0, 0], polar([0, 0], 9, 90)),
      ...(holes > 0 ? [line('ink', [0, 0], polar([0, 0], 9, 90 - (360 * holes) / plate))] : []),
    ],
  };
}

export const otherCalculators = [finish, bolts, flat, dividing];
