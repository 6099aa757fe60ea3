import { say, t } from '../../messages/words';
import { Button, Input } from 'antd';
import { notices } from '../../app/notices';
import { ChooseFile } from '../../app/ChooseFile';
import { Complaint } from '../../app/Complaint';
import { useImportIntake, usePreviewIntake } from '../../api/intake';
import { SaveDrawer } from '../../app/SaveDrawer';
import { mg } from '../../app/numbers';
import { useTyped } from '../../app/typed';

/** Rows from elsewhere: looked at first, bad ones named by their line and kept out. */
export function ImportIntake({ close }: { close: () => void }) {
  const preview = usePreviewIntake();
  const bring = useImportIntake();
  const [text, setText] = useTyped('lines', '');
  const read = preview.data;

  const refusal = preview.error ?? bring.error;

  return (
    <SaveDrawer
      title={t('import_intake.title')}
      close={close}
      keepAs={read ? t('import_intake.import', { count: read.rows.length }) : t('import.preview')}
      isKeeping={preview.isPending || bring.isPending}
      refusal={refusal}
      keep={() => {
        if (!read) {
          preview.mutate(text);
          return;
        }
        void bring.mutateAsync(text).then(
          ({ count }) => {
            notices.done(t('import_intake.done', { count: count }));
            close();
          },
          () => undefined,
        );
      }}
    >
      <p className="soft">{t('import_intake.about')}</p>
      <p>
        <ChooseFile
          says={t('import.from_file')}
          label={t('import_intake.file')}
          accept=".csv,text/csv"
          choose={(file) =>
            void file.text().then((content) => {
              setText(content);
              preview.mutate(content);
            })
          }
        />
      </p>
      <Input.TextArea
        aria-label={t('import_intake.text')}
        rows={6}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          preview.reset();
        }}
      />
      <Complaint>{refusal?.of('text')}</Complaint>
      {read && (
        <div role="status">
          {read.complaints.length > 0 && (
            <ul className="quiet-list">
              {read.complaints.map((one) => (
                <li key={`${String(one.line)} ${say(one.text)}`} className="complaint">
                  {t('import_intake.line', { line: one.line, text: say(one.text) })}
                </li>
              ))}
            </ul>
          )}
          <ul className="quiet-list intake-read">
            {read.rows.slice(0, 50).map((row) => (
              <li key={row.line}>
                {row.date}, {row.person}: {row.name}, {mg(Math.round(row.sodiumMg))}
              </li>
            ))}
          </ul>
          <Button type="text" onClick={() => preview.reset()}>
            {t('import_intake.edit')}
          </Button>
        </div>
      )}
    </SaveDrawer>
  );
}
