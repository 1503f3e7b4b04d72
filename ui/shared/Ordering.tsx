'use client';
import {
  Active,
  Announcements,
  closestCenter,
  DndContext,
  KeyboardSensor,
  Over,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { ReactNode, useId } from 'react';
import type { Message, Typed } from '@/core/message';
import { useSay } from '../words/Words';

interface Props {
  ids: readonly string[];
  name: (i: number) => Message | Typed;
  across?: boolean;
  onMove: (from: number, to: number) => void;
  children: ReactNode;
}

/** Things put in order: dragged, or moved with space and the arrow keys, each move told to who cannot see it. */
export function Ordering({ ids, name, across, onMove, children }: Props) {
  const say = useSay();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const dndId = useId();
  const announced = (what: 'picked' | 'over' | 'dropped', active: Active, over: Over | null) => {
    const at = ids.indexOf(String((over ?? active).id));
    return say(`shared.drag.${what}`, { thing: name(ids.indexOf(String(active.id))), n: at + 1, all: ids.length });
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => announced('picked', active, null),
    onDragOver: ({ active, over }) => announced('over', active, over),
    onDragEnd: ({ active, over }) => announced('dropped', active, over),
    onDragCancel: ({ active }) => say('shared.drag.cancelled', { thing: name(ids.indexOf(String(active.id))) }),
  };
  return (
    <DndContext
      id={dndId}
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ screenReaderInstructions: { draggable: say('shared.drag.how') }, announcements }}
      onDragEnd={({ active, over }) => {
        const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
        if (from >= 0 && to >= 0 && from !== to) onMove(from, to);
      }}
    >
      <SortableContext items={[...ids]} strategy={across ? horizontalListSortingStrategy : verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}
