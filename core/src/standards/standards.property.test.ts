import fc from 'fast-check';
import { MM_PER_INCH } from '../quantity';
import { drillIndex, drillNamed } from './drills';
import { fit, sizeLimits } from './fits';
import { fitsB41 } from './fitsB41.table';
import { itTable, mainRanges } from './limitsAndFits.table';
import type { Thread } from './thread';
import { threadLimits } from './threads';
import { metricFineOnly, metricPitches, unifiedSizes } from './threadSizes.table';
import { acmeSizes, trapezoidalSizes } from './trapezoidal.table';
import { bsfSizes, bswSizes, modelEngineerSizes, pipeSizes } from './whitworth.table';
import { overWires, pitchDiameterOver, wires } from './wires';

const letters = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'js', 'k', 'm', 'n', 'p', 'r', 's', 't', 'u', 'v', 'x', 'y', 'z', 'za', 'zb', 'zc'];

describe('limits of size, any class at any size', () => {
  const size = fc.integer({ min: 1, max: 500_000 }).map((um) => um / 1000);
  const grade = fc.integer({ min: 1, max: 18 });

  it('are ordered, and as wide as their grade', () => {
    fc.assert(
      fc.property(size, fc.constantFrom(...letters), grade, fc.boolean(), (d, letter, it, hole) => {
        const read = sizeLimits(`${String(d)} ${hole ? letter.toUpperCase() : letter}${String(it)}`);
        if (!read.ok) return read.says.length > 0;
        const width = itTable[String(it)]?.[mainRanges.findIndex((limit) => d <= limit)] ?? NaN;
        return read.max > read.min && Math.abs((read.max - read.min) * 1000 - width) < 1e-6;
      }),
      { numRuns: 1500 },
    );
  });

  it('A to G clear the nominal, K to ZC of a shaft stand over it; H and h touch it', () => {
    fc.assert(
      fc.property(size, fc.constantFrom(...letters), fc.integer({ min: 5, max: 9 }), (d, letter, it) => {
        const [hole, shaft] = [sizeLimits(`${String(d)} ${letter.toUpperCase()}${String(it)}`), sizeLimits(`${String(d)} ${letter}${String(it)}`)];
        if (!hole.ok || !shaft.ok) return true;
        if (letter < 'h') return hole.min >= d && shaft.max <= d && Math.abs(hole.min + shaft.max - 2 * d) < 1e-6;
        if (letter === 'h') return hole.min === d && shaft.max === d;
        return letter.startsWith('j') || shaft.min >= d;
      }),
      { numRuns: 800 },
    );
  });

  it('a fit is its hole less its shaft', () => {
    fc.assert(
      fc.property(size, fc.constantFrom('f7', 'g6', 'h6', 'k6', 'n6', 'p6', 's6'), fc.constantFrom('H7', 'H8', 'P7', 'K7'), (d, shaft, hole) => {
        const read = fit(`${String(d)} ${hole}/${shaft}`);
        return (
          !read.ok ||
          (Math.abs(read.clearance.max - (read.hole.max - read.shaft.min)) < 1e-9 &&
            read.kind === (read.clearance.min >= 0 ? 'clearance' : read.clearance.max <= 0 ? 'interference' : 'transition'))
        );
      }),
    );
  });

  it('inches and millimetres are one size: exactly 25.4', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 19_000 }), (thousandths) => {
        const [inch, metric] = [
          sizeLimits(`${String(thousandths / 1000)} +0 -.001 in`),
          sizeLimits(`${String((thousandths * MM_PER_INCH) / 1000)} +0 -0.0254`),
        ];
        return !inch.ok || !metric.ok || (Math.abs(inch.max - metric.max) < 1e-9 && Math.abs(inch.min - metric.min) < 1e-9);
      }),
    );
  });
});

