import { t } from '../../messages/words';
import { useAccount } from '../../api/account';
import { useSession } from '../../api/queries';
import { PageState } from '../../app/PageState';
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
  const household = useSession().data?.household;
  if (!account.data || !household) {
    return <PageState query={account} />;
  }
  const { data } = account;

  return (
    <div className="account">
      <h1>{t('account.title')}</h1>
      {household.isDemo && <p className="soft">{t('account.demo')}</p>}
      <div className="account-parts">
        <YourName key={`${data.name} ${data.email}`} account={data} />
        <Password />
        <Devices devices={data.devices} />
        <KitchensOfMine kitchens={data.kitchens} />
        <Tokens tokens={data.tokens} access={household.access} />
        <Leaving kitchens={data.kitchens} household={household} />
      </div>
    </div>
  );
}
