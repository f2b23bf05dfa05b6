import {
  type Detail,
  type DetailKind,
  detailWords,
  type Drawing as DrawingOfJob,
  type Edit,
  figure,
  materialOf,
  materials,
  type Section,
  stagesOf,
  volumeOfPart,
  widestOf,
  type ListName,
  pathOf,
} from '@obra/core';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { Button, Dropdown, Form } from 'react-bootstrap';
import { useLocation, useNavigate } from 'react-router';
import { useKeys } from '../../../app/keys';
import { newId } from '../../../data/ids';
import { Big, Checks } from '../../../slate';
import { fillOf } from '../../Handbook/cell';
import type { JobView } from '../view';
import { focusSoon } from './cells';
import { asksOf, DetailsTable, placesFor } from './DetailsTable';
import { addFit, Fits } from './Fits';
import { Lengths } from './Lengths';
import { addRelation, Relations } from './Relations';
import { RowCard } from './RowCard';
import { RowsTable } from './RowsTable';
import { addSample, Samples } from './Samples';
import { TitleBlock } from './TitleBlock';

const TemplateDialog = lazy(() => import('./TemplateDialog').then((m) => ({ default: m.TemplateDialog })));
const TakeIn = lazy(() => import('./TakeIn').then((m) => ({ default: m.TakeIn })));

const onTheLathe: readonly DetailKind[] = ['groove', 'ringGroove', 'faceGroove', 'knurl', 'centre', 'countersink', 'mark'];
const besideIt: readonly DetailKind[] = ['crossHole', 'flat', 'hexagon', 'keyway', 'slot', 'boltCircle'];