describe('every row that is tabulated', () => {
  it('ANSI B4.1: each fit at the ends and the middle of its range', () => {
    for (const [name, over, to] of fitsB41)
      for (const inch of [over + (to - over) / 1000, (over + to) / 2, to]) expect(fit(`${inch.toFixed(5)} ${name}`)).toMatchObject({ ok: true });
  });

  it('drills are found by their own names', () => {
    for (const drill of (['number', 'letter', 'fraction', 'metric'] as const).flatMap(drillIndex))
      expect(drillNamed(drill.name)?.diameter).toBeCloseTo(drill.diameter, 9);
  });

  const metric = [metricPitches, metricFineOnly].flatMap((table) =>
    Object.entries(table).flatMap(([d, pitches]) => pitches.map((p) => `M${d}x${String(p)}`)),
  );
  const unified = unifiedSizes.flatMap(([name, , ...series]) => series.flatMap((tpi) => (tpi === null ? [] : [`${name}-${String(tpi)}`])));
  const british = [
    ...bswSizes.map(([size, tpi]) => `${size}-${String(tpi)} BSW`),
    ...bsfSizes.map(([size, tpi]) => `${size}-${String(tpi)} BSF`),
    ...Object.entries(modelEngineerSizes).flatMap(([tpi, sizes]) => sizes.map((s) => `${s}-${tpi} ME`)),
    ...pipeSizes.flatMap(([size]) => [`G ${size}`, `G ${size} A`, `G ${size} B`]),
    ...Array.from({ length: 17 }, (_, i) => `${String(i)} BA`),
    ...trapezoidalSizes.flatMap(([d, ...pitches]) => pitches.flatMap((p) => [`Tr${String(d)}x${String(p)}`, `Tr${String(d)}x${String(p)} nut`])),
    ...acmeSizes.flatMap(([size, tpi]) => [`${size}-${String(tpi)} Acme`, `${size}-${String(tpi)} Acme nut`]),
  ];
  const read = (text: string): Thread => {
    const found = threadLimits(text);
    if (!found.ok) throw new Error(`${text} does not read`);
    return found;
  };

  it.each([...metric, ...unified, ...british])('%s reads, stands in order, and reads again from what it is called', (text) => {
    const thread = read(text);
    const { major, pitchDiameter, minor } = thread.basic;
    expect(major).toBeGreaterThan(pitchDiameter ?? 0);
    expect(pitchDiameter ?? 1).toBeGreaterThan(minor ?? 0);
    for (const { max, min } of [thread.major, thread.pitchDiameter, thread.minor]) if (max !== null && min !== null) expect(max).toBeGreaterThan(min);
    expect(read(thread.designation)).toEqual(thread);
    const lefty = read(`${text} LH`);
    expect(lefty).toEqual({ ...thread, leftHand: true, designation: `${thread.designation} LH` });
  });

  const pairs = [
    ...metric.map((t) => [`${t}-6g`, `${t}-6H`] as const),
    ...unified.filter((t) => t !== '12-32').map((t) => [`${t}-2A`, `${t}-2B`] as const),
  ];
  it.each(pairs)('the largest %s goes into the smallest %s', (bolt, nut) => {
    const [b, n] = [read(bolt), read(nut)];
    expect(b.internal).toBe(false);
    expect(n.internal).toBe(true);
    for (const diameter of ['major', 'pitchDiameter'] as const) {
      const [most, least] = [b[diameter].max, n[diameter].min];
      if (most !== null && least !== null) expect(most).toBeLessThanOrEqual(least);
    }
    if (n.minor.min !== null && b.major.max !== null) expect(n.minor.min).toBeLessThan(b.major.max);
  });

  it('wires there and back, for every thread that has them', () => {
    for (const text of [...metric, ...unified, ...british].filter((t) => !/nut|^G [^AB]*$/.test(t))) {
      const found = wires(text);
      if (!found.ok) continue;
      const { pitch, lead = pitch, basic } = found.thread;
      const half = { metric: 30, unified: 30, whitworth: 27.5, pipe: 27.5, ba: 23.75, trapezoidal: 15, acme: 14.5 }[found.thread.family];
      if (basic.pitchDiameter === null) continue;
      const form = { pitchDiameter: basic.pitchDiameter, pitch, lead, half };
      for (const wire of [found.smallest, found.best, found.largest])
        expect(pitchDiameterOver(overWires(form, wire), { pitch, lead, half }, wire)).toBeCloseTo(basic.pitchDiameter, 8);
    }
  });
});
