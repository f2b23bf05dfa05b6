import type { Choice } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { chuckingsOf } from '@obra/core/settings';
import type { JobView } from './view';
import { betweenCentres, endA, endB } from '../../words/places';

const choiceOf = (view: JobView, of: string) => view.job.choices.findLast((c) => c.kind === 'method' && c.of === of);

/** Which end is worked first and what carries the piece: left to the planner, or chosen. */
export function Carrying({ view }: { readonly view: JobView }) {
  const { job, plan, open, part, started } = view;
  const route = plan?.routes[0];
  if (!route || job.issue || started) return null;
  const [first, carried, pull, parted, turn] = (['first', 'carrying', 'pull', 'parted', 'turn'] as const).map((of) => choiceOf(view, of));
  const [held] = chuckingsOf(route.setups);
  const pulled = (held?.settings.length ?? 1) > 1;
  const stays = held?.settings.length === route.setups.length;
  const holds = job.choices.filter((c) => c.kind === 'hold');
  const set = (of: 'first' | 'carrying' | 'pull' | 'parted' | 'turn', method: string) => {
    const own = { first, carrying: carried, pull, parted, turn }[of];
    // holdings were chosen for the setups of another way: they go with it
    const gone = of === 'first' || of === 'carrying' || of === 'turn' ? holds.map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` })) : [];
    const value: Choice = { kind: 'method', id: own?.id ?? `method-${of}`, of, method };
    const now: Edit[] =
      method === '' ? (own ? [{ op: 'remove', at: `choices/#${own.id}` }] : []) : [{ op: 'put', at: `choices/#${value.id}`, value }];
    open.edit([...gone, ...now]);
  };
  const value = (c: Choice | undefined) => (c?.kind === 'method' ? c.method : '');
  return (
    <>
      <Pick
        words="begin at"
        label="Begin at"
        value={value(first)}
        free={`the cheaper end (now ${route.first === 'left' ? 'B' : 'A'})`}
        from={ends}
        onPick={(m) => set('first', m)}
      />
      <Pick
        words="carried"
        label="Carried"
        value={value(carried)}
        free={cheapest(words[route.layout])}
        from={words}
        onPick={(m) => set('carrying', m)}
      />
      {route.layout === 'chuck' && (
        <Pick
          words="bar"
          label="Pulled out"
          value={value(pull)}
          free={cheapest(pulled ? pulls.short : pulls.once)}
          from={pulls}
          onPick={(m) => set('pull', m)}
        />
      )}
      {route.layout === 'chuck' && (stays || parted) && (
        <Pick
          words="parted face"
          label="Parted face"
          value={value(parted)}
          free={cheapest(stays ? faces.stays : faces.turned)}
          from={faces}
          onPick={(m) => set('parted', m)}
        />
      )}
      {part.features.some((f) => f.form === 'thread') && (
        <Pick words="threads" label="Threads" value={value(turn)} free="where they are cheapest" from={turns} onPick={(m) => set('turn', m)} />
      )}
    </>
  );
}

interface PickProps {
  readonly words: string;
  readonly label: string;
  /** empty: left to the planner */
  readonly value: string;
  /** what the planner takes, in words */
  readonly free: string;
  readonly from: Readonly<Record<string, string>>;
  readonly onPick: (method: string) => void;
}

/** One move of the chain, left to the planner or chosen. */
function Pick({ words: says, label, value, free, from, onPick }: PickProps) {
  return (
    <label className="d-flex gap-2 align-items-baseline">
      <span className="quiet">{says}</span>
      <select className="assumed" aria-label={label} value={value} onChange={(e) => onPick(e.target.value)}>
        <option value="">{free}</option>
        {Object.entries(from).map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

const cheapest = (now: string) => `as is cheapest (now ${now})`;
const ends = { right: endA, left: endB } as const;
const pulls = { short: 'short first, then pulled out', once: 'stands out all the while' } as const;
const faces = { stays: 'left as the blade leaves it', turned: 'faced, turned round' } as const;
const turns = { 'before-threads': 'never before it is turned round' } as const;
const words = { chuck: 'in chucks', centres: betweenCentres, plate: 'on the faceplate' } as const;
