import { useQuery } from '@tanstack/react-query';
import { answered, api, type Aim, type NoteFields, type Place, type Rooms, type Task } from './client';
import { useChange } from './queries';

/** What the jars ask for; looked at again by itself, since hours count for some. */
export const useChores = () =>
  useQuery({
    queryKey: ['chores'],
    queryFn: () => answered(api.GET('/chores')),
    refetchInterval: 60_000,
  });

/** Says that chores are done, or puts them off. */
export const useMarkChores = () =>
  useChange(
    (body: {
      chores: { batchId: string; task: Task; dueOn: string }[];
      until?: string | null;
      requestKey: string;
    }) => answered(api.POST('/chores/marks', { body })),
  );

export const useUnmarkChores = () =>
  useChange(async (marks: string[]) => {
    for (const mark of marks) {
      await answered(api.DELETE('/chores/marks/{mark}', { params: { path: { mark } } }));
    }
  });

export const useMoveJar = () =>
  useChange(({ batch, ...body }: { batch: string; place: Place; requestKey: string }) =>
    answered(api.PUT('/batches/{batch}/place', { params: { path: { batch } }, body })),
  );

export const useAimAt = (batch: string) =>
  useChange((aim: Aim | null) =>
    answered(api.PUT('/batches/{batch}/aim', { params: { path: { batch } }, body: { aim } })),
  );

export const usePassGate = (batch: string) =>
  useChange((body: { purpose: 'bottle' | 'give_away'; grams: number | null; requestKey: string }) =>
    answered(api.POST('/batches/{batch}/gates', { params: { path: { batch } }, body })),
  );

/** What was written down of a batch, and its like beside it. */
export const useLog = (batch: string) =>
  useQuery({
    queryKey: ['batches', batch, 'log'],
    queryFn: () => answered(api.GET('/batches/{batch}/log', { params: { path: { batch } } })),
    retry: false,
  });

/** Writes a note, and its photo after it. */
export const useWriteNote = (batch: string) =>
  useChange(async ({ photo, ...body }: NoteFields & { photo: File | null }) => {
    const note = await answered(api.POST('/batches/{batch}/notes', { params: { path: { batch } }, body }));
    if (photo === null) {
      return note;
    }
    const form = new FormData();
    form.append('photo', await smaller(photo), 'jar.jpg');
    return answered(
      api.POST('/notes/{note}/photo', {
        params: { path: { note: note.id } },
        body: { photo: '' },
        bodySerializer: () => form,
      }),
    );
  });

export const useRemoveNote = () =>
  useChange((note: string) => answered(api.DELETE('/notes/{note}', { params: { path: { note } } })));

export const useQuestions = (batch: string) =>
  useQuery({
    queryKey: ['batches', batch, 'questions'],
    queryFn: async () =>
      (await answered(api.GET('/batches/{batch}/check', { params: { path: { batch } } }))).questions,
    retry: false,
  });

/** What follows from what was found so far. */
export const useInspection = (batch: string, found: string[]) =>
  useQuery({
    queryKey: ['batches', batch, 'inspection', found],
    enabled: found.length > 0,
    queryFn: ({ signal }) =>
      answered(
        api.POST('/batches/{batch}/check/preview', { params: { path: { batch } }, body: { found }, signal }),
      ),
    placeholderData: (last) => (found.length > 0 ? last : undefined),
    gcTime: 10_000,
  });

export const useWriteCheck = (batch: string) =>
  useChange((body: { found: string[]; requestKey: string }) =>
    answered(api.POST('/batches/{batch}/check', { params: { path: { batch } }, body })),
  );

export const usePractice = () =>
  useQuery({
    queryKey: ['practice'],
    queryFn: () => answered(api.GET('/practice')),
    staleTime: Infinity,
  });

export const useAnswerPractice = () =>
  useChange(
    (body: { number: number; answer: 'nothing' | 'skim' | 'wait' | 'out'; requestKey: string }) =>
      answered(api.POST('/practice', { body })),
    // The drawn jar stays until the next one is asked for.
    false,
  );

export const useRooms = () => useQuery({ queryKey: ['rooms'], queryFn: () => answered(api.GET('/rooms')) });

/** Anything that changes what is known of how warm a place is. */
export const useChangeRoom = <Input>(change: (input: Input) => Promise<Rooms>) => useChange(change);

export const useBringLog = (place: Place) =>
  useChange((body: { text: string; isPreview: boolean }) =>
    answered(api.POST('/rooms/{place}/log', { params: { path: { place } }, body })),
  );

export const useCalendarLink = () =>
  useQuery({ queryKey: ['calendar'], queryFn: () => answered(api.GET('/calendar')) });

export const useMakeCalendarLink = () => useChange<undefined, unknown>(() => answered(api.POST('/calendar')));

export const useRevokeCalendarLink = () =>
  useChange<undefined, unknown>(() => answered(api.DELETE('/calendar')));

/** Dots along the longer side beyond which nothing is gained. */
const LONGEST = 2000;

/** A photo small enough to send, where the browser can read it; otherwise as it is. */
async function smaller(photo: File): Promise<Blob> {
  const picture = await createImageBitmap(photo).catch(() => null);
  const by = picture === null ? 1 : Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  if (picture === null || by === 1) {
    return photo;
  }
  const canvas = new OffscreenCanvas(Math.round(picture.width * by), Math.round(picture.height * by));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
}
