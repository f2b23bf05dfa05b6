import { randomFrom } from '../lathe';
import { tidy } from '../quantity';

/** A pair of jaws turned: the work moved towards jaw 1 or 2 by so much, mm; less than nothing is away from it. */
export interface JawTurn {
  readonly pair: 1 | 2;
  readonly by: number;
}

/** What is asked of three moves, TIR in mm. */
export const fourJawWanted = 0.02;

/** A bar in a four-jaw chuck that stands off the middle, and an indicator on it. What a hand turns is not quite what the work moves. */
export class Dialling {
  private x: number;
  private y: number;
  private readonly hand: ReturnType<typeof randomFrom>;
  private made = 0;

  constructor(number: number) {
    this.hand = randomFrom(number * 48271 + 11);
    this.x = 0.15 + 0.6 * this.hand.even();
    this.y = -(0.1 + 0.5 * this.hand.even());
    if (this.hand.even() < 0.5) [this.x, this.y] = [this.y, this.x];
  }

  /** What the indicator shows at each jaw in turn, zeroed at the first; mm, more is nearer to it. */
  read(): readonly [number, number, number, number] {
    const at = (towards: number) => tidy(Math.round((towards + 0.002 * this.hand.normal()) * 100) / 100);
    const raw = [at(this.x), at(this.y), at(-this.x), at(-this.y)] as const;
    return [0, tidy(raw[1] - raw[0]), tidy(raw[2] - raw[0]), tidy(raw[3] - raw[0])];
  }

  /** One move: of either pair, or both. */
  move(turns: readonly JawTurn[]): void {
    this.made++;
    for (const { pair, by } of turns) {
      const really = by * (0.94 + 0.1 * this.hand.even()) + 0.003 * this.hand.normal();
      if (pair === 1) this.x += really;
      else this.y += really;
    }
  }

  moves(): number {
    return this.made;
  }

  /** How true it runs, TIR in mm. */
  tir(): number {
    return tidy(Math.round(2000 * Math.hypot(this.x, this.y)) / 1000);
  }

  /** What opposite jaws tell: half of the difference, away from the higher one. @source common practice */
  static advised([r1, r2, r3, r4]: readonly [number, number, number, number]): readonly JawTurn[] {
    return [
      { pair: 1, by: tidy(-(r1 - r3) / 2) },
      { pair: 2, by: tidy(-(r2 - r4) / 2) },
    ];
  }
}
