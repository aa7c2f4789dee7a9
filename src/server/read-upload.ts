import { readSheet } from 'read-excel-file/node';
import { MOST_BYTES, readDelimited, tableOf, type RawTable, type TableFault } from '@/core/formats';
import { fail, type Result } from '@/core/shared/result';

export type UploadFault =
  | TableFault
  | { readonly fault: 'too large' }
  | { readonly fault: 'unreadable'; readonly kind: 'xlsx' }
  | { readonly fault: 'old spreadsheet' };

const startsWith = (bytes: Uint8Array, ...head: number[]): boolean => head.every((b, i) => bytes[i] === b);

/** Reads an uploaded table. What it is is told by its content, not by its name. */
export async function readUpload(bytes: Uint8Array): Promise<Result<RawTable, UploadFault>> {
  if (bytes.byteLength > MOST_BYTES) return fail({ fault: 'too large' });
  if (startsWith(bytes, 0x50, 0x4b, 0x03, 0x04)) return readXlsx(bytes);
  if (startsWith(bytes, 0xd0, 0xcf, 0x11, 0xe0)) return fail({ fault: 'old spreadsheet' });
  return readDelimited(decode(bytes));
}

async function readXlsx(bytes: Uint8Array): Promise<Result<RawTable, UploadFault>> {
  if (unpackedSize(bytes) > 20 * MOST_BYTES) return fail({ fault: 'too large' });
  try {
    return tableOf(await readSheet(Buffer.from(bytes)));
  } catch {
    return fail({ fault: 'unreadable', kind: 'xlsx' });
  }
}

/** The bytes that a zip says it unpacks to, from its central directory: a small file must not fill the memory. */
function unpackedSize(bytes: Uint8Array): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let total = 0;
  for (let i = 0; i + 46 <= bytes.byteLength; i++)
    if (view.getUint32(i, true) === 0x02014b50) total += view.getUint32(i + 24, true);
  return total;
}

/** UTF-8, UTF-16 by its mark, and what is neither as the old Western encoding. */
function decode(bytes: Uint8Array): string {
  if (startsWith(bytes, 0xff, 0xfe)) return new TextDecoder('utf-16le').decode(bytes);
  if (startsWith(bytes, 0xfe, 0xff)) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
