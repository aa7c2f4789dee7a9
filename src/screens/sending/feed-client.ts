'use client';

import type { FeedItem } from '@/data/actions';
import { ask } from './answers';

/** What happened since a revision, as the server tells it. */
export interface Steps {
  readonly workspace: string;
  readonly revision: number;
  readonly steps: readonly FeedItem[] | null;
}

export const fetchSteps = (since: number): Promise<Steps | undefined> =>
  ask<Steps>(`/api/steps?since=${since}`);

/**
 * Listens to what happens in the workspace while the window can be seen; when it comes to the front again it catches up.
 * A window behind others holds no connection, since a browser allows few. Gives what ends it.
 */
export function followSteps(since: () => number, onSteps: (steps: Steps) => void): () => void {
  let source: EventSource | null = null;
  const open = () => {
    if (source || document.visibilityState !== 'visible') return;
    source = new EventSource(`/api/events?since=${since()}`);
    source.onmessage = (e: MessageEvent<string>) => onSteps(JSON.parse(e.data) as Steps);
  };
  const close = () => {
    source?.close();
    source = null;
  };
  const look = () => (document.visibilityState === 'visible' ? open() : close());
  document.addEventListener('visibilitychange', look);
  window.addEventListener('focus', open);
  open();
  return () => {
    close();
    document.removeEventListener('visibilitychange', look);
    window.removeEventListener('focus', open);
  };
}
