import { Button, Toast } from 'react-bootstrap';
import type { Act } from './act';

interface Props {
  readonly text: string;
  readonly act: Act | undefined;
  readonly close: () => void;
}

/** One sentence at the foot of the page, with what takes it back, or does what it says. */
export function Strip({ text, act, close }: Props) {
  return (
    <Toast show animation={false} onClose={close} role="presentation" aria-live="off">
      <Toast.Body className="d-flex gap-3 align-items-center">
        <span className="flex-fill">{text}</span>
        {act && (
          <Button
            variant="link"
            onClick={() => {
              close();
              act.does();
            }}>
            {act.says}
          </Button>
        )}
        <Button variant="link" onClick={close}>
          close
        </Button>
      </Toast.Body>
    </Toast>
  );
}
