import {
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import { useTranslation } from 'react-i18next';

/** Less movement than this is a press, not a drag. */
const DRAG_PX = 6;

/**
 * A row whose pieces are put in order by dragging or by keys: space lifts, arrows move, space puts down; enter stays free
 * for choosing. Ids are places in the row as they were before.
 */
export function useSorting(onMove: (from: number, to: number) => void) {
  const { t } = useTranslation();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_PX } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: sortableKeyboardCoordinates,
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
    }),
  );
  const place = (id: unknown) => Number(id) + 1;
  const announcements: Announcements = {
    onDragStart: ({ active }) => t('builder.lifted', { place: place(active.id) }),
    onDragOver: ({ over }) => (over ? t('builder.over', { place: place(over.id) }) : undefined),
    onDragEnd: ({ over }) => (over ? t('builder.putDown', { place: place(over.id) }) : undefined),
    onDragCancel: () => t('builder.putBack'),
  };
  return {
    sensors,
    accessibility: {
      announcements,
      screenReaderInstructions: { draggable: t('builder.howToMove') },
    },
    onDragEnd({ active, over }: DragEndEvent) {
      if (over && active.id !== over.id) onMove(Number(active.id), Number(over.id));
    },
  };
}
