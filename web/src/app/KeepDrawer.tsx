import { Button, Drawer } from 'antd';
import type { ReactNode } from 'react';
import type { Refusal } from '../api/client';

interface Props {
  title: string;
  close: () => void;
  /** What the main button says; "Keep" when nothing else fits better. */
  keepAs?: string;
  keep: () => void;
  isKeeping: boolean;
  /** Why it was not kept, where somebody else had changed it. */
  refusal?: Refusal | null;
  /** Other ways out, with what they do. */
  others?: { says: string; do: () => void }[];
  children: ReactNode;
}

/** Something to change, beside the page it belongs to. */
export function KeepDrawer({
  title,
  close,
  keepAs = 'Keep',
  keep,
  isKeeping,
  refusal,
  others = [],
  children,
}: Props) {
  return (
    <Drawer
      open
      title={title}
      onClose={close}
      size={480}
      footer={
        <div className="words">
          <Button type="primary" loading={isKeeping} onClick={keep}>
            {keepAs}
          </Button>
          {others.map((other) => (
            <Button key={other.says} type="text" onClick={other.do}>
              {other.says}
            </Button>
          ))}
        </div>
      }
    >
      {refusal?.of('version') && (
        <p className="complaint" role="alert">
          {refusal.of('version')}
        </p>
      )}
      {children}
    </Drawer>
  );
}
