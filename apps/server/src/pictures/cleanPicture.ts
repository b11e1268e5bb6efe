import type { Expectation } from '@keen/contract';
import { expectation } from '@keen/contract';
import sharp from 'sharp';

/** A picture as it is stored: redrawn from its pixels, upright, with nothing else of the file. */
export interface CleanPicture {
  type: 'image/jpeg' | 'image/png';
  picture: Buffer;
}

/** What was expected where a picture is refused. */
export type RefusedPicture = Expectation;

const MOST_MEGAPIXELS = 40;
const LONGEST_SIDE = 20_000;
const JPEG_QUALITY = 85;

// One picture at a time in a process of its own: no cache, no threads beside the one at work.
sharp.cache(false);
sharp.concurrency(1);

/**
 * Decodes a JPEG or PNG and encodes it again, upright and no larger than needed. Where and with what it
 * was taken, colour profiles, comments and whatever hides behind the picture's end do not survive that.
 * @param file - as it came
 * @param longestSide - pixels; a larger picture is made smaller
 */
export async function cleanPicture(
  file: Buffer,
  longestSide: number,
): Promise<CleanPicture | RefusedPicture> {
  try {
    const source = sharp(file, {
      limitInputPixels: MOST_MEGAPIXELS * 1_000_000,
      failOn: 'error',
      sequentialRead: true,
    });
    const { format, width, height } = await source.metadata();
    if (format !== 'jpeg' && format !== 'png') return expectation('picture');
    if (Math.max(width, height) > LONGEST_SIDE || width * height > MOST_MEGAPIXELS * 1_000_000) {
      return expectation('smallerPicture', { most: MOST_MEGAPIXELS });
    }
    const upright = source
      .autoOrient()
      .resize({ width: longestSide, height: longestSide, fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb');
    return format === 'jpeg'
      ? { type: 'image/jpeg', picture: await upright.jpeg({ quality: JPEG_QUALITY }).toBuffer() }
      : { type: 'image/png', picture: await upright.png().toBuffer() };
  } catch {
    return expectation('wholePicture');
  }
}
