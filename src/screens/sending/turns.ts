/** How long a page may go on without looking at what else waits: half of what a person would feel. */
const TURN_MS = 16;

/**
 * A pause for long work: awaited between its pieces, it comes back at once until a turn has been taken, and then lets keys,
 * pointers and drawing have theirs.
 */
export function turns(): () => Promise<void> {
  let since = performance.now();
  return async () => {
    if (performance.now() - since < TURN_MS) return;
    await nextTurn();
    since = performance.now();
  };
}

/** A message to itself: a timer would wait for a second in a window that is not looked at. */
export const nextTurn = (): Promise<void> =>
  new Promise((done) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      done();
    };
    port2.postMessage(null);
  });

const SOON_MS = 1500;

/** Runs something once the page has nothing to draw, soon at the latest; gives what calls it off. */
export function whenIdle(run: () => void): () => void {
  // One browser family has no such call.
  if (!('requestIdleCallback' in window)) {
    const timer = setTimeout(run, SOON_MS);
    return () => clearTimeout(timer);
  }
  const id = window.requestIdleCallback(run, { timeout: SOON_MS });
  return () => window.cancelIdleCallback(id);
}
