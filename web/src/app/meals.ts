import type { Meal } from '../api/client';

/** The meals of a day, in their order. */
export const meals = ['morning', 'noon', 'evening'] as const satisfies Meal[];
