import { App, Button, Input } from 'antd';
import { useState } from 'react';
import { useBringIntake, usePreviewIntake } from '../../api/intake';
import { SaveDrawer } from '../../app/SaveDrawer';
import { mg } from '../../app/numbers';

/** Rows from elsewhere: looked at first, bad ones named by their line and kept out. */
export function ImportIntake({ close }: { close: () => void }) {
  const { message } = App.useApp();
  const preview = usePreviewIntake();
  const bring = useBringIntake();
  const [text, setText] = useState('');
  const read = preview.data;

  const refusal = preview.error ?? bring.error;

  return (
    <SaveDrawer
      title="Bring in what was eaten"
      close={close}
      keepAs={read ? `Take over ${String(read.rows.length)} rows` : 'Look at it'}
      isKeeping={preview.isPending || bring.isPending}
      refusal={refusal}
      keep={() => {
        if (!read) {
          preview.mutate(text);
          return;
        }
        void bring.mutateAsync(text).then(
          ({ count }) => {
            void message.success(`Taken over: ${String(count)} rows.`);
            close();
          },
          () => undefined,
        );
      }}
    >
      <p className="soft">
        Comma-separated, the first line naming the columns: date, person, name, sodium_mg, and instead_of
        where a row stands instead of some of the estimate.
      </p>
      <input
        type="file"
        accept=".csv,text/csv"
        aria-label="A file"
        onChange={(event) => {
          void event.target.files?.[0]?.text().then((content) => {
            setText(content);
            preview.mutate(content);
          });
        }}
      />
      <Input.TextArea
        aria-label="Its text"
        rows={6}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          preview.reset();
        }}
      />
      {refusal?.of('text') && (
        <p className="complaint" role="alert">
          {refusal.of('text')}
        </p>
      )}
      {read && (
        <div role="status">
          {read.complaints.length > 0 && (
            <ul className="quiet-list">
              {read.complaints.map((one) => (
                <li key={`${String(one.line)} ${one.text}`} className="complaint">
                  Line {one.line}: {one.text}
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
            Change the text
          </Button>
        </div>
      )}
    </SaveDrawer>
  );
}
