import { Popover } from 'antd';
import { named, t } from '../messages/words';
import './Term.css';

export type TermName = 'brine_strength' | 'equilibrium' | 'headspace' | 'kahm' | 'starter';

/** A word of the trade, with a mark that says what it means when it is tapped. */
export function Term({ name }: { name: TermName }) {
  const term = named('term', name);

  return (
    <span className="term">
      <Popover trigger="click" title={term} content={<p className="term-meaning">{named('term_meaning', name)}</p>}>
        <button type="button" className="term-mark" aria-label={t('app.what_is', { term })}>
          {term}
        </button>
      </Popover>
    </span>
  );
}
