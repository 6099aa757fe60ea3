import { say, t } from '../../messages/words';
import { Button, Segmented } from 'antd';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import type { Kitchen, Refusal } from '../../api/client';
import { Field } from '../../app/Field';
import { usualSalt, type Amount, type Step } from './document';
import { Cuts } from '../bench/Cuts';
import { QuantityBox } from '../../app/QuantityBox';
import { FoodSelect } from '../../app/FoodSelect';

interface Props {
  step: Step;
  /** Its path in the document, for what is wrong with it. */
  path: string;
  change: (step: Step) => void;
  kitchen: Kitchen;
  refusal: Refusal | null;
}

const names: Record<string, string> = {
  vegetables: t('step_list.vegetables'),
  base: t('step_list.base'),
  alongside: t('step_list.alongside'),
  paste: t('step_list.paste'),
  additions: t('step_list.additions'),
};

const methodOf = (step: Step, kitchen: Kitchen) => kitchen.methods.find(({ id }) => id === step.method);

const foodOptions = (kitchen: Kitchen) => [
  { value: 'water', label: t('step_edit.water') },
  ...kitchen.ingredients.map((food) => ({ value: food.id, label: food.name })),
];

/** One step of a formula: a method with its foods, salt, water and starter, or a single addition. */
export function StepEditor({ step, path, change, kitchen, refusal }: Props) {
  if (step.kind === 'add') {
    return (
      <AmountRow
        kitchen={kitchen}
        amount={step as unknown as Amount}
        path={path}
        refusal={refusal}
        change={(amount) => change({ ...step, ...amount })}
      />
    );
  }
  const has = methodOf(step, kitchen)?.lists ?? [];

  return (
    <fieldset className="step">
      {has.map((list) => {
        const amounts = (step[list] ?? []) as Amount[];
        const set = (next: Amount[]) => change({ ...step, [list]: next });
        return (
          <div key={list}>
            <h3>{names[list]}</h3>
            {amounts.map((amount, i) => (
              <AmountRow
                key={i}
                kitchen={kitchen}
                amount={amount}
                path={`${path}.${list}[${i}]`}
                refusal={refusal}
                isCut={list === 'vegetables'}
                change={(next) => set(amounts.map((one, at) => (at === i ? next : one)))}
                remove={() => set(amounts.filter((_, at) => at !== i))}
              />
            ))}
            <Button
              size="small"
              onClick={() => set([...amounts, { ingredient: list === 'vegetables' ? 'carrot' : 'garlic', grams: 10 }])}
            >
              {list === 'vegetables' || list === 'base'
                ? t('step_edit.add_food')
                : t('step_edit.add_to', { list: (names[list] ?? '').toLowerCase() })}
            </Button>
          </div>
        );
      })}
      {step.water !== undefined && (
        <Field label={t('step_edit.water')} name={`${path}.water`} refusal={refusal}>
          <QuantityBox
            measures="grams"
            of={{ of: 'water' }}
            value={step.water}
            change={(water) => change({ ...step, water: water ?? 0 })}
          />
        </Field>
      )}
      {step.salt && <SaltRow step={step} path={`${path}.salt`} change={change} kitchen={kitchen} refusal={refusal} />}
      {step.starter && (
        <div className="amount-row">
          <Choice
            aria-label={t('step_edit.starter')}
            value={step.starter.liquid ?? ''}
            onChange={(liquid) => change({ ...step, starter: { grams: 50, ...step.starter, liquid } })}
            options={kitchen.ingredients
              .filter((food) => food.use === 'starter')
              .map((food) => ({ value: food.key, label: t('step_edit.as_starter', { food: food.name }) }))}
          />
          <QuantityBox
            measures="grams"
            of={ofFood(kitchen, step.starter.liquid ?? '')}
            aria-label={t('step_edit.starter_grams')}
            value={step.starter.grams}
            change={(grams) => change({ ...step, starter: { ...step.starter, grams: grams ?? 0 } })}
          />
        </div>
      )}
    </fieldset>
  );
}

/** Of which food of the kitchen an amount of the document is. */
const ofFood = (kitchen: Kitchen, key: string): { of: 'food'; id: string } | Record<string, never> => {
  const food = kitchen.ingredients.find((one) => one.key === key);

  return food === undefined ? {} : { of: 'food', id: food.id };
};

