/* The simulated stand against closed forms one by one, and whether the exercises can be done: a scripted hand that follows the adviser lands them. */
import { midShop, startingShop } from '../shop';
import { choosings, tried } from './choosings';
import { exercises, setUp } from './exercises';
import { Dialling, fourJawWanted } from './fourJaw';
import { byAdvice } from './hand.fixture';
import { readPractice, writePractice } from './practiceFile';
import type { StandSet } from './deeds';
import { played, Stand } from './stand';
import { TwoCollars, twoCollars } from './twoCollars';
import { writeSentence } from '../quantity';

const shop = midShop();
const named = (id: string) => {
  const found = exercises.find((e) => e.id === id);
  if (!found) throw new Error(id);
  return found;
};
/** A stand without any of its own faults but those asked for: what is left is the closed form. */
const plain = (more: Partial<StandSet['truth']> = {}, own: Partial<StandSet> = {}): StandSet => {
  const set = setUp(named('two-like-cuts'), 1, shop);
  const truth = {
    ...set.truth,
    cyclic: 0,
    sticks: 0,
    jumps: [0, 0] as const,
    pitchError: 0,
    backlash: 0,
    spring: 0,
    power: 1,
    leastDepth: 0,
    builtUp: 0,
    wear: 0,
    warms: 0,
    crests: 0,
    runout: 0,
    ...more,
  };
  const gauges = set.gauges.map((g) => ({ ...g, truly: { bias: 0, repeat: 0, slips: 0 } }));
  return { ...set, truth, gauges, touches: 5, starts: 3, ...own };
};
const running = { do: 'levers', rpm: 710, feed: 0.1 } as const;
const stopped = { do: 'levers', rpm: 0, feed: 0.1 } as const;
const read = (set: StandSet) => ({ do: 'read', gauge: set.gauges[0]?.id ?? '' }) as const;

describe('physics of the stand, one by one', () => {
  it('a radius dial takes off twice what it shows', () => {
    const set = plain();
    const stand = played(set, [running, { do: 'dial', to: 5.2 }, { do: 'pass' }]);
    // a hand sets to a fiftieth of a division
    expect(set.begins - stand.outcome().size).toBeCloseTo(0.4, 2);
  });

  it('what gives way stays on: of a cut with a spring of a quarter four fifths come off (cut / (1 + s))', () => {
    const set = plain({ spring: 0.25 });
    const stand = played(set, [running, { do: 'dial', to: 5.2 }, { do: 'pass' }]);
    expect(set.begins - stand.outcome().size).toBeCloseTo(0.4 / 1.25, 2);
  });

  it('a handle that is turned back moves nothing until its take-up is out, and nothing again coming in', () => {
    const set = plain({ backlash: 1 });
    // backlash 1 on diameter is 0.5 of this dial
    const base = [running, { do: 'dial', to: 5.5 }, { do: 'pass' }] as const;
    const back = played(set, [...base, { do: 'dial', to: 5.2 }, { do: 'dial', to: 5.5 }, { do: 'pass' }]);
    expect(back.outcome().size).toBeCloseTo(played(set, base).outcome().size, 2);
    const said = played(set, base).act({ do: 'dial', to: 5.2 });
    expect(said.says).toContain('nothing moves yet');
    // set to a reading by going out it stands half a millimetre too deep
    const wrong = played(set, [running, { do: 'dial', to: 5.8 }, { do: 'dial', to: 5.5 }, { do: 'pass' }]);
    expect(set.begins - wrong.outcome().size).toBeCloseTo(1.6, 2);
  });

  it('a hot piece reads larger by its growth, and less as it cools: 11.7 millionths a degree (common steel tables)', () => {
    const set = plain({ warms: 40, cools: 20 });
    const stand = played(set, [running, { do: 'dial', to: 5.5 }, { do: 'pass' }, stopped]);
    const hot = stand.act(read(set)).reading ?? 0;
    const grown = hot - stand.outcome().size;
    // 1.5 degrees and 40 for each mm that came off
    expect(grown).toBeCloseTo(25 * 11.7e-6 * (1.5 + 40 * 1) * ratioOf(set), 2);
    stand.act({ do: 'wait', minutes: 200 });
    expect((stand.act(read(set)).reading ?? 0) - stand.outcome().size).toBeCloseTo(0, 2);
  });

  it('a screw that is one in a hundred long takes off one in a hundred more', () => {
    const long = played(plain({ pitchError: 0.01 }), [running, { do: 'dial', to: 6 }, { do: 'pass' }]).outcome().size;
    const true_ = played(plain(), [running, { do: 'dial', to: 6 }, { do: 'pass' }]).outcome().size;
    expect(true_ - long).toBeCloseTo(0.02, 3);
  });

  it('touches where it touches, cuts air before, and measures only what stands still', () => {
    const set = plain();
    const stand = new Stand(set);
    stand.act(running);
    expect(stand.act({ do: 'dial', to: 4.9 }).says).toBeUndefined();
    expect(stand.act({ do: 'pass' }).says).toContain('does not reach');
    expect(stand.act({ do: 'dial', to: 5.01 }).says).toBe('It touches.');
    expect(stand.act(read(set)).says).toContain('Stop the spindle');
    stand.act({ do: 'zero' });
    expect(stand.dial()).toBeCloseTo(0, 9);
  });
});

