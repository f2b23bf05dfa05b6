import { readDrawing } from '../drawing';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { typedBack } from './typedBack';

const part = readDrawing(jobOf('20 h7 x 40; 30 x 20; bore 12 H7 through').drawing);
const shop = demoShop();
const back = (text: string, piece = 1) => typedBack(text, part, shop, 'mm', piece);
const no = (id: string) => part.characteristics.find((c) => c.id === id)?.balloon ?? 0;

it('a line a blank, by its number; of another piece where it says so; commas as in the hand', () => {
  const shaft = String(no('s1.diameter'));
  const { entries, wrong } = back(`${shaft} = 19.993\n2/${shaft}: 19,985;no. ${shaft} = 19.99`);
  expect(wrong).toEqual([]);
  expect(entries.map((e) => (e.kind === 'reading' ? [e.piece, e.of, e.value.text] : []))).toEqual([
    [1, 's1.diameter', '19.993'],
    [2, 's1.diameter', '19,985'],
    [1, 's1.diameter', '19.99'],
  ]);
});

it.each([
  ['nineteen', 'is no reading of a blank'],
  ['99 = 20', 'no size has the number 99'],
  ['60/1 = 20', 'no piece 60'],
  ['1 = about twenty', 'not'],
  ['= 20', 'is no reading of a blank'],
])('%s is told, and the lines about it are kept', (line, says) => {
  const { entries, wrong } = back(`1 = 19.99\n${line}\n1 = 19.991`);
  expect(entries).toHaveLength(2);
  expect(wrong).toHaveLength(1);
  expect(wrong[0]?.line).toBe(2);
  expect(writeSentence(wrong[0]?.says ?? [], 'mm')).toContain(says);
});

it('nothing is nothing', () => {
  expect(back(' \n ;; ')).toEqual({ entries: [], wrong: [] });
});
