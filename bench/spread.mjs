/** Times in ms, in words. */
export function spread(times) {
  const sorted = times.toSorted((a, b) => a - b);
  const at = (share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))].toFixed(1);
  return `median ${at(0.5)} ms, 95 % within ${at(0.95)} ms, slowest ${at(1)} ms`;
}
