import { type DetailKind, detailWords, type ListName } from '@obra/core/drawing';
import { CircleDot, CirclePlay, FileInput, FileText, Inbox, Link2, MoveHorizontal, Plus, Redo2, RotateCw, Ruler, Shapes, Undo2 } from 'lucide-react';
import { Button, Dropdown } from 'react-bootstrap';
import { memoSteady } from '../../../shell/useSteady';
import { cutInIt } from '../../../words/pressed';
import { pieceStarted, runsTrueTo } from '../../../words/places';

export const onTheLathe: readonly DetailKind[] = ['groove', 'ringGroove', 'faceGroove', 'knurl', 'centre', 'countersink', 'mark'];
const besideIt: readonly DetailKind[] = ['crossHole', 'flat', 'hexagon', 'keyway', 'slot', 'boltCircle'];

/** What is opened under the rows. */
export type Shown = 'lengths' | 'title' | 'order';

export interface ToolActs {
  readonly add: (list: ListName) => void;
  readonly cut: (kind: DetailKind) => void;
  readonly fit: () => void;
  readonly relate: () => void;
  readonly sample: () => void;
  readonly start: () => void;
  readonly show: (what: Shown) => void;
  readonly ask: (what: 'template' | 'dxf') => void;
  /** what the job is called, of what, how many */
  readonly fields: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
}

interface ToolsProps {
  readonly cuttable: readonly DetailKind[];
  readonly empty: boolean;
  readonly atRow: boolean;
  readonly shown: Shown | undefined;
  readonly fields: boolean;
  readonly starts: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly acts: ToolActs;
}

/** What can be put into the drawing, over its rows. */
export const Tools = memoSteady(function Tools({ cuttable, empty, atRow, shown, fields, starts, canUndo, canRedo, acts }: ToolsProps) {
  return (
    <div className="drawing-tools">
      <Button variant="outline-dark" onClick={() => acts.add('outside')}>
        <Plus size={15} aria-hidden /> add a row
      </Button>
      <Button variant="outline-dark" onClick={() => acts.add('boreRight')}>
        <CircleDot size={15} aria-hidden /> hole in end A
      </Button>
      <Button variant="outline-dark" onClick={() => acts.add('boreLeft')}>
        <CircleDot size={15} aria-hidden /> hole in end B
      </Button>
      <Dropdown>
        <Dropdown.Toggle variant="outline-dark" disabled={empty}>
          {cutInIt}
        </Dropdown.Toggle>
        <Dropdown.Menu>
          {onTheLathe.map((kind) => (
            <Dropdown.Item as="button" key={kind} disabled={!cuttable.includes(kind)} onClick={() => acts.cut(kind)}>
              {detailWords[kind]}
            </Dropdown.Item>
          ))}
          <Dropdown.Divider />
          <Dropdown.Header>beside the lathe</Dropdown.Header>
          {besideIt.map((kind) => (
            <Dropdown.Item as="button" key={kind} onClick={() => acts.cut(kind)}>
              {detailWords[kind]}
            </Dropdown.Item>
          ))}
        </Dropdown.Menu>
      </Dropdown>
      <Dropdown>
        <Dropdown.Toggle variant="outline-dark">more</Dropdown.Toggle>
        <Dropdown.Menu>
          <Dropdown.Item as="button" disabled={!atRow} onClick={acts.fit}>
            <Link2 size={15} aria-hidden /> fit to a piece
          </Dropdown.Item>
          <Dropdown.Item as="button" disabled={!atRow} onClick={acts.relate}>
            <RotateCw size={15} aria-hidden /> {runsTrueTo}
          </Dropdown.Item>
          <Dropdown.Item as="button" onClick={acts.sample}>
            <Ruler size={15} aria-hidden /> size from a sample
          </Dropdown.Item>
          <Dropdown.Item as="button" active={shown === 'lengths'} onClick={() => acts.show('lengths')}>
            <MoveHorizontal size={15} aria-hidden /> lengths and their tolerances
          </Dropdown.Item>
          <Dropdown.Item as="button" active={shown === 'title'} onClick={() => acts.show('title')}>
            <FileText size={15} aria-hidden /> title and treatment
          </Dropdown.Item>
          <Dropdown.Item as="button" active={shown === 'order'} onClick={() => acts.show('order')}>
            <Inbox size={15} aria-hidden /> the order, and what came with it
          </Dropdown.Item>
          <Dropdown.Item as="button" disabled={starts} onClick={acts.start}>
            <CirclePlay size={15} aria-hidden /> {pieceStarted}
          </Dropdown.Item>
          <Dropdown.Divider />
          <Dropdown.Item as="button" onClick={() => acts.ask('template')}>
            <Shapes size={15} aria-hidden /> part from a few numbers
          </Dropdown.Item>
          <Dropdown.Item as="button" onClick={() => acts.ask('dxf')}>
            <FileInput size={15} aria-hidden /> drawing from a DXF
          </Dropdown.Item>
        </Dropdown.Menu>
      </Dropdown>
      <Button variant="outline-dark" disabled={!canUndo} onClick={acts.undo}>
        <Undo2 size={15} aria-hidden /> undo
      </Button>
      <Button variant="outline-dark" disabled={!canRedo} onClick={acts.redo}>
        <Redo2 size={15} aria-hidden /> redo
      </Button>
      <Button variant="outline-dark" aria-pressed={fields} onClick={acts.fields} className="ms-auto">
        job
      </Button>
    </div>
  );
});
