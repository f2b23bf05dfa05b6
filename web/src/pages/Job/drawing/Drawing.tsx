import './drawing.css';
import { stagesOf } from '@obra/core/bench';
import { blankRow, type Detail, type Drawing as DrawingOfJob, isBlankRow } from '@obra/core/document';
import { type DetailKind, type ListName, type Part, pathOf, volumeOfPart, widestOf } from '@obra/core/drawing';
import type { Edit, Finding } from '@obra/core/finding';
import { figure, type Units } from '@obra/core/quantity';
import { materialOf } from '@obra/core/standards';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useKeys } from '../../../shell/keys';
import { type Offer, useOffers } from '../../../shell/offers';
import { memoSteady, useSteady } from '../../../shell/useSteady';
import { newId } from '../../../data/ids';
import { Big, Checks } from '../../../slate';
import { cursorOf, fillOf } from '../../../data/cellOfJob';
import type { JobView } from '../view';
import { focusSoon } from './cells';
import { Changes } from './Changes';
import { asksOf, DetailsTable, placesFor } from './DetailsTable';
import { addFit, Fits } from './Fits';
import { JobLine } from './JobLine';
import { Lengths } from './Lengths';
import { OrderCard } from './OrderCard';
import { addRelation, Relations } from './Relations';
import { RowCard } from './RowCard';
import { RowsTable } from './RowsTable';
import { addSample, Samples } from './Samples';
import { Started, startFromPiece } from './Started';
import { TitleBlock } from './TitleBlock';
import { onTheLathe, type Shown, type ToolActs, Tools } from './Tools';

const TemplateDialog = lazy(() => import('./TemplateDialog').then((m) => ({ default: m.TemplateDialog })));
const TakeIn = lazy(() => import('./TakeIn').then((m) => ({ default: m.TakeIn })));

const kindWords = {
  groove: 'groove',
  keyway: 'keyway',
  flat: 'flat',
  hexagon: 'hexagon',
  crossHole: 'cross hole',
  boltCircle: 'bolt circle',
} as const;

/** Rows that stand at once with the fields of the job over them, at 1280x800. */
const BESIDE_FIELDS = 9;

