import { Box, Button, Text } from '@chakra-ui/react';
import {
  type Announcements,
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { PlanterResource } from '@huerta/contract';
import { GripVertical } from 'lucide-react';
import { memo } from 'react';
import { useChangeRound } from '../../data/api/round';

interface WalkProps {
  planters: readonly PlanterResource[];
}

/** The order in which one walks past the planters, set once by dragging, or by keys. */
export const Walk = memo(function Walk({ planters }: WalkProps) {
  const change = useChangeRound();
  const ids = planters.map(({ id }) => id);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const end = ({ active, over }: DragEndEvent) => {
    const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
    if (from >= 0 && to >= 0 && from !== to) change({ order: arrayMove(ids, from, to) });
  };
  const stop = (id: UniqueIdentifier): string => {
    const at = ids.indexOf(String(id));
    return `${planters[at]?.design.name}, stop ${at + 1}`;
  };
  const placeOf = (id: UniqueIdentifier): number => ids.indexOf(String(id)) + 1;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Taken up: ${stop(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over && over.id !== active.id
        ? `${stop(active.id)}, would come to stop ${placeOf(over.id)}.`
        : `Taken up: ${stop(active.id)}.`,
    onDragEnd: ({ active, over }) =>
      `Put down: ${stop(active.id)}${over ? `, at stop ${placeOf(over.id)}` : ''}.`,
    onDragCancel: ({ active }) => `${stop(active.id)}, is back where it was.`,
  };
  return (
    <details className="walk not-printed">
      <summary>The order of the walk</summary>
      <Text fontSize="sm" color="faint" mb="2">
        Drag them into the order in which you walk past. With keys: space takes one up, arrows move
        it, space puts it down.
      </Text>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{ announcements }}
        onDragEnd={end}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol aria-label="The order of the walk">
            {planters.map((planter, i) => (
              <Stop key={planter.id} planter={planter} place={i + 1} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </details>
  );
});

function Stop({ planter, place }: { planter: PlanterResource; place: number }) {
  const { id, design } = planter;
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  const moved = transform ? `translate3d(0, ${Math.round(transform.y)}px, 0)` : undefined;
  return (
    <li ref={setNodeRef} style={{ transform: moved, transition: transition ?? undefined }}>
      <Button
        variant="ghost"
        px="2"
        cursor="grab"
        touchAction="none"
        {...attributes}
        {...listeners}
        aria-label={`Move ${design.name}, stop ${place}`}
      >
        <GripVertical size={18} aria-hidden />
      </Button>
      <span>
        {place}. {design.name}
      </span>
      {design.place.name && <Box className="round-place">{design.place.name}</Box>}
    </li>
  );
}
