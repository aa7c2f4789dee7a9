'use client';

import { useContext, useEffect, useRef } from 'react';
import { useBuildStore } from './build-store';
import { followSteps, type Steps } from '../sending/feed-client';
import { whenIdle } from '../sending/turns';
import { sendWhatWasLeft } from '../sending/window-outbox';
import { SettingsContext } from './settled-context';
import { useRefresh } from './use-in-address';

/** Hears of what other windows do, as it happens, and sends what a window that is gone had left. */
export function useCatchUp(): void {
  const store = useBuildStore();
  const refresh = useRefresh();
  useEffect(
    () =>
      followSteps(
        () => store.getState().revision,
        (steps) => {
          void store.getState().takeSteps(steps);
          // How things are written is settled for a page as a whole.
          if (changesSettings(steps)) refresh();
        },
      ),
    [store, refresh],
  );
  const settings = useContext(SettingsContext);
  const shown = useRef(settings);
  useEffect(() => {
    if (JSON.stringify(shown.current) === JSON.stringify(settings)) return;
    shown.current = settings;
    // Figures that were written before are written anew.
    store.setState((s) => ({ version: s.version + 1 }));
  }, [store, settings]);
  // What needs the whole asks for it at once; the page itself is drawn and answers keys first.
  useEffect(() => whenIdle(() => void store.getState().learn()), [store]);
  useEffect(() => {
    void sendWhatWasLeft((wish, outcome) => store.getState().showLeft(wish, outcome)).then((outcomes) =>
      store.getState().tellLeft(outcomes),
    );
  }, [store]);
}

/** Whether another window has changed how things are written. */
const changesSettings = ({ steps }: Steps): boolean =>
  (steps ?? []).some(({ diff }) =>
    [...diff.added, ...diff.changed, ...diff.removed].some(({ type }) => type === 'settings'),
  );
