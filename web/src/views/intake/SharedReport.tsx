import { t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button } from 'antd';
import { useParams } from 'react-router';
import { useSharedReport } from '../../api/account';
import { PageState } from '../../app/PageState';
import { ReportSheet } from './ReportSheet';

/** The same page for somebody outside who was given a link to it. */
export function SharedReport() {
  const { secret = '' } = useParams();
  const query = useSharedReport(secret);
  if (!query.data) {
    return (
      <main className="outside">
        <PageState query={query} />
      </main>
    );
  }

  return (
    <main className="outside">
      <ReportSheet intake={query.data.intake}>
        <span className="soft">{t('report.shared_until', { day: when(query.data.expiresAt, 'full') })}</span>
        <Button type="primary" onClick={() => window.print()}>
          {t('action.print')}
        </Button>
      </ReportSheet>
    </main>
  );
}
