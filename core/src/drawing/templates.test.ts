import fc from 'fast-check';
import { findingKey } from '../finding';
import { completions } from './complete';
import { parseSize } from './parseSize';
import { readDrawing } from './readDrawing';
import { fromTemplate, templates } from './templates';

describe('templates', () => {
  it.each(templates.flatMap((t) => (['mm', 'in'] as const).map((u) => [t.name, u, t] as const)))(
    '%s in %s is a part without a stop or a caution',
    (_, units, template) => {
      const made = fromTemplate(template, {}, units);
      expect(made.ok).toBe(true);
      if (!made.ok) return;
      const part = readDrawing(made.value);
      expect(part.findings.filter((f) => f.severity !== 'note').map(findingKey)).toEqual([]);
      expect(part.length).toBeGreaterThan(0);
      expect(part.contour.length).toBeGreaterThan(2);
    },
  );

  it('take their answers as cells, so that what was typed stays', () => {
    const washer = templates.find((t) => t.id === 'washer');
    if (!washer) throw new Error('no washer');
    const made = fromTemplate(washer, { outside: '1-1/4', bore: '13 H11' }, 'mm');
    expect(made.ok && made.value.outside[0]?.size).toEqual({ text: '1-1/4', units: 'mm' });
    expect(made.ok && made.value.boreRight[0]?.size.text).toBe('13 H11');
    expect(fromTemplate(washer, { bore: 'wide' }, 'mm')).toMatchObject({ ok: false, problems: [{ at: 'bore' }] });
  });

  it('any answers give a drawing or a sentence, never an exception', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...templates),
        fc.array(fc.oneof(fc.string({ maxLength: 8 }), fc.constantFrom('20', 'M8', 'ball 3', '0', '-4')), { maxLength: 7 }),
        (template, texts) => {
          const made = fromTemplate(template, Object.fromEntries(template.asks.map((q, i) => [q.id, texts[i] ?? ''])), 'mm');
          return made.ok ? readDrawing(made.value).length >= 0 : made.problems.length > 0;
        },
      ),
    );
  });
});

describe('completions of a size cell', () => {
  it('offers threads, classes, tapers and shapes', () => {
    expect(completions('M12', 'mm', 'outside')).toEqual(['M12x1.5', 'M12x1.25', 'M12x1', 'M120x6', 'M120x4', 'M120x3', 'M120x2']);
    expect(completions('25', 'mm', 'outside')).toEqual(expect.arrayContaining(['25 h6', '25 g6']));
    expect(completions('25 ', 'mm', 'inside')).toEqual(expect.arrayContaining(['25 H7', '25 H7 reamed']));
    expect(completions('1/4-2', 'in', 'outside')).toEqual(['1/4-20 UNC', '1/4-28 UNF', '1/4-20 BSW', '1/4-26 BSF']);
    expect(completions('MT', 'mm', 'outside')).toContain('MT2');
    expect(completions('', 'mm', 'outside')).toEqual([]);
  });

  it('every one that is offered is understood', () => {
    const starts = ['M', 'M1', 'M2', '1', '1/', '#', '3', '25', 'h', 'b', 's', 'MT', '7', 'l'];
    for (const where of ['outside', 'inside'] as const)
      for (const units of ['mm', 'in'] as const)
        for (const start of starts)
          for (const text of completions(start, units, where)) expect([text, parseSize(text, units, where).kind]).not.toEqual([text, 'unknown']);
  });
});
