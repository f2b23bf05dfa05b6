/* Pieces made one from another out of one bar: the second job has what the first leaves of it. */
import { blankJob, type Job } from '../document';
import { writeSentence } from '../quantity';
import { mmOf } from '../shop';
import { demoShop } from './demo.fixture';
import { plan } from './planning';
import { barChoice, sharedBar } from './sharedBar';

const mm = (text: string) => ({ text, units: 'mm' as const });
function job(name: string, size: string, more: Partial<Job> = {}): Job {
  const blank = blankJob(name, 'mm');
  return { ...blank, drawing: { ...blank.drawing, title: { edges: 'broken' }, outside: [{ id: 'a', size: mm(size), length: mm('40') }] }, ...more };
}
const shop = demoShop();
const weight = job('weight', '24', { pieces: 2 });
const taken = plan(weight, shop).routes[0]?.bar;
const bar = shop.bars.find((b) => b.id === taken?.id);
const choice = { kind: 'bar' as const, id: 'bar', bar: taken?.id ?? '', after: 'weight' };

it('leaves the bar less what all pieces of the first job take of it', () => {
  const shared = sharedBar(choice, [weight], shop);
  const left = mmOf(bar?.length) - 2 * (taken?.cut.value ?? 0);
  expect(shared.left?.value).toBeCloseTo(left, 6);
  expect(mmOf(shared.shop.bars.find((b) => b.id === bar?.id)?.length)).toBeCloseTo(left, 4);
  expect(shared.findings).toEqual([]);
  // the rack itself is as it was
  expect(mmOf(shop.bars.find((b) => b.id === bar?.id)?.length)).toBe(mmOf(bar?.length));
});

it('goes on from job to job', () => {
  // two come off a bar that stays whole, the third is a blank of its own with its grip
  const one = { ...weight, pieces: 1 };
  const alone = plan(one, shop).routes[0]?.bar.cut.value ?? 0;
  const third = sharedBar(choice, [weight, one], shop);
  expect(third.left?.value).toBeCloseTo(mmOf(bar?.length) - 2 * (taken?.cut.value ?? 0) - alone, 6);
  expect(alone).toBeGreaterThan((taken?.cut.value ?? 0) + 20);
});

it('stops the second job where too little is left', () => {
  const many = { ...weight, pieces: 50 };
  const { shop: after, left } = sharedBar(choice, [many], shop);
  expect(left?.value).toBeLessThan(0);
  const collar = job('collar', '24', { choices: [choice] });
  expect(plan(collar, after).findings.map((f) => f.code)).toContain('bar-too-short');
  expect(barChoice(collar)).toEqual(choice);
});

it.each([
  ['is gone', [undefined]],
  ['comes round to itself', [undefined, weight]],
  ['has no drawing yet', [blankJob('nothing', 'mm')]],
])('says so when the first job %s, and lets it go by a fix', (_, before) => {
  const { shop: after, findings } = sharedBar(choice, before, shop);
  expect(after).toBe(shop);
  expect(findings.map((f) => f.code)).toEqual(['bar-shared-gone']);
  expect(findings[0]?.mends[0]?.edits).toEqual([{ op: 'remove', at: 'choices/#bar/after' }]);
});

it('says when the two are from different bars', () => {
  const [finding] = sharedBar({ ...choice, bar: 'another' }, [weight], shop).findings;
  expect(finding?.code).toBe('bar-shared-other');
  expect(writeSentence(finding?.mends[0]?.says ?? [], 'mm')).toBe(`take ${bar?.name ?? ''}`);
});

it('is no matter for a job with a bar of its own', () => {
  expect(sharedBar(undefined, [], shop)).toEqual({ shop, left: undefined, findings: [] });
});
