import { practice } from '../shop';
import { faceOf } from '../drawing';
import type { HoldingChoice } from '../holding';
import { diameter, length, say } from '../quantity';
import { outsideOf } from '../stock';
import { byHand, reason } from './facts';
import { addStep, type Operation, operation } from './outcome';

/* What carries the free end: brought, taken away, set up. */

/** The tail centre is brought, with the rest that goes along; the piece is pulled out to its length first where it stood short. */
export const centreUp = (held: HoldingChoice, pulledTo?: number): Operation =>
  operation((draft) => {
    const { at } = draft;
    addStep(draft, {
      verb: 'support',
      about: at.end,
      says: [
        ...(pulledTo === undefined ? [] : say`pulled out to ${length(pulledTo, 0.1)} against a stop; `),
        ...(held.support.some((s) => s.kind === 'followRest')
          ? say`centre up, quill nipped; follow rest set behind the tool`
          : say`centre up, quill nipped`),
      ],
      because: [
        reason('centre-then-support', held.because.find((r) => r.rule === 'stick-out')?.says ?? say`the free end is carried`, at.end),
        reason('park-the-centre', say`nip it again as the work warms and grows`, at.end),
      ],
      figures: { minutes: byHand(practice.minutesCentreUp + (pulledTo === undefined ? 0 : practice.minutesPullOut)) },
    });
  });

/** What needed the centre is done; it is withdrawn for the drill. */
export const withdraw = (): Operation =>
  operation((draft) => {
    const { at } = draft;
    addStep(draft, {
      verb: 'withdraw',
      about: at.end,
      says: say`tailstock clear for the drill`,
      because: [
        reason('park-the-centre', say`what needed the centre is done; now it may be drilled away`, at.end),
        reason('keep-a-centre', say`if it is to be carried here again: a 60° mouth on the hole, or a pipe centre`, at.end),
      ],
      figures: { minutes: byHand(practice.minutesCentreUp) },
    });
  });

/** A steady is set on what was turned true, after the outside and before the hole. */
export const steadyUp = (steady: HoldingChoice['support'][number]): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const there = 2 * outsideOf(at.stock, steady.at - 1, steady.at + 1).most;
    addStep(draft, {
      verb: 'support',
      about: at.end,
      says: say`steady on ${diameter(there)}, ${length(Math.abs(steady.at - faceOf(facts.part, at.end)), 0.1)} from the face`,
      because: [
        reason('steady', say`a long bar that is drilled or bored at its free end is carried there, on a place that runs true; checked after`, at.end),
      ],
      figures: { minutes: byHand(practice.minutesSteady) },
    });
  });
