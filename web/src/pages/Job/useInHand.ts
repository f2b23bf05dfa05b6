import type { InHand } from '@obra/core/bench';
import { useState } from 'react';
import { keptHere } from '../../data/local';

/** The piece in hand and the way through the pieces, kept for this window: another one at another machine has its own. */
export function useInHand(job: string): readonly [InHand, (to: InHand) => void] {
  const key = `obra-in-hand-${job}`;
  const [inHand, setInHand] = useState<InHand>(() => read(keptHere.get(key)));
  return [
    inHand,
    (to) => {
      keptHere.set(key, JSON.stringify(to));
      setInHand(to);
    },
  ];
}

function read(text: string | null): InHand {
  if (text === null) return {};
  try {
    const { piece, order } = JSON.parse(text) as { readonly piece?: unknown; readonly order?: unknown };
    return { ...(typeof piece === 'number' && { piece }), ...((order === 'piece' || order === 'step') && { order }) };
  } catch {
    return {};
  }
}
