import { Fragment } from 'react';
import type { BenchAnswer } from '../../api/client';
import { grams, mg, ml, percent, sodium, sodiumBand } from '../../app/numbers';

const weightWords = { note: 'Good to know', careful: 'Mind this', stop: 'This cannot be' } as const;

/** What follows from what stands on the bench. */
export function Answer({ answer, isStale }: { answer: BenchAnswer; isStale: boolean }) {
  const { serving } = answer;
  const widest = serving.contributions[0];

  return (
    <div className={`answer${isStale ? ' is-stale' : ''}`} aria-live="polite" aria-busy={isStale}>
      <div className="answer-doses">
        <div>
          salt
          <span className="figure" data-testid="salt">
            {answer.saltIsSpooned ? answer.saltSpoons : grams(answer.saltGrams)}
          </span>
          <span className="soft">
            {answer.saltIsSpooned ? `about ${grams(answer.saltGrams)}` : `about ${answer.saltSpoons}, level`}
          </span>
        </div>
        {answer.waterGrams > 0 ? (
          <div>
            water
            <span className="figure">{grams(answer.waterGrams)}</span>
            <span className="soft">
              makes {ml(answer.brineMl)} brine
              {answer.spareBrineMl >= 1 && `, ${ml(answer.spareBrineMl)} to spare`}
            </span>
          </div>
        ) : (
          <div>
            vegetable
            <span className="figure">{grams(answer.vegetableGrams)}</span>
            <span className="soft">no water; it makes its own juice</span>
          </div>
        )}
      </div>
      <div className="answer-strengths">
        {answer.strengths.map((strength) => (
          <span key={strength.basis} className="soft">
            <b style={{ color: 'var(--ink)' }}>
              {strength.percent === null ? '–' : percent(strength.percent)}
            </b>
            {strength.label}
          </span>
        ))}
      </div>
      <div className="answer-serving">
        sodium in {grams(serving.grams)} served
        <span className="figure" data-testid="serving-sodium">
          {sodium(serving.sodium)}
        </span>
        <span className="soft">
          {sodiumBand(serving.sodium)}; {answer.servings} servings; pieces{' '}
          {mg(Math.round(answer.piecesPer100g))}
          {answer.brinePer100g !== null && `, brine ${mg(Math.round(answer.brinePer100g))}`} in 100 g
        </span>
        {widest && widest.sharePercent >= 25 && (
          <p className="soft" style={{ margin: '4px 0 0', fontSize: 14 }}>
            {Math.round(widest.sharePercent)} % of that band is {widest.label}
            {widest.remedy &&
              sodiumBand(widest.without) !== sodiumBand(serving.sodium) &&
              `; ${widest.remedy}, and it is ${sodiumBand(widest.without) || sodium(widest.without)}`}
            .
          </p>
        )}
        <div className="answer-shares">
          {serving.shares.map((share) => (
            <Fragment key={share.personId}>
              <span>{share.name}</span>
              <span className="share-bar" aria-hidden="true">
                <i style={{ width: `${share.percentOfTarget}%` }} />
              </span>
              <span>
                {percent(share.percentOfTarget)} <span className="soft">of {mg(share.targetMg)}</span>
              </span>
            </Fragment>
          ))}
        </div>
      </div>
      {answer.advice.length > 0 && (
        <ul className="quiet-list advice" aria-label="Advice">
          {answer.advice.map((advice) => (
            <li key={advice.code} className={advice.weight}>
              <b>{weightWords[advice.weight]}</b>
              {advice.text}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
