import { Input } from 'antd';
import { notices } from '../../app/notices';
import { Dialog } from '../../app/Dialog';
import { useState } from 'react';
import { ChooseFile } from '../../app/ChooseFile';
import { complain } from '../../app/complain';
import { Kept } from '../../api/change';
import { useRecordNote } from '../../api/tending';
import { t } from '../../messages/words';
import { noteOf } from './note';

interface Props {
  batchId: string;
  /** What the step is called that it is about. */
  step: string;
  close: () => void;
}

/** A word or a photo about a step, written into the jar's log; the work may go on. */
export function StepNote({ batchId, step, close }: Props) {
  const record = useRecordNote(batchId);
  const [text, setText] = useState('');
  const [photo, setPhoto] = useState<File | null>(null);
  const save = () =>
    record.mutate(noteOf({ text: t('counter.note_of', { step, text }) }, photo), {
      onSuccess: () => {
        close();
        notices.done(t('counter.note_saved'));
      },
      onError: (refusal) => {
        if (refusal instanceof Kept) {
          close();
        }
        complain(refusal);
      },
    });

  return (
    <Dialog
      title={t('counter.note')}
      open
      okText={t('action.save')}
      cancelText={t('action.cancel')}
      confirmLoading={record.isPending}
      onOk={save}
      onCancel={close}
    >
      <Input.TextArea
        aria-label={t('counter.note')}
        rows={3}
        maxLength={1000}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <p>
        <ChooseFile
          says={photo?.name ?? t('log.add_photo')}
          label={t('counter.photo')}
          accept="image/*"
          isPhoto
          choose={setPhoto}
        />
      </p>
    </Dialog>
  );
}
