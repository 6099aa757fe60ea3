import { say, t, T } from '../messages/words';
import type { Savings as Found } from '../api/client';
import { mg, percent, sodium } from './numbers';

/** Changes of a serving, the gentlest that is enough first, each with what it saves and what it costs. */
export function Savings({ found }: { found: Found }) {
  if (found.savings.length === 0) {
    return (
      <p className="soft">
        {found.wantedMg === null ? t('saving.none') : t('saving.already', { sodium: sodium(found.sodium) })}
      </p>
    );
  }

  return (
    <ul className="quiet-list savings" aria-label={t('saving.title')}>
      {found.savings.map((one) => (
        <li key={one.kind + one.text}>
          <span>
            {say(one.text)}
            {one.cost !== null && <span className="soft"> · {say(one.cost)}</span>}
          </span>
          <span>
            <T
              m="saving.line"
              v={{
                saves: mg(Math.round(one.savesMg)),
                percent: percent(one.savesPercent),
                then: mg(Math.round(one.milligrams)),
                isShort: found.wantedMg !== null && !one.isEnough,
                b0: (c) => <b>{c}</b>,
              }}
            />
          </span>
        </li>
      ))}
    </ul>
  );
}
