import { cooledTo, SHEDS } from '../mechanics';
import { length, readNumber, say, type Sentence, temperature } from '../quantity';
import { degreesToChill, fit, materialOf, warmCaps } from '../standards';
import { aLength, aLengthOrZero, aMaterial, aNumber, aSize, calculator, oneOf } from './fields';
import { zonesOf } from './figures';
import { hubOf } from './figuresOfWork';
import { fig } from './formulas';
import { dim, label, line, type Point, type Sketch } from './sketch';
import type { Field } from './types';

const FINE = 0.001;
/** Boiling liquid nitrogen, degrees C: nothing in a workshop is colder. */
const NITROGEN = -196;

interface Interference {
  readonly most: number;
  readonly least: number;
  /** of the fit, where it is one */
  readonly diameter?: number;
}

/** A fit ('25 H7/s6', '1.000 FN2') or an interference on diameter. */
const anInterference = (label: string, start: string): Field<Interference> => ({
  ...aSize(label, start),
  read: (text, units) => {
    const size = aSize(label, start).read(text, units);
    if (!size.ok) return size;
    const bare = readNumber(text.trim());
    if (bare && /^(mm|in|"|”)?$/i.test(bare.rest.trim())) {
      const read = aLength(label, '').read(text, units);
      return read.ok ? { ok: true, value: { most: read.value, least: read.value } } : read;
    }
    const read = fit(size.value);
    if (!read.ok) return { ok: false, says: read.says };
    if (read.clearance.min >= 0) return { ok: false, says: say`${text.trim()} is a clearance fit: nothing is pressed` };
    return { ok: true, value: { most: -read.clearance.min, least: Math.max(0, -read.clearance.max), diameter: read.hole.nominal } };
  },
});

const press = calculator({
  id: 'press-fits',
  group: 'Fits by force and heat',
  title: 'Press or shrink fit: pressure, force, torque',
  words: 'interference lame hub shaft torque hoop stress',
  fields: {
    f: anInterference('Fit, or interference on diameter', '25 H7/s6'),
    d: aLength('Joint diameter', '25'),
    Do: aLength('Outside of the hub', '50'),
    di: aLengthOrZero('Bore of the shaft'),
    L: aLength('Length of the joint', '30'),
    hub: aMaterial('Hub'),
    shaft: aMaterial('Shaft'),
    mu: aNumber('Friction', '0.12', { from: 0.01, to: 0.6 }),
  },
  answer: ({ f, d, Do, di, L, hub, shaft, mu }) => {
    if (f.diameter !== undefined && Math.abs(f.diameter - d) > 0.5)
      return { ok: false, at: 'd', says: say`the fit is of ${length(f.diameter)}, the joint of ${length(d)}` };
    if (Do <= d) return { ok: false, at: 'Do', says: say`the hub must be larger than the joint` };
    if (di >= d) return { ok: false, at: 'di', says: say`the bore of the shaft must be smaller than the joint` };
    const [h, s] = [materialOf(hub), materialOf(shaft)];
    const of = (interference: number) => ({
      interference,
      d,
      Do,
      di,
      L,
      mu,
      Eh: h.modulus * 1000,
      nuh: h.poisson,
      Es: s.modulus * 1000,
      nus: s.poisson,
    });
    const [most, least] = [of(f.most), of(f.least)];
    const hoop = fig('pressure', 'pressHoop', most);
    const pressure = fig('pressure', 'pressPressure', most);
    const load = hoop.value + pressure.value;
    const warnings: Sentence[] = [say`press behind a guard: brittle rings fly; mind fingers, and the machine’s manual`];
    if (h.yield === null) warnings.push(say`${h.name} has no yield in this table: judge the hoop stress yourself`);
    else if (load > h.yield)
      warnings.push(
        say`the hub yields at its bore: ${{ is: 'pressure', value: load }} of ${{ is: 'pressure', value: h.yield }} (hoop and pressure); the numbers above hold only while it is elastic`,
      );
    else if (load > 0.8 * h.yield) warnings.push(say`the hub is loaded to ${Math.round((100 * load) / h.yield)} % of its typical yield`);
    return {
      ok: true,
      rows: [
        { label: 'press force, most', value: fig('force', 'pressForce', most) },
        { label: 'torque held, least', value: fig('torque', 'pressTorque', least) },
        { label: 'torque held, most', value: fig('torque', 'pressTorque', most) },
        { label: 'pressure, most', value: pressure },
        { label: 'pressure, least', value: fig('pressure', 'pressPressure', least) },
        { label: 'hoop stress at the bore', value: hoop },
      ],
      remarks: [
        say`dry steel on steel ${0.12} to ${0.15}, oiled ${0.08} to ${0.1}; roughness is squeezed flat first and takes some of the interference`,
        say`usual in steel: ${0.0005} to ${0.001} of the diameter, here ${length(0.0005 * d, FINE)} to ${length(0.001 * d, FINE)}`,
        say`a lead-in chamfer, both measured at one temperature`,
      ],
      cautions: warnings,
      sketch: hubOf(Do, d, di, pressure.value),
      source: 'Lame; moduli and yields typical, from memory',
    };
  },
});

const caps = Object.entries(warmCaps).map(([id, { words, celsius }]) => [id, words, celsius] as const);

const shrink = calculator({
  id: 'shrink',
  group: 'Fits by force and heat',
  title: 'Temperature to assemble',
  words: 'heat chill shrink fit expand oven freezer bearing',
  fields: {
    i: aLength('Interference on diameter', '0.1'),
    gap: aLength('Gap wanted while it goes on', '0.05'),
    d: aLength('Diameter', '50'),
    way: oneOf('By', [
      ['heat', 'warming the hub'],
      ['chill', 'chilling the shaft'],
    ]),
    part: oneOf(
      'It is',
      caps.map(([id, words]) => [id, words] as const),
    ),
    material: aMaterial('Of'),
    room: aNumber('Room', '20', { from: -30, to: 60 }, '°C'),
  },
  answer: ({ i, gap, d, way, part, material, room }) => {
    const m = materialOf(material);
    if (way === 'chill' && degreesToChill(i, gap, d, m.alpha) > room - NITROGEN)
      return {
        ok: false,
        says: say`even in liquid nitrogen, ${temperature(NITROGEN, 1)}, the shaft does not shrink by ${length(i + gap, 0.001)}: warm the hub as well`,
      };
    const rise =
      way === 'heat'
        ? fig('temperature', 'degreesToAssemble', { interference: i, gap, d, alpha: m.alpha }, { step: 1 })
        : fig('temperature', 'degreesToChill', { interference: i, gap, d, alpha: m.alpha }, { step: 1 });
    const sign = way === 'heat' ? 1 : -1;
    const to = fig('temperature', 'warmTo', { room, degrees: sign * rise.value }, { step: 1 });
    const cap = caps.find(([id]) => id === part) ?? ['', '', 300];
    const cautions = [
      ...(way === 'heat' && to.value > cap[2]
        ? [say`over ${temperature(cap[2], 1)}, the most for ${cap[1]}: chill the shaft as well, or take less interference`]
        : []),
      ...(way === 'chill' && to.value < -78
        ? [say`colder than dry ice: liquid nitrogen, by those who are equipped for it; gloves, air, no closed vessel`]
        : way === 'chill' && to.value < -20
          ? [say`colder than a freezer: dry ice reaches -78 °C; gloves, air, no closed vessel`]
          : []),
      way === 'heat'
        ? say`oven or hot plate, gloves, no open flame near oil; an infrared thermometer misreads bright metal`
        : say`cold burns: gloves; moisture freezes on the seat, wipe it`,
      say`it falls together or sticks half way: rehearse it, stop and square ready`,
    ];
    return {
      ok: true,
      rows: [
        { label: way === 'heat' ? 'warm to' : 'chill to', value: to },
        { label: 'degrees', value: rise },
      ],
      cautions,
      sketch: zonesOf(d, [
        { name: 'shaft', max: d + i, min: d, as: 'shaft zone' },
        { name: 'warm hub', max: d + i + gap, min: d + i, as: 'hole zone' },
      ]),
      source: 'linear expansion; alpha typical, from memory; limits common practice',
    };
  },
});

const grow = calculator({
  id: 'growth',
  group: 'Fits by force and heat',
  title: 'How much it grows warm',
  words: 'thermal expansion hot reads big temperature correction',
  fields: { d: aLength('Size', '50'), celsius: aNumber('Temperature', '60', { from: -100, to: 400 }, '°C'), material: aMaterial() },
  answer: ({ d, celsius, material }) => {
    const { alpha, name } = materialOf(material);
    const grows = fig('length', 'growth', { size: d, alpha, degrees: celsius - 20 }, { step: FINE });
    return {
      ok: true,
      rows: [
        { label: 'reads over by', value: grows },
        { label: 'cold, if this was read warm', value: fig('length', 'coldSize', { reading: d, alpha, celsius }, { step: FINE }) },
        { label: 'warm, if this is the cold size', value: fig('length', 'warmSize', { cold: d, alpha, celsius }, { step: FINE }) },
      ],
      remarks: [say`${name}, ${alpha} millionths a degree; bores read big too; what is warm to the hand is not measured to ${length(0.002, 0.001)}`],
      sketch: zonesOf(d, [{ name: 'grown', max: Math.max(d, d + grows.value), min: Math.min(d, d + grows.value), as: 'shaft zone' }]),
      source: 'linear expansion, 20 °C of ISO 1; alpha typical, from memory',
    };
  },
});

const cool = calculator({
  id: 'cooling',
  group: 'Fits by force and heat',
  title: 'How long until it is cold',
  words: 'wait cool down measure warm coolant still air temperature time',
  fields: {
    d: aLength('Diameter', '25'),
    inside: aLengthOrZero('Inside, of a tube'),
    material: aMaterial(),
    from: aNumber('Now', '60', { from: -100, to: 900 }, '°C'),
    to: aNumber('Wanted', '22', { from: -100, to: 900 }, '°C'),
    room: aNumber('Room or coolant', '20', { from: -50, to: 60 }, '°C'),
    in: oneOf('It lies', [
      ['dull', 'in still air, dull or oily'],
      ['bright', 'in still air, bright'],
      ['moving', 'in moving air, or turning'],
      ['flood', 'in coolant, stirred'],
    ]),
  },
  answer: ({ d, inside, material, from, to, room, in: where }) => {
    if (inside >= d) return { ok: false, at: 'inside', says: say`a tube of ${length(d)} has a bore smaller than that` };
    const never = to === room || (from - room) * (to - room) < 0;
    if (never)
      return {
        ok: false,
        at: 'to',
        says: say`lying in ${temperature(room)} it never comes to ${temperature(to)}: a degree or two above is near enough`,
      };
    const { density, heat, name, alpha } = materialOf(material);
    const constant = fig('time', 'coolingConstant', { density, heat, d, inside, sheds: SHEDS[where] });
    const takes = fig('time', 'coolsFor', { constant: constant.value, from, to, room });
    const over = fig('length', 'growth', { size: d, alpha, degrees: to - 20 }, { step: FINE });
    return {
      ok: true,
      rows: [
        { label: 'wait', value: takes },
        { label: 'two thirds of the warmth gone in', value: constant },
        { label: 'then reads over by', value: over },
      ],
      remarks: [say`${name}; good to a quarter of the time; the ends cool it sooner, a heap of pieces later`],
      ...(from > 55 && { cautions: [say`over about ${temperature(55)} it burns the hand; an infrared thermometer misreads bright metal`] }),
      sketch: curveOf(from, to, room, constant.value, takes.value),
      source: 'lumped capacity; still air dull 2 hours, bright 3 for 25 mm from 60 to 22 °C, common practice',
    };
  },
});

/** The temperature over time: down its curve to where it is wanted. */
function curveOf(from: number, to: number, room: number, constant: number, takes: number): Sketch {
  const long = Math.max(takes * 1.3, constant, 1e-3);
  const [wide, high] = [60, 36];
  const up = (t: number) => (high * (t - room)) / (from - room || 1);
  const points = Array.from({ length: 25 }, (_, i): Point => {
    const t = (long * i) / 24;
    return [(wide * t) / long, up(cooledTo(from, room, constant, t))];
  });
  const end = (wide * takes) / long;
  return {
    about: 'temperature over time, falling towards that of the room',
    shapes: [
      line('ink', ...points),
      line('thin', [0, 0], [wide, 0]),
      line('thin', [0, 0], [0, high + 4]),
      line('chain', [end, 0], [end, up(to)]),
      line('chain', [0, up(to)], [end, up(to)]),
      label([0, high + 6], say`${temperature(from)}`, 'right'),
      label([wide, 3], say`${temperature(room)}`, 'left'),
      dim([0, 0], [end, 0], -7, say`${{ is: 'time', value: takes }}`),
    ],
  };
}

export const forceCalculators = [press, shrink, grow, cool];
