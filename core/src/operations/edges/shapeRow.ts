import type { Tool } from '../../document';
import { mmOf, practice } from '../../shop';
import { finishNose } from '../allowance';
import { cutWindow } from '../cutWindow';
import { spareIn } from '../spare';
import { type Feature, longOf } from '../../drawing';
import { length, say } from '../../quantity';
import { reason } from '../facts';
import { type Operation, operation, stepId, warn } from '../outcome';
import { rounds } from '../../tooling';
import { cutEdge } from './edgeTool';
import { taperWay } from './tapers';

/** Tapers by the compound, arcs and balls by hand or form tool, after their envelope is roughed. */
export const shapeRow = (row: Feature): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const widest = Math.max(row.nearDiameter.nominal, row.farDiameter.nominal, row.across?.nominal ?? 0);
    const long = longOf(row);
    // its chamfers are cut by steps of their own
    const [first, last] = row.form === 'taper' ? [row.chamferNear ?? 0, row.chamferFar ?? 0] : [0, 0];
    const sweeps = spareIn(facts, row.near - first, row.far + last, -1, widest / 2 + 5);
    if (row.form === 'taper') {
      const { method, says, because, minutes, refused } = taperWay(facts, at, row);
      const [why, ...also] = because;
      if (refused)
        warn(draft, {
          code: 'method-not-possible',
          about: stepId(at, 'taper', row.id),
          severity: 'caution',
          says: say`this taper cannot be turned as chosen`,
          why: refused,
          mends: [],
        });
      cutWindow(draft, {
        verb: 'taper',
        about: row.id,
        method,
        says,
        why: why ?? reason('taper-on-centre', say`tool exactly at centre height`, row.id),
        also,
        kind: method === 'form' ? 'form' : 'turn',
        work: method === 'form' ? 'form' : 'turn',
        words: method === 'form' ? say`form tool for the taper` : say`turning tool`,
        ...(method !== 'form' && { made: (t: Tool) => mmOf(t.nose, 0.4) <= finishNose(facts) }),
        at: widest,
        minutes,
        sweeps,
      });
      return;
    }
    const radius = row.radius ?? 0;
    cutEdge(draft, {
      verb: 'form',
      about: row.id,
      says: say`${row.form === 'ball' ? 'ball' : row.hollow === true ? 'hollow' : 'round'}, radius ${length(radius)}`,
      because: [reason('plunge-form', say`stepped off to the outline first, its steps from a table, then blended to a template`, row.id)],
      makes: (t) => rounds(t, radius),
      words: say`radius form tool ${length(radius)}`,
      size: radius,
      else: say`no tool of this radius here: by both handles, then a file and a template of radius ${length(radius)}`,
      at: widest,
      minutes: practice.minutesForm + long / practice.formPerMinute,
      sweeps,
    });
  });
