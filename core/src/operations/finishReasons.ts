import { finishOf } from '../cutting';
import type { Tool } from '../document';
import type { Feature } from '../drawing';
import { atMost, exceeds, length, say, tidy } from '../quantity';
import { mmOf, practice, springKept } from '../shop';
import { type Facts, reason } from './facts';
import type { At } from './outcome';

/* What a cut that is measured is told: where and how it is read, what its dial counts, what was learned of its chips. */

/** A lesson that was kept: at such a feed this tool made long strings in this material. */
export function stringsKept({ shop, part }: Facts, tool: Tool, feed: number, row: string): readonly ReturnType<typeof reason>[] {
  const kept = shop.lessons.find(
    (l) => l.of === 'chips' && l.accepted && l.where['tool'] === tool.id && l.where['material'] === part.material && atMost(feed, l.mean),
  );
  return kept
    ? [
        reason(
          'chips',
          say`long strings were told of it here at feeds up to ${{ is: 'feed', value: kept.mean }}: more feed, or stop and clear them with a hook`,
          row,
        ),
      ]
    : [];
}

/** A lesson that was kept: how this lathe and tool give way in this material. */
export function springSaid({ shop, machine, part }: Facts, tool: Tool, row: string): readonly ReturnType<typeof reason>[] {
  const kept = springKept(shop.lessons, machine.id, tool.id, part.material);
  return kept
    ? [
        reason(
          'lesson',
          say`this lathe and tool give way by ${tidy(Math.round(1000 * kept.mean) / 10)} % of the cut here, kept from ${kept.count} sizes: the dial reckons with it`,
          row,
        ),
      ]
    : [];
}

/** A lesson that was kept: how near to the middle this lathe and tool land, against the tolerance that is asked of them. */
export function landsKept({ shop, machine }: Facts, tool: Tool, tolerance: number, row: string): readonly ReturnType<typeof reason>[] {
  const kept = shop.lessons.findLast((l) => l.of === 'held' && l.accepted && l.where['machine'] === machine.id && l.where['tool'] === tool.id);
  if (!kept) return [];
  const { mean, deviation, count } = kept;
  const [off, give] = [length(Math.abs(mean), 0.001), length(2 * deviation, 0.001)];
  const landed = say`this lathe and tool landed ${off} ${mean >= 0 ? 'over' : 'under'} the middle, give or take ${give}, kept from ${count} sizes`;
  const wide = Math.abs(mean) + 2 * deviation > tolerance / 2;
  return [
    reason(
      'lesson',
      wide ? say`${landed}: more than this tolerance of ${length(tolerance, 0.001)} leaves; finer settings, or emery at the end` : landed,
      row,
    ),
  ];
}

/** Where a gauge stands on a finished row, and on what. @source both-ends, crests: common practice */
export function readingReasons(feature: Feature, tolerance: number, long: number, feed: number, nose: number, spring: number) {
  // how far the crests of the feed stand over the middle of the surface, on diameter
  const crests = feed <= nose ? (2 * finishOf(feed, nose).Rt) / 1000 : 0;
  return [
    ...(long > practice.bothEndsFrom * feature.nearDiameter.nominal || 2 * spring > tolerance / 4
      ? [reason('both-ends', say`measured at both ends of the cut: the free end gives way more than the held one`, feature.id)]
      : []),
    ...(crests > tolerance / 8
      ? [
          reason(
            'crests',
            say`the feed leaves crests of ${length(crests, 0.001)} on diameter, and a micrometer reads those: the same feed for the cut that is measured and the last`,
            feature.id,
          ),
        ]
      : []),
  ];
}

/** A long cut beside a centre, and a rest that rode on the size before. @source setover-test, follow-rest; common practice */
export function longCutReasons(at: At, feature: Feature, long: number): readonly ReturnType<typeof reason>[] {
  const rests = at.support.some((s) => s.kind === 'followRest' || s.kind === 'steady');
  return [
    ...(at.place.centre && long > practice.longCut
      ? [
          reason(
            'setover-test',
            say`a long cut: the tailstock proved in line first, by a trial cut measured at both ends and corrected before size`,
            feature.id,
          ),
        ]
      : []),
    ...(rests ? [reason('follow-rest', say`the rest set again on the new diameter before the finishing cut`, feature.id)] : []),
  ];
}

/** What the cross dial counts, and whether its smallest step is fine enough for a tolerance. @source diameter-dial, fine-infeed, common practice */
export function dialReasons(facts: Facts, feature: Feature, tolerance: number): readonly ReturnType<typeof reason>[] {
  const { cross } = facts.machine.dials;
  const division = mmOf(cross?.division);
  if (!cross || !(division > 0)) return [];
  const step = (division / 2) * (cross.reads === 'diameter' ? 1 : 2);
  return [
    reason(
      'diameter-dial',
      cross.reads === 'diameter'
        ? say`the cross dial counts on diameter: dial all of what is to come off`
        : say`the cross dial counts on radius: dial half of what is to come off the diameter`,
      feature.id,
    ),
    ...(exceeds(step, tolerance / 4)
      ? [
          reason(
            'fine-infeed',
            say`half a division is ${length(step, 0.001)} on diameter, more than a quarter of the tolerance: the compound set 5° 44′ from the bed moves the tool a tenth of its dial`,
            feature.id,
          ),
        ]
      : []),
  ];
}
