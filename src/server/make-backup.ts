import fs from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { copyTo, stampOf, type Handle } from '@/data/database';

const pack = promisify(gzip);

/** A whole workspace as one file: a consistent copy of its database, packed. */
export async function makeBackup(handle: Handle, now: Date): Promise<Buffer> {
  const file = path.join(path.dirname(handle.file), 'backups', `leaving-${stampOf(now)}.sqlite`);
  try {
    copyTo(handle.sqlite, file);
    return await pack(await fs.promises.readFile(file));
  } finally {
    fs.rmSync(file, { force: true });
  }
}
