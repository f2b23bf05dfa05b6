import type { Entry, Gauge, Machine } from '../document';
import type { Limits } from '../drawing';
import { type How, randomFrom, simulated, type SimulatedLathe, type Truth } from '../lathe';
import { tidy, writeExact } from '../quantity';
import { mmOf } from '../shop';
import { type Advice, adviseWith, type AdviseWith, type SizedKind } from '../sizing';

/*
 * A lathe to practise on: handles with their take-up, levers, gauges that a hand lays on. It shows what a turner sees, and nothing else, until somebody asks what the
 * metal truly was. The same number and the same deeds give the same metal.
 */

/** What somebody does at the stand. */
export type Deed =
  /** the handle is turned until its dial shows so much, in its own unit */
  | { readonly do: 'dial'; readonly to: number }
  /** the ring of the dial is set to zero where it stands */
  | { readonly do: 'zero' }
  | { readonly do: 'levers'; readonly rpm: number; readonly feed: number }
  | { readonly do: 'coolant'; readonly on: boolean }
  /** what the person takes the cross dial for, from now on */
  | { readonly do: 'believe'; readonly reads: 'radius' | 'diameter' }
  /** emery over the turning piece, a stroke */
  | { readonly do: 'emery' }
  /** a pass at the setting as it stands */
  | { readonly do: 'pass' }
  | { readonly do: 'read'; readonly gauge: string }
  | { readonly do: 'wait'; readonly minutes: number }
  /** it is let go as it is */
  | { readonly do: 'done' };

/** A gauge as it lies on the bench: what it is said to be good for is told, what it truly is not. */
export interface StandGauge extends Gauge {
  readonly truly: { readonly bias: number; readonly repeat: number; readonly slips: number };
}

/** A stand as it is set up. Lengths in mm; the dial counts as it says. */
export interface StandSet {
  readonly number: number;
  readonly kind: SizedKind;
  readonly wanted: Limits;
  readonly truth: Truth;
  /** the size before the first cut, as it is drawn: of a bore it grows */
  readonly begins: number;
  /** where the dial stands when the tool touches, and where it stands first */
  readonly touches: number;
  readonly starts: number;
  readonly machine: Machine;
  readonly axis: keyof Machine['dials'];
  /** what one unit of the dial takes off the size */
  readonly takes: number;
  readonly material: string;
  /** nose of the tool, mm */
  readonly nose: number;
  readonly gauges: readonly StandGauge[];
  readonly speeds: readonly number[];
  readonly feeds: readonly number[];
  /** what the tool and the stuff want: m/min */
  readonly speed: number;
  /** what the plan expects to give way for each mm that is cut */
  readonly spring?: number;
  /** the shop says that the dial reads so; it may be wrong */
  readonly says: 'radius' | 'diameter' | 'length';
}

/** What is seen, heard and felt after a deed. */
export interface Seen {
  readonly chips?: string;
  readonly sound?: string;
  readonly surface?: string;
  /** of the piece to the hand */
  readonly warm?: string;
  /** what the gauge showed, mm */
  readonly reading?: number;
  readonly says?: string;
}

/** What it came to: told only when it is let go. */
export interface Outcome {
  /** the size as it truly is, cold */
  readonly size: number;
  readonly landed: 'in' | 'more' | 'past';
  readonly cuts: number;
  readonly readings: number;
  readonly minutes: number;
}

/** A hand that turns a handle sets it to so much of a division. */
const HAND = 0.02;
/** Minutes: to turn a handle, to make a pass, to stop and measure. */
const MINUTES = { dial: 0.1, pass: 1.5, read: 0.6, emery: 0.3 } as const;

export class Stand {
  readonly set: StandSet;
  private readonly lathe: SimulatedLathe;
  private readonly hand: ReturnType<typeof randomFrom>;
  /** where the dial stands from where the tool touches, and the slide behind its take-up; units of the dial */
  private dialled: number;
  private slide: number;
  /** what the ring shows where the dial stands at nothing */
  private ring: number;
  /** the slide at the last pass */
  private cutAt = 0;
  private passes = 0;
  private readings = 0;
  private minutes = 0;
  private rpm = 0;
  private feed = 0;
  private coolant = false;
  private believed: StandSet['says'];
  private over = false;
  /** taken off by emery, on diameter */
  private polished = 0;
  private readonly biases = new Map<string, number>();
  private readonly did: Deed[] = [];
  private readonly log: Entry[] = [];
  /** the dial at the last pass, for what the hand believes it dialled */
  private shownAt: number | undefined;

