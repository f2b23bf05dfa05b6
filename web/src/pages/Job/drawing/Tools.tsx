import { type DetailKind, detailWords, type ListName } from '@obra/core/drawing';
import { Button, Dropdown } from 'react-bootstrap';
import { memoSteady } from '../../../shell/useSteady';

export const onTheLathe: readonly DetailKind[] = ['groove', 'ringGroove', 'faceGroove', 'knurl', 'centre', 'countersink', 'mark'];
const besideIt: readonly DetailKind[] = ['crossHole', 'flat', 'hexagon', 'keyway', 'slot', 'boltCircle'];

export interface ToolActs {
  readonly add: (list: ListName) => void;
  readonly cut: (kind: DetailKind) => void;
  readonly fit: () => void;
  readonly relate: () => void;
  readonly sample: () => void;
  readonly start: () => void;
  readonly show: (what: 'lengths' | 'title') => void;
  readonly ask: (what: 'template' | 'dxf') => void;
  readonly undo: () => void;
  readonly redo: () => void;
}

interface ToolsProps {
  readonly cuttable: readonly DetailKind[];
  readonly empty: boolean;
  readonly atRow: boolean;
  readonly shown: 'lengths' | 'title' | undefined;
  readonly starts: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly acts: ToolActs;
}

/** What can be put into the drawing, under its rows. */
export const Tools = memoSteady(function Tools({ cuttable, empty, atRow, shown, starts, canUndo, canRedo, acts }: ToolsProps) {
  return (
    <div className="d-flex gap-2 mb-3 flex-wrap">
      <Button variant="outline-dark" onClick={() => acts.add('outside')}>
        add a row
      </Button>
      <Button variant="outline-dark" onClick={() => acts.add('boreRight')}>
        hole in end A
      </Button>
      <Button variant="outline-dark" onClick={() => acts.add('boreLeft')}>
        hole in end B
      </Button>
      <Dropdown>
        <Dropdown.Toggle variant="outline-dark" disabled={empty}>
          cut in it
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
            fit to a piece
          </Dropdown.Item>
          <Dropdown.Item as="button" disabled={!atRow} onClick={acts.relate}>
            runs true to
          </Dropdown.Item>
          <Dropdown.Item as="button" onClick={acts.sample}>
            size from a sample
          </Dropdown.Item>
          <Dropdown.Item as="button" active={shown === 'lengths'} onClick={() => acts.show('lengths')}>
            lengths and their tolerances
          </Dropdown.Item>
          <Dropdown.Item as="button" active={shown === 'title'} onClick={() => acts.show('title')}>
            title and treatment
          </Dropdown.Item>
          <Dropdown.Item as="button" disabled={starts} onClick={acts.start}>
            a piece already started
          </Dropdown.Item>
          <Dropdown.Divider />
          <Dropdown.Item as="button" onClick={() => acts.ask('template')}>
            part from a few numbers
          </Dropdown.Item>
          <Dropdown.Item as="button" onClick={() => acts.ask('dxf')}>
            drawing from a DXF
          </Dropdown.Item>
        </Dropdown.Menu>
      </Dropdown>
      <Button variant="outline-dark" disabled={!canUndo} onClick={acts.undo}>
        undo
      </Button>
      <Button variant="outline-dark" disabled={!canRedo} onClick={acts.redo}>
        redo
      </Button>
    </div>
  );
});
