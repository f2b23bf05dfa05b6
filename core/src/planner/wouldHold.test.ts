/* What nothing of the shop takes hold of: what would, and the angle plate in words. Common practice. */
import type { Shop } from '../document';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { jobOf } from './demo.fixture';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const mid = midShop();
const [bar] = mid.bars;
if (!bar) throw new Error('the shop has no bar');
const square = { ...bar, id: 'square', name: 'square 60', form: 'square' as const, across: mm('60'), length: mm('1000') };
const threeJaw = (more: Shop['holdings'] = []): Shop => ({
  ...mid,
  bars: [square],
  holdings: [...mid.holdings.filter((h) => h.kind === 'threeJaw'), ...more],
});
const job = jobOf('50 x 20', 'mm', { choices: [{ kind: 'bar', id: 'b', bar: 'square' }] });
const told = (shop: Shop, of = job) => {
  const made = plan(of, shop);
  return {
    plate: made.findings.filter((f) => f.code === 'angle-plate').map((f) => `${f.about} ${writeSentence(f.says, 'mm')}`),
    buys: made.toGet.filter((g) => g.how === 'buy').map((g) => writeSentence(g.what, 'mm')),
  };
};

it('a square bar in a shop with three jaws only: four jaws on the list, and the angle plate said once for the setting that wants it', () => {
  const { plate, buys } = told(threeJaw());
  expect(plate).toHaveLength(1);
  expect(plate[0]).toMatch(/^right-1 .*angle plate.*the shop would have to get too/);
  expect(buys.join()).toMatch(/four-jaw chuck that opens to/);
});

it('with a faceplate the plate is not got; with four jaws nothing is said', () => {
  expect(told(threeJaw(mid.holdings.filter((h) => h.kind === 'faceplate'))).plate.join()).not.toMatch(/get too/);
  const four = told({ ...mid, bars: [square] });
  expect(four.plate).toEqual([]);
  expect(four.buys.join()).not.toMatch(/chuck/);
});

it('a round that no jaw opens to wants a chuck of its size; nothing stands on a flat side', () => {
  const wide = jobOf('400 x 30');
  const { plate, buys } = told({ ...mid, holdings: mid.holdings.filter((h) => h.kind === 'threeJaw') }, wide);
  expect(plate).toEqual([]);
  expect(buys.join()).toMatch(/closes on 40\d/);
});
