import fs from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { BACKUP } from '@/core/shared/bounds';

/** Why a file could not be unpacked: it is no packed file, it is larger than the bound, or the disk would not take it. */
export class NotUnpacked extends Error {
  constructor(readonly fault: 'not a backup' | 'too large' | 'no space') {
    super(fault);
  }
}

/** Unpacks a backup to a file as a stream, never more than the bound. */
export async function unpack(packed: Uint8Array, file: string): Promise<void> {
  let size = 0;
  try {
    await pipeline(
      Readable.from(slices(packed)),
      createGunzip(),
      async function* (chunks: AsyncIterable<Buffer>) {
        for await (const chunk of chunks) {
          size += chunk.byteLength;
          if (size > BACKUP.unpacked) throw new NotUnpacked('too large');
          yield chunk;
        }
      },
      fs.createWriteStream(file, { flush: true }),
    );
  } catch (error) {
    if (error instanceof NotUnpacked) throw error;
    const code = (error as NodeJS.ErrnoException).code ?? '';
    if (code === 'ENOSPC' || code === 'EDQUOT') throw new NotUnpacked('no space');
    if (code.startsWith('Z_') || code.startsWith('ERR_')) throw new NotUnpacked('not a backup');
    throw error;
  }
}

function* slices(bytes: Uint8Array): Generator<Buffer> {
  const step = 1024 * 1024;
  for (let at = 0; at < bytes.byteLength; at += step)
    yield Buffer.from(bytes.buffer, bytes.byteOffset + at, Math.min(step, bytes.byteLength - at));
}
