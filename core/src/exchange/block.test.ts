import Papa from 'papaparse';
import { readBlock, writeBlock } from './block';

describe('cells of a spreadsheet', () => {
  it.each<[string, string, readonly (readonly string[])[]]>([
    [
      'tabs',
      'a\tb\nc\td',
      [
        ['a', 'b'],
        ['c', 'd'],
      ],
    ],
    [
      'the end of the last line is no line',
      'a\tb\r\nc\td\r\n',
      [
        ['a', 'b'],
        ['c', 'd'],
      ],
    ],
    ['quoted line ends and quotes', '"two\nlines"\t"1/2"" drill"', [['two\nlines', '1/2" drill']]],
    ['an empty cell is a cell', 'a\t\tc', [['a', '', 'c']]],
    [
      'lines of a CSV',
      'drill 6,drill,6\ndrill 7,drill,7',
      [
        ['drill 6', 'drill', '6'],
        ['drill 7', 'drill', '7'],
      ],
    ],
    [
      'semicolons, with comma decimals',
      'drill;6,5\ndrill;7,5',
      [
        ['drill', '6,5'],
        ['drill', '7,5'],
      ],
    ],
    ['sizes with a comma each are one column', '12,5\n7,25', [['12,5'], ['7,25']]],
    ['one text is one cell', '12,5', [['12,5']]],
    ['lines that are no table are a column', 'a, b\nc', [['a, b'], ['c']]],
    ['a text marked as no formula', "'=1+1\tx", [['=1+1', 'x']]],
  ])('%s', (_, text, cells) => {
    expect(readBlock(text)).toEqual(cells);
  });

  it('writes what a spreadsheet reads, and no formula', () => {
    const rows = [
      ['1/2" drill', '=cmd()', '-0.5'],
      ['a\tb', 'two\nlines', ''],
    ];
    const text = writeBlock(rows);
    // a general reader of such tables takes it for what it is
    expect(Papa.parse(text, { delimiter: '\t' }).data).toEqual([
      ['1/2" drill', "'=cmd()", '-0.5'],
      ['a\tb', 'two\nlines', ''],
    ]);
    expect(readBlock(text)).toEqual(rows);
  });
});
