import { gaugesFor, stillToBeDone } from '@obra/core/bench';
import type { Entry, Machine } from '@obra/core/document';
import { type Limits, parseSize } from '@obra/core/drawing';
import { bareDegrees, parseLength, type Units, writeExact, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { mmOf } from '@obra/core/shop';
import { advise, dialFound, gaugeAsked, lengthDial, questionAsJob, readWarmth, takesOf } from '@obra/core/sizing';
import { materials } from '@obra/core/standards';
import { useEffect, useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import * as z from 'zod';
import { Head } from '../../shell/Head';
import { Notice } from '../../shell/Notice';
import { ShopRefused } from '../../shell/ShopRefused';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { newId, now, thisBrowser } from '../../data/ids';
import { createJob } from '../../data/jobs';
import { keptHere } from '../../data/local';
import { useShop } from '../../data/shopSession';
import { TheLathe, limitsSaid } from '../../fields';
import { AdviceCard, RunToSize, StillToBeDone } from '../../slate';
import { Begin } from './Begin';
import { DialStrip } from './DialStrip';
import { cutTaken, entriesOf, keepReading, type Run, runSaid, Taken } from './dialRun';
import { dialReadsSo, readAgain } from '../../words/pressed';
import { dialNow } from '../../words/titles';

const Asked = z.object({
  what: z.enum(['outside', 'bore', 'length']),
  wanted: z.string(),
  measured: z.string(),
  celsius: z.string(),
  gauge: z.string(),
  material: z.string(),
  past: z.array(Taken).default([]),
  kept: Taken.optional(),
});
type Asked = Readonly<z.infer<typeof Asked>>;

const KEPT = 'obra-dial';
const EMPTY: Asked = { what: 'outside', wanted: '', measured: '', celsius: '', gauge: '', material: 'mild-steel', past: [] };

/** What was asked last in this window; anything else that stands there is not taken. */
function kept(): Asked {
  try {
    return Asked.parse(JSON.parse(keptHere.get(KEPT) ?? ''));
  } catch {
    return EMPTY;
  }
}

/** Measured, wanted, dial, gauge: an answer at once, no job needed. */
export function DialQuestion() {
  useTitle(dialNow);
  const { shop, editShop } = useShop();
  const { units, swap } = useUnits('mm');
  const [asked, setAsked] = useState(kept);
  const [lathe, setLathe] = useState(false);
  const [refused, setRefused] = useState(false);
  const navigate = useNavigate();
  useEffect(() => void keptHere.set(KEPT, JSON.stringify(asked)), [asked]);
  const machine = shop?.machines[0];
  const gauges = shop?.gauges.filter((g) => gaugesFor[asked.what].includes(g.kind)) ?? [];
  const answer = useMemo(() => answerTo(asked, units), [asked, units]);
  const set = (more: Partial<Asked>) => setAsked({ ...asked, ...more });
  // another size, or another piece: what happened to the one before tells nothing of it
  const afresh = (more: Partial<Asked>) => setAsked({ ...asked, ...more, past: [], kept: undefined });
  const run: Run = { past: asked.past, kept: asked.kept };
  const advice =
    shop && 'limits' in answer
      ? advise(answer.limits, answer.entries, shop, { kind: asked.what, material: asked.material, ...(asked.gauge !== '' && { gauge: asked.gauge }) })
      : undefined;
  /** The reading in the cell is kept with what it is told to dial, so that the next one is read beside it. */
  const keep = (then?: 'cut') => {
    if (!('limits' in answer) || !advice) return;
    const now = { text: asked.measured, units, celsius: answer.celsius, gauge: asked.gauge, ...(advice.dial && { dial: advice.dial.value }) };
    const next = then === 'cut' ? cutTaken(run, now) : keepReading(run, now);
    setAsked({ ...asked, ...next, past: [...next.past], kept: next.kept, ...(then === 'cut' && { measured: '' }) });
    if (then === 'cut') document.querySelector<HTMLInputElement>('#measured')?.focus();
  };
  const makeJob = async () => {
    if (!('limits' in answer) || !shop) return;
    const { wanted, what, material } = asked;
    const stands = gaugeAsked(what, answer.limits, shop, asked.gauge)?.id ?? 'unknown';
    const { job, log } = questionAsJob({ kind: what, wanted: { text: wanted, units }, material, units }, dated(answer.entries), stands);
    try {
      const stored = await createJob(job, log);
      keptHere.remove(KEPT);
      void navigate(`/jobs/${stored.id}/drawing`);
    } catch {
      setRefused(true);
    }
  };
  const turned = dialOf(machine, asked.what, 'limits' in answer ? answer.limits : undefined);
  const said = runSaid(run, asked.measured, (mm) => writeWithUnit({ is: 'length', value: mm, step: 0.001 }, units), units);
  return (
    <div className="page">
      <Head>
        <Button variant="link" onClick={swap}>
          {units === 'mm' ? 'mm' : 'inch'}
        </Button>
      </Head>
      <ShopRefused />
      {refused && (
        <Notice onClose={() => setRefused(false)}>This browser did not store the job (storage full or blocked). The question stays here.</Notice>
      )}
      <div className="work">
        <main className="sheet most-460">
          <h1>{dialNow}</h1>
          <p className="quiet">
            Set the dial to the reading first, come to it from the same side.{' '}
            {machine && (
              <>
                Cross dial: {machine.dials.cross?.reads}, one division {machine.dials.cross?.division.text} {machine.dials.cross?.division.units}
                {machine.assumed?.includes('dials') ? ' (assumed)' : ''};{' '}
                <Button variant="link" onClick={() => setLathe(true)}>
                  change
                </Button>
              </>
            )}
          </p>
          <Form
            className="d-grid gap-3"
            onSubmit={(e) => {
              e.preventDefault();
              keep();
            }}>
            <Form.Group controlId="what">
              <Form.Label className="m-0">What is brought to size</Form.Label>
              <Form.Select value={asked.what} onChange={(e) => afresh({ what: whatOf(e.target.value), gauge: '' })}>
                <option value="outside">an outside diameter</option>
                <option value="bore">a bore</option>
                <option value="length">a length, by facing</option>
              </Form.Select>
            </Form.Group>
            <Form.Group controlId="wanted">
              <Form.Label className="m-0">Wanted</Form.Label>
              <Form.Control
                autoFocus
                className="fig"
                value={asked.wanted}
                placeholder={units === 'mm' ? '25 h6' : '.750 +0 -.001'}
                aria-describedby="wanted-said"
                onChange={(e) => afresh({ wanted: e.target.value })}
              />
              <div id="wanted-said" className="quiet">
                {'limits' in answer ? `held to ${limitsSaid(answer.limits, units)}${answer.assumed ? ', since no tolerance is typed' : ''}` : ''}
              </div>
            </Form.Group>
            <Form.Group controlId="measured">
              <Form.Label className="m-0">Measured</Form.Label>
              <Form.Control
                className="fig"
                inputMode="decimal"
                value={asked.measured}
                onChange={(e) => set({ measured: e.target.value })}
                onBlur={() => keep()}
                aria-describedby="run-said"
              />
              <div id="run-said" className="quiet" data-testid="run">
                {said === '' ? '' : `${said} → `}
              </div>
            </Form.Group>
            <Form.Group controlId="celsius">
              <Form.Label className="m-0">Temperature of the piece, {units === 'mm' ? '°C' : 'as 68 F or 20 C'}</Form.Label>
              <Form.Control className="fig" value={asked.celsius} onChange={(e) => set({ celsius: e.target.value })} />
            </Form.Group>
            <Form.Group controlId="dial-material">
              <Form.Label className="m-0">Material</Form.Label>
              <Form.Select value={asked.material} onChange={(e) => set({ material: e.target.value })}>
                {materials.map((m) => (
                  <option key={m.id} value={m.id}>
                    {m.name}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
            <Form.Group controlId="dial-gauge">
              <Form.Label className="m-0">Gauge</Form.Label>
              <Form.Select value={asked.gauge} onChange={(e) => set({ gauge: e.target.value })}>
                <option value="">the one that fits</option>
                {gauges.map((g) => (
                  <option key={g.id} value={g.id}>
                    {g.name}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
          </Form>
          <p className="mt-3">
            <Link to="/">or type a part</Link>
          </p>
        </main>
        <aside className="slate" aria-label="Answer" style={{ flex: 1, width: 'auto', padding: '24px 32px', fontSize: 18 }}>
          {advice && 'limits' in answer ? (
            <>
              <AdviceCard
                advice={advice}
                wanted={answer.limits}
                units={units}
                machine={machine}
                {...(asked.what === 'length' && { axis: lengthDial(machine, answer.limits.max - answer.limits.min) })}
                huge="huge"
                last={{ text: asked.measured, celsius: answer.celsius }}>
                {advice.next !== 'ask' && (
                  <RunToSize
                    wanted={answer.limits}
                    advice={advice}
                    read={answer.entries.filter((e) => e.kind === 'reading')}
                    material={asked.material}
                    gauges={gauges}
                    units={units}
                  />
                )}
              </AdviceCard>
              {advice.dial && turned && (
                <div className="mt-3">
                  <DialStrip turns={advice.dial.value} {...turned} />
                </div>
              )}
              <div className="d-flex gap-2 mt-3 flex-wrap">
                {advice.meant && (
                  <Button variant="light" onClick={() => advice.meant && set({ measured: writeExact(advice.meant.value, units) })}>
                    it was {writeWithUnit(advice.meant, units)}
                  </Button>
                )}
                {advice.dialReads && machine && (
                  <Button variant="light" onClick={() => advice.dialReads && editShop(dialFound(machine, advice.dialReads))}>
                    {dialReadsSo(advice.dialReads)}
                  </Button>
                )}
                {advice.next === 'ask' && (
                  <Button
                    variant="outline-light"
                    onClick={() =>
                      setAsked({ ...asked, past: [...asked.past, { text: asked.measured, units, celsius: answer.celsius, gauge: asked.gauge }] })
                    }>
                    {readAgain}
                  </Button>
                )}
                {advice.dial && (
                  <Button variant="light" onClick={() => keep('cut')}>
                    cut taken: the next reading
                  </Button>
                )}
                {advice.next !== 'ask' && (
                  <Button variant="outline-light" onClick={() => void makeJob()}>
                    make it a job
                  </Button>
                )}
                {(run.past.length > 0 || run.kept) && (
                  <Button variant="outline-light" onClick={() => afresh({ measured: '' })}>
                    another piece
                  </Button>
                )}
              </div>
              <StillToBeDone ways={stillToBeDone({ kind: asked.what, limits: answer.limits }, advice)} units={units} />
            </>
          ) : (
            <Begin
              says={'says' in answer ? answer.says : ''}
              units={units}
              name={machine?.name ?? ''}
              dial={dialOf(machine, 'outside', undefined)}
              onTake={({ what, wanted, measured }) => afresh({ what, wanted, measured, gauge: '' })}
            />
          )}
        </aside>
      </div>
      {lathe && machine && <TheLathe machine={machine} onClose={() => setLathe(false)} onSave={editShop} />}
    </div>
  );
}

/** The run as entries of this browser, dated now. */
const dated = (entries: readonly Entry[]): readonly Entry[] => entries.map((e) => ({ ...e, id: newId(), at: now(), by: thisBrowser() }));

/** The dial that brings it to size, and what a division of it takes off; nothing where it is a readout. */
function dialOf(machine: Machine | undefined, what: Asked['what'], limits: Limits | undefined) {
  const axis = what === 'length' && limits ? lengthDial(machine, limits.max - limits.min) : 'cross';
  const dial = machine?.dials[axis];
  const division = mmOf(dial?.division);
  if (!dial || dial.readout || !(division > 0)) return undefined;
  return { division, units: dial.division.units, takes: division * takesOf(machine, axis) };
}

const whatOf = (text: string): Asked['what'] => (text === 'bore' || text === 'length' ? text : 'outside');

type Answer =
  { readonly says: string } | { readonly limits: Limits; readonly assumed: boolean; readonly entries: readonly Entry[]; readonly celsius: number };

function answerTo(asked: Asked, units: Units): Answer {
  const size = parseSize(asked.wanted, units);
  if (asked.wanted.trim() === '') return { says: 'Type what is wanted and what is measured.' };
  if (size.kind !== 'diameter') return { says: size.kind === 'unknown' ? `Wanted: ${writeSentence(size.says, units)}.` : 'Wanted: type a diameter.' };
  if (asked.measured.trim() === '') return { says: 'Type what is measured now.' };
  const read = parseLength(asked.measured, units);
  if (!read.ok) return { says: `Measured: ${writeSentence(read.problems[0]?.says ?? [], units)}.` };
  const warmth = readWarmth(asked.celsius, bareDegrees(units));
  if (!warmth.ok) return { says: `Temperature: ${writeSentence(warmth.problems[0]?.says ?? [], units)}.` };
  const celsius = warmth.value;
  // a size asked for without a tolerance is held to two hundredths, or one thousandth of an inch
  const half = units === 'mm' ? 0.02 : 0.0254;
  const assumed = size.limits.from === 'general';
  const limits: Limits = assumed ? { ...size.limits, max: size.limits.nominal + half, min: size.limits.nominal - half, from: 'typed' } : size.limits;
  return {
    limits,
    assumed,
    celsius,
    entries: entriesOf({ past: asked.past, kept: asked.kept }, { text: asked.measured, units, celsius, gauge: asked.gauge }),
  };
}
