import type { Choice } from '../../document';
import type { Finding } from '../../finding';
import type { HoldingChoice } from '../../holding';
import { say } from '../../quantity';

/** A stick-out that wants a centre is mended by taking the like holding with one. */
export function withMends(held: HoldingChoice, options: readonly HoldingChoice[]): readonly Finding[] {
  const better = options.find((o) => o.holding === held.holding && o.support.length > 0 && held.support.length === 0);
  const other = options.find((o) => o.findings.every((f) => f.severity !== 'stop'));
  return held.findings.map((finding) => {
    const to = finding.code === 'stick-out' && finding.severity === 'caution' ? better : finding.code === 'holding-range' ? other : undefined;
    if (!to || to === held) return finding;
    const value: Choice = {
      kind: 'hold',
      id: `hold-${to.setup}`,
      setup: to.setup,
      holding: to.holding,
      support: to.support.map(({ item }) => ({ item })),
    };
    return {
      ...finding,
      mends: [
        {
          says: to.support.length > 0 ? say`bring the tailstock centre` : say`take ${to.holding}`,
          to: 'job',
          edits: [{ op: 'put', at: `choices/#${value.id}`, value }],
        },
      ],
    };
  });
}
