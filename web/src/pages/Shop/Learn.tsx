import { zodResolver } from '@hookform/resolvers/zod';
import type { Machine, Shop } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { type Units, writeSentence } from '@obra/core/quantity';
import { learnBacklash, learnCollars, learnDial, type Learned, learnRunout } from '@obra/core/shop';
import { useId, useMemo, useState } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { useForm, useWatch } from 'react-hook-form';
import * as z from 'zod';
import { aCount, aLength, FormField } from '../../fields';
import { FigureNumber } from '../../slate';
import { twoCollars } from '../../words/titles';
import { betweenCentres } from '../../words/places';

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
    title: twoCollars,
    how: 'A bar between centres, relieved in the middle: one light cut over a collar at each end without touching the dial, both measured.',
    asks: [
      { key: 'head', words: 'collar at the headstock' },
      { key: 'tail', words: 'collar at the tailstock' },
      { key: 'apart', words: 'collars apart' },
      { key: 'long', words: betweenCentres },
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
  const id = useId();
  const schema = useMemo(
    () =>
      z.object(Object.fromEntries(trial.asks.map(({ key, words, counts }) => [key, counts ? aCount(words) : aLength(words, units, { zero: true })]))),
    [trial, units],
  );
  const {
    register,
    handleSubmit,
    control,
    formState: { errors, isSubmitted },
  } = useForm({ resolver: zodResolver(schema), mode: 'onChange', defaultValues: Object.fromEntries(trial.asks.map(({ key }) => [key, ''])) });
  const typed = useWatch({ control });
  const [kept, setKept] = useState('');
  const read = schema.safeParse(typed);
  const learned = read.success ? trial.learn(read.data, { machine, shop }) : undefined;
  const keep = () => {
    if (!learned || learned.edits.length === 0) return;
    onKeep(learned.edits);
    setKept(JSON.stringify(typed));
  };
  return (
    <Form noValidate aria-label={trial.title} className="trial" onSubmit={(e) => void handleSubmit(keep)(e)}>
      <h3 className="size-18 m-0">{trial.title}</h3>
      <p className="quiet m-0">{trial.how}</p>
      <div className="d-flex gap-3 flex-wrap mt-1">
        {trial.asks.map(({ key, words, counts }) => (
          <FormField
            key={key}
            id={`${id}${key}`}
            label={counts ? words : `${words}, ${units}`}
            className="fig wide-150"
            of={register(key)}
            // a cell that is still empty waits, until the trial is put into the record
            error={typed[key] === '' && !isSubmitted ? undefined : errors[key]}
          />
        ))}
      </div>
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
            (kept === JSON.stringify(typed) ? (
              <span className="in">✓ in the record</span>
            ) : (
              <Button size="sm" type="submit">
                put it into the record
              </Button>
            ))}
        </div>
      )}
    </Form>
  );
}
