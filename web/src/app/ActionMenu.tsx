import { Button, type ButtonProps } from 'antd';
import { useRef, useState } from 'react';
import { returnFocus } from './focusReturn';
import { later } from './later';

export interface MenuItem {
  key: string;
  label: string;
  isChosen?: boolean;
  disabled?: boolean;
  do: () => void;
}

const UnfoldedMenu = later(() => import('./UnfoldedMenu'), 'UnfoldedMenu');

/** A press on the button of an open list closes it as a press beside it would, and is no wish to open it again. */
const SAME_PRESS_MS = 300;

/** A button with more to do behind it; the list is fetched when it is first asked for. */
export function ActionMenu({ items, ...button }: Omit<ButtonProps, 'onClick'> & { items: MenuItem[] }) {
  const [isOpen, setIsOpen] = useState<boolean | null>(null);
  const closedAt = useRef(0);
  const change = (opens: boolean) => {
    setIsOpen(opens);
    if (!opens) {
      closedAt.current = Date.now();
      returnFocus();
    }
  };

  return (
    <span className="menu">
      <Button
        aria-haspopup="menu"
        aria-expanded={isOpen ?? false}
        {...button}
        onClick={() => change(Date.now() - closedAt.current > SAME_PRESS_MS)}
      />
      {isOpen !== null && <UnfoldedMenu items={items} isOpen={isOpen} change={change} />}
    </span>
  );
}
