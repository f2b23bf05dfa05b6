import { type Feature, longOf, settingOf } from '../../drawing';
import type { Reason } from '../../finding';
import { angle, diameter, exceeds, length, ROUNDING, say, type Sentence } from '../../quantity';
import { holdingOf, mmOf, practice } from '../../shop';
import { compoundTravel, setOver } from '../../standards';
import { type Facts, reason, wayChosen } from '../facts';
import type { At } from '../outcome';

export type TaperMethod = 'compound' | 'set-over' | 'form';

export interface TaperWay {
  readonly method: TaperMethod;
  readonly says: Sentence;
  readonly because: readonly Reason[];
  readonly minutes: number;
  /** the method that was asked for and cannot be, and why */
  readonly refused?: Sentence;
}

/**
 * How a taper is turned: by the compound where it is short enough for it; between centres by setting the tailstock over; a short one with a form tool. What is asked
 * for is done where it can be. @source compound, setover-test, taper-from-gauge; common practice
 */
export function taperWay(facts: Facts, at: At, row: Feature): TaperWay {
  const half = settingOf(row);
  const long = longOf(row);
  const travel = compoundTravel(long, half);
  const compound = mmOf(facts.machine.dials.compound?.travel, practice.compoundTravel);
  const slope = Math.abs(row.nearDiameter.nominal - row.farDiameter.nominal) / Math.max(long, ROUNDING);
  const offset = setOver(facts.part.length, slope);
  const over = mmOf(facts.machine.setOver);
  const between = holdingOf(facts.shop, at.holding)?.kind === 'centres';
  const cannot: Readonly<Record<TaperMethod, Sentence | undefined>> = {
    compound: undefined,
    'set-over': !between
      ? say`the tailstock is set over only with the work between centres`
      : exceeds(offset, over)
        ? say`${length(offset)} of set-over is wanted, the tailstock gives ${length(over)}`
        : undefined,
    form:
      long > practice.plungedMost ? say`${length(long)} is too wide to plunge: over ${length(practice.plungedMost)} a form tool chatters` : undefined,
  };
  const asked = facts.chosen.method.get(row.id)?.method as TaperMethod | undefined;
  const setsOver = travel > compound || wayChosen(facts, 'taper') === 'set-over';
  const usual: TaperMethod = setsOver && cannot['set-over'] === undefined ? 'set-over' : 'compound';
  const wanted = asked === 'compound' || asked === 'set-over' || asked === 'form' ? asked : undefined;
  const method = wanted !== undefined && cannot[wanted] === undefined ? wanted : usual;
  const refused = wanted === undefined ? undefined : cannot[wanted];
  const ends = say`${diameter(row.nearDiameter.nominal)} to ${diameter(row.farDiameter.nominal)}`;
  const onCentre = reason('taper-on-centre', say`tool exactly at centre height, or angle and size are both wrong`, row.id);
  const base = { ...(refused && { refused }), method };
  if (method === 'set-over')
    return {
      ...base,
      says: [...ends, ...say`, tailstock set over ${length(offset)}`],
      because: [
        reason('setover-test', say`two collars first, both measured and the tailstock corrected, before the long finish; set back after`, row.id),
        onCentre,
      ],
      minutes: practice.minutesSetOver + long / practice.setOverPerMinute,
    };
  if (method === 'form')
    return {
      ...base,
      says: [...ends, ...say`, form tool at ${angle(half, 0.01)}`],
      because: [
        reason(
          'plunge-form',
          say`plunged slowly, the tool set by a gauge against the work; shifted a little from side to side if it chatters`,
          row.id,
        ),
        onCentre,
      ],
      minutes: practice.minutesPlunge,
    };
  return {
    ...base,
    says: [...ends, ...say`, compound at ${angle(half, 0.01)}`],
    because: [
      travel > compound
        ? reason(
            'compound',
            say`${length(travel)} along the taper is more than the compound’s ${length(compound)}: in two bites joined with care, or between centres by set-over`,
            row.id,
          )
        : reason('taper-from-gauge', say`set it from a known taper by indicator; prove it before size`, row.id),
      ...(row.taper !== undefined || row.nearDiameter.from !== 'general'
        ? [
            reason(
              'taper-from-gauge',
              say`proved by blue in its sleeve or a taper gauge before it is to size: how far it still stands off times the taper is what is left`,
              row.id,
            ),
          ]
        : []),
      onCentre,
      reason(
        'conventions',
        facts.machine.compoundZero === 'along'
          ? say`the compound’s scale of this lathe has its zero along the bed: set ${angle(half, 0.01)}`
          : say`the compound’s scale of this lathe has its zero across the bed: set ${angle(90 - half, 0.01)}`,
        row.id,
      ),
    ],
    minutes: (travel > compound ? practice.minutesTwoBites : practice.minutesCompound) + long / practice.compoundPerMinute,
  };
}
