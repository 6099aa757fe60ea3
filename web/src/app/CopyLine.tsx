import { t } from '../messages/words';
import { Button, Input, Space } from 'antd';
import { notices } from './notices';

/** A line to be copied: an address or a secret. */
export function CopyLine({ label, text }: { label: string; text: string }) {
  const copy = () =>
    navigator.clipboard.writeText(text).then(
      () => notices.done(t('copy.copied')),
      () => notices.note(t('copy.select')),
    );

  return (
    <Space.Compact block>
      <Input readOnly aria-label={label} value={text} onFocus={(event) => event.target.select()} />
      <Button aria-label={t('copy.button', { what: label })} onClick={() => void copy()}>
        {t('action.copy')}
      </Button>
    </Space.Compact>
  );
}
