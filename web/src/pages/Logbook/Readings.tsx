import { type JobRecord, recordOf } from '@obra/core/bench';
import type { Shop } from '@obra/core/document';
import { standsAs } from '@obra/core/inspection';
import { type Units, write, writeWithUnit } from '@obra/core/quantity';
import useSWR from 'swr';
import { loadLog } from '../../data/entries';
import { loadJob } from '../../data/jobs';
import { FigureNumber, RunStrip } from '../../slate';
import { cannotTell, inByGauge } from '../../words/found';

const signs = { in: '✓ in', over: '✗ + over', under: '✗ − under', cannotTell: cannotTell } as const;

/** Every size that was measured, with its readings in order and its verdict. */
export function Readings({ id, shop, units }: { readonly id: string; readonly shop: Shop; readonly units: Units }) {
  const { data: record } = useSWR(['record', id], () => recordFor(id, shop), { revalidateOnMount: true });
  return record ? <Measured record={record} units={units} /> : null;
}

async function recordFor(id: string, shop: Shop): Promise<JobRecord | undefined> {
  const [stored, log] = await Promise.all([loadJob(id), loadLog(id)]);
  return stored && recordOf(stored, log, shop);
}

function Measured({ record, units }: { readonly record: JobRecord; readonly units: Units }) {
  const keys = [...new Set(record.readings.map((r) => `${r.of}/${String(r.piece)}`))];
  if (keys.length === 0) return <p className="quiet m-0">Nothing was measured.</p>;
  return (
    <table className="plain" aria-label="Readings">
      <thead>
        <tr>
          <th>size</th>
          <th>piece</th>
          <th>limits</th>
          <th>readings in order</th>
          <th>last was foretold</th>
          <th>last, 20 °C</th>
          <th>verdict</th>
        </tr>
      </thead>
      <tbody>
        {keys.map((key) => {
          const [of = '', piece = ''] = key.split('/');
          const size = record.part.characteristics.find((c) => c.id === of);
          const verdict = record.verdicts.find((v) => v.of === of && String(v.piece) === piece);
          const limits = size?.limits ?? size?.pitchDiameter;
          return (
            <tr key={key}>
              <td>{size ? `${String(size.balloon)} ${size.text ?? size.is}` : of}</td>
              <td className="fig">{piece}</td>
              <td className="fig">
                {limits
                  ? `${writeWithUnit({ is: 'length', value: limits.min, step: 0.001 }, units)} – ${writeWithUnit({ is: 'length', value: limits.max, step: 0.001 }, units)}`
                  : ''}
              </td>
              <td className="fig">
                {record.readings
                  .filter((r) => r.of === of && String(r.piece) === piece)
                  .map(
                    (r) =>
                      `${r.value.text}${r.value.units === units ? '' : ` ${r.value.units}`}${r.celsius === undefined ? '' : ` at ${String(r.celsius)} °C`}`,
                  )
                  .join(' → ')}
                {size && (
                  <RunStrip
                    part={record.part}
                    size={size}
                    gauges={record.gauges}
                    read={record.readings.filter((r) => r.of === of && String(r.piece) === piece)}
                    units={units}
                  />
                )}
              </td>
              <td className="fig">{foretold(record, of, piece, units)}</td>
              <td>{verdict && <FigureNumber figure={verdict.value} units={units} />}</td>
              <td className={verdict ? (standsAs(verdict) === 'in' ? 'in' : 'out') : ''}>
                {verdict ? (verdict.accepted ? inByGauge : signs[verdict.says]) : ''}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What the last cut promised of the last reading, with twice its deviation. */
function foretold(record: JobRecord, of: string, piece: string, units: Units): string {
  const last = record.readings.findLast((r) => r.of === of && String(r.piece) === piece);
  const told = last && record.foretold.get(last.id);
  if (!told) return '';
  const size = (value: number) => write({ is: 'length', value, step: 0.001 }, units).text;
  return `${size(told.expects)} ± ${size(2 * told.deviation)}`;
}
