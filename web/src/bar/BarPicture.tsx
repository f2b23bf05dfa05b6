import './bar.css';
import { type Feature, type Part, widestOf } from '@obra/core/drawing';
import { writeWithUnit } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { boundsOf, finishedEdges, type Region, regionOf, silhouetteOf, turnedRound } from '@obra/core/stock';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { memoSteady, useSteady } from '../shell/useSteady';
import { EmptyBar, standardHeight } from '../small';
import { ToolAt, WholeBar } from './AtBench';
import type { OpenCell } from './CellInPicture';
import { Dimensions, footOf } from './Dimensions';
import { END_ROOM, endsShown } from './ends';
import { DetailMarks, HiddenHoles } from './Extra';
import { Chosen, Hits, Shoulders, Threads } from './Features';
import { mapping, type Mapping, type Stretch } from './mapping';
import { BentLine, Characteristics, CheckMarks, HeldEnds, HoldLengths, MeasureHere, Ruler, ZeroFace } from './Overlays';
import { nearby } from './nearby';
import { walk } from './picked';
import type { BarPictureProps, PictureProps } from './props';
import { Arbor, Balloon, BreakLine, Centre, Driven, Finished, Jaws, Metal, Outline, Plate, Removed, Rest } from './shapes';
import { usePanZoom } from './usePanZoom';

// loaded where they are wanted: no first screen carries them
const EndView = lazy(() => import('./EndView').then((m) => ({ default: m.EndView })));
const ShortPart = lazy(() => import('./Beside').then((m) => ({ default: m.ShortPart })));
const Ringed = lazy(() => import('./Beside').then((m) => ({ default: m.Ringed })));
const CellInPicture = lazy(() => import('./CellInPicture').then((m) => ({ default: m.CellInPicture })));
const DragShoulders = lazy(() => import('./DragShoulders').then((m) => ({ default: m.DragShoulders })));
const MoveHolding = lazy(() => import('./MoveHolding').then((m) => ({ default: m.MoveHolding })));

/** The one constant picture: the bar from above, headstock at the left, lower half cut. */
export const BarPicture = memoSteady(function BarPicture(props: BarPictureProps) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1280);
  const [tall, setTall] = useState<number>();
  const standard = props.height ?? standardHeight();
  const height = tall ?? standard;
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(Math.max(element.clientWidth, 320)));
    observer.observe(element);
    setWidth(Math.max(element.clientWidth, 320));
    return () => observer.disconnect();
  }, []);
  const group = usePanZoom(box);
  const [open, setOpen] = useState<OpenCell>();
  const { typing } = props;
  const { pick } = useSteady({
    pick: (cell: string, says: string, from: SVGElement) => {
      const [frame, at] = [box.current?.getBoundingClientRect(), from.getBoundingClientRect()];
      typing?.choose(cell.split('.')[0] ?? cell);
      setOpen({ cell, says, from, x: at.left + at.width / 2 - (frame?.left ?? 0), y: at.top + at.height / 2 - (frame?.top ?? 0) });
    },
  });
  return (
    <div className="bar" ref={box} style={{ height }} data-testid="bar" onKeyDown={walk}>
      {props.part && props.part.length > 0 ? (
        <svg viewBox={`0 0 ${width} ${height}`} role="group" aria-label={describe(props, props.part)}>
          <defs>
            <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1="0" y1="0" x2="0" y2="7" stroke="var(--hatch)" strokeWidth="1" />
            </pattern>
          </defs>
          <g ref={group}>
            <Picture {...props} part={props.part} width={width} height={height} pick={typing && pick} />
          </g>
        </svg>
      ) : (
        <EmptyBar width={width} height={height} />
      )}
      {open && typing && (
        <Suspense>
          <CellInPicture key={open.cell} open={open} typing={typing} width={width} height={height} onClose={() => setOpen(undefined)} />
        </Suspense>
      )}
      <button
        type="button"
        className="bar-edge noprint"
        aria-label="Height of the picture; arrow keys change it"
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
            e.preventDefault();
            setTall(Math.min(420, Math.max(90, height + (e.key === 'ArrowDown' ? 20 : -20))));
          }
        }}
        onPointerDown={(e) => {
          const start = e.clientY - height;
          const move = (m: PointerEvent) => setTall(Math.min(420, Math.max(90, m.clientY - start)));
          window.addEventListener('pointermove', move);
          window.addEventListener('pointerup', () => window.removeEventListener('pointermove', move), { once: true });
        }}
      />
    </div>
  );
});

