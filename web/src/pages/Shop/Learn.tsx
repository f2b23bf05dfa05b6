import type { Machine, Shop } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { parseLength, type Units, writeSentence } from '@obra/core/quantity';
import { learnBacklash, learnCollars, learnDial, type Learned, learnRunout } from '@obra/core/shop';
import { useId, useState } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { FigureNumber } from '../../slate';

interface Props {
  readonly machine: Machine;
  readonly shop: Shop;
  readonly units: Units;
  readonly onKeep: (edits: readonly Edit[]) => void;
  readonly onClose: () => void;
}

interface Trial {
  readonly title: string;
  readonly how: string;
  /** what is typed: lengths, or a number of divisions */
  readonly asks: readonly { readonly key: string; readonly words: string; readonly counts?: true }[];
  readonly learn: (of: Readonly<Record<string, number>>, props: Pick<Props, 'machine' | 'shop'>) => Learned;
}

const at = (of: Readonly<Record<string, number>>, key: string) => of[key] ?? NaN;

const trials: readonly Trial[] = [
  {
    title: 'What the cross dial reads',
    how: 'Turn a clean diameter and measure it. Dial in ten divisions, coming from the same side, take the cut, measure again.',
    asks: [
      { key: 'before', words: 'diameter before' },
      { key: 'after', words: 'diameter after' },
      { key: 'divisions', words: 'divisions dialled', counts: true },
    ],
    learn: (of, { machine }) => learnDial(machine, at(of, 'before'), at(of, 'after'), at(of, 'divisions')),
  },
  {
    title: 'Backlash of the cross slide',
    how: 'An indicator against the slide. Dial in until it moves, then back: count the divisions until it moves again.',
    asks: [{ key: 'divisions', words: 'divisions until it moves', counts: true }],
    learn: (of, { machine }) => learnBacklash(machine, at(of, 'divisions')),
  },
  {
    title: 'Two collars',
    how: 'A bar between centres, relieved in the middle: one light cut over a collar at each end without touching the dial, both measured.',
    asks: [
      { key: 'head', words: 'collar at the headstock' },
      { key: 'tail', words: 'collar at the tailstock' },
      { key: 'apart', words: 'collars apart' },
      { key: 'long', words: 'between centres' },
    ],
    learn: (of, { machine }) => learnCollars(machine, at(of, 'head'), at(of, 'tail'), at(of, 'apart'), at(of, 'long')),
  },
  {
    title: 'Runout of the live centre',
    how: 'An indicator on the cone of the live centre, turned by hand: the highest and the lowest that it shows.',
    asks: [
      { key: 'high', words: 'highest' },
      { key: 'low', words: 'lowest' },
    ],
    learn: (of, { shop }) => learnRunout(shop, at(of, 'high'), at(of, 'low')),
  },
];

/** Small trials instead of questions: what each shows is said, and goes into the record of the lathe when it is kept. */
export function Learn({ machine, shop, units, onKeep, onClose }: Props) {
  return (
    <Modal show onHide={onClose} animation={false} size="lg" scrollable aria-labelledby="learn-title">
      <Modal.Body className="d-grid gap-3">
        <div>
          <h2 id="learn-title">Learn {machine.name}</h2>
          <p className="quiet m-0">Any of these, in any order. Stop the spindle to measure; the key out of the chuck.</p>
        </div>
        {trials.map((trial) => (
          <OneTrial key={trial.title} trial={trial} machine={machine} shop={shop} units={units} onKeep={onKeep} />
        ))}
        <div>
          <Button variant="outline-dark" onClick={onClose}>
            close
          </Button>
        </div>
      </Modal.Body>
    </Modal>
  );
}

function OneTrial({ trial, machine, shop, units, onKeep }: Omit<Props, 'onClose'> & { readonly trial: Trial }) {
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const [kept, setKept] = useState(false);
  const id = useId();
  const values: Record<string, number> = {};
  const wrong: string[] = [];
  for (const { key, words, counts } of trial.asks) {
    const text = (texts[key] ?? '').trim();
    if (text === '') continue;
    if (counts) {
      const n = Number(text.replace(',', '.'));
      if (Number.isFinite(n) && n >= 0 && n < 10_000) values[key] = n;
      else wrong.push(`${words}: “${text}” is no number of divisions`);
    } else if (/^[+]?0*[.,]?0*$/.test(text)) values[key] = 0;
    else {
      const read = parseLength(text, units);
      if (read.ok) values[key] = read.value;
      else wrong.push(`${words}: ${writeSentence(read.problems[0]?.says ?? [], units)}`);
    }
  }
  const learned = wrong.length === 0 && trial.asks.every((a) => values[a.key] !== undefined) ? trial.learn(values, { machine, shop }) : undefined;
  return (
    <section aria-label={trial.title} style={{ borderTop: '1px solid var(--rule)', paddingTop: 10 }}>
      <h3 className="size-18 m-0">{trial.title}</h3>
      <p className="quiet m-0">{trial.how}</p>
      <div className="d-flex gap-3 flex-wrap mt-1">
        {trial.asks.map(({ key, words, counts }) => (
          <Form.Group key={key} controlId={`${id}${key}`}>
            <Form.Label className="m-0">
              {words}
              {counts ? '' : `, ${units}`}
            </Form.Label>
            <Form.Control
              className="fig wide-150"
              inputMode="decimal"
              value={texts[key] ?? ''}
              onChange={(e) => {
                setKept(false);
                setTexts({ ...texts, [key]: e.target.value.slice(0, 40) });
              }}
            />
          </Form.Group>
        ))}
      </div>
      {wrong.map((w) => (
        <div key={w} className="out" role="alert">
          {w}
        </div>
      ))}
      {learned && (
        <div className="d-flex gap-3 align-items-center mt-2 flex-wrap" role="status">
          <span>
            {learned.figure && (
              <>
                <FigureNumber figure={learned.figure} units={units} />:{' '}
              </>
            )}
            {writeSentence(learned.says, units)}
          </span>
          {learned.edits.length > 0 &&
            (kept ? (
              <span className="in">✓ in the record</span>
            ) : (
              <Button
                size="sm"
                onClick={() => {
                  onKeep(learned.edits);
                  setKept(true);
                }}>
                put it into the record
              </Button>
            ))}
        </div>
      )}
    </section>
  );
}
