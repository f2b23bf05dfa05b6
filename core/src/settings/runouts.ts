import type { Shop } from '../document';
import type { Part } from '../drawing';
import { partsOf, runoutOf, type RunoutPart } from '../holding';
import type { Step } from '../operations';
import { figure, type Figure } from '../quantity';
import { readStep, thingOf } from '../ref';
import { holdingOf, practice } from '../shop';
import { widestOfFaces } from './held';
import type { Setup } from './setup';

/** What finishes a surface: the last of these at a row is where it was made true. */
const finishing = new Set<Step['verb']>(['finish-turn', 'rough-turn', 'bore', 'ream', 'drill', 'taper', 'form', 'thread', 'grind', 'face']);

const SPINDLE: RunoutPart = { words: 'spindle and cut', tir: practice.sameChucking };

/** How true a relation of the drawing comes out: not exceeded in 19 of 20, and how often within the limit. */
export interface RelationMade {
  readonly relation: string;
  readonly oneChucking: boolean;
  readonly limit: Figure;
  readonly expected: Figure;
  readonly chance: Figure;
  /** what lies between the two features */
  readonly parts: readonly RunoutPart[];
}

/** What settings were dialled to as they were read, TIR in mm, by the id of the setting. */
export type DialledIn = ReadonlyMap<string, number>;

/** How true each relation of the drawing comes out, along the holdings between the two features as they are really cut; where it was read, as it was dialled. */
export function runoutsOf(part: Part, setups: readonly Setup[], shop: Shop, started = false, dialled?: DialledIn): readonly RelationMade[] {
  return part.relations
    .filter((r) => r.kind !== 'distance')
    .map((r) => {
      const [of, to] = [madeIn(setups, r.of, started), madeIn(setups, r.to, started)];
      const chain = chainBetween(part, setups, shop, of, to, widestOfFaces(part, r), dialled);
      const { expected, within } = runoutOf(chain);
      return {
        relation: r.id,
        oneChucking: of === to,
        limit: figure('length', 'distance', { value: r.limits.max }, { step: 0.001 }),
        expected,
        chance: within(r.limits.max),
        parts: chain,
      };
    });
}

/** It was made before the piece came: in no setting of this route. */
const BEFORE = -1;

/** The setup in which a feature or a face is finished; where nothing finishes it the first, as the stock was, or before any of a piece already started. */
function madeIn(setups: readonly Setup[], ref: string, started: boolean): number {
  const of = thingOf(ref);
  const at = setups.findLastIndex((s) =>
    s.steps.some((step) => finishing.has(step.verb) && (step.does.some((d) => thingOf(d) === of) || readStep(step.id).of === of)),
  );
  // the centre line of the part is that of what was turned first
  return at < 0 ? (started ? BEFORE : 0) : at;
}

/** What adds up between what is cut in two setups: each holding between them, and from each gripped surface on to where that was made. */
function chainBetween(
  part: Part,
  setups: readonly Setup[],
  shop: Shop,
  a: number,
  b: number,
  faces: number | undefined,
  dialled?: DialledIn,
): readonly RunoutPart[] {
  const [early, late] = a < b ? [a, b] : [b, a];
  if (early === late) return [SPINDLE];
  const setup = setups[late];
  const here = setup && heldBy(setup, shop, dialled, faces);
  if (!setup || !here) return [SPINDLE];
  const seat = grippedIn(part, setups, setup);
  // the same bar gripped twice on its skin: it stood off the axis the first time too
  if (seat === undefined) return [...here, ...onSkin(part, setups, shop, early, setup, dialled)];
  // gripped on what was made in the earlier setup itself: nothing more comes between
  if (seat === early || seat >= late) return here;
  return [...here, ...chainBetween(part, setups, shop, seat, early, faces, dialled)];
}

/** What the earlier of two grips on the bare bar adds; nothing where it was carried, or gripped on what was made. */
function onSkin(part: Part, setups: readonly Setup[], shop: Shop, early: number, late: Setup, dialled?: DialledIn): readonly RunoutPart[] {
  const setup = setups[early];
  if (!setup || late.carried !== undefined || setup.carried !== undefined || grippedIn(part, setups, setup) !== undefined) return [];
  return heldBy(setup, shop, dialled)?.slice(0, 1) ?? [];
}

/** What the holding of a setting adds: as true as it was dialled where that was read. */
function heldBy(setup: Setup, shop: Shop, dialled?: DialledIn, faces?: number): readonly RunoutPart[] | undefined {
  const holding = holdingOf(shop, setup.holding);
  const read = dialled?.get(setup.id);
  if (!holding) return undefined;
  if (read === undefined) return partsOf(holding, faces, setup.grip.value);
  const as = partsOf({ ...holding, trueWithin: { text: String(read), units: 'mm' } }, faces, setup.grip.value);
  return as.map((p, i) => (i === 0 ? { ...p, read: true } : p));
}

/** The setup that made the surface a later one is held by: a row in the jaws, a bore on its arbor. Centres and plates hold by what was made last before. */
function grippedIn(part: Part, setups: readonly Setup[], setup: Setup): number | undefined {
  const before = setups.indexOf(setup);
  if (setup.carried === 'centres') return undefined;
  const [from, to] = [Math.min(...setup.gripped), Math.max(...setup.gripped)];
  const rows = part.features.filter((f) =>
    setup.onArbor
      ? f.side !== 'outside'
      : f.side === 'outside' && Math.min(Math.max(f.near, f.far), to) - Math.max(Math.min(f.near, f.far), from) > 0.5,
  );
  const made = rows.map((f) => madeIn(setups.slice(0, before), f.id, false));
  return made.length > 0 ? Math.max(...made) : undefined;
}
