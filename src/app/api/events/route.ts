import { route } from '@/server/http';
import { listen } from '@/server/feed';
import { stepsFrom } from '@/server/steps';
import { workspace } from '@/server/workspace';

/** A line now and then keeps the connection from being taken for dead. */
const HEARTBEAT_MS = 20_000;

/**
 * What happens in the workspace, as it happens: server-sent events, each the steps since the last one. `?since=` says
 * from which revision on, and so does the header by which a browser takes a broken stream up again.
 */
export const GET = route((request) => {
  const asked = request.headers.get('last-event-id') ?? new URL(request.url).searchParams.get('since');
  let seen = Number(asked ?? 0);
  let name: string | undefined;
  const encoder = new TextEncoder();
  let end = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          end();
        }
      };
      const tell = () => {
        try {
          const steps = stepsFrom(workspace(), seen);
          // Another workspace may have as many steps as the one before it.
          const same = name === undefined || name === steps.workspace;
          name = steps.workspace;
          if (same && steps.revision === seen && steps.steps?.length === 0) return;
          seen = steps.revision;
          say(`id: ${seen}\ndata: ${JSON.stringify(steps)}\n\n`);
        } catch {
          // The file is held by another program, or being replaced: the next change tells this one too.
        }
      };
      const deaf = listen(tell);
      const heart = setInterval(() => say(': still here\n\n'), HEARTBEAT_MS);
      end = () => {
        deaf();
        clearInterval(heart);
      };
      request.signal.addEventListener('abort', end);
      say('retry: 2000\n\n');
      tell();
    },
    cancel: () => end(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' },
  });
});
