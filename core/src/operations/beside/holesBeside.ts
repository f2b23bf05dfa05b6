import type { PartDetail } from '../../drawing';
import type { Reason } from '../../finding';
import { diameter, length, say, type Sentence, tidy } from '../../quantity';
import { practice, sizeOf } from '../../shop';
import { boltCircle } from '../../standards';
import { toolForThread } from '../../tooling';
import { type Facts, reason } from '../facts';
import { leftToReam } from '../holes/rung';
import { coreFor } from '../holes/rungs';

/* Holes beside the axis, at the drill: where each stands, with which drill of the drawer, how deep, tapped or reamed with what, what it breaks into. */

/** What is said of a hole, what it lacks, and what it takes beside being drilled. */
export interface HoleBeside {
  readonly because: readonly Reason[];
  /** a tap or reamer that is not in the shop */
  readonly lacks: readonly Sentence[];
  /** for each hole, minutes */
  readonly more: number;
}

/** Places are listed for so many holes; a wheel of more is indexed. */
const LISTED = 12;

/** What the drill or the mill is told of a hole across or of a circle of holes. */
export function holeBeside(facts: Facts, detail: PartDetail): HoleBeside {
  if (detail.kind !== 'crossHole' && detail.kind !== 'boltCircle') return { because: [], lacks: [], more: 0 };
  const made = detail.thread ? tapped(facts, detail, detail.thread) : sized(facts, detail);
  return {
    because: [...places(detail), ...made.because, ...mouth(detail), ...intoBore(facts, detail)],
    lacks: made.lacks,
    more: made.more + (detail.head ? practice.minutesHole : 0),
  };
}

function tapped(facts: Facts, detail: PartDetail, thread: NonNullable<PartDetail['thread']>): HoleBeside {
  const core = coreFor(facts, thread);
  const own = drillFor(facts, core.aim, core.least, core.most);
  const tap = toolForThread(facts.shop, 'tap', thread);
  const deep = detail.depth;
  const blind: readonly Reason[] =
    deep === undefined
      ? []
      : [
          reason(
            'blind-tap',
            say`drilled ${length(tidy(deep + practice.plugLead * thread.pitch + practice.tapChips), 0.1)} for ${length(deep)} of full thread: the lead of the plug tap, and room for its chips`,
            detail.id,
          ),
        ];
  return {
    because: [
      reason(
        'tap',
        say`${thread.designation}: ${own ? say`drill ${own.name}` : say`drilled to ${diameter(core.aim)}`}, the tap started square in the same setting of the drill before it is moved; ${tap ? tap.name : 'no such tap in the shop'}`,
        detail.id,
      ),
      ...blind,
    ],
    lacks: tap ? [] : [say`tap ${thread.designation}`],
    more: practice.minutesTap,
  };
}

function sized(facts: Facts, detail: PartDetail): HoleBeside {
  const size = detail.diameter?.nominal ?? 0;
  const reamer = detail.reamed && facts.shop.tools.find((t) => t.kind === 'ream' && Math.abs(sizeOf(t) - size) < 0.01);
  const left = leftToReam(size);
  // a drill of the drawer that the hole may be made with: within its limits, or leaving the reamer its few tenths
  const own = detail.reamed
    ? drillFor(facts, size - (left.least + left.most) / 2, size - left.most, size - left.least)
    : drillFor(facts, size, detail.diameter?.min ?? size, detail.diameter?.max ?? size);
  const drilled = own ? say`drill ${own.name}` : say`drilled to ${diameter(size - (left.least + left.most) / 2, 0.1)}`;
  const because = detail.reamed
    ? [reason('drill-bore-ream', say`${drilled}, then reamed ${diameter(size)}`, detail.id)]
    : own
      ? [reason('drill-bore-ream', drilled, detail.id)]
      : [];
  return { because, lacks: detail.reamed && !reamer ? [say`reamer ${diameter(size)}`] : [], more: detail.reamed ? practice.minutesHole : 0 };
}

/** The drill of the drawer that comes nearest to a size, within what it may be. */
function drillFor({ shop }: Facts, aim: number, least: number, most: number): { readonly name: string; readonly size: number } | undefined {
  return shop.tools
    .filter((t) => t.kind === 'drill')
    .map((t) => ({ name: t.name.replace(/^drill\s+/i, ''), size: sizeOf(t) }))
    .filter((d) => d.size >= least - 0.001 && d.size <= most + 0.001)
    .toSorted((a, b) => Math.abs(a.size - aim) - Math.abs(b.size - aim))[0];
}

const mouth = ({ head, id }: PartDetail): readonly Reason[] =>
  head === undefined
    ? []
    : [
        reason(
          'all-the-holes',
          head.form === 'counterbore'
            ? say`counterbored ${diameter(head.diameter)}, ${length(head.depth)} deep, on a pilot of the hole`
            : say`countersunk to ${diameter(head.diameter)}: ${length(head.depth)} of its cone`,
          id,
        ),
      ];

/** Every hole by its own place: of a circle by co-ordinates, across a row by its angle. @source bolt-circle: x = r cos, y = r sin */
function places({ id, kind, count = 1, width, angle = 0 }: PartDetail): readonly Reason[] {
  if (count < 2 || count > LISTED) return [];
  const each: readonly Sentence[] =
    kind === 'boltCircle'
      ? boltCircle(count, width ?? 0, angle).map(({ x, y }, i): Sentence => say`${i + 1}: x ${length(x, 0.001)}, y ${length(y, 0.001)}`)
      : Array.from({ length: count }, (_, i): Sentence => say`${i + 1}: ${tidy((angle + (360 * i) / count) % 360)}°`);
  return [
    reason(
      'all-the-holes',
      each.flatMap((place, i) => (i === 0 ? place : [...say`; `, ...place])),
      id,
    ),
  ];
}

/** A hole lies under the place of a cross hole. */
export const overBore = ({ part }: Pick<Facts, 'part'>, { near, far }: PartDetail): boolean =>
  part.features.some((f) => f.side !== 'outside' && Math.min(f.near, f.far) < Math.max(near, far) && Math.max(f.near, f.far) > Math.min(near, far));

/** What a cross hole comes out into. */
function intoBore(facts: Facts, detail: PartDetail): readonly Reason[] {
  if (detail.kind !== 'crossHole' || !overBore(facts, detail)) return [];
  const oneWall = detail.thread !== undefined || detail.depth !== undefined || (detail.count ?? 1) > 1;
  return [
    reason(
      'all-the-holes',
      oneWall
        ? say`through one wall into the bore: its burr inside is scraped or reamed off`
        : say`through both walls of the bore: burrs inside at both are scraped or reamed off`,
      detail.id,
    ),
  ];
}
