import { say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import type { ReactNode } from 'react';
import type { Intake } from '../../api/client';
import { mg, percent, sodiumWithBand } from '../../app/numbers';
import { byKind, IntakeChart } from '../../drawings/IntakeChart';
import { targetsBefore } from './targets';
import './IntakeView.css';

/** Sources that are named one by one. */
const LARGEST = 5;

/** The same mean as a clinic and as a salt shaker count it. */
function InOtherUnits({ mean }: { mean: Intake['mean'] }) {
  return (
    <>
      <td>{Math.round(mean.mmol)}</td>
      <td>{t('report.salt_grams', { grams: mean.saltGrams })}</td>
    </>
  );
}

/** One page for the eater’s clinician: some days, what they came from, and how it was reckoned. */
export function ReportSheet({ intake, children }: { intake: Intake; children: ReactNode }) {
  const days = intake.days.length;

  return (
    <article className="report">
      <div className="report-does">{children}</div>
      <h1>{t('report.title', { name: intake.person.name })}</h1>
      <p>
        {t('report.span', {
          from: when(intake.from, 'full'),
          to: when(intake.to, 'full'),
          target: mg(intake.person.targetMg),
          source: say(intake.person.targetSource),
          before: targetsBefore(intake) || 'none',
        })}
      </p>
      <IntakeChart days={intake.days} height={210} />
      <table>
        <thead>
          <tr>
            <th scope="col">{t('report.source')}</th>
            <th scope="col">{t('report.mean')}</th>
            <th scope="col">{t('report.mmol')}</th>
            <th scope="col">{t('report.salt')}</th>
            <th scope="col">{t('report.share')}</th>
          </tr>
        </thead>
        <tbody>
          {byKind.map((part) => (
            <tr key={part.key}>
              <th scope="row">
                <i style={{ background: part.colour }} /> {part.says}
              </th>
              <td>{mg(Math.round(part.all(intake) / days))}</td>
              <td />
              <td />
              <td>{percent((part.all(intake) / days / Math.max(1, intake.mean.sodium.typical)) * 100)}</td>
            </tr>
          ))}
          <tr>
            <th scope="row">{t('report.all', { days })}</th>
            <td>{sodiumWithBand(intake.mean.sodium)}</td>
            <InOtherUnits mean={intake.mean} />
            <td>{t('report.of_target', { percent: percent(intake.mean.percent) })}</td>
          </tr>
          {days > 7 && (
            <tr>
              <th scope="row">{t('report.last_7')}</th>
              <td>{sodiumWithBand(intake.mean7.sodium)}</td>
              <InOtherUnits mean={intake.mean7} />
              <td>{t('report.of_target', { percent: percent(intake.mean7.percent) })}</td>
            </tr>
          )}
        </tbody>
      </table>
      <p>
        {t('report.summary', {
          over: intake.daysPast,
          days,
          live: intake.live,
          kinds: intake.kinds,
          without: intake.without.length,
        })}
      </p>
      <p>
        {t('report.entered', {
          written: intake.daysWritten,
          days,
          low: mg(Math.round(intake.spread.lowMg)),
          high: mg(Math.round(intake.spread.highMg)),
        })}
      </p>
      <p>{t('report.parts', { jars: sodiumWithBand(intake.mean.jars), rest: sodiumWithBand(intake.mean.rest) })}</p>
      <p>
        {t('report.by_meal', {
          morning: mg(Math.round(intake.byMeal.morning)),
          noon: mg(Math.round(intake.byMeal.noon)),
          evening: mg(Math.round(intake.byMeal.evening)),
          none: intake.byMeal.none >= 1 ? mg(Math.round(intake.byMeal.none)) : 'none',
        })}
      </p>
      {intake.targets.length > 0 && (
        <>
          <h2>{t('report.targets')}</h2>
          <ul className="quiet-list">
            {intake.targets.map((target) => (
              <li key={target.until}>
                {t('report.target_until', {
                  day: when(target.until, 'full'),
                  target: mg(target.targetMg),
                  source: say(target.targetSource),
                })}
              </li>
            ))}
          </ul>
        </>
      )}
      {intake.sources.length > 0 && (
        <>
          <h2>{t('report.largest')}</h2>
          <ul className="quiet-list">
            {intake.sources.slice(0, LARGEST).map((source) => (
              <li key={source.batchId}>
                {source.name}:{' '}
                {t('report.per_portion', {
                  mg: mg(Math.round(source.milligrams / Math.max(1, source.servings))),
                  count: source.servings,
                })}
              </li>
            ))}
          </ul>
        </>
      )}
      <dl className="report-lines">
        <dt>{t('report.blood_pressure')}</dt>
        <dd />
        <dt>{t('report.weight')}</dt>
        <dd />
      </dl>
      <p className="soft">{t('report.printed', { day: when(intake.today, 'full') })}</p>
      <h2>{t('report.how_title')}</h2>
      <p className="report-method">{t('report.how')}</p>
    </article>
  );
}
