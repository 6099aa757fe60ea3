import { Button } from 'antd';
import dayjs from 'dayjs';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Sodium } from '../../api/client';
import { useIntake } from '../../api/intake';
import { mg, percent, sodium, sodiumBand } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { byKind, IntakeChart } from '../../drawings/IntakeChart';
import { targetsBefore } from './targets';
import './IntakeView.css';

/** With its band, where that is wider than a label's rounding. */
const withBand = (mean: Sodium): string =>
  sodiumBand(mean) === '' ? sodium(mean) : `${sodium(mean)} (${sodiumBand(mean)})`;

/** One page for the eater’s clinician: some days, what they came from, and how it was reckoned. */
export function IntakeReport() {
  const { personId = '' } = useParams();
  const [asked] = useSearchParams();
  const query = useIntake({ personId, days: Number(asked.get('days') ?? 28) });
  if (!query.data) {
    return <PageState query={query} />;
  }
  const intake = query.data;
  const days = intake.days.length;

  return (
    <article className="report">
      <div className="report-does">
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>
        <Link className="as-button" to="/today/intake">
          Back
        </Link>
      </div>
      <h1>Sodium intake of {intake.person.name}</h1>
      <p>
        {dayjs(intake.from).format('D MMMM YYYY')} to {dayjs(intake.to).format('D MMMM YYYY')}. Target{' '}
        {mg(intake.person.targetMg)} of sodium a day ({intake.person.targetSource})
        {targetsBefore(intake) && `; ${targetsBefore(intake)}`}.
      </p>
      <IntakeChart days={intake.days} height={210} />
      <table>
        <thead>
          <tr>
            <th scope="col">From</th>
            <th scope="col">Mean a day</th>
            <th scope="col">Share</th>
          </tr>
        </thead>
        <tbody>
          {byKind.map((part) => (
            <tr key={part.key}>
              <th scope="row">
                <i style={{ background: part.colour }} /> {part.says}
              </th>
              <td>{mg(Math.round(part.all(intake) / days))}</td>
              <td>{percent((part.all(intake) / days / Math.max(1, intake.mean.sodium.typical)) * 100)}</td>
            </tr>
          ))}
          <tr>
            <th scope="row">All, {days} days</th>
            <td>{withBand(intake.mean.sodium)}</td>
            <td>{percent(intake.mean.percent)} of the target</td>
          </tr>
          {days > 7 && (
            <tr>
              <th scope="row">The last 7 days</th>
              <td>{withBand(intake.mean7.sodium)}</td>
              <td>{percent(intake.mean7.percent)} of the target</td>
            </tr>
          )}
        </tbody>
      </table>
      <p>
        Past the target on {intake.daysPast} of {days} days. {intake.live} live servings of {intake.kinds}{' '}
        {intake.kinds === 1 ? 'kind' : 'kinds'}; nothing live on {intake.without.length} days.
      </p>
      <h2>How it was reckoned</h2>
      <p className="report-method">
        Each home-made ferment has a ledger of its sodium: salt by weight or by measured spoon, sodium of the
        produce, starters and pastes, less what was poured off, rinsed or given away. Salt moves between
        pieces and brine by diffusion with temperature and time. A serving’s sodium is its weight at the
        composition of its jar at that moment, with the band that uncertain spoons, pieces and draining leave;
        bands of one jar add up, those of different jars add as squares. The rest of the diet is an estimate
        for each weekday and meal, or what was written down from labels (salt on European labels is sodium
        times 2.5). Figures are rounded as on nutrition labels. Home-kept, not measured in a laboratory; not
        medical advice.
      </p>
    </article>
  );
}
