import { zodResolver } from '@hookform/resolvers/zod';
import type { Mate } from '@obra/core/document';
import { fitOf, parseWant } from '@obra/core/drawing';
import type { Edit } from '@obra/core/finding';
import { parseLength, write, writeExact, writeSentence } from '@obra/core/quantity';
import { thingOf } from '@obra/core/ref';
import { Fragment, useMemo } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import * as z from 'zod';
import { aLength, FormField, Warmth } from '../../../fields';
import { newId, now } from '../../../data/ids';
import type { JobView } from '../view';
import { Delete, PlaceSelect, ReadingsCell, TextCell } from './Cell';
import { focusSoon, usualGauge } from './cells';
import { placesFor } from './DetailsTable';
import { FitBars } from './FitBars';
import { TriedSoFar } from './TriedSoFar';
import { notReading } from '../../../words/found';

/** What fits what: a measured piece, the fit that is wanted, the limits that come of it. */
export function Fits({ view }: { readonly view: JobView }) {
  const { job, part, open, shop, units } = view;
  const { mates } = job.drawing;
  if (mates.length === 0) return null;
  const at = (mate: Mate, key: string) => `drawing/mates/#${mate.id}/${key}`;
  const edit = (edits: readonly Edit[], typing?: string) => open.edit(edits, 'job', typing);
  const measured = (mate: Mate) => mate.measured ?? { readings: [{ text: '', units }], gauge: usualGauge(shop) };
  const one = (mm: number) => write({ is: 'length', value: mm, step: 0.001 }, units).text;
  return (
    <table className="rows mb-2" aria-label="Fits">
      <thead>
        <tr>
          <th style={{ width: '16%' }}>fit of</th>
          <th style={{ width: '15%' }}>to which piece</th>
          <th style={{ width: '17%' }}>measured</th>
          <th style={{ width: '15%' }}>with</th>
          <th style={{ width: '7%' }}>°C</th>
          <th>what fit</th>
          <th className="wide-72">
            <span className="visually-hidden">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {mates.map((mate, i) => {
          const name = `fit ${String(i + 1)}`;
          const got = part.mates[mate.id];
          const want = parseWant(mate.want.text, mate.want.units);
          const readings = mate.measured?.readings.filter((r) => r.text.trim() !== '') ?? [];
          const bad = readings.some((r) => !parseLength(r.text, r.units).ok);
          const side = part.features.find((f) => f.id === thingOf(mate.of))?.side;
          const fit = got && side && fitOf(side, got);
          return (
            <Fragment key={mate.id}>
              <tr>
                <td>
                  <PlaceSelect
                    label={`row, ${name}`}
                    places={placesFor('row', job.drawing)}
                    value={thingOf(mate.of)}
                    onChoose={(ref) => edit([{ op: 'put', at: at(mate, 'of'), value: ref }])}
                  />
                </td>
                <td>
                  <Form.Control
                    aria-label={`piece, ${name}`}
                    data-cell={`${mate.id}.piece`}
                    value={mate.piece}
                    maxLength={120}
                    placeholder="the wheel"
                    onChange={(e) => edit([{ op: 'put', at: at(mate, 'piece'), value: e.target.value }], `${mate.id}.piece`)}
                  />
                </td>
                <td>
                  <ReadingsCell
                    id={`${mate.id}.readings`}
                    label={`readings, ${name}`}
                    readings={measured(mate).readings}
                    units={units}
                    onType={(r) => edit([{ op: 'put', at: at(mate, 'measured'), value: { ...measured(mate), readings: r } }], `${mate.id}.readings`)}
                  />
                  <div className={`said ${bad ? 'bad' : ''}`}>{bad ? notReading : got?.mate === undefined ? '' : `${one(got.mate)} cold`}</div>
                </td>
                <td>
                  <Form.Select
                    aria-label={`gauge, ${name}`}
                    value={measured(mate).gauge}
                    onChange={(e) => edit([{ op: 'put', at: at(mate, 'measured'), value: { ...measured(mate), gauge: e.target.value } }])}>
                    {shop.gauges.map((g) => (
                      <option key={g.id} value={g.id}>
                        {g.name}
                      </option>
                    ))}
                  </Form.Select>
                </td>
                <td>
                  <Warmth
                    label={`temperature, ${name}`}
                    celsius={measured(mate).celsius ?? 20}
                    units={units}
                    onChange={(celsius) =>
                      edit([{ op: 'put', at: at(mate, 'measured'), value: { ...measured(mate), celsius } }], `${mate.id}.celsius`)
                    }
                  />
                </td>
                <td>
                  <TextCell
                    id={`${mate.id}.want`}
                    label={`wanted, ${name}`}
                    cell={mate.want}
                    units={units}
                    placeholder="clearance 0.05, H7/g6, light press, trial: slides"
                    bad={want.kind === 'unknown'}
                    onType={(c) => edit([{ op: 'put', at: at(mate, 'want'), value: c }], `${mate.id}.want`)}
                  />
                </td>
                <td className="acts">
                  <Button
                    size="sm"
                    variant="link"
                    disabled={!got}
                    onClick={() => {
                      if (mate.fixed) edit([{ op: 'remove', at: at(mate, 'fixed') }]);
                      else if (got)
                        edit([
                          {
                            op: 'put',
                            at: at(mate, 'fixed'),
                            value: { max: got.limits.max, min: got.limits.min, at: now(), why: writeSentence(got.says, 'mm').slice(0, 200) },
                          },
                        ]);
                    }}>
                    {mate.fixed ? 'let go' : 'fix'}
                  </Button>
                  <Delete name={name} onDelete={() => edit([{ op: 'remove', at: `drawing/mates/#${mate.id}` }])} />
                </td>
              </tr>
              <tr>
                <td colSpan={7} className="fit-of">
                  <div className={`said ${want.kind === 'unknown' ? 'bad' : ''}`} data-said={mate.id}>
                    {want.kind === 'unknown'
                      ? writeSentence(want.says, units)
                      : want.kind === 'trial'
                        ? `by trial to the ${mate.piece || 'piece'}: ${want.feel || 'what feel?'}`
                        : got
                          ? `${one(got.limits.min)} to ${one(got.limits.max)} ${units}, ${writeSentence(got.says, units)}`
                          : 'measure the piece first'}
                  </div>
                  {fit && <FitBars fit={fit} units={units} />}
                  <TriedSoFar view={view} mate={mate} />
                  {mate.fixed && <Fixed key={JSON.stringify([mate.fixed, units])} mate={mate} view={view} />}
                </td>
              </tr>
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}

/** The target, once fixed: changed only here, all of it together, with a reason. */
function Fixed({ mate, view }: { readonly mate: Mate; readonly view: JobView }) {
  const { open, units } = view;
  const { fixed } = mate;
  const name = `fixed limits of ${mate.piece || 'the fit'}`;
  const schema = useMemo(
    () =>
      z
        .object({ min: aLength('from', units, { zero: true }), max: aLength('to', units, { zero: true }), why: z.string().max(200) })
        .refine(({ min, max }) => max > min, { path: ['max'], message: 'The larger limit comes second.' })
        .refine(({ why }) => why.trim() !== '', { path: ['why'], message: 'Why it is changed: a word or two.' }),
    [units],
  );
  const {
    register,
    handleSubmit,
    reset,
    formState: { errors, isDirty },
  } = useForm({
    resolver: zodResolver(schema),
    mode: 'onTouched',
    defaultValues: { min: fixed ? writeExact(fixed.min, units) : '', max: fixed ? writeExact(fixed.max, units) : '', why: fixed?.why ?? '' },
  });
  if (!fixed) return null;
  const keep = ({ min, max, why }: z.output<typeof schema>) => {
    open.edit([{ op: 'put', at: `drawing/mates/#${mate.id}/fixed`, value: { ...fixed, min, max, why: why.trim(), at: now() } }]);
  };
  return (
    <Form
      noValidate
      className="fixed"
      aria-label={name}
      onSubmit={(e) => void handleSubmit(keep)(e)}
      onKeyDown={(e) => {
        if (e.key === 'Escape') reset();
      }}>
      {(['min', 'max', 'why'] as const).map((key) => (
        <FormField
          key={key}
          id={`${mate.id}-${key}`}
          label=""
          name={`${key}, ${name}`}
          className={key === 'why' ? '' : 'fig'}
          of={register(key)}
          error={errors[key]}
        />
      ))}
      {isDirty && (
        <Button type="submit" size="sm">
          keep
        </Button>
      )}
    </Form>
  );
}

/** A new fit of a row. */
export function addFit({ open, units }: JobView, row: string): void {
  const id = newId();
  open.edit([{ op: 'put', at: `drawing/mates/#${id}`, value: { id, of: row, piece: '', want: { text: '', units } } satisfies Mate }]);
  focusSoon(`${id}.piece`);
}
