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
    case 'write an entry':
    case 'reverse an entry':
    case 'move a jar':
    case 'empty a jar':
    case 'close a jar':
      return t('queue.jar');
    case 'mark chores':
    case 'unmark chores':
      return t('queue.chore');
    case 'start a batch':
    case 'start from a formula':
      return t('queue.start');
    case 'write a note':
      return t('queue.note');
    default:
      return t('queue.other');
  }
}
