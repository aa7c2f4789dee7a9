import { eq } from 'drizzle-orm';
import type { Database } from './database';
import { photos } from './schema';

/** A kept photo: WebP, re-encoded, upright. */
export interface KeptPhoto {
  readonly id: string;
  readonly build: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: Buffer;
}

/** Keeps a photo. One with the same name is there already when the same upload was sent twice: then nothing changes. */
export const storePhoto = (db: Database, photo: KeptPhoto): void => {
  db.insert(photos).values(photo).onConflictDoNothing().run();
};

export const readPhotoBytes = (db: Database, id: string): Buffer | undefined =>
  db.select({ bytes: photos.bytes }).from(photos).where(eq(photos.id, id)).get()?.bytes;
