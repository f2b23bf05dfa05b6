import { canHold, heldBy, type Shown, type ToolRecord } from '@obra/core/bench';
import type { Shop } from '@obra/core/document';
import { parseSize } from '@obra/core/drawing';
import { type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import { FigureNumber } from '../../slate';

interface Props {
  readonly shop: Shop;
  readonly units: Units;
  readonly sizes: readonly Shown[];
}

/** The whole tolerance behind what was typed: a size with its class or limits, or the limits alone; else what is wrong with it. */
function toleranceOf(text: string, units: Units): { readonly tolerance: number } | { readonly says: string } {
  const typed = text.trim();
  const whole = /^(?:±|\+\/?-|\+|-)/.test(typed) ? `20 ${typed}` : typed;
  const size = parseSize(whole, units, 'outside');
  if (size.kind === 'unknown') return { says: writeSentence(size.says, units) };
  if (size.kind !== 'diameter' || size.limits.from === 'general') return { says: 'with its class or its limits: 25 h6, or ±0.01' };
  return { tolerance: size.limits.max - size.limits.min };
}

const percent = (share: number): string => `${String(Math.round(100 * share))} %`;

/** What can I hold? Answered from the sizes that this shop brought in; below, where they landed by lathe and holding. */
export function Holds({ shop, units, sizes }: Props) {
  const [text, setText] = useState('');
  const [machine, setMachine] = useState('');
  const [holding, setHolding] = useState('');
  const asked = useMemo(() => (text.trim() === '' ? undefined : toleranceOf(text, units)), [text, units]);
  const answer = useMemo(
    () =>
      asked && 'tolerance' in asked
        ? canHold(sizes, { tolerance: asked.tolerance, machine: machine || undefined, holding: holding || undefined })
        : undefined,
    [asked, sizes, machine, holding],
  );
  const held = useMemo(() => heldBy(sizes), [sizes]);
  if (sizes.length === 0) return null;
  const name = (list: readonly { readonly id: string; readonly name: string }[], id: string) => list.find((x) => x.id === id)?.name ?? id;
  const length = (mm: number) => writeWithUnit({ is: 'length', value: mm, step: 0.001 }, units);
  const used = (key: 'machine' | 'holding') => [...new Set(sizes.map((s) => s[key]))].filter((id) => id !== '');
  return (
    <section className="mt-4" aria-label="What can I hold">
      <h2>What can I hold?</h2>
      <Form className="d-flex gap-2 flex-wrap align-items-center" onSubmit={(e) => e.preventDefault()}>
        <Form.Control
          className="fig wide-120"
          aria-label="size or limits that are wanted"
          placeholder={units === 'mm' ? '25 h6' : '1 +/-.0005'}
          value={text}
          maxLength={60}
          isInvalid={asked !== undefined && 'says' in asked}
          onChange={(e) => setText(e.target.value)}
        />
        <Form.Select className="wide-190" aria-label="on which lathe" value={machine} onChange={(e) => setMachine(e.target.value)}>
          <option value="">on any lathe</option>
          {used('machine').map((id) => (
            <option key={id} value={id}>
              {name(shop.machines, id)}
            </option>
          ))}
        </Form.Select>
        <Form.Select className="wide-190" aria-label="in which holding" value={holding} onChange={(e) => setHolding(e.target.value)}>
          <option value="">however held</option>
          {used('holding').map((id) => (
            <option key={id} value={id}>
              {name(shop.holdings, id)}
            </option>
          ))}
        </Form.Select>
      </Form>
      <p role="status" className="mt-2 mb-2" data-testid="can-hold">
        {asked === undefined ? (
          <span className="quiet">
            Answered from the {sizes.length} sizes that were brought in here, those alone that were asked for about as closely.
          </span>
        ) : 'says' in asked ? (
          <span className="out">{asked.says}</span>
        ) : answer?.count === 0 ? (
          `Nothing was held to ${length(asked.tolerance)} or near it so: the record does not tell.`
        ) : answer ? (
          <>
            {answer.within} of {answer.count} came within {length(asked.tolerance)}: {percent(answer.low)} to {percent(answer.high)} will, as far as
            so few tell.{' '}
            {answer.least ? (
              <>
                The next one keeps within <FigureNumber figure={answer.least} units={units} withUnit /> in 19 of 20
                {answer.least.value <= asked.tolerance
                  ? ': yes.'
                  : ', which is more than is asked: finer settings, emery at the end, or another way.'}
              </>
            ) : (
              'From five sizes on it is told what the next one will keep within.'
            )}
          </>
        ) : null}
      </p>
      <table className="plain" aria-label="Sizes held">
        <thead>
          <tr>
            <th>lathe</th>
            <th>holding</th>
            <th>sizes</th>
            <th>landed</th>
            <th>off the middle, {units}</th>
            <th>spread, {units}</th>
          </tr>
        </thead>
        <tbody>
          {held.map((h) => (
            <tr key={`${h.machine} ${h.holding}`}>
              <td>{name(shop.machines, h.machine)}</td>
              <td>{name(shop.holdings, h.holding)}</td>
              <td className="fig">{h.count}</td>
              <td className={h.landed === h.count ? 'in' : 'out'}>{h.landed === h.count ? '✓ all' : `${String(h.landed)} of ${String(h.count)}`}</td>
              <td>{h.mean && <FigureNumber figure={h.mean} units={units} />}</td>
              <td>{h.spread && <FigureNumber figure={h.spread} units={units} />}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Chips, spring and edges of each tool in each material, by what was made. */
export function ToolRecords({ shop, units, tools }: { readonly shop: Shop; readonly units: Units; readonly tools: readonly ToolRecord[] }) {
  if (tools.length === 0) return null;
  const feeds = (range: readonly [number, number] | undefined) => {
    if (!range) return '';
    const [a, b] = range.map((f) => write({ is: 'feed', value: f }, units).text);
    return a === b ? a : `${String(a)} to ${String(b)}`;
  };
  return (
    <section className="mt-4" aria-label="Tools by their record">
      <h2>Tools by their record</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>tool</th>
            <th>in</th>
            <th>cuts</th>
            <th>feeds without strings</th>
            <th>with strings</th>
            <th>gives way, of the cut</th>
            <th>edges used</th>
            <th>minutes in cut</th>
          </tr>
        </thead>
        <tbody>
          {tools.map((t) => (
            <tr key={`${t.tool} ${t.material}`}>
              <td>{shop.tools.find((x) => x.id === t.tool)?.name ?? t.tool}</td>
              <td>{t.material}</td>
              <td className="fig">{t.cuts}</td>
              <td className="fig">{feeds(t.broke)}</td>
              <td className="fig">{feeds(t.strings)}</td>
              <td>{t.spring && <FigureNumber figure={t.spring} units={units} />}</td>
              <td className="fig">{t.edges}</td>
              <td className="fig">{write({ is: 'time', value: t.minutes, step: 0.1 }, units).text}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
