import type { RestoreFault } from '@/server/restore';
import { refusalWords } from '../words/refusal';
import { restoreFaultWords } from '../words/restore';

export interface RestoreDone {
  readonly ok: boolean;
  readonly says: string;
  /** The copy of what was there before, to go back to. */
  readonly kept: string | null;
}

/** Asks for a restore, of a file that is sent or of a backup that is kept, and words what came of it. */
export async function requestRestore(from: File | string): Promise<RestoreDone> {
  const path = typeof from === 'string' ? `/api/restore?kept=${encodeURIComponent(from)}` : '/api/restore';
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      ...(typeof from === 'string' ? {} : { body: from }),
    });
    const said = (await response.json()) as
      | { ok: true; value: { kept: string | null } }
      | { ok: false; reason: RestoreFault | { refused: string } };
    if (said.ok) return { ok: true, says: 'Restored.', kept: said.value.kept };
    const words = 'fault' in said.reason ? restoreFaultWords(said.reason) : refusalWords(said.reason);
    return { ok: false, says: words, kept: null };
  } catch {
    return { ok: false, says: 'The server cannot be reached. The workspace is as it was.', kept: null };
  }
}
