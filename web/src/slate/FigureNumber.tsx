import { type Figure, type Formula, type Units, write, writeWithUnit } from '@obra/core/quantity';
import { createContext, lazy, Suspense, useContext, useId, useRef, useState } from 'react';

// what places a card on the page is loaded with the first card
const FigureCard = lazy(() => import('./FigureCard').then((m) => ({ default: m.FigureCard })));

/** Where a figure's formula is looked up when not in the plan's own book: the Handbook has more of them. */
export const FormulaBook = createContext<((name: string) => Formula | undefined) | undefined>(undefined);

/** Numbers that rest on values from memory that handbooks differ about by a quarter and more: forces, lives, speeds to begin with. */
const soft: ReadonlySet<string> = new Set([
  'forceOfEdge',
  'forceAtAngle',
  'passiveForce',
  'springOfBar',
  'edgeLife',
  'cutsOfEdge',
  'drillTorque',
  'drillThrust',
  'tapTorque',
  'knurlForce',
  'gripHolds',
  'warmth',
  'speedShare',
  'lifeAt',
]);
/** A small mark stands at what is soft. */
const isSoft = ({ formula, source }: Figure): boolean => soft.has(formula) || (source !== undefined && /typical|Kienzle|judgement/.test(source));

/** A number shown: pressed, it opens its formula, the values put in and the source. */
export function FigureNumber({
  figure,
  units,
  withUnit = false,
  className = '',
  text: given,
}: {
  readonly figure: Figure;
  readonly units: Units;
  readonly withUnit?: boolean;
  readonly className?: string;
  readonly text?: string;
}) {
  const [open, setOpen] = useState(false);
  const target = useRef<HTMLButtonElement>(null);
  const id = useId();
  const text = given ?? (withUnit ? writeWithUnit(figure, units) : write(figure, units).text.replace(/^Ø/, ''));
  const book = useContext(FormulaBook);
  return (
    <>
      <button
        type="button"
        ref={target}
        className={`figure ${isSoft(figure) ? 'soft ' : ''}${figure.formula === 'asItStands' ? 'stands ' : ''}${className}`}
        aria-expanded={open}
        aria-describedby={open ? id : undefined}
        title={isSoft(figure) ? 'formula; from memory, soft' : 'formula'}
        onClick={(e) => {
          e.stopPropagation();
          setOpen(!open);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter' || e.key === ' ') e.stopPropagation();
        }}>
        {text}
      </button>
      {open && (
        <Suspense fallback={null}>
          <FigureCard id={id} target={target} figure={figure} book={book} units={units} onHide={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
