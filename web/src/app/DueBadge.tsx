import { say, t } from '../messages/words';
import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { notices } from './notices';
import { useChores } from '../api/tending';

const JUST_NOW_MS = 5_000;

/**
 * How many jars ask for something; what falls due while the application is open is called out, but not in quiet hours.
 */
export function DueBadge() {
  const navigate = useNavigate();
  const chores = useChores();
  const mutations = useQueryClient().getMutationCache();
  const known = useRef<Set<string> | null>(null);

  useEffect(() => {
    if (!chores.data) {
      return;
    }
    const now = chores.data.now;
    const fresh = known.current === null ? [] : now.filter((chore) => !known.current?.has(chore.id));
    known.current = new Set(now.map((chore) => chore.id));
    // What the cook's own hand has just brought about is in view already.
    const acted = Math.max(0, ...mutations.getAll().map((one) => one.state.submittedAt));
    if (chores.data.isQuiet || Date.now() - acted < JUST_NOW_MS) {
      return;
    }
    for (const chore of fresh) {
      notices.say({
        id: chore.id,
        kind: 'news',
        seconds: 20,
        content: (
          <>
            <b>{chore.batchName}</b> {say(chore.text)}{' '}
            <Button
              onClick={() => {
                notices.clear(chore.id);
                void navigate('/today#chores');
              }}
            >
              {t('due.to_chores')}
            </Button>
          </>
        ),
      });
    }
  }, [chores.data, mutations, navigate]);

  const count = chores.data?.now.length ?? 0;
  const late = chores.data?.now.filter((chore) => chore.lateDays > 0).length ?? 0;
  const words = !chores.data ? t('due.loading') : count === 0 ? t('due.none') : t('due.count', { count, late });

  return (
    <Link to="/today#chores" className={`calls${late > 0 ? ' is-late' : ''}`} title={words} aria-label={words}>
      <svg viewBox="0 0 24 24" width={22} height={22} aria-hidden="true">
        <path d="M7 3 h10 v3 q3 1 3 4 v8 q0 3 -3 3 h-10 q-3 0 -3 -3 v-8 q0 -3 3 -4 z M4 13 h16" />
      </svg>
      {count > 0 && <b>{count}</b>}
    </Link>
  );
}
