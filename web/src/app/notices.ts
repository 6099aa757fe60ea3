import type { ReactNode } from 'react';
import { told } from '../api/told';

/** Something that is said for a while, above the page. */
export interface Notice {
  id: string;
  kind: 'done' | 'refused' | 'news';
  content: ReactNode;
}

/** Something that has to be decided before it goes on. */
export interface Question {
  title: string;
  content?: ReactNode;
  /** What the way on says, and the way back. */
  yes: string;
  no: string;
}

export const said = told<Notice[]>([]);

export const asked = told<(Question & { answer: (isYes: boolean) => void }) | null>(null);

/** How long something stands that is only read, in seconds. */
const A_WHILE = 4;

/** What does not fit beside each other any more goes, the oldest first. */
const AT_ONCE = 3;

let count = 0;

interface Said {
  kind?: Notice['kind'];
  content: ReactNode;
  /** Nothing else with the same one stands beside it. */
  id?: string;
  seconds?: number;
}

function say({ kind = 'done', content, id = `notice-${String((count += 1))}`, seconds = A_WHILE }: Said): void {
  const notice = { id, kind, content };
  said.set([...said.get().filter((other) => other.id !== id), notice].slice(-AT_ONCE));
  // What was said anew under the same name has a time of its own.
  setTimeout(() => said.set(said.get().filter((other) => other !== notice)), seconds * 1000);
}

export const notices = {
  say,
  done: (content: ReactNode, seconds?: number): void => say({ content, seconds }),
  refused: (content: ReactNode, seconds?: number): void => say({ kind: 'refused', content, seconds }),
  note: (content: ReactNode, seconds?: number): void => say({ kind: 'news', content, seconds }),
  /** Takes one away, or all. */
  clear: (id?: string): void => said.set(id === undefined ? [] : said.get().filter((other) => other.id !== id)),
};

/** Asks; whoever closes the question has said no. */
export const ask = (question: Question): Promise<boolean> =>
  new Promise((resolve) => {
    asked.set({
      ...question,
      answer: (isYes) => {
        asked.set(null);
        resolve(isYes);
      },
    });
  });
