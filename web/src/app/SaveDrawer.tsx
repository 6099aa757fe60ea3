import { t } from '../messages/words';
import { Button } from 'antd';
import { notices } from './notices';
import { Complaint } from './Complaint';
import { SideDrawer } from './Dialog';
import { useEffect, type ReactNode } from 'react';
import { Kept } from '../api/change';
import type { Refusal } from '../api/client';
import { useOnceRead } from './unread';

interface Props {
  title: string;
  close: () => void;
  /** What the main button says; "Keep" when nothing else fits better. */
  keepAs?: string;
  keep: () => void;
  isKeeping: boolean;
  /** Why it was not kept; what belongs to a field is said beside it. */
  refusal: Refusal | null;
  /** Other ways out, with what they do. */
  others?: { says: string; do: () => void }[];
  children: ReactNode;
}

/** Something to change, beside the page it belongs to. */
export function SaveDrawer({
  title,
  close,
  keepAs = t('action.save'),
  keep,
  isKeeping,
  refusal,
  others = [],
  children,
}: Props) {
  const send = useOnceRead(keep);
  const isKept = refusal instanceof Kept;
  useEffect(() => {
    if (isKept) {
      notices.note(t('queue.kept'));
      close();
    }
  }, [isKept, close]);
  const isOfFields = refusal !== null && Object.keys(refusal.fields).length > 0;
  const complaint = isOfFields ? refusal.of('version') : refusal?.message;

  return (
    <SideDrawer
      open
      title={title}
      onClose={close}
      size={480}
      footer={
        <div className="words">
          <Button type="primary" loading={isKeeping} onClick={(event) => send(event.target)}>
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
      <Complaint>{complaint}</Complaint>
      {children}
    </SideDrawer>
  );
}
