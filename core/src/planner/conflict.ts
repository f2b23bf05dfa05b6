import type { Choice, Job, Shop } from '../document';
import type { Finding } from '../finding';
import { say } from '../quantity';
import { endOf, rowOf } from '../ref';
import { holdingOf } from '../shop';
import type { Plan } from './plan';

type Planner = (job: Job, shop: Shop) => Plan;

/** Choices that can stand in the way of a route: what is only remembered, or is a step of a person's own, cannot. */
const binds = (choice: Choice) => choice.kind !== 'overrule' && choice.kind !== 'ownStep';

/**
 * A least set of a job's choices that cannot be had together: with it the plan comes to a stop that it would not come to without any choice, and less any one of them
 * it does not. Empty where the choices are not what stops it.
 * @source QuickXplain, Junker 2004
 */
export function conflictingChoices(job: Job, shop: Shop, plan: Planner): readonly Choice[] {
  const free = job.choices.filter((c) => !binds(c));
  const candidates = job.choices.filter(binds);
  const stopsWith = (choices: readonly Choice[]): ReadonlySet<string> => {
    const made = plan({ ...job, choices: [...free, ...choices] }, shop);
    return new Set([...made.findings.filter((f) => f.severity === 'stop').map((f) => f.code), ...(made.routes.length === 0 ? ['no-route'] : [])]);
  };
  const anyway = stopsWith([]);
  const fails = (choices: readonly Choice[]): boolean => [...stopsWith(choices)].some((code) => !anyway.has(code));
  if (candidates.length === 0 || !fails(candidates)) return [];
  return explain([], [], candidates, fails);
}

function explain(
  background: readonly Choice[],
  added: readonly Choice[],
  candidates: readonly Choice[],
  fails: (choices: readonly Choice[]) => boolean,
): readonly Choice[] {
  if (added.length > 0 && fails(background)) return [];
  if (candidates.length === 1) return candidates;
  const half = Math.ceil(candidates.length / 2);
  const [one, other] = [candidates.slice(0, half), candidates.slice(half)];
  const second = explain([...background, ...one], one, other, fails);
  const first = explain([...background, ...second], second, one, fails);
  return [...first, ...second];
}

/** The conflict in words, with a fix for each of its members: let that one go. */
export function conflictFinding(conflict: readonly Choice[], shop: Shop): readonly Finding[] {
  const [only] = conflict;
  if (!only) return [];
  const words = conflict.map((c) => wordsOf(c, shop));
  return [
    {
      code: 'choices-conflict',
      about: 'route',
      severity: 'caution',
      says:
        conflict.length === 1
          ? say`one choice stands in the way of any route: ${words[0] ?? ''}`
          : say`these choices cannot be had together: ${words.join('; ')}`,
      why: conflict.length === 1 ? say`without it there is one` : say`any one of them let go leaves a route`,
      mends: conflict.map((c, i) => ({
        says: say`let go: ${words[i] ?? ''}`,
        to: 'job' as const,
        edits: [{ op: 'remove' as const, at: `choices/#${c.id}` }],
      })),
    },
  ];
}

/** A choice as a person would say it. */
export function wordsOf(choice: Choice, shop: Shop): string {
  const item = (id: string) => [...shop.bars, ...shop.tools, ...shop.gauges, ...shop.holdings].find((x) => x.id === id)?.name ?? id;
  switch (choice.kind) {
    case 'bar':
      return `bar ${item(choice.bar)}${choice.length ? `, ${choice.length.text} cut` : ''}`;
    case 'hold':
      return `${choice.setup.replace(/^right-\d+$/, 'end A').replace(/^left-\d+$/, 'end B')} in ${holdingOf(shop, choice.holding)?.name ?? choice.holding}${choice.support.length > 0 ? ` with ${choice.support.map((s) => item(s.item)).join(' and ')}` : ''}${choice.grip ? `, ${choice.grip.text} gripped` : ''}${choice.stickOut ? `, ${choice.stickOut.text} out` : ''}`;
    case 'method':
      return choice.of === 'first'
        ? `end ${choice.method === 'left' ? 'B' : 'A'} first`
        : choice.of === 'carrying'
          ? ({ centres: 'between centres', plate: 'on the faceplate', chuck: 'in chucks' }[choice.method] ?? choice.method)
          : choice.of === 'pull'
            ? ({ short: 'short first, then pulled out', once: 'not pulled out' }[choice.method] ?? choice.method)
            : choice.of === 'parted'
              ? ({ stays: 'the parted face left as it is', turned: 'turned round and faced' }[choice.method] ?? choice.method)
              : choice.of === 'turn'
                ? 'no thread before it is turned round'
                : choice.of === 'left' || choice.of === 'right'
                  ? ({ saw: 'sawn off', part: 'parted off' }[choice.method] ?? choice.method)
                  : `${choice.method} for row ${choice.of}`;
    case 'in':
      return `row ${rowOf(choice.step)} turned from end ${endOf(choice.setup) === 'left' ? 'B' : 'A'}`;
    case 'use':
      return `${item(choice.item)} at ${choice.step}`;
    case 'data':
      return `${[choice.speed === undefined ? '' : spindleWords(choice.speed), choice.feed === undefined ? '' : 'a feed', choice.depth === undefined ? '' : 'a depth', choice.passes === undefined ? '' : 'passes'].filter((t) => t !== '').join(', ')} at ${choice.step}`;
    case 'order':
      return `${choice.steps[0] ?? ''} before ${choice.steps[1] ?? ''}`;
    case 'way':
      return `${choice.way}: ${choice.value}`;
    default:
      return choice.kind;
  }
}

const spindleWords = (speed: number): string => `${String(Math.round(speed))} rpm`;
