import type { Setup } from '@obra/core/settings';
import { Sortable, useMovable } from '../shell/sortable';
import { Line, type LineProps } from './Line';

interface Props extends Omit<LineProps, 'step' | 'n' | 'turned' | 'move'> {
  readonly setup: Setup;
  /** steps of the setups before it */
  readonly before: number;
  readonly onMove: (step: string, by: number) => void;
}

/** The lines of a setup, moved by their numbers: by mouse, by a finger that rests on one, by Space and the arrows. */
export function MovableLines({ setup, before, onMove, ...props }: Props) {
  const { steps } = setup;
  const at = (id: string) => steps.findIndex((s) => s.id === id);
  return (
    <Sortable ids={steps.map((s) => s.id)} nameOf={(id) => `step ${String(before + at(id) + 1)}`} onMove={(id, to) => onMove(id, at(to) - at(id))}>
      {steps.map((step, i) => (
        <Movable key={step.id} {...props} onMove={onMove} step={step} n={before + i + 1} turned={setup.end === 'left'} />
      ))}
    </Sortable>
  );
}

const Movable = (props: LineProps) => <Line {...props} move={useMovable(props.step.id)} />;
