import { blankDrawing, blankJob, type Job, namedByPart, ownName } from '../document';
import { readLine } from './readLine';

const drawn = (line: string, name?: string): Job => {
  const read = readLine(line, 'mm');
  if (!read.ok) throw new Error(line);
  const drawing = { ...blankDrawing(), ...read.value };
  return { ...blankJob(name ?? ownName(drawing), 'mm'), drawing };
};

it('a job is called by the first row of its part, and follows it until a person names it', () => {
  const pin = drawn('20 h7 x 30; 28 x 10');
  expect(pin.name).toBe('Part 20 h7 x 30');
  expect(namedByPart(pin, { ...pin, drawing: drawn('22 x 30').drawing }).name).toBe('Part 22 x 30');
  const named = { ...pin, name: 'rudder pin' };
  expect(namedByPart(pin, named).name).toBe('rudder pin');
  expect(namedByPart(named, { ...named, drawing: drawn('22 x 30').drawing }).name).toBe('rudder pin');
});

it('an empty one is a new job until its first row is typed; no name is longer than a line of the list', () => {
  const blank = blankJob('New job', 'mm');
  expect(ownName(blank.drawing)).toBe('New job');
  expect(namedByPart(blank, { ...blank, drawing: drawn('25 x 40').drawing }).name).toBe('Part 25 x 40');
  expect(namedByPart(blank, { ...blank, pieces: 3 })).toMatchObject({ name: 'New job', pieces: 3 });
  const long = blankDrawing();
  expect(ownName({ ...long, outside: [{ id: 'a', size: { text: '9'.repeat(200), units: 'mm' }, length: { text: '1', units: 'mm' } }] }).length).toBe(
    60,
  );
});
