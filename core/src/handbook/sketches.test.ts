/* What is drawn is what is said: the figures measured against the numbers beside them. */
import { tidy, writeSentence } from '../quantity';
import { threadLimits, wires } from '../standards';
import { calculatorNamed } from './calculators';
import type { Point, Shape, Sketch } from './sketch';
import { labelOf } from './types';

const sketchOf = (id: string, texts: Readonly<Record<string, string>> = {}): Sketch => {
  const answer = calculatorNamed(id)?.answer(texts, 'mm');
  if (!answer?.ok || !answer.sketch) throw new Error(`${id} has no figure`);
  return answer.sketch;
};
const numberOf = (id: string, texts: Readonly<Record<string, string>>, label: string): number => {
  const answer = calculatorNamed(id)?.answer(texts, 'mm');
  const row = answer?.ok ? answer.rows.find((r) => r.label === label) : undefined;
  if (!row || !('value' in row)) throw new Error(`${id} has no ${label}`);
  return row.value.value;
};
const of = <K extends Shape['is']>(sketch: Sketch, kind: K) => sketch.shapes.filter((s): s is Extract<Shape, { is: K }> => s.is === kind);
const bodies = (sketch: Sketch) => of(sketch, 'area').filter((a) => a.as === 'metal' || a.as === 'mate');
const span = (points: readonly Point[], axis: 0 | 1) => Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]));

/** Distance of a point from a line through two others. */
const fromLine = ([x, y]: Point, [x1, y1]: Point, [x2, y2]: Point) =>
  Math.abs((x2 - x1) * (y1 - y) - (x1 - x) * (y2 - y1)) / Math.hypot(x2 - x1, y2 - y1);

describe('a thread', () => {
  it.each(['M12x1.5-6g', '1/2-13 UNC-2A', '1/2 BSF', '2 BA', 'Tr20x4', '1-5 Acme', 'G 1/2 A'])(
    '%s: the wire touches both flanks and stands proud of the crest',
    (text) => {
      const sketch = sketchOf('threads', { d: text });
      const [wire] = of(sketch, 'circle');
      const [body] = bodies(sketch);
      if (!wire || !body) throw new Error('no wire');
      const flanks = body.points.flatMap((p, i) => {
        const q = body.points[i + 1];
        // a flank rises or falls, neither flat nor a wall
        return q && Math.abs(p[0] - q[0]) > 1e-6 && Math.abs(p[1] - q[1]) > 1e-6 ? [[p, q] as const] : [];
      });
      const near = flanks.map(([p, q]) => Math.abs(fromLine(wire.at, p, q) - wire.r)).toSorted((a, b) => a - b);
      expect(near[0]).toBeLessThan(1e-6);
      expect(near[1]).toBeLessThan(1e-6);
      expect(wire.at[1] + wire.r).toBeGreaterThan(Math.max(...body.points.map(([, y]) => y)));
    },
  );

  it.each(['M12x1.5-6g', '1/2-13 UNC-2A', 'M6'])('%s: over the wires, in the figure, is what is measured but for the lead angle', (text) => {
    const [wire] = of(sketchOf('wires', { d: text }), 'circle');
    const read = wires(text);
    if (!wire || !read.ok) throw new Error('no wire');
    // drawn at the basic pitch diameter: the measurement at the limits moves with it
    const drawn = 2 * (wire.at[1] + wire.r);
    const basic = read.thread.basic.pitchDiameter ?? NaN;
    const most = (read.over.max ?? NaN) - ((read.thread.pitchDiameter.max ?? NaN) - basic);
    expect(Math.abs(drawn - most)).toBeLessThan(0.004);
  });

  it.each(['M12x1.5-6g', 'M12-6H', 'Tr20x4', '1/4-20 BSW'])('%s: crests a pitch apart, at the diameters that are said', (text) => {
    const thread = threadLimits(text);
    const [body] = bodies(sketchOf('threads', { d: text }));
    if (!thread.ok || !body) throw new Error('no thread');
    const heights = body.points.map(([, y]) => tidy(2 * y));
    expect(heights).toContain(tidy(thread.internal ? thread.basic.major : thread.nominal));
    expect(heights).toContain(tidy(thread.basic.minor ?? NaN));
    const crests = body.points.filter(([, y]) => Math.abs(2 * y - (thread.internal ? thread.basic.major : thread.nominal)) < 1e-6).map(([x]) => x);
    expect((crests[2] ?? NaN) - (crests[0] ?? NaN)).toBeCloseTo(thread.pitch, 9);
  });

  it('the bore of a tapped hole stands at the drill', () => {
    const [body] = bodies(sketchOf('tap-drills', { d: 'M10' }));
    expect(Math.min(...(body?.points.map(([, y]) => 2 * y) ?? []))).toBeCloseTo(8.5, 9);
  });
});

