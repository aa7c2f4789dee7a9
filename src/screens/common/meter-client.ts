import type { LabD65 } from '@/core/colour';
import type { MeterState, MeterWish } from '@/server/meter';

type Answer =
  | { readonly ok: true; readonly value: { readonly state: MeterState; readonly lab?: LabD65 } }
  | { readonly ok: false; readonly fault: string };

/** Asks the colour meter of this machine. */
export async function askMeter(wish: MeterWish): Promise<Answer> {
  try {
    const response = await fetch('/api/meter', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(wish),
    });
    const body = (await response.json()) as Answer & { reason?: { fault?: string } };
    return body.ok ? body : { ok: false, fault: body.reason?.fault ?? 'unreachable' };
  } catch {
    return { ok: false, fault: 'unreachable' };
  }
}
