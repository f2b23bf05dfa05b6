import type { Holding } from '../document';
import { gripHolds } from '../cutting';
import { type Beam, complianceAt } from '../mechanics';
import { figure, type Figure } from '../quantity';
import { practice } from '../shop';
import { gripOf } from './grip';

/** A plain bar in a holding, with or without a centre. Lengths in mm. */
export interface PlainBar {
  readonly holding: Holding;
  readonly centre?: Holding | undefined;
  /** a steady, from the free face */
  readonly steady?: { readonly item: Holding; readonly from: number } | undefined;
  readonly diameter: number;
  /** N/mm2 */
  readonly modulus: number;
}

/** How far the push of a light finishing cut bends it where it is weakest, mm on radius. @param rest a follow rest behind the tool */
export function pushedAside({ holding, centre, steady, diameter, modulus }: PlainBar, out: number, rest?: Holding): Figure {
  const beam: Beam = {
    stretches: [{ from: 0, to: out, diameter }],
    modulus,
    clamp: { lateral: holding.lateral, angular: holding.angular },
    rests: [
      ...(centre ? [{ at: out, stiffness: centre.lateral }] : []),
      ...(steady && steady.from < out - 0.1 ? [{ at: out - Math.max(0.1, steady.from), stiffness: steady.item.lateral }] : []),
    ],
  };
  const behind = (x: number) => Math.max(0.1, x - 4);
  const at = (x: number): number => complianceAt(rest ? { ...beam, rests: [...beam.rests, { at: behind(x), stiffness: rest.lateral }] } : beam, x);
  return figure('length', 'spring', { F: practice.lightPush, give: 1000 * Math.max(at(out), at(0.6 * out)) }, { step: 0.01 });
}

/** What changes while one moves the jaws along a bar: how slender it stands out, what a light cut bends it by, what the jaws hold at a speed. */
export interface StandingOut {
  readonly slender: Figure;
  readonly spring: Figure;
  readonly holds?: Figure;
}

/**
 * A bar as it would stand in its chuck, for a hand that moves the jaws.
 * @param out of the jaws, mm
 * @param speed rev/min
 */
export function standingOut(bar: PlainBar, out: number, speed: number): StandingOut {
  const grip = gripOf(bar.holding, bar.diameter, false);
  return {
    slender: figure('ratio', 'stickOutRatio', { L: out, d: bar.diameter }, { step: 0.1 }),
    spring: pushedAside(bar, Math.max(1, out)),
    ...(grip && { holds: gripHolds(grip, Math.min(speed, bar.holding.maxSpeed)) }),
  };
}
