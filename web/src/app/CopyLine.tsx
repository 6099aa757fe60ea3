import { t } from '../messages/words';
import { Button, Input, Space } from 'antd';
import { copyText } from './copyText';

/** A line to be copied: an address or a secret. */
export function CopyLine({ label, text }: { label: string; text: string }) {
  return (
    <Space.Compact block>
      <Input readOnly aria-label={label} value={text} onFocus={(event) => event.target.select()} />
      <Button aria-label={t('copy.button', { what: label })} onClick={() => void copyText(text)}>
        {t('action.copy')}
      </Button>
    </Space.Compact>
  );
}
