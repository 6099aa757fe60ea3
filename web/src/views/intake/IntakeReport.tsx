import { t } from '../../messages/words';
import { Button } from 'antd';
import { Link, useParams, useSearchParams } from 'react-router';
import { useIntake } from '../../api/intake';
import { PageState } from '../../app/PageState';
import { ReportSheet } from './ReportSheet';

/** What one person ate, for the clinician, as it is printed. */
export function IntakeReport() {
  const { personId = '' } = useParams();
  const [asked] = useSearchParams();
  const query = useIntake({ personId, days: Number(asked.get('days') ?? 28) });
  if (!query.data) {
    return <PageState query={query} />;
  }

  return (
    <ReportSheet intake={query.data}>
      <Button type="primary" onClick={() => window.print()}>
        {t('action.print')}
      </Button>
      <Link className="as-button" to="/today/intake">
        {t('action.back')}
      </Link>
    </ReportSheet>
  );
}
