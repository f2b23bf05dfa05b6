import type { Bare } from '@obra/core/bench';
import type { Characteristic } from '@obra/core/drawing';
import { feelsOf, readableBy, readingOf, type Verdict } from '@obra/core/inspection';
import { writeSentence } from '@obra/core/quantity';
import { useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { atHandNow } from '../../data/atHand';
import { tell } from '../../shell/says';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly size: Characteristic;
  readonly piece: number;
}

const REFUSED = 'not stored: storage full or blocked';

/** What is written down at Inspection goes into the record of the Bench; what is not stored is said. */
async function keep(view: JobView, entry: Bare): Promise<boolean> {
  try {
    await view.add(entry);
    return true;
  } catch {
    tell('This browser did not store it (storage full or blocked). Nothing earlier is lost.');
    return false;
  }
}

/** A reading typed at Inspection, with its gauge. */
export function EnterReading({ view, size, piece }: Props) {
  const { units, job, shop, part } = view;
  const [text, setText] = useState('');
  const [says, setSays] = useState<string>();
  const kit = job.issue?.kit ?? shop;
  const gauges = useMemo(() => readableBy(size, part, kit), [size, part, kit]);
  const [gauge, setGauge] = useState(
    () => (size.care === 'critical' ? gauges[0] : (gauges.find((g) => g.kind === 'caliper') ?? gauges[0]))?.id ?? 'none',
  );
  const write = async () => {
    if (text.trim() === '') return;
    const read = readingOf(size.is, { text, units });
    if (!read.ok) {
      setSays(writeSentence(read.problems[0]?.says ?? [], units));
      return;
    }
    const kept = await keep(view, { kind: 'reading', of: size.id, value: { text: text.trim(), units }, gauge, piece, step: null, ...atHandNow() });
    setSays(kept ? undefined : REFUSED);
    if (kept) setText('');
  };
  return (
    <Form
      className="d-grid gap-1"
      onSubmit={(e) => {
        e.preventDefault();
        void write();
      }}>
      <Form.Control
        className="fig wide-78"
        value={text}
        placeholder={size.is === 'runout' ? '0 .01 -.005' : undefined}
        aria-label={`reading of ${size.is} ${size.balloon}`}
        isInvalid={says !== undefined}
        title={says}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => void write()}
      />
      {gauges.length > 0 && (
        <Form.Select
          className="wide-180"
          value={gauge}
          aria-label={`gauge for ${size.is} ${size.balloon}`}
          onChange={(e) => setGauge(e.target.value)}>
          {gauges.map((g) => (
            <option key={g.id} value={g.id}>
              {g.name}
            </option>
          ))}
        </Form.Select>
      )}
      {says !== undefined && (
        <span className="out" role="alert">
          {says}
        </span>
      )}
    </Form>
  );
}

/** What a thread or a taper does with its gauge; a thread also read over wires or balls where the shop has them. */
export function GoesOn({ view, size, piece }: Props) {
  const kit = view.job.issue?.kit ?? view.shop;
  const reads = useMemo(() => size.is === 'thread' && size.pitchDiameter && readableBy(size, view.part, kit).length > 0, [size, view.part, kit]);
  return (
    <div className="d-grid gap-1">
      <div className="d-flex gap-1 flex-wrap">
        {feelsOf(size).map((feel) => (
          <Button
            key={feel}
            size="sm"
            variant="outline-dark"
            onClick={() => void keep(view, { kind: 'trial', mate: size.id.replace('.', '-'), feel, piece, step: null })}>
            {feel}
          </Button>
        ))}
      </div>
      {reads && <EnterReading view={view} size={size} piece={piece} />}
    </div>
  );
}

/** A reading within its limits whose gauge leaves them open is taken as it is, by name. */
export function AcceptIt({ view, size, piece, verdict }: Props & { readonly verdict: Verdict }) {
  const { log, job, shop } = view;
  const limits = size.limits ?? size.pitchDiameter;
  const last = log.findLast((e) => e.kind === 'reading' && e.of === size.id && e.piece === piece);
  if (verdict.says !== 'cannotTell' || verdict.accepted || !limits || last?.kind !== 'reading') return null;
  const { value } = verdict.value;
  if (value > limits.max || value < limits.min) return null;
  const { who } = atHandNow();
  const by = (job.issue?.kit ?? shop).gauges.find((g) => g.id === last.gauge)?.name ?? 'this gauge';
  return (
    <Button
      size="sm"
      variant="outline-dark"
      title={`within the limits by ${by}, whose doubt is more than half of the tolerance`}
      onClick={() =>
        void keep(view, {
          kind: 'accepted',
          of: size.id,
          gauge: last.gauge,
          why: `in by ${by}`,
          piece,
          step: null,
          ...(who !== undefined && { who }),
        })
      }>
      accept{who === undefined ? '' : ` as ${who}`}
    </Button>
  );
}
