import { complain } from '../../app/complain';
import { t } from '../../messages/words';
import { notices } from '../../app/notices';
import { ChooseFile } from '../../app/ChooseFile';
import { useNavigate } from 'react-router';
import { arrived } from '../../api/largeFile';
import { useImportKitchen } from '../../api/queries';

/** Everything in one file: to keep, or to go on with elsewhere. */
export function KitchenFile() {
  const bring = useImportKitchen();
  const navigate = useNavigate();
  const percent = arrived.use();

  return (
    <section aria-label={t('kitchen_file.title')}>
      <h3 className="drawer-part">{t('kitchen_file.title')}</h3>
      <p className="soft">{t('kitchen_file.about')}</p>
      <div className="words">
        <a className="as-button" href="/api/kitchen/file?as=zip" download>
          {t('action.export')}
        </a>
        <ChooseFile
          says={t('action.import')}
          accept="application/zip,.zip,application/json,.json"
          isBusy={bring.isPending}
          choose={(file) =>
            bring.mutate(file, {
              onSuccess: ({ rows }) => {
                void navigate('/shelf');
                notices.done(
                  t('kitchen_file.done', {
                    people: rows.people ?? 0,
                    jars: rows.batches ?? 0,
                    servings: rows.servings ?? 0,
                  }),
                  8,
                );
              },
              onError: (refusal) => complain(refusal, 8),
            })
          }
        />
      </div>
      {percent !== null && <p role="status">{t('kitchen_file.sending', { percent })}</p>}
    </section>
  );
}
