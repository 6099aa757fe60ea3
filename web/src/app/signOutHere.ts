import { forgetAnswers } from '../api/lastKnown';
import { useSignOut } from '../api/queries';
import { queue } from '../api/queue';
import { t } from '../messages/words';
import { ask } from './notices';
import { forgetDrafts } from './persistentState';

/** Signs out on this device and wipes what it knew; what is not sent yet is asked about before. */
export function useSignOutHere(): () => void {
  const signOut = useSignOut();
  const out = () => {
    queue.clear();
    forgetDrafts();
    signOut
      .mutateAsync(undefined)
      .catch(() => undefined)
      .finally(() => void forgetAnswers());
  };

  return () => {
    const unsent = queue.all().length;
    if (unsent === 0) {
      out();
      return;
    }
    void ask({
      title: t('queue.sign_out', { count: unsent }),
      yes: t('queue.sign_out_ok'),
      no: t('action.cancel'),
    }).then((isYes) => isYes && out());
  };
}
