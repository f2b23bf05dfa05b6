import type { Bar, Holding, Machine } from '../document';
import type { Figure } from '../quantity';
import type { GrippedWall } from './squeeze';

/** A relation of the drawing that this setup has to keep to what was made in another one, its limit a total indicator reading, mm. */
export interface ToKeep {
  readonly id: string;
  readonly words: string;
  readonly limit: number;
  /** of faces that are to be square or parallel: the widest of them, mm */
  readonly faces?: number | undefined;
  /** what it is dialled on: the row made before */
  readonly datum: string;
}

/** What is to be held, and for what. Lengths in mm. */
export interface Held {
  readonly setup: string;
  /** what the jaws close on */
  readonly diameter: number;
  /** how thick what stands out is, where it is thinner than what is gripped */
  readonly slim?: number;
  readonly form: Bar['form'];
  /** a finished surface, which hard jaws mark */
  readonly finished: boolean;
  /** most that can be gripped */
  readonly room: number;
  readonly stickOut: (holding: Holding) => Figure;
  readonly grip: (holding: Holding) => Figure;
  /** z of the free face, where a centre would stand */
  readonly face: number;
  readonly centreAllowed: boolean;
  /** the radius that is turned beside that centre, mm */
  readonly atFace?: number;
  /** supports that a person chose here */
  readonly asked?: readonly string[];
  /** a drawn centre hole in that face */
  readonly centreDrawn: boolean;
  /** a hole to be made at the free end, and its depth */
  readonly hole: number | undefined;
  /** a through bore made already, to hold it by */
  readonly bore: number | undefined;
  readonly length: number;
  readonly largest: number;
  /** the thinnest wall under the jaws, where it is hollow */
  readonly wall: GrippedWall | undefined;
  /** N/mm2 */
  readonly modulus: number;
  readonly machine: Machine;
  /** speed that the tool would take at the smallest diameter turned here, rev/min */
  readonly wantsSpeed: number;
  /** N at the gripped surface of a light roughing cut, for slipping */
  readonly pull: number;
  readonly keep: readonly ToKeep[];
  /** from the last cut of this setup to the jaws, where something is cut beside them */
  readonly clear: number | undefined;
  /** it has what these want: a centre in both ends, or a flat back to be clamped by */
  readonly carried?: 'centres' | 'plate';
}
