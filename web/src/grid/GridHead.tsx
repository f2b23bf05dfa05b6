import { ArrowDown, ArrowUp, ListFilter } from 'lucide-react';
import { type CSSProperties, type KeyboardEvent, type Ref, useEffect, useRef, useState } from 'react';
import { Form, Overlay } from 'react-bootstrap';
import { giveBack } from '../shell/giveBack';
import { type Column, type Filter, headOf, valuesOf } from './columns';
import { showAll } from '../words/pressed';

interface Props<T> {
  readonly column: Column<T>;
  readonly lines: readonly T[];
  readonly chars: number;
  readonly sorted: 'asc' | 'desc' | false;
  readonly filter: Filter | undefined;
  readonly onSort: (to: 'asc' | 'desc' | false) => void;
  readonly onFilter: (to: Filter | undefined) => void;
  readonly onHide: () => void;
  readonly onMove: ((by: -1 | 1) => void) | undefined;
}

const sortedAs = { asc: 'ascending', desc: 'descending' } as const;

/** The head of a column: a press sorts, its menu filters, hides and moves. */
export function GridHead<T>({ column, lines, chars, sorted, filter, onSort, onFilter, onHide, onMove }: Props<T>) {
  const head = headOf(column);
  const [open, setOpen] = useState(false);
  const opener = useRef<HTMLButtonElement>(null);
  const close = () => {
    setOpen(false);
    giveBack(opener.current);
  };
  // a head in two lines, its menu beside it
  const least = Math.max(column.wide ?? 60, column.put ? head.length * 3.3 + 34 : 0);
  // typed cells show their words whole; what is only read goes on in a second line
  const width = column.put ? `max(${String(least)}px, calc(${String(chars)}ch + 16px))` : least;
  const paper = column.paper === false ? 'noprint' : undefined;
  if (column.picture)
    return (
      <th scope="col" style={{ minWidth: least }} className={paper}>
        {column.words}
      </th>
    );
  return (
    <th scope="col" style={{ minWidth: width }} className={paper} aria-sort={sorted ? sortedAs[sorted] : 'none'} data-column={column.key}>
      <span className="grid-head">
        <button type="button" onClick={() => onSort(sorted === 'asc' ? 'desc' : sorted === 'desc' ? false : 'asc')}>
          {head}
          {sorted === 'asc' && <ArrowUp size={14} aria-hidden />}
          {sorted === 'desc' && <ArrowDown size={14} aria-hidden />}
        </button>
        <button
          type="button"
          className="grid-menu"
          ref={opener}
          aria-haspopup="true"
          aria-expanded={open}
          aria-label={`column ${head}${filter ? ', filtered' : ''}`}
          onClick={() => setOpen(!open)}>
          <ListFilter size={14} aria-hidden />
        </button>
        {/* hung on the page itself: within the table it would be cut off at its edge */}
        <Overlay target={opener} show={open} placement="bottom-start" rootClose transition={false} onHide={close}>
          {({ ref, style }) => <Menu {...{ column, lines, filter, onSort, onFilter, onHide, onMove, close }} hang={{ ref, style }} />}
        </Overlay>
      </span>
    </th>
  );
}

interface MenuProps<T> extends Omit<Props<T>, 'chars' | 'sorted'> {
  readonly close: () => void;
  readonly hang: { readonly ref: Ref<HTMLDivElement>; readonly style: CSSProperties };
}

function Menu<T>({ column, lines, filter, onSort, onFilter, onHide, onMove, close, hang }: MenuProps<T>) {
  const body = useRef<HTMLDivElement>(null);
  useEffect(() => body.current?.querySelector<HTMLElement>('input, button')?.focus(), []);
  /** Up and down through what can be pressed. */
  const walk = (e: KeyboardEvent) => {
    const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
    if (step === 0) return;
    e.preventDefault();
    const all = [...(body.current?.querySelectorAll<HTMLElement>('input, button') ?? [])];
    all[(all.indexOf(document.activeElement as HTMLElement) + step + all.length) % all.length]?.focus();
  };
  const item = (words: string, act: () => void) => (
    <button
      type="button"
      className="dropdown-item"
      onClick={() => {
        act();
        close();
      }}>
      {words}
    </button>
  );
  const values = valuesOf(column, lines);
  const chosen = filter?.of;
  const words = (value: string) => column.choices?.find((c) => c.value === value)?.words ?? value;
  const toggle = (value: string) => {
    const now = chosen ?? values;
    const next = now.includes(value) ? now.filter((v) => v !== value) : [...now, value];
    onFilter(next.length === values.length ? undefined : { ...filter, of: next });
  };
  return (
    <div {...hang} className="dropdown-menu show" role="dialog" aria-label={`column ${column.words}`} onKeyDown={walk}>
      <div ref={body}>
        {item('sort upwards', () => onSort('asc'))}
        {item('sort downwards', () => onSort('desc'))}
        <hr className="dropdown-divider" />
        {values.length > 0 ? (
          <div className="grid-values" role="group" aria-label={`show only, by ${column.words}`}>
            {values.map((value) => (
              <label key={value}>
                <input type="checkbox" checked={chosen?.includes(value) ?? true} onChange={() => toggle(value)} />
                {words(value) === '' ? 'nothing' : words(value)}
              </label>
            ))}
            {chosen?.length !== 0 && (
              <button type="button" className="btn btn-link btn-sm" onClick={() => onFilter({ of: [] })}>
                none of them
              </button>
            )}
          </div>
        ) : (
          <div className="grid-values">
            <Form.Control
              size="sm"
              aria-label={`${column.words} has in it`}
              placeholder="has in it"
              value={filter?.has ?? ''}
              onChange={(e) => onFilter(e.target.value === '' ? undefined : { has: e.target.value })}
              onKeyDown={(e) => {
                if (e.key === 'Enter') close();
              }}
            />
          </div>
        )}
        {filter && item(showAll, () => onFilter(undefined))}
        {(!column.stays || onMove) && <hr className="dropdown-divider" />}
        {!column.stays && item('hide this column', onHide)}
        {onMove && item('move it to the left', () => onMove(-1))}
        {onMove && item('move it to the right', () => onMove(1))}
      </div>
    </div>
  );
}
