import { define } from './define';
import { normalBelow } from './normal';
import { tidy } from './rounding';

const weights = 'weights of the shop, common practice';

/** What a way of making a part costs: minutes, and what is not minutes brought to them. */
export const costFormulas = {
  score: define(
    '1 - weight x runout / 0.2 mm - 0.3 when it marks - 0.2 for each caution - 0.03 for each thing to change or bring up',
    'common practice',
    {
      runout: ['length', 'runs true within'],
      weight: ['ratio', 'weight of running true: 1 on a finished surface, 0.1 on the bar'],
      marks: ['count', 'marks the work (1) or not (0)'],
      cautions: ['ratio', 'cautions'],
      effort: ['count', 'things to change or bring up'],
    },
    ({ runout, weight, marks, cautions, effort }) => 1 - (weight * runout) / 0.2 - 0.3 * marks - 0.2 * cautions - 0.03 * effort,
  ),
  riskOfSize: define(
    'chance of landing outside the limits x half an hour; spread = root of (gauge bias2 + gauge repeat2 + (a fifth of the spring on diameter)2)',
    'normal distribution; half an hour for a size that is lost is a weight of the shop, common practice',
    {
      tolerance: ['length', 'tolerance'],
      bias: ['length', 'bias of the gauge, one deviation'],
      repeat: ['length', 'repeat of the gauge, one deviation'],
      spring: ['length', 'spring of the work on radius'],
    },
    ({ tolerance, bias, repeat, spring }) => 2 * normalBelow(-tolerance / 2, 0, Math.hypot(bias, repeat, 0.4 * spring)) * 30,
  ),
  risk: define<never, 'sizes'>('sum over the sizes that are measured', 'arithmetic', { sizes: ['time', 'risk of each size'] }, (_, { sizes }) =>
    sizes.reduce((sum, r) => sum + r, 0),
  ),
  weighs: define<'score' | 'against', 'risks'>(
    '30 minutes x (1 - score of the holding) + what its risks count + 8 where the end drawn last is worked first',
    weights,
    {
      score: ['ratio', 'score of the holding'],
      risks: ['time', 'risks met in this setup'],
      against: ['count', 'the end drawn last is worked first (1) or not (0)'],
    },
    ({ score, against }, { risks }) => 30 * (1 - score) + risks.reduce((sum, r) => sum + r, 0) + 8 * against,
  ),
  toolChanges: define('times that another tool is taken in a setup', 'counted in the route', { count: ['count', 'changes'] }, ({ count }) => count),
  orderBroken: define(
    'times that a step stands before one that should better come first',
    'counted in the route',
    { count: ['count', 'times'] },
    ({ count }) => count,
  ),
  totalCost: define<'minutes' | 'risk' | 'changes' | 'broken', 'weighs'>(
    'minutes + risk + what each holding weighs + half a minute for each tool change + 3 minutes for each order that should better be the other way',
    weights,
    {
      minutes: ['time', 'minutes'],
      risk: ['cost', 'risk'],
      changes: ['count', 'tool changes'],
      broken: ['count', 'orders the wrong way'],
      weighs: ['cost', 'what each setup weighs'],
    },
    ({ minutes, risk, changes, broken }, { weighs }) => minutes + risk + 0.5 * changes + 3 * broken + weighs.reduce((sum, w) => sum + w, 0),
  ),
  lessMinutes: define(
    'minutes of the longer - minutes of the shorter',
    'arithmetic',
    { longer: ['time', 'the longer'], shorter: ['time', 'the shorter'] },
    ({ longer, shorter }) => tidy(longer - shorter),
  ),
  lessBar: define(
    'bar of the longer - bar of the shorter',
    'arithmetic',
    { longer: ['length', 'the longer'], shorter: ['length', 'the shorter'] },
    ({ longer, shorter }) => tidy(longer - shorter),
  ),
  moreMinutes: define(
    'cost of the other way - cost of the one in hand',
    weights,
    { other: ['cost', 'the other way'], now: ['cost', 'the one in hand'] },
    ({ other, now }) => tidy(other - now),
  ),
};
