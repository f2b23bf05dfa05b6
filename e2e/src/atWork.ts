/* npm run at-work: the jobs of the demo that are under way or done, made anew. Their readings come from simulated metal by the Bench's own advice; nothing in them is real. */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { atSize, benchState, type Card, endToRead, press, RELEASED } from '@obra/core/bench';
import { blankJob, type Cell, type Detail, type Entry, type Job, parseShop, SCHEMA, type Section, type Shop } from '@obra/core/document';
import { writeJobFile } from '@obra/core/exchange';
import { issued, plan } from '@obra/core/planner';
import { rehearsedReading } from '@obra/core/practice';
import { writeExact } from '@obra/core/quantity';
import { gaugeFor } from '@obra/core/shop';

const demo = join(dirname(fileURLToPath(import.meta.url)), '..', '..', 'demo');
const read = parseShop(JSON.parse(readFileSync(join(demo, 'shop.json'), 'utf8')));
if (!read.ok) throw new Error('demo/shop.json');
const shop: Shop = read.value;

const mm = (text: string): Cell => ({ text, units: 'mm' });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const drawn = (name: string, material: string, outside: readonly Section[], more: Partial<Job['drawing']> = {}, own: Partial<Job> = {}): Job => {
  const blank = blankJob(name, 'mm');
  return { ...blank, ...own, drawing: { ...blank.drawing, material, outside: [...outside], title: { edges: 'broken' }, ...more } };
};

/** Where the Bench is left. */
interface Until {
  /** the last piece that is made to its end */
  readonly pieces: number;
  /** of the next one: left after so many entries of a step that is sized */
  readonly middle?: number;
  readonly scrap?: { readonly piece: number; readonly after: string; readonly why: string };
}

/** Works a job by the advice on simulated metal, from a morning on. */
function worked(id: string, job: Job, begun: string, until: Until, as = id): { readonly job: Job; readonly log: readonly Entry[] } {
  const [route] = plan(job, shop).routes;
  if (!route) throw new Error(`${id} has no route`);
  const given = issued(job, route, shop, begun, '0.1.0');
  const planned = plan(given, shop);
  const log: Entry[] = [];
  let [minutes, count, onTo] = [10, 0, 1];
  const put = (after: number, entry: object) => {
    minutes += after;
    log.push({ id: `${as}-${String(++count)}`, at: new Date(Date.parse(begun) + minutes * 60_000).toISOString(), by: 'demo', ...entry } as Entry);
  };
  const steps = planned.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const gaveUp = new Set<string>();
  /** taken off by emery, mm on diameter, by piece and step */
  const polished = new Map<string, number>();
  for (let i = 0; i < 4000; i++) {
    const state = benchState(given, planned, log, { piece: onTo });
    if (!state.at) break;
    const { piece, step: stepId } = state.at;
    if (piece !== onTo) {
      release(onTo);
      onTo = piece;
      if (piece > until.pieces && until.middle === undefined) break;
    }
    const step = steps.find((s) => s.id === stepId);
    if (!step) break;
    if (until.scrap?.piece === piece && step.verb === until.scrap.after && !gaveUp.has(String(piece))) {
      gaveUp.add(String(piece));
      put(2, { kind: 'scrapped', why: until.scrap.why, piece, step: stepId });
      continue;
    }
    const now = atSize({ job: given, shop, plan: planned, log, step, piece, advice: state.advice }, undefined);
    const { advice, sized } = now;
    const here = log.filter((e) => e.step === stepId && e.piece === piece);
    if (piece > until.pieces && sized && !sized.plain && here.length >= (until.middle ?? Infinity)) break;
    const tired = here.length > 14;
    // the last hundredth of an outside size is taken off by emery, and read again
    const cold = advice?.cold?.value;
    const rubs =
      sized?.kind === 'outside' &&
      cold !== undefined &&
      here.length >= 4 &&
      !polished.has(`${String(piece)}/${stepId}`) &&
      advice?.stands !== 'in' &&
      cold > sized.limits.max &&
      cold < sized.limits.max + 0.02;
    if (rubs) {
      const { max, min } = sized.limits;
      polished.set(`${String(piece)}/${stepId}`, Math.round((cold - max + 0.4 * (max - min)) * 1000) / 1000);
      minutes += 1.5;
    }
    const asks = advice?.next === 'measure' || advice?.next === 'ask' || advice?.next === 'wait';
    const reads = (rubs || asks) && sized && !sized.plain && !tired;
    const where = endToRead(now);
    const told = reads ? rehearsedReading(given, now, { id: as, piece, step: stepId, where }) : undefined;
    if (sized && told) {
      if (advice?.next === 'wait') minutes += 12;
      put(1.5, {
        kind: 'reading',
        of: sized.of,
        gauge: now.inHand ?? 'none',
        value: { text: writeExact(Number((told.mm - (polished.get(`${String(piece)}/${stepId}`) ?? 0)).toFixed(4)), 'mm'), units: 'mm' },
        ...(now.ends && { along: mm(String(now.ends[where])) }),
        ...(told.celsius > 22 && { celsius: told.celsius }),
        piece,
        step: stepId,
      });
      continue;
    }
    const card: Card = {
      piece,
      step,
      plan: planned,
      sized: tired ? undefined : sized,
      advice: tired ? undefined : advice,
      reading: undefined,
      picked: false,
      along: undefined,
      gauge: now.inHand,
      fits: sized?.plain === true || tired || advice?.next === 'changeGauge',
    };
    const written = press(card, undefined);
    if ('refused' in written) throw new Error(`${id} stands at ${stepId}`);
    const reckoned = step.figures['minutes']?.value ?? 1;
    for (const entry of written.entries)
      put(entry.kind === 'cut' ? 1.1 : here.length > 0 ? 0.3 : Math.max(0.6, reckoned * (0.9 + (0.3 * ((i * 7) % 10)) / 10)), entry);
  }
  if (!benchState(given, planned, log).at) release(onTo);
  return { job: given, log };

  /** What was not measured on the way is read before the piece goes into the box. */
  function release(piece: number): void {
    if (gaveUp.has(String(piece))) return;
    const readAlready = new Set(log.flatMap((e) => (e.kind === 'reading' && e.piece === piece ? [e.of] : [])));
    for (const size of planned.part.characteristics) {
      const { limits } = size;
      if (!limits || readAlready.has(size.id) || size.care === 'byEye' || !/\.(diameter|length)$|^overall$/.test(size.id)) continue;
      const by = gaugeFor(shop, limits.nominal, limits.max - limits.min);
      if (!by) continue;
      const share = ((piece * 37 + size.id.length * 17 + count * 5) % 60) / 100 + 0.2;
      const step = Number(by.resolution.text);
      const value = Math.round((limits.min + share * (limits.max - limits.min)) / step) * step;
      put(0.7, {
        kind: 'reading',
        of: size.id,
        gauge: by.id,
        value: { text: writeExact(Number(value.toFixed(4)), 'mm'), units: 'mm' },
        piece,
        step: null,
      });
    }
    put(0.2, { kind: 'note', says: RELEASED, piece, step: null });
  }
}

