import type { Entry } from '../document';
import { type How, randomFrom, simulated, type SimulatedLathe } from '../lathe';
import { tidy, writeExact } from '../quantity';
import { mmOf } from '../shop';
import { type Advice, adviseWith } from '../sizing';
import type { Deed, Nuts, Outcome, Seen, Spoiled, StandSet } from './deeds';
import { BESIDE, meets, nutsSaid } from './halfNuts';
import { type Decision, decisionsOf, knownOf } from './knows';
import { chipsOf, surfaceOf } from './looks';

/*
 * A lathe to practise on: handles with their take-up, levers, gauges that a hand lays on. It shows what a turner sees, and nothing else, until somebody asks what the
 * metal truly was. The same number and the same deeds give the same metal.
 */

/** A hand that turns a handle sets it to so much of a division. */
const HAND = 0.02;
/** Minutes: to turn a handle, to wind the tool along by a mm, to make a pass, to stop and measure. */
const MINUTES = { dial: 0.1, along: 0.01, pass: 1.5, read: 0.6, emery: 0.3, centre: 1.5 } as const;
/** A bar between jaws and a centre gives way by so much of what it does free, tool and slides with it. @source judgement: a held free end is 16 times as stiff and more, the tool is not */
const PROPPED = 0.3;
/** So far over the edge a tool may be set in: the end of a journal is chamfered after, mm. */
const EDGE = 3;
/** A tool nearer than this to the surface is in the way of a gauge, and of the jaws, mm. */
const NEAR = 12;
/** Fed by hand, so uneven against a feed of the machine. @source judgement */
const BY_HAND = { uneven: 2.5, feed: 0.15 } as const;
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
  /** the tool from the edge of the work: clear of it over nothing, over it under nothing */
  private at = -2;
  private spoiled: Spoiled | undefined;
  /** which way the tool was wound last */
  private wound = 0;
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

  /** How far the dial is off the reading that was asked, and how far the slide stands deeper than the dial shows; mm of dial. */
  readingOff(): { readonly dial: number; readonly slide: number } {
    return { dial: tidy(this.dial() - (this.set.toRead ?? this.dial())), slide: tidy(this.slide - this.dialled) };
  }

  /** Whether the dial stands at the reading that was asked and the slide where it says, within a fifth of a division. @source settable, common practice */
  stands(): boolean {
    const { dial, slide } = this.readingOff();
    return Math.max(Math.abs(dial), Math.abs(slide)) <= this.set.truth.division / 5;
  }

  /** How far the tool stands clear of the edge of the work, mm; under nothing it is over it. */
  along(): number {
    return this.at;
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
    const from = this.at;
    const seen = this.doing(deed);
    // a handle that is wound on the same way is one deed
    const last = this.did.at(-1);
    if (deed.do === 'along' && last?.do === 'along' && this.wound === Math.sign(this.at - from)) this.did.pop();
    this.wound = deed.do === 'along' ? Math.sign(this.at - from) : 0;
    this.did.push(deed);
    return seen;
  }

  private doing(deed: Deed): Seen {
    switch (deed.do) {
      case 'dial':
        return this.turn(deed.to);
      case 'along':
        return this.wind(deed.to);
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
    if (running && this.at < -EDGE && this.slide > this.cutAt + 1e-9 && wanted > before) {
      if (this.wouldBePast()) this.spoiled ??= 'plunged';
      return { sound: 'it squeals: the whole edge is in', says: 'The tool stands over the work and plunges in.' };
    }
    if (this.passes === 0 && running && this.slide >= 0 && before < 0) return { sound: 'it ticks: the tool scratches a line', says: 'It touches.' };
    return wanted < before && backlash > 0 && before - wanted < backlash ? { says: 'The handle turns; nothing moves yet.' } : {};
  }

  /** Whether the tool as it is set cuts under the size that is wanted, with nothing giving way. Sizes fall in the simulated metal. */
  private wouldBePast(): boolean {
    const { wanted, begins, truth } = this.set;
    const least = this.grows() ? 2 * begins - wanted.max : wanted.min;
    return this.lathe.truth() - truth.takes * (this.slide - this.cutAt) < least;
  }

  /** The other handle: winds the tool along its way. With the tool set in it is a cut by hand. */
  private wind(to: number): Seen {
    const { long, jaws } = this.set.way;
    const from = this.at;
    this.minutes += MINUTES.along * Math.abs(to - from);
    const inWork = this.slide > this.cutAt + 1e-9 || (this.passes > 0 && this.slide >= this.cutAt);
    if (this.set.nuts !== undefined && this.nuts === 'kept') return { says: 'The half-nuts are closed: the carriage is held.' };
    if (inWork && to < Math.min(from, 0) && this.rpm === 0) {
      this.at = Math.min(from, 0);
      return { says: 'The tool stands against the work, and the work stands: start the spindle.' };
    }
    if (jaws !== undefined && to <= -jaws && this.gap() < NEAR) {
      this.at = -jaws;
      if (this.rpm === 0) return { says: 'The tool stands against the jaws.' };
      this.spoiled ??= 'jaws';
      return { sound: 'a blow', says: 'The tool ran into the jaws. Stop the machine.' };
    }
    this.at = to;
    const place = -long / 2;
    if (!inWork || from <= place || to > place) return {};
    if (this.set.nuts !== undefined) this.spoiled ??= 'crossed';
    const seen = this.takeOff(BY_HAND.feed, BY_HAND.uneven);
    return { ...seen, says: this.set.nuts === undefined ? 'A cut, fed by hand.' : 'Fed by hand the thread is cut away.' };
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
    if (this.at <= -this.set.way.long / 2) return { says: 'The tool stands past the place where it is measured: wind it back to the edge first.' };
    this.minutes += MINUTES.pass;
    // clear of the work it cuts air
    if (this.passes === 0 && this.slide < 0) return { sound: 'it cuts air', says: 'The tool does not reach the work.' };
    // closed at another line the tool runs beside its groove; once in a while it meets it all the same
    if (thread && this.passes > 0 && !meets(this.set.nuts, this.nuts) && this.hand.even() < BESIDE) this.spoiled ??= 'crossed';
    const seen = this.takeOff(this.feed, this.feed > 0.25 ? 2 : 1);
    return this.spoiled === 'crossed'
      ? { sound: 'it chatters and tears', surface: 'two grooves beside each other', says: 'The thread is crossed.' }
      : seen;
  }

  /** What comes off where it is measured, at the setting as it stands; what is seen of it. */
  private takeOff(feed: number, unevenly: number): Seen {
    const { truth, speed } = this.set;
    const moved = this.slide - this.cutAt;
    const before = this.lathe.truth();
    const surfaceSpeed = (Math.PI * Math.max(1, this.truth()) * this.rpm) / 1000;
    const ratio = surfaceSpeed / speed;
    const how: How = {
      uneven: ratio < 0.5 ? 3 : unevenly,
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
    return { ...chipsOf(off, feed, ratio), warm: this.warmth(), surface: surfaceOf(feed, this.set.nose, ratio) };
  }

  /** What the hand believes: the dial as it shows. */
  private slideShown(): number {
    return this.dialled + this.ring;
  }

  private read(id: string): Seen {
    const gauge = this.set.gauges.find((g) => g.id === id);
    if (!gauge) return { says: 'That gauge is not here.' };
    if (this.rpm > 0) return { says: 'Stop the spindle before you measure.' };
    if (this.at < -EDGE && this.gap() < NEAR) return { says: 'The tool is in the way of the gauge: wind it clear.' };
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
    return adviseWith(this.set.wanted, this.log, knownOf(this.set, this.log, this.believed));
  }

  /** At each cut that was taken after a reading: what was read, what the advice would have dialled then, and what was dialled. */
  decisions(): readonly Decision[] {
    return decisionsOf(this.set, this.log, this.believed);
  }

  /** What the metal truly was. */
  outcome(): Outcome {
    const size = tidy(Math.round(this.truth() * 1e5) / 1e5);
    const { wanted } = this.set;
    const [over, under] = [size > wanted.max, size < wanted.min];
    const spoiled = this.spoiled ? { spoiled: this.spoiled } : {};
    return { size, landed: this.spoiled ? 'past' : !over && !under ? 'in' : over === this.grows() ? 'past' : 'more', ...spoiled, ...this.counts() };
  }
}

/** The same deeds on the same metal. */
export function played(set: StandSet, deeds: readonly Deed[]): Stand {
  const stand = new Stand(set);
  for (const deed of deeds) stand.act(deed);
  return stand;
}
