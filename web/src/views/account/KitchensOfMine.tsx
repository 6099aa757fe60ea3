import { t } from '../../messages/words';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { useEnterKitchen, useLeaveKitchen, type Account } from '../../api/account';
import { forgetAnswers } from '../../api/lastKnown';
import { complain } from '../../app/complain';
import { ask } from '../../app/notices';

/** The kitchens that the cook may enter, and which of them is open. */
export function KitchensOfMine({ kitchens }: { kitchens: Account['kitchens'] }) {
  const enter = useEnterKitchen();
  const leave = useLeaveKitchen();
  const navigate = useNavigate();
  const goTo = (id: string) =>
    enter.mutate(id, {
      onSuccess: () => {
        // What this device knows is the other kitchen's.
        void forgetAnswers();
        void navigate('/today');
      },
      onError: (why) => complain(why),
    });
  const goFrom = async ({ id, name }: Account['kitchens'][number]) => {
    const isMeant = await ask({
      title: t('account.leave_question', { name }),
      content: t(kitchens.length === 1 ? 'account.leave_last_about' : 'account.leave_about'),
      yes: t('account.leave'),
      no: t('action.cancel'),
    });
    if (isMeant) {
      leave.mutate(id, { onError: (why) => complain(why) });
    }
  };

  return (
    <section className="account-part">
      <h2>{t('account.kitchens')}</h2>
      <ul className="account-lines">
        {kitchens.map((kitchen) => (
          <li key={kitchen.id}>
            <span>
              {kitchen.name}
              <span className="soft">{t('sharing.you_may', { access: kitchen.access })}</span>
            </span>
            {!kitchen.isOpen && <Button onClick={() => goTo(kitchen.id)}>{t('account.open_kitchen')}</Button>}
            {!kitchen.isLastKeeper && (
              <Button type="text" onClick={() => void goFrom(kitchen)}>
                {t('account.leave')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p className="soft">{t('account.kitchens_about')}</p>
    </section>
  );
}