describe('zones of a fit', () => {
  it.each(['25 H7/g6', '25 H7/s6', '50 H7/k6', '1.000 RC4'])('%s: gap and overlap are the clearance, in micrometres', (text) => {
    const [hole, shaft] = of(sketchOf('fits', { d: text }), 'area').map((a) => a.points.map(([, y]) => y));
    if (!hole || !shaft) throw new Error('no zones');
    const answer = calculatorNamed('fits')?.answer({ d: text }, 'mm');
    const [first, second] = answer?.ok ? answer.rows : [];
    const said = [first, second]
      .map((row) => (row && 'value' in row ? (labelOf(row, 'mm').includes('interference') ? -1 : 1) * row.value.value * 1000 : NaN))
      .toSorted((a, b) => a - b);
    expect(Math.min(...hole) - Math.max(...shaft)).toBeCloseTo(said[0] ?? NaN, 6);
    expect(Math.max(...hole) - Math.min(...shaft)).toBeCloseTo(said[1] ?? NaN, 6);
  });
});

describe('speeds and materials', () => {
  it.each(['lathe-speeds', 'speeds'])('%s: a step falls upright, where what is asked for falls to a speed of the lathe', (id) => {
    const lines = of(sketchOf(id), 'line');
    const stair = lines.find((l) => l.as === 'ink')?.points ?? [];
    const asked = lines.find((l) => l.as === 'chain')?.points ?? [];
    const [first, last] = [asked[0], asked.at(-1)];
    if (!first || !last) throw new Error('nothing asked for');
    const falls = stair.flatMap((p, i) => (stair[i + 1]?.[0] === p[0] ? [p] : []));
    expect(falls.length).toBeGreaterThan(2);
    for (const top of falls) expect(fromLine(top, first, last)).toBeLessThan(1e-9);
    for (const [i, [x, y]] of stair.entries()) {
      const next = stair[i + 1];
      expect(!next || next[0] === x || Math.abs(next[1] - y) < 1e-9).toBe(true);
    }
  });

  it('diameters that would be written over each other are left out', () => {
    const places = (at: string) =>
      of(sketchOf('lathe-speeds', { at }), 'label')
        .filter((l) => typeof l.says !== 'string')
        .map((l) => l.at[0]);
    expect(places('6; 10; 16; 25; 40; 63; 100')).toHaveLength(7);
    const many = places('100; 20; 21; 22; 23; 24; 25; 30; 35; 40; 45; 50; 60; 70; 80; 90');
    for (const [i, x] of many.entries()) expect(x - (many[i - 1] ?? -Infinity)).toBeGreaterThan(12);
    expect(many.length).toBeGreaterThan(4);
  });

  it('materials: a bar of each stands from high-speed steel to carbide, the chosen one pointed out by its name', () => {
    const [steel, iron] = [sketchOf('materials', { material: 'mild-steel' }), sketchOf('materials', { material: 'grey-iron' })];
    const heights = (sketch: Sketch) => of(sketch, 'area').map((a) => span(a.points, 1));
    expect(heights(steel)).toEqual(heights(iron));
    const chosen = of(steel, 'area').find((a) => a.as === 'cut');
    // 30 logarithms of 120 over 30 m/min
    expect(chosen && span(chosen.points, 1)).toBeCloseTo(30 * Math.log10(4), 9);
    expect(of(steel, 'label').some((l) => l.says === 'mild steel')).toBe(true);
  });
});

