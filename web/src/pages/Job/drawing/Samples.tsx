import { blankRow, type Drawing, isBlankRow } from '@obra/core/document';
import { likelyNominals, parsePitch, pathOf, sampleDoubt, unworn } from '@obra/core/drawing';
import { parseLength, write, writeWithUnit } from '@obra/core/quantity';
import { aspectOf, thingOf } from '@obra/core/ref';
import { Button, Form } from 'react-bootstrap';
import { newId } from '../../../data/ids';
import type { JobView } from '../view';
import { Delete, PlaceSelect, ReadingsCell } from './Cell';
import { cellEdit, focusSoon, usualGauge } from './cells';
import { notReading } from '../../../words/found';

type Sample = Drawing['samples'][number];
/** From a worn or original piece: its readings, what each was likely made to, and the choice. */
export function Samples({ view }: { readonly view: JobView }) {
  const { samples } = view.job.drawing;
  if (samples.length === 0) return null;
  return (
    <table className="rows mb-2" aria-label="From a sample">
      <thead>
        <tr>
          <th style={{ width: '20%' }}>from a sample</th>
          <th style={{ width: '20%' }}>readings</th>
          <th style={{ width: '17%' }}>with</th>
          <th style={{ width: '11%' }}>pitch, if a thread</th>
          <th>likely, and how far the reading is from it</th>
          <th className="wide-34">
            <span className="visually-hidden">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {samples.map((sample, i) => (
          <SampleRow key={sample.id} view={view} sample={sample} name={`sample ${String(i + 1)}`} />
        ))}
      </tbody>
    </table>
  );
}

function SampleRow({ view, sample, name }: { readonly view: JobView; readonly sample: Sample; readonly name: string }) {
  const { job, open, shop, units } = view;
  const { outside, boreRight, boreLeft } = job.drawing;
  const pitch = sample.pitch?.text ?? '';
  const setPitch = (text: string) =>
    open.edit(
      [
        text === ''
          ? { op: 'remove', at: `drawing/samples/#${sample.id}/pitch` }
          : { op: 'put', at: `drawing/samples/#${sample.id}/pitch`, value: { text, units: sample.pitch?.units ?? units } },
      ],
      'job',
      `${sample.id}.pitch`,
    );
  const [id, aspect = 'diameter'] = [thingOf(sample.of), aspectOf(sample.of)];
  const list = outside.some((r) => r.id === id) ? 'outside' : boreRight.some((r) => r.id === id) ? 'boreRight' : 'boreLeft';
  const row = job.drawing[list].find((r) => r.id === id);
  const gauge = shop.gauges.find((g) => g.id === sample.measured.gauge);
  const doubt = sampleDoubt(gauge);
  const read = sample.measured.readings.filter((r) => r.text.trim() !== '').map((r) => parseLength(r.text, r.units));
  const readings = read.flatMap((r) => (r.ok ? [r.value] : []));
  const side = aspect === 'length' ? ('length' as const) : list === 'outside' ? ('outside' as const) : ('bore' as const);
  const typedPitch = parsePitch(pitch, sample.pitch?.units ?? units);
  const likely = readings.length > 0 ? likelyNominals({ readings, doubt, side, ...(typedPitch !== undefined && { pitch: typedPitch }) }) : [];
  const put = (measured: Sample['measured'], typing: string) =>
    open.edit([{ op: 'put', at: `drawing/samples/#${sample.id}/measured`, value: measured }], 'job', typing);
  const take = (text: string) => {
    if (row) open.edit([cellEdit(pathOf(list, row.id), row, aspect === 'length' ? 'length' : 'size', text, units)]);
  };
  const taken = aspect === 'length' ? row?.length.text : row?.size.text;
  const targets = [
    ...outside.map((r, i) => ({ r, says: `row ${String(i + 1)}` })),
    ...boreRight.map((r, i) => ({ r, says: `hole A, row ${String(i + 1)}` })),
    ...boreLeft.map((r, i) => ({ r, says: `hole B, row ${String(i + 1)}` })),
  ].flatMap(({ r, says }) => [
    { ref: `${r.id}.diameter`, says: `${says}: size` },
    { ref: `${r.id}.length`, says: `${says}: length` },
  ]);
  return (
    <tr>
      <td>
        <PlaceSelect
          label={`of, ${name}`}
          places={targets}
          value={sample.of}
          onChoose={(ref) => open.edit([{ op: 'put', at: `drawing/samples/#${sample.id}/of`, value: ref }])}
        />
      </td>
      <td>
        <ReadingsCell
          id={`${sample.id}.readings`}
          label={`readings, ${name}`}
          readings={sample.measured.readings}
          units={units}
          onType={(r) => put({ ...sample.measured, readings: r }, `${sample.id}.readings`)}
        />
        <div className={`said ${read.length > readings.length ? 'bad' : ''}`}>
          {read.length > readings.length
            ? notReading
            : readings.length === 0
              ? ''
              : `unworn ${writeWithUnit({ is: 'length', value: unworn({ readings, side }), step: 0.001 }, units)}`}
        </div>
      </td>
      <td>
        <Form.Select
          aria-label={`gauge, ${name}`}
          value={sample.measured.gauge}
          onChange={(e) => put({ ...sample.measured, gauge: e.target.value }, `${sample.id}.gauge`)}>
          {shop.gauges.map((g) => (
            <option key={g.id} value={g.id}>
              {g.name}
            </option>
          ))}
        </Form.Select>
        <div className="said">doubt {writeWithUnit({ is: 'length', value: doubt, step: 0.001 }, units)}</div>
      </td>
      <td>
        {side === 'outside' && (
          <Form.Control
            aria-label={`pitch, ${name}`}
            value={pitch}
            maxLength={20}
            placeholder={units === 'in' ? '20 tpi' : '1.5'}
            onChange={(e) => setPitch(e.target.value)}
          />
        )}
      </td>
      <td>
        <div className="d-flex gap-1 flex-wrap">
          {likely.map((l) => (
            <Button
              key={l.text}
              size="sm"
              variant="outline-dark"
              aria-pressed={taken === l.text}
              title={l.what}
              data-likely={l.text}
              onClick={() => take(l.text)}>
              {l.text}{' '}
              <span className="quiet">{`${l.off > 0 ? '+' : l.off < 0 ? '−' : ''}${write({ is: 'length', value: Math.abs(l.off), step: 0.001 }, units).text}`}</span>
            </Button>
          ))}
          {readings.length > 0 && likely.length === 0 && <span className="quiet">nothing usual within three doubts</span>}
        </div>
      </td>
      <td className="acts">
        <Delete name={name} onDelete={() => open.edit([{ op: 'remove', at: `drawing/samples/#${sample.id}` }])} />
      </td>
    </tr>
  );
}

/** A new row whose size comes from a sample; or readings of a row that is there. */
export function addSample({ job, open, units, shop }: JobView, of?: string): void {
  const id = newId();
  const gauge = usualGauge(shop);
  const waiting = job.drawing.outside.at(-1);
  const row = waiting && isBlankRow(waiting) ? waiting.id : newId();
  const value: Sample = { id, of: of ?? `${row}.diameter`, measured: { readings: [{ text: '', units }], gauge } };
  open.edit([
    ...(of === undefined && row !== waiting?.id ? [{ op: 'put' as const, at: `drawing/outside/#${row}`, value: blankRow(row, units) }] : []),
    { op: 'put', at: `drawing/samples/#${id}`, value },
  ]);
  focusSoon(`${id}.readings`);
}
