/** What a picture turned out to be, without where and with what it was taken. */
export interface PlainPicture {
  type: 'image/jpeg' | 'image/png';
  picture: Buffer;
}

const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
/** PNG chunks that draw the picture; all others are words about it. */
const PNG_KEPT = new Set(['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'gAMA', 'sRGB', 'cHRM', 'pHYs']);
/** JPEG: application segments 1 to 15 and comments are words about the picture; 0 is its frame. */
const isAboutPicture = (marker: number) => (marker >= 0xe1 && marker <= 0xef) || marker === 0xfe;

/**
 * Takes everything out of a picture but the picture: EXIF with its place, XMP, comments.
 * @returns null for what is no whole JPEG or PNG
 * Source: segments of ITU-T T.81 annex B, chunks of the PNG specification, clause 5.
 */
export function stripPicture(file: Buffer): PlainPicture | null {
  if (file.subarray(0, PNG.length).equals(PNG)) return stripPng(file);
  if (file.length > 4 && file[0] === 0xff && file[1] === 0xd8) return stripJpeg(file);
  return null;
}

function stripJpeg(file: Buffer): PlainPicture | null {
  const kept: Buffer[] = [file.subarray(0, 2)];
  let at = 2;
  while (at + 4 <= file.length && file[at] === 0xff) {
    const marker = file[at + 1]!;
    // The scan runs from here to the end.
    if (marker === 0xda) {
      kept.push(file.subarray(at));
      return { type: 'image/jpeg', picture: Buffer.concat(kept) };
    }
    const end = at + 2 + file.readUInt16BE(at + 2);
    if (end > file.length) return null;
    if (!isAboutPicture(marker)) kept.push(file.subarray(at, end));
    at = end;
  }
  return null;
}

function stripPng(file: Buffer): PlainPicture | null {
  const kept: Buffer[] = [PNG];
  let at = PNG.length;
  while (at + 12 <= file.length) {
    const end = at + 12 + file.readUInt32BE(at);
    if (end > file.length) return null;
    const name = file.toString('latin1', at + 4, at + 8);
    if (PNG_KEPT.has(name)) kept.push(file.subarray(at, end));
    if (name === 'IEND') return { type: 'image/png', picture: Buffer.concat(kept) };
    at = end;
  }
  return null;
}
