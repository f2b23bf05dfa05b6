import { type Characteristic, type Feature, type Holding, type Part, rectangle, regionOf, type Region, type Setup, type Step, turnedRound, type Units, write, writeWithUnit } from '@obra/core';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { type Label, place, type Placed } from './dimensions';
import { type Mapping, mapping, type Stretch } from './mapping';
import { Balloon, BreakLine, Centre, Jaws, Metal, Outline, Removed } from './shapes';
import { usePanZoom } from './usePanZoom';

export interface BarPictureProps {
  readonly part: Part | undefined;
  readonly units: Units;
  /** what was typed for each row, as the drawing shows it */
  readonly typed?: Readonly<Record<string, { readonly size: string; readonly length: string }>>;
  readonly setup?: Setup | undefined;
  readonly step?: Step | undefined;
  readonly holding?: Holding | undefined;
  readonly barRadius?: number;
  readonly show: 'drawing' | 'holding' | 'route' | 'bench' | 'inspection';
  readonly chosen?: string | undefined;
  readonly marks?: Readonly<Record<string, 'in' | 'over' | 'under' | 'cannotTell'>>;
  readonly onPick?: (row: string) => void;
  readonly height?: number;
}

/** The one constant picture: the bar from above, headstock at the left, lower half cut. */
export const BarPicture = memo(function BarPicture(props: BarPictureProps) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1280);
  const [tall, setTall] = useState<number>();
  const standard = props.height ?? (typeof window !== 'undefined' && window.innerHeight < 720 ? 190 : 220);
  const height = tall ?? standard;
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => { setWidth(Math.max(element.clientWidth, 320)); });
    observer.observe(element);
    setWidth(Math.max(element.clientWidth, 320));
    return () => { observer.disconnect(); };
  }, []);
  const group = usePanZoom(box);
  return (
    <div className="bar" ref={box} style={{ height }} data-testid="bar">
      {props.part && props.part.length > 0 ? <Picture {...props} part={props.part} width={width} height={height} group={group} /> : <EmptyBar width={width} height={height} />}
      <button
        type="button" className="bar-edge noprint" aria-label="Height of the picture; arrow keys change it"
        onKeyDown={(e) => { if (e.key === 'ArrowDown' || e.key === 'ArrowUp') { e.preventDefault(); setTall(Math.min(420, Math.max(90, height + (e.key === 'ArrowDown' ? 20 : -20)))); } }}
        onPointerDown={(e) => {
          const start = e.clientY - height;
          const move = (m: PointerEvent) => { setTall(Math.min(420, Math.max(90, m.clientY - start))); };
          window.addEventListener('pointermove', move);
          window.addEventListener('pointerup', () => { window.removeEventListener('pointermove', move); }, { once: true });
        }}
      />
    </div>
  );
});

function EmptyBar({ width, height }: { readonly width: number; readonly height: number }) {
  const y = height / 2;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label="An empty bar in the jaws">
      <rect x={width * 0.25} y={y - 30} width={width * 0.4} height={60} fill="#e6e3da" />
      <path d={`M${width * 0.25} ${y - 62}h90v14h-22v18h-68zM${width * 0.25} ${y + 62}h90v-14h-22v-18h-68z`} fill="#eceae3" stroke="#8b8676" />
      <line x1={width * 0.22} x2={width * 0.69} y1={y} y2={y} stroke="#8b8676" strokeDasharray="14 4 3 4" />
      <text x={width * 0.45} y={y + 5} textAnchor="middle" style={{ fontFamily: 'var(--text)', fontSize: 15, fill: 'var(--quiet)' }}>type a size and a length: the part is drawn here</text>
    </svg>
  );
}

type PictureProps = BarPictureProps & { readonly part: Part; readonly width: number; readonly height: number; readonly group: React.RefObject<SVGGElement | null> };

