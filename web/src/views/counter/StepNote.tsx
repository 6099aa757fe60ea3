import { App, Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { complain } from '../../app/complain';
import { Kept } from '../../api/change';
import { useRecordNote } from '../../api/tending';
import { t } from '../../messages/words';
import { noteOf } from './note';

/** A word or a photo about a step, written into the jar's log. */
export function StepNote({ batchId, step }: { batchId: string; step: string }) {
  const { message } = App.useApp();
  const record = useRecordNote(batchId);
  const [isOpen, setIsOpen] = useState(false);
  const [text, setText] = useState('');
  const [photo, setPhoto] = useState<File | null>(null);
  const save = () =>
    record.mutate(noteOf({ text: t('counter.note_of', { step, text }) }, photo), {
      onSuccess: () => {
        setIsOpen(false);
        setText('');
        void message.success(t('counter.note_saved'));
      },
      onError: (refusal) => {
        setIsOpen(!(refusal instanceof Kept));
        complain(message, refusal);
      },
    });

  return (
    <>
      <Button type="text" onClick={() => setIsOpen(true)}>
        {t('counter.note')}
      </Button>
      <Modal
        title={t('counter.note')}
        open={isOpen}
        okText={t('action.save')}
        cancelText={t('action.cancel')}
        confirmLoading={record.isPending}
        onOk={save}
        onCancel={() => setIsOpen(false)}
      >
        <Input.TextArea
          aria-label={t('counter.note')}
          rows={3}
          maxLength={1000}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <label className="counter-photo">
          {t('counter.photo')}
          <input
            type="file"
            accept="image/*"
            capture="environment"
            onChange={(event) => setPhoto(event.target.files?.[0] ?? null)}
          />
        </label>
      </Modal>
    </>
  );
}
