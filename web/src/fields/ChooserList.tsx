import { Check } from 'lucide-react';
import { type KeyboardEvent, type ReactNode, type RefObject, useEffect, useId, useMemo, useRef, useState } from 'react';
import { Form, Overlay } from 'react-bootstrap';
import { Finding } from '../shell/search';

export interface Choosing {
  readonly key: string;
  readonly words: string;
  /** what speaks against it, or where it ends */
  readonly note?: string | undefined;
  readonly picture?: ReactNode;
}

interface Props {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly Choosing[];
  readonly opener: RefObject<HTMLButtonElement | null>;
  readonly close: () => void;
  readonly onChoose: (key: string) => void;
}

/** The list of a chooser: its find cell, what is found with a picture of each, how many there are. */
export function ChooserList({ label, value, choices, opener, close, onChoose }: Props) {
  const [asked, setAsked] = useState('');
  const id = useId();
  const list = useRef<HTMLDivElement>(null);
  const finding = useMemo(() => new Finding(choices, (c) => `${c.words} ${c.note ?? ''}`), [choices]);
  const shown = finding.find(asked).lines;
  const taken = Math.max(
    0,
    shown.findIndex((c) => c.key === value),
  );
  const [chosen, setChosen] = useState({ asked: '', at: taken });
  const at = chosen.asked === asked ? Math.min(chosen.at, shown.length - 1) : 0;
  const see = (n: number) => list.current?.querySelector(`[id="${id}-${String(n)}"]`)?.scrollIntoView({ block: 'nearest' });
  useEffect(() => {
    see(taken);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when it opens
  }, []);
  const take = (choice: Choosing | undefined) => {
    if (choice) onChoose(choice.key);
    close();
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
    if (e.key === 'Enter') {
      e.preventDefault();
      take(shown[at]);
    } else if (step !== 0 && shown.length > 0) {
      e.preventDefault();
      const next = (at + step + shown.length) % shown.length;
      setChosen({ asked, at: next });
      see(next);
    }
  };
  return (
    <Overlay target={opener} show placement="bottom-start" rootClose transition={false} onHide={close}>
      {({ ref, style }) => (
        <div ref={ref} style={style} className="dropdown-menu show chooser-list" role="dialog" aria-label={`choose ${label}`}>
          <Form.Control
            autoFocus
            role="combobox"
            aria-expanded="true"
            aria-controls={id}
            aria-activedescendant={shown.length > 0 ? `${id}-${String(at)}` : undefined}
            aria-label={`Find in ${label}`}
            placeholder="find"
            autoComplete="off"
            value={asked}
            onChange={(e) => setAsked(e.target.value)}
            onKeyDown={onKeyDown}
          />
          <div className="find-list" id={id} role="listbox" aria-label={label} ref={list}>
            {shown.map((c, n) => (
              <div key={c.key} id={`${id}-${String(n)}`} role="option" aria-selected={n === at} className="find-option" onClick={() => take(c)}>
                {c.picture}
                <span>
                  {c.words}
                  {c.note !== undefined && <span className="quiet size-14"> {c.note}</span>}
                </span>
                {c.key === value && <Check size={15} className="ms-auto" aria-label="taken" />}
              </div>
            ))}
          </div>
          <p className="quiet size-14 m-0 px-2" role="status">
            {`${String(shown.length)} of ${String(choices.length)}`}
          </p>
        </div>
      )}
    </Overlay>
  );
}
