import type { Progress } from '@obra/core/bench';
import type { StoredShop } from '@obra/core/document';
import { type Units, writeSentence } from '@obra/core/quantity';
import { materialOf } from '@obra/core/standards';
import { CopyPlus, FileOutput, Trash2 } from 'lucide-react';
import { type ReactNode, type RefObject, useEffect, useMemo } from 'react';
import { Dropdown } from 'react-bootstrap';
import { Link } from 'react-router';
import { SmallOutline } from '../../small';
import type { Summary } from '../../data/jobs';
import { type Column, Grid } from '../../grid';
import { ago, dayOf, lateBy } from '../../shell/dates';
import { useUnits } from '../../shell/units';
import { useProgress } from '../../work/useProgress';
import { exportAsFile } from '../../words/pressed';

interface JobTableProps {
  readonly summaries: readonly Summary[];
  readonly shop: StoredShop | undefined;
  readonly scroll: RefObject<HTMLElement | null>;
  readonly tools: ReactNode;
  readonly onDelete: (job: Summary) => void;
  readonly onCopy: (id: string) => void;
  readonly onExport: (id: string) => void;
}

const stages: readonly string[] = ['drawing', 'holding', 'route', 'bench', 'inspection', 'done'];

/** The jobs of this browser, a line each. */
export function JobTable({ summaries, shop, scroll, tools, onDelete, onCopy, onExport }: JobTableProps) {
  const { units } = useUnits('mm');
  const { known, want } = useProgress(shop);
  const due = useMemo(() => dueFirst(summaries), [summaries]);
  const columns = useMemo(() => columnsOf((of) => known.get(of.id) ?? of.progress, want, units), [known, want, units]);
  return (
    <Grid
      words="Jobs"
      one="job"
      lines={due}
      foundBy={(j) => j.words}
      columns={columns}
      idOf={idOf}
      nameOf={(j) => j.name}
      units={units}
      scroll={scroll}
      tall={58}
      title={<h1>Jobs</h1>}
      tools={tools}
      find={{ label: 'Find in Jobs', hint: 'part, customer, reference' }}
      // what stands in these is known only of what was looked at
      onUse={(column) => {
        if (column === 'stage' || column === 'next') want(summaries);
      }}
      acts={(of) => (
        <Dropdown align="end">
          <Dropdown.Toggle variant="outline-dark" size="sm" aria-label={`actions for ${of.name}`}>
            actions
          </Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Item as="button" onClick={() => onCopy(of.id)}>
              <CopyPlus size={15} aria-hidden /> duplicate
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => onExport(of.id)}>
              <FileOutput size={15} aria-hidden /> {exportAsFile}
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => onDelete(of)}>
              <Trash2 size={15} aria-hidden /> delete
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
      )}
    />
  );
}

const idOf = (of: Summary) => of.id;

/** What is wanted soonest first; what has no day by when it was last worked on. */
const dueFirst = (all: readonly Summary[]): readonly Summary[] =>
  all.toSorted((a, b) => (a.wanted ?? '9999').localeCompare(b.wanted ?? '9999') || b.saved.localeCompare(a.saved));

/** A line that is seen asks how far it is. */
function Asks({ of, want, children }: { readonly of: Summary; readonly want: (jobs: readonly Summary[]) => void; readonly children: ReactNode }) {
  useEffect(() => want([of]), [of, want]);
  return children;
}

function columnsOf(
  progress: (of: Summary) => Progress | undefined,
  want: (jobs: readonly Summary[]) => void,
  units: Units,
): readonly Column<Summary>[] {
  const to = (of: Summary) => `/jobs/${of.id}/${progress(of)?.reached ?? 'drawing'}`;
  return [
    {
      key: 'part',
      words: 'part',
      text: () => '',
      picture: true,
      wide: 118,
      shows: (of) => (
        <Asks of={of} want={want}>
          <Link to={to(of)} tabIndex={-1} aria-hidden="true">
            <SmallOutline outline={of.outline} long={of.long} radius={of.radius} />
          </Link>
        </Asks>
      ),
    },
    {
      key: 'job',
      words: 'job',
      text: (of) => of.name,
      stays: true,
      wide: 130,
      shows: (of) => (
        <>
          <Link to={to(of)}>
            <strong>{of.name}</strong>
          </Link>
          <div className="quiet">{ago(of.saved)}</div>
        </>
      ),
    },
    {
      key: 'customer',
      words: 'customer',
      text: (of) => [of.customer ?? '', of.reference ?? ''].filter((w) => w !== '').join(', '),
      wide: 96,
      shows: (of) => (
        <>
          {of.customer}
          <div className="quiet">
            {[of.reference ?? '', of.kept === 0 ? '' : `${String(of.kept)} to give back`].filter((w) => w !== '').join('; ')}
          </div>
        </>
      ),
    },
    {
      key: 'wanted',
      words: 'wanted',
      text: (of) => (of.wanted === undefined ? '' : dayOf(of.wanted)),
      sorts: (of) => of.wanted,
      wide: 84,
      shows: (of) =>
        of.wanted !== undefined && (
          <>
            {dayOf(of.wanted)}
            {lateBy(of.wanted) !== '' && progress(of)?.reached !== 'inspection' && <div className="out">{lateBy(of.wanted)}</div>}
          </>
        ),
    },
    { key: 'pieces', words: 'pieces', text: (of) => String(of.pieces), sorts: (of) => of.pieces, figures: true },
    { key: 'material', words: 'material', text: (of) => materialOf(of.material).name, wide: 92 },
    {
      key: 'stage',
      words: 'stage reached',
      text: (of) => progress(of)?.reached ?? '',
      sorts: (of) => stages.indexOf(progress(of)?.reached ?? '') + 1 || undefined,
      wide: 76,
    },
    { key: 'next', words: 'next', text: (of) => writeSentence(progress(of)?.next ?? [], units), wide: 110 },
  ];
}
