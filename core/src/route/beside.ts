import { detailWords, type Feature, type Limits, type PartDetail } from '../drawing';
import type { Reason } from '../finding';
import { diameter, fahrenheit, figure, length, parseHeat, parseLength, say, type Sentence, temperature, tidy, writeMinutes } from '../quantity';
import { boreGaugeFor, gaugeFor } from '../shop';
import { turned } from '../stock';
import { byHand, type Facts, reason, way } from './facts';
import { addStep, type Draft, type Operation, operation } from './outcome';
import type { Verb } from './verbs.table';

const milled = new Set<PartDetail['kind']>(['crossHole', 'flat', 'hexagon', 'keyway', 'slot', 'boltCircle']);

/** What is done beside the lathe after the last turning: what is milled or drilled, then heat, then surfaces, then what is joined. */
export const awaySteps = (): Operation =>
  operation((draft) => {
    const { facts } = draft;
    for (const detail of facts.part.details) {
      if (!milled.has(detail.kind)) continue;
      addStep(draft, {
        verb: 'away',
        about: detail.id,
        says: say`${detailWords[detail.kind]}: ${detail.says}`,
        because: [
          reason('harden-last', say`on the mill or the drill, before any hardening`, detail.id),
          ...(detail.kind === 'crossHole' && facts.job.drawing.mates.some((m) => joins(m.want.text))
            ? [reason('through-both', say`where it goes through both pieces: after they are joined, in one go`, detail.id)]
            : []),
        ],
        figures: { minutes: byHand(8) },
      });
    }
    const treated = (kinds: readonly Treatment['kind'][]) => {
      for (const kind of kinds) for (const one of facts.job.drawing.treatment) if (one.kind === kind) treat(draft, one);
    };
    treated(['harden', 'temper']);
    for (const row of facts.part.features) if (ground(facts, row)) grind(draft, row);
    treated(['plate', 'black']);
    for (const mate of facts.job.drawing.mates) join(draft, mate);
  });

interface Beside {
  readonly says: Sentence;
  readonly because: Reason;
  readonly cautions: readonly string[];
  readonly hands: number;
  /** minutes in which nobody need stand by */
  readonly waits: number;
}

type Treatment = Facts['job']['drawing']['treatment'][number];

/** Degrees Celsius of an oil-hardening steel, and of a tough temper. @source hardening, common practice */
const HARDENS = 800;
const TEMPERS = 260;

function treat(draft: Draft, { id, kind, value }: Treatment): void {
  const given = value.text.trim();
  const heat = parseHeat(given, value.units);
  // of the two that a bare number may mean the cooler one spoils nothing
  const asked = heat.asked === undefined ? undefined : ((heat.asked - 32) * 5) / 9;
  const tempers = { celsius: heat.celsius ?? asked ?? TEMPERS, minutes: heat.minutes ?? AN_HOUR };
  if (heat.asked !== undefined && (kind === 'harden' || kind === 'temper'))
    draft.says.push({
      code: 'treatment-unit',
      about: id,
      severity: 'caution',
      says: say`${kind === 'temper' ? 'tempered' : 'hardened'} at ${heat.asked}: degrees C or F?`,
      why: say`${heat.asked} °F is ${Math.round(asked ?? 0)} °C; until it is said the cooler is taken`,
      mends: (['F', 'C'] as const).map((unit) => ({
        says: say`${heat.asked ?? 0} °${unit}`,
        to: 'job' as const,
        edits: [
          {
            op: 'put' as const,
            at: `drawing/treatment/#${id}/value`,
            value: { ...value, text: given.replace(String(heat.asked), `${String(heat.asked)} ${unit}`) },
          },
        ],
      })),
    });
  const made: Readonly<Record<Treatment['kind'], Beside>> = {
    harden: {
      says:
        given === ''
          ? say`hardened: about ${temperature(HARDENS, 10)}, soaked, quenched`
          : heat.celsius === undefined
            ? say`hardened, ${given}`
            : say`hardened at ${bothDegrees(heat.celsius)}${heat.minutes === undefined ? '' : `, ${writeMinutes(heat.minutes)}`}${heat.rest === '' ? '' : `, ${heat.rest}`}`,
      because: reason(
        'harden-last',
        say`cross holes and threads are in; after this only grinding and polishing; slender pieces warp, so quench end on`,
        id,
      ),
      cautions: [
        'Oven, torch and quench oil: gloves and face shield, no water near the oil, lid and extinguisher at hand; by the maker’s sheet of the steel.',
      ],
      hands: 10,
      waits: heat.minutes ?? 30,
    },
    temper: {
      says:
        heat.celsius === undefined && heat.asked === undefined && heat.rest !== ''
          ? say`tempered, ${heat.rest}, ${heatSaid(tempers)}`
          : say`tempered at ${heatSaid(tempers)}`,
      because: reason('hardening', say`at once after the quench: as hard as it is now it cracks by itself`, id),
      cautions: ['Hot parts look cold: tongs, and a place to put them down.'],
      hands: 5,
      waits: tempers.minutes,
    },
    plate: {
      says: given === '' ? say`plated` : say`plated, ${given}`,
      because: reason('finish', say`what plating adds on each side was left off the sizes that carry a tolerance`, id),
      cautions: ['Plating baths are for those who are equipped and licensed for them.'],
      hands: 10,
      waits: 60,
    },
    black: {
      says: given === '' ? say`blackened, then oiled` : say`blackened, ${given}, then oiled`,
      because: reason('finish', say`cold black takes on a clean, dry surface only`, id),
      cautions: ['Gloves, glasses, open air: the salts are poisonous.'],
      hands: 10,
      waits: 10,
    },
  };
  beside(draft, kind === 'harden' || kind === 'temper' ? kind : 'surface', id, made[kind]);
}

