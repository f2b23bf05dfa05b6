import { settled } from '@obra/core/bench';
import type { Entry } from '@obra/core/document';
import { type Characteristic, detailWords } from '@obra/core/drawing';
import { inspect, readingOf, type Verdict } from '@obra/core/inspection';
import { figure, type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { thingOf } from '@obra/core/ref';
import { wayOf } from '@obra/core/shop';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { dayOf } from '../../shell/dates';
import { Big, FigureNumber } from '../../slate';
import type { JobView } from './view';

const verdictsOf = (view: JobView): readonly Verdict[] => inspect(view.part, view.job.issue?.kit ?? view.shop, view.log);

/** Those of sizes that are brought in, not of readings on the way. */
const settledOf = (view: JobView) => settled(verdictsOf(view), view.job, view.plan, view.log);

/** The mark of each size on the picture: the worst of its pieces. */
export function marksOf(view: JobView): Readonly<Record<string, Verdict['says']>> {
  const marks: Record<string, Verdict['says']> = {};
  for (const v of settledOf(view)) if (marks[v.of] === undefined || v.says !== 'in') marks[v.of] = v.says;
  return marks;
}

const words = { in: 'in', over: 'over', under: 'under', cannotTell: 'cannot tell' } as const;
const signs = { in: '✓', over: '✗ +', under: '✗ −', cannotTell: '?' } as const;

/** Each size of the drawing with its limits in both units, gauge, reading and verdict; prints on one page. */
export function Inspection({ view }: { readonly view: JobView }) {
  const { part, job, units } = view;
  const [piece, setPiece] = useState(1);
  const verdicts = verdictsOf(view);
  const brought = settledOf(view);
  const bad = brought.filter((v) => v.says === 'over' || v.says === 'under').length;
  const sizes = part.characteristics.filter((c) => c.limits).length * job.pieces;
  return (
    <div className="work">
      <aside className="slate noprint" aria-label="Slate">
        <h2>Measured</h2>
        <Big figure={figure('count', 'counted', { count: brought.length })} units={units}>
          of {sizes}
        </Big>
        <Big figure={figure('count', 'counted', { count: bad })} units={units} size="mid">
          <span className={bad > 0 ? 'out' : ''}>out of limits</span>
        </Big>
        <hr />
        <p className="quiet m-0 size-14">
          Readings from the Bench stand here already. A reading typed here goes into the same record; warm ones are corrected to 20 °C.
        </p>
        <Button variant="outline-light" onClick={() => window.print()}>
          print this sheet
        </Button>
      </aside>
      <main className="sheet">
        <div className="printonly">
          <h1>{job.name}, inspection</h1>
          <p>
            {job.customer} · {job.pieces} pieces · {dayOf(new Date().toISOString())}. Local codes, the machine’s manual and licensed or supervised
            practice come first.
          </p>
        </div>
        {job.pieces > 1 && (
          <div className="d-flex gap-2 mb-2 noprint">
            {Array.from({ length: job.pieces }, (_, i) => i + 1).map((p) => (
              <Button key={p} variant={p === piece ? 'primary' : 'outline-dark'} onClick={() => setPiece(p)}>
                piece {p}
              </Button>
            ))}
          </div>
        )}
        <h2 className="mb-2">Piece {piece}</h2>
        <table className="plain" aria-label="Inspection">
          <thead>
            <tr>
              <th>no.</th>
              <th>size</th>
              <th>limits, {units}</th>
              <th>limits, {units === 'mm' ? 'in' : 'mm'}</th>
              <th>reading, 20 °C</th>
              <th>verdict</th>
              <th className="noprint">enter</th>
            </tr>
          </thead>
          <tbody>
            {part.characteristics.map((c) => (
              <SizeLine
                key={`${c.id}/${piece}`}
                view={view}
                size={c}
                piece={piece}
                verdict={verdicts.find((v) => v.of === c.id && v.piece === piece)}
                underWay={!brought.some((v) => v.of === c.id && v.piece === piece)}
              />
            ))}
          </tbody>
        </table>
        {part.characteristics.length === 0 && <p>No sizes yet: the drawing comes first.</p>}
        <p className="quiet mt-2">
          {wayOf('verdict', (job.issue?.kit ?? view.shop).ways, new Map()) === 'proved'
            ? 'In or out only beyond the gauge’s doubt of 95 % (ISO 14253-1, from memory); between, it cannot tell.'
            : 'Verdict by plain limits; “cannot tell” where the gauge’s doubt is more than half of the tolerance.'}{' '}
          Limits of standards from memory.
        </p>
      </main>
    </div>
  );
}

function SizeLine({
  view,
  size,
  piece,
  verdict,
  underWay,
}: {
  readonly view: JobView;
  readonly size: Characteristic;
  readonly piece: number;
  readonly verdict: Verdict | undefined;
  /** what was read of it is on the way to size */
  readonly underWay: boolean;
}) {
  const { units, part } = view;
  const where = whereOf(view, size.of);
  const fine =
    size.is === 'angle' || size.is === 'finish'
      ? 0.01
      : size.pitchDiameter || (size.limits && size.limits.max - size.limits.min < 0.2)
        ? 0.001
        : 0.01;
  const between = size.limits ?? size.pitchDiameter;
  const is = quantityOf(size);
  const both = (u: Units) => {
    if (!between || (is === 'angle' && u !== units)) return '';
    const one = (value: number) => (is === 'length' ? write({ is, value, step: fine }, u).text : writeWithUnit({ is, value, step: fine }, u));
    return size.is === 'finish' || size.is === 'runout' ? `up to ${one(between.max)}` : `${one(between.min)} – ${one(between.max)}`;
  };
  return (
    <tr data-size={size.id}>
      <td className="fig">{size.balloon}</td>
      <td>
        {nameOf(view, size)}{' '}
        <span className="quiet">
          {where}
          {size.pitchDiameter ? ', pitch diameter' : ''}
          {size.care === 'critical' ? ', critical' : ''}
          {size.limits?.from === 'general' ? ', general' : ''}
        </span>
      </td>
      <td className="fig">{both(units)}</td>
      <td className="fig quiet">{both(units === 'mm' ? 'in' : 'mm')}</td>
      <td>{verdict && <FigureNumber figure={verdict.value} units={units} />}</td>
      <td className={!verdict ? '' : underWay ? 'quiet' : verdict.says === 'in' ? 'in' : 'out'}>
        {verdict && underWay ? (
          'under way'
        ) : verdict ? (
          `${signs[verdict.says]} ${words[verdict.says]}`
        ) : !size.limits ? (
          <ThreadVerdict log={view.log} id={size.id} piece={piece} />
        ) : (
          ''
        )}
      </td>
      <td className="noprint">
        {size.limits ? <Enter view={view} size={size} piece={piece} problemIn={part.length} /> : <GoesOn view={view} size={size} piece={piece} />}
      </td>
    </tr>
  );
}

const quantityOf = ({ is }: Characteristic) => (is === 'angle' ? 'angle' : is === 'finish' ? 'roughness' : 'length');

const relations = {
  concentric: 'concentric to',
  runout: 'runs true to',
  square: 'square to',
  parallel: 'parallel to',
  distance: 'distance from',
} as const;

/** What a size is called on the sheet. */
function nameOf(view: JobView, size: Characteristic): string {
  if (size.relation) {
    const { to } = size.relation;
    const ends: Readonly<Record<string, string>> = { axis: 'the centre line', right: 'end A', left: 'end B' };
    return `${relations[size.relation.kind]} ${ends[to] ?? whereOf(view, thingOf(to))}`;
  }
  if (size.is === 'thread') return size.text ?? '';
  if (size.text !== undefined) return `${size.text} in its gauge`;
  if (!size.limits) return size.is;
  const is = size.is === 'diameter' ? 'diameter' : quantityOf(size);
  return `${size.is === 'finish' ? 'finish Ra' : size.is === 'angle' ? 'angle to the axis' : size.is} ${writeWithUnit({ is, value: size.limits.nominal, ...(is === 'angle' && { step: 0.01 }) }, view.units)}`;
}

/** Row, hole or detail that a size belongs to, in words. */
function whereOf({ job, part }: JobView, of: string): string {
  const { outside, boreRight, boreLeft } = job.drawing;
  const detail = part.details.find((d) => d.id === of);
  if (detail) return detailWords[detail.kind];
  if (of === 'overall') return 'overall';
  const row = outside.findIndex((r) => r.id === of);
  if (row >= 0) return `row ${String(row + 1)}`;
  const [list, end] = boreRight.some((r) => r.id === of) ? [boreRight, 'A'] : [boreLeft, 'B'];
  return list.length > 1 ? `hole ${end}, row ${String(list.findIndex((r) => r.id === of) + 1)}` : 'hole';
}

function Enter({ view, size, piece }: { readonly view: JobView; readonly size: Characteristic; readonly piece: number; readonly problemIn: number }) {
  const { units, add, job, shop } = view;
  const [text, setText] = useState('');
  const [says, setSays] = useState<string>();
  const kit = job.issue?.kit ?? shop;
  // a finish is compared and an angle set by: no gauge of the shop is asked for
  const kinds =
    size.is === 'finish' || size.is === 'angle'
      ? []
      : size.is === 'runout'
        ? ['dial']
        : ['caliper', 'micrometer', 'depth', 'rule', 'bore', 'telescoping'];
  const gauges = kit.gauges.filter((g) => kinds.includes(g.kind));
  const [gauge, setGauge] = useState(
    gauges.find((g) => g.kind === (size.care === 'critical' ? 'micrometer' : 'caliper'))?.id ?? gauges[0]?.id ?? 'none',
  );
  const keep = async () => {
    if (text.trim() === '') return;
    const read = readingOf(size.is, { text, units });
    if (!read.ok) {
      setSays(writeSentence(read.problems[0]?.says ?? [], units));
      return;
    }
    try {
      await add({ kind: 'reading', of: size.id, value: { text: text.trim(), units }, gauge, piece, step: null });
      setText('');
      setSays(undefined);
    } catch {
      setSays('not stored: storage full or blocked');
    }
  };
  return (
    <Form
      className="d-flex gap-1"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}>
      <Form.Control
        className="fig wide-78"
        value={text}
        placeholder={size.is === 'runout' ? '0 .01 -.005' : undefined}
        aria-label={`reading of ${size.is} ${size.balloon}`}
        isInvalid={says !== undefined}
        title={says}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => void keep()}
      />
      {gauges.length > 0 && (
        <Form.Select
          className="wide-150"
          value={gauge}
          aria-label={`gauge for ${size.is} ${size.balloon}`}
          onChange={(e) => setGauge(e.target.value)}>
          {gauges.map((g) => (
            <option key={g.id} value={g.id}>
              {g.name}
            </option>
          ))}
        </Form.Select>
      )}
      {says !== undefined && (
        <span className="out" role="alert">
          {says}
        </span>
      )}
    </Form>
  );
}

function GoesOn({ view, size, piece }: { readonly view: JobView; readonly size: Characteristic; readonly piece: number }) {
  const say = (feel: string) => void view.add({ kind: 'trial', mate: size.id.replace('.', '-'), feel, piece, step: null });
  return (
    <div className="d-flex gap-1">
      <Button size="sm" variant="outline-dark" onClick={() => say('gauge goes')}>
        gauge goes
      </Button>
      <Button size="sm" variant="outline-dark" onClick={() => say('does not go')}>
        does not go
      </Button>
    </div>
  );
}

function ThreadVerdict({ log, id, piece }: { readonly log: readonly Entry[]; readonly id: string; readonly piece: number }) {
  const last = log.findLast((e) => e.kind === 'trial' && e.mate === id.replace('.', '-') && e.piece === piece);
  if (last?.kind !== 'trial') return null;
  return (
    <span className={last.feel === 'gauge goes' ? 'in' : 'out'}>
      {last.feel === 'gauge goes' ? '✓' : '✗'} {last.feel}
    </span>
  );
}
