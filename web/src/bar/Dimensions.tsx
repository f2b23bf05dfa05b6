import { type Feature, type Units, write, writeWithUnit } from '@obra/core';
import { type Label, place, type Placed, widthOf } from './placeLabels';
import type { Mapping } from './mapping';
import type { PictureProps } from './props';

const trimmed = (f: Feature, units: Units): string => write({ is: 'diameter', value: f.nearDiameter.nominal }, units).text;

const typedOr = (typed: string | undefined, computed: string): string => (typed === undefined || typed.trim() === '' ? computed : typed.trim());

export function Dimensions({ part, map, units, typed, width, height }: PictureProps & { readonly map: Mapping }) {
  const rows = part.features.filter((f) => f.side === 'outside');
  const above: Label[] = rows.map((f) => {
    const said = typed?.[f.id]?.size.trim();
    const text = f.form === 'thread' ? (f.thread ?? '') : said !== undefined && said !== '' ? `Ø ${said.replace(/^[ØO]\s*/, '')}` : trimmed(f, units);
    return { id: f.id, text, at: (map.x(f.near) + map.x(f.far)) / 2, span: 0 };
  });
  const below: Label[] = rows.map((f) => ({
    id: f.id,
    text: typedOr(typed?.[f.id]?.length, write({ is: 'length', value: f.near - f.far }, units).text),
    at: (map.x(f.near) + map.x(f.far)) / 2,
    span: map.x(f.near) - map.x(f.far),
  }));
  const holes = part.features.filter((f) => f.side !== 'outside');
  const foot = height - 46;
  return (
    <g>
      {place(above, width).map((label, i) => (
        <Above key={label.id} label={label} row={rows[i]} map={map} />
      ))}
      {place(below, width).map((label, i) => (
        <Below key={label.id} label={label} row={rows[i]} map={map} y={foot} />
      ))}
      <line x1={map.x(-part.length)} x2={map.x(0)} y1={height - 10} y2={height - 10} stroke="var(--ink)" strokeWidth={0.8} markerEnd="none" />
      <Arrow x={map.x(-part.length)} y={height - 10} to={1} />
      <Arrow x={map.x(0)} y={height - 10} to={-1} />
      <line x1={map.x(-part.length)} x2={map.x(-part.length)} y1={foot + 4} y2={height - 6} stroke="var(--ink)" strokeWidth={0.6} />
      <line x1={map.x(0)} x2={map.x(0)} y1={foot + 4} y2={height - 6} stroke="var(--ink)" strokeWidth={0.6} />
      <Paper text={writeWithUnit({ is: 'length', value: part.length }, units)} x={(map.x(0) + map.x(-part.length)) / 2} y={height - 6} />
      {holes.map((f) => {
        const x = map.x(f.near);
        const right = f.side === 'right';
        return (
          <g key={f.id}>
            <line
              x1={x}
              y1={map.axis + (f.nearDiameter.nominal / 2) * map.scale * 0.7}
              x2={x + (right ? 46 : -46)}
              y2={map.axis + 34}
              stroke="var(--ink)"
              strokeWidth={0.7}
            />
            <text
              x={x + (right ? 48 : -48)}
              y={map.axis + 38}
              textAnchor={
                right ? 'start' : 'end'
              }>{`${trimmed(f, units)} × ${write({ is: 'length', value: Math.abs(f.near - f.far) }, units).text}`}</text>
          </g>
        );
      })}
    </g>
  );
}

function Above({ label, row, map }: { readonly label: Placed; readonly row: Feature | undefined; readonly map: Mapping }) {
  const top = map.y((row?.nearDiameter.nominal ?? 0) / 2);
  const y = Math.max(12, Math.min(top - 8, 32) - 15 * label.level + (top - 8 > 32 ? Math.min(top - 40, 0) : 0));
  return (
    <g>
      <line x1={label.at} y1={top} x2={label.at} y2={y + 3} stroke="var(--ink)" strokeWidth={0.6} />
      <Paper text={label.text} x={label.x} y={y} />
    </g>
  );
}

function Below({ label, row, map, y }: { readonly label: Placed; readonly row: Feature | undefined; readonly map: Mapping; readonly y: number }) {
  if (!row) return null;
  const [x0, x1] = [map.x(row.far), map.x(row.near)];
  const bottom = map.y(-row.nearDiameter.nominal / 2);
  return (
    <g>
      <line x1={x0} x2={x0} y1={bottom} y2={y + 6} stroke="var(--ink)" strokeWidth={0.6} />
      <line x1={x1} x2={x1} y1={bottom} y2={y + 6} stroke="var(--ink)" strokeWidth={0.6} />
      <line x1={x0} x2={x1} y1={y} y2={y} stroke="var(--ink)" strokeWidth={0.8} />
      <Arrow x={x0} y={y} to={1} />
      <Arrow x={x1} y={y} to={-1} />
      {label.level > 0 && <line x1={label.at} x2={label.x} y1={y} y2={y + 8} stroke="var(--ink)" strokeWidth={0.6} />}
      <Paper text={label.text} x={label.x} y={label.level > 0 ? y + 4 + 13 * label.level : y + 4} />
    </g>
  );
}

const Arrow = ({ x, y, to }: { readonly x: number; readonly y: number; readonly to: 1 | -1 }) => (
  <path d={`M${x} ${y}l${7 * to} -2.2v4.4z`} fill="var(--ink)" />
);

/** Text on a patch of paper, so that lines do not run through it. */
function Paper({ text, x, y }: { readonly text: string; readonly x: number; readonly y: number }) {
  const half = widthOf(text) / 2 + 2;
  return (
    <g>
      <rect x={x - half} y={y - 11} width={2 * half} height={14} fill="#fdfcf9" opacity={0.92} />
      <text x={x} y={y} textAnchor="middle">
        {text}
      </text>
    </g>
  );
}
