import { t } from '../../messages/words';
import { Button } from 'antd';
import { useAccount } from '../../api/account';
import { useSession } from '../../api/queries';
import { PageState } from '../../app/PageState';
import { useSignOutHere } from '../../app/signOutHere';
import { Devices } from './Devices';
import { KitchensOfMine } from './KitchensOfMine';
import { Leaving } from './Leaving';
import { Password } from './Password';
import { Tokens } from './Tokens';
import { YourName } from './YourName';
import './AccountView.css';

/** Who is signed in, where, and by what. */
export function AccountView() {
  const account = useAccount();
  const signOut = useSignOutHere();
  const household = useSession().data?.household;
  const { data } = account;

  return (
    <div className="account">
      <div className="account-head">
        <h1>{t('account.title')}</h1>
        <Button onClick={signOut}>{t('app.sign_out')}</Button>
      </div>
      {household?.isDemo && <p className="soft">{t('account.demo')}</p>}
      {data && household ? (
        <div className="account-parts">
          <YourName key={`${data.name} ${data.email}`} account={data} />
          <Password />
          <Devices devices={data.devices} />
          <KitchensOfMine kitchens={data.kitchens} />
          <Tokens tokens={data.tokens} access={household.access} />
          <Leaving kitchens={data.kitchens} household={household} />
        </div>
      ) : (
        <PageState query={account} />
      )}
    </div>
  );
}
