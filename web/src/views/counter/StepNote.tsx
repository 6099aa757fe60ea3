import { App, Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { Kept } from '../../api/change';
import { useRecordNote } from '../../api/tending';
import { NumberBox } from '../../app/NumberBox';
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
      onError: (refusal) =>
        void (refusal instanceof Kept
          ? (setIsOpen(false), message.info(refusal.message))
          : message.error(refusal.message)),
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

/** Brine that is not poured away. */
StepNote.Keep = function Keep({ grams, change }: { grams: number; change: (grams: number) => void }) {
  return (
    <label className="counter-keep">
      {t('counter.keep_brine')}
      <NumberBox
        aria-label={t('counter.keep_brine')}
        data-takes="weight"
        min={0}
        value={grams}
        onChange={(value) => change(value ?? 0)}
        suffix="g"
      />
    </label>
  );
};
