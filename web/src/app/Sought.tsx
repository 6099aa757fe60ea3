import { say, t } from '../messages/words';
import { when } from '../messages/dates';
import { dayThere } from '../messages/zone';
import { AutoComplete, type RefSelectProps } from 'antd';
import { Dialog } from './Dialog';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { SearchResult } from '../api/client';
import { useSearch } from '../api/queries';
import './Sought.css';

/** Where a hit is looked at: what is over and today on its day, what is to come in its week. */
function address({ kind, id }: SearchResult): string {
  switch (kind) {
    case 'jar':
      return `/shelf/${id}`;
    case 'formula':
      return `/formulas/${id}`;
    case 'day':
      return id > dayThere() ? `/week/${id}` : `/today/${id}`;
  }
}

/** The field in which one types what is sought, and what is found. */
export function Sought({ close }: { close: () => void }) {
  const [typed, setTyped] = useState('');
  const navigate = useNavigate();
  const field = useRef<RefSelectProps>(null);
  const hits = useSearch(typed);
  const shown = typed.trim() === '' ? [] : (hits.data ?? []);

  return (
    <Dialog
      open
      title={t('search.title')}
      footer={null}
      onCancel={close}
      afterOpenChange={(opened) => opened && field.current?.focus()}
    >
      <AutoComplete
        ref={field}
        defaultActiveFirstOption
        className="find"
        aria-label={t('search.field')}
        placeholder={t('search.placeholder')}
        value={typed}
        onChange={setTyped}
        notFoundContent={typed.trim() !== '' && hits.isSuccess ? t('search.none') : null}
        options={shown.map((hit) => ({ value: `${hit.kind} ${hit.id}`, label: <Shown hit={hit} /> }))}
        onSelect={(value: string) => {
          const hit = shown.find((one) => `${one.kind} ${one.id}` === value);
          setTyped('');
          if (hit) {
            close();
            void navigate(address(hit));
          }
        }}
      />
    </Dialog>
  );
}

function Shown({ hit }: { hit: SearchResult }) {
  return (
    <span className="find-hit">
      <i style={{ background: hit.colour ?? 'transparent' }} aria-hidden="true" />
      <b>{hit.kind === 'day' ? when(hit.id, 'longYear') : hit.name}</b>
      <span className="soft">{say(hit.detail)}</span>
    </span>
  );
}
