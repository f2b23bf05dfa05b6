/* Inside threads: by tap where the shop has it, else with a bar. Common practice; M40x1.5-6H is 38.376 to 38.676 at its minor diameter (ISO 965-1, from memory). */
import { blankJob, type Job, type Shop } from '../../document';
import { plan, violations } from '../../planner';
import { writeSentence } from '../../quantity';
import { midShop } from '../../shop';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shop = midShop();

const nut = (thread: string, choices: Job['choices'] = [], deep = '15'): Job => {
  const blank = blankJob('Gland nut', 'mm');
  return {
    ...blank,
    choices,
    drawing: {
      ...blank.drawing,
      outside: [{ id: 's1', size: mm('48'), length: mm('25') }],
      boreRight: [
        { id: 'h1', size: mm(thread), length: mm(deep) },
        ...(deep === 'through' ? [] : [{ id: 'h2', size: mm(thread.startsWith('M40') ? '30' : '5'), length: mm('through') }]),
      ],
    },
  };
};
const stepsOf = (job: Job, of: Shop = shop) => {
  const made = plan(job, of);
  const [route] = made.routes;
  if (!route) throw new Error('no route');
  return { made, route, steps: route.setups.flatMap((s) => s.steps) };
};
const without = (...ids: readonly string[]): Shop => ({ ...shop, tools: shop.tools.filter((t) => !ids.includes(t.id)) });

describe('a gland nut M40x1.5', () => {
  const { made, route, steps } = stepsOf(nut('M40x1.5'));
  const thread = steps.find((s) => s.verb === 'thread');
  const at = (id: string) => steps.findIndex((s) => s.id === id);

  it('is bored to its minor diameter, chamfered, then single pointed with the bar, in one holding', () => {
    expect(thread?.tool).toBe('thread-bar-12');
    expect(steps.some((s) => s.verb === 'tap')).toBe(false);
    expect(at('bore@h1')).toBeLessThan(at('thread@h1'));
    expect(at('chamfer@h1.near')).toBeLessThan(at('thread@h1'));
    const bore = steps[at('bore@h1')];
    expect(bore?.figures['to']?.value).toBeGreaterThan(38.376);
    expect(bore?.figures['to']?.value).toBeLessThan(38.676);
    expect(violations(route, made.part, nut('M40x1.5'), shop)).toEqual([]);
  });

  it('feeds in by the depth of an inside form, 0.5413 of the pitch (ISO 68-1: five eighths of 0.866), along the compound', () => {
    // from the crest that it is bored to to the root
    const depth = thread?.figures['depth'];
    expect(depth?.of['k']).toBeCloseTo(0.541, 2);
    expect(depth?.value).toBeCloseTo((0.5413 * 1.5) / Math.cos((29.5 * Math.PI) / 180), 1);
    expect(thread?.figures['feed']?.value).toBe(1.5);
    expect(thread?.because.map((r) => writeSentence(r.says, 'mm')).join('; ')).toContain('inside: fed towards you');
    expect(thread?.series?.figures.length).toBeGreaterThan(5);
  });

  it('takes away the grooves of a whole thread, and nothing touches on the way', () => {
    expect(thread?.removes.length).toBeGreaterThanOrEqual(6);
    expect(made.reached).toBe('proof');
    expect(made.findings.filter((f) => f.about === 'thread@h1' && f.severity === 'stop')).toEqual([]);
  });

  it('wants a bar where the shop has none, with what does meanwhile', () => {
    const lacking = stepsOf(nut('M40x1.5'), without('thread-bar-12'));
    expect(lacking.steps.some((s) => s.verb === 'thread')).toBe(true);
    const got = lacking.made.toGet.find((t) => writeSentence(t.what, 'mm').startsWith('threading bar 60°'));
    expect(got?.holdsUp).toEqual(['thread@h1']);
    expect(got?.instead).toBeDefined();
    expect(lacking.made.findings.map((f) => f.code)).toContain('thread-no-tool');
  });
});

it('a tap of the shop is taken; a bar if it is asked for, where it goes in', () => {
  expect(stepsOf(nut('M12')).steps.map((s) => s.verb)).toContain('tap');
  const asked = stepsOf(nut('M40x1.5', [{ kind: 'method', id: 'm', of: 'h1', method: 'tap' }]));
  expect(asked.steps.map((s) => s.verb)).toContain('tap');
  expect(asked.made.toGet.map((t) => writeSentence(t.what, 'mm'))).toContain('tap M40x1.5-6H');
  const small = stepsOf(nut('M12', [{ kind: 'method', id: 'm', of: 'h1', method: 'single-point' }]));
  // 12 mm thick it does not go into a hole of 10
  expect(small.steps.find((s) => s.verb === 'thread')?.tool).toBeUndefined();
  expect(small.made.toGet.map((t) => writeSentence(t.what, 'mm')).join()).toContain('threading bar 60° under 7.6 mm');
  // a small thread that no tap of the shop makes wants a tap, not a bar
  expect(stepsOf(nut('M14')).steps.map((s) => s.verb)).toContain('tap');
});

it('blind, with no relief at its bottom, it is told to be cut outward', () => {
  const says = (job: Job) =>
    stepsOf(job)
      .steps.find((s) => s.verb === 'thread')
      ?.because.map((r) => r.rule) ?? [];
  expect(says(nut('M40x1.5'))).toContain('thread-away');
  expect(says(nut('M40x1.5', [], 'through'))).not.toContain('thread-away');
});
