import {
  calibration,
  type Calibrated,
  chatterLessons,
  chipLessons,
  lessonsOf,
  minuteLessons,
  type Pace,
  paceOf,
  type Shown,
  type ToolRecord,
  toolsBy,
} from '@obra/core/bench';
import type { Lesson, StoredShop } from '@obra/core/document';
import { figure, writeMinutes } from '@obra/core/quantity';
import { materialOf } from '@obra/core/standards';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import useSWR from 'swr';
import { type Column, Grid } from '../../grid';
import { Head } from '../../shell/Head';
import { tell } from '../../shell/says';
import { useUnits } from '../../shell/units';
import { dayOf } from '../../shell/dates';
import { useTitle } from '../../shell/useTitle';
import { SmallOutline } from '../../small';
import { loadLog } from '../../data/entries';
import { now } from '../../data/ids';
import { loadJob } from '../../data/jobs';
import { listMade, type MadeLine, makeMade } from '../../data/made';
import { loadShop } from '../../data/shopStore';
import { FigureNumber } from '../../slate';
import { askShown } from '../../work/usePlan';
import { BackUp } from './BackUp';
import { Foretold, Taken } from './Foretold';
import { Holds, ToolRecords } from './Holds';
import { Lessons } from './Lessons';
import { Readings } from './Readings';
import { ThisBrowser } from './ThisBrowser';
import { nothingLost } from '../../words/refused';

/** What was made, how it measured, what was learned; and everything in one file. */
export function Logbook() {
  useTitle('Logbook');
  const { units } = useUnits('mm');
  const { data: shop, error, mutate: again } = useSWR<StoredShop, Error>('shop', () => loadShop(), { revalidateOnMount: true });
  const { data: made, mutate } = useSWR(shop ? ['made', shop.revision] : null, () => (shop ? listMade(shop) : undefined), {
    revalidateOnMount: true,
  });
  const [open, setOpen] = useState<string>();
  const stale = made?.stale;
  // each is made once from what it is now, whatever comes of it
  const tried = useRef(new Set<string>());
  // lines that are missing or older than their job: made anew a few at a time, the list drawn again as they come
  useEffect(() => {
    let here = true;
    const make = async () => {
      if (!shop || !stale) return;
      const waiting = stale.filter(({ id, of }) => !tried.current.has(`${id} ${of}`));
      for (const [i, { id, of }] of waiting.entries()) {
        if (!here) return;
        tried.current.add(`${id} ${of}`);
        await makeMade(id, shop);
        if (i % 100 === 99) await mutate();
      }
      if (waiting.length > 0) await mutate();
    };
    void make();
    return () => {
      here = false;
    };
  }, [stale, shop, mutate]);
  const lines = useMemo(() => made?.lines ?? [], [made]);
  const given = useMemo(() => lines.filter((l) => l.issued).map((l) => `${l.id}/${l.of}`), [lines]);
  const { data: shown = NOTHING, mutate: learned } = useSWR(
    shop && given.length > 0 ? ['learned', shop.revision, ...given] : null,
    () => (shop ? learnedFrom(lines, shop) : NOTHING),
    { keepPreviousData: true },
  );
  const columns = useMemo(() => columnsOf(units), [units]);
  const waiting = stale?.length ?? 0;
  return (
    <div className="page">
      <Head />
      <main className="scroll listing">
        {error !== undefined && <p role="alert">This browser refuses to open its storage: nothing is kept here, and nothing can be looked up.</p>}
        {(lines.length === 0 || !made) && <h1 className="mb-3">Logbook</h1>}
        {made && lines.length === 0 && waiting === 0 && (
          <p>
            Nothing was made yet. A job stands here from its first entry at the <Link to="/jobs">Bench</Link>.
          </p>
        )}
        {waiting > 20 && <p role="status">{waiting} jobs are being looked through.</p>}
        {lines.length > 0 && (
          <Grid
            words="What was made"
            one="job"
            lines={lines}
            columns={columns}
            idOf={idOf}
            nameOf={(l) => l.summary.name}
            foundBy={(l) => l.words}
            units={units}
            tall={58}
            title={<h1>Logbook</h1>}
            find={{ label: 'Find in the logbook', hint: 'part, customer, size, note' }}
            acts={(l) => (
              <Button
                size="sm"
                variant="outline-dark"
                aria-expanded={open === l.id}
                aria-label={`readings of ${l.summary.name}`}
                onClick={() => setOpen(open === l.id ? undefined : l.id)}>
                {open === l.id ? <ChevronDown size={15} aria-hidden /> : <ChevronRight size={15} aria-hidden />} readings
              </Button>
            )}
            below={(l) => open === l.id && shop && <Readings id={l.id} shop={shop.shop} units={units} />}
          />
        )}
        {shop && <Lessons shop={shop.shop} units={units} proposed={shown.lessons} onKept={() => void again()} onRefused={() => tell(nothingLost)} />}
        {shop && <Holds shop={shop.shop} units={units} sizes={shown.sizes} />}
        {shop && <ToolRecords shop={shop.shop} units={units} tools={shown.tools} />}
        <Foretold foretold={shown.foretold} />
        <Taken pace={shown.pace} />
        <BackUp
          onSays={tell}
          onRestored={() => {
            void mutate();
            void again();
            void learned();
          }}
        />
        <ThisBrowser />
      </main>
    </div>
  );
}

