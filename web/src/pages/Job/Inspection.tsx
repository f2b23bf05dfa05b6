import { dialledSo, settled } from '@obra/core/bench';
import { type Entry, liveEntries, stillHere } from '@obra/core/document';
import type { Characteristic } from '@obra/core/drawing';
import { inspect, isGood, standsAs, type Verdict } from '@obra/core/inspection';
import { figure, writeWithUnit } from '@obra/core/quantity';
import { wayOf } from '@obra/core/shop';
import { Printer } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { type Column, Grid } from '../../grid';
import { dayOf } from '../../shell/dates';
import { download, fileName } from '../../shell/download';
import { type Drawn, sizeAbout, sizeBetween, SizeLimits, sizeName, sizeNominal, sizeWord } from '../../sheet';
import { Big, FigureNumber, RunStrip, Stands } from '../../slate';
import { AllPieces } from './AllPieces';
import { Runouts } from './BarUse';
import { AcceptIt, EnterReading, GoesOn } from './EnterReading';
import { GaugesDue, WhoMeasures } from './WhoMeasures';
import { RoundPicture } from './RoundPicture';
import { TypedBackCard } from './TypedBackCard';
import type { JobView } from './view';
import { howTrue } from '../../words/titles';
import { printThisSheet } from '../../words/pressed';

const verdictsOf = (view: JobView): readonly Verdict[] => inspect(view.part, view.job.issue?.kit ?? view.shop, view.log);

/** Those of sizes that are brought in, not of readings on the way. */
const settledOf = (view: JobView) => settled(verdictsOf(view), view.job, view.plan, view.log);

/** The mark of each size on the picture: the worst of its pieces. */
export function marksOf(view: JobView): Readonly<Record<string, Verdict['says']>> {
  const marks: Record<string, Verdict['says']> = {};
  for (const v of settledOf(view)) if (marks[v.of] === undefined || standsAs(v) !== 'in') marks[v.of] = standsAs(v);
  return marks;
}

const words = { in: 'in', over: 'over', under: 'under', cannotTell: 'cannot tell' } as const;
const signs = { in: '✓', over: '✗ +', under: '✗ −', cannotTell: '?' } as const;

/** Each size of the drawing with its limits in both units, gauge, reading and verdict; prints on one page. */
export function Inspection({ view }: { readonly view: JobView }) {
  const { part, job, units } = view;
  const [piece, setPiece] = useState(1);
  const verdicts = useMemo(() => verdictsOf(view), [view]);
  const brought = useMemo(() => settledOf(view), [view]);
  const bad = brought.filter((v) => v.says === 'over' || v.says === 'under').length;
  const lines = useMemo(
    () =>
      part.characteristics.map((size) => ({
        size,
        verdict: verdicts.find((v) => v.of === size.id && v.piece === piece),
        underWay: !brought.some((v) => v.of === size.id && v.piece === piece),
      })),
    [part, verdicts, brought, piece],
  );
  const columns = useMemo(() => columnsOf(view, piece), [view, piece]);
  const sheet = useRef<HTMLElement>(null);
  const sizes = part.characteristics.filter((c) => c.limits).length * job.pieces;
  return (
    <div className="work">
      <aside className="slate noprint" aria-label="Slate">
        <h2>Measured</h2>
        <Big figure={figure('count', 'counted', { count: brought.length })} units={units}>
          of {sizes}
        </Big>
        <Big figure={figure('count', 'counted', { count: bad })} units={units} size="mid">
          <span className={bad > 0 ? 'out' : ''}>out of limits</span>
        </Big>
        <hr />
        <p className="quiet m-0 size-14">
          Readings from the Bench stand here already. A reading typed here goes into the same record; warm ones are corrected to 20 °C.
        </p>
        {stillHere(job).length > 0 && (
          <p className="m-0" data-testid="give-back">
            To be given back with it:{' '}
            {stillHere(job)
              .map((p) => p.what || 'a part')
              .join(', ')}
          </p>
        )}
        <WhoMeasures units={units} />
        <GaugesDue view={view} />
        <Button variant="outline-light" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> {printThisSheet}
        </Button>
        <div className="d-flex gap-2">
          {(['csv', 'json'] as const).map((format) => (
            <Button key={format} variant="outline-light" disabled={verdicts.length === 0} onClick={() => void takeReadings(view, verdicts, format)}>
              readings as {format.toUpperCase()}
            </Button>
          ))}
        </div>
      </aside>
      <main className="sheet" ref={sheet}>
        <div className="printonly">
          <h1>{job.name}, inspection</h1>
          <p>
            {job.customer} · {job.pieces} pieces · {dayOf(new Date().toISOString())}. Local codes, the machine’s manual and licensed or supervised
            practice come first.
          </p>
        </div>
        {job.pieces > 1 && (
          <div className="d-flex gap-2 mb-2 noprint">
            {Array.from({ length: job.pieces }, (_, i) => i + 1).map((p) => (
              <Button key={p} variant={p === piece ? 'primary' : 'outline-dark'} onClick={() => setPiece(p)}>
                piece {p}
              </Button>
            ))}
          </div>
        )}
        {part.characteristics.length > 0 && (
          <Grid
            key={piece}
            words="Inspection"
            one="size"
            lines={lines}
            columns={columns}
            idOf={idOf}
            nameOf={({ size }) => `size ${String(size.balloon)}`}
            units={units}
            scroll={sheet}
            tall={46}
            title={<h2>Piece {piece}</h2>}
            find={{ label: 'Find in Inspection', hint: 'find' }}
          />
        )}
        <div className="d-flex gap-4 flex-wrap">
          {part.characteristics.map((size) =>
            size.is === 'runout' ? (
              <RoundPicture
                key={size.id}
                size={size}
                read={readOf(view, size, piece)}
                name={sizeName(drawnOf(view), size, view.units)}
                units={units}
              />
            ) : null,
          )}
        </div>
        {part.characteristics.length > 0 && <TypedBackCard view={view} piece={piece} />}
        <AllPieces
          view={view}
          verdicts={brought}
          nameOf={(size) => sizeName(drawnOf(view), size, view.units)}
          called={(size) => <SizeCalled view={view} size={size} />}
        />
        <AsDialled view={view} piece={piece} />
        {part.characteristics.length === 0 && <p>No sizes yet: the drawing comes first.</p>}
        <p className="quiet mt-2">
          {wayOf('verdict', (job.issue?.kit ?? view.shop).ways, new Map()) === 'proved'
            ? 'In or out only beyond the gauge’s doubt of 95 % (ISO 14253-1, from memory); between, it cannot tell.'
            : 'Verdict by plain limits; “cannot tell” where the gauge’s doubt is more than half of the tolerance.'}{' '}
          Limits of standards from memory.
        </p>
      </main>
    </div>
  );
}

