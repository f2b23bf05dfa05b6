import { type Figure, type Units, write } from '@obra/core/quantity';
import type { ReactNode } from 'react';
import { memoSteady } from '../shell/useSteady';
import { FigureNumber } from './FigureNumber';

/** One of the few numbers that matter now. */
export const Big = memoSteady(function Big({
  figure,
  units,
  children,
  size = 'big',
}: {
  readonly figure: Figure;
  readonly units: Units;
  readonly children?: ReactNode;
  readonly size?: 'big' | 'mid';
}) {
  return (
    <div className="row-big">
      <span className={size}>
        <FigureNumber figure={figure} units={units} />
      </span>
      <span className="quiet">
        {write(figure, units).unit} {children}
      </span>
    </div>
  );
});
