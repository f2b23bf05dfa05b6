import type { Plan } from '../planner';

/** The steps of a plan by their ids. */
export const stepsById = (plan: Plan) => new Map(plan.routes[0]?.setups.flatMap((s) => s.steps.map((step) => [step.id, step] as const)));