describe.each([
  ['a metric lathe', shop],
  ['an inch lathe', startingShop()],
])('a dial that is brought to a reading, on %s', (_, of) => {
  const set = setUp(named('set-the-dial'), 4, of);
  const to = set.toRead ?? NaN;
  const off = (...settings: readonly number[]) =>
    played(
      set,
      settings.map((mm) => ({ do: 'dial', to: mm }) as const),
    ).readingOff();
  it('shows it either way; the slide is there only where it was come to from outside (common practice)', () => {
    expect(to).toBeLessThan(set.starts);
    expect(off(to).dial).toBe(0);
    // 0.3 of take-up on diameter
    expect(off(to).slide).toBeGreaterThan(0.5 * (0.3 / set.takes));
    expect(off(to - 1, to).dial).toBe(0);
    expect(Math.abs(off(to - 1, to).slide)).toBeLessThan(set.truth.division / 10);
    const stands = (...settings: readonly number[]) =>
      played(
        set,
        settings.map((mm) => ({ do: 'dial', to: mm }) as const),
      ).stands();
    expect([stands(to), stands(to - 1, to), stands(to - 1, to - set.truth.division / 2)]).toEqual([false, true, false]);
    // a tenth is not enough where the take-up is more
    expect(off(to - 0.02, to).slide).toBeGreaterThan(0.1 * (0.3 / set.takes));
    expect(played(set, []).readingOff().dial).toBeGreaterThan(0.15);
  });
});

describe('the other handle winds the tool along', () => {
  const set = plain();
  const place = set.way.long / 2;
  const deep = { do: 'dial', to: 5.2 } as const;
  it('a cut that is fed by hand takes off what a feed of the machine does, once the tool has passed the place', () => {
    const short = played(set, [running, deep, { do: 'along', to: -place + 0.1 }]);
    expect(short.counts().cuts).toBe(0);
    const by = played(set, [running, deep, { do: 'along', to: -set.way.long }, { do: 'along', to: 5 }]);
    expect(by.counts().cuts).toBe(1);
    expect(set.begins - by.outcome().size).toBeCloseTo(0.4, 2);
    // wound out and in again at the same setting little comes off: nothing gives way here
    by.act({ do: 'along', to: -set.way.long });
    expect(set.begins - by.outcome().size).toBeCloseTo(0.4, 2);
  });

  it('wound on the same way it is one deed; what it comes to is the same', () => {
    const many = played(set, [
      running,
      deep,
      ...Array.from({ length: 60 }, (_, i) => ({ do: 'along', to: -2.5 - i / 2 }) as const),
      { do: 'along', to: 3 },
    ]);
    expect(many.deeds()).toHaveLength(4);
    expect(played(set, many.deeds()).outcome().size).toBe(many.outcome().size);
  });

  it.each([
    ['the tool against a standing bar', [deep, { do: 'along', to: -20 }], 'start the spindle', undefined],
    ['running into the jaws', [running, { do: 'along', to: -60 }], 'into the jaws', 'jaws'],
    ['against the jaws by hand, the spindle standing', [{ do: 'along', to: -60 }], 'against the jaws', undefined],
    ['past the jaws with the tool far off', [running, { do: 'dial', to: -20 }, { do: 'along', to: -60 }], undefined, undefined],
    ['set in over the work, not under size', [running, { do: 'along', to: -10 }, { do: 'dial', to: 5.1 }], 'plunges in', undefined],
    ['set in over the work, under size', [running, { do: 'along', to: -10 }, { do: 'dial', to: 7 }], 'plunges in', 'plunged'],
    ['a pass from where the piece is measured', [running, { do: 'along', to: -20 }, { do: 'pass' }], 'wind it back', undefined],
    ['a gauge laid on beside the tool', [{ do: 'along', to: -20 }, read(set)], 'in the way', undefined],
  ] as const)('%s', (_, deeds, says, spoiled) => {
    const stand = new Stand(set);
    const told = deeds.map((d) => stand.act(d).says).at(-1);
    if (says === undefined) expect(told).toBeUndefined();
    else expect(told).toContain(says);
    expect(stand.outcome().spoiled).toBe(spoiled);
    if (spoiled) expect(stand.outcome().landed).toBe('past');
  });

  it('of a bore the tool that is set in over it spoils it past its largest, not its least', () => {
    const bush = setUp(named('bore'), 2, shop);
    const over = [
      { do: 'levers', rpm: 355, feed: 0.1 },
      { do: 'along', to: -10 },
    ] as const;
    const by = (more: number) => played(bush, [...over, { do: 'dial', to: bush.touches + more }]).outcome().spoiled;
    expect(by(0.2)).toBeUndefined();
    expect(by(2)).toBe('plunged');
  });

  it('a thread that is fed by hand is cut away; with the half-nuts kept closed the carriage is held', () => {
    const stud = setUp(named('thread'), 3, shop);
    const low = [
      { do: 'levers', rpm: 100, feed: 0 },
      { do: 'dial', to: stud.touches + 0.1 },
    ] as const;
    expect(played(stud, [...low, { do: 'along', to: -15 }]).outcome().spoiled).toBe('crossed');
    expect(played(stud, [...low, { do: 'nuts', at: 'kept' }]).act({ do: 'along', to: -15 }).says).toContain('held');
  });
});

