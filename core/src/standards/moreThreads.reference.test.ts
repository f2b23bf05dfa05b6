import { writeSentence } from '../quantity';
import { dieBlank } from './dies';
import { drillIndex } from './drills';
import { engagementWanted, threadsIn } from './engagement';
import { internalPitchTolerances, majorTolerances, minorTolerances, pitchTolerances, threadDeviations } from './isoThreads.table';
import { deviation, DOUBT, majorTolerance, minorTolerance, pitchTolerance } from './specialMetric';
import { suggestFit } from './suggestFit';
import { tapDrills } from './tapDrills';
import { threadLimits } from './threads';
import { wires } from './wires';

const thread = (text: string) => {
  const read = threadLimits(text);
  if (!read.ok) throw new Error(writeSentence(read.says, 'mm'));
  return read;
};

describe('trapezoidal threads, basic form', () => {
  /* ISO 2904: bolt d2, d3, nut D4, D1; from memory */
  it.each([
    ['Tr10x2', 9, 7.5, 10.5, 8],
    ['Tr16x4', 14, 11.5, 16.5, 12],
    ['Tr20x4', 18, 15.5, 20.5, 16],
    ['Tr30x6', 27, 23, 31, 24],
    ['Tr40x7', 36.5, 32, 41, 33],
    ['Tr8x1.5', 7.25, 6.2, 8.3, 6.5],
  ])('%s', (text, pitch, root, nutMajor, nutMinor) => {
    expect(thread(text).basic).toMatchObject({ pitchDiameter: pitch, minor: root });
    expect(thread(`${text} nut`).basic).toMatchObject({ major: nutMajor, minor: nutMinor });
    expect(writeSentence(thread(text).remark ?? [], 'mm')).toContain('not in this table');
  });

  it('several starts: the lead is what is written, the pitch in brackets', () => {
    expect(thread('Tr40x14(P7)')).toMatchObject({ pitch: 7, lead: 14, designation: 'Tr40x14(P7)' });
    expect(threadLimits('Tr40x15(P7)').ok).toBe(false);
    expect(threadLimits('Tr20x12').ok).toBe(false);
  });

  /* ASME B1.5 general purpose, inches: pitch diameter, minor of screw, minor and major of nut; from memory */
  it.each([
    ['1/2-10 Acme', 0.45, 0.38, 0.4, 0.52],
    ['1-5 Acme', 0.9, 0.78, 0.8, 1.02],
    ['1/4-16 Acme', 0.21875, 0.1775, 0.1875, 0.26],
  ])('%s', (text, pitch, root, nutMinor, nutMajor) => {
    const [bolt, nut] = [thread(text).basic, thread(`${text} nut`).basic];
    expect((bolt.pitchDiameter ?? 0) / 25.4).toBeCloseTo(pitch, 6);
    expect((bolt.minor ?? 0) / 25.4).toBeCloseTo(root, 6);
    expect((nut.minor ?? 0) / 25.4).toBeCloseTo(nutMinor, 6);
    expect(nut.major / 25.4).toBeCloseTo(nutMajor, 6);
  });

  /* ASME B1.5, limiting dimensions of class 2G in a handbook, inches: outside, pitch diameter, root, largest and smallest; from memory */
  it.each([
    ['1/4-16 Acme-2G', [0.25, 0.245], [0.2148, 0.2043], [0.1775, 0.1618]],
    ['1/2-10 Acme', [0.5, 0.495], [0.4443, 0.4306], [0.38, 0.3594]],
    ['1-5 Acme-2G', [1, 0.99], [0.892, 0.8726], [0.78, 0.7509]],
    ['1/2-10 Acme-2G nut', [0.54, 0.52], [0.4637, 0.45], [0.405, 0.4]],
    ['1-5 Acme nut', [1.04, 1.02], [0.9194, 0.9], [0.81, 0.8]],
  ])('%s, its limits', (text, major, pitchDiameter, minor) => {
    const read = thread(text);
    const inches = ({ max, min }: { readonly max: number | null; readonly min: number | null }) =>
      [max, min].map((v) => Number(((v ?? 0) / 25.4).toFixed(4)));
    expect([inches(read.major), inches(read.pitchDiameter), inches(read.minor)]).toEqual([major, pitchDiameter, minor]);
    expect(read.designation).toContain('Acme-2G');
  });

  it('finer classes are closer; a class that is none says which there are', () => {
    const wide = (text: string) => {
      const { max, min } = thread(text).pitchDiameter;
      return (max ?? 0) - (min ?? 0);
    };
    expect(wide('1-5 Acme-4G')).toBeLessThan(wide('1-5 Acme-3G'));
    expect(wide('1-5 Acme-3G')).toBeLessThan(wide('1-5 Acme-2G'));
    const none = threadLimits('1-5 Acme-7G');
    expect(none.ok ? '' : writeSentence(none.says, 'mm')).toContain('2G, 3G or 4G');
  });

  it('a class of a metric one is kept, and that its limits are not known here is said', () => {
    expect(thread('Tr20x4-7e')).toMatchObject({ designation: 'Tr20x4-7e', internal: false });
    expect(thread('Tr40x14(P7)-8H')).toMatchObject({ designation: 'Tr40x14(P7)-8H', internal: true, lead: 14 });
    expect(writeSentence(thread('Tr20x4-7e').remark ?? [], 'mm')).toContain('not in this table');
  });

  it('best wires 0.518 and 0.516 of the pitch (handbook, from memory)', () => {
    const [tr, acme] = [wires('Tr20x4'), wires('1-5 Acme')];
    expect(tr.ok && tr.best / 4).toBeCloseTo(0.51764, 5);
    expect(acme.ok && acme.best / 5.08).toBeCloseTo(0.51645, 5);
    expect(tr.ok && tr.smallest < tr.best && tr.best < tr.largest).toBe(true);
  });
});