function Picture(props: PictureProps) {
  const { part, setup, step, width, height, show, units } = props;
  const turned = setup?.end === 'left' && show !== 'drawing' && show !== 'inspection';
  const view = (z: number) => (turned ? turnedRound(z, part.length) : z);
  const finished = useMemo(() => regionOf(part.contour), [part.contour]);
  const seen = useMemo(() => silhouetteOf(part.contour), [part.contour]);
  const held = show !== 'drawing' && show !== 'inspection' && setup !== undefined;
  const collet = props.holding?.kind === 'collet' || props.holding?.kind === 'softCollet';
  const whole = useMemo(() => mapping(viewOf(props, held, turned)), [props, held, turned]);
  const near =
    show === 'bench' && held && step ? nearby(step, part, (z) => (turned ? turnedRound(z, part.length) : z), whole, { width, height }) : undefined;
  const map = near ?? whole;
  const at = { map, view };
  const stock: Region = step ? step.after : (setup?.before ?? []);
  const done = useMemo(() => (step ? finishedEdges(step.after, part) : []), [step, part]);
  const gripRadius = held ? setup.gripDiameter / 2 : 0;
  const zeroX = map.x(0);
  // a short wide part leaves both sides free: its section larger, and its end
  const short = !held && (map.x(0) - map.x(-part.length)) * 6 < width * 0.6 && part.length * 2 < largestOf(part);
  const ends = endsBeside(props, held);
  return (
    <>
      {held ? (
        <>
          <Metal region={stock} {...at} />
          <Outline region={stock} {...at} />
          <Outline region={finished} dashed {...at} />
          {step && <Finished edges={done} {...at} />}
          {step && <Removed region={step.removes} {...at} />}
          {centred(setup) && <Centre map={map} at={0} />}
          {setup.support.map(
            (s) =>
              s.kind !== 'centre' && (
                <Rest
                  key={s.item}
                  map={map}
                  at={view(s.kind === 'steady' ? s.at : (setup.bent?.at ?? s.at))}
                  radius={gripRadius}
                  steady={s.kind === 'steady'}
                />
              ),
          )}
          <HeldBy
            setup={setup}
            map={map}
            view={view}
            radius={gripRadius}
            room={Math.min(map.y(gripRadius) - 3, height - 21 - map.y(-gripRadius))}
            collet={collet}
          />
          {props.tool && <ToolAt tool={props.tool} map={map} />}
          {step && <Threads part={part} map={map} view={view} brass={step.verb === 'thread' || step.verb === 'die' ? step.does[0] : undefined} />}
        </>
      ) : (
        <>
          <Metal region={finished} seen={seen} {...at} />
          {behind(props).length > 0 && <Outline region={behind(props)} dashed {...at} />}
          <Shoulders part={part} map={map} />
          <HiddenHoles part={part} map={map} />
          <DetailMarks part={part} map={map} />
          <Threads part={part} map={map} view={view} brass={undefined} />
          <Outline region={finished} seen={seen} strong {...at} />
          <Suspense>
            {short ? (
              <ShortPart part={part} map={map} width={width} height={height} />
            ) : (
              show === 'drawing' && <Ringed part={part} map={map} width={width} taken={ends} />
            )}
          </Suspense>
          {!short && ends.length > 0 && (
            <Suspense>
              {ends.map((end) => (
                <EndView key={end} part={part} end={end} map={map} x={end === 'right' ? width - END_ROOM - 24 : END_ROOM + 24} room={END_ROOM} />
              ))}
            </Suspense>
          )}
          {props.chosen !== undefined && <Chosen part={part} map={map} row={props.chosen} />}
        </>
      )}
      {map.breaks.map((b) => (
        <BreakLine key={b.from} map={map} at={b.from} radius={b.diameter / 2} />
      ))}
      <line
        x1={map.x(viewEnds(props, held).from) - 24}
        x2={map.x(viewEnds(props, held).to) + 24}
        y1={map.axis}
        y2={map.axis}
        stroke="var(--ink)"
        strokeWidth={0.8}
        strokeDasharray="14 3 3 3"
      />
      {show === 'holding' && setup && held && !setup.onArbor && (
        <HoldLengths map={map} view={view} setup={setup} units={units} radius={Math.max(gripRadius, largestOf(part) / 2)} collet={collet} />
      )}
      {show === 'holding' && setup && held && props.movable && !setup.carried && !setup.onArbor && (
        <Suspense>
          <MoveHolding {...props.movable} map={map} view={view} setup={setup} units={units} width={width} />
        </Suspense>
      )}
      {show === 'holding' && setup?.bent && (
        <BentLine map={map} view={view} bent={setup.bent} units={units} foot={map.y(-Math.max(gripRadius, largestOf(part) / 2))} />
      )}
      {show === 'inspection' && <Characteristics {...props} map={map} />}
      {held && step && <MeasureHere part={part} map={map} step={step} view={view} bench={show === 'bench'} />}
      {near && step ? (
        <>
          <ZeroFace map={map} turned={turned} width={width} height={height} />
          <WholeBar
            whole={viewOf(props, held, turned)}
            near={near}
            width={width}
            view={view}
            stock={stock}
            removes={step.removes}
            finished={finished}
          />
        </>
      ) : held ? (
        <HeldEnds map={map} turned={turned} part={part} stockTop={gripRadius} centre={centred(setup)} width={width} />
      ) : (
        <>
          <Balloon x={map.x(viewEnds(props, held).from) - 26} y={map.axis} letter="B" />
          <Balloon x={map.x(viewEnds(props, held).to) + 26} y={map.axis} letter="A" />
        </>
      )}
      {held && <Ruler map={map} width={width} height={height} units={units} zero={zeroX} part={part} />}
      {!turned && props.findings && <CheckMarks part={part} map={map} findings={props.findings} units={units} />}
      {show === 'drawing' && <Dimensions {...props} map={map} />}
      {show === 'drawing' && props.pick && <Hits part={part} map={map} pick={props.pick} />}
      {show === 'drawing' && props.typing && (
        <Suspense>
          <DragShoulders part={part} map={map} typing={props.typing} />
        </Suspense>
      )}
    </>
  );
}

