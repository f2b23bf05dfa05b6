import type { Entry } from '../document';
import { adviseWith, type AdviseWith } from '../sizing';
import type { StandSet } from './deeds';

/* What the hand at the stand knows: its own readings and dials, and what the shop says. What the metal is it is not told. */

type Log = readonly Entry[];

/** A cut that was taken after a reading: what was read, what the advice would have dialled then, and what was dialled; mm. */
export interface Decision {
  readonly reading: number;
  readonly advised: number | undefined;
  readonly dialled: number;
}

/** What the adviser is told. @param believed what the hand takes the cross dial for */
export function knownOf(set: StandSet, log: Log, believed: StandSet['says']): AdviseWith {
  const { machine, gauges, material, nose, kind, axis, spring, takes } = set;
  const last = log.findLast((e) => e.kind === 'reading');
  return {
    machine,
    gauge: gauges.find((g) => g.id === (last?.kind === 'reading' ? last.gauge : gauges[0]?.id)),
    gauges,
    material,
    nose,
    kind,
    axis,
    spring,
    // a hand that practises sets tenths of a division by eye: two of them are sure
    settable: 'fifth',
    // what the shop says of its dial may be wrong
    takes: believed === 'radius' ? 2 : believed === 'diameter' ? 1 : takes,
  };
}

export const decisionsOf = (set: StandSet, log: Log, believed: StandSet['says']): readonly Decision[] =>
  log.flatMap((e, i) => {
    const before = log.slice(0, i);
    const last = before.findLast((b) => b.kind === 'reading');
    if (e.kind !== 'cut' || last?.kind !== 'reading') return [];
    const { dial } = adviseWith(set.wanted, before, knownOf(set, before, believed));
    return [{ reading: Number(last.value.text), advised: dial?.value, dialled: Number(e.dial.text) }];
  });
