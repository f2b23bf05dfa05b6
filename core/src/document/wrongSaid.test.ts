import { writeSentence } from '../quantity';
import { startingShop } from '../shop';
import { parseShop } from './parse';

const saidOf = (change: (shop: ReturnType<typeof startingShop>) => unknown) => {
  const read = parseShop(change(startingShop()));
  return read.ok ? 'read' : writeSentence(read.problems[0]?.says ?? [], 'mm');
};
const firstTool = (more: Readonly<Record<string, unknown>>) =>
  saidOf((shop) => ({ ...shop, tools: shop.tools.map((t, i) => (i === 0 ? { ...t, ...more } : t)) }));

describe('what cannot be read is said in words, at the thing itself', () => {
  const { name } = startingShop().tools[0] ?? { name: '' };

  it.each([
    [{ insert: 'A'.repeat(27) }, 'insert: more than 20 characters'],
    [{ insert: 7 }, 'insert: text is wanted'],
    [{ insert: undefined, kind: undefined }, 'kind:'],
    [{ id: '' }, 'id:'],
    [{ wheel: 1 }, 'not known here: wheel'],
    [{ kind: 'spoon' }, 'kind:'],
  ])('%j', (more, said) => {
    const words = firstTool(more);
    expect(words).toContain(`tools › ${name}`);
    expect(words).toContain(said);
    expect(words).not.toMatch(/expected|Invalid|<=|>=|undefined/);
  });

  it('a thing without a name by its number, counted from one', () => {
    expect(saidOf((shop) => ({ ...shop, machines: [5] }))).toContain('machines › 1: a record is wanted');
    expect(saidOf((shop) => ({ ...shop, machines: 'none' }))).toContain('machines: a list is wanted');
    expect(saidOf((shop) => ({ ...shop, machines: undefined }))).toContain('machines: a list is missing');
  });
});
