import { answered, api } from './client';
import { told } from './told';

/** What is sent in one piece, in bytes; a larger file goes in parts, each of which is tried again by itself. */
const IN_ONE_PIECE = 8 * 1024 * 1024;

const TRIES = 4;

/** How much of a large file has arrived, in percent; null while none is on its way. */
export const arrived = told<number | null>(null);

export const isLarge = (file: File): boolean => file.size > IN_ONE_PIECE;

/** Sends a file in parts, and returns what names it then. */
export async function sendInParts(file: File): Promise<{ upload: string; parts: number }> {
  arrived.set(0);
  try {
    const { id, partBytes } = await answered(api.POST('/kitchen/file/parts'));
    const parts = Math.ceil(file.size / partBytes);
    for (let part = 0; part < parts; part++) {
      await again(() =>
        answered(
          api.PUT('/kitchen/file/parts/{file}/{part}', {
            params: { path: { file: id, part } },
            headers: { 'Content-Type': 'application/octet-stream' },
            body: '',
            bodySerializer: () => file.slice(part * partBytes, (part + 1) * partBytes),
          }),
        ),
      );
      arrived.set(Math.round(((part + 1) / parts) * 100));
    }

    return { upload: id, parts };
  } finally {
    arrived.set(null);
  }
}

/** Tries something a few times, a little later each time. */
async function again<T>(work: () => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await work();
    } catch (refusal) {
      if (attempt === TRIES) {
        throw refusal;
      }
      await new Promise((resolve) => setTimeout(resolve, attempt * 1000));
    }
  }
}
