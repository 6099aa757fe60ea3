import { Link, useLocation } from 'react-router';
import { t } from '../messages/words';
import { usePageTitle } from './title';

/** An address that leads nowhere: it says so, and leads on. */
export function NowhereView() {
  const { pathname } = useLocation();
  usePageTitle(t('app.not_found'));

  return (
    <div className="page-state">
      <h1>{t('app.not_found')}</h1>
      <p>{t('app.nowhere', { address: pathname })}</p>
      <p>
        <Link to="/today">{t('app.to_today')}</Link>
      </p>
    </div>
  );
}
