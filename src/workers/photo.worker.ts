import { expose } from 'comlink';
import { readPhoto, type PhotoFault, type PhotoMarks, type PhotoReading } from '@/core/photo';
import type { Result } from '@/core/shared/result';

export type PhotoWorkerFault =
  PhotoFault | { readonly fault: 'not a picture' } | { readonly fault: 'too many pixels' };

/** Pixels that a photo may unpack to. */
const MOST_PIXELS = 60_000_000;

/** Reads photos away from the page: unpacking twelve million pixels there would freeze it. */
const api = {
  async read(file: Blob, marks: PhotoMarks): Promise<Result<PhotoReading, PhotoWorkerFault>> {
    let bitmap: ImageBitmap;
    try {
      bitmap = await createImageBitmap(file, { colorSpaceConversion: 'default' });
    } catch {
      return { ok: false, reason: { fault: 'not a picture' } };
    }
    const { width, height } = bitmap;
    if (width * height > MOST_PIXELS) {
      bitmap.close();
      return { ok: false, reason: { fault: 'too many pixels' } };
    }
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
    if (!context) return { ok: false, reason: { fault: 'not a picture' } };
    context.drawImage(bitmap, 0, 0);
    bitmap.close();
    const { data } = context.getImageData(0, 0, width, height);
    return readPhoto({ width, height, data }, marks);
  },
};

export type PhotoWorker = typeof api;
expose(api);
