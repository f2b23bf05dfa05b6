import { dialIn, dialledTo, type DialledTo, readIndicator } from '@obra/core/bench';
import type { Entry } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { writeSentence, writeWithUnit } from '@obra/core/quantity';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { FigureNumber } from '../../slate';
import { TypedReading } from './TypedReading';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly live: readonly Entry[];
  readonly onTold: (work: () => Promise<void>) => Promise<void>;
}

const JAWS = [1, 2, 3, 4] as const;

/** Work held again is dialled: readings in, which jaw, which way, how much, until it is within what this job wants. */
export function DialIn({ view, step, piece, live, onTold }: Props) {
  const { plan, units, job, shop } = view;
  const kit = job.issue?.kit ?? shop;
  const dial = plan && dialIn(step, plan, kit);
  const [swing, setSwing] = useState(false);
  const [withFace, setWithFace] = useState(false);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [refused, setRefused] = useState<string>();
  if (!plan || !dial) return null;
  const told = dialledTo(dial, plan, kit, live, piece);
  const highLow = swing || dial.by === 'read';
  const face = dial.by === 'plate' && withFace && !highLow;
  const fields = highLow
    ? (
        [
          ['highest', 'high'],
          ['lowest', 'low'],
        ] as const
      ).map(([label, key]) => ({ label, key }))
    : [
        ...JAWS.map((n) => ({ label: `at jaw ${String(n)}`, key: `rim ${String(n)}` })),
        ...(face ? JAWS.map((n) => ({ label: `face at ${String(n)}`, key: `face ${String(n)}` })) : []),
      ];
  const keep = () => {
    for (const f of fields) {
      const read = readIndicator(typed[f.key] ?? '', units);
      if (!read.ok) {
        setRefused(`Indicator ${f.label}: ${writeSentence(read.problems[0]?.says ?? [], units)}.`);
        return;
      }
    }
    setRefused(undefined);
    void onTold(async () => {
      await view.add({ kind: 'dialled', readings: fields.map((f) => ({ text: (typed[f.key] ?? '').trim(), units })), piece, step: step.id });
      setTyped({});
    });
  };
  return (
    <div className="line" role="group" aria-label="Dialling">
      <div>
        {dial.by === 'read' ? 'Read it with an indicator' : 'Dial it'}: within <FigureNumber figure={dial.wanted} units={units} withUnit /> TIR for
        this job.{' '}
        <span className="quiet">
          {highLow
            ? 'Turn it once round by hand: the highest and the lowest reading, more is nearer.'
            : 'Spindle in neutral, by hand: the reading as each jaw comes past, more is nearer.'}
        </span>
      </div>
      {told && (
        <div className="d-flex gap-3 align-items-center mt-1">
          {dial.by !== 'read' && <Standing told={told} />}
          <Told told={told} by={dial.by} units={units} />
        </div>
      )}
      <div className="d-flex gap-3 align-items-center flex-wrap mt-1">
        <div className="d-grid gap-2" style={{ gridTemplateColumns: `repeat(${String(highLow ? 2 : 4)}, 104px)` }}>
          {fields.map((f) => (
            <TypedReading
              key={f.key}
              words={`indicator ${f.label}`}
              hint={f.label}
              value={typed[f.key] ?? ''}
              onText={(text) => setTyped({ ...typed, [f.key]: text })}
              onKeep={keep}
            />
          ))}
        </div>
        <Button className="tall-48" variant="outline-light" onClick={keep}>
          keep the readings
        </Button>
        {dial.by !== 'read' && (
          <Button className="tall-48" variant={swing ? 'light' : 'outline-light'} aria-pressed={swing} onClick={() => setSwing(!swing)}>
            only high and low
          </Button>
        )}
        {dial.by === 'plate' && !highLow && (
          <Button className="tall-48" variant={withFace ? 'light' : 'outline-light'} aria-pressed={withFace} onClick={() => setWithFace(!withFace)}>
            the face too
          </Button>
        )}
      </div>
      {refused !== undefined && (
        <div className="out" role="alert">
          {refused}
        </div>
      )}
    </div>
  );
}

function Told({ told, by, units }: { readonly told: DialledTo; readonly by: 'jaws' | 'plate' | 'read'; readonly units: JobView['units'] }) {
  return (
    <div data-testid="dialled-to" aria-live="polite">
      <div className={`size-18 ${told.within ? 'in' : ''}`}>
        {told.within ? '✓ ' : '△ '}runs out <FigureNumber figure={told.tir} units={units} withUnit /> TIR
        {told.within ? ': within what this job wants' : by === 'read' ? ': take it out, clean it, put it in again; a tap does not set it' : ''}
      </div>
      {!told.within &&
        told.moves.map((m) => (
          <div key={m.tighten} className="size-18">
            {by === 'plate' ? (
              <>
                tap it away from clamp {m.tighten} by <FigureNumber figure={m.by} units={units} withUnit />
              </>
            ) : (
              <>
                loosen jaw {m.loosen}, tighten jaw {m.tighten}: <FigureNumber figure={m.by} units={units} withUnit />
              </>
            )}
          </div>
        ))}
      {!told.within && told.moves.length === 0 && by !== 'read' && (
        <div className="quiet">read at the four jaws to see which one is moved; half of the swing is how far</div>
      )}
      {told.face?.worth === true && (
        <div>
          the face stands high at {told.face.high}: in by <FigureNumber figure={told.face.by} units={units} withUnit />, then the rim again
        </div>
      )}
      {told.oval && (
        <div>
          the piece itself is not round by <FigureNumber figure={told.oval} units={units} withUnit />: no jaw mends that, dial on a turned place
        </div>
      )}
      {told.keeps.map((r) => (
        <div key={r.relation} className="quiet">
          with it {writeWithUnit(r.limit, units)} is kept in {Math.floor(100 * r.chance.value)} of 100: up to{' '}
          <FigureNumber figure={r.expected} units={units} withUnit />
        </div>
      ))}
    </div>
  );
}

/** The work in its four jaws from the tailstock, its offset drawn larger; the jaws that are tightened in brass. */
function Standing({ told }: { readonly told: DialledTo }) {
  const towards = told.towards ?? [0, 0];
  const off = Math.hypot(...towards);
  const by = off > 0 ? Math.min(9, 3 + 60 * off) / off : 0;
  const [x, y] = told.within ? [0, 0] : [towards[0] * by, -towards[1] * by];
  const tightened = new Set(told.within ? [] : told.moves.map((m) => m.tighten));
  return (
    <svg
      width={116}
      height={116}
      viewBox="-58 -58 116 116"
      className="four-jaws"
      role="img"
      aria-label="the work in its jaws, its offset drawn larger">
      <path className="axis" d="M-40 0 H40 M0 -40 V40" />
      <circle className="work" cx={x} cy={y} r={26} />
      <circle className="middle" cx={x} cy={y} r={2.5} />
      {JAWS.map((n, i) => {
        const turn = -90 * i;
        const at = (26 + (n === 1 ? x : n === 3 ? -x : n === 2 ? -y : y)) | 0;
        return (
          <g key={n}>
            <g transform={`rotate(${String(turn)})`}>
              <rect className={tightened.has(n) ? 'jaw moved' : 'jaw'} x={at} y={-6} width={46 - at} height={12} />
            </g>
            <text x={52 * Math.cos((turn * Math.PI) / 180)} y={52 * Math.sin((turn * Math.PI) / 180) + 5} textAnchor="middle">
              {n}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
