/**
 * How often a view that stays open while others write looks for news, in ms: Today and the counter. Every other view asks
 * again when it is looked at again.
 */
export const NEWS_EVERY_MS = 10_000;