function Picture(props: PictureProps) {
  const { part, setup, step, width, height, show, units } = props;
  const turned = setup?.end === 'left' && show !== 'drawing' && show !== 'inspection';
  const view = (z: number) => (turned ? turnedRound(z, part.length) : z);
  const finished = useMemo(() => regionOf(part.contour), [part.contour]);
  const held = show !== 'drawing' && show !== 'inspection' && setup !== undefined;
  const map = useMemo(() => mapping(viewOf(props, held, turned)), [props, held, turned]);
  const at = { map, view };
  const stock: Region = step ? step.after : (setup?.before ?? []);
  const gripRadius = held ? gripRadiusOf(props, setup, turned) : 0;
  const zeroX = map.x(0);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="group" aria-label={describe(props)}>
      <defs>
        <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" stroke="#7d8694" strokeWidth="1" />
        </pattern>
      </defs>
      <g ref={props.group}>
        {held ? (
          <>
            <Metal region={stock} {...at} />
            {step && <Removed region={step.removes} {...at} />}
            <Outline region={stock} {...at} />
            <Outline region={finished} dashed {...at} />
            {setup.support.length > 0 && <Centre map={map} at={0} />}
            <Jaws map={map} from={Math.min(view(setup.gripped[0]), view(setup.gripped[1]))} to={Math.max(view(setup.gripped[0]), view(setup.gripped[1]))} radius={gripRadius} collet={props.holding?.kind === 'collet' || props.holding?.kind === 'softCollet'} />
            {step && <Threads part={part} map={map} view={view} brass={step.verb === 'thread' || step.verb === 'die' ? step.does[0] : undefined} />}
          </>
        ) : (
          <>
            <Metal region={finished} {...at} />
            <Shoulders part={part} map={map} />
            <Threads part={part} map={map} view={view} brass={undefined} />
            <Outline region={finished} strong {...at} />
            {props.chosen !== undefined && <Chosen part={part} map={map} row={props.chosen} />}
          </>
        )}
        {map.breaks.map((b) => <BreakLine key={b.from} map={map} at={b.from} radius={b.diameter / 2} />)}
        <line x1={map.x(viewEnds(props, held).from) - 24} x2={map.x(viewEnds(props, held).to) + 24} y1={map.axis} y2={map.axis} stroke="var(--ink)" strokeWidth={0.8} strokeDasharray="14 3 3 3" />
        {show === 'drawing' && <Dimensions {...props} map={map} />}
        {show === 'inspection' && <Characteristics {...props} map={map} />}
        {held && step && <MeasureHere part={part} map={map} step={step} view={view} bench={show === 'bench'} />}
        {held ? <HeldEnds map={map} turned={turned} part={part} stockTop={gripRadius} centre={setup.support.length > 0} /> : (
          <>
            <Balloon x={map.x(-part.length) - 26} y={map.axis} letter="B" />
            <Balloon x={map.x(0) + 26} y={map.axis} letter="A" />
          </>
        )}
        {held && <Ruler map={map} width={width} height={height} units={units} zero={zeroX} part={part} />}
        {show === 'drawing' && props.onPick && <Hits part={part} map={map} height={height} onPick={props.onPick} />}
      </g>
    </svg>
  );
}

function viewEnds(props: PictureProps, held: boolean): { readonly from: number; readonly to: number } {
  const { part, setup } = props;
  if (!held || !setup) return { from: -part.length, to: 0 };
  const turned = setup.end === 'left';
  const all = [...setup.gripped].map((z) => (turned ? turnedRound(z, part.length) : z));
  return { from: Math.min(...all, -part.length) - (turned ? 0 : 3), to: 2 };
}