/** A temper lasts so long where nothing is said, minutes. @source hardening, common practice */
const AN_HOUR = 60;

/** Both scales: an oven has one of them, the sheet of the steel often the other. */
const bothDegrees = (celsius: number): string => `${String(Math.round(celsius))} °C (${String(Math.round(fahrenheit(celsius)))} °F)`;
const heatSaid = ({ celsius, minutes }: { readonly celsius: number; readonly minutes: number }): string =>
  `${bothDegrees(celsius)}, ${writeMinutes(minutes)}`;

/** A mate that each piece is fitted to, not to a number: measured, or by trial. A fit of the table makes pieces that interchange. */
export const fittedOne = (mate: Facts['job']['drawing']['mates'][number]): boolean =>
  mate.measured !== undefined || /^trial/i.test(mate.want.text.trim());

const joins = (want: string): boolean => /shrink|press|adhesive|retain|glue/i.test(want);

/** Mates that are put together for good: pressed, shrunk or glued. */
function join(draft: Draft, { id, piece, want }: Facts['job']['drawing']['mates'][number]): void {
  const asked = want.text.toLowerCase();
  const into = piece.trim() === '' ? 'its mate' : piece.trim();
  if (asked.includes('shrink'))
    beside(draft, 'join', id, {
      says: say`shrunk together with ${into}`,
      because: reason(
        'shrink',
        say`heat until the gap passes the interference and a hand’s margin; rehearse it: it falls together or sticks half way`,
        id,
      ),
      cautions: ['Hot parts: gloves, a stand to set them on, nothing that burns near by.'],
      hands: 10,
      waits: 20,
    });
  else if (asked.includes('press'))
    beside(draft, 'join', id, {
      says: say`pressed together with ${into}`,
      because: reason('press', say`a lead-in chamfer, both measured at one temperature, oiled; a way to press it out again`, id),
      cautions: ['Press behind a guard: brittle rings fly.'],
      hands: 5,
      waits: 0,
    });
  else if (/adhesive|retain|glue/.test(asked))
    beside(draft, 'join', id, {
      says: say`fixed in ${into} with retaining compound`,
      because: reason('adhesive', say`both clean and dry, turned as it goes in; not handled until it has cured; heat lets it go`, id),
      cautions: ['Gloves: retaining compounds sensitise the skin.'],
      hands: 4,
      waits: 40,
    });
}

function beside(draft: Draft, verb: Verb, about: string, { says, because, cautions, hands, waits }: Beside): void {
  addStep(draft, {
    verb,
    about,
    says,
    because: [because],
    cautions,
    figures: { minutes: byHand(hands + waits), ...(waits > 0 && { waits: figure('time', 'minutesByHand', { handling: waits }) }) },
  });
}

/** Thicker than this on a side is no plating but a slip of units, mm. */
const THICKEST = 0.2;
/** Left on diameter for emery where that is the shop's way, mm. @source emery-allowance, common practice: 0.01 to 0.025 */
const EMERY = 0.015;
/** Sizes of a wider tolerance are not brought to size by emery, mm. @source judgement */
const EMERIED = 0.05;

/** A row whose size is finished with emery in this shop. */
export const emeried = (facts: Facts, row: Feature): boolean =>
  way(facts, 'emery') === 'leave' &&
  !ground(facts, row) &&
  row.side === 'outside' &&
  row.form === 'cylinder' &&
  row.nearDiameter.from !== 'general' &&
  row.nearDiameter.max - row.nearDiameter.min <= EMERIED;

