import type { Choice } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import type { JobView } from './view';

const choiceOf = (view: JobView, of: string) => view.job.choices.findLast((c) => c.kind === 'method' && c.of === of);

/** Which end is worked first and what carries the piece: left to the planner, or chosen. */
export function Carrying({ view }: { readonly view: JobView }) {
  const { job, plan, open, started } = view;
  const route = plan?.routes[0];
  if (!route || job.issue || started) return null;
  const [first, carried] = [choiceOf(view, 'first'), choiceOf(view, 'carrying')];
  const holds = job.choices.filter((c) => c.kind === 'hold');
  const set = (of: 'first' | 'carrying', method: string) => {
    const own = of === 'first' ? first : carried;
    // holdings were chosen for the setups of another way: they go with it
    const gone = holds.map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` }));
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
    </>
  );
}

const words = { chuck: 'in chucks', centres: 'between centres', plate: 'on the faceplate' } as const;
