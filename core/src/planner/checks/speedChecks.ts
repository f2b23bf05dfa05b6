import type { Machine, Shop } from '../../document';
import type { Finding } from '../../finding';
import type { Step } from '../../operations';
import { cuttingSpeed, diameter, say, spindleSpeed, surfaceAt } from '../../quantity';
import { practice, speedsOf } from '../../shop';
import type { Route } from '../route';

/** A knurl is pressed, not cut: its speed is a habit. @source knurl-early, common practice */
const pressed = new Set<Step['verb']>(['knurl']);

interface Fast {
  readonly step: Step;
  /** times what the tool stands */
  readonly over: number;
  /** m/min: what results, and what it stands */
  readonly runs: number;
  readonly stands: number;
  readonly across: number;
}

/** Steps that even the slowest speed of the lathe runs faster than their tool stands: one finding for the worst, which names the others. */
export function speedChecks(route: Route, machine: Machine, shop: Shop): readonly Finding[] {
  const slowest = Math.min(...speedsOf(machine));
  const fast = route.setups
    .flatMap((s) => s.steps)
    .flatMap((step): Fast[] => {
      const { v, d } = step.figures['speed']?.of ?? {};
      if (typeof v !== 'number' || typeof d !== 'number' || pressed.has(step.verb) || !(v > 0)) return [];
      const runs = surfaceAt(d, slowest);
      return runs > practice.tooFastTold * v ? [{ step, over: runs / v, runs, stands: v, across: d }] : [];
    })
    .toSorted((a, b) => b.over - a.over);
  // an edge is broken in a turn or two, or with a file: too fast for it is no reason to stop
  const stops = fast.find((f) => f.over > practice.tooFastStops && f.step.verb !== 'chamfer');
  const worst = stops ?? fast[0];
  if (!worst) return [];
  const tool = shop.tools.find((t) => t.id === worst.step.tool);
  const others = fast.length - 1;
  return [
    {
      code: 'slowest-too-fast',
      about: worst.step.id,
      severity: stops ? 'stop' : 'caution',
      says: say`at ${spindleSpeed(slowest)}, the slowest of this lathe, ${diameter(worst.across)} runs at ${cuttingSpeed(Math.round(worst.runs))}; ${tool?.name ?? 'the tool'} stands ${cuttingSpeed(Math.round(worst.stands))} here${others > 0 ? `, and ${String(others)} more ${others === 1 ? 'step is' : 'steps are'} too fast` : ''}`,
      why:
        worst.step.verb === 'chamfer'
          ? say`its edge burns: a light touch, or break the edge with a file`
          : tool?.grade === 'carbide'
            ? say`its edge burns: a smaller diameter first, another machine, or by hand`
            : say`its edge burns: carbide, a smaller tool, another machine, or by hand`,
      mends: [],
    },
  ];
}
