import type { Cell, Entry, Gauge, Machine, Shop } from '../document';
import type { Limits } from '../drawing';
import type { Edit } from '../finding';
import { atMost, isZero, parseLength } from '../quantity';
import { boreGaugeFor, gaugeFor, machineOf, mmOf, practice, proves, readBy, readsOver, warmthOf, wayOf } from '../shop';
import { materialOf } from '../standards';
import { sizeAdvice } from './advice';
import type { Event, SizedKind, Sizing } from './belief';
import type { Advice } from './types';

const kinds: Readonly<Record<string, SizedKind>> = { outside: 'outside', bore: 'bore', length: 'length' };

/**
 * The dial question without a job: what to do next towards a size, from readings and cuts so far.
 * @param assumed ids or values taken as given: `machine`, `gauge`, `material`, `nose` (mm), `kind` (outside, bore or length)
 * @example advise({ nominal: 25, max: 25, min: 24.987, from: 'class' }, [], midShop(), {}).next // 'measure'
 */
export function advise(wanted: Limits, entries: readonly Entry[], shop: Shop, assumed: Readonly<Record<string, string>>): Advice {
  const machine = machineOf(shop, assumed['machine']);
  const kind = kinds[assumed['kind'] ?? ''] ?? 'outside';
  const tolerance = wanted.max - wanted.min;
  const gauge = gaugeAsked(kind, wanted, shop, assumed['gauge']);
  return adviseWith(wanted, entries, {
    machine,
    gauge,
    gauges: shop.gauges,
    material: assumed['material'] ?? 'mild-steel',
    nose: Number(assumed['nose'] ?? 0.4),
    kind,
    ...(kind === 'length' && { axis: lengthDial(machine, tolerance) }),
    settable: wayOf('settable', shop.ways, new Map()),
  });
}

/** The gauge that a size is read by: the one named, else the one of the shop that fits. */
export const gaugeAsked = (kind: SizedKind, { nominal, max, min }: Limits, shop: Shop, named?: string): Gauge | undefined =>
  shop.gauges.find((g) => g.id === named) ?? (kind === 'bore' ? boreGaugeFor : gaugeFor)(shop, nominal, max - min);

/** The dial along the bed that can show a quarter of a tolerance, mm: the carriage's, else the compound's, set along the bed. @source settable, common practice */
export function lengthDial(machine: Machine | undefined, tolerance: number): 'carriage' | 'compound' {
  const { carriage, compound } = machine?.dials ?? {};
  const fine = carriage && atMost(mmOf(carriage.division) / 2, tolerance / 4);
  return fine || !compound ? 'carriage' : 'compound';
}

export interface AdviseWith {
  readonly machine: Machine | undefined;
  readonly gauge: Gauge | undefined;
  readonly material: string;
  /** mm */
  readonly nose: number;
  /** what gives way for each mm that is cut, from the physics of the plan */
  readonly spring?: number | undefined;
  readonly keen?: boolean | undefined;
  /** an outside diameter by the cross slide where nothing is said */
  readonly kind?: SizedKind | undefined;
  readonly axis?: keyof Machine['dials'] | undefined;
  /** what one unit of the dial takes off the size, where the dial alone does not say it */
  readonly takes?: number | undefined;
  /** what the person sets a dial to, as the ways of the shop name it */
  readonly settable?: string | undefined;
  /** every gauge of the shop: a reading keeps the doubt of the one it was read by */
  readonly gauges?: readonly Gauge[] | undefined;
  /** what the first reading is to show, one deviation, mm */
  readonly likely?: { readonly size: number; readonly deviation: number } | undefined;
  /** the stock has no more than this, mm */
  readonly stock?: number | undefined;
}

const gaugeOf = (id: string, at: Pick<AdviseWith, 'gauge' | 'gauges'> | undefined): Gauge | undefined =>
  id === at?.gauge?.id ? at.gauge : at?.gauges?.find((g) => g.id === id);

/** The doubt of a reading that was read by another gauge than the one in hand. */
function ownGauge(id: string, at: Pick<AdviseWith, 'gauge' | 'gauges'> | undefined): Pick<Extract<Event, { kind: 'reading' }>, 'gauge'> {
  const own = id === at?.gauge?.id ? undefined : gaugeOf(id, at);
  return own ? { gauge: { bias: mmOf(own.bias), repeat: mmOf(own.repeat) } } : {};
}

/** What a gauge reaches; of a thread over wires, or a taper by its gauge, the range of the gauge is not that of the size. */
function reachOf(gauge: Gauge, kind: SizedKind | undefined, nominal: number): Pick<Sizing, 'reaches'> {
  const [from, to] = [mmOf(gauge.from), mmOf(gauge.to)];
  // a gauge that does not reach the size wanted is one of a set
  return kind !== 'thread' && from <= nominal && nominal <= to && (gauge.kind === 'micrometer' || gauge.kind === 'caliper')
    ? { reaches: { from, to } }
    : {};
}

/** What makes the shop say of a cross dial what it was found to read: edits of a shop. */
export const dialFound = (machine: Machine, reads: 'radius' | 'diameter'): readonly Edit[] => [
  { op: 'put', at: `machines/#${machine.id}/dials/cross/reads`, value: reads },
];

