/* ISO 1832 designations of indexable inserts, from memory: sizes are those of the usual list (edge in whole millimetres, thickness and nose by code). */
import fc from 'fast-check';
import { readInsert } from './inserts';

it.each([
  // designation, circle, thickness, nose, clearance, corner
  ['CNMG120408', 12.7, 4.76, 0.8, 0, 80],
  ['DNMG150608', 12.7, 6.35, 0.8, 0, 55],
  ['DCMT11T304', 9.525, 3.97, 0.4, 7, 55],
  ['CCMT060204', 6.35, 2.38, 0.4, 7, 80],
  ['CCMT 09T308', 9.525, 3.97, 0.8, 7, 80],
  ['TNMG160404', 9.525, 4.76, 0.4, 0, 60],
  ['TPGN110304', 6.35, 3.18, 0.4, 11, 60],
  ['VBMT160404', 9.525, 4.76, 0.4, 5, 35],
  ['SNMG120412', 12.7, 4.76, 1.2, 0, 90],
  ['WNMG080408', 12.7, 4.76, 0.8, 0, 80],
])('%s', (code, circle, thickness, nose, clearance, corner) => {
  expect(readInsert(code)).toMatchObject({ circle, thickness, nose, clearance, corner });
});

it('a round one has half of its size for a nose', () => {
  expect(readInsert('RCMT0803MO')).toMatchObject({ nose: 4, corner: undefined, edge: 8 });
});

it('is two-sided only where it is square to its face and has chip breakers on both', () => {
  expect(readInsert('CNMG120408')?.twoSided).toBe(true);
  expect(readInsert('CNMM120408')?.twoSided).toBe(false);
  expect(readInsert('CCMT060204')?.twoSided).toBe(false);
});

it('a smaller nose breaks finer chips (common practice), and least is under most', () => {
  const [fine, rough] = [readInsert('DCMT11T302'), readInsert('CNMG120416')];
  expect(fine?.chips.class).toBe('fine');
  expect(rough?.chips.class).toBe('rough');
  for (const i of [fine, rough]) {
    expect(i?.chips.depth[0]).toBeLessThan(i?.chips.depth[1] ?? 0);
    expect(i?.chips.feed[0]).toBeLessThan(i?.chips.feed[1] ?? 0);
  }
});

it('anything else is no insert, and nothing throws', () => {
  for (const text of ['', '25 h6', 'M12x1.5', 'CNMG', 'XXXX120408', 'CNMG129908']) expect(readInsert(text)).toBeUndefined();
  fc.assert(fc.property(fc.string(), (text) => void readInsert(text)));
});