describe('half-nuts and centre', () => {
  const set = setUp(named('thread'), 3, shop);
  const pass = [{ do: 'dial', to: set.touches + 0.1 }, { do: 'pass' }] as const;
  it('a metric pitch on an inch leadscrew asks for nuts that stay closed; on a metric one the dial or any line will do (common practice)', () => {
    expect(setUp(named('thread'), 3, startingShop()).nuts).toBe('kept');
    expect(['any', 'line']).toContain(set.nuts);
  });

  it('open nuts move no carriage; closed beside their line they cross the thread, kept closed they never do', () => {
    const low = { do: 'levers', rpm: 100, feed: 0 } as const;
    expect(played(set, [low]).act({ do: 'pass' }).says).toContain('half-nuts are open');
    const inch = setUp(named('thread'), 3, startingShop());
    const often = Array.from({ length: 8 }, () => pass).flat();
    const at = (how: 'any' | 'line' | 'kept') => played(inch, [low, { do: 'nuts', at: how }, ...often]).outcome();
    expect(at('any')).toMatchObject({ spoiled: 'crossed', landed: 'past' });
    expect(at('line').spoiled).toBe('crossed');
    expect(at('kept').spoiled).toBeUndefined();
  });

  it('a centre that is brought up takes most of the spring away, and is brought up at a standing spindle', () => {
    const limp = plain({ spring: 0.4 });
    const cut = [running, { do: 'dial', to: 5.2 }, { do: 'pass' }] as const;
    const free = limp.begins - played(limp, cut).outcome().size;
    const held = limp.begins - played(limp, [{ do: 'centre', up: true }, ...cut]).outcome().size;
    expect(free).toBeCloseTo(0.4 / 1.4, 2);
    expect(held).toBeCloseTo(0.4 / 1.12, 2);
    expect(played(limp, [running]).act({ do: 'centre', up: true }).says).toContain('Stop the spindle');
  });
});

describe('a gauge that speaks', () => {
  it('what its line said stands in the log; where nothing came nothing was read', () => {
    const set = plain();
    const stand = played(set, [read(set), { do: 'heard', mm: 24.5 }]);
    expect(stand.entries().at(-1)).toMatchObject({ value: { text: '24.5', units: 'mm' } });
    stand.act(read(set));
    stand.act({ do: 'heard', mm: null });
    expect(stand.entries()).toHaveLength(1);
    expect(stand.counts().readings).toBe(1);
  });
});

/** Warmth of a pass goes with its speed. */
const ratioOf = (set: StandSet): number => Math.min(2, Math.max(0.6, (Math.PI * set.begins * 710) / 1000 / set.speed));

