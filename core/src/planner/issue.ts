import type { Drawing, Job, Shop } from '../document';
import type { Finding } from '../finding';
import { say } from '../quantity';
import { machineOf } from '../shop';
import { choicesOf } from './choicesOf';
import type { Route } from './route';

/** Gives a route out to the Bench: every choice of it, the shop items it names, and the drawing it was made from. */
export function issued(job: Job, route: Route, shop: Shop, at: string, app: string): Job {
  return {
    ...job,
    issue: {
      at,
      app,
      choices: [...choicesOf(route, job)],
      kit: kitOf(route, shop, job),
      drawing: job.drawing,
      ...(job.startsAs && { startsAs: job.startsAs }),
    },
  };
}

function kitOf(route: Route, shop: Shop, job: Job): Shop {
  const named = new Set<string>([route.bar.id]);
  for (const setup of route.setups) {
    named.add(setup.holding);
    for (const support of setup.support) named.add(support.item);
    for (const step of setup.steps) {
      if (step.tool !== undefined) named.add(step.tool);
      if (step.gauge !== undefined) named.add(step.gauge);
    }
  }
  const keep = <T extends { readonly id: string }>(items: readonly T[]): T[] => items.filter((item) => named.has(item.id));
  const machine = machineOf(shop, job.machine);
  return {
    machines: machine ? [machine] : [],
    holdings: keep(shop.holdings),
    tools: keep(shop.tools),
    // every gauge goes along: at the machine one may reach for another
    gauges: [...shop.gauges],
    bars: keep(shop.bars),
    ways: shop.ways,
    lessons: shop.lessons.filter((l) => l.accepted),
  };
}

/** What was changed in drawing or shop after the job was given out; the Bench goes on with what it was given. */
export function changedSinceIssue(job: Job, shop: Shop): readonly Finding[] {
  const issue = job.issue;
  if (!issue) return [];
  const rows = issue.drawing ? changedRows(issue.drawing, job.drawing) : [];
  const piece = issue.drawing && JSON.stringify(issue.startsAs) !== JSON.stringify(job.startsAs) ? ['the piece it starts from'] : [];
  const items = [...piece, ...changedItems(issue.kit, shop)];
  if (rows.length === 0 && items.length === 0) return [];
  return [
    {
      code: 'changed-since-issue',
      about: 'route',
      severity: 'caution',
      says: say`changed since it was given out: ${[...rows, ...items].slice(0, 6).join(', ')}`,
      why: say`the Bench goes on with what it was given until it is given out again; a done step stays done as long as what it made is what is wanted`,
      mends: [{ says: say`take it back and plan anew`, to: 'job', edits: [{ op: 'remove', at: 'issue' }] }],
    },
  ];
}

function changedRows(was: Drawing, now: Drawing): readonly string[] {
  const rowsOf = (d: Drawing) => new Map([...d.outside, ...d.boreRight, ...d.boreLeft].map((row) => [row.id, JSON.stringify(row)] as const));
  const [before, after] = [rowsOf(was), rowsOf(now)];
  const rows = [...new Set([...before.keys(), ...after.keys()])].filter((id) => before.get(id) !== after.get(id)).map((id) => rowSaid(id, now, was));
  const sameOtherwise =
    JSON.stringify({ ...was, outside: [], boreRight: [], boreLeft: [] }) === JSON.stringify({ ...now, outside: [], boreRight: [], boreLeft: [] });
  const order = JSON.stringify(was.outside.map((r) => r.id)) === JSON.stringify(now.outside.map((r) => r.id));
  return [...rows, ...(sameOtherwise ? [] : ['the drawing']), ...(order || rows.length > 0 ? [] : ['the order of rows'])];
}

/** A row as a person counts it, in the drawing as it is now, or as it was. */
function rowSaid(id: string, now: Drawing, was: Drawing): string {
  for (const drawing of [now, was])
    for (const [list, words] of [
      ['outside', 'row'],
      ['boreRight', 'hole A, row'],
      ['boreLeft', 'hole B, row'],
    ] as const) {
      const at = drawing[list].findIndex((r) => r.id === id);
      if (at >= 0) return `${words} ${String(at + 1)}${drawing === was && drawing !== now ? ' (gone)' : ''}`;
    }
  return 'a row';
}

function changedItems(kit: Shop, shop: Shop): readonly string[] {
  const lists = ['machines', 'holdings', 'tools', 'bars'] as const;
  return lists.flatMap((list) =>
    kit[list].flatMap((item) => {
      const now = shop[list].find((other) => other.id === item.id);
      return now && JSON.stringify(now) === JSON.stringify(item) ? [] : [item.name];
    }),
  );
}
