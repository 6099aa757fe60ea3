import { keys } from './keys';
import { useQuery } from '@tanstack/react-query';
import {
  answered,
  api,
  type Aim,
  type JarClosing,
  type NoteFields,
  type Place,
  type RoomFields,
  type Task,
} from './client';
import type { Logged } from '../instruments/Instrument';
import { defineChange, keyed } from './change';
import { numbered } from './intentions';
import { smaller } from './photo';

/** What the jars ask for; looked at again by itself, since hours count for some. */
export const useChores = (every = 60_000) =>
  useQuery({
    queryKey: keys.chores(),
    queryFn: () => answered(api.GET('/chores')),
    refetchInterval: every,
  });

interface ChoresMarked {
  chores: { batchId: string; task: Task; dueOn: string }[];
  /** Until when they are put off; none: they are done. */
  until?: string | null;
}

/** Says that chores are done, or puts them off. */
export const useMarkChores = defineChange(
  'mark chores',
  'ledger',
  () => (body: ChoresMarked, requestKey) => answered(api.POST('/chores/marks', { body: { ...body, requestKey } })),
  { waits: 'tap', subject: ({ chores, until }) => `${JSON.stringify(chores)} ${until ? 'later' : 'done'}` },
);

export const useUnmarkChores = defineChange(
  'unmark chores',
  'ledger',
  () => async (marks: string[], key) => {
    for (const [at, mark] of marks.entries()) {
      await answered(api.DELETE('/chores/marks/{mark}', { params: { path: { mark }, ...keyed(numbered(key, at)) } }));
    }
  },
  { waits: 'tap', subject: (marks) => marks.join(' ') },
);

export const useMoveJar = defineChange(
  'move a jar',
  'ledger',
  () =>
    ({ batch, place }: { batch: string; place: Place }, requestKey) =>
      answered(api.PUT('/batches/{batch}/place', { params: { path: { batch } }, body: { place, requestKey } })),
  { waits: 'tap', subject: ({ batch, place }) => `${batch} ${place}` },
);

/** Another jar, cover or hold-down. */
export const useCloseJar = defineChange(
  'close a jar',
  'ledger',
  (batch: string) => (closing: JarClosing, key) =>
    answered(api.PUT('/batches/{batch}/jar', { params: { path: { batch }, ...keyed(key) }, body: closing })),
  { subject: (closing) => JSON.stringify(closing) },
);

/** Keeps some of a jar's brine by itself. */
export const useKeepBrine = defineChange(
  'keep brine',
  'ledger',
  (batch: string) => (grams: number, requestKey) =>
    answered(api.POST('/batches/{batch}/spare-brine', { params: { path: { batch } }, body: { grams, requestKey } })),
  { subject: String },
);

export const useSetAim = defineChange(
  'aim at',
  'ledger',
  (batch: string) => (aim: Aim | null, key) =>
    answered(api.PUT('/batches/{batch}/aim', { params: { path: { batch }, ...keyed(key) }, body: { aim } })),
  { subject: String },
);

export const useReleaseBatch = defineChange(
  'release a batch',
  'ledger',
  (batch: string) => (body: { purpose: 'bottle' | 'give_away'; grams: number | null }, requestKey) =>
    answered(api.POST('/batches/{batch}/releases', { params: { path: { batch } }, body: { ...body, requestKey } })),
  { waits: 'never', subject: ({ purpose }) => purpose },
);

/** What was written down of a batch, and its like beside it. */
export const useLog = (batch: string) =>
  useQuery({
    queryKey: keys.log(batch),
    queryFn: () => answered(api.GET('/batches/{batch}/log', { params: { path: { batch } } })),
    retry: false,
  });

type NewNote = Omit<NoteFields, 'requestKey'> & { photo: File | null };

/** Writes a note, and its photo after it. */
export const useRecordNote = defineChange(
  'write a note',
  'ledger',
  (batch: string) =>
    async ({ photo, ...body }: NewNote, requestKey) => {
      const note = await answered(
        api.POST('/batches/{batch}/notes', { params: { path: { batch } }, body: { ...body, requestKey } }),
      );
      if (photo === null) {
        return note;
      }
      const form = new FormData();
      form.append('photo', await smaller(photo), 'jar.jpg');
      return answered(
        api.POST('/notes/{note}/photo', {
          params: { path: { note: note.id }, ...keyed(numbered(requestKey, 1)) },
          body: { photo: '' },
          bodySerializer: () => form,
        }),
      );
    },
);

