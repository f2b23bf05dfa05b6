import { type Units, writeSentence } from '@obra/core/quantity';
import { fieldText, type ShopField, type ShopItem, withField } from '@obra/core/shop';
import { type KeyboardEvent, useState } from 'react';

interface Props {
  readonly item: ShopItem;
  readonly field: ShopField;
  readonly units: Units;
  readonly onChange: (item: ShopItem) => void;
  readonly label: string;
}

/** One cell of a table of the shop: kept as typed; what is not understood stays in the cell with a sentence, and the shop as it was. */
export function ShopCell({ item, field, units, onChange, label }: Props) {
  const stored = fieldText(item, field, units);
  const [typed, setTyped] = useState<string>();
  const [says, setSays] = useState<string>();
  const assumed = (item.assumed ?? []).includes(field.key.split('.')[0] ?? '');
  const keep = (text: string) => {
    if (text === stored) {
      setTyped(undefined);
      setSays(undefined);
      return;
    }
    const read = withField(item, field, text, units);
    if (!read.ok) {
      setTyped(text);
      setSays(writeSentence(read.problems[0]?.says ?? [], units));
      return;
    }
    setTyped(undefined);
    setSays(undefined);
    onChange(read.value);
  };
  const mark = {
    className: ['shop-cell', field.is === 'text' || field.is === 'choice' ? 'words' : '', assumed ? 'assumed-cell' : ''].filter(Boolean).join(' '),
    'aria-label': assumed ? `${label}, assumed` : label,
    'data-field': field.key,
  };
  if (field.is === 'choice')
    return (
      <select {...mark} value={stored} onChange={(e) => keep(e.target.value)} onKeyDown={(e) => walk(e)}>
        {stored === '' && <option value="">–</option>}
        {!field.choices?.some((c) => c.value === stored) && stored !== '' && <option value={stored}>{stored}</option>}
        {field.choices?.map((c) => (
          <option key={c.value} value={c.value}>
            {c.words}
          </option>
        ))}
      </select>
    );
  return (
    <>
      <input
        {...mark}
        value={typed ?? stored}
        aria-invalid={says !== undefined}
        autoComplete="off"
        spellCheck={false}
        maxLength={400}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={(e) => keep(e.target.value)}
        onKeyDown={(e) => {
          // leaving the cell keeps it; at the last one there is nowhere to go
          if (!walk(e) && e.key === 'Enter') keep(e.currentTarget.value);
        }}
      />
      {says !== undefined && (
        <div role="alert" className="out cell-says">
          {says}
        </div>
      )}
    </>
  );
}

/** Enter and the arrows go to the same column of the next line. */
function walk(e: KeyboardEvent<HTMLElement>): boolean {
  const step =
    e.key === 'Enter' || (e.key === 'ArrowDown' && !(e.currentTarget instanceof HTMLSelectElement))
      ? 1
      : e.key === 'ArrowUp' && !(e.currentTarget instanceof HTMLSelectElement)
        ? -1
        : 0;
  if (step === 0) return false;
  e.preventDefault();
  const cells = [...document.querySelectorAll<HTMLElement>('.shop-table [data-field]')];
  const column = e.currentTarget.closest('.shop-table.turned') ? cells : cells.filter((c) => c.dataset['field'] === e.currentTarget.dataset['field']);
  const next = column[column.indexOf(e.currentTarget) + step];
  next?.focus();
  if (next instanceof HTMLInputElement) next.select();
  return next !== undefined;
}
