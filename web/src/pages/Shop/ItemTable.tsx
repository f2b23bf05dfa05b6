import type { Units } from '@obra/core/quantity';
import { confirmed, type ShopField, type ShopItem, type ShopTable } from '@obra/core/shop';
import { X } from 'lucide-react';
import { Button } from 'react-bootstrap';
import { ShopCell } from './ShopCell';

interface Props {
  readonly table: ShopTable;
  readonly items: readonly ShopItem[];
  readonly units: Units;
  readonly onChange: (item: ShopItem) => void;
  readonly onCopy: (item: ShopItem) => void;
  readonly onDelete: (item: ShopItem) => void;
}

const headOf = (field: ShopField, units: Units) => {
  const unit = field.unit ?? (field.is === 'length' || field.is === 'lengths' ? units : undefined);
  return unit === undefined ? field.words : `${field.words}, ${unit}`;
};

/** A list of the shop: a line an item, a column a size. */
export function ItemTable({ table, items, units, onChange, onCopy, onDelete }: Props) {
  return (
    <div className="shop-scroll">
      <table className="shop-table" aria-label={table.words}>
        <thead>
          <tr>
            {table.fields.map((f) => (
              <th key={f.key} scope="col" style={{ minWidth: f.wide ?? 74 }}>
                {headOf(f, units)}
              </th>
            ))}
            <th>
              <span className="visually-hidden">actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {items.map((item) => (
            <tr key={item.id} data-item={item.id}>
              {table.fields.map((f) => (
                <td key={f.key}>
                  <ShopCell item={item} field={f} units={units} label={`${item.name}: ${f.words}`} onChange={onChange} />
                </td>
              ))}
              <td className="text-nowrap">
                <Actions item={item} onChange={onChange} onCopy={onCopy} onDelete={onDelete} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

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
  onChange,
  onCopy,
  onDelete,
  fields,
  actions,
}: Props & { readonly fields: readonly ShopField[]; readonly actions: boolean }) {
  return (
    <div className="shop-scroll">
      <table className="shop-table turned" aria-label={actions ? table.words : `${table.words}, first half`}>
        <tbody>
          {fields.map((f) => (
            <tr key={f.key}>
              <th scope="row">{headOf(f, units)}</th>
              {items.map((item) => (
                <td className="least-240" key={item.id}>
                  <ShopCell item={item} field={f} units={units} label={`${item.name}: ${f.words}`} onChange={onChange} />
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
                  <Actions item={item} onChange={onChange} onCopy={onCopy} onDelete={onDelete} />
                </td>
              ))}
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}

function Actions({ item, onChange, onCopy, onDelete }: Pick<Props, 'onChange' | 'onCopy' | 'onDelete'> & { readonly item: ShopItem }) {
  const assumed = item.assumed ?? [];
  return (
    <span className="d-inline-flex gap-2">
      {assumed.length > 0 && (
        <Button size="sm" variant="link" aria-label={`right as it is: ${item.name}`} onClick={() => onChange(confirmed(item))}>
          right as it is
        </Button>
      )}
      <Button size="sm" variant="link" aria-label={`copy ${item.name}`} onClick={() => onCopy(item)}>
        copy
      </Button>
      <Button size="sm" variant="link" aria-label={`delete ${item.name}`} onClick={() => onDelete(item)}>
        <X size={16} aria-hidden />
      </Button>
    </span>
  );
}
