import { boardOf, type BenchState } from '@obra/core/bench';
import { writeMinutes, writeWithUnit } from '@obra/core/quantity';
import { type SubmitEvent, useId, useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { JobView } from './view';
import { noReason, overSize, underSize } from '../../words/found';
import { keepIt, scrapPiece } from '../../words/pressed';

interface Props {
  readonly view: JobView;
  readonly state: BenchState;
  readonly piece: number;
  /** why, where the Bench knows it already */
  readonly why: string;
  readonly onClose: () => void;
  readonly onStore: (work: () => Promise<void>) => Promise<void>;
}

const USUAL = [
  underSize,
  overSize,
  'dropped',
  'slipped in the jaws',
  'torn thread',
  'marked by the jaws',
  'wrong material',
  'a crack or a hole in the bar',
];
const MOST = 50;

/** A piece is given up: why, what is lost with it, and whether another is made in its place. */
export function Scrap({ view, state, piece, why: known, onClose, onStore }: Props) {
  const { job, plan, log, shop, open } = view;
  const [why, setWhy] = useState(known);
  const [another, setAnother] = useState(false);
  const id = useId();
  const one = useMemo(
    () => (plan ? boardOf({ job, plan, log, shop }, state, 0).find((p) => p.piece === piece) : undefined),
    [job, plan, log, shop, state, piece],
  );
  const bar = plan?.routes[0]?.bar.cut;
  const scrap = (e: SubmitEvent) => {
    e.preventDefault();
    void onStore(async () => {
      await view.add({ kind: 'scrapped', why: why.trim() === '' ? noReason : why.trim().slice(0, 400), piece, step: state.at?.step ?? null });
      if (another && job.pieces < MOST) open.edit([{ op: 'put', at: 'pieces', value: job.pieces + 1 }]);
      onClose();
    });
  };
  return (
    <Form className="note-here" aria-label={`Scrap piece ${String(piece)}`} onSubmit={scrap} onKeyDown={(e) => e.key === 'Escape' && onClose()}>
      <div>
        Scrap piece {piece}: {writeMinutes(one?.spent ?? 0)} of work by the plan
        {bar ? ` and ${writeWithUnit({ ...bar, step: 1 }, view.units)} of bar` : ''} are lost with it.
      </div>
      <div className="d-flex gap-2 mt-2 align-items-center flex-wrap">
        <Form.Control
          autoFocus
          className="wide-260"
          aria-label="why"
          placeholder="why"
          list={id}
          value={why}
          maxLength={400}
          onChange={(e) => setWhy(e.target.value)}
        />
        <datalist id={id}>
          {USUAL.map((words) => (
            <option key={words} value={words} />
          ))}
        </datalist>
        <Form.Check
          type="checkbox"
          id={`${id}-another`}
          label="another blank from the rack in its place"
          checked={another}
          disabled={job.pieces >= MOST}
          onChange={(e) => setAnother(e.target.checked)}
        />
        <Button type="submit" variant="light" className="tall-48">
          {scrapPiece(piece)}
        </Button>
        <Button variant="outline-light" className="tall-48" onClick={onClose}>
          {keepIt}
        </Button>
      </div>
    </Form>
  );
}
