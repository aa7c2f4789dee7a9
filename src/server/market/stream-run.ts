import type { SourcingListener, SourcingProgress } from '../solve-sourcing';
import { running } from './runs';

/** What a run says between its progress and its end. */
export interface RunListener extends SourcingListener {
  readonly signal: AbortSignal;
  readonly say: (line: object) => void;
}

/**
 * Does long work and answers line by line as JSON: the place in the line and progress as they come, what the work comes to
 * last. When the connection closes, or the run is stopped by its name, the work is told and ends with what it has.
 */
export function streamRun(
  request: Request,
  run: string,
  work: (listener: RunListener) => Promise<object>,
): Response {
  const stopper = new AbortController();
  running.set(run, stopper);
  let open = true;
  const gone = () => {
    open = false;
    stopper.abort();
  };
  request.signal.addEventListener('abort', gone);
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (value: object) => {
        if (!open) return;
        try {
          controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
        } catch {
          gone();
        }
      };
      const onProgress = (progress: SourcingProgress) => say({ progress });
      const onPlace = (place: number) => say({ place });
      try {
        say(await work({ signal: stopper.signal, onProgress, onPlace, say }));
      } catch (error) {
        console.error('a solve failed:', error);
        say({ reason: { refused: 'failed' } });
      }
      running.delete(run);
      if (open) controller.close();
    },
    cancel: gone,
  });
  return new Response(body, { headers: { 'content-type': 'application/x-ndjson' } });
}
