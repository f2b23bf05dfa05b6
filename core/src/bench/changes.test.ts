/* A change of the drawing after cutting began keeps what was, what is, why, and what it touches. */
import { blankJob, type Entry, type Job, type Section } from '../document';
import { issued, plan } from '../planner';
import { demoShop } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { cuttingBegan, changesOf, nameOf } from './changes';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const rows = [row('a', '20 h7', '30'), row('b', '25', '20'), row('c', '30', '20', { from: 'a.far', to: 'far', length: mm('40') })];

function given(): Job {
  const blank = blankJob('pin', 'mm');
  const mate = { id: 'm', of: 'a.diameter', piece: 'sheave', want: mm('clearance 0.05'), measured: { readings: [mm('20.02')], gauge: 'micrometer' } };
  const job: Job = { ...blank, drawing: { ...blank.drawing, title: { edges: 'broken' }, outside: rows, mates: [mate] } };
  const [route] = plan(job, demoShop()).routes;
  if (!route) throw new Error('no route');
  return issued(job, route, demoShop(), '2026-11-25T08:00:00Z', 'test');
}
const withRows = (job: Job, outside: Section[]): Job => ({ ...job, drawing: { ...job.drawing, outside } });
const at = '2026-11-25T09:00:00Z';
const line = { at, by: 'x', piece: 1 };
const done = (id: string, step: string, piece = 1): Entry => ({ ...line, id, piece, step, kind: 'done' });
const said = (job: Job, log: readonly Entry[]) =>
  changesOf(job, log).map((c) => [c.of, c.was, c.now, ...c.touches.map((t) => writeSentence(t, 'mm'))]);

it('has begun with the first cut, reading or step done that stands', () => {
  const cut = done('e1', 'finish-turn@a');
  expect(cuttingBegan([])).toBe(false);
  expect(cuttingBegan([{ ...line, id: 'n', step: null, kind: 'note', says: 'look' }])).toBe(false);
  expect(cuttingBegan([cut])).toBe(true);
  expect(cuttingBegan([cut, { ...line, id: 'w', step: null, kind: 'withdrawn', entry: 'e1' }])).toBe(false);
});

it('says nothing while the drawing is what was given out', () => {
  expect(changesOf(given(), [])).toEqual([]);
  expect(changesOf({ ...blankJob('not given out', 'mm') }, [])).toEqual([]);
});

it('keeps the old size and says which fit and which pieces it touches', () => {
  const changed = withRows(given(), [row('a', '19.9 h7', '30'), ...rows.slice(1)]);
  expect(said(changed, [done('e1', 'finish-turn@a'), done('e2', 'rough-turn@b'), done('e3', 'finish-turn@a', 2)])).toEqual([
    ['a.diameter', '20 h7', '19.9 h7', 'the fit to sheave', 'pieces 1, 2, made to the old one'],
  ]);
});

it('says which places and lengths a length touches', () => {
  const changed = withRows(given(), [row('a', '20 h7', '32'), ...rows.slice(1)]);
  const [one] = said(changed, []);
  expect(one).toEqual(['a.length', '30', '32', 'the fit to sheave', 'the place of 1 row after it', '1 length cut from its shoulder']);
});

it('tells rows put in and taken out, and the unit where it is inches', () => {
  const changed = withRows(given(), [rows[0] ?? row('a', '', ''), { ...row('n', '1', '1/2'), size: { text: '1', units: 'in' } }, ...rows.slice(2)]);
  expect(said(changed, [])).toEqual([
    ['b.diameter', '25', ''],
    ['b.length', '20', ''],
    ['n.diameter', '', '1 in'],
    ['n.length', '', '1/2'],
  ]);
  expect(changesOf(changed, []).map((c) => writeSentence(c.says, 'mm'))).toEqual(['row 2, size', 'row 2, length', 'row 2, size', 'row 2, length']);
});

it('knows which change is in the record, and forgets it when it changes on', () => {
  const changed = withRows(given(), [row('a', '19.9 h7', '30'), ...rows.slice(1)]);
  const entry: Entry = { ...line, id: 'k', step: null, kind: 'changed', of: 'a.diameter', was: '20 h7', now: '19.9 h7', why: 'the sheave is worn' };
  expect(changesOf(changed, [entry])[0]?.noted?.why).toBe('the sheave is worn');
  const further = withRows(given(), [row('a', '19.8 h7', '30'), ...rows.slice(1)]);
  expect(changesOf(further, [entry])[0]?.noted).toBeUndefined();
});

it('names a thing that is nowhere by its own name', () => {
  expect(writeSentence(nameOf('overall', given().drawing), 'mm')).toBe('overall');
  expect(writeSentence(nameOf('m', given().drawing), 'mm')).toBe('fit 1');
});
