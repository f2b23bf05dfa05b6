import type { Finding } from '../finding';
import type { Facts } from '../operations';
import { say } from '../quantity';
import type { End } from '../ref';
import { betweenCentres } from './betweenCentres';
import { beginning, chucked, facedAsked, facedOff } from './inChucks';
import type { Layout } from './layout';
import { boltedOnPlate, onPlate } from './onPlate';
import { variantsOf } from './variants';

export interface Layouts {
  readonly layouts: readonly Layout[];
  /** a way of carrying that was asked for and cannot be had */
  readonly findings: readonly Finding[];
}

/** The layouts that this part, shop and job allow, the usual one first; a person's choice leaves only that. */
export function layoutsOf(facts: Facts): Layouts {
  const { chosen, started } = facts;
  // a holding is chosen for a setup of a route: without a word on the rest, of the usual one
  const usual = chosen.hold.size > 0;
  const askedFirst = chosen.method.get('first')?.method;
  const ends: readonly End[] =
    askedFirst === 'left' && !started ? ['left'] : askedFirst === 'right' || started || usual ? ['right'] : ['right', 'left'];
  const asked = chosen.method.get('carrying')?.method ?? (usual ? 'chuck' : undefined);
  const { variants, findings } = variantsOf(facts);
  const begun = variants.flatMap((own) => ends.map((first) => beginning(own, first)));
  // the usual ones first: what they cost soon rules the others out
  const all = [
    ...begun.flatMap((begins) => [
      ...(facedAsked(facts) === true ? [] : [...chucked(begins, 'soon'), ...chucked(begins, 'soon', 'pulled'), ...chucked(begins, 'soon', 'parted')]),
      ...facedOff(begins),
      ...(started
        ? []
        : [betweenCentres(begins.facts, begins.first), onPlate(begins.facts, begins.first), boltedOnPlate(begins.facts, begins.first)].filter(
            (made) => 'stages' in made,
          )),
    ]),
    ...(facedAsked(facts) === true ? [] : begun.flatMap((begins) => [...chucked(begins, 'later'), ...chucked(begins, 'later', 'pulled')])),
  ];
  const like = all.filter((l) => l.name === asked);
  if (asked === undefined || like.length > 0) return { layouts: like.length > 0 ? like : all, findings };
  return { layouts: all, findings: [...findings, cannotBeHad(facts, ends[0] ?? 'right', asked)] };
}

function cannotBeHad(facts: Facts, first: End, asked: string): Finding {
  const made = asked === 'centres' ? betweenCentres(facts, first) : onPlate(facts, first);
  const words = asked === 'centres' ? 'between centres' : asked === 'plate' ? 'on the faceplate' : asked;
  const choice = facts.chosen.method.get('carrying');
  return {
    code: 'carrying-not-possible',
    about: 'holding',
    severity: 'caution',
    says: say`it cannot be carried ${words}`,
    why: facts.started ? say`a piece already started is held as it is` : 'stages' in made ? say`another choice stands in the way` : made.why,
    mends: choice ? [{ says: say`let the planner choose`, to: 'job', edits: [{ op: 'remove', at: `choices/#${choice.id}` }] }] : [],
  };
}
