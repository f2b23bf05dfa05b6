/* Common practice: an edge is indexed before a finishing cut, not after; what was written down as done on all pieces counts. */
import type { Entry } from '../document';
import { issued, plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { benchState } from './benchState';
import { WORN } from './edgeWear';

const shop = demoShop();
const many = { ...jobOf('19 h7 x 42; 24 x 20'), pieces: 50 };
const [route] = plan(many, shop).routes;
if (!route) throw new Error('no route');
const job = issued(many, route, shop, '2026-11-02T08:00:00.000Z', '0.1.0');
const made = plan(job, shop);
const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
const seat = steps.find((s) => s.verb === 'finish-turn' && (s.figures['passes']?.value ?? 0) > 1);
if (!seat) throw new Error('no seat');
let n = 0;
const line = (step: string, piece: number) => ({ id: `w${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece, step });
const done = (step: string, piece: number): Entry => ({ ...line(step, piece), kind: 'done' });
/** All of so many pieces, and the next up to its seat. */
const upTo = (pieces: number): Entry[] => [
  ...Array.from({ length: pieces }, (_, i) => steps.map((s) => done(s.id, i + 1))).flat(),
  ...steps.slice(0, steps.indexOf(seat)).map((s) => done(s.id, pieces + 1)),
];
const asked = (log: readonly Entry[]) => benchState(job, made, log).advice;

it('an edge is indexed before the seat of the piece that the plan foretold, and not sooner', () => {
  const [told] = made.findings.filter((f) => f.code === 'worn-tip');
  const lasts = Number(/after (\d+) pieces?$/.exec(told ? writeSentence(told.says, 'mm') : '')?.[1]);
  expect(lasts).toBeGreaterThan(1);
  expect(asked(upTo(0))?.next).toBe('measure');
  expect(asked(upTo(lasts - 1))?.next).toBe('measure');
  const worn = asked(upTo(lasts));
  expect(worn?.next).toBe('indexTip');
  expect(writeSentence(worn?.because[0]?.says ?? [], 'mm')).toMatch(/cut away \d+ % of the life of its edge/);

  // indexed it begins anew; kept it is not asked for again at this seat, and is at the next
  const answer = (remedy: string): Entry => ({ ...line(seat.id, lasts + 1), kind: 'symptom', symptom: WORN.symptom, remedy });
  expect(asked([...upTo(lasts), answer(WORN.indexed)])?.next).toBe('measure');
  expect(asked([...upTo(lasts), answer(WORN.kept)])?.next).toBe('measure');
  const after = (remedy: string) =>
    asked([
      ...upTo(lasts),
      answer(remedy),
      ...upTo(lasts + 1).filter((e) => e.piece > lasts && !(e.piece === lasts + 1 && steps.findIndex((s) => s.id === e.step) < steps.indexOf(seat))),
    ])?.next;
  expect(after(WORN.indexed)).toBe('measure');
  expect(after(WORN.kept)).toBe('indexTip');
  // what was skipped cut nothing
  const skipped = upTo(lasts).map((e): Entry => (e.kind === 'done' ? { ...e, kind: 'skipped', why: 'made elsewhere' } : e));
  expect(asked(skipped)?.next).toBe('measure');
});
