import { when } from '../messages/dates';
import { t } from '../messages/words';
import { Button } from 'antd';
import { useCallback, useState } from 'react';
import { Link, NavLink, Outlet, useNavigate } from 'react-router';
import type { Session } from '../api/client';
import { useLastKnown } from '../api/lastKnown';
import { Instruments } from '../instruments/Instruments';
import { DueBadge } from './DueBadge';
import { GlobalSearch } from './GlobalSearch';
import { useKey, type Key } from './keys';
import { later } from './later';
import { useNewVersion } from './newVersion';
import { WaitingWrites } from './WaitingWrites';
import './AppLayout.css';

const KeysSheet = later(() => import('./KeysSheet'), 'KeysSheet');

const rooms = [
  { to: '/today', name: t('nav.today'), key: 't' },
  { to: '/week', name: t('nav.week'), key: 'w' },
  { to: '/shelf', name: t('nav.shelf'), key: 's' },
  { to: '/bench', name: t('nav.bench'), key: 'b' },
  { to: '/formulas', name: t('nav.formulas'), key: 'f' },
  { to: '/kitchen', name: t('nav.kitchen'), key: 'k' },
] as const;

/** Rooms that are entered from another one. */
const beside: Partial<Record<Key, string>> = { a: '/shelf/ahead', i: '/today/intake' };

/** The board at the top, the rooms on it, and the room one is in. */
export function AppLayout({ household }: { household: NonNullable<Session['household']> }) {
  const [showsKeys, setShowsKeys] = useState(false);
  const lastKnown = useLastKnown();
  const useNow = useNewVersion();
  const navigate = useNavigate();
  const go = useCallback(
    (key: Key) => void navigate(beside[key] ?? rooms.find((room) => room.key === key)?.to ?? '/'),
    [navigate],
  );
  useKey('t', go);
  useKey('w', go);
  useKey('s', go);
  useKey('a', go);
  useKey('i', go);
  useKey('b', go);
  useKey('f', go);
  useKey('k', go);
  useKey(
    '?',
    useCallback(() => setShowsKeys(true), []),
  );

  return (
    <div className="frame">
      <a className="skip" href="#page">
        {t('app.skip')}
      </a>
      <header className="frame-head">
        <Link to="/today" className="frame-mark">
          <img src="/mark.svg" alt="" />
          Tempesal
        </Link>
        <nav className="frame-rooms" aria-label={t('nav.label')}>
          {rooms
            .filter(({ to }) => to !== '/bench' || household.access === 'keep')
            .map((room) => (
              <NavLink key={room.to} to={room.to} title={`${room.name} (${room.key})`}>
                {room.name}
              </NavLink>
            ))}
        </nav>
        <div className="frame-house">
          <NavLink className="frame-name" to="/account" aria-label={t('app.account', { kitchen: household.name })}>
            <span className="frame-kitchen">{household.name}</span>
            <span className="frame-account">{t('page_title.account')}</span>
          </NavLink>
          <GlobalSearch />
          <WaitingWrites />
          <DueBadge />
          <Instruments />
          <Button
            className="frame-keys"
            type="text"
            title={t('app.keys_hint')}
            aria-label={t('app.keys')}
            onClick={() => setShowsKeys(true)}
          >
            ?
          </Button>
        </div>
      </header>
      {lastKnown !== null && (
        <p className="as-of" role="status">
          {t('app.as_of', { at: when(new Date(lastKnown).toISOString(), 'moment') })}
        </p>
      )}
      {useNow && (
        <p className="as-of" role="status">
          {t('app.new_version')} <Button onClick={useNow}>{t('app.new_version_use')}</Button>
        </p>
      )}
      {household.access !== 'keep' && (
        <p className="as-of" role="note">
          {t(household.access === 'log' ? 'sharing.may_log' : 'sharing.may_read')}
        </p>
      )}
      <main id="page" tabIndex={-1}>
        <Outlet />
      </main>
      {showsKeys && <KeysSheet close={() => setShowsKeys(false)} />}
    </div>
  );
}
