import { useSyncExternalStore } from 'react';

const QUERY = '(pointer: coarse)';

function subscribe(listener: () => void): () => void {
  const list = matchMedia(QUERY);
  list.addEventListener('change', listener);
  return () => list.removeEventListener('change', listener);
}

/** True where things are pointed at with a finger; false until the page has come alive. */
export const useCoarsePointer = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => matchMedia(QUERY).matches,
    () => false,
  );
