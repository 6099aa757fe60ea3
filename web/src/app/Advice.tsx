import type { BenchAnswer } from '../api/client';

const weightWords = { note: 'Good to know', careful: 'Mind this', stop: 'This cannot be' } as const;

/** What the core has to say, heaviest first; nothing when it has nothing. */
export function Advice({ advice }: { advice: BenchAnswer['advice'] }) {
  return advice.length === 0 ? null : (
    <ul className="quiet-list advice" aria-label="Advice">
      {advice.map((one) => (
        <li key={one.code} className={one.weight}>
          <b>{weightWords[one.weight]}</b>
          {one.text}
        </li>
      ))}
    </ul>
  );
}
