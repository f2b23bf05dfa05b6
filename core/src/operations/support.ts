import { practice } from '../shop';
import { faceOf, letterOf } from '../drawing';
import type { HoldingChoice } from '../holding';
import { diameter, length, ratio, say } from '../quantity';
import { outsideOf } from '../stock';
import { byHand, reason } from './facts';
import { addStep, type Draft, type Operation, operation } from './outcome';

/* What carries the free end: brought, taken away, set up. */

/** The tail centre is brought, with the rest that goes along. */
export const centreUp = (held: HoldingChoice): Operation =>
  operation((draft) => {
    const { at } = draft;
    addStep(draft, {
      verb: 'support',
      about: at.end,
      says: held.support.some((s) => s.kind === 'followRest')
        ? say`centre up, quill nipped; follow rest set behind the tool`
        : say`centre up, quill nipped`,
      because: [
        reason('centre-then-support', held.because.find((r) => r.rule === 'stick-out')?.says ?? say`the free end is carried`, at.end),
        reason('park-the-centre', say`nip it again as the work warms and grows`, at.end),
      ],
      figures: { minutes: byHand(practice.minutesCentreUp) },
    });
  });

/** The bar is loosened, pulled out against a stop and tightened again in the same chuck. @source short-then-out, moved-is-lost, common practice */
export const pullOut = (out: number, slender: number, worked: boolean): Operation =>
  operation((draft) => {
    const { at } = draft;
    addStep(draft, {
      verb: 'pull-out',
      about: at.end,
      says: say`to ${length(out, 0.1)} out against a stop, tightened again`,
      because: [
        reason(
          'short-then-out',
          worked
            ? say`what was done short is done; ${length(out, 0.1)} out is ${ratio(slender, 0.1)} diameters`
            : say`nothing is turned out here: it is only severed`,
          at.end,
        ),
        ...(worked
          ? [
              reason(
                'moved-is-lost',
                say`what is turned from here runs true to the rest only as the chuck does: dial it where that matters, and touch face ${letterOf(at.end)} for its zero again`,
                at.end,
              ),
            ]
          : []),
      ],
      figures: { minutes: byHand(practice.minutesPullOut) },
    });
  });

/** What needed the centre is done; it is withdrawn for the drill. */
export const withdraw = (): Operation => operation(withdrawn);

function withdrawn(draft: Draft): void {
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
}

/**
 * A steady is set on what was turned true, after the outside and before the hole.
 * @param centreUp the centre still carries it while the steady is set, and is withdrawn then
 */
export const steadyUp = (steady: HoldingChoice['support'][number], centreUp = false): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const there = 2 * outsideOf(at.stock, steady.at - 1, steady.at + 1).most;
    addStep(draft, {
      verb: 'support',
      about: at.end,
      says: say`steady on ${diameter(there)}, ${length(Math.abs(steady.at - faceOf(facts.part, at.end)), 0.1)} from the face${centreUp ? ', while the centre still holds it true' : ''}`,
      because: [
        centreUp
          ? reason('steady-for-depth', say`a deep hole so far from the chuck: carried at its end before the centre goes`, at.end)
          : reason(
              'steady',
              say`a long bar that is drilled or bored at its free end is carried there, on a place that runs true; checked after`,
              at.end,
            ),
      ],
      figures: { minutes: byHand(practice.minutesSteady) },
    });
    if (centreUp) withdrawn(draft);
  });
