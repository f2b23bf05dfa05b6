import { Button } from 'react-bootstrap';
import { isInstalled, overPlainHttp, useInstalling } from '../../shell/installing';

/** What this browser does for the app: installed, kept without its server; over plain HTTP what is missing. */
export function ThisBrowser() {
  const install = useInstalling();
  return (
    <section className="mt-4" aria-label="This browser">
      <h2>This browser</h2>
      {overPlainHttp() ? (
        <p>
          The page came over plain HTTP from another machine. It works, but this browser keeps closed: opening it without its server, installing it,
          gauges on a serial line, keeping the screen awake at the Bench, and its promise to keep what is stored. Open it on the machine that serves
          it, or over https.
        </p>
      ) : isInstalled() ? (
        <p className="quiet">Obra is installed here and opens without its server.</p>
      ) : (
        <p className="quiet">Opened once, it opens again without its server.{install && ' It can be installed as well.'}</p>
      )}
      {install && (
        <Button variant="outline-dark" onClick={install}>
          install Obra
        </Button>
      )}
    </section>
  );
}