const centred = (setup: Setup): boolean => setup.carried === 'centres' || setup.support.some((s) => s.kind === 'centre');

/** What the work is held by at the headstock: jaws, an arbor, a centre with its dog, a plate. */
function HeldBy({
  setup,
  map,
  view,
  ...at
}: {
  readonly setup: Setup;
  readonly map: Mapping;
  readonly view: (z: number) => number;
  readonly radius: number;
  readonly room: number;
  readonly collet: boolean;
}) {
  const ends = setup.gripped.map(view);
  const [from, to] = [Math.min(...ends), Math.max(...ends)];
  if (setup.onArbor) return <Arbor map={map} from={from} to={to} radius={at.radius} />;
  if (setup.carried === 'centres') return <Driven map={map} from={from} to={to} radius={at.radius} />;
  if (setup.carried === 'plate') return <Plate map={map} at={to} radius={at.radius} />;
  return <Jaws map={map} from={from} to={to} {...at} />;
}

/** What the drawing shows behind itself: the piece that the job starts from. */
const behind = ({ show, stock }: PictureProps): Region => (show === 'drawing' ? (stock ?? []) : []);

function viewEnds(props: PictureProps, held: boolean): { readonly from: number; readonly to: number } {
  const { part, setup } = props;
  if (!held || !setup) {
    const stock = boundsOf(behind(props));
    return { from: Math.min(-part.length, stock.left), to: Math.max(0, stock.right) };
  }
  const turned = setup.end === 'left';
  const all = [...setup.gripped].map((z) => (turned ? turnedRound(z, part.length) : z));
  return { from: Math.min(...all, -part.length) - (turned ? 0 : 3), to: 2 };
}

