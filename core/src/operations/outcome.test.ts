/* An operation is a value: made twice it comes to the same, and nothing it was given is changed; what is only told never weighs. */
import { blankJob, chosenIn, type Job } from '../document';
import { readDrawing } from '../drawing';
import type { Finding } from '../finding';
import { asBar, chooseBar, startedPiece } from '../holding';
import { plan } from '../planner';
import { planned } from '../planner/demo.fixture';
import { say } from '../quantity';
import { machineOf, midShop } from '../shop';
import { materialOf } from '../standards';
import { rectangle, regionOf, sameRegion } from '../stock';
import { coolDown } from './cool';
import { chamferMouth } from './edges';
import { faceEnd } from './facing';
import type { Facts } from './facts';
import { finishTurn } from './finishTurn';
import { makeHole } from './holes';
import { type At, type Operation, operation, riskOf, warn } from './outcome';
import { releaseCheck } from './release';
import { roughTurn } from './roughTurn';
import { cutThread } from './threads';

const finding = (code: Finding['code'], severity: Finding['severity']): Finding => ({
  code,
  severity,
  about: 's1',
  says: say`x`,
  why: say`y`,
  mends: [],
});

function factsOf(job: Job, shop = midShop()): Facts {
  const part = readDrawing(job.drawing);
  const machine = machineOf(shop, job.machine);
  if (!machine) throw new Error('the shop has no lathe');
  const started = startedPiece(job, part);
  const bar = started ? asBar(started, part.material) : chooseBar(job, part, shop).bar;
  return {
    job,
    shop,
    part,
    machine,
    bar,
    material: materialOf(job.drawing.material),
    finished: sameRegion(regionOf(part.contour)),
    chosen: chosenIn(job),
  };
}

const beginning = (facts: Facts, radius = 20): At => ({
  id: 'right-1',
  end: 'right',
  place: { machine: facts.machine, material: facts.material, mostSpeed: 2000, ratio: 2, centre: false },
  speedBy: say`the lathe turns no faster`,
  holding: facts.shop.holdings[0]?.id ?? '',
  support: [],
  jaws: -facts.part.length - 10,
  taken: new Set(),
  stock: rectangle(1, -facts.part.length - 40, 0, radius),
  steps: [],
  wear: new Map(),
});

/** Frozen to its leaves, but for maps and sets, whose size is held against what it was. */
function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !ArrayBuffer.isView(value) && !Object.isFrozen(value)) {
    Object.freeze(value);
    for (const inner of Object.values(value)) frozen(inner);
  }
  return value;
}

const operationsOf = ({ part, machine }: Facts): readonly Operation[] => {
  const outside = part.features.filter((f) => f.side === 'outside');
  return [
    faceEnd(0, 1, 40, 'first'),
    ...outside.flatMap((row) => [roughTurn(row, 0), finishTurn(row, 0), chamferMouth(row), cutThread(row), coolDown(row)]),
    ...(machine.dials.quill ? [makeHole()] : []),
    releaseCheck(),
  ];
};

it.each(planned)('%s: each of its operations is a value', (_, job, shop) => {
  const facts = frozen(factsOf(job, shop));
  const at = frozen(beginning(facts));
  for (const one of operationsOf(facts)) {
    const [once, again] = [one.make(facts, at), one.make(facts, at)];
    expect(JSON.stringify(again)).toBe(JSON.stringify(once));
    expect(at.wear.size + at.taken.size + at.steps.length).toBe(0);
    // what is declared is what is made: the same steps in the same order
    expect(one.declare(facts, at).cuts.map((c) => c.step.id)).toEqual(once.cuts.map((c) => c.step.id));
  }
});

it('a step that an earlier setting has bears the name of its own setting', () => {
  const facts = factsOf(blankJob('a', 'mm'));
  const at = beginning(facts);
  const idIn = (taken: readonly string[]) => faceEnd(0, 1, 40, 'first').make(facts, { ...at, taken: new Set(taken) }).cuts[0]?.step.id;
  expect(idIn([])).toBe('face@right');
  expect(idIn(['face@right'])).toBe('face@right:right-1');
});

it('what is only told weighs nothing; a danger weighs its minutes', () => {
  const facts = factsOf(blankJob('a', 'mm'));
  const risksOf = (write: Parameters<typeof operation>[0]) => operation(write).make(facts, beginning(facts)).risks;
  expect(risksOf((draft) => draft.says.push(finding('edges-sharp', 'stop')))).toEqual([]);
  expect(risksOf((draft) => warn(draft, finding('edges-sharp', 'stop')))).toHaveLength(1);
  expect(risksOf((draft) => warn(draft, finding('edges-sharp', 'note')))).toEqual([]);
});

it('a caution of the way counts minutes, a stop as much as ten of them', () => {
  const [caution = 0] = riskOf(finding('grip-slips', 'caution'));
  const [stop = 0] = riskOf(finding('grip-slips', 'stop'));
  expect(caution).toBeGreaterThan(0);
  // no saving of a piece's usual minutes buys a way that cannot be gone
  expect(stop).toBeGreaterThanOrEqual(10 * caution);
});

it.each(planned)('%s: what its setups weigh is made of scores and of dangers that the plan tells', (_, job, shop) => {
  const { routes, findings } = plan(job, shop);
  const told = findings.filter((f) => f.severity !== 'note').length;
  const counted = (routes[0]?.setups ?? []).flatMap((s) => s.weighs.of['risks'] ?? []);
  expect(counted.length).toBeLessThanOrEqual(told);
});