  constructor(set: StandSet) {
    this.set = set;
    this.lathe = simulated(set.truth);
    this.hand = randomFrom(set.number * 7919 + 101);
    this.dialled = set.starts - set.touches;
    this.slide = this.dialled;
    this.ring = set.touches;
    this.believed = set.says;
  }

  /** The dial as it shows. */
  dial(): number {
    return tidy(this.dialled + this.ring);
  }

  /** How far the zero of the ring lies from where the tool first touches, in mm of dial. */
  zeroOff(): number {
    return tidy(this.ring);
  }

  /** How far the slide stands off the surface that was cut last, mm of dial; over nothing is clear of it. */
  gap(): number {
    return this.cutAt - this.slide;
  }

  deeds(): readonly Deed[] {
    return this.did;
  }

  /** What a log of the Bench would hold of it: readings and cuts as the dial showed them. */
  entries(): readonly Entry[] {
    return this.log;
  }

  levers(): { readonly rpm: number; readonly feed: number; readonly coolant: boolean } {
    return { rpm: this.rpm, feed: this.feed, coolant: this.coolant };
  }

  isOver(): boolean {
    return this.over;
  }

  counts(): Pick<Outcome, 'cuts' | 'readings' | 'minutes'> {
    return { cuts: this.passes, readings: this.readings, minutes: this.minutes };
  }

  /** Sizes fall under the cut in the simulated metal: a bore is seen the other way round. */
  private seen(size: number): number {
    return this.grows() ? 2 * this.set.begins - size : size;
  }

  private grows(): boolean {
    return this.set.kind === 'bore' || this.set.kind === 'depth';
  }

  /** The size now, as warm as it is told by nobody: of the true metal, cold. */
  private truth(): number {
    return this.seen(this.lathe.truth() - this.polished);
  }

  act(deed: Deed): Seen {
    if (this.over) return { says: 'It was let go.' };
    const seen = this.doing(deed);
    this.did.push(deed);
    return seen;
  }

  private doing(deed: Deed): Seen {
    switch (deed.do) {
      case 'dial':
        return this.turn(deed.to);
      case 'zero':
        this.ring = -this.dialled;
        if (this.shownAt !== undefined) this.shownAt = this.cutShown();
        return { says: 'The ring is set to zero.' };
      case 'levers':
        this.rpm = deed.rpm;
        this.feed = deed.feed;
        return deed.rpm === 0 ? { says: 'The spindle stands.' } : { sound: 'the spindle turns' };
      case 'coolant':
        this.coolant = deed.on;
        return { says: deed.on ? 'Coolant runs.' : 'It is dry.' };
      case 'believe':
        this.believed = deed.reads;
        return { says: `Taken to read ${deed.reads}.` };
      case 'emery':
        return this.emery();
      case 'pass':
        return this.pass();
      case 'read':
        return this.read(deed.gauge);
      case 'wait':
        this.minutes += deed.minutes;
        // a bucket takes warmth several times as fast as air
        this.lathe.wait(deed.minutes * (this.coolant ? 6 : 1));
        return { warm: this.warmth() };
      case 'done': {
        this.over = true;
        return {};
      }
    }
  }

  /** Where the slide of the last pass stands on the ring as it is set now. */
  private cutShown(): number {
    return this.cutAt + this.ring;
  }

  private turn(to: number): Seen {
    const { machine, axis } = this.set;
    const division = mmOf(machine.dials[axis]?.division, 0.02);
    const wanted = to - this.ring;
    const by = HAND * division * this.hand.normal();
    const before = this.dialled;
    this.dialled = wanted;
    this.minutes += MINUTES.dial;
    // coming in the nut pushes the slide; going out it first runs through its take-up
    const backlash = this.backlash();
    if (wanted > before) this.slide = Math.max(this.slide, wanted + by);
    else this.slide = Math.min(this.slide, wanted + backlash + by);
    const running = this.rpm > 0;
    if (this.passes === 0 && running && this.slide >= 0 && before < 0) return { sound: 'it ticks: the tool scratches a line', says: 'It touches.' };
    return wanted < before && backlash > 0 && before - wanted < backlash ? { says: 'The handle turns; nothing moves yet.' } : {};
  }

