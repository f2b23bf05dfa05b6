import { detailWords, type Feature, longOf, type PartDetail } from '../../drawing';
import { say } from '../../quantity';
import { type End, writeStep } from '../../ref';
import { practice } from '../../shop';
import { byHand, type Facts, reason } from '../facts';
import { addStep, type Draft, type Operation, operation, stepId } from '../outcome';
import { ground } from '../workLimits';
import { grind } from './grind';
import { holeBeside, overBore } from './holesBeside';
import { join, joins } from './join';
import { type Treatment, treatWith } from './treatWith';

const milled = new Set<PartDetail['kind']>(['crossHole', 'flat', 'hexagon', 'keyway', 'slot', 'boltCircle']);

/** One thing that is done beside the lathe. */
interface Beside {
  /** the step that it makes, for orders that a person asks for */
  readonly step: string;
  readonly write: (draft: Draft) => void;
}

/** What is milled or drilled across while the bar is its handle: nothing sound is left to hold the severed piece by. @source on-the-bar, common practice */
export const awayOnBar = (): Operation =>
  operation((draft) => {
    const { facts } = draft;
    const ids = new Set(facts.part.details.filter((d) => wantsBar(facts, d)).map((d) => d.id));
    for (const detail of facts.part.details) if (ids.has(detail.id)) mill(draft, detail, 'on-bar');
  });

/**
 * The holes of an end by which a plate is bolted from behind: tapped through, so that screws enter from either side and none stands in front. Not where a person has them made later.
 * @source bolt-from-behind, common practice
 */
export function boltedBy({ part, chosen }: Pick<Facts, 'part' | 'chosen'>): PartDetail | undefined {
  const later = (d: PartDetail) =>
    chosen.order.some(([, then]) => then === writeStep({ verb: 'away', of: d.id })) || chosen.method.get(d.id)?.method === 'after';
  return part.details.find((d) => d.kind === 'boltCircle' && d.thread !== undefined && d.depth === undefined && !later(d));
}

/** Drilled, and tapped, before the work is bolted by them. */
export const awayBefore = (detail: PartDetail): Operation => operation((draft) => mill(draft, detail, 'before'));

const across = new Set<PartDetail['kind']>(['crossHole', 'flat', 'hexagon', 'keyway']);

/** When it goes to the mill or the drill: before it is held by it, between roughing and finishing, while its bar holds it, or when the turning is done. */
type When = 'before' | 'spread' | 'closed' | 'on-bar' | 'after';

/** Whether a slit is cut before the sizes about it are finished, which are then turned in the state that it works in. */
function springs({ chosen }: Pick<Facts, 'chosen'>, { id, kind }: PartDetail): 'spread' | 'closed' | undefined {
  const asked = kind === 'slot' ? chosen.method.get(id)?.method : undefined;
  return asked === 'spread' || asked === 'closed' ? asked : undefined;
}

/** Slit when it is roughed and bored, spread by its screw or closed on a pin, and finished like that: what springs after its size is made has another size. @source spread-then-turn, common practice */
export const slitBeforeFinishing = (end: End): Operation =>
  operation((draft) => {
    for (const detail of draft.facts.part.details) {
      const how = springs(draft.facts, detail);
      if (how !== undefined && detail.on === end) mill(draft, detail, how);
    }
  });

/** As a person asked; else on the bar where no plain cylinder beside it is long enough to be held by once the piece is off. */
function wantsBar({ part, chosen }: Pick<Facts, 'part' | 'chosen'>, detail: PartDetail): boolean {
  if (!across.has(detail.kind)) return false;
  const asked = chosen.method.get(detail.id)?.method;
  if (asked === 'on-bar' || asked === 'after') return asked === 'on-bar';
  const rows = part.features.filter((f) => f.side === 'outside');
  const knurled = (row: Feature) => part.details.some((d) => d.kind === 'knurl' && d.on === row.id);
  const milledToo = (row: Feature) => part.details.some((d) => d.on === row.id && (d.kind === 'hexagon' || d.kind === 'flat'));
  return !rows.some((row) => {
    if (row.form !== 'cylinder' || knurled(row) || milledToo(row)) return false;
    // a surface with a tolerance of its own is no handle for a vice; drilled across, it may lie in a vee
    const fine = row.nearDiameter.from !== 'general';
    if (fine && detail.kind !== 'crossHole') return false;
    const wide = row.nearDiameter.nominal;
    const taken = detail.on === row.id ? Math.max(detail.width ?? 0, Math.abs(detail.near - detail.far), detail.diameter?.nominal ?? 0) + 2 : 0;
    return longOf(row) - taken >= Math.max(practice.handleLeast, (fine ? 1 : practice.handleShare) * wide);
  });
}

