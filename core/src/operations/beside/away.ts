import { detailWords, type PartDetail } from '../../drawing';
import type { Reason } from '../../finding';
import { length, say, type Sentence } from '../../quantity';
import { writeStep } from '../../ref';
import { practice } from '../../shop';
import { boltCircle } from '../../standards';
import { byHand, type Facts, reason } from '../facts';
import { addStep, type Draft, type Operation, operation } from '../outcome';
import { ground } from '../workLimits';
import { grind } from './grind';
import { join, joins } from './join';
import { type Treatment, treatWith } from './treatWith';

const milled = new Set<PartDetail['kind']>(['crossHole', 'flat', 'hexagon', 'keyway', 'slot', 'boltCircle']);

/** One thing that is done beside the lathe. */
interface Beside {
  /** the step that it makes, for orders that a person asks for */
  readonly step: string;
  readonly write: (draft: Draft) => void;
}

/** What is done beside the lathe after the last turning: what is milled or drilled, then heat, then surfaces, then what is joined; else as a person asked. */
export const awaySteps = (): Operation =>
  operation((draft) => {
    const { facts } = draft;
    const { details, features } = facts.part;
    const { treatment, mates } = facts.job.drawing;
    const treated = (kinds: readonly Treatment['kind'][]): readonly Beside[] =>
      kinds.flatMap((kind) => treatment.filter((one) => one.kind === kind)).map((one) => ({ step: stepOf(one), write: (d) => treatWith(d, one) }));
    const all: readonly Beside[] = [
      ...details
        .filter((d) => milled.has(d.kind))
        .map((detail) => ({ step: writeStep({ verb: 'away', of: detail.id }), write: (d: Draft) => mill(d, detail) })),
      ...treated(['harden', 'temper']),
      ...features
        .filter((row) => ground(facts, row))
        .map((row) => ({ step: writeStep({ verb: 'grind', of: row.id }), write: (d: Draft) => grind(d, row) })),
      ...treated(['plate', 'black']),
      ...mates
        .filter((m) => joins(m.want.text))
        .map((mate) => ({ step: writeStep({ verb: 'join', of: mate.id }), write: (d: Draft) => join(d, mate) })),
    ];
    for (const { write } of asAsked(all, facts.chosen.order)) write(draft);
  });

const stepOf = ({ id, kind }: Treatment): string => writeStep({ verb: kind === 'harden' || kind === 'temper' ? kind : 'surface', of: id });

/** The order that a person asked for, as far as it is about what is done here. */
function asAsked(all: readonly Beside[], asked: Facts['chosen']['order']): readonly Beside[] {
  const list = [...all];
  for (const [first, then] of asked) {
    const [from, to] = [list.findIndex((b) => b.step === then), list.findIndex((b) => b.step === first)];
    if (from < 0 || to < 0 || from > to) continue;
    const [moved] = list.splice(from, 1);
    if (moved) list.splice(to, 0, moved);
  }
  return list;
}

function mill(draft: Draft, detail: PartDetail): void {
  const { facts } = draft;
  const joined = facts.job.drawing.mates.some((m) => joins(m.want.text));
  addStep(draft, {
    verb: 'away',
    about: detail.id,
    says: say`${detailWords[detail.kind]}: ${detail.says}`,
    because: [
      reason('harden-last', say`on the mill or the drill, before any hardening`, detail.id),
      ...(joined && (detail.kind === 'crossHole' || detail.kind === 'boltCircle')
        ? [
            draft.cuts.some((c) => c.step.verb === 'join')
              ? reason('after-joining', say`after the two are joined and cold: through both in one go`, detail.id)
              : reason('through-both', say`where it goes through both pieces: after they are joined, in one go; ask for that order`, detail.id),
          ]
        : []),
      ...everyHole(detail),
    ],
    figures: { minutes: byHand(minutesOf(detail)) },
  });
}

/** Places are listed for so many holes; a wheel of more is indexed. */
const LISTED = 12;

/** Every hole of a circle by its own place. @source bolt-circle: x = r cos, y = r sin */
function everyHole({ id, kind, count = 0, width, angle = 0 }: PartDetail): readonly Reason[] {
  if (kind !== 'boltCircle' || width === undefined || count < 2 || count > LISTED) return [];
  const places = boltCircle(count, width, angle).map(({ x, y }, i): Sentence => say`${i + 1}: x ${length(x, 0.001)}, y ${length(y, 0.001)}`);
  return [
    reason(
      'all-the-holes',
      places.flatMap((place, i) => (i === 0 ? place : [...say`; `, ...place])),
      id,
    ),
  ];
}

/** Drilled by the hole, milled by the side: minutes. @source step-times, judgement */
function minutesOf({ kind, count = 1 }: PartDetail): number {
  if (kind === 'boltCircle' || kind === 'crossHole') return practice.minutesAway + practice.minutesHole * Math.max(1, count);
  if (kind === 'hexagon') return practice.minutesAway + 6 * practice.minutesSide;
  return practice.minutesAway + practice.minutesSide * Math.max(1, count);
}
