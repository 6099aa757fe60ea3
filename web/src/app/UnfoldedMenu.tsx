import { Dropdown } from 'antd';
import type { MenuItem } from './ActionMenu';

interface Props {
  items: MenuItem[];
  isOpen: boolean;
  change: (opens: boolean) => void;
}

/** The list of a menu, at the button that it lies over. */
export function UnfoldedMenu({ items, isOpen, change }: Props) {
  return (
    <Dropdown
      trigger={['click']}
      autoFocus
      open={isOpen}
      onOpenChange={change}
      menu={{
        selectedKeys: items.filter(({ isChosen }) => isChosen).map(({ key }) => key),
        items: items.map(({ key, label, disabled, do: onClick }) => ({ key, label, disabled, onClick })),
      }}
    >
      <span className="menu-place" />
    </Dropdown>
  );
}
