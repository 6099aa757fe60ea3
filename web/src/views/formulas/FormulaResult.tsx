import { joined, named, say, t } from '../../messages/words';
import { Fragment } from 'react';
import type { ComputedFormula } from '../../api/client';
import { Advice } from '../../app/Advice';
import { PieceKinds } from '../../drawings/PieceKinds';
import { grams, mg, percent, sodium, sodiumBand } from '../../app/numbers';

/** What the core makes of a formula: a serving, the members, the salt against its floor, cautions. */
export function FormulaResult({ worked }: { worked: ComputedFormula }) {
  const { serving } = worked;
  const widest = serving.contributions[0];

  return (
    <aside className="worked" aria-label={t('formula.result')}>
      <div>
        {t('formula.sodium_in', { grams: grams(serving.grams) })}
        <span className="figure" data-testid="formula-sodium">
          {sodium(serving.sodium)}
        </span>
        <span className="soft">
          {widest
            ? t('formula.band', { band: sodiumBand(serving.sodium), what: say(widest.label) })
            : sodiumBand(serving.sodium)}
        </span>
      </div>
      {serving.potassium && <p className="soft">{say(serving.potassium)}</p>}
      <PieceKinds kinds={worked.kinds} colour={worked.colour} />
      <Floor strength={worked.strength} />
      <div className="worked-members">
        {worked.members.map((member) => (
          <Fragment key={member.personId}>
            <span>{member.name}</span>
            <span className="share-bar" aria-hidden="true">
              <i style={{ width: `${Math.min(100, member.percentOfTarget)}%` }} />
            </span>
            <span>
              {mg(member.sodiumMg)}{' '}
              <span className="soft">
                {t('formula.member', {
                  grams: grams(member.grams),
                  percent: percent(member.percentOfTarget),
                })}
              </span>
            </span>
            {(member.allergens.length > 0 || member.dislikes.length > 0) && (
              <span className="worked-clash">
                {member.allergens.length > 0 &&
                  t('formula.not_for', {
                    name: member.name,
                    allergens: joined(member.allergens.map((one) => named('allergen', one))),
                  })}
                {member.allergens.length > 0 && member.dislikes.length > 0 && '; '}
                {member.dislikes.length > 0 && t('formula.dislikes', { foods: joined(member.dislikes) })}
              </span>
            )}
          </Fragment>
        ))}
      </div>
      <div className="words">
        <span className={`word${worked.isLive ? ' is-live' : ''}`}>
          {t(worked.isLive ? 'formula.live' : 'formula.not_live')}
        </span>
        {worked.allergens.map((allergen) => (
          <span key={allergen} className="word">
            {named('allergen', allergen)}
          </span>
        ))}
        {worked.notFor.map((diet) => (
          <span key={diet} className="word">
            {t('formula.not_diet', { diet: named('diet', diet) })}
          </span>
        ))}
        {!worked.allergens.includes('milk') && <span className="word">{t('formula.no_dairy')}</span>}
      </div>
      <Advice advice={worked.advice} />
      {worked.cautions.length > 0 && (
        <ul className="cautions" aria-label={t('formula.cautions')}>
          {worked.cautions.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      )}
    </aside>
  );
}

const WIDE = 300;

/** The salt that goes in against the least that the method should have. */
function Floor({ strength }: { strength: ComputedFormula['strength'] }) {
  // A method without a least share is not salted for its safety.
  if (strength.percent === null || strength.floorPercent === 0) {
    return null;
  }
  const most = Math.max(strength.percent, strength.floorPercent) * 1.25;
  const at = (share: number) => (share / most) * WIDE;
  const isShort = strength.percent < strength.floorPercent * 0.97;

  return (
    <div>
      <svg
        role="img"
        aria-label={t('formula.strength_bar', {
          strength: say(strength.text),
          least: percent(strength.floorPercent),
        })}
        viewBox={`0 0 ${WIDE} 30`}
        style={{ width: '100%', maxWidth: WIDE, display: 'block' }}
      >
        <rect x={0} y={14} width={WIDE} height={9} fill="none" stroke="var(--line-strong)" />
        <rect x={0} y={14} width={at(strength.percent)} height={9} fill={isShort ? 'var(--chilli)' : 'var(--wood)'} />
        <line
          x1={at(strength.floorPercent)}
          x2={at(strength.floorPercent)}
          y1={8}
          y2={28}
          stroke="var(--ink)"
          strokeWidth={2}
        />
      </svg>
      <span className="soft">
        {t('formula.strength', { strength: say(strength.text), least: percent(strength.floorPercent) })}
      </span>
    </div>
  );
}
