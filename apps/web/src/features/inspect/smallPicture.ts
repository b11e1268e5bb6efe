const LONGEST_SIDE = 1_600;
const QUALITY = 0.85;

/**
 * Redraws a picture, small enough to send from a yard: what the camera wrote beside the picture does
 * not come along.
 * @returns null for what the browser cannot draw
 */
export async function smallPicture(file: Blob): Promise<Blob | null> {
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return null;
  const scale = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return new Promise((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
}
