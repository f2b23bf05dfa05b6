import { finishOf, taylor, toolLife } from '../cutting';
import { coolingConstant, coolingTime, deflectionAt } from '../mechanics';
import { define, degreesToAssemble, type Formula, growth } from '../quantity';
import { chord, degreesToChill, flats, largestAcross, pressFit } from '../standards';

const geometry = 'geometry';
const arithmetic = 'arithmetic';

/** Formulas of gears, speeds, bending, force and heat, finish, and of what is done beside the lathe. */
export const formulasOfWork = {
  pitchCut: define(
    'leadscrew x box x drivers / driven',
    'exact arithmetic',
    { screw: ['length', 'leadscrew'], box: ['ratio', 'box'], ratio: ['ratio', 'drivers / driven'] },
    ({ screw, box, ratio }) => screw * box * ratio,
  ),
  pitchError: define(
    'pitch cut / pitch wanted - 1, over 25 mm',
    'exact arithmetic',
    { cut: ['length', 'cut'], wanted: ['length', 'wanted'] },
    ({ cut, wanted }) => 25 * (cut / wanted - 1),
  ),
  feedRate: define('feed x speed', 'definition of feed', { f: ['feed', 'feed'], n: ['spindleSpeed', 'speed'] }, ({ f, n }) => f * n),
  speedShare: define(
    'starting speed of the material and tool x share of this work',
    'materials table, from memory; shares spindle-speed, common practice',
    { v: ['cuttingSpeed', 'turning'], share: ['ratio', 'share'] },
    ({ v, share }) => v * share,
  ),
  taylorN: define(
    'ln(v1 / v2) / ln(T2 / T1)',
    'Taylor, v T^n = C',
    { v1: ['cuttingSpeed', 'v1'], t1: ['time', 'T1'], v2: ['cuttingSpeed', 'v2'], t2: ['time', 'T2'] },
    ({ v1, t1, v2, t2 }) => taylor(v1, t1, v2, t2).n,
  ),
  taylorC: define(
    'v1 T1^n',
    'Taylor, v T^n = C',
    { v1: ['cuttingSpeed', 'v1'], t1: ['time', 'T1'], v2: ['cuttingSpeed', 'v2'], t2: ['time', 'T2'] },
    ({ v1, t1, v2, t2 }) => taylor(v1, t1, v2, t2).C,
  ),
  lifeAt: define('(C / v)^(1 / n)', 'Taylor, v T^n = C', { C: ['cuttingSpeed', 'C'], n: ['ratio', 'n'], v: ['cuttingSpeed', 'v'] }, ({ C, n, v }) =>
    toolLife(v, { n, C }),
  ),
  deflection: define(
    'chuck alone F a^3 / 3 E I; between centres F a^2 b^2 / 3 E I L; chuck and centre F a^3 b^2 (4 L - a) / 12 E I L^3',
    'beam theory, ends rigid: chuck and centre give way too, so the real one is more',
    {
      d: ['diameter', 'diameter d'],
      di: ['diameter', 'inside di'],
      E: ['pressure', 'modulus E'],
      L: ['length', 'length L'],
      F: ['force', 'force F'],
      a: ['length', 'from the chuck a'],
      held: ['count', 'held: 1 chuck, 2 centres, 3 chuck and centre'],
    },
    ({ d, di, E, L, F, a, held }) =>
      deflectionAt(
        { diameter: d, inside: di, modulus: E, length: L, held: held === 1 ? 'chuck' : held === 2 ? 'centres' : 'chuck and centre' },
        F,
        a,
      ),
  ),
  onDiameter: define('2 x deflection', geometry, { y: ['length', 'deflection'] }, ({ y }) => 2 * y),
  pressPressure: define(
    'interference / (d [(Do^2 + d^2) / (Do^2 - d^2) + nu) / E of the hub + ((d^2 + di^2) / (d^2 - di^2) - nu) / E of the shaft])',
    'Lame, thick cylinders, all elastic',
    pressInputs(),
    (v) => pressed(v).pressure,
  ),
  pressForce: define('friction x pressure x pi d L', 'Lame, thick cylinders, all elastic', pressInputs(), (v) => pressed(v).force),
  pressTorque: define('press force x d / 2', 'Lame, thick cylinders, all elastic', pressInputs(), (v) => pressed(v).torque),
  pressHoop: define('pressure (Do^2 + d^2) / (Do^2 - d^2)', 'Lame, thick cylinders, all elastic', pressInputs(), (v) => pressed(v).hoop),
  degreesToAssemble: define(
    '(interference + gap) / (alpha d)',
    'linear expansion',
    {
      interference: ['length', 'interference'],
      gap: ['length', 'gap wanted'],
      d: ['diameter', 'diameter d'],
      alpha: ['ratio', 'alpha, millionths a degree'],
    },
    ({ interference, gap, d, alpha }) => degreesToAssemble(interference, gap, d, alpha),
  ),
  degreesToChill: define(
    'r of which alpha d r (1 - 0.21 r / 216) is interference + gap',
    'expansion falls with cold: from room to -196 °C metals shrink by about 0.79 of what alpha at room says; cryogenic tables, from memory',
    {
      interference: ['length', 'interference'],
      gap: ['length', 'gap wanted'],
      d: ['diameter', 'diameter d'],
      alpha: ['ratio', 'alpha at room, millionths a degree'],
    },
    ({ interference, gap, d, alpha }) => degreesToChill(interference, gap, d, alpha),
  ),
  warmTo: define(
    'room + degrees',
    arithmetic,
    { room: ['temperature', 'room'], degrees: ['temperature', 'degrees'] },
    ({ room, degrees }) => room + degrees,
  ),
  growth: define(
    'size x alpha x degrees',
    'linear expansion',
    { size: ['length', 'size'], alpha: ['ratio', 'alpha, millionths a degree'], degrees: ['temperature', 'degrees'] },
    ({ size, alpha, degrees }) => growth(size, alpha, degrees),
  ),
  Rt: define(
    'f^2 / (8 r)',
    'geometry of a round nose, usual approximation',
    { f: ['feed', 'feed f'], r: ['length', 'nose radius r'] },
    ({ f, r }) => finishOf(f, r).Rt,
  ),
  RtExact: define(
    'r - sqrt(r^2 - f^2 / 4)',
    'geometry of a round nose',
    { f: ['feed', 'feed f'], r: ['length', 'nose radius r'] },
    ({ f, r }) => finishOf(f, r).exact,
  ),
  Ra: define(
    'f^2 / (18 sqrt(3) r)',
    'geometry of a round nose',
    { f: ['feed', 'feed f'], r: ['length', 'nose radius r'] },
    ({ f, r }) => finishOf(f, r).Ra,
  ),
  feedOfRa: define('sqrt(18 sqrt(3) r Ra)', 'geometry of a round nose', { Ra: ['roughness', 'Ra'], r: ['length', 'nose radius r'] }, ({ Ra, r }) =>
    Math.sqrt((18 * Math.sqrt(3) * r * Ra) / 1000),
  ),
  feedOfRz: define(
    'sqrt(8 r Rz)',
    'geometry of a round nose, usual approximation',
    { Rz: ['roughness', 'Rz'], r: ['length', 'nose radius r'] },
    ({ Rz, r }) => Math.sqrt((8 * r * Rz) / 1000),
  ),
  crestsStand: define('2 x Rt', 'crests, common practice: a micrometer reads the crests', { Rt: ['roughness', 'Rt'] }, ({ Rt }) => (2 * Rt) / 1000),
  holeX: define(
    'D / 2 cos(angle)',
    'bolt-circle',
    { D: ['diameter', 'circle D'], angle: ['angle', 'angle'] },
    ({ D, angle }) => (D / 2) * Math.cos((angle * Math.PI) / 180),
  ),
  holeY: define(
    'D / 2 sin(angle)',
    'bolt-circle',
    { D: ['diameter', 'circle D'], angle: ['angle', 'angle'] },
    ({ D, angle }) => (D / 2) * Math.sin((angle * Math.PI) / 180),
  ),
  holeAngle: define(
    'start + 360 x place / holes',
    arithmetic,
    { start: ['angle', 'start'], place: ['count', 'place, from 0'], holes: ['count', 'holes'] },
    ({ start, place, holes }) => (start + (360 * place) / holes) % 360,
  ),
  chord: define(
    'D sin(180 x apart / holes)',
    geometry,
    { D: ['diameter', 'circle D'], apart: ['count', 'steps apart'], holes: ['count', 'holes'] },
    ({ D, apart, holes }) => chord(holes, D, apart),
  ),
  centresFromPins: define(
    '(over + between) / 2',
    'bolt-circle, common practice',
    { over: ['length', 'over the pins'], between: ['length', 'between the pins'] },
    ({ over, between }) => (over + between) / 2,
  ),
  circleThrough: define(
    'distance / sin(180 x apart / holes)',
    geometry,
    { distance: ['length', 'distance'], apart: ['count', 'steps apart'], holes: ['count', 'holes'] },
    ({ distance, apart, holes }) => distance / Math.sin((Math.PI * apart) / holes),
  ),
  drilledOver: define(
    'drill + what it cuts over',
    'drill-cuts-over, common practice: 0.03 to 0.10 under 6 mm, 0.10 to 0.15 from there',
    { drill: ['diameter', 'drill'], over: ['length', 'cuts over'] },
    ({ drill, over }) => drill + over,
  ),
  oneFlatDepth: define(
    'd - over',
    'geometry: a micrometer over one flat reads the diameter less its depth',
    { d: ['diameter', 'round d'], over: ['length', 'over the flat'] },
    ({ d, over }) => d - over,
  ),
  flatDepth: define('(d - F) / 2', 'flats, common practice', { d: ['diameter', 'round d'], F: ['length', 'across F'] }, ({ d, F }) => (d - F) / 2),
  flatWidth: define(
    'the less of sqrt(d^2 - F^2) and F tan(180 / sides)',
    geometry,
    { d: ['diameter', 'round d'], F: ['length', 'across F'], sides: ['count', 'sides'] },
    ({ d, F, sides }) => flats(d, F, sides).width,
  ),
  corners: define(
    'F / cos(180 / sides)',
    geometry,
    { F: ['length', 'across F'], sides: ['count', 'sides'] },
    ({ F, sides }) => F / Math.cos(Math.PI / sides),
  ),
  largestAcross: define('d cos(180 / sides)', geometry, { d: ['diameter', 'round d'], sides: ['count', 'sides'] }, ({ d, sides }) =>
    largestAcross(d, sides),
  ),
  crankTurns: define(
    'ratio / divisions',
    arithmetic,
    { ratio: ['count', 'ratio of the head'], divisions: ['count', 'divisions'] },
    ({ ratio, divisions }) => ratio / divisions,
  ),
  tilt: define(
    'half of the swing of the face / radius of the indicator',
    'geometry',
    { e: ['length', 'half of the swing'], r: ['length', 'indicator from the middle'] },
    ({ e, r }) => (Math.atan(e / r) * 180) / Math.PI,
  ),
  coolsFor: define(
    'constant x ln((from - room) / (to - room))',
    'lumped capacity, any textbook of heat transfer; warm throughout',
    { constant: ['time', 'time constant'], from: ['temperature', 'from'], to: ['temperature', 'to'], room: ['temperature', 'room'] },
    ({ constant, from, to, room }) => coolingTime(from, to, room, constant),
  ),
  coolingConstant: define(
    'density x specific heat x d / 4 / h; a tube by its wall',
    'lumped capacity of a long bar; ends not counted; h typical, from memory, 25 %',
    {
      density: ['ratio', 'density, kg/m³'],
      heat: ['ratio', 'specific heat, J/kg K'],
      d: ['diameter', 'diameter'],
      inside: ['diameter', 'inside'],
      sheds: ['ratio', 'h, W/m² K'],
    },
    ({ density, heat, d, inside, sheds }) => coolingConstant({ volume: d ** 2 - inside ** 2, area: 4 * d, density, heat }, sheds) / 60,
  ),
  eccentricity: define('reading high to low / 2', 'tir, common practice', { tir: ['length', 'reading high to low'] }, ({ tir }) => tir / 2),
  packing: define(
    '1.5 e - d / 2 + sqrt(d^2 - 3 e^2) / 2',
    'geometry of three jaws that touch in points',
    { e: ['length', 'offset e'], d: ['diameter', 'diameter d'] },
    ({ e, d }) => 1.5 * e - d / 2 + Math.sqrt(d ** 2 - 3 * e ** 2) / 2,
  ),
} as const satisfies Record<string, Formula>;

function pressInputs() {
  return {
    interference: ['length', 'interference'],
    d: ['diameter', 'joint d'],
    Do: ['diameter', 'outside of the hub Do'],
    di: ['diameter', 'inside of the shaft di'],
    L: ['length', 'length L'],
    mu: ['ratio', 'friction'],
    Eh: ['pressure', 'E of the hub'],
    nuh: ['ratio', 'nu of the hub'],
    Es: ['pressure', 'E of the shaft'],
    nus: ['ratio', 'nu of the shaft'],
  } as const;
}

const pressed = (v: Readonly<Record<keyof ReturnType<typeof pressInputs>, number>>) =>
  pressFit({
    interference: v.interference,
    diameter: v.d,
    outside: v.Do,
    inside: v.di,
    length: v.L,
    friction: v.mu,
    hub: { modulus: v.Eh, poisson: v.nuh },
    shaft: { modulus: v.Es, poisson: v.nus },
  });