  private backlash(): number {
    return this.set.truth.backlash / this.set.truth.takes;
  }

  /** A stroke takes a micrometre or two off an outside surface, and leaves it warm. @source common practice */
  private emery(): Seen {
    if (this.set.kind !== 'outside') return { says: 'Emery is for an outside surface here.' };
    if (this.rpm === 0) return { says: 'The spindle stands: start it first.' };
    this.minutes += MINUTES.emery;
    this.polished += Math.max(0.0004, 0.0014 + 0.0004 * this.hand.normal());
    return { surface: 'bright, with fine rings', says: 'Sleeves up, file handle on, left hand clear of the jaws.' };
  }

  private pass(): Seen {
    if (this.rpm === 0) return { says: 'The spindle stands: start it first.' };
    if (this.feed === 0) return { says: 'No feed is engaged.' };
    const { truth, speed } = this.set;
    this.minutes += MINUTES.pass;
    const moved = this.slide - this.cutAt;
    // clear of the work it cuts air
    const air = this.passes === 0 && this.slide < 0;
    if (air) return { sound: 'it cuts air', says: 'The tool does not reach the work.' };
    const before = this.lathe.truth();
    const surfaceSpeed = (Math.PI * Math.max(1, this.truth()) * this.rpm) / 1000;
    const ratio = surfaceSpeed / speed;
    const how: How = {
      uneven: ratio < 0.5 ? 3 : this.feed > 0.25 ? 2 : 1,
      wear: ratio > 1.6 ? 6 : 1,
      warms: (this.coolant ? 0.3 : 1) * Math.min(2, Math.max(0.6, ratio)),
    };
    if (Math.abs(moved) < 1e-9) this.lathe.springCut(how);
    else this.lathe.cut(moved, 0, how);
    if (this.coolant) this.lathe.wait(4);
    const shown = this.slideShown();
    const dial = this.shownAt === undefined ? this.dialled : shown - this.shownAt;
    this.cutAt = this.slide;
    this.shownAt = shown;
    this.passes++;
    this.write({ kind: 'cut', axis: this.set.axis, dial: { text: writeExact(tidy(Math.round(dial * 1e4) / 1e4), 'mm'), units: 'mm' } });
    const off = (before - this.lathe.truth()) / (truth.takes === 2 ? 2 : 1);
    return { ...chipsOf(off, this.feed, ratio), warm: this.warmth(), surface: surfaceOf(this.feed, this.set.nose, ratio) };
  }

  /** What the hand believes: the dial as it shows. */
  private slideShown(): number {
    return this.dialled + this.ring;
  }

  private read(id: string): Seen {
    const gauge = this.set.gauges.find((g) => g.id === id);
    if (!gauge) return { says: 'That gauge is not here.' };
    if (this.rpm > 0) return { says: 'Stop the spindle before you measure.' };
    this.minutes += MINUTES.read;
    this.readings++;
    if (!this.biases.has(id)) this.biases.set(id, gauge.truly.bias * this.hand.normal());
    const slip = this.hand.even() < gauge.truly.slips ? 3 : 1;
    // the simulated gauge reads the metal as warm as it is; this one adds what it is itself
    const raw = this.seen(this.lathe.read() - this.polished) + (this.biases.get(id) ?? 0) + slip * gauge.truly.repeat * this.hand.normal();
    const resolution = mmOf(gauge.resolution, 0.001);
    const reading = tidy(Math.round(raw / resolution) * resolution);
    const celsius = this.lathe.thermometer();
    this.write({
      kind: 'reading',
      of: 'practice',
      gauge: id,
      value: { text: writeExact(reading, 'mm'), units: 'mm' },
      ...(Math.abs(celsius - this.set.truth.room) >= 2 && { celsius }),
    });
    return { reading, warm: this.warmth() };
  }

