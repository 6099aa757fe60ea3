import { Fragment } from 'react';
import type { FormulaWorked } from '../../api/client';
import { Advice } from '../../app/Advice';
import { grams, mg, percent, sodium, sodiumBand } from '../../app/numbers';

/** What the core makes of a formula: a serving, the members, the salt against its floor, cautions. */
export function FormulaResult({ worked }: { worked: FormulaWorked }) {
  const { serving } = worked;
  const widest = serving.contributions[0];

  return (
    <aside className="worked" aria-label="What it comes to">
      <div>
        sodium in {grams(serving.grams)}
        <span className="figure" data-testid="formula-sodium">
          {sodium(serving.sodium)}
        </span>
        <span className="soft">
          {sodiumBand(serving.sodium)}
          {widest && `; the band comes mostly from ${widest.label}`}
        </span>
      </div>
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
                in {grams(member.grams)}, {percent(member.percentOfTarget)}
              </span>
            </span>
            {(member.allergens.length > 0 || member.dislikes.length > 0) && (
              <span className="worked-clash">
                {member.allergens.length > 0 && `not for ${member.name}: ${member.allergens.join(', ')}`}
                {member.allergens.length > 0 && member.dislikes.length > 0 && '; '}
                {member.dislikes.length > 0 && `does not like ${member.dislikes.join(', ')}`}
              </span>
            )}
          </Fragment>
        ))}
      </div>
      <div className="words">
        <span className={`word${worked.isLive ? ' is-live' : ''}`}>
          {worked.isLive ? 'live' : 'not live'}
        </span>
        {worked.allergens.map((allergen) => (
          <span key={allergen} className="word">
            {allergen}
          </span>
        ))}
        {worked.notFor.map((diet) => (
          <span key={diet} className="word">
            not {diet}
          </span>
        ))}
        {!worked.allergens.includes('milk') && <span className="word">no dairy</span>}
      </div>
      <Advice advice={worked.advice} />
      {worked.cautions.length > 0 && (
        <ul className="cautions" aria-label="Cautions">
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
function Floor({ strength }: { strength: FormulaWorked['strength'] }) {
  if (strength.percent === null || strength.percent === 0) {
    return null;
  }
  const most = Math.max(strength.percent, strength.floorPercent) * 1.25;
  const at = (share: number) => (share / most) * WIDE;
  const isShort = strength.percent < strength.floorPercent * 0.97;

  return (
    <div>
      <svg
        role="img"
        aria-label={`Salt ${percent(strength.percent)} ${strength.basis}, the floor is ${percent(strength.floorPercent)}`}
        viewBox={`0 0 ${WIDE} 30`}
        style={{ width: '100%', maxWidth: WIDE, display: 'block' }}
      >
        <rect x={0} y={14} width={WIDE} height={9} fill="none" stroke="var(--line-strong)" />
        <rect
          x={0}
          y={14}
          width={at(strength.percent)}
          height={9}
          fill={isShort ? 'var(--chilli)' : 'var(--wood)'}
        />
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
        salt {percent(strength.percent)} {strength.basis}; the method&apos;s floor is{' '}
        {percent(strength.floorPercent)}
      </span>
    </div>
  );
}
