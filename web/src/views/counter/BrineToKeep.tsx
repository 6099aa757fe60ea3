import { NumberBox } from '../../app/NumberBox';
import { t } from '../../messages/words';

/** Brine that is not poured away. */
export function BrineToKeep({ grams, change }: { grams: number; change: (grams: number) => void }) {
  return (
    <label className="counter-keep">
      {t('counter.keep_brine')}
      <NumberBox
        aria-label={t('counter.keep_brine')}
        data-takes="weight"
        min={0}
        value={grams}
        onChange={(value) => change(value ?? 0)}
        suffix="g"
      />
    </label>
  );
}
