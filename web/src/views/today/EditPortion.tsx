import { t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Checkbox, DatePicker } from 'antd';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import dayjs from 'dayjs';
import type { Day, Meal, Serving } from '../../api/client';
import { useChangeServing } from '../../api/intake';
import { AmountInput, portionPhrases } from '../../app/AmountInput';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { meals } from '../../app/meals';
import { jarsToChoose } from './jarsToChoose';
import { shownStyle, styleOf, styleRequest, useServingStyles } from './servingStyles';
import { useTyped } from '../../app/typed';

/** A serving that was written down wrongly, put right; it keeps the moment at which it was eaten. */
export function EditPortion({ serving, day, close }: { serving: Serving; day: Day; close: () => void }) {
  const change = useChangeServing(serving.id);
  const manners = useServingStyles();
  const [personId, setPersonId] = useTyped(`personId ${serving.id}`, serving.personId);
  const [batchId, setBatchId] = useTyped(`batchId ${serving.id}`, serving.batchId);
  const [amount, setAmount] = useTyped(`amount ${serving.id}`, `${String(serving.grams)} g`);
  const [manner, setManner] = useTyped(`manner ${serving.id}`, styleOf(serving));
  const [eatenOn, setEatenOn] = useTyped(`eatenOn ${serving.id}`, serving.eatenOn);
  const [meal, setMeal] = useTyped<Meal | null>(`meal ${serving.id}`, null);
  const [isCooked, setIsCooked] = useTyped(`isCooked ${serving.id}`, serving.isCooked);
  const refusal = change.error;

  return (
    <SaveDrawer
      title={t('eater.ate', { name: serving.personName, food: serving.batchName })}
      close={close}
      keepAs={t('action.save')}
      isKeeping={change.isPending}
      refusal={refusal}
      keep={() => {
        void change
          .mutateAsync({ batchId, personId, amount, ...styleRequest(manner), eatenOn, meal, isCooked })
          .then(close, () => undefined);
      }}
    >
      <div className="fields">
        <Field label={t('portion.who')} name="personId" refusal={refusal}>
          <Choice
            value={personId}
            onChange={setPersonId}
            options={day.people.map(({ id, name }) => ({ value: id, label: name }))}
          />
        </Field>
        <Field label={t('portion.amount')} name="amount" refusal={refusal}>
          <AmountInput
            asks={{ kind: 'amount', of: 'portion', id: batchId, personId }}
            offers={portionPhrases()}
            value={amount}
            change={setAmount}
          />
        </Field>
        <Field label={t('portion.jar')} name="batchId" refusal={refusal} wide>
          <Choice value={batchId} onChange={setBatchId} options={jarsToChoose(day, serving)} />
        </Field>
        <Field label={t('portion.how')} name="way" refusal={refusal} wide>
          <Choice value={shownStyle(manner, manners)} onChange={setManner} options={manners} />
        </Field>
        <Field label={t('portion.day')} name="eatenOn" refusal={refusal} wide>
          <DatePicker
            allowClear={false}
            format={(date) => when(date, 'longYear')}
            value={dayjs(eatenOn)}
            onChange={(date: dayjs.Dayjs | null) => date && setEatenOn(date.format('YYYY-MM-DD'))}
          />
        </Field>
        <Field label={t('portion.meal')} name="meal" refusal={refusal} wide>
          <Choice
            allowClear
            placeholder={
              eatenOn === serving.eatenOn
                ? t('portion.meal_same')
                : eatenOn === day.today
                  ? t('portion.now')
                  : t('meal.noon')
            }
            value={meal}
            onChange={(next: Meal | undefined) => setMeal(next ?? null)}
            options={meals.map((one) => ({ value: one, label: t(`meal.${one}`) }))}
          />
        </Field>
      </div>
      <Checkbox checked={isCooked} onChange={(event) => setIsCooked(event.target.checked)}>
        {t('portion.cooked')}
      </Checkbox>
      <Complaint>{refusal?.of('serving')}</Complaint>
      <p className="soft">{t('portion.about')}</p>
    </SaveDrawer>
  );
}
