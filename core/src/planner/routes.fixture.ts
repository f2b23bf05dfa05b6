import fc from 'fast-check';
import type { Job, Shop } from '../document';
import { writeSentence } from '../quantity';
import { midShop, readoutShop, startingShop } from '../shop';
import { planned } from './demo.fixture';
import { plan } from './planning';
import { drawnJob, drawnWithHoles } from './setLengths.fixture';
import { smallJob, smallPart } from './smallParts.fixture';
import { partJob, parts } from './tradeParts.fixture';

export type RouteCase = readonly [name: string, job: Job, shop: Shop];

const shops = [startingShop(), midShop(), readoutShop()] as const;
const drawn = <T>(what: string, all: fc.Arbitrary<T>, jobOf: (part: T) => Job): readonly RouteCase[] =>
  fc.sample(all, { seed: 17, numRuns: 60 }).map((part, i): RouteCase => [`${what} ${String(i + 1)}`, jobOf(part), shops[i % 3] ?? shops[0]]);

/** The demo, the trade's parts, and parts drawn by number in three shops. */
export const routeCases: readonly RouteCase[] = [
  ...planned,
  ...parts.map(([name, part]): RouteCase => [name, partJob(name, part), midShop()]),
  ...drawn('small part', smallPart, smallJob),
  ...drawn('part with holes', drawnWithHoles, drawnJob),
];

const round = (x: number) => String(Math.round(x * 1e6) / 1e6);

/** A plan as text, step by step with every figure, and its gist. */
export function routeSaid([name, job, shop]: RouteCase): { readonly gist: string; readonly whole: string } {
  const made = plan(job, shop);
  const [route] = made.routes;
  const lines = [`# ${name}: reached ${made.reached}, gap ${round(made.gap)}`];
  if (route)
    lines.push(`bar ${route.bar.id} ${round(route.bar.cut.value)}; ${round(route.cost.minutes.value)} min, total ${round(route.cost.total.value)}`);
  for (const setup of route?.setups ?? []) {
    lines.push(
      `  ${setup.id} ${setup.holding} end ${setup.end ?? '-'} out ${round(setup.stickOut.value)} ${setup.support.map((s) => s.kind).join(' ')}`.trimEnd(),
    );
    for (const step of setup.steps)
      lines.push(
        `    ${step.id} ${step.tool ?? ''} ${Object.entries(step.figures)
          .map(([k, f]) => `${k} ${round(f.value)}`)
          .join(', ')}`,
      );
    for (const line of setup.lengths) lines.push(`    length ${line.step} from ${line.from} ${round(line.set.value)}`);
  }
  lines.push(...made.findings.map((f) => `  ${f.severity} ${f.code}@${f.about}: ${writeSentence(f.says, 'mm')}`).sort());
  // what no other text shows: the holdings that were weighed, what stands at the steps, what is to be got
  const beside = [
    ...made.holdings.map((h) => `${h.setup} ${h.holding} ${round(h.score.value)} ${h.findings.map((f) => f.code).join(' ')}`),
    ...(route?.setups ?? []).flatMap((s) =>
      s.steps.map(
        (step) =>
          `${step.id} ${writeSentence(step.says, 'mm')}: ${step.because.map((r) => `${r.rule} ${writeSentence(r.says, 'mm')}`).join('; ')}; ${step.cautions.join(' ')}`,
      ),
    ),
    ...made.toGet.map((g) => writeSentence(g.what, 'mm')),
  ];
  const codes = [...new Set(made.findings.map((f) => f.code))].sort().join(' ');
  const steps = (route?.setups ?? []).reduce((sum, s) => sum + s.steps.length, 0);
  return {
    gist: `${made.reached}, ${String(steps)} steps, ${route ? round(route.cost.total.value) : '-'} min; ${codes}`,
    whole: [...lines, '', ...beside].join('\n'),
  };
}
