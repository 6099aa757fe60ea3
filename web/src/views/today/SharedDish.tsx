import { t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Checkbox } from 'antd';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import type { Day, Meal, Serving } from '../../api/client';
import { useServeDish } from '../../api/intake';
import { AmountInput, portionPhrases } from '../../app/AmountInput';
import { Field } from '../../app/Field';
import { NumberBox } from '../../app/NumberBox';
import { SaveDrawer } from '../../app/SaveDrawer';
import { shownStyle, styleOf, styleRequest, useServingStyles } from './servingStyles';
import { jarsToChoose } from './jarsToChoose';
import { useTyped } from '../../app/typed';

interface Props {
  day: Day;
  /** At which it was eaten, on a day that is over. */
  meal: Meal | null;
  /** The shares of a dish that is to be put right; none: something new. */
  shares?: Serving[];
  close: () => void;
}

/** Several people at once, or a condiment inside a dish of which each eats a share. */
export function SharedDish({ day, meal, shares: known = [], close }: Props) {
  const [first] = known;
  const dish = first?.dish ?? null;
  const serve = useServeDish(first?.id ?? null);
  const typed = first?.id ?? 'dish';
  const manners = useServingStyles();
  const [batchId, setBatchId] = useTyped(`batchId ${typed}`, first?.batchId ?? day.jars[0]?.id ?? '');
  const [manner, setManner] = useTyped(`manner ${typed}`, first ? styleOf(first) : 'drained');
  const [isDish, setIsDish] = useTyped(`isDish ${typed}`, dish !== null);
  const [isCooked, setIsCooked] = useTyped(`isCooked ${typed}`, first?.isCooked ?? false);
  const [dishAmount, setDishAmount] = useTyped(`dishAmount ${typed}`, dish ? `${String(dish.grams)} g` : '30 g');
  const [left, setLeft] = useTyped(`left ${typed}`, () =>
    dish === null ? [] : day.people.map(({ id }) => id).filter((id) => !known.some((share) => share.personId === id)),
  );
  const [amounts, setAmounts] = useTyped<Record<string, string>>(`amounts ${typed}`, {});
  const [shares, setShares] = useTyped<Record<string, number>>(`shares ${typed}`, () =>
    Object.fromEntries(
      known.map((share) => [share.personId, Math.round((share.grams / (dish?.grams ?? share.grams)) * 1000) / 10]),
    ),
  );
  const jar = day.jars.find((one) => one.id === batchId);
  const usual = (personId: string) =>
    `${String(jar?.portions.find((one) => one.personId === personId)?.grams ?? 30)} g`;
  const ofPortion = (personId?: string) =>
    ({ kind: 'amount', of: 'portion', id: batchId, ...(personId === undefined ? {} : { personId }) }) as const;
  const eaters = day.people.filter((person) => !left.includes(person.id));
  const refusal = serve.error;
  const ofAll = refusal?.of('portions') ?? refusal?.of('serving') ?? refusal?.of('eatenOn');

  return (
    <SaveDrawer
      title={t('dish.title', { day: when(day.date, 'long') })}
      close={close}
      keepAs={first ? t('action.save') : t('eater.eaten')}
      isKeeping={serve.isPending}
      refusal={refusal}
      keep={() => {
        void serve
          .mutateAsync({
            batchId,
            portions: eaters.map((person) =>
              isDish
                ? { personId: person.id, share: (shares[person.id] ?? 100 / day.people.length) / 100 }
                : { personId: person.id, amount: amounts[person.id] ?? usual(person.id) },
            ),
            dishAmount: isDish ? dishAmount : null,
            ...styleRequest(manner),
            isCooked,
            eatenOn: day.date,
            meal: first ? null : meal,
          })
          .then(close, () => undefined);
      }}
    >
      <div className="fields">
        <Field label={t('portion.jar')} name="batchId" refusal={refusal} wide>
          <Choice value={batchId} onChange={setBatchId} options={jarsToChoose(day, first)} />
        </Field>
        <Field label={t('portion.how')} wide>
          <Choice value={shownStyle(manner, manners)} onChange={setManner} options={manners} />
        </Field>
      </div>
      {dish === null && (
        <Checkbox className="together-dish" checked={isDish} onChange={(event) => setIsDish(event.target.checked)}>
          {t('dish.is_dish')}
        </Checkbox>
      )}
      <Checkbox className="together-dish" checked={isCooked} onChange={(event) => setIsCooked(event.target.checked)}>
        {t('portion.cooked')}
      </Checkbox>
      {isDish && (
        <div className="fields">
          <Field label={t('dish.amount')} name="dishAmount" refusal={refusal} wide>
            <AmountInput asks={ofPortion()} offers={portionPhrases()} value={dishAmount} change={setDishAmount} />
          </Field>
        </div>
      )}
      {day.people.map((person) => {
        const at = eaters.indexOf(person);
        return (
          <div key={person.id} className="together-row">
            <Checkbox
              checked={at >= 0}
              onChange={(event) =>
                setLeft(event.target.checked ? left.filter((id) => id !== person.id) : [...left, person.id])
              }
            >
              {person.name}
            </Checkbox>
            {at >= 0 && (
              <Field
                label={isDish ? t('dish.share') : t('portion.amount')}
                name={`portions.${String(at)}.${isDish ? 'share' : 'amount'}`}
                refusal={refusal}
              >
                {isDish ? (
                  <NumberBox
                    aria-label={t('dish.share_of', { name: person.name })}
                    value={shares[person.id] ?? Math.floor(100 / day.people.length)}
                    suffix="%"
                    onChange={(share) => setShares({ ...shares, [person.id]: share ?? 0 })}
                  />
                ) : (
                  <AmountInput
                    asks={ofPortion(person.id)}
                    offers={portionPhrases()}
                    aria-label={t('serve.amount_for', { name: person.name })}
                    value={amounts[person.id] ?? usual(person.id)}
                    change={(amount) => setAmounts({ ...amounts, [person.id]: amount })}
                  />
                )}
              </Field>
            )}
          </div>
        );
      })}
      <Complaint>{ofAll}</Complaint>
    </SaveDrawer>
  );
}
