import type { Tool } from '../document';
import { complianceAt } from '../mechanics';
import { mmOf, sizeOf } from '../shop';

/** Steel shanks; a carbide edge mostly sits on one. N/mm2 */
const STEEL = 210000;
/** A bar in its holder on a toolpost, N/mm and N mm/rad. @source judgement: a small toolpost; a factor of two */
const POST = { lateral: 20000, angular: 3e7 };
/** Height of a parting blade where it is not said, mm. @source common practice: 10 to 20 on small lathes */
const BLADE = 12;

/** A tool that stands out of its holder, as a beam. */
export interface BarOut {
  /** mm/N at its edge */
  readonly compliance: number;
}

/** How a boring bar gives way at its edge; undefined where its shank is not said. @param out mm from the holder */
export function giveOfBar(tool: Tool, out: number): BarOut | undefined {
  const diameter = mmOf(tool.shank, sizeOf(tool, 0));
  if (!(diameter > 0) || !(out > 0)) return undefined;
  return { compliance: giveOf(diameter, out) };
}

/** How a parting blade gives way under the chip, downwards. A rectangle bends as a round bar of the same second moment. */
export function giveOfBlade(tool: Tool, out: number): BarOut | undefined {
  const [width, height] = [mmOf(tool.width), mmOf(tool.body, BLADE)];
  if (!(width > 0) || !(height > 0) || !(out > 0)) return undefined;
  return { compliance: giveOf(((64 * width * height ** 3) / 12 / Math.PI) ** 0.25, out) };
}

const giveOf = (diameter: number, out: number): number =>
  complianceAt({ stretches: [{ from: 0, to: out, diameter }], modulus: STEEL, clamp: POST, rests: [] }, out);
