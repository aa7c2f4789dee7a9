import { useSyncExternalStore } from 'react';

/** Asked for once: what it says is asked at every drawing. */
let asked: MediaQueryList | undefined;
const query = (): MediaQueryList => (asked ??= matchMedia('(pointer: coarse)'));

function subscribe(listener: () => void): () => void {
  query().addEventListener('change', listener);
  return () => query().removeEventListener('change', listener);
}

/** True where things are pointed at with a finger; false until the page has come alive. */
export const useCoarsePointer = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => query().matches,
    () => false,
  );