/** The readings of all pieces as a file. */
async function takeReadings({ part, job, shop, log, units }: JobView, verdicts: readonly Verdict[], format: 'csv' | 'json'): Promise<void> {
  const { readingRows, writeReadings, writeReadingsJson } = await import('../../shell/takeOut');
  const rows = readingRows(part, job.issue?.kit ?? shop, log, verdicts, units);
  const text = format === 'csv' ? writeReadings(rows) : writeReadingsJson(job.name, units, rows);
  download(fileName(`${job.name} readings`, format), text, format === 'csv' ? 'text/csv' : 'application/json');
}

/** How true this piece runs by what was dialled; before anything is, as its holdings are. */
function AsDialled({ view, piece }: { readonly view: JobView; readonly piece: number }) {
  const { plan, job, shop, log, units } = view;
  const so = useMemo(() => plan && dialledSo(plan, job.issue?.kit ?? shop, liveEntries(log), piece), [plan, job.issue, shop, log, piece]);
  if (!so) return null;
  const nth = (setup: string) => 1 + (plan?.routes[0]?.setups.findIndex((s) => s.id === setup) ?? 0);
  return (
    <Runouts
      view={view}
      made={so.made}
      head={so.read.length > 0 ? 'How true it runs, as dialled' : howTrue}
      why={
        so.read.length === 0
          ? undefined
          : so.read.map((r, i) => (
              <span key={r.setup}>
                {i > 0 && ', '}setup {nth(r.setup)} dialled to <FigureNumber figure={r.tir} units={units} withUnit /> TIR
              </span>
            ))
      }
    />
  );
}

/** A size of one piece, with what was measured of it. */
interface Line {
  readonly size: Characteristic;
  readonly verdict: Verdict | undefined;
  /** what was read of it is on the way to size */
  readonly underWay: boolean;
}

const idOf = ({ size }: Line) => size.id;

