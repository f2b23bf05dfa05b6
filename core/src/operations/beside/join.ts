import { diameter, fahrenheit, figure, type Figure, length, REFERENCE, say, type Sentence, tidy } from '../../quantity';
import type { Feature, Part } from '../../drawing';
import { practice } from '../../shop';
import { materialOf, pressFit, warmestOf } from '../../standards';
import { type Facts, reason } from '../facts';
import type { Draft } from '../outcome';
import { beside } from './beside';
import { mateName } from './fitted';

/** Words of a mate that is put together for good. */
export const joins = (want: string): boolean => /shrink|press|adhesive|retain|glue/i.test(want);

/** Words of a mate that is pressed or shrunk in. */
export const joinsTight = (want: string): boolean => /shrink|press|interference/i.test(want);

type MateOf = Facts['job']['drawing']['mates'][number];

/** The most that the two overlap, mm on diameter; undefined while the mate is not measured. */
export function mostInterference({ part }: Facts, mate: MateOf): Tight | undefined {
  const got = part.mates[mate.id];
  const row = part.features.find((f) => f.id === mate.of);
  if (!got || !row || got.mate === undefined) return undefined;
  const hub = row.side !== 'outside';
  return { most: tidy(hub ? got.mate - got.limits.min : got.limits.max - got.mate), size: got.mate, hub };
}

/** How hot the hub is made so that the shaft goes in with a hand's margin. @source join-heat, common practice; linear expansion */
export function joinHeat(facts: Facts, mate: MateOf): Figure | undefined {
  const fit = mostInterference(facts, mate);
  if (!fit || fit.most <= 0) return undefined;
  // the hub is what is heated: of the part's own material where the part is it, else as steel
  const { alpha } = fit.hub ? facts.material : materialOf('mild-steel');
  return figure('temperature', 'warmToJoin', { room: REFERENCE, interference: fit.most, gap: practice.handsMargin, d: fit.size, alpha }, { step: 5 });
}

/** Mates that are put together for good: pressed, shrunk or glued. */
export function join(draft: Draft, mate: MateOf): void {
  const { id, piece, want } = mate;
  const asked = want.text.toLowerCase();
  const into = mateName(piece);
  if (asked.includes('shrink')) shrink(draft, mate, into);
  else if (asked.includes('press'))
    beside(draft, 'join', id, {
      says: say`pressed together with ${into}`,
      because: [
        reason('press', say`a lead-in chamfer, both measured at one temperature, oiled; a way to press it out again`, id),
        ...pressing(draft.facts, mate),
      ],
      cautions: ['Press behind a guard: brittle rings fly.'],
      hands: practice.handsPress,
      waits: 0,
    });
  else if (/adhesive|retain|glue/.test(asked))
    beside(draft, 'join', id, {
      says: say`fixed in ${into} with retaining compound`,
      because: [reason('adhesive', say`both clean and dry, turned as it goes in; not handled until it has cured; heat lets it go`, id)],
      cautions: ['Gloves: retaining compounds sensitise the skin.'],
      hands: practice.handsGlue,
      waits: practice.curesFor,
    });
}

function shrink(draft: Draft, mate: MateOf, into: string): void {
  const { facts } = draft;
  const { id } = mate;
  const heat = joinHeat(facts, mate);
  const fit = mostInterference(facts, mate);
  const cap = warmestOf(
    facts.material.id,
    facts.job.drawing.treatment.some((t) => t.kind === 'harden'),
  );
  const both = (celsius: number): Sentence => say`${Math.round(celsius / 5) * 5} °C (${Math.round(fahrenheit(celsius))} °F)`;
  if (heat && fit && heat.value > cap.celsius)
    draft.says.push({
      code: 'join-heat',
      about: id,
      severity: 'caution',
      says: say`${both(heat.value)} is over the ${both(cap.celsius)} that ${cap.words} stands`,
      why: say`chill the shaft as well, or ask for less interference`,
      mends: [],
    });
  beside(draft, 'join', id, {
    says:
      heat && fit
        ? say`${fit.hub ? 'heated' : 'its hub heated'} to ${both(heat.value)}, shrunk together with ${into}, held against its shoulder until it grips`
        : say`shrunk together with ${into}, held against its shoulder until it grips`,
    because: [
      ...(heat && fit
        ? [
            reason(
              'join-heat',
              say`${length(fit.most, 0.001)} at the most to go over ${diameter(fit.size, 0.001)}, and ${length(practice.handsMargin, 0.001)} for the hand; ${cap.words} stands ${both(cap.celsius)}`,
              id,
            ),
          ]
        : [reason('join-heat', say`how hot: both members measured first, then the interference and a hand’s margin over the expansion`, id)]),
      reason(
        'shrink',
        say`rehearse it: it falls together or sticks half way; the thin part gives up its heat in seconds; where it sticks: press it home at once, or warm it again`,
        id,
      ),
      reason('join-heat', say`it draws off its shoulder as it cools: pressed back or weighted until it grips`, id),
    ],
    cautions: ['Hot parts: gloves, a stand to set them on, nothing that burns near by.'],
    hands: practice.handsShrink,
    waits: practice.shrinksFor,
    ...(heat && { heat }),
  });
}

/** Two members over one another: by how much, at which size, and whether the row is the hole; mm on diameter. */
interface Tight {
  readonly most: number;
  readonly size: number;
  readonly hub: boolean;
}

/** The push of a press, N; of a hub whose outside is not known, twice the joint. Both taken as the part's own metal. @source Lame, thick cylinders */
export function pushOf(part: Part, row: Feature, { most, size, hub }: Tight): number {
  const around = part.features
    .filter(
      (f) => f.side === 'outside' && Math.min(f.near, f.far) < Math.max(row.near, row.far) && Math.max(f.near, f.far) > Math.min(row.near, row.far),
    )
    .reduce((least, f) => Math.min(least, f.nearDiameter.nominal), Infinity);
  const { modulus, poisson } = materialOf(part.material);
  const elastic = { modulus: modulus * 1000, poisson };
  return pressFit({
    interference: most,
    diameter: size,
    outside: hub && Number.isFinite(around) && around > size ? around : 2 * size,
    length: Math.abs(row.near - row.far),
    friction: practice.pressFriction,
    hub: elastic,
    shaft: elastic,
  }).force;
}

function pressing(facts: Facts, mate: MateOf) {
  const fit = mostInterference(facts, mate);
  const row = facts.part.features.find((f) => f.id === mate.of);
  if (!fit || !row || !(fit.most > 0)) return [];
  return [
    reason(
      'press',
      say`${length(fit.most, 0.001)} at the most wants about ${{ is: 'force', value: pushOf(facts.part, row, fit), step: 500 }} of push, both taken as ${facts.material.name}`,
      mate.id,
    ),
  ];
}
