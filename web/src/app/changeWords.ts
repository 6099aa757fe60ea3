import type { Waiting } from '../api/queue';
import { t } from '../messages/words';

/** What a change was, for the list of those that wait. */
export function changeWords(name: string): string {
  switch (name) {
    case 'do a step':
    case 'skip a step':
    case 'undo a step':
      return t('queue.step');
    case 'serve':
    case 'serve together':
    case 'change a serving':
    case 'undo a serving':
      return t('queue.serving');
    case 'write other food':
    case 'undo other food':
      return t('queue.food');
    case 'write an entry':
    case 'reverse an entry':
    case 'move a jar':
    case 'empty a jar':
    case 'close a jar':
    case 'aim at':
    case 'keep brine':
      return t('queue.jar');
    case 'mark chores':
    case 'unmark chores':
      return t('queue.chore');
    case 'start a batch':
    case 'start from a formula':
    case 'shelve a bought jar':
      return t('queue.start');
    case 'write a formula':
    case 'change a formula':
    case 'archive a formula':
      return t('queue.formula');
    case 'write a note':
    case 'write a check':
      return t('queue.note');
    default:
      return t('queue.other');
  }
}

/** The page on which it can be done otherwise, where the change names one. */
export function pageOf({ name, params, input }: Waiting): string | null {
  const [first] = params;
  const about = typeof first === 'string' ? first : null;
  switch (name) {
    case 'do a step':
    case 'skip a step':
    case 'undo a step':
      return `/counter/${about ?? ''}`;
    case 'write an entry':
    case 'reverse an entry':
    case 'close a jar':
    case 'aim at':
    case 'keep brine':
    case 'write a check':
      return `/shelf/${about ?? ''}`;
    case 'write a note':
      return `/shelf/${about ?? ''}/log`;
    case 'move a jar':
    case 'empty a jar':
      return `/shelf/${(input as { batch: string }).batch}`;
    case 'serve':
    case 'serve together':
    case 'change a serving':
    case 'undo a serving':
    case 'write other food':
    case 'undo other food':
    case 'mark chores':
    case 'unmark chores':
      return '/today';
    case 'start a batch':
      return '/bench';
    case 'start from a formula':
    case 'change a formula':
    case 'archive a formula':
      return `/formulas/${about ?? ''}`;
    default:
      return null;
  }
}
