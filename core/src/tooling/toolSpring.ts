import type { Tool } from '../document';
import { complianceAt } from '../mechanics';
import { mmOf, practice, sizeOf } from '../shop';

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
  const [width, height] = [mmOf(tool.width), mmOf(tool.body, practice.bladeHigh)];
  if (!(width > 0) || !(height > 0) || !(out > 0)) return undefined;
  return { compliance: giveOf(((64 * width * height ** 3) / 12 / Math.PI) ** 0.25, out) };
}

const giveOf = (diameter: number, out: number): number =>
  complianceAt(
    {
      stretches: [{ from: 0, to: out, diameter }],
      modulus: practice.steelModulus,
      clamp: { lateral: practice.postLateral, angular: practice.postAngular },
      rests: [],
    },
    out,
  );
