import { issued } from '@obra/core/planner';
import { isRehearsal, rehearsalId } from '@obra/core/practice';
import { Button } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { VERSION } from '../../app/version';
import { newId, now } from '../../data/ids';
import { createJob } from '../../data/jobs';
import { tell } from '../../shell/says';
import type { JobView } from './view';
import { nothingLost } from '../../words/refused';

/** The route as it stands, tried on a simulated lathe: a job of its own, whose log is never among the records. */
export function Rehearse({ view }: { readonly view: JobView }) {
  const { plan, job, shop, id } = view;
  const navigate = useNavigate();
  const route = plan?.routes[0];
  if (!route || isRehearsal(id)) return null;
  const begin = async () => {
    try {
      const given = job.issue ? job : issued(job, route, shop, now(), VERSION);
      const made = await createJob({ ...given, name: `${job.name}, rehearsed` }, [], rehearsalId(newId()));
      await navigate(`/jobs/${made.id}/bench`);
    } catch {
      tell(nothingLost);
    }
  };
  return (
    <Button variant="outline-dark" disabled={view.older} onClick={() => void begin()}>
      rehearse
    </Button>
  );
}