/** The drawing: rows from the right-hand end and holes from both, what is cut in them, what fits them; the picture above answers while one types. */
export function Drawing({ view }: { readonly view: JobView }) {
  const { job, part, units, open, chosen } = view;
  const { outside, boreRight, boreLeft, material } = job.drawing;
  const [shown, setShown] = useState<Shown | undefined>();
  const [asking, setAsking] = useState<'template' | 'dxf' | undefined>();
  // twelve rows have the height; of fewer the fields of the job stand over them
  const [fields, setFields] = useState(outside.length + boreRight.length + boreLeft.length <= BESIDE_FIELDS);
  const empty = outside.every(isBlankRow);
  useFill(view);
  const add = (list: ListName, after?: string) => {
    const rows = job.drawing[list];
    const at = after === undefined ? -1 : rows.findIndex((r) => r.id === after);
    // a row that still waits is the one that is wanted
    const waiting = after === undefined ? rows.at(-1) : rows[at];
    if (waiting && isBlankRow(waiting)) {
      focusSoon(`${waiting.id}.size`);
      return;
    }
    const id = newId();
    const next = at >= 0 ? rows[at + 1]?.id : undefined;
    open.edit([{ op: 'put', at: pathOf(list, id), value: blankRow(id, units), ...(next !== undefined && { before: next }) }]);
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
  // no letter alone changes a drawing
  useKeys('drawing', {
    'alt+r': { says: 'a row', act: () => add('outside', outside.at(-1)?.id) },
    'alt+a': { says: 'a hole in end A', act: () => add('boreRight') },
    'alt+b': { says: 'a hole in end B', act: () => add('boreLeft') },
    'alt+g': { says: 'a groove', act: () => cut('groove') },
  });
  useOffers(() => [
    { id: 'add-row', group: 'actions', says: 'Add a row', words: 'section outside', act: () => add('outside', outside.at(-1)?.id) },
    { id: 'add-bore-a', group: 'actions', says: 'Add a hole in end A', words: 'bore', act: () => add('boreRight') },
    { id: 'add-bore-b', group: 'actions', says: 'Add a hole in end B', words: 'bore', act: () => add('boreLeft') },
    ...(empty
      ? []
      : (['groove', 'keyway', 'flat', 'hexagon', 'crossHole', 'boltCircle'] as const).map((kind): Offer => ({
          id: `add-${kind}`,
          group: 'actions',
          says: `Add a ${kindWords[kind]}`,
          act: () => cut(kind),
        }))),
  ]);
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
      ...(name !== undefined && empty && /^(part|new)/i.test(job.name) ? [{ op: 'put' as const, at: 'name', value: name }] : []),
    ]);
    setAsking(undefined);
  };
  const acts = useSteady<ToolActs>({
    add: (list) => add(list, job.drawing[list].at(-1)?.id),
    cut,
    fit: () => rowHere !== undefined && addFit(view, rowHere),
    relate: () => rowHere !== undefined && addRelation(view, rowHere),
    sample: () => addSample(view),
    start: () => startFromPiece(view),
    show: (what) => setShown(shown === what ? undefined : what),
    ask: setAsking,
    fields: () => setFields(!fields),
    undo: open.undo,
    redo: open.redo,
  });
  const findings = view.findings.filter((f) => stagesOf(f).includes('drawing'));
  // where the others are that the head of the page counts
  const elsewhere = (['holding', 'route'] as const).flatMap((stage) => {
    const many = view.findings.filter((f) => !stagesOf(f).includes('drawing') && stagesOf(f).includes(stage)).length;
    return many === 0 ? [] : [`${String(many)} in ${stage === 'holding' ? 'Holding' : 'Route'}`];
  });
  return (
    <div className="work">
      <aside className="slate" aria-label="Slate" tabIndex={0}>
        <Numbers part={part} material={material} units={units} />
        <hr />
        <RowCard view={view} />
        <hr />
        <OfDrawing findings={findings} elsewhere={elsewhere} units={units} apply={open.edit} />
      </aside>
      <main className="sheet">
        {fields && (
          <JobLine
            name={job.name}
            customer={job.customer ?? ''}
            wanted={job.wanted ?? ''}
            pieces={job.pieces}
            material={material}
            untoleranced={job.drawing.untoleranced}
            overall={job.drawing.overall}
            choices={job.choices}
            units={units}
            edit={open.edit}
          />
        )}
        <Tools
          cuttable={onTheLathe.filter((kind) => placesFor(asksOf[kind].on, job.drawing).length > 0)}
          empty={empty}
          atRow={rowHere !== undefined}
          shown={shown}
          fields={fields}
          starts={job.startsAs !== undefined}
          canUndo={open.canUndo}
          canRedo={open.canRedo}
          acts={acts}
        />
        <RowsTable view={view} list="outside" onAdd={(after) => add('outside', after)} />
        {boreRight.length > 0 && <RowsTable view={view} list="boreRight" onAdd={(after) => add('boreRight', after)} />}
        {boreLeft.length > 0 && <RowsTable view={view} list="boreLeft" onAdd={(after) => add('boreLeft', after)} />}
        {shown === 'lengths' && <Lengths view={view} />}
        {shown === 'title' && <TitleBlock view={view} />}
        {shown === 'order' && <OrderCard view={view} />}
        <Changes view={view} />
        <DetailsTable view={view} />
        <Started view={view} />
        <Fits view={view} />
        <Relations view={view} />
        <Samples view={view} />
      </main>
      <Suspense fallback={null}>
        {asking === 'template' && <TemplateDialog units={units} replaces={!empty} onTake={replace} onClose={() => setAsking(undefined)} />}
        {asking === 'dxf' && <TakeIn units={units} replaces={!empty} onTake={(drawing) => replace(drawing)} onClose={() => setAsking(undefined)} />}
      </Suspense>
    </div>
  );
}

interface NumbersProps {
  readonly part: Part;
  readonly material: string;
  readonly units: Units;
}

/** The few numbers of the drawing. */
const Numbers = memoSteady(function Numbers({ part, material, units }: NumbersProps) {
  const rows = part.features.filter((f) => f.side === 'outside');
  const widest = rows.toSorted((x, y) => widestOf(y).nominal - widestOf(x).nominal)[0];
  return (
    <>
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
    </>
  );
});

interface OfDrawingProps {
  readonly findings: readonly Finding[];
  /** '3 in Holding' */
  readonly elsewhere: readonly string[];
  readonly units: Units;
  readonly apply: JobView['open']['edit'];
}

const OfDrawing = memoSteady(function OfDrawing({ findings, elsewhere, units, apply }: OfDrawingProps) {
  return findings.length === 0 ? (
    <p className="quiet m-0">No checks on the drawing{elsewhere.length === 0 ? '' : `; ${elsewhere.join(', ')}`}.</p>
  ) : (
    <Checks findings={findings} units={units} apply={apply} dark />
  );
});

/** What the drawing was opened with: a size that the Handbook hands back goes into its cell once, as one step of the history; the cursor where it is wanted. */
function useFill({ job, open }: JobView): void {
  const location = useLocation();
  const navigate = useNavigate();
  const filled = useRef<string>(undefined);
  useEffect(() => {
    const [fill, cursor] = [fillOf(location.state), cursorOf(location.state)];
    if ((!fill && cursor === undefined) || filled.current === location.key) return;
    filled.current = location.key;
    void navigate(location.pathname + location.search, { replace: true, state: null });
    if (cursor !== undefined) focusSoon(cursor);
    if (!fill || !job.drawing[fill.list].some((r) => r.id === fill.row)) return;
    open.edit([{ op: 'put', at: `${pathOf(fill.list, fill.row)}/size`, value: { text: fill.text, units: fill.units } }]);
    focusSoon(`${fill.row}.size`);
  }, [location, navigate, open, job]);
}
