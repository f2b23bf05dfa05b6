import type { Shop } from '../document';
import type { Part } from '../drawing';
import type { Finding } from '../finding';
import { lobes, squeezed } from '../mechanics';
import { diameter, figure, length, say } from '../quantity';
import type { Route } from '../route';
import { holdingOf } from '../shop';
import { materialOf } from '../standards';
import { sectionsOf } from '../stock';

/** A light grip, as a share of what the chuck can. @source thin-wall, common practice: tightened by two fingers */
const LIGHT = 1 / 3;
/** Out of round by less than this nobody sees, mm on radius. */
const UNSEEN = 0.005;
/** A wall thicker than this share of its mean radius is no thin ring: it hardly gives way, and the formula does not hold. */
const THICK = 0.5;

/** Hollow work squeezed out of round by jaws that touch it in a few places, even lightly tightened. */
export function squeezeChecks(part: Part, route: Route, shop: Shop): readonly Finding[] {
  return route.setups.flatMap((setup): readonly Finding[] => {
    const holding = holdingOf(shop, setup.holding);
    if (!holding?.jaw || holding.newtons === undefined) return [];
    const sections = sectionsOf(setup.before, Math.min(...setup.gripped), Math.max(...setup.gripped));
    if (sections.length === 0 || sections.some((s) => s.inner <= 0)) return [];
    const thinnest = sections.reduce((least, s) => (s.outer - s.inner < least.outer - least.inner ? s : least));
    const [wall, R] = [thinnest.outer - thinnest.inner, (thinnest.outer + thinnest.inner) / 2];
    if (wall > THICK * R) return [];
    const long = sections.reduce((sum, s) => sum + s.to - s.from, 0);
    const { modulus } = materialOf(part.material);
    const count = Math.max(2, holding.jaw.count);
    const out = figure(
      'length',
      'lobes',
      { W: (LIGHT * holding.newtons) / count, R, t: wall, b: long, E: 1000 * modulus, share: lobes(squeezed(count, 1, 1, 1)) },
      { step: 0.001 },
    );
    if (out.value < UNSEEN) return [];
    return [
      {
        code: 'squeezes',
        about: setup.id,
        severity: 'caution',
        says: say`${holding.name} squeezes a wall of ${length(wall)} at ${diameter(2 * thinnest.outer)} out of round by ${out} on radius, even lightly tightened`,
        why: say`${count} jaws leave ${count} flats when it is let go: a light, full-circle grip, soft jaws bored to the size, or an arbor`,
        mends: [],
      },
    ];
  });
}
