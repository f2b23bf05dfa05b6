import {
  advise,
  type Entry,
  gaugesFor,
  lengthDial,
  type Limits,
  materials,
  parseLength,
  parseSize,
  bareDegrees,
  readWarmth,
  stillToBeDone,
  type Units,
  writeSentence,
} from '@obra/core';
import { useEffect, useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import * as z from 'zod';
import { Head } from '../app/Head';
import { ShopRefused } from '../app/ShopRefused';
import { useUnits } from '../app/units';
import { useTitle } from '../app/useTitle';
import { keptHere } from '../data/local';
import { useShop } from '../data/shopSession';
import { LatheEditor, limitsSaid } from '../fields';
import { AdviceCard, StillToBeDone } from '../slate';

const Asked = z.object({
  what: z.enum(['outside', 'bore', 'length']),
  wanted: z.string(),
  measured: z.string(),
  celsius: z.string(),
  gauge: z.string(),
  material: z.string(),
});
type Asked = Readonly<z.infer<typeof Asked>>;

const KEPT = 'obra-dial';
const EMPTY: Asked = { what: 'outside', wanted: '', measured: '', celsius: '', gauge: '', material: 'mild-steel' };

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
  useTitle('What do I dial now?');
  const { shop, editShop } = useShop();
  const { units, swap } = useUnits('mm');
  const [asked, setAsked] = useState(kept);
  const [lathe, setLathe] = useState(false);
  useEffect(() => void keptHere.set(KEPT, JSON.stringify(asked)), [asked]);
  const machine = shop?.machines[0];
  const gauges = shop?.gauges.filter((g) => gaugesFor[asked.what].includes(g.kind)) ?? [];
  const answer = useMemo(() => answerTo(asked, units), [asked, units]);
  const set = (more: Partial<Asked>) => setAsked({ ...asked, ...more });
  const advice =
    shop && 'limits' in answer
      ? advise(answer.limits, answer.entries, shop, { kind: asked.what, material: asked.material, ...(asked.gauge !== '' && { gauge: asked.gauge }) })
      : undefined;
  return (
    <div className="page">
      <Head>
        <Button variant="link" onClick={swap}>
          {units === 'mm' ? 'mm' : 'inch'}
        </Button>
      </Head>
      <ShopRefused />
      <div className="work">
        <main className="sheet" style={{ maxWidth: 460 }}>
          <h1>What do I dial now?</h1>
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
          <Form className="d-grid gap-3" onSubmit={(e) => e.preventDefault()}>
            <Form.Group controlId="what">
              <Form.Label className="m-0">What is brought to size</Form.Label>
              <Form.Select value={asked.what} onChange={(e) => set({ what: whatOf(e.target.value), gauge: '' })}>
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
                onChange={(e) => set({ wanted: e.target.value })}
              />
              <div id="wanted-said" className="quiet">
                {'limits' in answer ? `held to ${limitsSaid(answer.limits, units)}${answer.assumed ? ', since no tolerance is typed' : ''}` : ''}
              </div>
            </Form.Group>
            <Form.Group controlId="measured">
              <Form.Label className="m-0">Measured</Form.Label>
              <Form.Control className="fig" inputMode="decimal" value={asked.measured} onChange={(e) => set({ measured: e.target.value })} />
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
                last={{ text: asked.measured, celsius: answer.celsius }}
              />
              <StillToBeDone ways={stillToBeDone({ kind: asked.what, limits: answer.limits }, advice)} units={units} />
            </>
          ) : (
            <p className="m-0">{'says' in answer ? answer.says : ''}</p>
          )}
        </aside>
      </div>
      {lathe && machine && <LatheEditor machine={machine} onClose={() => setLathe(false)} onSave={editShop} />}
    </div>
  );
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
    entries: [
      {
        id: 'r',
        at: '2000-01-01T00:00:00Z',
        by: 'asked',
        piece: 1,
        step: null,
        kind: 'reading',
        of: 'axis',
        value: { text: asked.measured, units },
        gauge: 'asked',
        celsius,
      },
    ],
  };
}
