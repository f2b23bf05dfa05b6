import type { Section } from '@obra/core/document';
import { completions, type ListName, parseBottom, parseEdge, parseFinish } from '@obra/core/drawing';
import type { Severity } from '@obra/core/finding';
import { surfaceOf, surfaceWords } from '@obra/core/holding';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { type ClipboardEvent, memo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useMovable } from '../../../shell/sortable';
import { Mark } from '../../../slate';
import type { Column } from './cells';
import type { Spare } from './spareColumns';
import { edgeToA, edgeToB, fullThread } from '../../../words/places';

/** What can be done with the rows of a list; the same functions all the time, so that a row which did not change is not drawn again. */
export interface RowActs {
  readonly put: (row: string, column: Column, text: string) => void;
  /** '25 h6 x 40' typed as a size is both cells of an empty row */
  readonly split: (row: string) => boolean;
  readonly fillDown: (row: string, column: Column) => void;
  readonly enter: (row: string, column: Column) => void;
  readonly move: (row: string, by: -1 | 1) => void;
  readonly mark: (row: string, how: 'only' | 'toggle' | -1 | 1) => void;
  /** rows from a spreadsheet; false where the text is one cell */
  readonly paste: (row: string, text: string) => boolean;
  readonly drop: (on: string, row: string) => void;
  readonly focus: (row: string, column: Column) => void;
  readonly remove: (row: string) => void;
}

export interface Room {
  readonly size: number;
  readonly length: number;
}

interface RowProps {
  readonly row: Section;
  readonly list: ListName;
  /** said in every label after the number */
  readonly where: string;
  readonly number: number;
  readonly last: boolean;
  /** columns that the list shows beside size and length */
  readonly columns: readonly Spare[];
  /** and that of full threads */
  readonly threads: boolean;
  /** how wide the cells of size and length are, px; the same object as long as they are */
  readonly room: Room;
  readonly thread: boolean;
  /** marked together with others: what is typed in one is typed in all */
  readonly marked: boolean;
  /** the one that the slate and the picture speak of */
  readonly inHand: boolean;
  /** what was understood as the size, in short */
  readonly short: string;
  readonly bad: boolean;
  readonly long: string;
  readonly longBad: boolean;
  /** what is assumed for an edge or a full thread that is left open */
  readonly near: string;
  readonly far: string;
  readonly usable: string;
  readonly check: string | undefined;
  readonly checkSays: string;
  readonly severity: Severity;
  readonly acts: RowActs;
}

/** Width of a typed letter, of one of what was understood, and of the edges about them, px. */
const [TYPED, SAID, EDGES] = [8.6, 6.6, 32];

/** What a cell was understood as, at its right, where there is room beside what was typed; else it is told of the row in hand. A screen reader hears it with its cell. */
const Understood = ({ id, text, beside, room }: { readonly id: string; readonly text: string; readonly beside: string; readonly room: number }) =>
  text === '' ? null : (
    <span id={id} className={EDGES + TYPED * beside.length + SAID * text.length > room ? 'visually-hidden' : 'understood'} aria-hidden>
      {text}
    </span>
  );

