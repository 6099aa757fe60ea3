import { t } from '../../messages/words';
import type { Log } from '../../api/client';

export type Mark = Log['marks'][number];

/** What the ends of each mark mean. */
export const markEnds: Record<Mark, [string, string]> = {
  salty: [t('mark_least.salty'), t('mark_most.salty')],
  sour: [t('mark_least.sour'), t('mark_most.sour')],
  crunch: [t('mark_least.crunch'), t('mark_most.crunch')],
  heat: [t('mark_least.heat'), t('mark_most.heat')],
  funk: [t('mark_least.funk'), t('mark_most.funk')],
  liked: [t('mark_least.liked'), t('mark_most.liked')],
};

/** Those that were given, in their order. */
export const scoresOf = (marks: Partial<Record<Mark, number | null>>): [Mark, number][] =>
  (Object.keys(markEnds) as Mark[]).flatMap((mark): [Mark, number][] => {
    const value = marks[mark];
    return value === null || value === undefined ? [] : [[mark, value]];
  });
