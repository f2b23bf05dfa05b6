import { type Answered, type Calculator, type FromShop, startOf } from '@obra/core/handbook';
import { type Units, writeSentence } from '@obra/core/quantity';
import { useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { asSentence, Mark } from '../../slate';
import { AnswerTable } from './AnswerTable';
import { AnswerSlate } from './AnswerSlate';
import { Asked } from './Asked';
import type { CellOfJob } from '../../data/cellOfJob';
import { SketchView } from './SketchView';
import { useTexts } from './useTexts';

interface CalculatorProps {
  readonly calculator: Calculator;
  readonly shop: FromShop;
  readonly units: Units;
  readonly pinned: boolean;
  readonly onPin: () => void;
  readonly cell: CellOfJob | undefined;
}

/** One calculator: what is typed at the left, its figure under it, the answer on the slate. All of it stands in the address. */
export function CalculatorPage({ calculator, shop, units, pinned, onPin, cell }: CalculatorProps) {
  const { texts, typedIn, put } = useTexts(calculator, shop, units);
  const answer = useMemo(() => calculator.answer(texts, typedIn, shop), [calculator, texts, typedIn, shop]);
  // a failed calculation leaves the last good result, greyed, with the reason
  const [good, setGood] = useState<Answered>();
  if (answer.ok && good !== answer) setGood(answer);
  const shown = answer.ok ? answer : good;
  return (
    <>
      <main className="sheet">
        <div className="d-flex align-items-baseline gap-3">
          <h1>{calculator.title}</h1>
          <Button variant="link" aria-pressed={pinned} onClick={onPin}>
            {pinned ? 'unpin' : 'pin'}
          </Button>
          <Link to={`/handbook${cell === undefined ? '' : location.search}`} className="all">
            all calculators
          </Link>
        </div>
        <Form className="asked" onSubmit={(e) => e.preventDefault()}>
          {Object.entries(calculator.fields).map(([name, field]) => (
            <Asked
              key={name}
              name={name}
              field={field}
              text={texts[name] ?? startOf(field, shop)}
              typedIn={texts[name] === undefined ? 'mm' : typedIn}
              units={units}
              fault={!answer.ok && answer.at === name ? answer : undefined}
              onType={(text) => put(name, text)}
            />
          ))}
        </Form>
        <div className={answer.ok || !shown ? '' : 'older'}>
          {shown?.sketch && <SketchView sketch={shown.sketch} units={units} />}
          {shown?.table && <AnswerTable table={shown.table} units={units} source={shown.source} />}
        </div>
      </main>
      <aside className="slate" aria-label="Answer">
        {!answer.ok && (
          <p className="m-0 d-flex gap-2" role="status">
            <Mark severity="caution" dark />
            <span>{writeSentence(asSentence(answer.says), units)}</span>
          </p>
        )}
        {shown && <AnswerSlate answer={shown} title={calculator.title} units={units} older={!answer.ok} cell={cell} />}
      </aside>
    </>
  );
}
