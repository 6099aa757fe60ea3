import type { MessageInstance } from 'antd/es/message/interface';
import { Kept } from '../api/change';
import type { Refusal } from '../api/client';

/** Says why something was not done: the first sentence of its fields; or that this device keeps it until it can be. */
export function complain(message: MessageInstance, refusal: Refusal, seconds?: number): void {
  if (refusal instanceof Kept) {
    void message.info(refusal.message);
  } else {
    void message.error(refusal.sentence, seconds);
  }
}
