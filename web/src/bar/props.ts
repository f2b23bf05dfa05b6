import type { Holding } from '@obra/core/document';
import type { Part } from '@obra/core/drawing';
import type { Finding } from '@obra/core/finding';
import type { Step } from '@obra/core/operations';
import type { ToolIn } from '@obra/core/proof';
import type { Units } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import type { Region } from '@obra/core/stock';
import type { Typing } from './CellInPicture';
import type { Movable } from './MoveHolding';
import type { PickCell } from './picked';

export interface BarPictureProps {
  readonly part: Part | undefined;
  readonly units: Units;
  /** what was typed for each row, as the drawing shows it */
  readonly typed?: Readonly<Record<string, { readonly size: string; readonly length: string }>>;
  readonly setup?: Setup | undefined;
  readonly step?: Step | undefined;
  readonly holding?: Holding | undefined;
  /** the tool of the step, where it is */
  readonly tool?: ToolIn | undefined;
  readonly barRadius?: number;
  /** what the job starts as, behind the drawing */
  readonly stock?: Region;
  /** no end stands beside the section: on paper its figures take the room */
  readonly endless?: boolean;
  readonly show: 'drawing' | 'holding' | 'route' | 'bench' | 'inspection';
  readonly chosen?: string | undefined;
  readonly marks?: Readonly<Record<string, 'in' | 'over' | 'under' | 'cannotTell'>>;
  /** checks, marked at the row they are about */
  readonly findings?: readonly Finding[];
  /** sizes and corners are typed in the picture */
  readonly typing?: Typing | undefined;
  /** jaws, steady and centre may be moved by hand */
  readonly movable?: Movable | undefined;
  readonly height?: number;
}

export type PictureProps = BarPictureProps & {
  readonly part: Part;
  readonly width: number;
  readonly height: number;
  readonly pick?: PickCell | undefined;
};
