import { Button, Checkbox, InputNumber, QRCode, Segmented } from 'antd';
import { useState, type CSSProperties } from 'react';
import { useSearchParams } from 'react-router';
import type { Label } from '../../api/client';
import { useLabels, useShelf } from '../../api/queries';
import { PageState } from '../../app/PageState';
import './LabelsView.css';

type Layout = 'sheet' | 'single';

/** Labels for jars, as they will be on paper. */
export function LabelsView() {
  const [params, setParams] = useSearchParams();
  const asked = params.get('batches') ?? '';
  const labels = useLabels(asked);
  const shelf = useShelf();
  const [layout, setLayout] = useState<Layout>(asked === '' ? 'sheet' : 'single');
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
        <h1>Labels</h1>
        <Segmented
          aria-label="On what paper"
          value={layout}
          onChange={(next: Layout) => setLayout(next)}
          options={[
            { value: 'single', label: 'single labels' },
            { value: 'sheet', label: 'sheet of eight' },
          ]}
        />
        <label className="labels-copies">
          <InputNumber
            aria-label="Of each"
            min={1}
            max={8}
            value={copies}
            onChange={(next) => setCopies(next ?? 1)}
            style={{ width: 74 }}
          />
          <span className="soft">of each</span>
        </label>
        <Button type="primary" onClick={() => window.print()} disabled={labels.data.length === 0}>
          Print
        </Button>
        <a className="as-button" href={file} target="_blank" rel="noreferrer">
          As PDF
        </a>
        <Checkbox.Group
          className="labels-jars"
          aria-label="For which jars"
          value={chosen}
          onChange={(next) => setParams(next.length === 0 ? {} : { batches: next.join(',') })}
          options={batches.map((batch) => ({ value: batch.id, label: batch.name }))}
        />
        <p className="soft">
          99.1 × 67.7 mm. The sodium is that of a serving once salt is even in the jar; readings and top-ups
          after that change it, so print anew.
        </p>
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
      aria-label={`Label of ${label.name}`}
      style={{ '--stripe': label.colour } as CSSProperties}
    >
      <h2 className={label.name.length > 26 ? 'is-long' : undefined}>{label.name}</h2>
      <dl>
        {label.rows.map(([what, said]) => (
          <div key={what}>
            <dt>{what}</dt>
            <dd>{said}</dd>
          </div>
        ))}
      </dl>
      <p>{label.foot}</p>
      <span className="label-code" role="img" aria-label={`Code that leads to ${label.name}`}>
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
