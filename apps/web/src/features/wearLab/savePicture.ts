/** Hands a drawing to the browser as a picture to keep. @throws {Error} when it cannot be drawn */
export async function savePicture(name: string, svg: string): Promise<void> {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  await image.decode();
  URL.revokeObjectURL(image.src);
  const canvas = document.createElement('canvas');
  canvas.width = image.naturalWidth;
  canvas.height = image.naturalHeight;
  canvas.getContext('2d')?.drawImage(image, 0, 0);
  const url = canvas.toDataURL('image/png');
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
}

/** An ink of the page as it is shown now, by day or by night. */
export function inkOf(token: string): string {
  return getComputedStyle(document.body).getPropertyValue(`--${token}`).trim();
}
