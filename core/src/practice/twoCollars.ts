import { randomFrom } from '../lathe';
import { figure, type Figure, tidy } from '../quantity';

/** Between the centres, and where the two collars stand from the free end, mm; the taper that is wanted, diameter per length; how near to it is near enough, mm over the collars. */
export const twoCollars = { between: 150, free: 10, held: 110, slope: 1 / 20, within: 0.02 } as const;

/** A bar between centres with the tailstock set over by eye: two collars turned at one setting show what taper that makes. */
export class TwoCollars {
  private over: number;
  private readonly hand: ReturnType<typeof randomFrom>;
  private readonly across: number;
  private made = 0;
  private cut = 0;

  constructor(number: number) {
    this.hand = randomFrom(number * 40692 + 3);
    const { between, slope } = twoCollars;
    // set by eye it is off by a fifth and more
    const right = (between * slope) / 2;
    this.over = right * (0.6 + 0.25 * this.hand.even()) * (this.hand.even() < 0.3 ? 2 : 1);
    this.across = 28 + 4 * this.hand.even();
  }

  /** Both collars turned at one setting, and measured: mm. Each time a little smaller. */
  turn(): readonly [free: number, held: number] {
    const { between, free, held } = twoCollars;
    const at = (from: number) => this.across - 0.4 * this.cut + (2 * this.over * from) / between;
    this.cut++;
    const read = (mm: number) => tidy(Math.round((mm + 0.002 * this.hand.normal()) * 1000) / 1000);
    return [read(at(free)), read(at(held))];
  }

  /** The tailstock moved further over, less than nothing is back; a screw and a clamp do not move it by quite so much. */
  move(by: number): void {
    this.made++;
    this.over += by * (0.97 + 0.06 * this.hand.even()) + 0.006 * this.hand.normal();
  }

  moves(): number {
    return this.made;
  }

  /** How far the collars would lie from the taper that is wanted, mm of their difference. */
  off(): number {
    const { between, free, held, slope } = twoCollars;
    return tidy(Math.round(1000 * (held - free) * ((2 * this.over) / between - slope)) / 1000);
  }

  /** What two collars tell: how far the tailstock is still to go. @source setover-test, common practice */
  static advised([free, held]: readonly [number, number]): Figure & { readonly further: boolean } {
    const { between, slope } = twoCollars;
    const is = (held - free) / (twoCollars.held - twoCollars.free);
    return { ...figure('length', 'setOverBy', { wanted: slope, is, between }, { step: 0.01 }), further: slope > is };
  }
}
