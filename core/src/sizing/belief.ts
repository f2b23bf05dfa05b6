import { leastDepthOf } from '../cutting';
import type { Limits } from '../drawing';
import { atReference, growth, REFERENCE, type Units } from '../quantity';
import { type Belief, believed, type Happened, type Priors } from './estimate';

/** What happened at the machine, in order: mm and degrees C. */
export type Event =
  | {
      readonly kind: 'reading';
      readonly size: number;
      readonly celsius: number;
      /** of the room, and the gauge with it, degrees C; 20 where nothing is said */
      readonly room?: number;
      /** as the gauge showed it, mm, where that is not the size: in a cold room, or by a gauge that reads over by so much */
      readonly shown?: { readonly reading: number; readonly over: number };
      /** as it was typed, and in which unit */
      readonly text?: string;
      readonly units?: Units;
      /** it was asked about, and stands */
      readonly sure?: boolean;
      /** of its own gauge, where it is another than the one in hand: one deviation each, mm */
      readonly gauge?: { readonly bias: number; readonly repeat: number };
    }
  | { readonly kind: 'cut'; readonly dial: number };

/** What is brought to size: an outside or a length grows smaller under the cut, a bore or a depth larger; a thread is measured over wires or on its pitch line. */
export type SizedKind = 'outside' | 'bore' | 'length' | 'depth' | 'thread';

export interface Sizing {
  readonly wanted: Limits;
  readonly kind?: SizedKind;
  /** most that one cut takes, on radius, mm */
  readonly most?: number;
  readonly events: readonly Event[];
  /** diameter taken by one unit of dial: 2 for a radius dial, 1 for a diameter dial */
  readonly takes: number;
  /** mm, one division of the dial */
  readonly division: number;
  /** of the slide, mm */
  readonly backlash?: number;
  /** smallest move that is set, mm; half a division where nothing is said */
  readonly settable?: number;
  /** millionths a degree */
  readonly alpha: number;
  /** of the gauge, one standard deviation each, mm: shared by all its readings, and of each reading */
  readonly bias: number;
  readonly repeat: number;
  readonly gaugeProves: boolean;
  readonly nose: number;
  /** a keen edge takes what a honed one would rub; nothing where it is not known which it is */
  readonly keen?: boolean;
  /** what the work and tool are taken to give way by for each mm that is cut, where the plan knows it */
  readonly spring?: number;
  /** what the first reading is to show, from what roughing left; one deviation, mm */
  readonly likely?: { readonly size: number; readonly deviation: number };
  /** the stock has no more than this, mm */
  readonly stock?: number;
  /** what the gauge in hand reaches, mm */
  readonly reaches?: { readonly from: number; readonly to: number };
  /** the dial that it goes by; the cross slide's where nothing is said */
  readonly axis?: string;
}

/**
 * 1 where the cut makes the size smaller, -1 where it makes it larger: times this all sizes fall, and what is past lies below.
 * @example towardsOf({ kind: 'bore' }) // -1
 */
export const towardsOf = ({ kind }: Pick<Sizing, 'kind'>): 1 | -1 => (kind === 'bore' || kind === 'depth' ? -1 : 1);

/** What a cut takes off the size for each mm that it is deep: both sides of a diameter, one of a length. */
export const sidesOf = ({ kind }: Pick<Sizing, 'kind'>): 1 | 2 => (kind === 'length' || kind === 'depth' ? 1 : 2);

/** Limits as the cut sees them. */
export const towardsLimits = ({ wanted, kind }: Pick<Sizing, 'wanted' | 'kind'>): Limits =>
  towardsOf({ ...(kind && { kind }) }) === 1 ? wanted : { ...wanted, nominal: -wanted.nominal, max: -wanted.min, min: -wanted.max };

