import { later } from './later';
import { asked, said } from './notices';
import './NoticeBoard.css';

const Asked = later(() => import('./Asked'), 'Asked');

/** What is said for a while, read out as it comes; and what is asked. */
export function NoticeBoard() {
  const question = asked.use();
  const shown = said.use();
  const list = (isUrgent: boolean) =>
    shown
      .filter(({ kind }) => (kind === 'refused') === isUrgent)
      .map(({ id, kind, content }) => (
        <div key={id} className={`notice is-${kind}`}>
          {content}
        </div>
      ));

  return (
    <>
      <div className="notices">
        <div aria-live="polite">{list(false)}</div>
        <div aria-live="assertive">{list(true)}</div>
      </div>
      {question && <Asked {...question} />}
    </>
  );
}
