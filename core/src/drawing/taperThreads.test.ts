/* Taper pipe threads as sizes of a drawing: ISO 7-1 and ASME B1.20.1 in the gauge plane, from memory. */
import { blankDrawing } from '../document';
import { readDrawing } from './readDrawing';

it('in a drawing it is its cone at either end, and says that its thread is nobody’s step', () => {
  const mm = (text: string) => ({ text, units: 'mm' as const });
  const row = (id: string, size: string, long: string) => ({ id, size: mm(size), length: mm(long) });
  const part = readDrawing({
    ...blankDrawing(),
    outside: [row('a', 'R 1/2', '16'), row('b', '27', '20'), row('c', 'NPT 1/2 >', '16')],
    boreRight: [row('h', '12', 'through')],
  });
  const at = (id: string) => part.features.find((f) => f.id === id);
  expect(at('a')?.nearDiameter.nominal).toBeCloseTo(20.4425, 4);
  expect(at('a')?.farDiameter.nominal).toBeCloseTo(20.4425 + 1, 4);
  expect(at('c')?.farDiameter.nominal).toBeCloseTo(0.81557 * 25.4, 2);
  expect(at('c')?.nearDiameter.nominal).toBeGreaterThan(at('c')?.farDiameter.nominal ?? 99);
  expect(part.findings.filter((f) => f.code === 'taper-thread').map((f) => f.about)).toEqual(['a.diameter', 'c.diameter']);
  expect(readDrawing({ ...blankDrawing(), outside: [row('a', 'Rc 1/2', '16')] }).findings.some((f) => f.severity === 'stop')).toBe(true);
});
