/* A taper brought to size by how far its gauge stands off. Taper of Morse 2: 0.59941 in on the foot, ISO 296, from memory; how far still to go in is what is left over the taper, common practice. */
import { blankJob, type Entry, type Job } from '../document';
import { writeSentence } from '../quantity';
import { demoShop } from './demo.fixture';
import { benchState, issued, plan, readStandOff, sizedAt } from './index';

const shop = demoShop();
const mm = (text: string) => ({ text, units: 'mm' as const });
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

function atTaper(of: Job) {
  const [route] = plan(of, shop).routes;
  if (!route) throw new Error('no route');
  const out = issued(of, route, shop, '2026-11-02T08:00:00.000Z', '0.1.0');
  const made = plan(out, shop);
  const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const step = steps.find((s) => s.verb === 'taper');
  if (!step) throw new Error('no taper');
  let n = 0;
  const line = (own: string) => ({ id: `t${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece: 1, step: own });
  const before: Entry[] = steps.slice(0, steps.indexOf(step)).map((s) => ({ ...line(s.id), kind: 'done' }));
  const read = (text: string, units: 'mm' | 'in' = 'mm'): Entry => ({
    ...line(step.id),
    kind: 'reading',
    of: 's1.taper',
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
    expect(far?.next).toBe('cut');
    expect((far?.dial?.value ?? 0) * takes).toBeGreaterThan(0.45);
    expect((far?.dial?.value ?? 0) * takes).toBeLessThan(0.66);
    expect(far?.expects.value).toBeGreaterThan(-0.5);
    expect(far?.expects.value).toBeLessThan(3);
    expect(far?.aim.value).toBeCloseTo(0, 0);
    const near = ask(read('12'), cut('0.15'), read('6'));
    expect(near?.next).toBe('cut');
    // a cut so light for its nose may dig as well as rub: less than the 0.3 that is left
    expect((near?.dial?.value ?? 0) * takes).toBeGreaterThan(0.1);
    expect((near?.dial?.value ?? 0) * takes).toBeLessThan(0.3);
    // the same in inches
    expect(ask(read('0.4724', 'in'))?.dial?.value).toBeCloseTo(far?.dial?.value ?? 0, 2);
  });

  it('is in on its line, and past saving where the gauge goes over it', () => {
    expect(ask(read('8'), cut('0.1'), read('0'))).toMatchObject({ next: 'stop' });
    expect(ask(read('8'), cut('0.1'), read('0'))?.chanceIn).toBeGreaterThan(0.9);
    const past = ask(read('8'), cut('0.1'), read('-2'));
    expect(past?.next).toBe('stop');
    expect(past?.chancePast).toBeGreaterThan(0.9);
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
