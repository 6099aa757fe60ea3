import type { KeyboardEvent } from 'react';

/** Moves from jar to jar with the arrow keys: along a board, and from board to board. */
export function moveAlong(event: KeyboardEvent<HTMLElement>): void {
  const here = (event.target as Element).closest('.board-jar');
  const boards = [...event.currentTarget.querySelectorAll('.board')].map((board) => [
    ...board.querySelectorAll<HTMLElement>('.board-jar'),
  ]);
  const row = boards.findIndex((jars) => jars.some((jar) => jar === here));
  const column = boards[row]?.findIndex((jar) => jar === here) ?? -1;
  if (column < 0) {
    return;
  }
  const along = boards.flat();
  const at = along.findIndex((jar) => jar === here);
  const nearest = (jars: HTMLElement[] | undefined) => jars?.[Math.min(column, jars.length - 1)];
  const next: Record<string, HTMLElement | undefined> = {
    ArrowRight: along[at + 1],
    ArrowLeft: along[at - 1],
    ArrowDown: nearest(boards[row + 1]),
    ArrowUp: nearest(boards[row - 1]),
    Home: along[0],
    End: along.at(-1),
  };
  const to = next[event.key];
  if (to) {
    event.preventDefault();
    to.focus();
    to.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }
}