function viewOf(props: PictureProps, held: boolean, turned: boolean) {
  const { part, width, height, show } = props;
  const { from, to } = viewEnds(props, held);
  const rows = part.features.filter((f) => f.side === 'outside');
  const largest = largestOf(part);
  const radius = held ? Math.max(props.barRadius ?? largest / 2, largest / 2) : Math.max(largest / 2, boundsOf(behind(props)).radius);
  const stretches: Stretch[] = held
    ? rows.map((f) => stretchOf(f, turned ? (z) => turnedRound(z, part.length) : (z) => z, 2 * radius))
    : rows.map((f) =>
        f.form === 'cylinder' && !part.details.some((d) => d.on === f.id)
          ? stretchOf(f, (z) => z, f.nearDiameter.nominal)
          : { from: 0, to: 0, diameter: f.nearDiameter.nominal },
      );
  const top = held ? (show === 'bench' ? 24 : 42) : show === 'drawing' ? 47 : 36;
  const bottom = held ? (show === 'bench' ? 24 : 50) : show === 'drawing' ? height - footOf(height, rows.length) + 8 : 30;
  return {
    from,
    to,
    maxRadius: radius,
    stretches,
    width,
    height,
    top,
    bottom,
    side:
      endsBeside(props, held).length > 0
        ? (part.features.some((f) => f.side !== 'outside') ? 150 : 50) + 2 * END_ROOM + 48
        : (held && (props.setup?.carried === 'centres' || (!turned && props.setup?.support.length))) ||
            (!held && part.features.some((f) => f.side !== 'outside'))
          ? 160
          : 116,
  };
}

/** Ends that stand beside the section of a drawing; a short wide part has its own. */
const endsBeside = ({ part, show, endless = false }: PictureProps, held: boolean) =>
  !held && !endless && show === 'drawing' && part.length * 2 >= largestOf(part) ? endsShown(part) : [];

const largestOf = (part: Part): number => Math.max(...part.features.filter((f) => f.side === 'outside').map((f) => widestOf(f).nominal), 1);

const stretchOf = (f: Feature, view: (z: number) => number, diameter: number): Stretch => ({
  from: Math.min(view(f.near), view(f.far)),
  to: Math.max(view(f.near), view(f.far)),
  diameter,
});

/** What the picture shows, in words. */
function describe({ units, setup, step, show }: BarPictureProps, part: Part): string {
  const rows = part.features
    .filter((f) => f.side === 'outside')
    .map(
      (f) =>
        `${f.thread ?? (f.nearDiameter.nominal === f.farDiameter.nominal ? '' : `${writeWithUnit({ is: 'diameter', value: f.farDiameter.nominal }, units)} from `) + writeWithUnit({ is: 'diameter', value: f.nearDiameter.nominal }, units)} × ${writeWithUnit({ is: 'length', value: f.near - f.far }, units)}`,
    );
  const held =
    setup && show !== 'drawing' && show !== 'inspection'
      ? ` Held in ${setup.holding}, end ${setup.end === 'left' ? 'B' : 'A'} out, zero at its face.`
      : '';
  const now = step && held !== '' ? ` After step ${step.verb}.` : '';
  return `The part from end A: ${rows.join('; ')}; ${writeWithUnit({ is: 'length', value: part.length }, units)} long.${held}${now}`;
}
