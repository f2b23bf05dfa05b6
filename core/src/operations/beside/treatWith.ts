import { practice } from '../../shop';
import { beside, type Beside } from './beside';
import { placeSaid, treatedAt } from '../../drawing';
import { fahrenheit, parseHeat, say, temperature, writeMinutes } from '../../quantity';
import { COLOUR_WITHIN, temperColour } from '../../standards';
import { type Facts, reason } from '../facts';
import { type Draft } from '../outcome';

export type Treatment = Facts['job']['drawing']['treatment'][number];

export function treatWith(draft: Draft, { id, kind, value }: Treatment): void {
  const at = treatedAt(value);
  const given = at.rest;
  const heat = parseHeat(given, value.units);
  const colour = heat.celsius === undefined && heat.asked === undefined ? temperColour(given) : undefined;
  const where = placeSaid(at);
  const only = where !== undefined;
  // of the two that a bare number may mean the cooler one spoils nothing
  const asked = heat.asked === undefined ? undefined : ((heat.asked - 32) * 5) / 9;
  const tempers = { celsius: heat.celsius ?? asked ?? colour?.celsius ?? practice.tempersAt, minutes: heat.minutes ?? practice.tempersFor };
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
            value: { ...value, text: value.text.replace(String(heat.asked), `${String(heat.asked)} ${unit}`) },
          },
        ],
      })),
    });
  const made: Readonly<Record<Treatment['kind'], Beside>> = {
    harden: {
      says:
        given === ''
          ? say`hardened: about ${temperature(practice.hardensAt, 10)}, soaked, quenched`
          : heat.celsius === undefined
            ? say`hardened, ${given}`
            : say`hardened at ${bothDegrees(heat.celsius)}${heat.minutes === undefined ? '' : `, ${writeMinutes(heat.minutes)}`}${heat.rest === '' ? '' : `, ${heat.rest}`}`,
      because: [
        ...(only
          ? [
              reason(
                'hardening',
                say`that end alone in the flame, evenly and a little past the line; quenched end on and moved up and down, or it cracks where hard meets soft`,
                id,
              ),
            ]
          : []),
        reason('harden-last', say`cross holes and threads are in; after this only grinding and polishing; slender pieces warp, so quench end on`, id),
      ],
      cautions: [
        'Oven, torch and quench oil: gloves and face shield, no water near the oil, lid and extinguisher at hand; by the maker’s sheet of the steel.',
      ],
      hands: practice.handsHeat,
      waits: heat.minutes ?? practice.soaks,
    },
    temper: {
      says: colour
        ? say`tempered to ${colour.name}: about ${bothDegrees(colour.celsius)}, within ${COLOUR_WITHIN} °C`
        : heat.celsius === undefined && heat.asked === undefined && heat.rest !== ''
          ? say`tempered, ${heat.rest}, ${heatSaid(tempers)}`
          : say`tempered at ${heatSaid(tempers)}`,
      because: [
        ...(colour
          ? [
              reason(
                'hardening',
                say`the colour tells on a surface polished bright, seen in daylight: heated slowly from behind, and into water when it has come to where it is wanted; an alloy steel shows it cooler`,
                id,
              ),
            ]
          : []),
        reason(
          'hardening',
          say`at once after the quench, when it is cleaned bright: under scale no colour is seen; as hard as it is now it cracks by itself`,
          id,
        ),
      ],
      cautions: ['Hot parts look cold: tongs, and a place to put them down.'],
      hands: practice.handsTemper,
      waits: colour ? 0 : tempers.minutes,
    },
    plate: {
      says: given === '' ? say`plated` : say`plated, ${given}`,
      because: [reason('finish', say`what plating adds on each side was left off the sizes that carry a tolerance`, id)],
      cautions: ['Plating baths are for those who are equipped and licensed for them.'],
      hands: practice.handsCoat,
      waits: practice.platesFor,
    },
    black: {
      says: given === '' ? say`blackened, then oiled` : say`blackened, ${given}, then oiled`,
      because: [reason('finish', say`cold black takes on a clean, dry surface only`, id)],
      cautions: ['Gloves, glasses, open air: the salts are poisonous.'],
      hands: practice.handsCoat,
      waits: practice.blacksFor,
    },
  };
  const one = made[kind];
  beside(
    draft,
    kind === 'harden' || kind === 'temper' ? kind : 'surface',
    id,
    where === undefined ? one : { ...one, says: say`${one.says}, ${where}` },
  );
}

/** Both scales: an oven has one of them, the sheet of the steel often the other. */
const bothDegrees = (celsius: number): string => `${String(Math.round(celsius))} °C (${String(Math.round(fahrenheit(celsius)))} °F)`;
const heatSaid = ({ celsius, minutes }: { readonly celsius: number; readonly minutes: number }): string =>
  `${bothDegrees(celsius)}, ${writeMinutes(minutes)}`;
