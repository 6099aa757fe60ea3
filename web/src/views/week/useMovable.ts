import { useDraggable } from '@dnd-kit/core';
import { useMemo, type ButtonHTMLAttributes } from 'react';
import { t } from '../../messages/words';
import { useMay } from '../../api/account';
import { dragId } from './weekActions';

/** What makes a button something that can be dragged onto a day; it is the same as long as nothing changes for that button. */
export function useMovable(kind: 'jar' | 'serving', id: string, isFixed: boolean) {
  const keeps = useMay('keep');
  const { setNodeRef, listeners, attributes } = useDraggable({
    id: dragId(kind, id),
    disabled: isFixed || !keeps,
    attributes: { roleDescription: t('week.movable') },
  });

  return useMemo(() => {
    // The library does not say which events it listens to.
    const listens: Pick<
      ButtonHTMLAttributes<HTMLButtonElement>,
      'onKeyDown' | 'onMouseDown' | 'onTouchStart'
    > = listeners ?? {};

    return { ...attributes, ...listens, ref: setNodeRef };
  }, [attributes, listeners, setNodeRef]);
}

export type Movable = ReturnType<typeof useMovable>;
