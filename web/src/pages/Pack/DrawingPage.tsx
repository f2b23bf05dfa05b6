import type { Job } from '@obra/core/document';
import type { Part } from '@obra/core/drawing';
import type { Finding } from '@obra/core/finding';
import { type Units, write, writeWithUnit } from '@obra/core/quantity';
import { BarPicture } from '../../bar';
import { sizeAbout, sizeBetween, sizeName } from '../../sheet';
import { dayOf } from '../../shell/dates';
import { drawnBy } from '../../words/titles';

interface Props {
  readonly job: Job;
  readonly part: Part;
  readonly units: Units;
  readonly material: string;
  readonly findings: readonly Finding[];
}

/** Page one: the drawing with its dimensions, its title block, fits in numbers and relations. */
export function DrawingPage({ job, part, units, material, findings }: Props) {
  const { title, untoleranced } = job.drawing;
  const rows = [...job.drawing.outside, ...job.drawing.boreRight, ...job.drawing.boreLeft];
  const typed = Object.fromEntries(rows.map((r) => [r.id, { size: r.size.text, length: r.length.text }]));
  const asked = new Map(rows.map((r) => [r.id, r.size.text]));
  const num = (value: number) => write({ is: 'length', value, step: 0.001 }, units).text;
  const fits = part.characteristics.filter((c) => c.is === 'diameter' && c.limits && c.limits.from !== 'general');
  const related = part.characteristics.filter((c) => c.relation);
  const drawn = { drawing: job.drawing, part };
  const block: readonly (readonly [label: string, text: string])[] = [
    ['part', job.name],
    ['drawing', [title['number'], title['issue'] && `issue ${title['issue']}`].filter(Boolean).join(', ')],
    ['for', job.customer ?? ''],
    ['material', material],
    ['pieces', String(job.pieces)],
    ['length', writeWithUnit({ is: 'length', value: part.length }, units)],
    ['sizes in', units === 'mm' ? 'millimetres' : 'inches'],
    ['no tolerance', untoleranced.text],
    ['edges', title['edges'] ?? ''],
    ['wanted', job.wanted === undefined ? '' : dayOf(job.wanted)],
    [drawnBy, title['drawn'] ?? ''],
    ['printed', dayOf(new Date().toISOString())],
  ];
  return (
    <section className="leaf wide" aria-label="Drawing">
      <div className="pack-drawing">
        <BarPicture part={part} units={units} typed={typed} show="drawing" endless findings={findings} height={270} />
      </div>
      <div className="pack-under">
        <div>
          {fits.length > 0 && (
            <table className="paper" aria-label="Fits in numbers">
              <thead>
                <tr>
                  <th>no.</th>
                  <th>asked for</th>
                  <th>most</th>
                  <th>least</th>
                </tr>
              </thead>
              <tbody>
                {fits.map((c) => (
                  <tr key={c.id}>
                    <td className="fig">{c.balloon}</td>
                    <td>{asked.get(c.of) ?? sizeAbout(drawn, c)}</td>
                    <td className="fig">{c.limits && num(c.limits.max)}</td>
                    <td className="fig">{c.limits && num(c.limits.min)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {related.map((c) => (
            <p key={c.id}>
              <span className="fig">{c.balloon}</span> {sizeAbout(drawn, c)} {sizeName(drawn, c, units)}, {sizeBetween(c, units, units)}
            </p>
          ))}
          {title['notes'] && <p>{title['notes']}</p>}
        </div>
        <table className="paper title-block" aria-label="Title block">
          <tbody>
            {block
              .filter(([, text]) => text !== '')
              .map(([label, text]) => (
                <tr key={label}>
                  <th scope="row">{label}</th>
                  <td>{text}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
