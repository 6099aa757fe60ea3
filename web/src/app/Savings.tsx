import type { Savings as Found } from '../api/client';
import { mg, percent, sodium } from './numbers';

/** Changes of a serving, the gentlest that is enough first, each with what it saves and what it costs. */
export function Savings({ found }: { found: Found }) {
  if (found.savings.length === 0) {
    return (
      <p className="soft">
        {found.wantedMg === null
          ? 'Nothing gentle would change much.'
          : `It holds ${sodium(found.sodium)}, no more than that as it is.`}
      </p>
    );
  }

  return (
    <ul className="quiet-list savings" aria-label="What would save sodium">
      {found.savings.map((one) => (
        <li key={one.kind + one.text}>
          <span>
            {one.text}
            {one.cost !== null && <span className="soft"> · {one.cost}</span>}
          </span>
          <span>
            <b>−{mg(Math.round(one.savesMg))}</b> ({percent(one.savesPercent)}), then{' '}
            {mg(Math.round(one.milligrams))}
            {found.wantedMg !== null && !one.isEnough && ', not enough by itself'}
          </span>
        </li>
      ))}
    </ul>
  );
}
