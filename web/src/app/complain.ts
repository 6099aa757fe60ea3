import { notices } from './notices';
import { Kept } from '../api/change';
import type { Refusal } from '../api/client';

/** Says why something was not done: the first sentence of its fields; or that this device keeps it until it can be. */
export function complain(refusal: Refusal, seconds?: number): void {
  if (refusal instanceof Kept) {
    notices.note(refusal.message);
  } else {
    notices.refused(refusal.sentence, seconds);
  }
}