function viewOf(props: PictureProps, held: boolean, turned: boolean) {
  const { part, width, height, show } = props;
  const { from, to } = viewEnds(props, held);
  const rows = part.features.filter((f) => f.side === 'outside');
  const largest = Math.max(...rows.map((f) => f.nearDiameter.nominal), 1);
  const radius = held ? Math.max(props.barRadius ?? largest / 2, largest / 2) : largest / 2;
  const stretches: Stretch[] = held
    ? rows.map((f) => stretchOf(f, turned ? (z) => turnedRound(z, part.length) : (z) => z, 2 * radius))
    : rows.map((f) => stretchOf(f, (z) => z, f.nearDiameter.nominal));
  const levels = show === 'drawing' ? 1 : 0;
  const top = held ? (show === 'bench' ? 24 : 42) : show === 'drawing' ? 36 + 6 * levels : 36;
  const bottom = held ? (show === 'bench' ? 24 : 50) : show === 'drawing' ? 54 : 30;
  return { from, to, maxRadius: radius, stretches, width, height, top, bottom, side: held && !turned && props.setup?.support.length ? 150 : 110 };
}

const stretchOf = (f: Feature, view: (z: number) => number, diameter: number): Stretch => ({ from: Math.min(view(f.near), view(f.far)), to: Math.max(view(f.near), view(f.far)), diameter });

function gripRadiusOf(props: PictureProps, setup: Setup, turned: boolean): number {
  if (!turned) return props.barRadius ?? 10;
  const middle = (setup.gripped[0] + setup.gripped[1]) / 2;
  const row = props.part.features.find((f) => f.side === 'outside' && middle <= f.near && middle >= f.far);
  return (row?.nearDiameter.nominal ?? 10) / 2;
}

function Shoulders({ part, map }: { readonly part: Part; readonly map: Mapping }) {
  const rows = part.features.filter((f) => f.side === 'outside');
  return (
    <g stroke="var(--ink)" strokeWidth={1}>
      {rows.map((f) => (
        <g key={f.id}>
          {(f.chamferNear ?? 0) > 0 && <line x1={map.x(f.near - (f.chamferNear ?? 0))} x2={map.x(f.near - (f.chamferNear ?? 0))} y1={map.y(f.nearDiameter.nominal / 2)} y2={map.axis} strokeWidth={0.7} />}
          {f.far > -part.length + 1e-6 && <line x1={map.x(f.far)} x2={map.x(f.far)} y1={map.y(Math.max(f.nearDiameter.nominal, rows.find((o) => Math.abs(o.near - f.far) < 1e-6)?.nearDiameter.nominal ?? 0) / 2)} y2={map.axis} />}
        </g>
      ))}
    </g>
  );
}

/** The thin line of a thread at its root, on both sides; brass while it is being cut. */
function Threads({ part, map, view, brass }: { readonly part: Part; readonly map: Mapping; readonly view: (z: number) => number; readonly brass: string | undefined }) {
  return (
    <>
      {part.features.filter((f) => f.form === 'thread').map((f) => {
        const outer = f.near === 0 || brass !== undefined ? f.near : f.near;
        const long = f.usable ?? Math.abs(f.near - f.far);
        const [x0, x1] = [map.x(view(outer)), map.x(view(outer - long))];
        const r = f.nearDiameter.nominal / 2;
        const root = r * 0.86;
        return (
          <g key={f.id}>
            {brass === f.id && [1, -1].map((half) => <rect key={half} x={Math.min(x0, x1)} width={Math.abs(x1 - x0)} y={Math.min(map.y(half * r), map.y(half * root))} height={Math.abs(map.y(r) - map.y(root))} fill="var(--brass)" data-role="removed" />)}
            {[1, -1].map((half) => <line key={half} x1={x0} x2={x1} y1={map.y(half * root)} y2={map.y(half * root)} stroke="var(--ink)" strokeWidth={0.9} />)}
          </g>
        );
      })}
    </>
  );
}

function Chosen({ part, map, row }: { readonly part: Part; readonly map: Mapping; readonly row: string }) {
  const f = part.features.find((o) => o.id === row);
  if (!f) return null;
  const r = f.nearDiameter.nominal / 2;
  const [x0, x1] = [map.x(Math.min(f.near, f.far)), map.x(Math.max(f.near, f.far))];
  return <rect x={x0} width={x1 - x0} y={map.y(r) - 2} height={2 * r * map.scale + 4} fill="none" stroke="var(--blue)" strokeWidth={2} />;
}

