import { App, Button, Upload } from 'antd';
import { useNavigate } from 'react-router';
import { useImportKitchen } from '../../api/queries';

/** Everything in one file: to keep, or to go on with elsewhere. */
export function KitchenFile() {
  const { message } = App.useApp();
  const bring = useImportKitchen();
  const navigate = useNavigate();

  return (
    <section aria-label="The whole kitchen as a file">
      <h3 className="drawer-part">The whole kitchen as a file</h3>
      <p className="soft">
        People, foods, jars with their whole life, plans, what was eaten, and photos. It is brought in where
        nothing was made or written down yet, in the place of what a new kitchen starts with. How you sign in
        is not part of it.
      </p>
      <div className="words">
        <a className="as-button" href="/api/kitchen/file" download>
          Take it along
        </a>
        <Upload
          accept="application/json,.json"
          showUploadList={false}
          beforeUpload={(file) => {
            bring.mutate(file, {
              onSuccess: ({ rows }) => {
                void navigate('/shelf');
                void message.success(
                  `Here now: ${String(rows.people ?? 0)} people, ${String(rows.batches ?? 0)} jars, ${String(rows.servings ?? 0)} servings.`,
                  8,
                );
              },
              onError: (refusal) => void message.error(refusal.of('file') ?? refusal.message, 8),
            });
            return false;
          }}
        >
          <Button loading={bring.isPending}>Bring one in</Button>
        </Upload>
      </div>
    </section>
  );
}