export const useRemoveNote = defineChange(
  'remove a note',
  'ledger',
  () => (note: string, key) => answered(api.DELETE('/notes/{note}', { params: { path: { note }, ...keyed(key) } })),
  { subject: (note) => note },
);

export const useQuestions = (batch: string) =>
  useQuery({
    queryKey: keys.questions(batch),
    queryFn: async () => (await answered(api.GET('/batches/{batch}/check', { params: { path: { batch } } }))).questions,
    retry: false,
  });

/** What follows from what was found so far. */
export const useInspection = (batch: string, found: string[]) =>
  useQuery({
    queryKey: keys.inspection(batch, found),
    enabled: found.length > 0,
    queryFn: ({ signal }) =>
      answered(api.POST('/batches/{batch}/check/preview', { params: { path: { batch } }, body: { found }, signal })),
    placeholderData: (last) => (found.length > 0 ? last : undefined),
    gcTime: 10_000,
  });

export const useRecordCheck = defineChange(
  'write a check',
  'ledger',
  (batch: string) => (found: string[], requestKey) =>
    answered(api.POST('/batches/{batch}/check', { params: { path: { batch } }, body: { found, requestKey } })),
);

export const usePractice = () =>
  useQuery({
    queryKey: keys.practice(),
    queryFn: () => answered(api.GET('/practice')),
    staleTime: Infinity,
  });

type PracticeAnswer = 'nothing' | 'skim' | 'wait' | 'out';

export const useAnswerPractice = defineChange(
  'answer a drawn jar',
  'practice',
  () => (body: { number: number; answer: PracticeAnswer }, requestKey) =>
    answered(api.POST('/practice', { body: { ...body, requestKey } })),
  // The drawn jar stays until the next one is asked for.
  { waits: 'never', subject: ({ number }) => String(number), refetches: false },
);

export const useRooms = () => useQuery({ queryKey: keys.rooms(), queryFn: () => answered(api.GET('/rooms')) });

/** How warm a place usually is. */
export const useSaveRoom = defineChange(
  'change a room',
  'kitchen',
  (place: Place) => (body: RoomFields, key) =>
    answered(api.PUT('/rooms/{place}', { params: { path: { place }, ...keyed(key) }, body })),
);

export const useSaveReadings = defineChange(
  'keep readings',
  'kitchen',
  (place: Place) => (body: { readings: Logged[]; source: 'typed' | 'logger' }, key) =>
    answered(api.POST('/rooms/{place}/readings', { params: { path: { place }, ...keyed(key) }, body })),
);

export const useAddWarmSpell = defineChange(
  'expect a spell',
  'kitchen',
  (place: Place) => (body: { fromOn: string; toOn: string; celsius: number }, key) =>
    answered(api.POST('/rooms/{place}/spells', { params: { path: { place }, ...keyed(key) }, body })),
);

export const useRemoveWarmSpell = defineChange(
  'forget a spell',
  'kitchen',
  (place: Place) => (spell: string, key) =>
    answered(api.DELETE('/rooms/{place}/spells/{spell}', { params: { path: { place, spell }, ...keyed(key) } })),
  { subject: (spell) => spell },
);

export const useImportLog = defineChange(
  'import a log',
  'kitchen',
  (place: Place) => (body: { text: string; isPreview: boolean }, key) =>
    answered(api.POST('/rooms/{place}/log', { params: { path: { place }, ...keyed(key) }, body })),
  { waits: 'never', subject: ({ isPreview }) => String(isPreview) },
);

export const useCalendarLink = () =>
  useQuery({ queryKey: keys.calendar(), queryFn: () => answered(api.GET('/calendar')) });

export const useMakeCalendarLink = defineChange(
  'make a calendar link',
  'calendar',
  () => (_: undefined, key) => answered(api.POST('/calendar', { params: keyed(key) })),
  { waits: 'never' },
);

export const useRevokeCalendarLink = defineChange(
  'revoke the calendar link',
  'calendar',
  () => (_: undefined, key) => answered(api.DELETE('/calendar', { params: keyed(key) })),
  { waits: 'never' },
);
