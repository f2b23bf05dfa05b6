
import * as z from 'zod'
import { SCHEMA } from './migrate';
const thing = z.strictObject                        // an unknown key is told, never silently dropped

// ── words ────────────────────────────────────────────────────────────────────────────────────────
export const Id = z.string().regex(/^[0-9a-z-]{1,40}$/)     // from a generator handed in; unique in the whole job
export const Ref = z.string().max(80)               // a thing or one aspect of it: 's3', 's3.diameter', 's3.near', 'left'
export const StepId = z.string().max(120)           // '<verb>@<Ref>[:<setup>][:<n>]': 'finish-turn@s3', 'face@left', 'measure@s3.diameter:right-1:2'
export const SetupId = z.string().regex(/^(right|left|away)-[1-9]\d?$/)   // the end worked on (away: saw, drill, hardening, press), and the how-manieth time
export const Moment = z.iso.datetime()
export const Day = z.iso.date()                      // 2026-11-28
export const Units = z.enum(['mm', 'in'])
export const Cell = thing({ text: z.string().max(200), units: Units })  // what was typed; units = what a bare number means
const named = { id: Id, name: z.string().max(120), note: z.string().max(4000).exactOptional(), assumed: z.array(z.string()).exactOptional() }  // keys not yet confirmed
const mm = z.number().min(-1e5).max(1e5)            // only where no person typed it
const positive = z.number().positive().max(1e9)

// ── drawing ──────────────────────────────────────────────────────────────────────────────────────
/** One row. near/far: its two faces, in reading order from the end that its list starts at. */
export const Section = thing({
  id: Id,
  size: Cell,                                       // '25 h6' 'M12x1.5-6g LH' '20 > 15' '20 1:10' 'MT2' 'hex 17' 'ball 20' '#7' 'bar'
  length: Cell,                                     // '40 +/-0.1' 'through' '' (left open: `overall` closes the chain)
  from: Ref.exactOptional(),                        // face the length starts at: 'right' 'left' '<id>.near' '<id>.far'; absent: own near
  to: z.enum(['near', 'far']).exactOptional(),      // own face it ends at; absent: far (near, when `from` is the end that its list runs towards)
  near: Cell.exactOptional(), far: Cell.exactOptional(),   // '1x45' 'R2' 'F0.6x0.3' 'break 0.2' 'sharp'; end of a bore: 'flat' '118'
  usable: Cell.exactOptional(),                     // full thread
  finish: Cell.exactOptional(),                     // 'Ra 1.6'
  note: z.string().exactOptional(),
})
export const Detail = thing({                       // something cut in a section or an end
  id: Id, on: Ref, at: Cell, from: Ref.exactOptional(), length: Cell.exactOptional(), size: Cell, angle: Cell.exactOptional(), count: z.int().min(1).exactOptional(),
  kind: z.enum(['groove', 'ringGroove', 'faceGroove', 'knurl', 'centre', 'countersink', 'mark',
    'crossHole', 'flat', 'hexagon', 'keyway', 'slot', 'boltCircle']),      // second line: cut beside the lathe
})
export const Measured = thing({ readings: z.array(Cell).min(1), gauge: Id, celsius: z.number().exactOptional() })
export const Relation = thing({
  id: Id, kind: z.enum(['concentric', 'runout', 'square', 'parallel', 'distance']), of: Ref, to: Ref, value: Cell,
})
export const Mate = thing({
  id: Id, of: Ref, piece: z.string(), measured: Measured.exactOptional(),
  want: Cell,                                       // 'clearance 0.05' 'H7/p6' 'light press' 'trial: slides'
  fixed: thing({ max: mm, min: mm, at: Moment, why: z.string() }).exactOptional(),   // the target, once, not drifting
})
export const Drawing = thing({
  outside: z.array(Section), boreRight: z.array(Section), boreLeft: z.array(Section),
  overall: Cell.exactOptional(), details: z.array(Detail), relations: z.array(Relation), mates: z.array(Mate),
  samples: z.array(thing({ id: Id, of: Ref, measured: Measured, pitch: Cell.exactOptional() })),        // readings of a worn piece; the choice is the cell
  care: z.record(Ref, z.enum(['critical', 'ordinary', 'byEye'])),          // only what a person chose; proposals are derived
  untoleranced: Cell,                               // 'ISO 2768-m' or '+/-0.1'
  material: Id, title: z.record(z.string(), z.string()), treatment: z.array(thing({ id: Id, kind: z.enum(['harden', 'temper', 'plate', 'black']), value: Cell })),
})

