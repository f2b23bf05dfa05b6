import { blankDrawing } from '../document';
import { pastedRows } from './pasteRows';
import { writeRows } from './rows';

const ids = () => {
  let n = 0;
  return () => `p${String(++n)}`;
};

describe('rows from a spreadsheet', () => {
  it('tabs without a head line: size, length, edges', () => {
    expect(pastedRows('M12\t18\n19 h7\t25\t0.5x45\n25\t38\t\t1x45', 'mm', ids())).toEqual([
      { id: 'p1', size: { text: 'M12', units: 'mm' }, length: { text: '18', units: 'mm' } },
      { id: 'p2', size: { text: '19 h7', units: 'mm' }, length: { text: '25', units: 'mm' }, near: { text: '0.5x45', units: 'mm' } },
      { id: 'p3', size: { text: '25', units: 'mm' }, length: { text: '38', units: 'mm' }, far: { text: '1x45', units: 'mm' } },
    ]);
  });

  it('a head line in any order, quoted cells, a comma for a separator', () => {
    expect(pastedRows('note,Length,Dia\n"runs, dry",30,"1,5"\n', 'mm', ids())).toEqual([
      { id: 'p1', size: { text: '1,5', units: 'mm' }, length: { text: '30', units: 'mm' }, note: 'runs, dry' },
    ]);
  });

  it.each([
    ['German', 'Durchmesser;Länge\n25 h6;40,5', ['25 h6', '40,5']],
    ['French, the other way round', 'longueur;diamètre\n40;25 h6', ['25 h6', '40']],
    ['one that is not known', 'hermosa\tlargura\tkommentti\n25 h6\t40', ['25 h6', '40']],
  ])('a head in %s is no row', (_, text, [size, long]) => {
    const rows = pastedRows(text, 'mm', ids());
    expect(rows?.map((r) => [r.size.text, r.length.text])).toEqual([[size, long]]);
  });

  it('a first row that is called by words and no number is a row all the same', () => {
    expect(pastedRows('bar\tthrough\n25\t40', 'mm', ids())).toHaveLength(2);
  });

  it('one cell is no table', () => {
    expect(pastedRows('25 h6', 'mm', ids())).toBeUndefined();
    expect(pastedRows('25 h6\n', 'mm', ids())).toBeUndefined();
  });

  it('of a table of ours, each list goes to its own', () => {
    const section = (id: string, size: string) => ({ id, size: { text: size, units: 'mm' as const }, length: { text: '10', units: 'mm' as const } });
    const csv = writeRows({
      ...blankDrawing(),
      outside: [section('a', '20')],
      boreRight: [section('b', '8'), section('c', '6')],
      boreLeft: [section('d', '5')],
    });
    const sizes = (list: 'outside' | 'boreRight' | 'boreLeft') => pastedRows(csv, 'mm', ids(), list)?.map((r) => r.size.text);
    expect([sizes('outside'), sizes('boreRight'), sizes('boreLeft')]).toEqual([['20'], ['8', '6'], ['5']]);
  });

  it('what we write as CSV comes back', () => {
    const outside = pastedRows('20\t30\n-0.02\t40', 'mm', ids()) ?? [];
    const csv = writeRows({ ...blankDrawing(), outside: [...outside] });
    expect(pastedRows(csv, 'in', ids())?.map((r) => [r.size, r.length.text])).toEqual(outside.map((r) => [r.size, r.length.text]));
  });
});
