import type { Log } from '../../api/client';

export type Mark = Log['marks'][number];

/** What the ends of each mark mean. */
export const markEnds: Record<Mark, [string, string]> = {
  salty: ['flat', 'very'],
  sour: ['sweet', 'sharp'],
  crunch: ['soft', 'snaps'],
  heat: ['none', 'fierce'],
  funk: ['clean', 'strong'],
  liked: ['not', 'much'],
};

/** Those that were given, in their order. */
export const scoresOf = (marks: Partial<Record<Mark, number | null>>): [Mark, number][] =>
  (Object.keys(markEnds) as Mark[]).flatMap((mark): [Mark, number][] => {
    const value = marks[mark];
    return value === null || value === undefined ? [] : [[mark, value]];
  });
