import writeXlsxFile from 'write-excel-file/node';
import { writeCsv, type ListTable } from '@/core/formats';

export const LIST_FORMS = ['csv', 'xlsx'] as const;
export type ListForm = (typeof LIST_FORMS)[number];

export interface ListFile {
  readonly bytes: Uint8Array<ArrayBuffer>;
  readonly type: string;
}

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** A list as the bytes of a file for another program. In a sheet numbers are numbers, and text is never run. */
export async function listFile(table: ListTable, form: ListForm): Promise<ListFile> {
  return form === 'csv'
    ? { bytes: new TextEncoder().encode(writeCsv(table)), type: 'text/csv; charset=utf-8' }
    : { bytes: await sheet(table), type: XLSX };
}

async function sheet({ heading, rows }: ListTable): Promise<Uint8Array<ArrayBuffer>> {
  const cell = (v: string | number) =>
    typeof v === 'number'
      ? { value: v, type: Number }
      : NUMBER.test(v)
        ? { value: Number(v), type: Number, format: v.includes('.') ? '0.00' : '0' }
        : { value: v, type: String };
  const data = [
    heading.map((value) => ({ value, type: String, fontWeight: 'bold' as const })),
    ...rows.map((r) => r.map(cell)),
  ];
  const made = writeXlsxFile(data as never) as unknown as { toBuffer: () => Promise<Buffer> };
  return new Uint8Array(await made.toBuffer());
}

/** Money and measures are written as text with two places or one, so that CSV has them all alike. */
const NUMBER = /^-?\d{1,12}\.\d{1,2}$/;
