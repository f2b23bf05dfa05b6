import { threadOf } from '../drawing';
import type { Finding } from '../finding';
import type { Facts } from '../operations';
import { say } from '../quantity';
import { type End, endOf } from '../ref';
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
  const { layouts, finding } = threadsLast(facts, like.length > 0 ? like : all);
  return {
    layouts,
    findings: [
      ...findings,
      ...(asked === undefined || like.length > 0 ? [] : [cannotBeHad(facts, ends[0] ?? 'right', asked)]),
      ...(finding ? [finding] : []),
    ],
  };
}

/** Where a person has it so, only ways that cut no thread before the piece is turned round for the last time: no jaw closes on one, none is in the way. */
function threadsLast({ chosen, part }: Facts, layouts: readonly Layout[]): { readonly layouts: readonly Layout[]; readonly finding?: Finding } {
  const choice = chosen.method.get('turn');
  if (choice?.method !== 'before-threads') return { layouts };
  const threads = part.features.filter((f) => threadOf(f) !== undefined);
  const last = layouts.filter(({ stages, reach }) => {
    const end = endOf(stages.at(-1)?.id ?? 'right-1');
    return threads.every((f) => (f.side === 'outside' ? reach[f.id] : f.side) === end);
  });
  if (last.length > 0) return { layouts: last };
  return {
    layouts,
    finding: {
      code: 'carrying-not-possible',
      about: 'holding',
      severity: 'caution',
      says: say`a thread is cut before it is turned round, whichever way it is carried`,
      why: say`threads at both ends, or on what only the other end reaches: the first of them is gripped under copper, or held beside`,
      mends: [{ says: say`cut them where it is cheapest`, to: 'job', edits: [{ op: 'remove', at: `choices/#${choice.id}` }] }],
    },
  };
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
