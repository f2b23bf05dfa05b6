import type { Job, Shop } from '@obra/core/document';
import type { Part } from '@obra/core/drawing';
import type { Units } from '@obra/core/quantity';
import { boreGaugeFor, gaugeFor } from '@obra/core/shop';
import { sizeAbout, sizeBetween, sizeName } from '../../sheet';

interface Props {
  readonly job: Job;
  readonly part: Part;
  readonly shop: Shop;
  readonly units: Units;
  readonly piece: number;
}

/** A sheet of inspection for one piece, its blanks numbered as the sizes are: typed back by those numbers. */
export function InspectionPage({ job, part, shop, units, piece }: Props) {
  const drawn = { drawing: job.drawing, part };
  return (
    <section className="leaf" aria-label={`Inspection, piece ${String(piece)}`}>
      <h2>
        {job.name}: inspection, piece {piece} of {job.pieces}
      </h2>
      <table className="paper">
        <thead>
          <tr>
            <th>no.</th>
            <th>size</th>
            <th>from – to</th>
            <th>gauge</th>
            <th>reading</th>
            <th>in</th>
          </tr>
        </thead>
        <tbody>
          {part.characteristics.map((c) => {
            const inside = part.features.some((f) => f.id === c.of && f.side !== 'outside');
            const measured = c.limits !== undefined && c.is !== 'angle' && c.is !== 'finish' ? c.limits : undefined;
            const by = measured && (inside && c.is === 'diameter' ? boreGaugeFor : gaugeFor)(shop, measured.nominal, measured.max - measured.min);
            return (
              <tr key={c.id}>
                <td className="fig">{c.balloon}</td>
                <td>
                  {sizeName(drawn, c, units)} <span className="quiet">{sizeAbout(drawn, c)}</span>
                </td>
                <td className="fig">{sizeBetween(c, units, units)}</td>
                <td>{by?.name ?? ''}</td>
                <td className="blank">{c.balloon} = ____________</td>
                <td>☐</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="signed">Measured by ____________________ Date ____________ Room ______ °C</p>
    </section>
  );
}
