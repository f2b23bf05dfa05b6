import { Form } from 'react-bootstrap';
import type { FieldError, UseFormRegisterReturn } from 'react-hook-form';

interface Props {
  readonly label: string;
  readonly of: UseFormRegisterReturn;
  readonly error: FieldError | undefined;
  /** a name for it where its label is seen elsewhere */
  readonly name?: string;
  readonly id?: string;
  readonly className?: string;
}

/** A cell of a dialog with its label; what is wrong with it stands under it and is read with it. */
export function FormField({ label, of, error, name, className = 'fig', id = of.name }: Props) {
  return (
    <div>
      {label !== '' && (
        <label htmlFor={id} className="m-0">
          {label}
        </label>
      )}
      <Form.Control
        {...of}
        id={id}
        aria-label={name}
        className={className}
        inputMode={className === '' ? 'text' : 'decimal'}
        autoComplete="off"
        spellCheck={false}
        maxLength={400}
        isInvalid={error !== undefined}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-wrong` : undefined}
      />
      {error && (
        <div id={`${id}-wrong`} className="out cell-says" role="alert">
          {error.message}
        </div>
      )}
    </div>
  );
}
