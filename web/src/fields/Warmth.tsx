import { bareDegrees, fahrenheit, type Units, writeSentence } from '@obra/core/quantity';
import { readWarmth } from '@obra/core/sizing';
import { useId, useState } from 'react';
import { Form } from 'react-bootstrap';

interface Props {
  readonly label: string;
  /** degrees Celsius */
  readonly celsius: number;
  readonly units: Units;
  readonly onChange: (celsius: number) => void;
}

/** Both scales of a temperature, as it is echoed beside its cell. */
export const bothScales = (celsius: number): string =>
  `${String(Math.round(celsius * 10) / 10)} °C, ${String(Math.round(fahrenheit(celsius) * 10) / 10)} °F`;

/** A temperature in a cell: typed in C or F, kept in C; what is not understood stays in the cell and is said. */
export function Warmth({ label, celsius, units, onChange }: Props) {
  const [text, setText] = useState<string>();
  const id = useId();
  const read = text === undefined ? undefined : readWarmth(text, bareDegrees(units));
  return (
    <>
      <Form.Control
        className="fig"
        aria-label={label}
        aria-describedby={id}
        value={text ?? `${String(Math.round(celsius * 10) / 10)} C`}
        maxLength={14}
        isInvalid={read?.ok === false}
        onChange={(e) => {
          setText(e.target.value);
          const typed = readWarmth(e.target.value, bareDegrees(units));
          if (typed.ok) onChange(typed.value);
        }}
        onBlur={() => {
          if (read?.ok === true) setText(undefined);
        }}
      />
      <small id={id} className={read?.ok === false ? 'out' : 'quiet'}>
        {read?.ok === false ? writeSentence(read.problems[0]?.says ?? [], units) : bothScales(celsius)}
      </small>
    </>
  );
}
