import { bareSize, type Feature, type Part, type PartDetail } from '@obra/core/drawing';
import { type Units, write, writeWithUnit } from '@obra/core/quantity';
import { useMemo } from 'react';
import type { Mapping } from './mapping';
import { type Label, place, type Placed } from './placeLabels';
import { type PickCell, picked, type Pressed } from './picked';
import type { PictureProps } from './props';

const one = (mm: number, units: Units): string => write({ is: 'length', value: mm }, units).text;
const typedOr = (typed: string | undefined, computed: string): string => (typed === undefined || typed.trim() === '' ? computed : typed.trim());

/** Sizes above, lengths below, holes beside their mouths: each clear of the others. A press on one opens its cell there. */
export function Dimensions({ part, map, units, typed, width, height, pick }: PictureProps & { readonly map: Mapping }) {
  const rows = part.features.filter((f) => f.side === 'outside');
  const { above, below } = labelsOf({ part, map, units, ...(typed && { typed }) });
  // a size that is typed moves no length, and a length no size as long as the scale stands
  const over = usePlaced(above, width);
  const under = usePlaced(below, width);
  const foot = footOf(height, rows.length);
  const radius = (id: string) => {
    const own = part.features.find((f) => f.id === id);
    const detail = part.details.find((d) => d.id === id);
    const row = own ?? part.features.find((f) => f.id === detail?.on);
    return row ? Math.max(row.nearDiameter.nominal, row.farDiameter.nominal) / 2 : 0;
  };
  return (
    <g className="dims">
      {over.map((label, i) => (
        <Above
          key={label.id}
          label={label}
          top={map.y(radius(label.id))}
          press={picked(pick, `${label.id}.size`, `size ${inOneLine(label.text)}`, i === 0)}
        />
      ))}
      {under.map((label) => (
        <Below
          key={label.id}
          label={label}
          row={rows.find((r) => r.id === label.id)}
          map={map}
          y={foot}
          press={picked(pick, `${label.id}.length`, `length ${inOneLine(label.text)}`)}
        />
      ))}
      <path d={span(map.x(-part.length), map.x(0), height - 10)} />
      <path d={arrow(map.x(-part.length), height - 10, 1) + arrow(map.x(0), height - 10, -1)} className="arrow" />
      <path d={fence(map.x(-part.length), foot + 4, height - 6) + fence(map.x(0), foot + 4, height - 6)} />
      <Paper text={writeWithUnit({ is: 'length', value: part.length }, units)} x={(map.x(0) + map.x(-part.length)) / 2} y={height - 6} />
      <Holes part={part} map={map} units={units} {...(typed && { typed })} height={height} pick={pick} />
    </g>
  );
}

/** Labels as placed, worked out anew only when one of them differs. */
function usePlaced(labels: readonly Label[], width: number): readonly Placed[] {
  const key = JSON.stringify(labels);
  return useMemo(() => place(JSON.parse(key) as Label[], width), [key, width]);
}

/** What stands above the part, sizes and details, and below it, lengths; each with where it points. */
export function labelsOf({ part, map, units, typed }: Pick<PictureProps, 'part' | 'units' | 'typed'> & { readonly map: Mapping }): {
  readonly above: readonly Label[];
  readonly below: readonly Label[];
} {
  const rows = part.features.filter((f) => f.side === 'outside');
  const middle = (f: { readonly near: number; readonly far: number }) => (map.x(f.near) + map.x(f.far)) / 2;
  return {
    above: [
      ...rows.map((f, i): Label => ({ id: f.id, text: sizeText(f, typed?.[f.id]?.size, units), short: String(i + 1), at: middle(f), span: 0 })),
      ...part.details.flatMap((d): Label[] => {
        const text = detailText(d, part, units);
        return text === undefined ? [] : [{ id: d.id, text, at: middle(d), span: 0 }];
      }),
    ],
    below: rows.map((f) => ({
      id: f.id,
      text: typedOr(typed?.[f.id]?.length, write({ is: 'length', value: f.near - f.far }, units).text),
      at: middle(f),
      span: map.x(f.near) - map.x(f.far),
    })),
  };
}

/** Lowest line of the levels above the part, px; each further one stands so much higher. */
const [ABOVE, UP] = [39, 14];
/** From one level of lengths to the next, px. */
const DOWN = 13;
/** Where leaders turn aside to their text, px. */
const [TURN, TO] = [44, 42];

/** The way of a leader from the metal, `top`, to its text above. */
export const leaderAbove = ({ at, foot, level }: Placed, top: number): readonly (readonly [number, number])[] => [
  [at, top],
  [at, Math.min(top, TURN)],
  [foot, Math.min(top, TO)],
  [foot, ABOVE - UP * level + 2],
];

/** The way of a leader from its dimension line, `y`, to its text below. */
export const leaderBelow = ({ at, foot, level }: Placed, y: number): readonly (readonly [number, number])[] => [
  [at, y],
  [foot, y + 6],
  [foot, y + 3 + DOWN * level - 9],
];

