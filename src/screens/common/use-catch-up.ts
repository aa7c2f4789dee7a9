'use client';

import { useEffect } from 'react';
import { useBuildStore } from './build-store';
import { followSteps } from '../sending/feed-client';
import { sendWhatWasLeft } from '../sending/window-outbox';

/** Hears of what other windows do, as it happens, and sends what a window that is gone had left. */
export function useCatchUp(): void {
  const store = useBuildStore();
  useEffect(
    () =>
      followSteps(
        () => store.getState().revision,
        (steps) => void store.getState().takeSteps(steps),
      ),
    [store],
  );
  useEffect(() => void store.getState().learn(), [store]);
  useEffect(() => {
    void sendWhatWasLeft((wish, outcome) => store.getState().showLeft(wish, outcome)).then((outcomes) =>
      store.getState().tellLeft(outcomes),
    );
  }, [store]);
}
