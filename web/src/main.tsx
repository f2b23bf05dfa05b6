import './theme';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { mutate } from 'swr';
import { App } from './app/App';
import { keepOffline } from './app/keepOffline';
import { prepare } from './data/config';
import { watchLeaving } from './data/leaving';
import { watchInstalling } from './shell/installing';
import { startScheme } from './shell/scheme';

startScheme();
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
  if (opening) show();
  void prepare().then((filled) => {
    if (!opening) show();
    else if (filled) void mutate(() => true);
  });
  watchLeaving();
  keepOffline();
}
