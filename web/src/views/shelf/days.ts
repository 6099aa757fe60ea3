/** "today", "1 day", "16 days" */
export const days = (count: number): string =>
  count === 0 ? 'today' : count === 1 ? '1 day' : `${count} days`;
