import { t } from '../messages/words';
import { notices } from './notices';

/** Copies a text, and says so; where the browser does not let it, how to do it by hand. */
export const copyText = (text: string): Promise<void> =>
  navigator.clipboard.writeText(text).then(
    () => notices.done(t('copy.copied')),
    () => notices.note(t('copy.select')),
  );
