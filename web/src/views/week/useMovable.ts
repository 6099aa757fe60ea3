import { useDraggable } from '@dnd-kit/core';
import type { ButtonHTMLAttributes } from 'react';
import { t } from '../../messages/words';
import { useMay } from '../../api/account';
import { dragId } from './weekActions';

/** What makes a button something that can be dragged onto a day. */
export function useMovable(kind: 'jar' | 'serving', id: string, isFixed: boolean) {
  const keeps = useMay('keep');
  const { setNodeRef, listeners, attributes } = useDraggable({
    id: dragId(kind, id),
    disabled: isFixed || !keeps,
    attributes: { roleDescription: t('week.movable') },
  });

  // The library does not say which events it listens to.
  const listens: Pick<
    ButtonHTMLAttributes<HTMLButtonElement>,
    'onKeyDown' | 'onMouseDown' | 'onTouchStart'
  > = listeners ?? {};

  return { ...attributes, ...listens, ref: setNodeRef };
}