const idOf = (line: MadeLine) => line.id;

const columnsOf = (units: 'mm' | 'in'): readonly Column<MadeLine>[] => [
  {
    key: 'part',
    words: 'part',
    text: () => '',
    picture: true,
    wide: 126,
    shows: ({ summary }) => <SmallOutline outline={summary.outline} long={summary.long} radius={summary.radius} />,
  },
  {
    key: 'job',
    words: 'job',
    text: ({ summary }) => summary.name,
    stays: true,
    wide: 150,
    shows: ({ id, summary }) => (
      <Link to={`/jobs/${id}/inspection`}>
        <strong>{summary.name}</strong>
      </Link>
    ),
  },
  { key: 'customer', words: 'customer', text: ({ summary }) => summary.customer ?? '', wide: 110 },
  { key: 'material', words: 'material', text: ({ summary }) => materialOf(summary.material).name, wide: 120 },
  {
    key: 'pieces',
    words: 'pieces',
    text: ({ begun }) => String(begun),
    sorts: ({ begun }) => begun,
    figures: true,
    shows: ({ begun, scrapped }) => (
      <>
        {begun}
        {scrapped > 0 && <span className="out"> {scrapped} scrapped</span>}
      </>
    ),
  },
  { key: 'ended', words: 'last at the Bench', text: ({ ended }) => dayOf(ended), sorts: ({ ended }) => ended, wide: 104 },
  {
    key: 'measured',
    words: 'measured',
    text: (line) => measured(line),
    sorts: ({ out, untold, within }) => out * 1e6 + untold * 1e3 + within,
    wide: 110,
    shows: (line) => <span className={line.out > 0 ? 'out' : line.within + line.untold > 0 ? 'in' : 'quiet'}>{measured(line)}</span>,
  },
  {
    key: 'time',
    words: 'time',
    text: ({ minutes }) => writeMinutes(sum(minutes)),
    sorts: ({ minutes }) => sum(minutes),
    figures: true,
    shows: ({ minutes }) => <FigureNumber figure={figure('time', 'totalMinutes', { minutes })} units={units} text={writeMinutes(sum(minutes))} />,
  },
];

const sum = (minutes: readonly number[]) => minutes.reduce((a, b) => a + b, 0);

const measured = ({ within, out, untold }: MadeLine): string =>
  within + out + untold === 0
    ? 'nothing'
    : [
        ...(out > 0 ? [`✗ ${String(out)} out`] : []),
        ...(within > 0 ? [`✓ ${String(within)} in`] : []),
        ...(untold > 0 ? [`? ${String(untold)} not told`] : []),
      ].join(', ');

interface Learned {
  readonly lessons: readonly Lesson[];
  readonly foretold: readonly Calibrated[];
  readonly pace: readonly Pace[];
  readonly sizes: readonly Shown[];
  readonly tools: readonly ToolRecord[];
}

const NOTHING: Learned = { lessons: [], foretold: [], pace: [], sizes: [], tools: [] };

/** What the records of jobs that were given out show of lathe and tools; worked out apart from the page. */
async function learnedFrom(lines: readonly MadeLine[], { shop }: StoredShop): Promise<Learned> {
  const shown: Awaited<ReturnType<typeof askShown>>[] = [];
  for (const { id, issued } of lines) {
    const stored = issued ? await loadJob(id) : undefined;
    if (stored) shown.push(await askShown(stored.job, shop, await loadLog(id)));
  }
  const sizes = shown.flatMap((s) => s.sizes);
  const took = shown.flatMap((s) => s.took);
  return {
    lessons: [
      ...lessonsOf(sizes, shop, now()),
      ...chipLessons(
        shown.flatMap((s) => s.strings),
        shop,
        now(),
      ),
      ...chatterLessons(
        shown.flatMap((s) => s.chatter),
        shop,
        now(),
      ),
      ...minuteLessons(took, shop, now()),
    ],
    foretold: calibration(shown.flatMap((s) => s.off)),
    pace: paceOf(took),
    sizes,
    tools: toolsBy(
      shown.flatMap((s) => s.cuts),
      sizes,
    ),
  };
}
