import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Active,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';
import './Sortable.scss';

/** What the handle of a row says. */
function wordsOf({ data }: Active): string {
  return String(data.current?.['label'] ?? '');
}

/** A list whose rows are put in order by hand or by the keys. Its rows are `SortableRow`s. */
export function Sortable<Id extends string>({
  ids,
  onMove,
  children,
}: {
  ids: readonly Id[];
  onMove: (ids: Id[]) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        announcements: {
          onDragStart: ({ active }) => `Picked up: ${wordsOf(active)}.`,
          onDragOver: ({ over }) =>
            over ? `Place ${String(ids.indexOf(over.id as Id) + 1)} of ${String(ids.length)}.` : '',
          onDragEnd: ({ active }) => `Put down: ${wordsOf(active)}.`,
          onDragCancel: ({ active }) => `Left where it was: ${wordsOf(active)}.`,
        },
      }}
      onDragEnd={({ active, over }) => {
        if (!over || active.id === over.id) return;
        const from = ids.indexOf(active.id as Id);
        onMove(arrayMove([...ids], from, ids.indexOf(over.id as Id)));
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** One row of it, with its handle at the front. @param label what the handle moves */
export function SortableRow({
  id,
  label,
  children,
}: {
  id: string;
  label: string;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } =
    useSortable({ id, data: { label } });
  return (
    <li
      ref={setNodeRef}
      className={isDragging ? 'sortable-moving' : undefined}
      style={
        transform ? { transform: `translateY(${String(Math.round(transform.y))}px)` } : undefined
      }
    >
      <button
        type="button"
        className="sortable-handle"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={label}
      >
        <GripVertical size={20} aria-hidden="true" />
      </button>
      {children}
    </li>
  );
}

/** A heading between the rows: it stays, and rows are moved past it. */
export function SortableHeading({ id, children }: { id: string; children: ReactNode }) {
  const { setNodeRef, transform } = useSortable({ id, disabled: { draggable: true } });
  return (
    <li
      ref={setNodeRef}
      className="sortable-heading"
      style={
        transform ? { transform: `translateY(${String(Math.round(transform.y))}px)` } : undefined
      }
    >
      {children}
    </li>
  );
}
