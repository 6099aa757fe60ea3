import { Button } from 'antd';
import { Dialog } from './Dialog';
import type { Question } from './notices';

/** A question with a way on and a way back. */
export function Asked({ title, content, yes, no, answer }: Question & { answer: (isYes: boolean) => void }) {
  return (
    <Dialog
      title={title}
      onCancel={() => answer(false)}
      footer={
        <div className="words">
          <Button type="primary" autoFocus onClick={() => answer(true)}>
            {yes}
          </Button>
          <Button onClick={() => answer(false)}>{no}</Button>
        </div>
      }
    >
      {content}
    </Dialog>
  );
}
