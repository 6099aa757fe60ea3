import { when } from '../../messages/dates';
import { joined, say, t, T } from '../../messages/words';
import { Fragment } from 'react';
import type { BenchAnswer, Sodium } from '../../api/client';
import { Advice } from '../../app/Advice';
import { PieceKinds } from '../../drawings/PieceKinds';
import { Term } from '../../app/Term';
import { grams, mg, ml, percent, sodium, sodiumBand } from '../../app/numbers';

/** What follows from what stands on the bench. */
interface Props {
  answer: BenchAnswer;
  isStale: boolean;
  colour: string;
  /** Whether it is eaten on its second day in the fridge. */
  isQuick: boolean;
}

export function BenchResult({ answer, isStale, colour, isQuick }: Props) {
  const { serving } = answer;

  return (
    <div className={`answer${isStale ? ' is-stale' : ''}`} aria-live="polite" aria-busy={isStale}>
      <Doses answer={answer} />
      <div className="answer-strengths">
        {answer.strengths.map((strength) => (
          <span key={strength.basis} className="soft">
            <b style={{ color: 'var(--ink)' }} data-testid={strength.basis}>
              {strength.percent === null ? '–' : percent(strength.percent)}
            </b>{' '}
            {say(strength.label)}
            {isWide(strength) && (
              <span className="answer-band">
                {t('bench.range', { low: percent(strength.lowPercent), high: percent(strength.highPercent) })}
              </span>
            )}
          </span>
        ))}
      </div>
      <div className="answer-serving">
        {t('bench.sodium_in', { grams: grams(serving.grams) })}{' '}
        {serving.on
          ? t('bench.meant_on', { day: when(serving.on, 'weekdayDate') })
          : answer.isAtEquilibrium && <Term name="equilibrium" />}
        {isQuick && serving.on === null && t('bench.second_day')}
        <span className="figure" data-testid="serving-sodium">
          {sodium(serving.sodium)}
        </span>
        <span className="soft">
          {t(answer.brinePer100g === null ? 'bench.per_100_one' : 'bench.per_100', {
            band: sodiumBand(serving.sodium) || 'none',
            servings: answer.servings,
            makes: grams(Math.round(answer.makesGrams)),
            pieces: withBand(answer.piecesPer100g),
            brine: answer.brinePer100g === null ? '' : withBand(answer.brinePer100g),
          })}
        </span>
        <PieceKinds kinds={answer.kinds} colour={colour} />
        <Widest answer={answer} />
        <div className="answer-shares">
          {serving.shares.map((share) => (
            <Fragment key={share.personId}>
              <span>{share.name}</span>
              <span className="share-bar" aria-hidden="true">
                <i style={{ width: `${String(share.percentOfTarget)}%` }} />
              </span>
              <span>
                <T
                  m="bench.share_of"
                  v={{
                    percent: percent(share.percentOfTarget),
                    target: mg(share.targetMg),
                    s0: (c) => <span className="soft">{c}</span>,
                  }}
                />
              </span>
            </Fragment>
          ))}
        </div>
        {answer.allergens.length > 0 && (
          <p className="soft answer-allergens">
            {t('bench.contains', { allergens: joined(answer.allergens.map((one) => t(`allergen.${one}`))) })}
          </p>
        )}
      </div>
      <Advice advice={answer.advice} />
    </div>
  );
}

/** "1,120 mg (970–1,260 mg)" */
const withBand = (value: Sodium): string => sodium(value) + (sodiumBand(value) ? ` (${sodiumBand(value)})` : '');

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
        {t('bench.dose_salt')}
        <span className="figure" data-testid="salt">
          {answer.saltIsSpooned ? say(answer.saltSpoons) : grams(answer.saltGrams)}
        </span>
        <span className="soft">
          {answer.saltIsSpooned
            ? t('bench.salt_spooned', {
                grams: grams(answer.saltGrams),
                low: grams(saltBand.low),
                high: grams(saltBand.high),
              })
            : answer.saltGrams > 0 && t('bench.salt_weighed', { spoons: say(answer.saltSpoons) })}
        </span>
      </div>
      {answer.waterGrams > 0 ? (
        <div>
          {t('bench.dose_water')}
          <span className="figure" data-testid="water">
            {grams(answer.waterGrams)}
          </span>
          <span className="soft">
            {t('bench.makes_brine', {
              ml: ml(answer.brineMl),
              spare: answer.spareBrineMl >= 1 ? ml(answer.spareBrineMl) : 'none',
            })}
          </span>
        </div>
      ) : (
        <div>
          {t(answer.brinePer100g === null ? 'bench.dose_base' : 'bench.dose_vegetable')}
          <span className="figure" data-testid="vegetable">
            {grams(answer.vegetableGrams)}
          </span>
          <span className="soft">
            {answer.starter
              ? t('bench.with_starter', { grams: grams(answer.starter.grams), name: answer.starter.name })
              : answer.brinePer100g !== null && t('bench.own_juice')}
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
      {t('bench.band', {
        percent: Math.round(widest.sharePercent),
        what: say(widest.label),
        how: sodiumBand(widest.without) !== sodiumBand(serving.sodium) ? (say(widest.remedy) ?? 'none') : 'none',
        then: sodiumBand(widest.without) || sodium(widest.without),
      })}
    </p>
  );
}
