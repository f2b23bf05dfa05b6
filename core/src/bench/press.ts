import type { Entry } from '../document';
import type { Limits } from '../drawing';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { practice } from '../shop';
import { bareDegrees, type Parsed, REFERENCE, say, type Sentence, type Units, writeExact } from '../quantity';
import { type Advice, readReading, readWarmth } from '../sizing';
import type { ReadingOf } from './atSize';
import { WORN } from './edgeWear';
import { madeBy } from './made';
import type { Sized } from './sized';
import { readStandOff } from './standsOff';

/** An entry before it is known who wrote it and when. */
export type Bare = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'at' | 'by'> : never) : never;

/** What lies before the person at the machine: the step, how it is brought to size, and what a reading typed now would be of. */
export interface Card {
  readonly piece: number;
  readonly step: Step;
  readonly plan: Plan | undefined;
  readonly sized: Sized | undefined;
  readonly advice: Advice | undefined;
  /** what a reading is of, its limits, its gauge; none where nothing is measured */
  readonly reading: ReadingOf | undefined;
  /** another size than that of the step was picked to be read */
  readonly picked: boolean;
  /** mm along the cut, where a slender piece is measured at both ends */
  readonly along: number | undefined;
  /** the gauge in hand */
  readonly gauge: string | undefined;
  /** its mate was tried last, and feels as it is wanted */
  readonly fits?: boolean;
}

/** What was typed: a reading in the units of the gauge, and the temperature in those of the job. */
export interface Typed {
  readonly text: string;
  readonly gaugeUnits: Units;
  readonly celsius: string;
  readonly units: Units;
  /** how warm the room is where that was told, degrees C; who measures */
  readonly room?: number | undefined;
  readonly who?: string | undefined;
}

/** What one press of the big key writes down; or why nothing is. */
export type Written = { readonly entries: readonly Bare[] } | { readonly refused: Sentence };

/** A reading as it is typed at this card: a size, or how far the gauge of a taper stands off. */
export const readAt = ({ sized, picked, reading }: Pick<Card, 'sized' | 'picked' | 'reading'>, text: string, units: Units) =>
  sized?.standsOff && !picked ? readStandOff(text, units) : readReading(text, units, reading?.limits ?? NOTHING);

/** Where nothing is limited. */
const NOTHING: Limits = { nominal: 0, max: 0, min: 0, from: 'typed' };

/** The reading lies within the limits, though the doubt of its gauge leaves them open. */
export const inByGauge = ({ next, stands }: Advice): boolean => next === 'changeGauge' && stands === 'in';

/** A plain size that was read and then cut: it is in by the dial, and another reading is for who wants one. @source plain-sizes-too, common practice */
export const inByDial = (sized: Sized | undefined, { next, cold, chanceIn }: Advice): boolean =>
  sized?.plain === true && next === 'measure' && cold !== undefined && chanceIn >= practice.atOnce;

/** Nothing goes on before a reading: asked for, asked about, or not told by this gauge while metal is left. */
export const wantsReading = (advice: Advice): boolean =>
  advice.next === 'measure' || advice.next === 'ask' || advice.next === 'wait' || (advice.next === 'changeGauge' && !inByGauge(advice));

/**
 * One press of the big key: a typed reading is kept; a reading that is wanted is asked for; an edge is indexed; the cut that was advised is taken; a size that
 * this gauge leaves in doubt is accepted by name; else the step is done, with what it made.
 */
export function press(card: Card, typed: Typed | undefined, who?: string): Written {
  const { piece, step, plan, sized, advice, gauge } = card;
  const line = { piece, step: step.id };
  if (card.reading && typed) return reads(card, card.reading, typed);
  if (card.fits === true) return { entries: [doneAs(step, plan, piece)] };
  if (sized && advice && wantsReading(advice) && !inByDial(sized, advice))
    return {
      refused: advice.next === 'changeGauge' ? say`Measure with a finer gauge and type its reading, or skip the step.` : say`Type the reading first.`,
    };
  if (advice?.next === 'indexTip') return { entries: [{ ...line, kind: 'symptom', symptom: WORN.symptom, remedy: WORN.indexed }] };
  if (sized && advice?.dial)
    return {
      entries: [
        {
          ...line,
          kind: 'cut',
          axis: sized.axis,
          dial: { text: writeExact(advice.dial.value, 'mm'), units: 'mm' },
          told: { expects: advice.expects.value, deviation: advice.expects.deviation ?? 0, chanceIn: advice.chanceIn, chancePast: advice.chancePast },
        },
      ],
    };
  const done = doneAs(step, plan, piece);
  // who looks at the record later sees that it was a decision
  const accepted: readonly Bare[] =
    sized && advice && inByGauge(advice)
      ? [
          {
            ...line,
            kind: 'accepted',
            of: sized.of,
            gauge: gauge ?? 'none',
            why: `in by this gauge, ${String(Math.round(100 * advice.chanceIn))} in 100`,
            ...(who !== undefined && { who }),
          },
        ]
      : [];
  return { entries: [...accepted, done] };
}

/** A step is done, with what it made. */
export function doneAs(step: Step, plan: Plan | undefined, piece: number): Bare {
  const made = plan && madeBy(step, plan);
  return { piece, step: step.id, kind: 'done', ...(made && { made }) };
}

function reads(card: Card, { of, gauge }: NonNullable<Card['reading']>, { text, gaugeUnits, celsius, units, room, who }: Typed): Written {
  const size = readAt(card, text, gaugeUnits);
  if (!size.ok) return refusedAs(say`Reading: `, size);
  const warmth = readWarmth(celsius, bareDegrees(units));
  if (!warmth.ok) return refusedAs(say`Temperature: `, warmth);
  return {
    entries: [
      {
        piece: card.piece,
        step: card.step.id,
        kind: 'reading',
        of,
        value: size.value.cell,
        ...(card.along !== undefined && { along: { text: String(card.along), units: 'mm' } }),
        gauge,
        // not told, it is as warm as the room
        ...(celsius.trim() !== '' && warmth.value !== (room ?? REFERENCE) && { celsius: warmth.value }),
        ...(room !== undefined && room !== REFERENCE && { room }),
        ...(who !== undefined && { who }),
      },
    ],
  };
}

const refusedAs = (what: Sentence, read: Extract<Parsed<unknown>, { ok: false }>): Written => ({
  refused: [...what, ...(read.problems[0]?.says ?? []), '.'],
});
