import { practice } from '../../shop';
import { type Feature, longOf } from '../../drawing';
import type { Reason } from '../../finding';
import { figure, length, say } from '../../quantity';
import type { DrawnThread } from '../../standards';
import { toolForThread } from '../../tooling';
import { byHand, reason, wayChosen } from '../facts';
import { addStep, type Draft, putOnList, stepId } from '../outcome';
import { askForGauge, groovesOf, threadGauge, threadProof } from '../threads';

/** Taps a row that was drilled, or bored, to `core` on diameter, mm. */
export function tapRow(draft: Draft, row: Feature, thread: DrawnThread, core: number): void {
  const { facts, at } = draft;
  const id = stepId(at, 'tap', row.id);
  const tap = toolForThread(facts.shop, 'tap', thread);
  if (!tap) putOnList(draft, 'tap', say`tap ${thread.designation}`, id);
  askForGauge(draft, row, thread, id);
  addStep(draft, {
    verb: 'tap',
    about: row.id,
    does: [row.id, `${row.id}.thread`],
    tool: tap,
    gauge: threadGauge(facts, thread.nominal, true),
    says: say`${thread.designation} × ${length(row.usable ?? longOf(row))}`,
    because: [
      reason(
        'tap',
        say`started true under a centre, ${wayChosen(facts, 'tap') === 'power' ? 'under power, the stop set short of the bottom' : 'by hand'}; ${tap ? 'taper, then plug' : 'no such tap in the shop: buy one, or single point it'}`,
        row.id,
      ),
      ...blindTap(row, thread),
      threadProof(facts, row, thread),
    ],
    figures: {
      feed: figure('feed', 'feedOfThread', { P: thread.lead }),
      torque: figure(
        'torque',
        'tapTorque',
        {
          kc: facts.material.kc,
          mc: facts.material.mc,
          d: thread.nominal,
          P: thread.pitch,
          drill: Math.min(core, thread.nominal - 0.2 * thread.pitch),
        },
        { step: 0.1 },
      ),
      minutes: byHand(wayChosen(facts, 'tap') === 'power' ? practice.minutesTapPower : practice.minutesTap),
    },
    sweeps: groovesOf(thread, row.near, at.end, row.usable ?? longOf(row)),
  });
}

/** How deep full threads may go in a blind hole. */
function blindTap(row: Feature, thread: { readonly pitch: number }): readonly Reason[] {
  if (row.through === true || row.met === true) return [];
  const bottom = longOf(row);
  const [plug, most] = [
    bottom - practice.plugLead * thread.pitch - practice.tapChips,
    bottom - practice.bottomingLead * thread.pitch - practice.tapChips,
  ];
  return [
    most > 0
      ? reason(
          'blind-tap',
          say`full threads to ${length(Math.max(0, plug), 0.1)} deep with a plug tap, to ${length(most, 0.1)} with a bottoming one, of ${length(bottom, 0.1)} drilled`,
          row.id,
        )
      : reason('blind-tap', say`${length(bottom, 0.1)} drilled leaves no room for the lead of a tap and its chips`, row.id),
  ];
}
