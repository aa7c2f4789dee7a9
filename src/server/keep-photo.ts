import sharp from 'sharp';
import { PHOTO } from '@/core/shared/bounds';
import { fail, ok, type Result } from '@/core/shared/result';
import type { Handle } from '@/data/database';
import { storePhoto } from '@/data/photos';
import { readRecord } from '@/data/records';

const { pixels: MOST_PIXELS, side: LONGEST_SIDE } = PHOTO;

export type PhotoUploadFault =
  | { readonly fault: 'not a photo' }
  | { readonly fault: 'damaged' }
  | { readonly fault: 'too many pixels' }
  | { readonly fault: 'no such build' };

const startsWith = (bytes: Uint8Array, at: number, ...head: number[]): boolean =>
  head.every((b, i) => bytes[at + i] === b);

/** JPEG, PNG or WebP, told by the first bytes and not by a name. */
export const isPhoto = (bytes: Uint8Array): boolean =>
  startsWith(bytes, 0, 0xff, 0xd8, 0xff) ||
  startsWith(bytes, 0, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a) ||
  (startsWith(bytes, 0, 0x52, 0x49, 0x46, 0x46) && startsWith(bytes, 8, 0x57, 0x45, 0x42, 0x50));

/** A kept photo no larger than so many pixels along its longer side, as WebP; itself where it is no larger. */
export async function smallerPhoto(bytes: Buffer, side: number): Promise<Buffer> {
  const { width = 0, height = 0 } = await sharp(bytes).metadata();
  if (Math.max(width, height) <= side) return bytes;
  return sharp(bytes).resize(side, side, { fit: 'inside' }).webp({ quality: 80 }).toBuffer();
}

/**
 * Keeps an uploaded photo: turned upright, made no larger than 1,600 pixels, written anew as WebP under a name of our
 * own, so that nothing of the file that came in is kept but the picture.
 */
export async function keepPhoto(
  bytes: Uint8Array,
  build: string,
  handle: Handle,
  id: string,
): Promise<Result<{ id: string; width: number; height: number }, PhotoUploadFault>> {
  if (!readRecord(handle.db, 'build', build)) return fail({ fault: 'no such build' });
  if (!isPhoto(bytes)) return fail({ fault: 'not a photo' });
  try {
    const head = await sharp(bytes, { limitInputPixels: false }).metadata();
    if ((head.width ?? 0) * (head.height ?? 0) > MOST_PIXELS) return fail({ fault: 'too many pixels' });
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 84 })
      .toBuffer({ resolveWithObject: true });
    storePhoto(handle.db, { id, build, width: info.width, height: info.height, bytes: data });
    return ok({ id, width: info.width, height: info.height });
  } catch {
    return fail({ fault: 'damaged' });
  }
}
