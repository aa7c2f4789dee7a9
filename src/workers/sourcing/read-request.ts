import { compile, problemFault, requestSchema, type Compiled, type Problem } from '@/core/sourcing';
import type { Asked, ReadOptions, RequestFault } from './messages';

/** A request that was read: its problem, and the same as arrays. */
export interface ReadProblem {
  readonly problem: Problem;
  readonly options: ReadOptions;
  readonly compiled: Compiled;
}

const parse = (bytes: SharedArrayBuffer): unknown => JSON.parse(Buffer.from(bytes).toString('utf8'));

/** Reads a request and says what is wrong with it, sizes before anything is worked out. */
export function requestFault({
  bytes,
}: Asked): RequestFault | { readonly problem: Problem; readonly options: ReadOptions } {
  let json: unknown;
  try {
    json = parse(bytes);
  } catch {
    return { refused: 'not json' };
  }
  const read = requestSchema.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    return { refused: 'shape', where: issue?.path.join('.') ?? '', says: issue?.message ?? '' };
  }
  const { problem, options = {} } = read.data;
  return problemFault(problem) ?? { problem, options };
}

let last: (ReadProblem & { readonly key: string }) | undefined;

/** The problem of a request that has been checked. What this thread read last it has still. */
export function problemOf(asked: Asked): ReadProblem {
  if (last?.key === asked.key) return last;
  const { problem, options = {} } = requestSchema.parse(parse(asked.bytes));
  last = { key: asked.key, problem, options, compiled: compile(problem) };
  return last;
}
