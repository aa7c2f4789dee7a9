import type { SheetDocument } from '@/core/mod-sheet';
import type { BuildId } from '@/core/shared/ids';
import { paletteOf } from '@/core/workbench';
import type { Handle } from '@/data/database';
import { readPhotoBytes } from '@/data/photos';
import { readRecord, readRecords } from '@/data/records';
import { sheetPdf } from './sheet-pdf';

/** A build's mod sheet as a PDF, in the workspace's colours and with its kept photos; undefined = there is no such build. */
export async function buildSheetPdf(
  { db }: Handle,
  build: BuildId,
  sheet: SheetDocument,
): Promise<Buffer | undefined> {
  if (!readRecord(db, 'build', build)) return undefined;
  const own = new Map(readRecords(db, 'customColour').map((c) => [c.id as string, c]));
  return sheetPdf(sheet, paletteOf({ customColour: own }), (id) => readPhotoBytes(db, id) ?? undefined);
}
