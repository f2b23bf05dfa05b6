import type { Entry } from '../document';
import { type How, randomFrom, simulated, type SimulatedLathe } from '../lathe';
import { tidy, writeExact } from '../quantity';
import { mmOf } from '../shop';
import { type Advice, adviseWith, type AdviseWith } from '../sizing';
import type { Deed, Nuts, Outcome, Seen, StandSet } from './deeds';
import { chipsOf, surfaceOf } from './looks';

/*
 * A lathe to practise on: handles with their take-up, levers, gauges that a hand lays on. It shows what a turner sees, and nothing else, until somebody asks what the
 * metal truly was. The same number and the same deeds give the same metal.
 */

/** A hand that turns a handle sets it to so much of a division. */
const HAND = 0.02;
/** Minutes: to turn a handle, to make a pass, to stop and measure. */
const MINUTES = { dial: 0.1, pass: 1.5, read: 0.6, emery: 0.3, centre: 1.5 } as const;
/** A bar between jaws and a centre gives way by so much of what it does free, tool and slides with it. @source judgement: a held free end is 16 times as stiff and more, the tool is not */
const PROPPED = 0.3;
const nutsSaid: Readonly<Record<Nuts, string>> = {
  open: 'The half-nuts are open.',
  any: 'The half-nuts are closed at whatever line comes.',
  line: 'The half-nuts are closed at the same line of the thread dial each time.',
  kept: 'The half-nuts stay closed: back off, and run the spindle back.',
};

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
  private nuts: Nuts = 'open';
  private centre = false;
  /** a pass ran beside the groove: what is a thread no more */
  private crossed = false;
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

  levers(): { readonly rpm: number; readonly feed: number; readonly coolant: boolean; readonly nuts: Nuts; readonly centre: boolean } {
    return { rpm: this.rpm, feed: this.feed, coolant: this.coolant, nuts: this.nuts, centre: this.centre };
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
      case 'heard':
        return this.heard(deed.mm);
      case 'nuts':
        this.nuts = deed.at;
        return { says: nutsSaid[deed.at] };
      case 'centre':
        if (this.rpm > 0) return { says: 'Stop the spindle before you bring the centre up.' };
        this.centre = deed.up;
        this.minutes += MINUTES.centre;
        return { says: deed.up ? 'The centre is up and its quill clamped; it is snug, not hard.' : 'The centre is drawn back.' };
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
    const thread = this.set.nuts !== undefined;
    if (thread && this.nuts === 'open') return { says: 'The half-nuts are open: the carriage stands.' };
    if (!thread && this.feed === 0) return { says: 'No feed is engaged.' };
    const { truth, speed } = this.set;
    this.minutes += MINUTES.pass;
    const moved = this.slide - this.cutAt;
    // clear of the work it cuts air
    const air = this.passes === 0 && this.slide < 0;
    if (air) return { sound: 'it cuts air', says: 'The tool does not reach the work.' };
    const before = this.lathe.truth();
    const surfaceSpeed = (Math.PI * Math.max(1, this.truth()) * this.rpm) / 1000;
    const ratio = surfaceSpeed / speed;
    // closed at another line the tool runs beside its groove; once in a while it meets it all the same
    if (thread && this.passes > 0 && !meets(this.set.nuts, this.nuts) && this.hand.even() < BESIDE) this.crossed = true;
    const how: How = {
      uneven: ratio < 0.5 ? 3 : this.feed > 0.25 ? 2 : 1,
      wear: ratio > 1.6 ? 6 : 1,
      warms: (this.coolant ? 0.3 : 1) * Math.min(2, Math.max(0.6, ratio)),
      gives: this.centre ? PROPPED : 1,
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
    if (this.crossed) return { sound: 'it chatters and tears', surface: 'two grooves beside each other', says: 'The thread is crossed.' };
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

  /** What a line of a gauge said counts for what its display showed; where nothing came nothing was read. */
  private heard(mm: number | null): Seen {
    const nth = this.log.findLastIndex((e) => e.kind === 'reading');
    const last = this.log[nth];
    if (last?.kind !== 'reading') return {};
    if (mm === null) {
      this.log.splice(nth, 1);
      this.readings--;
      return { reading: undefined, says: 'Nothing of it was taken.' };
    }
    this.log[nth] = { ...last, value: { text: writeExact(mm, 'mm'), units: 'mm' } };
    return { reading: mm };
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
    const crossed = this.crossed ? ({ crossed: true } as const) : {};
    return { size, landed: this.crossed ? 'past' : !over && !under ? 'in' : over === this.grows() ? 'past' : 'more', ...crossed, ...this.counts() };
  }
}

/** Another line of the thread dial than the first meets the groove less often than it misses it. */
const BESIDE = 0.6;

/** Whether the half-nuts are closed so that the tool meets its groove. */
const meets = (asked: StandSet['nuts'], at: Nuts): boolean => at === 'kept' || at === asked || asked === 'any';

/** The same deeds on the same metal. */
export function played(set: StandSet, deeds: readonly Deed[]): Stand {
  const stand = new Stand(set);
  for (const deed of deeds) stand.act(deed);
  return stand;
}