interface AmountProps {
  amount: Amount;
  path: string;
  kitchen: Kitchen;
  refusal: Refusal | null;
  change: (amount: Amount) => void;
  remove?: () => void;
  /** Whether it is cut up: what is salted is, what dresses it is not asked about. */
  isCut?: boolean;
}

function AmountRow({ amount, path, kitchen, refusal, change, remove, isCut = false }: AmountProps) {
  const food = kitchen.ingredients.find(({ key }) => key === amount.ingredient);
  const name = food?.name ?? amount.ingredient;
  const complaint = refusal?.of(`${path}.grams`) ?? refusal?.of(`${path}.ingredient`);

  return (
    <div>
      <div className="amount-row">
        <FoodSelect
          label={t('step_edit.food')}
          kitchen={kitchen}
          foods={foodOptions(kitchen)}
          value={food?.id ?? amount.ingredient}
          change={(id) =>
            change({
              ...amount,
              cuts: undefined,
              ingredient: kitchen.ingredients.find((one) => one.id === id)?.key ?? id,
            })
          }
        />
        <QuantityBox
          measures="grams"
          of={ofFood(kitchen, amount.ingredient)}
          aria-label={t('step_edit.grams_of', { food: name })}
          value={typeof amount.grams === 'number' ? amount.grams : amount.grams.typical}
          change={(grams) => change({ ...amount, grams: grams ?? 0 })}
        />
        {remove && (
          <Button type="text" aria-label={t('step_edit.remove', { food: name })} onClick={remove}>
            {t('action.remove')}
          </Button>
        )}
      </div>
      {isCut && food && food.shape !== 'pulp' && (
        <Cuts
          shape={food.shape}
          isRibbed={food.tissue === 'ribbed_leaf'}
          cuts={(amount.cuts ?? []).map(({ share, ...cut }) => ({ ...cut, percent: Math.round(share * 100) }))}
          change={(cuts) =>
            change({
              ...amount,
              cuts: cuts.map(({ percent, reachMm, ...cut }) => ({
                ...cut,
                share: percent / 100,
                ...(reachMm === null || reachMm === undefined ? {} : { reachMm }),
              })),
            })
          }
        />
      )}
      <Complaint>{complaint}</Complaint>
    </div>
  );
}

function SaltRow({ step, path, change, kitchen, refusal }: Props) {
  const salt = step.salt ?? { product: 'fine-sea', grams: 10 };
  const isShare = salt.share !== undefined;
  const method = methodOf(step, kitchen);
  const set = (part: object) => change({ ...step, salt: { ...salt, ...part } });
  const product = kitchen.salts.find((one) => one.key === salt.product);
  const ofSalt = product === undefined ? {} : ({ of: 'salt', id: product.id } as const);
  const complaint = ['share', 'grams', 'product', 'basis'].map((key) => refusal?.of(`${path}.${key}`)).find(Boolean);

  return (
    <div>
      <h3>{t('step_edit.salt')}</h3>
      <div className="amount-row">
        <Choice
          aria-label={t('step_edit.salt')}
          value={salt.product}
          onChange={(product: string) => set({ product })}
          options={kitchen.salts.map((one) => ({ value: one.key, label: one.name }))}
        />
        <Segmented
          aria-label={t('step_edit.salt_by')}
          value={isShare ? 'share' : 'grams'}
          onChange={(by) => {
            change({
              ...step,
              salt:
                by === 'share'
                  ? { product: salt.product, ...(method ? usualSalt(method) : { share: 0 }) }
                  : { product: salt.product, grams: 10 },
            });
          }}
          options={[
            { value: 'share', label: '%' },
            { value: 'grams', label: 'g' },
          ]}
        />
        {isShare ? (
          <>
            <QuantityBox
              measures="percent"
              of={ofSalt}
              aria-label={t('step_edit.salt_percent')}
              value={(salt.share ?? 0) * 100}
              change={(value) => set({ share: (value ?? 0) / 100 })}
            />
            <Choice
              aria-label={t('bench.strength_of')}
              value={salt.basis ?? method?.basis ?? ''}
              onChange={(basis: string) => set({ basis })}
              options={kitchen.bases.map((basis) => ({ value: basis.id, label: say(basis.label) }))}
            />
          </>
        ) : (
          <QuantityBox
            measures="grams"
            of={ofSalt}
            aria-label={t('step_edit.salt_grams')}
            value={salt.grams ?? 0}
            change={(grams) => set({ grams: grams ?? 0 })}
          />
        )}
      </div>
      <Complaint>{complaint}</Complaint>
    </div>
  );
}
