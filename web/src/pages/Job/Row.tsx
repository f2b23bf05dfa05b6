import {
  type Cell,
  gravestFirst,
  parseEdge,
  parseFinish,
  parseLengthCell,
  type Section,
  stagesOf,
  subjectOf,
  write,
  writeSentence,
  writeWithUnit,
} from '@obra/core';
import { type KeyboardEvent, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { sizeSaid } from '../../fields';
import { Mark } from '../../slate';
import type { JobView } from './view';

export type Column = 'size' | 'length' | 'near' | 'far' | 'usable' | 'finish' | 'note';

interface RowProps {
  readonly view: JobView;
  readonly row: Section;
  readonly list: 'outside' | 'boreRight' | 'boreLeft';
  readonly number: number;
  readonly threads: boolean;
  readonly onEnter: (column: Column) => void;
  readonly onMove: (by: -1 | 1) => void;
}

/** One row of the drawing: its cells, what each was understood as, and its actions. */
export function Row({ view, row, list, number, threads, onEnter, onMove }: RowProps) {
  const { units, open, part, job } = view;
  const [focused, setFocused] = useState<Column>();
  const at = `drawing/${list}/#${row.id}`;
  const outside = list === 'outside';
  const feature = part.features.find((f) => f.id === row.id);
  const [gravest] = gravestFirst(view.findings.filter((f) => subjectOf(f) === row.id && stagesOf(f).includes('drawing')));
  const long = parseLengthCell(row.length.text, row.length.units);
  const said = {
    size: sizeSaid(row.size.text, row.size.units, job.drawing.untoleranced, units),
    length:
      row.length.text.trim() === ''
        ? { text: '', bad: false }
        : long.ok
          ? { text: limitsShort(long.value, units), bad: false }
          : { text: writeSentence(long.problems[0]?.says ?? [], units), bad: true },
  };
  const put = (column: Column, text: string) => {
    if (column === 'note') {
      open.edit([text === '' ? { op: 'remove', at: `${at}/note` } : { op: 'put', at: `${at}/note`, value: text }], 'job', `${row.id}.note`);
      return;
    }
    const before = row[column];
    const value: Cell = { text, units: before && before.text.trim() !== '' ? before.units : units };
    const drop = text === '' && column !== 'size' && column !== 'length';
    open.edit([drop ? { op: 'remove', at: `${at}/${column}` } : { op: 'put', at: `${at}/${column}`, value }], 'job', `${row.id}.${column}`);
  };
  const onKey = (column: Column) => (e: KeyboardEvent) => {
    if (e.key === 'Enter') {
      e.preventDefault();
      onEnter(column);
    }
    if (e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
      e.preventDefault();
      onMove(e.key === 'ArrowUp' ? -1 : 1);
    }
  };
  const cell = (column: Column, label: string, text: string, problem?: boolean) => (
    <Form.Control
      data-cell={`${row.id}.${column}`}
      value={text}
      aria-label={`${label}, ${outside ? `row ${number}` : 'hole'}`}
      aria-invalid={problem === true}
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      onChange={(e) => put(column, e.target.value)}
      onKeyDown={onKey(column)}
      onFocus={() => {
        setFocused(column);
        if (outside) view.choose(row.id);
      }}
      onBlur={() => setFocused(undefined)}
    />
  );
  const edge = (column: 'near' | 'far', label: string) =>
    cell(column, label, row[column]?.text ?? '', row[column] ? !parseEdge(row[column].text, row[column].units).ok : false);
  return (
    <tr className={focused ? 'at' : ''}>
      <td className="grab">
        {outside ? number : ''}
        {gravest && (
          <span title={writeSentence(gravest.says, units)} data-row-check={gravest.code}>
            <Mark severity={gravest.severity} />
          </span>
        )}
      </td>
      <td>
        {cell('size', 'size', row.size.text, said.size.bad)}
        <div className={`said ${said.size.bad ? 'bad' : ''}`} title={said.size.text} data-said={`${row.id}.size`}>
          {said.size.text}
        </div>
      </td>
      <td>
        {cell('length', outside ? 'length' : 'depth', row.length.text, said.length.bad)}
        <div className={`said ${said.length.bad ? 'bad' : ''}`}>{said.length.text}</div>
      </td>
      {outside ? (
        <>
          <td>
            {edge('near', 'edge to A')}
            {feature?.form === 'thread' && !row.near && feature.near === 0 && (
              <div className="said">{writeWithUnit({ is: 'length', value: feature.chamferNear ?? 0 }, units)}</div>
            )}
          </td>
          <td>{edge('far', 'edge to B')}</td>
        </>
      ) : (
        <td>
          {cell('far', 'bottom', row.far?.text ?? '')}
          <div className="said">degrees or flat</div>
        </td>
      )}
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
        {outside && (
          <>
            <Button size="sm" variant="link" aria-label={`move row ${number} towards A`} onClick={() => onMove(-1)}>
              ↑
            </Button>{' '}
            <Button size="sm" variant="link" aria-label={`move row ${number} towards B`} onClick={() => onMove(1)}>
              ↓
            </Button>{' '}
          </>
        )}
        <Button
          size="sm"
          variant="link"
          aria-label={outside ? `delete row ${number}` : 'delete the hole'}
          onClick={() => open.edit([{ op: 'remove', at }])}>
          ×
        </Button>
      </td>
    </tr>
  );
}

function limitsShort(limits: { readonly nominal: number; readonly max: number; readonly min: number }, units: 'mm' | 'in'): string {
  const one = (v: number) => write({ is: 'length', value: v }, units).text;
  return limits.max === limits.min ? `${one(limits.nominal)} ${units}` : `${one(limits.min)} to ${one(limits.max)}`;
}