/** How well a dial is set and followed, in divisions. @source common practice */
export const SETTING_DEVIATION = 0.04;
/** How truly a hand takes the backlash out where it turns back and comes to a setting again, as a share of it. @source judgement: backed off a turn, it is nearly all of it */
const TAKEN_OUT = 0.01;
/** What screw, take-up and a slide that sticks leave unsure however finely the dial is divided, and the least of both together; one deviation, mm on diameter. @source judgement: 4 to 6 um at two deviations */
const SCREW = 0.0014;
const FLOOR = 0.0021;
/** Spring for each mm cut where nothing is known of it, and the factor of one deviation that it may be off by. @source judgement: 0.02 stout to 0.3 slender */
const SPRING = 0.06;
const FACTOR = 2;
/** How unevenly an edge cuts, and draws back in a cut, one deviation, mm on diameter. @source judgement */
export const UNEVEN = 0.0008;
const DRIFT = 0.0003;
/** How truly a hand knows the temperature of work that is warm, and that is not, degrees C, one deviation. @source judgement */
export const WARM = 1.2;
const COOL = 0.4;
/** Warmer than the room by so much, degrees C, it is not measured as cold. @source hot-reads-big, common practice: what is warm to the hand */
export const IS_WARM = 3;
/** A first light pass takes about a finishing cut, or twice it, on diameter in nose radii. @source first-touch, common practice */
const BEFORE = 0.8;

/** How far a piece is from as warm as the room, degrees C. */
export const overRoom = ({ celsius, room }: { readonly celsius: number; readonly room?: number }): number => Math.abs(celsius - (room ?? REFERENCE));

function priorsOf(sizing: Sizing): Priors {
  const before = BEFORE * sizing.nose;
  return {
    spring: sizing.spring ?? SPRING,
    factor: FACTOR,
    bias: sizing.bias,
    repeat: Math.max(sizing.repeat, 1e-4),
    setting: Math.max((FLOOR * sidesOf(sizing)) / 2, Math.hypot(SETTING_DEVIATION * sizing.division * sizing.takes, (SCREW * sidesOf(sizing)) / 2)),
    reversal: TAKEN_OUT * (sizing.backlash ?? 0) * sizing.takes,
    uneven: UNEVEN,
    drift: DRIFT,
    // the estimator halves what comes off
    least: (leastDepthOf(sizing.keen, sizing.nose) * sidesOf(sizing)) / 2,
    before: [before, 0.5 * before],
  };
}

/** The readings brought to 20 C, each with what its temperature leaves in doubt, and the cuts on diameter. */
function happened(sizing: Sizing): readonly Happened[] {
  const { events, alpha, takes } = sizing;
  // what another gauge than the one in hand leaves in doubt beyond it
  const own = (e: Extract<Event, { kind: 'reading' }>) =>
    e.gauge ? Math.sqrt(Math.max(0, e.gauge.bias ** 2 + e.gauge.repeat ** 2 - sizing.bias ** 2 - sizing.repeat ** 2)) : 0;
  return events.map((e): Happened => {
    if (e.kind === 'cut') return { kind: 'cut', by: e.dial * takes };
    const over = overRoom(e);
    return {
      kind: 'read',
      size: towardsOf(sizing) * atReference(e.size, alpha, e.celsius),
      doubt: Math.hypot(growth(e.size, alpha, over >= IS_WARM ? WARM : COOL), own(e)),
      near: ALIKE * Math.SQRT2 * Math.max(sizing.repeat, 5e-4) + growth(e.size, alpha, Math.max(1, over)),
    };
  });
}

/** Readings with no cut between are of one size within so many deviations. @source judgement */
const ALIKE = 4;

/**
 * What is believed of a size after its readings and cuts; of a bore or a depth with its sign turned.
 * @example sizeNow(beliefOf(sizingWith({ nominal: 25, max: 25, min: 24.987, from: 'class' }, [{ id: 'a', kind: 'reading', of: 's1.diameter', at: '2026-11-02T08:00:00Z', by: 'me', piece: 1, value: { text: '25.626', units: 'mm' }, gauge: 'mic-25-50' }], { material: 'mild-steel' }))).mean // 25.626
 */
export const beliefOf = (sizing: Sizing): Belief => believed(priorsOf(sizing), towardsLimits(sizing).nominal, happened(sizing));
