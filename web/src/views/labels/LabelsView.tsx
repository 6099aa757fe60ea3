import { readerLocale } from '../../messages/catalogue';
import { say, t } from '../../messages/words';
import { Button, Checkbox, QRCode, Segmented } from 'antd';
import { useState, type CSSProperties } from 'react';
import { useSearchParams } from 'react-router';
import type { Label } from '../../api/client';
import { useLabels, useShelf } from '../../api/queries';
import { NumberBox } from '../../app/NumberBox';
import { PageState } from '../../app/PageState';
import './LabelsView.css';

type Layout = 'sheet' | 'letter' | 'single';

/** Where Letter is the usual paper. */
const sheetHere = (): Layout => (/-(US|CA|MX|PH)$/.test(readerLocale()) ? 'letter' : 'sheet');

/** Labels for jars, as they will be on paper. */
export function LabelsView() {
  const [params, setParams] = useSearchParams();
  const asked = params.get('batches') ?? '';
  const labels = useLabels(asked);
  const shelf = useShelf();
  const [layout, setLayout] = useState<Layout>(asked === '' ? sheetHere() : 'single');
  const [copies, setCopies] = useState(1);
  if (!labels.data) {
    return <PageState query={labels} />;
  }
  const chosen = labels.data.map((label) => label.batchId);
  const batches = shelf.data?.batches ?? [];
  const file = `/api/labels/pdf?${new URLSearchParams({
    ...(asked === '' ? {} : { batches: asked }),
    layout,
    copies: String(copies),
  }).toString()}`;

  return (
    <div className="labels-room">
      <div className="labels-choice">
        <h1>{t('labels.title')}</h1>
        <Segmented
          aria-label={t('labels.layout')}
          value={layout}
          onChange={(next: Layout) => setLayout(next)}
          options={[
            { value: 'single', label: t('labels.single') },
            { value: 'sheet', label: t('labels.sheet') },
            { value: 'letter', label: t('labels.letter') },
          ]}
        />
        <label className="labels-copies">
          <NumberBox
            aria-label={t('labels.copies')}
            min={1}
            max={8}
            value={copies}
            onChange={(next) => setCopies(next ?? 1)}
            className="box-s"
          />
          <span className="soft">{t('labels.copies_each')}</span>
        </label>
        <Button type="primary" onClick={() => window.print()} disabled={labels.data.length === 0}>
          {t('action.print')}
        </Button>
        <a className="as-button" href={file} target="_blank" rel="noreferrer">
          {t('labels.pdf')}
        </a>
        <Checkbox.Group
          className="labels-jars"
          aria-label={t('labels.jars')}
          value={chosen}
          onChange={(next) => setParams(next.length === 0 ? {} : { batches: next.join(',') })}
          options={batches.map((batch) => ({ value: batch.id, label: batch.name }))}
        />
        <p className="soft">{t('labels.about')}</p>
      </div>
      <div className={`labels is-${layout}`}>
        {labels.data.flatMap((label) =>
          Array.from({ length: copies }, (_, copy) => (
            <JarLabel key={`${label.batchId} ${String(copy)}`} label={label} />
          )),
        )}
      </div>
    </div>
  );
}

function JarLabel({ label }: { label: Label }) {
  return (
    <article
      className="label"
      aria-label={t('labels.label_of', { name: label.name })}
      style={{ '--stripe': label.colour } as CSSProperties}
    >
      <h2 className={label.name.length > 26 ? 'is-long' : undefined}>{label.name}</h2>
      <dl>
        {label.rows.map(([what, said]) => (
          <div key={say(what)}>
            <dt>{say(what)}</dt>
            <dd>{say(said)}</dd>
          </div>
        ))}
      </dl>
      <p>{say(label.foot)}</p>
      <span className="label-code" role="img" aria-label={t('labels.code_of', { name: label.name })}>
        <span aria-hidden="true">
          <QRCode
            type="svg"
            value={window.location.origin + label.path}
            size={80}
            bordered={false}
            color="#000"
            bgColor="#fff"
          />
        </span>
      </span>
    </article>
  );
}