  private warmth(): string {
    const over = this.lathe.thermometer() - this.set.truth.room;
    const words = over < 3 ? 'cold to the hand' : over < 12 ? 'hand-warm' : over < 28 ? 'hot: it can just be held' : 'too hot to hold';
    return over < 3 ? words : `${words}, about ${String(Math.round(this.set.truth.room + over))} °C by the probe`;
  }

  private write(entry: { readonly kind: 'cut' | 'reading' } & Record<string, unknown>): void {
    const nth = this.log.length;
    this.log.push({
      id: `p-${String(nth)}`,
      at: new Date(Date.UTC(2026, 0, 1) + this.minutes * 60_000).toISOString(),
      by: 'practice',
      piece: 1,
      step: null,
      ...entry,
    } as Entry);
  }

  /** What the Bench would say now, from what the hand read and dialled: it is not told what the metal is. */
  advice(): Advice {
    return adviseWith(this.set.wanted, this.log, this.known());
  }

  /** At each cut that was taken after a reading: what was read, what the advice would have dialled then, and what was dialled. */
  decisions(): readonly { readonly reading: number; readonly advised: number | undefined; readonly dialled: number }[] {
    return this.log.flatMap((e, i) => {
      const before = this.log.slice(0, i);
      const last = before.findLast((b) => b.kind === 'reading');
      if (e.kind !== 'cut' || last?.kind !== 'reading') return [];
      const { dial } = adviseWith(this.set.wanted, before, this.known());
      return [{ reading: Number(last.value.text), advised: dial?.value, dialled: Number(e.dial.text) }];
    });
  }

  private known(): AdviseWith {
    const { machine, gauges, material, nose, kind, axis, spring, takes } = this.set;
    const says = this.believed;
    const last = this.log.findLast((e) => e.kind === 'reading');
    return {
      machine,
      gauge: gauges.find((g) => g.id === (last?.kind === 'reading' ? last.gauge : gauges[0]?.id)),
      gauges,
      material,
      nose,
      kind,
      axis,
      spring,
      // a hand that practises sets tenths of a division by eye: two of them are sure
      settable: 'fifth',
      // what the shop says of its dial may be wrong
      takes: says === 'radius' ? 2 : says === 'diameter' ? 1 : takes,
    };
  }

  /** What the metal truly was. */
  outcome(): Outcome {
    const size = tidy(Math.round(this.truth() * 1e5) / 1e5);
    const { wanted } = this.set;
    const [over, under] = [size > wanted.max, size < wanted.min];
    return { size, landed: !over && !under ? 'in' : over === this.grows() ? 'past' : 'more', ...this.counts() };
  }
}

/** Chips and sound by how deep and how fast it cuts, mm on radius and mm a turn. @source common practice: what a turner looks at */
function chipsOf(deep: number, feed: number, ratio: number): Pick<Seen, 'chips' | 'sound'> {
  if (deep < 0.004) return { chips: 'no chip: it rubs, a little dust', sound: 'it squeaks' };
  if (deep < 0.03) return { chips: 'fine dust and hair', sound: 'it whispers' };
  const colour = ratio > 1.6 ? 'dark blue' : ratio > 1.1 ? 'blue' : ratio > 0.7 ? 'straw' : 'silver';
  const form = feed < 0.08 ? 'long strings, keep the hook at hand' : deep > 1 && feed > 0.15 ? 'short sixes and nines' : 'curls';
  return { chips: `${colour} ${form}`, sound: ratio > 1.8 ? 'it screams' : deep > 1.5 ? 'it rumbles' : 'it hisses evenly' };
}

const surfaceOf = (feed: number, nose: number, ratio: number): string =>
  ratio < 0.5 ? 'torn and grey: too slow for the edge' : (1000 * feed ** 2) / (8 * nose) > 12 ? 'a thread that the nail feels' : 'even, with a shine';

/** The same deeds on the same metal. */
export function played(set: StandSet, deeds: readonly Deed[]): Stand {
  const stand = new Stand(set);
  for (const deed of deeds) stand.act(deed);
  return stand;
}
