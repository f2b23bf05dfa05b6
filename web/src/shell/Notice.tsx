import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';

/** One sentence a person should know now: what happened, what was kept, what to do. */
export function Notice({ children, onClose }: { readonly children: ReactNode; readonly onClose?: () => void }) {
  return (
    <div className="notice" role="status">
      <span className="flex-fill">{children}</span>
      {onClose && (
        <Button variant="link" onClick={onClose}>
          close
        </Button>
      )}
    </div>
  );
}
