import { type Choice, choiceId } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import type { Step } from '@obra/core/operations';
import { choicesAbout, pinOf } from '@obra/core/planner';
import { writeSentence } from '@obra/core/quantity';
import { type End, endOf, rowOf, writeSetting, writeStep } from '@obra/core/ref';
import { reachedByBoth } from '@obra/core/settings';
import { ways } from '@obra/core/shop';
import { Button, Form } from 'react-bootstrap';
import type { JobView } from './view';

/** What else may do this step: another tool of its kind, another method; held as it is, or let go. */
export function StepChoices({ view, step }: { readonly view: JobView; readonly step: Step }) {
  const { job, shop, open } = view;
  if (job.issue) return null;
  const tool = shop.tools.find((t) => t.id === step.tool);
  // a threading bar cuts no outside thread
  const like = tool
    ? shop.tools.filter((t) => t.kind === tool.kind && (t.kind !== 'thread' || (t.shank === undefined) === (tool.shank === undefined)))
    : [];
  const about = choicesAbout(step, job);
  const put = (value: Choice): Edit => ({ op: 'put', at: `choices/#${value.id}`, value });
  const inside = view.part.features.some((f) => f.id === rowOf(step.id) && f.side !== 'outside');
  const methods =
    step.verb === 'tap' || (step.verb === 'thread' && inside)
      ? insideThreads
      : step.verb === 'thread' || step.verb === 'die'
        ? threads
        : step.verb === 'part-off' || step.verb === 'saw-off'
          ? severs
          : step.verb === 'taper'
            ? tapers
            : step.verb === 'away' && step.method !== undefined
              ? away.filter((m) => awayOf(step, view.part).includes(m.method))
              : [];
  const row = step.does[0] ?? '';
  // why this way and not the other: the reasons of both sides
  const asked =
    (step.verb === 'thread' && !inside) || step.verb === 'die'
      ? 'thread'
      : step.verb === 'part-off' || step.verb === 'saw-off'
        ? 'severing'
        : step.verb === 'taper'
          ? 'taper'
          : undefined;
  const said = ways
    .find((w) => w.key === asked)
    ?.choices.map((c) => `${c.words}: ${writeSentence(c.because, view.units)}`)
    .join('. ');
  const takeTool = (item: string) => {
    const gone = about.filter((c) => c.kind === 'use' && shop.tools.some((t) => t.id === c.item));
    open.edit([
      ...gone.map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` })),
      put({ kind: 'use', id: choiceId('tool', step.id), step: step.id, item }),
    ]);
  };
  const takeMethod = (method: string) => {
    const own = job.choices.find((c) => c.kind === 'method' && c.of === row);
    open.edit([put({ kind: 'method', id: own?.id ?? choiceId('method', row), of: row, method })]);
  };
  // the widest rows can be turned from either end
  const setup = view.plan?.routes[0]?.setups.find((s) => s.steps.some((x) => x.id === step.id));
  const rowId = rowOf(step.id);
  const ends = step.verb === 'finish-turn' && reachedByBoth(view.part.features).includes(rowId) ? (setup?.end ?? undefined) : undefined;
  const takeEnd = (end: End) => {
    const own = job.choices.find((c) => c.kind === 'in' && rowOf(c.step) === rowId);
    open.edit([
      put({ kind: 'in', id: own?.id ?? choiceId('in', rowId), step: writeStep({ verb: 'finish-turn', of: rowId }), setup: writeSetting(end, 1) }),
    ]);
  };
  return (
    <div className="d-flex gap-2 align-items-center flex-wrap">
      {tool && like.length > 1 && (
        <Form.Select className="wide-190" size="sm" aria-label="Tool for this step" value={tool.id} onChange={(e) => takeTool(e.target.value)}>
          {like.map((t) => (
            <option key={t.id} value={t.id}>
              {t.name}
            </option>
          ))}
        </Form.Select>
      )}
      {tool && like.length === 1 && <span className="quiet">{tool.name}</span>}
      {methods.length > 0 && (
        <Form.Select
          className="wide-140"
          size="sm"
          aria-label="Method of this step"
          value={step.method ?? methods.find((m) => m.verb === step.verb)?.method}
          onChange={(e) => takeMethod(e.target.value)}>
          {methods.map((m) => (
            <option key={m.method} value={m.method}>
              {m.words}
            </option>
          ))}
        </Form.Select>
      )}
      {ends && (
        <Form.Select className="wide-170" size="sm" aria-label="Turned from" value={ends} onChange={(e) => takeEnd(endOf(e.target.value))}>
          <option value="right">turned from end A</option>
          <option value="left">turned from end B</option>
        </Form.Select>
      )}
      {said && <div className="quiet w-100 size-14">{said}</div>}
      {(step.tool !== undefined || step.figures['speed']) &&
        (about.length > 0 ? (
          <Button size="sm" variant="link" onClick={() => open.edit(about.map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` })))}>
            let it go: pinned
          </Button>
        ) : (
          <Button size="sm" variant="link" onClick={() => open.edit(pinOf(step, job).map(put))}>
            pin as it is
          </Button>
        ))}
    </div>
  );
}

const threads = [
  { verb: 'thread', method: 'single-point', words: 'single point' },
  { verb: 'die', method: 'die', words: 'die' },
  { verb: 'begun', method: 'begun', words: 'begun, then die' },
] as const;
const insideThreads = [
  { verb: 'thread', method: 'single-point', words: 'single point' },
  { verb: 'tap', method: 'tap', words: 'tap' },
] as const;
const severs = [
  { verb: 'part-off', method: 'part', words: 'part off' },
  { verb: 'saw-off', method: 'saw', words: 'saw, then face' },
] as const;
const tapers = [
  { verb: 'taper', method: 'compound', words: 'compound' },
  { verb: 'taper', method: 'set-over', words: 'tailstock set over' },
  { verb: 'taper', method: 'form', words: 'form tool' },
] as const;
/** When a thing that is milled or drilled may go: holes it is bolted by, a slit, the rest. */
function awayOf({ method, does }: Step, part: JobView['part']): readonly string[] {
  if (method === 'before') return ['before', 'after'];
  return part.details.some((d) => d.kind === 'slot' && d.id === does[0]) ? ['after', 'spread', 'closed'] : ['on-bar', 'after'];
}

const away = [
  { verb: 'away', method: 'before', words: 'before it is bolted by them' },
  { verb: 'away', method: 'on-bar', words: 'to the mill now, on its bar' },
  { verb: 'away', method: 'after', words: 'when it is turned' },
  { verb: 'away', method: 'spread', words: 'slit, spread, then turned to size' },
  { verb: 'away', method: 'closed', words: 'split, closed on a pin, then turned to size' },
] as const;
