import { type Joined, joinedAt } from '@obra/core/bench';
import type { Step } from '@obra/core/operations';
import { parseLength, type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { bothScales } from '../../fields';
import { FigureNumber } from '../../slate';
import { TypedReading } from './TypedReading';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly onTold: (work: () => Promise<void>) => Promise<void>;
}

/** No oven, and no flame, is nearer than this, degrees C. */
const HEAT_TO = 5;

/** Before two members are joined: both as they were measured, and what follows: the push, or how hot, or whether a compound fills it. */
export function JoinedCard({ view, step, piece, onTold }: Props) {
  const { plan, job, log, units } = view;
  const of = plan && joinedAt(step, plan.part, job, log, piece);
  const [typed, setTyped] = useState({ own: '', other: '' });
  const [refused, setRefused] = useState<string>();
  if (!of) return null;
  const keep = () => {
    const fields = (['own', 'other'] as const).filter((f) => typed[f].trim() !== '');
    for (const f of fields) {
      const read = parseLength(typed[f], units);
      if (!read.ok) {
        setRefused(writeSentence(read.problems[0]?.says ?? [], units));
        return;
      }
    }
    if (fields.length === 0) return;
    setRefused(undefined);
    void onTold(async () => {
      for (const f of fields)
        await view.add({
          kind: 'reading',
          of: f === 'own' ? `${of.row}.diameter` : of.mate,
          value: { text: typed[f].trim(), units },
          gauge: 'none',
          piece,
          step: step.id,
        });
      setTyped({ own: '', other: '' });
    });
  };
  const shown = (mm: number | undefined) => (mm === undefined ? 'not measured' : write({ is: 'length', value: mm, step: 0.001 }, units).text);
  return (
    <div className="line" role="group" aria-label="Both members">
      <div className="quiet">Both measured at one temperature, the same gauge where it reaches both</div>
      <div className="d-flex gap-2 align-items-center flex-wrap mt-1">
        {(
          [
            ['own', of.hub ? 'the bore of this piece' : 'this piece'],
            ['other', of.hub ? 'the shaft' : 'its hub'],
          ] as const
        ).map(([f, words]) => (
          <TypedReading
            key={f}
            className="wide-190"
            words={words}
            hint={`${words}: ${shown(of[f])}`}
            value={typed[f]}
            onText={(text) => setTyped({ ...typed, [f]: text })}
            onKeep={keep}
          />
        ))}
        <Button className="tall-48" variant="outline-light" onClick={keep}>
          keep them
        </Button>
      </div>
      {refused !== undefined && (
        <div className="out" role="alert">
          {refused}
        </div>
      )}
      {of.interference && (
        <div className="mt-1" data-testid="joined" aria-live="polite">
          {of.interference.value >= 0 ? 'over one another by ' : 'room between them '}
          <span className="large size-24">
            <FigureNumber figure={of.interference} units={units} />
          </span>{' '}
          {units}
          {of.heat && (
            <>
              ; the hub to{' '}
              <span className="large size-30">
                <FigureNumber figure={of.heat} units={units} text={bothScales(HEAT_TO * Math.round(of.heat.value / HEAT_TO))} />
              </span>
              ; it stands {bothScales(of.cap ?? 0)}
            </>
          )}
          {of.force !== undefined && <>; about {writeWithUnit({ is: 'force', value: of.force, step: 500 }, units)} of push</>}
          {of.trouble && <div className="out">△ {troubles(of, units)}</div>}
        </div>
      )}
    </div>
  );
}

function troubles({ trouble, how }: Joined, units: Units): string {
  if (trouble === 'tooHot') return 'Hotter than the hub stands: chill the shaft as well, or take less interference.';
  if (trouble === 'noRoom') return `No room for a compound: it wants ${units === 'mm' ? '0.02 mm' : '.001 in'} on diameter at the least.`;
  return how === 'adhesive'
    ? 'More room than a compound fills: another piece, or a sleeve.'
    : 'It does not hold: nothing lies over one another. A compound, or another piece.';
}
