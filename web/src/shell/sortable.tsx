import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  MouseSensor,
  type ScreenReaderInstructions,
  TouchSensor,
  type UniqueIdentifier,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type ReactNode, useMemo } from 'react';

interface Props {
  /** in the order that they stand in */
  readonly ids: readonly string[];
  /** how one is named when it is spoken of: 'row 3' */
  readonly nameOf: (id: string) => string;
  /** one was set down where another stands */
  readonly onMove: (id: string, to: string) => void;
  readonly children: ReactNode;
}

const instructions: ScreenReaderInstructions = {
  draggable: 'Space lifts it, the arrows move it, Space sets it down, Escape leaves it where it was.',
};

// the same objects at each render: with new ones every line is drawn again
const byMouse = { activationConstraint: { distance: 5 } };
/** A finger that moves at once scrolls. */
const byFinger = { activationConstraint: { delay: 180, tolerance: 8 } };
const byKeys = { coordinateGetter: sortableKeyboardCoordinates, keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space'] } };

/** A list whose lines are moved: by the mouse, by a finger that rests on the grip, by Space and the arrows; what happens is spoken. */
export function Sortable({ ids, nameOf, onMove, children }: Props) {
  const sensors = useSensors(useSensor(MouseSensor, byMouse), useSensor(TouchSensor, byFinger), useSensor(KeyboardSensor, byKeys));
  const joined = ids.join(' ');
  const items = useMemo(() => (joined === '' ? [] : joined.split(' ')), [joined]);
  const place = (id: UniqueIdentifier) => `place ${String(items.indexOf(String(id)) + 1)}`;
  const name = (id: UniqueIdentifier) => nameOf(String(id));
  const announcements = {
    onDragStart: ({ active }: { active: { id: UniqueIdentifier } }) => `${name(active.id)} lifted from ${place(active.id)}`,
    onDragOver: ({ active, over }: Pick<DragEndEvent, 'active' | 'over'>) => (over ? `${name(active.id)} over ${place(over.id)}` : undefined),
    onDragEnd: ({ active, over }: Pick<DragEndEvent, 'active' | 'over'>) => `${name(active.id)} set down at ${place((over ?? active).id)}`,
    onDragCancel: ({ active }: Pick<DragEndEvent, 'active'>) => `${name(active.id)} left where it was`,
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      // what is spoken stands beside the page: a table holds nothing but its lines
      accessibility={{ announcements, screenReaderInstructions: instructions, container: document.body }}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onMove(String(active.id), String(over.id));
      }}>
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** What a line that can be moved carries: on the line itself, and on its grip. */
export function useMovable(id: string, still = false) {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id, disabled: still });
  return {
    line: {
      ref: setNodeRef,
      // only where it is to be moved to; a line is not stretched to the height of another
      style: { transform: CSS.Translate.toString(transform), transition },
      className: isDragging ? 'lifted' : '',
    },
    grip: { ref: setActivatorNodeRef, ...attributes, ...listeners },
  };
}
