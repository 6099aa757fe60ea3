import { expect, it } from 'vitest';
import type { Kitchen, KitchenMethod } from '../../web/src/api/client';
import { forMethod, type Draft } from '../../web/src/views/bench/draft';
import { begun, byMethod, tidy, type Document } from '../../web/src/views/formulas/document';

const method = (id: string, part: object): KitchenMethod =>
  ({
    id,
    label: id,
    basis: 'of_water',
    percent: 3.3,
    headspaceMm: 20,
    lists: ['vegetables'],
    hasPouredBrine: true,
    takesStarter: true,
    portionGrams: 37,
    begins: {
      isLive: true,
      serving: { phase: 'pieces', grams: 37 },
      vessel: { nominalMl: 946, headspaceMm: 20, cover: 'airlock' },
      window: { youngDays: 4, readyDays: 9, longDays: 28, celsius: 20 },
    },
    ...part,
  }) as unknown as KitchenMethod;

const poured = method('poured_brine', {});
const drained = method('salt_and_drain', {
  basis: 'of_vegetable',
  percent: 2.7,
  lists: ['vegetables', 'alongside', 'paste'],
  hasPouredBrine: false,
  takesStarter: false,
});
const condiment = method('cultured_condiment', { lists: ['base'], percent: 1.1, hasPouredBrine: false });

it('begins a formula as the method usually is', () => {
  const document = begun(poured);

  expect(document).toMatchObject({ method: 'poured_brine', ...poured.begins });
  expect(document.steps[0]?.salt).toEqual({ product: 'fine-sea', share: 0.033, basis: 'of_water' });
  expect(document.steps[0]?.water).toBeGreaterThan(0);
});

it('keeps foods and leaves out what another method cannot use', () => {
  const written = begun(poured);
  const old: Document = {
    ...written,
    steps: [{ ...written.steps[0], kind: 'process', starter: { liquid: 'whey', grams: 50 } }],
  };
  const next = byMethod(old, drained);

  expect(next.steps[0]?.vegetables).toEqual(old.steps[0]?.vegetables);
  expect(next.steps[0]).not.toHaveProperty('water');
  expect(next.steps[0]).not.toHaveProperty('starter');
  expect(next.steps[0]?.salt).toMatchObject({ share: 0.027, basis: 'of_vegetable' });
  expect(byMethod(old, condiment).steps[0]).toMatchObject({
    base: old.steps[0]?.vegetables,
    starter: { liquid: 'whey', grams: 50 },
  });
});

it('sends no empty lines', () => {
  expect(tidy({ ...begun(poured), summary: ' ', work: ['Cut.', '  ', ''] })).toMatchObject({
    work: ['Cut.'],
  });
  expect(tidy({ ...begun(poured), summary: ' ' })).not.toHaveProperty('summary');
});

it('puts the bench as it usually is for another method', () => {
  const kitchen = { methods: [poured, condiment], ingredients: [{ id: 'i1', key: 'oats', use: 'pantry' }] };
  const draft = { vegetableId: 'i1', saltAmount: '9 g' } as unknown as Draft;

  expect(forMethod(draft, kitchen as unknown as Kitchen, 'cultured_condiment')).toMatchObject({
    strengthPercent: '1.1',
    servingAmount: '37 g',
    vegetableId: 'i1',
    fixed: 'strength',
  });
});
