import type { Choice, Holding, Shop } from '../document';
import type { Finding, Reason } from '../finding';
import { type Figure, figure, length, ratio, say } from '../quantity';
import { grips, isChuck, mmOf } from '../shop';

export interface Support {
  readonly item: string;
  readonly at: number;
}

/** One way of holding for one setup, weighed. */
export interface HoldingChoice {
  readonly setup: string;
  readonly holding: string;
  readonly support: readonly Support[];
  readonly score: Figure;
  readonly because: readonly Reason[];
  readonly findings: readonly Finding[];
}

export interface Held {
  readonly setup: string;
  /** what the jaws close on, mm */
  readonly diameter: number;
  /** a finished surface, which hard jaws mark */
  readonly finished: boolean;
  /** stick-out with this holding, mm */
  readonly stickOut: (holding: Holding) => number;
  /** z of the free face, where a centre would stand */
  readonly face: number;
  readonly centreAllowed: boolean;
}

/** Every chuck and collet of the shop, without and with the tailstock centre; best first. What cannot be used says why. */
export function weighHoldings(held: Held, shop: Shop): readonly HoldingChoice[] {
  const centre = shop.holdings.find((h) => h.kind === 'liveCentre' || h.kind === 'deadCentre');
  const options = shop.holdings
    .filter(isChuck)
    .flatMap((holding) => [weigh(held, holding, undefined), ...(centre && held.centreAllowed ? [weigh(held, holding, centre)] : [])]);
  return options.toSorted((a, b) => b.score.value - a.score.value);
}

function weigh(held: Held, holding: Holding, centre: Holding | undefined): HoldingChoice {
  const findings: Finding[] = [];
  const because: Reason[] = [];
  const out = held.stickOut(holding);
  const slender = out / held.diameter;
  if (!grips(holding, held.diameter)) {
    findings.push({
      code: 'holding-range',
      about: held.setup,
      severity: 'stop',
      says: say`${holding.name} does not close on ${length(held.diameter)}`,
      why: say`it takes ${length(mmOf(holding.outside?.from))} to ${length(mmOf(holding.outside?.to))}`,
      mends: [],
    });
  }
  findings.push(...stickOutFindings(held.setup, holding, centre, slender, out));
  if (holding.marks && held.finished)
    because.push({ rule: 'soft-pads', says: say`hard jaws mark a finished surface: copper or aluminium pads under them`, binds: [held.setup] });
  because.push(
    centre
      ? {
          rule: 'stick-out',
          says: say`${length(out)} out is ${ratio(slender, 0.1)} diameters: the tailstock centre carries the free end`,
          binds: [held.setup],
        }
      : { rule: 'stick-out', says: say`${length(out)} out is ${ratio(slender, 0.1)} diameters`, binds: [held.setup] },
  );
  because.push(
    held.finished
      ? { rule: 'moved-is-lost', says: say`turned round it runs true within ${length(mmOf(holding.trueWithin), 0.001)} TIR`, binds: [held.setup] }
      : { rule: 'one-chucking', says: say`what is turned in one chucking runs true to itself`, binds: [held.setup] },
  );
  const cautions = findings.reduce((sum, f) => sum + (f.severity === 'stop' ? 10 : f.severity === 'caution' ? 1 : 0.1), 0);
  const score = figure('ratio', 'score', {
    runout: mmOf(holding.trueWithin),
    weight: held.finished ? 1 : 0.1,
    marks: holding.marks && held.finished ? 1 : 0,
    cautions,
    effort: (holding.kind === 'threeJaw' ? 0 : 1) + (centre ? 1 : 0),
  });
  return { setup: held.setup, holding: holding.id, support: centre ? [{ item: centre.id, at: held.face }] : [], score, because, findings };
}

function stickOutFindings(setup: string, holding: Holding, centre: Holding | undefined, slender: number, out: number): readonly Finding[] {
  const says = say`${length(out)} sticks out of ${holding.name}: ${ratio(slender, 0.1)} diameters`;
  if (slender > 12 || (slender > 10 && !centre))
    return [
      {
        code: 'stick-out',
        about: setup,
        severity: 'caution',
        says,
        why: say`over 10 to 12 diameters a follow rest or steady is wanted; expect to lighten every cut`,
        mends: [],
      },
    ];
  if (centre || slender <= 3) return [];
  if (slender <= 5) return [{ code: 'stick-out', about: setup, severity: 'note', says, why: say`from 3 to 5 the cut is lightened`, mends: [] }];
  return [
    { code: 'stick-out', about: setup, severity: 'caution', says, why: say`over 5 diameters the free end wants the tailstock centre`, mends: [] },
  ];
}

/** The choice of a person for this setup, else the best that is not forbidden, else the best. */
export function takeHolding(options: readonly HoldingChoice[], choice: Extract<Choice, { kind: 'hold' }> | undefined): HoldingChoice | undefined {
  const free = options.find((o) => o.findings.every((f) => f.severity !== 'stop')) ?? options[0];
  if (!choice) return free;
  const centre = choice.support.length > 0;
  return (
    options.find((o) => o.holding === choice.holding && o.support.length > 0 === centre) ?? options.find((o) => o.holding === choice.holding) ?? free
  );
}
