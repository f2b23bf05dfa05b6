import { coldBy, coldFigureBy, readBy, readsOver } from './readBy';

const mm = (text: string) => ({ reads: { text, units: 'mm' as const } });

describe('what a reading says', () => {
  it('is the size at 20 degrees where work and gauge are steel and as cold as the room', () => {
    // ISO 1: work and scale of one expansion and one temperature show the size at the reference temperature
    expect(coldBy(80, { celsius: 8, room: 8 }, undefined, 11.5)).toBeCloseTo(80, 5);
  });

  it('is more for aluminium measured with a steel gauge in a cold shop', () => {
    // general knowledge: 80 mm, (23 - 11.5) millionths, 12 degrees below: 11 um larger at 20 degrees than it reads
    expect(coldBy(80, { room: 8 }, undefined, 23) - 80).toBeCloseTo(80 * 11.5e-6 * 12, 5);
  });

  it('is less for a piece warm from the cut in a cold shop by both', () => {
    const warm = coldBy(50, { celsius: 30, room: 10 }, undefined, 11.5);
    expect(warm).toBeCloseTo(50 - 50 * 11.5e-6 * 20, 5);
  });

  it.each([
    ['0.003', 0.003],
    ['+0.003', 0.003],
    ['-0.002', -0.002],
    ['−0.002', -0.002],
    ['0,004', 0.004],
    ['0', 0],
    ['', 0],
    ['worn', 0],
  ])('a gauge that reads %s over reads %p over', (text, over) => {
    expect(readsOver(mm(text))).toBeCloseTo(over, 9);
  });

  it('is freed of what worn anvils read over', () => {
    expect(readBy(25.003, {}, mm('0.003'))).toBeCloseTo(25, 9);
    expect(readBy(25, {}, undefined)).toBe(25);
  });

  it('names its formula: the plain one where nothing but the warmth of the piece counts', () => {
    expect(coldFigureBy('diameter', 25, { celsius: 30 }, undefined, 11.5, 0.001).formula).toBe('coldSize');
    const told = coldFigureBy('diameter', 25.003, { room: 12 }, mm('0.003'), 23, 0.001);
    expect(told.formula).toBe('coldSizeBy');
    expect(told.value).toBeCloseTo(coldBy(25.003, { room: 12 }, mm('0.003'), 23), 9);
  });
});
