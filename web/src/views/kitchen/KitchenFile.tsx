import { complain } from '../../app/complain';
import { t } from '../../messages/words';
import { App, Button, Upload } from 'antd';
import { useNavigate } from 'react-router';
import { useImportKitchen } from '../../api/queries';

/** Everything in one file: to keep, or to go on with elsewhere. */
export function KitchenFile() {
  const { message } = App.useApp();
  const bring = useImportKitchen();
  const navigate = useNavigate();

  return (
    <section aria-label={t('kitchen_file.title')}>
      <h3 className="drawer-part">{t('kitchen_file.title')}</h3>
      <p className="soft">{t('kitchen_file.about')}</p>
      <div className="words">
        <a className="as-button" href="/api/kitchen/file" download>
          {t('action.export')}
        </a>
        <Upload
          accept="application/json,.json"
          showUploadList={false}
          beforeUpload={(file) => {
            bring.mutate(file, {
              onSuccess: ({ rows }) => {
                void navigate('/shelf');
                void message.success(
                  t('kitchen_file.done', {
                    people: rows.people ?? 0,
                    jars: rows.batches ?? 0,
                    servings: rows.servings ?? 0,
                  }),
                  8,
                );
              },
              onError: (refusal) => complain(message, refusal, 8),
            });
            return false;
          }}
        >
          <Button loading={bring.isPending}>{t('action.import')}</Button>
        </Upload>
      </div>
    </section>
  );
}