describe('tapers, points, circles and flats', () => {
  it.each([
    ['20', '16', '40'],
    ['30', '5', '12'],
  ])('a taper of %s to %s in %s leans by what the compound is set to', (large, small, l) => {
    const texts = { large, small, l };
    const [body] = bodies(sketchOf('tapers', texts));
    const [a, b] = body?.points ?? [];
    if (!a || !b) throw new Error('no taper');
    expect((Math.atan2(a[1] - b[1], b[0] - a[0]) * 180) / Math.PI).toBeCloseTo(numberOf('tapers', texts, 'compound set to'), 9);
  });

  it.each(['118', '135', '90', '60'])('a point of %s degrees is as deep as is said', (angle) => {
    const texts = { d: '10', angle, depth: '20' };
    const tip = Math.min(
      ...(bodies(sketchOf('drill-points', texts))[0]
        ?.points.slice(0, 5)
        .map(([, y]) => y) ?? []),
    );
    expect(-tip).toBeCloseTo(numberOf('drill-points', texts, 'to the tip'), 9);
  });

  it('a bolt circle: neighbours stand the chord apart', () => {
    const texts = { n: '7', D: '90', start: '13' };
    const holes = of(sketchOf('bolt-circle', texts), 'circle').slice(1);
    expect(holes).toHaveLength(7);
    const chord = numberOf('bolt-circle', texts, 'hole to the next');
    holes.forEach((h, i) => {
      const next = holes[(i + 1) % 7] ?? h;
      expect(Math.hypot(h.at[0] - next.at[0], h.at[1] - next.at[1])).toBeCloseTo(chord, 6);
    });
  });

  it.each([
    ['21.87', '6', ''],
    ['20', '4', '15'],
    ['20', '2', '16'],
    ['30', '8', '27'],
  ])('flats on %s: %s sides', (d, sides, across) => {
    const texts = { d, sides, across };
    const [body] = bodies(sketchOf('flats', texts));
    if (!body) throw new Error('no figure');
    // inside the round, and cut as deep as is said
    expect(Math.max(...body.points.map((p) => Math.hypot(...p)))).toBeLessThanOrEqual(Number(d) / 2 + 1e-9);
    const least = Math.min(...body.points.map((p) => Math.hypot(...p)));
    expect(Number(d) / 2 - least).toBeCloseTo(numberOf('flats', texts, 'depth of each flat'), 2);
  });

  it('wheels that mesh touch at their pitch circles', () => {
    const sketch = sketchOf('change-gears', { p: '1.75', screw: '8 tpi', wheels: '35 50 63 80' });
    const wheels = of(sketch, 'circle');
    expect(wheels.map((w) => w.r * 2)).toEqual([35, 50, 63, 80]);
    const apart = (i: number, k: number) => Math.abs((wheels[i]?.at[0] ?? 0) - (wheels[k]?.at[0] ?? 0));
    expect(apart(0, 1)).toBe((35 + 50) / 2);
    expect(apart(2, 3)).toBe((63 + 80) / 2);
    expect(apart(1, 2)).toBe(0);
  });

  it('a groove is as wide and as deep as is said', () => {
    const texts = { where: 'bore', d: '47' };
    const [body] = bodies(sketchOf('retaining-rings', texts));
    const [, edge, floor, end] = body?.points ?? [];
    if (!edge || !floor || !end) throw new Error('no groove');
    expect(end[0] - floor[0]).toBeCloseTo(numberOf('retaining-rings', texts, 'width, H13'), 9);
    expect(2 * Math.abs(floor[1] - edge[1])).toBeCloseTo(numberOf('retaining-rings', texts, 'groove') - 47, 9);
  });

  it('the sine bar lies on its blocks', () => {
    const texts = { bar: '100', angle: '', height: '26.5' };
    const rolls = of(sketchOf('sine-bar', texts), 'circle');
    expect((rolls[1]?.at[1] ?? 0) - (rolls[0]?.at[1] ?? 0)).toBeCloseTo(26.5, 9);
    expect(Math.hypot(...(rolls[1]?.at ?? [0, 0]))).toBeCloseTo(100, 9);
  });

  it('a cut chip is as wide as the feed and as deep as the cut', () => {
    const cut = of(sketchOf('cutting-force', { ap: '2', f: '0.4', kappa: '75' }), 'area').find((a) => a.as === 'cut');
    expect(span(cut?.points.slice(0, 2) ?? [], 0)).toBeCloseTo(0.4, 9);
    expect(span(cut?.points ?? [], 1)).toBeCloseTo(2, 9);
  });

  it('every figure says in words what it shows, and every length on it has its unit', () => {
    const sketch = sketchOf('centres', { d: 'B 4' });
    expect(sketch.about).toBe('the centre hole in section, the end face right');
    const said = of(sketch, 'dim').map((d) => (typeof d.says === 'string' ? d.says : writeSentence(d.says, 'in')));
    expect(said).toEqual(['Ø.335 in', 'Ø.492 in', '.339 in']);
  });
});
