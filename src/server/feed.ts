import { EventEmitter } from 'node:events';

/** Kept by the process: the routes that change and the route that tells are bundled apart. */
const kept = globalThis as { evarnFeed?: EventEmitter };
const feed = (kept.evarnFeed ??= new EventEmitter().setMaxListeners(0));

/** Says that something was done, undone or redone, or that another workspace was put in place. */
export const announce = (): void => void feed.emit('change');

/** Calls back whenever something was done; gives what ends that. */
export function listen(onChange: () => void): () => void {
  feed.on('change', onChange);
  return () => feed.off('change', onChange);
}