// ── decisions: at most one of a kind about a thing (ownStep: any number); a later one replaces it; an orphan is a finding ──
const why = z.string().exactOptional()
export const Choice = z.discriminatedUnion('kind', [
  thing({ kind: z.literal('bar'), id: Id, bar: Id, length: Cell.exactOptional(), after: Id.exactOptional(), why }),
  thing({ kind: z.literal('hold'), id: Id, setup: SetupId, holding: Id, grip: Cell.exactOptional(), stickOut: Cell.exactOptional(),
    support: z.array(thing({ item: Id, at: Cell.exactOptional() })), why }),
  thing({ kind: z.literal('method'), id: Id, of: Ref, method: z.string(), why }),        // 'die' 'saw' 'set-over' ...
  thing({ kind: z.literal('in'), id: Id, step: StepId, setup: SetupId, why }),
  thing({ kind: z.literal('order'), id: Id, steps: z.array(StepId).min(2), why }),       // these, in this order
  thing({ kind: z.literal('use'), id: Id, step: StepId, item: Id, why }),                // tool or gauge
  thing({ kind: z.literal('data'), id: Id, step: StepId, speed: positive.exactOptional(), feed: positive.exactOptional(),
    depth: positive.exactOptional(), passes: z.int().min(1).exactOptional(), why }),     // rev/min, mm/rev, mm on radius
  thing({ kind: z.literal('ownStep'), id: Id, after: StepId.nullable(), says: z.string(), minutes: z.number().min(0) }),
  thing({ kind: z.literal('way'), id: Id, way: z.string(), value: z.string(), why }),    // overrides shop.ways for this job
  thing({ kind: z.literal('overrule'), id: Id, finding: z.string(), said: z.string(), by: z.string(), why: z.string() }),
])

// ── shop ─────────────────────────────────────────────────────────────────────────────────────────
export const Dial = thing({ reads: z.enum(['diameter', 'radius', 'length']), division: Cell, clockwise: z.enum(['in', 'out']),
  backlash: Cell, travel: Cell, readout: Cell.exactOptional() })          // readout: its resolution
const axis = z.enum(['cross', 'carriage', 'compound', 'quill'])
export const Machine = thing({ ...named,
  speeds: z.union([z.array(positive).min(1), thing({ from: positive, to: positive })]),  // rev/min
  feeds: z.array(positive), kilowatts: positive, through: Cell, headstock: Cell.exactOptional(), swing: Cell, swingOverSlide: Cell, centres: Cell,
  dials: z.partialRecord(axis, Dial), leadscrew: Cell, box: z.array(Cell), gears: z.array(z.int()), threadDial: Cell.exactOptional(),
  post: Cell.exactOptional(), quill: Cell.exactOptional(), tailstock: Cell.exactOptional(),               // wide along the bed; across; across
  compoundZero: z.enum(['along', 'across']), nose: z.enum(['screwed', 'locked']), setOver: Cell, tailstockOffset: Cell })
export const Holding = thing({ ...named,
  kind: z.enum(['threeJaw', 'fourJaw', 'softJaws', 'collet', 'softCollet', 'centres', 'arbor', 'cushionedArbor', 'faceplate',
    'splitBush', 'steady', 'followRest', 'liveCentre', 'deadCentre', 'pipeCentre', 'halfCentre']),
  sizes: z.array(Cell).exactOptional(),             // of a set of collets: what each is bored to
  outside: thing({ from: Cell, to: Cell }).exactOptional(), inside: thing({ from: Cell, to: Cell }).exactOptional(),
  jaw: thing({ count: z.int(), length: Cell, reach: Cell }).exactOptional(), maxSpeed: positive, newtons: positive.exactOptional(),
  trueWithin: Cell, marks: z.boolean(),             // TIR
  nose: Cell.exactOptional(), body: Cell.exactOptional(),   // across where the cone of a centre ends or a collet's nose; across what is behind it
  lateral: positive, angular: positive })           // N/mm and N mm/rad: how springy
