/** The answer of anything that people's input can make fail: a value, or the reason there is none. */
export type Result<T, E> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly reason: E };

export const ok = <T>(value: T): Result<T, never> => ({ ok: true, value });
export const fail = <E>(reason: E): Result<never, E> => ({ ok: false, reason });
