import type { NoteFields } from '../../api/client';

type Noted = Omit<NoteFields, 'requestKey'> & { photo: File | null };

/** What is written into the jar's log from the counter: a few words, a photo, or a reading of its acid. */
export const noteOf = (told: { text?: string; ph?: number }, photo: File | null = null): Noted => ({
  marks: {},
  smell: null,
  colour: null,
  bubbles: null,
  celsius: null,
  ph: told.ph ?? null,
  // What is believed less, until the cook says in the log that it was a meter.
  phBy: told.ph === undefined ? null : 'strips',
  phMargin: null,
  text: told.text ?? '',
  photo,
});
