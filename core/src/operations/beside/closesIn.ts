import type { Feature } from '../../drawing';
import type { Reason } from '../../finding';
import { length, say } from '../../quantity';
import { practice } from '../../shop';
import { boreCloses } from '../../standards';
import { type Facts, reason } from '../facts';
import { mateName } from './fitted';
import { joinsTight, mostInterference } from './join';

/** What becomes of a bore whose outside is pressed or shrunk into something, told where it is made. @source closes-in, common practice; Lame */
export function closesIn(facts: Facts, row: Feature): readonly Reason[] {
  const [from, to] = [Math.min(row.near, row.far), Math.max(row.near, row.far)];
  const around = facts.part.features.find(
    (f) =>
      f.side === 'outside' &&
      Math.min(f.near, f.far) < to &&
      Math.max(f.near, f.far) > from &&
      facts.job.drawing.mates.some((m) => m.of === f.id && joinsTight(m.want.text)),
  );
  const mate = facts.job.drawing.mates.find((m) => m.of === around?.id && joinsTight(m.want.text));
  if (!around || !mate) return [];
  const fit = mostInterference(facts, mate);
  const inside = row.nearDiameter.nominal;
  const by = (() => {
    if (!fit || !(fit.most > 0) || inside >= fit.size) return undefined;
    const elastic = { modulus: facts.material.modulus * 1000, poisson: facts.material.poisson };
    return boreCloses({
      interference: fit.most,
      diameter: fit.size,
      outside: 2 * fit.size,
      inside,
      length: Math.abs(around.near - around.far),
      friction: practice.pressFriction,
      hub: elastic,
      shaft: elastic,
    });
  })();
  return [
    reason(
      'closes-in',
      by === undefined
        ? say`it closes by most of the interference when it goes into ${mateName(mate.piece)}: brought to size after that, or left over by so much`
        : say`it closes by up to ${length(by, 0.001)} when it goes into ${mateName(mate.piece)}, a stout seat: brought to size after that, or made over by so much`,
      row.id,
    ),
  ];
}
