import type { RawTable } from '@/core/formats';
import { TABLE } from '@/core/shared/bounds';
import { fail, type Result } from '@/core/shared/result';
import type { UploadFault } from '@/workers/read-table/read-bytes';
import { runOnce } from './threads/run-once';
import { WaitingLine } from './threads/waiting-line';

export type { UploadFault };

/** Tables are read one at a time: each may take as much memory as its bound says. */
const kept = globalThis as { evarnReaders?: WaitingLine };
const line = (kept.evarnReaders ??= new WaitingLine(1, 8));

/**
 * Reads an uploaded table in a thread with bounds of memory and time: whatever the file says, the server goes on
 * answering, and the thread is ended at the bound.
 */
export async function readUpload(
  bytes: Uint8Array,
  signal?: AbortSignal,
): Promise<Result<RawTable, UploadFault>> {
  if (bytes.byteLength > TABLE.bytes) return fail({ fault: 'too large' });
  const leave = await line.enter(signal);
  if (!leave) return fail({ fault: 'busy' });
  try {
    const { seconds, heapMb } = TABLE;
    const ran = await runOnce<Result<RawTable, UploadFault>>('read-table', bytes, {
      seconds,
      heapMb,
      signal,
    });
    if (ran.ended === 'answer') return ran.value;
    return fail(ran.ended === 'broken' ? { fault: 'unreadable', kind: 'xlsx' } : { fault: 'too costly' });
  } finally {
    leave();
  }
}
