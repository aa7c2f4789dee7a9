import { constants, crc32, deflateRawSync } from 'node:zlib';

/** A gzip without its end: more can be put behind it without packing what is there once more. */
export interface OpenGzip {
  readonly deflated: Uint8Array;
  /** Checksum and length of what is in it, which its end will tell. */
  readonly crc: number;
  readonly length: number;
}

/** How hard it is packed: a page waits for it. */
const LEVEL = 4;
/** What a gzip begins with (RFC 1952): its mark, "deflated", no names or times, an unknown system. */
const HEAD = Uint8Array.of(0x1f, 0x8b, 8, 0, 0, 0, 0, 0, 0, 255);

/**
 * Packs a text so that more can follow it.
 *
 * @example endGzip(openGzip('first'), ' and last')
 */
export function openGzip(text: string): OpenGzip {
  const bytes = Buffer.from(text);
  const deflated = deflateRawSync(bytes, { level: LEVEL, finishFlush: constants.Z_SYNC_FLUSH });
  return { deflated, crc: crc32(bytes), length: bytes.length };
}

/** A whole gzip of what was packed and of what comes behind it. */
export function endGzip({ deflated, crc, length }: OpenGzip, more = ''): Uint8Array {
  const bytes = Buffer.from(more);
  const end = Buffer.alloc(8);
  end.writeUInt32LE(crc32(bytes, crc), 0);
  end.writeUInt32LE((length + bytes.length) % 2 ** 32, 4);
  return Buffer.concat([HEAD, deflated, deflateRawSync(bytes, { level: LEVEL }), end]);
}
