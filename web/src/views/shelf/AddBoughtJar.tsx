import { say, t } from '../../messages/words';
import { Checkbox, Input } from 'antd';
import { Choice } from '../../app/Choice';
import { useNavigate } from 'react-router';
import type { BoughtFields, Kitchen } from '../../api/client';
import { useAddBoughtJar, useKitchen, usePlaces } from '../../api/queries';
import { AmountInput, portionPhrases } from '../../app/AmountInput';
import { AllergensField } from '../../app/AllergensField';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { LabelFields, noLabel } from '../../app/LabelFields';
import { FoodSelect } from '../../app/FoodSelect';
import { useTyped } from '../../app/typed';

type NewBought = Omit<BoughtFields, 'requestKey'>;

/** A jar from a shop: what its label says is what its ledger begins with. */
export function AddBoughtJar({ close }: { close: () => void }) {
  const kitchen = useKitchen();

  return kitchen.data ? <Bought kitchen={kitchen.data} close={close} /> : null;
}

function Bought({ kitchen, close }: { kitchen: Kitchen; close: () => void }) {
  const shelve = useAddBoughtJar();
  const navigate = useNavigate();
  const places = usePlaces().toReversed();
  const [fields, setFields] = useTyped<NewBought>('bought', () => ({
    name: '',
    foodId: kitchen.ingredients.find((food) => food.key === 'green-cabbage')?.id ?? '',
    amount: '',
    servingAmount: '30 g',
    phase: 'pieces',
    isLive: false,
    allergens: [],
    useBy: null,
    place: 'fridge',
  }));
  const [label, setLabel] = useTyped('label', noLabel);
  const change = (part: Partial<NewBought>) => setFields({ ...fields, ...part });
  const refusal = shelve.error;
  const ofFood = { kind: 'amount', of: 'food', id: fields.foodId } as const;

  return (
    <SaveDrawer
      title={t('bought.title')}
      close={close}
      keepAs={t('bought.save')}
      isKeeping={shelve.isPending}
      refusal={refusal}
      keep={() => {
        void shelve.mutateAsync({ ...fields, ...label }).then(
          (batch) => void navigate(`/shelf/${batch.id}`, { replace: true }),
          () => undefined,
        );
      }}
    >
      <div className="fields">
        <Field label={t('field.name')} name="name" refusal={refusal} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <Field label={t('bought.food')} name="foodId" refusal={refusal} wide>
          <FoodSelect
            label={t('bought.food')}
            kitchen={kitchen}
            foods={kitchen.ingredients.map((food) => ({ value: food.id, label: food.name }))}
            value={fields.foodId}
            change={(foodId) => change({ foodId })}
          />
        </Field>
        <Field label={t('bought.phase')} name="phase" refusal={refusal}>
          <Choice
            value={fields.phase}
            onChange={(phase) => change({ phase })}
            options={[
              { value: 'pieces' as const, label: t('bought.pieces') },
              { value: 'sauce' as const, label: t('bought.sauce') },
            ]}
          />
        </Field>
        <Field label={t('bought.amount')} name="amount" refusal={refusal}>
          <AmountInput
            asks={ofFood}
            placeholder="340 g"
            value={fields.amount}
            change={(amount) => change({ amount })}
          />
        </Field>
        <LabelFields label={label} change={setLabel} refusal={refusal} />
        <Field label={t('bought.serving')} name="servingAmount" refusal={refusal}>
          <AmountInput
            asks={ofFood}
            offers={portionPhrases()}
            value={fields.servingAmount}
            change={(servingAmount) => change({ servingAmount })}
          />
        </Field>
        <Field label={t('bought.use_by')} name="useBy" refusal={refusal}>
          <Input
            type="date"
            value={fields.useBy ?? ''}
            onChange={(event) => change({ useBy: event.target.value || null })}
          />
        </Field>
        <Field label={t('bought.place')} name="place" refusal={refusal} wide>
          <Choice
            value={fields.place}
            onChange={(place) => change({ place })}
            options={places.map(({ id, label: says }) => ({ value: id, label: say(says) }))}
          />
        </Field>
        <AllergensField
          label={t('bought.allergens')}
          kitchen={kitchen}
          allergens={fields.allergens}
          change={change}
          refusal={refusal}
        />
      </div>
      <div className="drawer-part">
        <Checkbox checked={fields.isLive} onChange={(event) => change({ isLive: event.target.checked })}>
          {t('bought.live')}
        </Checkbox>
        <p className="soft">{t('bought.about')}</p>
      </div>
    </SaveDrawer>
  );
}
