/** A broken invariant is a programmer's mistake: stop at once and quote the value that broke it. */
export function assert(condition: unknown, message: string, value?: unknown): asserts condition {
  if (!condition) throw new Error(value === undefined ? message : `${message}: ${JSON.stringify(value)}`);
}

/** Ends a switch over a closed union: the compiler refuses it while a member is left out. */
export function never(value: never): never {
  throw new Error(`not a member of the union: ${JSON.stringify(value)}`);
}
