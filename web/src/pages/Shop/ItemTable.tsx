import type { Holding } from '@obra/core/document';
import { parseLength, type Units } from '@obra/core/quantity';
import {
  confirmed,
  fieldText,
  type Grade,
  gradeOf,
  holdingGrades,
  type ShopField,
  type ShopItem,
  type ShopTable,
  withField,
  withGrade,
} from '@obra/core/shop';
import { Check, Copy, Trash2 } from 'lucide-react';
import { type KeyboardEvent, type ReactNode, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { cellOf, type Column, type Draft, Grid, GridCell, MovableRows } from '../../grid';
import { useSteady } from '../../shell/useSteady';

interface Props {
  readonly table: ShopTable;
  readonly items: readonly ShopItem[];
  readonly units: Units;
  readonly onPut: (items: readonly ShopItem[]) => void;
  readonly blank: () => ShopItem;
  readonly onCopy: (item: ShopItem) => void;
  readonly onDelete: (item: ShopItem) => void;
  /** a line was set down where another stands */
  readonly onMove: (id: string, to: string) => void;
}

/** A field of the shop as a column: read, sorted and typed by its own grammar. */
function columnOf(field: ShopField, units: Units): Column<ShopItem> {
  const unit = field.unit ?? (field.is === 'length' || field.is === 'lengths' ? units : undefined);
  const text = (item: ShopItem) => fieldText(item, field, units);
  return {
    key: field.key,
    words: field.words,
    text,
    put: (item, typed) => withField(item, field, typed, units),
    assumed: (item) => (item.assumed ?? []).includes(field.key.split('.')[0] ?? ''),
    ...(unit !== undefined && { unit }),
    ...(field.choices && { choices: field.choices }),
    ...(field.wide !== undefined && { wide: field.wide }),
    ...(field.is !== 'text' && field.is !== 'choice' && { figures: true as const }),
    ...(['numbers', 'wholes', 'lengths', 'speeds'].includes(field.is) && { list: true as const }),
    ...(field.key === 'name' && { stays: true as const }),
    ...(field.behind !== undefined && { folded: true as const }),
    ...(field.is !== 'choice' && { sorts: (item: ShopItem) => sortedBy(text(item), field, units) }),
  };
}

/** A number that is chosen by a word; the number itself is a column that is folded away. */
const graded = (grade: Grade): Column<ShopItem> => ({
  key: grade.key,
  words: grade.words,
  text: (item) => gradeOf(item as Holding, grade),
  put: (item, word) => withGrade(item as Holding, grade, word),
  choices: grade.steps,
  assumed: (item) => (item.assumed ?? []).includes(grade.by),
});

/** The columns of a table; before the first number behind a word stands the word. */
const columnsOf = ({ fields, list }: ShopTable, units: Units): readonly Column<ShopItem>[] =>
  fields.flatMap((field, i) => {
    const first = field.behind !== undefined && fields.findIndex((f) => f.behind === field.behind) === i;
    const grade = first && list === 'holdings' ? holdingGrades.find((g) => g.key === field.behind) : undefined;
    return [...(grade ? [graded(grade)] : []), columnOf(field, units)];
  });

/** Sizes by what they measure, whatever they are typed in; numbers by the first of them. */
function sortedBy(text: string, field: ShopField, units: Units): string | number | undefined {
  if (text === '') return undefined;
  if (field.key === 'name' || field.key === 'insert') return text;
  const length = field.is === 'length' || field.key === 'size' ? parseLength(text, units) : undefined;
  if (length?.ok) return length.value;
  const number = Number.parseFloat(text.replace(',', '.'));
  return Number.isFinite(number) && field.is !== 'text' ? number : text;
}

/** A list of the shop: a line an item, a column a size. */
export function ItemTable({
  table,
  items,
  units,
  onPut,
  blank,
  onCopy,
  onDelete,
  onMove,
  title,
  tools,
}: Props & { readonly title: ReactNode; readonly tools: ReactNode }) {
  const columns = useMemo(() => columnsOf(table, units), [table, units]);
  return (
    <Grid
      words={table.words}
      one={table.one}
      lines={items}
      columns={columns}
      idOf={idOf}
      nameOf={(item) => item.name}
      foundBy={(item) => item.note ?? ''}
      units={units}
      title={title}
      tools={tools}
      put={onPut}
      blank={blank}
      moving={{ Rows: MovableRows, onMove }}
      acts={(item) => <Actions item={item} onChange={(i) => onPut([i])} onCopy={onCopy} onDelete={onDelete} />}
    />
  );
}

const idOf = (item: ShopItem) => item.id;

/** Lathes have many sizes and are few: a line a size, a column a lathe; a single one in two halves side by side. */
export function MachineTable(props: Props) {
  const { fields } = props.table;
  const half = Math.ceil(fields.length / 2);
  if (props.items.length !== 1) return <Turned {...props} fields={fields} actions />;
  return (
    <div className="shop-pair">
      <Turned {...props} fields={fields.slice(0, half)} actions={false} />
      <Turned {...props} fields={fields.slice(half)} actions />
    </div>
  );
}

function Turned({
  table,
  items,
  units,
  onPut,
  onCopy,
  onDelete,
  fields,
  actions,
}: Props & { readonly fields: readonly ShopField[]; readonly actions: boolean }) {
  const [drafts, setDrafts] = useState<ReadonlyMap<string, Draft | undefined>>(new Map());
  const columns = useMemo(() => fields.map((f) => columnOf(f, units)), [fields, units]);
  const acts = useSteady({
    draft: (cell: string, draft: Draft | undefined) => setDrafts((before) => new Map([...before, [cell, draft]])),
    change: (item: ShopItem) => onPut([item]),
  });
  return (
    <div className="shop-scroll">
      <table className="shop-table turned" aria-label={actions ? table.words : `${table.words}, first half`}>
        <tbody>
          {columns.map((column) => (
            <tr key={column.key}>
              <th scope="row">{column.unit === undefined ? column.words : `${column.words}, ${column.unit}`}</th>
              {items.map((item) => (
                <td className="least-240" key={item.id} onKeyDown={downTheColumn}>
                  {column.put && (
                    <GridCell
                      line={item}
                      id={item.id}
                      column={column}
                      put={column.put}
                      label={`${item.name}: ${column.words}`}
                      units={units}
                      draft={drafts.get(cellOf(item.id, column.key))}
                      acts={acts}
                    />
                  )}
                </td>
              ))}
            </tr>
          ))}
          {actions && (
            <tr>
              <th scope="row">
                <span className="visually-hidden">actions</span>
              </th>
              {items.map((item) => (
                <td key={item.id}>
                  <Actions item={item} onChange={(i) => onPut([i])} onCopy={onCopy} onDelete={onDelete} />
                </td>
              ))}
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}

/** Enter and the arrows go to the next size of the same lathe; from the foot of the first half to the head of the second. */
function downTheColumn(e: KeyboardEvent<HTMLTableCellElement>): void {
  const choosing = e.target instanceof HTMLSelectElement;
  const step = e.key === 'Enter' || (e.key === 'ArrowDown' && !choosing) ? 1 : e.key === 'ArrowUp' && !choosing ? -1 : 0;
  const column = e.currentTarget.cellIndex;
  const cells = [...document.querySelectorAll<HTMLElement>(`.turned td:nth-child(${String(column + 1)}) [data-field]`)];
  const next = step === 0 ? undefined : cells[cells.indexOf(e.target as HTMLElement) + step];
  if (!next) return;
  e.preventDefault();
  next.focus();
  if (next instanceof HTMLInputElement || next instanceof HTMLTextAreaElement) next.select();
}

interface ActionsProps {
  readonly item: ShopItem;
  readonly onChange: (item: ShopItem) => void;
  readonly onCopy: (item: ShopItem) => void;
  readonly onDelete: (item: ShopItem) => void;
}

function Actions({ item, onChange, onCopy, onDelete }: ActionsProps) {
  const assumed = item.assumed ?? [];
  return (
    <span className="d-inline-flex gap-2">
      {assumed.length > 0 && (
        <Button size="sm" variant="link" aria-label={`right as it is: ${item.name}`} onClick={() => onChange(confirmed(item))}>
          <Check size={15} aria-hidden /> right as it is
        </Button>
      )}
      <Button size="sm" variant="link" aria-label={`copy ${item.name}`} onClick={() => onCopy(item)}>
        <Copy size={15} aria-hidden /> copy
      </Button>
      <Button size="sm" variant="link" aria-label={`delete ${item.name}`} onClick={() => onDelete(item)}>
        <Trash2 size={15} aria-hidden />
      </Button>
    </span>
  );
}
