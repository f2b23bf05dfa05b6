/** The one place that makes the worker; replaced in unit tests. */
export const startWorker = (): Worker => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
