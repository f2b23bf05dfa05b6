import { openStops } from '@obra/core/bench';
import type { Choice } from '@obra/core/document';
import { findingKey } from '@obra/core/finding';
import { issued } from '@obra/core/planner';
import { writeSentence } from '@obra/core/quantity';
import { Button } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { VERSION } from '../../app/version';
import { now } from '../../data/ids';
import { saveNow } from '../../data/autosave';
import type { JobView } from './view';

/** Gives the route out to the Bench; a stop is overruled by name first. */
export function GiveOut({ view }: { readonly view: JobView }) {
  const { plan, open, job, shop, id, units } = view;
  const navigate = useNavigate();
  const route = plan?.routes[0];
  if (job.issue)
    return (
      <>
        <span className="quiet">given out {job.issue.at.slice(0, 16).replace('T', ' ')}</span>
        <Button variant="outline-dark" onClick={() => open.edit([{ op: 'remove', at: 'issue' }])}>
          take it back
        </Button>
        <Button onClick={() => void navigate(`/jobs/${id}/bench`)}>to the Bench</Button>
      </>
    );
  const stops = plan ? openStops(job, plan) : [];
  const give = async () => {
    if (!route) return;
    open.replace(issued(job, route, shop, now(), VERSION));
    await saveNow(id);
    void navigate(`/jobs/${id}/bench`);
  };
  const [stop] = stops;
  if (route && stop) {
    const value: Choice = {
      kind: 'overrule',
      id: `over-${String(job.choices.length)}-${stop.code}`.slice(0, 40),
      finding: findingKey(stop),
      said: writeSentence(stop.says, units),
      by: 'at this desk',
      why: 'decided by the person at the machine',
    };
    return (
      <Button
        variant="outline-dark"
        onClick={() => {
          open.edit([{ op: 'put', at: `choices/#${value.id}`, value }]);
        }}>
        overrule: {stop.code.replaceAll('-', ' ')}
      </Button>
    );
  }
  return (
    <Button disabled={!route || view.older} onClick={() => void give()}>
      give out to the Bench
    </Button>
  );
}
