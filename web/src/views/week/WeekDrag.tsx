import {
  DndContext,
  DragOverlay,
  KeyboardCode,
  KeyboardSensor,
  MouseSensor,
  pointerWithin,
  rectIntersection,
  TouchSensor,
  useSensor,
  useSensors,
  type Announcements,
  type CollisionDetection,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { useMemo, useState, type ReactNode } from 'react';
import { when } from '../../messages/dates';
import { t } from '../../messages/words';
import { dragIdOf, placeOf, type Place, type WeekActions } from './weekActions';

/** A mouse moves so far before it drags; a finger rests so long, so that a page still scrolls under it. */
const MOUSE = { activationConstraint: { distance: 6 } };
const FINGER = { activationConstraint: { delay: 180, tolerance: 8 } };

const KEYS = {
  start: [KeyboardCode.Space],
  cancel: [KeyboardCode.Esc],
  end: [KeyboardCode.Space, KeyboardCode.Enter],
};

/** Where the pointer is; with keys, whatever place the thing covers most. */
const collisions: CollisionDetection = (args) => {
  const under = pointerWithin(args);
  return under.length > 0 ? under : rectIntersection(args);
};

/** Jars and servings are dragged onto days by mouse, finger or keys, and it is said where they are. */
export function WeekDrag({ hands, children }: { hands: WeekActions; children: ReactNode }) {
  const { week, hold, put, change } = hands;
  const [dragged, setDragged] = useState<string | null>(null);
  // They stay the same ones: with new ones all that moves would be drawn anew.
  const sensors = useSensors(
    useSensor(MouseSensor, MOUSE),
    useSensor(TouchSensor, FINGER),
    useSensor(
      KeyboardSensor,
      useMemo(() => ({ keyboardCodes: KEYS, coordinateGetter: nextPlace(hands) }), [hands]),
    ),
  );
  const nameOf = (id: string | number): string => {
    const { kind, id: of } = dragIdOf(String(id));
    return (kind === 'jar' ? week.jars : week.servings).find((one) => one.id === of)?.name ?? '';
  };
  const whereOf = (place: Place) => ({
    name: week.people.find((one) => one.id === place.person)?.name ?? '',
    day: when(place.date, 'weekday'),
  });
  const announcements: Announcements = {
    onDragStart: ({ active }) => t('week.picked_up', { jar: nameOf(active.id) }),
    onDragOver: ({ over }) => (over ? t('week.over_cell', whereOf(placeOf(String(over.id)))) : t('week.over_none')),
    onDragEnd: ({ over }) => (over ? t('week.put_down', whereOf(placeOf(String(over.id)))) : t('week.put_back')),
    onDragCancel: () => t('week.put_back'),
  };
  const stop = () => {
    setDragged(null);
    hold(null);
  };

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={collisions}
      accessibility={{ announcements, screenReaderInstructions: { draggable: t('week.keys') } }}
      onDragStart={({ active }) => {
        const { kind, id } = dragIdOf(String(active.id));
        setDragged(String(active.id));
        hold(kind === 'jar' ? id : (week.servings.find((one) => one.id === id)?.batchId ?? null));
      }}
      onDragCancel={stop}
      onDragEnd={({ active, over }) => {
        stop();
        if (!over) {
          return;
        }
        const { kind, id } = dragIdOf(String(active.id));
        const { person, date } = placeOf(String(over.id));
        const serving = week.servings.find((one) => one.id === id);
        if (kind === 'jar') {
          put(id, person, date);
        } else if (serving && (serving.personId !== person || serving.date !== date)) {
          change(serving, {
            personId: person,
            batchId: serving.batchId,
            date,
            // Someone else takes what they usually do.
            grams: serving.personId === person ? serving.grams : null,
            way: serving.way,
            isLocked: serving.isLocked,
          });
        }
      }}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragged !== null && <span className="is-dragged">{nameOf(dragged)}</span>}
      </DragOverlay>
    </DndContext>
  );
}

/** Arrows go from place to place, past those that are over. */
function nextPlace({ week }: WeekActions): KeyboardCoordinateGetter {
  return (event, { context: { over, droppableRects } }) => {
    const step = {
      ArrowRight: [0, 1],
      ArrowLeft: [0, -1],
      ArrowDown: [1, 0],
      ArrowUp: [-1, 0],
    }[event.code];
    if (!step) {
      return undefined;
    }
    event.preventDefault();
    const coming = week.dates.filter((date) => date >= week.today);
    const now = over === null ? null : placeOf(String(over.id));
    const row = now === null ? 0 : week.people.findIndex((one) => one.id === now.person) + (step[0] ?? 0);
    const column = now === null ? 0 : coming.indexOf(now.date) + (step[1] ?? 0);
    const person = week.people[Math.max(0, Math.min(week.people.length - 1, row))];
    const date = coming[Math.max(0, Math.min(coming.length - 1, column))];
    const rect = person && date !== undefined ? droppableRects.get(`${person.id} ${date}`) : undefined;
    return rect && { x: rect.left, y: rect.top };
  };
}
