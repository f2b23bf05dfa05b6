import './theme';
import { readDecimalsBehind } from '@obra/core/quantity';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { mutate } from 'swr';
import { App } from './app/App';
import { pageAt } from './app/pages';
import { keepOffline } from './app/keepOffline';
import { prepare } from './data/config';
import { watchLeaving } from './data/leaving';
import { watchInstalling } from './shell/installing';
import { startScheme } from './shell/scheme';
import './shell/still';

const lookAfterFocus = () => void import('./shell/focusKept').then((m) => m.keepFocus());

startScheme();
readDecimalsBehind(new Intl.NumberFormat().format(0.5).includes(',') ? ',' : '.');
watchInstalling();
const root = document.getElementById('root');
if (root) {
  const app = createRoot(root);
  const show = () =>
    app.render(
      <StrictMode>
        <App />
      </StrictMode>,
    );
  // the opening page needs nothing of the demo: it is shown at once, and looks again when the demo has come in
  const opening = location.pathname === '/' || location.pathname === '/dial';
  // its page comes at once with it; one that cannot be loaded says so where it is shown
  const first = pageAt(location.pathname)
    .load()
    .catch(() => undefined);
  const filling = prepare();
  void first.then(async () => {
    if (!opening) await filling;
    show();
    if (opening && (await filling)) void mutate(() => true);
  });
  watchLeaving();
  // nothing can be taken from under the cursor before somebody pressed something
  addEventListener('pointerdown', lookAfterFocus, { once: true });
  addEventListener('keydown', lookAfterFocus, { once: true });
  keepOffline();
}
