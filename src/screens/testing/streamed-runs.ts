import { vi } from 'vitest';

/** A run that was asked of the server: the problem it is of, and the way to answer it line by line. */
export interface StreamedRun<Problem> {
  readonly name: string;
  readonly problem: Problem;
  readonly signal: AbortSignal;
  /** Says a line; one with a plan is the last. */
  readonly say: (line: object) => void;
}

/** A server whose runs are answered by a test: those that were asked for, and the addresses that were told to stop. */
export function streamedRuns<Problem>() {
  const runs: StreamedRun<Problem>[] = [];
  const stopped: string[] = [];
  vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
    if (init.method === 'DELETE') {
      stopped.push(path);
      return new Response('{}');
    }
    let say = (_: object) => {};
    const body = new ReadableStream<Uint8Array>({
      start: (controller) => {
        say = (line) => {
          controller.enqueue(new TextEncoder().encode(`${JSON.stringify(line)}\n`));
          if ('plan' in line) controller.close();
        };
      },
    });
    const { problem } = JSON.parse(init.body as string) as { problem: Problem };
    const name = (init.headers as Record<string, string>)['x-run']!;
    runs.push({ name, problem, signal: init.signal!, say: (line) => say(line) });
    return new Response(body);
  });
  return { runs, stopped };
}
