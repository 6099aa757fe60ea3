import { t } from '../messages/words';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { Refusal } from '../api/client';
import { comingParts, comingShape } from './comingShape';

interface Query {
  error: Error | null;
  refetch: () => unknown;
}

/** What stands in the room while its content is fetched, in the shape of what comes; or why it could not be. */
export function PageState({ query }: { query: Query }) {
  const isSlow = useAfter(300);
  const shape = comingShape(useLocation().pathname);
  if (!query.error) {
    return isSlow ? (
      <div className={`page-coming is-${shape}`} role="status" aria-busy="true" aria-label={t('app.coming')}>
        {Array.from({ length: comingParts[shape] }, (_, at) => (
          <i key={at} />
        ))}
      </div>
    ) : null;
  }
  const isMissing = query.error instanceof Refusal && query.error.status === 404;

  return (
    <div className="page-state" role="alert">
      <h1>{isMissing ? t('app.not_found') : t('app.failed')}</h1>
      <p>{query.error.message}</p>
      {isMissing ? (
        <Link to="/shelf">{t('app.to_shelf')}</Link>
      ) : (
        <Button onClick={() => query.refetch()}>{t('action.retry')}</Button>
      )}
    </div>
  );
}

/** True once some milliseconds have passed: nothing spins for what is quick. */
function useAfter(milliseconds: number): boolean {
  const [hasPassed, setHasPassed] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setHasPassed(true), milliseconds);
    return () => clearTimeout(timer);
  }, [milliseconds]);
  return hasPassed;
}
