import { Drawer, Modal, type DrawerProps, type ModalProps } from 'antd';
import { useEffect } from 'react';
import { returnFocus } from './focusReturn';

/** Something to decide or to read before the page goes on; the focus goes back to where it came from. */
export function Dialog({ open = true, ...modal }: ModalProps) {
  useFocusReturn(open);

  return <Modal open={open} {...modal} />;
}

/** Something beside the page it belongs to; the focus goes back to where it came from. */
export function SideDrawer({ open = true, ...drawer }: DrawerProps) {
  useFocusReturn(open);

  return <Drawer open={open} {...drawer} />;
}

function useFocusReturn(isOpen: boolean): void {
  useEffect(() => (isOpen ? returnFocus : undefined), [isOpen]);
}