describe('metric threads of several starts', () => {
  /* ISO 965-1, how they are called: the lead after Ph, the pitch after P; from memory */
  it.each(['M16xPh3P1.5-6g', 'M16 x Ph3 P1,5', 'M16x3(P1.5)'])('%s: two starts, limits as of one of that pitch', (text) => {
    const [two, one] = [thread(text), thread('M16x1.5-6g')];
    expect(two).toMatchObject({ designation: 'M16xPh3P1.5-6g', pitch: 1.5, lead: 3, pitchDiameter: one.pitchDiameter, major: one.major });
    expect(writeSentence(two.remark ?? [], 'mm')).toContain('2 starts');
  });
  it('a lead that is no whole number of pitches is none; of one start it is the plain thread', () => {
    expect(threadLimits('M16xPh4P1.5').ok).toBe(false);
    expect(thread('M16xPh1.5P1.5').designation).toBe('M16x1.5-6g');
  });
});

describe('a pitch that no table lists', () => {
  it('names it, those that there are, and what it did (bad designation)', () => {
    expect(writeSentence(thread('M12x1.6').remark ?? [], 'mm')).toBe(
      `M12x1.6: no such standard pitch for 12 mm; 1.75, 1.5, 1.25, 1; computed as a special; tolerances and deviations by the formulas of ISO 965-1, within ${String(DOUBT)} % of a printed table`,
    );
    expect(thread('M25x1.5').remark).toBeUndefined();
    expect(threadLimits('M25').ok).toBe(false);
    expect(thread('M12x1.6').pitchDiameter.max).toBeLessThan(12 - 0.649519 * 1.6);
  });

  /* ISO 965-1 formulas against its own table: every cell within the doubt that is shown */
  const near = (formula: number | undefined, printed: number | null | undefined) => {
    if (printed === null || printed === undefined) return;
    expect(100 * Math.abs((formula ?? NaN) / printed - 1)).toBeLessThanOrEqual(DOUBT + 1e-9);
  };
  const each = (
    table: readonly (readonly (number | null)[])[],
    grades: readonly number[],
    skip: number,
    formula: (row: readonly number[], grade: number) => number | undefined,
  ) => {
    for (const row of table) grades.forEach((grade, i) => near(formula(row.slice(0, skip).map(Number), grade), row[skip + i]));
  };

  it('the formulas lie within the doubt that is shown, in every cell of the tables', () => {
    const middle = ([over = 0, to = 0]: readonly number[]) => (over + to) / 2;
    each(pitchTolerances, [3, 4, 5, 6, 7, 8, 9], 3, (row, grade) => pitchTolerance(middle(row), row[2] ?? NaN, grade, false));
    each(internalPitchTolerances, [4, 5, 6, 7, 8], 3, (row, grade) => pitchTolerance(middle(row), row[2] ?? NaN, grade, true));
    each(majorTolerances, [4, 6, 8], 1, ([pitch = NaN], grade) => majorTolerance(pitch, grade));
    each(minorTolerances, [4, 5, 6, 7, 8], 1, ([pitch = NaN], grade) => minorTolerance(pitch, grade));
    each(threadDeviations, [0, 1, 2], 1, ([pitch = NaN], column) => deviation(['g', 'f', 'e'][column] ?? '', pitch));
  });
});