/** One row of the drawing: its cells, what each was understood as, and its actions. Everything shown comes in as text, so that it is drawn again only when it changes. */
export const Row = memo(function Row({ row, list, where, number, last, columns, room, threads, thread, marked, inHand, acts, ...shown }: RowProps) {
  const [focused, setFocused] = useState<Column>();
  const { line, grip } = useMovable(row.id);
  const saidOf = (column: 'size' | 'length') => `said-${row.id}-${column}${where === '' ? '' : '-now'}`;
  const said = {
    size: shown.bad ? '' : shown.short,
    length: shown.longBad || shown.long === `${row.length.text} ${row.length.units}` ? '' : shown.long,
  };
  const outside = list === 'outside';
  const now = where !== '';
  const inHole = `${outside ? '' : list === 'boreRight' ? ', hole A' : ', hole B'}${where}`;
  const cell = (column: Column, label: string, text: string, problem?: boolean, listed?: string, assumed?: string) => (
    <Form.Control
      data-cell={`${row.id}.${column}`}
      {...((column === 'size' || column === 'length') && said[column] !== '' && { 'aria-describedby': saidOf(column) })}
      // a note is as high as its words
      {...(column === 'note' && { as: 'textarea' as const, rows: 1 })}
      value={text}
      placeholder={assumed}
      aria-label={`${label}, row ${number}${inHole}`}
      aria-invalid={problem === true}
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      {...(listed !== undefined && { list: listed })}
      onChange={(e) => acts.put(row.id, column, e.target.value)}
      onPaste={(e: ClipboardEvent) => {
        if (acts.paste(row.id, e.clipboardData.getData('text'))) e.preventDefault();
      }}
      onFocus={() => {
        setFocused(column);
        acts.focus(row.id, column);
      }}
      onBlur={() => {
        setFocused(undefined);
        if (column === 'size') acts.split(row.id);
      }}
    />
  );
  const edge = (column: 'near' | 'far', label: string, assumed: string) => {
    const typed = row[column];
    const parse = outside || column === 'near' ? parseEdge : parseBottom;
    return cell(column, label, typed?.text ?? '', typed ? !parse(typed.text, typed.units).ok : false, undefined, assumed);
  };
  const choices = focused === 'size' ? completions(row.size.text, row.size.units, outside ? 'outside' : 'inside') : [];
  return (
    <tr {...line} className={`${focused || inHand ? 'at' : ''} ${marked ? 'marked' : ''} ${line.className}`}>
      <td className="grab">
        <span className="d-flex align-items-center">
          <button
            type="button"
            {...grip}
            aria-label={`row ${String(number)}${inHole}`}
            title="drag to move, Shift to mark several"
            onClick={(e) => acts.mark(row.id, e.shiftKey || e.ctrlKey || e.metaKey ? 'toggle' : 'only')}>
            {number}
          </button>
          {shown.check !== undefined && (
            <span title={shown.checkSays} data-row-check={shown.check}>
              <Mark severity={shown.severity} />
            </span>
          )}
        </span>
      </td>
      <td>
        {cell('size', 'size', row.size.text, shown.bad, `of-${row.id}`)}
        {choices.length > 0 && (
          <datalist id={`of-${row.id}`}>
            {choices.map((c) => (
              <option key={c} value={c} />
            ))}
          </datalist>
        )}
        <Understood id={saidOf('size')} text={said.size} beside={row.size.text} room={room.size} />
      </td>
      <td>
        {cell('length', outside ? 'length' : 'depth', row.length.text, shown.longBad)}
        <Understood id={saidOf('length')} text={said.length} beside={row.length.text} room={room.length} />
      </td>
      {columns.includes('edges') && <td>{edge('near', outside ? edgeToA : 'mouth', shown.near)}</td>}
      {columns.includes('edges') && <td>{edge('far', outside ? edgeToB : last ? 'bottom' : 'inner edge', shown.far)}</td>}
      {threads && <td>{thread && cell('usable', fullThread, row.usable?.text ?? '', false, undefined, shown.usable)}</td>}
      {columns.includes('finish') && (
        <td>
          {cell(
            'finish',
            now ? 'surface' : 'finish',
            row.finish?.text ?? '',
            row.finish ? !parseFinish(row.finish.text, row.finish.units).ok && !(now && surfaceOf(row.finish) !== undefined) : false,
            now ? `surface-${row.id}` : undefined,
            now ? 'by its size' : undefined,
          )}
          {now && (
            <datalist id={`surface-${row.id}`}>
              {surfaceWords.map((word) => (
                <option key={word} value={word} />
              ))}
            </datalist>
          )}
        </td>
      )}
      {columns.includes('note') && <td>{cell('note', 'note', row.note ?? '')}</td>}
      <td className="acts">
        <Button
          size="sm"
          variant="link"
          aria-label={`move row ${number}${inHole} ${outside ? 'towards A' : 'outwards'}`}
          onClick={() => acts.move(row.id, -1)}>
          <ArrowUp size={16} aria-hidden />
        </Button>{' '}
        <Button
          size="sm"
          variant="link"
          aria-label={`move row ${number}${inHole} ${outside ? 'towards B' : 'inwards'}`}
          onClick={() => acts.move(row.id, 1)}>
          <ArrowDown size={16} aria-hidden />
        </Button>{' '}
        <Button size="sm" variant="link" aria-label={`delete row ${number}${inHole}`} onClick={() => acts.remove(row.id)}>
          <X size={16} aria-hidden />
        </Button>
      </td>
    </tr>
  );
});
