import { practice } from '../shop';
import type { Entry } from '../document';
import { faceOf, letterOf, otherEnd } from '../drawing';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { diameter, length, say, type Sentence, tidy } from '../quantity';
import { rowOf } from '../ref';
import type { Setup } from '../settings';

/** What a step made, as it is written down when it is done: places from the face of its end, sizes on diameter; mm. */
export type Made = NonNullable<Extract<Entry, { kind: 'done' }>['made']>;

/** Steps whose result stands in the work and can be compared with what is wanted later. */
const lasting = new Set<Step['verb']>(['finish-turn', 'bore', 'ream', 'drill', 'thread', 'die', 'tap', 'taper', 'part-off', 'saw-off', 'face']);

/** What a step makes by this plan; nothing where it leaves nothing of its own. */
export function madeBy(step: Step, plan: Plan): Made | undefined {
  const { part } = plan;
  const setups = plan.routes[0]?.setups ?? [];
  const setup = setups.find((s) => s.steps.some((own) => own.id === step.id));
  if (!setup || !lasting.has(step.verb)) return undefined;
  const end = setup.end ?? 'right';
  if (step.verb === 'part-off' || step.verb === 'saw-off') return { of: 'overall', near: 0, far: part.length, diameter: 0, form: 'severed' };
  if (step.verb === 'face') return isSecond(setups, setup) ? { of: 'overall', near: 0, far: part.length, diameter: 0, form: 'faced' } : undefined;
  const row = part.features.find((f) => f.id === rowOf(step.id));
  if (!row) return undefined;
  const from = (z: number) => tidy(Math.abs(z - faceOf(part, end)));
  const [near, far] = [from(row.near), from(row.far)].toSorted((a, b) => a - b);
  return {
    of: row.id,
    near: near ?? 0,
    far: far ?? 0,
    diameter: tidy(((step.limits ?? row.nearDiameter).max + (step.limits ?? row.nearDiameter).min) / 2),
    form: row.thread ?? row.form,
  };
}

/** The second end that is faced makes the length; the first only makes a zero. */
const isSecond = (setups: readonly Setup[], setup: Setup): boolean =>
  setups.slice(0, setups.indexOf(setup)).some((s) => s.end !== null && s.end !== setup.end);

export interface Outdated {
  readonly piece: number;
  readonly step: string;
  /** metal is there to do it again; else it is gone */
  readonly again: boolean;
  readonly says: Sentence;
}

/** Done steps whose own result is no longer what the plan wants: to be done again, or impossible with this piece. */
export function outdated(plan: Plan, done: readonly Extract<Entry, { kind: 'done' }>[]): readonly Outdated[] {
  const setups = plan.routes[0]?.setups ?? [];
  const steps = new Map(setups.flatMap((s) => s.steps.map((step) => [step.id, { step, setup: s }] as const)));
  const last = new Map(done.map((e) => [`${String(e.piece)}/${e.step ?? ''}`, e]));
  return [...last.values()].flatMap(({ piece, step: id, made }): Outdated[] => {
    const at = id === null ? undefined : steps.get(id);
    const wants = at && madeBy(at.step, plan);
    if (!made || !wants || id === null) return [];
    const told = compare(made, wants, at.setup, plan);
    return told ? [{ piece, step: id, ...told }] : [];
  });
}

function compare(made: Made, wants: Made, setup: Setup, plan: Plan): Pick<Outdated, 'again' | 'says'> | undefined {
  const end = setup.end ?? 'right';
  if (wants.of === 'overall') {
    const short = wants.far - made.far;
    if (Math.abs(short) <= practice.sameMade) return undefined;
    if (wants.form === 'severed')
      return short > 0
        ? { again: false, says: say`severed for ${length(made.far)}; ${length(wants.far)} is wanted: it is ${length(short)} short` }
        : undefined;
    const face = letterOf(end);
    return short > 0
      ? {
          again: false,
          says: say`face ${face} was finished at ${length(made.far)} from face ${letterOf(otherEnd(end))}; ${length(wants.far)} is wanted: the piece is ${length(short)} short`,
        }
      : {
          again: true,
          says: say`face ${face} was finished at ${length(made.far)}; ${length(wants.far)} is wanted: ${length(-short)} more to come off`,
        };
  }
  const inside = plan.part.features.some((f) => f.id === wants.of && f.side !== 'outside');
  const more = (inside ? 1 : -1) * (wants.diameter - made.diameter);
  if (made.form !== wants.form) return { again: more > -practice.sameMade, says: say`it was made ${made.form}; ${wants.form} is wanted` };
  if (Math.abs(more) > practice.sameMade)
    return {
      again: more > 0,
      says: say`it was made ${diameter(made.diameter, 0.001)}; ${diameter(wants.diameter, 0.001)} is wanted${more > 0 ? '' : ': the metal is gone'}`,
    };
  const [near, far] = [made.near - wants.near, wants.far - made.far];
  if (Math.abs(near) <= practice.sameMade && Math.abs(far) <= practice.sameMade) return undefined;
  const gone = near < -practice.sameMade || far < -practice.sameMade;
  return {
    again: !gone,
    says: say`it lies ${length(made.near)} to ${length(made.far)} from face ${letterOf(end)}; ${length(wants.near)} to ${length(wants.far)} is wanted${gone ? ': the metal beyond is gone' : ''}`,
  };
}
