import { say, t } from '../../messages/words';
import { Button, Input, Segmented } from 'antd';
import { Choice } from '../../app/Choice';
import type { BenchAnswer, Kitchen, Refusal } from '../../api/client';
import { AmountInput } from '../../app/AmountInput';
import { grams } from '../../app/numbers';
import type { Change, Draft } from './draft';
import { optionsOf } from './options';
import { FormRow } from './FormRow';

const asides: Partial<Record<Draft['fixed'], string>> = {
  both: t('bench.fixed_both'),
  sodium: t('bench.fixed_sodium'),
  taste: t('bench.fixed_taste'),
};

interface Props {
  kitchen: Kitchen;
  draft: Draft;
  change: Change;
  answer: BenchAnswer | null;
  refusal: Refusal | null;
}

/** The salt: which, how it is measured, and which of its numbers the cook has fixed. */
export function SaltRow({ kitchen, draft, change, answer, refusal }: Props) {
  const { fixed } = draft;
  const isOptional =
    draft.method === 'transform' || kitchen.methods.some((one) => one.id === draft.method && one.isMixed);

  return (
    <FormRow
      verb={t('bench.salt')}
      term="brine_strength"
      refusal={refusal}
      fields={[
        'saltId',
        'saltUnit',
        'fixed',
        'strengthPercent',
        'strengthBasis',
        'saltAmount',
        'tastings',
        'sodiumWanted',
      ]}
      aside={asides[fixed]}
    >
      <Choice
        aria-label={t('bench.salt')}
        showSearch={{ optionFilterProp: 'label' }}
        value={draft.saltId}
        className="box-grow"
        onChange={(saltId) => change({ saltId })}
        options={optionsOf(kitchen).salts}
      />
      <Segmented
        aria-label={t('bench.salt_unit')}
        value={draft.saltUnit}
        onChange={(saltUnit: Draft['saltUnit']) => change({ saltUnit })}
        options={[
          { value: 'grams', label: t('bench.weighed') },
          { value: 'spoons', label: t('bench.spooned') },
        ]}
      />
      <Segmented
        aria-label={t('bench.what_is_set')}
        className="bench-fixed"
        value={fixed}
        onChange={(next: Draft['fixed']) => change({ fixed: next })}
        options={[
          { value: 'strength', label: t('bench.set_strength') },
          { value: 'salt', label: t('bench.set_amount') },
          { value: 'both', label: t('bench.set_both') },
          { value: 'sodium', label: t('bench.set_sodium') },
          { value: 'taste', label: t('bench.to_taste') },
        ]}
      />
      {(fixed === 'salt' || fixed === 'both') && (
        <AmountInput
          asks={{ kind: 'amount', of: 'salt', id: draft.saltId }}
          name="saltAmount"
          aria-label={t('bench.salt_amount')}
          placeholder={
            isOptional && fixed === 'salt' ? 'none' : draft.saltUnit === 'grams' ? '18 g' : t('bench.example_tbsp')
          }
          value={draft.saltAmount ?? ''}
          change={(saltAmount) => change({ saltAmount })}
        />
      )}
      {(fixed === 'strength' || fixed === 'both') && (
        <AmountInput
          asks={{ kind: 'strength', of: 'salt', id: draft.saltId }}
          name="strengthPercent"
          aria-label={t('bench.strength')}
          data-takes="strength"
          value={draft.strengthPercent ?? ''}
          change={(strengthPercent) => change({ strengthPercent })}
          suffix={/^[\d.,\s]*$/.test(draft.strengthPercent ?? '') ? '%' : undefined}
          className={/^[\d.,\s]*$/.test(draft.strengthPercent ?? '') ? 'bench-percent' : 'bench-phrase'}
        />
      )}
      {(fixed === 'strength' || fixed === 'both') && (
        <Choice
          aria-label={t('bench.strength_of')}
          value={draft.strengthBasis}
          className="box-m"
          onChange={(strengthBasis) => change({ strengthBasis })}
          options={optionsOf(kitchen).percentOf}
        />
      )}
      {fixed === 'sodium' && (
        <Input
          aria-label={t('bench.serving_sodium')}
          placeholder="140"
          value={draft.sodiumWanted ?? ''}
          onChange={(event) => change({ sodiumWanted: event.target.value })}
          suffix={t('unit.mg')}
          className="box-s"
        />
      )}
      {fixed === 'taste' && <Pinches draft={draft} change={change} answer={answer} />}
    </FormRow>
  );
}

/** Salt that goes in by and by, with the strength after each. */
function Pinches({ draft, change, answer }: Pick<Props, 'draft' | 'change' | 'answer'>) {
  const pinches = draft.tastings ?? [];
  const unit = draft.saltUnit === 'grams' ? '5 g' : t('bench.example_half_tsp');
  // The core counts what was filled in; an empty line is no pinch yet.
  const placeOf = (line: number) => pinches.slice(0, line).filter((one) => (one ?? '').trim() !== '').length;

  return (
    <ol className="pinches" aria-label={t('bench.additions')}>
      {pinches.map((pinch, line) => {
        const dose = (pinch ?? '').trim() === '' ? undefined : answer?.doses[placeOf(line)];
        return (
          <li key={line}>
            <Input
              aria-label={t('bench.addition', { number: String(line + 1) })}
              placeholder={unit}
              data-takes="weight"
              value={pinch ?? ''}
              onChange={(event) => change({ tastings: pinches.with(line, event.target.value) })}
            />
            <span className="soft" data-testid={`pinch-${String(line + 1)}`}>
              {dose &&
                t('bench.dose', {
                  grams: grams(dose.grams),
                  spoons: say(dose.spoons),
                  running: say(dose.running) ?? 'none',
                })}
            </span>
          </li>
        );
      })}
      <li>
        <Button type="dashed" onClick={() => change({ tastings: [...pinches, ''] })}>
          {t('bench.add_salt')}
        </Button>
      </li>
    </ol>
  );
}
