import { Form } from 'react-bootstrap';

interface Props {
  readonly words: string;
  readonly hint: string;
  readonly value: string;
  readonly className?: string;
  readonly onText: (text: string) => void;
  readonly onKeep: () => void;
}

/** A reading typed at the Bench beside the pad: its keys go nowhere else, Enter keeps it. */
export const TypedReading = ({ words, hint, value, className = '', onText, onKeep }: Props) => (
  <Form.Control
    className={`tall-48 fig ${className}`}
    inputMode="text"
    autoComplete="off"
    maxLength={14}
    placeholder={hint}
    aria-label={words}
    value={value}
    onChange={(e) => onText(e.target.value)}
    onKeyDown={(e) => {
      e.stopPropagation();
      if (e.key === 'Enter') onKeep();
    }}
  />
);
