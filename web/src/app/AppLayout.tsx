import { when } from '../messages/dates';
import { t } from '../messages/words';
import { App, Button, Segmented } from 'antd';
import { Dialog } from './Dialog';
import { useCallback, useState } from 'react';
import { Link, NavLink, Outlet, useNavigate } from 'react-router';
import type { Session } from '../api/client';
import { forgetAnswers, useLastKnown } from '../api/lastKnown';
import { queue } from '../api/queue';
import { useSignOut } from '../api/queries';
import { Instruments, READ_KEY } from '../instruments/Instruments';
import { DueBadge } from './DueBadge';
import { GlobalSearch } from './GlobalSearch';
import { keys, useKey, type Key } from './keys';
import { useNewVersion } from './newVersion';
import { keyChoice, keyChoices, scheme, schemes } from './preferences';
import { WaitingWrites } from './WaitingWrites';
import './AppLayout.css';

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
  const keysBy = keyChoice.use();
  const colours = scheme.use();
  const lastKnown = useLastKnown();
  const useNow = useNewVersion();
  const signOut = useSignOut();
  const navigate = useNavigate();
  const { modal } = App.useApp();
  const leave = () => {
    const unsent = queue.all().length;
    const out = () => {
      queue.clear();
      signOut
        .mutateAsync(undefined)
        .catch(() => undefined)
        .finally(() => void forgetAnswers());
    };
    if (unsent === 0) {
      out();
      return;
    }
    modal.confirm({
      title: t('queue.sign_out', { count: unsent }),
      okText: t('queue.sign_out_ok'),
      cancelText: t('action.cancel'),
      onOk: out,
    });
  };
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
          {rooms.map((room) => (
            <NavLink key={room.to} to={room.to} title={`${room.name} (${room.key})`}>
              {room.name}
            </NavLink>
          ))}
        </nav>
        <div className="frame-house">
          <span className="frame-name">{household.name}</span>
          <GlobalSearch />
          <WaitingWrites owner={household.id} />
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
          <Button type="text" onClick={leave}>
            {t('app.sign_out')}
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
      <main id="page" tabIndex={-1}>
        <Outlet />
      </main>
      <Dialog title={t('app.keys')} open={showsKeys} footer={null} onCancel={() => setShowsKeys(false)}>
        <ul className="quiet-list">
          {keys.map(({ key, does }) => (
            <li key={key} style={{ padding: '6px 0' }}>
              <kbd style={{ display: 'inline-block', minWidth: 36 }}>{key}</kbd> {does}
            </li>
          ))}
        </ul>
        <p className="soft">{t('app.keys_about', { key: READ_KEY })}</p>
        {!window.isSecureContext && <p className="soft">{t('app.needs_https')}</p>}
        <div className="choices">
          <span>{t('app.keys_by')}</span>
          <Segmented
            aria-label={t('app.keys_by')}
            value={keysBy}
            onChange={keyChoice.choose}
            options={keyChoices.map((one) => ({ value: one, label: t(`app.keys_by_${one}`) }))}
          />
          <span>{t('app.scheme')}</span>
          <Segmented
            aria-label={t('app.scheme')}
            value={colours}
            onChange={scheme.choose}
            options={schemes.map((one) => ({ value: one, label: t(`app.scheme_${one}`) }))}
          />
        </div>
      </Dialog>
    </div>
  );
}
