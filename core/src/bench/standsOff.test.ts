/* A taper brought to size by how far its gauge stands off. Taper of Morse 2: 0.59941 in on the foot, ISO 296, from memory; how far still to go in is what is left over the taper, common practice. */
import { blankJob, type Entry, type Job } from '../document';
import { issued, plan } from '../planner';
import { demoShop } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { benchState } from './benchState';
import { sizedAt } from './sized';
import { readStandOff } from './standsOff';

const shop = demoShop();
const mm = (text: string) => ({ text, units: 'mm' as const });
/** A sleeve with a taper bored into its right end. */
const sleeve = (size: string, long: string): Job => {
  const blank = blankJob('Sleeve', 'mm');
  return {
    ...blank,
    drawing: {
      ...blank.drawing,
      outside: [{ id: 's1', size: mm('40'), length: mm('60') }],
      boreRight: [{ id: 'b1', size: mm(size), length: mm(long) }],
    },
  };
};
const job = (size: string, long: string): Job => {
  const blank = blankJob('Taper', 'mm');
  return {
    ...blank,
    drawing: {
      ...blank.drawing,
      outside: [
        { id: 's1', size: mm(size), length: mm(long) },
        { id: 's2', size: mm('25'), length: mm('30') },
      ],
    },
  };
};

