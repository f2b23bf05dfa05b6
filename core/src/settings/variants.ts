import type { Choice } from '../document';
import { otherEnd, threadOf } from '../drawing';
import type { Finding } from '../finding';
import { type Facts, severingOf, wayChosen } from '../operations';
import { say } from '../quantity';
import { type End, endOf } from '../ref';
import { mmOf } from '../shop';
import { toolForThread } from '../tooling';
import { reachedByBoth } from './reach';

/** What the shop leaves to the planner: how threads, tapers and severing are done, where its way is as it costs least. */
interface Open {
  readonly of: string;
  readonly methods: readonly string[];
}

/** Most combinations of methods that are weighed whole. */
const MOST_COMBINATIONS = 24;

/** The facts once for every combination of the methods that are left open. */
export function variantsOf(facts: Facts): { readonly variants: readonly Facts[]; readonly findings: readonly Finding[] } {
  const open = openIn(facts);
  const all = open.reduce((n, o) => n * o.methods.length, 1);
  let kept = open;
  while (kept.reduce((n, o) => n * o.methods.length, 1) > MOST_COMBINATIONS) kept = kept.slice(0, -1);
  const combined = kept.reduce<readonly (readonly Choice[])[]>(
    (so, { of, methods }) => so.flatMap((before) => methods.map((method) => [...before, methodOf(of, method)])),
    [[]],
  );
  return {
    variants: combined.map((choices) => withMethods(facts, choices)),
    findings:
      kept.length === open.length
        ? []
        : [
            {
              code: 'search-cut',
              about: 'route',
              severity: 'note',
              says: say`of ${all} ways to thread, taper and sever it, ${combined.length} were weighed`,
              why: say`the rest of its rows follow the first of the ways of working: choose a method there by hand`,
              mends: [],
            },
          ],
  };
}

function openIn(facts: Facts): readonly Open[] {
  const { chosen, part, bar, shop } = facts;
  const free = (of: string) => !chosen.method.has(of);
  const rows = part.features.filter((f) => f.side === 'outside' && free(f.id));
  const threads =
    wayChosen(facts, 'thread') !== 'least' ? [] : rows.filter((f) => f.form === 'thread' && toolForThread(shop, 'die', threadOf(f)) !== undefined);
  const tapers = wayChosen(facts, 'taper') !== 'least' ? [] : rows.filter((f) => f.form === 'taper');
  const severs = wayChosen(facts, 'severing') === 'least' && free('left') && free('right') && !facts.started;
  const parts = severs && !severingOf(withMethods(facts, [methodOf('left', 'part')]), mmOf(bar.across) / 2).tooDeep;
  return [
    ...(parts ? [{ of: 'left', methods: ['part', 'saw'] }] : []),
    ...threads.map((f) => ({ of: f.id, methods: ['single-point', 'die', 'begun'] })),
    ...tapers.map((f) => ({ of: f.id, methods: ['compound', 'set-over', 'form'] })),
  ];
}

const methodOf = (of: string, method: string): Choice => ({ kind: 'method', id: 'least', of, method });

function withMethods(facts: Facts, choices: readonly Choice[]): Facts {
  if (choices.length === 0) return facts;
  const method = new Map(facts.chosen.method);
  for (const c of choices) if (c.kind === 'method') method.set(c.of, c);
  return { ...facts, chosen: { ...facts.chosen, method } };
}

/** Where the rows that either end can reach are turned: soon, at the end that goes first, or all of them later; a person's choice leaves only that. */
export function wheresOf(
  facts: Facts,
  first: End,
): { readonly soon: ReadonlyMap<string, End>; readonly later: ReadonlyMap<string, End> | undefined } {
  const soon = new Map([...facts.chosen.in].map(([row, c]) => [row, endOf(c.setup)]));
  const held = facts.chosen.hold.size > 0 || facts.started !== undefined;
  const open = held ? [] : reachedByBoth(facts.part.features).filter((row) => !soon.has(row));
  return { soon, later: open.length === 0 ? undefined : new Map([...soon, ...open.map((row) => [row, otherEnd(first)] as const)]) };
}
