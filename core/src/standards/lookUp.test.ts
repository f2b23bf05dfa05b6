import fc from 'fast-check';
import { writeSentence } from '../quantity';
import { lookUp } from './lookUp';

const says = (text: string, units: 'mm' | 'in' = 'mm') => lookUp(text, units).map((f) => writeSentence(f.says, units));

describe('what is typed in the finder', () => {
  it.each([
    ['M12x1.5', 'M12x1.5-6g: major 11.732 mm to 11.968 mm, pitch diameter 10.854 mm to 10.994 mm, minor 10.376 mm basic'],
    ['M12-6H', 'minor 10.106 mm to 10.441 mm'],
    ['25 H7/g6', 'hole 25.000 mm to 25.021 mm, shaft 24.980 mm to 24.993 mm: clearance, 0.007 mm to 0.041 mm'],
    ['25 H7/s6', 'interference 0.014 mm to 0.048 mm'],
    ['1.000 RC4', 'clearance'],
    ['25 h6', '24.987 mm to 25.000 mm'],
    ['#7', '5.105 mm, .2010 in'],
    ['13/16', '20.638 mm, .8125 in, 13/16 in'],
    ['13/16', 'drills: 13/16, 20.5 (0.138 mm under)'],
    ['10-32 tap', 'tap drill #21 (4.039 mm, 76 %)'],
    ['M10 tap', 'tap drill 8.5 (8.500 mm, 77 %)'],
    ['1/4-20 clearance', 'normal Ø7.144 mm (9/32)'],
    ['M8 clearance hole', 'close Ø8.400 mm, normal Ø9.000 mm, free Ø10.000 mm'],
    ['H drill', 'letter H: 6.756 mm, .2660 in'],
    ['7 drill', '7: 7.000 mm'],
    ['Morse 2', 'compound set to 1.43°, 1 : 20.020'],
    ['1/4-20 BSW', 'pitch diameter 5.537 mm basic'],
    ['1/4-20 UNC-2B', 'its printed table may differ by'],
  ])('%s', (text, sentence) => {
    expect(says(text).join(' | ')).toContain(sentence);
  });

  it('speaks in the unit of the page', () => {
    expect(says('25 h6', 'in').join()).toContain('.9837 in to .9843 in');
    expect(says('.75', 'in').join()).toContain('19.050 mm, .7500 in, 3/4 in');
  });

  it.each(['', 'sheave axle', 'holding', 'x'.repeat(80), '?'])('has nothing to say of “%s”', (text) => {
    expect(lookUp(text, 'mm')).toEqual([]);
  });

  it('never throws, and names a source for all it says', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ maxLength: 20 }), fc.stringMatching(/^[M#G]?\d{1,3}[ /x.-]?\d{0,3}[a-zH]?\d{0,2}$/)), (text) =>
        lookUp(text, 'in').every((f) => f.source !== '' && f.says.length > 0),
      ),
    );
  });
});