function Hits({ part, map, height, onPick }: { readonly part: Part; readonly map: Mapping; readonly height: number; readonly onPick: (row: string) => void }) {
  return (
    <g>
      {part.features.map((f) => {
        const [x0, x1] = [map.x(Math.min(f.near, f.far)), map.x(Math.max(f.near, f.far))];
        const tall = f.side === 'outside' ? height : f.nearDiameter.nominal * map.scale;
        return <rect key={f.id} x={x0} width={x1 - x0} y={f.side === 'outside' ? 0 : map.axis - tall / 2} height={tall} fill="transparent" role="button" aria-label={`row ${f.id}`} onClick={() => { onPick(f.id); }} />;
      })}
    </g>
  );
}

const trimmed = (f: Feature, units: Units): string => write({ is: 'diameter', value: f.nearDiameter.nominal }, units).text;

function Dimensions({ part, map, units, typed, width, height }: PictureProps & { readonly map: Mapping }) {
  const rows = part.features.filter((f) => f.side === 'outside');
  const above: Label[] = rows.map((f) => {
    const said = typed?.[f.id]?.size.trim();
    const text = f.form === 'thread' ? (f.thread ?? '') : said !== undefined && said !== '' ? `Ø ${said.replace(/^[ØO]\s*/, '')}` : trimmed(f, units);
    return { id: f.id, text, at: (map.x(f.near) + map.x(f.far)) / 2, span: 0 };
  });
  const below: Label[] = rows.map((f) => ({ id: f.id, text: typed?.[f.id]?.length.trim() || write({ is: 'length', value: f.near - f.far }, units).text, at: (map.x(f.near) + map.x(f.far)) / 2, span: map.x(f.near) - map.x(f.far) }));
  const holes = part.features.filter((f) => f.side !== 'outside');
  const foot = height - 46;
  return (
    <g>
      {place(above, width).map((label, i) => <Above key={label.id} label={label} row={rows[i]} map={map} />)}
      {place(below, width).map((label, i) => <Below key={label.id} label={label} row={rows[i]} map={map} y={foot} />)}
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
            <line x1={x} y1={map.axis + (f.nearDiameter.nominal / 2) * map.scale * 0.7} x2={x + (right ? 46 : -46)} y2={map.axis + 34} stroke="var(--ink)" strokeWidth={0.7} />
            <text x={x + (right ? 48 : -48)} y={map.axis + 38} textAnchor={right ? 'start' : 'end'}>{`${trimmed(f, units)} × ${write({ is: 'length', value: Math.abs(f.near - f.far) }, units).text}`}</text>
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

const Arrow = ({ x, y, to }: { readonly x: number; readonly y: number; readonly to: 1 | -1 }) => <path d={`M${x} ${y}l${7 * to} -2.2v4.4z`} fill="var(--ink)" />;

/** Text on a patch of paper, so that lines do not run through it. */
function Paper({ text, x, y }: { readonly text: string; readonly x: number; readonly y: number }) {
  const half = (text.length * 7.6) / 2 + 2;
  return (
    <g>
      <rect x={x - half} y={y - 11} width={2 * half} height={14} fill="#fdfcf9" opacity={0.92} />
      <text x={x} y={y} textAnchor="middle">{text}</text>
    </g>
  );
}

function Characteristics({ part, map, marks }: PictureProps & { readonly map: Mapping }) {
  const where = (c: Characteristic) => {
    const f = part.features.find((o) => o.id === c.of);
    if (!f) return { x: 0, y: 0 };
    const middle = (map.x(f.near) + map.x(f.far)) / 2;
    return c.is === 'length' ? { x: middle, y: map.y(-f.nearDiameter.nominal / 2) + 13 } : { x: middle + (c.is === 'thread' ? 24 : 0), y: map.y(f.nearDiameter.nominal / 2) - 13 };
  };
  return (
    <g>
      {part.characteristics.map((c) => {
        const { x, y } = where(c);
        const mark = marks?.[c.id];
        return (
          <g key={c.id}>
            <circle cx={x} cy={y} r={10} fill={mark === 'in' ? 'var(--verdigris)' : mark === undefined ? '#fdfcf9' : 'var(--oxide)'} stroke="var(--ink)" strokeWidth={1} />
            <text x={x} y={y + 4.4} textAnchor="middle" style={{ fontSize: 11.5, fill: mark === undefined ? 'var(--ink)' : '#fff' }}>{mark === undefined ? c.balloon : mark === 'in' ? '✓' : mark === 'over' ? '+' : mark === 'under' ? '−' : '?'}</text>
          </g>
        );
      })}
    </g>
  );
}

function HeldEnds({ map, turned, part, stockTop, centre }: { readonly map: Mapping; readonly turned: boolean; readonly part: Part; readonly stockTop: number; readonly centre: boolean }) {
  const y = Math.max(14, map.y(stockTop) - 20);
  return (
    <g>
      <Balloon x={map.x(0) + 16} y={centre ? y : map.axis - 16} letter={turned ? 'B' : 'A'} />
      <text x={map.x(0) + 32} y={(centre ? y : map.axis - 16) + 4} style={{ fontFamily: 'var(--text)', fontWeight: 700 }}>{`zero: face ${turned ? 'B' : 'A'}`}</text>
      <Balloon x={map.x(-part.length)} y={y} letter={turned ? 'A' : 'B'} />
    </g>
  );
}

/** A gauge drawn over the surface to measure. */
function MeasureHere({ part, map, step, view, bench }: { readonly part: Part; readonly map: Mapping; readonly step: Step; readonly view: (z: number) => number; readonly bench: boolean }) {
  if (step.gauge === undefined || step.verb !== 'finish-turn') return null;
  const f = part.features.find((o) => o.id === step.does[0]?.split('.')[0]);
  if (!f) return null;
  const x = map.x(view((f.near + f.far) / 2));
  const r = f.nearDiameter.nominal / 2;
  return (
    <g stroke="var(--ink)" strokeWidth={3} fill="none" data-role="measure">
      <path d={`M${x} ${map.y(r)}v-9h-26M${x} ${map.y(-r)}v9h-26`} />
      {bench && <text x={x + 8} y={map.y(r) - 6} stroke="none" style={{ fontFamily: 'var(--text)', fontWeight: 700 }}>measure here</text>}
    </g>
  );
}

function Ruler({ map, width, height, units, zero, part }: { readonly map: Mapping; readonly width: number; readonly height: number; readonly units: Units; readonly zero: number; readonly part: Part }) {
  const unit = units === 'in' ? 25.4 : 1;
  const big = units === 'in' ? (map.scale * 25.4 > 34 ? 1 : 2) : [1, 5, 10, 20, 50, 100].find((n) => n * map.scale > 34) ?? 200;
  const y = height - 20;
  const marks: { readonly x: number; readonly text: string | undefined; readonly key: number }[] = [];
  const small = units === 'in' ? big / 8 : big / 10;
  for (let i = -12; i * small * unit <= part.length * 1.6 + 10 && marks.length < 1200; i++) {
    const u = -i * small * unit;
    if (map.breaks.some((b) => u > b.from && u < b.to)) continue;
    const x = map.x(u);
    const long = i % (units === 'in' ? 8 : 10) === 0;
    if (x > 10 && x < width - 10) marks.push({ x, text: long ? String(Math.abs(Number((i * small).toFixed(4)))) : undefined, key: i });
  }
  return (
    <g stroke="#8b8676" strokeWidth={0.7}>
      <line x1={0} x2={width} y1={y} y2={y} />
      {marks.map((m) => <line key={m.key} x1={m.x} x2={m.x} y1={y} y2={y + (m.text === undefined ? (Math.abs(m.x - zero) < 0.5 ? 14 : 5) : 13)} />)}
      {marks.map((m) => m.text !== undefined && <text key={`t${m.key}`} x={m.x + 3} y={y + 14} stroke="none" style={{ fontSize: 11, fill: 'var(--quiet)' }}>{m.text}</text>)}
    </g>
  );
}

/** What the picture shows, in words. */
function describe({ part, units, setup, step, show }: PictureProps): string {
  const rows = part.features.filter((f) => f.side === 'outside').map((f) => `${f.thread ?? writeWithUnit({ is: 'diameter', value: f.nearDiameter.nominal }, units)} × ${writeWithUnit({ is: 'length', value: f.near - f.far }, units)}`);
  const held = setup && show !== 'drawing' && show !== 'inspection' ? ` Held in ${setup.holding}, end ${setup.end === 'left' ? 'B' : 'A'} out, zero at its face.` : '';
  const now = step && held !== '' ? ` After step ${step.verb}.` : '';
  return `The part from end A: ${rows.join('; ')}; ${writeWithUnit({ is: 'length', value: part.length }, units)} long.${held}${now}`;
}

/** A small true section of the stock after a step, for the sheet. */
export const Stamp = memo(function Stamp({ region, removed, part, turned }: { readonly region: Region; readonly removed: Region; readonly part: Part; readonly turned: boolean }) {
  const [width, height] = [84, 32];
  const radius = Math.max(...part.features.map((f) => f.nearDiameter.nominal / 2), 1) * 1.15;
  const scale = Math.min((width - 8) / (part.length * 1.12), (height - 4) / (2 * radius));
  const view = (z: number) => (turned ? turnedRound(z, part.length) : z);
  const map: Mapping = { scale, axis: height / 2, breaks: [], x: (u) => width - 6 + u * scale, y: (r) => height / 2 - r * scale };
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <g style={{ clipPath: `inset(0)` }}>
        <StampMetal region={region} map={map} view={view} fill="var(--steel)" />
        <StampMetal region={removed} map={map} view={view} fill="var(--brass)" />
      </g>
      <line x1={0} x2={width} y1={height / 2} y2={height / 2} stroke="var(--ink)" strokeWidth={0.7} strokeDasharray="7 2 2 2" />
    </svg>
  );
});

function StampMetal({ region, map, view, fill }: { readonly region: Region; readonly map: Mapping; readonly view: (z: number) => number; readonly fill: string }) {
  return <>{region.map((rings, i) => <g key={i} fill={fill}><polygon points={points(rings[0], map, view, 1)} /><polygon points={points(rings[0], map, view, -1)} /></g>)}</>;
}

function points(ring: Float64Array | undefined, map: Mapping, view: (z: number) => number, half: 1 | -1): string {
  const out: string[] = [];
  for (let i = 0; ring && i < ring.length; i += 2) out.push(`${map.x(view(ring[i] ?? 0)).toFixed(1)},${map.y(half * (ring[i + 1] ?? 0)).toFixed(1)}`);
  return out.join(' ');
}

/** The finished part, small, for lists. */
export const SmallPart = memo(function SmallPart({ part, width = 120, height = 40 }: { readonly part: Part; readonly width?: number; readonly height?: number }) {
  const region = part.contour.length > 0 ? regionOf(part.contour) : rectangle(-40, 0, 0, 8);
  const radius = Math.max(...part.features.map((f) => f.nearDiameter.nominal / 2), 8);
  const long = part.length || 40;
  const scale = Math.min((width - 8) / long, (height - 6) / (2 * radius));
  const left = (width - long * scale) / 2;
  const map: Mapping = { scale, axis: height / 2, breaks: [], x: (u) => left + (u + long) * scale, y: (r) => height / 2 - r * scale };
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <g stroke="var(--ink)" strokeWidth={1}><StampMetal region={region} map={map} view={(z) => z} fill={part.contour.length > 0 ? 'var(--steel)' : '#e6e3da'} /></g>
      <line x1={2} x2={width - 2} y1={height / 2} y2={height / 2} stroke="var(--ink)" strokeWidth={0.7} strokeDasharray="7 2 2 2" />
    </svg>
  );
});
