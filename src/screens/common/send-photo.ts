import type { Result } from '@/core/shared/result';

/** Sends a photo to be kept with a build. It names itself, so that one sent twice is kept once. */
export async function sendPhoto(
  build: string,
  file: Blob,
): Promise<Result<{ id: string }, { readonly fault: string }>> {
  try {
    const id = crypto.randomUUID();
    const response = await fetch(`/api/photos?build=${build}&id=${id}`, { method: 'POST', body: file });
    return (await response.json()) as Result<{ id: string }, { readonly fault: string }>;
  } catch {
    return { ok: false, reason: { fault: 'unreachable' } };
  }
}
