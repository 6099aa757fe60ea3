import { t } from '../../messages/words';

/** "today", "1 day", "16 days" */
export const days = (count: number): string =>
  count === 0 ? t('day.today') : count === 1 ? t('duration.one_day') : t('duration.days', { days: count });
