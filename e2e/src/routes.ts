/* npm run routes -- FILE: every route of the demo, of the trade's parts and of parts drawn by number, step by step, as text. Two of them compared show what a change of the planner changed. */
import { plan } from '@obra/core/planner';
import { writeSentence } from '@obra/core/quantity';
import { midShop, readoutShop, startingShop } from '@obra/core/shop';
import { planned } from '../../core/src/planner/demo.fixture';
import { drawnJob, drawnWithHoles } from '../../core/src/planner/setLengths.fixture';
import { smallJob, smallPart } from '../../core/src/planner/smallParts.fixture';
import { partJob, parts } from '../../core/src/planner/tradeParts.fixture';
import fc from 'fast-check';
import { writeFileSync } from 'node:fs';

type Case = readonly [name: string, job: Parameters<typeof plan>[0], shop: Parameters<typeof plan>[1]];

const shops = [startingShop(), midShop(), readoutShop()] as const;
const drawn = <T>(what: string, all: fc.Arbitrary<T>, jobOf: (part: T) => Case[1]): readonly Case[] =>
  fc.sample(all, { seed: 17, numRuns: 60 }).map((part, i): Case => [`${what} ${String(i + 1)}`, jobOf(part), shops[i % 3] ?? shops[0]]);

const cases: readonly Case[] = [
  ...planned,
  ...parts.map(([name, part]): Case => [name, partJob(name, part), midShop()]),
  ...drawn('small part', smallPart, smallJob),
  ...drawn('part with holes', drawnWithHoles, drawnJob),
];

const round = (x: number) => String(Math.round(x * 1e6) / 1e6);

function said([name, job, shop]: Case): string {
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
  return lines.join('\n');
}

const text = `${cases.map(said).join('\n\n')}\n`;
const [, , file] = process.argv;
if (file === undefined) process.stdout.write(text);
else writeFileSync(file, text);
