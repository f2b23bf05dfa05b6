import { passivePush } from '../cutting';
import type { Tool } from '../document';
import { type Feature, inward } from '../drawing';
import { type Beam, bend, complianceAt } from '../mechanics';
import { figure } from '../quantity';
import { holdingOf, practice } from '../shop';
import { sectionsOf } from '../stock';
import type { Facts } from './facts';
import type { At, Spring } from './outcome';

/** The work as it stands in a setup, as a beam from the face of the jaws outwards; undefined where the metal does not reach them. */
export function beamOf(facts: Facts, at: At): { readonly beam: Beam; readonly from: (z: number) => number } | undefined {
  const holding = holdingOf(facts.shop, at.holding);
  if (!holding) return undefined;
  const out = -inward(at.end);
  const from = (z: number) => out * (z - at.jaws);
  const reach = out > 0 ? sectionsOf(at.stock, at.jaws, 1e4) : sectionsOf(at.stock, -1e4, at.jaws);
  const inOrder = out > 0 ? reach : reach.toReversed();
  const stretches: Beam['stretches'][number][] = [];
  for (const s of inOrder) {
    const [a, b] = [from(out > 0 ? s.from : s.to), from(out > 0 ? s.to : s.from)];
    const at = stretches.at(-1)?.to ?? 0;
    // what is not joined to the jaws any more is not held
    if (a > at + 1e-3) break;
    stretches.push({ from: at, to: b, diameter: 2 * s.outer, inside: 2 * s.inner });
  }
  const free = stretches.at(-1)?.to;
  if (free === undefined) return undefined;
  const rests = at.support.flatMap((s) => {
    const rest = holdingOf(facts.shop, s.item);
    return rest && s.kind === 'centre' ? [{ at: Math.min(free, Math.max(0.1, from(s.at))), stiffness: rest.lateral }] : [];
  });
  if (holding.kind === 'centres') rests.push({ at: free, stiffness: holding.lateral });
  return { beam: { stretches, modulus: 1000 * facts.material.modulus, clamp: { lateral: holding.lateral, angular: holding.angular }, rests }, from };
}

/** One standard deviation of a spring as a share of it: the force from memory, the holds as assumed in the shop. @source judgement */
const UNSURE = 0.2;

/** Where a stretch of the work gives way most as it stands, and how much, mm/N. */
export interface Weakest {
  readonly compliance: number;
  /** z of that place, and mm from the jaws */
  readonly z: number;
  readonly x: number;
  readonly beam: Beam;
  readonly from: (z: number) => number;
}

/** The weakest of both edges and the middle of a stretch; undefined where the metal does not reach the jaws. */
export function weakestIn(facts: Facts, at: At, near: number, far: number): Weakest | undefined {
  const held = beamOf(facts, at);
  if (!held) return undefined;
  const longest = held.beam.stretches.at(-1)?.to ?? 0;
  let worst: Weakest | undefined;
  for (const t of [0, 0.5, 1]) {
    const z = near + t * (far - near);
    const x = held.from(z);
    if (!(x > 0 && x <= longest)) continue;
    const compliance = complianceAt(followed(facts, at, held.beam, x), x);
    if (!worst || compliance > worst.compliance) worst = { compliance, z, x, ...held };
  }
  return worst;
}

function followed(facts: Facts, at: At, beam: Beam, x: number): Beam {
  const follow = at.support.find((s) => s.kind === 'followRest');
  const rest = follow && holdingOf(facts.shop, follow.item);
  const behind = Math.max(0.1, x - practice.followBehind);
  return rest && !beam.rests.some((r) => r.at === behind) ? { ...beam, rests: [...beam.rests, { at: behind, stiffness: rest.lateral }] } : beam;
}

/** How far the work gives way under a finishing cut at the weakest place of a row, and what pushes it; both on radius. */
export function springOf(
  facts: Facts,
  at: At,
  row: Feature,
  cut: { readonly tool: Tool; readonly depth: number; readonly feed: number; readonly speed: number },
): Spring | undefined {
  if (!(cut.depth > 0) || !(cut.feed > 0)) return undefined;
  const weakest = weakestIn(facts, at, row.near, row.far);
  if (!weakest) return undefined;
  const give = 1000 * weakest.compliance;
  const passive = passivePush(at.place, cut.tool, { ...cut, diameter: row.nearDiameter.nominal });
  return {
    passive,
    spring: figure('length', 'spring', { F: passive.value, give }, { step: 0.001, deviation: (UNSURE * passive.value * give) / 1000 }),
    at: weakest.z,
    beam: followed(facts, at, weakest.beam, weakest.x),
    from: weakest.from,
  };
}

/** The line of the bent work from the jaws to its free end under that push: z and mm sideways. */
export function bentLineOf(spring: Spring, jaws: number, out: 1 | -1): readonly (readonly [number, number])[] {
  const long = spring.beam.stretches.at(-1)?.to ?? 0;
  const bent = bend(spring.beam, [{ at: spring.from(spring.at), force: spring.passive.value }]);
  const parts = 24;
  return Array.from({ length: parts + 1 }, (_, i) => (long * i) / parts).map((x) => [jaws + out * x, bent.at(x)] as const);
}
