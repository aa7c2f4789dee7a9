import { wrap } from 'comlink';
import type { PhotoMarks } from '@/core/photo';
import type { PhotoWorker } from './photo.worker';

/** Reads marked spots of a photo in a worker of its own, which ends with it. */
export async function readPhotoInWorker(file: Blob, marks: PhotoMarks) {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<PhotoWorker>(worker).read(file, marks);
  } finally {
    worker.terminate();
  }
}
