import type { Shop } from '../../document';
import { type Feature, type Limits, type Part, threadOf } from '../../drawing';
import type { Finding, FindingCode } from '../../finding';
import { angle, atLeast, diameter, length, say } from '../../quantity';
import { boreGaugeFor, doubtOf, gaugeFor, mmOf, proves } from '../../shop';
import { flankHalf } from '../../standards';
import { cuts, toolForThread } from '../../tooling';

/** What the drawing asks for that this shop cannot make or measure; what it can get is said by the plan. */
export function shopChecks(part: Part, shop: Shop): readonly Finding[] {
  return [
    ...part.features.flatMap((f) => [
      ...ofThread(f, shop),
      ...(f.form === 'thread' ? [] : ofTolerance(f.id, f.nearDiameter, f.side === 'outside', shop)),
      ...ofCorners(f, shop),
    ]),
    ...ofGrooves(part, shop),
  ];
}

const check = (code: FindingCode, about: string, says: Finding['says'], why: Finding['why']): Finding => ({
  code,
  about,
  severity: 'caution',
  says,
  why,
  mends: [],
});

/** No die or tap of that size, and no tool of its angle to cut it with; or a class that a bought die or tap does not promise. */
function ofThread(f: Feature, shop: Shop): readonly Finding[] {
  const thread = threadOf(f);
  if (!thread) return [];
  const bought = toolForThread(shop, thread.internal ? 'tap' : 'die', thread);
  const flank = flankHalf(thread.family);
  const single = shop.tools.some((t) => t.kind === 'thread' && cuts(t, thread) && (t.shank !== undefined) === thread.internal);
  const about = `${f.id}.thread`;
  if (!bought && !single)
    return [
      check(
        'thread-no-tool',
        about,
        say`the shop has neither a ${thread.internal ? 'tap' : 'die'} for ${thread.designation} nor a threading ${thread.internal ? 'bar' : 'tool'} of ${angle(2 * flank)}`,
        say`buy or grind one before this part is begun`,
      ),
    ];
  // finer than the usual class wants single point cutting: what a die or tap makes is its maker's
  const fine = /-[345][a-hA-H]|-3[AB]/.test(thread.designation);
  return bought && !single && fine
    ? [
        check(
          'thread-class-fine',
          about,
          say`${bought.name} does not promise the class of ${thread.designation}`,
          say`single point it and measure over wires, or buy one of that class`,
        ),
      ]
    : [];
}

/** A tolerance that no gauge of the shop can prove. */
function ofTolerance(id: string, limits: Limits, outside: boolean, shop: Shop): readonly Finding[] {
  const tolerance = limits.max - limits.min;
  if (limits.from === 'general' || !(tolerance > 0)) return [];
  const best = (outside ? gaugeFor : boreGaugeFor)(shop, limits.nominal, tolerance);
  if (best && proves(best, tolerance)) return [];
  // outside, the step that measures it says so with its own gauge
  if (outside && best) return [];
  const about = `${id}.diameter`;
  return [
    check(
      'tolerance-not-measurable',
      about,
      best
        ? say`${best.name} is good to ${length(2 * doubtOf(best), 0.001)}; the tolerance is ${length(tolerance, 0.001)}`
        : say`the shop has no gauge for ${outside ? '' : 'a hole of '}${diameter(limits.nominal)} with a tolerance of ${length(tolerance, 0.001)}`,
      say`doubt to a quarter of the tolerance; or fit it to its mate`,
    ),
  ];
}

/** A corner that is tighter than every nose of the shop. */
function ofCorners(f: Feature, shop: Shop): readonly Finding[] {
  const noses = shop.tools.filter((t) => t.kind === 'turn' || t.kind === 'bore').map((t) => mmOf(t.nose, 0.4));
  const least = Math.min(...noses);
  return (['near', 'far'] as const).flatMap((end) => {
    const edge = end === 'near' ? f.edgeNear : f.edgeFar;
    if (edge.kind !== 'radius' || atLeast(edge.radius, least) || noses.length === 0) return [];
    return [
      check(
        'corner-too-tight',
        `${f.id}.${end}`,
        say`a radius of ${length(edge.radius)} is tighter than any nose in the shop; the smallest is ${length(least)}`,
        say`an inside corner is as round as the tool that cuts it: grind one, or relieve the corner`,
      ),
    ];
  });
}

/** A groove narrower than every blade. */
function ofGrooves(part: Part, shop: Shop): readonly Finding[] {
  const blades = shop.tools.filter((t) => t.kind === 'groove' || t.kind === 'part').flatMap((t) => (t.width ? [mmOf(t.width)] : []));
  const least = Math.min(...blades);
  return part.details.flatMap((d) => {
    if ((d.kind !== 'groove' && d.kind !== 'ringGroove' && d.kind !== 'faceGroove') || d.width === undefined || atLeast(d.width, least)) return [];
    return [
      check(
        'groove-too-narrow',
        d.id,
        blades.length > 0
          ? say`a groove ${length(d.width)} wide is narrower than any blade in the shop; the narrowest is ${length(least)}`
          : say`the shop has no blade for a groove ${length(d.width)} wide`,
        say`grind a narrower one`,
      ),
    ];
  });
}
