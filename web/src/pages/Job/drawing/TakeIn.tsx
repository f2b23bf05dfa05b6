import type { Drawing } from '@obra/core/document';
import { readDrawing } from '@obra/core/drawing';
import type { Axis } from '@obra/core/exchange';
import { readLength, type Sentence, type Units, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { useEffect, useRef, useState } from 'react';
import { Button, Form, Modal, ProgressBar } from 'react-bootstrap';
import { useFiles } from '../../../shell/files';
import { SmallPart } from '../../../small';
import { type DxfAnswer, readingOf, type Stoppable } from '../../../work/readDxf';
import { centreLine } from '../../../words/places';
import { inPlaceOfRows } from '../../../words/pressed';

interface Props {
  readonly units: Units;
  readonly replaces: boolean;
  readonly onTake: (drawing: Drawing) => void;
  readonly onClose: () => void;
}

type Now =
  | { readonly kind: 'ask' }
  | { readonly kind: 'reading'; readonly share: number }
  | { readonly kind: 'read'; readonly answer: Extract<DxfAnswer, { ok: true }> }
  | { readonly kind: 'refused'; readonly says: Sentence };

/** A drawing from a DXF: read in a worker, looked at, taken. */
export function TakeIn({ units, replaces, onTake, onClose }: Props) {
  const [now, setNow] = useState<Now>({ kind: 'ask' });
  const [text, setText] = useState<string>();
  const [asked, setAsked] = useState<{ readonly axis?: Pick<Axis, 'along' | 'at'>; readonly gap: string }>({ gap: '' });
  const running = useRef<Stoppable>(undefined);
  useEffect(() => () => running.current?.stop(), []);
  const read = (content: string, how: typeof asked) => {
    running.current?.stop();
    setText(content);
    setAsked(how);
    setNow({ kind: 'reading', share: 0 });
    const gap = readLength(how.gap, units)?.value;
    const job = readingOf(content, { units, ...(how.axis && { axis: how.axis }), ...(gap !== undefined && gap > 0 && { gap }) }, (done, total) =>
      setNow({ kind: 'reading', share: total > 0 ? done / total : 0 }),
    );
    running.current = job;
    job.answer.then(
      (answer) => setNow(answer.ok ? { kind: 'read', answer } : { kind: 'refused', says: answer.says }),
      () => setNow({ kind: 'refused', says: ['The file could not be read; the job is untouched.'] }),
    );
  };
  const choose = useFiles(
    'DXF of a half profile or a full outline',
    '.dxf',
    (file) => void file.text().then((content) => read(content, { gap: '' })),
  );
  const stop = () => {
    running.current?.stop();
    setNow({ kind: 'ask' });
  };
  return (
    <Modal show onHide={onClose} animation={false} size="lg" aria-label="Drawing from a DXF" className="low">
      <Modal.Body>
        <div className="d-flex gap-3 align-items-center mb-3">
          <Button onClick={choose}>choose a DXF</Button>
          <span className="quiet">of a half profile or a full outline; or drop it anywhere here</span>
        </div>
        {now.kind === 'reading' && (
          <div className="d-flex gap-3 align-items-center">
            <ProgressBar className="flex-fill" now={100 * now.share} label="" aria-label="reading" />
            <Button variant="outline-dark" onClick={stop}>
              stop
            </Button>
          </div>
        )}
        {now.kind === 'refused' && (
          <p className="out" role="alert">
            {writeSentence(now.says, units)}
          </p>
        )}
        {now.kind === 'read' && <Found answer={now.answer} units={units} onAxis={(axis) => text !== undefined && read(text, { ...asked, axis })} />}
        {text !== undefined && now.kind !== 'reading' && (
          <Form
            className="d-flex gap-2 align-items-center mt-2"
            onSubmit={(e) => {
              e.preventDefault();
              read(text, asked);
            }}>
            <Form.Label htmlFor="dxf-gap" className="m-0 quiet">
              close gaps up to
            </Form.Label>
            <Form.Control
              id="dxf-gap"
              style={{ width: 110 }}
              value={asked.gap}
              placeholder={units === 'mm' ? '0.01 mm' : '.0004 in'}
              autoComplete="off"
              maxLength={20}
              aria-invalid={asked.gap.trim() !== '' && !(readLength(asked.gap, units)?.value ?? 0)}
              onChange={(e) => setAsked({ ...asked, gap: e.target.value })}
            />
            <Button type="submit" variant="outline-dark" size="sm">
              read again
            </Button>
          </Form>
        )}
        <div className="d-flex gap-2 mt-3">
          <Button disabled={now.kind !== 'read'} onClick={() => now.kind === 'read' && onTake(now.answer.drawing)}>
            {replaces ? inPlaceOfRows : 'take these rows'}
          </Button>
          <Button variant="outline-dark" onClick={onClose}>
            cancel
          </Button>
        </div>
      </Modal.Body>
    </Modal>
  );
}

function Found({
  answer,
  units,
  onAxis,
}: {
  readonly answer: Extract<DxfAnswer, { ok: true }>;
  readonly units: Units;
  readonly onAxis: (axis: Axis) => void;
}) {
  const part = readDrawing(answer.drawing);
  const { outside, boreRight, boreLeft } = answer.drawing;
  return (
    <>
      <div className="d-flex gap-3">
        <SmallPart part={part} width={300} height={120} />
        <div>
          <p className="m-0">
            {outside.length} rows outside, {boreRight.length + boreLeft.length} in holes; {writeWithUnit({ is: 'length', value: part.length }, units)}{' '}
            long
          </p>
          <Form.Group controlId="dxf-axis">
            <Form.Label className="m-0 quiet">{centreLine}</Form.Label>
            <Form.Select
              value="0"
              onChange={(e) => {
                const axis = answer.axes[Number(e.target.value)];
                if (axis) onAxis(axis);
              }}>
              {answer.axes.map((a, i) => (
                <option key={i} value={i}>
                  {a.along === 'x' ? 'level' : 'upright'}, at {writeWithUnit({ is: 'length', value: a.at }, units)}: {writeSentence(a.why, units)}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
        </div>
      </div>
      <ul className="quiet mt-2 mb-0" aria-label="Not taken from the file">
        {answer.leftOut.map((s, i) => (
          <li key={i}>{writeSentence(s, units)}</li>
        ))}
      </ul>
    </>
  );
}
