import { Fragment } from 'react';
import type { BenchAnswer, Sodium } from '../../api/client';
import { Advice } from '../../app/Advice';
import { grams, mg, ml, percent, sodium, sodiumBand } from '../../app/numbers';

/** What follows from what stands on the bench. */
export function BenchResult({ answer, isStale }: { answer: BenchAnswer; isStale: boolean }) {
  const { serving } = answer;

  return (
    <div className={`answer${isStale ? ' is-stale' : ''}`} aria-live="polite" aria-busy={isStale}>
      <Doses answer={answer} />
      <div className="answer-strengths">
        {answer.strengths.map((strength) => (
          <span key={strength.basis} className="soft">
            <b style={{ color: 'var(--ink)' }} data-testid={strength.basis}>
              {strength.percent === null ? '–' : percent(strength.percent)}
            </b>
            {strength.label}
            {isWide(strength) && (
              <span className="answer-band">
                {percent(strength.lowPercent)} to {percent(strength.highPercent)}
              </span>
            )}
          </span>
        ))}
      </div>
      <div className="answer-serving">
        sodium in {grams(serving.grams)} served
        <span className="figure" data-testid="serving-sodium">
          {sodium(serving.sodium)}
        </span>
        <span className="soft">
          {sodiumBand(serving.sodium) && `${sodiumBand(serving.sodium)}; `}
          {answer.servings} servings in {grams(Math.round(answer.makesGrams))}; in 100 g{' '}
          {answer.brinePer100g === null
            ? withBand(answer.piecesPer100g)
            : `pieces ${withBand(answer.piecesPer100g)}, brine ${withBand(answer.brinePer100g)}`}
        </span>
        <Widest answer={answer} />
        <div className="answer-shares">
          {serving.shares.map((share) => (
            <Fragment key={share.personId}>
              <span>{share.name}</span>
              <span className="share-bar" aria-hidden="true">
                <i style={{ width: `${String(share.percentOfTarget)}%` }} />
              </span>
              <span>
                {percent(share.percentOfTarget)} <span className="soft">of {mg(share.targetMg)}</span>
              </span>
            </Fragment>
          ))}
        </div>
        {answer.allergens.length > 0 && (
          <p className="soft answer-allergens">Contains {answer.allergens.join(', ')}.</p>
        )}
      </div>
      <Advice advice={answer.advice} />
    </div>
  );
}

/** "1,120 mg (970–1,260 mg)" */
const withBand = (value: Sodium): string =>
  sodium(value) + (sodiumBand(value) ? ` (${sodiumBand(value)})` : '');

type Strength = BenchAnswer['strengths'][number];

/** Whether the salt's own measure leaves the strength open by more than the eye can see. */
function isWide(strength: Strength): strength is Strength & { lowPercent: number; highPercent: number } {
  return (
    strength.lowPercent !== null &&
    strength.highPercent !== null &&
    percent(strength.lowPercent) !== percent(strength.highPercent)
  );
}

/** Salt and water to measure out, in grams and spoons. */
function Doses({ answer }: { answer: BenchAnswer }) {
  const { saltBand } = answer;

  return (
    <div className="answer-doses">
      <div>
        salt
        <span className="figure" data-testid="salt">
          {answer.saltIsSpooned ? answer.saltSpoons : grams(answer.saltGrams)}
        </span>
        <span className="soft">
          {answer.saltIsSpooned
            ? `about ${grams(answer.saltGrams)}, between ${grams(saltBand.low)} and ${grams(saltBand.high)}`
            : answer.saltGrams > 0 && `about ${answer.saltSpoons}, level`}
        </span>
      </div>
      {answer.waterGrams > 0 ? (
        <div>
          water
          <span className="figure" data-testid="water">
            {grams(answer.waterGrams)}
          </span>
          <span className="soft">
            makes {ml(answer.brineMl)} brine
            {answer.spareBrineMl >= 1 && `, ${ml(answer.spareBrineMl)} to spare`}
          </span>
        </div>
      ) : (
        <div>
          {answer.brinePer100g === null ? 'base' : 'vegetable'}
          <span className="figure" data-testid="vegetable">
            {grams(answer.vegetableGrams)}
          </span>
          <span className="soft">
            {answer.starter
              ? `with ${grams(answer.starter.grams)} of ${answer.starter.name}`
              : answer.brinePer100g !== null && 'no water; it makes its own juice'}
          </span>
        </div>
      )}
    </div>
  );
}

/** What makes most of the band, and what would narrow it. */
function Widest({ answer: { serving } }: { answer: BenchAnswer }) {
  const widest = serving.contributions[0];
  if (!widest || widest.sharePercent < 25) {
    return null;
  }

  return (
    <p className="soft answer-widest">
      {Math.round(widest.sharePercent)} % of that band is {widest.label}
      {widest.remedy &&
        sodiumBand(widest.without) !== sodiumBand(serving.sodium) &&
        `; ${widest.remedy}, and it is ${sodiumBand(widest.without) || sodium(widest.without)}`}
      .
    </p>
  );
}