function atTaper(of: Job, id = 's1') {
  const [route] = plan(of, shop).routes;
  if (!route) throw new Error('no route');
  const out = issued(of, route, shop, '2026-11-02T08:00:00.000Z', '0.1.0');
  const made = plan(out, shop);
  const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const step = steps.find((s) => s.does[0]?.startsWith(id) && (s.verb === 'taper' || s.verb === 'bore'));
  if (!step) throw new Error('no taper');
  let n = 0;
  const line = (own: string) => ({ id: `t${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece: 1, step: own });
  const before: Entry[] = steps.slice(0, steps.indexOf(step)).map((s) => ({ ...line(s.id), kind: 'done' }));
  const read = (text: string, units: 'mm' | 'in' = 'mm'): Entry => ({
    ...line(step.id),
    kind: 'reading',
    of: `${id}.taper`,
    value: { text, units },
    gauge: 'caliper',
  });
  const cut = (text: string): Entry => ({ ...line(step.id), kind: 'cut', axis: 'cross', dial: mm(text) });
  const [machine] = shop.machines;
  return {
    read,
    cut,
    ask: (...own: Entry[]) => benchState(out, made, [...before, ...own]).advice,
    sized: sizedAt(step, made, shop, machine, 'caliper'),
    takes: machine?.dials.cross?.reads === 'diameter' ? 1 : 2,
  };
}

describe('a Morse 2 taper by its gauge', () => {
  const { read, cut, ask, sized, takes } = atTaper(job('Morse 2', '60'));

  it('is told by how far the gauge stands off: half a millimetre either way where nothing is drawn', () => {
    expect(sized?.standsOff?.slope).toBeCloseTo(0.59941 / 12, 4);
    expect((sized?.limits.max ?? 0) - (sized?.limits.min ?? 0)).toBeCloseTo(0.59941 / 12, 3);
    expect(ask()?.next).toBe('measure');
    expect(writeSentence(ask()?.because[0]?.says ?? [], 'mm')).toContain('blue on the gauge first');
  });

  it('dials the taper’s share of what it stands off, and no more', () => {
    const far = ask(read('12'));
    // 12 mm off are 0.599 on the diameter: so much, or less where the work could give more than is thought
    // a finishing edge takes it in two like cuts
    expect(far?.next).toBe('twoCuts');
    expect(2 * (far?.dial?.value ?? 0) * takes).toBeGreaterThan(0.45);
    expect(2 * (far?.dial?.value ?? 0) * takes).toBeLessThan(0.66);
    // after the first of the two about half of it is left
    expect(far?.expects.value).toBeGreaterThan(4.5);
    expect(far?.expects.value).toBeLessThan(7.5);
    expect(far?.aim.value).toBeCloseTo(0, 0);
    const near = ask(read('12'), cut('0.15'), read('6'));
    expect(near?.next).toBe('cut');
    // a cut so light for its nose may dig as well as rub: no more than the 0.3 that is left
    expect((near?.dial?.value ?? 0) * takes).toBeGreaterThan(0.1);
    expect((near?.dial?.value ?? 0) * takes).toBeLessThan(0.33);
    // the same in inches
    expect(ask(read('0.4724', 'in'))?.dial?.value).toBeCloseTo(far?.dial?.value ?? 0, 2);
  });

  it('is in on its line, and past saving where the gauge goes over it', () => {
    expect(ask(read('8'), cut('0.2'), read('0'))).toMatchObject({ next: 'stop' });
    expect(ask(read('8'), cut('0.2'), read('0'))?.chanceIn).toBeGreaterThan(0.9);
    // so far from what was foretold it is asked about once, and believed when it is read again
    expect(ask(read('8'), cut('0.2'), read('-2'))?.next).toBe('ask');
    const past = ask(read('8'), cut('0.2'), read('-2'), read('-2'));
    expect(past?.next).toBe('stop');
    expect(past?.chancePast).toBeGreaterThan(0.9);
  });
});

describe('a 1:10 taper bored by its plug', () => {
  const { read, cut, ask, sized, takes } = atTaper(sleeve('25 > 21', '40'), 'b1');

  it('is too small by what the plug stands off: the bore grows towards its line', () => {
    expect(sized).toMatchObject({ kind: 'bore', axis: 'cross', standsOff: { line: 25, towards: -1 } });
    expect(sized?.standsOff?.slope).toBeCloseTo(0.1, 9);
    const far = ask(read('8'));
    // 8 mm off at 1:10 are 0.8 on the diameter; 25 within 0.2 by its general limits (ISO 2768 m) takes it in one cut
    // the bar that reaches is slender: two like cuts, so that it gives alike in both
    expect(far?.next).toBe('twoCuts');
    expect(2 * (far?.dial?.value ?? 0) * takes).toBeGreaterThan(0.6);
    expect(2 * (far?.dial?.value ?? 0) * takes).toBeLessThan(1.2);
    const near = ask(read('8'), cut('0.2'), read('4'));
    expect((near?.dial?.value ?? 0) * takes).toBeGreaterThan(0.2);
    expect((near?.dial?.value ?? 0) * takes).toBeLessThan(0.45);
  });

  it('is in where the plug is on its line, and past saving where it goes by it', () => {
    expect(ask(read('8'), cut('0.4'), read('0'))).toMatchObject({ next: 'stop' });
    expect(ask(read('8'), cut('0.4'), read('0'))?.chanceIn).toBeGreaterThan(0.9);
    // 0.3 over its middle at -3
    expect(ask(read('8'), cut('0.4'), read('-3'))?.chancePast).toBeGreaterThan(0.9);
  });
});

it('a stand-off is read as it is typed: nothing, past the line, in a fraction of an inch; not what no gauge stands off', () => {
  expect(readStandOff('0', 'mm')).toMatchObject({ ok: true, value: { mm: 0 } });
  expect(readStandOff('-1,5', 'mm')).toMatchObject({ ok: true, value: { mm: -1.5 } });
  expect(readStandOff('1/16', 'in')).toMatchObject({ ok: true, value: { mm: 1.5875 } });
  for (const text of ['', 'x', '1e308', '900', 'NaN', '-']) expect(readStandOff(text, 'mm').ok).toBe(false);
});

it('a plunged taper has no cross dial to go by', () => {
  const formed = { ...job('25 > 23', '5'), choices: [{ kind: 'method' as const, id: 'f', of: 's1', method: 'form' }] };
  expect(atTaper(formed).sized).toBeUndefined();
});
