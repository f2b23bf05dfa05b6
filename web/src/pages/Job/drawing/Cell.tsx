import type { Cell as CellValue } from '@obra/core/document';
import type { Units } from '@obra/core/quantity';
import { X } from 'lucide-react';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';

interface CellProps {
  readonly id: string;
  readonly label: string;
  readonly cell: CellValue | undefined;
  readonly units: Units;
  readonly onType: (cell: CellValue) => void;
  readonly placeholder?: string;
  readonly bad?: boolean;
  readonly wide?: number;
}

/** A cell outside the rows table: what was typed, in the unit it was begun in. */
export function TextCell({ id, label, cell, units, onType, placeholder, bad = false, wide }: CellProps) {
  return (
    <Form.Control
      data-cell={id}
      aria-label={label}
      aria-invalid={bad}
      value={cell?.text ?? ''}
      placeholder={placeholder}
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      {...(wide !== undefined && { style: { width: wide } })}
      onChange={(e) => onType({ text: e.target.value, units: cell && cell.text.trim() !== '' ? cell.units : units })}
    />
  );
}

interface ReadingsProps {
  readonly id: string;
  readonly label: string;
  readonly readings: readonly CellValue[];
  readonly units: Units;
  readonly onType: (readings: CellValue[]) => void;
}

/** Several readings in one field, with spaces between; what was typed stays as it was typed. */
export function ReadingsCell({ id, label, readings, units, onType }: ReadingsProps) {
  const stored = readings.map((r) => r.text).join('  ');
  const [typed, setTyped] = useState(stored);
  const split = (text: string) => text.split(/[;\s]+/).filter((t) => t !== '');
  const shown = split(typed).join('  ') === stored.trim() ? typed : stored;
  return (
    <Form.Control
      data-cell={id}
      aria-label={label}
      value={shown}
      placeholder="readings"
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      onChange={(e) => {
        setTyped(e.target.value);
        const texts = split(e.target.value).slice(0, 40);
        onType((texts.length === 0 ? [''] : texts).map((text) => ({ text, units: readings[0]?.units ?? units })));
      }}
    />
  );
}

/** Takes a thing of the drawing out. */
export function Delete({ name, onDelete }: { readonly name: string; readonly onDelete: () => void }) {
  return (
    <Button size="sm" variant="link" aria-label={`delete ${name}`} onClick={onDelete}>
      <X size={16} aria-hidden />
    </Button>
  );
}

export interface Place {
  readonly ref: string;
  readonly says: string;
}

/** One place of the drawing; one that is not there now is kept and said. */
export function PlaceSelect({
  label,
  places,
  value,
  onChoose,
}: {
  readonly label: string;
  readonly places: readonly Place[];
  readonly value: string;
  readonly onChoose: (ref: string) => void;
}) {
  const all = places.some((p) => p.ref === value) ? places : [...places, { ref: value, says: 'not there now' }];
  return (
    <Form.Select aria-label={label} value={value} onChange={(e) => onChoose(e.target.value)}>
      {all.map((p) => (
        <option key={p.ref} value={p.ref}>
          {p.says}
        </option>
      ))}
    </Form.Select>
  );
}
