import { range, tickStep } from 'd3-array';
import { type Part, widestOf } from '@obra/core/drawing';
import { type Finding, gravestFirst, subjectsOf } from '@obra/core/finding';
import type { Step } from '@obra/core/operations';
import { type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { thingOf } from '@obra/core/ref';
import type { Setup } from '@obra/core/settings';
import { MarkShape } from '../slate';
import type { Mapping } from './mapping';
import type { PictureProps } from './props';
import { runsOutside } from './runs';
import { Balloon } from './shapes';

/** A balloon's width and the gap beside it, px. */
const BESIDE = 22;

/** Where the balloon of each size stands: by its row or what is cut in it, lengths below, each beside the others of its place. */
function balloons(part: Part, map: Mapping): ReadonlyMap<string, { readonly x: number; readonly y: number }> {
  const placed = new Map<string, { x: number; y: number }>();
  const taken: { x: number; y: number }[] = [];
  for (const c of part.characteristics) {
    const detail = part.details.find((d) => d.id === c.of);
    const feature = part.features.find((o) => o.id === (detail ? detail.on : c.of));
    const span = detail ?? feature ?? { near: 0, far: -part.length };
    const r = feature ? widestOf(feature).nominal / 2 : 0;
    const inside = feature !== undefined && feature.side !== 'outside';
    const y = c.is === 'length' && !detail && !inside ? map.y(-r) + 13 : inside ? map.axis + 13 : map.y(r) - 13;
    let x = (map.x(span.near) + map.x(span.far)) / 2 + (c.is === 'thread' ? 24 : 0);
    while (taken.some((t) => Math.abs(t.x - x) < BESIDE && Math.abs(t.y - y) < BESIDE)) x += 4;
    taken.push({ x, y });
    placed.set(c.id, { x, y });
  }
  return placed;
}

export function Characteristics({ part, map, marks }: PictureProps & { readonly map: Mapping }) {
  const places = balloons(part, map);
  return (
    <g>
      {part.characteristics.map((c) => {
        const { x, y } = places.get(c.id) ?? { x: 0, y: 0 };
        const mark = marks?.[c.id];
        return (
          <g key={c.id}>
            <circle
              cx={x}
              cy={y}
              r={10}
              fill={mark === 'in' ? 'var(--verdigris)' : mark === undefined ? 'var(--opening)' : 'var(--oxide)'}
              stroke="var(--ink)"
              strokeWidth={1}
            />
            <text x={x} y={y + 4.4} textAnchor="middle" style={{ fontSize: 11.5, fill: mark === undefined ? 'var(--ink)' : 'var(--card)' }}>
              {mark === undefined ? c.balloon : mark === 'in' ? '✓' : mark === 'over' ? '+' : mark === 'under' ? '−' : '?'}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** How far the bent line may leave the axis, px. */
const BEND = 16;

/** The work bent away from the tool under the finishing cut that bends it most, drawn larger by the factor written beside it. */
export function BentLine({
  map,
  view,
  bent,
  units,
  foot,
}: {
  readonly map: Mapping;
  readonly view: (z: number) => number;
  readonly bent: NonNullable<Setup['bent']>;
  readonly units: Units;
  /** lower edge of the metal, px */
  readonly foot: number;
}) {
  const most = Math.max(...bent.line.map(([, y]) => Math.abs(y)));
  if (most <= 0) return null;
  const px = BEND / most;
  const factor = Number((px / map.scale).toPrecision(1));
  const drawn = factor * map.scale;
  const at = map.x(view(bent.at));
  const [, own] = bent.line.reduce((best, p) => (Math.abs(p[0] - bent.at) < Math.abs(best[0] - bent.at) ? p : best));
  const runs = runsOutside(
    bent.line.map(([z, y]) => [view(z), y]),
    map.breaks,
  ).map((run) => run.map(([u, y]) => `${map.x(u).toFixed(1)} ${(map.axis - drawn * y).toFixed(1)}`));
  // between two runs stands what the break lines leave out
  const left = runs.slice(1).map((run, i) => `M${runs[i]?.at(-1) ?? ''}L${run[0] ?? ''}`);
  return (
    <g data-testid="bent">
      <path d={runs.map((run) => `M${run.join('L')}`).join('')} fill="none" stroke="var(--blue)" strokeWidth={2} />
      {left.length > 0 && <path d={left.join('')} fill="none" stroke="var(--blue)" strokeWidth={1} strokeDasharray="2 3" />}
      <circle cx={at} cy={map.axis - drawn * own} r={4} fill="var(--blue)" />
      <text
        className="bent"
        x={at}
        y={foot + 17}
        textAnchor={bent.line.length > 0 && Math.abs(bent.at - (bent.line.at(-1)?.[0] ?? 0)) < 5 ? 'end' : 'middle'}>
        gives way {writeWithUnit(bent.spring, units)}, drawn × {write({ is: 'count', value: factor }, units).text}
      </text>
    </g>
  );
}

/** How much is gripped and how much stands out of the jaws, as lengths over the metal. */
export function HoldLengths({
  map,
  view,
  setup,
  units,
  radius,
  collet,
}: {
  readonly map: Mapping;
  readonly view: (z: number) => number;
  readonly setup: Setup;
  readonly units: Units;
  /** of the metal at its widest, mm */
  readonly radius: number;
  readonly collet: boolean;
}) {
  const ends = setup.gripped.map((z) => map.x(view(z)));
  const [back, face] = [Math.min(...ends), Math.max(...ends)];
  const y = map.y(radius) - 7;
  // over the plain nose of a collet; within the taller half of stepped jaws
  const jaw = map.y(setup.gripDiameter / 2);
  const gripAt = collet ? jaw - 20 : jaw - 7;
  const span = (from: number, to: number, at: number, words: string, middle = (from + to) / 2) => (
    <g key={words}>
      <path d={`M${from} ${at}H${to}M${from} ${at - 3}v6M${to} ${at - 3}v6`} stroke="var(--ink)" strokeWidth={0.9} fill="none" />
      <text x={middle} y={at - 4} textAnchor="middle">
        {words}
      </text>
    </g>
  );
  return (
    <g data-testid="hold-lengths">
      {face - back > (collet ? 60 : 130) &&
        jaw > 40 &&
        span(back, face, gripAt, writeWithUnit(setup.grip, units), collet ? undefined : back + (face - back) / 4)}
      {map.x(0) - face > 90 && span(face, map.x(0), y, `${writeWithUnit(setup.stickOut, units)} out`, face + 0.6 * (map.x(0) - face))}
    </g>
  );
}

/** So wide is what is said of the zero, px. */
const SAID = 90;

export function HeldEnds({
  map,
  turned,
  part,
  stockTop,
  centre,
  width,
}: {
  readonly map: Mapping;
  readonly turned: boolean;
  readonly part: Part;
  readonly stockTop: number;
  readonly centre: boolean;
  readonly width: number;
}) {
  const y = Math.max(14, map.y(stockTop) - 20);
  const x = map.x(0) + 32;
  // where the page is narrow it stands at its edge, over the metal
  const room = x + SAID < width;
  return (
    <g>
      <Balloon x={map.x(0) + 16} y={centre ? y : map.axis - 16} letter={turned ? 'B' : 'A'} />
      <text
        x={room ? x : width - 6}
        y={room ? (centre ? y : map.axis - 16) + 4 : 14}
        textAnchor={room ? 'start' : 'end'}
        style={{ fontFamily: 'var(--text)', fontWeight: 700 }}>{`zero: face ${turned ? 'B' : 'A'}`}</text>
      <Balloon x={map.x(-part.length)} y={y} letter={turned ? 'A' : 'B'} />
    </g>
  );
}

/** The face that is zero, where only a part of the bar is seen: at its place, or at the edge that it lies beyond. */
export function ZeroFace({
  map,
  turned,
  width,
  height,
}: {
  readonly map: Mapping;
  readonly turned: boolean;
  readonly width: number;
  readonly height: number;
}) {
  const x = map.x(0);
  const letter = turned ? 'B' : 'A';
  const beyond = x > width - 130;
  return (
    <g>
      {!beyond && <line x1={x} x2={x} y1={0} y2={height - 20} stroke="var(--blue)" strokeWidth={1} strokeDasharray="5 4" />}
      <text x={beyond ? width - 14 : x + 8} y={18} textAnchor={beyond ? 'end' : 'start'} style={{ fontFamily: 'var(--text)', fontWeight: 700 }}>
        {`zero: face ${letter}${beyond ? ' →' : ''}`}
      </text>
    </g>
  );
}

/** A gauge drawn over the surface to measure. */
export function MeasureHere({
  part,
  map,
  step,
  view,
  bench,
}: {
  readonly part: Part;
  readonly map: Mapping;
  readonly step: Step;
  readonly view: (z: number) => number;
  readonly bench: boolean;
}) {
  if (step.gauge === undefined || step.verb !== 'finish-turn') return null;
  const f = part.features.find((o) => o.id === thingOf(step.does[0] ?? ''));
  if (!f) return null;
  const x = map.x(view((f.near + f.far) / 2));
  const r = f.nearDiameter.nominal / 2;
  // the balloon of the free face stands at its zero
  const crowded = map.x(0) - x < 110;
  return (
    <g stroke="var(--ink)" strokeWidth={3} fill="none" data-role="measure">
      <path d={`M${x} ${map.y(r)}v-9h-26M${x} ${map.y(-r)}v9h-26`} />
      {bench && (
        <g strokeWidth={0.7}>
          {crowded && <path d={`M${x} ${map.y(-r) + 9}L${map.x(0) + 20} ${map.axis + 22}`} />}
          <text
            x={crowded ? map.x(0) + 24 : x + 8}
            y={crowded ? map.axis + 26 : map.y(r) - 6}
            stroke="none"
            style={{ fontFamily: 'var(--text)', fontWeight: 700 }}>
            measure here
          </text>
        </g>
      )}
    </g>
  );
}

export function Ruler({
  map,
  width,
  height,
  units,
  zero,
  part,
}: {
  readonly map: Mapping;
  readonly width: number;
  readonly height: number;
  readonly units: Units;
  readonly zero: number;
  readonly part: Part;
}) {
  const unit = units === 'in' ? 25.4 : 1;
  const y = height - 20;
  // a rule: tenths of its numbered marks in mm, eighths in inches
  const parts = units === 'in' ? 8 : 10;
  const big = Math.max(1, tickStep(0, width / (map.scale * unit), width / 48));
  const marks = range(-12, Math.min(1200, Math.ceil(((part.length * 1.6 + 10) / (big * unit)) * parts))).flatMap((i) => {
    const u = (-i * big * unit) / parts;
    const x = map.x(u);
    if (map.breaks.some((b) => u > b.from && u < b.to) || x <= 10 || x >= width - 10) return [];
    return [{ x, text: i % parts === 0 ? String(Math.abs((i / parts) * big)) : undefined, key: i }];
  });
  return (
    <g stroke="var(--holding-line)" strokeWidth={0.7}>
      <line x1={0} x2={width} y1={y} y2={y} />
      {marks.map((m) => (
        <line key={m.key} x1={m.x} x2={m.x} y1={y} y2={y + (m.text === undefined ? (Math.abs(m.x - zero) < 0.5 ? 14 : 5) : 13)} />
      ))}
      {marks.map(
        (m) =>
          m.text !== undefined && (
            <text key={`t${m.key}`} x={m.x + 3} y={y + 14} stroke="none" style={{ fontSize: 11, fill: 'var(--quiet)' }}>
              {m.text}
            </text>
          ),
      )}
    </g>
  );
}

/** The gravest check of each row, at the row. */
export function CheckMarks({
  part,
  map,
  findings,
  units,
}: {
  readonly part: Part;
  readonly map: Mapping;
  readonly findings: readonly Finding[];
  readonly units: Units;
}) {
  return (
    <g>
      {part.features.map((f) => {
        const [gravest] = gravestFirst(findings.filter((finding) => subjectsOf(finding).includes(f.id)));
        if (!gravest) return null;
        const x = (map.x(f.near) + map.x(f.far)) / 2;
        const y = f.side === 'outside' ? map.y(f.nearDiameter.nominal / 4) : map.axis;
        return (
          <g
            key={f.id}
            transform={`translate(${x - 8} ${y - 8})`}
            role="img"
            aria-label={`${gravest.severity}: ${writeSentence(gravest.says, units)}`}
            data-role="check">
            <MarkShape severity={gravest.severity} />
          </g>
        );
      })}
    </g>
  );
}