export const Tool = thing({ ...named,
  kind: z.enum(['turn', 'face', 'bore', 'part', 'groove', 'thread', 'form', 'knurl', 'drill', 'centreDrill', 'ream', 'tap', 'die', 'saw', 'file']),
  size: Cell.exactOptional(), angle: Cell.exactOptional(), nose: Cell.exactOptional(), width: Cell.exactOptional(), reach: Cell.exactOptional(),
  shank: Cell.exactOptional(), least: Cell.exactOptional(), tip: Cell.exactOptional(), overhang: Cell.exactOptional(), holder: Cell.exactOptional(),   // least: the smallest bore it goes into; holder: wide
  lead: Cell.exactOptional(), insert: z.string().max(20).exactOptional(),   // insert: its ISO 1832 code; which of these a kind needs is one table in shop/
  grade: z.enum(['hss', 'carbide']), hand: z.enum(['right', 'left', 'neutral']), body: Cell.exactOptional(), chips: thing({ depth: z.tuple([mm, mm]), feed: z.tuple([mm, mm]) }).exactOptional() })
export const Gauge = thing({ ...named, kind: z.enum(['rule', 'caliper', 'micrometer', 'telescoping', 'bore', 'plugPins', 'wires', 'balls', 'threadMicrometer', 'threadPlug', 'ring', 'nut', 'depth', 'dial', 'mate']),
  sizes: z.array(Cell).exactOptional(), class: z.enum(['plus', 'minus']).exactOptional(),
  from: Cell, to: Cell, resolution: Cell, bias: Cell, repeat: Cell,       // each of the last two as one standard deviation
  checked: Day.exactOptional(), reads: Cell.exactOptional() })           // when it was last checked, and how much it was found to read over (worn: under), with its sign
export const Bar = thing({ ...named, material: Id, across: Cell, form: z.enum(['round', 'hex', 'square', 'tube']), inside: Cell.exactOptional(),
  skin: z.enum(['ground', 'drawn', 'hot', 'sawn']), length: Cell })
export const Lesson = thing({ id: Id, at: Moment, says: z.string(), evidence: z.array(Id), where: z.record(z.string(), Id), // machine, tool ...
  of: z.enum(['spring', 'chips', 'chatter', 'held', 'minutes']), mean: z.number(), deviation: z.number().min(0), count: z.int(), accepted: z.boolean() })
export const Shop = thing({ machines: z.array(Machine), holdings: z.array(Holding), tools: z.array(Tool), gauges: z.array(Gauge),
  bars: z.array(Bar), ways: z.record(z.string(), z.string()), lessons: z.array(Lesson) })   // ways: keys and choices in shop/ways.table.ts

// ── job, and what happened at the machine ────────────────────────────────────────────────────────
/** What was there before, typed like a drawing. `beyondRight`: metal to the right of the finished right face. */
export const StartsAs = thing({ outside: z.array(Section), boreRight: z.array(Section), boreLeft: z.array(Section), overall: Cell.exactOptional(),
  details: z.array(Detail), beyondRight: Cell })
/** How an order came, what was agreed, and what came with it: an original to copy, loose parts that go on again; each on its day. */
export const Order = thing({ reference: z.string().max(120).exactOptional(), channel: z.string().max(60).exactOptional(),
  price: z.string().max(60).exactOptional(),
  parts: z.array(thing({ id: Id, what: z.string().max(200), received: Day.exactOptional(), back: Day.exactOptional() })) })
