/** Dots along the longer side beyond which nothing is gained. */
const LONGEST = 2000;

/** A photo small enough to send, where the browser can read it; otherwise as it is. */
export async function smaller(photo: File): Promise<Blob> {
  const picture = await createImageBitmap(photo).catch(() => null);
  const by = picture === null ? 1 : Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  if (picture === null || by === 1) {
    return photo;
  }
  const canvas = new OffscreenCanvas(Math.round(picture.width * by), Math.round(picture.height * by));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
}
