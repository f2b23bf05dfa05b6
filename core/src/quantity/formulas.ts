import { surfaceAt, turnsFor } from './turning';
import { atReference, degreesToAssemble, growth, REFERENCE, whenWarm } from './expansion';
import { costFormulas } from './costFormulas';
import { dialFormulas } from './dialFormulas';
import { fitFormulas } from './fitFormulas';
import { define, type Formula } from './define';
import type { Figure, Inputs, QuantityKind } from './figure';
import { learnFormulas } from './learnFormulas';
import { spreadFormulas } from './spreadFormulas';
import { atOrBelow, floorTo, roundTo, tidy } from './rounding';

const practice = 'common practice';

/** Every formula whose result can stand on slate, sheet or card. One table, so that each figure can be opened and recomputed. */
export const formulas = {
  speedAsked: define(
    'n = 1000 v / (pi d)',
    'definition of cutting speed',
    { v: ['cuttingSpeed', 'cutting speed v'], d: ['diameter', 'diameter in cut d'] },
    ({ v, d }) => turnsFor(v, d),
  ),
  spindleSpeed: define<'v' | 'd' | 'most', 'speeds'>(
    'the highest speed of the machine at or below 1000 v / (pi d) and at or below the most allowed; the lowest it has when none is',
    'definition of cutting speed; rounding down is common practice',
    {
      v: ['cuttingSpeed', 'cutting speed v'],
      d: ['diameter', 'diameter in cut d'],
      most: ['spindleSpeed', 'most that the holding allows'],
      speeds: ['spindleSpeed', 'speeds of the machine'],
    },
    ({ v, d, most }, { speeds }) => atOrBelow(Math.min(turnsFor(v, d), most), speeds),
  ),
  surfaceSpeed: define(
    'pi d n / 1000',
    'definition of cutting speed',
    { d: ['diameter', 'diameter in cut d'], n: ['spindleSpeed', 'spindle speed n'] },
    ({ d, n }) => surfaceAt(d, n),
  ),
  feedForFinish: define<'Ra' | 'r' | 'most', 'feeds'>(
    'the highest feed of the machine at or below sqrt(18 sqrt(3) r Ra / 1000) and the most asked',
    'ideal Ra = f^2 / (18 sqrt(3) r), geometry of a round nose',
    {
      Ra: ['roughness', 'wanted Ra'],
      r: ['length', 'nose radius r'],
      most: ['feed', 'most for a finishing cut'],
      feeds: ['feed', 'feeds of the machine'],
    },
    ({ Ra, r, most }, { feeds }) => atOrBelow(Math.min(Math.sqrt((18 * Math.sqrt(3) * r * Ra) / 1000), most), feeds),
  ),
  feedSet: define<'asked', 'feeds'>(
    'the highest feed of the machine at or below the one asked',
    practice,
    { asked: ['feed', 'feed asked'], feeds: ['feed', 'feeds of the machine'] },
    ({ asked }, { feeds }) => atOrBelow(asked, feeds),
  ),
  feedByHand: define('fed by hand at about this rate', practice, { asked: ['feed', 'about'] }, ({ asked }) => asked),
  feedOfThread: define('one pitch a turn', 'definition of lead', { P: ['length', 'pitch P'] }, ({ P }) => P),
  depthLimit: define(
    'full depth to a stick-out of 3 diameters, 0.7 of it to 5, 0.4 of it beyond; with a centre 0.7 beyond 5',
    practice,
    {
      full: ['length', 'full depth of this machine in this material'],
      ratio: ['ratio', 'stick-out to diameter'],
      centre: ['count', 'centre in use (1) or not (0)'],
    },
    ({ full, ratio, centre }) => tidy(full * (ratio <= 3 ? 1 : ratio <= 5 || centre > 0 ? 0.7 : 0.4)),
  ),
  depthOfChips: define(
    'the deepest cut whose chips the insert breaks',
    'chip window of the tool',
    { most: ['length', 'deepest'] },
    ({ most }) => most,
  ),
  depthByPower: define(
    'share x P / (Fc a mm of depth x v)',
    'Kienzle, with the nose; share of the motor common practice',
    {
      P: ['power', 'motor P'],
      share: ['ratio', 'share that reaches the chip'],
      perMm: ['force', 'cutting force a mm of depth'],
      d: ['diameter', 'diameter in cut d'],
      n: ['spindleSpeed', 'spindle speed n'],
    },
    ({ P, share, perMm, d, n }) => (share * P * 6e7) / (Math.PI * d * n * perMm),
  ),
  depthBySpring: define(
    'allowed spring / (give x push a mm of depth)',
    'beam of the stock as it stands; Kienzle with the nose; half of what is left for finishing may stand, common practice',
    { allowed: ['length', 'spring allowed, on radius'], give: ['ratio', 'µm a newton'], perMm: ['force', 'push a mm of depth'] },
    ({ allowed, give, perMm }) => (1000 * allowed) / (give * perMm),
  ),
  depthByGrip: define(
    'what the grip holds / pull at the jaws a mm of depth',
    'Kienzle with the nose; twist and push together',
    { holds: ['force', 'the grip holds'], perMm: ['force', 'pull a mm of depth'] },
    ({ holds, perMm }) => holds / perMm,
  ),
  gripHolds: define(
    'friction x F (1 - share lost (n / most)^2) / factor',
    'EN 1550 on the loss at speed, friction of hard jaws on steel: from memory, 30 %; factor as VDI 3106 or more',
    {
      F: ['force', 'all jaws, standing still'],
      loses: ['ratio', 'share lost at the most speed'],
      n: ['spindleSpeed', 'speed n'],
      most: ['spindleSpeed', 'most speed of the holding'],
      friction: ['ratio', 'friction'],
      factor: ['ratio', 'factor'],
    },
    ({ F, loses, n, most, friction, factor }) => (friction * F * Math.max(0, 1 - loses * (n / most) ** 2)) / factor,
  ),
  forceOfEdge: define(
    'Fc = kc1.1 b h^(1 - mc) x corrections',
    'Kienzle; kc1.1 and mc from memory of the usual list; speed, rake and nose corrected, 20 %',
    {
      kc: ['pressure', 'kc1.1'],
      mc: ['ratio', 'mc'],
      b: ['length', 'edge in cut b'],
      h: ['length', 'thickness of chip h'],
      factor: ['ratio', 'corrections'],
    },
    ({ kc, mc, b, h, factor }) => kc * b * Math.pow(h, 1 - mc) * factor,
  ),
  passes: define(
    'total depth / most in one pass, rounded up',
    practice,
    { total: ['length', 'depth to take, on radius'], most: ['length', 'most in one pass'] },
    ({ total, most }) => Math.max(1, Math.ceil(total / most - 1e-6)),
  ),
  depth: define(
    'total depth / number of passes',
    practice,
    { total: ['length', 'depth to take, on radius'], passes: ['count', 'passes'] },
    ({ total, passes }) => total / passes,
  ),
  passiveForce: define(
    'share x Fc stands square to the edge; along the radius it is share x Fc cos(lead)',
    'textbooks of metal cutting, from memory, 20 %; lead of the nose where the depth is under it',
    { F: ['force', 'cutting force Fc'], share: ['ratio', 'share across the edge'], lead: ['angle', 'lead in cut'] },
    ({ F, share, lead }) => share * F * Math.abs(Math.cos((lead * Math.PI) / 180)),
  ),
  spring: define(
    'passive force x what the work gives way there',
    'beam of the stock as it stands, in springy chuck and centre, by the force method',
    { F: ['force', 'passive force'], give: ['ratio', 'µm a newton'] },
    ({ F, give }) => (F * give) / 1000,
  ),
  springOfBar: define(
    'force x what the tool gives way at its edge',
    'the bar or blade as a beam in a springy toolpost, by the force method; the post from judgement, a factor of two',
    { F: ['force', 'force'], give: ['ratio', 'µm a newton'] },
    ({ F, give }) => (F * give) / 1000,
  ),
  lobes: define(
    'W R^3 share / (E I), I = b t^3 / 12; share of a ring under so many equal loads',
    'Roark, circular rings, from memory; a light grip is a third of what the chuck can, common practice',
    {
      W: ['force', 'of each jaw'],
      R: ['length', 'radius of the middle of the wall'],
      t: ['length', 'wall'],
      b: ['length', 'length gripped'],
      E: ['pressure', 'modulus'],
      share: ['ratio', 'share'],
    },
    ({ W, R, t, b, E, share }) => (12 * W * R ** 3 * share) / (E * b * t ** 3),
  ),
  forceAtAngle: define(
    'Fc = kc1.1 h^(-mc) ap f, h = f sin(lead angle)',
    'Kienzle; kc1.1 and mc from memory of the usual list; no factors of rake, speed or wear',
    {
      kc: ['pressure', 'kc1.1'],
      mc: ['ratio', 'mc'],
      ap: ['length', 'depth of cut ap'],
      f: ['feed', 'feed f'],
      kappa: ['angle', 'lead angle, degrees'],
    },
    ({ kc, mc, ap, f, kappa }) => kc * ap * f * Math.pow(f * Math.sin((kappa * Math.PI) / 180), -mc),
  ),
  power: define(
    'P = Fc v / 60000, v = pi d n / 1000',
    'definition of power',
    { Fc: ['force', 'cutting force Fc'], d: ['diameter', 'diameter in cut d'], n: ['spindleSpeed', 'spindle speed n'] },
    ({ Fc, d, n }) => (Fc * Math.PI * d * n) / 1000 / 60000,
  ),
  minutes: define(
    'passes x (length + approach) / (feed x speed) + handling',
    'definition of feed; handling is common practice',
    {
      passes: ['count', 'passes'],
      length: ['length', 'length of one pass'],
      approach: ['length', 'approach'],
      f: ['feed', 'feed'],
      n: ['spindleSpeed', 'spindle speed'],
      handling: ['time', 'handling'],
    },
    ({ passes, length, approach, f, n, handling }) => (passes * (length + approach)) / (f * n) + handling,
  ),
  minutesShared: define(
    '(minutes once + minutes for each next x (pieces - 1)) / pieces',
    'arithmetic: done once for several pieces',
    { once: ['time', 'once'], next: ['time', 'for each next piece'], pieces: ['count', 'pieces'] },
    ({ once, next, pieces }) => (once + next * (pieces - 1)) / pieces,
  ),
  minutesByHand: define('time for this handling', practice, { handling: ['time', 'handling'] }, ({ handling }) => handling),
  totalMinutes: define<never, 'minutes'>('sum of the steps', 'arithmetic', { minutes: ['time', 'minutes of each step'] }, (_, { minutes }) =>
    minutes.reduce((sum, m) => sum + m, 0),
  ),
  forPieces: define(
    'minutes of one piece x pieces',
    'arithmetic',
    { minutes: ['time', 'minutes of one piece'], pieces: ['count', 'pieces'] },
    ({ minutes, pieces }) => minutes * pieces,
  ),
  asItStands: define('as it stands there, with all its digits', 'named beside it', { value: ['ratio', 'value'] }, ({ value }) => value),
  limitOf: define(
    'basic size + deviation',
    'limits of the drawing',
    { basic: ['length', 'basic size'], deviation: ['length', 'deviation'] },
    ({ basic, deviation }) => tidy(basic + deviation),
  ),
  counted: define('counted in the record of this job', 'arithmetic', { count: ['count', 'entries'] }, ({ count }) => count),
  startsAfter: define<never, 'minutes'>('sum of all that comes before', 'arithmetic', { minutes: ['time', 'minutes before'] }, (_, { minutes }) =>
    minutes.reduce((sum, m) => sum + m, 0),
  ),
  barLength: define(
    'part + facing at A + facing at B + blade + gap to the jaws + grip + spare',
    'bar-length, common practice',
    {
      part: ['length', 'part'],
      faceA: ['length', 'facing at A'],
      faceB: ['length', 'facing and turning round at B'],
      blade: ['length', 'parting blade'],
      gap: ['length', 'gap, blade to jaws'],
      grip: ['length', 'grip'],
      spare: ['length', 'spare'],
    },
    ({ part, faceA, faceB, blade, gap, grip, spare }) => tidy(part + faceA + faceB + blade + gap + grip + spare),
  ),
  totalLength: define<never, 'rows'>('sum of the rows', 'arithmetic', { rows: ['length', 'rows from end A'] }, (_, { rows }) =>
    tidy(rows.reduce((sum, row) => sum + row, 0)),
  ),
  mass: define(
    'volume x density, volume by the frusta of the half section',
    'geometry; density typical, from memory',
    { volume: ['volume', 'volume'], density: ['ratio', 'density, kg/m³'] },
    ({ volume, density }) => volume * density * 1e-9,
  ),
  stickOut: define(
    'part + facing at A + facing at B + blade + gap to the jaws',
    'bar-length, common practice',
    {
      part: ['length', 'part'],
      faceA: ['length', 'facing at A'],
      faceB: ['length', 'facing and turning round at B'],
      blade: ['length', 'parting blade'],
      gap: ['length', 'gap, blade to jaws'],
    },
    ({ part, faceA, faceB, blade, gap }) => tidy(part + faceA + faceB + blade + gap),
  ),
  barEach: define(
    'part + facing at A + facing at B + blade: what each piece takes of a bar that stays in the chuck',
    'bar-or-blank, common practice',
    { part: ['length', 'part'], faceA: ['length', 'facing at A'], faceB: ['length', 'facing at B'], blade: ['length', 'parting blade'] },
    ({ part, faceA, faceB, blade }) => tidy(part + faceA + faceB + blade),
  ),
  beyondLeft: define(
    'length of the piece - what stands beyond face A - part',
    'arithmetic',
    { whole: ['length', 'the piece'], beyond: ['length', 'beyond face A'], part: ['length', 'part'] },
    ({ whole, beyond, part }) => tidy(whole - beyond - part),
  ),
  barLeft: define(
    'bar - pieces x what each takes of it',
    'arithmetic',
    { bar: ['length', 'bar'], cut: ['length', 'one piece takes'], pieces: ['count', 'pieces'] },
    ({ bar, cut, pieces }) => tidy(bar - cut * pieces),
  ),
  stickOutStarted: define(
    'length of the piece - grip',
    'arithmetic',
    { whole: ['length', 'the piece'], grip: ['length', 'grip'] },
    ({ whole, grip }) => tidy(whole - grip),
  ),
  stickOutTurned: define(
    'part + facing of the free end - grip - what lies inside the chuck beyond the grip',
    'arithmetic',
    { part: ['length', 'part'], face: ['length', 'facing of the free end'], grip: ['length', 'grip'], inside: ['length', 'inside the chuck'] },
    ({ part, face, grip, inside }) => tidy(part + face - grip - inside),
  ),
  stickOutRatio: define(
    'unsupported length / diameter',
    'stick-out, common practice',
    { L: ['length', 'unsupported length'], d: ['diameter', 'diameter'] },
    ({ L, d }) => L / d,
  ),
  whipSpeed: define(
    '1.4e7 d / L^2',
    'bar-whip, common practice: a third of the critical speed of a steel bar held at one end',
    { d: ['diameter', 'bar d'], L: ['length', 'out behind the spindle L'] },
    ({ d, L }) => (1.4e7 * d) / L ** 2,
  ),
  gripOfJaws: define(
    'length of the jaws, or what the bar allows when it is less',
    practice,
    { jaws: ['length', 'length of the jaws'], most: ['length', 'what can be gripped'] },
    ({ jaws, most }) => tidy(Math.min(jaws, most)),
  ),
  runoutTogether: define<never, 'tirs'>(
    'root of the sum of the squared runouts',
    'eccentricities the same in every direction and independent: Rayleigh by root-sum-square; each held to in 19 of 20',
    { tirs: ['length', 'runouts, TIR'] },
    (_, { tirs }) => tidy(Math.hypot(...tirs)),
  ),
  chanceWithin: define(
    '1 - 0.05^((limit / TIR)^2)',
    'Rayleigh distribution through the reading kept to in 19 of 20',
    { limit: ['length', 'limit, TIR'], tir: ['length', 'kept to in 19 of 20, TIR'] },
    ({ limit, tir }) => 1 - Math.pow(0.05, (limit / tir) ** 2),
  ),
  runoutOfHolding: define(
    'what this holding runs out, as the shop has it',
    'common practice',
    { tir: ['length', 'total indicator reading'] },
    ({ tir }) => tir,
  ),
  ...costFormulas,
  ...dialFormulas,
  ...fitFormulas,
  ...learnFormulas,
  ...spreadFormulas,
  toSize: define('the size wanted after this step', 'drawing', { size: ['diameter', 'size'] }, ({ size }) => size),
  sizeBeforeFinish: define(
    'finished size + allowance for finishing, both sides',
    practice,
    { size: ['diameter', 'finished size'], allowance: ['length', 'allowance a side'] },
    ({ size, allowance }) => tidy(size + 2 * allowance),
  ),
  pitchByWires: define(
    'pitch diameter at its upper limit - (measured over wires, of a nut over balls, at that limit - reading)',
    'the measurement falls with the pitch diameter; the lead angle moves it by less than 0.0002 mm within a class of M, UN threads from M3 and number 4 up',
    { pitch: ['length', 'pitch diameter, upper limit'], over: ['length', 'over wires or balls at that limit'], reading: ['length', 'reading, 20 C'] },
    ({ pitch, over, reading }) => pitch - (over - reading),
  ),
  middle: define(
    'middle of the limits',
    'aim, common practice',
    { max: ['diameter', 'largest'], min: ['diameter', 'smallest'] },
    ({ max, min }) => (max + min) / 2,
  ),
  distance: define('distance from the face named', 'drawing', { value: ['length', 'distance'] }, ({ value }) => value),
  infeed: define(
    'k P, straight in from the finished major diameter',
    'infeed-by-nose, common practice',
    { k: ['ratio', 'share of the pitch for this nose'], P: ['length', 'pitch P'] },
    ({ k, P }) => tidy(k * P),
  ),
  infeedCompound: define(
    'k P / cos of the compound angle',
    'infeed-by-nose, common practice',
    { k: ['ratio', 'share of the pitch for this nose'], P: ['length', 'pitch P'], degrees: ['angle', 'compound angle, degrees'] },
    ({ k, P, degrees }) => (k * P) / Math.cos((degrees * Math.PI) / 180),
  ),
  threadPasses: define(
    'passes of equal area: (infeed / first cut)^2, rounded up, and two spring passes',
    'common practice',
    { infeed: ['length', 'infeed'], first: ['length', 'first cut'] },
    ({ infeed, first }) => Math.max(3, Math.ceil((infeed / first) ** 2 - 1e-6)) + 2,
  ),
  threadInfeed: define(
    'whole infeed x sqrt(i / n), down to a division of the dial; the last pass takes the whole',
    'passes of equal area, common practice',
    { whole: ['length', 'whole infeed'], i: ['count', 'pass i'], n: ['count', 'cutting passes n'], division: ['length', 'division of the dial'] },
    ({ whole, i, n, division }) => {
      const deep = whole * Math.sqrt(i / n);
      return i >= n || division <= 0 || deep < division ? tidy(deep) : floorTo(deep, division);
    },
  ),
  edgeLife: define(
    'T (v0 / v)^(1 / n), no longer than is promised of any edge',
    'Taylor, v T^n = C; life at the starting speed and exponent usual, from memory, a factor of two',
    {
      v: ['cuttingSpeed', 'speed v'],
      at: ['cuttingSpeed', 'starting speed v0'],
      T: ['time', 'life at v0'],
      n: ['ratio', 'exponent n'],
      most: ['time', 'longest promised'],
    },
    ({ v, at, T, n, most }) => Math.min(most, T * (at / v) ** (1 / n)),
  ),
  cutsOfEdge: define(
    'life / minutes in cut, whole ones',
    'Taylor, as the life',
    { life: ['time', 'life of an edge'], minutes: ['time', 'in cut, each'] },
    ({ life, minutes }) => Math.max(0, Math.floor(life / minutes + 1e-9)),
  ),
  drillTorque: define(
    'kc f (D^2 - d^2) / 8, kc of a chip of half the feed',
    'Kienzle for drilling, from memory, 25 %',
    { kc: ['pressure', 'kc of this chip'], f: ['feed', 'feed f'], D: ['diameter', 'drill D'], d: ['diameter', 'hole before it d'] },
    ({ kc, f, D, d }) => (kc * f * (D ** 2 - d ** 2)) / 8000,
  ),
  drillThrust: define(
    '0.3 kc f (D - d) sin(half the point), twice that in the full',
    'Kienzle for drilling, from memory, 25 %; the chisel edge as much again as the lips',
    {
      kc: ['pressure', 'kc of this chip'],
      f: ['feed', 'feed f'],
      D: ['diameter', 'drill D'],
      d: ['diameter', 'hole before it d'],
      half: ['angle', 'half of the point angle, degrees'],
    },
    ({ kc, f, D, d, half }) => 0.3 * kc * f * (D - d) * Math.sin((half * Math.PI) / 180) * (d > 0 ? 1 : 2),
  ),
  tapTorque: define(
    '2 kc A h^-mc r, A = 0.45 P (d - drill) / 2, h a twelfth of the depth, r the middle of the thread',
    'Kienzle on the teeth of the lead, friction as much again; from memory, 40 %',
    { kc: ['pressure', 'kc1.1'], mc: ['ratio', 'mc'], d: ['diameter', 'thread d'], P: ['length', 'pitch P'], drill: ['diameter', 'drilled to'] },
    ({ kc, mc, d, P, drill }) => (2 * kc * (((d - drill) / 2) * P * 0.45) * Math.max(0.01, (d - drill) / 24) ** -mc * ((d + drill) / 4)) / 1000,
  ),
  knurlForce: define(
    '3 yield x width / 2 x sqrt(2 depth D d / (D + d))',
    'indentation at three times the yield, half of the width in teeth; from memory, 40 %',
    {
      yields: ['pressure', 'yield'],
      width: ['length', 'width of the wheel in cut'],
      depth: ['length', 'depth of the teeth'],
      D: ['diameter', 'wheel D'],
      d: ['diameter', 'work d'],
    },
    ({ yields, width, depth, D, d }) => (3 * yields * width * Math.sqrt((2 * depth * D * d) / (D + d))) / 2,
  ),
  knurlRisen: define(
    '(over the crests - blank) / (whole - blank)',
    'what has risen of the height of the knurl, arithmetic',
    { now: ['diameter', 'over the crests'], blank: ['diameter', 'blank'], whole: ['diameter', 'over the crests when it is whole'] },
    ({ now, blank, whole }) => (now - blank) / (whole - blank),
  ),
  knurlFurther: define(
    '(whole - over the crests) / what one unit of dial takes off the diameter',
    'the metal rises by as much as the wheel sinks, common practice: volume is kept',
    {
      now: ['diameter', 'over the crests'],
      whole: ['diameter', 'over the crests when it is whole'],
      takes: ['ratio', 'diameter for one unit of dial'],
    },
    ({ now, whole, takes }) => (whole - now) / takes,
  ),
  powerOfTorque: define(
    'P = 2 pi n M / 60000',
    'definition of power',
    { M: ['torque', 'torque M'], n: ['spindleSpeed', 'spindle speed n'] },
    ({ M, n }) => (2 * Math.PI * n * M) / 60000,
  ),
  warmth: define(
    'room + share x work of cutting / (mass x specific heat), no warmer than is usual',
    'lumped capacity; a fifth of the work stays in the piece, from memory, a factor of two',
    {
      room: ['temperature', 'room'],
      joules: ['ratio', 'work of cutting, kJ'],
      share: ['ratio', 'share that stays'],
      mass: ['mass', 'mass'],
      heat: ['ratio', 'specific heat, J/kg K'],
      most: ['temperature', 'no warmer than'],
    },
    ({ room, joules, share, mass, heat, most }) => Math.min(most, room + (1000 * joules * share) / (mass * heat)),
  ),
  coolFor: define(
    'constant x ln((warm - room) / (wanted - room)) + handling',
    'lumped capacity, any textbook of heat transfer',
    {
      constant: ['time', 'time constant of this piece'],
      warm: ['temperature', 'as warm as it gets'],
      wanted: ['temperature', 'wanted'],
      room: ['temperature', 'room'],
      handling: ['time', 'handling'],
    },
    ({ constant, warm, wanted, room, handling }) => (warm > wanted ? constant * Math.log((warm - room) / (wanted - room)) : 0) + handling,
  ),
  warmToJoin: define(
    'room + (interference + gap) / (alpha d)',
    'linear expansion; join-heat, common practice',
    {
      room: ['temperature', 'room'],
      interference: ['length', 'interference'],
      gap: ['length', 'gap'],
      d: ['diameter', 'joint'],
      alpha: ['ratio', 'alpha, millionths a degree'],
    },
    ({ room, interference, gap, d, alpha }) => room + degreesToAssemble(interference, gap, d, alpha),
  ),
  sawing: define(
    'section / rate + handling',
    'time-of-sawing, common practice',
    { area: ['ratio', 'section, mm2'], rate: ['ratio', 'mm2 a minute'], handling: ['time', 'beside the cut'] },
    ({ area, rate, handling }) => area / rate + handling,
  ),
  drillDepth: define(
    'full depth + cone of the point, d / 2 / tan(half the point angle); a flat bottom has none',
    'geometry',
    { depth: ['length', 'full depth'], d: ['diameter', 'drill'], half: ['angle', 'half of the point angle, degrees'] },
    ({ depth, d, half }) => depth + (half >= 90 ? 0 : d / 2 / Math.tan((half * Math.PI) / 180)),
  ),
  centreDepth: define(
    'pilot of the centre drill + its 60 degree cone from the pilot to the mouth, (mouth - pilot) / 2 / tan 30',
    'DIN 333 form A, ASME B94.11M; from memory',
    { tip: ['length', 'pilot length with its point'], pilot: ['diameter', 'pilot'], mouth: ['diameter', 'mouth'] },
    ({ tip, pilot, mouth }) => tip + (mouth - pilot) / 2 / Math.tan(Math.PI / 6),
  ),
  stackSum: define<never, 'lengths'>(
    'lengths from face to face, those that lead back taken off',
    'worst case: tolerances add, common practice',
    { lengths: ['length', 'lengths'] },
    (_, { lengths }) => tidy(lengths.reduce((sum, l) => sum + l, 0)),
  ),
  stackSpread: define<never, 'tolerances'>(
    'root of the sum of the squared tolerances',
    'each tolerance six standard deviations wide, common practice',
    { tolerances: ['length', 'tolerances'] },
    (_, { tolerances }) => Math.hypot(...tolerances),
  ),
  toleranceLeft: define<'drawn', 'working'>(
    'tolerance drawn - working tolerances on the way',
    'tolerance chart, common practice',
    { drawn: ['length', 'tolerance drawn'], working: ['length', 'working tolerances'] },
    ({ drawn }, { working }) => Math.max(0, tidy(drawn - working.reduce((sum, t) => sum + t, 0))),
  ),
  workingLeast: define(
    'middle - half of the tolerance allotted',
    'tolerance chart, common practice',
    { middle: ['length', 'middle'], half: ['length', 'half allotted'] },
    ({ middle, half }) => tidy(middle - half),
  ),
  workingMost: define(
    'middle + half of the tolerance allotted',
    'tolerance chart, common practice',
    { middle: ['length', 'middle'], half: ['length', 'half allotted'] },
    ({ middle, half }) => tidy(middle + half),
  ),
  changesTake: define(
    'changes x minutes to change + minutes to bore seats anew',
    practice,
    { changes: ['count', 'changes'], each: ['time', 'minutes to change'], again: ['time', 'seats bored anew'] },
    ({ changes, each, again }) => changes * each + again,
  ),
  waitingTime: define(
    'from beginning to end - attended',
    'arithmetic',
    { elapsed: ['time', 'beginning to end'], attended: ['time', 'attended'] },
    ({ elapsed, attended }) => Math.max(0, tidy(elapsed - attended)),
  ),
  bladeTo: define(
    'length + width of the blade',
    'tool-width, common practice: its edge towards the headstock was touched on the face',
    { length: ['length', 'length to the edge towards the free end'], width: ['length', 'width of the blade'] },
    ({ length, width }) => tidy(length + width),
  ),
  quillLeft: define(
    'travel of the quill - what it does not all have - depth',
    'quill, common practice',
    { travel: ['length', 'travel'], less: ['length', 'not to be had'], depth: ['length', 'depth'] },
    ({ travel, less, depth }) => tidy(travel - less - depth),
  ),
  roughnessRead: define('as read, by comparison or instrument', 'comparison plate or roughness tester', { Ra: ['roughness', 'Ra'] }, ({ Ra }) => Ra),
  angleRead: define('as read', 'protractor, sine bar or the compound’s own setting', { angle: ['angle', 'angle to the axis'] }, ({ angle }) => angle),
  taperBetween: define(
    '(diameter at the held end - diameter at the free end) / distance between them',
    'two collars turned at one setting, common practice',
    { large: ['diameter', 'diameter at the held end'], small: ['diameter', 'diameter at the free end'], apart: ['length', 'distance'] },
    ({ large, small, apart }) => (large - small) / apart,
  ),
  setOverBy: define(
    'difference of the taper wanted and measured x length between centres / 2',
    'geometry of a set-over tailstock',
    { wanted: ['ratio', 'taper wanted'], is: ['ratio', 'taper measured'], between: ['length', 'between centres'] },
    ({ wanted, is, between }) => (Math.abs(wanted - is) * between) / 2,
  ),
  furtherByFeel: define(
    'share x tolerance of the pitch diameter / what one unit of the dial takes off it, and no less than is set',
    'a little and try again, common practice',
    {
      share: ['ratio', 'share of the tolerance'],
      tolerance: ['length', 'tolerance of the pitch diameter'],
      takes: ['ratio', 'diameter taken by one unit of dial'],
      settable: ['length', 'smallest settable move'],
    },
    ({ share, tolerance, takes, settable }) => tidy(Math.max(1, Math.round((share * tolerance) / takes / settable)) * settable),
  ),
  standsOff: define(
    '(diameter - diameter at the line of the gauge) / taper; of a bore (diameter at the line - diameter) / taper',
    'how far still to go in is what is left of the diameter over the taper, common practice',
    {
      size: ['diameter', 'diameter'],
      line: ['diameter', 'diameter at the line'],
      slope: ['ratio', 'diameter per length'],
      towards: ['count', '1 outside, -1 in a bore'],
    },
    ({ size, line, slope, towards }) => (towards * (size - line)) / slope,
  ),
  coldSize: define(
    'reading - reading x alpha x (temperature - 20)',
    'linear expansion, reference temperature 20 C of ISO 1',
    { reading: ['diameter', 'reading'], alpha: ['ratio', 'alpha, millionths a degree'], celsius: ['temperature', 'temperature'] },
    ({ reading, alpha, celsius }) => atReference(reading, alpha, celsius),
  ),
  coldSizeBy: define(
    '(reading - what the gauge reads over) x (1 + alpha of the gauge x (room - 20)) less alpha x (temperature - 20) of it',
    'linear expansion of piece and gauge, reference temperature 20 C of ISO 1; what the gauge reads over as found at its last check',
    {
      reading: ['diameter', 'reading'],
      over: ['length', 'what the gauge reads over'],
      room: ['temperature', 'temperature of room and gauge'],
      gaugeAlpha: ['ratio', 'alpha of the gauge, millionths a degree'],
      alpha: ['ratio', 'alpha of the piece, millionths a degree'],
      celsius: ['temperature', 'temperature of the piece'],
    },
    ({ reading, over, room, gaugeAlpha, alpha, celsius }) => {
      const own = reading - over;
      return atReference(own + growth(own, gaugeAlpha, room - REFERENCE), alpha, celsius);
    },
  ),
  warmSize: define(
    'cold size + cold size x alpha x (temperature - 20)',
    'linear expansion, reference temperature 20 C of ISO 1',
    { cold: ['diameter', 'cold size'], alpha: ['ratio', 'alpha, millionths a degree'], celsius: ['temperature', 'temperature'] },
    ({ cold, alpha, celsius }) => whenWarm(cold, alpha, celsius),
  ),
  warmSizeBy: define(
    'cold size x (1 + alpha x (temperature - 20)) less alpha of the gauge x (room - 20) of it, and what the gauge reads over',
    'linear expansion of piece and gauge, reference temperature 20 C of ISO 1; what the gauge reads over as found at its last check',
    {
      cold: ['diameter', 'cold size'],
      alpha: ['ratio', 'alpha of the piece, millionths a degree'],
      celsius: ['temperature', 'temperature of the piece'],
      over: ['length', 'what the gauge reads over'],
      room: ['temperature', 'temperature of room and gauge'],
      gaugeAlpha: ['ratio', 'alpha of the gauge, millionths a degree'],
    },
    ({ cold, alpha, celsius, over, room, gaugeAlpha }) => {
      const own = whenWarm(cold, alpha, celsius);
      return own - growth(own, gaugeAlpha, room - REFERENCE) + over;
    },
  ),
  readoutSet: define(
    'the size as measured, at 20 C',
    'the tool stands where it cut it, common practice',
    { size: ['diameter', 'measured'] },
    ({ size }) => size,
  ),
  readoutCut: define(
    'measured - dial x what one unit of dial takes off the size',
    'the readout counts on the size, common practice',
    { size: ['diameter', 'measured'], dial: ['length', 'dial'], takes: ['ratio', 'taken by one unit of dial'] },
    ({ size, dial, takes }) => size - dial * takes,
  ),
  minutesLearned: define(
    'minutes as reckoned x how many times as long such steps took',
    'the record of this lathe, kept by a person',
    { reckoned: ['time', 'as reckoned'], times: ['ratio', 'times as long'] },
    ({ reckoned, times }) => reckoned * times,
  ),
  dialMove: define(
    '(what is left / cuts - what the spring of the last cut gives back) / share of a dialled cut that comes off / what one unit of the dial takes off the diameter, to a setting the dial can show',
    'settable, big-then-small: common practice; share and give from the readings so far',
    {
      left: ['diameter', 'still to come off, on diameter'],
      cuts: ['count', 'like cuts'],
      takes: ['ratio', 'diameter taken by one unit of dial'],
      share: ['ratio', 'share of a dialled cut that comes off'],
      back: ['length', 'what the spring of the last cut gives back'],
      settable: ['length', 'smallest settable move'],
    },
    ({ left, cuts, takes, share, back, settable }) => roundTo((left / cuts - back) / share / takes, settable),
  ),
  forecast: define(
    'cold size now - what comes off: dialled on the size x share that comes off + what the spring of the last cut gives back; a bore or depth grows by it',
    'work and tool give way: size after = (edge + spring x size) / (1 + spring); averaged over the springs that fit the readings',
    {
      now: ['diameter', 'cold size now'],
      dial: ['length', 'dial move'],
      takes: ['ratio', 'diameter taken by one unit of dial'],
      share: ['ratio', 'share of a dialled cut that comes off'],
      back: ['length', 'what the spring of the last cut gives back'],
      towards: ['count', '1 where the cut makes the size smaller, -1 where it makes it larger'],
    },
    ({ now, dial, takes, share, back, towards }) => now - towards * (dial * takes * share + back),
  ),
  forecastTouching: define(
    'cold size now - what may come off, the edge drawn back until it about touches; a bore or depth grows by it',
    'averaged over the springs that fit the readings: under those that leave the edge clear of the work nothing comes off',
    {
      now: ['diameter', 'cold size now'],
      off: ['length', 'what may come off'],
      dial: ['length', 'dial move'],
      towards: ['count', '1 where the cut makes the size smaller, -1 where it makes it larger'],
    },
    ({ now, off, towards }) => now - towards * off,
  ),
  expected: define(
    'cold size now - what the dial move takes off the diameter',
    'arithmetic',
    { now: ['diameter', 'cold size now'], dial: ['length', 'dial move'], takes: ['ratio', 'diameter taken by one unit of dial'] },
    ({ now, dial, takes }) => tidy(now - dial * takes),
  ),
  measured: define('as measured, corrected to 20 C', 'reading', { cold: ['diameter', 'cold size'] }, ({ cold }) => cold),
  chosen: define('chosen by hand', 'a decision of this job', { value: ['ratio', 'value'] }, ({ value }) => value),
} as const satisfies Record<string, Formula>;

export type FormulaName = keyof typeof formulas;

/** The formula of a figure, or undefined when an older record names one that is gone. */
export function formulaNamed(name: string): Formula | undefined {
  return Object.hasOwn(formulas, name) ? formulas[name as FormulaName] : undefined;
}

/** Computes a figure from its formula and inputs. `deviation` is one standard deviation, same unit as the value. */
export function figure(
  is: QuantityKind,
  formula: FormulaName,
  of: Inputs,
  more: { readonly step?: number; readonly deviation?: number; readonly source?: string } = {},
): Figure {
  return { is, value: formulas[formula].compute(of), formula, of, ...more };
}
