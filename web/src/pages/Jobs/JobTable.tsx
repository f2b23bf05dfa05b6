import type { StoredShop } from '@obra/core/document';
import { type Sentence, writeSentence } from '@obra/core/quantity';
import { materialOf } from '@obra/core/standards';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { RefObject } from 'react';
import { Dropdown } from 'react-bootstrap';
import { Link } from 'react-router';
import useSWR from 'swr';
import { SmallOutline } from '../../bar';
import { loadLog } from '../../data/entries';
import { loadJob, type Summary } from '../../data/jobs';
import { keysUnder } from '../../data/store';
import { keepSummary } from '../../data/summaries';
import { ago } from '../../shell/dates';
import { useUnits } from '../../shell/units';
import { askProgress } from '../../work/usePlan';

interface JobTableProps {
  readonly summaries: readonly Summary[];
  readonly shop: StoredShop | undefined;
  readonly scroll: RefObject<HTMLElement | null>;
  readonly onDelete: (job: Summary) => void;
  readonly onCopy: (id: string) => void;
  readonly onExport: (id: string) => void;
}

/** Height of a line, px. */
const LINE = 57;
/** Up to so many lines are simply there; more are drawn in a window. */
const ALL = 60;

/** The jobs of this browser, a line each. */
export function JobTable({ summaries, scroll, ...rest }: JobTableProps) {
  const many = summaries.length > ALL;
  // eslint-disable-next-line react-hooks/incompatible-library -- its rows are read here and handed to no memo
  const rows = useVirtualizer({
    count: many ? summaries.length : 0,
    getScrollElement: () => scroll.current,
    estimateSize: () => LINE,
    overscan: 6,
    initialRect: { width: 1280, height: 800 },
  });
  const shown = rows.getVirtualItems();
  const above = shown[0]?.start ?? 0;
  const below = many ? rows.getTotalSize() - (shown.at(-1)?.end ?? 0) : 0;
  return (
    <table className="joblist" aria-rowcount={summaries.length + 1}>
      <thead>
        <tr>
          <th>part</th>
          <th>job</th>
          <th>pieces</th>
          <th>material</th>
          <th>stage reached</th>
          <th>next</th>
          <th>
            <span className="visually-hidden">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {many && above > 0 && <tr aria-hidden="true" style={{ height: above }} />}
        {(many ? shown.flatMap((row) => summaries[row.index] ?? []) : summaries).map((j) => (
          <JobLine key={j.id} of={j} {...rest} />
        ))}
        {many && below > 0 && <tr aria-hidden="true" style={{ height: below }} />}
      </tbody>
    </table>
  );
}

/** How far a job is: as kept with its summary, or worked out apart from the page and kept for the next time. */
async function progressNow(of: Summary, shop: StoredShop): Promise<Summary['progress']> {
  const asOf = `${String(of.revision)}/${String(shop.revision)}/${String((await keysUnder(`log/${of.id}/`)).length)}`;
  if (of.progress?.of === asOf) return of.progress;
  const stored = await loadJob(of.id);
  if (!stored) return undefined;
  const progress = { of: asOf, ...(await askProgress(stored.job, shop.shop, await loadLog(of.id))) };
  await keepSummary({ ...of, progress });
  return progress;
}

type JobLineProps = Omit<JobTableProps, 'summaries' | 'scroll'> & { readonly of: Summary };

function JobLine({ of, shop, onDelete, onCopy, onExport }: JobLineProps) {
  const { id, name } = of;
  const { units } = useUnits('mm');
  const { data: progress = of.progress } = useSWR(
    shop ? ['progress', id, of.revision, shop.revision] : null,
    () => (shop ? progressNow(of, shop) : undefined),
    { revalidateOnMount: true },
  );
  const to = progress?.reached ?? 'drawing';
  const next: Sentence = progress?.next ?? [];
  return (
    <tr>
      <td>
        <Link to={`/jobs/${id}/${to}`} tabIndex={-1} aria-hidden="true">
          <SmallOutline outline={of.outline} long={of.long} radius={of.radius} />
        </Link>
      </td>
      <td>
        <Link to={`/jobs/${id}/${to}`}>
          <strong>{name}</strong>
        </Link>
        <div className="quiet">{[of.customer, ago(of.saved)].filter((words) => words !== undefined && words !== '').join(' · ')}</div>
      </td>
      <td className="fig">{of.pieces}</td>
      <td>{materialOf(of.material).name}</td>
      <td>{progress?.reached}</td>
      <td>{writeSentence(next, units)}</td>
      <td className="text-end">
        <Dropdown align="end">
          <Dropdown.Toggle variant="outline-dark" size="sm" aria-label={`actions for ${name}`}>
            actions
          </Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Item as="button" onClick={() => onCopy(id)}>
              duplicate
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => onExport(id)}>
              export as a file
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => onDelete(of)}>
              delete
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
      </td>
    </tr>
  );
}
