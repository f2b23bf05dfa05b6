import type { Progress } from '@obra/core/bench';
import type { StoredShop } from '@obra/core/document';
import { useEffect, useMemo, useRef, useState } from 'react';
import { loadLog } from '../data/entries';
import { loadJob, type Summary } from '../data/jobs';
import { keysUnder } from '../data/store';
import { keepSummary, madeFrom } from '../data/summaries';
import { askProgress } from './usePlan';

/** How far a job is: as kept with its summary, or worked out apart from the page and kept for the next time. */
async function progressNow(of: Summary, shop: StoredShop): Promise<Progress | undefined> {
  const now = madeFrom(of.revision, shop, (await keysUnder(`log/${of.id}/`)).length);
  if (of.progress?.of === now) return of.progress;
  const stored = await loadJob(of.id);
  if (!stored) return undefined;
  const progress = { of: now, ...(await askProgress(stored.job, shop.shop, await loadLog(of.id))) };
  await keepSummary({ ...of, progress });
  return progress;
}

/** Answers are shown together, so that a long list is not drawn for each, ms. */
const TOGETHER = 120;

/** How far the jobs are that were asked for, one after the other; until it is known, as it was when last looked at. */
export function useProgress(shop: StoredShop | undefined) {
  const [known, setKnown] = useState<ReadonlyMap<string, Progress>>(new Map());
  const queue = useRef(new Map<string, Summary>());
  const asked = useRef(new Set<string>());
  const working = useRef(false);
  const here = useRef(true);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);
  const want = useMemo(() => {
    const work = async () => {
      if (working.current || !shop) return;
      working.current = true;
      let fresh = new Map<string, Progress>();
      let from = performance.now();
      for (const [id, of] of queue.current) {
        if (!here.current) break;
        queue.current.delete(id);
        const progress = await progressNow(of, shop).catch(() => undefined);
        if (progress) fresh.set(id, progress);
        if (queue.current.size > 0 && performance.now() - from < TOGETHER) continue;
        const shown = fresh;
        setKnown((before) => new Map([...before, ...shown]));
        fresh = new Map();
        from = performance.now();
      }
      working.current = false;
    };
    return (jobs: readonly Summary[]) => {
      if (!shop) return;
      for (const of of jobs) {
        const key = `${of.id}/${String(of.revision)}/${String(shop.revision)}`;
        if (asked.current.has(key)) continue;
        asked.current.add(key);
        queue.current.set(of.id, of);
      }
      void work();
    };
  }, [shop]);
  return { known, want };
}
