import type { Part } from '@obra/core/drawing';
import { type Step, verbs } from '@obra/core/operations';
import { type Figure, type Units, write, writeMinutes, writeWithUnit } from '@obra/core/quantity';
import type { KeyboardEvent, ReactNode } from 'react';
import { Stamp } from '../small';
import type { useMovable } from '../shell/sortable';
import { FigureNumber, Said } from '../slate';
import { dragToMove } from '../words/pressed';

/** Where the sizes of an operation come from. */
export const FROM_PLAN = 'from the drawing, the bar and what is left for the step after it';

export interface LineProps {
  readonly step: Step;
  readonly n: number;
  readonly turned: boolean;
  readonly part: Part;
  readonly units: Units;
  readonly chosen?: string | undefined;
  readonly onChoose?: (step: string) => void;
  /** a line goes up or down past its neighbours: drawn by its number, or by Alt and an arrow */
  readonly onMove?: (step: string, by: number) => void;
  readonly stamps?: boolean;
  readonly move?: ReturnType<typeof useMovable>;
}

/** An operation of the sheet: number, verb, the stock after it, the numbers that matter, its time. */
export function Line({ step, n, turned, part, units, chosen, onChoose, onMove, move, stamps = true }: LineProps) {
  const { speed, surface, feed, passes, depth, minutes } = step.figures;
  const number = (figure: Figure, text?: string): ReactNode => <FigureNumber figure={figure} units={units} {...(text !== undefined && { text })} />;
  const counted = passes && depth && ['rough-turn', 'finish-turn', 'face', 'thread'].includes(step.verb) ? { passes, depth } : undefined;
  const atSpeed = speed !== undefined || feed !== undefined;
  const isChosen = chosen === step.id;
  return (
    <tr
      {...move?.line}
      className={[isChosen ? 'chosen' : '', move?.line.className ?? ''].join(' ').trim()}
      data-step={step.id}
      aria-current={isChosen ? 'step' : undefined}
      {...(onChoose && {
        tabIndex: 0,
        onClick: () => onChoose(step.id),
        onKeyDown: (e: KeyboardEvent) => {
          if (e.target !== e.currentTarget && e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return;
          if (onMove && e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
            e.preventDefault();
            onMove(step.id, e.key === 'ArrowUp' ? -1 : 1);
          } else if (e.key === 'Enter' || e.key === ' ') {
            e.preventDefault();
            onChoose(step.id);
          }
        },
      })}>
      <td className="n">
        {move ? (
          <button type="button" {...move.grip} aria-label={`step ${String(n)}`} title={dragToMove} onClick={(e) => e.stopPropagation()}>
            {n}
          </button>
        ) : (
          n
        )}
      </td>
      {stamps && (
        <td className="stamp">
          <Stamp region={step.after} removed={step.removes} part={part} turned={turned} />
        </td>
      )}
      <td className="verb">{verbs[step.verb]}</td>
      {/* what is not cut has the room of its numbers for its words */}
      <td className="says" colSpan={counted ? 1 : atSpeed ? 2 : 4}>
        <Said sentence={step.says} units={units} from={`step ${String(n)}, ${verbs[step.verb].toLowerCase()}: ${FROM_PLAN}`} />
      </td>
      {counted && (
        <td className="quiet">
          {number(counted.passes)} {step.verb === 'thread' ? 'passes, to ' : '× '}
          {number(counted.depth)} deep
        </td>
      )}
      {(counted !== undefined || atSpeed) && (
        <>
          <td className="num">
            {speed && number(speed, `${write(speed, units).text} rpm`)}
            {surface && <small className="quiet d-block">{number(surface, writeWithUnit(surface, units))}</small>}
          </td>
          <td className="num">{feed && number(feed, feed.formula === 'feedByHand' ? 'hand' : undefined)}</td>
        </>
      )}
      <td className="num quiet">{minutes && number(minutes, writeMinutes(minutes.value))}</td>
      <td>{step.gauge !== undefined && <span className="hold">measure</span>}</td>
    </tr>
  );
}
