import type { Answered, AnswerRow } from '@obra/core/handbook';
import { type Units, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { FigureNumber, Mark } from '../../slate';
import { type CellOfJob, fillState } from '../../data/cellOfJob';
import { copied } from './copied';

/** The answer: its numbers, what can hurt, what to know, the source; copy, and the way back to the cell. */
export function AnswerSlate({
  answer,
  title,
  units,
  older,
  cell,
}: {
  readonly answer: Answered;
  readonly title: string;
  readonly units: Units;
  readonly older: boolean;
  readonly cell: CellOfJob | undefined;
}) {
  const [said, setSaid] = useState<string>();
  const navigate = useNavigate();
  const copy = async () =>
    setSaid((await copied(textOf(title, answer, units))) ? 'copied' : 'this browser does not let it be copied: select it by hand');
  return (
    <div className={`answer ${older ? 'older' : ''}`} aria-live="polite">
      {older && <p className="quiet m-0">the last that could be worked out:</p>}
      <dl>
        {answer.rows.map((row, i) => (
          <Line key={row.label} row={row} units={units} big={i < 2} />
        ))}
      </dl>
      {(answer.cautions ?? []).map((c, i) => (
        <p key={i} className="m-0 noted">
          <Mark severity="caution" dark />
          <span>{asSentence(writeSentence(c, units))}</span>
        </p>
      ))}
      {(answer.remarks ?? []).map((r, i) => (
        <p key={i} className="m-0 quiet">
          {asSentence(writeSentence(r, units))}
        </p>
      ))}
      <p className="m-0 quiet">Source: {answer.source}.</p>
      <div className="d-flex gap-2 flex-wrap align-items-baseline">
        <Button variant="outline-light" onClick={() => void copy()}>
          copy
        </Button>
        {cell &&
          !older &&
          (answer.uses ?? []).map((use) => (
            <Button
              key={use.text}
              variant="outline-light"
              onClick={() => void navigate(`/jobs/${cell.job}/drawing?at=${cell.row}`, { state: fillState(cell, use.text, 'mm') })}>
              use {use.words} in the job
            </Button>
          ))}
        {cell && (
          <Link to={`/jobs/${cell.job}/drawing?at=${cell.row}`} className="back">
            back to the drawing
          </Link>
        )}
        <span role="status" className="quiet">
          {said}
        </span>
      </div>
    </div>
  );
}

/** A line of the answer: the number that opens its formula, the same in the other unit small behind it. */
function Line({ row, units, big }: { readonly row: AnswerRow; readonly units: Units; readonly big: boolean }) {
  if ('says' in row) {
    const text = writeSentence(row.says, units);
    return (
      <div>
        <dt className="quiet">{row.label}</dt>
        <dd className={text.length < 18 ? (big ? 'mid' : 'fig') : ''}>{text}</dd>
      </div>
    );
  }
  const other = writeWithUnit(row.value, units === 'mm' ? 'in' : 'mm');
  const own = writeWithUnit(row.value, units);
  return (
    <div>
      <dt className="quiet">{row.label}</dt>
      <dd>
        <span className={big ? 'mid' : 'fig'}>
          <FigureNumber figure={row.value} units={units} text={own} />
        </span>
        <span className="quiet">
          {row.after ? ` ${writeSentence(row.after, units)}` : ''} {other === own ? '' : other}
        </span>
      </dd>
    </div>
  );
}

/** A capital before and a full stop behind. */
export const asSentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1) + (/[.)]$/.test(text) ? '' : '.');

/** The answer as plain lines. */
function textOf(title: string, answer: Answered, units: Units): string {
  const value = (row: AnswerRow) =>
    'says' in row ? writeSentence(row.says, units) : `${writeWithUnit(row.value, units)}${row.after ? ` ${writeSentence(row.after, units)}` : ''}`;
  const table = answer.table
    ? [
        answer.table.head.join('\t'),
        ...answer.table.rows.map((r) => r.map((c) => ('is' in c ? writeWithUnit(c, units) : writeSentence(c, units))).join('\t')),
      ]
    : [];
  return [
    title,
    ...answer.rows.map((r) => `${r.label}: ${value(r)}`),
    ...table,
    ...(answer.remarks ?? []).map((r) => writeSentence(r, units)),
    `Source: ${answer.source}`,
  ].join('\n');
}
