import { watchForNewer } from '../shell/newer';

/** Long enough for the first screen to be done with the line, ms. */
const AFTER = 2000;

/** After the first screen stands: keeps the app in the browser, so that it opens without its server. Over plain HTTP from another device there is no such thing. */
export function keepOffline(): void {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  const register = () =>
    setTimeout(() => {
      // refused (a private window, storage blocked): the app works on while its server does
      navigator.serviceWorker.register(`${import.meta.env.BASE_URL}sw.js`).then(watchForNewer, () => undefined);
    }, AFTER);
  if (document.readyState === 'complete') register();
  else window.addEventListener('load', register, { once: true });
}