describe('the same number and the same deeds are the same metal', () => {
  it('to the last digit, through a file', () => {
    const set = setUp(named('hot'), 77, shop);
    const stand = byAdvice(set);
    const file = readPractice(writePractice({ exercise: 'hot', number: 77, lathe: 'mid', deeds: stand.deeds() }));
    expect(file.ok && played(setUp(named('hot'), file.value.number, shop), file.value.deeds).outcome()).toEqual(stand.outcome());
  });

  it.each([
    ['nothing', ''],
    ['cut off', '{"obra":"practice","exercise":"hot","nu'],
    ['a job', '{"obra":"job"}'],
    ['a number', '7'],
    ['a deed that is none', '{"obra":"practice","exercise":"hot","number":1,"lathe":"m","deeds":[{"do":"fly"}]}'],
    ['huge', '{"obra":"practice","exercise":"hot","number":1,"lathe":"m","deeds":[{"do":"dial","to":1e300}]}'],
    [
      'too many deeds',
      JSON.stringify({ obra: 'practice', exercise: 'hot', number: 1, lathe: 'm', deeds: Array.from({ length: 2001 }, () => ({ do: 'pass' })) }),
    ],
  ])('%s is refused in a sentence', (_, text) => {
    const read_ = readPractice(text);
    expect(read_.ok ? '' : writeSentence(read_.problems[0]?.says ?? [], 'mm')).toMatch(/exercise/);
  });
});

describe.each(exercises.filter((e) => e.only === undefined).map((e) => [e.id, e] as const))('%s', (_, exercise) => {
  it.each([
    ['a metric lathe', shop],
    ['an inch lathe', startingShop()],
  ])('is done by a hand that follows the adviser, on %s', (_name, of) => {
    const tries = Array.from({ length: 20 }, (_x, i) => byAdvice(setUp(exercise, i + 1, of), exercise.wrongDial).outcome());
    const past = tries.filter((t) => t.landed === 'past').length;
    const landed = tries.filter((t) => t.landed === 'in').length;
    expect(past).toBeLessThanOrEqual(2);
    expect(landed).toBeGreaterThanOrEqual(16);
  });
});

describe('four jaws', () => {
  it('three moves by half of what opposite jaws differ bring it within two hundredths', () => {
    const ends = Array.from({ length: 30 }, (_, i) => {
      const dialling = new Dialling(i + 1);
      for (let k = 0; k < 3; k++) dialling.move(Dialling.advised(dialling.read()));
      return dialling.tir();
    });
    expect(ends.filter((tir) => tir <= fourJawWanted).length).toBeGreaterThanOrEqual(27);
    expect(new Dialling(3).tir()).toBeGreaterThan(0.3);
  });
});

describe('a taper by two collars', () => {
  it('the tailstock moved by the taper that is missing over half of the bar comes within two hundredths in three moves', () => {
    const ends = Array.from({ length: 30 }, (_, i) => {
      const bar = new TwoCollars(i + 1);
      const first = Math.abs(bar.off());
      for (let k = 0; k < 3; k++) {
        const advised = TwoCollars.advised(bar.turn());
        bar.move((advised.further ? 1 : -1) * advised.value);
      }
      return [first, Math.abs(bar.off())] as const;
    });
    expect(ends.every(([first]) => first > 0.2)).toBe(true);
    expect(ends.filter(([, off]) => off <= twoCollars.within).length).toBeGreaterThanOrEqual(27);
  });

  it('set over by s, a bar of length L is 2 s / L of diameter thicker for each mm (elementary geometry)', () => {
    const bar = new TwoCollars(5);
    const [a1, b1] = bar.turn();
    bar.move(1);
    const [a2, b2] = bar.turn();
    const { between, free, held } = twoCollars;
    // one millimetre, give or take what a clamp moves it
    expect(b2 - a2 - (b1 - a1)).toBeCloseTo((2 * (held - free)) / between, 0);
  });
});

describe('exercises of choosing', () => {
  it.each(choosings.map((c) => [c.id, c] as const))('%s: some way is good, and each wrong thing says why', (_, choosing) => {
    const sets = choosing.sets(5);
    const all = sets.reduce<Record<string, string>[]>((so, c) => so.flatMap((one) => c.choices.map((x) => ({ ...one, [c.key]: x.value }))), [{}]);
    const good = all.filter((set) => tried(choosing, 5, set)?.good === true);
    expect(good.length).toBeGreaterThan(0);
    expect(good.length).toBeLessThan(all.length / 4);
    for (const set of all) expect(tried(choosing, 5, set)?.says.length).toBeGreaterThan(0);
    expect(tried(choosing, 5, {})).toBeUndefined();
  });

  it('a minus pin of class ZZ may be 0.005 under its mark, so that much less is proved (ASME B89.1.5 classes, from memory)', () => {
    const pins = choosings.find((c) => c.id === 'pins');
    const [least] = pins?.sets(5) ?? [];
    const said = writeSentence(pins?.asks(5) ?? [], 'mm');
    const goes = Number(/marked ([\d.]+)/.exec(said)?.[1]);
    expect(least?.choices[0]?.value).toBe((goes - 0.005).toFixed(3));
  });
});
