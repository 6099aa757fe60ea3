import { Segmented } from 'antd';
import { READ_KEY } from '../instruments/Instruments';
import { t } from '../messages/words';
import { Dialog } from './Dialog';
import { keys } from './keys';
import { keyChoice, keyChoices, scheme, schemes } from './preferences';

/** Every key, how they are pressed, and the colours of the screen. */
export function KeysSheet({ close }: { close: () => void }) {
  return (
    <Dialog title={t('app.keys')} footer={null} onCancel={close}>
      <ul className="quiet-list key-list">
        {keys.map(({ key, does }) => (
          <li key={key}>
            <kbd>{key}</kbd> {does}
          </li>
        ))}
      </ul>
      <p className="soft">{t('app.keys_about', { key: READ_KEY })}</p>
      {!window.isSecureContext && <p className="soft">{t('app.needs_https')}</p>}
      <div className="choices">
        <span>{t('app.keys_by')}</span>
        <Segmented
          aria-label={t('app.keys_by')}
          value={keyChoice.use()}
          onChange={keyChoice.choose}
          options={keyChoices.map((one) => ({ value: one, label: t(`app.keys_by_${one}`) }))}
        />
        <span>{t('app.scheme')}</span>
        <Segmented
          aria-label={t('app.scheme')}
          value={scheme.use()}
          onChange={scheme.choose}
          options={schemes.map((one) => ({ value: one, label: t(`app.scheme_${one}`) }))}
        />
      </div>
    </Dialog>
  );
}
