import {
  answered,
  api,
  type FoodFields,
  type HoldDownFields,
  type HouseholdFields,
  type JarFields,
  type PersonFields,
  type SaltFields,
  type WeighedMeasure,
} from './client';
import { defineChange, keyed } from './change';

/*
 * What the kitchen owns and who eats there. Each is added whole or changed by what changed of it; each answer is the
 * kitchen as it then is.
 */

export const useChangeHousehold = defineChange(
  'change the household',
  'kitchen',
  () => (body: HouseholdFields, key) => answered(api.PUT('/household', { params: keyed(key), body })),
);

export const useSavePerson = defineChange(
  'save a person',
  'kitchen',
  (person: string | null) => (body: PersonFields, key) =>
    answered(
      person === null
        ? api.POST('/people', { params: keyed(key), body })
        : api.PUT('/people/{person}', { params: { path: { person }, ...keyed(key) }, body }),
    ),
);

export const useRemovePerson = defineChange(
  'remove a person',
  'kitchen',
  () => (person: string, key) =>
    answered(api.DELETE('/people/{person}', { params: { path: { person }, ...keyed(key) } })),
  { subject: (person) => person },
);

export const useSaveSalt = defineChange(
  'save a salt',
  'kitchen',
  (salt: string | null) => (body: SaltFields, key) =>
    answered(
      salt === null
        ? api.POST('/salts', { params: keyed(key), body })
        : api.PUT('/salts/{salt}', { params: { path: { salt }, ...keyed(key) }, body }),
    ),
);

export const useRemoveSalt = defineChange(
  'remove a salt',
  'kitchen',
  () => (salt: string, key) => answered(api.DELETE('/salts/{salt}', { params: { path: { salt }, ...keyed(key) } })),
  { subject: (salt) => salt },
);

export const useCalibrateSalt = defineChange(
  'calibrate a salt',
  'kitchen',
  (salt: string) => (body: { grams: number; spoon: 'tsp' | 'tbsp' }, key) =>
    answered(api.PUT('/salts/{salt}/calibration', { params: { path: { salt }, ...keyed(key) }, body })),
);

export const useRemoveCalibration = defineChange(
  'forget a calibration',
  'kitchen',
  (salt: string) => (_: undefined, key) =>
    answered(api.DELETE('/salts/{salt}/calibration', { params: { path: { salt }, ...keyed(key) } })),
);

export const useSaveFood = defineChange(
  'save a food',
  'kitchen',
  (food: string | null) => (body: FoodFields, key) =>
    answered(
      food === null
        ? api.POST('/foods', { params: keyed(key), body })
        : api.PUT('/foods/{food}', { params: { path: { food }, ...keyed(key) }, body }),
    ),
);

export const useRemoveFood = defineChange(
  'remove a food',
  'kitchen',
  (food: string) => (_: undefined, key) =>
    answered(api.DELETE('/foods/{food}', { params: { path: { food }, ...keyed(key) } })),
);

export const useRestoreFood = defineChange(
  'restore a food',
  'kitchen',
  (food: string) => (_: undefined, key) =>
    answered(api.POST('/foods/{food}/restoration', { params: { path: { food }, ...keyed(key) } })),
);

export const useSaveJar = defineChange(
  'save a jar',
  'kitchen',
  (jar: string | null) => (body: JarFields, key) =>
    answered(
      jar === null
        ? api.POST('/jars', { params: keyed(key), body })
        : api.PUT('/jars/{jar}', { params: { path: { jar }, ...keyed(key) }, body }),
    ),
);

export const useRemoveJar = defineChange(
  'remove a jar',
  'kitchen',
  () => (jar: string, key) => answered(api.DELETE('/jars/{jar}', { params: { path: { jar }, ...keyed(key) } })),
  { subject: (jar) => jar },
);

/** A forkful or a spoonful as it was weighed; a weight of nothing forgets it. */
export const useWeighMeasure = defineChange(
  'weigh a measure',
  'kitchen',
  () => (body: WeighedMeasure, key) => answered(api.PUT('/weighed-measures', { params: keyed(key), body })),
  { subject: ({ what, family, personId }) => `${what} ${family} ${personId ?? ''}` },
);

export const useSaveHoldDown = defineChange(
  'save a weight',
  'kitchen',
  (holdDown: string | null) => (body: HoldDownFields, key) =>
    answered(
      holdDown === null
        ? api.POST('/hold-downs', { params: keyed(key), body })
        : api.PUT('/hold-downs/{holdDown}', { params: { path: { holdDown }, ...keyed(key) }, body }),
    ),
);

export const useRemoveHoldDown = defineChange(
  'remove a weight',
  'kitchen',
  () => (holdDown: string, key) =>
    answered(api.DELETE('/hold-downs/{holdDown}', { params: { path: { holdDown }, ...keyed(key) } })),
  { subject: (holdDown) => holdDown },
);
