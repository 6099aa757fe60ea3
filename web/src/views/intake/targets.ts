import { t } from '../../messages/words';
import { when } from '../../messages/dates';
import type { Intake } from '../../api/client';
import { mg } from '../../app/numbers';

/** Targets that held before the present one within these days, in words; nothing where there was one only. */
export function targetsBefore(intake: Intake): string {
  return intake.days
    .flatMap((day, i) => {
      const next = intake.days[i + 1];
      return next && next.targetMg !== day.targetMg
        ? [t('intake.target_until', { day: when(day.date, 'month'), target: mg(day.targetMg) })]
        : [];
    })
    .join(', ');
}
