import type { Choice } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { chuckingsOf } from '@obra/core/settings';
import type { JobView } from './view';

const choiceOf = (view: JobView, of: string) => view.job.choices.findLast((c) => c.kind === 'method' && c.of === of);

/** Which end is worked first and what carries the piece: left to the planner, or chosen. */
export function Carrying({ view }: { readonly view: JobView }) {
  const { job, plan, open, started } = view;
  const route = plan?.routes[0];
  if (!route || job.issue || started) return null;
  const [first, carried, pull, parted] = (['first', 'carrying', 'pull', 'parted'] as const).map((of) => choiceOf(view, of));
  const [held] = chuckingsOf(route.setups);
  const pulled = (held?.settings.length ?? 1) > 1;
  const stays = held?.settings.length === route.setups.length;
  const holds = job.choices.filter((c) => c.kind === 'hold');
  const set = (of: 'first' | 'carrying' | 'pull' | 'parted', method: string) => {
    const own = { first, carrying: carried, pull, parted }[of];
    // holdings were chosen for the setups of another way: they go with it
    const gone = of === 'first' || of === 'carrying' ? holds.map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` })) : [];
    const value: Choice = { kind: 'method', id: own?.id ?? `method-${of}`, of, method };
    const now: Edit[] =
      method === '' ? (own ? [{ op: 'remove', at: `choices/#${own.id}` }] : []) : [{ op: 'put', at: `choices/#${value.id}`, value }];
    open.edit([...gone, ...now]);
  };
  const value = (c: Choice | undefined) => (c?.kind === 'method' ? c.method : '');
  return (
    <>
      <label className="d-flex gap-2 align-items-baseline">
        <span className="quiet">begin at</span>
        <select className="assumed" aria-label="Begin at" value={value(first)} onChange={(e) => set('first', e.target.value)}>
          <option value="">the cheaper end (now {route.first === 'left' ? 'B' : 'A'})</option>
          <option value="right">end A</option>
          <option value="left">end B</option>
        </select>
      </label>
      <label className="d-flex gap-2 align-items-baseline">
        <span className="quiet">carried</span>
        <select className="assumed" aria-label="Carried" value={value(carried)} onChange={(e) => set('carrying', e.target.value)}>
          <option value="">as is cheapest (now {words[route.layout]})</option>
          {Object.entries(words).map(([name, says]) => (
            <option key={name} value={name}>
              {says}
            </option>
          ))}
        </select>
      </label>
      {route.layout === 'chuck' && (
        <>
          <label className="d-flex gap-2 align-items-baseline">
            <span className="quiet">bar</span>
            <select className="assumed" aria-label="Pulled out" value={value(pull)} onChange={(e) => set('pull', e.target.value)}>
              <option value="">as is cheapest (now {pulled ? pulls.short : pulls.once})</option>
              {Object.entries(pulls).map(([name, says]) => (
                <option key={name} value={name}>
                  {says}
                </option>
              ))}
            </select>
          </label>
          {(stays || parted) && (
            <label className="d-flex gap-2 align-items-baseline">
              <span className="quiet">parted face</span>
              <select className="assumed" aria-label="Parted face" value={value(parted)} onChange={(e) => set('parted', e.target.value)}>
                <option value="">as is cheapest (now {stays ? faces.stays : faces.turned})</option>
                {Object.entries(faces).map(([name, says]) => (
                  <option key={name} value={name}>
                    {says}
                  </option>
                ))}
              </select>
            </label>
          )}
        </>
      )}
    </>
  );
}

const pulls = { short: 'short first, then pulled out', once: 'stands out all the while' } as const;
const faces = { stays: 'left as the blade leaves it', turned: 'faced, turned round' } as const;
const words = { chuck: 'in chucks', centres: 'between centres', plate: 'on the faceplate' } as const;
