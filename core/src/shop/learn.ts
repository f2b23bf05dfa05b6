import type { Dial, Holding, Machine, Shop } from '../document';
import type { Edit } from '../finding';
import { figure, type Figure, length, say, type Sentence, tidy, writeExact } from '../quantity';
import { mmOf } from './items';

/** What a small trial at the lathe shows, in words, and what it puts into the record of the machine. */
export interface Learned {
  readonly says: Sentence;
  readonly figure?: Figure;
  /** empty where the trial does not fit any lathe: it is looked at again */
  readonly edits: readonly Edit[];
}

const put = (machine: Machine): Edit => ({ op: 'put', at: `machines/#${machine.id}`, value: machine });
const known = (machine: Machine, key: string): Machine => ({
  ...machine,
  ...(machine.assumed && { assumed: machine.assumed.filter((k) => k !== key) }),
});
const mm = (value: number, like: Dial | undefined) => {
  const units = like?.division.units ?? 'mm';
  return { text: writeExact(tidy(Math.round(value * 10_000) / 10_000), units), units };
};

/** So near to one or to two a dial reads diameter or radius; a graduation is seldom worse. @source judgement */
const NEAR = 0.2;

/** Some divisions of the cross dial, the piece measured before and after: whether it reads radius or diameter. Sizes in mm. */
export function learnDial(machine: Machine, before: number, after: number, divisions: number): Learned {
  const dial = machine.dials.cross;
  const division = mmOf(dial?.division);
  if (!dial || !(division > 0) || !(divisions > 0)) return { says: say`the cross dial has no division yet: type it first`, edits: [] };
  const takes = figure('ratio', 'dialTakes', { before, after, divisions, division }, { step: 0.01 });
  const reads = Math.abs(takes.value - 2) < 2 * NEAR ? 'radius' : Math.abs(takes.value - 1) < NEAR ? 'diameter' : undefined;
  if (!reads)
    return {
      figure: takes,
      says: say`${length(before - after, 0.001)} came off for ${length(divisions * division, 0.001)} dialled: neither radius nor diameter. Is one division ${length(division, 0.001)}? Was backlash taken up?`,
      edits: [],
    };
  const off = takes.value / (reads === 'radius' ? 2 : 1) - 1;
  return {
    figure: takes,
    says:
      Math.abs(off) < 0.02
        ? say`it reads ${reads}`
        : say`it reads ${reads}; ${Math.round(Math.abs(off) * 100)} % ${off > 0 ? 'more' : 'less'} came off than dialled: spring, or a worn screw`,
    edits: [put(known({ ...machine, dials: { ...machine.dials, cross: { ...dial, reads } } }, 'dials'))],
  };
}

/** Divisions turned back before the slide moves, by an indicator on it. */
export function learnBacklash(machine: Machine, divisions: number): Learned {
  const dial = machine.dials.cross;
  const division = mmOf(dial?.division);
  if (!dial || !(division > 0)) return { says: say`the cross dial has no division yet: type it first`, edits: [] };
  const lost = divisions * division;
  if (!(divisions >= 0) || lost > 3) return { says: say`${length(lost)} lost is no backlash: look at it again`, edits: [] };
  return {
    says: say`${length(lost, 0.001)} are lost at every reversal: come to each setting from the same side`,
    edits: [put({ ...machine, dials: { ...machine.dials, cross: { ...dial, backlash: mm(lost, dial) } } })],
  };
}

/** Two collars turned at one setting between centres: how far the tailstock stands off, and which way it goes. mm */
export function learnCollars(machine: Machine, head: number, tail: number, apart: number, long: number): Learned {
  if (!(apart > 0) || !(long >= apart)) return { says: say`the collars are further apart than the centres: look at the lengths again`, edits: [] };
  const off = figure('length', 'tailstockOff', { tail, head, apart, long }, { step: 0.001 });
  if (Math.abs(off.value) > 10) return { figure: off, says: say`${off} off is no tailstock that was set true: was a collar misread?`, edits: [] };
  return {
    figure: off,
    says:
      Math.abs(off.value) < 0.002
        ? say`it stands true`
        : say`it stands ${length(Math.abs(off.value), 0.001)} ${off.value > 0 ? 'too far from you: move it towards you' : 'too near to you: move it away'}, or keep it in mind`,
    edits: [put({ ...machine, tailstockOffset: { text: writeExact(tidy(Math.round(off.value * 1000) / 1000), 'mm'), units: 'mm' } })],
  };
}

/** An indicator on the point of the live centre, high and low: how true it runs. mm */
export function learnRunout(shop: Shop, high: number, low: number): Learned {
  const centre: Holding | undefined = shop.holdings.find((h) => h.kind === 'liveCentre');
  const tir = Math.abs(high - low);
  if (!centre) return { says: say`there is no live centre in the shop: add it under holding first`, edits: [] };
  if (tir > 1) return { says: say`${length(tir)} is more than any centre that is seated: clean its taper and try again`, edits: [] };
  return {
    says: say`${centre.name} runs out ${length(tir, 0.001)} TIR; exchanged or turned it moves the work by as much`,
    edits: [{ op: 'put', at: `holdings/#${centre.id}`, value: { ...centre, trueWithin: { text: writeExact(tidy(tir), 'mm'), units: 'mm' } } }],
  };
}
