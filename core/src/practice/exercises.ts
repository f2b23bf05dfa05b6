import { threadDrive } from '../cutting';
import type { Cell, Gauge, Machine, Shop } from '../document';
import type { Limits } from '../drawing';
import { randomFrom, type Truth } from '../lathe';
import { say, type Sentence, tidy } from '../quantity';
import { machineOf, mmOf, proves } from '../shop';
import { lengthDial, type SizedKind } from '../sizing';
import { materialOf, sizeLimits, wires } from '../standards';
import type { StandGauge, StandSet, StandWay } from './deeds';

/** An exercise at the stand: what is asked, what is to be learned from it, and what of the metal is special. */
export interface Exercise {
  readonly id: string;
  readonly title: string;
  /** what is asked */
  readonly asks: Sentence;
  /** said when it is over: what it was about */
  readonly about: Sentence;
  readonly kind: SizedKind;
  readonly class: 'h6' | 'h7' | 'H7' | 'length' | 'thread';
  readonly material: string;
  readonly gauges: readonly Gauge['kind'][];
  readonly truth: Partial<Truth>;
  /** what the plan would expect to give way */
  readonly spring?: number;
  /** the shop says that its cross dial reads the other */
  readonly wrongDial?: true;
  /** the dial is only brought to a reading, or the work only touched off on */
  readonly only?: 'dial' | 'touch';
}

/** From easy to hard, each a real job. */
export const exercises: readonly Exercise[] = [
  {
    id: 'set-the-dial',
    title: 'Set the dial to a reading',
    asks: say`Bring the handle to the reading below. It lies behind where the handle stands: go out past it by more than the take-up, and come in to it. Then let it go.`,
    about: say`A handle that is turned back to a reading shows it, and the slide still stands where it stood: it follows only once the take-up is out. Come to every setting from the same side.`,
    kind: 'outside',
    class: 'h7',
    material: 'mild-steel',
    gauges: [],
    truth: { backlash: 0.3 },
    only: 'dial',
  },
  {
    id: 'touch-off',
    title: 'Touch off',
    asks: say`Start the spindle, come in by the handle until the tool just touches, and set the ring of the dial to zero there. Then let it go.`,
    about: say`The zero is where the tool scratches, not where it stands by eye; a ring that is set while the handle goes out is off by the take-up.`,
    kind: 'outside',
    class: 'h7',
    material: 'mild-steel',
    gauges: ['micrometer', 'caliper'],
    truth: {},
    only: 'touch',
  },
  {
    id: 'two-like-cuts',
    title: 'Two like cuts to 25 h6',
    asks: say`A journal to 25 h6, by the micrometer. Measure, then halve what is left into two like cuts: the first shows what the second will do.`,
    about: say`Two cuts of one depth spring alike. What the first one left short of the dial, the second leaves as well, and it can be dialled for.`,
    kind: 'outside',
    class: 'h6',
    material: 'mild-steel',
    gauges: ['micrometer', 'caliper'],
    truth: {},
    spring: 0.06,
  },
  {
    id: 'hot',
    title: 'The same, hot from roughing',
    asks: say`The bar was just roughed and is hot. Bring it to 25 h6 at 20 °C: feel it, read the probe, cool it or reckon with it.`,
    about: say`A steel journal of 25 grows by 0.003 for each 10 degrees. Measured hot and in, it is under when it is cold.`,
    kind: 'outside',
    class: 'h6',
    material: 'mild-steel',
    gauges: ['micrometer', 'caliper'],
    truth: { warms: 14, cools: 18 },
    spring: 0.06,
  },
  {
    id: 'springy',
    title: 'A springy bar',
    asks: say`A slender shaft that gives way under the tool. 20 h7, and no more than what is dialled will come off.`,
    about: say`What gives way in the cut stays on. The tailstock centre, lighter cuts of like depth, the same setting once more with a keen edge, or reckon with the share that stays.`,
    kind: 'outside',
    class: 'h7',
    material: 'mild-steel',
    gauges: ['micrometer', 'caliper'],
    truth: { spring: 0.32 },
    spring: 0.2,
  },
  {
    id: 'radius-or-diameter',
    title: 'Radius or diameter?',
    asks: say`A lathe that you do not know. Its label says one thing of its cross dial. Find out what it does, then bring the journal to 25 h7.`,
    about: say`One cut, measured before and after, tells what a division takes off. No label is believed before that.`,
    kind: 'outside',
    class: 'h7',
    material: 'mild-steel',
    gauges: ['micrometer', 'caliper'],
    truth: {},
    wrongDial: true,
  },
  {
    id: 'backlash',
    title: 'Backlash',
    asks: say`An old lathe with half a millimetre of take-up. 25 h7. Back off after a pass, and come to each setting from the same side.`,
    about: say`The handle that goes back turns first through the take-up. A dial that is come to from outside is true; one that is turned back to is not.`,
    kind: 'outside',
    class: 'h7',
    material: 'mild-steel',
    gauges: ['micrometer', 'caliper'],
    truth: { backlash: 0.5 },
    spring: 0.06,
  },
  {
    id: 'bore',
    title: 'A bore by telescoping gauge',
    asks: say`A bush to 25 H7. The telescoping gauge is read with the micrometer, and no two hands lay it in alike: read more than once.`,
    about: say`The mean of three readings is worth more than one. A bore that is past its limit is scrap, so its last cut is aimed a little under.`,
    kind: 'bore',
    class: 'H7',
    material: 'bronze',
    gauges: ['telescoping', 'bore', 'caliper'],
    truth: { spring: 0.12 },
    spring: 0.1,
  },
  {
    id: 'shoulder',
    title: 'A shoulder by the carriage dial',
    asks: say`A shoulder to 40 ±0.05, by the dial along the bed and the depth gauge.`,
    about: say`Along the bed one unit of dial is one unit of length, nothing halved; a face does not spring as a diameter does.`,
    kind: 'length',
    class: 'length',
    material: 'mild-steel',
    gauges: ['depth', 'caliper', 'micrometer'],
    truth: { spring: 0.02 },
  },
  {
    id: 'thread',
    title: 'A thread by wires, compound at 29.5°',
    asks: say`The last passes of an M20x1.5, 6g, measured over wires, fed in by the compound at 29.5 degrees. Mind where the half-nuts may be closed.`,
    about: say`Along the compound one unit takes 1.74 off the measurement over wires: 2 cos 29.5°. Without that every pass goes too deep. Half-nuts that are closed at another line cut a second groove beside the first.`,
    kind: 'thread',
    class: 'thread',
    material: 'mild-steel',
    gauges: ['micrometer'],
    truth: { spring: 0.08 },
    spring: 0.06,
  },
];

