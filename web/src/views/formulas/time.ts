/** Days as a cook says them: "8 hours", "10 days", "3 weeks"; "at once" for none. */
export function time(days: number): string {
  if (days <= 0) {
    return 'at once';
  }
  if (days < 1) {
    return `${Math.max(1, Math.round(days * 24))} hours`;
  }
  if (days >= 21 && days % 7 === 0) {
    return `${days / 7} weeks`;
  }
  return days === 1 ? '1 day' : `${Math.round(days * 10) / 10} days`;
}
