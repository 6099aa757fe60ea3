import { Button } from 'antd';
import { mg } from '../../app/numbers';
import type { WeekActions } from './WeekView';

/** What does not go together, in words, and what would help. */
export function Conflicts({ hands }: { hands: WeekActions }) {
  const { week, change } = hands;

  return (
    <section aria-label="What does not go together" className="conflicts" id="conflicts">
      <h2>
        {week.conflicts.length === 0
          ? 'Everything goes together'
          : `${String(week.conflicts.length)} ${week.conflicts.length === 1 ? 'thing does' : 'things do'} not go together`}
      </h2>
      <ul className="quiet-list">
        {week.conflicts.map((conflict) => (
          <li
            key={`${conflict.code} ${conflict.personId ?? ''} ${conflict.date ?? ''} ${conflict.batchId ?? ''}`}
            className={conflict.code}
          >
            <p>{conflict.text}</p>
            <div className="words">
              {conflict.levers.map((lever) => (
                <Button
                  key={`${lever.servingId} ${lever.text}`}
                  title={lever.cost ?? undefined}
                  onClick={() => {
                    const serving = week.servings.find((one) => one.id === lever.servingId);
                    if (serving) {
                      change(serving, lever.instead, lever.text);
                    }
                  }}
                >
                  {lever.text}
                  <span className="lever-saves">
                    {Math.abs(lever.savesMg) >= 1 &&
                      (lever.savesMg > 0
                        ? `−${mg(Math.round(lever.savesMg))}`
                        : `+${mg(Math.round(-lever.savesMg))}`)}
                    {!lever.isEnough && ', not enough by itself'}
                  </span>
                </Button>
              ))}
            </div>
          </li>
        ))}
      </ul>
      <p className="soft">
        Less sodium comes from draining, rinsing, smaller portions and other days, never from less salt in the
        jar. Targets belong to the eater and their clinician.
      </p>
    </section>
  );
}
