import { smaller } from './photo';

/** What stands for a file in a change that is kept on the device. */
interface Packed {
  packedFile: string;
  name: string;
}

const isPacked = (value: unknown): value is Packed =>
  typeof value === 'object' && value !== null && typeof (value as Packed).packedFile === 'string';

/** A change as plain text can hold it: files among its fields become data addresses. */
export async function packed(input: unknown): Promise<unknown> {
  return eachField(input, async (value) =>
    value instanceof File ? { packedFile: await addressOf(await smaller(value)), name: value.name } : value,
  );
}

/** The same change as it was made. */
export async function unpacked(input: unknown): Promise<unknown> {
  return eachField(input, (value) => Promise.resolve(isPacked(value) ? fileOf(value) : value));
}

async function eachField(input: unknown, change: (value: unknown) => Promise<unknown>): Promise<unknown> {
  if (typeof input !== 'object' || input === null || Array.isArray(input)) {
    return change(input);
  }
  const fields = await Promise.all(Object.entries(input).map(async ([name, value]) => [name, await change(value)]));
  return Object.fromEntries(fields as [string, unknown][]);
}

function addressOf(file: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(new Error(reader.error?.message));
    reader.readAsDataURL(file);
  });
}

function fileOf({ packedFile, name }: Packed): File {
  const [head = '', data = ''] = packedFile.split(',');
  const bytes = Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0));
  return new File([bytes], name, { type: /:(.*?);/.exec(head)?.[1] ?? '' });
}
