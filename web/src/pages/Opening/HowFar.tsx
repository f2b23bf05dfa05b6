import type { Progress } from '@obra/core/bench';
import { useEffect } from 'react';
import useSWR from 'swr';
import type { Summary } from '../../data/jobs';
import { loadShop } from '../../data/shopStore';
import { useProgress } from '../../work/useProgress';

/** Works out how far jobs are and hands it on; nothing of it is seen. */
export function HowFar({ jobs, onKnown }: { readonly jobs: readonly Summary[]; readonly onKnown: (known: ReadonlyMap<string, Progress>) => void }) {
  const { data: shop } = useSWR('shop', () => loadShop());
  const { known, want } = useProgress(shop);
  useEffect(() => want(jobs), [want, jobs]);
  useEffect(() => onKnown(known), [onKnown, known]);
  return null;
}
