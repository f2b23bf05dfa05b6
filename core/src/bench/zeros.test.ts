/* Where a blade or a drill stands: geometry of its own width and of its point. Common practice: edge level, move the length; edge touched, the length and the width. */
import { plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { mmOf } from '../shop';
import { zerosOf } from './zeros';

const shop = demoShop();
const job = jobOf('20 x 40 groove 3 x 16 at 12; 30 x 25; bore 10 x 30');
const made = plan(job, shop);
const setups = made.routes[0]?.setups ?? [];
const zeros = (verb: string) => {
  const setup = setups.find((s) => s.steps.some((step) => step.verb === verb));
  const step = setup?.steps.find((s) => s.verb === verb);
  return setup && step ? { step, of: zerosOf(step, setup, made.part, shop) } : undefined;
};

it('a groove: the edge towards the tailstock level with the face moves to the wall of the groove; touched by the other edge, a width more', () => {
  const groove = zeros('groove');
  const blade = mmOf(shop.tools.find((t) => t.id === groove?.step.tool)?.width);
  const [level, touched] = groove?.of?.ways ?? [];
  // drawn 12 from the free end to the wall that is nearer to it
  expect(level?.move.value).toBeCloseTo(12, 6);
  expect((touched?.move.value ?? 0) - (level?.move.value ?? 0)).toBeCloseTo(blade, 6);
});

it('a drill: by its point, by its lips, over a rule: the point of 118 degrees is 0.3 of its size long', () => {
  const drill = zeros('drill');
  const [point, lips, rule] = drill?.of?.ways ?? [];
  expect((point?.move.value ?? 0) - (lips?.move.value ?? 0)).toBeCloseTo((drill?.of?.wide ?? 0) / 2 / Math.tan((59 * Math.PI) / 180), 0);
  expect((rule?.move.value ?? 0) - (point?.move.value ?? 0)).toBeCloseTo(1, 6);
});

it('what is turned has its zero from its own touch', () => {
  expect(zeros('finish-turn')?.of).toBeUndefined();
  expect(zeros('face')?.of).toBeUndefined();
});
