import { taperPipe } from './taperPipe';

/* ASME B1.20.1: pitch diameters in the gauge plane of hand-tight engagement, E1, inches; from memory. */
it.each([
  ['1/8', 0.3736],
  ['1/4', 0.49163],
  ['3/8', 0.62701],
  ['1/2', 0.77843],
  ['3/4', 0.98887],
  ['1', 1.23863],
  ['1-1/4', 1.58338],
  ['1-1/2', 1.82234],
  ['2', 2.29627],
])('NPT %s: E1 = %f in', (size, e1) => {
  const thread = taperPipe(`NPT ${size}`, 'outside');
  expect((thread?.gauge.pitchDiameter ?? NaN) / 25.4).toBeCloseTo(e1, 4);
  expect(taperPipe(`${size} NPT`, 'outside')).toEqual(thread);
});

/* ISO 7-1: pitch and minor diameters in the gauge plane, mm; from memory. */
it.each([
  ['1/4', 12.301, 11.445],
  ['1/2', 19.793, 18.631],
  ['1', 31.77, 30.291],
  ['2', 58.135, 56.656],
])('R %s: %f in the gauge plane, its hole %f in the mouth', (size, pitchDiameter, minor) => {
  expect(taperPipe(`R ${size}`, 'outside')?.gauge.pitchDiameter).toBeCloseTo(pitchDiameter, 3);
  expect(taperPipe(`Rc${size}`, 'inside')?.diameter).toBeCloseTo(minor, 3);
});

it('an outside one is smaller at its end by a sixteenth of the gauge length; both are cones of 1 in 16', () => {
  expect(taperPipe('R 1/2', 'outside')?.diameter).toBeCloseTo(20.955 - 8.2 / 16, 6);
  expect(taperPipe('R1/2', 'outside')?.slope).toBe(1 / 16);
  expect(taperPipe('R 5', 'outside')).toBeUndefined();
  expect(taperPipe('1/2-14', 'outside')).toBeUndefined();
  expect(taperPipe('G 1/2', 'outside')).toBeUndefined();
});
