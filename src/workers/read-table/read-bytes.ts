import { readDelimited, type RawTable, type TableFault } from '@/core/formats/table';
import { fail, type Result } from '@/core/shared/result';
import { readXlsx } from './read-xlsx';
import { BadSpreadsheet } from './zip-parts';

export type UploadFault =
  | TableFault
  | { readonly fault: 'too large' }
  | { readonly fault: 'too costly' }
  | { readonly fault: 'busy' }
  | { readonly fault: 'unreadable'; readonly kind: 'xlsx' }
  | { readonly fault: 'old spreadsheet' };

const startsWith = (bytes: Uint8Array, ...head: number[]): boolean => head.every((b, i) => bytes[i] === b);

/** Reads an uploaded table. What it is is told by its content, not by its name. */
export async function readBytes(bytes: Uint8Array): Promise<Result<RawTable, UploadFault>> {
  if (startsWith(bytes, 0x50, 0x4b, 0x03, 0x04)) return readSpreadsheet(bytes);
  if (startsWith(bytes, 0xd0, 0xcf, 0x11, 0xe0)) return fail({ fault: 'old spreadsheet' });
  return readDelimited(decode(bytes));
}

async function readSpreadsheet(bytes: Uint8Array): Promise<Result<RawTable, UploadFault>> {
  try {
    return await readXlsx(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength));
  } catch (error) {
    if (error instanceof BadSpreadsheet && error.fault === 'too large') return fail({ fault: 'too large' });
    return fail({ fault: 'unreadable', kind: 'xlsx' });
  }
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
