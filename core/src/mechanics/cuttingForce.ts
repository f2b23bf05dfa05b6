/** A cut of a single edge in turning. Lengths in mm, angles in degrees. */
export interface Cut {
  /** on radius */
  readonly depth: number;
  /** a revolution */
  readonly feed: number;
  /** lead of the edge against the feed: 90 cuts a square shoulder, 45 a chamfer; 90 where absent */
  readonly lead?: number;
  readonly nose?: number;
  /** top rake; 6 where absent, that of the published forces */
  readonly rake?: number;
  /** m/min; the published forces are of about 100 */
  readonly speed?: number;
  /** a worn edge takes 30 to 50 % more */
  readonly worn?: boolean;
}

/** What pushes where, N. */
export interface CutForces {
  /** along the speed of cutting: makes torque and power */
  readonly cutting: number;
  /** along the feed, against the carriage */
  readonly feed: number;
  /** along the radius: pushes the work away from the tool */
  readonly passive: number;
  /** thickness and width of the chip, mm */
  readonly thick: number;
  readonly wide: number;
  /** the lead that really cuts: less than the tool's where the nose does most of it */
  readonly lead: number;
  /** of rake, speed and wear together */
  readonly factor: number;
}

const RAD = Math.PI / 180;
/** Rake and speed of the published specific forces. @source Kienzle and Victor; usual corrections, from memory */
const RAKE = 6;
const SPEED = 100;
/** Share of a degree of rake, exponent of speed, share of a worn edge. @source usual corrections, from memory, 10 to 20 % */
const BY_RAKE = 0.015;
const BY_SPEED = 0.1;
const BY_WEAR = 1.3;
/** Force square to the edge as a share of the cutting force; 0.4 to 0.6 for chips of usual thickness. @source textbooks of metal cutting, from memory */
export const ACROSS = 0.5;

/**
 * Forces of a cut by Kienzle: F = kc1.1 b h^(1 - mc), with the corrections for rake, speed and wear. With a depth under the nose the arc cuts: its
 * length is the width, its mean direction the lead.
 * @param kc specific force of a chip 1 x 1 mm, N/mm2; @param mc its exponent
 * @throws RangeError for a depth or feed that is not above zero, a lead outside 0 to 120
 * @source O. Kienzle 1952; corrections and the share of the other forces from memory, 20 %
 */
export function cuttingForce(kc: number, mc: number, cut: Cut): CutForces {
  const { depth, feed, lead = 90, nose = 0, rake = RAKE, speed = SPEED, worn = false } = cut;
  if (!(depth > 0 && feed > 0 && lead > 0 && lead <= 120 && nose >= 0 && kc > 0 && speed > 0))
    throw new RangeError(`a cut ${depth} mm deep, feed ${feed}, lead ${lead}, kc ${kc}, speed ${speed}`);
  const { wide, mean } = edgeOf(depth, lead, nose);
  const thick = (depth * feed) / wide;
  const factor = (1 - BY_RAKE * (rake - RAKE)) * (SPEED / speed) ** BY_SPEED * (worn ? BY_WEAR : 1);
  const cutting = kc * wide * thick ** (1 - mc) * factor;
  const across = ACROSS * cutting;
  return { cutting, feed: across * Math.sin(mean * RAD), passive: across * Math.abs(Math.cos(mean * RAD)), thick, wide, lead: mean, factor };
}

/** Length of the edge in cut and the direction it cuts in on the whole, from the arc of the nose and the straight edge behind it. */
function edgeOf(depth: number, lead: number, nose: number): { readonly wide: number; readonly mean: number } {
  // the arc ends where its tangent has the lead of the tool
  const full = nose * (1 - Math.cos(lead * RAD));
  if (nose > 0 && depth < full) {
    const angle = Math.acos(1 - depth / nose);
    return { wide: nose * angle, mean: angle / 2 / RAD };
  }
  const arc = nose * lead * RAD;
  const straight = (depth - full) / Math.sin(Math.min(lead, 179) * RAD);
  const wide = arc + straight;
  return { wide, mean: (arc * (lead / 2) + straight * lead) / wide };
}

/** What a drill asks for. */
export interface DrillForces {
  /** N mm, at the spindle */
  readonly torque: number;
  /** N, along the axis */
  readonly thrust: number;
}

/**
 * Two-edged drill in the full, or opening a hole of `pilot` mm: each edge a cut of half the feed.
 * @throws RangeError where the drill is no wider than the pilot
 * @source Kienzle for drilling: M = kc f (D^2 - d^2) / 8, thrust = kc f (D - d) / 2 sin(point / 2) x 0.6 and the chisel edge's own; from memory, 25 %
 */
export function drillForces(
  kc: number,
  mc: number,
  drill: { readonly diameter: number; readonly feed: number; readonly point?: number; readonly pilot?: number },
): DrillForces {
  const { diameter: D, feed, point = 118, pilot: d = 0 } = drill;
  if (!(D > d && d >= 0 && feed > 0 && point > 0 && point <= 180 && kc > 0))
    throw new RangeError(`a drill of ${D} mm in a hole of ${d}, feed ${feed}`);
  const sine = Math.sin((point / 2) * RAD);
  const specific = kc * ((feed / 2) * sine) ** -mc;
  const torque = (specific * feed * (D ** 2 - d ** 2)) / 8;
  const edges = 0.6 * specific * (feed / 2) * (D - d) * sine;
  // in the full the chisel edge squeezes rather than cuts: as much again as the edges
  return { torque, thrust: d > 0 ? edges : 2 * edges };
}

/**
 * Parting and grooving: a straight edge as wide as the blade, fed in along the radius; all of the force square to the edge is passive.
 * @source Kienzle, chip as thick as the feed; sides rub: 10 % more, from memory
 */
export function partingForce(kc: number, mc: number, width: number, feed: number): { readonly cutting: number; readonly passive: number } {
  if (!(width > 0 && feed > 0 && kc > 0)) throw new RangeError(`a blade of ${width} mm, feed ${feed}`);
  const cutting = 1.1 * kc * width * feed ** (1 - mc);
  return { cutting, passive: ACROSS * cutting };
}
