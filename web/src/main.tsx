import './theme';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import { prepare } from './data/config';

const root = document.getElementById('root');
if (root) {
  const app = createRoot(root);
  void prepare().finally(() => {
    app.render(
      <StrictMode>
        <App />
      </StrictMode>,
    );
  });
}
