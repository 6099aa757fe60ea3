import { joined, say, t } from '../messages/words';
import { when } from '../messages/dates';
import { Choice } from '../app/Choice';
import type { Intake } from '../api/client';
import { grams } from '../app/numbers';
import './CultureThreads.css';

type Cultures = Intake['cultures'];
type Kind = Cultures['kinds'][number];
export type Tolerance = NonNullable<Kind['tolerance']>;

/** Pixels across a bead: its area is what was eaten. */
const LARGEST = 26;
const SMALLEST = 7;

interface Props {
  cultures: Cultures;
  name: string;
  /** Says how a kind sits with them. */
  mark: (group: string, tolerance: Tolerance | null) => void;
}

/** A thread for each kind of cultures through twelve weeks; each bead is a week in which it was eaten. */
export function CultureThreads({ cultures, name, mark }: Props) {
  const most = Math.max(1, ...cultures.kinds.flatMap((kind) => kind.weeks.map((week) => week.grams)));

  return (
    <div className="threads-frame">
      <table className="threads">
        <caption>{t('threads.caption')}</caption>
        <thead>
          <tr>
            <th scope="col">{t('threads.kind')}</th>
            {cultures.weeks.map((week, i) => (
              <th key={week.from} scope="col" className="threads-week">
                <span className={i % 4 === 3 ? undefined : 'is-quiet'}>{when(week.to, 'short')}</span>
              </th>
            ))}
            <th scope="col">{t('threads.lately')}</th>
            <th scope="col">{t('threads.sits')}</th>
          </tr>
        </thead>
        <tbody>
          {cultures.kinds.map((kind) => (
            <tr key={kind.group} className={kind.isMissed ? 'is-missed' : undefined}>
              <th scope="row">
                {say(kind.label)} <span className="soft">{t(`culture_family.${kind.family}`)}</span>
                <span className="soft threads-names">{joined(kind.names.slice(0, 3))}</span>
              </th>
              {kind.weeks.map((week, i) => (
                <td key={cultures.weeks[i]?.from} className="threads-week">
                  {week.servings > 0 && <Bead grams={week.grams} servings={week.servings} most={most} />}
                </td>
              ))}
              <td className="threads-said">{lately(kind, name)}</td>
              <td>
                <Choice<Tolerance | ''>
                  aria-label={t('threads.sits_of', { kind: say(kind.label) })}
                  value={kind.tolerance ?? ''}
                  onChange={(next) => mark(kind.group, next === '' ? null : next)}
                  options={[
                    { value: '', label: t('threads.unsaid') },
                    ...(['well', 'little', 'not_now'] as const).map((one) => ({
                      value: one,
                      label: t(`tolerance.${one}`),
                    })),
                  ]}
                />
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">{t('threads.all')}</th>
            {cultures.weeks.map((week) => (
              <td key={week.from} className="threads-week">
                {week.servings > 0 && t('threads.kinds', { kinds: week.kinds })}
              </td>
            ))}
            <td className="threads-said" colSpan={2}>
              {t('threads.week_grams', { grams: grams(cultures.weeks.at(-1)?.grams ?? 0) })}
            </td>
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

function Bead({ grams: eaten, servings, most }: { grams: number; servings: number; most: number }) {
  const across = Math.max(SMALLEST, LARGEST * Math.sqrt(eaten / most));
  const says = t('threads.bead', { servings, grams: grams(eaten) });

  return <span className="bead" role="img" aria-label={says} title={says} style={{ width: across, height: across }} />;
}

/** What is new, or missing, or how ripe it was; nothing of what it does to anyone. */
function lately(kind: Kind, name: string): string {
  if (kind.isMissed) {
    return t('threads.missed', { on: when(kind.lastOn, 'short') });
  }
  if (kind.isNew) {
    return t('threads.new', { name });
  }
  return kind.young + kind.ripe === 0
    ? t('threads.last', { on: when(kind.lastOn, 'short') })
    : t('threads.ripeness', { young: kind.young, ripe: kind.ripe });
}
