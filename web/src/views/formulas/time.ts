import { t } from '../../messages/words';
/** Days as a cook says them: "8 hours", "10 days", "3 weeks"; "at once" for none. */
export function time(days: number): string {
  if (days <= 0) {
    return t('duration.at_once');
  }
  if (days < 1) {
    return t('duration.hours_count', { hours: Math.max(1, Math.round(days * 24)) });
  }
  if (days >= 21 && days % 7 === 0) {
    return t('duration.weeks', { weeks: days / 7 });
  }
  return days === 1 ? t('duration.one_day') : t('duration.days', { days: Math.round(days * 10) / 10 });
}