/** The drawing: rows from the right-hand end and holes from both, what is cut in them, what fits them; the picture above answers while one types. */
export function Drawing({ view }: { readonly view: JobView }) {
  const { job, part, units, open, chosen } = view;
  const { outside, boreRight, boreLeft, material } = job.drawing;
  const [shown, setShown] = useState<'lengths' | 'title' | undefined>();
  const [asking, setAsking] = useState<'template' | 'dxf' | undefined>();
  useFill(view);
  const add = (list: ListName, after?: string) => {
    const rows = job.drawing[list];
    const id = newId();
    const blank: Section = { id, size: { text: '', units }, length: { text: '', units } };
    const at = after === undefined ? -1 : rows.findIndex((r) => r.id === after);
    const next = at >= 0 ? rows[at + 1]?.id : undefined;
    open.edit([{ op: 'put', at: pathOf(list, id), value: blank, ...(next !== undefined && { before: next }) }]);
    focusSoon(`${id}.size`);
  };
  const rowHere = [...outside, ...boreRight, ...boreLeft].find((r) => r.id === chosen)?.id ?? outside[0]?.id;
  const cut = (kind: DetailKind) => {
    const { on } = asksOf[kind];
    const places = placesFor(on, job.drawing);
    const where = places.find((p) => p.ref === rowHere)?.ref ?? places[0]?.ref;
    if (where === undefined) return;
    const id = newId();
    const value: Detail = { id, kind, on: where, at: { text: '', units }, size: { text: '', units } };
    open.edit([{ op: 'put', at: `drawing/details/#${id}`, value }]);
    focusSoon(`${id}.${asksOf[kind].at === undefined ? 'size' : 'at'}`);
  };
  const here = useRef({ add, cut, last: outside.at(-1)?.id });
  useEffect(() => {
    here.current = { add, cut, last: outside.at(-1)?.id };
  });
  useKeys(
    useMemo(
      () => ({
        r: () => here.current.add('outside', here.current.last),
        a: () => here.current.add('boreRight'),
        b: () => here.current.add('boreLeft'),
        g: () => here.current.cut('groove'),
      }),
      [],
    ),
  );
  const replace = (drawing: DrawingOfJob, name?: string) => {
    const { outside: rows, boreRight: a, boreLeft: b, details } = drawing;
    const edits: Edit[] = Object.entries({ outside: rows, boreRight: a, boreLeft: b, details }).map(([key, value]) => ({
      op: 'put',
      at: `drawing/${key}`,
      value,
    }));
    open.edit([
      ...edits,
      { op: 'remove', at: 'drawing/overall' },
      ...(name !== undefined && outside.length === 0 && /^(part|new)/i.test(job.name) ? [{ op: 'put' as const, at: 'name', value: name }] : []),
    ]);
    setAsking(undefined);
  };
  const findings = view.findings.filter((f) => stagesOf(f).includes('drawing'));
  const rows = part.features.filter((f) => f.side === 'outside');
  const widest = rows.toSorted((x, y) => widestOf(y).nominal - widestOf(x).nominal)[0];
  return (
    <div className="work">
      <aside className="slate" aria-label="Slate">
        <h2>{part.length > 0 ? 'The part' : 'Type the first row'}</h2>
        {part.length > 0 && (
          <Big figure={figure('length', 'totalLength', { rows: rows.map((f) => f.near - f.far) })} units={units}>
            long
          </Big>
        )}
        {widest && (
          <Big figure={figure('diameter', 'toSize', { size: widestOf(widest).nominal })} units={units} size="mid">
            largest diameter
          </Big>
        )}
        {part.contour.length > 0 && (
          <Big figure={figure('mass', 'mass', { volume: volumeOfPart(part), density: materialOf(material).density })} units={units} size="mid">
            finished
          </Big>
        )}
        <hr />
        {findings.length === 0 ? (
          <p className="quiet m-0">No checks open.</p>
        ) : (
          <Checks findings={findings} units={units} apply={(e, to) => open.edit(e, to)} dark />
        )}
      </aside>
      <main className="sheet">
        <JobLine view={view} />
        <RowCard view={view} />
        <RowsTable view={view} list="outside" onAdd={(after) => add('outside', after)} />
        {boreRight.length > 0 && <RowsTable view={view} list="boreRight" onAdd={(after) => add('boreRight', after)} />}
        {boreLeft.length > 0 && <RowsTable view={view} list="boreLeft" onAdd={(after) => add('boreLeft', after)} />}
        <div className="d-flex gap-2 mb-3 flex-wrap">
          <Button variant="outline-dark" onClick={() => add('outside', outside.at(-1)?.id)}>
            add a row
          </Button>
          <Button variant="outline-dark" onClick={() => add('boreRight', boreRight.at(-1)?.id)}>
            hole in end A
          </Button>
          <Button variant="outline-dark" onClick={() => add('boreLeft', boreLeft.at(-1)?.id)}>
            hole in end B
          </Button>
          <Dropdown>
            <Dropdown.Toggle variant="outline-dark" disabled={outside.length === 0}>
              cut in it
            </Dropdown.Toggle>
            <Dropdown.Menu>
              {onTheLathe.map((kind) => (
                <Dropdown.Item as="button" key={kind} disabled={placesFor(asksOf[kind].on, job.drawing).length === 0} onClick={() => cut(kind)}>
                  {detailWords[kind]}
                </Dropdown.Item>
              ))}
              <Dropdown.Divider />
              <Dropdown.Header>beside the lathe</Dropdown.Header>
              {besideIt.map((kind) => (
                <Dropdown.Item as="button" key={kind} onClick={() => cut(kind)}>
                  {detailWords[kind]}
                </Dropdown.Item>
              ))}
            </Dropdown.Menu>
          </Dropdown>
          <Dropdown>
            <Dropdown.Toggle variant="outline-dark">more</Dropdown.Toggle>
            <Dropdown.Menu>
              <Dropdown.Item as="button" disabled={rowHere === undefined} onClick={() => rowHere !== undefined && addFit(view, rowHere)}>
                fit to a piece
              </Dropdown.Item>
              <Dropdown.Item as="button" disabled={rowHere === undefined} onClick={() => rowHere !== undefined && addRelation(view, rowHere)}>
                runs true to
              </Dropdown.Item>
              <Dropdown.Item as="button" onClick={() => addSample(view)}>
                size from a sample
              </Dropdown.Item>
              <Dropdown.Item as="button" active={shown === 'lengths'} onClick={() => setShown(shown === 'lengths' ? undefined : 'lengths')}>
                lengths and their tolerances
              </Dropdown.Item>
              <Dropdown.Item as="button" active={shown === 'title'} onClick={() => setShown(shown === 'title' ? undefined : 'title')}>
                title and treatment
              </Dropdown.Item>
              <Dropdown.Divider />
              <Dropdown.Item as="button" onClick={() => setAsking('template')}>
                part from a few numbers
              </Dropdown.Item>
              <Dropdown.Item as="button" onClick={() => setAsking('dxf')}>
                drawing from a DXF
              </Dropdown.Item>
            </Dropdown.Menu>
          </Dropdown>
          <Button variant="outline-dark" disabled={!open.canUndo} onClick={open.undo}>
            undo
          </Button>
          <Button variant="outline-dark" disabled={!open.canRedo} onClick={open.redo}>
            redo
          </Button>
        </div>
        {shown === 'lengths' && <Lengths view={view} />}
        {shown === 'title' && <TitleBlock view={view} />}
        <DetailsTable view={view} />
        <Fits view={view} />
        <Relations view={view} />
        <Samples view={view} />
      </main>
      <Suspense fallback={null}>
        {asking === 'template' && (
          <TemplateDialog units={units} replaces={outside.length > 0} onTake={replace} onClose={() => setAsking(undefined)} />
        )}
        {asking === 'dxf' && (
          <TakeIn units={units} replaces={outside.length > 0} onTake={(drawing) => replace(drawing)} onClose={() => setAsking(undefined)} />
        )}
      </Suspense>
    </div>
  );
}