/** What is done beside the lathe after the last turning: what is milled or drilled, then heat, then surfaces, then what is joined; else as a person asked. */
export const awaySteps = (): Operation =>
  operation((draft) => {
    const { facts } = draft;
    const { details, features } = facts.part;
    const { treatment, mates } = facts.job.drawing;
    const treated = (kinds: readonly Treatment['kind'][]): readonly Beside[] =>
      kinds.flatMap((kind) => treatment.filter((one) => one.kind === kind)).map((one) => ({ step: stepOf(one), write: (d) => treatWith(d, one) }));
    const doneOnBar = (detail: PartDetail) => {
      const step = writeStep({ verb: 'away', of: detail.id });
      return draft.at.taken.has(step) || draft.at.steps.some((s) => s.id === step);
    };
    const all: readonly Beside[] = [
      ...details
        .filter((d) => milled.has(d.kind) && !doneOnBar(d))
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

function mill(draft: Draft, detail: PartDetail, when: When = 'after'): void {
  const { facts } = draft;
  const onBar = when === 'on-bar';
  const sprung = when === 'spread' || when === 'closed';
  const asked = facts.chosen.method.get(detail.id);
  const hole = holeBeside(facts, detail);
  for (const what of hole.lacks) draft.gets.push({ what, how: 'buy', holdsUp: [stepId(draft.at, 'away', detail.id)] });
  const joined = facts.job.drawing.mates.some((m) => joins(m.want.text));
  addStep(draft, {
    verb: 'away',
    about: detail.id,
    ...((across.has(detail.kind) || detail.kind === 'slot' || when === 'before') && { method: when }),
    says:
      when === 'spread'
        ? say`${detailWords[detail.kind]}: ${detail.says}, then spread as it will work`
        : when === 'closed'
          ? say`${detailWords[detail.kind]}: ${detail.says}, then closed on a pin of its bore`
          : say`${detailWords[detail.kind]}: ${detail.says}`,
    because: [
      when === 'before'
        ? reason('bolt-from-behind', say`before it comes on the plate: it is bolted by them`, detail.id)
        : sprung
          ? reason(
              'spread-then-turn',
              when === 'spread'
                ? say`roughed and bored, slit, spread by its screw or a wedge to what it works at, and finished so: slit afterwards it springs and loses its size`
                : say`roughed and bored, slit, closed with its screw on a pin as large as its bore, and finished so: slit afterwards it springs and loses its size`,
              detail.id,
            )
          : onBar
            ? reason(
                'on-the-bar',
                asked
                  ? say`while it is on the bar, as asked: it goes away in its collet or chuck and comes back, dialled again before anything fine`
                  : say`while it is on the bar: once it is off, nothing sound is left to hold it by; it goes away in its collet or chuck and comes back, dialled again before anything fine`,
                detail.id,
              )
            : asked?.method === 'on-bar'
              ? reason(
                  'on-the-bar',
                  say`asked for on the bar: carried like this there is no bar to hold it by, so it goes when it is turned`,
                  detail.id,
                )
              : reason('harden-last', say`on the mill or the drill, before any hardening`, detail.id),
      ...(onBar && detail.kind === 'crossHole' && overBore(facts, detail)
        ? [reason('on-the-bar', say`it burrs the bore that it breaks into: the bore is cleared or reamed after it`, detail.id)]
        : []),
      ...(joined && (detail.kind === 'crossHole' || detail.kind === 'boltCircle')
        ? [
            draft.cuts.some((c) => c.step.verb === 'join')
              ? reason('after-joining', say`after the two are joined and cold: through both in one go`, detail.id)
              : reason('through-both', say`where it goes through both pieces: after they are joined, in one go; ask for that order`, detail.id),
          ]
        : []),
      ...hole.because,
      ...(sprung
        ? [
            reason(
              'spread-then-turn',
              say`light cuts over the slit, the burr taken off inside; it is measured away from the slit, still set as it works`,
              detail.id,
            ),
          ]
        : []),
    ],
    ...(sprung && { cautions: ['The slit catches rags, files and fingers: spindle stopped to measure, nothing held to it while it turns.'] }),
    figures: {
      minutes: byHand(
        minutesOf(detail) +
          hole.more * Math.max(1, detail.count ?? 1) +
          (onBar || sprung ? practice.minutesBackAgain : 0) +
          (sprung ? practice.minutesSpread : 0),
      ),
    },
  });
}

/** Drilled by the hole, milled by the side: minutes. @source step-times, judgement */
function minutesOf({ kind, count = 1 }: PartDetail): number {
  if (kind === 'boltCircle' || kind === 'crossHole') return practice.minutesAway + practice.minutesHole * Math.max(1, count);
  if (kind === 'hexagon') return practice.minutesAway + 6 * practice.minutesSide;
  return practice.minutesAway + practice.minutesSide * Math.max(1, count);
}