/** Shares of a division that are set, by the way of the shop. */
const SHARES: Readonly<Record<string, number>> = { half: 0.5, whole: 1, fifth: 0.2 };

/** What one unit of a dial takes off the size: of a cross dial on radius twice as much. @source common practice @example takesOf(midShop().machines[0], 'carriage') // 1 */
export const takesOf = (machine: Machine | undefined, axis: keyof Machine['dials']): number =>
  axis !== 'cross' || machine?.dials.cross?.reads === 'diameter' ? 1 : 2;

/** The share of a division that is set, by the way of the shop; half where nothing is said. */
export const dialShare = (way: string | undefined): number => SHARES[way ?? ''] ?? 0.5;

/**
 * The same with the machine, gauge and tool at hand.
 * @example adviseWith({ nominal: 25, max: 25, min: 24.987, from: 'class' }, [{ id: 'a', kind: 'reading', of: 's1.diameter', at: '2026-11-02T08:00:00Z', by: 'me', piece: 1, value: { text: '25.626', units: 'mm' }, gauge: 'mic-25-50' }], { machine: midShop().machines[0], material: 'mild-steel', nose: 0.4 }).next // 'twoCuts'
 */
export const adviseWith = (wanted: Limits, entries: readonly Entry[], at: AdviseWith): Advice => sizeAdvice(sizingWith(wanted, entries, at));

/**
 * What is known of a size at a machine, for the estimator.
 * @example sizingWith({ nominal: 25, max: 25, min: 24.987, from: 'class' }, [{ id: 'a', kind: 'reading', of: 's1.diameter', at: '2026-11-02T08:00:00Z', by: 'me', piece: 1, value: { text: '25.626', units: 'mm' }, gauge: 'mic-25-50' }], { material: 'mild-steel' }).events.length // 1
 */
export function sizingWith(wanted: Limits, entries: readonly Entry[], at: AdviseWith): Sizing {
  const axis = at.axis ?? 'cross';
  const dial = at.machine?.dials[axis];
  const tolerance = wanted.max - wanted.min;
  return {
    wanted,
    events: eventsOf(entries, at),
    takes: at.takes ?? takesOf(at.machine, axis),
    ...(at.kind !== undefined && { kind: at.kind }),
    ...(at.kind === 'thread' && { most: practice.threadPass }),
    division: mmOf(dial?.division, 0.02),
    ...(mmOf(dial?.backlash) > 0 && { backlash: mmOf(dial?.backlash) }),
    // a readout is set to its last digit
    settable: mmOf(dial?.readout) || dialShare(at.settable) * mmOf(dial?.division, 0.02),
    alpha: materialOf(at.material).alpha,
    bias: at.gauge ? mmOf(at.gauge.bias) : 0.002,
    repeat: at.gauge ? mmOf(at.gauge.repeat) : 0.002,
    ...(at.keen !== undefined && { keen: at.keen }),
    ...(at.spring !== undefined && at.spring > 0 && { spring: at.spring }),
    gaugeProves: at.gauge === undefined || proves(at.gauge, tolerance),
    nose: at.nose,
    axis,
    ...(at.likely && { likely: at.likely }),
    ...(at.stock !== undefined && { stock: at.stock }),
    ...(at.gauge && reachOf(at.gauge, at.kind, wanted.nominal)),
  };
}

/** Readings and cuts of a log in order, withdrawn ones left out; a cell that is no length is left out. */
export function eventsOf(entries: readonly Entry[], at?: Pick<AdviseWith, 'gauge' | 'gauges'>): readonly Event[] {
  const withdrawn = new Set(entries.flatMap((e) => (e.kind === 'withdrawn' ? [e.entry] : [])));
  const mm = (cell: Cell) => {
    // a repeat at the same setting
    if (isZero(cell.text)) return 0;
    // dialled out, to take less than the spring gives back
    const out = /^\s*[-−]/.test(cell.text);
    const read = parseLength(cell.text.replace(/^\s*[-−]/, ''), cell.units);
    return read.ok ? (out ? -read.value : read.value) : undefined;
  };
  return entries
    .filter((e) => !withdrawn.has(e.id))
    .flatMap((entry): Event[] => {
      if (entry.kind === 'reading') {
        const shown = mm(entry.value);
        const gauge = gaugeOf(entry.gauge, at);
        const size = shown === undefined ? undefined : readBy(shown, entry, gauge);
        return shown === undefined || size === undefined
          ? []
          : [
              {
                kind: 'reading',
                size,
                ...(size !== shown && { shown: { reading: shown, over: readsOver(gauge) } }),
                celsius: warmthOf(entry),
                ...(entry.room !== undefined && { room: entry.room }),
                text: entry.value.text,
                units: entry.value.units,
                ...(entry.sure === true && { sure: true }),
                ...ownGauge(entry.gauge, at),
              },
            ];
      }
      if (entry.kind === 'cut') {
        const dial = mm(entry.dial);
        return dial === undefined ? [] : [{ kind: 'cut', dial }];
      }
      return [];
    });
}
