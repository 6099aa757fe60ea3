import { Segmented, Slider } from 'antd';
import type { BenchFields } from '../../api/client';
import { QuantityBox } from '../../app/QuantityBox';
import { t } from '../../messages/words';
import './Cuts.css';

export type Cut = NonNullable<BenchFields['cuts']>[number];
type Shape = Cut['shape'];

interface Props {
  /** How the food is cut where nothing else is said. */
  shape: Shape | null | undefined;
  /** Whether its leaves and ribs are told apart where nothing is said. */
  isRibbed: boolean;
  cuts: Cut[];
  change: (cuts: Cut[]) => void;
}

/** How a head of leaves or a bowl of cut food comes in two kinds. */
const pairs = {
  leaf_ribs: ['leaf', 'ribs'],
  with_whole: [null, 'whole'],
} as const;

type Pair = keyof typeof pairs;

/** By weight, of a head: common practice, no source. */
const leafAndRib: Cut[] = [
  { shape: 'leaf', percent: 55 },
  { shape: 'ribs', percent: 45 },
];

/** Where parts of the food are thicker than others: leaf and rib, cut and whole. */
export function Cuts({ shape, isRibbed, cuts: told, change }: Props) {
  const cuts = told.length === 0 && isRibbed && shape === 'leaves' ? leafAndRib : told;
  const [one, other] = cuts;
  const pair: Pair | 'alike' = !one ? 'alike' : one.shape === 'leaf' ? 'leaf_ribs' : 'with_whole';
  const split = (kind: Pair | 'alike') => {
    if (kind === 'alike') {
      change([{ shape: shape ?? 'chunks', percent: 100 }]);
      return;
    }
    const [first, second] = pairs[kind];
    change([
      { shape: first ?? shape ?? 'chunks', percent: 55 },
      { shape: second, percent: 45 },
    ]);
  };
  const put = (place: number, with_: Partial<Cut>) =>
    change(cuts.map((cut, at) => (at === place ? { ...cut, ...with_ } : cut)));

  return (
    <div className="bench-cuts">
      <Segmented
        aria-label={t('cuts.label')}
        value={one && !other ? 'alike' : pair}
        onChange={split}
        options={[
          { value: 'alike', label: t('cuts.alike') },
          ...(shape === 'leaves' ? [{ value: 'leaf_ribs' as const, label: t('cuts.leaf_ribs') }] : []),
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
              change([
                { ...one, percent },
                { ...other, percent: 100 - percent },
              ])
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
