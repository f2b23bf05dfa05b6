import './sheet.css';
import type { Part } from '@obra/core/drawing';
import { lengthChart, type Route } from '@obra/core/planner';
import { type Figure, length, type Units, write } from '@obra/core/quantity';
import { type ReactNode, useState } from 'react';
import { faceName, rowNumber } from '../bar';
import { FigureNumber, Stands } from '../slate';

interface Props {
  readonly route: Route;
  readonly part: Part;
  readonly units: Units;
  /** for printing: no presses, no colour */
  readonly paper?: boolean;
}

const WIDE = 320;
const EDGE = 24;

/**
 * Tolerance chart: faces as lines, each working length an arrow from the face it is set from to the one it makes, the lengths of the drawing below with what is left of
 * their tolerance. A length pressed shows what it hangs on.
 */
export function LengthChart({ route, part, units, paper = false }: Props) {
  const [chosen, setChosen] = useState<string>();
  const { faces, made, drawn } = lengthChart(route, part);
  if (made.length === 0) return null;
  const at = new Map(faces.map((f, i) => [f.name, EDGE + (i * (WIDE - 2 * EDGE)) / Math.max(1, faces.length - 1)]));
  const x = (face: string) => at.get(face) ?? 0;
  const numbers = new Map(route.setups.flatMap((s) => s.steps).map((s, i) => [s.id, i + 1]));
  const shown = (figure: Figure): ReactNode => (paper ? write(figure, units).text : <FigureNumber figure={figure} units={units} />);
  const limit = (value: number, d: (typeof drawn)[number]): ReactNode =>
    paper ? (
      write(length(value), units).text
    ) : (
      <Stands
        of={length(value)}
        from={`the drawing: length of ${rowNumber(part, d.id) === '' ? 'the whole' : `row ${rowNumber(part, d.id)}`}`}
        units={units}
        withUnit={false}
      />
    );
  const onWay = (line: { readonly key: string; readonly through: readonly string[] }) =>
    chosen === line.key || line.through.some((t) => chosen === `made ${t}`);
  const pathOf = (key: string) => drawn.find((d) => `drawn ${d.id}` === key)?.through ?? [];
  const press = (key: string, words: ReactNode) =>
    paper ? (
      words
    ) : (
      <button type="button" className="face-to-face" aria-pressed={chosen === key} onClick={() => setChosen(chosen === key ? undefined : key)}>
        {words}
      </button>
    );
  const lines = faces.map((f) => <line key={f.name} className="face" x1={x(f.name)} x2={x(f.name)} y1={0} y2={32} />);
  const rows = heads(faces.map((f) => ({ name: faceName(part, f.name), x: x(f.name) })));
  return (
    <table className={`length-chart ${paper ? 'paper' : 'plain'}`} aria-label="Tolerance chart">
      <thead>
        <tr>
          <th>length</th>
          <th className="picture">
            <svg
              viewBox={`0 0 ${String(WIDE)} ${String(rows.tall)}`}
              width={WIDE}
              height={rows.tall}
              role="img"
              aria-label="faces in order, not to scale">
              {rows.heads.map((h) => (
                <text key={h.name} x={h.x} y={h.y} textAnchor="middle">
                  {h.name}
                </text>
              ))}
            </svg>
          </th>
          <th className="num">may be</th>
          <th>leaves</th>
        </tr>
      </thead>
      {route.setups.map((setup, i) => {
        const own = made.filter((m) => m.setup === setup.id);
        const zero = setup.end === 'left' ? 'B' : 'A';
        return own.length === 0 ? null : (
          <tbody key={setup.id}>
            <tr className="of">
              <th colSpan={4} scope="rowgroup">
                cut in setup {i + 1}, zero: face {zero}
              </th>
            </tr>
            {own.map((m) => {
              const key = `made ${m.to}`;
              const on = chosen === key || (chosen !== undefined && pathOf(chosen).includes(m.to));
              return (
                <tr key={key} className={on ? 'chosen' : ''}>
                  <td>{press(key, `${String(numbers.get(m.step) ?? '')} ${faceName(part, m.to)} from ${faceName(part, m.from)}`)}</td>
                  <td className="picture">
                    <svg viewBox={`0 0 ${String(WIDE)} 32`} width={WIDE} height={32} aria-hidden>
                      {lines}
                      <Arrow from={x(m.from)} to={x(m.to)} />
                      <circle cx={x(m.from)} cy={16} r={4} />
                    </svg>
                  </td>
                  <td className="num text-nowrap">
                    {shown(m.min)} to {shown(m.max)}
                  </td>
                  <td className="quiet">{m.direct ? 'drawn so' : ''}</td>
                </tr>
              );
            })}
          </tbody>
        );
      })}
      <tbody>
        <tr className="of">
          <th colSpan={4} scope="rowgroup">
            drawn
          </th>
        </tr>
        {drawn.map((d) => {
          const key = `drawn ${d.id}`;
          const name = d.id === 'overall' ? 'over all' : `row ${rowNumber(part, d.id)}`;
          return (
            <tr key={key} className={onWay({ key, through: d.through }) ? 'chosen' : ''}>
              <td>{press(key, name)}</td>
              <td className="picture">
                <svg viewBox={`0 0 ${String(WIDE)} 32`} width={WIDE} height={32} aria-hidden>
                  {lines}
                  <Arrow from={x(d.b)} to={x(d.a)} />
                  <Arrow from={x(d.a)} to={x(d.b)} />
                </svg>
              </td>
              <td className="num text-nowrap">
                {limit(d.limits.min, d)} to {limit(d.limits.max, d)}
              </td>
              <td>
                {!d.comes || !d.left ? (
                  <span className="quiet">not cut here</span>
                ) : d.tight === true ? (
                  <span className="quiet">nothing to spare</span>
                ) : (
                  <>
                    {shown(d.left)} to spare: {shown(d.comes.min)} to {shown(d.comes.max)}
                  </>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Arrow({ from, to }: { readonly from: number; readonly to: number }) {
  const by = to > from ? -1 : 1;
  return (
    <>
      <line className="length" x1={from} x2={to} y1={16} y2={16} />
      <path d={`M${String(to)} 16 l${String(9 * by)} -4 v8 z`} />
    </>
  );
}

/** Names over their faces, each on the first line where it does not touch the one before. */
function heads(names: readonly { readonly name: string; readonly x: number }[]) {
  const ends: number[] = [];
  const placed = names.map(({ name, x }) => {
    const half = 4 * name.length + 3;
    const found = ends.findIndex((end) => end <= x - half);
    const line = found < 0 ? ends.length : found;
    ends[line] = x + half;
    return { name, x, line };
  });
  return { tall: 18 * Math.max(1, ends.length), heads: placed.map((p) => ({ ...p, y: 14 + 18 * (ends.length - 1 - p.line) })) };
}