function columnsOf(view: JobView, piece: number): readonly Column<Line>[] {
  const { units } = view;
  const other = units === 'mm' ? 'in' : 'mm';
  const limits = ({ size }: Line) => size.limits ?? size.pitchDiameter;
  return [
    {
      key: 'balloon',
      words: 'no.',
      text: ({ size }) => String(size.balloon),
      sorts: ({ size }) => size.balloon,
      figures: true,
      stays: true,
      wide: 48,
    },
    {
      key: 'size',
      words: 'size',
      text: ({ size }) => `${sizeName(drawnOf(view), size, view.units)} ${sizeAbout(drawnOf(view), size)}`.trim(),
      stays: true,
      wide: 160,
      shows: ({ size }) => (
        <>
          <SizeCalled view={view} size={size} /> <span className="quiet">{sizeAbout(drawnOf(view), size)}</span>
        </>
      ),
    },
    {
      key: 'limits',
      words: 'limits',
      unit: units,
      text: ({ size }) => sizeBetween(size, units, units),
      sorts: (l) => limits(l)?.max,
      figures: true,
      wide: 110,
      shows: ({ size }) => <SizeLimits of={drawnOf(view)} size={size} units={units} own />,
    },
    {
      key: 'other',
      words: 'limits',
      unit: other,
      text: ({ size }) => sizeBetween(size, other, units),
      sorts: (l) => limits(l)?.max,
      figures: true,
      wide: 110,
      shows: ({ size }) => (
        <span className="quiet">
          <SizeLimits of={drawnOf(view)} size={size} units={other} own={false} />
        </span>
      ),
    },
    {
      key: 'reading',
      words: 'reading, 20 °C',
      text: ({ verdict }) => (verdict ? writeWithUnit(verdict.value, units) : ''),
      sorts: ({ verdict }) => verdict?.value.value,
      wide: 82,
      shows: ({ size, verdict }) =>
        verdict && (
          <>
            <FigureNumber figure={verdict.value} units={units} />
            <RunStrip
              part={view.part}
              size={size}
              read={readOf(view, size, piece)}
              gauges={(view.job.issue?.kit ?? view.shop).gauges}
              units={units}
            />
          </>
        ),
    },
    {
      key: 'verdict',
      words: 'verdict',
      text: (line) => verdictOf(line, view.log, piece),
      wide: 82,
      shows: (line) => (
        <>
          <span className={toneOf(line, view.log, piece)}>{verdictOf(line, view.log, piece)}</span>
          {line.verdict && !line.underWay && (
            <span className="noprint d-block">
              <AcceptIt view={view} size={line.size} piece={piece} verdict={line.verdict} />
            </span>
          )}
        </>
      ),
    },
    {
      key: 'enter',
      words: 'enter',
      text: () => '',
      picture: true,
      paper: false,
      wide: 200,
      shows: ({ size }) => (size.limits ? <EnterReading view={view} size={size} piece={piece} /> : <GoesOn view={view} size={size} piece={piece} />),
    },
  ];
}

/** What was read of a size of a piece, in order. */
const readOf = ({ log }: JobView, size: Characteristic, piece: number) =>
  liveEntries(log).flatMap((e) => (e.kind === 'reading' && e.of === size.id && e.piece === piece ? [e] : []));

/** What a thread was last found to do with its gauge. */
const goes = (size: Characteristic, log: readonly Entry[], piece: number): string | undefined => {
  const last = log.findLast((e) => e.kind === 'trial' && e.mate === size.id.replace('.', '-') && e.piece === piece);
  return last?.kind === 'trial' ? last.feel : undefined;
};

function verdictOf({ size, verdict, underWay }: Line, log: readonly Entry[], piece: number): string {
  if (verdict?.accepted && !underWay) return `✓ in by this gauge${verdict.accepted.who === undefined ? '' : `, ${verdict.accepted.who}`}`;
  if (verdict) return underWay ? 'under way' : `${signs[verdict.says]} ${words[verdict.says]}`;
  const feel = size.limits ? undefined : goes(size, log, piece);
  return feel === undefined ? '' : `${isGood(feel) ? '✓' : '✗'} ${feel}`;
}

function toneOf(line: Line, log: readonly Entry[], piece: number): string {
  const says = verdictOf(line, log, piece);
  return says === '' || says === 'under way' ? 'quiet' : says.startsWith('✓') ? 'in' : 'out';
}

const drawnOf = ({ job, part }: JobView): Drawn => ({ drawing: job.drawing, part });

/** What a size is called, its nominal opening where it stands. */
function SizeCalled({ view, size }: { readonly view: JobView; readonly size: Characteristic }) {
  const nominal = sizeNominal(size);
  if (!nominal) return sizeName(drawnOf(view), size, view.units);
  return (
    <>
      {sizeWord(size)} <Stands of={nominal} from={`the drawing: ${sizeAbout(drawnOf(view), size) || 'the whole length'}`} units={view.units} />
    </>
  );
}
