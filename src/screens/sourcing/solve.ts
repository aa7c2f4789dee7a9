import type { BuyingPlan, Problem } from '@/core/sourcing';
import { fail, ok, type Result } from '@/core/shared/result';

/** The best cost so far, the floor under it, and when that was. */
export interface Bound {
  readonly cost: number;
  readonly floor: number;
  readonly seconds: number;
}

/** Why a solve gave no plan: too many others wait, it was stopped, the request was not taken, or the server failed. */
export type SolveFailure = 'busy' | 'stopped' | 'not taken' | 'server';

interface Said {
  readonly progress?: Bound;
  readonly plan?: BuyingPlan;
  readonly place?: number;
  readonly reason?: { readonly fault?: string; readonly refused?: string };
}

/** Solves on the server, line by line: progress as it comes, the plan last. */
export async function solve(
  problem: Problem,
  seconds: number,
  signal: AbortSignal,
  onBound: (bound: Bound) => void,
  run: string = crypto.randomUUID(),
  onPlace: (place: number) => void = () => undefined,
): Promise<Result<BuyingPlan, SolveFailure>> {
  try {
    const response = await fetch('/api/buying-plan', {
      method: 'POST',
      headers: { 'content-type': 'application/json', accept: 'application/x-ndjson', 'x-run': run },
      body: JSON.stringify({ problem, options: { seconds, seed: 1 } }),
      signal,
    });
    if (response.status === 413) return fail('not taken');
    if (!response.ok || !response.body) return fail('server');
    let answer: Result<BuyingPlan, SolveFailure> = fail('server');
    for await (const said of linesOf(response.body)) {
      if (said.progress) onBound(said.progress);
      if (said.place) onPlace(said.place);
      if (said.plan) answer = ok(said.plan);
      if (said.reason) answer = fail(failureOf(said.reason));
    }
    return answer;
  } catch {
    return fail('server');
  }
}

async function* linesOf(body: ReadableStream<Uint8Array<ArrayBuffer>>): AsyncGenerator<Said> {
  const reader = body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) yield JSON.parse(line) as Said;
  }
}

function failureOf({ fault, refused }: NonNullable<Said['reason']>): SolveFailure {
  if (fault === 'busy' || fault === 'stopped') return fault;
  return refused === 'failed' ? 'server' : 'not taken';
}
