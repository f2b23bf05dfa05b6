import { type Answered, type AnswerRow, labelOf } from '@obra/core/handbook';
import { type Sentence, type Units, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { asSentence, FigureNumber, Mark, Said } from '../../slate';
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
          <Line key={i} row={row} units={units} big={i < 2} source={answer.source} />
        ))}
      </dl>
      {(answer.cautions ?? []).map((c, i) => (
        <p key={i} className="m-0 noted">
          <Mark severity="caution" dark />
          <span>
            <Said sentence={asSentence(c)} units={units} from={answer.source} />
          </span>
        </p>
      ))}
      {(answer.remarks ?? []).map((r, i) => (
        <p key={i} className="m-0 quiet">
          <Said sentence={asSentence(r)} units={units} from={answer.source} />
        </p>
      ))}
      <p className="m-0 quiet" data-said>
        Source: {answer.source}.
      </p>
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
function Line({ row, units, big, source }: { readonly row: AnswerRow; readonly units: Units; readonly big: boolean; readonly source: string }) {
  if ('says' in row) {
    const text = writeSentence(row.says, units);
    return (
      <div>
        <dt className="quiet">{labelOf(row, units)}</dt>
        <dd className={text.length < 18 ? (big ? 'mid' : 'fig') : ''} data-said={onlyWords(row.says) ? '' : undefined}>
          <Said sentence={row.says} units={units} from={source} />
        </dd>
      </div>
    );
  }
  const others: Units = units === 'mm' ? 'in' : 'mm';
  const [own, other] = [writeWithUnit(row.value, units), writeWithUnit(row.value, others)];
  return (
    <div>
      <dt className="quiet">{labelOf(row, units)}</dt>
      <dd>
        <span className={big ? 'mid' : 'fig'}>
          <FigureNumber figure={row.value} units={units} text={own} />
        </span>
        <span className="quiet" data-said={row.after && onlyWords(row.after) ? '' : undefined}>
          {row.after && (
            <>
              {' '}
              <Said sentence={row.after} units={units} from={source} />
            </>
          )}{' '}
          {other !== own && <FigureNumber figure={row.value} units={others} text={other} />}
        </span>
      </dd>
    </div>
  );
}

/** A name or a designation: nothing that was computed. */
export const onlyWords = (says: Sentence): boolean => says.every((part) => typeof part === 'string');

/** The answer as plain lines. */
function textOf(title: string, answer: Answered, units: Units): string {
  const value = (row: AnswerRow) =>
    'says' in row ? writeSentence(row.says, units) : `${writeWithUnit(row.value, units)}${row.after ? ` ${writeSentence(row.after, units)}` : ''}`;
  const table = answer.table
    ? [
        answer.table.head.map((h) => (typeof h === 'string' ? h : writeSentence(h, units))).join('\t'),
        ...answer.table.rows.map((r) => r.map((c) => ('is' in c ? writeWithUnit(c, units) : writeSentence(c, units))).join('\t')),
      ]
    : [];
  return [
    title,
    ...answer.rows.map((r) => `${labelOf(r, units)}: ${value(r)}`),
    ...table,
    ...(answer.remarks ?? []).map((r) => writeSentence(r, units)),
    `Source: ${answer.source}`,
  ].join('\n');
}