/** Left on diameter for grinding after the quench, mm: a short piece, and a slender one, which warps. @source harden-last, common practice: 0.2 to 0.5 */
const GROUND = { short: 0.25, slender: 0.4, from: 10 } as const;

/** A row that is hardened and finer than quenching leaves it: ground afterwards. */
const ground = (facts: Facts, row: Feature): boolean =>
  facts.job.drawing.treatment.some((t) => t.kind === 'harden') &&
  row.form === 'cylinder' &&
  row.nearDiameter.from !== 'general' &&
  row.nearDiameter.max - row.nearDiameter.min <= EMERIED;

/** What is left on a row for grinding, on diameter; less than the size in a bore. */
const forGrinding = ({ part }: Facts, row: Feature): number =>
  (row.side === 'outside' ? 1 : -1) * (part.length > GROUND.from * row.nearDiameter.nominal ? GROUND.slender : GROUND.short);

/** Ground to size once it is hard; measured again. */
function grind(draft: Draft, row: Feature): void {
  const { facts } = draft;
  const outside = row.side === 'outside';
  const limits = shiftedBy(row.nearDiameter, platedBy(facts, row));
  const gauge = (outside ? gaugeFor : boreGaugeFor)(facts.shop, limits.nominal, limits.max - limits.min);
  addStep(draft, {
    verb: 'grind',
    about: row.id,
    does: [`${row.id}.diameter`],
    says: say`${outside ? 'outside' : 'bore'} to ${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`,
    gauge: gauge?.id,
    limits,
    because: [
      reason('harden-last', say`it moved in the quench: ${length(Math.abs(forGrinding(facts, row)), 0.01)} was left on diameter to true it`, row.id),
    ],
    ...(outside && { sweeps: turned(row.near, row.far, (limits.max + limits.min) / 4) }),
    cautions: ['Wheel sound and guarded, stand beside it; dust drawn off.'],
    figures: { to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }), minutes: byHand(15) },
  });
}

/** Metal that plating adds to a size, on diameter: off an outside, into a bore. */
function platedBy(facts: Facts, row: Feature): number {
  const plate = facts.job.drawing.treatment.find((t) => t.kind === 'plate');
  const read = plate && parseLength(plate.value.text, plate.value.units);
  const side = read?.ok && read.value <= THICKEST ? read.value : 0;
  return (row.side === 'outside' ? -2 : 2) * side;
}

const shiftedBy = (limits: Limits, by: number): Limits =>
  by === 0 ? limits : { ...limits, nominal: tidy(limits.nominal + by), max: tidy(limits.max + by), min: tidy(limits.min + by) };

/** The limits that turning works to: those of the drawing less what plating adds, and with what emery takes off; and why. */
export function workLimits(facts: Facts, row: Feature): { readonly limits: Limits; readonly because: readonly Reason[] } {
  const limits = row.nearDiameter;
  if (limits.from === 'general') return { limits, because: [] };
  const plated = platedBy(facts, row);
  const side = Math.abs(plated) / 2;
  const emery = emeried(facts, row) ? EMERY : 0;
  const wheel = ground(facts, row) ? forGrinding(facts, row) : 0;
  return {
    limits: shiftedBy(limits, tidy(plated + emery + wheel)),
    because: [
      ...(side > 0 ? [reason('finish', say`${length(2 * side, 0.001)} on diameter is left for plating, ${length(side, 0.001)} a side`, row.id)] : []),
      ...(wheel !== 0 ? [reason('harden-last', say`${length(Math.abs(wheel), 0.01)} on diameter is left for grinding once it is hard`, row.id)] : []),
      ...(emery > 0 ? [reason('emery-allowance', say`${length(emery, 0.001)} is left on for emery, as this shop does`, row.id)] : []),
    ],
  };
}

/** Emery to size after turning. */
export function emery(draft: Draft, row: Feature, gauge: string | undefined): void {
  addStep(draft, {
    verb: 'polish',
    about: row.id,
    does: [`${row.id}.diameter`],
    says: say`320 then 800, to ${diameter(row.nearDiameter.min, 0.001)} to ${diameter(row.nearDiameter.max, 0.001)}`,
    gauge,
    because: [
      reason('emery-allowance', say`the last hundredth by emery; grit kept off the ways, the piece wiped and cool before it is measured`, row.id),
    ],
    figures: { minutes: byHand(2) },
  });
}
