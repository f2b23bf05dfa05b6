import { type Edit, figure, materials, type Section, stagesOf } from '@obra/core';
import { Button, Form } from 'react-bootstrap';
import { newId } from '../../data/ids';
import { Big, Checks } from '../../slate';
import { Row } from './Row';
import type { JobView } from './view';

/** The drawing as rows from the right-hand end; the picture above answers while one types. */
export function Drawing({ view }: { readonly view: JobView }) {
  const { job, part, units, open } = view;
  const { outside, boreRight, boreLeft, material, untoleranced } = job.drawing;
  const threads = part.features.some((f) => f.form === 'thread');
  const addRow = (after?: string) => {
    const id = newId();
    const blank: Section = { id, size: { text: '', units }, length: { text: '', units } };
    const at = after === undefined ? -1 : outside.findIndex((r) => r.id === after);
    const next = at >= 0 ? outside[at + 1]?.id : undefined;
    open.edit([{ op: 'put', at: `drawing/outside/#${id}`, value: blank, ...(next !== undefined && { before: next }) }]);
    focusSoon(`${id}.size`);
  };
  const addHole = (list: 'boreRight' | 'boreLeft') => {
    const id = newId();
    open.edit([
      {
        op: 'put',
        at: `drawing/${list}/#${id}`,
        value: { id, size: { text: '', units }, length: { text: '', units }, far: { text: '118', units: 'mm' } } satisfies Section,
      },
    ]);
    focusSoon(`${id}.size`);
  };
  const move = (id: string, by: -1 | 1) => {
    const at = outside.findIndex((r) => r.id === id);
    const row = outside[at];
    const other = by < 0 ? outside[at - 1] : outside[at + 2];
    if (!row || (by < 0 && at === 0) || (by > 0 && at === outside.length - 1)) return;
    open.edit([
      { op: 'remove', at: `drawing/outside/#${id}` },
      { op: 'put', at: `drawing/outside/#${id}`, value: row, ...(other && { before: other.id }) },
    ]);
    focusSoon(`${id}.size`);
  };
  const findings = view.findings.filter((f) => stagesOf(f).includes('drawing'));
  const widest = part.features.filter((f) => f.side === 'outside').toSorted((a, b) => b.nearDiameter.nominal - a.nearDiameter.nominal)[0];
  return (
    <div className="work">
      <aside className="slate" aria-label="Slate">
        <h2>{part.length > 0 ? 'The part' : 'Type the first row'}</h2>
        {part.length > 0 && (
          <Big
            figure={figure('length', 'totalLength', { rows: part.features.filter((f) => f.side === 'outside').map((f) => f.near - f.far) })}
            units={units}>
            long
          </Big>
        )}
        {widest && (
          <Big figure={figure('diameter', 'toSize', { size: widest.nearDiameter.nominal })} units={units} size="mid">
            largest diameter
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
        <div className="d-flex gap-3 mb-3 flex-wrap">
          <Text label="Name" value={job.name} wide={210} onType={(t) => open.edit([{ op: 'put', at: 'name', value: t }], 'job', 'name')} />
          <Text
            label="Customer"
            value={job.customer ?? ''}
            wide={170}
            onType={(t) => open.edit([t === '' ? { op: 'remove', at: 'customer' } : { op: 'put', at: 'customer', value: t }], 'job', 'customer')}
          />
          <Form.Group controlId="pieces" style={{ width: 64 }}>
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
          <Form.Group controlId="material" style={{ width: 180 }}>
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
            label="Sizes without a tolerance"
            value={untoleranced.text}
            wide={140}
            onType={(t) => {
              open.edit([{ op: 'put', at: 'drawing/untoleranced', value: { ...untoleranced, text: t } }], 'job', 'untoleranced');
            }}
          />
        </div>
        <table className="rows" aria-label="Rows from the right-hand end A">
          <thead>
            <tr>
              <th style={{ width: 26 }}>
                <span className="visually-hidden">row</span>
              </th>
              <th style={{ width: '22%' }}>size</th>
              <th style={{ width: '15%' }}>length</th>
              <th>edge to A</th>
              <th>edge to B</th>
              {threads && <th>full thread</th>}
              <th>finish</th>
              <th style={{ width: '15%' }}>note</th>
              <th style={{ width: 92 }}>
                <span className="visually-hidden">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {outside.map((row, i) => (
              <Row
                key={row.id}
                view={view}
                row={row}
                list="outside"
                number={i + 1}
                threads={threads}
                onEnter={(column) => {
                  const next = outside[i + 1];
                  if (next) focusSoon(`${next.id}.${column}`);
                  else addRow(row.id);
                }}
                onMove={(by) => move(row.id, by)}
              />
            ))}
          </tbody>
        </table>
        <div className="d-flex gap-2 mt-2 mb-3">
          <Button variant="outline-dark" onClick={() => addRow(outside.at(-1)?.id)}>
            add a row
          </Button>
          {boreRight.length === 0 && (
            <Button variant="outline-dark" onClick={() => addHole('boreRight')}>
              hole in end A
            </Button>
          )}
          {boreLeft.length === 0 && (
            <Button variant="outline-dark" onClick={() => addHole('boreLeft')}>
              hole in end B
            </Button>
          )}
          <Button variant="outline-dark" disabled={!open.canUndo} onClick={open.undo}>
            undo
          </Button>
          <Button variant="outline-dark" disabled={!open.canRedo} onClick={open.redo}>
            redo
          </Button>
        </div>
        {[...boreRight.map((row) => ({ row, list: 'boreRight' as const })), ...boreLeft.map((row) => ({ row, list: 'boreLeft' as const }))].map(
          ({ row, list }) => (
            <table className="rows" key={row.id} aria-label={`Hole in end ${list === 'boreRight' ? 'A' : 'B'}`}>
              <thead>
                <tr>
                  <th style={{ width: 26 }}>
                    <span className="visually-hidden">row</span>
                  </th>
                  <th style={{ width: '22%' }}>hole in end {list === 'boreRight' ? 'A' : 'B'}</th>
                  <th style={{ width: '15%' }}>depth</th>
                  <th>bottom</th>
                  <th>finish</th>
                  <th style={{ width: '24%' }}>note</th>
                  <th style={{ width: 92 }}>
                    <span className="visually-hidden">actions</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                <Row view={view} row={row} list={list} number={0} threads={false} onEnter={() => undefined} onMove={() => undefined} />
              </tbody>
            </table>
          ),
        )}
      </main>
    </div>
  );
}

function focusSoon(cell: string): void {
  setTimeout(() => document.querySelector<HTMLInputElement>(`[data-cell="${cell}"]`)?.focus(), 0);
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
