import { Button, Toast } from 'react-bootstrap';

interface Props {
  readonly text: string;
  readonly undo: (() => void) | undefined;
  readonly close: () => void;
}

/** One sentence at the foot of the page, with what takes it back. */
export function Strip({ text, undo, close }: Props) {
  return (
    <Toast show animation={false} onClose={close} role="presentation" aria-live="off">
      <Toast.Body className="d-flex gap-3 align-items-center">
        <span className="flex-fill">{text}</span>
        {undo && (
          <Button
            variant="link"
            onClick={() => {
              close();
              undo();
            }}>
            undo
          </Button>
        )}
        <Button variant="link" onClick={close}>
          close
        </Button>
      </Toast.Body>
    </Toast>
  );
}
