import { formats, Lines, readLine } from './lines';

const [unit, mm, inch, axisX] = formats;
if (!unit || !mm || !inch || !axisX) throw new Error('formats');

describe('lines by the table', () => {
  it.each([
    ['25.306 mm', unit, { text: '25.306', units: 'mm' }],
    ['+025.306 mm', unit, { text: '25.306', units: 'mm' }],
    ['.99630 in', unit, { text: '.99630', units: 'in' }],
    ['0.9963"', unit, { text: '0.9963', units: 'in' }],
    ['-0.012', mm, { text: '-0.012', units: 'mm' }],
    ['25,306', mm, { text: '25.306', units: 'mm' }],
    ['0.9963', inch, { text: '0.9963', units: 'in' }],
    ['0.000', mm, { text: '0.000', units: 'mm' }],
    ['X 24.620 mm', axisX, { text: '24.620', units: 'mm' }],
    ['Z -3.200 mm', axisX, undefined],
    ['', unit, undefined],
  ])('%s', (line, format, read) => {
    expect(readLine(line, format)).toEqual(read);
  });

  it.each(['12..5 mm', '\u0000\u007f#~', '%%25.306 mm', 'E02', '25.306 kg', '1e5', '--1', `${'9'.repeat(200)} mm`, '25.306 mm 25.306 mm', 'X 24.62'])(
    '%j is garbage, and no reading',
    (line) => {
      expect(readLine(line, unit)).toHaveProperty('garbage');
    },
  );

  it('the sign is turned where the table says so', () => {
    expect(readLine('0.012', { ...mm, turned: true })).toEqual({ text: '-0.012', units: 'mm' });
  });
});

describe('what comes in pieces', () => {
  it('is put together, whatever ends a line', () => {
    const lines = new Lines(unit);
    expect(lines.take('25.3', 0)).toEqual([]);
    expect(lines.take('06 mm\r', 1)).toEqual([{ text: '25.306', units: 'mm' }]);
    expect(lines.take('25.300 mm\r\n25.2', 2)).toEqual([{ text: '25.300', units: 'mm' }]);
    expect(new Lines({ ...mm, ends: ';' }).take('1.5;2.5;', 0)).toHaveLength(2);
  });

  it('without an end it is thrown away before it fills the memory', () => {
    const lines = new Lines(unit);
    expect(lines.take('x'.repeat(1000), 0)[0]).toHaveProperty('garbage');
    expect(lines.take('25.306 mm\r', 1)).toEqual([{ text: '25.306', units: 'mm' }]);
  });

  it('a flood is one word, and it ends', () => {
    const lines = new Lines(unit);
    expect(lines.take('25.306 mm\r'.repeat(400), 0)).toEqual([{ flood: true }]);
    expect(lines.take('25.306 mm\r', 500)).toEqual([{ flood: true }]);
    expect(lines.take('25.306 mm\r', 5000)).toEqual([{ text: '25.306', units: 'mm' }]);
  });
});
