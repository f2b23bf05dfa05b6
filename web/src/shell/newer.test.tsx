/** A newer version that waits is told once and taken only when it is asked for. */
import { act, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { Says } from './says';
import { watchForNewer as watch } from './newer';

const worker = (state: string) => {
  const target = new EventTarget() as EventTarget & { state: string; postMessage: jest.Mock };
  return Object.assign(target, { state, postMessage: jest.fn() });
};
const registration = (waiting: unknown, installing?: EventTarget) => Object.assign(new EventTarget(), { waiting, installing });
const controlled = (by: unknown) =>
  Object.defineProperty(navigator, 'serviceWorker', { value: Object.assign(new EventTarget(), { controller: by }), configurable: true });

it('the first version that comes says nothing; a later one waits, and goes in at a press', async () => {
  controlled(null);
  render(
    <MemoryRouter>
      <Says />
    </MemoryRouter>,
  );
  const first = registration(worker('installed'));
  act(() => watch(first as unknown as ServiceWorkerRegistration));
  expect(screen.queryByText(/newer version/)).toBeNull();
  controlled({});
  const next = worker('installing');
  const later = registration(null, next);
  act(() => watch(later as unknown as ServiceWorkerRegistration));
  act(() => void later.dispatchEvent(new Event('updatefound')));
  act(() => {
    next.state = 'installed';
    next.dispatchEvent(new Event('statechange'));
  });
  const take = await screen.findByText('take it');
  expect(next.postMessage).not.toHaveBeenCalled();
  act(() => take.click());
  expect(next.postMessage).toHaveBeenCalledWith({ type: 'SKIP_WAITING' });
});