/** A size that the Handbook hands back goes into its cell once, as one step of the history. */
function useFill({ job, open }: JobView): void {
  const location = useLocation();
  const navigate = useNavigate();
  const filled = useRef<string>(undefined);
  useEffect(() => {
    const fill = fillOf(location.state);
    if (!fill || filled.current === location.key) return;
    filled.current = location.key;
    void navigate(location.pathname + location.search, { replace: true, state: null });
    if (!job.drawing[fill.list].some((r) => r.id === fill.row)) return;
    open.edit([{ op: 'put', at: `${pathOf(fill.list, fill.row)}/size`, value: { text: fill.text, units: fill.units } }]);
    focusSoon(`${fill.row}.size`);
  }, [location, navigate, open, job]);
}

/** What the job is called, who it is for, of what, how many; the rule for sizes without a tolerance and the overall length. */
function JobLine({ view }: { readonly view: JobView }) {
  const { job, open, units } = view;
  const { material, untoleranced, overall } = job.drawing;
  return (
    <div className="d-flex gap-2 mb-2 flex-wrap">
      <Text label="Name" value={job.name} wide={190} onType={(t) => open.edit([{ op: 'put', at: 'name', value: t }], 'job', 'name')} />
      <Text
        label="Customer"
        value={job.customer ?? ''}
        wide={150}
        onType={(t) => open.edit([t === '' ? { op: 'remove', at: 'customer' } : { op: 'put', at: 'customer', value: t }], 'job', 'customer')}
      />
      <Form.Group controlId="pieces" style={{ width: 60 }}>
        <Form.Label className="m-0 quiet">Pieces</Form.Label>
        <Form.Control
          type="number"
          min={1}
          max={50}
          value={job.pieces}
          onChange={(e) => {
            const n = Math.round(Number(e.target.value));
            if (n >= 1 && n <= 50) open.edit([{ op: 'put', at: 'pieces', value: n }], 'job', 'pieces');
          }}
        />
      </Form.Group>
      <Form.Group controlId="material" style={{ width: 165 }}>
        <Form.Label className="m-0 quiet">Material</Form.Label>
        <Form.Select
          value={material}
          onChange={(e) => {
            open.edit([
              { op: 'put', at: 'drawing/material', value: e.target.value },
              ...job.choices.filter((c) => c.kind === 'bar').map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` })),
            ]);
          }}>
          {materials.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Text
        label="Without a tolerance"
        value={untoleranced.text}
        wide={130}
        onType={(t) => {
          open.edit([{ op: 'put', at: 'drawing/untoleranced', value: { ...untoleranced, text: t } }], 'job', 'untoleranced');
        }}
      />
      <Text
        label="Overall"
        value={overall?.text ?? ''}
        wide={84}
        onType={(t) =>
          open.edit(
            [
              t === ''
                ? { op: 'remove', at: 'drawing/overall' }
                : { op: 'put', at: 'drawing/overall', value: { text: t, units: overall?.units ?? units } },
            ],
            'job',
            'overall',
          )
        }
      />
    </div>
  );
}

function Text({
  label,
  value,
  wide,
  onType,
}: {
  readonly label: string;
  readonly value: string;
  readonly wide: number;
  readonly onType: (text: string) => void;
}) {
  return (
    <Form.Group controlId={`of-${label.replace(/\s+/g, '-')}`} style={{ width: wide }}>
      <Form.Label className="m-0 quiet text-nowrap">{label}</Form.Label>
      <Form.Control value={value} maxLength={120} onChange={(e) => onType(e.target.value)} />
    </Form.Group>
  );
}
