import { Segmented, Slider } from 'antd';
import type { BenchFields } from '../../api/client';
import { QuantityBox } from '../../app/QuantityBox';
import { t } from '../../messages/words';
import type { Change, Draft } from './draft';

type Cut = NonNullable<BenchFields['cuts']>[number];
type Shape = Cut['shape'];

/** How a head of leaves or a bowl of cut food comes in two kinds. */
const pairs = {
  leaf_ribs: ['leaf', 'ribs'],
  with_whole: [null, 'whole'],
} as const;

type Pair = keyof typeof pairs;

/** Where parts of the food are thicker than others: leaf and rib, cut and whole. */
export function Cuts({ draft, change }: { draft: Draft; change: Change }) {
  const cuts = draft.cuts ?? [];
  const [one, other] = cuts;
  const pair: Pair | 'alike' = !one ? 'alike' : one.shape === 'leaf' ? 'leaf_ribs' : 'with_whole';
  const split = (kind: Pair | 'alike') => {
    if (kind === 'alike') {
      change({ cuts: [{ shape: draft.shape ?? 'chunks', percent: 100 }] });
      return;
    }
    const [first, second] = pairs[kind];
    change({
      cuts: [
        { shape: first ?? (draft.shape as Shape), percent: 55 },
        { shape: second, percent: 45 },
      ],
    });
  };
  const put = (place: number, with_: Partial<Cut>) =>
    change({ cuts: cuts.map((cut, at) => (at === place ? { ...cut, ...with_ } : cut)) });

  return (
    <div className="bench-cuts">
      <Segmented
        aria-label={t('cuts.label')}
        value={one && !other ? 'alike' : pair}
        onChange={split}
        options={[
          { value: 'alike', label: t('cuts.alike') },
          ...(draft.shape === 'leaves' ? [{ value: 'leaf_ribs' as const, label: t('cuts.leaf_ribs') }] : []),
          { value: 'with_whole', label: t('cuts.with_whole') },
        ]}
      />
      {one && other && (
        <>
          <Slider
            min={5}
            max={95}
            step={5}
            value={one.percent}
            ariaLabelForHandle={t('cuts.share', { part: t(`shape.${one.shape}`) })}
            tooltip={{ open: false }}
            onChange={(percent: number) =>
              change({
                cuts: [
                  { ...one, percent },
                  { ...other, percent: 100 - percent },
                ],
              })
            }
          />
          {[one, other].map((cut, place) => (
            <label key={cut.shape} className="bench-cut">
              {t('cuts.part', { percent: cut.percent, part: t(`shape.${cut.shape}`) })}
              <QuantityBox
                measures="length"
                aria-label={t('cuts.thick', { part: t(`shape.${cut.shape}`) })}
                placeholder={t('cuts.usual')}
                value={cut.reachMm === null || cut.reachMm === undefined ? null : 2 * cut.reachMm}
                change={(thick) => put(place, { reachMm: thick === null ? null : thick / 2 })}
              />
            </label>
          ))}
        </>
      )}
    </div>
  );
}