/** So often a hand lays a gauge on badly. */
const SLIPS = 0.04;

/** The thread that is practised. */
const [THREAD, PITCH] = ['M20x1.5-6g', 1.5] as const;

function wantedOf({ class: of, kind }: Exercise, nominal: number): Limits {
  if (kind === 'thread') {
    const over = wires(THREAD);
    if (!over.ok || over.over.max === null || over.over.min === null) throw new Error(THREAD);
    const { max, min } = over.over;
    return { nominal: tidy((max + min) / 2), max, min, from: 'class' };
  }
  if (of === 'length') return { nominal: 40, max: 40.05, min: 39.95, from: 'typed' };
  const found = sizeLimits(`${String(nominal)} ${of}`);
  if (!found.ok) throw new Error(`no limits of ${String(nominal)} ${of}`);
  return { nominal, max: found.max, min: found.min, from: 'class' };
}

const mm = (text: string): Cell => ({ text, units: 'mm' });
/** What lies on the bench where the shop has none of a kind. */
const usual: Readonly<Partial<Record<Gauge['kind'], Omit<Gauge, 'id' | 'kind' | 'from' | 'to'>>>> = {
  micrometer: { name: 'micrometer', resolution: mm('0.001'), bias: mm('0.0008'), repeat: mm('0.001') },
  caliper: { name: 'caliper', resolution: mm('0.01'), bias: mm('0.012'), repeat: mm('0.01') },
  telescoping: { name: 'telescoping gauge', resolution: mm('0.001'), bias: mm('0.002'), repeat: mm('0.004') },
  bore: { name: 'bore gauge', resolution: mm('0.001'), bias: mm('0.0015'), repeat: mm('0.0015') },
  depth: { name: 'depth gauge', resolution: mm('0.01'), bias: mm('0.008'), repeat: mm('0.008') },
};

/** The gauge of a kind of this shop, the finest of them, reaching what is practised; else a usual one. */
function gaugeOf(kind: Gauge['kind'], shop: Shop, tolerance: number, random: number): readonly StandGauge[] {
  const [own] = shop.gauges.filter((g) => g.kind === kind).toSorted((a, b) => mmOf(a.repeat) - mmOf(b.repeat));
  // of a gauge that cannot tell the tolerance nothing is learned: a usual one lies there
  const of = own && (kind === 'caliper' || proves(own, tolerance)) ? own : (usual[kind] ?? own);
  if (!of) return [];
  const gauge: Gauge = {
    ...of,
    id: `practice-${kind}`,
    kind,
    from: mm('0'),
    to: mm('300'),
    name: of === own ? of.name.replace(/\s+[\d.]+-[\d.]+.*$/, '') : of.name,
  };
  return [
    {
      ...gauge,
      // what it truly is lies about what it is said to be
      truly: { bias: mmOf(gauge.bias, 0.002), repeat: Math.max(0.0003, mmOf(gauge.repeat, 0.002) * (0.8 + 0.5 * random)), slips: SLIPS },
    },
  ];
}

