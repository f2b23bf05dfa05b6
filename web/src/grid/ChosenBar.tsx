import { ArrowDownToLine, ClipboardCopy, ClipboardPaste } from 'lucide-react';
import { Button } from 'react-bootstrap';
import { tell } from '../shell/says';

interface Props {
  /** of what is chosen, when it is more than one cell */
  readonly size: string | undefined;
  readonly text: () => string;
  readonly onPaste?: (text: string) => void;
  readonly onFill?: () => void;
}

const refused = () => tell('This browser does not open its clipboard here: copy and paste by its own keys.');

/** What can be done with the cells chosen, for a finger too. */
export function ChosenBar({ size, text, onPaste, onFill }: Props) {
  const copy = () => void navigator.clipboard.writeText(text()).then(() => tell(`${size ?? ''} copied.`), refused);
  const paste = () => void navigator.clipboard.readText().then(onPaste, refused);
  return (
    // the cell keeps the cursor
    <span className="grid-chosen" onMouseDown={(e) => e.preventDefault()}>
      {size !== undefined && <span className="quiet">{size}</span>}
      {size !== undefined && (
        <Button size="sm" variant="outline-dark" onClick={copy}>
          <ClipboardCopy size={14} aria-hidden /> copy
        </Button>
      )}
      {onPaste && (
        <Button size="sm" variant="outline-dark" onClick={paste}>
          <ClipboardPaste size={14} aria-hidden /> paste
        </Button>
      )}
      {onFill && size !== undefined && (
        <Button size="sm" variant="outline-dark" onClick={onFill}>
          <ArrowDownToLine size={14} aria-hidden /> fill down
        </Button>
      )}
    </span>
  );
}
