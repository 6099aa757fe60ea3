import { t } from '../messages/words';
import { Button } from 'antd';
import { useCallback, useState } from 'react';
import { useKey } from './keys';
import { later } from './later';

const Sought = later(() => import('./Sought'), 'Sought');

/** Goes to any jar, formula or day by its name. */
export function GlobalSearch() {
  const [isOpen, setOpen] = useState(false);
  useKey(
    '/',
    useCallback(() => setOpen(true), []),
  );

  return (
    <>
      <Button type="text" title={t('search.hint')} aria-label={t('search.title')} onClick={() => setOpen(true)}>
        <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
          <circle cx="8.5" cy="8.5" r="5.5" fill="none" stroke="currentColor" strokeWidth="1.8" />
          <path d="M12.8 12.8 L17.5 17.5" stroke="currentColor" strokeWidth="1.8" strokeLinecap="round" />
        </svg>
      </Button>
      {isOpen && <Sought close={() => setOpen(false)} />}
    </>
  );
}
