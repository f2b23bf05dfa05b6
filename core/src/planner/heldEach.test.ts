/* Each way of holding worked out whole, and what could be made to hold it. Common practice: made-to-hold. */
import { blankJob, type Job } from '../document';
import { midShop, practice, startingShop } from '../shop';
import { heldEach } from './heldEach';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const stub = (pieces: number): Job => {
  const blank = blankJob('stub', 'mm');
  return {
    ...blank,
    pieces,
    drawing: {
      ...blank.drawing,
      title: { edges: 'sharp' },
      outside: [
        { id: 'a', size: mm('22 h7'), length: mm('25') },
        { id: 'b', size: mm('30'), length: mm('15') },
      ],
    },
  };
};
const waysOf = (job: Job, shop = startingShop()) => {
  const made = plan(job, shop);
  const last = made.routes[0]?.setups.at(-1)?.id ?? '';
  return { route: made.routes[0], ways: heldEach(job, shop, made, last) };
};

it('soft jaws and a split bush are offered where the shop has none, with the minutes of their making, once for all pieces', () => {
  const one = waysOf(stub(1)).ways.filter((w) => w.made);
  expect(one.map((w) => w.made?.kind)).toEqual(['softJaws', 'splitBush']);
  const [soft] = one;
  const ten = waysOf(stub(10)).ways.find((w) => w.made?.kind === 'softJaws');
  // of ten pieces each bears a tenth; what else a batch spares is in both
  const spared = (waysOf(stub(1)).route?.cost.minutes.value ?? NaN) - (waysOf(stub(10)).route?.cost.minutes.value ?? NaN);
  expect((soft?.minutes?.value ?? NaN) - (ten?.minutes?.value ?? NaN)).toBeCloseTo(0.9 * practice.makeSoftJaws + spared, 6);
  expect(soft?.runout.value).toBeCloseTo(0.02, 9);
});

it('what the shop has is not made again; the way that is taken is among the others once', () => {
  const { ways, route } = waysOf(stub(1), midShop());
  expect(ways.filter((w) => w.made?.kind === 'softJaws')).toEqual([]);
  expect(ways.filter((w) => w.taken)).toHaveLength(1);
  expect(ways.find((w) => w.taken)?.minutes?.value).toBe(route?.cost.minutes.value);
});

it('without a chuck nothing is made to go into it', () => {
  const shop = { ...midShop(), holdings: midShop().holdings.filter((h) => h.kind === 'collet' || h.kind === 'fourJaw') };
  expect(waysOf(stub(1), shop).ways.filter((w) => w.made)).toEqual([]);
});
