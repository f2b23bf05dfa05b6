import { causesOf, type Symptom, symptoms, symptomsOf } from '@obra/core/bench';
import type { Step } from '@obra/core/operations';
import { writeSentence } from '@obra/core/quantity';
import { machineOf } from '@obra/core/shop';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { JobView } from './view';

/** Something is wrong at this step: the likeliest cause here, one remedy at a time, and whether it helped. */
export function Wrong({ view, step, piece }: { readonly view: JobView; readonly step: Step; readonly piece: number }) {
  const { job, plan, log, add, units } = view;
  const [symptom, setSymptom] = useState<Symptom>();
  const setup = plan?.routes[0]?.setups.find((s) => s.steps.some((x) => x.id === step.id));
  const can = symptomsOf(step);
  if (can.length === 0 || !setup) return null;
  const kit = job.issue?.kit ?? view.shop;
  const withdrawn = new Set(log.flatMap((e) => (e.kind === 'withdrawn' ? [e.entry] : [])));
  const tried = new Set(
    log.flatMap((e) => (e.kind === 'symptom' && e.step === step.id && e.symptom === symptom && !withdrawn.has(e.id) ? [e.remedy] : [])),
  );
  const list = symptom === undefined ? [] : causesOf(symptom, step, setup, kit, machineOf(kit, job.machine), job.drawing.material);
  const next = list.find((c) => !tried.has(c.remedy));
  const say = (helped: boolean) => {
    if (symptom === undefined || !next) return;
    void add({ kind: 'symptom', symptom, remedy: next.remedy, helped, piece, step: step.id });
    if (helped) setSymptom(undefined);
  };
  return (
    <>
      <select
        className="form-select wide-230"
        aria-label="what is wrong"
        value={symptom ?? ''}
        onChange={(e) => setSymptom(can.find((s) => s === e.target.value))}>
        <option value="">something is wrong</option>
        {can.map((s) => (
          <option key={s} value={s}>
            {symptoms[s]}
          </option>
        ))}
      </select>
      {symptom !== undefined &&
        (next ? (
          <div role="status" className="w-100 size-16" data-testid="wrong">
            {writeSentence(next.says, units)}: <strong>{writeSentence(next.does, units)}</strong>
            <div className="d-flex gap-2 mt-1">
              <Button variant="outline-light" onClick={() => say(true)}>
                it helped
              </Button>
              <Button variant="outline-light" onClick={() => say(false)}>
                no: the next
              </Button>
            </div>
          </div>
        ) : (
          <div role="status" className="quiet w-100 size-16">
            All that is usual was tried here: stop, and ask somebody who has stood at this machine longer.
          </div>
        ))}
    </>
  );
}