export const Job = thing({
  name: z.string(), pieces: z.int().min(1).max(50), units: Units, machine: Id.exactOptional(), customer: z.string().exactOptional(),
  wanted: Day.exactOptional(),                                             // the day it is to be there
  order: Order.exactOptional(),
  drawing: Drawing, choices: z.array(Choice),
  /** A piece already started, its sizes as measured now: it is the stock, in place of the bar. */
  startsAs: StartsAs.exactOptional(),
  /** Given out to the Bench: every choice of the route taken, a Shop of only what it names, and the drawing it was made from
   *  (so that a later edit of the drawing can be told apart and does not move the Bench). */
  issue: thing({ at: Moment, app: z.string(), choices: z.array(Choice), kit: Shop, drawing: Drawing.exactOptional(),
    startsAs: StartsAs.exactOptional() }).exactOptional(),
})
/** What the app advised before this entry, so that its promises can be audited: mm on diameter (or length). */
const Told = thing({ expects: mm, deviation: z.number(), chanceIn: z.number(), chancePast: z.number() })
const line = { id: Id, at: Moment, by: Id, piece: z.int().min(1), step: StepId.nullable() }   // by: which browser
const who = z.string().max(60)
export const Entry = z.discriminatedUnion('kind', [
  thing({ ...line, kind: z.literal('zero'), axis, face: Ref, edge: z.enum(['right', 'left', 'point']).exactOptional() }),
  thing({ ...line, kind: z.literal('cut'), axis, dial: Cell, celsius: z.number().exactOptional(), told: Told.exactOptional() }),
  thing({ ...line, kind: z.literal('reading'), of: Ref, value: Cell, along: Cell.exactOptional(), gauge: Id, celsius: z.number().exactOptional(),
    room: z.number().exactOptional(), who: who.exactOptional(),             // how warm the room and the gauge were; who measured
    sure: z.literal(true).exactOptional() }),                              // sure: it surprised, was asked about, and stands
  thing({ ...line, kind: z.literal('dialled'), readings: z.array(Cell).min(2) }),
  thing({ ...line, kind: z.literal('trial'), mate: Id, feel: z.string() }),
  /** Taken as it is by this gauge, though its doubt leaves the limits open. */
  thing({ ...line, kind: z.literal('accepted'), of: Ref, gauge: Id, why: z.string(), who: who.exactOptional() }),
  /** made: what the step left, from the face of its end, mm; a later plan that wants something else opens it again */
  thing({ ...line, kind: z.literal('done'),
    made: thing({ of: Ref, near: mm, far: mm, diameter: mm, form: z.string().max(120) }).exactOptional() }),
  thing({ ...line, kind: z.literal('skipped'), why: z.string() }),
  thing({ ...line, kind: z.literal('timer'), says: z.string(), until: Moment }),
  thing({ ...line, kind: z.literal('symptom'), symptom: z.string(), remedy: z.string(), helped: z.boolean().exactOptional() }),
  thing({ ...line, kind: z.literal('changed'), of: Ref, was: z.string(), now: z.string(), why: z.string() }),
  thing({ ...line, kind: z.literal('scrapped'), why: z.string() }),
  thing({ ...line, kind: z.literal('note'), says: z.string(), photo: Id.exactOptional() }),
  thing({ ...line, kind: z.literal('withdrawn'), entry: Id }),             // how an entry is undone
])

// ── stored and exchanged ─────────────────────────────────────────────────────────────────────────
const envelope = { schema: z.literal(SCHEMA), id: Id, revision: z.int().min(1), saved: Moment, by: Id }
export const StoredJob = thing({ ...envelope, job: Job })
export const StoredShop = thing({ ...envelope, shop: Shop })
export const JobFile = thing({ obra: z.literal('job'), ...envelope, job: Job, log: z.array(Entry),
  unread: z.array(z.unknown()).exactOptional(),                          // entries that could not be read, carried as they are
  photos: z.record(Id, z.string()).exactOptional() })                     // photos as data URLs, in files only
export const ShopFile = thing({ obra: z.literal('shop'), ...envelope, shop: Shop })
export const Backup = thing({ obra: z.literal('backup'), schema: z.literal(SCHEMA), saved: Moment, shops: z.array(ShopFile), jobs: z.array(JobFile),
  practised: z.array(z.unknown()).max(500).exactOptional() })             // attempts of Practice, each read by its own page
