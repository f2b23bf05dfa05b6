import {
  completions,
  type Feature,
  gravestFirst,
  parseBottom,
  parseEdge,
  parseFinish,
  parseLengthCell,
  parseSize,
  type Section,
  stagesOf,
  subjectOf,
  write,
  writeSentence,
  writeWithUnit,
  type ListName,
} from '@obra/core';
import { type ClipboardEvent, type DragEvent, type KeyboardEvent, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { sizeSaid } from '../../../fields';
import { Mark } from '../../../slate';
import type { JobView } from '../view';
import { cellEdit, cellOf, type Column } from './cells';

export interface RowActions {
  readonly onEnter: (column: Column) => void;
  readonly onMove: (by: -1 | 1) => void;
  /** rows marked together: typing in one types in all */
  readonly marked: readonly Section[];
  readonly onMark: (how: 'only' | 'toggle' | -1 | 1) => void;
  /** the row above, to fill down from */
  readonly above: Section | undefined;
  /** rows from a spreadsheet; false where the text is one cell */
  readonly onPaste: (text: string) => boolean;
  readonly onDropped: (id: string) => void;
}

interface RowProps extends RowActions {
  readonly view: JobView;
  readonly row: Section;
  readonly list: ListName;
  readonly number: number;
  readonly last: boolean;
  readonly threads: boolean;
}

/** One row of the drawing: its cells, what each was understood as, and its actions. */
export function Row({ view, row, list, number, last, threads, ...act }: RowProps) {
  const { units, open, part, job } = view;
  const [focused, setFocused] = useState<Column>();
  const outside = list === 'outside';
  const inHole = outside ? '' : list === 'boreRight' ? ', hole A' : ', hole B';
  const feature = part.features.find((f) => f.id === row.id);
  const [gravest] = gravestFirst(view.findings.filter((f) => subjectOf(f) === row.id && stagesOf(f).includes('drawing')));
  const through = !outside && /^through$/i.test(row.length.text.trim());
  const long = parseLengthCell(row.length.text, row.length.units);
  const together = act.marked.length > 1 && act.marked.some((m) => m.id === row.id) ? act.marked : [row];
  const said = {
    size: sizeSaid(row.size.text, row.size.units, job.drawing.untoleranced, units, outside ? 'outside' : 'inside', feature),
    length: lengthSaid(row, long, through, feature, view),
  };
  const put = (column: Column, text: string) =>
    open.edit(
      together.map((r) => cellEdit(list, r, column, text, units)),
      'job',
      `${row.id}.${column}`,
    );
  /** '25 h6 x 40' typed as a size is both cells of an empty row. */
  const split = (): boolean => {
    const m = /^(.*\S)\s+[xX×]\s+(\S.*)$/.exec(row.size.text);
    if (!m || row.length.text.trim() !== '' || parseSize(m[1] ?? '', row.size.units, outside ? 'outside' : 'inside').kind === 'unknown') return false;
    open.edit([cellEdit(list, row, 'size', m[1] ?? '', units), cellEdit(list, row, 'length', m[2] ?? '', units)], 'job', `${row.id}.size`);
    return true;
  };
  const fillDown = (column: Column) => {
    const [from, ...to] = together.length > 1 ? together : act.above ? [act.above, row] : [];
    const cell = from && cellOf(from, column);
    if (to.length === 0) return;
    open.edit(to.map((r) => ({ ...cellEdit(list, r, column, cell?.text ?? '', cell?.units ?? units) })));
  };
  const onKey = (column: Column) => (e: KeyboardEvent) => {
    const way = e.key === 'ArrowUp' ? -1 : e.key === 'ArrowDown' ? 1 : undefined;
    if (e.key === 'Enter') {
      e.preventDefault();
      if (column === 'size' && split()) act.onEnter('size');
      else act.onEnter(column);
    } else if (e.key === 'd' && (e.ctrlKey || e.metaKey)) {
      e.preventDefault();
      fillDown(column);
    } else if (way !== undefined && (e.altKey || e.shiftKey)) {
      e.preventDefault();
      if (e.altKey) act.onMove(way);
      else act.onMark(way);
    }
  };
  const cell = (column: Column, label: string, text: string, problem?: boolean, listed?: string) => (
    <Form.Control
      data-cell={`${row.id}.${column}`}
      value={text}
      aria-label={`${label}, row ${number}${inHole}`}
      aria-invalid={problem === true}
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      {...(listed !== undefined && { list: listed })}
      onChange={(e) => put(column, e.target.value)}
      onKeyDown={onKey(column)}
      onPaste={(e: ClipboardEvent) => {
        if (act.onPaste(e.clipboardData.getData('text'))) e.preventDefault();
      }}
      onFocus={() => {
        setFocused(column);
        if (!act.marked.some((m) => m.id === row.id)) act.onMark('only');
        view.choose(row.id);
      }}
      onBlur={() => {
        setFocused(undefined);
        if (column === 'size') split();
      }}
    />
  );
  const edge = (column: 'near' | 'far', label: string, assumed: string) => {
    const typed = row[column];
    const parse = outside || column === 'near' ? parseEdge : parseBottom;
    return (
      <>
        {cell(column, label, typed?.text ?? '', typed ? !parse(typed.text, typed.units).ok : false)}
        <div className="said">{typed && typed.text.trim() !== '' && !(column === 'far' && !outside) ? '' : assumed}</div>
      </>
    );
  };
  const choices = focused === 'size' ? completions(row.size.text, row.size.units, outside ? 'outside' : 'inside') : [];
  return (
    <tr
      className={`${focused ? 'at' : ''} ${act.marked.length > 1 && together.length > 1 ? 'marked' : ''}`}
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e: DragEvent) => {
        e.preventDefault();
        act.onDropped(e.dataTransfer.getData('text/plain'));
      }}>
      <td
        className="grab"
        draggable
        title="drag to move, Shift to mark several"
        onDragStart={(e: DragEvent) => e.dataTransfer.setData('text/plain', row.id)}
        onClick={(e) => act.onMark(e.shiftKey || e.ctrlKey || e.metaKey ? 'toggle' : 'only')}>
        {number}
        {gravest && (
          <span title={writeSentence(gravest.says, units)} data-row-check={gravest.code}>
            <Mark severity={gravest.severity} />
          </span>
        )}
      </td>
      <td>
        {cell('size', 'size', row.size.text, said.size.bad, `of-${row.id}`)}
        {choices.length > 0 && (
          <datalist id={`of-${row.id}`}>
            {choices.map((c) => (
              <option key={c} value={c} />
            ))}
          </datalist>
        )}
        <div className={`said ${said.size.bad ? 'bad' : ''}`} title={said.size.text} data-said={`${row.id}.size`}>
          {said.size.text}
        </div>
      </td>
      <td>
        {cell('length', outside ? 'length' : 'depth', row.length.text, said.length.bad)}
        <div className={`said ${said.length.bad ? 'bad' : ''}`}>{said.length.text}</div>
      </td>
      <td>{edge('near', outside ? 'edge to A' : 'mouth', assumedEdge(feature, 'near', view))}</td>
      <td>
        {edge(
          'far',
          outside ? 'edge to B' : last ? 'bottom' : 'inner edge',
          outside ? assumedEdge(feature, 'far', view) : last && !through ? 'degrees or flat' : '',
        )}
      </td>
      {threads && (
        <td>
          {feature?.form === 'thread' ? cell('usable', 'full thread', row.usable?.text ?? '') : null}
          {feature?.form === 'thread' && !row.usable && (
            <div className="said">{writeWithUnit({ is: 'length', value: feature.usable ?? 0 }, units)}</div>
          )}
        </td>
      )}
      <td>{cell('finish', 'finish', row.finish?.text ?? '', row.finish ? !parseFinish(row.finish.text, row.finish.units).ok : false)}</td>
      <td>{cell('note', 'note', row.note ?? '')}</td>
      <td className="acts">
        <Button
          size="sm"
          variant="link"
          aria-label={`move row ${number}${inHole} ${outside ? 'towards A' : 'outwards'}`}
          onClick={() => act.onMove(-1)}>
          ↑
        </Button>{' '}
        <Button
          size="sm"
          variant="link"
          aria-label={`move row ${number}${inHole} ${outside ? 'towards B' : 'inwards'}`}
          onClick={() => act.onMove(1)}>
          ↓
        </Button>{' '}
        <Button
          size="sm"
          variant="link"
          aria-label={`delete row ${number}${inHole}`}
          onClick={() => open.edit(together.map((r) => ({ op: 'remove' as const, at: `drawing/${list}/#${r.id}` })))}>
          ×
        </Button>
      </td>
    </tr>
  );
}

