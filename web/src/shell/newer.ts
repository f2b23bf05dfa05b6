import { offer } from './says';

/** Says when a newer version has come and waits; it is taken when somebody asks for it, never in the middle of a job. */
export function watchForNewer(registration: ServiceWorkerRegistration): void {
  const waits = (worker: ServiceWorker) =>
    offer('A newer version of Obra waits. What is stored stays; take it when nothing is in hand.', {
      says: 'take it',
      does: () => {
        navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
        worker.postMessage({ type: 'SKIP_WAITING' });
      },
    });
  if (registration.waiting && navigator.serviceWorker.controller) waits(registration.waiting);
  registration.addEventListener('updatefound', () => {
    const worker = registration.installing;
    // the first version that comes replaces nothing
    worker?.addEventListener('statechange', () => {
      if (worker.state === 'installed' && navigator.serviceWorker.controller) waits(worker);
    });
  });
}
