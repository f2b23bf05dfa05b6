import { type KeyboardEvent, useState } from 'react';

/** What is typed in the picture: the text of a cell, where it goes, what was understood of it; a detail's cell is its size. */
export interface Typing {
  readonly text: (cell: string) => string;
  readonly put: (cell: string, text: string) => void;
  readonly said: (cell: string) => { readonly text: string; readonly bad: boolean };
  /** the length of a row that a hand moves, in steps of the drawing's own fineness; nothing where it is not a plain one */
  readonly moved: (row: string, mm: number) => { readonly text: string; readonly mm: number } | undefined;
  readonly choose: (row: string) => void;
}

/** A cell that was opened in the picture, px. */
export interface OpenCell {
  readonly cell: string;
  readonly says: string;
  readonly x: number;
  readonly y: number;
  /** what was pressed, where the cursor goes back to */
  readonly from: SVGElement;
}

/** Width of the cell, px. */
const WIDE = 168;

interface Props {
  readonly open: OpenCell;
  readonly typing: Typing;
  readonly width: number;
  readonly height: number;
  readonly onClose: () => void;
}

/** A cell of the drawing where its dimension stands: typed there; Enter or Esc closes it, and the part has answered meanwhile. */
export function CellInPicture({ open, typing, width, height, onClose }: Props) {
  const { cell, says, x, y, from } = open;
  const [text, setText] = useState(() => typing.text(cell));
  const said = typing.said(cell);
  const back = () => {
    onClose();
    from.focus();
  };
  const key = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === 'Enter' || e.key === 'Escape') e.preventDefault();
    // the cursor goes on from what was pressed
    if (e.key === 'Enter' || e.key === 'Escape' || e.key === 'Tab') back();
  };
  return (
    <div
      className="cell-in-picture noprint"
      style={{ left: Math.min(Math.max(6, x - WIDE / 2), width - WIDE - 6), top: Math.min(Math.max(4, y - 16), height - 60), width: WIDE }}>
      <input
        className="form-control fig"
        aria-label={`${says}, in the picture`}
        data-picture-cell={cell}
        value={text}
        autoFocus
        autoComplete="off"
        spellCheck={false}
        maxLength={200}
        placeholder={/\.(near|far)$/.test(cell) ? '0.5, 1x45, R2' : undefined}
        onFocus={(e) => e.target.select()}
        onChange={(e) => {
          setText(e.target.value);
          typing.put(cell, e.target.value);
        }}
        onKeyDown={key}
        onBlur={onClose}
      />
      {said.text !== '' && <div className={said.bad ? 'out' : 'quiet'}>{said.text}</div>}
    </div>
  );
}