/** What is assumed for an edge that is left open: the lead of a thread, its undercut. */
function assumedEdge(feature: Feature | undefined, end: 'near' | 'far', { units }: JobView): string {
  const edge = end === 'near' ? feature?.edgeNear : feature?.edgeFar;
  if (feature?.form !== 'thread' || !edge) return '';
  if (edge.kind === 'threadUndercut') return `DIN 76-${edge.form}`;
  return edge.kind === 'chamfer' ? `${writeWithUnit({ is: 'length', value: edge.along }, units)} x ${String(edge.degrees)}` : '';
}

function lengthSaid(row: Section, long: ReturnType<typeof parseLengthCell>, through: boolean, feature: Feature | undefined, { units }: JobView) {
  const one = (v: number) => write({ is: 'length', value: v }, units).text;
  const own = feature ? Math.abs(feature.near - feature.far) : undefined;
  if (through) return { text: own === undefined ? 'through' : `${one(own)} ${units}`, bad: false };
  if (row.length.text.trim() === '') return { text: own === undefined ? '' : `${one(own)} ${units} left for it`, bad: false };
  if (!long.ok) return { text: writeSentence(long.problems[0]?.says ?? [], units), bad: true };
  const limits = long.value.max === long.value.min ? `${one(long.value.min)} ${units}` : `${one(long.value.min)} to ${one(long.value.max)}`;
  return { text: row.from !== undefined && own !== undefined ? `${limits}; row ${one(own)}` : limits, bad: false };
}