/** How long each is, and where the jaws stand behind it: a journal, a bush, the screwed end of a stud; a face has only its middle. mm */
const WAYS: Readonly<Record<SizedKind, Omit<StandWay, 'axis'>>> = {
  outside: { long: 30, jaws: 42 },
  bore: { long: 24, jaws: 34 },
  thread: { long: 20, jaws: 34 },
  length: { long: 12.5 },
  depth: { long: 12.5 },
};

/** What the pitch of the thread asks of the half-nuts of a lathe. */
function nutsOf(machine: Machine): NonNullable<StandSet['nuts']> {
  const { nuts } = threadDrive(machine, { family: 'metric', lead: PITCH }, 20);
  return nuts === 'anywhere' ? 'any' : nuts === 'by the dial' ? 'line' : 'kept';
}

/**
 * An exercise set up on a lathe: by its number the metal, its gauges' bias and the hand are always the same.
 */
export function setUp(exercise: Exercise, number: number, shop: Shop): StandSet {
  const random = randomFrom(number * 2654435761 + exercise.id.length * 97);
  const machine = machineOf(shop, undefined) ?? shop.machines[0];
  if (!machine) throw new Error('no lathe in this shop');
  const axis: keyof Machine['dials'] = exercise.kind === 'length' ? lengthDial(machine, 0.1) : exercise.kind === 'thread' ? 'compound' : 'cross';
  const dial = machine.dials[axis] ?? machine.dials.cross;
  const division = mmOf(dial?.division, 0.02);
  const radius = dial?.reads !== 'diameter';
  const takes = axis === 'cross' ? (radius ? 2 : 1) : exercise.kind === 'thread' ? 2 * Math.cos((29.5 * Math.PI) / 180) : 1;
  const nominal = exercise.id === 'springy' ? 20 : 25;
  const wanted = wantedOf(exercise, nominal);
  const rest = exercise.kind === 'thread' ? 0.35 + 0.2 * random.even() : exercise.kind === 'length' ? 1 + random.even() : 1.1 + 0.5 * random.even();
  const grows = exercise.kind === 'bore';
  const begins = grows ? wanted.nominal - rest : wanted.nominal + rest;
  const { alpha } = materialOf(exercise.material);
  const truth: Truth = {
    seed: number * 31 + 7,
    takes,
    division,
    cyclic: 0.001 + 0.001 * random.even(),
    turn: 4,
    sticks: 0.0012 + 0.02 * division * takes,
    jumps: [0.05, 0.004],
    pitchError: 0.001 * random.normal(),
    backlash: mmOf(dial?.backlash, 0.1) * takes,
    spring: 0.05 * Math.exp(0.4 * random.normal()),
    power: 0.85,
    leastDepth: 0.03 + 0.03 * random.even(),
    builtUp: 0.0008,
    wear: 0.0003 * random.even(),
    warms: 3,
    alpha,
    cools: 25,
    room: 20,
    crests: 0.0006,
    runout: 0.0008,
    gauge: { bias: 0, repeat: 0, slips: 0 },
    begins,
    ...exercise.truth,
    ...(exercise.truth.backlash !== undefined && { backlash: exercise.truth.backlash * takes }),
  };
  const gauges = exercise.gauges.flatMap((kind) => gaugeOf(kind, shop, wanted.max - wanted.min, random.even()));
  const touches = Math.round((3 + 4 * random.even()) * 50) / 50;
  const starts = Math.round((touches - 1.5 - random.even()) * 50) / 50;
  return {
    number,
    kind: exercise.kind,
    wanted,
    truth,
    begins,
    touches,
    starts,
    // behind where it stands, on a line of the dial
    ...(exercise.only === 'dial' && { toRead: tidy(Math.round((starts - 0.2 - 0.4 * random.even()) / division) * division) }),
    machine,
    axis: machine.dials[axis] ? axis : 'cross',
    takes,
    material: exercise.material,
    nose: 0.4,
    gauges,
    speeds: Array.isArray(machine.speeds) ? machine.speeds : [machine.speeds.from, 100, 200, 355, 500, 710, 1000, machine.speeds.to],
    feeds: machine.feeds.length > 0 ? machine.feeds.filter((f) => f <= 0.4) : [0.05, 0.1, 0.2],
    speed: exercise.kind === 'thread' ? 12 : exercise.material === 'bronze' ? 60 : 90,
    ...(exercise.kind === 'thread' && { nuts: nutsOf(machine) }),
    ...(exercise.spring !== undefined && { spring: exercise.spring }),
    way: { axis: axis === 'carriage' || exercise.kind === 'length' ? 'cross' : 'carriage', ...WAYS[exercise.kind] },
    says: axis === 'cross' ? (radius !== (exercise.wrongDial === true) ? 'radius' : 'diameter') : 'length',
  };
}
