/*
 * What each change of the screens is tried with: what its hook is called for, and what is sent. Figures are made up.
 */

interface Tried {
  params: unknown[];
  input: unknown;
  /** How many requests it takes. */
  requests?: number;
}

const once = (input: unknown, ...params: unknown[]): Tried => ({ params, input });

/** As something new, and as a change of what is there. */
const added = (input: object, id: string): Tried[] => [once(input, null), once({ version: 1, ...input }, id)];

const portion = { batchId: 'b1', personId: 'p1', amount: '30 g', phase: 'pieces', way: 'drained' };
const other = { personId: 'p1', name: 'bread', sodiumMg: 200, eatenOn: '2026-03-02' };

/** What belongs to who is signed in, and who may come in. */
const account: Record<string, Tried | Tried[]> = {
  'ask for a new password': once({ email: 'cook@kitchen.test' }),
  'choose a new password': once({ email: 'cook@kitchen.test', token: 't1', password: 'secret' }),
  'accept an invitation': once({}, 'i1'),
  'change the account': once({ name: 'Cook', email: 'cook@kitchen.test' }),
  'change the password': once({ password: 'secret', newPassword: 'another' }),
  'sign out elsewhere': [once('d1'), once(null)],
  'make a token': once({ name: 'scale', access: 'log', days: 30 }),
  'withdraw a token': once('t1'),
  'enter a kitchen': once('k1'),
  'leave a kitchen': once('k1'),
  'close the account': once({ password: 'secret' }),
  'delete the kitchen': once({ name: 'A kitchen', password: 'secret' }),
  'change a member': once({ member: 'm1', access: 'read' }),
  'remove a member': once('m1'),
  invite: once({ access: 'log', forWhom: 'Bo' }),
  'withdraw an invitation': once('i1'),
  'share a report': once({ personId: 'p1', days: 30 }),
  'end a shared report': once('r1'),
};

export const tried: Record<string, Tried | Tried[]> = {
  'start a batch': once({ name: 'Carrots', place: 'counter', startedOn: null, begin: 'now' }),
  'do a step': once({ step: 's1', at: '2026-03-02T08:00:00Z' }, 'b1'),
  'skip a step': once({ step: 's1', at: '2026-03-02T08:00:00Z' }, 'b1'),
  'undo a step': once('s1', 'b1'),
  'shelve a bought jar': once({ name: 'Olives' }),
  'empty a jar': once({ batch: 'b1', isEmptied: true }),
  'write an entry': once({ kind: 'heat' }, 'b1'),
  'reverse an entry': once('e1', 'b1'),
  serve: once(portion),
  'change a serving': once(portion, 's1'),
  'serve together': [once({ batchId: 'b1', shares: [] }, null), once({ batchId: 'b1', shares: [] }, 's1')],
  'undo a serving': once('s1'),
  'update portions': once(undefined, 'b1'),
  'undo an update of portions': once(undefined, 'b1'),
  'write other food': [once(other, null), once(other, 'o1')],
  'repeat other food': once({ personId: 'p1', eatenOn: '2026-03-02', from: '2026-03-01' }),
  'undo other food': once('o1'),
  'import intake': once('day,food\n'),
  'import a kitchen': once(new File(['{}'], 'kitchen.json')),
  'write a formula': once({ name: 'Beets' }),
  'change a formula': once({ document: { name: 'Beets' }, basedOn: 1 }, 'f1'),
  'archive a formula': once(true, 'f1'),
  'start from a formula': once({ by: 'as_written', name: 'Beets' }, 'f1'),
  'import formulas': once([{ name: 'Beets' }]),
  'change the household': once({ version: 1, name: 'A kitchen' }),
  'save a person': added({ name: 'Ilka' }, 'p1'),
  'remove a person': once('p1'),
  'save a salt': added({ name: 'grey salt' }, 's1'),
  'remove a salt': once('s1'),
  'calibrate a salt': once({ grams: 5, spoon: 'tsp' }, 's1'),
  'forget a calibration': once(undefined, 's1'),
  'save a food': added({ name: 'cardoon' }, 'f1'),
  'remove a food': once(undefined, 'f1'),
  'restore a food': once(undefined, 'f1'),
  'save a jar': added({ name: 'Pint jar' }, 'j1'),
  'remove a jar': once('j1'),
  'save a weight': added({ name: 'glass weight' }, 'w1'),
  'remove a weight': once('w1'),
  'mark chores': once({ chores: [{ batchId: 'b1', task: 'burp', dueOn: '2026-03-02' }] }),
  'unmark chores': { params: [], input: ['m1', 'm2', 'm3'], requests: 3 },
  'move a jar': once({ batch: 'b1', place: 'fridge' }),
  'aim at': once('young', 'b1'),
  'close a jar': { params: ['b1'], input: { cover: 'cloth' } },
  'keep brine': { params: ['b1'], input: 40 },
  'weigh a measure': { params: [], input: { what: 'forkful', family: 'shreds', personId: null, grams: 33 } },
  'release a batch': once({ purpose: 'bottle', grams: null }, 'b1'),
  'write a note': {
    params: ['b1'],
    input: { text: 'sour', photo: new File(['x'], 'jar.jpg') },
    requests: 2,
  },
  'remove a note': once('n1'),
  'write a check': once(['haze'], 'b1'),
  'answer a drawn jar': once({ number: 3, answer: 'skim' }),
  'change a room': once({ version: 1, usualCelsius: 19 }, 'counter'),
  'keep readings': once({ readings: [], source: 'typed' }, 'counter'),
  'expect a spell': once({ fromOn: '2026-03-02', toOn: '2026-03-04', celsius: 27 }, 'counter'),
  'forget a spell': once('s1', 'counter'),
  'import a log': once({ text: 'a,b', isPreview: false }, 'counter'),
  'make a calendar link': once(undefined),
  'revoke the calendar link': once(undefined),
  'plan a week': [
    once({ step: 'change', put: [], remove: ['s1'], what: 'moved' }, '2026-03-02'),
    ...['clear', 'copy', 'undo', 'redo'].map((step) => once({ step }, '2026-03-02')),
    once({ step: 'fill', rest: true, weeks: 1, planning: null }, '2026-03-02'),
  ],
  'keep the rotation': once({ lines: [], perDay: 2, hasNew: false, weights: {} }),
  'begin the first week': once(undefined),
  'plan a batch': once({ formulaId: 'f1', lineId: null, jarId: 'j1', startOn: '2026-03-02', share: 1 }),
  'drop a planned batch': once('pb1'),
  'sign in': once({ email: 'cook@kitchen.test', password: 'secret' }),
  'enter the demo': once(undefined),
  'sign out': once(undefined),
  'open a kitchen': once({ name: 'A kitchen' }),
  ...account,
};

/** Those that are answered by who is signed in then; twice is once without a key. */
export const withoutKey = ['sign in', 'enter the demo', 'sign out', 'open a kitchen', ...Object.keys(account)];