const way = (points: readonly (readonly [number, number])[]): string => points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${px(x)} ${px(y)}`).join('');

/** Where the lengths stand: with room below them for those that do not fit between their own lines. */
export const footOf = (height: number, rows: number): number => height - (rows > 9 ? 62 : 46);

function sizeText(f: Feature, typed: string | undefined, units: Units): string {
  const said = typed?.trim() ?? '';
  if (f.form === 'thread') return f.thread ?? '';
  if (said === '') return `Ø ${one(f.nearDiameter.nominal, units)}`;
  return f.form === 'cylinder' || f.form === 'taper' ? `Ø ${bareSize(said)}` : said;
}

/** What a detail is called on the picture, where it is marked above. */
function detailText(d: PartDetail, part: Part, units: Units): string | undefined {
  const outside = part.features.some((f) => f.id === d.on && f.side === 'outside');
  if (!outside) return undefined;
  const of = (mm: number | undefined) => one(mm ?? 0, units);
  switch (d.kind) {
    case 'groove':
    case 'ringGroove':
      return `Ø ${of(d.diameter?.nominal)} × ${of(d.width)}`;
    case 'crossHole':
      return `${d.thread?.designation ?? `Ø ${of(d.diameter?.nominal)}`}${(d.count ?? 1) > 1 ? ` (${String(d.count)})` : ''}`;
    case 'keyway':
      return `key ${of(d.width)} × ${of(d.depth)}`;
    case 'flat':
    case 'hexagon':
      return `${d.kind === 'hexagon' ? 'hex' : 'flat'} ${of(d.diameter?.nominal)}`;
    case 'knurl':
      return `knurl ${of(d.pitch)}`;
    default:
      return undefined;
  }
}

/** Room that a sign of these words takes, px. */
const SIGN = 8.6;

/** Rows of holes, listed beside their mouth, each with a line to where it is. */
function Holes({
  part,
  map,
  units,
  typed,
  height,
  pick,
}: Pick<PictureProps, 'part' | 'units' | 'typed' | 'height'> & { readonly map: Mapping; readonly pick: PickCell | undefined }) {
  return (
    <>
      {(['right', 'left'] as const).flatMap((side) => {
        const rows = part.features.filter((f) => f.side === side);
        const sign = side === 'right' ? 1 : -1;
        const face = map.x(side === 'right' ? 0 : -part.length);
        const start = Math.min(map.axis + 32, height - 24 - 15 * rows.length);
        return rows.map((f, i) => {
          const y = start + 15 * i;
          const size = f.form === 'thread' ? (f.thread ?? '') : `Ø ${bareSize(typedOr(typed?.[f.id]?.size, one(f.nearDiameter.nominal, units)))}`;
          const depth = f.through === true ? 'through' : write({ is: 'length', value: Math.abs(f.near - f.far) }, units).text;
          // on a narrow picture it stands as near to the face as its words want
          const x = side === 'right' ? face + 46 : Math.min(face - 8, Math.max(face - 46, SIGN * `${size} × ${depth}`.length + 4));
          return (
            <g key={f.id} {...picked(pick, `${f.id}.size`, `${size} × ${depth}, hole in end ${side === 'right' ? 'A' : 'B'}`)}>
              <path d={`M${px(map.x((f.near + f.far) / 2))} ${px(map.y((-f.nearDiameter.nominal / 2) * 0.8))}L${px(x - sign * 3)} ${px(y - 4)}`} />
              <text className="dim" x={x} y={y} textAnchor={side === 'right' ? 'start' : 'end'}>{`${size} × ${depth}`}</text>
            </g>
          );
        });
      })}
    </>
  );
}

function Above({ label, top, press }: { readonly label: Placed; readonly top: number; readonly press: Pressed }) {
  return (
    <g {...press}>
      <path d={way(leaderAbove(label, top))} />
      <Paper text={label.text} x={label.x} y={ABOVE - UP * label.level} last={UP} />
    </g>
  );
}

function Below({
  label,
  row,
  map,
  y,
  press,
}: {
  readonly label: Placed;
  readonly row: Feature | undefined;
  readonly map: Mapping;
  readonly y: number;
  readonly press: Pressed;
}) {
  if (!row) return null;
  const [x0, x1] = [map.x(row.far), map.x(row.near)];
  const bottom = map.y(-Math.max(row.nearDiameter.nominal, row.farDiameter.nominal) / 2);
  const at = label.level > 0 ? y + 3 + DOWN * label.level : y + 4;
  return (
    <g {...press}>
      <path d={`${fence(x0, bottom, y + 6)}${fence(x1, bottom, y + 6)}${span(x0, x1, y)}${label.level > 0 ? way(leaderBelow(label, y)) : ''}`} />
      {x1 - x0 > 16 && <path d={arrow(x0, y, 1) + arrow(x1, y, -1)} className="arrow" />}
      <Paper text={label.text} x={label.x} y={at} />
    </g>
  );
}

const px = (v: number): string => v.toFixed(1);
const span = (from: number, to: number, y: number): string => `M${px(from)} ${y}H${px(to)}`;
const fence = (x: number, from: number, to: number): string => `M${px(x)} ${px(from)}V${to}`;
const arrow = (x: number, y: number, to: 1 | -1): string => `M${px(x)} ${y}l${7 * to} -2.2v4.4z`;

/** What a broken text says in words. */
const inOneLine = (text: string): string => text.replace(/-\n/, '-').replace('\n', ' ');

/** Text with paper round it, so that lines do not run through it; the first of two lines at `y`, or with `last` the last of them, the first so much higher. */
const Paper = ({ text, x, y, last }: { readonly text: string; readonly x: number; readonly y: number; readonly last?: number }) => {
  const [one = '', two] = text.split('\n');
  if (two === undefined)
    return (
      <text className="dim paper" x={px(x)} y={y}>
        {one}
      </text>
    );
  return (
    <text className="dim paper" y={last === undefined ? y : y - last}>
      <tspan x={px(x)}>{one}</tspan>
      <tspan x={px(x)} dy={last ?? DOWN}>
        {two}
      </tspan>
    </text>
  );
};