describe('unified threads of another length of engagement', () => {
  it('that of the table changes nothing; a longer one widens the tolerance and the allowance (ASME B1.1, formula)', () => {
    const [usual, same, long] = [thread('3/8-24 UNF-2A'), thread('3/8-24 UNF-2A LE 3/8'), thread('3/8-24 UNF-2A LE 1.5')];
    expect(same.pitchDiameter).toEqual(usual.pitchDiameter);
    expect(long.pitchDiameter.max).toBeLessThan(usual.pitchDiameter.max ?? 0);
    // 0.0015 sqrt(1.5) - 0.0015 sqrt(0.375) = 0.000919 in more for class 2A
    const width = (t: typeof usual) => ((t.pitchDiameter.max ?? 0) - (t.pitchDiameter.min ?? 0)) / 25.4;
    expect(width(long) - width(usual)).toBeCloseTo(0.0009, 4);
    expect(threadLimits('3/8-24 UNF-2A LE x').ok).toBe(false);
  });
});

describe('blanks and engagement', () => {
  it.each([
    // 0.1 pitch under for steel: die, common practice
    ['M6', 'mild-steel', 5.9],
    ['M10', 'mild-steel', 9.85],
    ['1/4-20', 'mild-steel', 6.35 - 0.127],
  ])('%s in %s: %d', (text, material, diameter) => {
    const read = dieBlank(text, material);
    expect(read.ok && read.diameter).toBeCloseTo(diameter, 6);
  });

  it('never below the least major diameter, and not for a nut or a trapezoidal thread', () => {
    for (const text of ['M3', 'M12x1', 'M20-4h', '10-32', '1/2-13 UNC-3A']) {
      const read = dieBlank(text);
      expect(read.ok && read.diameter >= (read.thread.major.min ?? 0)).toBe(true);
    }
    expect(dieBlank('M6-6H').ok).toBe(false);
    expect(dieBlank('Tr20x4').ok).toBe(false);
  });

  it('12.7 less a counterbore of 5: nearly 8 threads of 1.0 where 1.5 gives 5 (engagement, common practice, worked)', () => {
    expect(threadsIn(12.7, { pitch: 1, counterbore: 5 }).threads).toBeCloseTo(7.7, 9);
    expect(Math.floor(threadsIn(12.7, { pitch: 1.5, counterbore: 5 }).threads)).toBe(5);
    expect(threadsIn(3, { pitch: 1, counterbore: 5 })).toEqual({ full: 0, threads: 0 });
    expect(() => threadsIn(3, { pitch: 0 })).toThrow(RangeError);
  });

  it.each([
    ['mild-steel', 1],
    ['brass', 1.5],
    ['grey-iron', 1.5],
    ['aluminium', 2],
  ])('%s wants %d diameters (engagement, common practice)', (material, diameters) => expect(engagementWanted(material)).toBe(diameters));
});

describe('a fit for what it must do', () => {
  /* ISO 286 preferred fits: what kind each is, by its limits */
  it.each([
    ['running', 'clearance'],
    ['running-free', 'clearance'],
    ['sliding', 'clearance'],
    ['location', 'clearance'],
    ['push', 'transition'],
    ['press', 'interference'],
    ['shrink', 'interference'],
  ] as const)('%s is a %s fit at every size', (intent, kind) => {
    for (const size of [4, 10, 25, 50, 120, 300]) expect(suggestFit(intent, size)).toMatchObject({ ok: true, fit: { kind } });
  });

  it('the seat of a bearing is its own size alone, tighter where the load wanders', () => {
    expect(suggestFit('bearing-shaft-rotating', 25)).toMatchObject({ ok: true, text: '25 k5' });
    expect(suggestFit('bearing-housing-stationary', 52)).toMatchObject({ text: '52 H7' });
    expect(suggestFit('running', 600).ok).toBe(false);
  });
});

describe('tap drills of British threads', () => {
  const drills = (['number', 'letter', 'fraction', 'metric'] as const).flatMap(drillIndex);

  it.each([
    // usual tapping sizes, between 70 and 85 % of depth; common practice, from memory
    ['1/4-20 BSW', 5.1],
    ['3/8-16 BSW', 7.9],
    ['2 BA', 4],
    ['0 BA', 5.1],
    ['1/4-40 ME', 5.7],
  ])('%s: near %d mm, and that drill leaves 70 to 85 %% of thread', (text, usual) => {
    const read = tapDrills(text, { drills });
    if (!read.ok) throw new Error('no drills');
    const listed = read.drills.find((d) => d.name === String(usual));
    expect(listed?.percent).toBeGreaterThan(70);
    expect(listed?.percent).toBeLessThan(85);
    expect(Math.abs((read.drills[0]?.diameter ?? 0) - usual)).toBeLessThan(0.15);
  });

  it('G 1/2: a drill within the limits of its nut (ISO 228-1)', () => {
    const read = tapDrills('G 1/2', { drills });
    if (!read.ok) throw new Error('no drills');
    expect(read.drills[0]).toMatchObject({ within: 'in' });
    expect(tapDrills('G 1/2 A', { drills })).toEqual(read);
  });

  it('a trapezoidal nut is bored, not tapped by drill', () => expect(tapDrills('Tr20x4', { drills }).ok).toBe(false));
});