const crossHole = (on: string, size: string, at: string): Detail => ({ id: 'x1', kind: 'crossHole', on, at: mm(at), size: mm(size) });

const pin = drawn(
  'Tiller head pin',
  'stainless-316',
  [row('s1', '12 f7', '46', { near: mm('1x45') }), row('s2', '20', '8')],
  { details: [crossHole('s1', '3.2', '5')] },
  { customer: 'sloop refit' },
);
const bush = drawn(
  'Rowlock bush',
  'bronze',
  [row('s1', '24 k6', '22'), row('s2', '32', '5')],
  { boreRight: [row('b1', '16 H8', 'through')] },
  { customer: 'tender', pieces: 4 },
);
const pawl = drawn(
  'Winch pawl pin',
  'stainless-316',
  [row('s1', '10 h7', '28', { near: mm('0.5x45') }), row('s2', '14', '6')],
  {},
  { customer: 'sloop refit' },
);
const roller = drawn(
  'Stem roller axle',
  'stainless-316',
  [row('s1', '14 h7', '70', { near: mm('1x45') }), row('s2', '22', '7')],
  {},
  { customer: 'sloop refit', pieces: 2 },
);
const typed = drawn(
  'Boom gallows foot',
  'mild-steel',
  [row('s1', 'M16', '25'), row('s2', '24', '30'), row('s3', '38', '')],
  {},
  { customer: 'ketch' },
);

const at = (day: string) => `2026-11-${day}T08:00:00.000Z`;
const made: readonly (readonly [string, Job, readonly Entry[], string])[] = [
  ['gallows-foot', typed, [], at('27')],
  ...(
    [
      ['tiller-head-pin', worked('tiller-head-pin', pin, at('27'), { pieces: 0, middle: 3 }), at('27')],
      [
        'rowlock-bush',
        worked('rowlock-bush', bush, at('25'), { pieces: 2, middle: 2, scrap: { piece: 2, after: 'finish-turn', why: 'over size' } }),
        at('25'),
      ],
      ['winch-pawl-pin', worked('winch-pawl-pin', pawl, at('18'), { pieces: 1 }), at('18')],
      ['stem-roller-axle', worked('stem-roller-axle', roller, at('20'), { pieces: 2 }), at('20')],
      [
        'rehearsal-pawl-pin',
        worked('rehearsal', { ...pawl, name: 'Winch pawl pin, rehearsed' }, at('17'), { pieces: 0, middle: 6 }, 'rehearsal-pawl-pin'),
        at('17'),
      ],
    ] as const
  ).map(([id, { job, log }, day]) => [id, job, log, day] as const),
];

mkdirSync(join(demo, 'at-work'), { recursive: true });
for (const [id, job, log, saved] of made) {
  writeFileSync(join(demo, 'at-work', `${id}.json`), writeJobFile({ schema: SCHEMA, id, revision: 1, saved, by: 'demo', job }, log));
  console.log(id, log.length, 'entries', benchState(job, plan(job, shop), log).at ?? 'done');
}
