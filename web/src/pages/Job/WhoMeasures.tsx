import { checkDue } from '@obra/core/inspection';
import { REFERENCE, type Units } from '@obra/core/quantity';
import { useMemo } from 'react';
import { Form } from 'react-bootstrap';
import { sayRoom, sayWho, useAtHand } from '../../data/atHand';
import { Warmth } from '../../fields';
import { useNow } from './AfterBreak';
import type { JobView } from './view';
import { howWarm, lastChecked, theRoom, whoMeasures } from '../../words/found';

/** Who measures and how warm the room is, for every reading that is typed from now on. */
export function WhoMeasures({ units }: { readonly units: Units }) {
  const { typed, room } = useAtHand();
  return (
    <div className="d-grid gap-1">
      <label>
        <span className="quiet size-14">{whoMeasures}</span>
        <Form.Control size="sm" aria-label={whoMeasures} value={typed} maxLength={60} onChange={(e) => sayWho(e.target.value)} />
      </label>
      <div>
        <span className="quiet size-14">{theRoom}</span>
        <Warmth label={howWarm} celsius={room ?? REFERENCE} units={units} onChange={sayRoom} />
      </div>
    </div>
  );
}

/** Gauges of this job that were not checked for longer than the shop lets pass. */
export function GaugesDue({ view }: { readonly view: JobView }) {
  const { job, shop, log } = view;
  const now = useNow();
  const used = useMemo(() => new Set(log.flatMap((e) => (e.kind === 'reading' ? [e.gauge] : []))), [log]);
  const due = shop.gauges.flatMap((gauge) => {
    const months = used.has(gauge.id) ? checkDue(gauge, job.issue?.kit ?? shop, now) : undefined;
    return months === undefined ? [] : [{ gauge, months }];
  });
  if (due.length === 0) return null;
  return (
    <ul className="list-unstyled m-0 out size-14" aria-label="Gauges to be checked">
      {due.map(({ gauge, months }) => (
        <li key={gauge.id}>{lastChecked(gauge.name, months)}: try it on a setting piece before it decides.</li>
      ))}
    </ul>
  );
}
