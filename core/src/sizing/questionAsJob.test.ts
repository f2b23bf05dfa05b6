import { adviceAt, sizedNow } from '../bench';
import { type Entry, parseJob, parseStoredJob, SCHEMA } from '../document';
import { plan } from '../planner';
import { startingShop } from '../shop';
import { type DialQuestion, questionAsJob } from './questionAsJob';

const line = { by: 'asked', piece: 1, step: null };
const entries: readonly Entry[] = [
  { ...line, id: 'r0', at: '2026-11-02T08:00:00.000Z', kind: 'reading', of: 'axis', value: { text: '25.62', units: 'mm' }, gauge: '', celsius: 20 },
  { ...line, id: 'r1', at: '2026-11-02T08:00:00.001Z', kind: 'cut', axis: 'cross', dial: { text: '0.16', units: 'mm' } },
  { ...line, id: 'r2', at: '2026-11-02T08:00:00.002Z', kind: 'reading', of: 'axis', value: { text: '25.31', units: 'mm' }, gauge: '', celsius: 20 },
];
const asked = (kind: DialQuestion['kind'], text: string) =>
  questionAsJob({ kind, wanted: { text, units: 'mm' }, material: 'mild-steel', units: 'mm' }, entries, 'mic-25-50');

describe('the dial question as a job', () => {
  it.each(['outside', 'bore', 'length'] as const)('of %s can be read again as it was written', (kind) => {
    const { job } = asked(kind, '25 h6');
    expect(parseJob(job)).toMatchObject({ ok: true });
    const stored = { schema: SCHEMA, id: 'job-1', revision: 1, saved: '2026-11-02T08:00:00.000Z', by: 'here', job };
    expect(parseStoredJob(stored)).toMatchObject({ ok: true });
  });

  it('goes on where it stood as soon as the part is whole: the same run, the same step', () => {
    const { job, log } = asked('outside', '25 h6');
    const whole = {
      ...job,
      drawing: { ...job.drawing, outside: job.drawing.outside.map((row) => ({ ...row, length: { text: '60', units: 'mm' as const } })) },
    };
    const shop = startingShop();
    const made = plan(whole, shop);
    const step = made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id === log[0]?.step);
    if (!step) throw new Error('no step of that name');
    const [machine] = shop.machines;
    const sized = sizedNow(step, made, shop, machine, log, undefined);
    expect(sized).toMatchObject({ kind: 'outside', of: log[0]?.kind === 'reading' && log[0].of });
    if (!sized) throw new Error('not sized');
    // what is left is dialled in a real cut, half of it on a dial of radius
    expect(adviceAt(step, sized, made, shop, machine, log, undefined).dial?.value).toBeCloseTo((25.31 - 24.9935) / 2, 1);
  });

  it('asks for what is missing, and for nothing that was typed', () => {
    const codes = (kind: DialQuestion['kind'], text: string) => plan(asked(kind, text).job, startingShop()).findings.map((f) => f.code);
    expect(codes('outside', '25 h6')).toEqual(['length-missing']);
    expect(codes('bore', '25 H7').length).toBeGreaterThan(0);
  });
});
