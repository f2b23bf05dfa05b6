/* What tools, bars and centres fill: by hand from their rows in the shop. Bars to 0.7 of their hole, steel bars to 4 and carbide to 6 or 7 diameters: common practice. */
import type { Holding, Tool } from '../document';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { boundsOf, type Convex, polygon } from '../stock';
import { drawnTool } from './drawnTool';
import { alongHole, centreOutlines, clearsCentre, entersFrom, outlineOf } from './outline';

const mm = (text: string) => ({ text, units: 'mm' as const });
const tool = (kind: Tool['kind'], more: Partial<Tool> = {}): Tool => ({ id: 't', name: 't', kind, grade: 'hss', hand: 'right', ...more });
const reach = (of: Convex) => ({
  x: [Math.min(...of.map(([x]) => x)), Math.max(...of.map(([x]) => x))],
  r: [Math.min(...of.map(([, r]) => r)), Math.max(...of.map(([, r]) => r))],
});

it('a bar goes into the hole that its row says, else into one that leaves its chips room', () => {
  expect(entersFrom(tool('bore', { shank: mm('7') }))).toBeCloseTo(10, 9);
  expect(entersFrom(tool('bore', { shank: mm('7'), least: mm('8.5') }))).toBe(8.5);
  // a grooving bar: its shank and how deep its edge cuts
  expect(entersFrom(tool('groove', { shank: mm('7'), reach: mm('4') }))).toBe(11);
  expect(alongHole(tool('bore', { shank: mm('8'), reach: mm('32') }))).toBe(32);
  expect(alongHole(tool('bore', { shank: mm('8') }))).toBe(48);
});

it('in its hole a bar lies between the wall and as far over as the smallest hole is wide; its block stands outside its reach', () => {
  const { tool: edge, holder, carriage } = outlineOf(tool('bore', { shank: mm('8'), least: mm('10'), reach: mm('32') }), 'inside');
  expect(reach(edge).r).toEqual([-2, 0]);
  expect(reach(holder)).toEqual({ x: [0, 32], r: [-10, -2] });
  expect(reach(carriage).x[0]).toBe(32);
});

it('what is typed in the row is drawn: holder, overhang, the width of the post', () => {
  const plain = outlineOf(tool('form', { width: mm('8') }));
  const typed = outlineOf(tool('form', { width: mm('8'), holder: mm('25'), overhang: mm('30') }), 'outside', { post: mm('60') });
  expect(reach(plain.holder).x).toEqual([0, 16]);
  expect(reach(typed.holder).x).toEqual([0, 25]);
  expect(reach(typed.carriage)).toEqual({ x: [4, 64], r: [30, 120] });
});

it('a form tool at a mouth points at the work: its holder stands as far off as it stands out', () => {
  expect(reach(outlineOf(tool('form', { width: mm('8'), reach: mm('14') }), 'mouth').holder).x[0]).toBe(14);
});

describe('beside a centre', () => {
  const live: Pick<Holding, 'kind' | 'nose' | 'body'> = { kind: 'liveCentre' };
  const steep = tool('turn', { insert: 'DCMT11T304', lead: mm('93') });
  const blunt = tool('turn', { insert: 'CNMG120408', lead: mm('95') });

  it('a 60 degree cone: as wide as its nose 17.3 mm from its point for 20 (geometry: 10 / tan 30)', () => {
    const { cone } = centreOutlines(live, undefined);
    const [, end] = cone;
    expect((end?.[0] ?? 0) + 2).toBeCloseTo(10 / Math.tan(Math.PI / 6), 9);
    expect(end?.[1]).toBe(10);
  });

  it('an insert with little room behind it meets the cone where a steep one passes; on a stout piece both do', () => {
    expect([5, 8].map((r) => clearsCentre(blunt, r, 0, live, undefined))).toEqual([false, false]);
    expect([5, 8].map((r) => clearsCentre(steep, r, 0, live, undefined))).toEqual([true, true]);
    expect(clearsCentre(blunt, 12, 0, live, undefined)).toBe(true);
  });

  it('a half centre, a slim nose, or a cut that begins well in from the face lets it pass', () => {
    expect(clearsCentre(blunt, 5, 0, { kind: 'halfCentre' }, undefined)).toBe(true);
    expect(clearsCentre(blunt, 6, 0, { kind: 'liveCentre', nose: mm('10'), body: mm('10') }, undefined)).toBe(true);
    expect(clearsCentre(blunt, 8, 30, live, undefined)).toBe(true);
  });
});

it('every tool of the shops is drawn, or it is said why not; each outline has area', () => {
  for (const t of midShop().tools) {
    const { shapes, says } = drawnTool(t, midShop().machines[0]);
    expect(says.length).toBeGreaterThan(0);
    if (t.kind !== 'saw') expect([t.name, shapes.some((s) => s.is === 'edge')]).toEqual([t.name, true]);
    for (const s of shapes.filter((one) => one.is !== 'hole')) {
      const { left, right } = boundsOf(polygon(s.outline));
      expect([t.name, right > left]).toEqual([t.name, true]);
    }
  }
  const words = (t: Tool) =>
    drawnTool(t)
      .says.map((s) => writeSentence(s, 'mm'))
      .join('; ');
  expect(words(tool('drill', { size: mm('8'), angle: mm('180'), reach: mm('80') }))).toBe('Ø8 mm; flat at its end; reaches 80 mm');
  expect(words(tool('form', { angle: mm('82'), width: mm('16') }))).toBe('a cone of 82°, up to Ø16 mm');
  expect(words(tool('bore'))).toContain('without its shank');
  expect(words(tool('thread', { angle: mm('60'), tip: mm('0.15') }))).toContain('ground to 60°, flat at its tip 0.15 mm');
});
